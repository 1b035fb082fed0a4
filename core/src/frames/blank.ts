/**
 * What is cut of a frame: its section with the edges moved as they are made, closed at the top, bounded, and with what
 * is cut in it.
 *
 * Method: each edge is moved square to itself in the plane of the frame: a filleted one to the smaller of the two
 * faces, less the gap; one on timber to the larger, leaving the bevel to be taken off; either less what is left on to
 * be trimmed. Both halves are closed across the top. Where there is more to do, it is the intersection and difference
 * of polygons (geometry/polygon.ts). A ring's opening is the section drawn in by the ring's breadth, above its floor
 * and under its beam, its corners rounded.
 * Conventions: the plane's own axes, y to starboard (of a pair the starboard part), z up. Accuracy: exact where nothing
 * is cut away; otherwise 1e-4 mm, a ring's inner edge 0.005 mm, arcs 0.05 mm.
 */
import {
  at,
  boundsOf,
  crossLines,
  differenceOf,
  distance2,
  intersectionOf,
  mirrored,
  moved,
  rounded,
  simplify,
  simplifyRing,
  widened,
  type Outline,
  type Region,
  type Vec2,
} from '../geometry';
import { cutsIn, type Cut, type Notch } from './cuts';
import { reliefsOf } from './relief';
import type { FramePlan, School } from './schema';
import type { FrameEdge, FrameEdgePoint, FrameSection } from './section';

export type BlankPlan = Pick<FramePlan, 'bounds' | 'top' | 'proud' | 'openings' | 'limbers' | 'slots'> & {
  /** Of a ring frame, else null. */
  readonly ring: FramePlan['ring'] | null;
};

export type EdgesMade = {
  /** How the edge on a panel is made. */
  readonly schoolOf: (panel: string) => School;
  /** Kept clear at a filleted edge. */
  readonly gap: number;
  /** Between the section and the part, where that is not off the section already. */
  readonly lining?: number;
  /** Of the cutter for which the inner corners of notches are relieved; absent: none. */
  readonly relief?: number;
};

export type Blank = {
  readonly base: Base;
  /** What is cut in it, of a pair in the starboard part. */
  readonly cuts: readonly Cut[];
  /** What a ring frame leaves out of its middle. */
  readonly ring: readonly Outline[];
  /** What is left, in as many pieces as it falls into, largest first; none where its bounds leave nothing. */
  readonly regions: readonly Region[];
};

export function blankOf(
  section: FrameSection,
  plan: BlankPlan,
  edges: EdgesMade,
  notches: readonly Notch[] = [],
): Blank {
  const base = baseOf(section, plan, edges);
  const cuts = cutsIn(base, plan, notches);
  const ring = plan.ring ? ringOpening(base, { ...plan, ring: plan.ring }) : [];
  const notched = cuts.filter(({ of }) => of === 'members' || of === 'slots');
  const reliefs = notched.flatMap(({ outline }) => reliefsOf(outline, base.outlines, edges.relief ?? 0));
  const away = [...ring, ...cuts.map(({ outline }) => outline), ...reliefs];
  const regions =
    away.length === 0 ? base.outlines.map((outline) => ({ outline, holes: [] })) : differenceOf(base.outlines, away);
  return { base, cuts, ring, regions: plan.bounds.hand === 'port' ? regions.map(mirroredRegion) : regions };
}

/** The whole section cut to the smaller face, without a gap and whatever the plan says: for a model in card. */
export const plainOutline = (section: FrameSection): Outline =>
  bothHalves(joinedHalf(section, () => (p) => Math.max(0, p.otherFaceOffset)).half, []);

/** The edge of the other face at the skin, from the centreline up. */
export const otherFaceHalf = (section: FrameSection): readonly Vec2[] =>
  joinedHalf(section, () => (p) => p.otherFaceOffset).half;

/** The section within which a plate of a thickness on either face stands clear of the skin. */
export const outlineForPlates = (section: FrameSection, thickness: number): Outline =>
  bothHalves(
    joinedHalf(section, () => ({ otherFaceOffset: off }) => {
      const past = thickness / section.width;
      return off > 0 ? off * (1 + past) : -off * past;
    }).half,
    [],
  );

