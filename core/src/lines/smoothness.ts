/**
 * Which points of a run of figures no fair line passes through, and where a fair line would have them.
 *
 * Method (derived here): the figures of a fair line are taken as one draw of a smooth random curve (covariance
 * τ²·exp(−½(Δu/ℓ)²), u the place along as a fraction of the line, on top of any straight line), read with a noise σ. A
 * slipped figure is one with a wide error of its own. Every set of up to `MOST_SLIPS` slipped points is weighed by how
 * likely it makes the whole run, summed over grids of ℓ, τ and σ, against how rare slips are; so the curve's own
 * smoothness is found from the run itself, and a slip that bends the line at its neighbours is not blamed on them.
 * Adding a slipped point to a set changes the inverse covariance by rank one, so a set costs n² and a grid of 80 a
 * millisecond. Cf. Rasmussen and Williams, Gaussian Processes for Machine Learning, 2006, ch. 2 and 5 (regression,
 * evidence). Limits: fewer than `FEWEST` points say nothing; the outermost points are the least certain, since a line
 * may end as it likes there.
 */
import { at } from '../geometry';

export type Suspect = {
  readonly index: number;
  /** Where a fair line would have it, and how uncertain that is (one standard deviation), mm. */
  readonly fairMm: number;
  readonly sdMm: number;
};

export const FEWEST = 6;
/** Longer runs are looked at in pieces of this many points, each overlapping the next by half. */
const WINDOW = 24;
const MOST_SLIPS = 3;

/** The weight against calling one more point slipped: by trial, far from blaming fair lines (bench/find-slips.ts). */
const SLIP_SHARE = 1 / 3;
/**
 * How wide a slip may be, mm: from a few millimetres to feet. One wide error for all sizes would find no small ones.
 */
const SLIP_SD_MM = [12, 80, 500];
/** Curves from a quick bend at one end to nearly straight; ℓ as a fraction of the length, τ in mm. */
const LENGTHS = [0.25, 0.4, 0.6, 0.9, 1.3];
/** How common each is among fair hull lines; a quick bend is seldom a big one. */
const LENGTH_PRIOR = [0.02, 0.06, 0.22, 0.35, 0.35];
const SIZES_MM = [15, 50, 160, 500];
const SIZE_PRIOR = { quick: [0.3, 0.4, 0.2, 0.1], slow: [0.05, 0.1, 0.25, 0.6] };
/** Up to this ℓ a bend is a quick one. */
const QUICK = 0.5;
/** The plain reading noise, and tables that are rougher all through: nothing stands out in those. */
const NOISES = [1, 2.5, 8, 40];
const NOISE_PRIOR = [0.8, 0.13, 0.05, 0.02];
/** A straight line of any height and slope costs nothing, mm². */
const STRAIGHT = 4e6;

type Model = { readonly inverse: Float64Array; readonly logEvidence: number; readonly a: Float64Array };

/** The slipped points of one run. `us` rises from 0 to 1; `noiseMm` is the reading noise, such as rounding leaves. */
export function suspectsIn(us: readonly number[], ys: readonly number[], noiseMm: number): Suspect[] {
  if (us.length < FEWEST) return [];
  if (us.length <= WINDOW) return suspectsInWindow(us, ys, noiseMm);
  const found = new Map<number, Suspect>();
  const outliers = standingOut(us, ys);
  for (let from = 0; from < us.length - WINDOW / 2; from += WINDOW / 2) {
    const to = Math.min(us.length, from + WINDOW);
    if (!outliers.some((index) => index >= from && index < to)) continue;
    for (const suspect of suspectsInWindow(scaled(us.slice(from, to)), ys.slice(from, to), noiseMm)) {
      const isMiddle =
        (from === 0 || suspect.index >= WINDOW / 4) && (to === us.length || suspect.index < (3 * WINDOW) / 4);
      if (isMiddle) found.set(from + suspect.index, { ...suspect, index: from + suspect.index });
    }
  }
  return [...found.values()].sort((a, b) => a.index - b.index);
}

/** Of a long run: a figure that lies off the cubic through its neighbours by so many times the usual, */
const OUTSTANDING = 5;
/** and by this at least, mm. */
const LEAST_OUT_MM = 1;

/**
 * Figures of a long run that may be slipped, by a quick look at each beside its two neighbours to either side: a piece
 * without any is fair, or as rough as the rest, and need not be looked into.
 */
function standingOut(us: readonly number[], ys: readonly number[]): number[] {
  const offs = ys.map((y, i) => {
    if (i < 2 || i > ys.length - 3) return 0;
    const beside = [i - 2, i - 1, i + 1, i + 2];
    // Lagrange's form of the cubic through the four
    const fair = beside.reduce((sum, j) => {
      const others = beside.filter((k) => k !== j);
      return sum + others.reduce((w, k) => (w * (at(us, i) - at(us, k))) / (at(us, j) - at(us, k)), at(ys, j));
    }, 0);
    return Math.abs(y - fair);
  });
  const usual = at(
    [...offs].sort((a, b) => a - b),
    Math.floor(offs.length / 2),
  );
  const least = Math.max(LEAST_OUT_MM, OUTSTANDING * usual);
  const edge = [0, 1, ys.length - 2, ys.length - 1]; // nothing can be said of these so quickly
  return offs.flatMap((off, i) => (!(off < least) || edge.includes(i) ? [i] : []));
}

