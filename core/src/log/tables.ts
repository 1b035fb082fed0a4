/** The log as a table, and on paper: all of it, entry by entry, with what it comes to. */
import {
  csv,
  innerBox,
  pageOnItsSide,
  sheetsOf,
  tablePages,
  type ExportTable,
  type PaperSheets,
  type SheetHead,
} from '../formats';
import type { School } from '../frames';
import { formatMass, formatSmall, formatWithUnit, type Notation } from '../measure';
import { hoursWords, type PlanPart, type PlanValue } from '../plan';
import type { SetupPart } from '../setup';
import { NO_RECORDS, type LogEntry, type LogKind, type LogRecords } from './records';
import type { LogPart } from './schema';
import { standing, type StandingEntry } from './standing';
import { centsOf, epoxySums, hoursByGroup, minutesOf, moneyWords } from './sums';

export type LogWhole = {
  readonly project: {
    readonly log: LogPart;
    readonly notation: Notation;
    readonly plan: Pick<PlanPart, 'jobs' | 'rates'>;
    readonly school: School;
    readonly setup: Pick<SetupPart, 'limits'>;
    readonly epoxy: { readonly resin: { readonly leastC: number } };
  };
  readonly values: { readonly plan: Pick<PlanValue, 'jobs' | 'done'> };
  readonly found: { readonly log?: LogRecords };
  readonly sheetHead: SheetHead;
};

const isFirst = (entry: LogEntry, list: readonly StandingEntry[]) => list.some(({ id }) => id === entry.id);

/** Every entry as it was written, with whether it stands. */
export function logTables({ found }: Pick<LogWhole, 'found'>): ExportTable[] {
  const { entries } = found.log ?? NO_RECORDS;
  if (entries.length === 0) return [];
  const stand = standing(entries);
  const heads = [
    ...['day', 'kind', 'job', 'parts', 'minutes', 'money', 'on', 'drawn_mm', 'found_mm', 'words', 'done_about_it'],
    ...['pictures', 'revision', 'stands', 'id', 'puts_right'],
  ];
  const only = (kind: LogKind, entry: LogEntry, figure: number | string) => (entry.kind === kind ? figure : '');
  const rows = entries.map((entry) => [
    ...[entry.day, entry.kind, entry.jobName, entry.parts.join('; ')],
    ...[only('hours', entry, entry.minutes), only('money', entry, moneyWords(entry.cents))],
    ...[entry.on, only('measured', entry, entry.drawn), only('measured', entry, entry.found)],
    ...[entry.words, entry.answer, entry.pictures.length, entry.revision],
    ...[isFirst(entry, stand) ? 'yes' : 'no', entry.id, entry.corrects],
  ]);
  return [{ name: 'log', title: 'Log, every entry (CSV)', csv: csv(heads, rows) }];
}

/** No rule shows less. */
const AS_DRAWN_MM = 0.05;

/** What an entry says in one figure. */
export function figureWords(entry: LogEntry, notation: Notation): string {
  if (entry.kind === 'hours') return hoursWords(entry.minutes);
  if (entry.kind === 'money') return moneyWords(entry.cents);
  if (entry.kind !== 'measured') return '';
  const off = Math.abs(entry.found - entry.drawn);
  const drawn = formatWithUnit(entry.drawn, notation);
  if (off < AS_DRAWN_MM) return `${drawn}, as drawn`;
  return `${formatSmall(off, notation)} ${entry.found > entry.drawn ? 'over' : 'under'} ${drawn}`;
}

/** In brackets after the words; empty where there are none. */
export const photosWords = (count: number): string =>
  count === 0 ? '' : count === 1 ? '(a photograph)' : `(${count} photographs)`;

export function logSheets({ project, values, found, sheetHead: head }: LogWhole): PaperSheets[] {
  const { entries, pots } = found.log ?? NO_RECORDS;
  const stand = standing(entries);
  if (stand.length === 0) return [];
  const inner = innerBox(pageOnItsSide(head.paper));
  const { pots: mixedPots, mixed, thrown } = epoxySums(pots);
  const comesTo = {
    columns: [{ head: 'together' }, { head: 'planned', isFigure: true }, { head: 'taken', isFigure: true }],
    rows: [
      ...hoursByGroup(stand, values.plan, project.plan.jobs).map(({ group, planned, logged }) => [
        ...[`hours, ${group === '' ? 'of no job' : group}`, hoursWords(planned), hoursWords(logged)],
      ]),
      ['hours, all', hoursWords(values.plan.jobs.reduce((sum, one) => sum + one.minutes, 0)), all(stand)],
      ['money', project.log.budget > 0 ? project.log.budget.toFixed(2) : '', moneyWords(centsOf(stand))],
      ...(mixedPots > 0
        ? [
            ['epoxy mixed', '', formatMass(mixed, project.notation)],
            ['epoxy thrown away', '', formatMass(thrown, project.notation)],
          ]
        : []),
    ],
  };
  const every = {
    columns: [
      { head: 'day' },
      { head: 'what' },
      { head: 'figure', isFigure: true },
      { head: 'job' },
      { head: 'words' },
    ],
    rows: [...stand]
      .sort(byDay)
      .map((entry) => [
        ...[entry.day, entry.kind, figureWords(entry, project.notation)],
        inOne([entry.jobName, ...entry.parts], '; '),
        inOne([entry.words, answerWords(entry), photosWords(entry.pictures.length)], ' '),
      ]),
  };
  const sheet = {
    ...{ name: 'log-sheet', title: 'Log, all of it', part: 'Log', hand: 'what was done, paid and measured' },
    ...{ material: '', scale: 'no drawing' },
  };
  return [sheetsOf(head, sheet, tablePages([comesTo, every], { first: inner, later: inner }))];
}

const inOne = (words: readonly string[], between: string) => words.filter((one) => one !== '').join(between);
const answerWords = ({ answer }: LogEntry) => (answer === '' ? '' : `Done about it: ${answer}`);
const all = (stand: readonly StandingEntry[]): string => hoursWords(minutesOf(stand));
const byDay = (a: LogEntry, b: LogEntry): number => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0);
