/** Jobs that are left, in the order in which they are planned: what is looked at before, then the work itself. */
import type { KeepsTasks, Task, TaskStep } from '../stage';
import { beforeGlue } from './before-glue';
import { jobsWith, PLAN_JOBS_PATH, type PlanPart } from './schema';
import type { PlanOnPaper } from './tables';
import { hoursWords } from './words';
import type { WorkJob } from './work/job';

export const planTasks = ({ values: { plan } }: Pick<PlanOnPaper, 'values'>): Task[] => {
  const turn = new Map(plan.planned.map(({ job }, i) => [job.id, i]));
  return plan.jobs
    .filter(({ id }) => !plan.done.includes(id))
    .sort((a, b) => (turn.get(a.id) ?? 0) - (turn.get(b.id) ?? 0))
    .map((job) => ({ id: job.id, name: job.name, kind: 'Do a job', steps: stepsOf(job) }));
};

const stepsOf = (job: WorkJob): TaskStep[] => [
  ...beforeGlue(job).map((say, i) => ({ id: `before ${i}`, say, figures: [] })),
  {
    ...{ id: 'do', say: job.name },
    figures: [
      { label: 'takes about', value: hoursWords(job.minutes) },
      ...(job.hands > 1 ? [{ label: 'people', value: String(job.hands) }] : []),
    ],
    hint: [...partsWords(job), 'The tick says that it is done.'].join(' '),
  },
];

const MOST_NAMED = 6;

/** Of what, where its name does not say so already. */
function partsWords({ name, parts }: WorkJob): string[] {
  const isSaid = parts.length === 1 && name.toLowerCase().includes(parts[0]?.toLowerCase() ?? '');
  if (parts.length === 0 || isSaid) return [];
  const more = parts.length - MOST_NAMED;
  return [`${parts.slice(0, MOST_NAMED).join('; ')}${more > 0 ? `; ${more} more` : ''}.`];
}

export const planKeeps: KeepsTasks<PlanPart> = {
  done: ({ jobs }, task, isDone) => [{ path: [...PLAN_JOBS_PATH], value: jobsWith(jobs, task, { isDone }) }],
};
