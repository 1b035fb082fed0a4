/** Rows, cells and problems of a CSV file of offsets: what both of its forms share. */
import type { Longitudinal, OffsetPoint } from '../lines';
import { ANY_LENGTH, parseLength, plainText, type Marks, type Notation } from '../measure';

export type FileProblem = {
  /** Counted from 1, as an editor does. */
  readonly row: number;
  /** By its letter, as a spreadsheet does, with its heading where it has one. */
  readonly column: string;
  readonly found: string;
  readonly expected: string;
};

/** How a file writes its figures. */
export type HowFigures = { readonly notation: Notation; readonly marks: Marks };

/** A row with its place in the file. */
export type SourceRow = { readonly row: number; readonly cells: readonly string[] };

/** The column at an index from nought, as spreadsheets name it (A to Z, AA, …), after its heading. */
export function columnName(index: number, heading = ''): string {
  let letters = '';
  for (let left = index + 1; left > 0; left = Math.floor((left - 1) / 26))
    letters = String.fromCharCode(65 + ((left - 1) % 26)) + letters;
  return heading === '' ? letters : `${heading.slice(0, 30)} (${letters})`;
}

export function problem(row: number, column: string, text: string, expected: string): FileProblem {
  const found = text.replace(/\s+/g, ' ');
  return {
    row,
    column,
    found: found.length > 40 ? `${found.slice(0, 40)}…` : found,
    // only a cell in quotation marks goes on over the end of its line
    expected: text.includes('\n') ? `${expected}; its quotation mark is not closed on this line` : expected,
  };
}

/** The problem as one line: what, where, what would be accepted. */
export const problemText = (p: FileProblem): string =>
  `row ${p.row}, column ${p.column}: found ${p.found === '' ? 'nothing' : `"${p.found}"`}; expected ${p.expected}`;

/** One figure; what is not one becomes a problem and nought. */
export function readCell(
  text: string,
  place: HowFigures & { readonly row: number; readonly column: string; readonly problems: FileProblem[] },
): number {
  const { row, column, notation, marks, problems } = place;
  // a bare number in a feet-inches-eighths table could be feet, inches or eighths: only nought is beyond doubt
  const isBare = notation === 'ft-in-8ths' && /^[-+]?[\d.,]+$/.test(text) && Number(text.replace(',', '.')) !== 0;
  const parsed = parseLength(text, notation, marks);
  if (parsed.ok && !isBare) return parsed.mm;
  const expected =
    isBare || (notation === 'ft-in-8ths' && !parsed.ok && parsed.expected === ANY_LENGTH)
      ? 'feet-inches-eighths such as 3-7-6'
      : parsed.ok
        ? 'a length'
        : parsed.expected;
  problems.push(problem(row, column, text, expected));
  return 0;
}

/** Whether a cell says that the batten breaks at its point. */
export const saysKnuckle = (text: string): boolean => !/^(|0|-|n|no|none|false)$/i.test(text.trim());

export function longitudinal(name: string, points: OffsetPoint[]): Longitudinal {
  const plain = plainText(name);
  return {
    id: plain.toLowerCase().replace(/\s+/g, '-').slice(0, 60),
    name: (plain.charAt(0).toUpperCase() + plain.slice(1)).slice(0, 60),
    points,
  };
}
