/**
 * A wall: a sheet developed between two lines, as it is cut. A cabin's side or front, a coaming, a deck that follows
 * the sheer.
 *
 * Method: the rulings between the lines are those of any panel (surface/rulings.ts). The lines lie on the outer face of
 * an upright one and on the under side of a deck; each ruling is moved square to the sheet to its middle and the strip
 * laid out anew, since a bent sheet keeps its length there. Where its foot stands on a part, each face of the wall is
 * taken to the part's upper face, ruling by ruling; of a square edge the shorter face rules, less the gap, of a
 * bevelled one the longer is cut and the other drawn. A straight upper edge is the straight line between its ends on
 * the flat sheet. Bevel away from square: asin(n·m), n square to the wall, m to the part it stands on.
 * Conventions: u runs aft, v from the lower line to the upper, and one sees the inside or the under side; a front or an
 * after end runs from left to right of one who stands within. Shares w run along a ruling, 0 on the lower line, 1 on
 * the upper.
 */
import {
  add3,
  at,
  crossLines,
  distance2,
  distance3,
  dot3,
  lerp2,
  lerp3,
  polylineLength,
  scale3,
  type Vec2,
  type Vec3,
} from '../../geometry';
import { toDeg } from '../../measure';
import { developPanel, type Panel } from '../../panels';
import { layFlat, squareUp, type LaidRuling } from '../../surface';
import { heightOver, ownDirection, flatOf, upwardAt, type Lie } from '../lie';
import type { School } from '../../frames';
import type { WallKind, WallPlan } from '../schema';
import type { Curve } from './line';

/** A ruling as cut: where each face begins and ends in the boat, and the middle of the sheet on the flat. */
export type CutRuling = {
  readonly outer: readonly [Vec3, Vec3];
  readonly inner: readonly [Vec3, Vec3];
  readonly flat: readonly [Vec2, Vec2];
  /** Outward. */
  readonly normal: Vec3;
  /** Of the foot, away from square; 0 where it stands on nothing. */
  readonly bevelDeg: number;
  /** On the flat, where the other face ends at its foot; absent: as this one. */
  readonly other?: Vec2;
  /** On the flat, the net foot: over what is left on to be scribed. */
  readonly net: Vec2;
};

export type CutWall = {
  /** The surface that its lines span, with its twist, strain and bends. */
  readonly panel: Panel;
  readonly rulings: readonly CutRuling[];
};

/** A deck's lines lie on its under side, an upright one's on its outer face. */
export const isDeck = (kind: WallKind): boolean => kind === 'half-deck' || kind === 'sheer-deck';

type Asked = { readonly school: School; readonly on: Lie | undefined };

/** The sheet between its lines, or why there is none. */
export function cutWall(
  plan: WallPlan,
  lines: readonly [Curve, Curve],
  { school, on }: Asked,
): CutWall | { readonly reason: string } {
  const [lower, upper] = lines.map((batten, k) => ({
    ...{ id: `${plan.id}.${k}`, name: '', batten, points: [], residuals: [], curve: [], isOnCentreline: false },
  }));
  if (!lower || !upper) return { reason: 'it has one line only' };
  const rows = [[{ line: lower, from: 0, to: 1 }], [{ line: upper, from: 0, to: 1 }]] as const;
  const panel = developPanel({ lower, upper, rows, name: plan.name, spansCentreline: false });
  if ('reason' in panel) return panel;
  return { panel, rulings: cutRulings(plan, panel.rulings, { school, on }) };
}

function cutRulings(plan: WallPlan, rulings: readonly LaidRuling[], { school, on }: Asked): CutRuling[] {
  const { thickness } = plan;
  const [outer, inner] = isDeck(plan.kind) ? [thickness, 0] : [0, -thickness];
  const moved = ({ p, q, normal }: LaidRuling, by: number): [Vec3, Vec3] => {
    const off = scale3(normal, by);
    return [add3(p, off), add3(q, off)];
  };
  const middles = rulings.map((r) => moved(r, (outer + inner) / 2));
  const laid = layFlat(
    middles.map(([p]) => p),
    middles.map(([, q]) => q),
    rulings.map((r) => r.normal),
  );
  const flat = plan.isTopStraight ? turnedTo(laid) : laid;
  const tops = topShares(flat, plan.isTopStraight);
  const slants = slantsOf(flat);
  return rulings.map((r, k) => {
    const faces = [moved(r, outer), moved(r, inner)] as const;
    const ends = [at(flat.p, k), at(flat.q, k)] as const;
    const long = distance2(...ends);
    const feet = on && long > SHORT_MM ? faces.map((face) => footOn(face, on)) : [0, 0];
    const [least, most] = [Math.min(...feet), Math.max(...feet)];
    const isSquare = school !== 'framed';
    // square to the edge on the sheet, taken along the ruling
    const share = (mm: number) => (long > SHORT_MM ? mm / (long * at(slants, k)) : 0);
    const net = isSquare ? most + (on ? share(plan.gap) : 0) : least;
    const top = at(tops, k);
    const span = (face: readonly [Vec3, Vec3]): readonly [Vec3, Vec3] => [lerp3(...face, net), lerp3(...face, top)];
    const foot = Math.min(net, top) - share(plan.below);
    return {
      ...{ outer: span(faces[0]), inner: span(faces[1]), normal: r.normal, net: lerp2(...ends, net) },
      flat: [lerp2(...ends, foot), lerp2(...ends, top)],
      bevelDeg: on ? bevelOn(on, at(faces[0], 0), r.normal) : 0,
      ...(!isSquare && on && { other: lerp2(...ends, most) }),
    };
  });
}

