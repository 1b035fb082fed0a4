/**
 * The curve that a batten takes through given points: an interpolating C2 cubic spline in space.
 *
 * Method: cubic spline with not-a-knot ends, parameter = cumulative chord length (de Boor, A Practical Guide to
 * Splines, ch. IV). Two points give a straight line, three a parabola. The unknowns are the second derivatives.
 * Conventions: `u` is the chord parameter in mm, from 0 to `uEnd`; it is close to, but not, the length along.
 * Accuracy: fourth order in the spacing of the points; at not-a-knot ends the constant is some ten times larger.
 */
import { at, distance3, length3, lerp3, type Vec3 } from './vec';

export type CurveTangent = { readonly position: Vec3; readonly first: Vec3 };
export type CurvePoint = CurveTangent & { readonly second: Vec3 };

export type Spline = {
  readonly knots: readonly number[];
  readonly points: readonly Vec3[];
  readonly seconds: readonly Vec3[];
};

/** Points nearer than this are one point: no plane or pencil tells them apart. */
export const SAME_POINT_MM = 1e-6;

/** Fits the spline. Needs two points or more, none on top of the one before. */
export function fitSpline(points: readonly Vec3[]): Spline {
  if (points.length < 2) throw new Error(`A spline needs 2 points, got ${points.length}`);
  const knots = [0];
  for (let i = 1; i < points.length; i++) {
    const chord = distance3(at(points, i - 1), at(points, i));
    if (chord < SAME_POINT_MM) throw new Error(`Points ${i - 1} and ${i} of a spline coincide`);
    knots.push(at(knots, -1) + chord);
  }
  const axes = [0, 1, 2].map((axis) =>
    secondDerivatives(
      knots,
      points.map((p) => p[axis] as number),
    ),
  );
  const seconds = points.map((_, i): Vec3 => [at(at(axes, 0), i), at(at(axes, 1), i), at(at(axes, 2), i)]);
  return { knots, points, seconds };
}

/** Second derivatives at the knots of one coordinate, not-a-knot ends. */
function secondDerivatives(knots: readonly number[], values: readonly number[]): number[] {
  const n = knots.length;
  if (n === 2) return [0, 0];
  const h = (i: number) => at(knots, i + 1) - at(knots, i);
  const slope = (i: number) => (at(values, i + 1) - at(values, i)) / h(i);
  if (n === 3) return Array.from({ length: 3 }, () => (2 * (slope(1) - slope(0))) / (h(0) + h(1)));

  // Tridiagonal in the interior; the end rows (equal third derivative across knots 1 and n-2) are eliminated.
  const lower: number[] = [],
    diagonal: number[] = [],
    upper: number[] = [],
    right: number[] = [];
  for (let i = 1; i < n - 1; i++) {
    lower.push(h(i - 1));
    diagonal.push(2 * (h(i - 1) + h(i)));
    upper.push(h(i));
    right.push(6 * (slope(i) - slope(i - 1)));
  }
  const first = h(0) / h(1);
  diagonal[0] = at(diagonal, 0) + h(0) * (1 + first);
  upper[0] = at(upper, 0) - h(0) * first;
  const last = h(n - 2) / h(n - 3);
  diagonal[n - 3] = at(diagonal, n - 3) + h(n - 2) * (1 + last);
  lower[n - 3] = at(lower, n - 3) - h(n - 2) * last;

  const inner = solveTridiagonal(lower, diagonal, upper, right);
  const start = at(inner, 0) * (1 + first) - (inner[1] ?? 0) * first;
  const end = at(inner, -1) * (1 + last) - (inner[n - 4] ?? 0) * last;
  return [start, ...inner, end];
}

function solveTridiagonal(lower: number[], diagonal: number[], upper: number[], right: number[]): number[] {
  const n = right.length;
  for (let i = 1; i < n; i++) {
    const factor = at(lower, i) / at(diagonal, i - 1);
    diagonal[i] = at(diagonal, i) - factor * at(upper, i - 1);
    right[i] = at(right, i) - factor * at(right, i - 1);
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) x[i] = (at(right, i) - at(upper, i) * (x[i + 1] ?? 0)) / at(diagonal, i);
  return x;
}

export const uEnd = (spline: Spline): number => at(spline.knots, -1);

/** Position and the first two derivatives by u; outside [0, uEnd] the end pieces go on. */
export function evaluate(spline: Spline, u: number): CurvePoint {
  const i = pieceOf(spline.knots, u); // and i + 1: in bounds
  const u0 = spline.knots[i]!;
  const b = (u - u0) / (spline.knots[i + 1]! - u0);
  return { ...evaluateTangent(spline, u), second: lerp3(spline.seconds[i]!, spline.seconds[i + 1]!, b) };
}

/** Position and first derivative by u: written out, since this is the innermost step of every search. */
export function evaluateTangent(spline: Spline, u: number): CurveTangent {
  const i = pieceOf(spline.knots, u); // and i + 1: in bounds, here and below
  const u0 = spline.knots[i]!;
  const h = spline.knots[i + 1]! - u0;
  const b = (u - u0) / h;
  const a = 1 - b;
  const p = spline.points[i]!;
  const q = spline.points[i + 1]!;
  const m = spline.seconds[i]!;
  const n = spline.seconds[i + 1]!;
  const sixth = h / 6;
  const slope = 1 / h;
  const dm = (1 - 3 * a * a) * sixth;
  const dn = (3 * b * b - 1) * sixth;
  const cm = (a * a - 1) * a * h * sixth;
  const cn = (b * b - 1) * b * h * sixth;
  return {
    position: [
      a * p[0] + b * q[0] + cm * m[0] + cn * n[0],
      a * p[1] + b * q[1] + cm * m[1] + cn * n[1],
      a * p[2] + b * q[2] + cm * m[2] + cn * n[2],
    ],
    first: [
      (q[0] - p[0]) * slope + dm * m[0] + dn * n[0],
      (q[1] - p[1]) * slope + dm * m[1] + dn * n[1],
      (q[2] - p[2]) * slope + dm * m[2] + dn * n[2],
    ],
  };
}

function pieceOf(knots: readonly number[], u: number): number {
  let low = 0;
  let high = knots.length - 2;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (knots[middle]! <= u)
      low = middle; // in bounds: low ≤ middle ≤ high
    else high = middle - 1;
  }
  return low;
}

/** Length along between two parameters: five-point Gauss-Legendre on every knot interval, split in four. */
export function arcLength(spline: Spline, from: number, to: number): number {
  if (to < from) return -arcLength(spline, to, from);
  const stops = [from, ...spline.knots.filter((knot) => knot > from && knot < to), to];
  let total = 0;
  for (let i = 1; i < stops.length; i++) total += gaussLength(spline, at(stops, i - 1), at(stops, i));
  return total;
}

const GAUSS: readonly (readonly [number, number])[] = [
  [0, 128 / 225],
  [0.5384693101056831, 0.47862867049936647],
  [-0.5384693101056831, 0.47862867049936647],
  [0.906179845938664, 0.23692688505618908],
  [-0.906179845938664, 0.23692688505618908],
];

function gaussLength(spline: Spline, from: number, to: number): number {
  const quarter = (to - from) / 4;
  let total = 0;
  for (let k = 0; k < 4; k++) {
    const middle = from + (k + 0.5) * quarter;
    for (const [x, weight] of GAUSS) {
      const { first } = evaluate(spline, middle + (x * quarter) / 2);
      total += (weight * length3(first) * quarter) / 2;
    }
  }
  return total;
}
