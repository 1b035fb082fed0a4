/**
 * A value as it was when changes last paused: for what is read and not followed with the eye, such as a table to work
 * from. While changes follow one another it comes after them at intervals; the last always comes.
 */
import { useEffect, useRef, useState } from 'react';

/** Changes nearer together than this are one movement; of a long one the value is taken so often, ms. */
const PAUSE_MS = 150;
const LONGEST_MS = 600;

export function useRested<T>(value: T): T {
  const [rested, setRested] = useState(value);
  const waitingSince = useRef<number | null>(null);
  useEffect(() => {
    if (Object.is(value, rested)) {
      waitingSince.current = null;
      return undefined;
    }
    const now = performance.now();
    waitingSince.current ??= now;
    const left = Math.min(PAUSE_MS, Math.max(0, waitingSince.current + LONGEST_MS - now));
    const timer = setTimeout(() => setRested(value), left);
    return () => clearTimeout(timer);
  }, [value, rested]);
  return rested;
}
