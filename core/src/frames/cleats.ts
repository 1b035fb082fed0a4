/**
 * Cleats: strips of timber along an edge of a frame, on one of its faces, for a deck, a sole or the skin to be fastened
 * to.
 *
 * Method: the edge as it is cut, drawn in by what it is set in and by its breadth, run on at both ends and cut back to
 * the part, openings and notches left out. Its length is that of the straight stock that it comes out of, along the
 * chord. One at the skin has the edge's own bevel.
 * Conventions: the frame's own plane; outlines of what lies to starboard, or across. Accuracy: 1e-3 mm.
 */
import {
  area,
  at,
  boundsOf,
  differenceOf,
  distance2,
  footOn,
  intersectionOf,
  mirrored,
  nearestIndex,
  simplifyRing,
  unionOf,
  upright,
  type Outline,
  type Vec2,
} from '../geometry';
import type { Base, Blank } from './blank';
import { TOP_EDGE, type CleatPlan, type FramePlan } from './schema';
import type { FrameSection } from './section';

export type Cleat = {
  readonly id: string;
  readonly face: CleatPlan['face'];
  /** What it lies along: a panel's name, or the top. */
  readonly along: string;
  /** Of what is cut of the stock, each piece once. */
  readonly pieces: readonly CleatPiece[];
  readonly breadthMm: number;
  readonly depthMm: number;
  /** Of the outer edge, from its lower or inner end to its other one; absent: square. */
  readonly bevel?: { readonly fromDeg: number; readonly toDeg: number };
};

export type CleatPiece = {
  readonly outline: Outline;
  readonly lengthMm: number;
  /** The same again, mirrored. */
  readonly isPair: boolean;
};

export type CleatsAsked = {
  readonly section: FrameSection;
  readonly blank: Blank;
  readonly hand: FramePlan['bounds']['hand'];
  /** Whether an edge is bevelled. */
  readonly isBevelled: (panel: string) => boolean;
};

/** A cleat of which nothing is left, or whose edge the frame has not, is left out. */
export function cleatsOf(plans: readonly CleatPlan[], asked: CleatsAsked): Cleat[] {
  const { section, blank, isBevelled } = asked;
  const edges = edgesOf(blank.base, section);
  if (plans.some(({ edge }) => edge === TOP_EDGE)) edges.push(...topEdge(blank.base));
  return plans.flatMap((plan): Cleat[] => {
    const edge = edges.find(({ id }) => id === plan.edge);
    const pieces = edge ? piecesAlong(edge, plan, asked) : [];
    if (!edge || pieces.length === 0) return [];
    const bevels = section.edges.find(({ panel }) => panel === plan.edge)?.points.map(({ bevelDeg }) => bevelDeg);
    const bevel = bevels && bevels.length > 0 && isBevelled(plan.edge) && plan.setIn === 0;
    return [
      {
        ...{ id: plan.id, face: plan.face, along: edge.name, pieces },
        ...{ breadthMm: plan.breadth, depthMm: plan.depth },
        ...(bevel && { bevel: { fromDeg: at(bevels, 0), toDeg: at(bevels, -1) } }),
      },
    ];
  });
}

type Edge = { readonly id: string; readonly name: string; readonly points: readonly Vec2[] };

/** Every edge of the blank along the skin, the part on its left: from the centreline up. */
function edgesOf(base: Base, section: FrameSection): Edge[] {
  const { half, corners } = base;
  const places = [0, ...corners.map((corner) => nearestIndex(half, corner)), half.length - 1];
  const alongSkin = section.edges.map(({ panel, panelName }, i): Edge => ({
    ...{ id: panel, name: panelName },
    points: half.slice(places[i] ?? 0, (places[i + 1] ?? half.length - 1) + 1),
  }));
  return alongSkin.filter(({ points }) => points.length > 1);
}

function topEdge(base: Base): Edge[] {
  const points = topOf(base);
  return points.length > 1 ? [{ id: TOP_EDGE, name: 'Top', points }] : [];
}

/** Places at which the top is looked for. */
const TOP_STEPS = 120;
/** It is looked for on an outline with as few points as leave the edge by no more than this. */
const TOP_OFF_MM = 0.005;
/** Steeper than this it is no top, but a side that leans inward. */
const STEEP = 1;

/** From its starboard end to the other, by its highest points. */
function topOf({ outlines }: Base): Vec2[] {
  if (!outlines[0]) return [];
  const whole = simplifyRing(outlines[0], TOP_OFF_MM);
  const { minX, maxX } = boundsOf(whole);
  const high = Array.from({ length: TOP_STEPS + 1 }, (_, i): Vec2 => {
    const y = maxX - ((maxX - minX) * (i * (1 - 2 * HAIR) + HAIR * TOP_STEPS)) / TOP_STEPS;
    return [y, Math.max(...upright(whole, y).map(([, z]) => z))];
  });
  const isSide = (i: number) => {
    const [a, b] = [high[i - 1], high[i]];
    return !a || !b || Math.abs(b[1] - a[1]) > STEEP * Math.abs(b[0] - a[0]);
  };
  let [first, last] = [0, high.length - 1];
  while (first < last && isSide(first + 1)) first++;
  while (last > first && isSide(last)) last--;
  return high.slice(first, last + 1).filter(([, z]) => Number.isFinite(z));
}

