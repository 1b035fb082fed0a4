/** What is to be looked at of what was done. */
import type { Edit, FindingsOf } from '../findings';
import type { School } from '../frames';
import { PLAN_RATES_PATH, type PlanPart, type PlanValue } from '../plan';
import type { SetupPart } from '../setup';
import { AS_GOOD, LONG_STRETCH, MUCH_THROWN, RATE_FROM, RATE_OFF, THROWN_FROM } from './constants';
import type { LOG_FINDINGS } from './findings';
import type { MovedPart } from './life';
import type { LogRecords } from './records';
import type { LogPart } from './schema';
import { standing, type StandingEntry } from './standing';
import { centsOf, epoxySums, hoursByGroup, mixedPots, type GroupHours } from './sums';
import { cutThing, entryThing } from './things';

type LogFinding = FindingsOf<typeof LOG_FINDINGS>;

export type Judged = {
  readonly part: LogPart;
  readonly records: LogRecords;
  readonly plan: Pick<PlanValue, 'jobs' | 'done'>;
  readonly own: Pick<PlanPart, 'jobs' | 'rates'>;
  /** The widest gap that is left as it is, mm. */
  readonly gapLeft: number;
  /** The least at which the hardener cures, °C. */
  readonly leastC: number;
};

/** The widest gap that a builder leaves as it is, by how edges are made, mm. */
export const gapLeft = ({ school, setup }: { readonly school: School; readonly setup: Pick<SetupPart, 'limits'> }) =>
  school === 'filleted' ? setup.limits.fillet : setup.limits.glued;

const where = { stage: 'log' };
const at = ({ first }: StandingEntry) => ({ ...where, part: entryThing(first) });
const HOUR = 60;
const CENTS = 100;

export function judgeLog({ part, records, plan, own, gapLeft, leastC }: Judged): LogFinding[] {
  const entries = standing(records.entries);
  const budget = Math.round(part.budget * CENTS);
  const paid = centsOf(entries);
  const { mixed, thrown } = epoxySums(records.pots);
  const open = entries.filter(({ answer }) => answer.trim() === '');
  const jobName = (id: string) => plan.jobs.find((job) => job.id === id)?.name ?? id;
  return [
    ...(budget > 0 && paid > budget
      ? [{ severity: 'check', code: 'log-over-budget', where, data: { paid, budget } } as const]
      : []),
    ...entries
      .filter(({ kind, minutes }) => kind === 'hours' && minutes > LONG_STRETCH.value * HOUR)
      .map((one): LogFinding => ({
        ...{ severity: 'check', code: 'log-long-stretch', where: at(one) },
        data: { day: one.day, minutes: one.minutes },
      })),
    ...mixedPots(records.pots)
      .filter(({ shopC }) => shopC < leastC)
      .map(({ job, number, shopC }): LogFinding => ({
        ...{ severity: 'check', code: 'log-cold-pot', where },
        data: { job: jobName(job), number, shop: shopC, least: leastC },
      })),
    ...open
      .filter(({ kind }) => kind === 'mistake')
      .map((one): LogFinding => ({ severity: 'check', code: 'log-mistake-open', where: at(one), data: said(one) })),
    ...open
      .filter(({ kind }) => kind === 'doubt')
      .map((one): LogFinding => ({ severity: 'check', code: 'log-doubt-open', where: at(one), data: said(one) })),
    ...records.moved.flatMap((moved) => partTold(moved, gapLeft)),
    ...hoursByGroup(entries, plan, own.jobs).flatMap((hours) => rateTold(hours, own.rates)),
    ...(mixed >= THROWN_FROM.value && thrown > MUCH_THROWN.value * mixed
      ? [{ severity: 'note', code: 'log-much-thrown', where, data: { thrown, mixed } } as const]
      : []),
  ];
}

const MOST_LETTERS = 120;
const said = ({ day, words }: StandingEntry) => ({
  day,
  words: words.length > MOST_LETTERS ? `${words.slice(0, MOST_LETTERS)}…` : words,
});

/** Of a part that is cut and drawn otherwise now; nothing where a saw would come no nearer. */
function partTold({ part, name, revision, verdict, proud, short, holesOff }: MovedPart, gapLeft: number): LogFinding[] {
  const place = { ...where, part: cutThing(part) };
  const data = { part: name, revision };
  if (verdict === 'gone') return [{ severity: 'note', code: 'log-part-gone', where: place, data }];
  const told: LogFinding[] = [];
  if (short.mm > AS_GOOD.value) {
    const [along, up] = short.at;
    const severity = short.mm > gapLeft ? 'check' : 'note';
    const missing = { ...data, short: short.mm, along, up, allowed: gapLeft };
    told.push({ severity, code: 'log-part-short', where: place, data: missing });
  }
  // what is cut anew is not planed
  if (proud.mm > AS_GOOD.value && verdict !== 'anew') {
    const [along, up] = proud.at;
    const over = { ...data, proud: proud.mm, along, up };
    told.push({ severity: 'check', code: 'log-part-proud', where: place, data: over });
  }
  if (holesOff > 0)
    told.push({ severity: 'check', code: 'log-part-holes', where: place, data: { ...data, holes: holesOff } });
  return told;
}

const LEAST_RATE = 0.1;
const MOST_RATE = 10;
const RATE_STEP = 0.05;

/** The builder's own rate of a kind of work, as its jobs that are done have it; steps of a twentieth. */
export const rateOf = ({ done }: GroupHours, now: number): number => {
  const rate = (now * done.logged) / done.planned;
  return Math.min(MOST_RATE, Math.max(LEAST_RATE, Number((Math.round(rate / RATE_STEP) * RATE_STEP).toFixed(2))));
};

function rateTold(hours: GroupHours, rates: PlanPart['rates']): LogFinding[] {
  const { group, done } = hours;
  if (group === '' || done.planned < RATE_FROM.value) return [];
  const times = done.logged / done.planned;
  const rate = rateOf(hours, rates[group]);
  if (Math.abs(times - 1) <= RATE_OFF.value || rate === rates[group]) return [];
  const edit: Edit = { path: [...PLAN_RATES_PATH, group], value: rate };
  return [
    {
      ...{ severity: 'note', code: 'log-rate', where },
      data: { group, times, jobs: done.jobs, logged: done.logged, planned: done.planned },
      remedies: [{ label: `Plan the rest of ${group} at ${rate} times the usual hours`, edits: [edit] }],
    },
  ];
}
