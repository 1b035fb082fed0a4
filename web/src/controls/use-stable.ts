/** A function that stays the same object and always does what the latest one given does. */
import { useCallback, useLayoutEffect, useRef } from 'react';

export function useStable<A extends readonly unknown[]>(act: (...args: A) => void): (...args: A) => void {
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
