/** One step: what to do, its figures as large as they go, one thing to tick; the next by a tap anywhere on it. */
import { useEffect, useRef } from 'react';
import { unbroken } from '@kalotrope/core/measure';
import type { TaskStep } from '@kalotrope/core/stage';
import { NumberPad } from './NumberPad';
import { StepClock } from './StepClock';
import { StepPicture } from './StepPicture';
import type { ShopTask } from './use-shop';

type Props = {
  readonly projectId: string;
  readonly boat: string;
  /** In which figures are. */
  readonly unit: string;
  readonly task: ShopTask;
  /** Which step, from nought. */
  readonly at: number;
  readonly isDone: readonly boolean[];
  readonly onTick: (step: TaskStep) => void;
  readonly onRead: (step: TaskStep, value: number | 'true') => void;
  readonly onBack: () => void;
  readonly onList: () => void;
};

export function StepView({ projectId, boat, unit, task, at, isDone, onTick, onRead, onBack, onList }: Props) {
  const step = task.steps[at];
  const main = useRef<HTMLButtonElement>(null);
  // a key goes on where a tap does
  useEffect(() => main.current?.focus(), [task.key, at]);
  useBackKey(onBack);
  if (!step) return null;
  return (
    <div className="shop-step">
      <header className="shop-head">
        <span>
          {boat}: {task.kind.toLowerCase()}
        </span>
        <span>
          step {at + 1} of {task.steps.length}
        </span>
      </header>
      <h1 className="shop-of">
        {task.name}
        {task.hand && <b>{task.hand.toUpperCase()}</b>}
      </h1>
      <progress max={task.steps.length} value={isDone.filter(Boolean).length} aria-label="Ticked of this task" />
      <p className="shop-heard" role="status">
        {[step.say, ...step.figures.map(({ label, value }) => `${label} ${value}`)].join(', ')}
      </p>
      {step.reading ? (
        <div className="shop-next is-read">
          <StepWords step={step} unit={unit} picture={task.picture} />
          <NumberPad key={step.id} reading={step.reading} onRead={(value) => onRead(step, value)} />
        </div>
      ) : (
        <button ref={main} type="button" className="shop-next" onClick={() => onTick(step)}>
          <StepWords step={step} unit={unit} picture={task.picture} />
          <span className="shop-tap">{isDone[at] ? '✓ Ticked. Tap: on' : 'Tap anywhere here: done, and on'}</span>
        </button>
      )}
      {step.minutes !== undefined && (
        <StepClock key={step.id} id={`${projectId} ${task.key} ${step.id}`} minutes={step.minutes} />
      )}
      <div className="shop-foot">
        <button type="button" onClick={onBack}>
          ← Back
        </button>
        <button type="button" onClick={onList}>
          All tasks
        </button>
        {step.reading && (
          <button type="button" onClick={() => onTick(step)}>
            Leave out →
          </button>
        )}
      </div>
    </div>
  );
}

/** More letters than this stand smaller. */
const LONG = 8;

type WordsProps = {
  readonly step: TaskStep;
  readonly unit: string;
  readonly picture: ShopTask['picture'];
};

function StepWords({ step: { say, figures, hint, places, shape }, unit, picture }: WordsProps) {
  return (
    <>
      {picture && places && <StepPicture outline={picture} shape={shape} places={places} />}
      <span className={say.length > 60 ? 'shop-say is-long' : 'shop-say'}>{unbroken(say)}</span>
      {figures.map(({ label, value }) => (
        <span key={label} className="shop-figure">
          <span>{label}</span>
          <span className={`figure${value.length > LONG ? ' is-long' : ''}`}>{unbroken(value)}</span>
        </span>
      ))}
      {figures.some(({ isLength }) => isLength) && <span className="shop-unit">lengths in {unit}</span>}
      {hint && <span className="shop-hint">{unbroken(hint)}</span>}
    </>
  );
}

function useBackKey(onBack: () => void): void {
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (event.key === 'ArrowLeft' && !(event.target instanceof HTMLInputElement)) onBack();
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  }, [onBack]);
}
