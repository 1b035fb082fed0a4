/** The forecast as it was pasted, kept for the workshop, and read. */
import { useEffect, useState } from 'react';
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

export function useForecast(notation: Notation): Forecasting {
  const [text, setText] = useState('');
  useEffect(() => {
    let isGone = false;
    void keptForecast().then(
      (kept) => !isGone && setText((typed) => typed || kept),
      () => undefined,
    );
    return () => {
      isGone = true;
    };
  }, []);
  const read = text.trim() === '' ? null : readForecast(text, { notation, clockOf });
  return {
    text,
    weather: read?.ok ? read.weather : [],
    problem: read && !read.ok ? read.problem : null,
    put: (next) => {
      setText(next);
      keepForecast(next).catch(() => undefined); // a browser that keeps nothing shows it all the same
    },
  };
}
