/** Which scale is listened to, if any, and what it says. */
import { useState } from 'react';
import type { ScaleState } from '@kalotrope/core/epoxy';
import { hasPorts, openSerialScale } from '../../devices/serial-scale';
import type { Source } from '../../devices/source';
import { benchScale } from '../../devices/streams';
import { useScale } from '../../devices/use-scale';

type ScaleSource = Source<{ readonly grams: number }>;

export type Listening = {
  /** Null: nobody listens. */
  readonly state: ScaleState | null;
  readonly isStandIn: boolean;
  readonly hasPorts: boolean;
  readonly problem: string | null;
  readonly toStandIn: () => void;
  readonly toPort: () => void;
  readonly toNone: () => void;
};

/** Kept while the page is open, so that each pot needs no asking again. */
let last: ScaleSource | null = null;

export function useListening(): Listening {
  const [source, setSource] = useState<ScaleSource | null>(last);
  const [problem, setProblem] = useState<string | null>(null);
  const listen = (next: ScaleSource | null) => {
    last = next;
    setProblem(null);
    setSource(next);
  };
  return {
    state: useScale(source),
    isStandIn: source === benchScale,
    hasPorts: hasPorts(),
    problem,
    toStandIn: () => listen(benchScale),
    toPort: () =>
      void openSerialScale().then(listen, () => setProblem('No scale was chosen, or it could not be opened.')),
    toNone: () => listen(null),
  };
}
