/** Edits of one job of the plan; it is put into the list when something of it is first decided. */
import { jobsWith, PLAN_JOBS_PATH, type JobPlan } from '@kalotrope/core/plan';
import { edited } from '../../state/document-slice';
import { selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

const NO_JOBS: readonly JobPlan[] = [];

export function useJobEdit(id: string, name: string) {
  const dispatch = useAppDispatch();
  const jobs = useAppSelector((state) => selectProject(state)?.plan.jobs ?? NO_JOBS);
  const own: JobPlan = jobs.find((job) => job.id === id) ?? {
    id,
    hours: null,
    notBefore: '',
    after: '',
    isDone: false,
  };
  const change = (what: string, given: Partial<JobPlan>) => {
    const value = jobsWith(jobs, id, given);
    dispatch(edited({ label: `${name}: ${what}`, edits: [{ path: PLAN_JOBS_PATH, value }] }));
  };
  return { own, change };
}
