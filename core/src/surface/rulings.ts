/**
 * Finds the rulings of the developable surface between two lines.
 *
 * A ruling P(s)-Q(t) lies in a developable when the tangents at both ends and the ruling itself are coplanar: its
 * twist, the signed angle between P'×R and Q'×R about R = Q−P, is zero.
 *
 * Method (derived here): the cheapest path over the parameters of both lines (ruling-path.ts) says about where the
 * rulings run. Then each is refined on the continuous curves: along s + t = const the monotone path is crossed
 * exactly once, so there the root of the twist nearest to the path is bracketed and found. Where the surface is not
 * developable the roots jump from one branch to another: a root that would cross the ruling before is not taken, and
 * the path's own is kept.
 *
 * Accuracy: the rulings are those of the interpolating curves to 1e-9 in parameter; where no root is near, the
 * surface is not developable there and the ruling of the path is kept, its twist reported. Cost: about 10 twists a
 * ruling beside those of the path.
 */
import { at, bracketedRoot, type CurveTangent } from '../geometry';
import type { EdgeCurve } from './edge-curve';
import { cheapestPath, type Corner, type Path } from './ruling-path';
import { twistOf } from './twist';

/** `fan`: which line's point stays still while the other moves. */
export type Ruling = {
  readonly s: number;
  readonly t: number;
  readonly twistRad: number;
  readonly fan?: 'P' | 'Q';
  /** The lines there, where they have been read already. */
  readonly ends?: Ends;
};
type Ends = readonly [CurveTangent, CurveTangent];

/** `grids`: cells a line of each search for the path, coarsest first. */
export type RulingOptions = { readonly grids: readonly number[]; readonly rulingCount: number };
const DEFAULT_RULINGS: RulingOptions = { grids: [24, 48, 288], rulingCount: 200 };

/** The rulings in order from the first ends to the last, `rulingCount` intervals or a few more where fans begin. */
export function findRulings(P: EdgeCurve, Q: EdgeCurve, options: RulingOptions = DEFAULT_RULINGS): Ruling[] {
  const path = cheapestPath(P, Q, options.grids);
  const found = rulingsAlong(path, P, Q, options);
  // a coarse path may lie too far off for its roots to be found: then the finest shows the way
  return path.isFinest || found.every(({ twistRad, fan }) => fan || Math.abs(twistRad) < LEFT_RAD)
    ? found
    : rulingsAlong(cheapestPath(P, Q, options.grids, 0), P, Q, options);
}

/** 0.03°: a ruling that was found has a millionth of it. */
const LEFT_RAD = 5e-4;

function rulingsAlong(path: Path, P: EdgeCurve, Q: EdgeCurve, options: RulingOptions): Ruling[] {
  const cell = 1 / at(options.grids, -1);
  const last: LastRead = { s: NaN, t: NaN, ends: undefined };
  const twist = twistOn(P, Q, last);
  const corners = refineFanEnds(path, twist, cell);
  const rulings: Ruling[] = [];
  let lean = 0;
  const run: Run = { slope: 0 };
  const sums = parameterSums(corners, options.rulingCount);
  const read = pathReader(corners);
  let skipped: Corner | undefined;
  for (let k = 0; k < sums.length; k++) {
    const guess = read(sums[k]!); // in bounds by the loop
    // every other ruling lies between two found ones: it is set there first, and found only where that leaves a twist
    if (k % 2 === 1 && k + 1 < sums.length) {
      skipped = guess;
      continue;
    }
    const found = guess.fan
      ? undefined
      : (follow(rulings, guess, twist, cell, run) ?? refine(guess.s, guess.t, lean, twist, cell));
    const ruling = withEnds(onwards(rulings, guess, found, twist), last);
    if (skipped) rulings.push(withEnds(between(rulings, ruling, skipped, twist, cell), last));
    skipped = undefined;
    lean = ruling.s - ruling.t - guess.s + guess.t;
    rulings.push(ruling);
  }
  return withKnuckles(keepMonotone(rulings, twist), P, Q);
}

/**
 * With a ruling at every knuckle of an edge, where no fan has set one: between two rulings its corner would be cut
 * off.
 */
