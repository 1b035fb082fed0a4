/**
 * The ways in which a run that is longer than any stick may be made of parts: where its scarfs may fall.
 *
 * Of a run of length L in n parts with scarfs of length s the parts together have L + (n − 1) s. A scarf may be
 * anywhere that it does not reach into a clear stretch, so the lengths are free within bounds. Tried is a finite set
 * that matters: parts as long as a stick, or as what a stick has left beside other pieces, scarfs at the edges of the
 * clear stretches, and even parts. How far the best of these can be from the best of all is told by a bound that allows
 * any place (solve.ts).
 */
import { at } from '../geometry';
import type { Run } from './job';

/** The parts' lengths from the forward end, and the middles of the scarfs. Mm. */
export type Split = { readonly parts: readonly number[]; readonly at: readonly number[] };

/** A run to be scarfed, the length of its scarfs, and the longest stick of its section. Mm. */
export type LongRun = { readonly run: Run; readonly scarf: number; readonly longest: number };

/** A part shorter than so many scarfs is all joint. */
const LEAST_SCARFS = 2;
const MOST_PARTS = 30;
const SAME_MM = 1e-6;

/** Parts that a run needs at least; undefined where the scarf leaves nothing of the longest stick. */
export function leastParts({ run, scarf, longest }: LongRun): number | undefined {
  if (run.length <= longest + SAME_MM) return 1;
  if (longest <= LEAST_SCARFS * scarf) return undefined;
  const n = Math.ceil((run.length - scarf - SAME_MM) / (longest - scarf));
  return n <= MOST_PARTS ? n : undefined;
}

/** As many parts as one more or two more than the least are tried where clear stretches are in the way. */
const MORE_PARTS = 3;

/** The usual ways, in the fewest parts that the clear stretches allow; none where they leave no room. */
export function usualSplits(long: LongRun): Split[] {
  const least = leastParts(long);
  if (least === undefined) return [];
  for (let n = Math.max(2, least); n < least + MORE_PARTS; n++) {
    const found = splitsInto(n, long);
    if (found.length > 0) return found;
  }
  return [];
}

function splitsInto(n: number, long: LongRun): Split[] {
  const { run, scarf, longest } = long;
  const whole = run.length + (n - 1) * scarf;
  const evenly = (mm: number, parts: number) => Array.from({ length: parts }, () => mm / parts);
  const atEdges = run.clear.flatMap(([from, to]) =>
    [from - scarf / 2, to + scarf / 2].flatMap((middle) => {
      const [fore, aft] = [middle + scarf / 2, run.length - middle + scarf / 2];
      return [
        [fore, ...evenly(whole - fore, n - 1)],
        [...evenly(whole - aft, n - 1), aft],
      ];
    }),
  );
  const full = Array.from({ length: n }, (_, place) =>
    Array.from({ length: n }, (_none, k) => (k === place ? whole - (n - 1) * longest : longest)),
  );
  const found = [evenly(whole, n), ...full, ...atEdges].flatMap((parts) => {
    const split = splitFrom(parts, long);
    return split ? [split] : [];
  });
  return found.length > 0 ? found : stepped(n, long);
}

/** Places tried along a run for each scarf, where nothing usual will do, and ways looked at in all. */
const STEPS = 40;
const MOST_TRIED = 4000;

/** Scarf after scarf: each as far aft as it may be, or at a place before that. */
function stepped(n: number, long: LongRun): Split[] {
  const { run, scarf, longest } = long;
  const reach = longest - scarf;
  const found: Split[] = [];
  let tried = 0;
  const from = (before: readonly number[]): void => {
    if (tried++ > MOST_TRIED) return;
    const last = before[before.length - 1];
    if (last !== undefined && before.length === n - 1) {
      const middle = before.slice(1).map((place, k) => place - at(before, k) + scarf);
      const split = splitFrom([at(before, 0) + scarf / 2, ...middle, run.length - last + scarf / 2], long);
      if (split) found.push(split);
      return;
    }
    const farthest = last === undefined ? longest - scarf / 2 : last + reach;
    for (let k = 0; k <= STEPS; k++) {
      const middle = farthest - (k / STEPS) * reach;
      if (middle > (last ?? 0) + scarf && isClear(middle, long)) from([...before, middle]);
    }
  };
  from([]);
  return found;
}

/** The split into these parts; undefined where one is too long or too short, or a scarf lies in a clear stretch. */
export function splitFrom(parts: readonly number[], long: LongRun): Split | undefined {
  const { scarf, longest } = long;
  if (parts.some((mm) => mm > longest + SAME_MM || mm < LEAST_SCARFS * scarf - SAME_MM || mm <= 0)) return undefined;
  let end = 0;
  const middles = parts.slice(0, -1).map((mm, k) => {
    end += mm - (k === 0 ? 0 : scarf);
    return end - scarf / 2;
  });
  return middles.every((middle) => isClear(middle, long)) ? { parts, at: middles } : undefined;
}

/** No part of the scarf lies in a clear stretch. */
const isClear = (middle: number, { run, scarf }: LongRun): boolean =>
  run.clear.every(([from, to]) => middle + scarf / 2 <= from + SAME_MM || middle - scarf / 2 >= to - SAME_MM);

/** Two runs side by side: the least distance between a scarf of the one and one of the other. */
export const staggerOf = (one: Split, other: Split): number =>
  Math.min(Infinity, ...one.at.flatMap((a) => other.at.map((b) => Math.abs(a - b))));
