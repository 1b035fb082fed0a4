/**
 * Finds the rulings of the developable surface between two lines.
 *
 * A developable surface is one that a flat sheet can be bent to; through each of its points runs a straight line that
 * lies in it altogether, a ruling. Here each ruling runs from a point of the line P to a point of the line Q.
 * - s is the parameter along P, t along Q, each from 0 at the line's fore end to 1 at its after end. A ruling is a pair
 *   (s, t), and the rulings of a panel, in order, are a path over the square of all s and t from (0, 0) to (1, 1), on
 *   which neither s nor t ever falls: rulings do not cross.
 * - sum is s + t, how far aft a ruling lies; lead is s − t, how far its end on P is ahead of that on Q. Rulings are
 *   sought at given sums: then the lead is the one unknown.
 * - twist is the angle between the two tangent planes at a ruling's ends, each spanned by the line there and the
 *   ruling; its sign says which way. On a developable it is nought: the sheet touches both ends in one plane.
 * - a fan is a stretch of rulings that share one point of one line, as where a panel comes to a point.
 *
 * Method (derived here): a search over a grid of s and t says about where the rulings run (ruling-path.ts). Then each
 * is refined on the lines themselves: the path is crossed just once at every sum, so the lead is sought near to it at
 * which the twist is nought. Where no sheet could be bent to the lines the leads jump about: one that would make a
 * ruling cross the one before is not taken, and the path's own is kept, with its twist.
 *
 * Accuracy: s and t to 1e-9 of the rulings of the curves given; where no ruling without twist is near, the path's own.
 * Cost: about 10 twists a ruling beside those of the path.
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

/**
 * `grids`: into how many cells each line is divided for each search of the path, coarsest first; `rulingCount`: how
 * many intervals of the sum there are from end to end.
 */
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

/**
 * Twist, rad (0.03°), by which a ruling that was found is told from one that was not: those found have a millionth of
 * it.
 */
const LEFT_RAD = 5e-4;

type Place = { readonly s: number; readonly t: number };
const sumOf = ({ s, t }: Place): number => s + t;
const leadOf = ({ s, t }: Place): number => s - t;
type Lead = { readonly sum: number; readonly lead: number };
const placeAt = ({ sum, lead }: Lead): Place => ({ s: (sum + lead) / 2, t: (sum - lead) / 2 });
const rulingAt = ({ sum, lead }: Lead, twistRad: number): Ruling => ({
  s: (sum + lead) / 2,
  t: (sum - lead) / 2,
  twistRad,
});
/** The most that the lead can be either way where s and t stay between 0 and 1. */
const mostLead = (sum: number): number => Math.min(sum, 2 - sum);

/** Two values of a parameter or of the sum nearer than this are one: some 5e-6 mm on a boat. */
const SAME = 1e-9;

function rulingsAlong(path: Path, P: EdgeCurve, Q: EdgeCurve, options: RulingOptions): Ruling[] {
  const cell = 1 / at(options.grids, -1);
  const last: LastRead = { s: NaN, t: NaN, ends: undefined };
  const twist = twistOn(P, Q, last);
  const corners = refineFanEnds(path, twist, cell);
  const rulings: Ruling[] = [];
  let offPath = 0; // how far the lead of the last ruling lay from the path's
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
      : (follow(rulings, guess, twist, cell, run) ?? refine({ guess, offPath, twist, cell }));
    const ruling = withEnds(onwards(rulings, guess, found, twist), last);
    if (skipped) rulings.push(withEnds(between(rulings, ruling, skipped, twist, cell), last));
    skipped = undefined;
    offPath = leadOf(ruling) - leadOf(guess);
    rulings.push(ruling);
  }
  return withKnuckles(keepMonotone(rulings, twist), P, Q);
}

/**
 * A ruling is put in at every knuckle of a line that has none: else the corner between two rulings would be cut off.
 */
function withKnuckles(rulings: Ruling[], P: EdgeCurve, Q: EdgeCurve): Ruling[] {
  const all = rulings;
  for (const [own, knuckles] of [
    ['s', P.knuckles],
    ['t', Q.knuckles],
  ] as const)
    for (const u of knuckles) {
      const k = all.findIndex((ruling) => ruling[own] > u - SAME);
      const [a, b] = [all[k - 1], all[k]];
      if (a && b && b[own] > u + SAME) all.splice(k, 0, knuckleRuling(own, u, [a, b], P, Q));
    }
  return all;
}

/**
 * The ruling from a knuckle: to where, between the rulings beside it, the twist with the line's direction before the
 * knuckle and the twist with that after it are equal and opposite.
 */
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

/** How fast the twist changes with the lead where the last ruling was found, rad; nought before there is one. */
type Run = { slope: number };

/** With so little twist a ruling is found: its lead is right to some 1e-9. */
const ROOT_RAD = 1e-9;
/**
 * Where the last rulings point is trusted to this many cells: as wide as the window that is otherwise searched first.
 */
