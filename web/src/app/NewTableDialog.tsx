import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import { emptyTable, linesOf } from '@kalotrope/core/lines';
import { plainText, type Notation } from '@kalotrope/core/measure';
import { newProject, type Project } from '@kalotrope/core/project';
import { LengthField } from '../controls/LengthField';
import { NOTATION_NAMES } from '../controls/notation-names';
import { numberBetween, NumberField } from '../controls/NumberField';
import { SelectField } from '../controls/SelectField';
import { Tick } from '../controls/ViewTabs';
import { selectNotation } from '../state/selectors';
import { useAppDispatch, useAppSelector } from '../state/store';
import { chooseNotation } from '../state/unit';

type Props = { readonly onClose: () => void; readonly onBegin: (project: Project) => void };

type Heads = {
  readonly boat: string;
  readonly stations: string;
  readonly lines: string;
  readonly placing: keyof typeof PLACINGS;
  readonly first: number;
  readonly spacing: number;
  readonly stem: boolean;
  readonly transom: boolean;
};

const PLACINGS = { even: 'at even distances', typed: 'typed into the table' } as const;
const numbered = (count: number) => Array.from({ length: count }, (_, i) => String(i + 1)).join(', ');
const START: Heads = {
  ...{ boat: '', stations: numbered(7), lines: 'Keel, Chine, Sheer', placing: 'even', first: 600, spacing: 600 },
  ...{ stem: true, transom: true },
};
const namesIn = (text: string) =>
  text
    .split(/[,;\t\n]/)
    .map(plainText)
    .filter((name) => name !== '');

/** A new project from an empty table: how many stations and lines, what they are called, and where they stand. */
export function NewTableDialog({ onClose, onBegin }: Props) {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const [heads, setHeads] = useState(START);
  const [problem, setProblem] = useState<string | null>(null);
  const set = (change: Partial<Heads>) => setHeads((before) => ({ ...before, ...change }));
  const stations = namesIn(heads.stations);
  const begin = () => {
    const made = emptyTable({
      stations,
      lines: namesIn(heads.lines),
      even: heads.placing === 'even' ? heads : null,
      ends: heads,
    });
    if (!made.ok) {
      setProblem(made.reason);
      return;
    }
    const name = plainText(heads.boat) || 'New boat';
    onBegin(newProject({ id: crypto.randomUUID(), name, notation, lines: { ...linesOf([]), ...made.table } }));
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="new-table-title">
      <DialogTitle id="new-table-title">New from a table</DialogTitle>
      <DialogContent>
        <Box
          component="form"
          id="new-table"
          onSubmit={(event) => {
            event.preventDefault();
            begin();
          }}
          sx={{ display: 'grid', gap: 1.75 }}
        >
          <Typography variant="body2" color="text.secondary">
            For a table of offsets on paper. Rows and columns can be added and renamed later, and a table copied from a
            spreadsheet can be pasted.
          </Typography>
          <Pair>
            <TextField
              autoFocus
              label="Name of the boat"
              value={heads.boat}
              onChange={({ target }) => set({ boat: target.value })}
              slotProps={{ htmlInput: { maxLength: 120 } }}
            />
            <SelectField<Notation>
              label="Unit of the table"
              value={notation}
              names={NOTATION_NAMES}
              onChange={(next) => dispatch(chooseNotation(next))}
            />
          </Pair>
          <Pair>
            <NumberField
              label="How many stations"
              value={stations.length}
              read={STATION_COUNT}
              onCommit={(count) => set({ stations: numbered(count) })}
            />
            <TextField
              label="Their names, from forward aft"
              value={heads.stations}
              onChange={({ target }) => set({ stations: target.value })}
            />
          </Pair>
          <SelectField
            label="Where the stations stand"
            value={heads.placing}
            names={PLACINGS}
            onChange={(placing) => set({ placing })}
          />
          {heads.placing === 'even' && (
            <Pair>
              <LengthField label="The first, from the stem" mm={heads.first} onCommit={(first) => set({ first })} />
              <LengthField label="From one to the next" mm={heads.spacing} onCommit={(spacing) => set({ spacing })} />
            </Pair>
          )}
          <Pair>
            <Tick
              label="A column for the stem"
              hint="Where each line begins, at a distance of its own"
              isTicked={heads.stem}
              onTick={(stem) => set({ stem })}
            />
            <Tick
              label="A column for the transom"
              hint="Where each line ends, at a distance of its own"
              isTicked={heads.transom}
              onTick={(transom) => set({ transom })}
            />
          </Pair>
          <TextField
            label="The lines, from the lowest up"
            value={heads.lines}
            helperText="The keel or centreline, each chine, the sheer. The ply lies between them."
            onChange={({ target }) => set({ lines: target.value })}
          />
          {problem !== null && (
            <Alert severity="error" variant="outlined">
              {problem}.
            </Alert>
          )}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button type="submit" form="new-table" variant="contained">
          Begin the table
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const STATION_COUNT = numberBetween(0, 100, true);

const Pair = ({ children }: { readonly children: ReactNode }) => (
  <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>{children}</Box>
);
