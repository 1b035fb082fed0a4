/**
 * A part that stands along the boat: centre girder, web, seat front, plate of a compartment.
 *
 * Method: it stands upright over a straight line in plan, between two planes a thickness apart. Where each meets the
 * inside of the skin is found ruling by ruling, as a frame's section is (surface/section.ts, here run by run: a plane
 * along the boat leaves a panel and comes back to it). Of the runs that lie over one another the highest is the inside,
 * for the hull stands over its own chines. Filleted, it is cut to the higher of its two faces, less the gap; on timber
 * to the lower, leaving the bevel. Its top is a straight line between two heights, or follows the sheer.
 * Conventions: its own plane, s aft along it from its fore end, z up from the base line. Of a pair the starboard one.
 * Accuracy: exact at the rulings, some 20 mm apart; between them straight.
 */
import { at, differenceOf, distance2, netArea, type Outline, type Region, type Vec2, type Vec3 } from '../../geometry';
import { battenAt, crossingsOfX, type Hull } from '../../lines';
import { toDeg } from '../../measure';
import type { Panel } from '../../panels';
import { outlineOfOpening } from '../cuts';
import { rimsOf, type Rim } from '../rims';
import type { GirderPlan, School } from '../schema';
import { insideRuns, type ProfilePoint } from './profile';

/** Where a girder stands: from a place in plan, turned outward going aft. */
export type GirderPlane = { readonly origin: Vec2; readonly turnRad: number; readonly lengthMm: number };

export type GirderEdgePoint = { readonly s: number; readonly z: number; readonly bevelDeg: number };

export type Girder = Pick<GirderPlan, 'id' | 'name' | 'width' | 'hand' | 'halving'> & {
  readonly plane: GirderPlane;
  /** From its inner face outward, to either face. */
  readonly faces: readonly [number, number];
  /** Along the skin on its inner face, and which way that is off square; positive: smaller on the outer face. */
  readonly edge: readonly GirderEdgePoint[];
  readonly school: School;
  /** Over its lower edge, before anything is cut in it. */
  readonly whole: Outline;
  /** What is cut: of one piece, or of as many as stand between frames, from forward aft. */
  readonly pieces: readonly Region[];
  /** Doublers and lids of its openings. */
  readonly rims: readonly Rim[];
  /** Of one face of all pieces, both of a pair together. */
  readonly areaM2: number;
  /** Along the skin, both of a pair together. */
  readonly seamMm: number;
};

export type GirderMaking = {
  /** From the lines' surface to the inside of the skin. */
  readonly skin: number;
  readonly school: School;
  readonly gap: number;
  /** Of the cutter for which inner corners of slots are relieved; absent: none. */
  readonly relief?: number;
};

/** A place of its inner face, so far along and up, and so far outward of it. */
export function placeOnGirder({ origin: [x, y], turnRad }: GirderPlane, [s, z]: Vec2, outMm = 0): Vec3 {
  const [c, k] = [Math.cos(turnRad), Math.sin(turnRad)];
  return [x + s * c - outMm * k, y + s * k + outMm * c, z];
}

/** Along it where a place of the boat has x, on the face so far outward. */
export const alongAtX = ({ origin: [x0], turnRad }: GirderPlane, x: number, outMm = 0): number =>
  (x - x0 + outMm * Math.sin(turnRad)) / Math.cos(turnRad);

export function planeOfGirder({ hand, from, to, out, outAft }: GirderPlan): GirderPlane {
  const [y0, y1] = hand === 'centre' ? [0, 0] : [out, outAft];
  return {
    origin: [from, y0],
    turnRad: Math.atan2(y1 - y0, to - from),
    lengthMm: Math.hypot(to - from, y1 - y0),
  };
}

