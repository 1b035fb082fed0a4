/**
 * The outline of a frame: the true section of the hull less its skin, with the bevel all along the edge.
 *
 * Method: the parallel surface of each developed panel, a skin's thickness inward along the normals, is cut by the
 * plane of the frame's station face (panels/section.ts). Neighbouring edges are run on or trimmed to where they meet;
 * the lowest is trimmed at the centreline. Bevel away from square at a point: asin(n·m), n the outward normal of the
 * skin and m the normal of the frame's plane, toward its other face; the other face lies W·tan(bevel) inward
 * (methods: derived from the angle between edge and plane). Conventions: half outline from the centreline up to the
 * sheer, y to starboard, z up. A bevel is positive where the edge falls inward toward the other face.
 */
import { at, crossLines, distance2, lerp3, unit3, add3, scale3, type Vec2 } from '../geometry';
import type { FramesFinding, FramesResult } from './findings';
import type { Hull } from '../lines';
import { toDeg } from '../measure';
import { bowOf, sectionAt, type SectionPoint } from '../surface';
import type { Panel, RoundedStrip } from '../panels';
import { roundCorner } from './round-corner';
import type { FramePlan, FramesPart, School } from './schema';
import { frameThing } from './things';

type FrameEdgePoint = {
  readonly y: number;
  readonly z: number;
  readonly bevelDeg: number;
  /** How far the other face lies inward (negative: outward), mm. */
  readonly otherFaceOffset: number;
};

type FrameEdge = {
  readonly panel: string;
  readonly panelName: string;
  readonly between: readonly [string, string];
  readonly points: readonly FrameEdgePoint[];
  /** Greatest departure from a straight line between the ends, mm. */
  readonly sectionBow: number;
};

export type Frame = {
  readonly id: string;
  readonly name: string;
  readonly x: number;
  readonly width: number;
  readonly face: 'fore' | 'aft';
  /** Half outline of the station face, from the centreline up to the sheer. */
  readonly outline: readonly Vec2[];
  /** The same on the outside of the skin. */
  readonly skin: readonly Vec2[];
  readonly edges: readonly FrameEdge[];
};

export type FrameOptions = {
  readonly skin: number;
  readonly width: number;
  readonly face: 'fore' | 'aft';
  /** Rounded chines, where the corner is an arc within the strip. */
  readonly strips?: readonly RoundedStrip[];
};

/** The frame at x, or undefined where no panel is cut there. */
export function frameAt(
  panels: readonly Panel[],
  x: number,
  options: FrameOptions,
): Omit<Frame, 'id' | 'name'> | undefined {
  const cuts = panels
    .map((panel) => ({ panel, points: halfSection(panel, x, options.skin) }))
    .filter(({ points }) => points.length > 1);
  if (cuts.length === 0) return undefined;
  trimToEachOther(cuts.map((cut) => cut.points));
  const bows = cuts.map(({ points }) => bowOf(points)); // the panels' own, without the round of a corner
  roundCorners(cuts, x, options, options.skin);
  const toOtherFace = options.face === 'fore' ? 1 : -1;
  const edges = cuts.map(({ panel, points }, i): FrameEdge => ({
    panel: panel.id,
    panelName: panel.name,
    between: panel.between,
    points: points.map((point) => edgePoint(point, toOtherFace, options.width)),
    sectionBow: at(bows, i),
  }));
  const outer = panels.map((panel) => ({ panel, points: halfSection(panel, x, 0) }));
  roundCorners(outer, x, options, 0);
  const skin = outer.flatMap(({ points }) => points.map((p): Vec2 => [p.space[1], p.space[2]]));
  const outline = withoutRepeats(edges.flatMap((edge) => edge.points.map((p): Vec2 => [p.y, p.z])));
  return { x, width: options.width, face: options.face, outline, skin: withoutRepeats(skin), edges };
}

/** The starboard half of the section, from the inner or lower edge outward. */
function halfSection(panel: Panel, x: number, inset: number): SectionPoint[] {
  const points = sectionAt(panel.rulings, x, inset);
  if (!panel.spansCentreline || points.length < 2) return points;
  const first = points.findIndex((p) => p.space[1] > 0);
  if (first < 1) return points;
  const [a, b] = [at(points, first - 1), at(points, first)];
  return [mix(a, b, a.space[1] / (a.space[1] - b.space[1])), ...points.slice(first)];
}

const mix = (a: SectionPoint, b: SectionPoint, w: number): SectionPoint => ({
  space: lerp3(a.space, b.space, w),
  flat: [a.flat[0] + w * (b.flat[0] - a.flat[0]), a.flat[1] + w * (b.flat[1] - a.flat[1])],
  normal: unit3(add3(scale3(a.normal, 1 - w), scale3(b.normal, w))),
});