const scaled = (us: readonly number[]): number[] => us.map((u) => (u - at(us, 0)) / (at(us, -1) - at(us, 0)));

function suspectsInWindow(us: readonly number[], ys: readonly number[], noiseMm: number): Suspect[] {
  const n = us.length;
  const models = modelsFor(us, ys, noiseMm);
  const most = Math.min(MOST_SLIPS, Math.floor((n - 3) / 2));
  let best: SlipSet = { indices: [], models, score: total(models) };
  let beam = [best];
  for (let count = 1; count <= most; count++) {
    beam = widen(beam, n);
    const [likeliest] = beam;
    if (likeliest && likeliest.score > best.score) best = likeliest;
    else if (!likeliest || likeliest.score < best.score - HOPELESS) break;
  }
  return withoutNeedless(best, models, ys);
}

/** A set so much less likely than the best is not redeemed by another point. */
const HOPELESS = 5;

/** Points taken as slipped, the models with that allowed for, and the log of their summed evidence. */
type SlipSet = { readonly indices: readonly number[]; readonly models: readonly Model[]; readonly score: number };

/** Sets kept from one size to the next: slips may hide one another, so not only the likeliest goes on. */
const BEAM = 5;

/** All sets with one point more than those of the beam, the likeliest few of them, likeliest first. */
function widen(beam: readonly SlipSet[], n: number): SlipSet[] {
  const next = new Map<string, { set: SlipSet; index: number; score: number }>();
  for (const set of beam)
    for (let index = 0; index < n; index++) {
      if (set.indices.includes(index)) continue;
      const key = [...set.indices, index].sort((x, y) => x - y).join();
      if (!next.has(key)) next.set(key, { set, index, score: scoreWith(set.models, index, n) });
    }
  return [...next.values()]
    .sort((x, y) => y.score - x.score)
    .slice(0, BEAM)
    .map(({ set, index, score }) => ({
      indices: [...set.indices, index],
      models: slipped(set.models, index, n),
      score,
    }));
}

/** A point that a later one has excused goes free again; the rest are given their fair places. */
function withoutNeedless(set: SlipSet, models: readonly Model[], ys: readonly number[]): Suspect[] {
  for (const index of set.indices) {
    const indices = set.indices.filter((other) => other !== index);
    const without = withSlips(models, indices, ys.length);
    const score = total(without);
    if (score >= set.score) return withoutNeedless({ indices, models: without, score }, models, ys);
  }
  const { indices } = set;
  return [...indices].sort((a, b) => a - b).map((index) => fairPlace(models, indices, index, ys));
}

const withSlips = (models: readonly Model[], set: readonly number[], n: number): readonly Model[] =>
  set.reduce<readonly Model[]>((now, index) => slipped(now, index, n), models);

/** Log of the summed evidence. */
const total = (models: readonly Model[]): number => logSum(models.map((model) => model.logEvidence));

function logSum(logs: readonly number[]): number {
  const most = Math.max(...logs);
  return most + Math.log(logs.reduce((sum, log) => sum + Math.exp(log - most), 0));
}

/** What `total` would be with one more point slipped, without working the models out. */
function scoreWith(models: readonly Model[], index: number, n: number): number {
  let most = -Infinity;
  let sum = 0;
  for (const model of models)
    for (const sd of SLIP_SD_MM) {
      const log = model.logEvidence + gainOf(model, index, n, sd * sd);
      if (log > most) {
        sum = sum * Math.exp(most - log) + 1;
        most = log;
      } else if (log > most - 2 * NEGLIGIBLE) sum += Math.exp(log - most);
    }
  return most + Math.log(sum);
}

/** By how much the log evidence grows when a point may be off by this variance (the determinant lemma). */
function gainOf({ inverse, a }: Model, index: number, n: number, variance: number): number {
  const b = inverse[index * n + index]!; // in bounds, here and below
  const spread = 1 + variance * b;
  return (0.5 * variance * a[index]! * a[index]!) / spread - 0.5 * Math.log(spread) + LOG_SLIP;
}

const LOG_SLIP = Math.log(SLIP_SHARE / SLIP_SD_MM.length);

/** One more point slipped, by either width of slip: the models double, and the unlikely ones are let go. */
function slipped(models: readonly Model[], index: number, n: number): Model[] {
  const gains = models.flatMap((model) =>
    SLIP_SD_MM.map((sd) => ({ model, variance: sd * sd, log: model.logEvidence + gainOf(model, index, n, sd * sd) })),
  );
  const most = Math.max(...gains.map(({ log }) => log));
  return gains
    .filter(({ log }) => log > most - NEGLIGIBLE)
    .map(({ model, variance }) => withSlip(model, index, n, variance));
}

/** A model e^7 less likely than the best changes nothing. */
const NEGLIGIBLE = 7;

