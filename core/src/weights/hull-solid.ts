/** The hull that floats, and where its skin's weight lies, from the developed panels. */
import type { Triangle } from '../formats';
import type { Vec3 } from '../geometry';
import { hullTriangles, outsideOf, skinTriangles, type Panel } from '../panels';
import type { HullSolid } from './under';

/** @param usualOutMm from the lines' surface to the outside of the skin, where a panel has no sheet of its own */
export function hullSolid(panels: readonly Panel[], usualOutMm: number): HullSolid {
  const outs = new Set(panels.map((panel) => outsideOf(panel, usualOutMm)));
  return {
    closed: hullTriangles(panels),
    skins: [...outs]
      .filter((outMm) => outMm !== 0)
      .map((outMm) => {
        const own = panels.filter((panel) => outsideOf(panel, usualOutMm) === outMm);
        return { triangles: skinTriangles(own, 0), outMm };
      }),
  };
}

/** How large a surface is, and its middle by that; undefined of one that has no area. */
export function middleOfSurface(
  triangles: readonly Triangle[],
): { readonly areaMm2: number; readonly at: Vec3 } | undefined {
  let [area, x, y, z] = [0, 0, 0, 0];
  // without a vector a triangle: there are thousands
  for (const [a, b, c] of triangles) {
    const [ux, uy, uz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
    const [vx, vy, vz] = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
    const [sx, sy, sz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const own = Math.sqrt(sx * sx + sy * sy + sz * sz);
    area += own;
    x += (own * (a[0] + b[0] + c[0])) / 3;
    y += (own * (a[1] + b[1] + c[1])) / 3;
    z += (own * (a[2] + b[2] + c[2])) / 3;
  }
  return area > 0 ? { areaMm2: area / 2, at: [x / area, y / area, z / area] } : undefined;
}
