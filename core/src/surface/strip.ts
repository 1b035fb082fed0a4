/**
 * Lays a ruled strip out flat, true length by true length, and measures how it bends.
 *
 * The words are those of rulings.ts: P and Q are the two lines, s and t their parameters, and p, q the points of a
 * ruling on them; k numbers the rulings from the fore end. `flat…` is a place on the flat sheet.
 *
 * Method: the strip of triangles between successive rulings is unrolled in the plane (the hand method, with hundreds of
 * rulings where a builder uses ten). The diagonal alternates from strip to strip, so that what is left of twist favours
 * neither edge. Radius of curvature across a ruling: distance between neighbouring rulings, square to them, over the
 * change of the surface normal.
 * Conventions: P is the lower or inner line, Q the upper or outer; u runs aft along the panel, v from P towards Q. So
 * the drawing shows the inside face of the starboard panel, which is the outside face of its mirror to port. The
 * straight way from one ruling to the next leaves the bent surface: over it the way is longer, as an arc over its
 * chord. Where the surface turns by δ between two rulings that lie v apart at one end of the way and w at the other,
 * square to them, length² grows by δ²·v·w/12 (derived here: exact to the fourth order on cylinders and cones).
 * Accuracy: h⁴/R⁴ of the length for rulings h apart on a bend of radius R: a micron on any hull.
 */
import { at, distance3, length3, lerp3, polylineLength3, sub3, type Vec2, type Vec3 } from '../geometry';
import { toDeg } from '../measure';
import type { EdgeCurve } from './edge-curve';
import type { Ruling } from './rulings';

/** A ruling in space and in the flat. `normal` points out of the hull. `bendRadius` mm, null where flat. */
export type LaidRuling = {
  readonly s: number;
  readonly t: number;
  readonly p: Vec3;
  readonly q: Vec3;
  readonly flatP: Vec2;
  readonly flatQ: Vec2;
  readonly normal: Vec3;
  readonly twistDeg: number;
  readonly bendRadius: number | null;
  /** Radius of the bend at P and at Q, mm; towards the point of a fan it runs to nought on paper. Null where flat. */
  readonly endRadii: readonly [number, number] | null;
  readonly fan?: 'P' | 'Q';
  /**
   * Its ends on the flat before the edges were set back: what is marked on the panel lies between these. Absent where
   * they have not been.
   */
  readonly whole?: readonly [Vec2, Vec2];
};

/** The ends of the whole ruling on the flat, whatever of it has been cut off. */
export const wholeEnds = ({ whole, flatP, flatQ }: LaidRuling): readonly [Vec2, Vec2] => whole ?? [flatP, flatQ];

/** Flatter than this is flat: 1 km of radius lifts a 5 m panel by 3 mm, less than its own weight does. */
const FLAT_RADIUS_MM = 1e6;

/** Shorter than this a ruling has no direction. */
const SHORT_RULING_MM = 1e-3;

export function layStrip(P: EdgeCurve, Q: EdgeCurve, rulings: readonly Ruling[]): LaidRuling[] {
  const ps = rulings.map((ruling) => ruling.ends?.[0] ?? P.at(ruling.s));
  const qs = rulings.map((ruling) => ruling.ends?.[1] ?? Q.at(ruling.t));
  const points = { p: ps.map((p) => p.position), q: qs.map((q) => q.position) };
  const normals = fillGaps(rulings.map((ruling, k) => normalAt(ruling, at(ps, k), at(qs, k))));
  const flat = layFlat(points.p, points.q, normals);
  const radii = bendRadii(points, normals);
  return rulings.map(({ s, t, twistRad, fan }, k) => {
    const { least, ends } = radii[k]!; // one each, as all below
    const laid = {
      s,
      t,
      p: points.p[k]!,
      q: points.q[k]!,
      flatP: flat.p[k]!,
      flatQ: flat.q[k]!,
      normal: normals[k]!,
      twistDeg: toDeg(twistRad),
      bendRadius: least,
      endRadii: ends,
    };
    return fan ? { ...laid, fan } : laid;
  });
}

type End = { readonly position: Vec3; readonly first: Vec3 };

