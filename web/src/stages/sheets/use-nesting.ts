/**
 * Lays out whatever batch has no layout yet, shows the best so far, and stops when asked or left. Asked again it looks
 * on, from other seeds on one processor less than there are, and never puts a worse layout in the place of a better.
 */
import { useCallback, useEffect, useRef, useState } from 'react';
import {
  areKept,
  isBetter,
  leastSheets,
  materialWords,
  sheetsByLength,
  type NestBatch,
  type NestResult,
} from '@kalotrope/core/sheets';
import { engine } from '../../engine/client';
import { foundArrived, searchTurned } from '../../state/derived-slice';
import { selectFound, selectNotation } from '../../state/selectors';
import { said } from '../../state/screen-slice';
import { useAppDispatch, useAppStore } from '../../state/store';
import { useRunning } from './use-running';

const FIRST_SECONDS = 4;
const MORE_SECONDS = 20;
/** Better layouts come faster than they can be drawn and seen. */
const SHOWN_EVERY_MS = 250;
/** Searches beside each other, when it is asked to look on: one processor is left to the page. */
const BESIDE = Math.min(2, Math.max(1, navigator.hardwareConcurrency - 1));

/** How the layout of a batch came on. */
export type SearchTrack = {
  readonly key: string;
  readonly material: string;
  /** Sheets in use, the last by its length, whenever that became less. */
  readonly points: readonly { readonly seconds: number; readonly sheets: number }[];
  /** By the parts' area. */
  readonly least: number;
  /** So long it is looked for. */
  readonly seconds: number;
};

export function useNesting(batches: readonly NestBatch[], seed: number) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const running = useRunning();
  const tried = useRef(0);
  const [tracks, setTracks] = useState<readonly SearchTrack[]>([]);
  const run = useCallback(
    async (isAgain: boolean) => {
      const signal = running.start();
      const known = () => selectFound(store.getState()).sheets ?? [];
      /** One layout a batch that is still there, the best that was found. */
      const keep = (key: string, result: NestResult | undefined, isFinal: boolean) => {
        const before = known().find((layout) => layout.key === key);
        const best = before && !(result && isBetter(result, before.result)) ? before.result : result;
        if (!best || (best === before?.result && before.isFinal)) return;
        const others = known().filter((other) => other.key !== key && batches.some((batch) => batch.key === other.key));
        dispatch(foundArrived({ sheets: [...others, { key, result: best, isFinal }] }));
      };
      dispatch(searchTurned(true));
      const notation = selectNotation(store.getState());
      if (!isAgain) tried.current = 0;
      const from = seed + tried.current;
      const seeds = Array.from({ length: isAgain ? BESIDE : 1 }, (_, k) => (from + k + (isAgain ? 1 : 0)) % MOST_SEED);
      if (isAgain) tried.current += BESIDE;
      for (const batch of batches) {
        const { key, job } = batch;
        // where every piece lies as it was put there is nothing to look for
        if (areKept([batch])) continue;
        if (!isAgain && known().some((layout) => layout.key === key && layout.isFinal)) continue;
        const seconds = isAgain ? MORE_SECONDS : FIRST_SECONDS;
        const began = performance.now();
        const bare = { key, material: materialWords(batch, notation), least: leastSheets(job), seconds };
        const note = (result: NestResult) => {
          const point = { seconds: (performance.now() - began) / 1000, sheets: sheetsByLength(result, job) };
          const isThere = ({ key: other }: SearchTrack) => batches.some((one) => one.key === other);
          setTracks((now) => tracked(now.filter(isThere), bare, point));
        };
        let shownAt = 0;
        const onProgress = ({ result }: { readonly result: NestResult }) => {
          const now = performance.now();
          if (signal.aborted || now - shownAt < SHOWN_EVERY_MS) return;
          shownAt = now;
          note(result);
          keep(key, result, false);
        };
        const answers = await Promise.all(
          seeds.map((own) => engine.run('nest', { job, seed: own, seconds }, { signal, onProgress })),
        );
        if (signal.aborted) return;
        for (const answer of answers) {
          if (answer.kind === 'ok') note(answer.value);
          if (answer.kind === 'ok') keep(key, answer.value, true);
          if (answer.kind === 'failed')
            dispatch(said(`The layout stopped: ${answer.message}. Lay the sheets out again`));
        }
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
  const again = () => {
    setTracks([]);
    void run(true);
  };
  return { again, end, tracks };
}

type Point = SearchTrack['points'][number];

/** With one point more, where it is lower than those before it. */
function tracked(tracks: readonly SearchTrack[], bare: Omit<SearchTrack, 'points'>, point: Point): SearchTrack[] {
  const before = tracks.find(({ key }) => key === bare.key)?.points ?? [];
  const isLower = before.every(({ sheets }) => point.sheets < sheets);
  const points = isLower ? [...before, point] : before;
  return [...tracks.filter(({ key }) => key !== bare.key), { ...bare, points }];
}

const MOST_SEED = 2 ** 31;
