/**
 * About where the rulings between two lines run: the cheapest path over a grid of their parameters, coarse to fine.
 *
 * The words are those of rulings.ts: s and t are the parameters of the lines P and Q, a ruling is a pair (s, t), and
 * the rulings of a panel in order are a path from (0, 0) to (1, 1) on which neither falls. Twist is what a ruling ought
 * not to have; a fan is a stretch of rulings from one point of one line, which is called its apex.
 *
 * Method (derived here): both lines are sampled, and of all paths over the grid of samples the one is sought (by
 * dynamic programming, a step moving on along P, along Q, or both) on which the sum of twist² × length is least. The
 * length of a step is the mean of what it covers of the two lines, so that all paths are equally long. At the ends of a
 * line, and at its knuckles, rulings may fan out: an apex, a sample of its own, is put in there, and beside it the
 * other line is followed at no cost, since a fan is part of a cone. Where a fan begins or ends at a ruling with a twist
 * the panel would have a crease: that costs twist² × the ruling's length. Without this price the path would hug the
 * border, and fold the panel. The first grid is searched whole, each finer one in a band about the path of the one
 * before. Cost: with grids of 24, 48 and 288 cells some 1,300 twists, 10,000 where the last is needed; the finest grid
 * whole has 83,000.
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

/**
 * The part of the grid that is searched: rows are samples of P, columns samples of Q. Of row i it has the columns lo[i]
 * to hi[i], kept in one array from start[i] on.
 */
type Band = { readonly lo: Int32Array; readonly hi: Int32Array; readonly start: Int32Array; readonly size: number };

/** How far a finer grid is searched to both sides of the coarser one's path, in cells of the coarser one. */
const REACH_CELLS = 2;

/**
 * A path with less twist than this (0.6°) is near enough to the rulings for them to be found from it: through a
 * developable panel it lies within half a cell of them, and has less.
 */
const NEAR_ENOUGH_RAD = 0.01;

/** The corners of the path, to a cell of `cell` of the lines; `isFinest` where the last grid was searched. */
export type Path = { readonly corners: readonly Corner[]; readonly cell: number; readonly isFinest: boolean };

/**
 * @param grids into how many cells each line is divided for each search, coarsest first
 * @param enoughRad the search stops at a grid on which the path has less twist than this, rad
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

/** Two parameters are one, and a parameter is a sample of a grid, to this share of a cell. */
const ON_GRID = 1e-9;

/** Of a finer sampling the samples of a coarser one: every so many, and the knuckles with their apexes. */
const thinned = (samples: readonly Sample[], count: number): Sample[] =>
  samples.filter(({ t, isKnuckle }) => isKnuckle || Math.abs(t * count - Math.round(t * count)) < ON_GRID);

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

/** The path's t at a given s, on its stretch from corner k on; beyond that stretch the t of its end. */
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
  // at each place of the band: what the cheapest way there costs, and its last step
  const cost = new Float64Array(band.size).fill(Infinity);
  const move = new Uint8Array(band.size); // 1: on along P, 2: on along Q, 3: both
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
        // no apex near, as in most of the band: the three moves below with nothing but the twist to pay for, written
        // out for speed. A quarter: the mean of two twists, times half of what is covered of each line
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

/**
 * Whether both lines may be gone on along at once. `before` and `now` say which of the two is at an apex (0 none, 1 P,
 * 2 Q, 3 both): away from apexes, and into or out of a place where both are at one, as where a panel comes to a point.
 */
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
