/** Rows, cells and problems of a CSV file of offsets: what both of its forms share. */
import type { LinesPart, Longitudinal, OffsetPoint } from '../lines';
import { MM_PER_INCH, formatLength, parseLength, type Notation } from '../measure';

export type FileProblem = {
  /** Counted from 1, as an editor does. */
  readonly row: number;
  readonly column: string;
  readonly found: string;
  readonly expected: string;
};

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
  place: { row: number; column: string; notation: Notation; problems: FileProblem[] },
): number {
  const { row, column, notation, problems } = place;
  // a bare number in a feet-inches-eighths table could be feet, inches or eighths: only nought is beyond doubt
  const isBare = notation === 'ft-in-8ths' && /^[-+]?[\d.,]+$/.test(text) && Number(text.replace(',', '.')) !== 0;
  const parsed = parseLength(text, notation);
  if (parsed.ok && !isBare) return parsed.mm;
  const expected =
    isBare || notation === 'ft-in-8ths'
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

const UNIT_NAME: Readonly<Record<Notation, string>> = {
  mm: 'mm',
  m: 'mm',
  in: 'in',
  'in-16': 'in',
  'in-32': 'in',
  'ft-in-8ths': 'ft-in-8ths',
};

/** A figure as the file's unit writes it: to a hundredth of a millimetre, or a thousandth of an inch, or the rule. */
export function writeCell(mm: number, notation: Notation): string {
  if (notation === 'ft-in-8ths') return formatLength(mm, notation);
  return UNIT_NAME[notation] === 'mm' ? String(Number(mm.toFixed(2))) : String(Number((mm / MM_PER_INCH).toFixed(4)));
}

export const unitsLine = (notation: Notation): string => `# units=${UNIT_NAME[notation]}`;

/** The comment `# extra=` that names the lines that bound no panel, where there is something to say. */
export function extrasLine({ longitudinals }: LinesPart): string {
  const names = longitudinals.filter((line) => line.isExtra).map(({ id }) => id);
  return names.length > 0 ? `# extra=${names.join(',')}\n` : '';
}