/** The sum of two unit normals that is this short: they point against each other, and there is none between. */
const NO_NORMAL = 1e-6;

/** Halfway between the normals at its two ends. By coordinates: it is taken on every ruling. */
function normalAt({ fan }: Ruling, p: End, q: End): Vec3 | undefined {
  const r = sub3(q.position, p.position);
  if (length3(r) < SHORT_RULING_MM) return undefined;
  let x = 0;
  let y = 0;
  let z = 0;
  // in a fan the surface touches the moving line only
  for (const { first } of fan === 'P' ? [q] : fan === 'Q' ? [p] : [p, q]) {
    const nx = r[1] * first[2] - r[2] * first[1];
    const ny = r[2] * first[0] - r[0] * first[2];
    const nz = r[0] * first[1] - r[1] * first[0];
    const share = 1 / (Math.sqrt(nx * nx + ny * ny + nz * nz) || 1);
    x += nx * share;
    y += ny * share;
    z += nz * share;
  }
  const length = Math.sqrt(x * x + y * y + z * z);
  return length < NO_NORMAL ? undefined : [x / length, y / length, z / length];
}

/** A ruling without a normal (the tip of a pointed panel) takes its neighbour's. */
function fillGaps(normals: readonly (Vec3 | undefined)[]): Vec3[] {
  return normals.map((normal, k) => {
    for (let step = 0; step < normals.length && !normal; step++) normal = normals[k + step] ?? normals[k - step];
    return normal ?? [0, 0, 1];
  });
}

/** A strip between two rows of points laid out flat, lying along u from (0, 0). Without normals it is a strip of flat
 * triangles, as one of card; with them its bends are as round between rulings as they are at them. */
export const layFlat = (
  ps: readonly Vec3[],
  qs: readonly Vec3[],
  normals?: readonly Vec3[],
): { p: Vec2[]; q: Vec2[] } => squareUp(unroll(ps, qs, normals));

/** Triangle by triangle into the plane, the first ruling up the v axis. */
function unroll(ps: readonly Vec3[], qs: readonly Vec3[], normals?: readonly Vec3[]): { p: Vec2[]; q: Vec2[] } {
  let fp: Vec2 = [0, 0];
  let fq: Vec2 = [0, distance3(at(ps, 0), at(qs, 0))];
  const p = [fp];
  const q = [fq];
  for (let k = 1; k < ps.length; k++) {
    const p0 = ps[k - 1]!; // in bounds, as all below: as many as there are rulings
    const q0 = qs[k - 1]!;
    const p1 = ps[k]!;
    const q1 = qs[k]!;
    // how much longer than its chord each of the three ways is over the bend, as squares: see the head of this file
    const turn2 = normals ? turnBetween2(normals[k - 1]!, normals[k]!) : 0;
    const v = turn2 > 0 ? apart(p0, p1, q0, q1, 'p') : 0;
    const w = turn2 > 0 ? apart(p0, p1, q0, q1, 'q') : 0;
    const along = { p: (turn2 * v * v) / 12, q: (turn2 * w * w) / 12, diagonal: (turn2 * v * w) / 12 };
    if (k % 2 === 0) {
      const next = lay([p0, q0, p1], [fp, fq], { ab: 0, ac: along.p, bc: along.diagonal });
      fq = lay([p1, q0, q1], [next, fq], { ab: along.diagonal, ac: 0, bc: along.q });
      fp = next;
    } else {
      const next = lay([p0, q0, q1], [fp, fq], { ab: 0, ac: along.diagonal, bc: along.q });
      fp = lay([p0, q1, p1], [fp, next], { ab: along.diagonal, ac: along.p, bc: 0 });
      fq = next;
    }
    p.push(fp);
    q.push(fq);
  }
  return { p, q };
}

/**
 * A turn of more than 0.2 rad (11°) between neighbouring rulings is a crease or a slip of a normal, not a bend between
 * them.
 */
const ROUND_TURN2 = 0.2 ** 2;

