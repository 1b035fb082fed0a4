/**
 * A panel's flat outline with its edges set back square to themselves, each ruling keeping a point on either.
 *
 * Method (derived here): an edge is taken apart at its corners. Each piece is moved in square to itself, and
 * neighbouring pieces are cut off or run on to where they cross; so too the two edges where a panel ends in a point.
 * Corners at an end that has a length slide along it. What of an edge lies beyond such a place is drawn together in
 * it.
 */
import { at, crossLines, distance2, type Vec2 } from '../../geometry';

/** A panel's two edges on the flat, a point for each ruling: p its lower or inner edge, q its upper or outer one. */
export type Flat = { readonly p: readonly Vec2[]; readonly q: readonly Vec2[] };

/**
 * How far an edge stands back at each ruling: as it comes there from forward, and as it goes on aft. Mostly the same.
 */
export type Setbacks = {
  /** The edge's parameter at each ruling: where it stays, the edge stands still, in a fan. */
  readonly along: readonly number[];
  /** Where it may have a corner, by its parameter. */
  readonly knuckles: readonly number[];
  readonly before: readonly number[];
  readonly after: readonly number[];
  /** At its fore and its after end. */
  readonly isRounded: readonly [boolean, boolean];
};

/** Points nearer than this on the flat are one. */
export const STILL_MM = 1e-3;
/** The direction of an edge is read over this length: in a fan moved points lie hundredths apart, any way about. */
const RUN_MM = 3;
/** Where an edge ends sooner, over what there is, but over no less than this. */
const LEAST_RUN_MM = 1;
/** No corner slides along the panel's end further than this share of it: the two corners would pass each other. */
const MOST_OF_END = 0.4;
/** At a rounded chine there is but one corner to slide. */
const MOST_OF_ROUNDED_END = 0.95;
/**
 * Sine of the angle between an end and an edge, at least: along an end that lies nearly along it a corner would run
 * off.
 */
const LEAST_SINE = 0.3;
/** An edge that turns more than this (6°) at one point has a corner there. */
const CORNER_RAD = 0.1;
/**
 * Two pieces cross within so many points of the corner between them: more than a wide setback passes at a sharp one.
 */
const CORNER_POINTS = 60;
/** Each is first carried on straight past the corner by so many setbacks: enough for a corner of 20°. */
const RUN_ON = 6;
/** At the tip of a panel a second crossing is looked for among so many points past the first. */
const PAST_POINTS = 12;
/** An end of fewer setbacks than this may be used up by those of its two edges. */
const SHORT_END = 4;

/** @param isRounded the edges stand back so far that they may cross anywhere */
export function setEdgesBack(
  flat: Flat,
  { p: ofP, q: ofQ }: { readonly p: Setbacks; readonly q: Setbacks },
  isRounded: boolean,
): Flat {
  const p = setBack(flat.p, flat.q, ofP, 1);
  const q = setBack(flat.q, flat.p, ofQ, -1);
  const most = Math.max(...[ofP, ofQ].flatMap(({ before, after }) => [...before, ...after].map(Math.abs)));
  const reach = isRounded ? p.length : CORNER_POINTS;
  const lengths = ([0, -1] as const).map((end) => distance2(at(flat.p, end), at(flat.q, end)));
  if (most > 0)
    lengths.forEach((length, i) => length < STILL_MM && closePoint(p, q, i === 0 ? 0 : -1, { most, reach }));
  // a rounding may take the whole of an end, and a short one is taken by less
  const isShort = lengths.some((length) => length >= STILL_MM && length < SHORT_END * most);
  const closed = isRounded || isShort ? uncrossed({ p, q }) : { p, q };
  return untangled(closed, flat);
}

