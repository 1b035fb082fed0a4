/** Plans the sticks whenever the runs or the stock are others; the plan belongs to the job that it was made for. */
import { useEffect, useState } from 'react';
import type { TimberValue } from '@kalotrope/core/timber';
import { engine } from '../../engine/client';
import { foundArrived } from '../../state/derived-slice';
import { selectFound } from '../../state/selectors';
import { said } from '../../state/screen-slice';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';

const SECONDS = 4;
/** What is typed figure by figure is not planned at every one. */
const REST_MS = 300;

/** @returns whether a plan is being worked out. */
export function useTimberPlan({ job, key }: TimberValue): boolean {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const [failedFor, setFailedFor] = useState('');
  const isKnown = useAppSelector((state) => selectFound(state).timber?.key === key);
  useEffect(() => {
    if (selectFound(store.getState()).timber?.key === key) return;
    const control = new AbortController();
    const { signal } = control;
    const timer = setTimeout(() => {
      void engine.run('timber', { job, seconds: SECONDS }, { signal }).then((answer) => {
        if (signal.aborted) return;
        if (answer.kind === 'ok') dispatch(foundArrived({ timber: { key, result: answer.value } }));
        if (answer.kind !== 'failed') return;
        setFailedFor(key);
        dispatch(said(`The plan of the timber stopped: ${answer.message}`));
      });
    }, REST_MS);
    return () => {
      clearTimeout(timer);
      control.abort();
    };
  }, [job, key, dispatch, store]);
  return !isKnown && failedFor !== key;
}