const FOLLOW_CELLS = 0.3;
/** Steps towards no twist; three mostly do, and what takes more is better searched for. */
const FOLLOW_STEPS = 5;
/** The first step to either side, in cells, where it is not known yet how the twist changes. */
const FIRST_STEP_CELLS = 0.01;
/** Rulings keep this near to the path, in cells: the path is right to a cell or two of its own grid. */
const STRAY_CELLS = 6;
/** Twist, rad, for a lead of the lines' whole length: a panel this nearly plane has no rulings of its own. */
const PLANE_SLOPE = 1e-3;

/**
 * The ruling to which those before it lead: from where the last two point, by secant steps until the twist is nought;
 * undefined when it is not there within a few. Of `found` every other one was found, the last among them; those between
 * were set.
 */
function follow(found: readonly Ruling[], guess: Corner, twist: Twist, cell: number, run: Run): Ruling | undefined {
  const last = found[found.length - 1];
  const before = found[found.length - 3];
  if (!last || !before || !isFound(last) || !isFound(before)) return undefined;
  const sum = sumOf(guess);
  const limit = mostLead(sum);
  const share = (sum - sumOf(last)) / (sumOf(last) - sumOf(before));
  const start = leadOf(last) + (leadOf(last) - leadOf(before)) * share + bowAhead(found, share);
  if (Math.abs(start - leadOf(guess)) > STRAY_CELLS * cell || Math.abs(start) >= limit) return undefined;
  let lead = start;
  const twistBy = twistByLead(twist, sum);
  let left = twistBy(lead);
  for (let step = 0; step < FOLLOW_STEPS && (Math.abs(left) > ROOT_RAD || run.slope === 0); step++) {
    const next = run.slope === 0 ? lead + FIRST_STEP_CELLS * cell : lead - left / run.slope;
    if (!(Math.abs(next - start) < FOLLOW_CELLS * cell && Math.abs(next) < limit)) return undefined;
    const leftThere = twistBy(next);
    run.slope = (leftThere - left) / (next - lead);
    // in a plane no ruling has any twist: there the path alone says where they run
    if (Math.abs(run.slope) < PLANE_SLOPE) return undefined;
    lead = next;
    left = leftThere;
  }
  return Math.abs(left) > ROOT_RAD ? undefined : rulingAt({ sum, lead }, left);
}

const isFound = ({ fan, twistRad }: Ruling): boolean => !fan && Math.abs(twistRad) <= ROOT_RAD;

/** The sums of three rulings are evenly spaced when they are so to this share of the space between them. */
const EVEN = 1e-6;

/** How far the lead leaves the straight through the last two found: as the last left that through the two before it. */
function bowAhead(found: readonly Ruling[], share: number): number {
  const first = found[found.length - 5];
  if (!first || first.fan || Math.abs(share - 1) > EVEN) return 0;
  const second = found[found.length - 3]!; // there are five
  const third = found[found.length - 1]!;
  return leadOf(third) - 2 * leadOf(second) + leadOf(first);
}

/** A ruling set between two found ones may keep this much twist: 0.0006°. */
const SET_BETWEEN_RAD = 1e-5;

/** The ruling between the last found one and the next, at the path's sum: where those about it point, or by search. */
function between(found: readonly Ruling[], next: Ruling, guess: Corner, twist: Twist, cell: number): Ruling {
  if (guess.fan) return { ...guess, twistRad: 0 };
  const last = found[found.length - 1]!; // the caller has found one
  const sum = sumOf(guess);
  const share = (sum - sumOf(last)) / (sumOf(next) - sumOf(last));
  const straight = leadOf(last) + share * (leadOf(next) - leadOf(last));
  const set = placeAt({ sum, lead: straight + bowBetween(found, next, share) });
  const isInside = set.s >= last.s && set.t >= last.t && set.s <= next.s && set.t <= next.t;
  const twistRad = isInside && !last.fan && !next.fan ? twist(set.s, set.t) : Infinity;
  if (Math.abs(twistRad) < SET_BETWEEN_RAD) return { s: set.s, t: set.t, twistRad };
  return refine({ guess, offPath: straight - leadOf(guess), twist, cell });
}

/** How far the lead bows off the straight between the last two found: by the parabola through the last three. */
function bowBetween(found: readonly Ruling[], next: Ruling, share: number): number {
  const last = found[found.length - 1]!; // as above
  const before = found[found.length - 3];
  if (!before || before.fan || last.fan) return 0;
  const [first, second, third] = [sumOf(before), sumOf(last), sumOf(next)];
  if (second - first < SAME || third - second < SAME) return 0;
  const slopeBefore = (leadOf(last) - leadOf(before)) / (second - first);
  const slopeAfter = (leadOf(next) - leadOf(last)) / (third - second);
  return (-share * (1 - share) * (third - second) ** 2 * (slopeAfter - slopeBefore)) / (third - first);
}

