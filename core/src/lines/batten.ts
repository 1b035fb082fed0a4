/**
 * A longitudinal as the batten takes it: C2 splines in space from knuckle to knuckle, with one parameter t in [0, 1].
 *
 * Method: see geometry/spline.ts; t is proportional to cumulative chord length over the whole line. At a knuckle the
 * tangent has two values: `side` says which is meant.
 */
import {
  at,
  bracketedRoot,
  evaluate,
  evaluateTangent,
  fitSpline,
  uEnd,
  type CurvePoint,
  type CurveTangent,
  type Spline,
  type Vec3,
} from '../geometry';

export type Batten = {
  readonly pieces: readonly Spline[];
  /** t at the start of each piece, and 1 at the end. */
  readonly breaks: readonly number[];
  readonly chordMm: number;
};

/** Bends the batten through points of which none lies on the one before; `knuckles` are indices of inner points. */
export function bendBatten(points: readonly Vec3[], knuckles: readonly number[] = []): Batten {
  const stops = [0, ...knuckles.filter((k) => k > 0 && k < points.length - 1), points.length - 1];
  const pieces: Spline[] = [];
  for (let i = 1; i < stops.length; i++) pieces.push(fitSpline(points.slice(at(stops, i - 1), at(stops, i) + 1)));
  const chordMm = pieces.reduce((sum, piece) => sum + uEnd(piece), 0);
  const breaks = [0];
  for (const piece of pieces) breaks.push(at(breaks, -1) + uEnd(piece) / chordMm);
  breaks[breaks.length - 1] = 1;
  return { pieces, breaks, chordMm };
}

/** Position and tangent by t. At a knuckle `side` chooses the piece before (-1) or after (1). */
export function battenAt(batten: Batten, t: number, side: -1 | 1 = 1): CurveTangent {
  const i = pieceIndex(batten, t, side); // in bounds, there and here
  return evaluateTangent(batten.pieces[i]!, (t - batten.breaks[i]!) * batten.chordMm);
}

/** The same with the second derivative. */
export function battenBendAt(batten: Batten, t: number, side: -1 | 1 = 1): CurvePoint {
  const i = pieceIndex(batten, t, side); // in bounds, there and here
  return evaluate(batten.pieces[i]!, (t - batten.breaks[i]!) * batten.chordMm);
}

function pieceIndex(batten: Batten, t: number, side: -1 | 1): number {
  let i = 0;
  while (i < batten.pieces.length - 1 && (side === 1 ? t >= batten.breaks[i + 1]! : t > batten.breaks[i + 1]!)) i++;
  return i;
}

/** All t where the batten crosses the plane x = const, in order: a scan between the points, then a bracketed root. */
export function crossingsOfX(batten: Batten, x: number): number[] {
  const found: number[] = [];
  batten.pieces.forEach((piece, i) => {
    const from = at(batten.breaks, i);
    for (const u of crossingsOfPiece(piece, x)) {
      const t = Math.min(1, from + u / batten.chordMm);
      if (found.length === 0 || t - at(found, -1) > 1e-12) found.push(t);
    }
  });
  return found;
}

/** Parts into which the stretch between two points is cut to look for crossings. */
const SCAN = 4;

function crossingsOfPiece(piece: Spline, x: number): number[] {
  const off = (u: number) => evaluateTangent(piece, u).position[0] - x;
  const found: number[] = [];
  let before = 0;
  let offBefore = off(0);
  if (Math.abs(offBefore) < X_TOUCH_MM) found.push(0);
  for (let k = 1; k < piece.knots.length; k++) {
    const start = at(piece.knots, k - 1);
    if (isFarFrom(piece, k, x)) {
      before = at(piece.knots, k);
      offBefore = at(piece.points, k)[0] - x;
      continue;
    }
    const step = (at(piece.knots, k) - start) / SCAN;
    for (let part = 1; part <= SCAN; part++) {
      const u = start + part * step;
      const offHere = off(u);
      if (Math.abs(offHere) < X_TOUCH_MM) found.push(u);
      else if (Math.abs(offBefore) >= X_TOUCH_MM && offBefore > 0 !== offHere > 0)
        found.push(bracketedRoot(off, before, u, 1e-10) ?? u);
      before = u;
      offBefore = offHere;
    }
  }
  return found;
}

/** A batten does not stray from between two points by half their distance. */
function isFarFrom(piece: Spline, k: number, x: number): boolean {
  const a = at(piece.points, k - 1)[0];
  const b = at(piece.points, k)[0];
  const reach = (at(piece.knots, k) - at(piece.knots, k - 1)) / 2;
  return x < Math.min(a, b) - reach || x > Math.max(a, b) + reach;
}

/** A plane this close to a point goes through it; well under what is reported. */
const X_TOUCH_MM = 1e-7;

/** The batten sampled at even steps of t, knuckles included. */
export function sampleBatten(batten: Batten, count: number): Vec3[] {
  const ts = new Set([...Array.from({ length: count }, (_, i) => i / (count - 1)), ...batten.breaks]);
  return [...ts].sort((a, b) => a - b).map((t) => battenAt(batten, t).position);
}
