/**
 * What is cut, where the sheet has thickness: the flat shape of the sheet's middle, its edges set back as the panels meet.
 *
 * Method (derived here): the lines lie to the outside, the middle or the inside of the skin. A bent sheet keeps its length
 * in its middle, so every ruling is moved along its normal to the middle surface (the parallel surface of a developable
 * has parallel rulings) and the strip laid out anew; under MIDDLE_FROM_MM that is less than a pencil and is left out.
 * Where two panels meet at a turn φ of their normals, square edges that touch at the inner corners ("stitched") stand
 * back from the foot of the normal at the line by d·tan(φ/2), d being how deep the inner faces lie under the lines; at a
 * hollow corner the outer corners touch, and d is what lies over the lines. "Lapped": the upper panel runs past to the
 * outer corner, the lower stands back as before; the keel is stitched in either case. The top edge and the ends at stem
 * and transom have no allowance.
 * Conventions: space coordinates stay those of the lines; only what is flat changes.
 */
import {
  add3,
  at,
  cross3,
  crossLines,
  distance2,
  dot3,
  length3,
  lerp3,
  scale3,
  sub3,
  unit3,
  type Vec2,
  type Vec3,
} from '../geometry';
import { CENTRELINE_MM } from '../lines';
import type { LinesTo, Meeting, RoundedChine } from './schema';
import { withFlat, type Panel } from './panel';
import { layFlat, type LaidRuling } from './strip';

export type Skin = {
  readonly thickness: number;
  readonly linesTo: LinesTo;
  readonly meeting: Meeting;
  /** Along these lines the panels stand back to where the rounding begins. */
  readonly roundedChines?: readonly RoundedChine[];
};

/** What the thickness changed along one edge, mm. */
export type EdgeAllowance = {
  readonly line: string;
  /** Length of the cut edge less that of the line. */
  readonly longerBy: number;
  /** How far the edge stands back, least and most along it; negative: it runs past. */
  readonly setback: { readonly least: number; readonly most: number };
};

/** Thinner sheets are developed on the lines' own surface. */
export const MIDDLE_FROM_MM = 5;
/** A sharper corner than this is not two panels edge to edge. */
const SHARPEST_RAD = (2 * Math.PI) / 3;
/** No corner slides further than this share of the panel's end, a rounded one this; an end nearly along the edge counts as this steep. */
const MOST_OF_END = 0.4;
const MOST_OF_ROUNDED_END = 0.95;
const LEAST_SINE = 0.3;

/** Outward from the lines to the middle of the skin, mm. */
export const middleOffset = ({ thickness, linesTo }: Pick<Skin, 'thickness' | 'linesTo'>): number =>
  thickness < MIDDLE_FROM_MM ? 0 : { outside: -0.5, middle: 0, inside: 0.5 }[linesTo] * thickness;

/** From the lines inward to the skin's inner face, mm. */
export const depthOfInside = ({ thickness, linesTo }: Pick<Skin, 'thickness' | 'linesTo'>): number =>
  ({ outside: 1, middle: 0.5, inside: 0 })[linesTo] * thickness;

/** The panels as they are cut; lowest first, as they come. */
export const cutPanels = (panels: readonly Panel[], skin: Skin): Panel[] =>
  panels.map((panel, i) => cutPanel(panel, { below: panels[i - 1], above: panels[i + 1] }, skin));

export type Neighbours = { readonly below: Panel | undefined; readonly above: Panel | undefined };

/** A panel that rounding leaves less of is cut as if there were none. */
const LEAST_LEFT = 0.02;

export function cutPanel(panel: Panel, around: Neighbours, skin: Skin): Panel {
  const cut = cutEdges(panel, around, skin);
  const isGone = skin.roundedChines?.length && cut.areaM2 < LEAST_LEFT * panel.areaM2;
  return isGone ? cutEdges(panel, around, { ...skin, roundedChines: [] }) : cut;
}

