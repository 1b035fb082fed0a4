/**
 * Members that run along the hull: where they lie, how long they are, how hard they bend, and what of a frame they
 * pass.
 *
 * Method (derived here): a member lies against one face of the skin, between two curves on it: so far and so far
 * plus its width from a line of the hull, square to it on the flat panel, where both are exact. Its other two edges
 * stand off from these by its depth, square to its run and to its width. Along the centreline the two curves are
 * where planes at half its width meet the skin, and it stands up from them. In a corner, where it begins on the line
 * itself, the side that lies in the corner follows the panel beyond it, by the rolling bevel (rolling-bevel.ts).
 * What it takes of a frame is what lies between its four edges where the frame's two faces cut them, all that is
 * between these two, and the room asked for, opened towards the skin.
 * Conventions: the starboard one of a pair. Accuracy: edges are straight between points some 40 mm apart: 0.04 mm at
 * a radius of 5 m. Between the frame's faces the edges are taken as straight.
 */
import {
  add3,
  at,
  convexHull,
  cross3,
  distance2,
  distance3,
  dot3,
  lerp2,
  lerp3,
  polylineLength,
  polylineLength3,
  scale3,
  sub3,
  unit3,
  type Outline,
  type Vec2,
  type Vec3,
} from '../geometry';
import type { Hull } from '../lines';
import { faceAt, insideOf, meetsAt, onEdge, outsideOf, type EdgeOfPanel, type Panel } from '../panels';
import { sectionBy, wholeEnds } from '../surface';
import { cornerAlong, type Corner } from './rolling-bevel';
import type { Member } from './schema';
import { placeInPlane, planeOf, type FrameSection } from './section';

/** A cross-section of a member: near the line and far from it at the skin, and the same at its other face. */
type Ring = { readonly near: Vec3; readonly far: Vec3; readonly nearOff: Vec3; readonly farOff: Vec3 };

export type MemberRun = Pick<Member, 'id' | 'name' | 'width' | 'depth' | 'isThrough' | 'clearance' | 'side'> & {
  /** One of each hand; along the centreline one. */
  readonly isPair: boolean;
  readonly rings: readonly Ring[];
  /** Of one that lies on a panel's inside: both its edges on the flat panel. */
  readonly marks: readonly { readonly panel: string; readonly near: readonly Vec2[]; readonly far: readonly Vec2[] }[];
  /** Along the middle of the face that lies against the skin. */
  readonly lengthMm: number;
  /** Its ends along the boat. */
  readonly from: number;
  readonly to: number;
  /** Of its hardest bend, and where; absent where it is straight. */
  readonly bend?: { readonly radiusMm: number; readonly x: number };
};

export type SkinFaces = {
  /** From the lines' surface to the inside face. */
  readonly inside: number;
  /** From the lines' surface to the outside face. */
  readonly outside: number;
};

/** Points are taken so far apart along the line, mm. */
const STEP_MM = 40;
/** Straighter than this is straight: 1 km of radius. */
const STRAIGHT_MM = 1e6;
/** A bend is measured over so much of the length: shorter shows the points, longer hides it. */
const BEND_MM = 150;

/** Undefined where its line is none, no panel lies there, or nothing is left between its ends. */
export function runMember(
  member: Member,
  hull: Hull,
  panels: readonly Panel[],
  skin: SkinFaces,
): MemberRun | undefined {
  const sign = member.side === 'inside' ? 1 : -1;
  const offOf = (panel: Panel) =>
    member.side === 'inside' ? insideOf(panel, skin.inside) : -outsideOf(panel, skin.outside);
  const faces =
    member.on === 'centre' ? centreFaces(member, panels, offOf) : panelFaces(member, hull, panels, offOf, member.on);
  const kept = stopped(stopped(faces, member.from, 1), member.to, -1);
  if (kept.length < 3) return undefined;
  const rings = ringsOf(kept, sign * member.depth);
  const middles = rings.map(({ near, far }) => lerp3(near, far, 0.5));
  return {
    ...{ id: member.id, name: member.name, width: member.width, depth: member.depth, side: member.side },
    ...{ isThrough: member.isThrough, clearance: member.clearance, isPair: member.on !== 'centre' },
    rings,
    marks: member.side === 'inside' ? marksOf(kept) : [],
    lengthMm: polylineLength3(middles),
    from: at(middles, 0)[0],
    to: at(middles, -1)[0],
    ...hardestBend(middles),
  };
}

