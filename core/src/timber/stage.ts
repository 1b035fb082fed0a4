/** Timber: what lengths do I buy, and how are they joined? */
import type { FramesValue } from '../frames';
import type { InsideValue } from '../fitout';
import { hashOf } from '../geometry';
import { defineStage } from '../stage';
import { timberToBuy, type BuyingTimber } from './buys';
import * as constants from './constants';
import { timberTables } from './drawings';
import { TIMBER_FINDINGS } from './findings';
import { judgePlan, judgeRuns } from './judge';
import { judgeRips, ripsOf, type PlannedMember } from './rips';
import { timberJob, timberRuns } from './runs';
import { timberAtFirst, timberSchema } from './schema';
import { timberTasks } from './tasks';
import { timberSheets, type TimberOnPaper } from './sheets';
import { planTimber } from './solve';
import type { FoundPlan } from './value';

type Before = {
  readonly project: { readonly frames: { readonly members: readonly PlannedMember[] } };
  readonly values: { readonly frames: FramesValue; readonly fitout: InsideValue };
};

/** Rounds of the search for one round of the other searches: pieces on sticks are quick to move. */
const ROUNDS_EACH = 100;

export const timberStage = defineStage<{ before: Before; whole: TimberOnPaper & BuyingTimber }>()({
  name: 'timber',
  title: 'Timber',
  schema: timberSchema,
  begin: timberAtFirst,
  catalogue: TIMBER_FINDINGS,
  constants,
  run: (part, { project, values }) => {
    const { members, frames, bevels } = values.frames;
    const runs = timberRuns(
      { members, frames, inside: values.fitout.all },
      { own: part.own, bendRatio: part.bendRatio },
    );
    const { able, findings } = judgeRuns(runs, { ...part });
    const job = timberJob(able, { ...part });
    const rips = ripsOf({ runs, members: project.frames.members, bevels });
    const found = [...findings, ...judgeRips(rips, part)];
    return { value: { runs, rips, job, key: hashOf(job) }, findings: found, assumed: [] };
  },
  search: ({ values }, rounds): FoundPlan => {
    const { job, key } = values.timber;
    return { key, result: planTimber(job, { seconds: 1, rounds: rounds * ROUNDS_EACH }) };
  },
  judgeFound: ({ values, found }) => judgePlan(values.timber, found.timber),
  tables: timberTables,
  buys: timberToBuy,
  sheets: timberSheets,
  tasks: timberTasks,
});
