/**
 * Points as a batten sprung past them would have them: each moved by no more than is allowed, ends left where they are.
 *
 * Method: the points that together are nearest to the measured ones and bend least, Σ(p − m)² + λ·Σ w·(p″)², p″ by
 * divided differences over the chords (Whittaker, 1923). How much is smoothed, λ, is what predicts each point best from
 * the others (generalised cross-validation: Craven and Wahba, 1979), or less, so that none moves further than allowed.
 * Points without error so stay where they are.
 */
import { at, distance2, type Vec2 } from '../../geometry';

/** Powers of ten of λ that are tried, over the cube of the points' spacing. */
const POWERS = Array.from({ length: 19 }, (_, i) => -4 + i * 0.5);
/** Of fewer between the ends none can be told to be wrong. */
const LEAST_BETWEEN = 3;

export function faired(points: readonly Vec2[], mostMm: number): readonly Vec2[] {
  const between = points.length - 2;
  if (mostMm <= 0 || between < LEAST_BETWEEN || hasRepeats(points)) return points;
  const bends = bendingOf(points);
  const spacing = lengthOf(points) / (points.length - 1);
  const tried = POWERS.map((power) => smoothed(points, bends, 10 ** power * spacing ** 3));
  const best = tried.reduce((least, one, i) => (one.score < at(tried, least).score ? i : least), 0);
  for (let i = best; i >= 0; i--) if (at(tried, i).movedMm <= mostMm) return at(tried, i).points;
  return points;
}

const hasRepeats = (points: readonly Vec2[]): boolean =>
  points.some((p, i) => i > 0 && distance2(p, at(points, i - 1)) < 1e-6);
const lengthOf = (points: readonly Vec2[]): number =>
  points.reduce((sum, p, i) => (i === 0 ? 0 : sum + distance2(at(points, i - 1), p)), 0);

/** A row a point between the ends: what of it and its neighbours makes its second derivative, times √weight. */
type Bending = readonly (readonly [number, number, number])[];

function bendingOf(points: readonly Vec2[]): Bending {
  return points.slice(1, -1).map((p, k) => {
    const [before, after] = [distance2(at(points, k), p), distance2(p, at(points, k + 2))];
    const weight = Math.sqrt((before + after) / 2) * (2 / (before + after));
    return [weight / before, -weight * (1 / before + 1 / after), weight / after];
  });
}

type Smoothed = { readonly points: readonly Vec2[]; readonly movedMm: number; readonly score: number };

function smoothed(points: readonly Vec2[], bends: Bending, lambda: number): Smoothed {
  const n = bends.length;
  // unknowns are the points between the ends; a row of bends touches its own and both beside it
  const matrix = Array.from({ length: n }, (_, i) =>
    Array.from<unknown, number>({ length: n }, (__, j) => (i === j ? 1 : 0)),
  );
  const right = points.slice(1, -1).map((p): [number, number] => [p[0], p[1]]);
  bends.forEach((row, k) => {
    row.forEach((a, s) => {
      const i = k + s - 1;
      if (i < 0 || i >= n) return;
      row.forEach((b, t) => {
        const j = k + t - 1;
        if (j >= 0 && j < n) at(matrix, i)[j] = at(at(matrix, i), j) + lambda * a * b;
        else {
          const end = at(points, j < 0 ? 0 : -1);
          const own = at(right, i);
          own[0] -= lambda * a * b * end[0];
          own[1] -= lambda * a * b * end[1];
        }
      });
    });
  });
  const solve = bandSolver(matrix);
  const columns = [0, 1].map((axis) => solve(right.map((r) => at(r, axis))));
  const made = points.map((p, i): Vec2 =>
    i === 0 || i > n ? p : [at(at(columns, 0), i - 1), at(at(columns, 1), i - 1)],
  );
  const off = made.map((p, i) => distance2(p, at(points, i)));
  const trace = matrix.reduce((sum, _, k) => sum + at(solve(matrix.map((__, m) => (m === k ? 1 : 0))), k), 0);
  const score = off.reduce((sum, d) => sum + d * d, 0) / Math.max(1e-9, (n - trace) ** 2);
  return { points: made, movedMm: Math.max(...off), score };
}

/** A row has to do with so many beside it. */
const BAND = 2;

/** Solves for a symmetric positive matrix that is nought beyond its band: Cholesky, as L·Lᵀ. */
function bandSolver(matrix: readonly (readonly number[])[]): (right: readonly number[]) => number[] {
  const n = matrix.length;
  const lower = matrix.map(() => new Array<number>(n).fill(0));
  const inBand = (i: number) => Math.max(0, i - BAND);
  for (let i = 0; i < n; i++)
    for (let j = inBand(i); j <= i; j++) {
      let sum = at(at(matrix, i), j);
      for (let k = inBand(i); k < j; k++) sum -= at(at(lower, i), k) * at(at(lower, j), k);
      at(lower, i)[j] = i === j ? Math.sqrt(sum) : sum / at(at(lower, j), j);
    }
  return (right) => {
    const x = [...right];
    for (let i = 0; i < n; i++) {
      for (let k = inBand(i); k < i; k++) x[i] = at(x, i) - at(at(lower, i), k) * at(x, k);
      x[i] = at(x, i) / at(at(lower, i), i);
    }
    for (let i = n - 1; i >= 0; i--) {
      for (let k = i + 1; k <= Math.min(n - 1, i + BAND); k++) x[i] = at(x, i) - at(at(lower, k), i) * at(x, k);
      x[i] = at(x, i) / at(at(lower, i), i);
    }
    return x;
  };
}
