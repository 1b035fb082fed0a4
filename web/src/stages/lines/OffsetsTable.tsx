import {
  columnsOf,
  enter,
  lineOf,
  lineThing,
  openCellsOf,
  pasteCells,
  pointThing,
  tableEdits,
  type Cell,
  type Entry,
  type FigureKey,
  type LinesPart,
  type Table,
  type TableColumn,
} from '@kalotrope/core/lines';
import Box from '@mui/material/Box';
import {
  memo,
  useEffect,
  useId,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ClipboardEvent,
  type KeyboardEvent,
} from 'react';
import { unitLabel } from '@kalotrope/core/measure';
import { engine } from '../../engine/client';
import { edited } from '../../state/document-slice';
import { lengthKeys } from '../../controls/LengthField';
import { useCellTyping } from './use-cell-typing';
import { picked, said } from '../../state/screen-slice';
import { selectNotation, selectPicked } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Props = {
  readonly part: LinesPart;
  /** Key of the picked station. */
  readonly station: string | null;
  readonly onStation: (key: string | null) => void;
};

/** More cells than this are not drawn at once. */
const MOST_CELLS = 12_000;

const NAMES: Readonly<Record<FigureKey, string>> = {
  height: 'height',
  halfBreadth: 'half-breadth',
  x: 'distance from the stem',
};
const BLOCKS = (['height', 'halfBreadth', 'x'] as const).map((key) => ({ key, name: NAMES[key] }));

/**
 * The table as plans print it: x on top, then heights, half-breadths, and x of the ends that the lines have each
 * their own.
 */
