import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  area,
  boundsOf,
  contains,
  counterClockwise,
  crossesItself,
  intersectionOf,
  mirrored,
  moved,
  segmentsCross,
  signedArea,
  solidDistance,
  turned,
  unionOf,
  widened,
  type Outline,
} from './polygon';
import { crossings, distanceToSegment, pointAtLength, polylineLength, simplify } from './polyline';
import { at, distance2, type Vec2 } from './vec';

const square = (size: number, x = 0, y = 0): Outline => [
  [x, y],
  [x + size, y],
  [x + size, y + size],
  [x, y + size],
];
const total = (rings: readonly Outline[]) => rings.reduce((sum, ring) => sum + signedArea(ring), 0);
const star = fc
  .array(fc.integer({ min: 10, max: 90 }), { minLength: 3, maxLength: 11 })
  .map((radii) =>
    radii.map((r, k): Vec2 => [
      r * Math.cos((2 * Math.PI * k) / radii.length),
      r * Math.sin((2 * Math.PI * k) / radii.length),
    ]),
  );

describe('outlines', () => {
  it('have the area worked by hand: a square less its notch', () => {
    const notched: Outline = [...square(10).slice(0, 3), [5, 10], [5, 5], [0, 5]];
    expect(signedArea(notched)).toBe(75);
    expect(signedArea([...notched].reverse())).toBe(-75);
    expect(signedArea(counterClockwise([...notched].reverse()))).toBe(75);
  });

  it('keep area and distances when turned, moved or mirrored (seed 9)', () => {
    fc.assert(
      fc.property(star, fc.double({ min: -7, max: 7, noNaN: true }), (outline, angle) => {
        const other = moved(turned(outline, angle), 12, -5);
        expect(Math.abs(area(other) - area(outline))).toBeLessThan(1e-8);
        expect(signedArea(mirrored(outline))).toBeCloseTo(-signedArea(outline), 8);
        expect(distance2(at(other, 0), at(other, 2))).toBeCloseTo(distance2(at(outline, 0), at(outline, 2)), 9);
      }),
      { seed: 9 },
    );
  });

  it('turn squarely by quarters: not a hair off', () => {
    expect(turned([[3, 1]], Math.PI / 2)).toEqual([[-1, 3]]);
    expect(turned([[3, 1]], -Math.PI)).toEqual([[-3, -1]]);
    expect(boundsOf(turned(square(7), (3 * Math.PI) / 2))).toEqual({ minX: 0, minY: -7, maxX: 7, maxY: 0 });
  });

  it('know inside, outside and the edge itself', () => {
    const hollow: Outline = [
      [0, 0],
      [10, 0],
      [10, 10],
      [8, 10],
      [8, 2],
      [2, 2],
      [2, 10],
      [0, 10],
    ];
    expect(
      [
        [1, 5],
        [5, 1],
        [9, 9],
      ].map((p) => contains(hollow, p as unknown as Vec2)),
    ).toEqual([true, true, true]);
    expect(
      [
        [5, 5],
        [11, 5],
        [-1, 0],
      ].map((p) => contains(hollow, p as unknown as Vec2)),
    ).toEqual([false, false, false]);
    expect(
      [
        [0, 0],
        [5, 2],
        [8, 6],
      ].map((p) => contains(hollow, p as unknown as Vec2)),
    ).toEqual([true, true, true]);
  });

  it('cross themselves or do not', () => {
    expect(crossesItself(square(5))).toBe(false);
    expect(
      crossesItself([
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ]),
    ).toBe(true);
    expect(segmentsCross([0, 0], [2, 2], [0, 2], [2, 0])).toBe(true);
    expect(segmentsCross([0, 0], [2, 2], [2, 2], [4, 0])).toBe(false); // end to end
  });

  it('are as far apart as they look: side by side, cornerwise, one in the other', () => {
    expect(solidDistance(square(10), square(10, 13))).toBe(3);
    expect(solidDistance(square(10), square(10, 13, 14))).toBe(5);
    expect(solidDistance(square(10), square(2, 4, 4))).toBe(0);
    expect(solidDistance(square(10), square(10, 5, 5))).toBe(0);
  });

  it('add, cut and widen as squares do', () => {
    const [a, b] = [square(10), square(10, 6)];
    expect(total(unionOf([a, b]))).toBeCloseTo(160, 6);
    expect(total(intersectionOf([a], [b]))).toBeCloseTo(40, 6);
    expect(total(widened(a, 2))).toBeCloseTo(196, 6);
    expect(total(widened(a, -2))).toBeCloseTo(36, 6);
    expect(widened(a, -6)).toEqual([]);
  });

  it('share: union and intersection add up to both (seed 10)', () => {
    fc.assert(
      fc.property(star, star, (a, b) => {
        const other = moved(b, 40, 10);
        const both = total(unionOf([a, other])) + total(intersectionOf([a], [other]));
        expect(Math.abs(both - area(a) - area(other))).toBeLessThan(0.05);
      }),
      { seed: 10 },
    );
  });
});

describe('polylines', () => {
  const hook: Vec2[] = [
    [0, 0],
    [30, 40],
    [30, 100],
    [-20, 100],
  ];
  it('are as long as their parts, and have a place at every length', () => {
    expect(polylineLength(hook)).toBe(160);
    expect(pointAtLength(hook, 80)).toEqual([30, 70]);
    expect(pointAtLength(hook, -5)).toEqual([0, 0]);
    expect(pointAtLength(hook, 999)).toEqual([-20, 100]);
  });
  it('are crossed where they are', () => {
    expect(crossings(hook, 1, 20)).toEqual([[15, 20]]);
    expect(crossings([...hook, [0, 0]], 1, 50).length).toBe(2);
    expect(crossings(hook, 0, 99)).toEqual([]);
  });
  it('measure to the nearest point of a segment, its ends included', () => {
    expect(distanceToSegment([5, 3], [0, 0], [10, 0])).toBe(3);
    expect(distanceToSegment([14, 3], [0, 0], [10, 0])).toBe(5);
    expect(distanceToSegment([3, 4], [0, 0], [0, 0])).toBe(5);
  });
  it('lose points when simplified, never more than the tolerance away (seed 11)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 0, max: 500, noNaN: true }), fc.double({ min: 0, max: 60, noNaN: true })), {
          minLength: 2,
          maxLength: 30,
        }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (points, tolerance) => {
          const fewer = simplify(points, tolerance);
          expect(fewer[0]).toBe(points[0]);
          expect(fewer[fewer.length - 1]).toBe(points[points.length - 1]);
          for (const p of points) {
            const off = Math.min(...fewer.slice(1).map((q, i) => distanceToSegment(p, at(fewer, i), q)));
            expect(off).toBeLessThanOrEqual(tolerance + 1e-9);
          }
        },
      ),
      { seed: 11 },
    );
  });
});