/** Where the twist was last taken: mostly that is the ruling found, and its ends need not be read again. */
type LastRead = { s: number; t: number; ends: Ends | undefined };

const withEnds = (ruling: Ruling, last: LastRead): Ruling =>
  last.ends && last.s === ruling.s && last.t === ruling.t ? { ...ruling, ends: last.ends } : ruling;

/** The twist, rad, of the ruling at s and t. Two figures, not a place: it is taken some ten times for every ruling. */
type Twist = (s: number, t: number) => number;

/** The same by the lead, for a given sum. */
const twistByLead =
  (twist: Twist, sum: number) =>
  (lead: number): number =>
    twist((sum + lead) / 2, (sum - lead) / 2);

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

/** Good to a tenth of what two places that are one may differ by, and more. */
const FAN_END_TOLERANCE = 1e-12;

/** Moves the place where a fan begins or ends to where, along the fan, the ruling has no twist. */
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
      const root = bracketedRoot(f, from, to, FAN_END_TOLERANCE);
      if (root !== undefined) return fan === 'P' ? { ...corner, t: root } : { ...corner, s: root };
    }
    return corner;
  });
}

/** The sums at which rulings are set: evenly spaced, and at every end of a fan. */
function parameterSums(path: readonly Corner[], count: number): number[] {
  const even = Array.from({ length: count + 1 }, (_, k) => (2 * k) / count);
  const turns = path.flatMap((corner, k) => {
    const next = path[k + 1];
    return next && (corner.fan === undefined) !== (next.fan === undefined) ? [sumOf(corner)] : [];
  });
  const all = [...even, ...turns].sort((a, b) => a - b);
  return all.filter((sum, k) => k === 0 || sum - all[k - 1]! > SAME); // k > 0: bounded
}

/** Reads the path at rising sums, going on from where the last was found. */
function pathReader(path: readonly Corner[]): (sum: number) => Corner {
  let k = 1;
  return (sum) => {
    while (k < path.length - 1 && sumOf(path[k]!) < sum) k++; // bounded by the loop
    return onStretch([path[k - 1]!, path[k]!], sum);
  };
}

function onStretch([a, b]: readonly [Corner, Corner], sum: number): Corner {
  const span = sumOf(b) - sumOf(a);
  const w = span > 0 ? Math.min(1, Math.max(0, (sum - sumOf(a)) / span)) : 0;
  const point = { s: a.s + w * (b.s - a.s), t: a.t + w * (b.t - a.t) };
  const isInside = b.fan !== undefined && w > 0;
  return isInside ? { ...point, fan: b.fan } : point;
}

/** Widening windows, in cells of the finest grid, in which the lead without twist is looked for. */
const WINDOWS = [0.3, 1.5, 4, 8];
/** Good to 1e-9 of a line: some 5e-6 mm. */
const ROOT_TOLERANCE = 1e-9;

type Search = {
  readonly guess: Place;
  /** How far the ruling before lay from the path: the next will lie about as far, so a narrow window finds it. */
  readonly offPath: number;
  readonly twist: Twist;
  readonly cell: number;
};

function refine({ guess, offPath, twist, cell }: Search): Ruling {
  const sum = sumOf(guess);
  const limit = mostLead(sum);
  const twistBy = twistByLead(twist, sum);
  for (let k = 0; k < WINDOWS.length; k++) {
    const middle = leadOf(guess) + (k === 0 ? offPath : 0);
    const reach = WINDOWS[k]! * cell; // in bounds by the loop
    const low = Math.max(-limit, middle - reach);
    const high = Math.min(limit, middle + reach);
    if (high <= low) continue;
    const lead = bracketedRoot(twistBy, low, high, ROOT_TOLERANCE);
    if (lead === undefined) continue;
    const twistRad = twistBy(lead);
    if (Math.abs(twistRad) <= JUMP_RAD) return rulingAt({ sum, lead }, twistRad);
  }
  if (limit < SHORT_FAN_CELLS * cell) return shortFan(sum, twistBy);
  return { s: guess.s, t: guess.t, twistRad: twist(guess.s, guess.t) };
}

/** A fan shorter than this at a panel's end slips through the grid. */
const SHORT_FAN_CELLS = 3;

/** No ruling without twist in the whole corner of the square: those there fan out from the end point of one line. */
function shortFan(sum: number, twistBy: (lead: number) => number): Ruling {
  const limit = mostLead(sum);
  const isFore = sum < 1;
  // at the fore corner the least lead is s = 0, in a fan of P; at the after corner the most is s = 1
  const isLeastNearer = Math.abs(twistBy(-limit)) < Math.abs(twistBy(limit));
  const fan = isFore === isLeastNearer ? 'P' : 'Q';
  const lead = (fan === 'P') === isFore ? -limit : limit;
  return { ...rulingAt({ sum, lead }, 0), fan };
}

/** A change of sign that leaves this much twist is the jump of an angle from +π to −π, not a passing through nought. */
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
