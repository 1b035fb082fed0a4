/** Rows, cells and problems of a CSV file of offsets: what both of its forms share. */
import type { Longitudinal, OffsetPoint } from '../lines';
import { ANY_LENGTH, parseLength, type Marks, type Notation } from '../measure';

export type FileProblem = {
  /** Counted from 1, as an editor does. */
  readonly row: number;
  readonly column: string;
  readonly found: string;
  readonly expected: string;
};

/** How a file writes its figures. */
export type HowFigures = { readonly notation: Notation; readonly marks: Marks };

/** A row with its place in the file. */
export type SourceRow = { readonly row: number; readonly cells: readonly string[] };

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

export const longitudinal = (name: string, points: OffsetPoint[]): Longitudinal => ({
  id: name.toLowerCase().replace(/\s+/g, '-').slice(0, 60),
  name: (name.charAt(0).toUpperCase() + name.slice(1)).slice(0, 60),
  points,
});
