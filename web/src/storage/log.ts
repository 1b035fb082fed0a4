/**
 * The log of a boat, beside the project: only added to, so that an undo of the design takes nothing out of it; and the
 * clock that runs, which is the store's and so survives the page.
 */
import { liveQuery } from 'dexie';
import { z } from 'zod';
import { NO_RECORDS, type LogEntry, type LogRecords, type PartRecord, type RunningClock } from '@kalotrope/core/log';
import { db } from './database';

/** Resolves when the entry is on the disk. */
export async function addEntry(project: string, entry: LogEntry): Promise<void> {
  await db.log.add({ project, entry });
}

/** What became of a part: resolves when it is on the disk. */
export async function addPartRecords(project: string, records: readonly PartRecord[]): Promise<void> {
  await db.parts.bulkAdd(records.map((record) => ({ project, record })));
}

/** Everything that was done, in the order in which it was written. */
export async function recordsOf(project: string): Promise<LogRecords> {
  const [log, parts, pots, clock] = await db.transaction('r', db.log, db.parts, db.pots, db.marks, () =>
    Promise.all([
      db.log.where('project').equals(project).sortBy('key'),
      db.parts.where('project').equals(project).sortBy('key'),
      db.pots.where('project').equals(project).sortBy('at'),
      db.marks.get(clockKey(project)),
    ]),
  );
  return {
    ...NO_RECORDS,
    entries: log.map(({ entry }) => entry),
    parts: parts.map(({ record }) => record),
    // without what only the store knows
    pots: pots.map(({ key: _key, project: _project, ...pot }) => pot),
    clock: readClock(clock?.value),
  };
}

/** Tells of them at once, and again whenever this window or another has added something; gives back how to end it. */
export function watchRecords(project: string, tell: (records: LogRecords) => void): () => void {
  const following = liveQuery(() => recordsOf(project)).subscribe({ next: tell, error: () => undefined });
  return () => following.unsubscribe();
}

/** Records that came with a project's file, under the project that it became. */
export async function addRecords(project: string, { entries, pots, parts }: LogRecords): Promise<void> {
  await db.transaction('rw', db.log, db.pots, db.parts, async () => {
    await db.log.bulkAdd(entries.map((entry) => ({ project, entry })));
    await db.pots.bulkAdd(pots.map((pot) => ({ ...pot, project })));
    await db.parts.bulkAdd(parts.map((record) => ({ project, record })));
  });
}

const clockKey = (project: string): string => `clock ${project}`;
const clockSchema = z.object({ job: z.string(), since: z.number() });

function readClock(value: string | undefined): RunningClock | null {
  if (value === undefined) return null;
  try {
    return clockSchema.safeParse(JSON.parse(value)).data ?? null;
  } catch {
    return null;
  }
}

/** Unless one runs already: then that one goes on. */
export async function startClock(project: string, clock: RunningClock): Promise<void> {
  await db.transaction('rw', db.marks, async () => {
    const key = clockKey(project);
    if (readClock((await db.marks.get(key))?.value) === null) await db.marks.put({ key, value: JSON.stringify(clock) });
  });
}

/** The clock stopped and its hours written, in one: neither is there without the other, and no clock writes twice. */
export async function stopClock(project: string, write: (clock: RunningClock) => LogEntry | null): Promise<void> {
  await db.transaction('rw', db.marks, db.log, async () => {
    const key = clockKey(project);
    const clock = readClock((await db.marks.get(key))?.value);
    await db.marks.delete(key);
    const entry = clock && write(clock);
    if (entry) await db.log.add({ project, entry });
  });
}
