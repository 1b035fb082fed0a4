/** Where a part may lie: between its own ends, its inner and its outer edge; and those edges themselves. */
import { distance2, intersectionOf, type Outline, type Vec2 } from '../geometry';
import { besideLine, FAR_MM, HALF_BREADTH_MM, lineAt, planeAtX } from './across';
import type { StraightEdge } from './hollow';
import { acrossAt, alongAt, type Lie } from './lie';
import type { InsidePlan } from './schema';

/** The part's own straight edges: its ends, and of one beside the middle its inner edge. */
export function ownEdges(plan: InsidePlan, lie: Lie): StraightEdge[] {
  const { fore, aft, inner } = plan.hollow;
  const ends: StraightEdge[] = [
    { line: lineAt(lie, planeAtX(plan.from), false), inward: [1, 0], rise: fore },
    { line: lineAt(lie, planeAtX(plan.to), true), inward: [-1, 0], rise: aft },
  ];
  if (plan.hand === 'across') return ends;
  const [a, b] = innerEdge(plan, lie);
  const long = distance2(a, b);
  return [...ends, { line: [a, b], inward: [-(b[1] - a[1]) / long, (b[0] - a[0]) / long], rise: inner }];
}

/** Of one beside the middle: run on beyond its ends, for those that are not square. */
function innerEdge(plan: InsidePlan, lie: Lie): readonly [Vec2, Vec2] {
  const [fore, aft] = [acrossAt(lie, plan.inner.fore, 'under'), acrossAt(lie, plan.inner.aft, 'under')];
  const [u0, u1] = [alongAt(lie, planeAtX(plan.from), 0, 0), alongAt(lie, planeAtX(plan.to), 0, 0)];
  const out = u1 > u0 ? (aft - fore) / (u1 - u0) : 0;
  return [
    [u0 - BESIDE_MM, fore - out * BESIDE_MM],
    [u1 + BESIDE_MM, aft + out * BESIDE_MM],
  ];
}

/** Where a part may lie: between its ends, its inner and outer edges. */
export function roomOf(plan: InsidePlan, lie: Lie): Outline[] {
  const along = intersectionOf(
    [besideLine(lineAt(lie, planeAtX(plan.from), false), false)],
    [besideLine(lineAt(lie, planeAtX(plan.to), true), true)],
  );
  const outer = plan.outer === null ? HALF_BREADTH_MM : acrossAt(lie, plan.outer, 'under');
  const [near, far] = innerEdge(plan, lie);
  const isAcross = plan.hand === 'across';
  const across: Outline = isAcross
    ? [
        [-FAR_MM, -outer],
        [FAR_MM, -outer],
        [FAR_MM, outer],
        [-FAR_MM, outer],
      ]
    : [near, far, [far[0], outer], [near[0], outer]];
  return intersectionOf(along, [across]);
}

/** So far beyond its ends an inner edge is drawn, for ends that are not square, mm. */
const BESIDE_MM = 300;
