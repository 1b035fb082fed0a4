/** Words of the log’s screen. */
import type { LogKind, MovedPart } from '@kalotrope/core/log';

export const WRITE_SECTION = 'A new entry';
export const BUDGET_SECTION = 'Money to spend';

export const KIND_NAMES: Readonly<Record<LogKind, string>> = {
  hours: 'Hours',
  money: 'Money',
  measured: 'Measured',
  mistake: 'A mistake',
  doubt: 'A doubt',
  note: 'A note',
};

/** Of what money went on, and no stage buys. */
export const OTHER_USE = 'other';

/** What to do about a cut part that is drawn otherwise now. */
export const VERDICT_WORDS: Readonly<Record<MovedPart['verdict'], string>> = {
  nothing: 'nothing',
  plane: 'plane it off',
  fill: 'fill the gap',
  anew: 'cut it anew',
  gone: 'no such part any more',
};
