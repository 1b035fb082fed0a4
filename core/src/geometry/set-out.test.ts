import { describe, expect, it } from 'vitest';
import { area, boundsOf, contains, solidDistance } from './polygon';
import { random } from './random';
import { setOut, type SetOutSide } from './set-out';
import { at, type Vec2 } from './vec';

const square: readonly Vec2[] = [
  [0, 0],
  [100, 0],
  [100, 60],
  [0, 60],
];
/** Each side of a ring by itself. */
const sidesOf = (ring: readonly Vec2[], outs: readonly number[]): SetOutSide[] =>
  ring.map((from, i) => ({ points: [from, at(ring, (i + 1) % ring.length)], outMm: at(outs, i % outs.length) }));

describe('setOut', () => {
  it('moves each side of a rectangle by its own amount', () => {
    const box = boundsOf(setOut(sidesOf(square, [5, 10, 0, 20])));
    expect(box).toEqual({ minX: -20, minY: -5, maxX: 110, maxY: 60 });
  });
  it('leaves an outline alone where nothing moves', () => {
    expect(setOut(sidesOf(square, [0]))).toEqual(square);
  });
  it('keeps a step between two amounts on one straight line', () => {
    // the lower side in two halves, 10 and 0: 50 × 10 more
    const sides: SetOutSide[] = [
      { points: [at(square, 0), [50, 0]], outMm: 10 },
      { points: [[50, 0], at(square, 1), at(square, 2), at(square, 3), at(square, 0)], outMm: 0 },
    ];
    expect(area(setOut(sides))).toBeCloseTo(6000 + 500, 3);
  });
  it('moves a circle by chords to a circle', () => {
    const ring = Array.from({ length: 360 }, (_, k): Vec2 => {
      const angle = (k * Math.PI) / 180;
      return [200 * Math.cos(angle), 200 * Math.sin(angle)];
    });
    // corners of a regular polygon move along their radius by 12 over the cosine of half a step
    const radii = setOut([{ points: [...ring, at(ring, 0)], outMm: 12 }]).map((p) => Math.hypot(...p));
    const expected = 200 + 12 / Math.cos(Math.PI / 360);
    expect(Math.max(...radii.map((r) => Math.abs(r - expected)))).toBeLessThan(2e-4);
  });
  it('takes away the loop of a hollow that is tighter than the amount', () => {
    const hollow = Array.from({ length: 41 }, (_, k): Vec2 => {
      const angle = Math.PI - (k * Math.PI) / 40;
      return [50 + 8 * Math.cos(angle), 60 - 8 * Math.sin(angle)];
    }).reverse();
    const ring: readonly Vec2[] = [[0, 0], [100, 0], [100, 60], ...hollow, [0, 60]];
    const grown = setOut([{ points: [...ring, at(ring, 0)], outMm: 20 }]);
    // the hollow's mouth is 16 wide: closed at the new edge, nothing else is left of it
    expect(boundsOf(grown)).toEqual({ minX: -20, minY: -20, maxX: 120, maxY: 80 });
    expect(area(grown)).toBeGreaterThan(140 * 100 - 16 * 8);
  });
  it('cuts off a point that would run away', () => {
    const needle: readonly Vec2[] = [
      [0, 0],
      [400, 10],
      [0, 20],
    ];
    const { maxX } = boundsOf(setOut(sidesOf(needle, [10])));
    expect(maxX).toBeGreaterThan(409);
    expect(maxX).toBeLessThan(442);
  });
  for (const seed of [1, 2, 3, 4, 5, 6])
    it(`holds the outline, and stands off by the least amount at least, seed ${seed}`, () => {
      const next01 = random(seed);
      const ring = Array.from({ length: 24 }, (_, k): Vec2 => {
        const [angle, r] = [(k * Math.PI) / 12, 80 + 60 * next01()];
        return [r * Math.cos(angle), r * Math.sin(angle)];
      });
      const outs = ring.map(() => 3 + 9 * next01());
      const grown = setOut(sidesOf(ring, outs));
      for (const p of ring) expect(contains(grown, p)).toBe(true);
      const least = Math.min(...grown.map((p) => solidDistance(ring, [p])));
      expect(least).toBeGreaterThan(3 - 1e-3);
    });
});
