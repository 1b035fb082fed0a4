/** What is being written down, as it stands in the form, and the entry that it makes. */
import type { WorkJob } from '@kalotrope/core/plan';
import { moneyWords, readHours, readMoney, type LogEntry, type LogKind } from '@kalotrope/core/log';
import { dayOf } from '../../storage/day';
import { OTHER_USE } from './words';

export type Draft = {
  readonly kind: LogKind;
  readonly day: string;
  /** Id of a job; empty: none. */
  readonly job: string;
  readonly parts: readonly string[];
  readonly hours: string;
  readonly amount: string;
  readonly on: string;
  readonly drawn: number;
  readonly found: number;
  readonly words: string;
  readonly answer: string;
  readonly pictures: readonly string[];
  /** The job is done with it. */
  readonly isDone: boolean;
};

export const emptyDraft = (now: number): Draft => ({
  ...{ kind: 'hours', day: dayOf(now), job: '', parts: [], hours: '', amount: '', on: OTHER_USE, drawn: 0, found: 0 },
  ...{ words: '', answer: '', pictures: [], isDone: false },
});

const HOUR = 60;
/** 1:05 of minutes. */
const clockOf = (minutes: number): string => `${Math.floor(minutes / HOUR)}:${String(minutes % HOUR).padStart(2, '0')}`;

export const draftOf = (entry: LogEntry): Draft => ({
  ...{
    kind: entry.kind,
    day: entry.day,
    job: entry.job,
    parts: entry.parts,
    on: entry.on === '' ? OTHER_USE : entry.on,
  },
  ...{ hours: entry.kind === 'hours' ? clockOf(entry.minutes) : '' },
  ...{ amount: entry.kind === 'money' ? moneyWords(entry.cents) : '', drawn: entry.drawn, found: entry.found },
  ...{ words: entry.words, answer: entry.answer, pictures: entry.pictures, isDone: false },
});

export const hasAnswer = (kind: LogKind): boolean => kind === 'mistake' || kind === 'doubt';
export const wantsWords = (kind: LogKind): boolean => kind !== 'hours' && kind !== 'money';

/** What is missing, by field; empty where it can be written down. */
export function missing(draft: Draft): Partial<Record<'hours' | 'amount' | 'words' | 'day', string>> {
  const { kind } = draft;
  const hours = readHours(draft.hours);
  const amount = readMoney(draft.amount);
  return {
    ...(draft.day === '' ? { day: 'Expected a day' } : {}),
    ...(kind === 'hours' && !hours.ok ? { hours: `Expected ${hours.expected}` } : {}),
    ...(kind === 'money' && !amount.ok ? { amount: `Expected ${amount.expected}` } : {}),
    ...(wantsWords(kind) && draft.words.trim() === '' && draft.pictures.length === 0
      ? { words: kind === 'measured' ? 'Expected what was measured' : 'Expected a few words' }
      : {}),
  };
}

/** Of a draft of which nothing is missing. */
export function entryOf(draft: Draft, jobs: readonly WorkJob[], before?: LogEntry) {
  const hours = readHours(draft.hours);
  const amount = readMoney(draft.amount);
  const job = jobs.find(({ id }) => id === draft.job);
  // a job that is in the plan no more keeps the name that it had
  const known = job ?? (before?.job === draft.job ? { name: before.jobName, group: before.group } : undefined);
  return {
    ...{ kind: draft.kind, day: draft.day, job: draft.job, jobName: known?.name ?? '', group: known?.group ?? '' },
    ...{ parts: [...draft.parts], words: draft.words.trim(), pictures: [...draft.pictures] },
    answer: hasAnswer(draft.kind) ? draft.answer.trim() : '',
    minutes: draft.kind === 'hours' && hours.ok ? hours.value : 0,
    cents: draft.kind === 'money' && amount.ok ? amount.value : 0,
    on: draft.kind === 'money' ? draft.on : '',
    drawn: draft.kind === 'measured' ? draft.drawn : 0,
    found: draft.kind === 'measured' ? draft.found : 0,
  } as const;
}
