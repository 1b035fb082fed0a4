/**
 * What the book that opens in a browser gives back: its ticks, readings and note, read and put where they belong.
 *
 * A reading goes where the application's own goes: into the project where its stage keeps it, and into the log as drawn
 * and as found. What finds no place any more, or cannot be read, is kept in the log in its own words. Entries are named
 * by what they say, so that the same file taken twice adds nothing.
 */
import { z } from 'zod';
import type { Edit } from '../../findings';
import { hashOf } from '../../geometry';
import { logEntrySchema, type LogEntry } from '../../log';
import { NOTATIONS } from '../../measure';
import { applyEdits, doneEdits, readEdits, type Project, type ShopChapter, type StageName } from '../../project';
import { firstProblem, readFigure, type Task, type TaskStep } from '../../stage';

const id = z.string().min(1).max(200);
const givenSchema = z.object({
  kalotrope: z.literal('book'),
  version: z.literal(1),
  project: id,
  name: z.string().max(200),
  revision: z.number().int().min(1).max(9999),
  notation: z.enum(NOTATIONS),
  day: logEntrySchema.shape.day,
  /** Ids of steps by task. */
  ticks: z.record(id, z.array(id).max(1000)),
  readings: z
    .array(z.object({ task: id, step: id, text: z.string().min(1).max(40), day: logEntrySchema.shape.day }))
    .max(5000),
  note: z.string().max(4000),
});
export type GivenBack = z.infer<typeof givenSchema>;

export type ReadGivenBack =
  { readonly ok: true; readonly given: GivenBack } | { readonly ok: false; readonly problem: string };

/** Undefined where the text is not such a file at all. */
export function readGivenBack(text: string): ReadGivenBack | undefined {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return undefined;
  }
  if (typeof data !== 'object' || data === null || !('kalotrope' in data) || data.kalotrope !== 'book')
    return undefined;
  const read = givenSchema.safeParse(data);
  if (read.success) return { ok: true, given: read.data };
  return { ok: false, problem: `This is what a book gave back, but ${firstProblem(read.error)}.` };
}

/** Whether it is of this boat: by its id, or by its name where it was opened from a file. */
export const isGivenBackOf = ({ project, name }: GivenBack, boat: Pick<Project, 'id' | 'name'>): boolean =>
  project === boat.id || name === boat.name;

export type TakenBack = {
  readonly edits: readonly Edit[];
  readonly entries: readonly LogEntry[];
  readonly ticks: GivenBack['ticks'];
  /** Readings that were put in their place, and those that found none. */
  readonly placed: number;
  readonly unplaced: number;
};

type Into = {
  readonly project: Project;
  readonly chapters: readonly ShopChapter[];
  /** What is in the log already. */
  readonly entries: readonly LogEntry[];
  /** By the clock, ms. */
  readonly now: number;
};

export function takeBack(given: GivenBack, { project, chapters, entries, now }: Into): TakenBack {
  const base = { ...NOTHING, written: now, revision: given.revision };
  const known = new Set(entries.map((entry) => entry.id));
  const edits: Edit[] = [];
  const written: LogEntry[] = [];
  let boat = project;
  let [placed, unplaced] = [0, 0];
  const change = (more: readonly Edit[]): void => {
    const made = more.length > 0 ? applyEdits(boat, more) : undefined;
    if (!made?.ok) return;
    boat = made.project;
    edits.push(...more);
  };
  const write = (entry: Omit<LogEntry, 'id'>, says: unknown): boolean => {
    const name = `book.${hashOf([given.project, says])}`;
    if (known.has(name)) return false;
    known.add(name);
    written.push({ ...entry, id: name });
    return true;
  };
  for (const { task: key, step: stepId, text, day } of given.readings) {
    const at = placeOf(chapters, key, stepId);
    const reading = at?.step.reading;
    const figure = reading && readFigure(text, reading.kind, given.notation);
    const says = [key, stepId, text, day];
    if (!at || !reading || !figure?.ok) {
      unplaced += 1;
      write({ ...base, day, kind: 'note', words: `From the book: ${key}, ${stepId}, read "${text}"` }, says);
      continue;
    }
    placed += 1;
    const { value } = figure;
    const isNew = write(
      reading.kind === 'length'
        ? { ...base, ...measured(at), day, drawn: reading.should, found: value }
        : { ...base, ...measured(at), day, kind: 'note', words: `${wordsOf(at)}: ${text}°` },
      says,
    );
    if (isNew) change(readEdits(boat, at.stage, { task: at.task.id, step: stepId, value }));
  }
  for (const { stage, tasks } of chapters)
    for (const task of tasks) {
      const ticked = given.ticks[`${stage}/${task.id}`] ?? [];
      const isDone = task.steps.every((step) => ticked.includes(step.id));
      if (isDone) change(doneEdits(boat, stage, task.id));
    }
  const note = given.note.trim();
  if (note !== '') write({ ...base, day: given.day, kind: 'note', words: note }, ['note', note]);
  return { edits, entries: written, ticks: given.ticks, placed, unplaced };
}

const NOTHING: Omit<LogEntry, 'id' | 'day' | 'written' | 'revision'> = {
  ...{ kind: 'note', job: '', jobName: '', parts: [], words: '', answer: '', minutes: 0, cents: 0, on: '', group: '' },
  ...{ drawn: 0, found: 0, pictures: [], corrects: '', isTakenBack: false },
};

type Found = { readonly stage: StageName; readonly task: Task; readonly step: TaskStep };

function placeOf(chapters: readonly ShopChapter[], key: string, stepId: string): Found | undefined {
  for (const { stage, tasks } of chapters) {
    const task = tasks.find((one) => `${stage}/${one.id}` === key);
    const step = task?.steps.find((one) => one.id === stepId);
    if (task && step) return { stage, task, step };
  }
  return undefined;
}

const wordsOf = ({ task, step }: Found): string => `${[task.name, task.hand].filter(Boolean).join(', ')}: ${step.say}`;

const measured = (at: Found) => ({ kind: 'measured' as const, words: wordsOf(at), parts: [at.task.name] });
