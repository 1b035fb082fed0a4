/**
 * One line in one view of a drawing, as a curve that can be read at any x.
 *
 * A polyline's corners are taken for points that a batten went through: between them the curve is the batten's, by a
 * spline that breaks where the line has a knuckle. Where a knuckle is: a corner that turns by far more than the corners
 * beside it. Of a curve drawn in many short pieces every corner turns a little, so a small turn that stands out is one
 * there; of a line of few corners only a large one is.
 */
import { at, distanceToSegment, evaluateTangent, fitSpline, type Spline, type Vec2 } from '../geometry';

export type DrawnCurve = {
  /** From forward aft; x grows at every point. */
  readonly points: readonly Vec2[];
  /** Indices of points at which the curve breaks. */
  readonly knuckles: readonly number[];
  /** Drawn in many pieces: its corners were not put there one by one. */
  readonly isDense: boolean;
};

/** More corners than this were not put there one by one. */
const MOST_CORNERS = 40;
/** A corner that turns by so many times the turn of those beside it stands out. */
const STANDS_OUT = 4;
const LEAST_TURN_RAD = { dense: (0.5 * Math.PI) / 180, sparse: (15 * Math.PI) / 180 } as const;

export const isDense = (points: readonly Vec2[]): boolean => points.length > MOST_CORNERS;

/** `points` as DrawnCurve has them. */
export const drawnCurve = (points: readonly Vec2[]): DrawnCurve => ({
  points,
  knuckles: knucklesOf(points),
  isDense: isDense(points),
});

/** Indices of the corners that stand out. */
export function knucklesOf(points: readonly Vec2[]): number[] {
  const turns = points.map((_, i) => (i === 0 || i === points.length - 1 ? 0 : turnAt(points, i)));
  const least = isDense(points) ? LEAST_TURN_RAD.dense : LEAST_TURN_RAD.sparse;
  return turns.flatMap((turn, i) => {
    const beside = Math.max(turns[i - 1] ?? 0, turns[i + 1] ?? 0);
    return turn > least && turn > STANDS_OUT * beside ? [i] : [];
  });
}

function turnAt(points: readonly Vec2[], i: number): number {
  const [a, b, c] = [at(points, i - 1), at(points, i), at(points, i + 1)];
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
  return Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy));
}

/** The curve's y by x; beyond its ends, that of the end. */
export function curveReader({ points, knuckles }: DrawnCurve): (x: number) => number {
  if (points.length < 2) return () => at(points, 0)[1];
  const stops = [0, ...knuckles, points.length - 1];
  const pieces = stops.slice(1).map((to, k) => pieceOf(points.slice(at(stops, k), to + 1)));
  return (x) => {
    const k = stops.findIndex((stop, i) => i > 0 && at(points, stop)[0] >= x);
    return at(pieces, k < 0 ? pieces.length - 1 : k - 1)(x);
  };
}

function pieceOf(points: readonly Vec2[]): (x: number) => number {
  const spline = fitSpline(points.map(([x, y]) => [x, y, 0] as const));
  return (x) => {
    if (x <= at(points, 0)[0]) return at(points, 0)[1];
    if (x >= at(points, -1)[0]) return at(points, -1)[1];
    const i = segmentAt(points, x);
    if (at(points, i)[0] === x) return at(points, i)[1];
    return splineAtX(spline, i, x);
  };
}

/** Index of the point at which the stretch that holds x begins. */
function segmentAt(points: readonly Vec2[], x: number): number {
  let [low, high] = [0, points.length - 2];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (at(points, middle)[0] <= x) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** By halving the stretch: x grows along it but for wiggles that no drawing has. */
function splineAtX(spline: Spline, i: number, x: number): number {
  let [low, high] = [at(spline.knots, i), at(spline.knots, i + 1)];
  for (let k = 0; k < 50; k++) {
    const middle = (low + high) / 2;
    if (evaluateTangent(spline, middle).position[0] < x) low = middle;
    else high = middle;
  }
  return evaluateTangent(spline, low).position[1];
}

/** How far a point lies from the polyline as drawn, straight from corner to corner, near its own x. */
export function offDrawn({ points }: Pick<DrawnCurve, 'points'>, [x, y]: Vec2): number {
  const i = segmentAt(points, x);
  let least = Infinity;
  for (let k = Math.max(0, i - 2); k < Math.min(points.length - 1, i + 3); k++)
    least = Math.min(least, distanceToSegment([x, y], at(points, k), at(points, k + 1)));
  return least;
}

/** The same for a line that may run as it likes. */
export const offPolyline2 = (points: readonly Vec2[], p: Vec2): number =>
  points.reduce(
    (least, b, i) => (i === 0 ? least : Math.min(least, distanceToSegment(p, at(points, i - 1), b))),
    Infinity,
  );
