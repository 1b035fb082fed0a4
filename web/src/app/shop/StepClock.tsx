/** A clock for one step: it runs on through a reload and a sleep, and says aloud when it is up. */
import { useEffect, useState } from 'react';
import { alarm } from '../../devices/alarm';
import { useNow } from '../../controls/use-now';

const MINUTE_MS = 60_000;
const keyOf = (id: string): string => `kalotrope-clock ${id}`;

function begunAt(id: string): number | null {
  try {
    const kept = Number(localStorage.getItem(keyOf(id)));
    return kept > 0 ? kept : null;
  } catch {
    return null;
  }
}

function keepBegun(id: string, at: number | null): void {
  try {
    if (at === null) localStorage.removeItem(keyOf(id));
    else localStorage.setItem(keyOf(id), String(at));
  } catch {
    // it runs as long as the page is there
  }
}

export function StepClock({ id, minutes }: { readonly id: string; readonly minutes: number }) {
  const [since, setSince] = useState(() => begunAt(id));
  const turn = (at: number | null) => {
    keepBegun(id, at);
    setSince(at);
  };
  return (
    <div className="shop-clock" role="group" aria-label="Clock of this step">
      {since === null ? (
        <button type="button" onClick={() => turn(Date.now())}>
          Start the clock: {minutes} min
        </button>
      ) : (
        <>
          <Left until={since + minutes * MINUTE_MS} />
          <button type="button" onClick={() => turn(null)}>
            Stop the clock
          </button>
        </>
      )}
    </div>
  );
}

function Left({ until }: { readonly until: number }) {
  const left = Math.ceil((until - useNow()) / 1000);
  const isUp = left <= 0;
  useEffect(() => {
    if (isUp) alarm();
  }, [isUp]);
  const seconds = Math.abs(left);
  const figures = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  return (
    <>
      <span className="figure" role="timer" aria-live="off">
        {isUp ? `+${figures}` : figures}
      </span>
      <span role="status">{isUp ? 'Time is up' : ''}</span>
    </>
  );
}
