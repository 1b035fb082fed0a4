/** A task is done: what comes next, by one tap. */
import { useEffect, useRef } from 'react';
import type { ShopTask } from './use-shop';

type Props = {
  readonly task: ShopTask;
  readonly next: ShopTask | undefined;
  readonly onGo: (task: ShopTask) => void;
  readonly onAgain: () => void;
  readonly onList: () => void;
};

const named = ({ kind, name, hand }: ShopTask): string => `${kind}: ${[name, hand].filter(Boolean).join(', ')}`;

export function FinishedTask({ task, next, onGo, onAgain, onList }: Props) {
  const first = useRef<HTMLButtonElement>(null);
  useEffect(() => first.current?.focus(), []);
  return (
    <div className="shop-step">
      <p className="shop-say" role="status">
        ✓ {named(task)}: done
      </p>
      {next ? (
        <button ref={first} type="button" className="shop-next" onClick={() => onGo(next)}>
          <span className="shop-say">{named(next)}</span>
          <span className="shop-tap">Tap: begin it</span>
        </button>
      ) : (
        <p className="shop-say">All that there is here is done.</p>
      )}
      <div className="shop-foot">
        <button type="button" onClick={onList}>
          All tasks
        </button>
        <button type="button" onClick={onAgain}>
          Go through it again
        </button>
      </div>
    </div>
  );
}