function withKnuckles(rulings: Ruling[], P: EdgeCurve, Q: EdgeCurve): Ruling[] {
  const all = rulings;
  for (const [own, knuckles] of [
    ['s', P.knuckles],
    ['t', Q.knuckles],
  ] as const)
    for (const u of knuckles) {
      const k = all.findIndex((ruling) => ruling[own] > u - ON_KNUCKLE);
      const [a, b] = [all[k - 1], all[k]];
      if (a && b && b[own] > u + ON_KNUCKLE) all.splice(k, 0, knuckleRuling(own, u, [a, b], P, Q));
    }
  return all;
}

const ON_KNUCKLE = 1e-9;

/** The ruling from a knuckle to between those beside it: where the twists before and after the knuckle cancel out. */
function knuckleRuling(
  own: 's' | 't',
  u: number,
  [a, b]: readonly [Ruling, Ruling],
  P: EdgeCurve,
  Q: EdgeCurve,
): Ruling {
  const place = (v: number) => (own === 's' ? ([u, v] as const) : ([v, u] as const));
  const twists = (v: number) => {
    const [s, t] = place(v);
    return ([-1, 1] as const).map((side) => {
      const [p, q] = [P.at(s, own === 's' ? side : 1), Q.at(t, own === 't' ? side : 1)];
      return twistOf(p.position, p.first, q.position, q.first);
    });
  };
  const other = own === 's' ? 't' : 's';
  const share = (u - a[own]) / (b[own] - a[own]);
  const sum = (v: number) => twists(v).reduce((total, twist) => total + twist, 0);
  const v = bracketedRoot(sum, a[other], b[other], ROOT_TOLERANCE) ?? a[other] + share * (b[other] - a[other]);
  const [s, t] = place(v);
  const [before = 0, after = 0] = twists(v);
  return { s, t, twistRad: Math.abs(before) < Math.abs(after) ? before : after };
}

/** The ruling found, unless it crosses the last one: then the path's own, which may stay level with the last. */
function onwards(rulings: readonly Ruling[], guess: Corner, found: Ruling | undefined, twist: Twist): Ruling {
  const last = rulings[rulings.length - 1];
  if (!found) return { ...guess, twistRad: 0 };
  const isOnward = !last || (found.s >= last.s && found.t >= last.t);
  return isOnward ? found : { s: guess.s, t: guess.t, twistRad: twist(guess.s, guess.t) };
}

/** How fast the twist changes with s − t where the last root was found; nought before there is one. */
type Run = { slope: number };

/** This little twist is a root: s − t is right to some 1e-9 there. */
const ROOT_RAD = 1e-9;
/** The run of the roots is trusted to this many cells; the bracket that is otherwise searched first is as wide. */
const FOLLOW_CELLS = 0.3;
const FOLLOW_STEPS = 5;
/** The roots keep this near to the path, in cells: the path keeps to them within a cell or two of its own grid. */
const STRAY_CELLS = 6;
/** Twist, rad, over the whole of the lines: a panel this nearly plane has no rulings of its own. */
const PLANE_SLOPE = 1e-3;

/** The root to which the last two lead, by secants from where they point; undefined when it is not at once there. */
function follow(found: readonly Ruling[], guess: Corner, twist: Twist, cell: number, run: Run): Ruling | undefined {
  const a = found[found.length - 1];
  const z = found[found.length - 3];
  if (!a || !z || a.fan || z.fan || Math.abs(a.twistRad) > ROOT_RAD || Math.abs(z.twistRad) > ROOT_RAD)
    return undefined;
  const c = guess.s + guess.t;
  const limit = Math.min(c, 2 - c);
  const ca = a.s + a.t;
  const share = (c - ca) / (ca - z.s - z.t);
  const start = a.s - a.t + (a.s - a.t - z.s + z.t) * share + bowAhead(found, share);
  if (Math.abs(start - guess.s + guess.t) > STRAY_CELLS * cell || Math.abs(start) >= limit) return undefined;
  let d = start;
  let off = twist((c + d) / 2, (c - d) / 2);
  for (let step = 0; step < FOLLOW_STEPS && (Math.abs(off) > ROOT_RAD || run.slope === 0); step++) {
    const next = run.slope === 0 ? d + 0.01 * cell : d - off / run.slope;
    if (!(Math.abs(next - start) < FOLLOW_CELLS * cell && Math.abs(next) < limit)) return undefined;
    const left = twist((c + next) / 2, (c - next) / 2);
    run.slope = (left - off) / (next - d);
    // in a plane every ruling is a root: there the path alone says where they run
    if (Math.abs(run.slope) < PLANE_SLOPE) return undefined;
    d = next;
    off = left;
  }
  return Math.abs(off) > ROOT_RAD ? undefined : { s: (c + d) / 2, t: (c - d) / 2, twistRad: off };
}

