/**
 * Reads tables of offsets as CSV: the long form (a row a point) and the table form (as plans print it).
 *
 * All problems of a file are gathered, each with its row and column, what was found and what would be accepted. Units
 * come from a `# units=` line; without one, millimetres are assumed and said. Titles above the table are passed over
 * and said. A first line `sep=;`, as spreadsheets write it, names the mark between cells.
 */
import Papa from 'papaparse';
import { at } from '../geometry';
import { linesOf, LONG_COLUMNS, type Longitudinal, type LinesPart, type OffsetPoint } from '../lines';
import { marksIn, plainText, type Notation } from '../measure';
import {
  columnName,
  longitudinal,
  problem,
  readCell,
  saysKnuckle,
  type FileProblem,
  type HowFigures,
  type SourceRow,
} from './csv-cells';
import { isTableHead, readTableForm } from './offsets-table';

export type ReadOffsets =
  | {
      readonly ok: true;
      readonly lines: LinesPart;
      readonly form: 'long' | 'table';
      readonly notation: Notation;
      readonly assumed: readonly string[];
    }
  | { readonly ok: false; readonly problems: readonly FileProblem[] };

const UNITS: Readonly<Record<string, Notation>> = { mm: 'mm', in: 'in-16', 'ft-in-8ths': 'ft-in-8ths' };
const MOST_ROWS = 5000;
const MOST_COLUMNS = 200;
const MOST_POINTS = 500;
const MOST_LINES = 20;
/** A row of a table is a few hundred letters long. */
const MOST_LETTERS = 2_000_000;
/** Titles and remarks above a table take no more rows than this. */
const MOST_TITLES = 30;

