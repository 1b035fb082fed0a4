/** Tables as CSV: a heading and rows, lengths in mm to a tenth. */
import Papa from 'papaparse';

export type CsvCell = string | number;

export const csv = (head: readonly string[], rows: readonly (readonly CsvCell[])[]): string =>
  `${Papa.unparse([[...head], ...rows], { newline: '\n' })}\n`;

/** To a tenth, as a table that is marked out from has it. */
export const tenth = (value: number): number => Number(value.toFixed(1));
