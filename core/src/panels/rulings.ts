/**
 * Finds the rulings of the developable surface between two lines.
 *
 * A ruling P(s)-Q(t) lies in a developable when the tangents at both ends and the ruling itself are coplanar: its twist,
 * the signed angle between P'×R and Q'×R about R = Q−P, is zero.
 *
 * Method (derived here): both lines are sampled; over the (s, t) grid the monotone path from (0,0) to (1,1) is sought
 * that minimises the integral of twist² along it (dynamic programming; moves +s, +t, both; a move counts the mean length
 * it covers on the two lines, so all routes have the same total). At the ends, and at a knuckle, the rulings may fan out
 * from one point: an "apex" sample is put in there, along which moving the other line is free, since a fan is a cone.
 * Leaving or entering a fan where twist ≠ 0 makes a crease, which costs twist² times the ruling's length; without that the
 * path hugs the border and folds the panel. Then each ruling is refined on the continuous curves: along s + t = const the
 * monotone path is crossed exactly once, so there the root of the twist nearest to the path is bracketed and found.
 *
 * Accuracy: the rulings are those of the interpolating curves to 1e-9 in parameter; where no root is near, the surface is
 * not developable there and the ruling of the path is kept, its twist reported.
 * Cost: the grid is evaluated at N² points (N = 32: some 1,200 twists), the refinement at about 10 a ruling.
 */
import { bracketedRoot, distance3, type Vec3 } from '../geometry';

/** One edge of a panel: a curve by t in [0, 1], and the t of its knuckles. `side` says which tangent a knuckle has. */
export type EdgeCurve = {
  readonly at: (t: number, side?: -1 | 1) => { readonly position: Vec3; readonly first: Vec3 };
  readonly knuckles: readonly number[];
};

/** `fan`: which line's point stays still while the other moves. */
export type Ruling = {
  readonly s: number;
  readonly t: number;
  readonly twistRad: number;
  readonly fan?: 'P' | 'Q';
};

export type RulingOptions = { readonly gridCount: number; readonly rulingCount: number };
export const DEFAULT_RULINGS: RulingOptions = { gridCount: 32, rulingCount: 200 };

type Sample = { readonly t: number; readonly position: Vec3; readonly first: Vec3; readonly isApex: boolean };

/** Rulings this short have no direction: the panel comes to a point there. */
const SHORT_RULING_MM = 1e-3;

/**
 * Signed angle between the tangent planes at the two ends of a ruling, rad; π/2 where one is undefined.
 * (P'×R)×(Q'×R) = R·det(P', Q', R), so its sine needs one determinant and its cosine three dot products.
 */
export function twistOf(p: Vec3, dp: Vec3, q: Vec3, dq: Vec3): number {
  const rx = q[0] - p[0];
  const ry = q[1] - p[1];
  const rz = q[2] - p[2];
  const r2 = rx * rx + ry * ry + rz * rz;
  if (r2 < SHORT_RULING_MM * SHORT_RULING_MM) return 0;
  const determinant =
    dp[0] * (dq[1] * rz - dq[2] * ry) + dp[1] * (dq[2] * rx - dq[0] * rz) + dp[2] * (dq[0] * ry - dq[1] * rx);
  const dpR = dp[0] * rx + dp[1] * ry + dp[2] * rz;
  const dqR = dq[0] * rx + dq[1] * ry + dq[2] * rz;
  const dpdq = dp[0] * dq[0] + dp[1] * dq[1] + dp[2] * dq[2];
  const sine = determinant * Math.sqrt(r2);
  const cosine = dpdq * r2 - dpR * dqR;
  // a line running along the ruling has no tangent plane of its own there
  if (Math.abs(sine) + Math.abs(cosine) < 1e-9 * r2) return Math.PI / 2;
  return Math.atan2(sine, cosine);
}

/** The rulings in order from the first ends to the last, `rulingCount` intervals or a few more where fans begin. */
export function findRulings(P: EdgeCurve, Q: EdgeCurve, options: RulingOptions = DEFAULT_RULINGS): Ruling[] {
  const path = cheapestPath(sampleEdge(P, options.gridCount), sampleEdge(Q, options.gridCount));
  const cell = 1 / options.gridCount;
  const twist = twistOn(P, Q);
  const corners = refineFanEnds(path, twist, cell);
  const rulings: Ruling[] = [];
  let lean = 0;
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
    const ruling = guess.fan ? { ...guess, twistRad: 0 } : refine(guess.s, guess.t, lean, twist, cell);
    if (skipped) rulings.push(between(rulings, ruling, skipped, twist, cell));
    skipped = undefined;
    lean = ruling.s - ruling.t - guess.s + guess.t;
    rulings.push(ruling);
  }
  return keepMonotone(rulings, twist);
}

