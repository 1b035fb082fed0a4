/**
 * Whether to draw without smoothing for the moment: while changes follow one another (a drag, a held key). Where the
 * machine draws without a graphics processor this is some three times quicker; smoothing comes back when the changes
 * stop, so a still picture is always fine.
 */
import { useEffect, useRef, useState } from 'react';

/** Changes nearer together than this are one movement, ms. */
const MOVEMENT_MS = 400;

export function useDraft(drawn: unknown): boolean {
  const [isDraft, setIsDraft] = useState(false);
  const lastChange = useRef(-Infinity);
  useEffect(() => {
    const now = performance.now();
    setIsDraft(now - lastChange.current < MOVEMENT_MS);
    lastChange.current = now;
    const still = setTimeout(() => setIsDraft(false), MOVEMENT_MS);
    return () => clearTimeout(still);
  }, [drawn]);
  return isDraft;
}
