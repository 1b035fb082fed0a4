/**
 * Layouts of the sheets: what a search found for the batches, kept beside the stage's value as it takes its time.
 *
 * A layout belongs to the batch whose key it carries; of one that has changed since nothing is said.
 */
import { nest } from './nest';
import type { NestResult } from './result';
import type { NestBatch } from './batches';

export type Layout = {
  /** Of the batch that it was found for. */
  readonly key: string;
  readonly result: NestResult;
  /** The search has ended; until then a better one may come. */
  readonly isFinal: boolean;
};

/** Each batch with the layout that belongs to it, if one does. */
export type LaidBatch = { readonly batch: NestBatch; readonly result: NestResult | undefined };

export const laidBatches = (batches: readonly NestBatch[], layouts: readonly Layout[]): LaidBatch[] =>
  batches.map((batch) => ({
    batch,
    result: layouts.find(({ key }) => key === batch.key)?.result ?? laidByHand(batch),
  }));

const byHand = new WeakMap<NestBatch, NestResult>();

/** Where every piece was laid by hand there is nothing to look for. */
function laidByHand(batch: NestBatch): NestResult | undefined {
  const { parts, fixed = [] } = batch.job;
  if (parts.length === 0 || parts.some(({ id, qty }) => fixed.filter(({ part }) => part === id).length < qty))
    return undefined;
  const known = byHand.get(batch);
  if (known) return known;
  const result = nest(batch.job, { seed: 0, rounds: 1 });
  byHand.set(batch, result);
  return result;
}

/** A layout of every batch by so many rounds: exactly repeatable. */
export const layOut = (batches: readonly NestBatch[], seed: number, rounds: number): Layout[] =>
  batches.map(({ key, job }) => ({ key, result: nest(job, { seed, rounds }), isFinal: true }));