/** The face at the skin at one place: its two edges, which way is out of the hull, and how far its corner is opened. */
type Face = {
  readonly near: Vec3;
  readonly far: Vec3;
  readonly out: Vec3;
  readonly cornerTan: number;
  /** On the flat of which panel; none along the centreline. */
  readonly on?: { readonly panel: string; readonly near: Vec2; readonly far: Vec2 };
};

function panelFaces(
  member: Member,
  hull: Hull,
  panels: readonly Panel[],
  offOf: (panel: Panel) => number,
  on: 'above' | 'below',
): Face[] {
  const line = hull.lines.find(({ id }) => id === member.line);
  if (!line) return [];
  const end = on === 'above' ? 'P' : 'Q';
  const corner = member.away === 0 && member.side === 'inside' ? cornerAlong(line, panels) : undefined;
  return panels.flatMap((panel) => {
    // the lower edge of a bottom across the centreline is the port one
    if (end === 'P' && panel.spansCentreline) return [];
    const stretch = panel.stretches[on === 'above' ? 0 : 1].find((one) => one.line === line.id);
    return stretch ? facesOn({ panel, end, stretch }, { member, offOf, corner }) : [];
  });
}

/** What of the faces lies aft of x (1) or forward of it (-1), and one at x itself; all where no end is set. */
function stopped(faces: readonly Face[], x: number | null, side: 1 | -1): readonly Face[] {
  if (x === null) return faces;
  const beyond = ({ near, far }: Face) => side * ((near[0] + far[0]) / 2 - x);
  return faces.flatMap((face, i): Face[] => {
    const here = beyond(face);
    const before = faces[i - 1];
    const past = before ? beyond(before) : here;
    const own = here >= 0 ? [face] : [];
    return before && past * here < 0 ? [between(before, face, past / (past - here)), ...own] : own;
  });
}

function between(a: Face, b: Face, w: number): Face {
  const { on } = b;
  return {
    near: lerp3(a.near, b.near, w),
    far: lerp3(a.far, b.far, w),
    out: unit3(lerp3(a.out, b.out, w)),
    cornerTan: a.cornerTan + w * (b.cornerTan - a.cornerTan),
    ...(a.on && on && { on: { ...on, near: lerp2(a.on.near, on.near, w), far: lerp2(a.on.far, on.far, w) } }),
  };
}

type FacesAsked = {
  readonly member: Member;
  /** From a panel's lines inward to the face that it lies on. */
  readonly offOf: (panel: Panel) => number;
  /** Of one that lies in it. */
  readonly corner: Corner | undefined;
};

const SQUARE_RAD = Math.PI / 2;

/**
 * How far along the inside face its corner lies from the line's own foot on it: where the two inside faces meet, or
 * where the deck comes to it.
 */
function cornerShift({ isUnderDeck }: Corner, dihedralRad: number, own: number, other: number): number {
  if (isUnderDeck) return own / Math.tan(dihedralRad);
  if (own === other) return own / Math.tan(dihedralRad / 2);
  const turnRad = Math.PI - dihedralRad;
  return Math.sign(turnRad) * meetsAt(own, other, Math.abs(turnRad));
}

/** Places of an edge nearer than this are one. */
const SAME_PLACE_MM = 1e-3;

/** Both edges panel by panel. */
function marksOf(faces: readonly Face[]): MemberRun['marks'] {
  const on = faces.flatMap((face) => face.on ?? []);
  return [...new Set(on.map(({ panel }) => panel))].map((panel) => {
    const own = on.filter((one) => one.panel === panel);
    return { panel, near: own.map(({ near }) => near), far: own.map(({ far }) => far) };
  });
}

