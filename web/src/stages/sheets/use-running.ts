/** One run at a time: starting another stops the one before. */
import { useMemo, useRef } from 'react';

export type Running = { readonly start: () => AbortSignal; readonly stop: () => void };

export function useRunning(): Running {
  const control = useRef<AbortController | null>(null);
  return useMemo(
    () => ({
      start: () => {
        control.current?.abort();
        control.current = new AbortController();
        return control.current.signal;
      },
      stop: () => control.current?.abort(),
    }),
    [],
  );
}
