/** Edits of what was read: each check of a frame once, with the turn in which it was read. */
import type { Edit } from '../findings';
import type { CheckName, KeptReading } from './schema';

type Read = { readonly frame: string; readonly what: CheckName } & (
  { readonly isTrue: true } | { readonly isTrue: false; readonly value: number }
);

const PATH = ['setup', 'readings'] as const;
const idOf = ({ frame, what }: Pick<KeptReading, 'frame' | 'what'>): string => `${frame}.${what}`;

/** One more turn than any; a frame keeps the turn in which it was first read. */
export function readingEdit(readings: readonly KeptReading[], read: Read): Edit {
  const turn = Math.max(0, ...readings.map((one) => one.turn)) + 1;
  const own = readings.filter(({ frame }) => frame === read.frame);
  const firstTurn = own.length > 0 ? Math.min(...own.map((one) => one.firstTurn)) : turn;
  const { frame, what } = read;
  const value = read.isTrue ? 0 : read.value;
  const kept: KeptReading = { id: idOf(read), frame, what, isTrue: read.isTrue, value, turn, firstTurn };
  return { path: [...PATH], value: [...readings.filter(({ id }) => id !== kept.id), kept] };
}

/** All of a frame on its mark at once. */
export function allTrueEdit(readings: readonly KeptReading[], frame: string, checks: readonly CheckName[]): Edit {
  let all = readings;
  // the edit's value is the readings
  for (const what of checks) all = readingEdit(all, { frame, what, isTrue: true }).value as readonly KeptReading[];
  return { path: [...PATH], value: [...all] };
}

/** A frame that was moved is read anew; that it was set stays known. */
export const forgottenEdit = (readings: readonly KeptReading[], frame: string): Edit => ({
  path: [...PATH],
  value: readings.filter((one) => one.frame !== frame),
});
