/** Looks for what a stage has not found yet: once, and again whenever the key of what is asked for is another. */
import { useEffect, useState } from 'react';
import type { Found } from '@kalotrope/core/project';
import { useStable } from './use-stable';
import { engine } from '../engine/client';
import type { JobInput, JobName, JobOutput } from '../engine/jobs';
import { foundArrived } from '../state/derived-slice';
import { selectFound } from '../state/selectors';
import { said } from '../state/screen-slice';
import { useAppDispatch, useAppSelector } from '../state/store';

/** What is typed figure by figure is not looked for at every one. */
const REST_MS = 300;

type Asked<K extends JobName> = {
  /** Of what is looked for; empty: nothing is. */
  readonly key: string;
  readonly keyOf: (found: Found) => string | undefined;
  readonly job: K;
  readonly input: JobInput<K>;
  readonly take: (answer: JobOutput<K>) => Found;
  /** What stops, as it is said. */
  readonly what: string;
};

/** @returns whether it is being looked for. */
export function useFound<K extends JobName>({ key, keyOf, job, input, take, what }: Asked<K>): boolean {
  const dispatch = useAppDispatch();
  const [failedFor, setFailedFor] = useState('');
  const isKnown = useAppSelector((state) => keyOf(selectFound(state)) === key);
  const look = useStable((signal: AbortSignal) => {
    void engine.run(job, input, { signal }).then((answer) => {
      if (signal.aborted) return;
      if (answer.kind === 'ok') dispatch(foundArrived(take(answer.value)));
      if (answer.kind !== 'failed') return;
      setFailedFor(key);
      dispatch(said(`${what} stopped: ${answer.message}`));
    });
  });
  useEffect(() => {
    if (isKnown || key === '') return;
    const control = new AbortController();
    const timer = setTimeout(() => look(control.signal), REST_MS);
    return () => {
      clearTimeout(timer);
      control.abort();
    };
  }, [isKnown, key, look]);
  return key !== '' && !isKnown && failedFor !== key;
}
