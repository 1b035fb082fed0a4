/** The hull that floats, and where its skin's weight lies, from the developed panels. */
import type { Triangle } from '../formats';
import { add3, at, cross3, length3, scale3, sub3, type Vec3 } from '../geometry';
import { hullTriangles, type Panel } from '../panels';
import type { HullSolid } from './under';

/** Between the rulings, so far off the lines' surface along its normals; a pair's both sides. */
export function panelTriangles(panels: readonly Panel[], outMm: number): Triangle[] {
  return panels.flatMap(({ rulings, spansCentreline, only }) => {
    const places = rulings.map(({ p, q, normal }): readonly [Vec3, Vec3] => [
      add3(p, scale3(normal, outMm)),
      add3(q, scale3(normal, outMm)),
    ]);
    const own = places.slice(1).flatMap(([b0, b1], k): Triangle[] => {
      const [a0, a1] = at(places, k);
      return [
        [a0, a1, b0],
        [a1, b1, b0],
      ];
    });
    const port = () => own.map(([a, b, c]): Triangle => [mirror(a), mirror(b), mirror(c)]);
    if (only === 'port') return port();
    return spansCentreline || only === 'starboard' ? own : [...own, ...port()];
  });
}

const mirror = ([x, y, z]: Vec3): Vec3 => [x, -y, z];

/** @param outMm from the lines' surface to the outside of the skin */
export const hullSolid = (panels: readonly Panel[], outMm: number): HullSolid => ({
  closed: hullTriangles(panels),
  skin: outMm === 0 ? [] : panelTriangles(panels, 0),
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
