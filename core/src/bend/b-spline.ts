/** Cubic B-splines on even spans, open at both ends: values and two derivatives by the parameter in [0, 1]. */
import { at } from '../geometry';

const DEGREE = 3;

export type Basis = {
  /** The first of the four that are not nought there. */
  readonly first: number;
  readonly value: readonly number[];
  readonly slope: readonly number[];
  readonly second: readonly number[];
};

/** So many control points has a spline of so many spans. */
export const controlCount = (spans: number): number => spans + DEGREE;

/** Open knots: four at either end. */
const knot = (spans: number, k: number): number => Math.min(1, Math.max(0, (k - DEGREE) / spans));

/** Worked out already, by spans and place: a sheet is asked for the same places again and again. */
const kept = new Map<number, Map<number, Basis>>();
const MOST_KEPT = 5000;

export function basisAt(spans: number, t: number): Basis {
  const own = kept.get(spans) ?? new Map<number, Basis>();
  kept.set(spans, own);
  const known = own.get(t);
  if (known) return known;
  if (own.size >= MOST_KEPT) own.clear();
  const made = madeBasis(spans, t);
  own.set(t, made);
  return made;
}

/** Cox and de Boor, with the derivatives by differences of the lower degrees (The NURBS Book, A2.3 worked out). */
function madeBasis(spans: number, t: number): Basis {
  const span = Math.min(spans - 1, Math.max(0, Math.floor(t * spans)));
  const i = span + DEGREE;
  const degrees: number[][] = [[1]];
  for (let p = 1; p <= DEGREE; p++) {
    const before = at(degrees, p - 1);
    degrees.push(
      Array.from({ length: p + 1 }, (_, r) => {
        const k = i - p + r;
        const [left, right] = [knot(spans, k + p) - knot(spans, k), knot(spans, k + p + 1) - knot(spans, k + 1)];
        const one = r > 0 && left > 0 ? ((t - knot(spans, k)) / left) * at(before, r - 1) : 0;
        const other = r < p && right > 0 ? ((knot(spans, k + p + 1) - t) / right) * at(before, r) : 0;
        return one + other;
      }),
    );
  }
  const lowered = (values: readonly number[], p: number): number[] =>
    Array.from({ length: p + 1 }, (_, r) => {
      const k = i - p + r;
      const [left, right] = [knot(spans, k + p) - knot(spans, k), knot(spans, k + p + 1) - knot(spans, k + 1)];
      const one = r > 0 && left > 0 ? at(values, r - 1) / left : 0;
      const other = r < p && right > 0 ? at(values, r) / right : 0;
      return p * (one - other);
    });
  return {
    first: span,
    value: at(degrees, DEGREE),
    slope: lowered(at(degrees, DEGREE - 1), DEGREE),
    second: lowered(lowered(at(degrees, DEGREE - 2), DEGREE - 1), DEGREE),
  };
}

/** Where each control point has its say most. */
export const greville = (spans: number): number[] =>
  Array.from(
    { length: controlCount(spans) },
    (_, k) => (knot(spans, k + 1) + knot(spans, k + 2) + knot(spans, k + 3)) / DEGREE,
  );
