/**
 * A table that is typed: cell by cell, in any order, with cells still empty and cells that are not understood.
 *
 * A line has a point at a station once all its figures are there. Until then they wait beside the lines, as `openCells`
 * of the lines' part, and so does what was typed and is no length. A column stands by its `stations` though no line has
 * a point in it. Every change gives a new table and leaves the old one alone.
 */
import type { Edit } from '../findings';
import { marksIn, parseLength, type Notation } from '../measure';
import { LONGITUDINALS, pointPath } from './paths';
import { MOST_LABEL, type LinesPart, type Longitudinal, type OpenCell, type TableStation } from './schema';
import {
  addStation,
  changeColumn,
  moveColumn,
  removeColumn,
  removeLine,
  tableColumns,
  type FigureKey,
  type TableColumn,
} from './table';

export type Table = Pick<LinesPart, 'longitudinals' | 'stations' | 'openCells'>;

/** A cell: `line` is the line's id, null in the row of positions; `column` the column's key. */
export type Cell = { readonly line: string | null; readonly column: string; readonly quantity: FigureKey };

/** What is typed into a cell; `mm` of a height is above the base. */
export type Entry =
  | { readonly kind: 'figure'; readonly mm: number }
  | { readonly kind: 'empty' }
  /** Not understood: kept as it was typed. */
  | { readonly kind: 'text'; readonly text: string };

const MOST_LETTERS = 60;

export const columnsOf = ({ longitudinals, stations }: Table): TableColumn[] => tableColumns(longitudinals, stations);

/** What the cells that make no point hold, by line, column and quantity. */
export function openCellsOf({ openCells }: Table): (cell: Cell) => OpenCell | undefined {
  const byPlace = new Map((openCells ?? []).map((cell) => [placeKey(cell), cell]));
  return (cell) => byPlace.get(placeKey({ ...cell, line: cell.line ?? '' }));
}
const placeKey = ({ line, column, quantity }: Pick<OpenCell, 'line' | 'column' | 'quantity'>) =>
  `${quantity}\n${line}\n${column}`;

/** What a table begins with; names in order, stations from forward aft and lines from the lowest up. */
export type TableHeads = {
  readonly stations: readonly string[];
  readonly lines: readonly string[];
  /** Where the first station stands, and how far it is from one to the next, mm; null: to be typed. */
  readonly even: { readonly first: number; readonly spacing: number } | null;
  /** Columns at the ends, where each line has its own distance. */
  readonly ends: { readonly stem: boolean; readonly transom: boolean };
};

export type NewTable =
  { readonly ok: true; readonly table: Required<Table> } | { readonly ok: false; readonly reason: string };

const MOST = { stations: 100, lines: 20 } as const;

/** A table without figures. */
export function emptyTable({ stations, lines, even, ends }: TableHeads): NewTable {
  const columns: TableStation[] = [
    ...(ends.stem ? [{ label: 'stem', x: null, isOwn: true }] : []),
    ...stations.map((label, i) => ({ label, x: even ? even.first + i * even.spacing : null })),
    ...(ends.transom ? [{ label: 'transom', x: null, isOwn: true }] : []),
  ];
  const ids = lines.map(idOf);
  const labels = columns.map(({ label }) => label);
  const twice = [ids, labels].flatMap((names) => names.find((name, i) => names.indexOf(name) !== i) ?? []);
  const refuse = (reason: string): NewTable => ({ ok: false, reason });
  if (stations.length > MOST.stations || lines.length > MOST.lines)
    return refuse(`Expected ${MOST.stations} stations and ${MOST.lines} lines at most`);
  if (columns.length < 2) return refuse('Expected two stations at least, or one and an end');
  if (lines.length < 2) return refuse('Expected two lines at least, such as Chine and Sheer');
  if ([...labels, ...ids].some((name) => name === '')) return refuse('A name is empty; expected one for each');
  if (labels.some((label) => label.length > MOST_LABEL) || lines.some((name) => name.length > MOST_LABEL))
    return refuse(`Expected names of ${MOST_LABEL} letters at most`);
  if (twice[0] !== undefined) return refuse(`The name ${twice[0]} is there twice; expected each once`);
  if (even && !(even.spacing > 0)) return refuse('Expected a distance from one station to the next above 0');
  const longitudinals = lines.map((name): Longitudinal => ({ id: idOf(name), name, points: [] }));
  return { ok: true, table: { longitudinals, stations: columns, openCells: [] } };
}
const idOf = (name: string) => name.toLowerCase().replace(/\s+/g, '-');