const mirroredRegion = ({ outline, holes }: Region): Region => ({
  outline: [...mirrored(outline)].reverse(),
  holes: holes.map((hole) => [...mirrored(hole)].reverse()),
});

/** A frame before anything is cut in it. */
export type Base = {
  /** Mostly one; none where its bounds leave nothing. */
  readonly outlines: readonly Outline[];
  /** The edge along the skin, from the centreline up. */
  readonly half: readonly Vec2[];
  /** Those of its points where one panel's edge gives way to the next. */
  readonly corners: readonly Vec2[];
  readonly isAcross: boolean;
};

function baseOf(section: FrameSection, plan: Pick<FramePlan, 'bounds' | 'top' | 'proud'>, edges: EdgesMade): Base {
  const { half, corners } = joinedHalf(section, (edge) => madeInset(edge, edges, plan.proud.skin));
  const { hand, inner, outer, bottom } = plan.bounds;
  const isAcross = hand === 'across';
  if (half.length < 2) return { outlines: [], half, corners, isAcross };
  const { outline, ceiling } = toppedOutline(half, plan, section.rakeRad);
  const box = boundsOf(outline);
  const [low, high] = [box.minY - BEYOND_MM, box.maxY + BEYOND_MM];
  const within: Outline[] = [];
  if (ceiling) within.push(ceiling);
  if (!isAcross) within.push(rectangle([inner, low], [outer ?? box.maxX + BEYOND_MM, high]));
  else if (outer !== null) within.push(rectangle([-outer, low], [outer, high]));
  if (bottom !== null) {
    const from = bottom / Math.cos(section.rakeRad);
    within.push(rectangle([box.minX - BEYOND_MM, from], [box.maxX + BEYOND_MM, Math.max(high, from + BEYOND_MM)]));
  }
  const outlines = within.reduce<readonly Outline[]>((left, one) => intersectionOf(left, [one]), [outline]);
  return { outlines, half, corners, isAcross };
}

/** Bounds reach this far beyond what they bound. */
const BEYOND_MM = 100;

const rectangle = ([x0, y0]: Vec2, [x1, y1]: Vec2): Outline => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

type Inset = (p: FrameEdgePoint) => number;

/** How far inward an edge is cut, as it is made. */
function madeInset({ panel }: FrameEdge, { schoolOf, gap, lining = 0 }: EdgesMade, proud: number): Inset {
  const isFilleted = schoolOf(panel) === 'filleted';
  return (p) => (isFilleted ? Math.max(0, p.otherFaceOffset) + gap : Math.min(0, p.otherFaceOffset)) + lining - proud;
}

/** The edges moved inward and joined at their corners, from the centreline up. */
function joinedHalf(
  { edges, outline }: FrameSection,
  insetOf: (edge: FrameEdge) => Inset,
): Pick<Base, 'half' | 'corners'> {
  const corners: Vec2[] = [];
  const half = edges
    .map((edge) => insetEdge(edge, insetOf(edge)))
    .reduce<Vec2[]>((before, next) => {
      const { points, corner } = joinAtCorner(before, next);
      if (corner) corners.push(corner);
      return points;
    }, []);
  const isClosed = Math.abs(outline[0]?.[0] ?? Infinity) < ON_CENTRELINE_MM;
  const begun = withoutRepeats(isClosed ? fromCentreline(half) : half);
  const sheer = outline[outline.length - 1];
  return { half: sheer && begun.length > 1 ? endedAt(begun, sheer[1]) : begun, corners };
}

/** A side moved square to itself, flaring as it does, cut back or run on to the height at which it ended. */
function endedAt(half: readonly Vec2[], height: number): readonly Vec2[] {
  const [a, b] = [at(half, -2), at(half, -1)];
  const isSide = b[1] - a[1] > STEEP * distance2(a, b);
  if (!isSide || Math.abs(b[1] - height) > RUN_ON_MM) return half;
  let kept = half.length;
  while (kept > 2 && at(half, kept - 2)[1] >= height) kept--;
  return [...half.slice(0, kept - 1), at(risen(half.slice(0, kept), height), -1)];
}

type Topped = {
  readonly outline: Outline;
  /** What lies under the top, where that is not the outline's own. */
  readonly ceiling: Outline | null;
};