/** An edge set back. `side` is 1 where inward is to the left of its run, -1 to the right. */
function setBack(edge: readonly Vec2[], opposite: readonly Vec2[], setbacks: Setbacks, side: 1 | -1): Vec2[] {
  const { before, after } = setbacks;
  if (before.every((setback) => setback === 0) && after.every((setback) => setback === 0)) return [...edge];
  const last = edge.length - 1;
  const stands = (a: number, b: number) => Math.abs(at(setbacks.along, a) - at(setbacks.along, b)) < STANDING;
  // a fan at an end is one point of the edge, however thick sheet spreads it
  const [fore, aft] = [standingAt(stands, 0, 1, last), standingAt(stands, last, -1, last)];
  const [first, end] = fore < aft ? [fore, aft] : [0, last];
  const corners = cornersOf(edge, setbacks.along, setbacks.knuckles).filter(({ from, to }) => from > first && to < end);
  const starts = [first, ...corners.map(({ to }) => to)];
  const pieces = starts.map((from, i) =>
    movedPiece(
      { edge, opposite, from, to: corners[i]?.from ?? end, isFirst: i === 0, isLast: i === corners.length, side },
      setbacks,
    ),
  );
  const moved = edge.map((p) => p);
  pieces.forEach((piece, i) => piece.forEach((p, k) => (moved[at(starts, i) + k] = p)));
  moved.fill(at(moved, first), 0, first);
  moved.fill(at(moved, end), end + 1);
  corners.forEach(({ from, to }, i) => {
    const most = Math.max(Math.abs(at(before, from)), Math.abs(at(after, to)));
    const [one, other] = [at(pieces, i), at(pieces, i + 1)];
    const crossing = crossingOf([...one].reverse(), other, { most, reach: CORNER_POINTS });
    const corner = crossing?.at ?? at(one, -1);
    const [cutBefore, cutAfter] = crossing ? [crossing.one, crossing.other] : [0, 0];
    for (let k = from - cutBefore; k <= to + cutAfter; k++) moved[k] = corner;
  });
  return moved;
}

/** By the edge's parameter: some thousandths of a millimetre. */
const STANDING = 1e-6;

/** For each ruling the first and the last of those that stand with it at one point of the edge, in a fan. */
function groupsOf(along: readonly number[]): (readonly [number, number])[] {
  const groups: (readonly [number, number])[] = [];
  for (let from = 0; from < along.length; from = groups.length) {
    let to = from;
    while (to < along.length - 1 && Math.abs(at(along, to + 1) - at(along, from)) < STANDING) to++;
    for (let k = from; k <= to; k++) groups.push([from, to]);
  }
  return groups;
}

/** How far an edge stands still from one of its ends: the last point there. */
function standingAt(stands: (a: number, b: number) => boolean, end: number, way: 1 | -1, last: number): number {
  let k = end;
  while (k + way >= 0 && k + way <= last && stands(end, k + way)) k += way;
  return k;
}

/** Where an edge has a corner at one of its knuckles: the first and the last ruling that stands there. */
export function cornersOf(
  edge: readonly Vec2[],
  along: readonly number[],
  knuckles: readonly number[],
): { readonly from: number; readonly to: number }[] {
  return knuckles.flatMap((knuckle) => {
    const from = along.findIndex((u) => Math.abs(u - knuckle) < STANDING);
    const to = along.findLastIndex((u) => Math.abs(u - knuckle) < STANDING);
    const [into, out] = from > 0 && to < along.length - 1 ? [runFrom(edge, from, -1), runFrom(edge, to, 1)] : [];
    if (!into || !out) return [];
    const turn = Math.atan2(into[0] * out[1] - into[1] * out[0], into[0] * out[0] + into[1] * out[1]);
    return Math.abs(turn) > CORNER_RAD ? [{ from, to }] : [];
  });
}

/** The direction, aft, of the edge from point k on one way, over as long a run as has one. */
function runFrom(edge: readonly Vec2[], k: number, way: 1 | -1): Vec2 | undefined {
  let i = k + way;
  while (i + way >= 0 && i + way < edge.length && distance2(at(edge, k), at(edge, i)) < RUN_MM) i += way;
  const length = distance2(at(edge, k), at(edge, i));
  return length < LEAST_RUN_MM
    ? undefined
    : [(way * (at(edge, i)[0] - at(edge, k)[0])) / length, (way * (at(edge, i)[1] - at(edge, k)[1])) / length];
}

type Piece = {
  readonly edge: readonly Vec2[];
  readonly opposite: readonly Vec2[];
  readonly from: number;
  readonly to: number;
  readonly isFirst: boolean;
  readonly isLast: boolean;
  readonly side: 1 | -1;
};