/** Shorter rulings have no direction. */
const SHORT_MM = 1e-3;

/** Where along a face's ruling, as a share of it, it meets the upper face of what it stands on. */
function footOn(face: readonly [Vec3, Vec3], on: Lie): number {
  const over = (w: number) => heightOver(on, lerp3(...face, w), 'top');
  let [w, before] = [0, -NEAR_SHARE];
  for (let step = 0; step < STEPS; step++) {
    const [here, there] = [over(w), over(before)];
    if (Math.abs(here - there) < 1e-12) break; // along the face, or found
    [w, before] = [w - (here * (w - before)) / (here - there), w];
  }
  // a wall that lies along what it stands on has no foot there
  return Math.abs(w) < MOST_SHARE ? w : 0;
}
const NEAR_SHARE = 0.01;
/** By the secant through two places: a straight line meets a plane in one step and a cylinder in five. */
const STEPS = 6;
const MOST_SHARE = 0.9;

function bevelOn(on: Lie, place: Vec3, normal: Vec3): number {
  const up = upwardAt(on, flatOf(on, place)[1]);
  return toDeg(Math.asin(Math.max(-1, Math.min(1, dot3(ownDirection(on, normal), up)))));
}

type Flat = { readonly p: readonly Vec2[]; readonly q: readonly Vec2[] };

/** So that its upper edge, from end to end, lies along u. */
function turnedTo({ p, q }: Flat): Flat {
  const straight = { p: [at(q, 0), at(q, -1)], q: [at(q, 0), at(q, -1)] };
  if (distance2(at(q, 0), at(q, -1)) < SHORT_MM) return { p, q };
  const { along } = squareUp(straight, { p, q });
  return along;
}

/** How far up its ruling each reaches: to the upper line, or to the straight line between its ends. */
function topShares({ p, q }: Flat, isStraight: boolean): number[] {
  const [first, last] = [at(q, 0), at(q, -1)];
  if (!isStraight || distance2(first, last) < SHORT_MM) return q.map(() => 1);
  return q.map((top, k) => {
    if (distance2(at(p, k), top) < SHORT_MM) return 1;
    return crossLines(at(p, k), top, first, last)?.w ?? 1;
  });
}

/** Sine of the angle between each ruling and the lower edge there; of a fan's no less than LEAST_SLANT. */
function slantsOf({ p, q }: Flat): number[] {
  return p.map((foot, k) => {
    const [a, b] = [at(p, Math.max(0, k - 1)), at(p, Math.min(p.length - 1, k + 1))];
    const [along, up] = [distance2(a, b), distance2(foot, at(q, k))];
    if (along < SHORT_MM || up < SHORT_MM) return 1;
    const [x, y] = at(q, k);
    const cross = ((b[0] - a[0]) * (y - foot[1]) - (b[1] - a[1]) * (x - foot[0])) / (along * up);
    return Math.max(LEAST_SLANT, Math.abs(cross));
  });
}
const LEAST_SLANT = 0.25;

