/** What the epoxy stage finds: codes, the data of each, and their sentences. */
import { entry, figure, word, type FindingsOf, type StageResult } from '../findings';

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
  'no-pot-in-time': entry(
    { job: word, shopC: figure, potLife: figure, gramsPerMinute: figure, most: figure },
    ({ job, shopC, potLife, gramsPerMinute, most }) =>
      `${job}: no pot can be used up in time. At ${shopC} °C one lasts ${minutesWords(potLife)}, at ` +
      `${Number(gramsPerMinute.toFixed(1))} g a minute, and the job would take more than ${most} of them. ` +
      'Work where it is cooler, take a slower hardener, or have a helper.',
    { job: 'Fillets, bulkhead 2', shopC: 38, potLife: 0.4, gramsPerMinute: 1, most: 2000 },
  ),
  'scale-too-coarse': entry(
    { job: word, share: figure, total: figure, scale: figure },
    ({ job, share, total, scale }) =>
      `${job}: in a pot of ${total} g a scale that shows ${scale} g at a time is ${(share * 100).toFixed(0)} % off ` +
      'the ratio at best. Mix more at once, or weigh on a finer scale.',
    { job: 'Scarfs, side', share: 0.08, total: 5, scale: 1 },
  ),
} as const;

const minutesWords = (minutes: number): string =>
  minutes < 1 ? `${(minutes * 60).toFixed(0)} seconds` : `${minutes.toFixed(0)} minutes`;

export type EpoxyFinding = FindingsOf<typeof EPOXY_FINDINGS>;
export type EpoxyResult<T> = StageResult<T, EpoxyFinding>;
