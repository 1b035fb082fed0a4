/**
 * What of a closed hull lies under a plane: volume, its middle, the area that the plane cuts, and how far it reaches.
 *
 * Method: every triangle is cut at the plane and made a tetrahedron with a point of the plane as its fourth corner; the
 * lid that closes what is under then has none, so that the signed sum is the volume (divergence theorem), exact for a
 * hull of triangles. The plane's area from the area vectors of what is wet: those of a closed surface add up to nought.
 * The skin beyond the lines' surface is added as its wet area times its thickness, which leaves out its corners: of
 * the square of the thickness, a few cubic centimetres a boat.
 */
import type { Triangle } from '../formats';
import { add3, cross3, dot3, lerp3, length3, scale3, sub3, type Vec3 } from '../geometry';

/** `normal` of unit length: up in the world; what lies lower along it than `level` is under. */
export type WaterPlane = { readonly normal: Vec3; readonly level: number };

export type HullSolid = {
  /** Closed, outer sides outward. */
  readonly closed: readonly Triangle[];
  /** The panels alone, and how far their outside lies beyond them. */
  readonly skin: readonly Triangle[];
  readonly skinOutMm: number;
};

export type Under = {
  readonly volumeMm3: number;
  /** Of the volume. */
  readonly middle: Vec3;
  readonly planeMm2: number;
  /** Of the line in which the hull meets the plane: least and most along x and y; absent where it does not. */
  readonly reach?: { readonly x: readonly [number, number]; readonly y: readonly [number, number] };
};

/** Where a corner lies so near to the plane it is on it, mm. */
const ON_MM = 1e-9;

/** The part of a triangle that is under, by how far its corners are over. */
function cut(triangle: Triangle, over: readonly [number, number, number]): Vec3[] {
  const kept: Vec3[] = [];
  triangle.forEach((p, k) => {
    const [a, b] = [over[k] ?? 0, over[(k + 1) % 3] ?? 0];
    const next = triangle[(k + 1) % 3] ?? p;
    if (a <= ON_MM) kept.push(p);
    if ((a < -ON_MM && b > ON_MM) || (a > ON_MM && b < -ON_MM)) kept.push(lerp3(p, next, a / (a - b)));
  });
  return kept;
}

export function under({ closed, skin, skinOutMm }: HullSolid, plane: WaterPlane): Under {
  const { normal, level } = plane;
  const on = scale3(normal, level);
  let volume = 0;
  // moments, and the area vector along the normal, without a vector a triangle
  let [mx, my, mz, along] = [0, 0, 0, 0];
  const [low, high]: [number[], number[]] = [
    [Infinity, Infinity],
    [-Infinity, -Infinity],
  ];
  const [nx, ny, nz] = normal;
  const each = (triangles: readonly Triangle[], take: (a: Vec3, b: Vec3, c: Vec3) => void) => {
    for (const triangle of triangles) {
      const [a, b, c] = triangle;
      const ha = a[0] * nx + a[1] * ny + a[2] * nz - level;
      const hb = b[0] * nx + b[1] * ny + b[2] * nz - level;
      const hc = c[0] * nx + c[1] * ny + c[2] * nz - level;
      // most lie on one side of it
      if (ha > -ON_MM && hb > -ON_MM && hc > -ON_MM && (ha > ON_MM || hb > ON_MM || hc > ON_MM)) continue;
      if (ha <= ON_MM && hb <= ON_MM && hc <= ON_MM) {
        take(a, b, c);
        continue;
      }
      const kept = cut(triangle, [ha, hb, hc]);
      for (let k = 1; k + 1 < kept.length; k++) take(kept[0]!, kept[k]!, kept[k + 1]!); // within its length
    }
  };
  each(closed, (a, b, c) => {
    const [ux, uy, uz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
    const [vx, vy, vz] = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
    // twice the area, outward
    const [sx, sy, sz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const own = ((a[0] - on[0]) * sx + (a[1] - on[1]) * sy + (a[2] - on[2]) * sz) / 6;
    volume += own;
    mx += (own * (a[0] + b[0] + c[0] + on[0])) / 4;
    my += (own * (a[1] + b[1] + c[1] + on[1])) / 4;
    mz += (own * (a[2] + b[2] + c[2] + on[2])) / 4;
    along += (sx * nx + sy * ny + sz * nz) / 2;
    for (const p of [a, b, c]) {
      if (Math.abs(p[0] * nx + p[1] * ny + p[2] * nz - level) > REACH_MM) continue;
      for (const axis of [0, 1] as const) {
        low[axis] = Math.min(low[axis]!, p[axis]);
        high[axis] = Math.max(high[axis]!, p[axis]);
      }
    }
  });
  if (skinOutMm !== 0)
    each(skin, (a, b, c) => {
      const own = (skinOutMm * length3(cross3(sub3(b, a), sub3(c, a)))) / 2;
      volume += own;
      mx += (own * (a[0] + b[0] + c[0])) / 3;
      my += (own * (a[1] + b[1] + c[1])) / 3;
      mz += (own * (a[2] + b[2] + c[2])) / 3;
    });
  return {
    volumeMm3: volume,
    middle: volume > 0 ? [mx / volume, my / volume, mz / volume] : on,
    planeMm2: Math.max(0, -along),
    ...(Number.isFinite(low[0]!) && { reach: { x: [low[0]!, high[0]!], y: [low[1]!, high[1]!] } }),
  };
}
const REACH_MM = 1e-6;

/** How far a surface is from closed: nought for one that is; its area vectors' sum over its area. */
export function openness(closed: readonly Triangle[]): number {
  let sum: Vec3 = [0, 0, 0];
  let area = 0;
  for (const [a, b, c] of closed) {
    const own = cross3(sub3(b, a), sub3(c, a));
    sum = add3(sum, own);
    area += length3(own);
  }
  return area > 0 ? length3(sum) / area : 1;
}

/** The least and the most of the hull along a direction. */
export function span({ closed, skinOutMm }: Pick<HullSolid, 'closed' | 'skinOutMm'>, way: Vec3): [number, number] {
  let [least, most] = [Infinity, -Infinity];
  for (const triangle of closed)
    for (const p of triangle) {
      const own = dot3(p, way);
      least = Math.min(least, own);
      most = Math.max(most, own);
    }
  return [least - skinOutMm, most];
}
