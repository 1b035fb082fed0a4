/** The log of the open boat, and writing into it. */
import { jobsWith, PLAN_JOBS_PATH } from '@kalotrope/core/plan';
import { NO_RECORDS, type LogRecords } from '@kalotrope/core/log';
import { edited } from '../../state/document-slice';
import { selectFound, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';
import { useWriteEntry } from '../../controls/use-write-entry';

export const useRecords = (): LogRecords => useAppSelector((state) => selectFound(state).log ?? NO_RECORDS);

export function useLog() {
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const write = useWriteEntry();
  const jobDone = (id: string, name: string) => {
    const jobs = selectProject(store.getState())?.plan.jobs ?? [];
    if (jobs.some((job) => job.id === id && job.isDone)) return;
    const value = jobsWith(jobs, id, { isDone: true });
    dispatch(edited({ label: `${name}: done`, edits: [{ path: PLAN_JOBS_PATH, value }] }));
  };
  return { write, jobDone };
}
