/** The forecast as it was pasted, kept for the workshop, and read. */
import { useEffect, useSyncExternalStore } from 'react';
import { readForecast, type ClockOf, type Weather } from '@kalotrope/core/epoxy';
import type { Notation } from '@kalotrope/core/measure';
import { keepForecast, keptForecast } from '../storage/pots';

/** By the clock of this machine. */
const clockOf: ClockOf = ({ year, month, day, hour, minute }) => {
  const at = new Date(year, month - 1, day, hour, minute);
  const isThere = at.getMonth() === month - 1 && at.getDate() === day && hour < 24 && minute < 60;
  return isThere ? at.getTime() : undefined;
};

export type Forecasting = {
  readonly text: string;
  readonly weather: readonly Weather[];
  readonly problem: string | null;
  readonly put: (text: string) => void;
};

/** One for all that look at it: what is typed on one screen is seen by the others at once. Null until it is read. */
let shared: string | null = null;
const watchers = new Set<() => void>();

function share(text: string): void {
  shared = text;
  watchers.forEach((tell) => tell());
}

function watch(tell: () => void): () => void {
  watchers.add(tell);
  return () => watchers.delete(tell);
}

export function useForecast(notation: Notation): Forecasting {
  const text = useSyncExternalStore(watch, () => shared ?? '');
  useEffect(() => {
    if (shared !== null) return;
    void keptForecast().then(
      (kept) => shared === null && share(kept),
      () => undefined,
    );
  }, []);
  const read = text.trim() === '' ? null : readForecast(text, { notation, clockOf });
  return {
    text,
    weather: read?.ok ? read.weather : [],
    problem: read && !read.ok ? read.problem : null,
    put: (next) => {
      share(next);
      keepForecast(next).catch(() => undefined); // a browser that keeps nothing shows it all the same
    },
  };
}
