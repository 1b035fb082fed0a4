/** What there is to do in the shop, of all stages in their order; and what a tick or a reading changes. */
import type { Edit } from '../findings';
import type { Task, TaskRead } from '../stage';
import type { StageName, Whole } from './chain';
import { CHAIN, type Project } from './document';

export type ShopChapter = {
  readonly stage: StageName;
  readonly title: string;
  readonly tasks: readonly Task[];
  /** They are the plan's: what is next. */
  readonly areJobs: boolean;
};

export const shopTasks = (whole: Whole<Project>): ShopChapter[] =>
  CHAIN.flatMap(({ name, title, tasks, keeps }) => {
    const own = tasks?.(whole) ?? [];
    return own.length > 0 ? [{ stage: name, title, tasks: own, areJobs: keeps?.done !== undefined }] : [];
  });

/** What a task that is done, or is not after all, changes in the project; nothing where its stage keeps none of it. */
export const doneEdits = (project: Project, stage: StageName, task: string, isDone = true): readonly Edit[] =>
  keepsOf(stage)?.done?.(partOf(project, stage), task, isDone) ?? [];

/** What a reading changes in the project; nothing where its stage keeps none: then it goes into the log. */
export const readEdits = (project: Project, stage: StageName, read: TaskRead): readonly Edit[] =>
  keepsOf(stage)?.read?.(partOf(project, stage), read) ?? [];

const keepsOf = (stage: StageName) => CHAIN.find(({ name }) => name === stage)?.keeps;
// its own part, by its name
const partOf = (project: Project, stage: StageName) => project[stage] as never;
