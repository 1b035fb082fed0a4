/** Lays out whatever batch has no layout yet, shows the best so far, and stops when asked or left. */
import { useCallback, useEffect, useRef } from 'react';
import type { NestBatch } from '@kalotrope/core/sheets';
import { layoutArrived, nestingTurned } from '../../app/derived-slice';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { engine } from '../../engine/client';

const SECONDS = 4;

export function useNesting(batches: readonly NestBatch[], seed: number) {
  const dispatch = useAppDispatch();
  const layouts = useAppSelector((state) => state.derived.layouts);
  const stop = useRef<AbortController | null>(null);
  const known = useRef(layouts);
  useEffect(() => {
    known.current = layouts;
  }, [layouts]);
  const run = useCallback(
    async (isAgain: boolean) => {
      stop.current?.abort();
      const control = new AbortController();
      stop.current = control;
      dispatch(nestingTurned(true));
      for (const { thickness, job } of batches) {
        const key = JSON.stringify(job);
        const before = known.current[thickness];
        if (!isAgain && before?.key === key && before.isFinal) continue;
        const answer = await engine.run(
          'nest',
          { job, seed, seconds: SECONDS },
          {
            signal: control.signal,
            onProgress: ({ result }) =>
              control.signal.aborted || dispatch(layoutArrived({ thickness, key, result, isFinal: false })),
          },
        );
        if (control.signal.aborted) return;
        if (answer.kind === 'ok') dispatch(layoutArrived({ thickness, key, result: answer.value, isFinal: true }));
      }
      dispatch(nestingTurned(false));
    },
    [batches, seed, dispatch],
  );
  const end = useCallback(() => {
    stop.current?.abort();
    dispatch(nestingTurned(false));
  }, [dispatch]);
  useEffect(() => {
    void run(false);
    return end;
  }, [run, end]);
  return { again: () => void run(true), end };
}
