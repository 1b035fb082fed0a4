/** Tables as CSV: a heading and rows, lengths in mm to a tenth. */
import Papa from 'papaparse';
import { plainText } from '../measure';

export type CsvCell = string | number;

/**
 * Words as a cell: what a spreadsheet would run as a formula gets an apostrophe before it, which it shows as text.
 * Figures go out as numbers, not through here.
 */
export const safeCell = (text: string): string => {
  const plain = plainText(text);
  return /^[=@+-]/.test(plain) ? `'${plain}` : plain;
};

const cellOf = (cell: CsvCell): CsvCell => (typeof cell === 'string' ? safeCell(cell) : cell);

export const csv = (head: readonly string[], rows: readonly (readonly CsvCell[])[]): string =>
  `${Papa.unparse([[...head], ...rows.map((row) => row.map(cellOf))], { newline: '\n' })}\n`;

/** To a tenth, as a table that is marked out from has it. */
export const tenth = (value: number): number => Number(value.toFixed(1));
