/** What is still missing of a table that is being typed, and what of it is not understood. */
import type { LinesFinding, LinesResult } from './findings';
import type { Hull } from './hull';
import type { Longitudinal, OpenCell } from './schema';
import type { TableColumn } from './table';
import { columnsOf, openCellsOf, type Table } from './typed-table';

const QUANTITY_NAMES = { x: 'distance', halfBreadth: 'half-breadth', height: 'height' } as const;

/**
 * The lines as they are judged, with what the typing has left open. While a table is being filled in, lines without a
 * batten are no fault: one finding says how far it has come.
 */
export function judgeTyping(drawn: LinesResult<Hull>, table: Table): LinesResult<Hull> {
  const isTyped = (table.stations ?? []).length > 0 && table.longitudinals.length > 1;
  const isUnfilled = ({ code }: LinesFinding) => code === 'line-too-short' || code === 'lines-too-few';
  const unread = notRead(table);
  if (isTyped && drawn.findings.some(isUnfilled)) {
    const short = table.longitudinals.filter(({ points }) => points.length < 2).map(({ name }) => name);
    const unfilled: LinesFinding = {
      severity: 'check',
      code: 'table-unfilled',
      where: { stage: 'lines' },
      data: { lines: short.join(', '), count: short.length },
    };
    return { ...drawn, findings: [...drawn.findings.filter((finding) => !isUnfilled(finding)), unfilled, ...unread] };
  }
  const open = [...unread, ...halfGiven(table)];
  return open.length === 0 ? drawn : { ...drawn, findings: [...drawn.findings, ...open] };
}

type Named = { readonly cell: OpenCell; readonly column: TableColumn; readonly line: Longitudinal | undefined };

/** The open cells of what is in the table, with what they belong to. */
function openIn(table: Table): Named[] {
  if ((table.openCells ?? []).length === 0) return [];
  const columns = new Map(columnsOf(table).map((column) => [column.key, column]));
  const lines = new Map(table.longitudinals.map((line) => [line.id, line]));
  return (table.openCells ?? []).flatMap((cell) => {
    const [column, line] = [columns.get(cell.column), lines.get(cell.line)];
    return column && (line || cell.line === '') ? [{ cell, column, line }] : [];
  });
}

const stationName = ({ key, label }: TableColumn) => {
  const name = label || key;
  return /^\d/.test(name) ? `station ${name}` : name;
};

const notRead = (table: Table): LinesFinding[] =>
  openIn(table).flatMap(({ cell, column, line }): LinesFinding[] => {
    if (cell.text === undefined) return [];
    const without = (table.openCells ?? []).filter((other) => other !== cell);
    return [
      {
        severity: 'check',
        code: 'cell-not-read',
        where: { stage: 'lines', station: column.key, ...(line ? { line: line.id } : {}) },
        data: {
          line: line?.name ?? 'Positions',
          station: stationName(column),
          quantity: QUANTITY_NAMES[cell.quantity],
          text: cell.text,
        },
        remedies: [{ label: 'Take it out of the cell', edits: [{ path: ['lines', 'openCells'], value: without }] }],
      },
    ];
  });

/** Points of which only some figures are there: how many, and the first. */
function halfGiven(table: Table): LinesFinding[] {
  const open = openCellsOf(table);
  const halves = new Map<string, Named>();
  for (const named of openIn(table))
    if (named.line && named.cell.text === undefined && !named.column.cells.has(named.line.id))
      halves.set(`${named.line.id} ${named.column.key}`, halves.get(`${named.line.id} ${named.column.key}`) ?? named);
  const [first] = halves.values();
  if (!first?.line) return [];
  const { line, column } = first;
  const isThere = (quantity: OpenCell['quantity']) =>
    (quantity === 'x' && !column.isOwn && column.x !== null) ||
    open({ line: line.id, column: column.key, quantity }) !== undefined;
  const lacks = (['halfBreadth', 'height', 'x'] as const).find((quantity) => !isThere(quantity)) ?? 'x';
  return [
    {
      severity: 'check',
      code: 'point-half-given',
      where: { stage: 'lines', line: line.id, station: column.key },
      data: { line: line.name, station: stationName(column), lacks: QUANTITY_NAMES[lacks], others: halves.size - 1 },
    },
  ];
}
