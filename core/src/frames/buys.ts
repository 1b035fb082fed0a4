/** Screws through the skin, by length, with some to spare. */
import { formatFine, unitLabel, type Notation } from '../measure';
import type { BuyLine } from '../stage';
import { SPARE_SCREWS } from './constants';
import type { FramesValue } from './judge';

export type BuyingFrames = {
  readonly project: { readonly notation: Notation };
  readonly values: { readonly frames: Pick<FramesValue, 'screws'> };
};

export function framesToBuy({ project: { notation }, values }: BuyingFrames): BuyLine[] {
  const lengths = [...new Set(values.frames.screws.map(({ lengthMm }) => lengthMm))].sort((a, b) => a - b);
  return lengths.map((lengthMm) => {
    const rows = values.frames.screws.filter((row) => row.lengthMm === lengthMm);
    const count = rows.reduce((sum, row) => sum + row.count, 0);
    const qty = Math.ceil(count * (1 + SPARE_SCREWS.value));
    const length = `${formatFine(lengthMm, notation)} ${unitLabel(notation)}`;
    return {
      ...{ id: `screws ${lengthMm}`, what: `Screws, no longer than ${length}`, howMuch: String(qty), qty: 1 },
      ...{ there: 0, price: 0, from: `${count} counted: ${[...new Set(rows.map(({ into }) => into))].join('; ')}` },
    };
  });
}
