/** The plan day by day: when on each day what is done, and what cures meanwhile. */
import { DAY_MIN, firstDay } from './calendar';
import { isoOf, weekdayOf, type Weekday } from './days';
import type { PlanPart } from './schema';
import type { PlannedJob } from './schedule';
import type { WorkJob } from './work/job';
import { clockWords } from './words';

export type DayEntry = {
  readonly job: PlannedJob;
  readonly from: number;
  readonly to: number;
  /** Of a job that goes on from day to day: which part of how many. */
  readonly part: number;
  readonly parts: number;
};

export type PlanDay = {
  /** From nought. */
  readonly day: number;
  readonly weekday: Weekday;
  /** Empty where no first day is said. */
  readonly date: string;
  readonly entries: readonly DayEntry[];
};

/** Days on which something is done. */
export function daysOf(planned: readonly PlannedJob[], part: Pick<PlanPart, 'starts'>): PlanDay[] {
  const first = firstDay(part);
  const entries = planned
    .flatMap((job) =>
      job.sessions.map(({ from, to }, i): DayEntry => ({ job, from, to, part: i + 1, parts: job.sessions.length })),
    )
    .sort((a, b) => a.from - b.from);
  const days = new Map<number, DayEntry[]>();
  for (const entry of entries) {
    const day = Math.floor(entry.from / DAY_MIN);
    days.set(day, [...(days.get(day) ?? []), entry]);
  }
  return [...days].map(([day, own]) => ({
    ...{ day, weekday: weekdayOf(first + day), entries: own },
    date: part.starts === '' ? '' : isoOf(first + day),
  }));
}

export const WEEKDAY_NAMES: Readonly<Record<Weekday, string>> = {
  ...{ mon: 'Monday', tue: 'Tuesday', wed: 'Wednesday', thu: 'Thursday', fri: 'Friday' },
  ...{ sat: 'Saturday', sun: 'Sunday' },
};

/** Tuesday 2027-03-02; or the third Tuesday where no first day is said: week 3, Tuesday. */
export const dayWords = ({ day, weekday, date }: Pick<PlanDay, 'day' | 'weekday' | 'date'>): string =>
  date === '' ? `Week ${Math.floor(day / 7) + 1}, ${WEEKDAY_NAMES[weekday]}` : `${WEEKDAY_NAMES[weekday]} ${date}`;

/** When something ends, as a day and a time. */
export const momentWords = (minute: number, part: Pick<PlanPart, 'starts'>): string => {
  const day = Math.floor(minute / DAY_MIN);
  const first = firstDay(part);
  const own = { day, weekday: weekdayOf(first + day), date: part.starts === '' ? '' : isoOf(first + day) };
  return `${dayWords(own)}, ${clockWords(minute)}`;
};

/** How long what comes after each job has to wait, minutes: by its id. */
export function waitsAfter(jobs: readonly WorkJob[]): ReadonlyMap<string, number> {
  const waits = new Map<string, number>();
  for (const { needs } of jobs)
    for (const { job, leastH } of needs) waits.set(job, Math.max(waits.get(job) ?? 0, leastH * 60));
  return waits;
}
