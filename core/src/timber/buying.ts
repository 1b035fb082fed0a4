/** What to buy, by section and length, with the pieces that are cut from it. */
import type { Notation } from '../measure';
import { sectionOfStick } from './runs';
import type { TimberPlan } from './solve';
import type { TimberValue } from './value';

export type ToBuyLine = {
  /** In the boat's unit: 45 mm × 20 mm. */
  readonly section: string;
  readonly lengthMm: number;
  readonly qty: number;
  readonly pieces: readonly string[];
};

export const toBuyLines = ({ runs, job }: TimberValue, plan: TimberPlan, notation: Notation): ToBuyLine[] =>
  plan.bought.map(({ stock, qty }) => {
    const cut = plan.sticks.filter((stick) => stick.stock === stock).flatMap(({ cuts }) => cuts.map(({ run }) => run));
    return {
      section: sectionOfStick(runs, job, stock, notation),
      lengthMm: job.stock.find(({ id }) => id === stock)?.length ?? 0,
      qty,
      pieces: runs.filter(({ id }) => cut.includes(id)).map(({ name }) => name),
    };
  });
