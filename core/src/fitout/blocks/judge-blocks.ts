/** What is to be looked at of the blocks. */
import { FEATHER } from '../constants';
import type { InsideFinding } from '../findings';
import type { BlockPlan } from '../schema';
import { insideThing } from '../things';
import type { FittedBlock, NoBlock } from './block';

export const judgeBlocks = (plans: readonly BlockPlan[], blocks: readonly FittedBlock[]): InsideFinding[] =>
  plans.flatMap((plan) =>
    blocks
      .filter((block) => block.plan === plan.id)
      .flatMap((block) =>
        block.none ? [notMade(plan, block.none, block.noneAt ?? plan.from.x)] : feather(plan, block),
      ),
  );

const whereOf = (plan: BlockPlan, x: number) => ({ stage: 'fitout', part: insideThing(plan.id), x });

function notMade(plan: BlockPlan, why: NoBlock, x: number): InsideFinding {
  const where = whereOf(plan, x);
  switch (why) {
    case 'no-length':
      return { severity: 'stop', code: 'block-no-length', where, data: { part: plan.name } };
    case 'meets-nothing':
      return { severity: 'stop', code: 'block-meets-nothing', where, data: { part: plan.name, x } };
    case 'no-room':
      return { severity: 'stop', code: 'block-no-room', where, data: { part: plan.name, x } };
  }
}

function feather(plan: BlockPlan, { thinnest }: FittedBlock): InsideFinding[] {
  const least = FEATHER.value;
  if (thinnest >= least) return [];
  const data = { part: plan.name, mm: thinnest, least };
  return [{ severity: 'check', code: 'block-feather', where: whereOf(plan, plan.from.x), data }];
}
