/** Lays out whatever batch has no layout yet, shows the best so far, and stops when asked or left. */
import { useCallback, useEffect } from 'react';
import type { Layout, NestBatch } from '@kalotrope/core/sheets';
import { engine } from '../../engine/client';
import { foundArrived, searchTurned } from '../../state/derived-slice';
import { selectFound } from '../../state/selectors';
import { said } from '../../state/screen-slice';
import { useAppDispatch, useAppStore } from '../../state/store';
import { useRunning } from './use-running';

const SECONDS = 4;

export function useNesting(batches: readonly NestBatch[], seed: number) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const running = useRunning();
  const run = useCallback(
    async (isAgain: boolean) => {
      const signal = running.start();
      const known = () => selectFound(store.getState()).sheets ?? [];
      /** One layout a batch that is still there. */
      const keep = (layout: Layout) => {
        const others = known().filter(({ key }) => key !== layout.key && batches.some((batch) => batch.key === key));
        dispatch(foundArrived({ sheets: [...others, layout] }));
      };
      dispatch(searchTurned(true));
      for (const { key, job } of batches) {
        if (!isAgain && known().some((layout) => layout.key === key && layout.isFinal)) continue;
        const answer = await engine.run(
          'nest',
          { job, seed, seconds: SECONDS },
          {
            signal,
            onProgress: ({ result }) => {
              if (!signal.aborted) keep({ key, result, isFinal: false });
            },
          },
        );
        if (signal.aborted) return;
        if (answer.kind === 'ok') keep({ key, result: answer.value, isFinal: true });
        if (answer.kind === 'failed') dispatch(said(`The layout stopped: ${answer.message}. Lay out the sheets again`));
      }
      dispatch(searchTurned(false));
    },
    [batches, seed, dispatch, store, running],
  );
  const end = useCallback(() => {
    running.stop();
    dispatch(searchTurned(false));
  }, [dispatch, running]);
  useEffect(() => {
    void run(false);
    return end;
  }, [run, end]);
  return { again: () => void run(true), end };
}
