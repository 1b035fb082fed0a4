/**
 * The cheapest path of rulings between two lines, coarse to fine.
 *
 * Method (derived here): both lines are sampled; over the (s, t) grid the monotone path from (0,0) to (1,1) is sought
 * that minimises the integral of twist² along it (dynamic programming; moves +s, +t, both; a move counts the mean
 * length it covers on the two lines, so all routes have the same total). At the ends, and at a knuckle, the rulings
 * may fan out from one point: an "apex" sample is put in there, along which moving the other line is free, since a
 * fan is a cone. Leaving or entering a fan where twist ≠ 0 makes a crease, which costs twist² times the ruling's
 * length; without that the path hugs the border and folds the panel. The first grid is searched whole, each finer one
 * in a band about the path of the one before. Cost: with grids of 24, 48 and 288 some 1,300 twists, 10,000 with the
 * last, where the finest grid whole has 83,000.
 */
import { distance3, type Vec3 } from '../geometry';
import type { EdgeCurve } from './edge-curve';
import { twistOf } from './twist';

/** A corner of the path over (s, t); `fan` names the apex along the stretch that ends here. */
export type Corner = { readonly s: number; readonly t: number; readonly fan?: 'P' | 'Q' };

/** The path, and the greatest twist on it outside fans. */
type Found = { readonly corners: Corner[]; readonly twistRad: number };

type Sample = {
  readonly t: number;
  readonly position: Vec3;
  readonly first: Vec3;
  readonly isApex: boolean;
  readonly isKnuckle: boolean;
};

/** Of row i the columns lo[i] to hi[i]; the first of them is kept at start[i]. */
type Band = { readonly lo: Int32Array; readonly hi: Int32Array; readonly start: Int32Array; readonly size: number };

/** How far a finer grid is searched to both sides of the coarser one's path, in cells of the coarser one. */
const REACH_CELLS = 2;

/**
 * 0.6°: a path through a developable panel strays from its rulings by half a cell of the second grid, and so by less.
 */
const NEAR_ENOUGH_RAD = 0.01;

/** The corners of the path, to a cell of `cell` of the lines; `isFinest` where the last grid was searched. */
export type Path = { readonly corners: readonly Corner[]; readonly cell: number; readonly isFinest: boolean };

/**
 * @param grids cells a line of each search, coarsest first @param enoughRad a twist of the path with which it may
 * stop early
 */
export function cheapestPath(
  P: EdgeCurve,
  Q: EdgeCurve,
  grids: readonly number[],
  enoughRad: number = NEAR_ENOUGH_RAD,
): Path {
  let path: Corner[] = [];
  let coarser = 0;
  // the first grid mostly divides the second; the last is sampled only if it is wanted
  const second = grids[1] ?? grids[0] ?? 1;
  const [twoP, twoQ] = [sampleEdge(P, second), sampleEdge(Q, second)];
  for (const count of grids) {
    const isPart = second % count === 0;
    const [ps, qs] = isPart
      ? [thinned(twoP, count), thinned(twoQ, count)]
      : [sampleEdge(P, count), sampleEdge(Q, count)];
    const found = searchBand(
      ps,
      qs,
      path.length === 0 ? wholeGrid(ps, qs) : bandAlong(path, ps, qs, REACH_CELLS / coarser),
    );
    path = found.corners;
    coarser = count;
    // a path this near to no twist shows where the roots lie well enough
    if (count !== grids[0] && found.twistRad < enoughRad) break;
  }
  return { corners: path, cell: 1 / coarser, isFinest: coarser === grids[grids.length - 1] };
}

/** Even samples with an apex at each end; at a knuckle the tangent before, the apex, the tangent after. */
function sampleEdge(edge: EdgeCurve, count: number): Sample[] {
  const knuckles = new Set(edge.knuckles);
  const ts = new Set([...Array.from({ length: count + 1 }, (_, i) => i / count), ...knuckles]);
  const samples: Sample[] = [];
  for (const t of [...ts].sort((a, b) => a - b)) {
    const { position, first } = edge.at(t, 1);
    const after = { t, position, first, isApex: false, isKnuckle: knuckles.has(t) };
    if (t === 0) samples.push({ ...after, isApex: true }, after);
    else if (t === 1) samples.push(after, { ...after, isApex: true });
    else if (knuckles.has(t)) samples.push({ ...after, ...edge.at(t, -1) }, { ...after, isApex: true }, after);
    else samples.push(after);
  }
  return samples;
}

