/**
 * A part inside or on top, as it is cut: its pieces on the flat, what they land on, and what bounds them.
 *
 * Method: half of what the skin leaves of the part's surface is found on either face of the sheet (skin-edge.ts): of a
 * square edge the smaller face rules, of a bevelled one the larger is cut and the saw tilts to the other. The part's
 * own ends, the transoms' inner faces and whatever stands through it are taken off that, in true length on the sheet
 * (Clipper2, to 1e-4 mm); what falls apart is pieces.
 */
import {
  at,
  boundsOf,
  contains,
  differenceOf,
  distanceToSegment,
  dot3,
  intersectionOf,
  netArea,
  polylineLength3,
  simplify,
  simplifyRing,
  unionOf,
  type Outline,
  type Region,
  type Vec2,
} from '../geometry';
import { outlineOfOpening, type School } from '../frames';
import { insideOf, outsideOf, type Panel } from '../panels';
import { acrossPlaces, besideLine, FAR_MM, HALF_BREADTH_MM, levelOn, lineAt, planeAtX, type EndOfRoom } from './across';
import { blunted } from './blunt';
import { TIP } from './constants';
import { hollowed } from './hollow';
import { acrossAt, alongAt, FACES, lieOf, type FaceOfLie, type Lie } from './lie';
import { ownEdges, roomOf } from './room';
import type { InsidePlan } from './schema';
import { between, skinEdges, type SkinPoint } from './skin-edge';

/** What stands through a part: its ring on the sheet with the gap round it, and its own name. */
export type InTheWay = { readonly id: string; readonly name: string; readonly outline: Outline };

/** A place of a piece's edge at the skin. */
export type EdgePoint = Omit<SkinPoint, 'inward'>;

/** A stretch of a piece's edge that lies along the skin. */
export type EdgeAtSkin = {
  /** Of the face whose edge it is. */
  readonly face: FaceOfLie;
  readonly points: readonly EdgePoint[];
  readonly lengthMm: number;
};

export type FittedPiece = {
  readonly id: string;
  readonly name: string;
  /** Seen from above: u aft, v to starboard. */
  readonly region: Region;
  /** The edge of the other face, where edges are bevelled. */
  readonly otherFace?: Outline;
  /** Of a wall: where the other face ends at its foot, and the foot itself where more is left on below. */
  readonly otherEdge?: readonly Vec2[];
  readonly netEdge?: readonly Vec2[];
  readonly atSkin: readonly EdgeAtSkin[];
  /** Of one face. */
  readonly areaM2: number;
};

type Shape = {
  readonly lie: Lie;
  /** Edges at the skin of the whole part, each face's, to starboard. */
  readonly edges: Readonly<Record<FaceOfLie, readonly (readonly SkinPoint[])[]>>;
  readonly school: School;
};

export type FitAsked = {
  readonly school: School;
  /** From the lines' surface to the inside of the skin, and to its outside (negative where that lies without). */
  readonly inside: number;
  readonly outside: number;
  /** Inner faces of what closes the boat's ends. */
  readonly ends: readonly EndOfRoom[];
};

/** A part that lies over the sheer meets the skin up to so far beyond it. */
const RUN_ON_MM = 120;
/** Of what is left smaller than this nothing can be made. */
const LEAST_PIECE_MM2 = 400;
/** Outlines are given to this. */
const OUTLINE_MM = 0.005;
/** Edges at the skin, from which tables, marks and fillets are taken, are given to this. */
const EDGE_MM = 0.03;
/** So near to an edge is on it: over the outline's own tolerance. */
const NUDGE_MM = 0.2;

