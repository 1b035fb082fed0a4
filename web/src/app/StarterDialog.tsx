import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import {
  dimensionsOf,
  startLines,
  STARTER_KINDS,
  STARTER_NAMES,
  type Dimension,
  type Dimensions,
  type StarterKind,
} from '@kalotrope/core/lines';
import { newProject, type Project } from '@kalotrope/core/project';
import { LengthField } from '../controls/LengthField';
import { NumberField } from '../controls/NumberField';
import { selectNotation } from '../state/selectors';
import { useAppSelector } from '../state/store';

type Props = { readonly onClose: () => void; readonly onDraw: (project: Project) => void };

/** A new project from a few dimensions: the kind of hull, then its figures, each with its range. */
export function StarterDialog({ onClose, onDraw }: Props) {
  const [kind, setKind] = useState<StarterKind>('vee');
  const [size, setSize] = useState<Dimensions>({});
  const [problems, setProblems] = useState<readonly string[]>([]);
  const notation = useAppSelector(selectNotation);
  const known = dimensionsOf(kind, size.length);
  const nameOf = (key: string) => known.find((dimension) => dimension.key === key)?.name ?? key;
  const draw = () => {
    const started = startLines(kind, size);
    if (!started.ok) {
      setProblems(started.problems.map(({ key, expected }) => `${nameOf(key)}: expected ${expected}.`));
      return;
    }
    const name = `${STARTER_NAMES[kind]}, ${((size.length ?? known[0]?.usual ?? 0) / 1000).toFixed(2)} m`;
    onDraw(newProject({ id: crypto.randomUUID(), name, notation, lines: started.lines }));
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="starter-title">
      <DialogTitle id="starter-title">New from a few dimensions</DialogTitle>
      <DialogContent>
        <Typography variant="body2" color="text.secondary" sx={{ mb: 2 }}>
          Gives a table of offsets that is fair and whose panels develop, to change as you like. Geometry only: whether
          it floats as wanted is for you and a designer to judge.
        </Typography>
        <TextField
          select
          fullWidth
          label="Kind of hull"
          value={kind}
          onChange={(event) => {
            setKind(event.target.value as StarterKind); // one of the items below
            setSize({});
            setProblems([]);
          }}
          sx={{ mb: 2 }}
        >
          {STARTER_KINDS.map((item) => (
            <MenuItem key={item} value={item}>
              {STARTER_NAMES[item]}
            </MenuItem>
          ))}
        </TextField>
        <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
          {known.map((dimension) => (
            <DimensionField
              key={`${kind} ${dimension.key}`}
              dimension={dimension}
              value={size[dimension.key] ?? dimension.usual}
              // another length brings its own usual figures
              onCommit={(value) =>
                setSize(dimension.key === 'length' ? { length: value } : { ...size, [dimension.key]: value })
              }
            />
          ))}
        </Box>
        {problems.length > 0 && (
          <Alert severity="error" variant="outlined" sx={{ mt: 2 }}>
            {problems.join(' ')}
          </Alert>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" onClick={draw}>
          Draw it
        </Button>
      </DialogActions>
    </Dialog>
  );
}

type FieldProps = {
  readonly dimension: Dimension;
  readonly value: number;
  readonly onCommit: (value: number) => void;
};

function DimensionField({ dimension: { name, unit, least, most }, value, onCommit }: FieldProps) {
  const range = unit === 'share' ? `${(100 * least).toFixed(0)} to ${(100 * most).toFixed(0)}` : `${least} to ${most}`;
  if (unit === 'mm') return <LengthField label={`${name}, ${range} mm`} mm={value} onCommit={onCommit} />;
  const factor = unit === 'share' ? 100 : 1;
  return (
    <NumberField
      label={`${name}, ${range} ${unit === 'share' ? '%' : '°'}`}
      value={Number((value * factor).toFixed(1))}
      onCommit={(typed) => onCommit(typed / factor)}
    />
  );
}
