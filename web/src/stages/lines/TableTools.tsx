import {
  pointOf,
  lineOf,
  lineThing,
  linePath,
  addColumn,
  addLine,
  columnsOf,
  endForEnd,
  endPlane,
  movedColumn,
  moveLine,
  removePoint,
  renamedColumn,
  setEndPlane,
  tableEdits,
  turnHeights,
  withoutColumn,
  withoutLine,
  type LinesPart,
  type Longitudinal,
  type Table,
  type TableChange,
  type TableColumn,
} from '@kalotrope/core/lines';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { SelectField } from '../../controls/SelectField';
import { Section } from '../../controls/Section';
import { NumberField } from '../../controls/NumberField';
import { NameField } from '../../controls/NameField';
import { picked, said } from '../../state/screen-slice';
import { selectPicked } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Props = {
  readonly part: LinesPart;
  readonly station: string | null;
  readonly onStation: (key: string | null) => void;
};

/** Puts a changed table in place of the one that is there, as one thing to undo; what cannot be done is said. */
function usePutTable(table: Table) {
  const dispatch = useAppDispatch();
  const put = (label: string, changed: Table) => dispatch(edited({ label, edits: tableEdits(table, changed) }));
  const putLines = (label: string, longitudinals: Longitudinal[]) => put(label, { ...table, longitudinals });
  const tryLines = (label: string, change: TableChange): boolean => {
    if (change.ok) putLines(label, change.lines);
    else dispatch(said(change.reason));
    return change.ok;
  };
  return { put, putLines, tryLines };
}

/** What can be done with the table's rows, columns, ends and datum. */
export function TableTools({ part, station, onStation }: Props) {
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const { put, putLines, tryLines } = usePutTable(part);
  const lines = part.longitudinals;
  const columns = columnsOf(part);
  const column = columns.find(({ key }) => key === station);
  const line = lines.find(({ id }) => id === lineOf(choice));
  const putStation = (x: number, name: string) => {
    const change = addColumn(part, x, name);
    if (change.ok) put(`Station ${name}`, change.table);
    else dispatch(said(change.reason));
    return change.ok;
  };
  return (
    <>
      {column && <StationTools table={part} columns={columns} column={column} onStation={onStation} />}
      {line && <LineTools table={part} line={line} point={pointOf(choice)} />}
      <MoreRows
        lines={lines}
        above={line}
        onStation={putStation}
        onLine={(name, above) => tryLines(`Line ${name}`, addLine(lines, name, above))}
      />
      <HeightsDatum table={part} heightsFrom={part.heightsFrom} />
      <Ends lines={lines} onChange={(label, change) => tryLines(label, change)} />
      <Section title="From which end">
        <Button variant="outlined" onClick={() => putLines('Turned end for end', endForEnd(lines))}>
          Turn end for end
        </Button>
      </Section>
    </>
  );
}

type StationProps = {
  readonly table: Table;
  readonly columns: readonly TableColumn[];
  readonly column: TableColumn;
  readonly onStation: (key: string | null) => void;
};

/** The picked column: its name, its place, and away with it. */
function StationTools({ table, columns, column, onStation }: StationProps) {
  const dispatch = useAppDispatch();
  const { put } = usePutTable(table);
  const rename = (name: string) => {
    if (columns.some(({ key }) => key === name)) {
      dispatch(said(`There is a station ${name} already`));
      return;
    }
    put('Station renamed', renamedColumn(table, column, name));
    onStation(name);
  };
  return (
    <Part title={`Station ${column.label || column.key}`}>
      <NameField label="Name of the station" value={column.label} most={40} onCommit={rename} />
      <Row>
        <Button variant="outlined" onClick={() => put('Station moved', movedColumn(table, column.key, -1))}>
          Forward
        </Button>
        <Button variant="outlined" onClick={() => put('Station moved', movedColumn(table, column.key, 1))}>
          Aft
        </Button>
        <Button variant="outlined" color="error" onClick={() => put('Station removed', withoutColumn(table, column))}>
          Remove
        </Button>
      </Row>
    </Part>
  );
}

type LineProps = {
  readonly table: Table;
  readonly line: Longitudinal;
  /** Index of its picked point. */
  readonly point: number | undefined;
};

/** The picked line: its name, whether panels end on it, its row, and away with it or with a point of it. */
function LineTools({ table, line, point }: LineProps) {
  const dispatch = useAppDispatch();
  const { put, putLines } = usePutTable(table);
  const lines = table.longitudinals;
  const set = (label: string, key: 'name' | 'isExtra', value: string | boolean) =>
    dispatch(edited({ label, edits: [{ path: linePath(line.id, key), value }] }));
  const removable = point === undefined ? undefined : line.points[point];
  return (
    <Part title={line.name}>
      <NameField
        label="Name of the line"
        value={line.name}
        most={60}
        onCommit={(name) => set('Line renamed', 'name', name)}
      />
      <FormControlLabel
        label="Guide line only"
        title="A deck edge, a waterline, the outline of a stem: drawn and judged, but no ply ends on it"
        control={
          <Checkbox
            size="small"
            checked={line.isExtra === true}
            onChange={(_event, isOn) =>
              set(`${line.name}: ${isOn ? 'guide line only' : 'bounds a panel'}`, 'isExtra', isOn)
            }
          />
        }
      />
      <Row>
        <Button variant="outlined" onClick={() => putLines('Line moved', moveLine(lines, line.id, -1))}>
          Up a row
        </Button>
        <Button variant="outlined" onClick={() => putLines('Line moved', moveLine(lines, line.id, 1))}>
          Down a row
        </Button>
        <Button variant="outlined" color="error" onClick={() => put('Line removed', withoutLine(table, line.id))}>
          Remove
        </Button>
      </Row>
      {point !== undefined && removable && (
        <Button
          sx={{ mt: 1 }}
          variant="outlined"
          color="error"
          onClick={() => {
            putLines('Point removed', removePoint(lines, line.id, point));
            dispatch(picked(lineThing(line.id)));
          }}
        >
          Remove its point at {removable.station || 'this place'}
        </Button>
      )}
    </Part>
  );
}