function cutEdges(panel: Panel, { below, above }: Neighbours, skin: Skin): Panel {
  const shift = middleOffset(skin);
  const move = (point: Vec3, normal: Vec3) => add3(point, scale3(normal, shift));
  const { rulings } = panel;
  const flat =
    shift === 0
      ? { p: rulings.map((r) => r.flatP), q: rulings.map((r) => r.flatQ) }
      : layFlat(rulings.map((r) => move(r.p, r.normal)), rulings.map((r) => move(r.q, r.normal)), rulings.map((r) => r.normal)); // prettier-ignore
  // where the bottom spans the centreline both its edges meet the side
  const overP = panel.spansCentreline ? above : below;
  const setbackP = rulings.map((r) => setbackOf(r, 'P', { panel, other: overP, isMirrored: panel.spansCentreline }, skin)); // prettier-ignore
  const setbackQ = rulings.map((r) => setbackOf(r, 'Q', { panel, other: above, isMirrored: false }, skin));
  const isRounded = (k: 0 | 1) => skin.roundedChines?.some(({ id }) => id === panel.edges[k].line) === true;
  const p = setBack({ edge: flat.p, opposite: flat.q, isRounded: isRounded(0) }, setbackP, 1);
  const q = setBack({ edge: flat.q, opposite: flat.p, isRounded: isRounded(1) }, setbackQ, -1);
  const apart = untangled(p, q, flat);
  const cutFlat = isRounded(0) || isRounded(1) ? uncrossed(apart) : apart;
  const cut = withFlat(panel, cutFlat, endShares(flat, cutFlat));
  const allowance = (k: 0 | 1, setbacks: readonly number[]): EdgeAllowance => ({
    line: panel.edges[k].line,
    longerBy: cut.edges[k].length - panel.edges[k].length,
    setback: { least: Math.min(...setbacks), most: Math.max(...setbacks) },
  });
  return { ...cut, allowances: [allowance(0, setbackP), allowance(1, setbackQ)] };
}

type Flat = { readonly p: readonly Vec2[]; readonly q: readonly Vec2[] };

/** Between which shares of the last ruling its cut ends lie. */
function endShares(whole: Flat, cut: Flat): readonly [number, number] {
  const length = distance2(at(whole.p, -1), at(whole.q, -1));
  if (length < STILL_MM) return [0, 1];
  return [distance2(at(whole.p, -1), at(cut.p, -1)) / length, 1 - distance2(at(whole.q, -1), at(cut.q, -1)) / length];
}

export type Meets = { readonly panel: Panel; readonly other: Panel | undefined; readonly isMirrored: boolean };

function setbackOf(ruling: LaidRuling, end: 'P' | 'Q', meets: Meets, skin: Skin): number {
  const corner = cornerAt(ruling, end, meets);
  if (!corner || corner.turnRad > SHARPEST_RAD) return 0;
  const { panel } = meets;
  const inner = depthOfInside(skin);
  const rounded = skin.roundedChines?.find(({ id }) => id === panel.edges[end === 'P' ? 0 : 1].line);
  if (rounded && !corner.isKeel && !corner.isHollow)
    return Math.max(0, radiusOnLines(rounded, end === 'P' ? ruling.s : ruling.t, skin)) * Math.tan(corner.turnRad / 2);
  const depth = corner.isHollow ? skin.thickness - inner : inner;
  const laps = skin.meeting === 'lapped' && end === 'P' && !corner.isKeel && !panel.spansCentreline && !corner.isHollow;
  return (laps ? inner - skin.thickness : depth) * Math.tan(corner.turnRad / 2);
}

/** The radius of a rounded chine at the line's parameter t, on the surface that the lines lie on. */
export const radiusOnLines = ({ radiusFore, radiusAft }: RoundedChine, t: number, skin: Skin): number =>
  radiusFore + (radiusAft - radiusFore) * t - (skin.thickness - depthOfInside(skin));

type Corner = {
  readonly normal: Vec3;
  readonly turnRad: number;
  readonly isHollow: boolean;
  readonly isKeel: boolean;
};

