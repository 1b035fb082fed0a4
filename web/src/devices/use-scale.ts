/** The scale as it is watched: what it shows, and whether it can be believed. */
import { useEffect, useRef, useState } from 'react';
import { KEPT_MS, watchScale, type Reading, type ScaleState } from '@kalotrope/core/epoxy';
import type { Source } from './source';

const LOOK_MS = 250;
const UNHEARD: ScaleState = { grams: null, fault: 'lost' };

/** Null: nobody listens. Readings are timed as they come. */
export function useScale(source: Source<{ readonly grams: number }> | null): ScaleState | null {
  const readings = useRef<readonly Reading[]>([]);
  const [state, setState] = useState<ScaleState>(UNHEARD);
  useEffect(() => {
    if (!source) return undefined;
    const begun = Date.now();
    const stop = source.listen(({ grams }) => {
      const at = Date.now();
      readings.current = [...readings.current.filter((one) => at - one.at <= KEPT_MS), { at, grams }];
    });
    // a tick of its own: a scale that falls silent sends nothing that would say so
    const timer = setInterval(() => {
      const now = Date.now();
      if (readings.current.length > 0 || now - begun > KEPT_MS / 10) setState(watchScale(readings.current, now));
    }, LOOK_MS);
    return () => {
      stop();
      clearInterval(timer);
      readings.current = [];
      setState(UNHEARD);
    };
  }, [source]);
  return source ? state : null;
}