/** What the skin leaves of the part's surface, to starboard, and its edges there. */
export function shapeOf(
  plan: InsidePlan,
  panels: readonly Panel[],
  asked: FitAsked,
): Shape & {
  readonly half: readonly Outline[];
} {
  const lie = lieOf(plan);
  const school = plan.school ?? asked.school;
  const isOver = plan.fit === 'over';
  const gap = isOver ? -plan.overhang : school === 'framed' ? 0 : plan.gap;
  const insetOf = (panel: Panel) =>
    isOver ? -outsideOf(panel, -asked.outside) : insideOf(panel, asked.inside) + plan.lining;
  const edgesOf = (face: FaceOfLie) => skinEdges(panels, lie, { face, insetOf, runOn: isOver ? RUN_ON_MM : 0, gap });
  const edges = { top: isOver ? [] : edgesOf('top'), under: edgesOf('under') };
  const [top, under] = [edges.top, edges.under].map((runs) => unionOf(runs.map((run) => closed(run, asked.ends))));
  const half = isOver
    ? under
    : school === 'framed'
      ? unionOf([...(top ?? []), ...(under ?? [])])
      : intersectionOf(top ?? [], under ?? []);
  return { lie, school, edges, half: half ?? [] };
}

/** With the centreline. An edge that ends at a transom is run on beyond it: that cuts it off where it stands. */
function closed(run: readonly SkinPoint[], ends: readonly EndOfRoom[]): Outline {
  const points = run.map(({ flat }) => flat);
  const back = [...run].reverse();
  const [fore, aft] = [beyondEnd(run, ends), beyondEnd(back, ends)];
  const [first, last] = [fore ?? at(points, 0), aft ?? at(points, -1)];
  return [[first[0], 0], ...(fore ? [fore] : []), ...points, ...(aft ? [aft] : []), [last[0], 0]];
}

/** So far an edge is run on, and so near to a transom's face it ends at that, mm. */
const BEYOND_END_MM = 400;
const AT_END_MM = 120;

/** The place far beyond the first of an edge's points, where that lies at an end of the boat; undefined elsewhere. */
function beyondEnd([first, next]: readonly SkinPoint[], ends: readonly EndOfRoom[]): Vec2 | undefined {
  if (!first || !next || first.flat[1] < 1) return undefined;
  const isThere = ends.some((end) => {
    const level = end.bent ? levelOn(end.bent, first.space[1]) : end.level;
    return Math.abs(dot3(first.space, end.normal) - level) < AT_END_MM;
  });
  const step = Math.abs(first.flat[0] - next.flat[0]);
  if (!isThere || step === 0) return undefined;
  const w = BEYOND_END_MM / step;
  return [
    first.flat[0] + w * (first.flat[0] - next.flat[0]),
    Math.max(0, first.flat[1] + w * (first.flat[1] - next.flat[1])),
  ];
}

const overCentreline = (outlines: readonly Outline[]): Outline[] =>
  outlines.map((outline) => outline.map(([u, v]): Vec2 => [u, -v]).reverse());

export type HalfShape = ReturnType<typeof shapeOf>;

type Bounds = {
  /** What the skin leaves to port, turned over; of a boat whose sides are alike the same as to starboard. */
  readonly port: HalfShape;
  /** Inner faces of what closes the boat's ends. */
  readonly ends: readonly EndOfRoom[];
  readonly inTheWay: readonly InTheWay[];
};

/** By the side on which they are. */
type EdgesOfSides = Readonly<Record<'starboard' | 'port', Shape['edges']>>;

/** The pieces of a part. */
export function piecesOf(plan: InsidePlan, starboard: HalfShape, { port, ends, inTheWay }: Bounds): FittedPiece[] {
  const { lie, school } = starboard;
  const own = plan.hand === 'port' ? port : starboard;
  const whole = plan.hand === 'across' ? unionOf([...starboard.half, ...overCentreline(port.half)]) : own.half;
  const edges = { starboard: starboard.edges, port: port.edges };
  const room = ends.reduce(
    (left, end) => {
      const isAfter = end.normal[0] > 0;
      return intersectionOf(left, [besideLine(lineAt(lie, end, isAfter), isAfter)]);
    },
    intersectionOf(whole, roomOf(plan, lie)),
  );
  const edged = room
    .flatMap((outline) => hollowed(outline, ownEdges(plan, lie)))
    .flatMap((outline) => (plan.isTimber ? blunted(outline, TIP.value) : [outline]));
  const regions = differenceOf(edged, [...inTheWay.map(({ outline }) => outline), ...hatchesOn(plan, lie)]);
  const parts = regions
    .flatMap((region) => cutUp(region, plan, lie))
    .filter((region) => netArea(region) > LEAST_PIECE_MM2)
    .map((region) => (plan.hand === 'port' ? turnedOver(region) : region))
    .map(({ outline, holes }) => ({
      outline: simplifyRing(outline, OUTLINE_MM),
      holes: holes.map((hole) => simplifyRing(hole, OUTLINE_MM)),
    }))
    .sort((a, b) => middleOf(a)[0] - middleOf(b)[0] || middleOf(a)[1] - middleOf(b)[1]);
  return parts.map((region, k): FittedPiece => ({
    id: `inside.${plan.id}.${k + 1}`,
    name: parts.length > 1 ? `${plan.name} ${k + 1}` : plan.name,
    region,
    ...(school === 'framed' && plan.fit === 'inside' && otherFaceOf(region, edges, { hand: plan.hand, ends })),
    atSkin: edgesAtSkin(region.outline, edges, plan.hand),
    areaM2: netArea(region) / 1e6,
  }));
}

