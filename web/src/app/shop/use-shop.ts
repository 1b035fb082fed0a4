/** What is done in the shop on the open boat: its tasks, what of them is ticked, and what a tick or a reading keeps. */
import { useEffect, useMemo, useState } from 'react';
import { doneEdits, readEdits, shopTasks, wholeOf, type ShopChapter, type StageName } from '@kalotrope/core/project';
import type { Task, TaskStep } from '@kalotrope/core/stage';
import { entryNow } from '../../storage/entry-now';
import { edited } from '../../state/document-slice';
import { said } from '../../state/screen-slice';
import { selectDerived, selectFound, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';
import { addEntry } from '../../storage/log';
import { addPotRecord } from '../../storage/pots';
import { changeTicks, NO_TICKS, watchTicks, type Ticks } from '../../storage/ticks';

export type ShopTask = Task & { readonly stage: StageName; readonly key: string };
export type ShopOf = Pick<ShopChapter, 'title' | 'areJobs'> & { readonly tasks: readonly ShopTask[] };

const NOT_KEPT = 'This browser does not keep it: note it on paper.';

const withKeys = ({ stage, title, areJobs, tasks }: ShopChapter): ShopOf => ({
  ...{ title, areJobs },
  tasks: tasks.map((task) => ({ ...task, stage, key: `${stage}/${task.id}` })),
});

/** Null until everything has been worked out once. */
export function useShopTasks(): readonly ShopOf[] | null {
  const project = useAppSelector(selectProject);
  const derived = useAppSelector(selectDerived);
  const found = useAppSelector(selectFound);
  return useMemo(
    () => (project && derived ? shopTasks(wholeOf(project, derived, found)).map(withKeys) : null),
    [project, derived, found],
  );
}

export function useTicks(projectId: string): Ticks {
  const [ticks, setTicks] = useState(NO_TICKS);
  useEffect(() => watchTicks(projectId, setTicks), [projectId]);
  return ticks;
}

export const isTicked = (ticks: Ticks, task: ShopTask, step: TaskStep): boolean =>
  ticks[task.key]?.includes(step.id) ?? false;

export const leftOf = (ticks: Ticks, task: ShopTask): number =>
  task.steps.filter((step) => !isTicked(ticks, task, step)).length;

/** What the hand does at a step. */
export function useShopActs(projectId: string) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const refused = () => dispatch(said(NOT_KEPT));
  const tick = (task: ShopTask, step: TaskStep) => {
    const written = changeTicks(projectId, task.key, (steps) => [...steps.filter((id) => id !== step.id), step.id]);
    written.then((before) => !before.includes(step.id) && logPot(task, step), refused);
    const project = selectProject(store.getState());
    const isLast = task.steps[task.steps.length - 1]?.id === step.id;
    const edits = project && isLast ? doneEdits(project, task.stage, task.id) : [];
    if (edits.length > 0) dispatch(edited({ label: `${task.name}: done`, edits }));
  };
  /** What was weighed, into the record of pots: once, however often its step is ticked. */
  const logPot = ({ pot }: ShopTask, { id }: TaskStep) => {
    if (pot?.step !== id) return;
    const { step: _, ...mixed } = pot;
    addPotRecord({ ...mixed, project: projectId, kind: 'mixed', at: Date.now(), by: 'typed' }).catch(refused);
  };
  const again = (task: ShopTask) => {
    changeTicks(projectId, task.key, () => []).catch(refused);
    const project = selectProject(store.getState());
    const edits = project ? doneEdits(project, task.stage, task.id, false) : [];
    if (edits.length > 0) dispatch(edited({ label: `${task.name}: not done after all`, edits }));
  };
  /** A length goes into the log as well, as drawn and as found. */
  const read = (task: ShopTask, step: TaskStep, value: number | 'true') => {
    const project = selectProject(store.getState());
    if (!project || !step.reading) return;
    const edits = readEdits(project, task.stage, { task: task.id, step: step.id, value });
    if (edits.length > 0) dispatch(edited({ label: `${task.name}, ${step.say}: read`, edits }));
    const words = `${[task.name, task.hand].filter(Boolean).join(', ')}: ${step.say}`;
    if (value !== 'true' && step.reading.kind === 'length') {
      const entry = entryNow(
        { kind: 'measured', words, parts: [task.name], drawn: step.reading.should, found: value },
        project.revision,
      );
      addEntry(projectId, entry).catch(refused);
    }
    tick(task, step);
  };
  return { tick, again, read };
}
