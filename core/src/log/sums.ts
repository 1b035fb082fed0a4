/** What the entries come to: hours against the plan, money against the list, epoxy mixed and thrown away. */
import { WORK_GROUPS, type PlanPart, type PlanValue, type WorkGroup } from '../plan';
import type { LogEntry, MixedEntry, PotEntry } from './records';

type Entries = readonly LogEntry[];

const isHours = ({ kind }: LogEntry): boolean => kind === 'hours';

export const minutesOf = (entries: Entries): number =>
  entries.filter(isHours).reduce((sum, { minutes }) => sum + minutes, 0);

export const centsOf = (entries: Entries): number =>
  entries.filter(({ kind }) => kind === 'money').reduce((sum, { cents }) => sum + cents, 0);

/** 12.50, of hundredths. */
export const moneyWords = (cents: number): string => (cents / CENTS).toFixed(2);
const CENTS = 100;

/** Minutes of a kind of work; of those of its jobs that are done and have hours in the log, both sums again. */
export type GroupHours = {
  readonly group: WorkGroup | '';
  readonly planned: number;
  readonly logged: number;
  readonly done: { readonly jobs: number; readonly planned: number; readonly logged: number };
};

/** `own`: what is decided of single jobs; one with hours of its own says nothing of the usual ones. */
export function hoursByGroup(
  entries: Entries,
  { jobs, done }: Pick<PlanValue, 'jobs' | 'done'>,
  own: PlanPart['jobs'],
): GroupHours[] {
  const hours = entries.filter(isHours);
  const groupOf = ({ job, group }: LogEntry) => jobs.find(({ id }) => id === job)?.group ?? group;
  const on = (job: string) => hours.filter((entry) => entry.job === job).reduce((sum, one) => sum + one.minutes, 0);
  return [...WORK_GROUPS, ''].flatMap((group): GroupHours[] => {
    const all = jobs.filter((job) => job.group === group);
    const told = all.filter(
      ({ id }) => done.includes(id) && on(id) > 0 && (own.find((one) => one.id === id)?.hours ?? null) === null,
    );
    const made = {
      group: group as WorkGroup | '', // one of the list
      planned: all.reduce((sum, { minutes }) => sum + minutes, 0),
      logged: hours.filter((entry) => groupOf(entry) === group).reduce((sum, { minutes }) => sum + minutes, 0),
      done: {
        jobs: told.length,
        planned: told.reduce((sum, { minutes }) => sum + minutes, 0),
        logged: told.reduce((sum, { id }) => sum + on(id), 0),
      },
    };
    return made.planned + made.logged > 0 ? [made] : [];
  });
}

/** Money by what it went on, in hundredths. */
export function centsByUse(entries: Entries): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const { kind, on, cents } of entries) if (kind === 'money') sums.set(on, (sums.get(on) ?? 0) + cents);
  return sums;
}

export type EpoxySums = { readonly pots: number; readonly mixed: number; readonly thrown: number };

const massOf = ({ a, b, filler }: MixedEntry): number => a + b + filler;
export const mixedPots = (pots: readonly PotEntry[]): MixedEntry[] =>
  pots.filter((one): one is MixedEntry => one.kind === 'mixed');

/** Grams. A pot that was emptied twice was emptied by the last. */
export function epoxySums(pots: readonly PotEntry[]): EpoxySums {
  const mixed = mixedPots(pots);
  const thrownOf = (at: number) => {
    const ends = pots.filter((one) => one.kind === 'emptied' && one.of === at);
    const last = ends[ends.length - 1];
    return last?.kind === 'emptied' ? last.thrown : 0;
  };
  return {
    pots: mixed.length,
    mixed: mixed.reduce((sum, pot) => sum + massOf(pot), 0),
    thrown: mixed.reduce((sum, { at }) => sum + thrownOf(at), 0),
  };
}
