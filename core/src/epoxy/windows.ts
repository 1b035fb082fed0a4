/**
 * When a coat can be followed by the next: clock times in a shop whose temperature changes, and when to hold off.
 *
 * Method: curing goes twice as fast for each 10 °C warmer, so the hours of the resin's own sheet are counted up at the
 * pace of each stretch of the forecast; below the hardener's least temperature nothing is counted. Dew point by
 * Magnus's formula with the constants of Sonntag (1990), 17.62 and 243.12 °C.
 * Conventions: clock times are milliseconds since 1970, as clocks give them; the last temperature goes on for ever.
 */
import { ABOVE_DEW_C, FINISH_AT_C, FINISH_LEAST_C } from './constants';
import type { EpoxyPart, Finish } from './schema';

export type Resin = EpoxyPart['resin'];
/** From a time on it is so warm and so damp; in order of time. */
export type Weather = { readonly at: number; readonly tempC: number; readonly humidity: number };

export type Windows = {
  /** Null: at that temperature it never does. */
  readonly tacky: number | null;
  readonly bonds: number | null;
  readonly sand: number | null;
  readonly cured: number | null;
};

const HOUR_MS = 3_600_000;
const DOUBLES_EVERY_C = 10;
const [MAGNUS_A, MAGNUS_B] = [17.62, 243.12] as const;
/** Drier air than this has no dew point worth a word. */
const DRIEST = 1;

/** °C. */
export function dewPointC(tempC: number, humidity: number): number {
  const log = Math.log(Math.max(DRIEST, humidity) / 100) + (MAGNUS_A * tempC) / (MAGNUS_B + tempC);
  return (MAGNUS_B * log) / (MAGNUS_A - log);
}

/** When the next coat of a finish may go on, and until when, of one that went on at `start`. */
export function coatWindow(
  start: number,
  weather: readonly Weather[],
  { fromHours, untilHours }: Pick<Finish, 'fromHours' | 'untilHours'>,
): { readonly from: number | null; readonly until: number | null } {
  const at = { potC: FINISH_AT_C.value, leastC: FINISH_LEAST_C.value };
  const after = (hours: number) => clockAfter(start, hours, weather, at);
  return { from: after(fromHours), until: after(Math.max(fromHours, untilHours)) };
}

/** Clock times for what is mixed at `start`. */
export function windowsFrom(start: number, weather: readonly Weather[], resin: Resin): Windows {
  const after = (hours: number) => clockAfter(start, hours, weather, resin);
  return {
    tacky: after(resin.tackyHours),
    bonds: after(Math.max(resin.tackyHours, resin.bondsHours)),
    sand: after(resin.sandHours),
    cured: after(resin.curedHours),
  };
}

/** How many hours at the maker's temperature an hour of this one is worth. */
export const paceAt = (tempC: number, { potC, leastC }: Pick<Resin, 'potC' | 'leastC'>): number =>
  tempC < leastC ? 0 : 2 ** ((tempC - potC) / DOUBLES_EVERY_C);

/** The same of a coat of paint or varnish; under its least warmth as at that. */
export const paceOfFinish = (tempC: number): number =>
  paceAt(Math.max(tempC, FINISH_LEAST_C.value), { potC: FINISH_AT_C.value, leastC: FINISH_LEAST_C.value });

function clockAfter(
  start: number,
  hours: number,
  weather: readonly Weather[],
  resin: Pick<Resin, 'potC' | 'leastC'>,
): number | null {
  let left = hours * HOUR_MS;
  let now = start;
  for (const [k, { tempC }] of weather.entries()) {
    const next = weather[k + 1];
    if (next && next.at <= now) continue;
    const pace = paceAt(tempC, resin);
    const length = next ? next.at - now : Infinity;
    if (pace > 0 && left / pace <= length) return now + left / pace;
    if (!next) return null;
    left -= length * pace;
    now = next.at;
  }
  return null;
}

export type HoldOff = 'cold' | 'damp' | 'dew';

/** Why nothing is coated now; none: go on. The surface is taken to be as warm as the air unless it is measured. */
export function holdOffs(
  { tempC, humidity, surfaceC = tempC }: Omit<Weather, 'at'> & { readonly surfaceC?: number },
  { leastC, dampest }: Resin,
): HoldOff[] {
  const found: HoldOff[] = [];
  if (Math.min(tempC, surfaceC) < leastC) found.push('cold');
  if (humidity > dampest) found.push('damp');
  if (surfaceC < dewPointC(tempC, humidity) + ABOVE_DEW_C.value) found.push('dew');
  return found;
}

/** The same hour by hour, what lies between two times by their shares: a night does not come at one stroke. */
export const hourly = (weather: readonly Weather[]): Weather[] =>
  weather.flatMap((now, k) => {
    const next = weather[k + 1];
    const hours = next ? Math.min(MOST_HOURS, Math.ceil((next.at - now.at) / HOUR_MS - 1e-9)) : 1;
    return Array.from({ length: hours }, (_, j): Weather => {
      const share = j / hours;
      const between = (from: number, to: number) => from + share * (to - from);
      return next
        ? {
            at: between(now.at, next.at),
            tempC: between(now.tempC, next.tempC),
            humidity: between(now.humidity, next.humidity),
          }
        : now;
    });
  });

/** Between two times of a forecast; further apart they are parted into so many steps. */
const MOST_HOURS = 240;

/** What may begin when: the stretches of the weather in which nothing speaks against it until the coat is tacky. */
export function fitStretches(
  weather: readonly Weather[],
  resin: Resin,
): { readonly from: number; readonly to: number }[] {
  const fit: { from: number; to: number }[] = [];
  weather.forEach((now, k) => {
    const next = weather[k + 1];
    const until = clockAfter(now.at, resin.tackyHours, weather.slice(k), resin);
    const during = weather.filter(({ at }, j) => j >= k && at < (until ?? now.at));
    if (!next || until === null || [now, ...during].some((one) => holdOffs(one, resin).length > 0)) return;
    const last = fit[fit.length - 1];
    if (last && last.to === now.at) last.to = next.at;
    else fit.push({ from: now.at, to: next.at });
  });
  return fit;
}