type DatumProps = { readonly table: Table; readonly heightsFrom: number | null };

/** From where heights are given. */
function HeightsDatum({ table, heightsFrom }: DatumProps) {
  const dispatch = useAppDispatch();
  const { putLines } = usePutTable(table);
  const lines = table.longitudinals;
  const set = (value: number | null) =>
    dispatch(edited({ label: 'Datum of heights', edits: [{ path: ['lines', 'heightsFrom'], value }] }));
  return (
    <Section title="How heights are measured">
      <SelectField
        label="Heights are given"
        value={heightsFrom === null ? 'up' : 'down'}
        names={DATUMS}
        onChange={(way) => set(way === 'up' ? null : roundUp(highest(lines)))}
      />
      {heightsFrom !== null && (
        <>
          <LengthField label="That line above the base" mm={heightsFrom} onCommit={set} />
          <Button
            variant="outlined"
            title="For a table that was read in as if its heights ran up from the base"
            onClick={() => putLines('Heights turned over', turnHeights(lines, heightsFrom))}
          >
            The figures were downward: turn over
          </Button>
        </>
      )}
    </Section>
  );
}

const DATUMS = { up: 'up from the base line', down: 'down from a line above' } as const;
const highest = (lines: readonly Longitudinal[]) => Math.max(0, ...lines.flatMap((l) => l.points.map((p) => p.height)));
/** A strongback's line lies clear of the sheer: to the next whole decimetre. */
const roundUp = (mm: number) => Math.ceil((mm + 50) / 100) * 100;

function MoreRows({
  lines,
  above,
  onStation,
  onLine,
}: {
  readonly lines: readonly Longitudinal[];
  readonly above: Longitudinal | undefined;
  readonly onStation: (x: number, name: string) => boolean;
  readonly onLine: (name: string, above: string) => boolean;
}) {
  const [x, setX] = useState(0);
  const [station, setStation] = useState('');
  const [line, setLine] = useState('');
  const under = above ?? lines[lines.length - 1];
  return (
    <Section title="Add a station, add a line">
      <Row>
        <LengthField label="From the stem" mm={x} onCommit={setX} />
        <TextField
          label="New station"
          value={station}
          onChange={({ target }) => setStation(target.value)}
          slotProps={{ htmlInput: { maxLength: 40 } }}
        />
      </Row>
      <Button
        variant="outlined"
        disabled={station.trim() === ''}
        title="Its points lie on the battens: no line changes"
        onClick={() => onStation(x, station.trim()) && setStation('')}
      >
        Add the station
      </Button>
      <TextField
        label="New line"
        value={line}
        onChange={({ target }) => setLine(target.value)}
        slotProps={{ htmlInput: { maxLength: 60 } }}
        sx={{ mt: 1 }}
      />
      <Button
        variant="outlined"
        disabled={line.trim() === ''}
        title="A first guess halfway to the next line, to type over"
        onClick={() => onLine(line.trim(), under?.id ?? '') && setLine('')}
      >
        Add the line{under ? ` above ${under.name}` : ''}
      </Button>
    </Section>
  );
}

const END_NAMES = { fore: 'Bow transom', aft: 'Transom' } as const;

/** The flat ends: where they stand and how they rake; the lines are cut to them. */
function Ends({
  lines,
  onChange,
}: {
  readonly lines: readonly Longitudinal[];
  readonly onChange: (label: string, change: TableChange) => void;
}) {
  return (['fore', 'aft'] as const).map((end) => {
    const plane = endPlane(lines, end);
    if (!plane) return null;
    const name = END_NAMES[end];
    return (
      <Section key={end} title={name}>
        <Row>
          <LengthField
            label="From the stem, at the base"
            mm={plane.atBase}
            onCommit={(atBase) => onChange(name, setEndPlane(lines, end, { ...plane, atBase }))}
          />
          <NumberField
            label="Rake, top aft, °"
            value={Number(plane.rakeDeg.toFixed(2))}
            onCommit={(rakeDeg) => onChange(name, setEndPlane(lines, end, { ...plane, rakeDeg }))}
          />
        </Row>
      </Section>
    );
  });
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box
      component="section"
      className="no-print"
      aria-label={title}
      sx={{ mt: 1.5, pt: 1.5, borderTop: 1, borderColor: 'divider', display: 'grid', gap: 1, justifyItems: 'stretch' }}
    >
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}

const Row = ({ children }: { readonly children: ReactNode }) => (
  <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', '& > .MuiTextField-root': { flex: 1, minWidth: 0 } }}>
    {children}
  </Box>
);
