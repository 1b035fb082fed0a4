/**
 * All seams of a boat, from its panels, transoms, frames, girders and what lies inside.
 *
 * Method: along the line that two panels share, the angle between their normals, panel by panel from its rulings (the
 * normal between two rulings by their shares), at the middles of equal steps of the line's own parameter: the steps are
 * the line's, so that a seam that is split is counted in the same places. A bulkhead's angles are square plus and minus
 * its bevel, on its two faces. Accuracy: of a fillet on a cone 0.05 %.
 */
import { at, cross3, distance2, dot3, unit3, type Vec2, type Vec3 } from '../../geometry';
import { placeInBoat, placeOnGirder, type Frame, type Girder, type School } from '../../frames';
import type { CutInside } from '../../fitout';
import { CENTRELINE_MM } from '../../lines';
import { toDeg, toRad } from '../../measure';
import {
  lengthBetween,
  onEdge,
  pointsBetween,
  sharedStretches,
  type EdgeOfPanel,
  type Panel,
  type Shared,
  type Transom,
} from '../../panels';
import type { Seam, SeamEdge, Stretch } from './seam';

export type SeamsOf = {
  readonly panels: readonly Panel[];
  readonly transoms: readonly Transom[];
  readonly frames: readonly Frame[];
  readonly girders: readonly Girder[];
  readonly inside: readonly CutInside[];
  readonly school: School;
};

/** A shorter end comes to a point. */
const LEAST_SEAM_MM = 1;
/** Steps of a whole line. */
const STEPS = 48;

export function findSeams({ panels, transoms, frames, girders, inside, school }: SeamsOf): Seam[] {
  const seams: Seam[] = [];
  const isFilleted = school === 'filleted';
  const all = sharedStretches(panels);
  for (const shared of all) {
    const isOnly = all.filter(({ line }) => line === shared.line).length === 1;
    const of = shared.below ? chineSeam(shared, shared.below, isOnly) : keelSeam(shared, panels, isOnly);
    seams.push({ ...of, isFilleted });
  }
  seams.push(...panels.flatMap(endSeams).map((seam) => ({ ...seam, isFilleted })));
  for (const { id, name, seam, corners } of transoms)
    seams.push(seamOf({ id, kind: 'transom', name, stretches: seam, isFilleted, paths: [starboardOf(corners)] }));
  return [...seams, ...frames.flatMap(bulkheadSeam), ...girders.flatMap(girderSeam), ...inside.flatMap(insideSeam)];
}

type Made = Pick<Seam, 'id' | 'kind' | 'name' | 'stretches' | 'isFilleted' | 'paths'> &
  Partial<Pick<Seam, 'edges' | 'corners'>>;

function seamOf({ id, kind, name, stretches, isFilleted, paths, edges = [], corners = 1 }: Made): Seam {
  const along = stretches.reduce((sum, { length }) => sum + length, 0);
  const turned = stretches.reduce((sum, { length, angleRad }) => sum + length * angleRad, 0);
  const angleDeg = along > 0 ? toDeg(turned / along) : 90; // of no length: none is filled
  return { id, kind, name, length: along / corners, angleDeg, stretches, corners, isFilleted, paths, edges };
}

/** Along the skin under a girder, on both its faces. */
function girderSeam({ id, name, school, seamMm, edge, plane }: Girder): Seam[] {
  if (school !== 'filleted') return [];
  const stretches = bothCorners(
    edge.map(({ s, z, bevelDeg }) => ({ at: [s, z], bevelDeg })),
    seamMm,
  );
  const path = edge.map(({ s, z }) => placeOnGirder(plane, [s, z]));
  return [seamOf({ id, kind: 'bulkhead', name, stretches, corners: 2, isFilleted: true, paths: [path] })];
}

/**
 * Along the skin over a part inside, and under it where no cleat lies; along the foot of a wall. None where its edge is
 * bevelled.
 */
