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
 *
 * Block names may be written height/heights and half-breadth(s)/half_breadth(s)/breadths. An empty cell means that the
 * line has no point at that station; it must be empty in both blocks.
 */
import { at } from '../geometry';
import type { Longitudinal, OffsetPoint } from '../lines';
import { longitudinal, problem, readCell, type FileProblem, type HowFigures, type SourceRow } from './csv-cells';

type Block = Map<string, SourceRow>;
type Sorted = {
  labels: string[];
  x: Block;
  heights: Block;
  breadths: Block;
  problems: FileProblem[];
  lastRow: number;
};

export function readTableForm(
  rows: readonly SourceRow[],
  how: HowFigures,
): { readonly lines: Longitudinal[] } | { readonly problems: readonly FileProblem[] } {
  const sorted = sortRows(rows);
  const { problems, heights, breadths, x } = sorted;
  if (problems.length > 0) return { problems };
  if (!x.has('') && x.size === 0)
    problems.push(problem(sorted.lastRow, '1', '', 'a row that starts with x and gives the stations’ positions'));
  if (heights.size === 0) problems.push(problem(sorted.lastRow, '1', '', 'a block headed heights'));
  if (breadths.size === 0) problems.push(problem(sorted.lastRow, '1', '', 'a block headed half-breadths'));
  for (const [name, row] of heights)
    if (!breadths.has(name)) problems.push(problem(row.row, '1', name, 'the same line in both blocks'));
  for (const [name, row] of breadths)
    if (!heights.has(name)) problems.push(problem(row.row, '1', name, 'the same line in both blocks'));
  if (problems.length > 0) return { problems };
  const lines = [...heights.keys()].map((name) => longitudinal(name, readLine(name, sorted, how)));
  return problems.length > 0 ? { problems } : { lines };
}

function sortRows(rows: readonly SourceRow[]): Sorted {
  const sorted: Sorted = {
    labels: [],
    x: new Map(),
    heights: new Map(),
    breadths: new Map(),
    problems: [],
    lastRow: at(rows, -1).row,
  };
  let block: Block | undefined;
  for (const source of rows) {
    const name = (source.cells[0] ?? '').trim();
    const key = name.toLowerCase().replace(/[\s_-]+/g, '-');
    const isBlockHead = source.cells.slice(1).every((cell) => cell.trim() === '');
    if (/^stations?$/.test(key)) sorted.labels = source.cells.slice(1).map((cell) => cell.trim());
    else if (/^x(-|$)/.test(key)) put(sorted.x, name.slice(1).trim().toLowerCase(), source, sorted);
    else if (isBlockHead && /^heights?$/.test(key)) block = sorted.heights;
    else if (isBlockHead && /^(half-)?breadths?$/.test(key)) block = sorted.breadths;
    else if (block && name !== '') put(block, name, source, sorted);
    else
      sorted.problems.push(
        problem(
          source.row,
          '1',
          name,
          'line,station,x,half_breadth,height (long form), or station, x, heights or half-breadths (table form)',
        ),
      );
  }
  return sorted;
}

function put(block: Block, name: string, source: SourceRow, sorted: Sorted): void {
  if (block.has(name)) sorted.problems.push(problem(source.row, '1', name, 'each line once a block'));
  block.set(name, source);
}

function readLine(name: string, sorted: Sorted, how: HowFigures): OffsetPoint[] {
  const heights = sorted.heights.get(name);
  const breadths = sorted.breadths.get(name);
  const xs = sorted.x.get(name.toLowerCase()) ?? sorted.x.get('');
  if (!heights || !breadths) return []; // both are there: checked by the caller
  if (!xs) {
    sorted.problems.push(problem(heights.row, '1', name, `a row "x" for all lines, or "x ${name}"`));
    return [];
  }
  const count = Math.max(heights.cells.length, breadths.cells.length, xs.cells.length);
  const points: OffsetPoint[] = [];
  for (let k = 1; k < count; k++) {
    const [x, height, halfBreadth] = [xs, heights, breadths].map((row) => (row.cells[k] ?? '').trim()) as [
      string,
      string,
      string,
    ]; // three in, three out
    if (height === '' && halfBreadth === '') continue;
    const label = sorted.labels[k - 1] ?? String(k);
    const column = label === '' ? String(k + 1) : label;
    const read = (text: string, row: SourceRow) =>
      readCell(text, { row: row.row, column, ...how, problems: sorted.problems });
    points.push({
      station: label.slice(0, 40),
      x: read(x, xs),
      halfBreadth: read(halfBreadth, breadths),
      height: read(height, heights),
    });
  }
  return points;
}