export function OffsetsTable({ part, station, onStation }: Props) {
  const notation = useAppSelector(selectNotation);
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const { longitudinals, stations, openCells } = part;
  const columns = useMemo(
    () => columnsOf({ longitudinals, stations, openCells }),
    [longitudinals, stations, openCells],
  );
  const openAt = useMemo(
    () => openCellsOf({ longitudinals, stations, openCells }),
    [longitudinals, stations, openCells],
  );
  const grid = useRef<HTMLTableElement>(null);
  const unit = unitLabel(notation);
  const lineId = lineOf(choice) ?? null;
  const isLarge = columns.length * part.longitudinals.length * 2 > MOST_CELLS;
  const shown = isLarge ? columns.slice(0, Math.floor(MOST_CELLS / 2 / part.longitudinals.length)) : columns;
  const titles: Readonly<Record<FigureKey, string>> = {
    height: part.heightsFrom === null ? `Heights above the base, ${unit}` : `Heights down from the line, ${unit}`,
    halfBreadth: `Half-breadths, ${unit}`,
    x: `Distance from the stem at the ends, ${unit}`,
  };
  const blocks = BLOCKS.filter(({ key }) => key !== 'x' || columns.some(({ isOwn }) => isOwn));
  const isDown = (key: FigureKey) => key === 'height' && part.heightsFrom !== null;
  /** Between what is stored and what is shown, either way. */
  const turned = (key: FigureKey, mm: number) => (isDown(key) ? (part.heightsFrom ?? 0) - mm : mm);
  const cells = useCellActs({
    focus: (place) => {
      const [column, line] = [columns[place.column], part.longitudinals[place.row]];
      if (column) onStation(column.key);
      const index = line && column?.cells.get(line.id);
      if (line && index !== undefined) dispatch(picked(pointThing(line.id, index)));
    },
    enter: (place, entry) => {
      const cell = cellOf(part, columns, place);
      const column = columns[place.column];
      if (!cell || !column) return;
      const line = part.longitudinals.find(({ id }) => id === cell.line);
      const label = `${line?.name ?? 'Station'} ${column.label || column.key}: ${NAMES[place.block]}`;
      put(label, enter(part, cell, entry.kind === 'figure' ? { ...entry, mm: turned(place.block, entry.mm) } : entry));
    },
  });
  const put = (label: string, changed: Table) => {
    const edits = tableEdits(part, changed);
    if (edits.length > 0) dispatch(edited({ label, edits }));
  };
  // a table without figures is there to be typed
  const [isBlank] = useState(() => longitudinals.every(({ points }) => points.length === 0));
  useEffect(() => {
    if (isBlank) firstEmpty(grid.current)?.focus();
  }, [isBlank]);
  const paste = (event: ClipboardEvent) => {
    const text = event.clipboardData.getData('text/plain');
    const place = placeOf(event.target);
    const cell = place && cellOf(part, columns, place);
    // one figure: the field's own business
    if (!cell || !/[\t\n]/.test(text.trimEnd())) return;
    event.preventDefault();
    if (isWholeTable(text)) void pasteWhole(text);
    else pasteFigures(text, cell);
  };
  const pasteFigures = (text: string, cell: Cell) => {
    const changed = pasteCells(part, text, { ...cell, notation, heightsFrom: part.heightsFrom });
    if (!changed.ok) {
      dispatch(said(`Nothing was pasted. ${changed.reason}`));
      return;
    }
    put('Pasted figures', changed.table);
    const { notRead } = changed;
    if (notRead.length > 0)
      dispatch(said(`${notRead.length} of the cells pasted stay as they were. In the block, ${notRead[0] ?? ''}`));
  };
  /** In the place of all that is there; read as an imported file is. */
  const pasteWhole = async (text: string) => {
    const answer = await engine.run('take', { name: 'pasted.csv', bytes: new TextEncoder().encode(text) });
    if (answer.kind !== 'ok') return;
    const { value: taken } = answer;
    if ('project' in taken) {
      const { longitudinals: lines } = taken.project.lines;
      put('Pasted table', { longitudinals: lines, stations: undefined, openCells: undefined });
    }
    const why = 'problems' in taken ? (taken.problems[0] ?? '') : 'That is no table of offsets.';
    dispatch(said('project' in taken ? taken.said : `Nothing was pasted. ${why}`));
  };
  return (
    <Box
      sx={{ flex: 1, overflow: 'auto', px: 2, pb: 6, borderTop: 1, borderColor: 'divider' }}
      role="region"
      aria-label="The table of offsets"
    >
      {isLarge && (
        <p>
          {columns.length} places along the boat; the first {shown.length} are shown.
        </p>
      )}
      <table ref={grid} className="offsets" onKeyDown={(event) => walk(event, grid.current)} onPaste={paste}>
        <thead>
          <tr>
            <th scope="col">Station</th>
            {shown.map(({ key, label }) => (
              <th key={key} scope="col" className={key === station ? 'figure picked' : 'figure'}>
                <button onClick={() => onStation(key === station ? null : key)} aria-pressed={key === station}>
                  {label || '·'}
                </button>
              </th>
            ))}
          </tr>
          <tr>
            <th scope="row">From the stem, {unit}</th>
            {shown.map(({ key, label, x, isOwn }, place) =>
              isOwn ? (
                <td key={key} className="figure">
                  below
                </td>
              ) : (
                <FigureCell
                  key={key}
                  label={`Station ${label || place + 1}, distance from the stem`}
                  block="x"
                  row={ON_TOP}
                  column={place}
                  mm={x}
                  text={openAt({ line: null, column: key, quantity: 'x' })?.text}
                  {...cells}
                />
              ),
            )}
          </tr>
        </thead>
        {blocks.map(({ key, name }) => (
          <tbody key={key} aria-label={titles[key]}>
            <tr className="block">
              <th colSpan={shown.length + 1} scope="rowgroup">
                {titles[key]}
              </th>
            </tr>
            {part.longitudinals.map((line, row) => (
              <tr key={line.id}>
                <th scope="row" className={line.id === lineId ? 'picked' : undefined}>
                  <button onClick={() => dispatch(picked(lineThing(line.id)))}>{line.name}</button>
                </th>
                {shown.map((column, place) => {
                  if (key === 'x' && !column.isOwn) return <td key={column.key} />;
                  const open = openAt({ line: line.id, column: column.key, quantity: key });
                  const point = line.points[column.cells.get(line.id) ?? -1];
                  const mm = point?.[key] ?? open?.mm ?? null;
                  return (
                    <FigureCell
                      key={column.key}
                      label={`${line.name} ${column.label || place + 1}, ${name}`}
                      block={key}
                      row={row}
                      column={place}
                      mm={mm === null ? null : turned(key, mm)}
                      text={open?.text}
                      {...cells}
                    />
                  );
                })}
              </tr>
            ))}
          </tbody>
        ))}
      </table>
    </Box>
  );
}

/** Where a cell stands: in which block, on which line's row, in which column. */
type CellPlace = { readonly block: FigureKey; readonly row: number; readonly column: number };
/** The row of x over all blocks, which belongs to no line. */
const ON_TOP = -1;

