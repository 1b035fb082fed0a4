/** Tables as CSV: a heading and rows, lengths in mm to a tenth. */
import Papa from 'papaparse';
import { isImperial, MM_PER_INCH, plainText, type Notation } from '../measure';

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

/** A length in a table that goes out: tenths of a millimetre, or thousandths of an inch, which its head then says. */
export const lengthCell = (mm: number, notation: Notation): number =>
  isImperial(notation) ? Number((mm / MM_PER_INCH).toFixed(3)) : tenth(mm);
export const lengthHead = (name: string, notation: Notation): string => (isImperial(notation) ? `${name}_in` : name);
