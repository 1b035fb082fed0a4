/** The shop view: one task, one step, large, for hands in gloves; all of it by touch alone and by keys alone. */
import { useEffect, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { unitLabel } from '@kalotrope/core/measure';
import { selectNotation, selectProject } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { CannotOpen } from '../CannotOpen';
import { CureAlarm } from '../CureAlarm';
import { useOpenProject } from '../use-open-project';
import { FinishedTask } from './FinishedTask';
import { StepView } from './StepView';
import { TaskList } from './TaskList';
import { isLeftHanded, keepLeftHanded } from './handed';
import { leftOf, useShopActs, useShopTasks, useTicks, isTicked, type ShopOf, type ShopTask } from './use-shop';
import { useScreenAwake } from './use-screen-awake';

export default function ShopPage() {
  const { projectId = '' } = useParams();
  const reason = useOpenProject(projectId);
  const isOpen = useAppSelector((state) => state.document.project?.id === projectId);
  const chapters = useShopTasks();
  const [isLeft, setLeft] = useState(isLeftHanded);
  useScreenAwake();
  if (reason) return <CannotOpen reason={reason} />;
  return (
    <main className={`shop${isLeft ? ' left-handed' : ''}`} aria-label="Shop view">
      <CureAlarm isLarge />
      {isOpen && chapters ? (
        <Shop
          projectId={projectId}
          chapters={chapters}
          isLeft={isLeft}
          onLeft={(value) => {
            keepLeftHanded(value);
            setLeft(value);
          }}
        />
      ) : (
        <p role="status">Working it out…</p>
      )}
    </main>
  );
}

type ShopProps = {
  readonly projectId: string;
  readonly chapters: readonly ShopOf[];
  readonly isLeft: boolean;
  readonly onLeft: (isLeft: boolean) => void;
};

/** Which task and which step of it is at hand stands in the address: a reload goes on there. */
function Shop({ projectId, chapters, isLeft, onLeft }: ShopProps) {
  const [params, setParams] = useSearchParams();
  const [finished, setFinished] = useState<ShopTask | null>(null);
  const ticks = useTicks(projectId);
  const acts = useShopActs(projectId);
  const boat = useAppSelector((state) => selectProject(state)?.name ?? '');
  const unit = unitLabel(useAppSelector(selectNotation));
  const key = params.get('task');
  const task = chapters.flatMap(({ tasks }) => tasks).find((one) => one.key === key);
  const goTo = (next: ShopTask | null, step = 0) => {
    setFinished(null);
    setParams(next ? { task: next.key, step: String(step) } : {});
  };
  /** Where it was left off; of one that is done, from the start. */
  const begin = (next: ShopTask) =>
    goTo(
      next,
      Math.max(
        0,
        next.steps.findIndex((step) => !isTicked(ticks, next, step)),
      ),
    );
  useEffect(() => {
    const back = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return;
      setFinished(null);
      setParams({});
    };
    window.addEventListener('keydown', back);
    return () => window.removeEventListener('keydown', back);
  }, [setParams]);
  if (finished)
    return (
      <FinishedTask
        task={finished}
        next={nextAfter(chapters, finished, (one) => leftOf(ticks, one) > 0)}
        onGo={begin}
        onAgain={() => {
          acts.again(finished);
          goTo(finished);
        }}
        onList={() => goTo(null)}
      />
    );
  if (!task)
    return (
      <TaskList
        {...{ projectId, boat, chapters, ticks, isLeft, onLeft }}
        part={params.get('part')}
        isMissing={key !== null}
        onBegin={begin}
      />
    );
  const at = Math.min(task.steps.length - 1, Math.max(0, Math.trunc(Number(params.get('step') ?? '0')) || 0));
  const onwards = () => (at === task.steps.length - 1 ? setFinished(task) : goTo(task, at + 1));
  return (
    <StepView
      {...{ projectId, boat, unit, task, at }}
      isDone={task.steps.map((step) => isTicked(ticks, task, step))}
      onTick={(step) => {
        acts.tick(task, step);
        onwards();
      }}
      onRead={(step, value) => {
        acts.read(task, step, value);
        onwards();
      }}
      onBack={() => (at === 0 ? goTo(null) : goTo(task, at - 1))}
      onList={() => goTo(null)}
    />
  );
}

/** The next one of its stage that is not done, then the first of any. */
function nextAfter(chapters: readonly ShopOf[], { stage, key }: ShopTask, isLeft: (task: ShopTask) => boolean) {
  const all = chapters.flatMap(({ tasks }) => tasks);
  const own = all.filter((task) => task.stage === stage);
  const from = own.findIndex((task) => task.key === key);
  return (
    [...own.slice(from + 1), ...own.slice(0, Math.max(0, from))].find(isLeft) ??
    all.find((task) => task.key !== key && isLeft(task))
  );
}
