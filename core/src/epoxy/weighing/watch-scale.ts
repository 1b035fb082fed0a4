/**
 * Whether a scale that sends its readings can be believed: lost, frozen, drifting, or just jumped.
 *
 * Method: what is shown is the median of the last three readings, so that one that stands out alone is not weighed by.
 * A live scale trembles in its last digit: the very same figure for some seconds is none. With nothing being poured it
 * stands still: a steady slope too slow for any pouring, over some seconds and straight beside its own tremble, is a
 * drift. Accuracy: a drift of 2 g a minute is told within half a minute; slower than 1 g a minute it is not.
 */
import { at } from '../../geometry';

/** As it came: the clock's time, ms, and g. */
export type Reading = { readonly at: number; readonly grams: number };

export type ScaleFault = 'lost' | 'frozen' | 'drifting' | 'jumped';
export type ScaleState = {
  /** Null: nothing has come yet, or nothing for a while. */
  readonly grams: number | null;
  readonly fault: ScaleFault | null;
};

/** Nothing for so long: the scale is lost. */
export const LOST_MS = 1500;
/** The same figure for so long, so many times, is a frozen one. */
const FROZEN_MS = 3000;
const FROZEN_TIMES = 6;
/** Readings are kept so long. */
export const KEPT_MS = 20_000;
const DRIFT_MS = 12_000;
/** Slower is no matter for a pot; faster is somebody pouring. g a minute. */
const DRIFT_FROM = 1;
const DRIFT_TO = 12;
/** How far readings may lie off a straight drift, g. */
const TREMBLE_G = 0.35;
/** A reading so far off both its neighbours stands alone, g; it is told of for so long. */
const JUMP_G = 5;
const JUMP_MS = 4000;

const MS_PER_MINUTE = 60_000;

/** `readings` in the order of time, those of the last KEPT_MS at least. */
export function watchScale(readings: readonly Reading[], now: number): ScaleState {
  const last = readings[readings.length - 1];
  if (!last || now - last.at > LOST_MS) return { grams: null, fault: 'lost' };
  const grams = median(readings.slice(-3).map((one) => one.grams));
  if (isFrozen(readings)) return { grams, fault: 'frozen' };
  if (isJump(readings.filter((one) => now - one.at <= JUMP_MS))) return { grams, fault: 'jumped' };
  return { grams, fault: isDrifting(readings, now) ? 'drifting' : null };
}

const median = (values: readonly number[]): number =>
  at(
    [...values].sort((a, b) => a - b),
    Math.floor(values.length / 2),
  );

function isFrozen(readings: readonly Reading[]): boolean {
  const last = at(readings, -1);
  const first = readings.findLastIndex(({ grams }) => grams !== last.grams) + 1;
  return readings.length - first >= FROZEN_TIMES && last.at - at(readings, first).at >= FROZEN_MS;
}

/** Back at once to where it was: a step of something put on stays up. */
const isJump = (recent: readonly Reading[]): boolean =>
  recent.slice(1, -1).some(({ grams }, k) => {
    const [before, after] = [at(recent, k).grams, at(recent, k + 2).grams];
    return Math.abs(grams - before) > JUMP_G && Math.abs(grams - after) > JUMP_G && Math.abs(after - before) < JUMP_G;
  });

function isDrifting(readings: readonly Reading[], now: number): boolean {
  const recent = readings.filter((one) => now - one.at <= DRIFT_MS);
  const first = recent[0];
  if (!first || recent.length < 3 || at(recent, -1).at - first.at < DRIFT_MS * 0.8) return false;
  const minutes = recent.map((one) => (one.at - first.at) / MS_PER_MINUTE);
  const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;
  const [mt, mg] = [mean(minutes), mean(recent.map(({ grams }) => grams))];
  const spread = minutes.reduce((sum, t) => sum + (t - mt) ** 2, 0);
  const slope = recent.reduce((sum, { grams }, k) => sum + (at(minutes, k) - mt) * (grams - mg), 0) / spread;
  const isStraight = recent.every(({ grams }, k) => Math.abs(grams - mg - slope * (at(minutes, k) - mt)) < TREMBLE_G);
  return isStraight && Math.abs(slope) >= DRIFT_FROM && Math.abs(slope) <= DRIFT_TO;
}
