/** The part of a project that plans its work: the builder's own hours, and what is decided of single jobs. */
import { z } from 'zod';
import { countField, figureField } from '../stage';
import { dayNumber, WEEKDAYS, type Weekday } from './days';
import { WORK_GROUPS, type WorkGroup } from './work/job';

const hour = (title: string, max: number) => figureField(title, { min: 0, max, unit: 'h' });
const rateField = (group: WorkGroup) => figureField(`Times, ${group}`, { min: 0.1, max: 10 });
const hands = countField('Pairs of hands', 1, 8);
/** 2027-03-01; empty: none. */
const dateOrNone = z
  .string()
  .max(10)
  .refine((iso) => iso === '' || dayNumber(iso) !== undefined);

const hoursSchema = z.object({
  /** Of the clock. */
  from: hour('Begins at', 24),
  /** 0: a day without work. */
  hours: hour('Hours of work', 24),
  hands,
});

export const planSchema = z.object({
  /** The first day; empty: days are counted from a Monday. */
  starts: dateOrNone,
  week: z.object(Object.fromEntries(WEEKDAYS.map((day) => [day, hoursSchema])) as Record<Weekday, typeof hoursSchema>),
  /** Single days that are otherwise: a holiday, an evening with help. */
  days: z.array(z.object({ id: z.string().min(1).max(40), date: dateOrNone, ...hoursSchema.shape })).max(200),
  /** Of the usual hours: a first boat takes longer. */
  pace: figureField('Times the usual hours', { min: 0.1, max: 10 }),
  /** Over that, by kind of work: as the builder's own log has it. */
  rates: z.object(
    Object.fromEntries(WORK_GROUPS.map((group) => [group, rateField(group)])) as Record<
      WorkGroup,
      ReturnType<typeof rateField>
    >,
  ),
  /** What is decided of single jobs, by their ids. */
  jobs: z
    .array(
      z.object({
        id: z.string().min(1).max(120),
        /** The builder's own; null: as they are reckoned. */
        hours: hour('Hours for it', 1000).nullable(),
        notBefore: dateOrNone,
        /** Done after another, by its id, as the builder likes it; empty: as it comes. */
        after: z.string().max(120),
        isDone: z.boolean(),
      }),
    )
    .max(400),
});

export type PlanPart = z.infer<typeof planSchema>;
export type WorkHours = z.infer<typeof hoursSchema>;
export type JobPlan = PlanPart['jobs'][number];

export const PLAN_JOBS_PATH = ['plan', 'jobs'] as const;
export const PLAN_RATES_PATH = ['plan', 'rates'] as const;
export const PLAN_DAYS_PATH = ['plan', 'days'] as const;

/** The list with something decided of a job; it is put into it when something of it is first decided. */
export function jobsWith(jobs: readonly JobPlan[], id: string, given: Partial<JobPlan>): JobPlan[] {
  const own = jobs.find((job) => job.id === id) ?? { id, hours: null, notBefore: '', after: '', isDone: false };
  const next = { ...own, ...given };
  return jobs.includes(own) ? jobs.map((job) => (job.id === id ? next : job)) : [...jobs, next];
}

const EVENING: WorkHours = { from: 19, hours: 2, hands: 1 };
const SATURDAY: WorkHours = { from: 9, hours: 6, hands: 2 };
const SUNDAY: WorkHours = { from: 10, hours: 4, hands: 1 };

/** Two evenings and the end of the week, with help on Saturday: as most who write of it build. */
export const planAtFirst = (): PlanPart => ({
  starts: '',
  week: {
    mon: { ...EVENING, hours: 0 },
    tue: EVENING,
    wed: { ...EVENING, hours: 0 },
    thu: EVENING,
    fri: { ...EVENING, hours: 0 },
    sat: SATURDAY,
    sun: SUNDAY,
  },
  days: [],
  pace: 1,
  rates: Object.fromEntries(WORK_GROUPS.map((group) => [group, 1])) as Record<WorkGroup, number>,
  jobs: [],
});