/** Along one panel's edge: both curves, at even steps of the edge's own parameter. */
function facesOn({ panel, end, stretch }: EdgeOfPanel, { member, offOf, corner }: FacesAsked): Face[] {
  const offMm = offOf(panel);
  const flats = panel.rulings
    .map((r) => ({ u: end === 'P' ? r.s : r.t, flat: wholeEnds(r)[end === 'P' ? 0 : 1] }))
    // the rulings of a fan leave the edge in one place
    .filter(({ flat }, i, all) => i === 0 || distance2(flat, at(all, i - 1).flat) > SAME_PLACE_MM);
  const length = polylineLength(flats.map(({ flat }) => flat));
  const count = Math.max(8, Math.ceil(length / STEP_MM));
  let rulings = { near: 1, far: 1 };
  return Array.from({ length: count + 1 }, (_, i) => {
    const t = stretch.lineFrom + ((stretch.lineTo - stretch.lineFrom) * i) / count;
    const { place, inward } = edgeAt(flats, onEdge(stretch, t), end);
    const dihedralRad = corner?.dihedralAt(t);
    const from =
      member.away +
      (corner && dihedralRad ? cornerShift(corner, dihedralRad, offMm, offOf(corner.beside(panel, t) ?? panel)) : 0);
    const inBy = (d: number): Vec2 => [place[0] + d * inward[0], place[1] + d * inward[1]];
    const on = { panel: panel.id, near: inBy(from), far: inBy(from + member.width) };
    const near = faceAt(panel, on.near, rulings.near);
    const far = faceAt(panel, on.far, rulings.far);
    if (!near || !far) return undefined;
    rulings = { near: near.ruling, far: far.ruling };
    return {
      near: sub3(near.space, scale3(near.normal, offMm)),
      far: sub3(far.space, scale3(far.normal, offMm)),
      out: unit3(add3(near.normal, far.normal)),
      cornerTan: Math.tan((dihedralRad ?? SQUARE_RAD) - SQUARE_RAD),
      on,
    };
  }).filter((face) => face !== undefined);
}

/** A place of the flat edge by its parameter, and which way is square in from it. */
function edgeAt(flats: readonly { readonly u: number; readonly flat: Vec2 }[], u: number, end: 'P' | 'Q') {
  let k = 1;
  while (k < flats.length - 1 && at(flats, k).u < u) k++;
  const [a, b] = [at(flats, k - 1), at(flats, k)];
  const w = b.u > a.u ? Math.min(1, Math.max(0, (u - a.u) / (b.u - a.u))) : 0;
  const place: Vec2 = [a.flat[0] + w * (b.flat[0] - a.flat[0]), a.flat[1] + w * (b.flat[1] - a.flat[1])];
  // its direction by neighbours a little further off, so that it turns evenly
  const [before, after] = [at(flats, Math.max(0, k - 2)).flat, at(flats, Math.min(flats.length - 1, k + 1)).flat];
  const run = Math.hypot(after[0] - before[0], after[1] - before[1]) || 1;
  const [c, s] = [(after[0] - before[0]) / run, (after[1] - before[1]) / run];
  const inward: Vec2 = end === 'P' ? [-s, c] : [s, -c]; // u runs aft, v from P to Q
  return { place, inward };
}

/** Along the centreline: where the planes at half its width to either side meet the lowest panel. */
function centreFaces(member: Member, panels: readonly Panel[], offOf: (panel: Panel) => number): Face[] {
  const lowest = panels[0];
  if (!lowest) return [];
  const points = [...sectionBy(lowest.rulings, { normal: [0, 1, 0], level: member.width / 2 }, offOf(lowest))].sort(
    (a, b) => a.space[0] - b.space[0],
  );
  return points.map(({ space: [x, y, z], normal }): Face => ({
    near: [x, -y, z],
    far: [x, y, z],
    out: unit3([normal[0], 0, normal[2]]),
    cornerTan: 0,
  }));
}

/** Each face with the edges that stand off from it: square to the run and to the width, into the boat. */
function ringsOf(faces: readonly Face[], depth: number): Ring[] {
  return faces.map(({ near, far, out, cornerTan }, i) => {
    const [before, after] = [at(faces, Math.max(0, i - 1)), at(faces, Math.min(faces.length - 1, i + 1))];
    const run = sub3(lerp3(after.near, after.far, 0.5), lerp3(before.near, before.far, 0.5));
    const across = unit3(sub3(far, near));
    const square = unit3(cross3(run, across));
    const inward = dot3(square, out) > 0 ? scale3(square, -1) : square;
    const off = scale3(inward, depth);
    const opened = scale3(across, -Math.abs(depth) * cornerTan);
    return { near, far, nearOff: add3(add3(near, off), opened), farOff: add3(far, off) };
  });
}

