/**
 * What the forecast does to the plan: wet jobs that it spoils, and what else can be done in their hours.
 *
 * A job is spoilt where it is too cold or too damp while it is done, or where the shop falls below the least warmth
 * before the work is hard. Clock times: ms since 1970; minutes of the plan are put on the clock by who knows it.
 */
import { holdOffs, type HoldOff, type Resin, type Weather } from '../epoxy';
import type { PlannedJob } from './schedule';
import type { PlanValue } from './value';
import type { WorkJob } from './work/job';

export type Spoilt = {
  readonly job: WorkJob;
  /** Of the plan. */
  readonly start: number;
  readonly why: readonly HoldOff[];
  /** It is well while it is done, and grows too cold before it is hard: at this time. */
  readonly coldAt: number | null;
  /** Dry work that may be done then. */
  readonly instead: readonly WorkJob[];
};

type Asked = {
  /** Hour by hour. */
  readonly weather: readonly Weather[];
  readonly resin: Resin;
  readonly clockOf: (minute: number) => number;
};

const HOUR_MS = 3_600_000;
const MOST_INSTEAD = 3;

export function spoiltBy(
  { planned, wants, done }: Pick<PlanValue, 'planned' | 'wants' | 'done'>,
  { weather, resin, clockOf }: Asked,
): Spoilt[] {
  const [first, last] = [weather[0]?.at ?? Infinity, weather[weather.length - 1]?.at ?? -Infinity];
  return planned.flatMap((one): Spoilt[] => {
    const cure = wants[one.job.id]?.cure;
    const [from, to] = [clockOf(one.start), clockOf(one.end)];
    if (!cure || from < first || from > last) return [];
    const limits = { ...resin, leastC: cure.leastC, dampest: cure.dampest };
    const why = [...new Set(between(weather, from, to).flatMap((hour) => holdOffs(hour, limits)))];
    const cold = between(weather, to, to + cure.hardH * HOUR_MS).find(({ tempC }) => tempC < cure.leastC);
    if (why.length === 0 && !cold) return [];
    const coldAt = why.length === 0 && cold ? Math.max(to, cold.at) : null;
    return [{ job: one.job, start: one.start, why, coldAt, instead: insteadOf(one, planned, done) }];
  });
}

/** The hours that any of a stretch lies in. */
const between = (weather: readonly Weather[], from: number, to: number): Weather[] =>
  weather.filter(({ at }, k) => at <= to && (weather[k + 1]?.at ?? at + HOUR_MS) > from);

/** Dry jobs of later that wait for nothing by then. */
function insteadOf({ start, job }: PlannedJob, planned: readonly PlannedJob[], done: readonly string[]): WorkJob[] {
  const ends = new Map(planned.map((one) => [one.job.id, one.end]));
  const isReady = ({ needs }: WorkJob) =>
    needs.every((need) => done.includes(need.job) || (ends.get(need.job) ?? Infinity) + need.leastH * 60 <= start);
  return planned
    .filter((one) => !one.job.isWet && one.end > start && one.job.id !== job.id && isReady(one.job))
    .sort((a, b) => a.start - b.start)
    .slice(0, MOST_INSTEAD)
    .map((one) => one.job);
}
