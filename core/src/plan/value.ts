/** The plan of a boat: its jobs, when each is done, and what no plan can beat. */
import { dayOfDate, DAY_MIN, enoughDays, stretchesOf } from './calendar';
import { inOwnOrder } from './own-order';
import { schedule, type Schedule } from './schedule';
import type { PlanPart } from './schema';
import type { WorkJob } from './work/job';
import type { Wants } from './work/wants';

export type PlanValue = Planned & {
  /** By the job's id. */
  readonly wants: Readonly<Record<string, Wants>>;
};

export type Planned = Schedule & {
  readonly jobs: readonly WorkJob[];
  /** Put after what itself waits for them: their wish is left out. */
  readonly against: readonly string[];
  /** Ticked as done. */
  readonly done: readonly string[];
  /** Of all that is left, minutes. */
  readonly workMin: number;
  /** Longest stretch of hours there is. */
  readonly longestMin: number;
};

const HOUR = 60;

/** Nobody reckons finer. */
const QUARTER = 15;
const quarters = (minutes: number): number => QUARTER * Math.max(1, Math.ceil(minutes / QUARTER - 1e-9));

/** Work with the builder's own pace, and the hours put in for single jobs. */
export const paced = (
  jobs: readonly WorkJob[],
  { pace, rates, jobs: own }: Pick<PlanPart, 'pace' | 'rates' | 'jobs'>,
): WorkJob[] =>
  jobs.map((job) => {
    const times = pace * rates[job.group];
    const needs = job.needs.map(({ bonds, ...need }) => ({
      ...need,
      ...(bonds && { bonds: { ...bonds, sandMin: bonds.sandMin === 0 ? 0 : quarters(bonds.sandMin * times) } }),
    }));
    const hours = own.find(({ id }) => id === job.id)?.hours ?? null;
    return {
      ...job,
      needs,
      minutes: hours === null ? quarters(job.minutes * times) : Math.max(1, Math.round(hours * HOUR)),
    };
  });

export function planOfPaced(work: readonly WorkJob[], part: PlanPart): Planned {
  const { jobs, against } = inOwnOrder(work, part);
  const done = jobs.filter(({ id }) => part.jobs.some((own) => own.id === id && own.isDone)).map(({ id }) => id);
  const notBefore = new Map(
    part.jobs.flatMap(({ id, notBefore: date }): [string, number][] => {
      const day = dayOfDate(part, date);
      return day === undefined ? [] : [[id, day * DAY_MIN]];
    }),
  );
  const left = jobs.filter(({ id }) => !done.includes(id));
  const workMin = left.reduce((sum, { minutes }) => sum + minutes, 0);
  const waiting = left.reduce((sum, { needs }) => sum + Math.max(0, ...needs.map(({ leastH }) => leastH * HOUR)), 0);
  const latest = Math.max(0, ...notBefore.values()) / DAY_MIN;
  const stretches = stretchesOf(part, enoughDays(part, workMin + waiting) + latest);
  const made = schedule({ jobs, done: new Set(done), notBefore, stretches });
  return {
    ...made,
    // for JSON: where there are no hours at all nothing ends
    bound: Number.isFinite(made.bound) ? made.bound : made.end,
    ...{ jobs, against, done, workMin },
    longestMin: Math.max(0, ...stretches.map(({ from, to }) => to - from)),
  };
}