/** The edits that make one table of another: of single figures where only these differ, so that others follow them. */
export const tableEdits = (before: Table, after: Table): Edit[] => [
  ...(before.longitudinals === after.longitudinals ? [] : lineEdits(before.longitudinals, after.longitudinals)),
  ...(['stations', 'openCells'] as const).flatMap((key) =>
    before[key] === after[key] ? [] : [{ path: ['lines', key] as const, value: after[key] ?? [] }],
  ),
];

/** More figures than this are a table, and not a few typed ones. */
const MOST_SINGLE = 40;

function lineEdits(before: readonly Longitudinal[], after: readonly Longitudinal[]): Edit[] {
  const whole: Edit[] = [{ path: LONGITUDINALS, value: after }];
  const isSameShape =
    before.length === after.length &&
    before.every(({ id, points }, i) => after[i]?.id === id && after[i].points.length === points.length);
  if (!isSameShape) return whole;
  const edits: Edit[] = [];
  for (const [i, { id, points }] of before.entries())
    for (const [k, was] of points.entries()) {
      const now = after[i]?.points[k];
      if (!now || now === was) continue;
      if (now.station !== was.station) return whole;
      for (const key of QUANTITIES)
        if (now[key] !== was[key]) edits.push({ path: pointPath(id, k, key), value: now[key] });
      if (edits.length > MOST_SINGLE) return whole;
    }
  return edits;
}

/** One cell typed, or emptied. */
export function enter(table: Table, cell: Cell, entry: Entry): Table {
  const column = columnsOf(table).find(({ key }) => key === cell.column);
  if (!column) return table;
  if (entry.kind === 'text') return withOpen(table, cell, { text: entry.text.slice(0, MOST_LETTERS) });
  if (cell.line === null) return enterPosition(withOpen(table, cell, undefined), column, entry);
  const { line: own } = cell;
  const index = column.cells.get(own);
  if (index === undefined)
    return completed(withOpen(table, cell, entry.kind === 'figure' ? { mm: entry.mm } : undefined), own, column);
  const open = withOpen(table, cell, undefined);
  if (entry.kind === 'empty') return withoutPoint(open, { ...cell, line: own }, column);
  return changePoints(open, (line) =>
    line.id === own
      ? { ...line, points: line.points.map((p, i) => (i === index ? { ...p, [cell.quantity]: entry.mm } : p)) }
      : line,
  );
}

const changePoints = (table: Table, change: (line: Longitudinal) => Longitudinal): Table => ({
  ...table,
  longitudinals: table.longitudinals.map(change),
});

/** The open cell put in, or taken away. */
function withOpen(table: Table, cell: Cell, holds: Pick<OpenCell, 'mm' | 'text'> | undefined): Table {
  const place = { line: cell.line ?? '', column: cell.column, quantity: cell.quantity };
  const own = placeKey(place);
  const cells = table.openCells ?? [];
  const others = cells.filter((other) => placeKey(other) !== own);
  if (!holds && others.length === cells.length) return table;
  return { ...table, openCells: holds ? [...others, { ...place, ...holds }] : others };
}

/** The distance of a whole column, known or not known any more. */
function enterPosition(table: Table, column: TableColumn, entry: Exclude<Entry, { kind: 'text' }>): Table {
  const x = entry.kind === 'figure' ? entry.mm : null;
  let now = withStation(table, column, { x });
  if (x === null) {
    for (const line of column.cells.keys())
      now = withoutPoint(now, { line, column: column.key, quantity: 'x' }, { ...column, isOwn: false });
    return now;
  }
  now = changePoints(now, (line) => {
    const index = column.cells.get(line.id);
    return index === undefined ? line : { ...line, points: line.points.map((p, i) => (i === index ? { ...p, x } : p)) };
  });
  // figures that only waited for it
  return now.longitudinals.reduce((all, { id }) => completed(all, id, { ...column, x }), now);
}

/** The column among those that stand without points, changed. */
function withStation(table: Table, column: TableColumn, change: Partial<Pick<TableStation, 'x'>> = {}): Table {
  const stations = table.stations ?? [];
  if (stations.some(({ label }) => label === column.key))
    return {
      ...table,
      stations: stations.map((station) => (station.label === column.key ? { ...station, ...change } : station)),
    };
  const own: TableStation = {
    label: column.key.slice(0, MOST_LABEL),
    x: column.x,
    ...(column.isOwn ? { isOwn: true } : {}),
    ...change,
  };
  const order = columnsOf(table).map(({ key }) => key);
  const placed = [...stations, own].sort((a, b) => order.indexOf(a.label) - order.indexOf(b.label));
  return { ...table, stations: placed };
}

const QUANTITIES = ['x', 'halfBreadth', 'height'] as const;

