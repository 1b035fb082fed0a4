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
import { add3, cross3, length3, scale3, sub3, unit3, type Vec3 } from '../geometry';
import { oncePer } from '../stage';

/** `normal` of unit length: up in the world; what lies lower along it than `level` is under. */
export type WaterPlane = { readonly normal: Vec3; readonly level: number };

export type HullSolid = {
  /** Closed, outer sides outward. */
  readonly closed: readonly Triangle[];
  /** The panels alone whose outside lies beyond them, and how far. */
  readonly skins: readonly { readonly triangles: readonly Triangle[]; readonly outMm: number }[];
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

/** Corners of triangles one after another, nine figures each, with twice their area outward, three each. */
type Packed = { readonly corners: Float64Array; readonly areas: Float64Array; readonly count: number };

const packed = oncePer((triangles: readonly Triangle[]): Packed => {
  const into = roomFor(triangles.length);
  triangles.forEach((triangle, k) => put(into, k, triangle));
  return into;
});

const roomFor = (count: number): Packed => ({
  ...{ corners: new Float64Array(9 * count), areas: new Float64Array(3 * count), count },
});

function put(into: Packed, k: number, [a, b, c]: Triangle): void {
  into.corners.set(a, 9 * k);
  into.corners.set(b, 9 * k + 3);
  into.corners.set(c, 9 * k + 6);
  measure(into, k);
}

/** Twice its area, from its corners. */
function measure({ corners, areas }: Packed, k: number): void {
  const i = 9 * k;
  const [ux, uy, uz] = [
    corners[i + 3]! - corners[i]!,
    corners[i + 4]! - corners[i + 1]!,
    corners[i + 5]! - corners[i + 2]!,
  ];
  const [vx, vy, vz] = [
    corners[i + 6]! - corners[i]!,
    corners[i + 7]! - corners[i + 1]!,
    corners[i + 8]! - corners[i + 2]!,
  ];
  areas[3 * k] = uy * vz - uz * vy;
  areas[3 * k + 1] = uz * vx - ux * vz;
  areas[3 * k + 2] = ux * vy - uy * vx;
}

/** Room for what is left of a triangle: four corners at the most, and one triangle of those at a time. */
type Cutting = { readonly over: Float64Array; readonly kept: Float64Array; readonly part: Packed };

/** The part of a triangle that is under, by how far its corners are over; how many corners it has. */
function cut(corners: Float64Array, i: number, { over, kept }: Cutting): number {
  let count = 0;
  for (let k = 0; k < 3; k++) {
    const n = (k + 1) % 3;
    const a = over[k]!;
    const b = over[n]!;
    if (a <= ON_MM) {
      for (let j = 0; j < 3; j++) kept[3 * count + j] = corners[i + 3 * k + j]!;
      count++;
    }
    if ((a < -ON_MM && b > ON_MM) || (a > ON_MM && b < -ON_MM)) {
      const w = a / (a - b);
      for (let j = 0; j < 3; j++) {
        const from = corners[i + 3 * k + j]!;
        kept[3 * count + j] = from + w * (corners[i + 3 * n + j]! - from);
      }
      count++;
    }
  }
  return count;
}

/** Takes a triangle that is under, corner by corner, with twice its area outward. */
type Take = (corners: Float64Array, from: number, areas: Float64Array, k: number) => void;

/** All triangles under the plane, those that it passes through cut at it. */
function eachUnder(triangles: readonly Triangle[], { normal, level }: WaterPlane, take: Take): void {
  const { corners, areas, count } = packed(triangles);
  const cutting: Cutting = { over: new Float64Array(3), kept: new Float64Array(12), part: roomFor(1) };
  const { over, kept, part } = cutting;
  const [nx, ny, nz] = normal;
  for (let k = 0, i = 0; k < count; k++, i += 9) {
    // in bounds: nine a triangle
    const ha = corners[i]! * nx + corners[i + 1]! * ny + corners[i + 2]! * nz - level;
    const hb = corners[i + 3]! * nx + corners[i + 4]! * ny + corners[i + 5]! * nz - level;
    const hc = corners[i + 6]! * nx + corners[i + 7]! * ny + corners[i + 8]! * nz - level;
    // most lie on one side of it
    if (ha > -ON_MM && hb > -ON_MM && hc > -ON_MM && (ha > ON_MM || hb > ON_MM || hc > ON_MM)) continue;
    if (ha <= ON_MM && hb <= ON_MM && hc <= ON_MM) {
      take(corners, i, areas, k);
      continue;
    }
    over[0] = ha;
    over[1] = hb;
    over[2] = hc;
    const last = cut(corners, i, cutting) - 1;
    for (let j = 1; j < last; j++) {
      for (let m = 0; m < 3; m++) part.corners[m] = kept[m]!;
      for (let m = 0; m < 6; m++) part.corners[3 + m] = kept[3 * j + m]!;
      measure(part, 0);
      take(part.corners, 0, part.areas, 0);
    }
  }
}

export function under({ closed, skins }: HullSolid, plane: WaterPlane): Under {
  const { normal, level } = plane;
  const [nx, ny, nz] = normal;
  const on = scale3(normal, level);
  const [ox, oy, oz] = on;
  // volume, moments, and the area vector along the normal: kept as one array, which costs no object a triangle
  const sum = new Float64Array(5);
  const reach = Float64Array.of(Infinity, -Infinity, Infinity, -Infinity);
  eachUnder(closed, plane, (p, i, areas, k) => {
    const sx = areas[3 * k]!;
    const sy = areas[3 * k + 1]!;
    const sz = areas[3 * k + 2]!;
    const own = ((p[i]! - ox) * sx + (p[i + 1]! - oy) * sy + (p[i + 2]! - oz) * sz) / 6;
    sum[0]! += own;
    sum[1]! += (own * (p[i]! + p[i + 3]! + p[i + 6]! + ox)) / 4;
    sum[2]! += (own * (p[i + 1]! + p[i + 4]! + p[i + 7]! + oy)) / 4;
    sum[3]! += (own * (p[i + 2]! + p[i + 5]! + p[i + 8]! + oz)) / 4;
    sum[4]! += (sx * nx + sy * ny + sz * nz) / 2;
    for (let j = i; j < i + 9; j += 3) {
      const x = p[j]!;
      const y = p[j + 1]!;
      if (Math.abs(x * nx + y * ny + p[j + 2]! * nz - level) > REACH_MM) continue;
      reach[0] = Math.min(reach[0]!, x);
      reach[1] = Math.max(reach[1]!, x);
      reach[2] = Math.min(reach[2]!, y);
      reach[3] = Math.max(reach[3]!, y);
    }
  });
  for (const { triangles, outMm } of skins)
    eachUnder(triangles, plane, (p, i, areas, k) => {
      const sx = areas[3 * k]!;
      const sy = areas[3 * k + 1]!;
      const sz = areas[3 * k + 2]!;
      const own = (outMm * Math.sqrt(sx * sx + sy * sy + sz * sz)) / 2;
      sum[0]! += own;
      for (let j = 0; j < 3; j++) sum[1 + j]! += (own * (p[i + j]! + p[i + j + 3]! + p[i + j + 6]!)) / 3;
    });
  const [volume, mx, my, mz, along] = sum as unknown as readonly [number, number, number, number, number]; // five
  const [lowX, highX, lowY, highY] = reach as unknown as readonly [number, number, number, number]; // four
  return {
    volumeMm3: volume,
    middle: volume > 0 ? [mx / volume, my / volume, mz / volume] : on,
    planeMm2: Math.max(0, -along),
    ...(Number.isFinite(lowX) && { reach: { x: [lowX, highX], y: [lowY, highY] } }),
  };
}
const REACH_MM = 1e-6;

/**
 * The area that the plane cuts, with the skin's beside it: its middle, and its second moments about that along two
 * directions in it, mm⁴.
 */
export type PlaneArea = {
  readonly middle: Vec3;
  readonly along: readonly [Vec3, Vec3];
  /** Of the first direction, of both, of the second. */
  readonly moments: readonly [number, number, number];
};

/**
 * What lies under is closed by that area, and along the normal a figure of the places in the plane alone flows through
 * both alike: so its moments are those of the wet triangles as they are seen along the normal. The skin adds a strip
 * along the float line, as broad as it is thick athwart the plane.
 */
export function planeArea({ closed, skins }: HullSolid, plane: WaterPlane): PlaneArea {
  const { normal, level } = plane;
  const [nx, ny, nz] = normal;
  const first = unit3(cross3([0, 1, 0], normal));
  const second = cross3(normal, first);
  // area, first and second moments: of pieces of so many corners, whose places weigh so much by themselves and together
  const sum = new Float64Array(6);
  const add = (own: number, p: Float64Array, from: number, corners: 2 | 3) => {
    let us = 0;
    let vs = 0;
    let us2 = 0;
    let uvs = 0;
    let vs2 = 0;
    for (let j = from; j < from + 3 * corners; j += 3) {
      const u = p[j]! * first[0] + p[j + 1]! * first[1] + p[j + 2]! * first[2];
      const v = p[j]! * second[0] + p[j + 1]! * second[1] + p[j + 2]! * second[2];
      us += u;
      vs += v;
      us2 += u * u;
      uvs += u * v;
      vs2 += v * v;
    }
    // exact for a straight piece of two corners, and for a triangle
    const each = own / (corners * (corners + 1));
    sum[0]! += own;
    sum[1]! += (own * us) / corners;
    sum[2]! += (own * vs) / corners;
    sum[3]! += each * (us2 + us * us);
    sum[4]! += each * (uvs + us * vs);
    sum[5]! += each * (vs2 + vs * vs);
  };
  eachUnder(closed, plane, (p, i, areas, k) =>
    add(-(areas[3 * k]! * nx + areas[3 * k + 1]! * ny + areas[3 * k + 2]! * nz) / 2, p, i, 3),
  );
  for (const { triangles, outMm } of skins)
    eachCrossed(triangles, plane, (ends, mx, my, mz) => {
      const long = Math.hypot(ends[3]! - ends[0]!, ends[4]! - ends[1]!, ends[5]! - ends[2]!);
      const rise = (mx * nx + my * ny + mz * nz) ** 2 / (mx * mx + my * my + mz * mz);
      if (rise < 1 - LEVEL_SHARE) add((outMm * long) / Math.sqrt(1 - rise), ends, 0, 2);
    });
  const [area, u1, v1, uu, uv, vv] = sum as unknown as readonly [number, number, number, number, number, number]; // six
  const [u, v] = area > 0 ? [u1 / area, v1 / area] : [0, 0];
  return {
    middle: add3(scale3(normal, level), add3(scale3(first, u), scale3(second, v))),
    along: [first, second],
    moments: [uu - area * u * u, uv - area * u * v, vv - area * v * v],
  };
}
/** A piece of the skin that lies nearly in the plane has no line there. */
const LEVEL_SHARE = 1e-6;

/** All triangles that the plane passes through, by both ends of the line there and what is square to the triangle. */
function eachCrossed(
  triangles: readonly Triangle[],
  { normal: [nx, ny, nz], level }: WaterPlane,
  take: (ends: Float64Array, mx: number, my: number, mz: number) => void,
): void {
  const { corners, areas, count } = packed(triangles);
  const ends = new Float64Array(6);
  for (let t = 0; t < count; t++) {
    let found = 0;
    for (let k = 0; k < 3; k++) {
      const [i, j] = [9 * t + 3 * k, 9 * t + 3 * ((k + 1) % 3)];
      const a = corners[i]! * nx + corners[i + 1]! * ny + corners[i + 2]! * nz - level;
      const b = corners[j]! * nx + corners[j + 1]! * ny + corners[j + 2]! * nz - level;
      if (a > 0 === b > 0) continue;
      const w = a / (a - b);
      for (let m = 0; m < 3; m++) ends[3 * found + m] = corners[i + m]! + w * (corners[j + m]! - corners[i + m]!);
      found++;
    }
    if (found === 2) take(ends, areas[3 * t]!, areas[3 * t + 1]!, areas[3 * t + 2]!);
  }
}

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
export function span({ closed, skins }: HullSolid, [x, y, z]: Vec3): [number, number] {
  const { corners } = packed(closed);
  let [least, most] = [Infinity, -Infinity];
  for (let i = 0; i < corners.length; i += 3) {
    const own = corners[i]! * x + corners[i + 1]! * y + corners[i + 2]! * z; // in bounds: three a corner
    if (own < least) least = own;
    if (own > most) most = own;
  }
  return [least - Math.max(0, ...skins.map(({ outMm }) => outMm)), most];
}
