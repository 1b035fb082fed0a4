/**
 * How far each point lies from the batten bent through all the others of its line.
 *
 * Method: leave-one-out residual. The plain spline through the others is evaluated at the left-out point's x (or,
 * where the line is steep, at its share of the chord). End points have none: a batten run past its last nail is a
 * guess. A bad point also bends the batten at its neighbours; slips.ts allows for that. Of a long line only the points
 * within REACH of it are bent through: what lies further off moves the batten there by 0.27 to the power of that, a
 * ten-millionth, so the cost grows with the number of points, not with its square.
 */
import { at, distance3, type Vec3 } from '../geometry';
import { battenAt, bendBatten, crossingsOfX } from './batten';
import type { OffsetPoint } from './schema';

/** Signed: positive when the point lies further out, or higher, than the batten. mm. */
export type Residual = {
  readonly halfBreadth: number;
  readonly height: number;
  /** Distance in the plane of the section. */
  readonly total: number;
};

const NONE: Residual = { halfBreadth: 0, height: 0, total: 0 };

/** A residual for every point, nought at the ends and next to knuckles where nothing can be said. */
export function residuals(points: readonly OffsetPoint[]): Residual[] {
  return points.map((_, i) => residualOf(points, i));
}

function residualOf(points: readonly OffsetPoint[], index: number): Residual {
  if (index === 0 || index === points.length - 1 || points.length < 5) return NONE;
  if (at(points, index).isKnuckle) return NONE;
  const batten = battenWithout(points, index);
  if (!batten) return NONE;
  const point = at(points, index);
  const ts = crossingsOfX(batten, point.x);
  if (ts.length === 0) return NONE;
  const fair = battenAt(batten, at(ts, 0)).position;
  const [halfBreadth, height] = [point.halfBreadth - fair[1], point.height - fair[2]];
  return { halfBreadth, height, total: Math.hypot(halfBreadth, height) };
}

/** Points to either side of the one that is left out. */
const REACH = 12;

function battenWithout(points: readonly OffsetPoint[], index: number) {
  const others = points.slice(Math.max(0, index - REACH), index + REACH + 1).filter((p) => p !== points[index]);
  const positions = others.map((p): Vec3 => [p.x, p.halfBreadth, p.height]);
  const isTooClose = positions.some((p, i) => i > 0 && distance3(p, at(positions, i - 1)) < 0.01);
  if (isTooClose) return undefined;
  return bendBatten(
    positions,
    others.flatMap((p, i) => (p.isKnuckle ? [i] : [])),
  );
}