function middleOf({ outline }: Region): Vec2 {
  const { minX, maxX, minY, maxY } = boundsOf(outline);
  // to a millimetre, so that rounding does not decide which of two that lie abreast comes first
  return [Math.round((minX + maxX) / 2), Math.round((minY + maxY) / 2)];
}

const turnedOver = ({ outline, holes }: Region): Region => ({
  outline: at(overCentreline([outline]), 0),
  holes: overCentreline(holes),
});

function hatchesOn(plan: InsidePlan, lie: Lie): Outline[] {
  return plan.hatches.flatMap(({ shape, x, out, long, wide, corner, isPair }) => {
    const v = acrossAt(lie, out, 'under');
    const u = alongAt(lie, planeAtX(x), v, 0);
    const outline = outlineOfOpening({ shape, out: u, up: v, width: long, height: wide, corner });
    return isPair && plan.hand === 'across' ? [outline, ...overCentreline([outline])] : [outline];
  });
}

/** Where the builder cuts it in two: across the boat, and along the centreline. */
function cutUp(region: Region, plan: InsidePlan, lie: Lie): Region[] {
  const lines = plan.cuts
    .filter(({ x }) => x > plan.from && x < plan.to)
    .sort((a, b) => a.x - b.x)
    .map(({ x }) => acrossPlaces(lie, HALF_BREADTH_MM).map((v): Vec2 => [alongAt(lie, planeAtX(x), v, 0), v]));
  const bands = [...lines, undefined].map((line, i) => {
    const before = lines[i - 1];
    const all: Outline = [
      [-FAR_MM, -FAR_MM],
      [FAR_MM, -FAR_MM],
      [FAR_MM, FAR_MM],
      [-FAR_MM, FAR_MM],
    ];
    const kept = line ? [besideLine(line, true)] : [all];
    return before ? intersectionOf(kept, [besideLine(before, false)]) : kept;
  });
  const sides: Outline[] =
    plan.isHalved && plan.hand === 'across'
      ? ([-1, 1] as const).map((side): Outline => [
          [-FAR_MM, 0],
          [FAR_MM, 0],
          [FAR_MM, side * FAR_MM],
          [-FAR_MM, side * FAR_MM],
        ])
      : [];
  const among = (regions: readonly Region[], kept: readonly Outline[]): Region[] =>
    regions.flatMap(({ outline, holes }) => differenceOf(intersectionOf([outline], kept), holes));
  const cut = lines.length === 0 ? [region] : bands.flatMap((band) => among([region], band));
  return sides.length === 0 ? cut : sides.flatMap((side) => among(cut, [side]));
}

/** The face that is not the larger one: from the edges of both, as far as the piece reaches. */
function otherFaceOf(
  { outline }: Region,
  edges: EdgesOfSides,
  { hand, ends }: { readonly hand: Hand; readonly ends: readonly EndOfRoom[] },
): { otherFace: Outline } | undefined {
  const faces = FACES.map((face) => {
    const halves = handsOf(hand).map((side) => {
      const half = unionOf(edges[side][face].map((run) => closed(run, ends)));
      return side === 'port' ? overCentreline(half) : half;
    });
    return unionOf(halves.flat());
  });
  const smaller = intersectionOf(intersectionOf(faces[0] ?? [], faces[1] ?? []), [outline]);
  const largest = smaller.reduce<Outline | undefined>(
    (best, one) => (!best || netArea({ outline: one }) > netArea({ outline: best }) ? one : best),
    undefined,
  );
  return largest && { otherFace: simplifyRing(largest, OUTLINE_MM) };
}

