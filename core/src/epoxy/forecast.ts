/**
 * A forecast as it is typed or pasted: a line a time, `2026-05-02 08:00, 12.5, 70`, in the shop's own time.
 *
 * Semicolons and tabs part figures too, and then a comma may be the decimal point. A line of words at the top is a
 * head. Temperatures in the boat's unit; humidity in per cent, taken as the line before where it is left out.
 */
import { fromShownTemperature, temperatureUnit, type Notation } from '../measure';
import type { Weather } from './windows';

export type ReadForecast =
  { readonly ok: true; readonly weather: readonly Weather[] } | { readonly ok: false; readonly problem: string };

const MOST_LINES = 1000;
const USUAL_HUMIDITY = 60;
const TIME = /^(\d{4})-(\d{1,2})-(\d{1,2})[T ]+(\d{1,2})(?::(\d{2}))?/;

/** A date and a time of the shop's own clock in ms since 1970; undefined where there is no such day or hour. */
export type ClockOf = (time: {
  readonly year: number;
  /** 1 to 12. */
  readonly month: number;
  readonly day: number;
  readonly hour: number;
  readonly minute: number;
}) => number | undefined;

type Reading = { readonly notation: Notation; readonly clockOf: ClockOf };

/** Never throws. */
export function readForecast(text: string, reading: Reading): ReadForecast {
  const lines = text.split(/\r?\n/).map((line, k) => ({ line: line.trim(), number: k + 1 }));
  const rows = lines.filter(({ line }, k) => line !== '' && !(k === 0 && !TIME.test(line)));
  if (rows.length > MOST_LINES) return { ok: false, problem: `${rows.length} lines; expected ${MOST_LINES} at most` };
  const weather: Weather[] = [];
  for (const { line, number } of rows) {
    const read = readLine(line, reading, weather[weather.length - 1]);
    if (typeof read === 'string') return { ok: false, problem: `line ${number}: ${read}` };
    weather.push(read);
  }
  return weather.length === 0
    ? { ok: false, problem: 'no line of it begins with a date; expected 2026-05-02 08:00, 12.5, 70' }
    : { ok: true, weather };
}

function readLine(line: string, { notation, clockOf }: Reading, before: Weather | undefined): Weather | string {
  const parting = /[;\t]/.test(line) ? /[;\t]/ : ',';
  const [time = '', warmth = '', damp = ''] = line.split(parting).map((one) => one.trim());
  const match = TIME.exec(time);
  if (!match) return `found "${time.slice(0, 30)}"; expected a date and a time, 2026-05-02 08:00`;
  const [year, month, day, hour, minute] = match.slice(1).map((one) => Number(one ?? 0)) as [
    ...[number, number, number, number, number], // the groups of the pattern
  ];
  const at = clockOf({ year, month, day, hour, minute });
  if (at === undefined) return `there is no ${match[0]}; expected a date and a time, 2026-05-02 08:00`;
  const shown = figureIn(warmth);
  const tempC = fromShownTemperature(shown, notation);
  if (!(Math.abs(tempC) <= 60))
    return `found "${warmth.slice(0, 30)}"; expected a temperature in ${temperatureUnit(notation)}`;
  const humidity = damp === '' ? (before?.humidity ?? USUAL_HUMIDITY) : figureIn(damp);
  if (!(humidity >= 0 && humidity <= 100)) return `found "${damp.slice(0, 30)}"; expected a humidity from 0 to 100 %`;
  if (before && at <= before.at) return `${match[0]} is not after the line before; expected times in order`;
  return { at, tempC, humidity };
}

const figureIn = (text: string): number =>
  text === ''
    ? NaN
    : Number(
        text
          .replace(/[°CF%\s]/g, '')
          .replace(',', '.')
          .replace('−', '-'),
      );
