/**
 * A value as it was when changes last paused: for what is read and not followed with the eye, such as a table to work
 * from. While changes follow one another it comes after them at intervals; the last always comes.
 */
import { useEffect, useRef, useState } from 'react';

/** Changes nearer together than `pause` are one movement; of a long one the value is taken once in `longest`, ms. */
type Rest = { readonly pause: number; readonly longest: number };
const USUAL: Rest = { pause: 150, longest: 600 };

export function useRested<T>(value: T, { pause, longest }: Rest = USUAL): T {
  const [rested, setRested] = useState(value);
  const waitingSince = useRef<number | null>(null);
  useEffect(() => {
    if (Object.is(value, rested)) {
      waitingSince.current = null;
      return undefined;
    }
    const now = performance.now();
    waitingSince.current ??= now;
    const left = Math.min(pause, Math.max(0, waitingSince.current + longest - now));
    const timer = setTimeout(() => setRested(value), left);
    return () => clearTimeout(timer);
  }, [value, rested, pause, longest]);
  return rested;
}
