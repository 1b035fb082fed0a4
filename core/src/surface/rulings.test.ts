import { describe, expect, it } from 'vitest';
import { at, type Vec3 } from '../geometry';
import { battenAt, bendLines } from '../lines';
import { bendBatten } from '../lines/batten';
import { findRulings, type Ruling } from './rulings';
import type { EdgeCurve } from './edge-curve';
import { twistOf } from './twist';
import { drawnHull } from '../panels/fixtures/drawn-hulls';
import { obliqueCylinder } from '../panels/fixtures/exact-shapes';
import { edgesOf, panelInputs } from '../panels/inputs';

const edge = (curve: (w: number) => Vec3, count = 21): EdgeCurve => {
  const batten = bendBatten(Array.from({ length: count }, (_, i) => curve(i / (count - 1))));
  return { at: (t, side) => battenAt(batten, t, side), knuckles: [] };
};
const isMonotone = (rulings: readonly Ruling[]): boolean =>
  rulings.every((ruling, k) => k === 0 || (ruling.s >= at(rulings, k - 1).s && ruling.t >= at(rulings, k - 1).t));

describe('the twist of a ruling', () => {
  it('is the angle between the tangent planes: worked by hand', () => {
    // the ruling runs up z; one tangent along x, the other turned by 30° about z
    const turned: Vec3 = [Math.cos(Math.PI / 6), Math.sin(Math.PI / 6), 0];
    expect(twistOf([0, 0, 0], [1, 0, 0], [0, 0, 5], turned)).toBeCloseTo(Math.PI / 6, 12);
    expect(twistOf([0, 0, 0], turned, [0, 0, 5], [1, 0, 0])).toBeCloseTo(-Math.PI / 6, 12);
  });
  it('does not care how long tangents or rulings are, nor for tangents’ lean along the ruling', () => {
    const plain = twistOf([0, 0, 0], [1, 0, 0], [0, 0, 5], [1, 1, 0]);
    expect(twistOf([0, 0, 0], [40, 0, 3], [0, 0, 0.5], [2, 2, -7])).toBeCloseTo(plain, 12);
  });
  it('is a half turn where the surface folds back on itself', () => {
    expect(Math.abs(twistOf([0, 0, 0], [1, 0, 0], [0, 0, 5], [-1, 0, 0]))).toBeCloseTo(Math.PI, 12);
  });
  it('is a right angle where a line runs along the ruling, and nought where there is no ruling', () => {
    expect(twistOf([0, 0, 0], [0, 0, 1], [0, 0, 5], [1, 0, 0])).toBe(Math.PI / 2);
    expect(twistOf([1, 1, 1], [1, 0, 0], [1, 1, 1], [0, 1, 0])).toBe(0);
  });
});

describe('the rulings between two lines', () => {
  const low = (w: number): Vec3 => [4000 * w, 300 + 700 * w * (1 - w), 100 - 80 * w * (1 - w)];
  const high = (w: number): Vec3 => [4200 * w - 100, 420 + 760 * w * (1 - w), 520 - 60 * w * (1 - w)];

  it('are those of the cylinder: all parallel, within 0.5°', () => {
    const shape = obliqueCylinder({ radius: 900, leanRad: 0.35, arcRad: 1.6, height: 450 });
    const [P, Q] = [edge(shape.p), edge(shape.q)];
    for (const ruling of findRulings(P, Q).filter((other) => !other.fan)) {
      const [p, q] = [P.at(ruling.s).position, Q.at(ruling.t).position];
      // the cylinder's axis leans 0.35 rad from upright in the profile
      const along =
        ((q[0] - p[0]) * Math.sin(0.35) + (q[2] - p[2]) * Math.cos(0.35)) /
        Math.hypot(...q.map((c, k) => c - at(p, k)));
      expect(Math.acos(Math.min(1, along))).toBeLessThan((0.5 * Math.PI) / 180);
    }
  });
  it('begin and end with the panel’s ends, and never cross', () => {
    const rulings = findRulings(edge(low), edge(high));
    expect([at(rulings, 0).s, at(rulings, 0).t]).toEqual([0, 0]);
    expect(at(rulings, -1).s + at(rulings, -1).t).toBeCloseTo(2, 12);
    expect(isMonotone(rulings)).toBe(true);
  });
  it('are the same from either side: the lines swapped, the rulings swapped', () => {
    const [one, two] = [findRulings(edge(low), edge(high)), findRulings(edge(high), edge(low))];
    const tAt = (rulings: readonly Ruling[], s: number, from: 's' | 't', to: 's' | 't') => {
      const k = rulings.findIndex((r, i) => i > 0 && r[from] >= s);
      const [a, b] = [at(rulings, k - 1), at(rulings, k)];
      return a[to] + ((s - a[from]) / (b[from] - a[from])) * (b[to] - a[to]);
    };
    for (const s of [0.2, 0.4, 0.6, 0.8])
      expect(Math.abs(tAt(one, s, 's', 't') - tAt(two, s, 't', 's'))).toBeLessThan(2e-3);
  });
  it('are the mirror’s mirror', () => {
    const over =
      (f: (w: number) => Vec3) =>
      (w: number): Vec3 => {
        const [x, y, z] = f(w);
        return [x, -y, z];
      };
    const [plain, mirror] = [findRulings(edge(low), edge(high)), findRulings(edge(over(low)), edge(over(high)))];
    plain.forEach((ruling, k) => expect(Math.abs(ruling.s - at(mirror, k).s)).toBeLessThan(1e-7));
  });
  it('come out of the point of a pointed panel', () => {
    const tip = low(0);
    const meets = (w: number): Vec3 => [tip[0] + 4100 * w, tip[1] + 600 * w - 300 * w * w, tip[2] + 420 * w];
    const rulings = findRulings(edge(low), edge(meets));
    expect(isMonotone(rulings)).toBe(true);
    for (const ruling of rulings) expect(Number.isFinite(ruling.twistRad)).toBe(true);
  });
  it('hardly change with a finer search: the grid is fine enough', () => {
    const [coarse, fine] = [
      [24, 48, 288],
      [32, 128, 512],
    ].map((grids) => findRulings(edge(low), edge(high), { grids, rulingCount: 100 }));
    coarse?.forEach((ruling) => {
      const near = fine?.find((other) => Math.abs(other.s + other.t - ruling.s - ruling.t) < 1e-9);
      if (near && !near.fan && !ruling.fan) expect(Math.abs(near.s - ruling.s)).toBeLessThan(1e-6);
    });
  });

  it.each([11, 83, 95, 134, 181, 283])('leave no more twist than the finest grid does: drawn hull %i', (seed) => {
    // on each of these a coarse path lies too far from some roots for them to be found from it
    for (const input of panelInputs(bendLines(drawnHull(seed).table).value)) {
      const [P, Q] = edgesOf(input);
      const worst = (rulings: readonly Ruling[]) =>
        Math.max(...rulings.slice(1, -1).map(({ twistRad, fan }) => (fan ? 0 : Math.abs(twistRad))));
      const finest = worst(findRulings(P, Q, { grids: [288], rulingCount: 200 }));
      expect(worst(findRulings(P, Q))).toBeLessThan(finest + 0.002); // 0.1°
    }
  });
});
