/**
 * The table form of offsets, as plans print it: a block of heights and a block of half-breadths, a row a line, a
 * column a station, and rows of x.
 *
 *     # units=mm
 *     station,stem,1,2,transom
 *     x,120,600,1200,4210          one row for all lines; `x chine` where a line's ends lie elsewhere
 *     heights
 *     keel,410,215,120,80
 *     half-breadths
 *     keel,0,0,0,0
 *     knuckles                     where there are any: a mark at each
 *     keel,,k,,
 *
 * Rows and blocks go by what plans call them: "Heights above base", "Half breadths from the centreline", "Distance from
 * stem". A line's own row of x may have blanks: there the row for all lines holds. An empty cell means that the line
 * has no point at that station; it must be empty in both blocks.
 */
import { at } from '../geometry';
import type { Longitudinal, OffsetPoint } from '../lines';
import { plainText } from '../measure';
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

type Block = Map<string, SourceRow>;
type Sorted = {
  labels: string[];
  x: Block;
  heights: Block;
  breadths: Block;
  knuckles: Block;
  problems: FileProblem[];
  lastRow: number;
};

/** What a row is by its first cell. */
type RowKind =
  | { readonly kind: 'stations' | 'heights' | 'breadths' | 'knuckles' | 'depths' | 'line' }
  | { readonly kind: 'x'; readonly line: string };

const STATIONS = /^(stations?|sta\.?|sections?|frames?)( (no\.?|nos\.?|number|numbers))?$/;
const X_ROW = /^(?:x(?: (.*))?|(?:distances?|positions?)(?: (?:from|abaft|aft of|of) .*)?|from (?:the )?stem)$/;

function kindOf({ cells }: SourceRow): RowKind {
  const key = (cells[0] ?? '')
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, ' ')
    .replace(/:$/, '');
  const isHead = cells.slice(1).every((cell) => cell.trim() === '');
  if (STATIONS.test(key)) return { kind: 'stations' };
  const x = X_ROW.exec(key);
  if (x) return { kind: 'x', line: x[1] ?? '' };
  if (isHead && /^heights?\b.*\b(below|down|under)\b/.test(key)) return { kind: 'depths' };
  if (isHead && /^heights?\b/.test(key)) return { kind: 'heights' };
  if (isHead && /^(half )?breadths?\b/.test(key)) return { kind: 'breadths' };
  if (isHead && /^knuckles?$/.test(key)) return { kind: 'knuckles' };
  return { kind: 'line' };
}

/** Whether a table may begin with this row: anything but a line's own. */
export const isTableHead = (row: SourceRow): boolean => kindOf(row).kind !== 'line';

export function readTableForm(
  rows: readonly SourceRow[],
  how: HowFigures,
): { readonly lines: Longitudinal[] } | { readonly problems: readonly FileProblem[] } {
  const sorted = sortRows(rows);
  const { problems, heights, breadths, x } = sorted;
  if (problems.length > 0) return { problems };
  const missing = (expected: string) => problems.push(problem(sorted.lastRow, 'A', '', expected));
  if (x.size === 0) missing('a row that starts with x and gives the stations’ positions');
  if (heights.size === 0) missing('a block headed heights');
  if (breadths.size === 0) missing('a block headed half-breadths');
  for (const [one, other] of [
    [heights, breadths],
    [breadths, heights],
  ] as const)
    for (const [key, row] of one)
      if (!other.has(key)) problems.push(problem(row.row, 'A', nameOf(row), 'the same line in both blocks'));
  if (problems.length > 0) return { problems };
  const lines = [...heights].map(([key, row]) => longitudinal(nameOf(row), readLine(key, sorted, how)));
  return problems.length > 0 ? { problems } : { lines };
}

const nameOf = ({ cells }: SourceRow): string => (cells[0] ?? '').trim();
const keyOf = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, ' ');

function sortRows(rows: readonly SourceRow[]): Sorted {
  const sorted: Sorted = {
    labels: [],
    x: new Map(),
    heights: new Map(),
    breadths: new Map(),
    knuckles: new Map(),
    problems: [],
    lastRow: at(rows, -1).row,
  };
  let block: Block | undefined;
  const refuse = (source: SourceRow, expected: string) =>
    sorted.problems.push(problem(source.row, 'A', nameOf(source), expected));
  for (const source of rows) {
    const row = kindOf(source);
    if (row.kind === 'stations') sorted.labels = source.cells.slice(1).map((cell) => plainText(cell).slice(0, 40));
    else if (row.kind === 'x') put(sorted.x, keyOf(row.line), source, sorted);
    else if (row.kind === 'depths') refuse(source, 'heights above a base line; these are measured downwards');
    else if (row.kind !== 'line') block = sorted[row.kind];
    else if (block && nameOf(source) !== '') put(block, keyOf(nameOf(source)), source, sorted);
    else
      refuse(
        source,
        'line,station,x,half_breadth,height (long form), or station, x, heights or half-breadths (table form)',
      );
  }
  return sorted;
}

function put(block: Block, key: string, source: SourceRow, sorted: Sorted): void {
  if (block.has(key)) sorted.problems.push(problem(source.row, 'A', nameOf(source), 'each line once a block'));
  block.set(key, source);
}

function readLine(key: string, sorted: Sorted, how: HowFigures): OffsetPoint[] {
  const [heights, breadths] = [sorted.heights.get(key), sorted.breadths.get(key)];
  if (!heights || !breadths) return []; // both are there: checked by the caller
  const [own, forAll] = [sorted.x.get(key), sorted.x.get('')];
  const xs = own ?? forAll;
  if (!xs) {
    const name = nameOf(heights);
    sorted.problems.push(problem(heights.row, 'A', name, `a row "x" for all lines, or "x ${name}"`));
    return [];
  }
  const cellOf = (row: SourceRow | undefined, k: number) => (row?.cells[k] ?? '').trim();
  const knuckles = sorted.knuckles.get(key);
  const count = Math.max(heights.cells.length, breadths.cells.length, xs.cells.length);
  const points: OffsetPoint[] = [];
  for (let k = 1; k < count; k++) {
    const [height, halfBreadth] = [cellOf(heights, k), cellOf(breadths, k)];
    if (height === '' && halfBreadth === '') continue;
    const label = sorted.labels[k - 1] ?? String(k);
    const column = columnName(k, label === '' ? '' : `station ${label}`);
    const read = (text: string, row: SourceRow) =>
      readCell(text, { row: row.row, column, ...how, problems: sorted.problems });
    // a blank in the line's own row leaves the position to the row for all
    const place = cellOf(own, k) === '' && forAll ? forAll : xs;
    points.push({
      station: label,
      x: read(cellOf(place, k), place),
      halfBreadth: read(halfBreadth, breadths),
      height: read(height, heights),
      ...(saysKnuckle(cellOf(knuckles, k)) ? { isKnuckle: true } : {}),
    });
  }
  return points;
}
