/**
 * The outline of a frame: the true section of the hull less its skin, with the bevel all along the edge.
 *
 * Method: the parallel surface of each developed panel, a skin's thickness inward along the normals, is cut by the
 * plane of the frame's station face (surface/section.ts), and everything after that is done in the plane's own axes.
 * Neighbouring edges are run on or trimmed to where they meet; the lowest is trimmed at the centreline. Bevel away from
 * square at a point: asin(n·m), n the outward normal of the skin and m the normal of the frame's plane, toward its
 * other face; the other face lies W·tan(bevel) inward (methods: derived from the angle between edge and plane).
 * Conventions: half outline from the centreline up to the sheer, y to starboard, z up; in a raked plane z runs up the
 * slope, from where the plane passes the base line. A bevel is positive where the edge falls inward toward the other
 * face.
 */
import { at, crossLines, distance2, dot3, lerp3, unit3, add3, scale3, type Vec2, type Vec3 } from '../geometry';
import { toDeg } from '../measure';
import { bowOf, sectionBy, type Plane, type SectionPoint } from '../surface';
import { insideOf, outsideOf, type Panel, type RoundedStrip } from '../panels';
import { roundCorner } from './round-corner';

export type FrameEdgePoint = {
  readonly y: number;
  readonly z: number;
  readonly bevelDeg: number;
  /** How far the other face lies inward (negative: outward), mm. */
  readonly otherFaceOffset: number;
};

export type FrameEdge = {
  readonly panel: string;
  readonly panelName: string;
  readonly between: readonly [string, string];
  readonly points: readonly FrameEdgePoint[];
  /** Greatest departure from a straight line between the ends, mm. */
  readonly sectionBow: number;
};

/** What the hull gives a frame: before anything is decided of how it is cut. */
export type FrameSection = {
  readonly x: number;
  readonly width: number;
  readonly face: 'fore' | 'aft';
  readonly rakeRad: number;
  /** Half outline of the station face, from the centreline up to the sheer. */
  readonly outline: readonly Vec2[];
  /** The same on the outside of the skin. */
  readonly skin: readonly Vec2[];
  readonly edges: readonly FrameEdge[];
};

export type FrameOptions = {
  /** From the lines' surface inward to where the frame ends, over a panel of the skin's usual sheet. */
  readonly skin: number;
  /** Which face of a panel of its own thickness that goes with; absent: the inside. */
  readonly on?: 'inside' | 'outside';
  readonly width: number;
  readonly face: 'fore' | 'aft';
  /** The top leans aft by this; absent: upright. */
  readonly rakeRad?: number;
  /** Rounded chines, where the corner is an arc within the strip. */
  readonly strips?: readonly RoundedStrip[];
};

/** Where a station face lies: through (x, any y, 0), its top leaning aft by the rake. */
export type FramePlane = { readonly x: number; readonly rakeRad: number };

/** Square to the plane, aft; and up along it. */
const axesOf = ({ rakeRad }: FramePlane): { readonly aft: Vec3; readonly up: Vec3 } => ({
  aft: [Math.cos(rakeRad), 0, -Math.sin(rakeRad)],
  up: [Math.sin(rakeRad), 0, Math.cos(rakeRad)],
});

export const planeOf = (plane: FramePlane): Plane => {
  const { aft } = axesOf(plane);
  return { normal: aft, level: plane.x * aft[0] };
};

/** A place of the plane, and so far aft of it, in the boat. */
export function placeInBoat(plane: FramePlane, [y, z]: Vec2, aftMm = 0): Vec3 {
  const { aft, up } = axesOf(plane);
  return [plane.x + z * up[0] + aftMm * aft[0], y, z * up[2] + aftMm * aft[2]];
}

/** A place in the boat by the plane's own axes: how far aft of it, y, and how far up along it. */
export function placeInPlane(plane: FramePlane, [x, y, z]: Vec3): Vec3 {
  const { aft, up } = axesOf(plane);
  const from: Vec3 = [x - plane.x, y, z];
  return [dot3(from, aft), y, dot3(from, up)];
}

/** The frame at x, or undefined where no panel is cut there. */
export function frameAt(panels: readonly Panel[], x: number, options: FrameOptions): FrameSection | undefined {
  const { rakeRad = 0, width, face } = options;
  const plane = { x, rakeRad };
  const cuts = panels
    .map((panel) => ({ panel, points: halfSection(panel, plane, insetOn(panel, options)) }))
    .filter(({ points }) => points.length > 1);
  if (cuts.length === 0) return undefined;
  trimToEachOther(cuts.map((cut) => cut.points));
  const bows = cuts.map(({ points }) => bowOf(points)); // the panels' own, without the round of a corner
  roundCorners(cuts, plane, options, (panel) => insetOn(panel, options));
  const toOtherFace = face === 'fore' ? 1 : -1;
  const edges = cuts.map(({ panel, points }, i): FrameEdge => ({
    panel: panel.id,
    panelName: panel.name,
    between: panel.between,
    points: points.map((point) => edgePoint(point, toOtherFace, width)),
    sectionBow: at(bows, i),
  }));
  const outer = panels.map((panel) => ({ panel, points: halfSection(panel, plane, 0) }));
  roundCorners(outer, plane, options, () => 0);
  const skin = outer.flatMap(({ points }) => points.map(flat));
  const outline = withoutRepeats(edges.flatMap((edge) => edge.points.map((p): Vec2 => [p.y, p.z])));
  return { x, width, face, rakeRad, outline, skin: withoutRepeats(skin), edges };
}

const insetOn = (panel: Panel, { skin, on = 'inside' }: FrameOptions): number =>
  on === 'inside' ? insideOf(panel, skin) : -outsideOf(panel, -skin);

/** The starboard half of the section by the plane's own axes, from the inner or lower edge outward. */
function halfSection(panel: Panel, plane: FramePlane, inset: number): SectionPoint[] {
  const points = sectionBy(panel.rulings, planeOf(plane), inset).map((point) => inPlane(plane, point));
  if (!panel.spansCentreline || points.length < 2) return points;
  const first = points.findIndex((p) => p.space[1] > 0);
  if (first < 1) return points;
  const [a, b] = [at(points, first - 1), at(points, first)];
  return [mix(a, b, a.space[1] / (a.space[1] - b.space[1])), ...points.slice(first)];
}

function inPlane(plane: FramePlane, { space, flat: laid, normal }: SectionPoint): SectionPoint {
  if (plane.rakeRad === 0) return { space, flat: laid, normal };
  const { aft, up } = axesOf(plane);
  return {
    space: placeInPlane(plane, space),
    flat: laid,
    normal: [dot3(normal, aft), normal[1], dot3(normal, up)],
  };
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
  plane: FramePlane,
  { strips = [] }: FrameOptions,
  insetOf: (panel: Panel) => number,
): void {
  for (let i = 1; i < cuts.length; i++) {
    const [lower, upper] = [at(cuts, i - 1), at(cuts, i)];
    const corner = lower.points[lower.points.length - 1];
    const [x] = corner ? placeInBoat(plane, flat(corner)) : [plane.x];
    const strip = strips.find(
      ({ id, places }) => meetOn(lower.panel, upper.panel, id) && at(places, 0).x <= x && x <= at(places, -1).x,
    );
    // the strip is measured by the panel above
    if (strip) roundCorner(lower.points, upper.points, radiusAt(strip, x) - insetOf(upper.panel));
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
