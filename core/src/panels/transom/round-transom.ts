/**
 * The corners of a transom where its chines are rounded.
 *
 * Method: both sides of the corner are cut back by r·tan(φ/2), φ the outline's turn there, and joined by the conic that
 * touches both: a circle where they are straight. The radius is that of the strip's outside at its end, square to the
 * chine; a chine that slants to the transom by a stretches the arc by the secant of a.
 */
import { arcWeights, at, distance2, placeAtLength, type Vec2 } from '../../geometry';
import type { Hull } from '../../lines';
import type { RoundedStrip } from '../cut/rounding';
import type { Transom } from './transom';

/** Points of an arc: within 0.02 mm at a radius of 300 and a turn of 90°. */
const ARC_POINTS = 72;
/** Of each side of the corner this share may go. */
const MOST_OF_SIDE = 0.45;

/** The transom with every corner on a rounded line made round, to starboard and to port. */
export function roundTransom(transom: Transom, hull: Hull, strips: readonly RoundedStrip[]): Transom {
  let outline = transom.outline;
  for (const strip of strips) {
    const line = hull.lines.find(({ id }) => id === strip.id);
    if (!line) continue;
    const isAft = transom.end === 'aft';
    const end = at(line.points, isAft ? -1 : 0);
    const { radius } = at(strip.places, isAft ? -1 : 0);
    // the flat outline has the corners of the one in space, in their order
    const k = transom.corners.findIndex(([, y, z]) => Math.hypot(y - end.halfBreadth, z - end.height) < SAME_END_MM);
    const corner = transom.outline[k];
    if (!corner) continue;
    for (const place of [corner, [-corner[0], corner[1]] as const]) outline = roundAt(outline, place, radius);
  }
  return { ...transom, outline };
}

const SAME_END_MM = 0.01;

function roundAt(outline: readonly Vec2[], corner: Vec2, radius: number): Vec2[] {
  const k = outline.findIndex((p) => distance2(p, corner) < SAME_END_MM);
  if (k === -1) return [...outline];
  // from the corner on, and from the corner back
  const on = [...outline.slice(k), ...outline.slice(0, k)];
  const back = [at(on, 0), ...on.slice(1).reverse()];
  const [into, out] = [direction(at(back, 1), corner), direction(corner, at(on, 1))];
  const turn = Math.atan2(into[0] * out[1] - into[1] * out[0], into[0] * out[0] + into[1] * out[1]);
  if (turn <= 0) return [...outline]; // hollow, or none
  const cut = Math.min(radius * Math.tan(turn / 2), MOST_OF_SIDE * sideOf(on), MOST_OF_SIDE * sideOf(back));
  const [from, to] = [placeAtLength(back, cut), placeAtLength(on, cut)];
  const arc = arcWeights(turn, ARC_POINTS).map(([a, b, c]): Vec2 => [
    a * from.point[0] + b * corner[0] + c * to.point[0],
    a * from.point[1] + b * corner[1] + c * to.point[1],
  ]);
  return [...arc, ...on.slice(to.next, on.length - from.next + 1)];
}

const direction = (a: Vec2, b: Vec2): Vec2 => {
  const length = distance2(a, b) || 1;
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
};

/** A side ends where the outline turns by more than this. */
const SIDE_TURN_RAD = 0.2;

function sideOf(run: readonly Vec2[]): number {
  let length = 0;
  for (let i = 1; i < run.length; i++) {
    length += distance2(at(run, i - 1), at(run, i));
    const next = run[i + 1];
    if (!next) break;
    const [a, b] = [direction(at(run, i - 1), at(run, i)), direction(at(run, i), next)];
    if (Math.abs(Math.atan2(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1])) > SIDE_TURN_RAD) break;
  }
  return length;
}
