import { describe, expect, it } from 'vitest';
import { at, distance3, type Vec3 } from '../geometry';
import { battenAt, bendLines } from '../lines';
import { bendBatten } from '../lines/batten';
import { drawnHull } from '../panels/fixtures/drawn-hulls';
import { edgesOf, panelIdOf, panelInputs } from '../panels/inputs';
import { cheapestPath, type Corner } from './ruling-path';
import type { EdgeCurve } from './edge-curve';
import { twistOf } from './twist';

const edge = (curve: (w: number) => Vec3, knuckles: readonly number[] = []): EdgeCurve => {
  const batten = bendBatten(
    Array.from({ length: 13 }, (_, i) => curve(i / 12)),
    knuckles,
  );
  return { at: (t, side) => battenAt(batten, t, side), knuckles: batten.breaks.slice(1, -1) };
};

/** Integral of twist² along a path over the mean length that it covers, fans left out: what the search makes least. */
function costOf(path: readonly Corner[], P: EdgeCurve, Q: EdgeCurve): number {
  const twist2 = ({ s, t }: Corner) => {
    const [p, q] = [P.at(s), Q.at(t)];
    return twistOf(p.position, p.first, q.position, q.first) ** 2;
  };
  return path.slice(1).reduce((sum, corner, k) => {
    if (corner.fan) return sum;
    const before = at(path, k);
    const length =
      (distance3(P.at(before.s).position, P.at(corner.s).position) +
        distance3(Q.at(before.t).position, Q.at(corner.t).position)) /
      2;
    return sum + (length * (twist2(before) + twist2(corner))) / 2;
  }, 0);
}

describe('the path of rulings, coarse to fine', () => {
  // two that do not develop, where the path is a compromise, and one that does
  it.each([
    [259, 'chine-upper-chine'],
    [28, 'upper-chine-sheer'],
    [3, 'keel-chine'],
  ])('of hull %i, %s, costs hardly more than that of the whole fine grid', (seed, id) => {
    const inputs = panelInputs(bendLines(drawnHull(seed).table).value);
    const input = inputs.find((other) => panelIdOf(other) === id) ?? at(inputs, 0);
    const [P, Q] = edgesOf(input);
    const [banded, whole] = [cheapestPath(P, Q, [32, 96]).corners, cheapestPath(P, Q, [96]).corners];
    expect(costOf(banded, P, Q)).toBeLessThan(1.1 * costOf(whole, P, Q) + 1e-3);
  });
  it('runs on in both parameters from the first ends to the last, on any grids', () => {
    for (let seed = 1; seed <= 12; seed++)
      for (const input of panelInputs(bendLines(drawnHull(seed).table).value)) {
        const { corners: path } = cheapestPath(...edgesOf(input), [16, 48, 144]);
        expect([at(path, 0).s, at(path, 0).t, at(path, -1).s, at(path, -1).t]).toEqual([0, 0, 1, 1]);
        path.slice(1).forEach(({ s, t }, k) => expect(s >= at(path, k).s && t >= at(path, k).t).toBe(true));
      }
  });
  it('takes grids that do not divide one another, and one alone', () => {
    const [P, Q] = [
      edge((w) => [3000 * w, 300 + 200 * w * (1 - w), 100]),
      edge((w) => [3100 * w, 480 + 220 * w * (1 - w), 480]),
    ];
    for (const grids of [[20, 50], [7, 31, 90], [64]]) {
      const { corners: path } = cheapestPath(P, Q, grids);
      for (const { s, t } of path) expect(Math.abs(s - t)).toBeLessThan(0.12);
    }
  });
  it('fans out from a knuckle', () => {
    const bent = (w: number): Vec3 => [3000 * w, 300, 100 + 260 * Math.max(0, w - 0.5)];
    const { corners: path } = cheapestPath(
      edge(bent, [6]),
      edge((w) => [3000 * w, 700, 500 + 130 * w]),
      [24, 72],
    );
    expect(path.some(({ s, fan }) => fan === 'P' && Math.abs(s - 0.5) < 0.02)).toBe(true);
  });
});