type CellActs = {
  readonly onFocus: (place: CellPlace) => void;
  readonly onEnter: (place: CellPlace, entry: Entry) => void;
};

/** The same two functions at every drawing, so that a cell is drawn again only for its own figure. */
function useCellActs(acts: { readonly focus: CellActs['onFocus']; readonly enter: CellActs['onEnter'] }): CellActs {
  const latest = useRef(acts);
  useLayoutEffect(() => {
    latest.current = acts;
  });
  return useMemo(
    () => ({
      onFocus: (place) => latest.current.focus(place),
      onEnter: (place, entry) => latest.current.enter(place, entry),
    }),
    [],
  );
}

/** The cell at a place; in the row of positions it belongs to no line. */
function cellOf(part: LinesPart, columns: readonly TableColumn[], place: CellPlace): Cell | null {
  const [column, line] = [columns[place.column], part.longitudinals[place.row]];
  if (!column || (!line && place.row !== ON_TOP)) return null;
  return { line: line?.id ?? null, column: column.key, quantity: place.block };
}

/** A table with its heads, as plans and exports have it: it begins with a word and has rows of figures. */
const isWholeTable = (text: string) => /^\s*(?:#|"?(?:station|line)\b)/i.test(text);

type CellProps = CellActs &
  CellPlace & {
    readonly label: string;
    readonly mm: number | null;
    /** What was typed and is not understood. */
    readonly text: string | undefined;
  };

/** A bare field: there may be hundreds. */
const FigureCell = memo(function FigureCell({ label, block, row, column, mm, text, onFocus, onEnter }: CellProps) {
  const place = { block, row, column };
  const { value, isWrong, isTyped, help, act } = useCellTyping(mm, text, (entry) => onEnter(place, entry));
  const helpId = useId();
  return (
    <td className={isWrong ? 'wrong' : undefined}>
      <input
        aria-label={label}
        aria-describedby={help === undefined ? undefined : helpId}
        data-block={block}
        data-row={row}
        data-column={column}
        data-at-rest={!isTyped}
        value={value}
        aria-invalid={isWrong}
        spellCheck={false}
        onFocus={(event) => {
          event.target.select();
          onFocus(place);
        }}
        onChange={(event) => act({ kind: 'type', text: event.target.value })}
        onKeyDown={lengthKeys(act)}
        onBlur={() => act({ kind: 'commit' })}
      />
      {help !== undefined && (
        <span id={helpId} className="understood" role="status">
          {help}
        </span>
      )}
    </td>
  );
});

const firstEmpty = (table: HTMLTableElement | null) =>
  [...(table?.querySelectorAll('input') ?? [])].find(({ value }) => value === '');

/** The place of the cell that an event came from, as the cell has it. */
function placeOf(target: EventTarget | null): CellPlace | null {
  if (!(target instanceof HTMLInputElement)) return null;
  const { dataset } = target;
  const block = BLOCKS.find(({ key }) => key === dataset['block'])?.key;
  return block ? { block, row: Number(dataset['row']), column: Number(dataset['column']) } : null;
}

const ARROWS = new Set(['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown']);

/** Enter goes on as one reads, Shift Enter back; Alt with an arrow to the neighbouring cell. */
function walk(event: KeyboardEvent, table: HTMLTableElement | null): void {
  const now = event.target;
  if (!table || !(now instanceof HTMLInputElement)) return;
  const fields = [...table.querySelectorAll('input')];
  if (event.key === 'Enter') {
    event.preventDefault();
    fields[fields.indexOf(now) + (event.shiftKey ? -1 : 1)]?.focus();
    return;
  }
  if (!event.altKey || !ARROWS.has(event.key)) return;
  event.preventDefault();
  const cell = now.closest('td');
  const row = cell?.parentElement;
  if (!cell || !(row instanceof HTMLTableRowElement)) return;
  if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
    const step = event.key === 'ArrowLeft' ? -1 : 1;
    row.cells[cell.cellIndex + step]?.querySelector('input')?.focus();
    return;
  }
  const step = event.key === 'ArrowUp' ? -1 : 1;
  const rows = [...table.rows];
  for (let i = rows.indexOf(row) + step; i >= 0 && i < rows.length; i += step) {
    const field = rows[i]?.cells[cell.cellIndex]?.querySelector('input');
    if (field) return field.focus();
  }
}