/** How the other panel meets this one at the end of a ruling; undefined where nothing does. `normal` is the other's. */
export function cornerAt(ruling: LaidRuling, end: 'P' | 'Q', { panel, other, isMirrored }: Meets): Corner | undefined {
  const isKeel = end === 'P' && !other && Math.abs(ruling.p[1]) <= CENTRELINE_MM;
  if (!other && !isKeel) return undefined;
  const mirror = ([x, y, z]: Vec3): Vec3 => [x, -y, z];
  const across = unit3(sub3(ruling.q, ruling.p));
  let [normal, away] = [mirror(ruling.normal), mirror(across)];
  if (other) {
    const end2 = panel.spansCentreline || end === 'Q' ? 'P' : 'Q';
    const there = rulingAt(other, end2, end === 'P' ? ruling.s : ruling.t);
    const outward = unit3(sub3(there.q, there.p));
    [normal, away] = [there.normal, end2 === 'P' ? outward : scale3(outward, -1)];
    if (isMirrored) [normal, away] = [mirror(normal), mirror(away)];
  }
  const turnRad = Math.atan2(length3(cross3(ruling.normal, normal)), dot3(ruling.normal, normal));
  return { normal, turnRad, isHollow: dot3(ruling.normal, away) > 0, isKeel };
}

/** Direction and normal of the panel at a place on one of its edges, between its rulings. */
function rulingAt(panel: Panel, end: 'P' | 'Q', u: number): Pick<LaidRuling, 'p' | 'q' | 'normal'> {
  const { rulings } = panel;
  const of = (r: LaidRuling) => (end === 'P' ? r.s : r.t);
  const found = rulings.findIndex((r) => of(r) >= u);
  const k = found === -1 ? rulings.length - 1 : Math.max(1, found);
  const [a, b] = [at(rulings, k - 1), at(rulings, k)];
  const w = of(b) > of(a) ? Math.min(1, Math.max(0, (u - of(a)) / (of(b) - of(a)))) : 0;
  return { p: lerp3(a.p, b.p, w), q: lerp3(a.q, b.q, w), normal: unit3(lerp3(a.normal, b.normal, w)) };
}

type Edge = { readonly edge: readonly Vec2[]; readonly opposite: readonly Vec2[]; readonly isRounded: boolean };

/**
 * The edge set back square to itself; its ends slide along the panel's ends, and what would pass them stops there.
 * `side` is 1 where inward is to the left of the edge's run, -1 to the right.
 */