/** The place in the boat of one on the flat sheet, so far outward of its middle; run on beyond its edges. */
export function placeOnWall({ rulings }: Pick<CutWall, 'rulings'>, thickness: number) {
  let near = 1; // one who goes along it asks for the next place nearby
  return (place: Vec2, over = 0): Vec3 => {
    near = cellAt(rulings, place, near);
    const [a, b] = [at(rulings, near - 1), at(rulings, near)];
    const [past, short] = [sideOf(a, place), -sideOf(b, place)];
    const share = past + short > 0 ? Math.min(1, Math.max(0, past / (past + short))) : 0;
    const on = (r: CutRuling): Vec3 => {
      const long = distance2(...r.flat);
      const w = long > SHORT_MM ? alongRuling(r, place) / long : 0;
      const face = 0.5 + over / thickness;
      const [foot, top] = [0, 1].map((k) => lerp3(at(r.inner, k), at(r.outer, k), face)) as [Vec3, Vec3];
      const [from, to] = [r.net, r.flat[1]];
      const netLong = distance2(from, to);
      const below = distance2(r.flat[0], from);
      return netLong > SHORT_MM ? lerp3(foot, top, (w * long - below) / netLong) : foot;
    };
    return lerp3(on(a), on(b), share);
  };
}

/** How far up a wall a place of it lies, as a share of the ruling there. */
export function shareUp({ rulings }: Pick<CutWall, 'rulings'>): (place: Vec2) => number {
  let near = 1;
  return (place) => {
    near = cellAt(rulings, place, near);
    const ruling = at(rulings, near);
    return alongRuling(ruling, place) / (distance2(...ruling.flat) || 1);
  };
}

/** How far to the right of a ruling a place lies, who looks up along it. */
function sideOf({ flat: [p, q] }: CutRuling, [u, v]: Vec2): number {
  const long = distance2(p, q);
  return long > SHORT_MM ? ((u - p[0]) * (q[1] - p[1]) - (v - p[1]) * (q[0] - p[0])) / long : u - p[0];
}

const alongRuling = ({ flat: [p, q] }: CutRuling, [u, v]: Vec2): number =>
  ((u - p[0]) * (q[0] - p[0]) + (v - p[1]) * (q[1] - p[1])) / (distance2(p, q) || 1);

/** The ruling after a place: looked for from one outward. */
function cellAt(rulings: readonly CutRuling[], place: Vec2, near: number): number {
  const last = rulings.length - 1;
  const isIn = (k: number) => sideOf(at(rulings, k - 1), place) >= 0 && sideOf(at(rulings, k), place) <= 0;
  for (let off = 0; off <= last; off++)
    for (const k of off === 0 ? [near] : [near + off, near - off]) if (k >= 1 && k <= last && isIn(k)) return k;
  return sideOf(at(rulings, 0), place) < 0 ? 1 : last;
}

/** A bend is measured over so much of a wall at least: a turn within less is taken up by the sheet's stiffness, mm. */
const BEND_SPAN_MM = 200;
/** Shorter rulings lie in the point of a pointed wall, where what is left of it has no stiffness, mm. */
const POINTED_MM = 100;
/** Rulings that close in to this share of their spread at one end lie towards a point: measured in their middle. */
const FAN_SHARE = 0.12;
/** Flatter is flat: a kilometre. */
const FLAT_MM = 1e6;

/** Where a wall bends tightest; undefined where it is flat. */
export function tightestBend({ rulings }: Pick<Panel, 'rulings'>): TightestBend | undefined {
  let best: TightestBend | undefined;
  let first = 0;
  rulings.forEach((ruling, k) => {
    while (first < k && middlesApart(at(rulings, first + 1), ruling) >= BEND_SPAN_MM) first++;
    const before = at(rulings, first);
    const spread = middlesApart(before, ruling);
    if (spread < BEND_SPAN_MM || [before, ruling].some((one) => distance3(one.p, one.q) < POINTED_MM)) return;
    const turn = Math.acos(Math.min(1, dot3(before.normal, ruling.normal)));
    const [p, q] = [distance3(before.p, ruling.p), distance3(before.q, ruling.q)];
    const apart = Math.min(p, q) < FAN_SHARE * Math.max(p, q) ? spread : Math.min(p, q);
    const radiusMm = apart / turn;
    if (!(radiusMm < Math.min(FLAT_MM, best?.radiusMm ?? Infinity))) return;
    const { flatP, flatQ } = at(rulings, (first + k) >> 1);
    const alongRad = Math.atan2(flatQ[1] - flatP[1], flatQ[0] - flatP[0]);
    best = { radiusMm, x: (before.p[0] + before.q[0] + ruling.p[0] + ruling.q[0]) / 4, alongRad };
  });
  return best;
}

const middlesApart = (a: LaidRuling, b: LaidRuling): number => distance3(lerp3(a.p, a.q, 0.5), lerp3(b.p, b.q, 0.5));

/** `alongRad`: of the ruling on the flat, from u. */
export type TightestBend = { readonly radiusMm: number; readonly x: number; readonly alongRad: number };

/** Length of its foot, on the flat. */
export const footLength = (rulings: readonly CutRuling[]): number => polylineLength(rulings.map(({ net }) => net));