function insideSeam({ id, name, fit, hand, isSquare, pieces, supports }: CutInside): Seam[] {
  if (!isSquare || fit === 'over') return [];
  const hands = hand === 'pair' ? 2 : 1;
  const corners = supports.some(({ of }) => of === 'skin') ? 1 : 2;
  const edges = pieces.flatMap(({ atSkin }) => atSkin);
  const stretches = edges.flatMap(({ points, lengthMm }) => {
    const both = bothCorners(
      points.map(({ flat, bevelDeg }) => ({ at: flat, bevelDeg })),
      lengthMm * hands,
    );
    // of every two the first is the corner over the part
    return corners === 2 ? both : both.filter((_, k) => k % 2 === 0);
  });
  const paths = edges
    .map(({ points }) => points.map(({ space }) => space))
    .filter((path) => path.some(([, y]) => y >= 0));
  if (stretches.length === 0) return [];
  return [seamOf({ id: `inside ${id}`, kind: 'inside', name, stretches, corners, isFilleted: true, paths })];
}

/** Along the edges that are filleted; none where no edge is. */
function bulkheadSeam({ id, name, edges, ...plane }: Frame): Seam[] {
  const filleted = edges.filter(({ school, seamMm }) => school === 'filleted' && seamMm > 0);
  if (filleted.length === 0) return [];
  const stretches = filleted.flatMap(({ points, seamMm }) =>
    bothCorners(
      points.map(({ y, z, bevelDeg }) => ({ at: [y, z], bevelDeg })),
      seamMm,
    ),
  );
  const paths = filleted.map(({ points }) => points.map(({ y, z }) => placeInBoat(plane, [y, z])));
  return [seamOf({ id, kind: 'bulkhead', name, stretches, corners: 2, isFilleted: true, paths })];
}

/** Square plus the bevel on one face, square less it on the other; `length` of one face, by the shares of the edge. */
function bothCorners(points: readonly { readonly at: Vec2; readonly bevelDeg: number }[], length: number): Stretch[] {
  const runs = points.slice(1).map((p, k) => {
    const q = at(points, k);
    return { chord: distance2(p.at, q.at), bevelRad: toRad((p.bevelDeg + q.bevelDeg) / 2) };
  });
  const along = runs.reduce((sum, { chord }) => sum + chord, 0);
  if (along === 0) return [];
  return runs.flatMap(({ chord, bevelRad }) =>
    [1, -1].map((face) => ({ length: (chord / along) * length, angleRad: Math.PI / 2 + face * bevelRad })),
  );
}

/** Along the skin from the centreline up to the sheer: a transom’s corners go round it, across its top. */
function starboardOf(corners: readonly Vec3[]): Vec3[] {
  const own = corners.filter(([, y]) => y >= -CENTRELINE_MM);
  const first = own[0];
  return first && first[1] > CENTRELINE_MM ? [[first[0], 0, first[2]], ...own] : own;
}

/** Inner angle between two panels that meet. */
function chineSeam({ line, from, to, above }: Shared, below: EdgeOfPanel, isOnly: boolean): Seam {
  const stretches = stepsOf(from, to).map(([t0, t1]): Stretch => {
    const t = (t0 + t1) / 2;
    const angleRad = Math.PI - angleBetween(normalAt(below, t), normalAt(above, t));
    return { length: 2 * lengthBetween(above, [t0, t1]), angleRad };
  });
  const id = isOnly ? line : `${line}.${below.panel.id}.${above.panel.id}`;
  const name = `${below.panel.name} to ${above.panel.name.toLowerCase()}`;
  const edges = [below, above].map((edge) => edgeOf(edge, from, to));
  return seamOf({ id, kind: 'chine', name, stretches, isFilleted: true, paths: [pathOf(above, from, to)], edges });
}