/** How far the run of s − t leaves the straight through the last two found: as it left that through the two before. */
function bowAhead(found: readonly Ruling[], share: number): number {
  const y = found[found.length - 5];
  if (!y || y.fan || Math.abs(share - 1) > 1e-6) return 0;
  const z = found[found.length - 3]!; // there are five
  const a = found[found.length - 1]!;
  return a.s - a.t - 2 * (z.s - z.t) + y.s - y.t;
}

/** A ruling set between two found ones may keep this much twist: 0.0006°. */
const SET_BETWEEN_RAD = 1e-5;

/**
 * The ruling between the last found one and the next, at the path's s + t: by the run of the last three, or by
 * search.
 */
function between(found: readonly Ruling[], next: Ruling, guess: Corner, twist: Twist, cell: number): Ruling {
  if (guess.fan) return { ...guess, twistRad: 0 };
  const a = found[found.length - 1]!; // the caller has found one
  const c = guess.s + guess.t;
  const share = (c - a.s - a.t) / (next.s + next.t - a.s - a.t);
  const straight = a.s - a.t + share * (next.s - next.t - a.s + a.t);
  const d = straight + bendBetween(found, next, share);
  const set = { s: (c + d) / 2, t: (c - d) / 2 };
  const isInside = set.s >= a.s && set.t >= a.t && set.s <= next.s && set.t <= next.t;
  const twistRad = isInside && !a.fan && !next.fan ? twist(set.s, set.t) : Infinity;
  if (Math.abs(twistRad) < SET_BETWEEN_RAD) return { ...set, twistRad };
  return refine(guess.s, guess.t, straight - guess.s + guess.t, twist, cell);
}

/** How far a smooth run of s − t bows off the straight between the last two found: a parabola through three of them. */
function bendBetween(found: readonly Ruling[], next: Ruling, share: number): number {
  const a = found[found.length - 1]!; // as above
  const z = found[found.length - 3];
  if (!z || z.fan || a.fan) return 0;
  const [cz, ca, cn] = [z.s + z.t, a.s + a.t, next.s + next.t];
  if (ca - cz < 1e-9 || cn - ca < 1e-9) return 0;
  const rise = (next.s - next.t - a.s + a.t) / (cn - ca) - (a.s - a.t - z.s + z.t) / (ca - cz);
  return (-share * (1 - share) * (cn - ca) ** 2 * rise) / (cn - cz);
}

/** Where the twist was last taken: mostly that is the ruling found, and its ends need not be read again. */
type LastRead = { s: number; t: number; ends: Ends | undefined };

const withEnds = (ruling: Ruling, last: LastRead): Ruling =>
  last.ends && last.s === ruling.s && last.t === ruling.t ? { ...ruling, ends: last.ends } : ruling;

type Twist = (s: number, t: number) => number;
const twistOn =
  (P: EdgeCurve, Q: EdgeCurve, last: LastRead): Twist =>
  (s, t) => {
    const p = P.at(s);
    const q = Q.at(t);
    last.s = s;
    last.t = t;
    last.ends = [p, q];
    return twistOf(p.position, p.first, q.position, q.first);
  };

/** Moves the point where a fan begins or ends to the root of the twist along the fan. */
function refineFanEnds({ corners, cell: own }: Path, twist: Twist, cell: number): Corner[] {
  return corners.map((corner, k): Corner => {
    const [before, next] = [corners[k - 1], corners[k + 1]];
    const isIn = corner.fan !== undefined;
    const isOut = next?.fan !== undefined;
    if (!before || !next || isIn === isOut) return corner;
    const fan = corner.fan ?? next.fan;
    const f = fan === 'P' ? (t: number) => twist(corner.s, t) : (s: number) => twist(s, corner.t);
    const along = ({ s, t }: Corner) => (fan === 'P' ? t : s);
    // a coarse path says where the fan ends to a cell of its own; past the rulings beside it, it does not reach
    for (const reach of new Set([2 * cell, 2 * own])) {
      const from = Math.max(0, along(corner) - reach, isIn ? 0 : along(before));
      const to = Math.min(1, along(corner) + reach, isIn ? along(next) : 1);
      const root = bracketedRoot(f, from, to, 1e-12);
      if (root !== undefined) return fan === 'P' ? { ...corner, t: root } : { ...corner, s: root };
    }
    return corner;
  });
}

