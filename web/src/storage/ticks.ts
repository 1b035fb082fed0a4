/** What is ticked in the shop, step by step, of each task: it stays when the page goes, and other windows see it. */
import { liveQuery } from 'dexie';
import { z } from 'zod';
import { db } from './database';

/** Ids of steps that are ticked, by task. */
export type Ticks = Readonly<Record<string, readonly string[]>>;
export const NO_TICKS: Ticks = {};

const keyOf = (project: string): string => `ticks ${project}`;
const ticksSchema = z.record(z.string(), z.array(z.string()));

function readTicks(value: string | undefined): Ticks {
  if (value === undefined) return NO_TICKS;
  try {
    return ticksSchema.safeParse(JSON.parse(value)).data ?? NO_TICKS;
  } catch {
    return NO_TICKS;
  }
}

export const ticksOf = async (project: string): Promise<Ticks> =>
  readTicks((await db.marks.get(keyOf(project)))?.value);

/**
 * The steps of a task that are ticked, changed as told: in one, so that two windows lose none of each other's. Gives
 * back those that were ticked before.
 */
export async function changeTicks(
  project: string,
  task: string,
  change: (steps: readonly string[]) => readonly string[],
): Promise<readonly string[]> {
  return db.transaction('rw', db.marks, async () => {
    const ticks = await ticksOf(project);
    const before = ticks[task] ?? [];
    await db.marks.put({ key: keyOf(project), value: JSON.stringify({ ...ticks, [task]: change(before) }) });
    return before;
  });
}

/** Tells of them at once, and whenever a window has changed them; gives back how to end it. */
export function watchTicks(project: string, tell: (ticks: Ticks) => void): () => void {
  const following = liveQuery(() => ticksOf(project)).subscribe({ next: tell, error: () => undefined });
  return () => following.unsubscribe();
}