/** So small a share of the breadth within its ends an upright is sure to meet the part. */
const HAIR = 1e-6;

function piecesAlong({ points }: Edge, { setIn, breadth }: CleatPlan, { blank, hand }: CleatsAsked): CleatPiece[] {
  const { base, cuts, ring } = blank;
  const long = runOn(points, 2 * (setIn + breadth));
  const band = [...drawnIn(long, setIn), ...[...drawnIn(long, setIn + breadth)].reverse()];
  const isOne = base.isAcross && crossesCentreline(points);
  const own = base.isAcross && !isOne ? intersectionOf([band], [STARBOARD]) : [band];
  const strips = isOne ? unionOf([band, turnedOver(band)]) : own;
  const away = [...ring, ...cuts.map(({ outline }) => outline)];
  const left = differenceOf(intersectionOf(strips, base.outlines), away).filter(
    ({ outline }) => area(outline) > LEAST_SHARE * breadth * breadth,
  );
  return left.flatMap(({ outline }): CleatPiece[] => {
    const { minX, maxX } = boundsOf(outline);
    // of two that are each other's image the starboard one; one that is its own is across the centreline
    if (base.isAcross && minX + maxX < -ACROSS_MM) return [];
    const isPair = base.isAcross ? minX + maxX > ACROSS_MM : hand === 'pair';
    return [{ outline: hand === 'port' ? turnedOver(outline) : outline, lengthMm: longest(outline, points), isPair }];
  });
}

/** Further than any boat is wide. */
const FAR_MM = 50_000;
const STARBOARD: Outline = [
  [0, -FAR_MM],
  [FAR_MM, -FAR_MM],
  [FAR_MM, FAR_MM],
  [0, FAR_MM],
];

/** Flatter than this at the centreline the edge goes on over it in one piece. */
const FLAT = 0.03;

/** The top, and a flat bottom; in a V the two sides meet. */
function crossesCentreline(points: readonly Vec2[]): boolean {
  const [a, b] = [at(points, 0), at(points, 1)];
  if (Math.abs(a[0]) < HAIR_MM) return Math.abs(way(a, b)[1]) < FLAT;
  return at(points, -1)[0] < 0;
}

/** Smaller than this share of a square of its breadth it is no cleat but a chip. */
const LEAST_SHARE = 0.5;
/** As near to its own mirror image. */
const ACROSS_MM = 0.5;

const turnedOver = (outline: Outline): Outline => [...mirrored(outline)].reverse();

const way = (a: Vec2, b: Vec2): Vec2 => {
  const size = distance2(a, b) || 1;
  return [(b[0] - a[0]) / size, (b[1] - a[1]) / size];
};

/** With straight ends, so much longer; what lies on the centreline stays there. */
function runOn(points: readonly Vec2[], byMm: number): Vec2[] {
  const [a, b, y, z] = [at(points, 0), at(points, 1), at(points, -2), at(points, -1)];
  const [back, on] = [way(b, a), way(y, z)];
  const isOnCentreline = Math.abs(a[0]) < HAIR_MM;
  return [
    ...(isOnCentreline ? [] : [[a[0] + byMm * back[0], a[1] + byMm * back[1]] as const]),
    ...points,
    [z[0] + byMm * on[0], z[1] + byMm * on[1]],
  ];
}

const HAIR_MM = 1e-3;

/** Moved square to itself, to its left. */
const drawnIn = (points: readonly Vec2[], byMm: number): Vec2[] =>
  points.map((p, i): Vec2 => {
    const [dy, dz] = way(at(points, Math.max(0, i - 1)), at(points, Math.min(points.length - 1, i + 1)));
    return [p[0] - dz * byMm, p[1] + dy * byMm];
  });

/** Of the straight stock that it comes out of: along the chord of the edge between its two ends. */
function longest(outline: Outline, edge: readonly Vec2[]): number {
  const box = boundsOf(outline);
  const isFlat = box.maxX - box.minX >= box.maxY - box.minY;
  const byEnd = [...outline].sort((a, b) => (isFlat ? a[0] - b[0] : a[1] - b[1]));
  const along = way(footOn(edge, at(byEnd, 0)), footOn(edge, at(byEnd, -1)));
  const stand = outline.map(([y, z]) => y * along[0] + z * along[1]);
  return Math.max(...stand) - Math.min(...stand);
}
