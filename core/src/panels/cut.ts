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
import { lengthBetween, matesOf, sharedStretches, type Mate, type PanelEnd, type Shared } from './neighbours';
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
  /** The same of each stretch that it shares with another panel or its mirror, by where that begins on its line. */
  readonly stretches: readonly { readonly line: string; readonly from: number; readonly longerBy: number }[];
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
export function cutPanels(panels: readonly Panel[], skin: Skin): Panel[] {
  const shared = sharedStretches(panels);
  return panels.map((panel) => cutPanel(panel, shared, skin));
}

/** A panel that rounding leaves less of is cut as if there were none. */
const LEAST_LEFT = 0.02;

/** @param shared where it lies against others, all of the hull's or those of its own */
export function cutPanel(panel: Panel, shared: readonly Shared[], skin: Skin): Panel {
  const cut = cutEdges(panel, shared, skin);
  const isGone = skin.roundedChines?.length && cut.areaM2 < LEAST_LEFT * panel.areaM2;
  return isGone ? cutEdges(panel, shared, { ...skin, roundedChines: [] }) : cut;
}

function cutEdges(panel: Panel, shared: readonly Shared[], skin: Skin): Panel {
  const shift = middleOffset(skin);
  const move = (point: Vec3, normal: Vec3) => add3(point, scale3(normal, shift));
  const { rulings } = panel;
  const flat =
    shift === 0
      ? { p: rulings.map((r) => r.flatP), q: rulings.map((r) => r.flatQ) }
      : layFlat(rulings.map((r) => move(r.p, r.normal)), rulings.map((r) => move(r.q, r.normal)), rulings.map((r) => r.normal)); // prettier-ignore
  const mateAt = matesOf(panel, shared);
  const setbackP = rulings.map((r) => setbackOf(r, 'P', panel, mateAt('P', r.s), skin));
  const setbackQ = rulings.map((r) => setbackOf(r, 'Q', panel, mateAt('Q', r.t), skin));
  const isRoundedAt = (end: PanelEnd, u: number) => roundingAt(mateAt(end, u), skin) !== undefined;
  const roundedEnds = (end: PanelEnd) => [isRoundedAt(end, 0), isRoundedAt(end, 1)] as const;
  const p = setBack({ edge: flat.p, opposite: flat.q, isRounded: roundedEnds('P') }, setbackP, 1);
  const q = setBack({ edge: flat.q, opposite: flat.p, isRounded: roundedEnds('Q') }, setbackQ, -1);
  const apart = untangled(p, q, flat);
  const isRounded = panel.stretches.some((row) => row.some(({ line }) => skin.roundedChines?.some(({ id }) => id === line))); // prettier-ignore
  const cutFlat = isRounded ? uncrossed(apart) : apart;
  const cut = withFlat(panel, cutFlat, endShares(flat, cutFlat));
  const allowance = (k: 0 | 1, setbacks: readonly number[]): EdgeAllowance => ({
    line: panel.edges[k].line,
    longerBy: cut.edges[k].length - panel.edges[k].length,
    stretches: shared.flatMap(({ line, from, to, above, below }) => {
      const own = k === 0 ? above : below;
      if (own?.panel !== panel) return [];
      const longerBy = lengthBetween({ ...own, panel: cut }, [from, to]) - lengthBetween(own, [from, to]);
      return [{ line, from, longerBy }];
    }),
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

function setbackOf(ruling: LaidRuling, end: PanelEnd, panel: Panel, mate: Mate | undefined, skin: Skin): number {
  const corner = cornerAt(ruling, mate);
  if (!mate || !corner || corner.turnRad > SHARPEST_RAD) return 0;
  const inner = depthOfInside(skin);
  const rounded = roundingAt(mate, skin);
  if (rounded && !corner.isKeel && !corner.isHollow)
    return Math.max(0, radiusOnLines(rounded, mate.t, skin)) * Math.tan(corner.turnRad / 2);
  const depth = corner.isHollow ? skin.thickness - inner : inner;
  const laps = skin.meeting === 'lapped' && end === 'P' && !corner.isKeel && !panel.spansCentreline && !corner.isHollow;
  return (laps ? inner - skin.thickness : depth) * Math.tan(corner.turnRad / 2);
}

const roundingAt = (mate: Mate | undefined, skin: Skin): RoundedChine | undefined =>
  skin.roundedChines?.find(({ id }) => id === mate?.line);

/** The radius of a rounded chine at the line's parameter t, on the surface that the lines lie on. */
export const radiusOnLines = ({ radiusFore, radiusAft }: RoundedChine, t: number, skin: Skin): number =>
  radiusFore + (radiusAft - radiusFore) * t - (skin.thickness - depthOfInside(skin));

type Corner = {
  readonly normal: Vec3;
  readonly turnRad: number;
  readonly isHollow: boolean;
  readonly isKeel: boolean;
};

/** How what lies against a panel meets it at the end of a ruling; undefined where nothing does. `normal` is the other's. */
export function cornerAt(ruling: LaidRuling, mate: Mate | undefined): Corner | undefined {
  if (!mate) return undefined;
  const mirror = ([x, y, z]: Vec3): Vec3 => [x, -y, z];
  const across = unit3(sub3(ruling.q, ruling.p));
  let [normal, away] = [mirror(ruling.normal), mirror(across)];
  if (mate.panel) {
    const there = rulingAt(mate.panel, mate.end, mate.u);
    const outward = unit3(sub3(there.q, there.p));
    [normal, away] = [there.normal, mate.end === 'P' ? outward : scale3(outward, -1)];
    if (mate.isMirrored) [normal, away] = [mirror(normal), mirror(away)];
  }
  const turnRad = Math.atan2(length3(cross3(ruling.normal, normal)), dot3(ruling.normal, normal));
  return { normal, turnRad, isHollow: dot3(ruling.normal, away) > 0, isKeel: mate.panel === null };
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

/** `isRounded`: at its fore and at its after end. */
type Edge = {
  readonly edge: readonly Vec2[];
  readonly opposite: readonly Vec2[];
  readonly isRounded: readonly [boolean, boolean];
};

/**
 * The edge set back square to itself; its ends slide along the panel's ends, and what would pass them stops there.
 * `side` is 1 where inward is to the left of the edge's run, -1 to the right.
 */
function setBack({ edge, opposite, isRounded }: Edge, setbacks: readonly number[], side: 1 | -1): Vec2[] {
  if (setbacks.every((setback) => setback === 0)) return [...edge];
  const last = edge.length - 1;
  const directions = edge.map((_, k) => directionAt(edge, k));
  const ends = [0, last].map((k, i) => slid([at(edge, k), at(opposite, k)], at(directions, k), at(setbacks, k), isRounded[i] ? MOST_OF_ROUNDED_END : MOST_OF_END)); // prettier-ignore
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