/** Undefined where it stands over no skin, or its top leaves nothing of it. Slots are cut afterwards (halving.ts). */
export function shapeGirder(
  plan: GirderPlan,
  hull: Pick<Hull, 'lines'>,
  panels: readonly Panel[],
  making: GirderMaking,
): Girder | undefined {
  if (plan.to - plan.from < LEAST_MM) return undefined;
  const plane = planeOfGirder(plan);
  const isCentre = plan.hand === 'centre';
  const faces: readonly [number, number] = isCentre ? [-plan.width / 2, plan.width / 2] : [0, plan.width];
  const school = plan.school ?? making.school;
  const profile = (outMm: number) => profileAt(panels, plane, outMm, making.skin);
  const [inner, outer] = (isCentre ? [0, faces[1]] : faces).map(profile) as [ProfilePoint[], ProfilePoint[]]; // two
  const edge = lowerEdge([inner, outer], school, making.gap);
  if (edge.length < 2) return undefined;
  const whole = closedBy(edge, topOf(plan, hull, plane));
  if (whole.length < 3) return undefined;
  const own = differenceOf([whole], plan.openings.map(outlineOfOpening));
  if (own.length === 0) return undefined;
  const { id, name, width, hand, halving } = plan;
  const isPair = hand === 'pair';
  return withPieces({
    ...{ id, name, width, hand, halving, plane, faces, school, whole },
    edge: inner.map(({ s, z, across }) => ({ s, z, bevelDeg: toDeg(Math.asin(Math.max(-1, Math.min(1, across)))) })),
    pieces: own,
    rims: rimsOf(plan, plan.openings, () => isPair),
    areaM2: 0,
    seamMm: (isPair ? 2 : 1) * lengthOf(edge),
  });
}

/** With its area as its pieces are. */
export const withPieces = (girder: Girder): Girder => ({
  ...girder,
  areaM2: ((girder.hand === 'pair' ? 2 : 1) * girder.pieces.reduce((sum, piece) => sum + netArea(piece), 0)) / 1e6,
});

/** Shorter than this there is nothing to stand. */
const LEAST_MM = 20;

const lengthOf = (points: readonly Vec2[]): number =>
  points.slice(1).reduce((sum, p, i) => sum + distance2(at(points, i), p), 0);

/** The inside of the skin under one face, from its fore end aft; where it is broken, its longest run. */
function profileAt(panels: readonly Panel[], plane: GirderPlane, outMm: number, skin: number): ProfilePoint[] {
  return insideRuns(panels, { ...standing(plane, outMm), inset: skin, toMm: plane.lengthMm });
}

/** The plane itself, so far outward, and how far along it a place is. */
export const standing = (plane: GirderPlane, outMm: number) => ({
  normal: [-Math.sin(plane.turnRad), Math.cos(plane.turnRad), 0] as Vec3,
  level: outMm - Math.sin(plane.turnRad) * plane.origin[0] + Math.cos(plane.turnRad) * plane.origin[1],
  along: (place: Vec3) => alongOf(plane, place),
});

const alongOf = ({ origin: [x0, y0], turnRad }: GirderPlane, [x, y]: Vec3): number =>
  (x - x0) * Math.cos(turnRad) + (y - y0) * Math.sin(turnRad);

/** As it is cut, by both faces. */
function lowerEdge(
  [inner, outer]: readonly [readonly ProfilePoint[], readonly ProfilePoint[]],
  school: School,
  gap: number,
): Vec2[] {
  const places = [...new Set([...inner, ...outer].map(({ s }) => s))].sort((a, b) => a - b);
  const edge = places.flatMap((s): Vec2[] => {
    const [a, b] = [heightAt(inner, s), heightAt(outer, s)];
    if (a === undefined || b === undefined) return [];
    return [[s, school === 'filleted' ? Math.max(a, b) : Math.min(a, b)]];
  });
  const kept = edge.filter(([s], i) => i === 0 || s - at(edge, i - 1)[0] > SAME_MM);
  return school === 'filleted' ? lifted(kept, gap) : kept;
}

const SAME_MM = 1e-6;