/** Both halves closed across the top; by a ceiling where the top is lower than the sheer. */
function toppedOutline(
  half: readonly Vec2[],
  { top, proud }: Pick<FramePlan, 'top' | 'proud'>,
  rakeRad: number,
): Topped {
  if (top.kind === 'level') {
    const level = (top.mm + proud.top) / Math.cos(rakeRad);
    const tall = level > at(half, -1)[1] ? risen(half, level) : half;
    return { outline: bothHalves(tall, []), ceiling: underCurve(tall, () => level) };
  }
  const lift = proud.top - top.below;
  const sides = lift > 0 ? risen(half, at(half, -1)[1] + lift) : half;
  const end = at(sides, -1);
  const camber = camberOf(top, end[0]);
  const outline = bothHalves(sides, camber ? archPoints(end, camber) : []);
  return { outline, ceiling: lift < 0 ? underCurve(sides, (y) => end[1] + lift + (camber?.(y) ?? 0)) : null };
}

/** How high a top stands over its ends at y; undefined where it is straight. */
type Camber = (y: number) => number;

function camberOf({ kind, mm }: FramePlan['top'], reach: number): Camber | undefined {
  if (mm <= 0 || reach <= 0 || (kind !== 'rise' && kind !== 'radius')) return undefined;
  // no rounder than a half circle over the beam
  const rise = kind === 'rise' ? Math.min(mm, reach) : 0;
  const radius = kind === 'rise' ? (reach ** 2 + rise ** 2) / (2 * rise) : Math.max(mm, reach);
  const low = Math.sqrt(Math.max(0, radius ** 2 - reach ** 2));
  return (y) => Math.sqrt(Math.max(0, radius ** 2 - Math.min(Math.abs(y), reach) ** 2)) - low;
}

/** Points of half the top: at these the arc is within 0.02 mm of its chords at a beam of 2 m and a rise of 100. */
const ARCH_POINTS = 48;

/** From the starboard end, which is left out, to the port one, likewise. */
const archPoints = ([reach, z]: Vec2, camber: Camber): Vec2[] =>
  Array.from({ length: 2 * ARCH_POINTS - 1 }, (_, i): Vec2 => {
    const y = reach * (1 - (i + 1) / ARCH_POINTS);
    return [y, z + camber(y)];
  });

/** All that lies under a curve over the beam, and well beyond it. */
function underCurve(half: readonly Vec2[], height: (y: number) => number): Outline {
  const reach = Math.max(...half.map(([y]) => y)) + BEYOND_MM;
  const low = Math.min(...half.map(([, z]) => z), height(reach)) - BEYOND_MM;
  const curve = Array.from({ length: 4 * ARCH_POINTS + 1 }, (_, i): Vec2 => {
    const y = reach * (1 - i / (2 * ARCH_POINTS));
    return [y, height(y)];
  });
  return [[-reach, low], [reach, low], ...curve];
}

/** The edge run on at its upper end, the way it goes there, to a height. */
function risen(half: readonly Vec2[], height: number): Vec2[] {
  const [a, b] = [at(half, -2), at(half, -1)];
  const slope = (b[0] - a[0]) / Math.max(b[1] - a[1], STEEP * distance2(a, b));
  return [...half, [Math.max(0, b[0] + slope * (height - b[1])), height]];
}

/** An edge that rises less than this share of its length is run on as if it rose so much. */
const STEEP = 0.2;

const bothHalves = (half: readonly Vec2[], top: readonly Vec2[]): Vec2[] => [
  ...half,
  ...top,
  ...[...half]
    .reverse()
    .filter(([y]) => y > 1e-9)
    .map(([y, z]): Vec2 => [-y, z]),
];

/** The inner edge of a ring is drawn in from an edge with as few points as leave it by no more than this. */
const RING_OFF_MM = 0.005;

type RingPlan = Pick<FramePlan, 'ring' | 'bounds'>;

