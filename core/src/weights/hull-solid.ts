/** The hull that floats, and where its skin's weight lies, from the developed panels. */
import type { Triangle } from '../formats';
import { add3, cross3, length3, scale3, sub3, type Vec3 } from '../geometry';
import { hullTriangles, skinTriangles, type Panel } from '../panels';
import type { HullSolid } from './under';

/** @param outMm from the lines' surface to the outside of the skin */
export const hullSolid = (panels: readonly Panel[], outMm: number): HullSolid => ({
  closed: hullTriangles(panels),
  skin: outMm === 0 ? [] : skinTriangles(panels, 0),
  skinOutMm: outMm,
});

/** The middle of a surface by its area; undefined of one that has none. */
export function middleOfSurface(triangles: readonly Triangle[]): Vec3 | undefined {
  let area = 0;
  let sum: Vec3 = [0, 0, 0];
  for (const [a, b, c] of triangles) {
    const own = length3(cross3(sub3(b, a), sub3(c, a)));
    area += own;
    sum = add3(sum, scale3(add3(add3(a, b), c), own / 3));
  }
  return area > 0 ? scale3(sum, 1 / area) : undefined;
}
