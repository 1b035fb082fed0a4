/** What to buy, by section and length, with the pieces that are cut from it. */
import { formatScantling, isImperial, type Notation } from '../measure';
import { sectionOf, sectionOfStick } from './runs';
import type { TimberPart } from './schema';
import { soldFor } from './sold';
import type { TimberPlan } from './solve';
import type { TimberValue } from './value';

export type ToBuyLine = {
  /** In the boat's unit: 45 mm × 20 mm. */
  readonly section: string;
  readonly lengthMm: number;
  readonly qty: number;
  readonly pieces: readonly string[];
  /** What one asks for at the yard, where that goes by another name, and how many sticks of the section it makes. */
  readonly sold?: { readonly words: string; readonly each: number; readonly qty: number };
};

type Selling = Pick<TimberPart, 'sold' | 'kerf' | 'stock'>;

/** @param part where it matters in what sections timber is sold */
export const toBuyLines = (
  { runs, job }: TimberValue,
  plan: TimberPlan,
  notation: Notation,
  part?: Selling,
): ToBuyLine[] =>
  plan.bought.map(({ stock, qty }) => {
    const cut = plan.sticks.filter((stick) => stick.stock === stock).flatMap(({ cuts }) => cuts.map(({ run }) => run));
    const sold = part && soldAs(runs, { stock, qty }, part, notation);
    return {
      section: sectionOfStick(runs, job, stock, notation),
      lengthMm: job.stock.find(({ id }) => id === stock)?.length ?? 0,
      qty,
      pieces: runs.filter(({ id }) => cut.includes(id)).map(({ name }) => name),
      ...(sold && { sold }),
    };
  });

type Bought = { readonly stock: string; readonly qty: number };

function soldAs(runs: TimberValue['runs'], { stock, qty }: Bought, part: Selling, notation: Notation) {
  const run = runs.find((one) => part.stock.some(({ id }) => `${id} ${sectionOf(one)}` === stock));
  const stick = run && part.stock.find(({ id }) => `${id} ${sectionOf(run)}` === stock);
  // a stick that is listed with its section is had as it is
  if (!run || (stick && stick.width > 0 && stick.depth > 0)) return undefined;
  const found = soldFor(run, qty, part);
  if (!found) return undefined;
  // nobody looks for planed timber closer than that
  const side = (mm: number) => formatScantling(isImperial(notation) ? mm : Math.round(mm), notation);
  const planed = [found.width, found.depth].map(side).join(' × ');
  return {
    words: `from ${found.name} (${planed} planed)`,
    each: found.each,
    qty: Math.ceil(qty / found.each),
  };
}

/** As one asks for it: out of what, and how many are ripped from one. */
export const soldWords = ({ words, each }: NonNullable<ToBuyLine['sold']>): string =>
  each > 1 ? `${words}, ripped in ${each}` : words;
