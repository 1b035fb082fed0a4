/**
 * The true section of a developed panel by the plane x = const, in space and on the flat.
 *
 * Method: every ruling that crosses the plane gives one point, exactly; between rulings the surface is a strip of
 * triangles. The ends lie on the two edges. Taken off by `inset` along the normals, each ruling moves parallel to itself
 * (the parallel surface of a developable has parallel rulings), and the same is done on the moved ones.
 */
import {
  at,
  distance3,
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
import type { LaidRuling } from './strip';

export type SectionPoint = { readonly space: Vec3; readonly flat: Vec2; readonly normal: Vec3 };

/** Points from the P edge to the Q edge; empty where the plane misses the panel. */
export function sectionAt(rulings: readonly LaidRuling[], x: number, inset = 0): SectionPoint[] {
  const nodes = rulings.map((r) => ({
    p: inset === 0 ? r.p : sub3(r.p, scale3(r.normal, inset)),
    q: inset === 0 ? r.q : sub3(r.q, scale3(r.normal, inset)),
    r,
  }));
  const points: { order: number; point: SectionPoint }[] = [];
  nodes.forEach((node, k) => {
    const [xp, xq] = [node.p[0] - x, node.q[0] - x];
    if (xp > 0 !== xq > 0 && xp !== xq) {
      const w = xp / (xp - xq);
      points.push({ order: w, point: pointOn(node, w) });
    }
    const before = nodes[k - 1];
    if (!before) return;
    for (const end of ['p', 'q'] as const) {
      const [a, b] = [before[end][0] - x, node[end][0] - x];
      if (a > 0 === b > 0) continue;
      points.push({ order: end === 'p' ? -1 : 2, point: between(before, node, end, a / (a - b)) });
    }
  });
  const ordered = points.sort((a, b) => a.order - b.order).map(({ point }) => point);
  // rulings of a fan, or of a plane, may cross the section in one point
  return ordered.filter((p, i) => i === 0 || distance3(p.space, at(ordered, i - 1).space) > SAME_POINT_MM);
}

type Node = { readonly p: Vec3; readonly q: Vec3; readonly r: LaidRuling };

const pointOn = (node: Node, w: number): SectionPoint => ({
  space: lerp3(node.p, node.q, w),
  flat: lerp2(node.r.flatP, node.r.flatQ, w),
  normal: node.r.normal,
});

function between(a: Node, b: Node, end: 'p' | 'q', w: number): SectionPoint {
  const flat = end === 'p' ? 'flatP' : 'flatQ';
  return {
    space: lerp3(a[end], b[end], w),
    flat: lerp2(a.r[flat], b.r[flat], w),
    normal: unit3(add3(scale3(a.r.normal, 1 - w), scale3(b.r.normal, w))),
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