/** Runs neighbouring edges on, or cuts them back, to the point where they meet; the first starts at the centreline. */
function trimToEachOther(cuts: SectionPoint[][]): void {
  const first = cuts[0];
  if (first) startAtCentreline(first);
  for (let i = 1; i < cuts.length; i++) meet(at(cuts, i - 1), at(cuts, i));
}

function startAtCentreline(points: SectionPoint[]): void {
  while (points.length > 2 && at(points, 1).space[1] <= 0) points.shift();
  const [a, b] = [at(points, 0), at(points, 1)];
  const dy = b.space[1] - a.space[1];
  // an edge that starts off the centreline (abaft the end of the keel) starts where it starts
  if (Math.abs(a.space[1]) > MEET_REACH_MM || dy <= 0) return;
  points[0] = mix(a, b, -a.space[1] / dy);
}

/** The corner at a rounded chine becomes an arc so far inside the strip, half of it on either panel's edge. */
function roundCorners(
  cuts: readonly { readonly panel: Panel; readonly points: SectionPoint[] }[],
  x: number,
  { strips = [] }: FrameOptions,
  inside: number,
): void {
  for (let i = 1; i < cuts.length; i++) {
    const [lower, upper] = [at(cuts, i - 1), at(cuts, i)];
    const strip = strips.find(
      ({ id, places }) => meetOn(lower.panel, upper.panel, id) && at(places, 0).x <= x && x <= at(places, -1).x,
    );
    if (strip) roundCorner(lower.points, upper.points, radiusAt(strip, x) - inside);
  }
}

/** Whether two panels both run along a line. */
const meetOn = (lower: Panel, upper: Panel, line: string): boolean =>
  [lower.stretches[1], upper.stretches[0]].every((row) => row.some((stretch) => stretch.line === line));

/** The outside radius of a strip where it passes x; at its ends beyond them. */
function radiusAt({ places }: RoundedStrip, x: number): number {
  const k = places.findIndex((place) => place.x >= x);
  const [a, b] = [at(places, Math.max(0, k - 1)), at(places, k)]; // none further aft: −1 is the last
  return b.x > a.x ? a.radius + ((b.radius - a.radius) * (x - a.x)) / (b.x - a.x) : b.radius;
}

/** Edges further apart than this are not brought together: they do not meet on this hull. */
const MEET_REACH_MM = 60;

function meet(lower: SectionPoint[], upper: SectionPoint[]): void {
  for (let i = lower.length - 1; i > 0; i--) {
    for (let j = 1; j < upper.length; j++) {
      const isLast = i === lower.length - 1;
      const crossing = crossLines(
        flat(at(lower, i - 1)),
        flat(at(lower, i)),
        flat(at(upper, j - 1)),
        flat(at(upper, j)),
      );
      if (!crossing) continue;
      const { w, v } = crossing;
      const isInside = w >= 0 && v <= 1 && (isLast || w <= 1) && (j === 1 || v >= 0);
      if (!isInside || !isNear(crossing.point, at(lower, -1))) continue;
      const corner = mix(at(lower, i - 1), at(lower, i), w);
      const cornerUp = mix(at(upper, j - 1), at(upper, j), v);
      lower.splice(i, lower.length - i, corner);
      upper.splice(0, j, cornerUp);
      return;
    }
  }
}

const isNear = (crossing: Vec2, end: SectionPoint): boolean => distance2(crossing, flat(end)) < MEET_REACH_MM;

const flat = ({ space }: SectionPoint): Vec2 => [space[1], space[2]];

function edgePoint(point: SectionPoint, toOtherFace: 1 | -1, width: number): FrameEdgePoint {
  const bevel = Math.asin(Math.max(-1, Math.min(1, point.normal[0] * toOtherFace)));
  return {
    y: point.space[1],
    z: point.space[2],
    bevelDeg: toDeg(bevel),
    otherFaceOffset: width * Math.tan(bevel),
  };
}

const withoutRepeats = (points: readonly Vec2[]): Vec2[] =>
  points.filter((p, i) => i === 0 || Math.hypot(p[0] - at(points, i - 1)[0], p[1] - at(points, i - 1)[1]) > 1e-6);

/** A bow worth saying: under this, a plane leaves as much. */
const BOW_WORTH_SAYING_MM = 1;

/** All frames of the plan. */
export function shapeFrames(
  hull: Hull,
  panels: readonly Panel[],
  part: Pick<FramesPart, 'frames'>,
  { skin, strips = [] }: { readonly skin: number; readonly strips?: readonly RoundedStrip[] },
): FramesResult<readonly Frame[]> {
  const findings: FramesFinding[] = [];
  const frames = part.frames.flatMap((plan) => shapeOne(plan, { hull, panels, skin, strips }, findings));
  findings.push(...judgePlaces(frames, hull));
  return { value: frames, findings, assumed: [] };
}

