/** What the timber stage comes to, and a plan that was found for it. */
import type { Notation } from '../measure';
import type { TimberJob } from './job';
import type { Rip } from './rips';
import type { TimberRun } from './runs';
import type { TimberResult } from './solve';

export type TimberValue = {
  readonly runs: readonly TimberRun[];
  /** How each is ripped. */
  readonly rips: readonly Rip[];
  /** Those of them that there is stock for. */
  readonly job: TimberJob;
  /** A plan belongs to the job whose key it carries. */
  readonly key: string;
};
export type FoundPlan = { readonly key: string; readonly result: TimberResult };

export type TimberWhole = {
  readonly project: { readonly notation: Notation };
  readonly values: { readonly timber: TimberValue };
  readonly found: { readonly timber?: FoundPlan | undefined };
};
