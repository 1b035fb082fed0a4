/** All that there is to do in the shop, by what is done; the next job of the plan first. */
import { useState } from 'react';
import { Link } from 'react-router';
import { projectPath } from '../paths';
import type { Ticks } from '../../storage/ticks';
import { leftOf, type ShopOf, type ShopTask } from './use-shop';

type Props = {
  readonly projectId: string;
  readonly boat: string;
  readonly chapters: readonly ShopOf[];
  readonly ticks: Ticks;
  /** Of a label: the part that it is stuck on, with its hand. */
  readonly part: string | null;
  /** The address names a task that there is not. */
  readonly isMissing: boolean;
  readonly isLeft: boolean;
  readonly onLeft: (isLeft: boolean) => void;
  readonly onBegin: (task: ShopTask) => void;
};

export function TaskList({ projectId, boat, chapters, ticks, part, isMissing, isLeft, onLeft, onBegin }: Props) {
  const kinds = kindsOf(chapters);
  const begun = chapters.flatMap(({ tasks }) => tasks).find((task) => isBegun(ticks, task));
  const next = begun ?? chapters.find(({ areJobs }) => areJobs)?.tasks[0];
  const of = chapters.flatMap(({ tasks }) => tasks).filter((task) => namedAs(task) === part || task.name === part);
  const [open, setOpen] = useState<string | null>(null);
  return (
    <div className="shop-list">
      <h1>{boat}</h1>
      {isMissing && <p role="status">That is done, or not there any more. Choose from what there is.</p>}
      {part !== null && (
        <section aria-label="This part">
          <h2>{part}</h2>
          {of.length === 0 && <p>Nothing of its own is to be done to it here; all tasks are below.</p>}
          {of.map((task) => (
            <TaskButton key={task.key} {...{ task, ticks, onBegin }} withKind />
          ))}
        </section>
      )}
      {next && (
        <section aria-label={begun ? 'Begun' : 'Next'}>
          <h2>{begun ? 'Go on with' : 'Next'}</h2>
          <TaskButton task={next} ticks={ticks} onBegin={onBegin} withKind />
        </section>
      )}
      {kinds.length === 0 && <p>Nothing to do yet: type the table of offsets first.</p>}
      {kinds.map(({ kind, tasks }) => (
        <section key={kind} aria-label={kind}>
          <button
            type="button"
            className="shop-kind"
            aria-expanded={open === kind}
            onClick={() => setOpen(open === kind ? null : kind)}
          >
            <span>{kind}</span>
            <span className="shop-count">{standing(tasks, ticks)}</span>
          </button>
          {open === kind && tasks.map((task) => <TaskButton key={task.key} {...{ task, ticks, onBegin }} />)}
        </section>
      ))}
      <div className="shop-ends">
        <button type="button" aria-pressed={isLeft} onClick={() => onLeft(!isLeft)}>
          Left-handed
        </button>
        <Link to={projectPath(projectId)}>Back to the bench</Link>
      </div>
    </div>
  );
}

const namedAs = ({ name, hand }: ShopTask): string => [name, hand].filter(Boolean).join(', ');

type KindOf = { readonly kind: string; readonly tasks: readonly ShopTask[] };

/** By what is done; what is planned comes first, as that says what is next. */
function kindsOf(chapters: readonly ShopOf[]): KindOf[] {
  const [jobs, rest] = [true, false].map((areJobs) => chapters.filter((chapter) => chapter.areJobs === areJobs));
  const tasks = [...(jobs ?? []), ...(rest ?? [])].flatMap((chapter) => chapter.tasks);
  return [...new Set(tasks.map(({ kind }) => kind))].map((kind) => ({
    kind,
    tasks: tasks.filter((task) => task.kind === kind),
  }));
}

const isBegun = (ticks: Ticks, task: ShopTask): boolean => {
  const left = leftOf(ticks, task);
  return left > 0 && left < task.steps.length;
};

function standing(tasks: readonly ShopTask[], ticks: Ticks): string {
  const done = tasks.filter((task) => leftOf(ticks, task) === 0).length;
  return done === 0 ? String(tasks.length) : `${done} of ${tasks.length} done`;
}

type ButtonProps = {
  readonly task: ShopTask;
  readonly ticks: Ticks;
  readonly onBegin: (task: ShopTask) => void;
  readonly withKind?: boolean;
};

function TaskButton({ task, ticks, onBegin, withKind = false }: ButtonProps) {
  const left = leftOf(ticks, task);
  const count = task.steps.length;
  const how = left === 0 ? '✓ done' : left === count ? `${count} ${count === 1 ? 'step' : 'steps'}` : `${left} left`;
  return (
    <button type="button" className="shop-task" onClick={() => onBegin(task)}>
      <span>
        {withKind && `${task.kind}: `}
        {task.name}
        {task.hand && `, ${task.hand}`}
      </span>
      <span className="shop-count">{how}</span>
    </button>
  );
}
