/**
 * The true section of a developed panel by a plane, in space and on the flat.
 *
 * Method: every ruling that crosses the plane gives one point, exactly; between rulings the surface is a strip of
 * triangles. The ends lie on the two edges. Taken off by `inset` along the normals, each ruling moves parallel to
 * itself (the parallel surface of a developable has parallel rulings), and the same is done on the moved ones.
 */
import {
  at,
  distance3,
  dot3,
  lerp2,
  lerp3,
  scale3,
  sub3,
  unit3,
  add3,
  type Vec2,
  type Vec3,
  SAME_POINT_MM,
} from '../geometry';
import { wholeEnds, type LaidRuling } from './strip';

export type SectionPoint = { readonly space: Vec3; readonly flat: Vec2; readonly normal: Vec3 };

/** `ruling` is the index of the one it lies on or just after, `across` the fraction of it from P to Q. */
type PlacedPoint = SectionPoint & { readonly ruling: number; readonly across: number };

/** The points whose way along the unit vector `normal` is `level`, mm. */
export type Plane = { readonly normal: Vec3; readonly level: number };

/** By the plane x = const: points from the P edge to the Q edge; empty where the plane misses the panel. */
export const sectionAt = (rulings: readonly LaidRuling[], x: number, inset = 0): PlacedPoint[] =>
  sectionBy(rulings, { normal: [1, 0, 0], level: x }, inset);

/** By any plane: points from the P edge to the Q edge; empty where the plane misses the panel. */
export function sectionBy(rulings: readonly LaidRuling[], { normal: m, level }: Plane, inset = 0): PlacedPoint[] {
  const points: { order: number; point: PlacedPoint }[] = [];
  // how far past the plane the ends of a ruling lie, and those of the one before
  let [beforeP, beforeQ] = [0, 0];
  for (let k = 0; k < rulings.length; k++) {
    const { p, q, normal } = rulings[k]!; // in bounds by the loop
    const beyond = level + inset * dot3(normal, m);
    const pastP = dot3(p, m) - beyond;
    const pastQ = dot3(q, m) - beyond;
    if (pastP > 0 !== pastQ > 0) {
      const w = pastP / (pastP - pastQ);
      points.push({ order: w, point: pointOn(rulings, k, w, inset) });
    }
    if (k > 0 && beforeP > 0 !== pastP > 0)
      points.push({ order: -1, point: between(rulings, k, 'p', beforeP / (beforeP - pastP), inset) });
    if (k > 0 && beforeQ > 0 !== pastQ > 0)
      points.push({ order: 2, point: between(rulings, k, 'q', beforeQ / (beforeQ - pastQ), inset) });
    beforeP = pastP;
    beforeQ = pastQ;
  }
  const ordered = points.sort((a, b) => a.order - b.order).map(({ point }) => point);
  // rulings of a fan, or of a plane, may cross the section in one point
  return ordered.filter((p, i) => i === 0 || distance3(p.space, at(ordered, i - 1).space) > SAME_POINT_MM);
}

const moved = (r: LaidRuling, end: 'p' | 'q', inset: number): Vec3 =>
  inset === 0 ? r[end] : sub3(r[end], scale3(r.normal, inset));

function pointOn(rulings: readonly LaidRuling[], k: number, w: number, inset: number): PlacedPoint {
  const r = at(rulings, k);
  return {
    space: lerp3(moved(r, 'p', inset), moved(r, 'q', inset), w),
    flat: lerp2(...wholeEnds(r), w),
    normal: r.normal,
    ruling: k,
    across: w,
  };
}

/** On an edge, a fraction w of the way from the ruling before k to k. */
function between(rulings: readonly LaidRuling[], k: number, end: 'p' | 'q', w: number, inset: number): PlacedPoint {
  const flat = end === 'p' ? 0 : 1;
  const [a, b] = [at(rulings, k - 1), at(rulings, k)];
  return {
    space: lerp3(moved(a, end, inset), moved(b, end, inset), w),
    flat: lerp2(wholeEnds(a)[flat], wholeEnds(b)[flat], w),
    normal: unit3(add3(scale3(a.normal, 1 - w), scale3(b.normal, w))),
    ruling: k - 1,
    across: end === 'p' ? 0 : 1,
  };
}

/** How far the section departs from a straight line between its ends, in the plane of the section, mm. */
export function bowOf(points: readonly { readonly space: Vec3 }[]): number {
  if (points.length < 3) return 0;
  const [a, b] = [at(points, 0).space, at(points, -1).space];
  const length = Math.hypot(b[1] - a[1], b[2] - a[2]);
  if (length === 0) return 0;
  return Math.max(
    ...points.map(
      ({ space }) => Math.abs((b[1] - a[1]) * (space[2] - a[2]) - (b[2] - a[2]) * (space[1] - a[1])) / length,
    ),
  );
}
