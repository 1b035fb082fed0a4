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
    ({ job, shopC, potLife, gramsPerMinute, most }, { warmth, mass }) =>
      `${job}: no pot can be used up in time. At ${warmth(shopC)} one lasts ${minutesWords(potLife)}; at ` +
      `${mass(gramsPerMinute)} a minute the job would take more than ${most} of them. ` +
      'Work where it is cooler, take a slower hardener, or have a helper.',
    { job: 'Fillets, bulkhead 2', shopC: 38, potLife: 0.4, gramsPerMinute: 1, most: 2000 },
  ),
  'scale-too-coarse': entry(
    { job: word, share: figure, total: figure, scale: figure },
    ({ job, share, total, scale }, { mass }) =>
      `${job}: in a pot of ${mass(total)} a scale that shows ${mass(scale)} at a time is ` +
      `${(share * 100).toFixed(0)} % ` +
      'off the ratio at best. Mix more at once, or weigh on a finer scale.',
    { job: 'Scarfs, side', share: 0.08, total: 5, scale: 1 },
  ),
  'glue-does-not-bear': entry(
    { glue: word, items: word },
    ({ glue, items }) =>
      `${glue} is no glue for what holds the boat together: ${items}. Glue these with epoxy, or with one that bears.`,
    { glue: 'Quick drops', items: 'Scarfs, side' },
  ),
  'glue-foams': entry(
    { glue: word, items: word },
    ({ glue, items }) =>
      `${glue} swells: ${items} must be clamped tight all over, for its foam fills a gap and does not hold it.`,
    { glue: 'Foaming glue', items: 'Scarfs, side' },
  ),
  'no-pack': entry(
    { aMl: figure, bMl: figure },
    ({ aMl, bMl }, { volume }) =>
      `${volume(aMl)} of resin and ${volume(bMl)} of hardener are wanted, and no pack in the list holds ` +
      'what is missing. Add one.',
    { aMl: 8000, bMl: 4000 },
  ),
  'mat-binder': entry(
    {},
    () =>
      'The mat on the back of this glass is held by a binder. One made for another resin does not dissolve in epoxy, ' +
      'and the mat stays white: ask for a stitched mat or one with a binder for epoxy.',
    {},
  ),
} as const;

const minutesWords = (minutes: number): string =>
  minutes < 1 ? `${(minutes * 60).toFixed(0)} seconds` : `${minutes.toFixed(0)} minutes`;

export type EpoxyFinding = FindingsOf<typeof EPOXY_FINDINGS>;
export type EpoxyResult<T> = StageResult<T, EpoxyFinding>;
