/** What is to be looked at of the plan. */
import type { FindingsOf } from '../findings';
import type { PLAN_FINDINGS } from './findings';
import { workThing } from './things';
import type { Planned } from './value';

type PlanFinding = FindingsOf<typeof PLAN_FINDINGS>;
const where = { stage: 'plan' };
const at = (id: string) => ({ ...where, part: workThing(id) });

/** A plan so much longer than the bound is looked into. */
const NEAR_BOUND = 0.1;
/** Less waiting is none worth a word, minutes. */
const WAIT_MIN = 60;

export function judgePlan(value: Planned, warmth: { readonly shop: number; readonly least: number }): PlanFinding[] {
  const { jobs, planned, left, lacksHands, longestMin, done, against } = value;
  if (jobs.length === 0 || done.length === jobs.length) return [];
  if (longestMin === 0) return [{ severity: 'stop', code: 'plan-no-hours', where, data: {} }];
  const nameOf = (id: string) => jobs.find((job) => job.id === id)?.name ?? id;
  const isCold = warmth.shop < warmth.least && jobs.some(({ isWet, id }) => isWet && !done.includes(id));
  return [
    ...(left.length > 0
      ? [{ severity: 'stop', code: 'plan-not-ended', where, data: { jobs: left.length } } as const]
      : []),
    ...(isCold ? [{ severity: 'check', code: 'plan-too-cold', where, data: { ...warmth } } as const] : []),
    ...jobs
      .filter(({ id }) => against.includes(id) && !done.includes(id))
      .map(({ id, name }): PlanFinding => ({
        ...{ severity: 'check', code: 'plan-order-circle', where: at(id), data: { job: name } },
      })),
    ...jobs
      .filter(({ id }) => lacksHands.includes(id))
      .map(({ id, name, hands }): PlanFinding => ({
        ...{ severity: 'check', code: 'plan-lacks-hands', where: at(id), data: { job: name, hands } },
      })),
    ...planned
      .filter(({ overMin }) => overMin > 0)
      .map(({ job, minutes }): PlanFinding => ({
        ...{ severity: 'check', code: 'plan-runs-over', where: at(job.id) },
        data: { job: job.name, minutes, longest: longestMin },
      })),
    ...planned.flatMap(({ job, sandedFor }): PlanFinding[] => {
      const bonds = job.needs.find((need) => need.job === sandedFor)?.bonds;
      if (sandedFor === undefined || !bonds || done.includes(sandedFor)) return [];
      const data = { job: job.name, under: nameOf(sandedFor), hours: bonds.mostH };
      return [{ severity: 'note', code: 'plan-sanded', where: at(job.id), data }];
    }),
    ...waits(value),
  ];
}

/** Where it ends much later than it must, and hours of the builder's own go by. */
function waits({ end, bound, idleMin, left }: Planned): PlanFinding[] {
  if (left.length > 0 || end <= bound * (1 + NEAR_BOUND) || idleMin < WAIT_MIN) return [];
  return [{ severity: 'note', code: 'plan-waits', where, data: { minutes: idleMin } }];
}