/** A figure of a point taken out: the point goes, its other figures wait. */
function withoutPoint(table: Table, cell: Cell & { readonly line: string }, column: TableColumn): Table {
  const index = column.cells.get(cell.line);
  const point = table.longitudinals.find(({ id }) => id === cell.line)?.points[index ?? -1];
  if (!point) return table;
  let now = withStation(table, column);
  for (const quantity of QUANTITIES)
    if (quantity !== cell.quantity && (quantity !== 'x' || column.isOwn))
      now = withOpen(now, { ...cell, quantity }, { ...openCellsOf(now)({ ...cell, quantity }), mm: point[quantity] });
  return changePoints(now, (line) =>
    line.id === cell.line ? { ...line, points: line.points.filter((p) => p !== point) } : line,
  );
}

/** The line with a point in the column, if all its figures are there. */
function completed(table: Table, line: string, column: TableColumn): Table {
  const open = openCellsOf(table);
  const figureOf = (quantity: FigureKey): number | undefined => {
    const found = open({ line, column: column.key, quantity });
    return found?.text === undefined ? found?.mm : undefined;
  };
  const x = column.isOwn ? figureOf('x') : (column.x ?? undefined);
  const [halfBreadth, height] = [figureOf('halfBreadth'), figureOf('height')];
  if (x === undefined || halfBreadth === undefined || height === undefined) return table;
  const made = changePoints(table, (own) => {
    if (own.id !== line) return own;
    const points = [...own.points];
    points.splice(placeInLine(table, own, column), 0, { station: column.label, x, halfBreadth, height });
    return { ...own, points };
  });
  return QUANTITIES.reduce((now, quantity) => withOpen(now, { line, column: column.key, quantity }, undefined), made);
}

/** The index at which a point of the column goes into a line that has none. */
function placeInLine(table: Table, line: Longitudinal, column: TableColumn): number {
  const columns = columnsOf(table);
  const place = columns.findIndex((other) => other.key === column.key);
  const before = columns.slice(0, place).flatMap((other) => other.cells.get(line.id) ?? []);
  return before.length === 0 ? 0 : Math.max(...before) + 1;
}

export type PasteAt = {
  readonly quantity: FigureKey;
  /** The line's id; null in the row of positions. */
  readonly line: string | null;
  readonly column: string;
  readonly notation: Notation;
  /** As in the lines' part of the project. */
  readonly heightsFrom: number | null;
};

export type Pasted =
  | {
      readonly ok: true;
      readonly table: Table;
      /** Cells of the block that are kept as they were, each with what would be taken. */
      readonly notRead: readonly string[];
    }
  | { readonly ok: false; readonly reason: string };

/** More than any table that is pasted by hand; a larger one comes as a file. */
const MOST_PASTED = 2000;

/**
 * Cells as a spreadsheet copies them, put in from one cell to the right and down. Columns that are not there yet are
 * added; a block that has as many rows as are left of the whole table goes on from block to block of it.
 */
export function pasteCells(table: Table, text: string, from: PasteAt): Pasted {
  const rows = cellsOf(text);
  const wide = Math.max(...rows.map((cells) => cells.length));
  if (rows.length * wide > MOST_PASTED)
    return { ok: false, reason: `The block has ${rows.length * wide} cells; expected ${MOST_PASTED} at most` };
  const into = rowsFrom(table, from);
  const inBlock = into.filter(({ quantity }) => quantity === from.quantity).length;
  if (rows.length > inBlock && rows.length !== into.length) {
    const own = inBlock === 1 ? 'is 1 row' : `are ${inBlock} rows`;
    const reason =
      `The block has ${rows.length} rows; from here there ${own}, or ${into.length} to the end of the table. ` +
      'Expected as many, or lines added first';
    return { ok: false, reason };
  }
  let now = withColumns(table, from.column, wide);
  const keys = columnsOf(now).map(({ key }) => key);
  const start = keys.indexOf(from.column);
  const marks = marksIn(rows.flat());
  const notRead: string[] = [];
  rows.forEach((cells, i) =>
    cells.forEach((typed, j) => {
      const [row, column] = [into[i], keys[start + j]];
      if (typed === '' || !row || column === undefined) return;
      const parsed = parseLength(typed, from.notation, marks);
      if (!parsed.ok)
        notRead.push(`row ${i + 1}, column ${j + 1}: found "${typed.slice(0, 20)}"; expected ${parsed.expected}`);
      const isDown = row.quantity === 'height' && from.heightsFrom !== null;
      now = enter(
        now,
        { ...row, column },
        parsed.ok
          ? { kind: 'figure', mm: isDown ? (from.heightsFrom ?? 0) - parsed.mm : parsed.mm }
          : { kind: 'text', text: typed },
      );
    }),
  );
  return { ok: true, table: now, notRead };
}

