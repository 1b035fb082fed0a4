import { formatThickness, type Notation } from '@kalotrope/core/measure';
import type { StockSheet } from '@kalotrope/core/sheets';

/** By its thickness; of several of one thickness by its number, too. */
export function stockLabel(stock: readonly StockSheet[], i: number, notation: Notation): string {
  const sheet = stock[i];
  if (!sheet) return '';
  const alike = stock.slice(0, i).filter(({ thickness }) => thickness === sheet.thickness).length;
  return `${formatThickness(sheet.thickness, notation)} ${sheet.isOffcut ? 'offcut' : 'sheet'}${alike > 0 ? ` ${alike + 1}` : ''}`;
}