function heightAt(points: readonly ProfilePoint[], s: number): number | undefined {
  const k = points.findIndex((point) => point.s >= s - SAME_MM);
  if (k < 0) return undefined;
  const b = at(points, k);
  if (k === 0) return b.s - s < SAME_MM ? b.z : undefined;
  const a = at(points, k - 1);
  return b.s - a.s < SAME_MM ? b.z : a.z + ((s - a.s) / (b.s - a.s)) * (b.z - a.z);
}

/** Square to itself, by a gap; its ends stay where they are along. */
const lifted = (edge: readonly Vec2[], gap: number): Vec2[] =>
  edge.map(([s, z], i): Vec2 => {
    const [a, b] = [at(edge, Math.max(0, i - 1)), at(edge, Math.min(edge.length - 1, i + 1))];
    return [s, z + gap * Math.hypot(1, (b[1] - a[1]) / (b[0] - a[0] || 1))];
  });

/** How high the top is along it. */
type Top = (s: number) => number | undefined;

function topOf({ top }: GirderPlan, hull: Pick<Hull, 'lines'>, plane: GirderPlane): Top {
  if (top.kind === 'straight') return (s) => top.fore + ((top.aft - top.fore) * s) / plane.lengthMm;
  const sheer = hull.lines[hull.lines.length - 1];
  if (!sheer) return () => undefined;
  return (s) => {
    const [x] = placeOnGirder(plane, [s, 0]);
    const t = crossingsOfX(sheer.batten, x)[0];
    return t === undefined ? undefined : battenAt(sheer.batten, t).position[2] - top.below;
  };
}

/** Steps of the top where it is curved: over 2.5 m of radius 5 m within 0.05 mm. */
const TOP_STEP_MM = 40;

/** What lies over the edge and under the top; where that is in several parts, the longest. */
function closedBy(edge: readonly Vec2[], top: Top): Outline {
  const [from, to] = [at(edge, 0)[0], at(edge, -1)[0]];
  const steps = Math.max(2, Math.ceil((to - from) / TOP_STEP_MM));
  const places = [
    ...edge.map(([s]) => s),
    ...Array.from({ length: steps }, (_, i) => from + ((to - from) * i) / steps),
  ];
  const columns = places
    .sort((a, b) => a - b)
    .filter((s, i, all) => i === 0 || s - at(all, i - 1) > SAME_MM)
    .flatMap((s) => {
      const [low, high] = [edgeAt(edge, s), top(s)];
      return low === undefined || high === undefined ? [] : [{ s, low, high }];
    });
  const runs: (typeof columns)[] = [[]];
  columns.forEach((here, i) => {
    const before = columns[i - 1];
    const isOver = here.high > here.low;
    if (before && before.high > before.low !== isOver) {
      const w = (before.high - before.low) / (before.high - before.low - (here.high - here.low));
      const s = before.s + w * (here.s - before.s);
      const z = before.low + w * (here.low - before.low);
      const end = { s, low: z, high: z };
      if (isOver) runs.push([end]);
      else at(runs, -1).push(end);
    }
    if (isOver) at(runs, -1).push(here);
  });
  const span = (run: typeof columns) => (run.length > 1 ? at(run, -1).s - at(run, 0).s : 0);
  const longest = runs.reduce((best, run) => (span(run) > span(best) ? run : best));
  if (longest.length < 2) return [];
  const upper = longest.map(({ s, high }): Vec2 => [s, high]).reverse();
  const outline = [...longest.map(({ s, low }): Vec2 => [s, low]), ...upper];
  return outline.filter((p, i) => distance2(p, at(outline, (i + outline.length - 1) % outline.length)) > SAME_MM);
}

function edgeAt(edge: readonly Vec2[], s: number): number | undefined {
  const k = edge.findIndex((p) => p[0] >= s - SAME_MM);
  if (k < 0) return undefined;
  const b = at(edge, k);
  if (k === 0) return b[1];
  const a = at(edge, k - 1);
  return a[1] + ((s - a[0]) / (b[0] - a[0])) * (b[1] - a[1]);
}