const cellsOf = (text: string): string[][] =>
  text
    .replace(/\r\n?/g, '\n')
    .replace(/\n+$/, '')
    .split('\n')
    .map((row) => row.split('\t').map((cell) => cell.trim()));

/** The rows of the table from one of them on, in the order in which they are read. */
function rowsFrom({ longitudinals }: Table, from: PasteAt): readonly Pick<Cell, 'line' | 'quantity'>[] {
  const linesIn = (quantity: FigureKey) => longitudinals.map(({ id }) => ({ line: id, quantity }));
  const all = [{ line: null, quantity: 'x' as const }, ...linesIn('height'), ...linesIn('halfBreadth')];
  const ends = linesIn('x');
  const inAll = all.findIndex(({ line, quantity }) => line === from.line && quantity === from.quantity);
  return inAll >= 0 ? all.slice(inAll) : ends.slice(ends.findIndex(({ line }) => line === from.line));
}

/** The table with so many columns from one of them on, those that are missing after the last, numbered on. */
function withColumns(table: Table, from: string, count: number): Table {
  const columns = columnsOf(table);
  const missing = columns.findIndex(({ key }) => key === from) + count - columns.length;
  if (missing <= 0) return table;
  const taken = new Set(columns.map(({ key }) => key));
  const labels: string[] = [];
  for (let n = 1; labels.length < missing; n++) if (!taken.has(String(n))) labels.push(String(n));
  const standing = columns.reduce((now, column) => withStation(now, column), table);
  return { ...standing, stations: [...(standing.stations ?? []), ...labels.map((label) => ({ label, x: null }))] };
}

export type TableChanged =
  { readonly ok: true; readonly table: Table } | { readonly ok: false; readonly reason: string };

/** A station more: with a point on every line that passes there, so that none changes shape, or empty. */
export function addColumn(table: Table, x: number, label: string): TableChanged {
  if (columnsOf(table).some(({ key }) => key === label))
    return { ok: false, reason: `There is a station ${label} already; expected another name` };
  const added = addStation(table.longitudinals, x, label);
  const isTyped = (table.stations ?? []).length > 0;
  if (!added.ok && !isTyped) return added;
  if (added.ok && !isTyped) return { ok: true, table: { ...table, longitudinals: added.lines } };
  const station: TableStation = { label, x };
  const stations = table.stations ?? [];
  const next = stations.findIndex((other) => (other.x ?? -Infinity) > x);
  // before the first that lies further aft; before an end that the lines have each their own
  const last = stations[stations.length - 1]?.isOwn === true ? stations.length - 1 : stations.length;
  const place = next < 0 ? last : next;
  return {
    ok: true,
    table: {
      ...table,
      longitudinals: added.ok ? added.lines : table.longitudinals,
      stations: [...stations.slice(0, place), station, ...stations.slice(place)],
    },
  };
}

/** The column with all that stands in it taken away. */
export const withoutColumn = (table: Table, column: TableColumn): Table => ({
  longitudinals: removeColumn(table.longitudinals, column),
  ...(table.stations ? { stations: table.stations.filter(({ label }) => label !== column.key) } : {}),
  ...(table.openCells ? { openCells: table.openCells.filter((cell) => cell.column !== column.key) } : {}),
});

export const withoutLine = (table: Table, id: string): Table => ({
  ...table,
  longitudinals: removeLine(table.longitudinals, id),
  ...(table.openCells ? { openCells: table.openCells.filter((cell) => cell.line !== id) } : {}),
});

/** The station under another name. */
export const renamedColumn = (table: Table, column: TableColumn, label: string): Table => ({
  longitudinals: changeColumn(table.longitudinals, column, (point) => ({ ...point, station: label })),
  ...(table.stations
    ? { stations: table.stations.map((other) => (other.label === column.key ? { ...other, label } : other)) }
    : {}),
  ...(table.openCells
    ? {
        openCells: table.openCells.map((cell) => (cell.column === column.key ? { ...cell, column: label } : cell)),
      }
    : {}),
});

/** The column put before or after its neighbour. */
export function movedColumn(table: Table, key: string, by: 1 | -1): Table {
  const keys = columnsOf(table).map((column) => column.key);
  const other = keys[keys.indexOf(key) + by];
  const moved = { ...table, longitudinals: moveColumn(table.longitudinals, key, by, other) };
  const { stations } = table;
  const [i, j] = [key, other].map((label) => stations?.findIndex((station) => station.label === label) ?? -1);
  const [own, next] = [stations?.[i ?? -1], stations?.[j ?? -1]];
  if (!stations || !own || !next) return moved;
  return { ...moved, stations: stations.map((station) => (station === own ? next : station === next ? own : station)) };
}