/** The values of s + t at which rulings are set: even, and at every end of a fan. */
function parameterSums(path: readonly Corner[], count: number): number[] {
  const even = Array.from({ length: count + 1 }, (_, k) => (2 * k) / count);
  const turns = path.flatMap((corner, k) => {
    const next = path[k + 1];
    return next && (corner.fan === undefined) !== (next.fan === undefined) ? [corner.s + corner.t] : [];
  });
  const all = [...even, ...turns].sort((a, b) => a - b);
  return all.filter((c, k) => k === 0 || c - all[k - 1]! > 1e-9); // k > 0: bounded
}

/** Reads the path at rising values of s + t, going on from where the last was found. */
function pathReader(path: readonly Corner[]): (c: number) => Corner {
  let k = 1;
  return (c) => {
    while (k < path.length - 1 && path[k]!.s + path[k]!.t < c) k++; // bounded by the loop
    return pathAt(path, k, c);
  };
}

function pathAt(path: readonly Corner[], k: number, c: number): Corner {
  const a = path[k - 1]!;
  const b = path[k]!;
  const span = b.s + b.t - a.s - a.t;
  const w = span > 0 ? Math.min(1, Math.max(0, (c - a.s - a.t) / span)) : 0;
  const point = { s: a.s + w * (b.s - a.s), t: a.t + w * (b.t - a.t) };
  const isInside = b.fan !== undefined && w > 0;
  return isInside ? { ...point, fan: b.fan } : point;
}

/** Widening windows, in grid cells, in which the root is looked for. */
const WINDOWS = [0.3, 1.5, 4, 8];
/** Good to 1e-9 of a line: some 5e-6 mm. */
const ROOT_TOLERANCE = 1e-9;

/** The twist by d = s − t where s + t = c. */
const twistAlong =
  (c: number, twist: Twist): ((d: number) => number) =>
  (d) =>
    twist((c + d) / 2, (c - d) / 2);

/** `lean` is how far the root before lay from the path: the next will lie about as far, so a narrow window finds it. */
function refine(s0: number, t0: number, lean: number, twist: Twist, cell: number): Ruling {
  const c = s0 + t0;
  const limit = Math.min(c, 2 - c);
  const f = twistAlong(c, twist);
  for (let k = 0; k < WINDOWS.length; k++) {
    const middle = s0 - t0 + (k === 0 ? lean : 0);
    const reach = WINDOWS[k]! * cell; // in bounds by the loop
    const low = Math.max(-limit, middle - reach);
    const high = Math.min(limit, middle + reach);
    if (high <= low) continue;
    const d = bracketedRoot(f, low, high, ROOT_TOLERANCE);
    if (d === undefined) continue;
    const twistRad = f(d);
    if (Math.abs(twistRad) <= JUMP_RAD) return { s: (c + d) / 2, t: (c - d) / 2, twistRad };
  }
  if (limit < SHORT_FAN_CELLS * cell) return shortFan(c, limit, f);
  return { s: s0, t: t0, twistRad: twist(s0, t0) };
}

/** A fan shorter than this at a panel's end slips through the grid. */
const SHORT_FAN_CELLS = 3;

/** No root across the whole corner of the parameters: the rulings there come from the end point of one line. */
function shortFan(c: number, limit: number, f: (d: number) => number): Ruling {
  // at the start d = −c is s = 0; at the end d = 2−c is s = 1
  const isP = c < 1 === Math.abs(f(-limit)) < Math.abs(f(limit));
  const d = isP === c < 1 ? -limit : limit;
  return { s: (c + d) / 2, t: (c - d) / 2, twistRad: 0, fan: isP ? 'P' : 'Q' };
}

/** A change of sign that leaves this much is the jump from +π to −π, not a root. */
const JUMP_RAD = 0.2;

/** Rulings that would cross the one before are brought level with it, and their twist taken anew. */
function keepMonotone(rulings: readonly Ruling[], twist: Twist): Ruling[] {
  let s = 0;
  let t = 0;
  return rulings.map((ruling) => {
    if (ruling.s >= s && ruling.t >= t) {
      s = ruling.s;
      t = ruling.t;
      return ruling;
    }
    s = Math.max(s, ruling.s);
    t = Math.max(t, ruling.t);
    const level = { s, t, twistRad: ruling.fan ? 0 : twist(s, t) };
    return ruling.fan ? { ...level, fan: ruling.fan } : level;
  });
}