type Hand = InsidePlan['hand'];
const handsOf = (hand: Hand): readonly ('starboard' | 'port')[] =>
  hand === 'across' ? ['starboard', 'port'] : [hand === 'port' ? 'port' : 'starboard'];

/**
 * The stretches of the skin's edges that are this piece's own edge, to both sides where it lies there. Where the skin
 * stands square to the part both faces end on it: there it is the edge of the under face alone.
 */
const edgesAtSkin = (outline: Outline, edges: EdgesOfSides, hand: Hand): EdgeAtSkin[] =>
  handsOf(hand).flatMap((side) => {
    const on = (face: FaceOfLie, others: readonly (readonly SkinPoint[])[]) =>
      edges[side][face].flatMap((run) => stretchesOn(outline, side === 'port' ? run.map(toPort) : run, others));
    const under = on('under', []);
    const made = [
      ...under.map((points) => ({ face: 'under' as const, points })),
      ...on('top', under).map((points) => ({ face: 'top' as const, points })),
    ];
    return made.map(({ face, points }) => ({
      ...{ face, points: thinned(points) },
      lengthMm: polylineLength3(points.map(({ space }) => space)),
    }));
  });

/** Without the places that the straight way between their neighbours passes. */
function thinned(points: readonly SkinPoint[]): EdgePoint[] {
  const kept = new Set(
    simplify(
      points.map(({ flat }) => flat),
      EDGE_MM,
    ),
  );
  return points
    .filter((point) => kept.has(point.flat))
    .map(({ flat, space, bevelDeg, mark }) => ({ flat, space, bevelDeg, mark }));
}

const toPort = (point: SkinPoint): SkinPoint => ({
  ...point,
  flat: [point.flat[0], -point.flat[1]],
  space: [point.space[0], -point.space[1], point.space[2]],
  inward: [point.inward[0], -point.inward[1]],
});

function stretchesOn(
  outline: Outline,
  run: readonly SkinPoint[],
  others: readonly (readonly SkinPoint[])[],
): SkinPoint[][] {
  const isOnOther = (p: Vec2) =>
    others.some((other) =>
      other.some((b, i) => i > 0 && distanceToSegment(p, at(other, i - 1).flat, b.flat) < NUDGE_MM),
    );
  const isEdge = ({ flat, inward }: SkinPoint) => {
    const beside = (mm: number): Vec2 => [flat[0] + mm * inward[0], flat[1] + mm * inward[1]];
    return contains(outline, beside(NUDGE_MM)) && !contains(outline, beside(-NUDGE_MM)) && !isOnOther(flat);
  };
  const stretches: SkinPoint[][] = [[]];
  run.forEach((point, i) => {
    const before = run[i - 1];
    const [was, is] = [at(stretches, -1).length > 0, isEdge(point)];
    if (was !== is && before) at(stretches, -1).push(whereEdgeEnds(was ? before : point, was ? point : before, isEdge));
    // over a chine the skin leans otherwise: another stretch, with a cleat of its own
    if (was && is && before && before.mark.panel !== point.mark.panel) stretches.push([]);
    if (is) at(stretches, -1).push(point);
    else if (was) stretches.push([]);
  });
  return stretches.filter((points) => points.length > 1);
}

/** Between a place that is on the edge and the next one, which is not. */
function whereEdgeEnds(on: SkinPoint, off: SkinPoint, isEdge: (point: SkinPoint) => boolean): SkinPoint {
  let [low, high] = [0, 1];
  for (let step = 0; step < HALVINGS; step++) {
    const middle = (low + high) / 2;
    if (isEdge(between(on, off, middle))) low = middle;
    else high = middle;
  }
  return between(on, off, low);
}

/** Of a step between two rulings, to a hundredth of a millimetre. */
const HALVINGS = 12;
