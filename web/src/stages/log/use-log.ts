/** The log of the open boat, and writing into it. */
import { jobsWith, PLAN_JOBS_PATH } from '@kalotrope/core/plan';
import { NO_RECORDS, type LogRecords } from '@kalotrope/core/log';
import { edited } from '../../state/document-slice';
import { said } from '../../state/screen-slice';
import { selectFound, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';
import { addEntry } from '../../storage/log';
import { entryNow, type NewEntry } from './entry-now';

export const useRecords = (): LogRecords => useAppSelector((state) => selectFound(state).log ?? NO_RECORDS);

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