function setBack({ edge, opposite, isRounded }: Edge, setbacks: readonly number[], side: 1 | -1): Vec2[] {
  if (setbacks.every((setback) => setback === 0)) return [...edge];
  const last = edge.length - 1;
  const directions = edge.map((_, k) => directionAt(edge, k));
  const ends = [0, last].map((k) => slid([at(edge, k), at(opposite, k)], at(directions, k), at(setbacks, k), isRounded ? MOST_OF_ROUNDED_END : MOST_OF_END)); // prettier-ignore
  const isPast = (p: Vec2, k: 0 | -1) => {
    const [a, b] = [at(edge, k), at(opposite, k)];
    const turn = (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
    return turn * (k === 0 ? 1 : -1) * side > 0;
  };
  const moved = edge.map((p, k): Vec2 => {
    if (k === 0 || k === last) return at(ends, k === 0 ? 0 : 1);
    const [c, s] = at(directions, k);
    const square: Vec2 = [p[0] - side * at(setbacks, k) * s, p[1] + side * at(setbacks, k) * c];
    return isPast(square, 0) ? at(ends, 0) : isPast(square, -1) ? at(ends, 1) : square;
  });
  // in a hollow tighter than the setback the edge would run back over itself: from the middle outward it stops instead
  const middle = Math.floor(edge.length / 2);
  const runsOn = (from: Vec2, to: Vec2, [c, s]: Vec2, way: 1 | -1) => way * (c * (to[0] - from[0]) + s * (to[1] - from[1])) >= 0; // prettier-ignore
  for (let k = middle + 1; k < last; k++)
    if (!runsOn(at(moved, k - 1), at(moved, k), at(directions, k), 1)) moved[k] = at(moved, k - 1);
  for (let k = middle - 1; k > 0; k--)
    if (!runsOn(at(moved, k + 1), at(moved, k), at(directions, k), -1)) moved[k] = at(moved, k + 1);
  // nor may its last points pass where the ends have slid to
  const before = (k: number, end: 0 | 1) => runsOn(at(ends, end), at(moved, k), at(directions, end === 0 ? 0 : last), end === 0 ? 1 : -1); // prettier-ignore
  return moved.map((p, k) =>
    k < middle && !before(k, 0) ? at(ends, 0) : k > middle && !before(k, 1) ? at(ends, 1) : p,
  );
}

/** Direction of an edge at its point k, read past the places where it stands still in a fan. */
export function directionAt(edge: readonly Vec2[], k: number): Vec2 {
  let [i, j] = [Math.max(0, k - 1), Math.min(edge.length - 1, k + 1)];
  while (distance2(at(edge, i), at(edge, j)) < RUN_MM && (i > 0 || j < edge.length - 1))
    [i, j] = [Math.max(0, i - 1), Math.min(edge.length - 1, j + 1)];
  const [a, b] = [at(edge, i), at(edge, j)];
  const length = distance2(a, b) || 1;
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
}

const STILL_MM = 1e-3;
/** A run as long as this has a direction: in a fan the moved points lie a few hundredths apart, any way about. */
const RUN_MM = 3;

/** A corner moved along the panel's end, so far that it lies `setback` square in from the edge. */
function slid([corner, opposite]: readonly [Vec2, Vec2], [c, s]: Vec2, setback: number, most: number): Vec2 {
  const [dx, dy] = [opposite[0] - corner[0], opposite[1] - corner[1]];
  const across = Math.hypot(dx, dy);
  if (across < STILL_MM) return corner;
  const sine = Math.max(LEAST_SINE, Math.abs(c * dy - s * dx) / across);
  const share = Math.min(most, setback / sine / across);
  return [corner[0] + share * dx, corner[1] + share * dy];
}

/** Near the point of a panel the two edges set back pass each other: it ends where they meet. */
function untangled(p: readonly Vec2[], q: readonly Vec2[], whole: Flat): Flat {
  const isOpen = (k: number) => {
    const [a, b, c, d] = [at(p, k), at(q, k), at(whole.p, k), at(whole.q, k)];
    return (b[0] - a[0]) * (d[0] - c[0]) + (b[1] - a[1]) * (d[1] - c[1]) > 0;
  };
  const middle = Math.floor(p.length / 2);
  const shut = p.map((_, k) => k).filter((k) => !isOpen(k));
  const from = Math.min(middle, Math.max(-1, ...shut.filter((k) => k < middle)) + 1);
  const to = Math.max(middle, Math.min(p.length, ...shut.filter((k) => k >= middle)) - 1);
  const meet = (k: number): Vec2 => [(at(p, k)[0] + at(q, k)[0]) / 2, (at(p, k)[1] + at(q, k)[1]) / 2];
  const trim = (edge: readonly Vec2[]) => edge.map((point, k) => (k < from ? meet(from) : k > to ? meet(to) : point));
  return { p: trim(p), q: trim(q) };
}

/** A wide setback takes the whole of a pointed panel's end: from its middle outward it ends where the edges first cross. */
function uncrossed({ p, q }: Flat): Flat {
  const fore = firstCrossing(p, q, -1);
  const aft = firstCrossing(p, q, 1);
  const trim = (edge: readonly Vec2[], of: 'i' | 'j') =>
    edge.map((point, k) => (fore && k < fore[of] ? fore.at : aft && k > aft[of] ? aft.at : point));
  return { p: trim(p, 'i'), q: trim(q, 'j') };
}

/** Where two edges cross going from their middles forward (−1) or aft (1): beyond point i of p and j of q. */
function firstCrossing(p: readonly Vec2[], q: readonly Vec2[], way: 1 | -1) {
  const middle = Math.floor(p.length / 2);
  const left = way === 1 ? p.length - 1 - middle : middle;
  for (let reach = 1; reach <= left; reach++) {
    for (let back = 1; back <= reach; back++) {
      // every pair of segments of which the further one lies `reach` out
      for (const [m, n] of [
        [reach, back],
        [back, reach],
      ] as const) {
        const [i, j] = [middle + way * (m - 1), middle + way * (n - 1)];
        const found = crossLines(at(p, i), at(p, i + way), at(q, j), at(q, j + way));
        if (found && found.w >= 0 && found.w <= 1 && found.v >= 0 && found.v <= 1) return { i, j, at: found.point };
      }
    }
  }
  return undefined;
}
