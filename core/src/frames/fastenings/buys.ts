/** Fastenings to buy: screws by length, with some to spare; washers, plugs and staples apart. */
import { formatFine, unitLabel, type Notation } from '../../measure';
import type { BuyLine } from '../../stage';
import { SPARE_SCREWS } from '../constants';
import type { FramesValue } from '../judge';
import type { FramesPart } from '../schema';
import type { ScrewRow } from './screws';

export type BuyingFrames = {
  readonly project: { readonly notation: Notation; readonly frames: { readonly screws: FramesPart['screws'] } };
  readonly values: { readonly frames: Pick<FramesValue, 'screws'> };
};

const withSpare = (count: number): number => Math.ceil(count * (1 + SPARE_SCREWS.value));

export const framesToBuy = ({ project: { notation, frames }, values }: BuyingFrames): BuyLine[] =>
  fasteningsToBuy(values.frames.screws, frames.screws.diameter, notation);

/** By length, with some to spare; of those that are drawn again as many as are in at once. */
export function fasteningsToBuy(
  rows: readonly ScrewRow[],
  diameterMm: number,
  notation: Notation,
  /** Before the ids, where another stage buys its own. */
  mark = '',
): BuyLine[] {
  const long = (mm: number) => `${formatFine(mm, notation)} ${unitLabel(notation)}`;
  const thick = long(diameterMm);
  const line = (id: string, what: string, count: number, from: string): BuyLine[] =>
    count > 0 ? [{ id: mark + id, what, howMuch: String(count), qty: 1, there: 0, price: 0, from }] : [];
  const byLength = (
    keep: (row: ScrewRow) => boolean,
    say: (some: readonly ScrewRow[], lengthMm: number) => BuyLine[],
  ) => {
    const kept = rows.filter(keep);
    return [...new Set(kept.map(({ lengthMm }) => lengthMm))]
      .sort((a, b) => a - b)
      .flatMap((lengthMm) =>
        say(
          kept.filter((row) => row.lengthMm === lengthMm),
          lengthMm,
        ),
      );
  };
  const drawn = rows.filter(({ use }) => use === 'drawn');
  const plugged = rows.filter(({ use }) => use === 'plugged');
  return [
    ...byLength(
      ({ use }) => use === 'left' || use === 'plugged',
      (some, mm) =>
        line(
          `screws ${mm}`,
          `Screws, ${thick} thick, no longer than ${long(mm)}`,
          withSpare(sum(some)),
          `${sum(some)} counted: ${intoWords(some)}`,
        ),
    ),
    ...byLength(
      ({ use }) => use === 'drawn',
      (some, mm) =>
        line(
          `drawn ${mm}`,
          `Screws to draw again, ${thick} thick, no longer than ${long(mm)}`,
          withSpare(mostAtOnce(some)),
          `${sum(some)} places, as many as the fullest of them takes at once; wax them`,
        ),
    ),
    ...line('washers', 'Washers under them', mostAtOnce(drawn.filter(({ hasWashers }) => hasWashers)), 'a thin sheet'),
    ...line('plugs', 'Plugs', withSpare(sum(plugged)), intoWords(plugged)),
    ...byLength(
      ({ use }) => use === 'staples',
      (some, mm) =>
        line(
          `staples ${mm}`,
          `Staples, no longer than ${long(mm)}`,
          withSpare(sum(some)),
          `drawn again: ${intoWords(some)}`,
        ),
    ),
  ];
}

const sum = (rows: readonly ScrewRow[]): number => rows.reduce((all, { count }) => all + count, 0);
const intoWords = (rows: readonly ScrewRow[]): string => [...new Set(rows.map(({ into }) => into))].join('; ');

/** Of screws that are used again: as many as hold one panel, or one frame’s cleats, until the glue is hard. */
function mostAtOnce(rows: readonly ScrewRow[]): number {
  const held = new Map<string, number>();
  for (const { panel, panelName, count } of rows) {
    const key = `${panel} ${panelName}`;
    held.set(key, (held.get(key) ?? 0) + count);
  }
  return Math.max(0, ...held.values());
}
