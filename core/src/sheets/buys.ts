/** The sheets to buy, by what they are. */
import type { BuyLine } from '../stage';
import { costsOf } from './costs';
import type { SheetsWhole } from './drawings';
import type { SheetsPart } from './schema';

export type BuyingSheets = SheetsWhole & { readonly project: { readonly sheets: Pick<SheetsPart, 'stock'> } };

/** None while nothing is laid out. */
export function sheetsToBuy({ project, values, found }: BuyingSheets): BuyLine[] {
  const { stock } = project.sheets;
  const { bought } = costsOf({ batches: values.sheets.batches, layouts: found.sheets ?? [] }, stock);
  return bought.map(({ id, name, used, there }) => ({
    ...{ id: `sheets ${id}`, what: `Plywood: ${name}`, howMuch: used === 1 ? '1 sheet' : `${used} sheets` },
    ...{ qty: used, there, price: stock.find((one) => one.id === id)?.price ?? 0, from: 'as it is laid out' },
  }));
}