/** Reads either form. Never throws. */
export function readOffsets(text: string): ReadOffsets {
  const tooLong = tooLongFor(text);
  if (tooLong) return refuse(tooLong);
  const all = sourceRows(text);
  if (all.length === 0) return refuse(problem(1, 'A', '', 'a table of offsets; the file is empty'));
  const units = readUnits(text);
  if ('problem' in units) return refuse(units.problem);
  const wide = all.find(({ cells }) => cells.length > MOST_COLUMNS);
  if (wide)
    return refuse(
      problem(wide.row, columnName(MOST_COLUMNS), at(wide.cells, MOST_COLUMNS), `${MOST_COLUMNS} columns at most`),
    );
  const head = all.slice(0, MOST_TITLES).findIndex((row) => isLongHead(row) || isTableHead(row));
  const rows = all.slice(Math.max(0, head));
  const isLong = isLongHead(at(rows, 0));
  const how = { notation: units.notation, marks: marksIn(rows.flatMap(({ cells }) => cells)) };
  const result = isLong ? readLongForm(rows, how) : readTableForm(rows, how);
  if ('problems' in result) return { ok: false, problems: result.problems };
  const faults = sizeProblems(result.lines, at(rows, 0).row);
  if (faults.length > 0) return { ok: false, problems: faults };
  const above = all.slice(0, Math.max(0, head)).filter(({ cells }) => !/^\s*#/.test(cells[0] ?? ''));
  const titles = above.map(({ cells }) => plainText(cells.join(' ')).slice(0, 60));
  const assumed = [
    ...units.assumed,
    ...(titles.length > 0 ? [`Passed over above the table: ${titles.join('; ')}`] : []),
  ];
  const lines = linesOf(markExtras(result.lines, text));
  return { ok: true, lines, form: isLong ? 'long' : 'table', notation: units.notation, assumed };
}

const refuse = (...problems: FileProblem[]): ReadOffsets => ({ ok: false, problems });

/** What would take long to split is refused before it is. */
function tooLongFor(text: string): FileProblem | undefined {
  if (text.length > MOST_LETTERS)
    return problem(1, 'A', `${text.length} letters`, `a table of ${MOST_LETTERS} letters at most`);
  let from = 0;
  for (let row = 1; row <= MOST_ROWS; row++) {
    from = text.indexOf('\n', from) + 1;
    if (from === 0) return undefined;
  }
  const rest = text.slice(from, from + 40).trim();
  return text.slice(from).trim() === '' ? undefined : problem(MOST_ROWS + 1, 'A', rest, `${MOST_ROWS} rows at most`);
}

const SEPARATOR_LINE = /^\uFEFF?sep=(.)\r?\n/i;

function sourceRows(text: string): SourceRow[] {
  const named = SEPARATOR_LINE.exec(text);
  const clean = named ? text.slice(named[0].length) : text.replace(/^\uFEFF/, '');
  const { data } = Papa.parse(clean, {
    skipEmptyLines: false,
    ...(named ? { delimiter: at(named, 1) } : { delimitersToGuess: [',', ';', '\t'] }),
  });
  const first = named ? 2 : 1;
  return data
    .map((cells, i): SourceRow => ({ row: i + first, cells: cells.map(unescaped) }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== '') && !isComment(cells));
}

/** A cell that a spreadsheet would have run carries an apostrophe before it. */
const unescaped = (cell: string): string => (/^'[=+\-@]/.test(cell) ? cell.slice(1) : cell);

/** A remark, as `# units=mm`; the name of a line may begin so too, but has cells after it. */
function isComment(cells: readonly string[]): boolean {
  const [first = '', ...others] = cells;
  return /^\s*#/.test(first) && (first.includes('=') || others.every((cell) => cell.trim() === ''));
}

const headingsOf = ({ cells }: SourceRow): string[] => cells.map((cell) => cell.trim().toLowerCase());

function isLongHead(row: SourceRow): boolean {
  const names = headingsOf(row);
  return names.includes('line') && names.some((name) => name === 'x' || name === 'half_breadth' || name === 'height');
}

function readUnits(text: string): { notation: Notation; assumed: string[] } | { problem: FileProblem } {
  const match = /^\uFEFF?\s*#.*\bunits\s*=\s*([^\s,;]+)/im.exec(text);
  if (!match) return { notation: 'mm', assumed: ['No "# units=" line: millimetres assumed'] };
  const named = at(match, 1).toLowerCase();
  const notation = UNITS[named];
  if (notation) return { notation, assumed: [] };
  const row = text.slice(0, match.index + match[0].length).split('\n').length;
  return { problem: problem(row, columnName(0, 'units'), named, `one of ${Object.keys(UNITS).join(', ')}`) };
}

/** A comment `# extra=deck-edge,waterline` names the lines that bound no panel. */
function markExtras(lines: readonly Longitudinal[], text: string): Longitudinal[] {
  const match = /^\uFEFF?\s*#.*\bextra\s*=\s*(.+)$/im.exec(text);
  const names = new Set((match?.[1] ?? '').split(/[,;]/).map((name) => name.trim().toLowerCase()));
  return lines.map((line) =>
    names.has(line.id) || names.has(line.name.toLowerCase()) ? { ...line, isExtra: true } : line,
  );
}

type LinesOrProblems = { readonly lines: Longitudinal[] } | { readonly problems: readonly FileProblem[] };

function readLongForm(rows: readonly SourceRow[], how: HowFigures): LinesOrProblems {
  const head = at(rows, 0);
  const names = headingsOf(head);
  const index = (name: string) => names.indexOf(name);
  const missing = LONG_COLUMNS.filter((name) => name !== 'station' && index(name) < 0);
  if (missing.length > 0)
    return {
      problems: missing.map((name) =>
        problem(
          head.row,
          columnName(names.length, name),
          '',
          `a column named ${name}, as in ${LONG_COLUMNS.join(',')}`,
        ),
      ),
    };
  const problems: FileProblem[] = [];
  const lines = new Map<string, OffsetPoint[]>();
  for (const { row, cells } of rows.slice(1)) {
    const cell = (name: string) => (index(name) < 0 ? '' : (cells[index(name)] ?? '').trim());
    const surplus = cells.slice(names.length).findIndex((c) => c.trim() !== '');
    if (surplus >= 0) {
      const place = names.length + surplus;
      problems.push(
        problem(row, columnName(place), (cells[place] ?? '').trim(), `${names.length} columns, as in row ${head.row}`),
      );
    }
    const name = cell('line');
    if (name === '') problems.push(problem(row, columnName(index('line'), 'line'), '', 'the name of a line'));
    const read = (column: string) =>
      readCell(cell(column), { row, column: columnName(index(column), column), ...how, problems });
    const point: OffsetPoint = {
      station: plainText(cell('station')).slice(0, 40),
      x: read('x'),
      halfBreadth: read('half_breadth'),
      height: read('height'),
      ...(saysKnuckle(cell('knuckle')) ? { isKnuckle: true } : {}),
    };
    const list = lines.get(name);
    if (list) list.push(point);
    else lines.set(name, [point]);
  }
  if (problems.length > 0) return { problems };
  return { lines: [...lines].map(([name, points]) => longitudinal(name, points)) };
}

function sizeProblems(lines: readonly Longitudinal[], row: number): FileProblem[] {
  const problems: FileProblem[] = [];
  if (lines.length === 0) problems.push(problem(row + 1, 'A', '', 'at least one point under the heading'));
  if (lines.length > MOST_LINES)
    problems.push(problem(row, columnName(0, 'line'), `${lines.length} lines`, `${MOST_LINES} lines at most`));
  const ids = new Set<string>();
  for (const line of lines) {
    const where = columnName(0, line.name);
    if (line.points.length > MOST_POINTS)
      problems.push(problem(row, where, `${line.points.length} points`, `${MOST_POINTS} points a line at most`));
    if (ids.has(line.id)) problems.push(problem(row, columnName(0, 'line'), line.name, 'each line named once'));
    ids.add(line.id);
    const far = line.points.find((p) => [p.x, p.halfBreadth, p.height].some((value) => Math.abs(value) > 100_000));
    if (far)
      problems.push(problem(row, where, `${far.x}, ${far.halfBreadth}, ${far.height} mm`, 'figures under 100 m'));
  }
  return problems;
}
