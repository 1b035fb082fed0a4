/** The plan as a table, and on paper: day by day with the times of the clock. */
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
import { daysOf, dayWords, momentWords } from './days-of-plan';
import type { PlanPart } from './schema';
import type { PlanValue } from './value';
import { wantLines } from './want-words';
import { clockWords, hoursWords } from './words';

export type PlanWhole = {
  readonly project: { readonly plan: Pick<PlanPart, 'starts'> };
  readonly values: { readonly plan: PlanValue };
};
export type PlanOnPaper = PlanWhole & { readonly sheetHead: SheetHead };

const partWords = (part: number, parts: number): string => (parts > 1 ? `${part} of ${parts}` : '');

export function planTables({ project, values, sheetHead }: PlanOnPaper): ExportTable[] {
  const days = daysOf(values.plan.planned, project.plan);
  if (days.length === 0) return [];
  const rows = days.flatMap((day) =>
    day.entries.map(({ job: { job, isCritical }, from, to, part, parts }) => [
      ...[day.date === '' ? dayWords(day) : day.date, clockWords(from), clockWords(to), Math.round(to - from)],
      ...[job.name, partWords(part, parts), job.group, job.hands, isCritical ? 'yes' : ''],
    ]),
  );
  const heads = ['day', 'from', 'to', 'minutes', 'job', 'part', 'of', 'hands', 'the end hangs on it'];
  const wanted = values.plan.jobs.map(({ id, name, hands, minutes, needs }) => {
    const wants = values.plan.wants[id];
    const after = needs.map(({ job }) => values.plan.jobs.find((one) => one.id === job)?.name ?? job);
    const lines = wants ? wantLines(wants, sheetHead.notation) : [];
    return [
      ...[name, hoursWords(minutes), hands, after.join('; ')],
      ...[lines.map(({ what, value }) => `${what}: ${value}`).join('; '), (wants?.tools ?? []).join('; ')],
    ];
  });
  const wantHeads = ['job', 'takes', 'hands', 'after', 'wants', 'tools'];
  return [
    { name: 'plan', title: 'Plan, day by day (CSV)', csv: csv(heads, rows) },
    { name: 'jobs', title: 'What each job wants (CSV)', csv: csv(wantHeads, wanted) },
  ];
}

export function planSheets({ project, values, sheetHead: head }: PlanOnPaper): PaperSheets[] {
  const days = daysOf(values.plan.planned, project.plan);
  if (days.length === 0) return [];
  const inner = innerBox(pageOnItsSide(head.paper));
  const table = {
    columns: [{ head: 'day' }, { head: 'from' }, { head: 'to' }, { head: 'job' }, { head: 'takes', isFigure: true }],
    rows: days.flatMap((day) =>
      day.entries.map(({ job: { job }, from, to, part, parts }, i) => [
        ...[i === 0 ? dayWords(day) : '', clockWords(from), clockWords(to)],
        ...[`${job.name}${parts > 1 ? `, ${partWords(part, parts)}` : ''}`, hoursWords(to - from)],
      ]),
    ),
  };
  const sheet = {
    ...{ name: 'plan-sheet', title: 'Plan, day by day', part: 'Plan', hand: 'all work, in your own hours' },
    ...{ material: `ends ${momentWords(values.plan.end, project.plan)}`, scale: 'no drawing' },
  };
  return [
    sheetsOf(head, sheet, tablePages([table], { first: inner, later: inner })),
    sheetsOf(head, { ...sheet, ...WANTED }, tablePages([wantTable(values.plan, head)], { first: inner, later: inner })),
  ];
}

const WANTED = { name: 'plan-wants', title: 'What each job wants', part: 'Jobs', hand: 'what is got ready for each' };

/** In the order of the plan: what is left to do. */
function wantTable({ planned, wants }: PlanValue, { notation }: SheetHead) {
  return {
    columns: [{ head: 'job' }, { head: 'wants' }, { head: 'tools' }],
    rows: planned.map(({ job }) => {
      const own = wants[job.id];
      const lines = own ? wantLines(own, notation).map(({ what, value }) => `${what} ${value}`) : [];
      return [job.name, lines.join('; '), (own?.tools ?? []).join('; ')];
    }),
  };
}