/** A panel and its own mirror: along the keel, and, where it runs on beyond the panel below it, along stem or stern. */
function keelSeam({ line, from, to, above }: Shared, panels: readonly Panel[], isOnly: boolean): Seam {
  const stretches = stepsOf(from, to).map(([t0, t1]): Stretch => {
    const [x, y, z] = normalAt(above, (t0 + t1) / 2);
    return { length: lengthBetween(above, [t0, t1]), angleRad: Math.PI - angleBetween([x, y, z], [x, -y, z]) };
  });
  const isLowest = above.panel === panels[0];
  const place = from === 0 ? 'Stem' : to === 1 ? 'Stern' : 'Keel';
  const id = isOnly ? line : `${line}.${above.panel.id}.${place.toLowerCase()}`;
  const name = isLowest ? 'Keel' : `${place}, ${above.panel.name.toLowerCase()}`;
  const kind = isLowest || place === 'Keel' ? 'keel' : 'end';
  const edges = [edgeOf(above, from, to)];
  return seamOf({ id, kind, name, stretches, isFilleted: true, paths: [pathOf(above, from, to)], edges });
}

/** A panel and its mirror where they end on each other along a straight stem or stern: the panel's own last ruling. */
function endSeams(panel: Panel): Seam[] {
  if (panel.spansCentreline) return [];
  return (['fore', 'aft'] as const).flatMap((end): Seam[] => {
    const { p, q, flatP, flatQ, normal } = at(panel.rulings, end === 'fore' ? 0 : -1);
    const length = distance2(flatP, flatQ);
    if (length < LEAST_SEAM_MM || Math.max(Math.abs(p[1]), Math.abs(q[1])) > CENTRELINE_MM) return [];
    const [x, y, z] = normal;
    const angleRad = Math.PI - angleBetween([x, y, z], [x, -y, z]);
    const name = `${end === 'fore' ? 'Stem' : 'Stern'}, ${panel.name.toLowerCase()}`;
    return [
      seamOf({
        id: `${panel.id}.${end}`,
        kind: 'end',
        name,
        stretches: [{ length, angleRad }],
        isFilleted: true,
        paths: [[p, q]],
        edges: [{ panel: panel.id, end }],
      }),
    ];
  });
}

const pathOf = (edge: EdgeOfPanel, from: number, to: number): Vec3[] =>
  pointsBetween(edge, [from, to]).map(({ space }) => space);

const edgeOf = ({ panel, end, stretch }: EdgeOfPanel, from: number, to: number): SeamEdge => ({
  ...{ panel: panel.id, end, line: stretch.line, from, to },
});

/** The line's own equal steps, those at the ends cut short. */
function stepsOf(from: number, to: number): (readonly [number, number])[] {
  const inner = Array.from({ length: STEPS - 1 }, (_, k) => (k + 1) / STEPS).filter((t) => t > from && t < to);
  const ends = [from, ...inner, to];
  return ends.slice(1).map((end, k) => [at(ends, k), end] as const);
}

/** Between two rulings by their shares; beyond the last that of the last. */
function normalAt({ panel: { rulings }, end, stretch }: EdgeOfPanel, t: number): Vec3 {
  const u = onEdge(stretch, t);
  const along = (k: number) => at(rulings, k)[end === 'P' ? 's' : 't'];
  let next = rulings.findIndex((_, k) => along(k) >= u);
  if (next < 0) next = rulings.length - 1;
  if (next === 0) return at(rulings, 0).normal;
  const [from, to] = [along(next - 1), along(next)];
  const share = to > from ? Math.min(1, (u - from) / (to - from)) : 1;
  const [a, b] = [at(rulings, next - 1).normal, at(rulings, next).normal];
  return [0, 1, 2].map((k) => a[k]! + share * (b[k]! - a[k]!)) as unknown as Vec3; // three of three
}

const angleBetween = (a: Vec3, b: Vec3): number =>
  Math.atan2(Math.hypot(...cross3(unit3(a), unit3(b))), dot3(unit3(a), unit3(b)));
