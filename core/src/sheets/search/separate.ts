/**
 * Parts that overlap are moved until none does: guided local search.
 *
 * Method: in every sweep each part that overlaps goes to the cheapest place that is found for it; then what pairs that
 * still overlap cost grows, and that of others fades, so that the search climbs out of where it was stuck (after
 * Egeblad, Nielsen and Odgaard, "Fast neighborhood search for two- and three-dimensional nesting problems", EJOR 2007;
 * Umetani and others, "Solving the irregular strip packing problem via guided local search for overlap minimization",
 * ITOR 2009).
 */
import { copyOfPlaces, depthOf, NOUGHT_MM, standAt, standCopy, type Places, type State } from './layout-state';
import { bestPlace } from './move-part';
import { pushApart } from './push-apart';

/** A pair's cost grows by at least and at most so much a sweep while it overlaps; and fades by so much. */
const GROW = { least: 1.1, most: 1.5 } as const;
const FADE = 0.9;

/** Overlaps of so little in all are tried to be pushed apart. */
const NEAR_MISS_MM = 80;

export type Sweeping = {
  readonly next01: () => number;
  readonly isOver: () => boolean;
  /** Called after every sweep; true ends it. */
  readonly onSweep: () => boolean;
  /** Without a better layout for so many sweeps it is given up. */
  readonly patience: number;
};

/** The least overlap that was reached, in mm over all pairs, and where parts stood then; nought: none overlaps. */
export type Separated = { readonly overlapMm: number; readonly places: Places };

export function separate(state: State, { next01, isOver, onSweep, patience }: Sweeping): Separated {
  const count = state.problem.copies.length;
  const { places } = state;
  const depths = new Float64Array(count * count);
  let overlapMm = measure(state, depths, isOver);
  let best: Separated = { overlapMm, places: copyOfPlaces(places) };
  let stuck = 0;
  while (overlapMm > 0 && stuck < patience && !isOver()) {
    sweep(state, depths, next01, isOver);
    overlapMm = measure(state, depths, isOver);
    if (overlapMm < best.overlapMm) {
      stuck = overlapMm < 0.98 * best.overlapMm ? 0 : stuck + 1;
      best = { overlapMm, places: copyOfPlaces(places) };
      if (overlapMm > 0 && overlapMm < NEAR_MISS_MM) {
        const pushed = pushApart(state);
        if (pushed) best = { overlapMm: 0, places: pushed };
        if (pushed) break;
      }
    } else stuck++;
    reweigh(state, depths);
    if (onSweep()) break;
  }
  standAt(state, best.places);
  return best;
}

/** All pairs' depths; their sum, without what counts as nought. Infinite when the time ended before it was known. */
function measure(state: State, depths: Float64Array, isOver: () => boolean): number {
  const count = state.problem.copies.length;
  let sum = 0;
  for (let a = 0; a < count; a++) {
    if (isOver()) return Infinity;
    for (let b = a + 1; b < count; b++) {
      const depth = depthOf(state, a, b);
      depths[a * count + b] = depth;
      depths[b * count + a] = depth;
      if (depth > NOUGHT_MM) sum += depth;
    }
  }
  return sum;
}

function sweep(state: State, depths: Float64Array, next01: () => number, isOver: () => boolean): void {
  const { places, limits, problem } = state;
  const count = problem.copies.length;
  const on: number[][] = Array.from(limits, () => []);
  const overlapping: number[] = [];
  for (let copy = 0; copy < count; copy++) {
    on[places.sheet[copy]!]!.push(copy); // each stands on a sheet
    let isIn = false;
    for (let other = 0; other < count && !isIn; other++) isIn = depths[copy * count + other]! > NOUGHT_MM;
    if (isIn && !problem.fixed[copy]) overlapping.push(copy);
  }
  shuffle(overlapping, next01);
  for (const copy of overlapping) {
    if (isOver()) return;
    const to = bestPlace({ state, on, next01, isOver }, copy);
    const from = places.sheet[copy]!;
    if (to.sheet !== from) {
      on[from] = on[from]!.filter((other) => other !== copy);
      on[to.sheet]!.push(copy);
    }
    standCopy(state, copy, to);
  }
}

function reweigh({ weights, leastWeights }: State, depths: Float64Array): void {
  let most = 0;
  for (const depth of depths) if (depth > most) most = depth;
  for (let k = 0; k < weights.length; k++) {
    const depth = depths[k]!; // as long as the weights
    weights[k] =
      depth > NOUGHT_MM
        ? weights[k]! * (GROW.least + (GROW.most - GROW.least) * (depth / most))
        : Math.max(leastWeights[k]!, weights[k]! * FADE);
  }
}

export function shuffle<T>(list: T[], next01: () => number): void {
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(next01() * (i + 1));
    const [a, b] = [list[i]!, list[j]!];
    list[i] = b;
    list[j] = a;
  }
}
