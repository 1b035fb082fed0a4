import { describe, expect, it } from 'vitest';
import { moved, random, turned, type Vec2 } from '../geometry';
import { referencePoints } from './reference-points';

const rectangle: Vec2[] = [
  [0, 0],
  [400, 0],
  [400, 300],
  [0, 300],
];

describe('referencePoints', () => {
  it('are the corners that are farthest apart, the left one first', () => {
    // a point in the middle of a straight side is no corner
    const { points, isBox } = referencePoints([...rectangle.slice(0, 1), [200, 0], ...rectangle.slice(1)]);
    expect(isBox).toBe(false);
    expect(Math.hypot(points[1][0] - points[0][0], points[1][1] - points[0][1])).toBe(500);
    expect(points[0][0]).toBeLessThan(points[1][0]);
  });
  it.each([1, 2, 3])('follow the part wherever it is put, so that it lies there again (seed %i)', (seed) => {
    const next = random(seed);
    const angle = (next() - 0.5) * 0.8;
    const kite: Vec2[] = [
      [0, 0],
      [900, -60],
      [1000, 140],
      [30, 200],
    ];
    const [x, y] = [100 * next(), 100 * next()];
    const own = referencePoints(kite).points;
    const there = referencePoints(moved(turned(kite, angle), x, y)).points;
    const put = own.map((p) => moved(turned([p], angle), x, y)[0]!);
    there.flat().forEach((mm, k) => expect(mm).toBeCloseTo(put.flat()[k]!, 9));
  });
  it('are corners of the box round a part that is all curve', () => {
    const round = Array.from({ length: 60 }, (_, k): Vec2 => [
      50 * Math.cos((k * Math.PI) / 30),
      50 * Math.sin((k * Math.PI) / 30),
    ]);
    const { points, isBox } = referencePoints(round);
    expect(isBox).toBe(true);
    expect(points.flat().map(Math.round)).toEqual([-50, -50, 50, 50]);
  });
});
