/** What there is to do in the shop, of all stages in their order; and what a tick or a reading changes in the project. */
import type { Edit } from '../findings';
import type { Task, TaskRead } from '../stage';
import type { StageName, Whole } from './chain';
import { CHAIN, type Project } from './document';

export type ShopChapter = { readonly stage: StageName; readonly title: string; readonly tasks: readonly Task[] };

export const shopTasks = (whole: Whole<Project>): ShopChapter[] =>
  CHAIN.flatMap(({ name, title, tasks }) => {
    const own = tasks?.(whole) ?? [];
    return own.length > 0 ? [{ stage: name, title, tasks: own }] : [];
  });

/** What a task that is done changes in the project; nothing where its stage keeps none of it. */
export const doneEdits = (project: Project, stage: StageName, task: string): readonly Edit[] =>
  keepsOf(stage)?.done?.(partOf(project, stage), task) ?? [];

/** What a reading changes in the project; nothing where its stage keeps none: then it goes into the log. */
export const readEdits = (project: Project, stage: StageName, read: TaskRead): readonly Edit[] =>
  keepsOf(stage)?.read?.(partOf(project, stage), read) ?? [];

const keepsOf = (stage: StageName) => CHAIN.find(({ name }) => name === stage)?.keeps;
// its own part, by its name
const partOf = (project: Project, stage: StageName) => project[stage] as never;