/** C + V·eeᵀ: by Sherman and Morrison, and the determinant lemma. */
function withSlip(model: Model, index: number, n: number, variance: number): Model {
  const { inverse, a } = model;
  const b = inverse[index * n + index]!; // in bounds, here and below
  const share = variance / (1 + variance * b);
  const next = new Float64Array(n * n);
  const nextA = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const row = inverse[i * n + index]!;
    nextA[i] = a[i]! - share * row * a[index]!;
    for (let j = 0; j < n; j++) next[i * n + j] = inverse[i * n + j]! - share * row * inverse[index * n + j]!;
  }
  return { inverse: next, a: nextA, logEvidence: model.logEvidence + gainOf(model, index, n, variance) };
}

/** Wider than any slip: a point with this error says nothing about the rest, mm². */
const UNKNOWN = 1e7;

/** Where the others put a slipped point: the mean over the models, weighed by their evidence. */
function fairPlace(models: readonly Model[], set: readonly number[], index: number, ys: readonly number[]): Suspect {
  const n = ys.length;
  const unknown = models.map((model) => set.reduce((now, other) => withSlip(now, other, n, UNKNOWN), model));
  const most = Math.max(...unknown.map((model) => model.logEvidence));
  let weight = 0;
  let mean = 0;
  let square = 0;
  for (const model of unknown) {
    const w = Math.exp(model.logEvidence - most);
    const b = model.inverse[index * n + index]!; // in bounds
    const fair = at(ys, index) - model.a[index]! / b;
    weight += w;
    mean += w * fair;
    square += w * (fair * fair + Math.max(1 / b - UNKNOWN, 0));
  }
  const fairMm = mean / weight;
  return { index, fairMm, sdMm: Math.sqrt(Math.max(square / weight - fairMm * fairMm, 0)) };
}

/** One model for every ℓ, τ and σ. */
function modelsFor(us: readonly number[], ys: readonly number[], noiseMm: number): Model[] {
  return LENGTHS.flatMap((length, l) =>
    SIZES_MM.flatMap((size, k) =>
      NOISES.flatMap((times, j) => {
        const model = modelOf(us, ys, { length, size, noise: noiseMm * times });
        const sizePrior = at(length < QUICK ? SIZE_PRIOR.quick : SIZE_PRIOR.slow, k);
        const prior = at(LENGTH_PRIOR, l) * sizePrior * at(NOISE_PRIOR, j);
        return model ? [{ ...model, logEvidence: model.logEvidence + Math.log(prior) }] : [];
      }),
    ),
  );
}

function modelOf(
  us: readonly number[],
  ys: readonly number[],
  { length, size, noise }: { readonly length: number; readonly size: number; readonly noise: number },
): Model | undefined {
  const n = us.length;
  const matrix = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      const [u, v] = [at(us, i), at(us, j)];
      const d = (u - v) / length;
      const value = size * size * Math.exp(-0.5 * d * d) + STRAIGHT * (1 + u * v) + (i === j ? noise * noise : 0);
      matrix[i * n + j] = value;
      matrix[j * n + i] = value;
    }
  const factored = invert(matrix, n);
  if (!factored) return undefined;
  const a = new Float64Array(n);
  let fit = 0;
  for (let i = 0; i < n; i++) {
    let sum = 0;
    for (let j = 0; j < n; j++) sum += factored.inverse[i * n + j]! * at(ys, j);
    a[i] = sum;
    fit += at(ys, i) * sum;
  }
  return { inverse: factored.inverse, a, logEvidence: -0.5 * (fit + factored.logDeterminant) };
}

/** Inverse and log determinant of a symmetric positive matrix, by Cholesky; undefined when it is not positive. */
function invert(matrix: Float64Array, n: number): { inverse: Float64Array; logDeterminant: number } | undefined {
  const lower = new Float64Array(n * n);
  let logDeterminant = 0;
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i * n + j]!;
      for (let k = 0; k < j; k++) sum -= lower[i * n + k]! * lower[j * n + k]!;
      if (i === j) {
        if (sum <= 0) return undefined;
        lower[i * n + i] = Math.sqrt(sum);
        logDeterminant += Math.log(sum);
      } else lower[i * n + j] = sum / lower[j * n + j]!;
    }
  return { inverse: inverseFrom(lower, n), logDeterminant };
}

/** (L·Lᵀ)⁻¹, column by column. */
function inverseFrom(lower: Float64Array, n: number): Float64Array {
  const inverse = new Float64Array(n * n);
  const x = new Float64Array(n);
  for (let column = 0; column < n; column++) {
    for (let i = 0; i < n; i++) {
      let sum = i === column ? 1 : 0;
      for (let k = 0; k < i; k++) sum -= lower[i * n + k]! * x[k]!;
      x[i] = sum / lower[i * n + i]!;
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = x[i]!;
      for (let k = i + 1; k < n; k++) sum -= lower[k * n + i]! * x[k]!;
      x[i] = sum / lower[i * n + i]!;
    }
    for (let i = 0; i < n; i++) inverse[i * n + column] = x[i]!;
  }
  return inverse;
}
