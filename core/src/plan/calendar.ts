/** The builder's own hours as stretches of time: minutes from the beginning of the first day, 1440 a day. */
import { dayNumber, weekdayOf } from './days';
import type { PlanPart, WorkHours } from './schema';

export type Stretch = { readonly from: number; readonly to: number; readonly hands: number };

export const DAY_MIN = 1440;
/** Further on nothing is planned: ten years. */
const MOST_DAYS = 3653;
/** A Monday: where no first day is said days are counted from it. */
const SOME_MONDAY = 4;

/** Of the first day its number since 1970. */
export const firstDay = ({ starts }: Pick<PlanPart, 'starts'>): number => dayNumber(starts) ?? SOME_MONDAY;

/** The first day's number is nought; undefined where no first day is said or the date is none. */
export function dayOfDate({ starts }: Pick<PlanPart, 'starts'>, date: string): number | undefined {
  const [first, own] = [dayNumber(starts), dayNumber(date)];
  return first === undefined || own === undefined ? undefined : own - first;
}

/** So many days of it; in order, none over another: what runs past midnight stops there. */
export function stretchesOf(part: Pick<PlanPart, 'starts' | 'week' | 'days'>, days: number): Stretch[] {
  const first = firstDay(part);
  const special = new Map(
    part.days.flatMap((one): [number, WorkHours][] => {
      const day = dayOfDate(part, one.date);
      return day === undefined ? [] : [[day, one]];
    }),
  );
  return Array.from({ length: Math.min(days, MOST_DAYS) }, (_, day) => {
    const { from, hours, hands } = special.get(day) ?? part.week[weekdayOf(first + day)];
    const start = day * DAY_MIN + Math.round(from * 60);
    return { from: start, to: Math.min(start + Math.round(hours * 60), (day + 1) * DAY_MIN), hands };
  }).filter(({ from, to }) => to > from);
}

/** As many days as hold so much work and its waiting, with room to spare. */
export function enoughDays(part: Pick<PlanPart, 'week' | 'days'>, minutes: number): number {
  const week = Object.values(part.week).reduce((sum, { hours }) => sum + hours * 60, 0);
  const single = part.days.reduce((sum, { hours }) => sum + hours * 60, 0);
  if (week === 0) return single > 0 ? MOST_DAYS : 0;
  return Math.min(MOST_DAYS, Math.ceil((4 * minutes * 7) / week) + part.days.length + SPARE_DAYS);
}
const SPARE_DAYS = 120;
