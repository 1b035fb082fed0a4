/** A figure as it was read off in the shop and typed: a length in the boat's notation, or degrees. */
import { formatWithUnit, parseLength, type Notation } from '../measure';
import type { TaskReading } from './task';

/** `words`: as it was understood. */
export type ReadFigure =
  | { readonly ok: true; readonly value: number; readonly words: string }
  | { readonly ok: false; readonly expected: string };

/** As far off as anything in a shop, and as anything leans. */
const FAR_MM = 100_000;
const MOST_DEG = 90;

export function readFigure(typed: string, kind: TaskReading['kind'], notation: Notation): ReadFigure {
  const text = typed.trim().replace('−', '-');
  if (kind === 'degrees') {
    const value = Number(text.replace(',', '.').replace('°', ''));
    return text !== '' && Math.abs(value) <= MOST_DEG
      ? { ok: true, value, words: `${value}°` }
      : { ok: false, expected: `degrees, from −${MOST_DEG} to ${MOST_DEG}` };
  }
  const read = parseLength(text, notation);
  if (!read.ok) return { ok: false, expected: read.expected };
  return Math.abs(read.mm) <= FAR_MM
    ? { ok: true, value: read.mm, words: formatWithUnit(read.mm, notation) }
    : { ok: false, expected: `up to ${formatWithUnit(FAR_MM, notation)}` };
}