/** Of a finer sampling the samples of a coarser one: every so many, and the knuckles with their apexes. */
const thinned = (samples: readonly Sample[], count: number): Sample[] =>
  samples.filter(({ t, isKnuckle }) => isKnuckle || Math.abs(t * count - Math.round(t * count)) < 1e-9);

function bandOf(lo: Int32Array, hi: Int32Array): Band {
  const start = new Int32Array(lo.length);
  let size = 0;
  for (let i = 0; i < lo.length; i++) {
    start[i] = size;
    size += hi[i]! - lo[i]! + 1; // in bounds by the loop
  }
  return { lo, hi, start, size };
}

const wholeGrid = (ps: readonly Sample[], qs: readonly Sample[]): Band =>
  bandOf(new Int32Array(ps.length), new Int32Array(ps.length).fill(qs.length - 1));

/** The columns within `reach` of where the path passes within `reach` of the row. */
function bandAlong(path: readonly Corner[], ps: readonly Sample[], qs: readonly Sample[], reach: number): Band {
  const lo = new Int32Array(ps.length);
  const hi = new Int32Array(ps.length);
  let [from, to, low, high] = [0, 0, 0, 0];
  for (let i = 0; i < ps.length; i++) {
    const s = ps[i]!.t; // in bounds by the loop, as all below
    // both ends of the stretch only go forward, as the path is monotone
    while (from < path.length - 2 && path[from + 1]!.s < s - reach) from++;
    while (to < path.length - 1 && path[to]!.s < s + reach) to++;
    const [least, most] = [readT(path, from, s - reach) - reach, readT(path, Math.max(to - 1, 0), s + reach) + reach];
    while (low < qs.length - 1 && qs[low]!.t < least) low++;
    while (high < qs.length - 1 && qs[high + 1]!.t <= most) high++;
    lo[i] = low;
    hi[i] = Math.max(high, low);
  }
  lo[0] = 0;
  hi[hi.length - 1] = qs.length - 1;
  return bandOf(lo, hi);
}

/** t of the path at s on the stretch from corner k on; at the ends of the stretch outside it. */
function readT(path: readonly Corner[], k: number, s: number): number {
  const a = path[k]!; // in bounds by the callers
  const b = path[k + 1] ?? a;
  if (s <= a.s) return a.t;
  return s >= b.s ? b.t : a.t + ((s - a.s) / (b.s - a.s)) * (b.t - a.t);
}

function searchBand(ps: readonly Sample[], qs: readonly Sample[], band: Band): Found {
  const n = ps.length;
  const { lo, hi, start } = band;
  const { twist2, width } = twistsIn(ps, qs, band);
  const stepP = stepLengths(ps);
  const stepQ = stepLengths(qs);
  const cost = new Float64Array(band.size).fill(Infinity);
  const move = new Uint8Array(band.size); // 1: +s, 2: +t, 3: both
  const apexP = Uint8Array.from(ps, (p) => (p.isApex ? 1 : 0));
  const apexQ = Uint8Array.from(qs, (q) => (q.isApex ? 1 : 0));
  cost[0] = 0;
  for (let i = 0; i < n; i++) {
    const row = start[i]! - lo[i]!;
    const below = i > 0 ? start[i - 1]! - lo[i - 1]! : 0;
    const [belowLo, belowHi] = i > 0 ? [lo[i - 1]!, hi[i - 1]!] : [1, 0];
    for (let j = lo[i]!; j <= hi[i]!; j++) {
      const here = row + j;
      const hasLeft = j > lo[i]!;
      const hasBelow = j >= belowLo && j <= belowHi;
      const hasBoth = j - 1 >= belowLo && j - 1 <= belowHi;
      const isPlain = i > 0 && j > 0 && apexP[i]! + apexP[i - 1]! + apexQ[j]! + apexQ[j - 1]! === 0;
      if (isPlain) {
        // most of the band, and so most of the time: the three moves below with nothing but the twist to pay for
        const now = twist2[here]!;
        const along = hasBelow ? cost[below + j]! + 0.25 * stepP[i]! * (now + twist2[below + j]!) : Infinity;
        const up = hasLeft ? cost[here - 1]! + 0.25 * stepQ[j]! * (now + twist2[here - 1]!) : Infinity;
        const both = hasBoth
          ? cost[below + j - 1]! + 0.25 * (stepP[i]! + stepQ[j]!) * (now + twist2[below + j - 1]!)
          : Infinity;
        const least = Math.min(along, up, both);
        cost[here] = least;
        move[here] = least === along ? 1 : least === up ? 2 : 3;
        continue;
      }
      for (let step = 1; step <= 3; step++) {
        if (!(step === 1 ? hasBelow : step === 2 ? hasLeft : hasBoth)) continue;
        const i0 = step & 1 ? i - 1 : i;
        const j0 = step & 2 ? j - 1 : j;
        const from = (step & 1 ? below : row) + j0;
        const before = apexP[i0]! + 2 * apexQ[j0]!; // which of the two lines stands still
        const now = apexP[i]! + 2 * apexQ[j]!;
        if (step === 3 && !isPlainStep(before, now)) continue;
        const length = ((step & 1 ? stepP[i]! : 0) + (step & 2 ? stepQ[j]! : 0)) / 2;
        let price = before + now === 0 ? length * 0.5 * (twist2[from]! + twist2[here]!) : 0;
        if (step !== 3 && before !== now && !isCorner(i0, j0, n, qs.length) && !isCorner(i, j, n, qs.length)) {
          const meeting = before === 0 ? from : here; // the ruling at which the fan meets the rest
          price += twist2[meeting]! * width[meeting]!;
        }
        const total = cost[from]! + price;
        if (total < cost[here]!) {
          cost[here] = total;
          move[here] = step;
        }
      }
    }
  }
  return traceBack(ps, qs, { move, twist2 }, band);
}

