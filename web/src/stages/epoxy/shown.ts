/** Masses as a scale of the shop shows them, and clock times as they are said. */
import type { MixedPot, PotRecord } from '../../storage/pots';
import { gramsPerShown, massUnit, type Notation } from '@kalotrope/core/measure';

/** As many places as the scale has. */
export function scaleFigure(grams: number, notation: Notation, scaleG: number): string {
  const step = scaleG / gramsPerShown(notation);
  const places = step >= 0.95 ? 0 : step >= 0.095 ? 1 : 2;
  return (grams / gramsPerShown(notation)).toFixed(places).replace(/^-(0(\.0+)?)$/, '$1');
}

export const scaleWords = (grams: number, notation: Notation, scaleG: number): string =>
  `${scaleFigure(grams, notation, scaleG)} ${massUnit(notation)}`;

const DAY_MS = 24 * 3_600_000;

/** `1:05` of minutes and seconds. */
export function countdown(ms: number): string {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

const HOUR_MS = 3_600_000;
/** A sample that nobody looked at for so long is not asked for any more. */
const FORGOTTEN_MS = 7 * DAY_MS;

const isMixed = (one: PotRecord): one is MixedPot => one.kind === 'mixed';

/** Pots whose sample should be hard by now and was not looked at: after a day, or as soon as it can be sanded. */
export function samplesDue(records: readonly PotRecord[], now: number, sandHours: number): MixedPot[] {
  const seen = new Set(records.flatMap((one) => (one.kind === 'sample' ? [one.of] : [])));
  const after = Math.min(DAY_MS, sandHours * HOUR_MS);
  return records.filter(
    (one): one is MixedPot => isMixed(one) && !seen.has(one.at) && now - one.at >= after && now - one.at < FORGOTTEN_MS,
  );
}

/** Pots whose sample was last found soft. */
export function softPots(records: readonly PotRecord[]): MixedPot[] {
  const last = new Map(records.flatMap((one) => (one.kind === 'sample' ? [[one.of, one.isHard] as const] : [])));
  return records.filter((one): one is MixedPot => isMixed(one) && last.get(one.at) === false);
}
