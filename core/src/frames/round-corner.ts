/**
 * A frame's corner made round, where the hull's chine is.
 *
 * Method: both edges are cut back by r·tan(φ/2) from the corner, φ the turn between them in the frame's plane; between
 * there runs the conic that touches both (a rational quadratic of weight cos(φ/2): a circle where the edges are
 * straight and equally cut back, and within a hair of one where they bow). The normals turn evenly along it, and so
 * the bevel. Accuracy: the radius is that of the strip square to the chine; a chine that slants through the frame
 * stretches the section by the secant of its slant, one part in a hundred at 8°.
 */
import { add3, arcWeights, at, lerp3, scale3, unit3 } from '../geometry';
import type { SectionPoint } from '../surface';

/** Points of half the arc: within 0.02 mm at a radius of 300 and a turn of 90°. */
const HALF_ARC_POINTS = 36;
/** The rounding leaves this share of an edge. */
const LEAST_LEFT = 0.1;
/** A corner that turns less is none. */
const STRAIGHT_RAD = 0.01;

/**
 * In place: `lower` ends and `upper` begins at the corner. Nothing is done where they do not meet or the corner is
 * hollow.
 */
export function roundCorner(lower: SectionPoint[], upper: SectionPoint[], radius: number): void {
  const corner = lower[lower.length - 1];
  if (!corner || lower.length < 2 || upper.length < 2 || radius <= 0) return;
  const into = direction(at(lower, -2), corner);
  const out = direction(at(upper, 0), at(upper, 1));
  // going outward and up with the hull's inside on the left, a corner that stands out turns to the left
  const turn = Math.atan2(into[0] * out[1] - into[1] * out[0], into[0] * out[0] + into[1] * out[1]);
  if (turn < STRAIGHT_RAD) return;
  const back = Math.min(radius * Math.tan(turn / 2), (1 - LEAST_LEFT) * Math.min(lengthOf(lower), lengthOf(upper)));
  const from = cutBack(lower, back);
  const to = cutBack(upper.reverse(), back);
  upper.reverse();
  const arc = arcBetween(from, corner, to, turn);
  lower.push(...arc.slice(1, HALF_ARC_POINTS + 1));
  upper.unshift(...arc.slice(HALF_ARC_POINTS, -1));
}

const direction = (a: SectionPoint, b: SectionPoint): readonly [number, number] => {
  const [dy, dz] = [b.space[1] - a.space[1], b.space[2] - a.space[2]];
  const length = Math.hypot(dy, dz) || 1;
  return [dy / length, dz / length];
};

const apart = (a: SectionPoint, b: SectionPoint): number =>
  Math.hypot(b.space[1] - a.space[1], b.space[2] - a.space[2]);
const lengthOf = (points: readonly SectionPoint[]): number =>
  points.reduce((sum, p, i) => (i === 0 ? 0 : sum + apart(at(points, i - 1), p)), 0);

/** Shortens the run at its end, in place; the new end, which is its last point. */
function cutBack(points: SectionPoint[], by: number): SectionPoint {
  let left = by;
  for (;;) {
    const [a, b] = [at(points, -2), at(points, -1)];
    const length = apart(a, b);
    if (length < left && points.length > 2) {
      points.pop();
      left -= length;
      continue;
    }
    const w = length > 0 ? left / length : 0;
    const end = { space: lerp3(b.space, a.space, w), flat: b.flat, normal: unit3(lerp3(b.normal, a.normal, w)) };
    points[points.length - 1] = end;
    return end;
  }
}

function arcBetween(from: SectionPoint, corner: SectionPoint, to: SectionPoint, turnRad: number): SectionPoint[] {
  const count = 2 * HALF_ARC_POINTS;
  return arcWeights(turnRad, count).map(([a, b, c], i) => ({
    space: add3(add3(scale3(from.space, a), scale3(corner.space, b)), scale3(to.space, c)),
    flat: from.flat,
    normal: unit3(lerp3(from.normal, to.normal, i / count)),
  }));
}
