/** What the epoxy stage finds: codes, the data of each, and their sentences. */
import { entry, word, type FindingsOf, type StageResult } from '../findings';

export const EPOXY_FINDINGS = {
  'epoxy-safety': entry(
    {},
    () =>
      'Epoxy sensitises skin and lungs: gloves, moving air, a dust respirator when sanding. ' +
      'A big pot can smoke and burn: mix small.',
    {},
  ),
  'sheathed-up-to': entry(
    { line: word, sheathed: word, bare: word },
    ({ line, sheathed, bare }) =>
      `Sheathed up to the ${line}: ${sheathed}.${bare === '' ? '' : ` Left bare: ${bare}.`}`,
    { line: 'upper chine', sheathed: 'bottom, strake 2', bare: 'side' },
  ),
  'no-chine-to-sheathe-to': entry(
    {},
    () => 'There is no chine up to which a bottom could be sheathed: nothing is. Sheathe all of it, or nothing.',
    {},
  ),
} as const;

export type EpoxyFinding = FindingsOf<typeof EPOXY_FINDINGS>;
export type EpoxyResult<T> = StageResult<T, EpoxyFinding>;
