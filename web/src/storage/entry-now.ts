/** An entry of the log as it is written now. */
import type { LogEntry } from '@kalotrope/core/log';
import { dayOf } from './day';

/** An entry without what is the same for every one that is written now. */
export type NewEntry = Partial<LogEntry> & Pick<LogEntry, 'kind'>;

const NOTHING: Omit<LogEntry, 'id' | 'kind' | 'day' | 'written' | 'revision'> = {
  ...{ job: '', jobName: '', parts: [], words: '', answer: '', minutes: 0, cents: 0, on: '' },
  ...{ group: '', drawn: 0, found: 0, pictures: [], corrects: '', isTakenBack: false },
};

export function entryNow(given: NewEntry, revision: number): LogEntry {
  const now = Date.now();
  return {
    ...NOTHING,
    day: dayOf(now),
    ...given,
    id: crypto.randomUUID(),
    written: now,
    revision,
  };
}
