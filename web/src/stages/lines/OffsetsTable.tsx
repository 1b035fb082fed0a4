import {
  lineOf,
  lineThing,
  linesEdit,
  pointThing,
  pasteBlock,
  pointPath,
  setFigure,
  tableColumns,
  type FigureKey,
  type LinesPart,
  type TableColumn,
} from '@kalotrope/core/lines';
import Box from '@mui/material/Box';
import { memo, useLayoutEffect, useMemo, useRef, type ClipboardEvent, type KeyboardEvent } from 'react';
import { unitLabel } from '@kalotrope/core/measure';
import { edited } from '../../state/document-slice';
import { lengthKeys, useLengthTyping } from '../../controls/LengthField';
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

const NAMES: Readonly<Record<FigureKey, string>> = { height: 'height', halfBreadth: 'half-breadth', x: 'x' };
const BLOCKS = (['height', 'halfBreadth', 'x'] as const).map((key) => ({ key, name: NAMES[key] }));

/**
 * The table as plans print it: x on top, then heights, half-breadths, and x of the ends that the lines have each
 * their own.
 */
export function OffsetsTable({ part, station, onStation }: Props) {
  const notation = useAppSelector(selectNotation);
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const columns = useMemo(() => tableColumns(part.longitudinals), [part.longitudinals]);
  const grid = useRef<HTMLTableElement>(null);
  const unit = unitLabel(notation);
  const lineId = lineOf(choice) ?? null;
  const isLarge = columns.length * part.longitudinals.length * 2 > MOST_CELLS;
  const shown = isLarge ? columns.slice(0, Math.floor(MOST_CELLS / 2 / part.longitudinals.length)) : columns;
  const titles: Readonly<Record<FigureKey, string>> = {
    height: part.heightsFrom === null ? `Heights above the base, ${unit}` : `Heights down from the line, ${unit}`,
    halfBreadth: `Half-breadths, ${unit}`,
    x: `x at the ends, ${unit}`,
  };
  const blocks = BLOCKS.filter(({ key }) => key !== 'x' || columns.some(({ x }) => x === null));
  const isDown = (key: FigureKey) => key === 'height' && part.heightsFrom !== null;
  /** Between what is stored and what is shown, either way. */
  const turned = (key: FigureKey, mm: number) => (isDown(key) ? (part.heightsFrom ?? 0) - mm : mm);
  const cells = useCellActs({
    focus: (place) => {
      const { column, line, index } = cellAt(part, columns, place);
      if (column) onStation(column.key);
      if (line && index !== undefined) dispatch(picked(pointThing(line.id, index)));
    },
    commit: (place, mm) => {
      const { column, line, index } = cellAt(part, columns, place);
      const key = place.block;
      if (!column) return;
      const label = `${line?.name ?? 'Station'} ${column.label}: ${NAMES[key]}`;
      const value = turned(key, mm);
      if (!line) {
        const edits = [...column.cells].map(([id, i]) => ({ path: pointPath(id, i, 'x'), value: mm }));
        dispatch(edited({ label, edits }));
      } else if (index !== undefined)
        dispatch(edited({ label, edits: [{ path: pointPath(line.id, index, key), value }] }));
      else {
        const changed = setFigure(part.longitudinals, line.id, column, key, value);
        dispatch(edited({ label, edits: [linesEdit(changed)] }));
      }
    },
  });

  const paste = (event: ClipboardEvent) => {
    const text = event.clipboardData.getData('text/plain');
    const place = placeOf(event.target);
    // one figure: the field's own business
    if (!place || place.row === ON_TOP || !/[\t\n]/.test(text.trimEnd())) return;
    event.preventDefault();
    const { heightsFrom, longitudinals } = part;
    const changed = pasteBlock(longitudinals, text, {
      key: place.block,
      row: place.row,
      column: place.column,
      notation,
      heightsFrom,
    });
    dispatch(
      changed.ok ? edited({ label: 'Pasted figures', edits: [linesEdit(changed.lines)] }) : said(changed.reason),
    );
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
            <th scope="row">x, {unit}</th>
            {shown.map(({ key, label, x }, place) =>
              x === null ? (
                <td key={key} className="figure">
                  below
                </td>
              ) : (
                <FigureCell
                  key={key}
                  label={`Station ${label || place + 1}, x`}
                  block="x"
                  row={ON_TOP}
                  column={place}
                  mm={x}
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
                  const index = column.cells.get(line.id);
                  const mm = index === undefined ? null : (line.points[index]?.[key] ?? null);
                  if (key === 'x' && (column.x !== null || mm === null)) return <td key={column.key} />;
                  return (
                    <FigureCell
                      key={column.key}
                      label={`${line.name} ${column.label || place + 1}, ${name}`}
                      block={key}
                      row={row}
                      column={place}
                      mm={mm === null ? null : turned(key, mm)}
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
  readonly onCommit: (place: CellPlace, mm: number) => void;
};

/** The same two functions at every drawing, so that a cell is drawn again only for its own figure. */
function useCellActs(acts: { readonly focus: CellActs['onFocus']; readonly commit: CellActs['onCommit'] }): CellActs {
  const latest = useRef(acts);
  useLayoutEffect(() => {
    latest.current = acts;
  });
  return useMemo(
    () => ({
      onFocus: (place) => latest.current.focus(place),
      onCommit: (place, mm) => latest.current.commit(place, mm),
    }),
    [],
  );
}

function cellAt(part: LinesPart, columns: readonly TableColumn[], place: CellPlace) {
  const [column, line] = [columns[place.column], part.longitudinals[place.row]];
  return { column, line, index: line && column?.cells.get(line.id) };
}

type CellProps = CellActs & CellPlace & { readonly label: string; readonly mm: number | null };

/** A bare field: there may be hundreds. */
const FigureCell = memo(function FigureCell({ label, block, row, column, mm, onFocus, onCommit }: CellProps) {
  const place = { block, row, column };
  const { value, isWrong, help, act } = useLengthTyping(mm, (typed) => onCommit(place, typed));
  return (
    <td>
      <input
        aria-label={label}
        data-block={block}
        data-row={row}
        data-column={column}
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
        <span className="understood" role="status">
          {help}
        </span>
      )}
    </td>
  );
});

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
