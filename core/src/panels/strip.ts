/**
 * Lays a ruled strip out flat, true length by true length, and measures how it bends.
 *
 * Method: the strip of triangles between successive rulings is unrolled in the plane (the hand method, with hundreds of
 * rulings where a builder uses ten). The diagonal alternates from strip to strip, so that what is left of twist favours
 * neither edge. Radius of curvature across a ruling: distance between neighbouring rulings, square to them, over the
 * change of the surface normal.
 * Conventions: P is the lower or inner line, Q the upper or outer; u runs aft along the panel, v from P towards Q. So the
 * drawing shows the inside face of the starboard panel, which is the outside face of its mirror to port.
 * Accuracy: chords for arcs, an error of h²/24R² of the length for rulings h apart on a curve of radius R.
 */
import {
  add3,
  at,
  cross3,
  distance3,
  dot3,
  length3,
  lerp3,
  polylineLength3,
  scale3,
  sub3,
  unit3,
  type Vec2,
  type Vec3,
} from '../geometry';
import { toDeg } from '../measure';
import type { EdgeCurve, Ruling } from './rulings';

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
};

/** Flatter than this is flat: 1 km of radius lifts a 5 m panel by 3 mm, less than its own weight does. */
const FLAT_RADIUS_MM = 1e6;

export function layStrip(P: EdgeCurve, Q: EdgeCurve, rulings: readonly Ruling[]): LaidRuling[] {
  const ps = rulings.map((ruling) => P.at(ruling.s));
  const qs = rulings.map((ruling) => Q.at(ruling.t));
  const points = { p: ps.map((p) => p.position), q: qs.map((q) => q.position) };
  const normals = fillGaps(rulings.map((ruling, k) => normalAt(ruling, at(ps, k), at(qs, k))));
  const flat = layFlat(points.p, points.q);
  const radii = bendRadii(points, normals, rulings);
  return rulings.map((ruling, k) => ({
    ...ruling,
    p: at(points.p, k),
    q: at(points.q, k),
    flatP: at(flat.p, k),
    flatQ: at(flat.q, k),
    normal: at(normals, k),
    twistDeg: toDeg(ruling.twistRad),
    bendRadius: at(radii, k).least,
    endRadii: at(radii, k).ends,
  }));
}

type End = { readonly position: Vec3; readonly first: Vec3 };

function normalAt(ruling: Ruling, p: End, q: End): Vec3 | undefined {
  const r = sub3(q.position, p.position);
  const n1 = unit3(cross3(r, p.first));
  const n2 = unit3(cross3(r, q.first));
  const sum = ruling.fan === 'P' ? n2 : ruling.fan === 'Q' ? n1 : add3(n1, n2);
  return length3(r) < 1e-3 || length3(sum) < 1e-6 ? undefined : unit3(sum);
}

/** A ruling without a normal (the tip of a pointed panel) takes its neighbour's. */
function fillGaps(normals: readonly (Vec3 | undefined)[]): Vec3[] {
  return normals.map((normal, k) => {
    for (let step = 0; step < normals.length && !normal; step++) normal = normals[k + step] ?? normals[k - step];
    return normal ?? [0, 0, 1];
  });
}

/** A strip between two rows of points laid out flat, lying along u from (0, 0). */
export const layFlat = (ps: readonly Vec3[], qs: readonly Vec3[]): { p: Vec2[]; q: Vec2[] } => squareUp(unroll(ps, qs));

/** Triangle by triangle into the plane, the first ruling up the v axis. */
function unroll(ps: readonly Vec3[], qs: readonly Vec3[]): { p: Vec2[]; q: Vec2[] } {
  const p: Vec2[] = [[0, 0]];
  const q: Vec2[] = [[0, length3(sub3(at(qs, 0), at(ps, 0)))]];
  for (let k = 1; k < ps.length; k++) {
    const p0 = at(ps, k - 1);
    const q0 = at(qs, k - 1);
    const p1 = at(ps, k);
    const q1 = at(qs, k);
    const fp0 = at(p, k - 1);
    const fq0 = at(q, k - 1);
    if (k % 2 === 0) {
      p.push(lay(p0, q0, p1, fp0, fq0));
      q.push(lay(p1, q0, q1, at(p, k), fq0));
    } else {
      q.push(lay(p0, q0, q1, fp0, fq0));
      p.push(lay(p0, q1, p1, fp0, at(q, k)));
    }
  }
  return { p, q };
}