/** By circles through three points of the run. */
function hardestBend(points: readonly Vec3[]): Pick<MemberRun, 'bend'> {
  let least: MemberRun['bend'];
  const mean = distance3(at(points, 0), at(points, -1)) / (points.length - 1) || 1;
  const reach = Math.max(1, Math.round(BEND_MM / mean));
  for (let i = reach; i + reach < points.length; i++) {
    const [a, b, c] = [at(points, i - reach), at(points, i), at(points, i + reach)];
    const area2 = Math.hypot(...cross3(sub3(b, a), sub3(c, a)));
    const radiusMm = area2 > 0 ? (distance3(a, b) * distance3(b, c) * distance3(c, a)) / (2 * area2) : Infinity;
    if (radiusMm < Math.min(STRAIGHT_MM, least?.radiusMm ?? Infinity)) least = { radiusMm, x: b[0] };
  }
  return least ? { bend: least } : {};
}

/** A notch is cut so far past the part's edge, to be open there. */
const OPEN_MM = 40;

/**
 * What a member takes of a frame, by the frame's own plane: undefined where it does not pass through. The starboard
 * one; along the centreline the whole.
 */
export function notchIn(
  run: MemberRun,
  frame: Pick<FrameSection, 'x' | 'rakeRad' | 'width' | 'face'>,
): Outline | undefined {
  const section = sectionOf(run, frame);
  if (!section) return undefined;
  const { clearance } = run;
  return convexHull(
    section.map(({ p, along, into }): Vec2 => [
      p[0] + clearance * (along[0] + into[0]),
      p[1] + clearance * (along[1] + into[1]),
    ]),
  );
}

type NotchCorner = { readonly p: Vec2; readonly along: Vec2; readonly into: Vec2 };

/** The member's corners at both faces, each with the ways in which room is left; those at the skin set out past it. */
function sectionOf(
  run: MemberRun,
  frame: Pick<FrameSection, 'x' | 'rakeRad' | 'width' | 'face'>,
): NotchCorner[] | undefined {
  const { normal, level } = planeOf(frame);
  const otherFace = frame.face === 'fore' ? frame.width : -frame.width;
  const corners: NotchCorner[] = [];
  for (const at1 of [level, level + otherFace]) {
    const cut = (edge: keyof Ring) =>
      crossing(
        run.rings.map((ring) => ring[edge]),
        normal,
        at1,
      );
    const [near, far, nearOff, farOff] = [cut('near'), cut('far'), cut('nearOff'), cut('farOff')];
    if (!near || !far || !nearOff || !farOff) return undefined;
    const flat = (p: Vec3): Vec2 => {
      const [, y, z] = placeInPlane(frame, p);
      return [y, z];
    };
    const [n, f, no, fo] = [flat(near), flat(far), flat(nearOff), flat(farOff)];
    const along = direction(n, f);
    const [nearIn, farIn] = [direction(n, no), direction(f, fo)];
    const back: Vec2 = [-along[0], -along[1]];
    const out = (p: Vec2, way: Vec2): Vec2 => [p[0] - OPEN_MM * way[0], p[1] - OPEN_MM * way[1]];
    const none: Vec2 = [0, 0];
    corners.push(
      { p: no, along: back, into: nearIn },
      { p: fo, along, into: farIn },
      { p: out(n, nearIn), along: back, into: none },
      { p: out(f, farIn), along, into: none },
    );
  }
  return corners;
}

function direction(a: Vec2, b: Vec2): Vec2 {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
}

/** Where a row of points passes a plane; undefined where it ends before. */
function crossing(points: readonly Vec3[], normal: Vec3, level: number): Vec3 | undefined {
  let before = dot3(at(points, 0), normal) - level;
  for (let i = 1; i < points.length; i++) {
    const here = dot3(at(points, i), normal) - level;
    if (before <= 0 !== here <= 0) return lerp3(at(points, i - 1), at(points, i), before / (before - here));
    before = here;
  }
  return undefined;
}