/** From its foremost face to its aftmost. */
export const bodyOf = ({ x, width, face }: Pick<Frame, 'x' | 'width' | 'face'>): readonly [number, number] =>
  face === 'fore' ? [x, x + width] : [x - width, x];

/** Faces this near touch. */
const TOUCH_MM = 1e-6;

/** Frames that reach out of the hull or into one another. */
function judgePlaces(frames: readonly Frame[], { fromX, toX }: Pick<Hull, 'fromX' | 'toX'>): FramesFinding[] {
  const inOrder = [...frames].sort((a, b) => bodyOf(a)[0] - bodyOf(b)[0]);
  return inOrder.flatMap((frame, i): FramesFinding[] => {
    const where = { stage: 'frames', part: frameThing(frame.id), x: frame.x } as const;
    const [fore, aft] = bodyOf(frame);
    const found: FramesFinding[] = [];
    if (fore < fromX - TOUCH_MM || aft > toX + TOUCH_MM) {
      const toMm = fore < fromX - TOUCH_MM ? fore : aft;
      const data = { frame: frame.name, toMm, fromMm: fromX, endMm: toX };
      found.push({ severity: 'stop', code: 'frame-beyond', where, data });
    }
    for (const other of inOrder.slice(i + 1)) {
      const overlapMm = Math.min(aft, bodyOf(other)[1]) - bodyOf(other)[0];
      if (overlapMm <= TOUCH_MM) continue;
      const data = { frame: frame.name, other: other.name, overlapMm };
      found.push({ severity: 'stop', code: 'frames-overlap', where, data });
    }
    return found;
  });
}

function shapeOne(
  plan: FramePlan,
  {
    hull,
    panels,
    skin,
    strips,
  }: { hull: Hull; panels: readonly Panel[]; skin: number; strips: readonly RoundedStrip[] },
  findings: FramesFinding[],
): Frame[] {
  const where = { stage: 'frames', part: frameThing(plan.id), x: plan.x } as const;
  const shape = frameAt(panels, plan.x, { skin, width: plan.width, face: plan.face, strips });
  if (!shape) {
    const data = { frame: plan.name, xMm: plan.x, fromMm: hull.fromX, toMm: hull.toX };
    findings.push({ severity: 'stop', code: 'frame-outside', where, data });
    return [];
  }
  for (const edge of shape.edges) {
    if (edge.sectionBow < BOW_WORTH_SAYING_MM) continue;
    const data = { frame: plan.name, panel: edge.panelName, bowMm: edge.sectionBow };
    findings.push({ severity: 'note', code: 'frame-bow', where: { ...where, panel: edge.panel }, data });
  }
  return [{ id: plan.id, name: plan.name, ...shape }];
}

/**
 * The whole blank to cut: both halves closed across the top. A filleted bulkhead is cut square to the smaller of its
 * two faces, less the gap; a framed one to the larger, leaving the bevel to be taken off.
 */
export function cutOutline(frame: Frame, edgeSchool: School, gap: number): Vec2[] {
  const inset = (p: FrameEdgePoint) =>
    edgeSchool === 'filleted' ? Math.max(0, p.otherFaceOffset) + gap : Math.min(0, p.otherFaceOffset);
  const half = frame.edges.map((edge) => insetEdge(edge, inset)).reduce<Vec2[]>(joinAtCorner, []);
  const isClosed = Math.abs(frame.outline[0]?.[0] ?? Infinity) < ON_CENTRELINE_MM;
  const tidy = withoutRepeats(isClosed ? fromCentreline(half) : half);
  const mirror = [...tidy]
    .reverse()
    .filter(([y]) => y > 1e-9)
    .map(([y, z]): Vec2 => [-y, z]);
  return [...tidy, ...mirror];
}

/** A frame that starts this near to the centreline starts on it. */
const ON_CENTRELINE_MM = 1e-6;

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

/** One edge after another: cut back to where they cross, or run on to where they would. */
function joinAtCorner(before: Vec2[], next: Vec2[]): Vec2[] {
  if (before.length < 2 || next.length < 2) return [...before, ...next];
  const last = before.length - 1;
  for (let i = last; i > Math.max(0, last - CORNER_POINTS); i--) {
    for (let j = 1; j < Math.min(next.length, CORNER_POINTS); j++) {
      const found = crossLines(at(before, i - 1), at(before, i), at(next, j - 1), at(next, j));
      if (found && found.w >= 0 && found.w <= 1 && found.v >= 0 && found.v <= 1)
        return [...before.slice(0, i), found.point, ...next.slice(j)];
    }
  }
  const found = crossLines(at(before, -2), at(before, -1), at(next, 0), at(next, 1));
  const end = at(before, -1);
  const isNearEnd = found && Math.hypot(found.point[0] - end[0], found.point[1] - end[1]) < RUN_ON_MM;
  return isNearEnd && found.w >= 1 && found.v <= 0 ? [...before, found.point, ...next] : [...before, ...next];
}
