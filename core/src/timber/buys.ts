/** The sticks to buy, by section and length. */
import { formatWithUnit } from '../measure';
import type { BuyLine } from '../stage';
import { soldWords, toBuyLines } from './buying';
import { sectionOf, sectionOfStick } from './runs';
import type { TimberPart } from './schema';
import { planOf } from './judge';
import type { TimberWhole } from './value';

export type BuyingTimber = TimberWhole & {
  readonly project: { readonly timber: Pick<TimberPart, 'sold' | 'kerf' | 'stock'> };
};

/** None while there is no plan of them. */
export function timberToBuy({ project, values, found }: BuyingTimber): BuyLine[] {
  const { notation } = project;
  const { runs, job } = values.timber;
  const plan = planOf(values.timber, found.timber);
  const lines = plan ? toBuyLines(values.timber, plan, notation, project.timber) : [];
  return (plan?.bought ?? []).map(({ stock, qty: sticks }, k) => {
    const length = job.stock.find(({ id }) => id === stock)?.length ?? 0;
    const sold = lines[k]?.sold;
    const qty = sold?.qty ?? sticks;
    const own = project.timber.stock.find(({ id }) => runs.some((run) => `${id} ${sectionOf(run)}` === stock));
    const cut = plan?.sticks.filter((stick) => stick.stock === stock).flatMap(({ cuts }) => cuts.map(({ run }) => run));
    const names = runs.filter(({ id }) => cut?.includes(id)).map(({ name }) => name);
    return {
      id: `timber ${stock}`,
      what: [sectionOfStick(runs, job, stock, notation), ...(sold ? [soldWords(sold)] : [])].join(', '),
      howMuch: `${qty} × ${formatWithUnit(length, notation)}`,
      ...{ qty, there: 0, price: own?.price ?? 0, from: names.join('; ') },
    };
  });
}
