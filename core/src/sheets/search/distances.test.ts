/** Distances of two parts from a table, against closed forms and against the outlines themselves. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { moved, regionDistance, solidDistance, type Outline, type Region, type Vec2 } from '../../geometry';
import { distancesOf, nearDistance, trueDistance } from './distances';

const box = (x: number, y: number, wide: number, high: number): Outline => [
  [x, y],
  [x + wide, y],
  [x + wide, y + high],
  [x, y + high],
];
const solid = (outline: Outline): Region => ({ outline, holes: [] });
const SMALL = solid(box(0, 0, 40, 40));

describe('two squares', () => {
  const table = distancesOf(solid(box(0, 0, 100, 100)), SMALL, 6);
  // the small one's corner may stand anywhere but in the square from -40 to 100
  it.each([
    [103, 30, 3],
    [100, 30, 0],
    [97, 30, -3],
    [-44, -43, 5],
    [30, -38, -2],
  ])('at %d, %d are %d apart', (x, y, apart) => expect(trueDistance(table, x, y)).toBeCloseTo(apart, 3));
  it('are as far apart by the grid, within a cell, and far enough beyond it', () => {
    expect(Math.abs(nearDistance(table, 50, 30) + 50)).toBeLessThan(table.cellMm);
    expect(Math.abs(nearDistance(table, 104, 30) - 4)).toBeLessThan(table.cellMm);
    expect(nearDistance(table, 1000, 30)).toBe(Infinity);
  });
  it('touch at the wanted distance at the corners', () => {
    const corners = Array.from({ length: table.corners.length / 2 }, (_, k) => [
      Math.round(table.corners[2 * k]!),
      Math.round(table.corners[2 * k + 1]!),
    ]);
    expect(corners).toEqual(
      expect.arrayContaining([
        [106, 106],
        [-46, -46],
        [106, -46],
        [-46, 106],
      ]),
    );
  });
});

describe('a part in another’s hole', () => {
  const ring: Region = { outline: box(0, 0, 300, 300), holes: [[...box(50, 50, 200, 200)].reverse()] };
  it.each([
    [55, 130, 5],
    [50, 130, 0],
    [47, 130, -3],
    [208, 203, 2],
  ])('at %d, %d is %d from its edge', (x, y, apart) => {
    expect(trueDistance(distancesOf(ring, SMALL, 6), x, y)).toBeCloseTo(apart, 3);
    // the ring is moved round the part
    expect(trueDistance(distancesOf(SMALL, ring, 6), -x, -y)).toBeCloseTo(apart, 3);
  });
  it('has no room in one that is too small for it', () => {
    const tight: Region = { outline: box(0, 0, 300, 300), holes: [[...box(130, 130, 39, 300 - 170)].reverse()] };
    expect(nearDistance(distancesOf(tight, SMALL, 0), 130, 150)).toBeLessThan(0);
  });
});

const star = fc.array(fc.integer({ min: 20, max: 120 }), { minLength: 3, maxLength: 10 }).map((radii): Vec2[] =>
  radii.map((r, k) => {
    const angle = (2 * Math.PI * k) / radii.length;
    return [r * Math.cos(angle), r * Math.sin(angle)];
  }),
);

it('is that of the outlines themselves wherever they are near each other, for random stars (seed 3)', () => {
  fc.assert(
    fc.property(star, star, fc.double({ min: 0, max: 6.28, noNaN: true }), (a, b, angle) => {
      const table = distancesOf(solid(a), solid(b), 6);
      // outward along a ray until they stand the wanted distance apart by the outlines
      for (let r = 0; r < 400; r += 3) {
        const [x, y] = [r * Math.cos(angle), r * Math.sin(angle)];
        const apart = solidDistance(a, moved(b, x, y));
        const near = nearDistance(table, x, y);
        if (Math.abs(near - 6) < table.cellMm) {
          const told = trueDistance(table, x, y);
          expect(Math.max(0, told)).toBeCloseTo(apart, 2);
        }
        if (apart > 6 + table.cellMm) expect(near).toBeGreaterThan(6 - table.cellMm);
      }
    }),
    { seed: 3, numRuns: 60 },
  );
});

describe('the distance of parts with holes', () => {
  const ring: Region = { outline: box(0, 0, 100, 100), holes: [box(20, 20, 60, 60)] };
  it.each<[string, Region, number]>([
    ['beside it', solid(box(110, 0, 10, 10)), 10],
    ['in its hole', solid(box(25, 30, 10, 10)), 5],
    ['across the hole’s edge', solid(box(10, 30, 20, 10)), 0],
    ['over it', solid(box(-10, -10, 200, 200)), 0],
    ['round it, in a hole of its own', { outline: box(-50, -50, 200, 200), holes: [box(-3, -3, 106, 106)] }, 3],
  ])('%s', (_name, other, apart) => {
    expect(regionDistance(ring, other)).toBeCloseTo(apart, 9);
    expect(regionDistance(other, ring)).toBeCloseTo(apart, 9);
  });
});
