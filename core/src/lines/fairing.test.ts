import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { at, random, solveDense } from '../geometry';
import { demoProject } from '../project';
import { fairLine } from './fairing';
import type { Longitudinal } from './schema';

const line = (points: Longitudinal['points']): Longitudinal => ({ id: 'a', name: 'A', points });
const parabola = line(
  Array.from({ length: 9 }, (_, i) => ({
    station: String(i),
    x: 500 * i,
    halfBreadth: 400 + 90 * i - 8 * i * i,
    height: 300,
  })),
);
const shaken = (mm: number, seed: number): Longitudinal => {
  const next = random(seed);
  return line(parabola.points.map((p) => ({ ...p, halfBreadth: p.halfBreadth + 2 * mm * (next() - 0.5) })));
};
const done = (own: Longitudinal, toleranceMm: number): Longitudinal => {
  const changes = fairLine(own, toleranceMm);
  return line(
    own.points.map((p, i) => ({
      ...p,
      ...Object.fromEntries(changes.filter((c) => c.index === i).map((c) => [c.quantity, c.toMm])),
    })),
  );
};
const roughness = (own: Longitudinal): number =>
  own.points.slice(4).reduce((sum, p, i) => {
    const y = (k: number) => at(own.points, i + k).halfBreadth;
    return sum + (p.halfBreadth - 4 * y(3) + 6 * y(2) - 4 * y(1) + y(0)) ** 2;
  }, 0);

describe('fairing', () => {
  it('leaves a parabola alone, and a demo line nearly', () => {
    expect(fairLine(line(parabola.points.map((p) => ({ ...p, height: 0 }))), 3)).toEqual([]);
    for (const own of demoProject('tamsel', 'x').lines.longitudinals)
      for (const { fromMm, toMm } of fairLine(own, 3)) expect(Math.abs(toMm - fromMm)).toBeLessThan(1.8);
  });
  it('never moves a point further than asked, nor an end, a pinned point or one on the centreline (seed 21)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 999 }), fc.double({ min: 0.5, max: 8, noNaN: true }), (seed, tolerance) => {
        const given = shaken(12, seed);
        const own = line(
          given.points.map((p, i) => (i === 3 ? { ...p, isPinned: true } : i === 5 ? { ...p, halfBreadth: 0 } : p)),
        );
        for (const change of fairLine(own, tolerance)) {
          expect(Math.abs(change.toMm - change.fromMm)).toBeLessThanOrEqual(tolerance + 1e-9);
          expect([0, 3, 8]).not.toContain(change.index);
          expect(change.index === 5 && change.quantity === 'halfBreadth').toBe(false);
        }
      }),
      { seed: 21, numRuns: 60 },
    );
  });
  it('takes at least nine tenths of the roughness out of a line shaken by 2 mm (seeds 1 to 20)', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const before = shaken(2, seed);
      expect(roughness(done(before, 4))).toBeLessThan(0.1 * roughness(before));
    }
  });
  it('gives the best there is within tight bounds: no single point moved alone does better', () => {
    const before = shaken(6, 4);
    const after = done(before, 2);
    const least = roughness(after);
    for (let i = 1; i < 8; i++)
      for (const by of [-0.5, 0.5]) {
        const moved = at(after.points, i).halfBreadth + by;
        if (Math.abs(moved - at(before.points, i).halfBreadth) > 2) continue;
        const other = line(after.points.map((p, k) => (k === i ? { ...p, halfBreadth: moved } : p)));
        expect(roughness(other)).toBeGreaterThan(least - 8); // the weight on change and the rounding are worth so much
      }
  });
  it('keeps knuckles and says nothing of short pieces', () => {
    const own = line(shaken(9, 2).points.map((p, i) => (i === 4 ? { ...p, isKnuckle: true } : p)));
    for (const change of fairLine(own, 3)) expect(change.index).not.toBe(4);
    expect(fairLine(line(own.points.slice(0, 4)), 3)).toEqual([]);
    expect(fairLine(line(own.points.map((p) => ({ ...p, x: 0, halfBreadth: 0, height: 0 }))), 3)).toEqual([]);
  });
});

describe('solveDense', () => {
  it('solves what it is given (seed 3)', () => {
    const next = random(3);
    for (let n = 1; n < 9; n++) {
      const matrix = Array.from({ length: n }, () => Array.from({ length: n }, () => next() - 0.5));
      const x = Array.from({ length: n }, () => next());
      const right = matrix.map((row) => row.reduce((sum, a, j) => sum + a * at(x, j), 0));
      solveDense(matrix, right).forEach((value, i) => expect(value).toBeCloseTo(at(x, i), 9));
    }
    expect(() => solveDense([[0]], [1])).toThrow(/singular/);
  });
});