/** A ruling set between two found ones may keep this much twist: 0.0006°. */
const SET_BETWEEN_RAD = 1e-5;

/** The ruling between the last found one and the next, at the path's s + t: by the run of the last three, or by search. */
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

type Twist = (s: number, t: number) => number;
const twistOn =
  (P: EdgeCurve, Q: EdgeCurve): Twist =>
  (s, t) => {
    const p = P.at(s);
    const q = Q.at(t);
    return twistOf(p.position, p.first, q.position, q.first);
  };

/** Even samples with an apex at each end; at a knuckle the tangent before, the apex, the tangent after. */
function sampleEdge(edge: EdgeCurve, count: number): Sample[] {
  const knuckles = new Set(edge.knuckles);
  const ts = new Set([...Array.from({ length: count + 1 }, (_, i) => i / count), ...knuckles]);
  const samples: Sample[] = [];
  for (const t of [...ts].sort((a, b) => a - b)) {
    const after = { t, ...edge.at(t, 1), isApex: false };
    if (t === 0) samples.push({ ...after, isApex: true }, after);
    else if (t === 1) samples.push(after, { ...after, isApex: true });
    else if (knuckles.has(t)) samples.push({ ...after, ...edge.at(t, -1) }, { ...after, isApex: true }, after);
    else samples.push(after);
  }
  return samples;
}

/** A corner of the path over (s, t); `fan` names the apex along the stretch that ends here. */
type Corner = { readonly s: number; readonly t: number; readonly fan?: 'P' | 'Q' };