/** One piece moved in; at the panel's own ends it slides along them, and what would pass them stops there. */
function movedPiece(
  { edge, opposite, from, to, isFirst, isLast, side }: Piece,
  { along, before, after, isRounded }: Setbacks,
): Vec2[] {
  const piece = edge.slice(from, to + 1);
  const last = piece.length - 1;
  const setbackAt = (k: number) => (k === last ? at(before, to) : at(after, from + k));
  const directions = piece.map((_, k) => directionAt(piece, k));
  const groups = groupsOf(along.slice(from, to + 1));
  const square = (k: number): Vec2 => {
    // a fan within the piece is one point of it, set back as its first and its last ruling are in the mean
    const [i, j] = at(groups, k);
    const middle = (i + j) >> 1;
    const [[x, y], [c, s]] = [at(piece, middle), at(directions, middle)];
    const setback = (setbackAt(i) + setbackAt(j)) / 2;
    return [x - side * setback * s, y + side * setback * c];
  };
  const endAt = (k: number, i: 0 | 1): Vec2 => {
    const corner = i === 0 ? 0 : edge.length - 1;
    const isEnd = (i === 0 ? isFirst : isLast) && distance2(at(edge, corner), at(opposite, corner)) >= STILL_MM;
    return isEnd
      ? slid(
          [at(edge, corner), at(opposite, corner)],
          at(directions, k),
          setbackAt(k),
          isRounded[i] ? MOST_OF_ROUNDED_END : MOST_OF_END,
        )
      : square(k);
  };
  const ends = [endAt(0, 0), endAt(last, 1)] as const;
  const isPast = (p: Vec2, k: 0 | -1) => {
    const [a, b] = [at(edge, k), at(opposite, k)];
    const turn = (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
    return turn * (k === 0 ? 1 : -1) * side > 0;
  };
  const moved = piece.map((_, k): Vec2 => {
    if (k === 0 || k === last) return ends[k === 0 ? 0 : 1];
    const p = square(k);
    return isFirst && isPast(p, 0) ? ends[0] : isLast && isPast(p, -1) ? ends[1] : p;
  });
  // in a hollow tighter than the setback the edge would run back over itself: from the middle outward it stops instead
  const middle = Math.floor(piece.length / 2);
  const runsOn = (a: Vec2, b: Vec2, [c, s]: Vec2, way: 1 | -1) => way * (c * (b[0] - a[0]) + s * (b[1] - a[1])) >= 0;
  for (let k = middle + 1; k < last; k++)
    if (!runsOn(at(moved, k - 1), at(moved, k), at(directions, k), 1)) moved[k] = at(moved, k - 1);
  for (let k = middle - 1; k > 0; k--)
    if (!runsOn(at(moved, k + 1), at(moved, k), at(directions, k), -1)) moved[k] = at(moved, k + 1);
  // nor may its last points pass where the ends have slid to
  const isWithin = (k: number, end: 0 | 1) =>
    runsOn(ends[end], at(moved, k), at(directions, end === 0 ? 0 : last), end === 0 ? 1 : -1);
  return moved.map((p, k) => (k < middle && !isWithin(k, 0) ? ends[0] : k > middle && !isWithin(k, 1) ? ends[1] : p));
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

/** A corner moved along the panel's end, so far that it lies `setback` square in from the edge. */
function slid([corner, opposite]: readonly [Vec2, Vec2], [c, s]: Vec2, setback: number, most: number): Vec2 {
  const [dx, dy] = [opposite[0] - corner[0], opposite[1] - corner[1]];
  const across = Math.hypot(dx, dy);
  const sine = Math.max(LEAST_SINE, Math.abs(c * dy - s * dx) / across);
  const share = Math.min(most, setback / sine / across);
  return [corner[0] + share * dx, corner[1] + share * dy];
}

/** The point in which both edges end, where they cross once set back. */
function closePoint(p: Vec2[], q: Vec2[], end: 0 | -1, limits: Limits): void {
  const last = p.length - 1;
  const [one, other] = end === 0 ? [p, q] : [[...p].reverse(), [...q].reverse()];
  // edges that cross twice at a tip are apart only from the further crossing on
  const crossing = crossingOf(one, other, { ...limits, past: PAST_POINTS });
  if (!crossing) return;
  const own = (k: number) => (end === 0 ? k : last - k);
  for (let k = 0; k <= crossing.one; k++) p[own(k)] = crossing.at;
  for (let k = 0; k <= crossing.other; k++) q[own(k)] = crossing.at;
}

/** `past`: so many points beyond the first crossing a further one counts more. */
type Limits = { readonly most: number; readonly reach: number; readonly past?: number };

/** Where two runs cross that come from one corner, each first carried on past it: after how many points of each. */
function crossingOf(one: readonly Vec2[], other: readonly Vec2[], { most, reach, past = 0 }: Limits) {
  const [a, b] = [carriedOn(one, RUN_ON * most), carriedOn(other, RUN_ON * most)];
  if (!a || !b) return undefined;
  const [countA, countB] = [Math.min(reach, a.length - 1), Math.min(reach, b.length - 1)];
  let best: { readonly at: Vec2; readonly one: number; readonly other: number } | undefined;
  let end = Math.max(countA, countB);
  for (let far = 0; far < end; far++)
    for (let near = 0; near <= far; near++)
      for (const [i, j] of [
        [far, near],
        [near, far],
      ] as const) {
        if (i >= countA || j >= countB) continue;
        const found = crossLines(at(a, i).at, at(a, i + 1).at, at(b, j).at, at(b, j + 1).at);
        if (found && found.w >= 0 && found.w <= 1 && found.v >= 0 && found.v <= 1) {
          best = { at: found.point, one: at(a, i).last, other: at(b, j).last };
          if (past === 0) return best;
          end = Math.min(end, far + past + 1);
        }
      }
  return best;
}

/** A place of a run, and the last of its points that lie there. */
type Stop = { readonly at: Vec2; readonly last: number };

/** A run's places with a straight before them, the way that it comes from; points in one place are one. */
function carriedOn(run: readonly Vec2[], by: number): Stop[] | undefined {
  const direction = runFrom(run, 0, 1);
  if (!direction) return undefined;
  const [x, y] = at(run, 0);
  const stops: Stop[] = [];
  run.forEach((p, k) => {
    const before = stops[stops.length - 1];
    if (before && distance2(before.at, p) < STILL_MM) stops[stops.length - 1] = { at: before.at, last: k };
    else stops.push({ at: p, last: k });
  });
  return [{ at: [x - by * direction[0], y - by * direction[1]], last: at(stops, 0).last }, ...stops];
}

/** Near the point of a panel the two edges set back pass each other: it ends where they meet. */
function untangled({ p, q }: Flat, whole: Flat): Flat {
  const isOpen = (k: number) => {
    const [a, b, c, d] = [at(p, k), at(q, k), at(whole.p, k), at(whole.q, k)];
    // drawn together in one point it is neither
    return distance2(a, b) < STILL_MM || (b[0] - a[0]) * (d[0] - c[0]) + (b[1] - a[1]) * (d[1] - c[1]) > 0;
  };
  const middle = Math.floor(p.length / 2);
  const shut = p.map((_, k) => k).filter((k) => !isOpen(k));
  const from = Math.min(middle, Math.max(-1, ...shut.filter((k) => k < middle)) + 1);
  const to = Math.max(middle, Math.min(p.length, ...shut.filter((k) => k >= middle)) - 1);
  const meet = (k: number): Vec2 => [(at(p, k)[0] + at(q, k)[0]) / 2, (at(p, k)[1] + at(q, k)[1]) / 2];
  const trim = (edge: readonly Vec2[]) => edge.map((point, k) => (k < from ? meet(from) : k > to ? meet(to) : point));
  return { p: trim(p), q: trim(q) };
}

/**
 * A wide setback takes the whole of a pointed panel's end: from its middle outward it ends where the edges first
 * cross.
 */
function uncrossed({ p, q }: Flat): Flat {
  const fore = firstCrossing(p, q, -1);
  const aft = firstCrossing(p, q, 1);
  const trim = (edge: readonly Vec2[], of: 'i' | 'j') =>
    edge.map((point, k) => (fore && k < fore[of] ? fore.at : aft && k > aft[of] ? aft.at : point));
  return { p: trim(p, 'i'), q: trim(q, 'j') };
}

/** Whether what lies from a to b has anything in common with what lies from c to d. */
const areNear = (a: number, b: number, c: number, d: number): boolean =>
  Math.max(a, b) >= Math.min(c, d) && Math.max(c, d) >= Math.min(a, b);

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
        const [a, b, c, d] = [at(p, i), at(p, i + way), at(q, j), at(q, j + way)];
        if (!areNear(a[0], b[0], c[0], d[0]) || !areNear(a[1], b[1], c[1], d[1])) continue;
        const found = crossLines(a, b, c, d);
        if (found && found.w >= 0 && found.w <= 1 && found.v >= 0 && found.v <= 1) return { i, j, at: found.point };
      }
    }
  }
  return undefined;
}
