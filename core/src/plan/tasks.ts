/** Jobs that are left, in the order in which they are planned: what is looked at before, then the work itself. */
import type { Notation } from '../measure';
import type { KeepsTasks, Task, TaskStep } from '../stage';
import { beforeGlue } from './before-glue';
import { jobsWith, PLAN_JOBS_PATH, type PlanPart } from './schema';
import { wantLines, type WantLine } from './want-words';
import type { PlanOnPaper } from './tables';
import { hoursWords } from './words';
import type { WorkJob } from './work/job';
import type { Wants } from './work/wants';

export const planTasks = ({
  values: { plan },
  sheetHead: { notation },
}: Pick<PlanOnPaper, 'values' | 'sheetHead'>): Task[] => {
  const turn = new Map(plan.planned.map(({ job }, i) => [job.id, i]));
  return plan.jobs
    .filter(({ id }) => !plan.done.includes(id))
    .sort((a, b) => (turn.get(a.id) ?? 0) - (turn.get(b.id) ?? 0))
    .map((job) => ({
      id: job.id,
      name: job.name,
      kind: 'Do a job',
      steps: stepsOf(job, wantsWords(plan.wants[job.id], notation)),
    }));
};

/** What is got ready before anything is begun; and of wet work the shop and the clock. */
const wantsWords = (wants: Wants | undefined, notation: Notation): TaskStep[] => {
  if (!wants) return [];
  const { cure, ...rest } = wants;
  return [
    ...readySteps({ id: 'ready', say: 'Have it ready' }, wantLines(rest, notation), rest.tools),
    ...(cure
      ? readySteps({ id: 'shop', say: 'The shop, and the time' }, wantLines({ ...NOTHING, cure }, notation))
      : []),
  ];
};

/** Two figures are as many as are seen large; what is longer than a figure stands under them. */
const MOST_FIGURES = 2;
const FIGURE_LETTERS = 11;

function readySteps(
  { id, say }: Pick<TaskStep, 'id' | 'say'>,
  lines: readonly WantLine[],
  tools: readonly string[] = [],
): TaskStep[] {
  const short = lines.filter(({ value }) => value.length <= FIGURE_LETTERS);
  const long = lines.filter((line) => !short.includes(line));
  const words = [...long.map(({ what, value }) => `${what} ${value}`), ...tools].join('; ');
  const count = Math.max(words === '' ? 0 : 1, Math.ceil(short.length / MOST_FIGURES));
  return Array.from({ length: count }, (_, k): TaskStep => ({
    ...{ id: `${id} ${k + 1}`, say },
    figures: short.slice(k * MOST_FIGURES, (k + 1) * MOST_FIGURES).map(({ what, value }) => ({ label: what, value })),
    ...(k === 0 && words !== '' && { hint: `${words.charAt(0).toUpperCase()}${words.slice(1)}.` }),
  }));
}

const NOTHING: Wants = { tools: [], materials: [], clamps: 0, moulds: [] };

const stepsOf = (job: WorkJob, ready: readonly TaskStep[]): TaskStep[] => [
  ...ready,
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
