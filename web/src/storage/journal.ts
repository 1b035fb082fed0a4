/**
 * What could not be saved before the page was left, written at once: the database answers too late for a page that is
 * going. Taken up when the project is next opened, unless another window has saved it since.
 */
import type { Project } from '@kalotrope/core/project';
import type { History, ProjectRecord } from './database';
import { WINDOW_ID } from './windows';

const keyOf = (id: string): string => `kalotrope-unsaved-${id}`;

/** `version`: the document's in the window that wrote it. */
export type JournalEntry = Partial<Pick<History, 'past' | 'future'>> & {
  readonly doc: unknown;
  readonly saves: number;
  readonly writer: string;
  readonly version: number;
};

type ToWrite = Pick<JournalEntry, 'saves' | 'version' | 'past' | 'future'>;

/** With what can be undone, if there is room for that; false where there is not even for the project. */
export function writeJournal(project: Project, { saves, version, past, future }: ToWrite): boolean {
  const entry: JournalEntry = { doc: project, saves, version, writer: WINDOW_ID };
  return [{ ...entry, past, future }, entry].some((whole) => {
    try {
      localStorage.setItem(keyOf(project.id), JSON.stringify(whole));
      return true;
    } catch {
      return false;
    }
  });
}

export function readJournal(id: string): JournalEntry | undefined {
  try {
    const text = localStorage.getItem(keyOf(id));
    const read: unknown = text === null ? undefined : JSON.parse(text);
    return isEntry(read) ? read : undefined;
  } catch {
    return undefined;
  }
}

const isEntry = (read: unknown): read is JournalEntry =>
  typeof read === 'object' &&
  read !== null &&
  'doc' in read &&
  'saves' in read &&
  typeof read.saves === 'number' &&
  'version' in read &&
  typeof read.version === 'number' &&
  'writer' in read &&
  typeof read.writer === 'string';

/** Whether it goes on from what is stored: nobody else has saved since it was written. */
export const goesOnFrom = (entry: JournalEntry, stored: Pick<ProjectRecord, 'saves' | 'writer'>): boolean =>
  entry.saves === stored.saves || entry.writer === stored.writer;

/** Takes it away, once this window has saved as much as it holds. */
export function clearJournal(id: string, savedVersion: number): void {
  const entry = readJournal(id);
  if (entry && entry.writer === WINDOW_ID && entry.version > savedVersion) return;
  forgetJournal(id);
}

export function forgetJournal(id: string): void {
  try {
    localStorage.removeItem(keyOf(id));
  } catch {
    // a browser that keeps nothing has nothing to forget
  }
}
