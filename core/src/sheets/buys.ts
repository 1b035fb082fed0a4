/** The sheets to buy, by their sizes: a name of the builder's may be in another unit. */
import { formatThickness, formatWithUnit, type Notation } from '../measure';
import type { BuyLine } from '../stage';
import { costsOf } from './costs';
import type { SheetsWhole } from './drawings';
import type { SheetsPart, StockSheet } from './schema';

export type BuyingSheets = SheetsWhole & { readonly project: { readonly sheets: Pick<SheetsPart, 'stock'> } };

/** None while nothing is laid out. */
export function sheetsToBuy({ project, values, found }: BuyingSheets): BuyLine[] {
  const { stock } = project.sheets;
  const { bought } = costsOf({ batches: values.sheets.batches, layouts: found.sheets ?? [] }, stock);
  return bought.flatMap(({ id, used, there }): BuyLine[] => {
    const sheet = stock.find((one) => one.id === id);
    if (!sheet) return [];
    const howMuch = used === 1 ? '1 sheet' : `${used} sheets`;
    const what = `Plywood: ${sizeWords(sheet, project.notation)}`;
    return [{ id: `sheets ${id}`, what, howMuch, qty: used, there, price: sheet.price, from: 'as it is laid out' }];
  });
}

function sizeWords({ thickness, width, height, kind, isOffcut }: StockSheet, notation: Notation): string {
  const size = [width, height].map((mm) => formatWithUnit(mm, notation)).join(' × ');
  const wood = kind.trim() === '' ? '' : `, ${kind.trim()}`;
  return `${formatThickness(thickness, notation)}, ${size}${wood}${isOffcut ? ', an offcut' : ''}`;
}