/** The square of the angle between two unit normals, for small ones; nought where that is no bend. */
export function turnBetween2(a: Vec3, b: Vec3): number {
  const x = b[0] - a[0];
  const y = b[1] - a[1];
  const z = b[2] - a[2];
  const turn2 = x * x + y * y + z * z;
  return turn2 < ROUND_TURN2 ? turn2 : 0;
}

/** How far two rulings lie apart at one end, square to the mean of them. */
function apart(p0: Vec3, p1: Vec3, q0: Vec3, q1: Vec3, end: 'p' | 'q'): number {
  const rx = q0[0] - p0[0] + q1[0] - p1[0];
  const ry = q0[1] - p0[1] + q1[1] - p1[1];
  const rz = q0[2] - p0[2] + q1[2] - p1[2];
  const [a, b] = end === 'p' ? [p0, p1] : [q0, q1];
  return squareDistance(a, b, [rx, ry, rz]);
}

/** By how much the squares of a triangle's sides are longer over the bent surface than straight, mm². */
type Longer = { readonly ab: number; readonly ac: number; readonly bc: number };

/** Points whose distance squared is less than this are one, mm². */
const ONE_POINT_MM2 = 1e-18;

/**
 * The flat place of the corner c of a triangle in space, given those of a and b: to the right of the way from a to b.
 * Written out by coordinates: it is done for every ruling.
 */
function lay([a, b, c]: readonly [Vec3, Vec3, Vec3], [fa, fb]: readonly [Vec2, Vec2], longer: Longer): Vec2 {
  const bx = b[0] - a[0];
  const by = b[1] - a[1];
  const bz = b[2] - a[2];
  const cx = c[0] - a[0];
  const cy = c[1] - a[1];
  const cz = c[2] - a[2];
  const chord2 = bx * bx + by * by + bz * bz;
  // a and b in one point: the panel's tip, where any direction will do; the whole is squared up afterwards
  if (chord2 < ONE_POINT_MM2) return [fa[0] + Math.sqrt(cx * cx + cy * cy + cz * cz), fa[1]];
  const base2 = chord2 + longer.ab;
  const straight = (bx * cx + by * cy + bz * cz) / chord2; // of the base
  const rx = cx - straight * bx;
  const ry = cy - straight * by;
  const rz = cz - straight * bz;
  const share = chord2 / base2;
  const along = straight * share + (longer.ab + longer.ac - longer.bc) / (2 * base2);
  // the square of c's distance from the base, of the base; what the bend adds is nought without one, to the last digit
  const added = straight * straight * share + longer.ac / base2 - along * along;
  const across = Math.sqrt(Math.max(0, (rx * rx + ry * ry + rz * rz) / base2 + added));
  const ex = fb[0] - fa[0];
  const ey = fb[1] - fa[1];
  return [fa[0] + along * ex + across * ey, fa[1] + along * ey - across * ex];
}

type Rows = { readonly p: readonly Vec2[]; readonly q: readonly Vec2[] };

/**
 * Turned so that the line between the middles of the end rulings lies along u, and moved to start at (0, 0); `along`,
 * if given, is taken with it.
 */
export function squareUp(flat: Rows): { p: Vec2[]; q: Vec2[] };
export function squareUp(flat: Rows, along: Rows): { p: Vec2[]; q: Vec2[]; along: { p: Vec2[]; q: Vec2[] } };
export function squareUp(flat: Rows, along?: Rows): { p: Vec2[]; q: Vec2[]; along?: { p: Vec2[]; q: Vec2[] } } {
  const middle = (k: number): Vec2 => {
    const a = at(flat.p, k);
    const b = at(flat.q, k);
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  };
  const from = middle(0);
  const to = middle(-1);
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const c = length === 0 ? 1 : (to[0] - from[0]) / length;
  const s = length === 0 ? 0 : (to[1] - from[1]) / length;
  const turned = (row: readonly Vec2[]) => row.map((f): [number, number] => [c * f[0] + s * f[1], c * f[1] - s * f[0]]);
  const rows = [turned(flat.p), turned(flat.q)] as const;
  let minU = length === 0 ? 0 : Infinity;
  let minV = length === 0 ? 0 : Infinity;
  for (const f of length === 0 ? [] : rows.flat()) {
    minU = Math.min(minU, f[0]);
    minV = Math.min(minV, f[1]);
  }
  const moved = (row: readonly [number, number][]) => row.map((f): Vec2 => [f[0] - minU, f[1] - minV]);
  const square = { p: moved(rows[0]), q: moved(rows[1]) };
  return along ? { ...square, along: { p: moved(turned(along.p)), q: moved(turned(along.q)) } } : square;
}