/** The flat place of c, given those of a and b: to the right of the way from a to b. */
function lay(a: Vec3, b: Vec3, c: Vec3, fa: Vec2, fb: Vec2): Vec2 {
  const ab = sub3(b, a);
  const ac = sub3(c, a);
  const base = length3(ab);
  // a and b in one point: the panel's tip, where any direction will do; the whole is squared up afterwards
  if (base < 1e-9) return [fa[0] + length3(ac), fa[1]];
  const along = dot3(ac, ab) / base;
  const across = length3(sub3(ac, scale3(ab, along / base)));
  const ex = (fb[0] - fa[0]) / base;
  const ey = (fb[1] - fa[1]) / base;
  return [fa[0] + along * ex + across * ey, fa[1] + along * ey - across * ex];
}

/** Turned so that the line between the middles of the end rulings lies along u, and moved to start at (0, 0). */
export function squareUp(flat: { readonly p: readonly Vec2[]; readonly q: readonly Vec2[] }): { p: Vec2[]; q: Vec2[] } {
  const middle = (k: number): Vec2 => {
    const a = at(flat.p, k);
    const b = at(flat.q, k);
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  };
  const from = middle(0);
  const to = middle(-1);
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (length === 0) return { p: [...flat.p], q: [...flat.q] };
  const c = (to[0] - from[0]) / length;
  const s = (to[1] - from[1]) / length;
  const turn = ([x, y]: Vec2): Vec2 => [c * x + s * y, -s * x + c * y];
  const turnedP = flat.p.map(turn);
  const turnedQ = flat.q.map(turn);
  const all = [...turnedP, ...turnedQ];
  const minU = Math.min(...all.map((p) => p[0]));
  const minV = Math.min(...all.map((p) => p[1]));
  const shift = ([u, v]: Vec2): Vec2 => [u - minU, v - minV];
  return { p: turnedP.map(shift), q: turnedQ.map(shift) };
}

/** The bend is measured over this much of the panel at least: nearer rulings carry the noise of a rounded table. */
const BEND_SPAN_MM = 60;
/** Rulings that close in to this share of their spread at one end are a fan in all but name. */
const FAN_SHARE = 0.12;

type Bend = { readonly least: number | null; readonly ends: readonly [number, number] | null };
const STRAIGHT: Bend = { least: null, ends: null };

function bendRadii(points: { p: Vec3[]; q: Vec3[] }, normals: readonly Vec3[], rulings: readonly Ruling[]): Bend[] {
  const last = rulings.length - 1;
  const meanStep = (polylineLength3(points.p) + polylineLength3(points.q)) / 2 / last;
  const reach = Math.max(2, Math.ceil(BEND_SPAN_MM / 2 / meanStep));
  const radii: Bend[] = [];
  for (let k = 0; k <= last; k++)
    radii.push(radiusAt(points, normals, k, [Math.max(0, k - reach), Math.min(last, k + reach)]));
  return radii;
}

function radiusAt(points: { p: Vec3[]; q: Vec3[] }, normals: readonly Vec3[], k: number, span: [number, number]): Bend {
  const a = at(normals, span[0]);
  const b = at(normals, span[1]);
  const turn = Math.atan2(length3(cross3(a, b)), dot3(a, b));
  if (turn === 0) return STRAIGHT;
  const wideP = distance3(at(points.p, span[0]), at(points.p, span[1]));
  const wideQ = distance3(at(points.q, span[0]), at(points.q, span[1]));
  const shape = wideP < FAN_SHARE * wideQ ? 'P' : wideQ < FAN_SHARE * wideP ? 'Q' : 'plain';
  const r = unit3(sub3(at(points.q, k), at(points.p, k)));
  const [p, q] = [squareDistance(points, span, 0, r), squareDistance(points, span, 1, r)];
  // the radius runs evenly along the ruling, so the least is at an end. Towards the point of a fan it goes to nought on
  // paper; the sheet's own stiffness rounds that off, so there it is measured from half the ruling outward
  const half = shape === 'plain' ? 0 : squareDistance(points, span, 0.5, r);
  const apart = shape === 'plain' ? Math.min(p, q) : Math.min(half, shape === 'P' ? q : p);
  return apart / turn < FLAT_RADIUS_MM ? { least: apart / turn, ends: [p / turn, q / turn] } : STRAIGHT;
}

/** Distance between two rulings at fraction w, measured square to the direction r. */
function squareDistance(points: { p: Vec3[]; q: Vec3[] }, [i, j]: [number, number], w: number, r: Vec3): number {
  const a = lerp3(at(points.p, i), at(points.q, i), w);
  const b = lerp3(at(points.p, j), at(points.q, j), w);
  const along = sub3(b, a);
  return length3(sub3(along, scale3(r, dot3(along, r))));
}