/** Both at once: along the surface, or into or out of a point that is an apex of both lines; never past one apex. */
const isPlainStep = (before: number, now: number): boolean => before + now === 0 || (before === 3) !== (now === 3);

const isCorner = (i: number, j: number, n: number, m: number): boolean =>
  (i === 0 && j === 0) || (i === n - 1 && j === m - 1);

function twistsIn(ps: readonly Sample[], qs: readonly Sample[], { lo, hi, start, size }: Band) {
  const twist2 = new Float64Array(size);
  const width = new Float64Array(size);
  for (let i = 0; i < ps.length; i++) {
    const p = ps[i]!; // in bounds by the loops, here and below
    const isBesideApex = ps[i - 1]?.isApex === true || ps[i + 1]?.isApex === true;
    for (let j = lo[i]!; j <= hi[i]!; j++) {
      const q = qs[j]!;
      const twist = twistOf(p.position, p.first, q.position, q.first);
      const here = start[i]! + j - lo[i]!;
      twist2[here] = twist * twist;
      // the width counts only where a fan begins or ends
      if (p.isApex || q.isApex || isBesideApex || qs[j - 1]?.isApex || qs[j + 1]?.isApex)
        width[here] = distance3(p.position, q.position);
    }
  }
  return { twist2, width };
}

const stepLengths = (samples: readonly Sample[]): Float64Array =>
  Float64Array.from(samples, (sample, i) => {
    const before = samples[i - 1];
    return before ? distance3(sample.position, before.position) : 0;
  });

function traceBack(
  ps: readonly Sample[],
  qs: readonly Sample[],
  { move, twist2 }: { readonly move: Uint8Array; readonly twist2: Float64Array },
  { lo, start }: Band,
): Found {
  const corners: Corner[] = [];
  let worst = 0;
  let i = ps.length - 1;
  let j = qs.length - 1;
  for (;;) {
    const p = ps[i]!; // in bounds: the moves lead back to (0, 0)
    const q = qs[j]!;
    const here = start[i]! + j - lo[i]!;
    const step = move[here]!;
    if (!p.isApex && !q.isApex) worst = Math.max(worst, twist2[here]!);
    const fan = p.isApex && !(step & 1) ? 'P' : q.isApex && !(step & 2) ? 'Q' : undefined;
    const corner: Corner = fan ? { s: p.t, t: q.t, fan } : { s: p.t, t: q.t };
    const next = corners[corners.length - 1];
    if (!next || next.s !== corner.s || next.t !== corner.t) corners.push(corner);
    else if (corner.fan) corners[corners.length - 1] = corner; // the step out of a fan has no length: keep the fan
    if (step === 0) break;
    if (step & 1) i--;
    if (step & 2) j--;
  }
  return { corners: corners.reverse(), twistRad: Math.sqrt(worst) };
}