/** The opening of a ring frame. */
function ringOpening({ outlines, half, isAcross }: Base, { ring, bounds }: RingPlan): Outline[] {
  const { breadth, floor, beam, corner } = ring;
  const whole = outlines[0];
  if (!whole) return [];
  const box = boundsOf(whole);
  // the sides gone on up, so that only they are drawn in, and not the top
  const tall = bothHalves(simplify(risen(half, box.maxY + breadth + BEYOND_MM), RING_OFF_MM), []);
  const room = rectangle(
    [isAcross ? box.minX : bounds.inner + breadth, box.minY + floor],
    [bounds.outer === null ? box.maxX : bounds.outer - breadth, box.maxY + breadth + BEYOND_MM],
  );
  const drawnIn = intersectionOf(widened(tall, -breadth), [room]);
  const beamed = beam === 0 ? drawnIn : intersectionOf(drawnIn, [moved(whole, 0, -beam)]);
  return beamed.flatMap((outline) => rounded(simplifyRing(outline, RING_OFF_MM), corner));
}

/** A frame that starts this near to the centreline starts on it. */
const ON_CENTRELINE_MM = 1e-6;

const withoutRepeats = (points: readonly Vec2[]): Vec2[] =>
  points.filter((p, i) => i === 0 || distance2(p, at(points, i - 1)) > 1e-6);

/**
 * The moved edge begun anew where it crosses the centreline, and so its mirror image: cut back there, or run on, which
 * is where the tip of a V lies.
 */
function fromCentreline(half: readonly Vec2[]): Vec2[] {
  const first = half.findIndex(([y], i) => i > 0 && y > ON_CENTRELINE_MM);
  if (first < 1) return [...half];
  const [a, b] = [at(half, first - 1), at(half, first)];
  const w = -a[0] / (b[0] - a[0]);
  const isNear = b[0] > a[0] && Math.abs(w) * distance2(a, b) < RUN_ON_MM;
  return isNear
    ? [[0, a[1] + w * (b[1] - a[1])], ...half.slice(a[0] > ON_CENTRELINE_MM ? first - 1 : first)]
    : [...half];
}

/** Each point moved inward, square to the edge in the plane of the frame. */
function insetEdge(edge: FrameEdge, inset: (p: FrameEdgePoint) => number): Vec2[] {
  return edge.points.map((p, i): Vec2 => {
    const before = at(edge.points, Math.max(0, i - 1));
    const after = at(edge.points, Math.min(edge.points.length - 1, i + 1));
    const [dy, dz] = [after.y - before.y, after.z - before.z];
    const length = Math.hypot(dy, dz) || 1;
    // going outward and up with the hull's inside on the left
    return [p.y - (dz / length) * inset(p), p.z + (dy / length) * inset(p)];
  });
}

/**
 * A corner is looked for this many points from the ends of two edges, and an edge is run on no further than this to
 * it.
 */
const CORNER_POINTS = 60;
const RUN_ON_MM = 25;

type Joined = { readonly points: Vec2[]; readonly corner?: Vec2 };

/** One edge after another: cut back to where they cross, or either run on to where they would. */
function joinAtCorner(before: Vec2[], next: Vec2[]): Joined {
  const [end, begin] = [before[before.length - 1], next[0]];
  if (!end || !begin) return { points: [...before, ...next] };
  if (before.length < 2 || next.length < 2) return { points: [...before, ...next], corner: end };
  const found = cornerOf(before, next, 0) ?? cornerOf(before, next, RUN_ON_MM);
  if (!found) return { points: [...before, ...next], corner: end };
  const { i, j, corner } = found;
  return { points: [...before.slice(0, i), corner, ...next.slice(j)], corner };
}

type Found = { readonly i: number; readonly j: number; readonly corner: Vec2 };

/** Where two edges cross, each run on by no more than a length beyond the ends that face one another. */
function cornerOf(before: readonly Vec2[], next: readonly Vec2[], beyondMm: number): Found | undefined {
  const last = before.length - 1;
  for (let i = last; i > Math.max(0, last - CORNER_POINTS); i--) {
    for (let j = 1; j < Math.min(next.length, CORNER_POINTS); j++) {
      const found = crossLines(at(before, i - 1), at(before, i), at(next, j - 1), at(next, j));
      if (!found || found.w < 0 || found.v > 1) continue;
      const { w, v, point } = found;
      const isPast = w > 1 && (i < last || distance2(point, at(before, last)) >= beyondMm);
      const isShort = v < 0 && (j > 1 || distance2(point, at(next, 0)) >= beyondMm);
      if (!isPast && !isShort) return { i, j, corner: point };
    }
  }
  return undefined;
}
