import { formatThickness, type Notation } from '@kalotrope/core/measure';
import type { StockSheet } from '@kalotrope/core/sheets';

/** By its thickness; of several of one thickness by its number, too. */
export function stockLabel(stock: readonly StockSheet[], i: number, notation: Notation): string {
  const sheet = stock[i];
  if (!sheet) return '';
  const alike = stock.slice(0, i).filter(({ thickness }) => thickness === sheet.thickness).length;
  const word = sheet.isOffcut ? 'offcut' : 'sheet';
  const number = alike > 0 ? ` ${alike + 1}` : '';
  return `${formatThickness(sheet.thickness, notation)} ${word}${number}`;
}
