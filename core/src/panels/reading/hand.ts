/**
 * The hand method: a panel triangulated from station to station, as a builder does with dividers, beside the
 * development.
 *
 * Method: at the stations both lines are measured; each bay is two triangles, of the true lengths of its straight sides
 * and one diagonal, laid out bay by bay. The error is what is left of the distances between its corners and the same
 * places on the development after the best rigid motion of one onto the other (two-dimensional Procrustes).
 */
import { at, distance2, lerp2, lerp3, type Vec2, type Vec3 } from '../../geometry';
import type { Panel } from '../panel';
import { layFlat, type LaidRuling } from '../../surface';

export type HandLayout = {
  /** Corners of the lower and of the upper edge, laid over the development. */
  readonly lower: readonly Vec2[];
  readonly upper: readonly Vec2[];
  /** Greatest distance of a corner from its place on the development, mm. */
  readonly offMm: number;
  /** x of the station where that is. */
  readonly worstX: number;
};

/** @param xs where the panel is measured, besides its ends */
export function layByHand(panel: Panel, xs: readonly number[]): HandLayout {
  const { rulings } = panel;
  const lower = [0, ...placesOf(rulings, 'p', xs), rulings.length - 1];
  const upper = [0, ...placesOf(rulings, 'q', xs), rulings.length - 1];
  const count = Math.min(lower.length, upper.length);
  const read = (end: 'p' | 'q', k: number): Vec3 => {
    const i = Math.min(rulings.length - 2, Math.floor(k));
    return lerp3(at(rulings, i)[end], at(rulings, i + 1)[end], k - i);
  };
  // compared on the lines' own surface, shown over what is cut
  const own = layFlat(
    rulings.map((r) => r.p),
    rulings.map((r) => r.q),
  );
  const cut = { p: rulings.map((r) => r.flatP), q: rulings.map((r) => r.flatQ) };
  const readFlat = (flat: readonly Vec2[], k: number): Vec2 => {
    const i = Math.min(rulings.length - 2, Math.floor(k));
    return lerp2(at(flat, i), at(flat, i + 1), k - i);
  };
  const from = (places: readonly number[]) => [...places.slice(0, count - 1), at(places, -1)];
  const [lowerAt, upperAt] = [from(lower), from(upper)];
  const ps = lowerAt.map((k) => read('p', k));
  const qs = upperAt.map((k) => read('q', k));
  const hand = layFlat(ps, qs);
  const corners = [...hand.p, ...hand.q];
  const placesOn = (flat: { readonly p: readonly Vec2[]; readonly q: readonly Vec2[] }) => [
    ...lowerAt.map((k) => readFlat(flat.p, k)),
    ...upperAt.map((k) => readFlat(flat.q, k)),
  ];
  const target = placesOn(own);
  const offs = laidOver(corners, target).map((p, i) => distance2(p, at(target, i)));
  const laid = laidOver(corners, placesOn(cut));
  const worst = offs.indexOf(Math.max(...offs));
  return {
    lower: laid.slice(0, ps.length),
    upper: laid.slice(ps.length),
    offMm: at(offs, worst),
    worstX: at([...ps, ...qs], worst)[0],
  };
}

/**
 * Where one end of the rulings passes each x, as a ruling's index and a fraction; every station must pass both ends.
 */
function placesOf(rulings: readonly LaidRuling[], end: 'p' | 'q', xs: readonly number[]): number[] {
  const inside = (x: number) =>
    (['p', 'q'] as const).every((e) => at(rulings, 0)[e][0] + 1 < x && x < at(rulings, -1)[e][0] - 1);
  return xs.filter(inside).flatMap((x) => {
    const k = rulings.findIndex((r, i) => i > 0 && at(rulings, i - 1)[end][0] <= x && r[end][0] > x);
    if (k < 1) return [];
    const [a, b] = [at(rulings, k - 1)[end][0], at(rulings, k)[end][0]];
    return [k - 1 + (x - a) / (b - a)];
  });
}

/** Points turned and moved, not stretched, to lie best on their targets. */
function laidOver(points: readonly Vec2[], target: readonly Vec2[]): Vec2[] {
  const mean = (all: readonly Vec2[], axis: 0 | 1) => all.reduce((sum, p) => sum + p[axis], 0) / all.length;
  const [pu, pv, tu, tv] = [mean(points, 0), mean(points, 1), mean(target, 0), mean(target, 1)];
  let [dot, cross] = [0, 0];
  points.forEach(([u, v], i) => {
    const [x, y] = at(target, i);
    dot += (u - pu) * (x - tu) + (v - pv) * (y - tv);
    cross += (u - pu) * (y - tv) - (v - pv) * (x - tu);
  });
  const size = Math.hypot(dot, cross) || 1;
  const [c, s] = [dot / size, cross / size];
  return points.map(([u, v]) => [c * (u - pu) - s * (v - pv) + tu, s * (u - pu) + c * (v - pv) + tv]);
}
