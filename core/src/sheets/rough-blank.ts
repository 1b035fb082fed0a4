/**
 * The smallest rectangle that a part can be cut from: for one that is scribed in place.
 *
 * Method: the smallest rectangle round a convex outline has a side along one of its edges (Freeman and Shapira, 1975);
 * with the grain along the part the rectangle lies along that. Larger all round by what the scribing may want.
 */
import { at, area, boundsOf, convexHull, counterClockwise, turned, type Outline } from '../geometry';

export type RoughBlank = {
  /** The rectangle, its lower left corner in the origin. */
  readonly outline: Outline;
  /** The part as drawn, where it lies in that. */
  readonly net: Outline;
};

export function roughBlank(outline: Outline, { extra, isFree }: { readonly extra: number; readonly isFree: boolean }) {
  const hull = convexHull(outline);
  const angles = isFree ? anglesOf(hull) : [0];
  const tries = angles.map((angle) => {
    const { minX, minY, maxX, maxY } = boundsOf(turned(hull, angle));
    return { angle, minX, minY, long: maxX - minX, high: maxY - minY };
  });
  // the least area; of equals the longer one along the sheet
  const [best] = tries.sort((a, b) => a.long * a.high - b.long * b.high || b.long - a.long);
  if (!best) return { outline, net: outline };
  const [long, high] = [best.long + 2 * extra, best.high + 2 * extra];
  const blank: RoughBlank = {
    outline: [
      [0, 0],
      [long, 0],
      [long, high],
      [0, high],
    ],
    net: counterClockwise(
      turned(outline, best.angle).map(([x, y]) => [x - best.minX + extra, y - best.minY + extra] as const),
    ),
  };
  return area(blank.outline) > 0 ? blank : { outline, net: outline };
}

/** By which each edge comes to lie along x. */
const anglesOf = (hull: Outline): number[] =>
  hull.map(([x, y], i) => {
    const [x2, y2] = at(hull, (i + 1) % hull.length);
    return -Math.atan2(y2 - y, x2 - x);
  });
