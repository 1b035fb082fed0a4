/** The log of the open boat, and writing into it. */
import { jobsWith, PLAN_JOBS_PATH } from '@kalotrope/core/plan';
import { NO_RECORDS, type LogEntry, type LogRecords } from '@kalotrope/core/log';
import { edited } from '../../state/document-slice';
import { said } from '../../state/screen-slice';
import { selectFound, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';
import { addEntry } from '../../storage/log';
import { dayOf } from '../../storage/day';

export const useRecords = (): LogRecords => useAppSelector((state) => selectFound(state).log ?? NO_RECORDS);

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

export function useLog() {
  const store = useAppStore();
  const dispatch = useAppDispatch();
  /** Resolves to whether it is on the disk; where it is not, that was said. */
  const write = async (given: NewEntry): Promise<boolean> => {
    const project = selectProject(store.getState());
    if (!project) return false;
    try {
      await addEntry(project.id, entryNow(given, project.revision));
      return true;
    } catch {
      dispatch(said('This browser did not keep it: write it on paper before you close the page.'));
      return false;
    }
  };
  const jobDone = (id: string, name: string) => {
    const jobs = selectProject(store.getState())?.plan.jobs ?? [];
    if (jobs.some((job) => job.id === id && job.isDone)) return;
    const value = jobsWith(jobs, id, { isDone: true });
    dispatch(edited({ label: `${name}: done`, edits: [{ path: PLAN_JOBS_PATH, value }] }));
  };
  return { write, jobDone };
}