function cheapestPath(ps: readonly Sample[], qs: readonly Sample[]): Corner[] {
  const n = ps.length;
  const m = qs.length;
  const { twist2, width } = twistGrid(ps, qs);
  const stepP = stepLengths(ps);
  const stepQ = stepLengths(qs);
  const cost = new Float64Array(n * m).fill(Infinity);
  const move = new Uint8Array(n * m); // 1: +s, 2: +t, 3: both
  const apexP = Uint8Array.from(ps, (p) => (p.isApex ? 1 : 0));
  const apexQ = Uint8Array.from(qs, (q) => (q.isApex ? 1 : 0));
  cost[0] = 0;
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < m; j++) {
      const here = i * m + j;
      const isPlain = i > 0 && j > 0 && apexP[i]! + apexP[i - 1]! + apexQ[j]! + apexQ[j - 1]! === 0;
      if (isPlain) {
        // most of the grid, and so most of the time: the three moves below with nothing but the twist to pay for
        const now = twist2[here]!;
        const along = cost[here - m]! + 0.25 * stepP[i]! * (now + twist2[here - m]!);
        const up = cost[here - 1]! + 0.25 * stepQ[j]! * (now + twist2[here - 1]!);
        const both = cost[here - m - 1]! + 0.25 * (stepP[i]! + stepQ[j]!) * (now + twist2[here - m - 1]!);
        const least = Math.min(along, up, both);
        cost[here] = least;
        move[here] = least === along ? 1 : least === up ? 2 : 3;
        continue;
      }
      for (let step = here === 0 ? 4 : 1; step <= 3; step++) {
        const i0 = step & 1 ? i - 1 : i;
        const j0 = step & 2 ? j - 1 : j;
        if (i0 < 0 || j0 < 0) continue;
        const from = i0 * m + j0;
        const before = apexP[i0]! + 2 * apexQ[j0]!; // which of the two lines stands still; in bounds, here and below
        const now = apexP[i]! + 2 * apexQ[j]!;
        if (step === 3 && !isPlainStep(before, now)) continue;
        const length = ((step & 1 ? stepP[i]! : 0) + (step & 2 ? stepQ[j]! : 0)) / 2;
        let price = before + now === 0 ? length * 0.5 * (twist2[from]! + twist2[here]!) : 0;
        if (step !== 3 && before !== now && !isCorner(i0, j0, n, m) && !isCorner(i, j, n, m)) {
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
  return traceBack(ps, qs, move);
}

/** Both at once: along the surface, or into or out of a point that is an apex of both lines; never past one apex. */
const isPlainStep = (before: number, now: number): boolean => before + now === 0 || (before === 3) !== (now === 3);

const isCorner = (i: number, j: number, n: number, m: number): boolean =>
  (i === 0 && j === 0) || (i === n - 1 && j === m - 1);

function twistGrid(ps: readonly Sample[], qs: readonly Sample[]) {
  const m = qs.length;
  const twist2 = new Float64Array(ps.length * m);
  const width = new Float64Array(ps.length * m);
  for (let i = 0; i < ps.length; i++) {
    const p = ps[i]!; // in bounds by the loops, here and below
    const isBesideApex = ps[i - 1]?.isApex === true || ps[i + 1]?.isApex === true;
    for (let j = 0; j < m; j++) {
      const q = qs[j]!;
      const twist = twistOf(p.position, p.first, q.position, q.first);
      twist2[i * m + j] = twist * twist;
      // the width counts only where a fan begins or ends
      if (p.isApex || q.isApex || qs[j - 1]?.isApex || qs[j + 1]?.isApex || isBesideApex)
        width[i * m + j] = distance3(p.position, q.position);
    }
  }
  return { twist2, width };
}

const stepLengths = (samples: readonly Sample[]): Float64Array =>
  Float64Array.from(samples, (sample, i) => {
    const before = samples[i - 1];
    return before ? distance3(sample.position, before.position) : 0;
  });

function traceBack(ps: readonly Sample[], qs: readonly Sample[], move: Uint8Array): Corner[] {
  const corners: Corner[] = [];
  let i = ps.length - 1;
  let j = qs.length - 1;
  for (;;) {
    const p = ps[i]!; // in bounds: the moves lead back to (0, 0)
    const q = qs[j]!;
    const step = move[i * qs.length + j]!;
    const fan = p.isApex && !(step & 1) ? 'P' : q.isApex && !(step & 2) ? 'Q' : undefined;
    const corner: Corner = fan ? { s: p.t, t: q.t, fan } : { s: p.t, t: q.t };
    const next = corners[corners.length - 1];
    if (!next || next.s !== corner.s || next.t !== corner.t) corners.push(corner);
    else if (corner.fan) corners[corners.length - 1] = corner; // the step out of a fan has no length: keep the fan
    if (step === 0) break;
    if (step & 1) i--;
    if (step & 2) j--;
  }
  return corners.reverse();
}

/** Moves the point where a fan begins or ends to the root of the twist along the fan. */
function refineFanEnds(path: readonly Corner[], twist: Twist, cell: number): Corner[] {
  return path.map((corner, k): Corner => {
    const next = path[k + 1];
    const isIn = corner.fan !== undefined;
    const isOut = next?.fan !== undefined;
    if (!next || k === 0 || isIn === isOut) return corner;
    const fan = corner.fan ?? next.fan;
    const f = fan === 'P' ? (t: number) => twist(corner.s, t) : (s: number) => twist(s, corner.t);
    const here = fan === 'P' ? corner.t : corner.s;
    const root = bracketedRoot(f, Math.max(0, here - 2 * cell), Math.min(1, here + 2 * cell), 1e-12);
    if (root === undefined) return corner;
    return fan === 'P' ? { ...corner, t: root } : { ...corner, s: root };
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
const WINDOWS = [0.15, 1.5, 4, 10];
/** Good to 1e-9 of a line: some 5e-6 mm. */
const ROOT_TOLERANCE = 1e-9;

/** `lean` is how far the root before lay from the path: the next will lie about as far, so a narrow window finds it. */
function refine(s0: number, t0: number, lean: number, twist: Twist, cell: number): Ruling {
  const c = s0 + t0;
  const limit = Math.min(c, 2 - c);
  const f = (d: number) => twist((c + d) / 2, (c - d) / 2);
  for (const [k, cells] of WINDOWS.entries()) {
    const middle = s0 - t0 + (k === 0 ? lean : 0);
    const low = Math.max(-limit, middle - cells * cell);
    const high = Math.min(limit, middle + cells * cell);
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
  const isP = c < 1 === Math.abs(f(-limit)) < Math.abs(f(limit)); // at the start d = −c is s = 0; at the end d = 2−c is s = 1
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
    return { ...ruling, s, t, twistRad: ruling.fan ? 0 : twist(s, t) };
  });
}
