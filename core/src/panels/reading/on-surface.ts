/**
 * A place on the flat panel as a place in space: where a joint, a hole or a mark comes to lie on the hull.
 *
 * Method: between two neighbouring rulings the flat strip is cut along its diagonal into two triangles, and the place
 * keeps its barycentric coordinates in the same triangle in space. Accuracy: that of the facets, which are the panel as
 * it is drawn.
 */
import { at, lerp2, type Vec2, type Vec3 } from '../../geometry';
import { wholeEnds } from '../../surface';
import type { Panel } from '../panel';

/** Undefined where the place is off the panel. */
export function placeOn({ rulings }: Pick<Panel, 'rulings'>, place: Vec2): Vec3 | undefined {
  for (let k = 1; k < rulings.length; k++) {
    const [a, b] = [at(rulings, k - 1), at(rulings, k)];
    // its ends before the edges were set back: those are the lines' own
    const [[p1, q1], [p2, q2]] = [wholeEnds(a), wholeEnds(b)];
    const found = carried(place, [p1, q1, p2], [a.p, a.q, b.p]) ?? carried(place, [q1, q2, p2], [a.q, b.q, b.p]);
    if (found) return found;
  }
  return undefined;
}

/** Points of a straight line on the flat panel, as far as it lies on it. */
export function lineOn(panel: Pick<Panel, 'rulings'>, from: Vec2, to: Vec2, count: number): Vec3[] {
  return Array.from({ length: count }, (_, i) => placeOn(panel, lerp2(from, to, i / (count - 1)))).filter(
    (p) => p !== undefined,
  );
}

/** A share of a triangle: a point on its side belongs to it. */
const TOUCH = 1e-6;

function carried(
  [x, y]: Vec2,
  [a, b, c]: readonly [Vec2, Vec2, Vec2],
  corners: readonly [Vec3, Vec3, Vec3],
): Vec3 | undefined {
  const whole = (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
  if (whole === 0) return undefined; // at a fan's point
  const v = ((x - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (y - a[1])) / whole;
  const w = ((b[0] - a[0]) * (y - a[1]) - (x - a[0]) * (b[1] - a[1])) / whole;
  const shares = [1 - v - w, v, w] as const;
  if (shares.some((share) => share < -TOUCH)) return undefined;
  const sum = (axis: 0 | 1 | 2) => shares.reduce((total, share, i) => total + share * at(corners, i)[axis], 0);
  return [sum(0), sum(1), sum(2)];
}