/** The bend is measured over this much of the panel at least: nearer rulings carry the noise of a rounded table. */
const BEND_SPAN_MM = 60;
/** Rulings that close in to this share of their spread at one end are a fan in all but name. */
const FAN_SHARE = 0.12;

type Sides = { readonly p: readonly Vec3[]; readonly q: readonly Vec3[] };
export type Bend = { readonly least: number | null; readonly ends: readonly [number, number] | null };
const STRAIGHT: Bend = { least: null, ends: null };

/** How tightly each ruling's neighbourhood bends. */
export function bendRadii(points: Sides, normals: readonly Vec3[]): Bend[] {
  const last = normals.length - 1;
  const meanStep = (polylineLength3(points.p) + polylineLength3(points.q)) / 2 / last;
  const reach = Math.max(2, Math.ceil(BEND_SPAN_MM / 2 / meanStep));
  const radii: Bend[] = [];
  for (let k = 0; k <= last; k++)
    radii.push(radiusAt(points, normals, k, Math.max(0, k - reach), Math.min(last, k + reach)));
  return radii;
}

/** Of ruling k, from how far rulings i and j lie apart and how much the surface turns between them. */
function radiusAt(points: Sides, normals: readonly Vec3[], k: number, i: number, j: number): Bend {
  const turn = angleBetween(normals[i]!, normals[j]!); // in bounds by the caller, as all below
  if (turn === 0) return STRAIGHT;
  const wideP = distance3(points.p[i]!, points.p[j]!);
  const wideQ = distance3(points.q[i]!, points.q[j]!);
  const shape = wideP < FAN_SHARE * wideQ ? 'P' : wideQ < FAN_SHARE * wideP ? 'Q' : 'plain';
  const r = sub3(points.q[k]!, points.p[k]!);
  const p = squareDistance(points.p[i]!, points.p[j]!, r);
  const q = squareDistance(points.q[i]!, points.q[j]!, r);
  // the radius runs evenly along the ruling, so the least is at an end. Towards the point of a fan it goes to nought on
  // paper; the sheet's own stiffness rounds that off, so there it is measured from half the ruling outward
  const apart = shape === 'plain' ? Math.min(p, q) : Math.min(halfway(points, i, j, r), shape === 'P' ? q : p);
  return apart / turn < FLAT_RADIUS_MM ? { least: apart / turn, ends: [p / turn, q / turn] } : STRAIGHT;
}

function angleBetween(a: Vec3, b: Vec3): number {
  const x = a[1] * b[2] - a[2] * b[1];
  const y = a[2] * b[0] - a[0] * b[2];
  const z = a[0] * b[1] - a[1] * b[0];
  return Math.atan2(Math.sqrt(x * x + y * y + z * z), a[0] * b[0] + a[1] * b[1] + a[2] * b[2]);
}

const halfway = ({ p, q }: Sides, i: number, j: number, r: Vec3): number =>
  squareDistance(lerp3(p[i]!, q[i]!, 0.5), lerp3(p[j]!, q[j]!, 0.5), r);

/** How far apart two points are, square to the direction r. */
export function squareDistance(a: Vec3, b: Vec3, r: Vec3): number {
  const x = b[0] - a[0];
  const y = b[1] - a[1];
  const z = b[2] - a[2];
  const r2 = r[0] * r[0] + r[1] * r[1] + r[2] * r[2];
  const w = r2 > 0 ? (x * r[0] + y * r[1] + z * r[2]) / r2 : 0;
  const dx = x - w * r[0];
  const dy = y - w * r[1];
  const dz = z - w * r[2];
  return Math.sqrt(dx * dx + dy * dy + dz * dz);
}
