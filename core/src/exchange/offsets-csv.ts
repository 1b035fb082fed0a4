/**
 * Reads and writes tables of offsets as CSV: the long form (a row a point) and the table form (as plans print it).
 *
 * All problems of a file are gathered, each with its row and column, what was found and what would be accepted. Units
 * come from a `# units=` line; without one, millimetres are assumed and said.
 */
import Papa from 'papaparse';
import { at } from '../geometry';
import { linesOf, LONG_COLUMNS, type Longitudinal, type LinesPart, type OffsetPoint } from '../lines';
import { marksIn, type Notation } from '../measure';
import { longitudinal, problem, readCell, type FileProblem, type HowFigures, type SourceRow } from './csv-cells';
import { readTableForm } from './offsets-table';

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

/** Reads either form. Never throws. */
export function readOffsets(text: string): ReadOffsets {
  const rows = sourceRows(text);
  if (rows.length === 0) return refuse(problem(1, '1', '', 'a table of offsets; the file is empty'));
  if (rows.length > MOST_ROWS)
    return refuse(problem(MOST_ROWS + 1, '1', at(rows, MOST_ROWS).cells.join(','), `${MOST_ROWS} rows at most`));
  const units = readUnits(text);
  if ('problem' in units) return refuse(units.problem);
  const head = at(rows, 0);
  if (head.cells.length > MOST_COLUMNS)
    return refuse(
      problem(head.row, String(MOST_COLUMNS + 1), at(head.cells, MOST_COLUMNS), `${MOST_COLUMNS} columns at most`),
    );
  const names = head.cells.map((cell) => cell.trim().toLowerCase());
  const isLong =
    names.includes('line') && names.some((name) => name === 'x' || name === 'half_breadth' || name === 'height');
  const how = { notation: units.notation, marks: marksIn(rows.flatMap(({ cells }) => cells)) };
  const result = isLong ? readLongForm(rows, how) : readTableForm(rows, how);
  if ('problems' in result) return { ok: false, problems: result.problems };
  const faults = sizeProblems(result.lines, head.row);
  if (faults.length > 0) return { ok: false, problems: faults };
  return { ok: true, lines: linesOf(markExtras(result.lines, text)), form: isLong ? 'long' : 'table', ...units };
}

const refuse = (...problems: FileProblem[]): ReadOffsets => ({ ok: false, problems });

function sourceRows(text: string): SourceRow[] {
  const clean = text.replace(/^\uFEFF/, '');
  const { data } = Papa.parse(clean, { skipEmptyLines: false, delimitersToGuess: [',', ';', '\t'] });
  return data
    .map((cells, i): SourceRow => ({ row: i + 1, cells }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== '') && !(cells[0] ?? '').trim().startsWith('#'));
}

function readUnits(text: string): { notation: Notation; assumed: string[] } | { problem: FileProblem } {
  const match = /^\uFEFF?\s*#.*\bunits\s*=\s*([^\s,;]+)/im.exec(text);
  if (!match) return { notation: 'mm', assumed: ['No "# units=" line: millimetres assumed'] };
  const named = at(match, 1).toLowerCase();
  const notation = UNITS[named];
  if (notation) return { notation, assumed: [] };
  const row = text.slice(0, match.index + match[0].length).split('\n').length;
  return { problem: problem(row, 'units', named, `one of ${Object.keys(UNITS).join(', ')}`) };
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
  const names = head.cells.map((cell) => cell.trim().toLowerCase());
  const index = (name: string) => names.indexOf(name);
  const missing = LONG_COLUMNS.filter((name) => name !== 'station' && index(name) < 0);
  if (missing.length > 0)
    return {
      problems: missing.map((name) =>
        problem(head.row, name, '', `a column named ${name}, as in ${LONG_COLUMNS.join(',')}`),
      ),
    };
  const problems: FileProblem[] = [];
  const lines = new Map<string, OffsetPoint[]>();
  for (const { row, cells } of rows.slice(1)) {
    const cell = (name: string) => (index(name) < 0 ? '' : (cells[index(name)] ?? '').trim());
    if (cells.length > names.length && cells.slice(names.length).some((c) => c.trim() !== ''))
      problems.push(
        problem(
          row,
          String(names.length + 1),
          (cells[names.length] ?? '').trim(),
          `${names.length} columns, as in the first row`,
        ),
      );
    const name = cell('line');
    if (name === '') problems.push(problem(row, 'line', '', 'the name of a line, such as chine'));
    const read = (column: string) => readCell(cell(column), { row, column, ...how, problems });
    const point = {
      station: cell('station').slice(0, 40),
      x: read('x'),
      halfBreadth: read('half_breadth'),
      height: read('height'),
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
  if (lines.length === 0) problems.push(problem(row + 1, '1', '', 'at least one point under the heading'));
  if (lines.length > MOST_LINES)
    problems.push(problem(row, 'line', `${lines.length} lines`, `${MOST_LINES} lines at most`));
  const ids = new Set<string>();
  for (const line of lines) {
    if (line.points.length > MOST_POINTS)
      problems.push(problem(row, line.name, `${line.points.length} points`, `${MOST_POINTS} points a line at most`));
    if (ids.has(line.id)) problems.push(problem(row, 'line', line.name, 'each line named once'));
    ids.add(line.id);
    const far = line.points.find((p) => [p.x, p.halfBreadth, p.height].some((value) => Math.abs(value) > 100_000));
    if (far)
      problems.push(problem(row, line.name, `${far.x}, ${far.halfBreadth}, ${far.height} mm`, 'figures under 100 m'));
  }
  return problems;
}
