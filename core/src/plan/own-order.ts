/** The builder's own order: a job after another, where what each needs allows it. */
import type { PlanPart } from './schema';
import type { WorkJob } from './work/job';
import { after } from './work/epoxy-work';

type Wishes = Pick<PlanPart, 'jobs'>;

/** All that waits for a job, soon or late, and it itself. */
function waitingFor(jobs: readonly WorkJob[], id: string): ReadonlySet<string> {
  const waiting = new Set([id]);
  // jobs stand after what they need, so that one pass finds all
  for (const job of jobs) if (job.needs.some((need) => waiting.has(need.job))) waiting.add(job.id);
  return waiting;
}

/** What a job may be put after: whatever does not itself wait for it. In the order of the work. */
export function mayFollow(jobs: readonly WorkJob[], id: string): WorkJob[] {
  const waiting = waitingFor(jobs, id);
  return jobs.filter((job) => !waiting.has(job.id));
}

/** The jobs, again each after what it needs, with the builder's own wishes; and whose wish goes in a circle. */
export function inOwnOrder(
  work: readonly WorkJob[],
  { jobs: own }: Wishes,
): { readonly jobs: readonly WorkJob[]; readonly against: readonly string[] } {
  let jobs: readonly WorkJob[] = work;
  const against: string[] = [];
  for (const { id, after: other } of own) {
    if (other === '' || !jobs.some((job) => job.id === id) || !jobs.some((job) => job.id === other)) continue;
    if (waitingFor(jobs, id).has(other)) against.push(id);
    else jobs = sorted(jobs.map((job) => (job.id === id ? { ...job, needs: [...job.needs, after(other)] } : job)));
  }
  return { jobs, against };
}

/** Each after what it needs, otherwise in the order in which they stand. There are no circles. */
function sorted(jobs: readonly WorkJob[]): WorkJob[] {
  const by = new Map(jobs.map((job) => [job.id, job]));
  const inOrder = new Map<string, WorkJob>();
  const put = (job: WorkJob): void => {
    if (inOrder.has(job.id)) return;
    for (const need of job.needs) {
      const before = by.get(need.job);
      if (before) put(before);
    }
    inOrder.set(job.id, job);
  };
  jobs.forEach(put);
  return [...inOrder.values()];
}
