import type { FasteningUse } from '../schema';

/** What becomes of a fastening, as screens and lists call it. */
export const FASTENING_NAMES: Readonly<Record<FasteningUse, string>> = {
  left: 'screws left in',
  plugged: 'screws under plugs',
  drawn: 'screws drawn again',
  staples: 'staples drawn again',
  none: 'none',
};
