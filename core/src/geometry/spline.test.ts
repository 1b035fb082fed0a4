import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arcLength, evaluate, fitSpline, uEnd } from './spline';
import { distance3, type Vec3 } from './vec';

describe('fitSpline', () => {
  it('passes through its points', () => {
    const points: Vec3[] = [
      [0, 0, 0],
      [100, 30, 5],
      [180, 70, 20],
      [300, 90, 60],
      [390, 95, 120],
    ];
    const spline = fitSpline(points);
    points.forEach((p, i) =>
      expect(distance3(evaluate(spline, spline.knots[i] as number).position, p)).toBeLessThan(1e-9),
    );
  });

  it('bends through points on a line as a straight line, and through three as a parabola', () => {
    const line = fitSpline([
      [0, 0, 0],
      [10, 20, 0],
      [40, 80, 0],
      [50, 100, 0],
    ]);
    const middle = evaluate(line, uEnd(line) / 2).position;
    expect(middle[1] - 2 * middle[0]).toBeCloseTo(0, 9);
    // Points of y = x²/100 at even chords would need uneven x; the parabola in u has constant second derivative.
    const three = fitSpline([
      [0, 0, 0],
      [50, 10, 0],
      [100, 0, 0],
    ]);
    expect(evaluate(three, 3).second).toEqual(evaluate(three, 90).second);
  });

  it('has continuous slope and curvature at the inner points', () => {
    const spline = fitSpline([
      [0, 0, 0],
      [100, 30, 5],
      [180, 70, 20],
      [300, 90, 60],
      [390, 95, 120],
    ]);
    for (const knot of spline.knots.slice(1, -1)) {
      const [before, after] = [evaluate(spline, knot - 1e-7), evaluate(spline, knot)];
      expect(distance3(before.first, after.first)).toBeLessThan(1e-6);
      expect(distance3(before.second, after.second)).toBeLessThan(1e-6);
    }
  });

  it('is not-a-knot: one cubic over the first two and over the last two pieces', () => {
    const spline = fitSpline([
      [0, 0, 0],
      [100, 30, 5],
      [180, 70, 20],
      [300, 90, 60],
      [390, 95, 120],
      [500, 90, 150],
    ]);
    const third = (u: number) => (evaluate(spline, u + 1).second[1] - evaluate(spline, u).second[1]) / 1;
    const k = spline.knots as number[];
    expect(third((k[1] as number) - 5)).toBeCloseTo(third((k[1] as number) + 5), 9);
    expect(third((k[4] as number) - 5)).toBeCloseTo(third((k[4] as number) + 5), 9);
  });

  it('follows a circle of 1 m to 0.06 mm from points every 10°, and measures its length', () => {
    const points = Array.from({ length: 10 }, (_, i): Vec3 => {
      const angle = (i * 10 * Math.PI) / 180;
      return [1000 * Math.cos(angle), 1000 * Math.sin(angle), 0];
    });
    const spline = fitSpline(points);
    for (let k = 0; k <= 50; k++) {
      const [x, y] = evaluate(spline, (uEnd(spline) * k) / 50).position;
      expect(Math.abs(Math.hypot(x, y) - 1000)).toBeLessThan(0.06);
    }
    expect(arcLength(spline, 0, uEnd(spline))).toBeCloseTo((Math.PI / 2) * 1000, 1);
  });

  it('turns, moves and scales with its points (seed 4)', () => {
    const coordinate = fc.double({ min: -500, max: 500, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(coordinate, coordinate), { minLength: 4, maxLength: 9 }), (pairs) => {
        const points = pairs.map(([y, z], i): Vec3 => [i * 100, y, z]);
        const turn = ([x, y, z]: Vec3): Vec3 => [2 * z + 7, 2 * x - 3, 2 * y];
        const [plain, other] = [fitSpline(points), fitSpline(points.map(turn))];
        const u = uEnd(plain) * 0.37;
        return distance3(turn(evaluate(plain, u).position), evaluate(other, 2 * u).position) < 1e-6;
      }),
      { seed: 4 },
    );
  });

  it('throws on our own mistakes', () => {
    expect(() => fitSpline([[0, 0, 0]])).toThrow(/2 points/);
    expect(() =>
      fitSpline([
        [0, 0, 0],
        [0, 0, 0],
      ]),
    ).toThrow(/coincide/);
  });
});
