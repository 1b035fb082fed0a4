import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { dimensionsOf, startLines, STARTER_NAMES, type Dimensions, type StarterKind } from '@kalotrope/core/lines';
import { newProject, type Project } from '@kalotrope/core/project';
import { DimensionFields } from '../controls/DimensionFields';
import { SelectField } from '../controls/SelectField';
import { HullSketch } from '../drawing/HullSketch';
import { LinesSketch } from '../drawing/LinesSketch';
import { MM_PER_FOOT, isImperial } from '@kalotrope/core/measure';
import { selectNotation } from '../state/selectors';
import { useAppSelector } from '../state/store';

type Props = { readonly onClose: () => void; readonly onDraw: (project: Project) => void };

/** A new project from a few dimensions: the kind of hull and its figures, with the boat beside them as it would be. */
export function StarterDialog({ onClose, onDraw }: Props) {
  const [kind, setKind] = useState<StarterKind>('vee');
  const [size, setSize] = useState<Dimensions>({});
  const notation = useAppSelector(selectNotation);
  const known = dimensionsOf(kind, size.length);
  const started = useMemo(() => startLines(kind, size), [kind, size]);
  // while a figure does not work, the boat stays as it was last
  const [last, setLast] = useState(started.ok ? started.lines : null);
  if (started.ok && started.lines !== last) setLast(started.lines);
  const draw = () => {
    if (!started.ok) return;
    const length = size.length ?? known[0]?.usual ?? 0;
    const said = isImperial(notation) ? `${(length / MM_PER_FOOT).toFixed(1)} ft` : `${(length / 1000).toFixed(2)} m`;
    const name = `${STARTER_NAMES[kind]}, ${said}`;
    onDraw(
      newProject({
        id: crypto.randomUUID(),
        name,
        notation,
        lines: { ...started.lines, starter: { kind, dimensions: size } },
      }),
    );
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="starter-title">
      <DialogTitle id="starter-title">New from a few dimensions</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2.5, gridTemplateColumns: { xs: '1fr', md: '1fr 380px' } }}>
        <Box sx={{ '& .MuiTextField-root': { width: '100%' } }}>
          <Typography variant="body2" color="text.secondary" sx={{ mb: 2 }}>
            Gives a table of offsets that is fair and whose panels develop, to change as you like. Geometry only:
            whether it floats as wanted is for you and a designer to judge.
          </Typography>
          <SelectField
            label="Kind of hull"
            value={kind}
            names={STARTER_NAMES}
            onChange={(next) => {
              setKind(next);
              setSize({});
            }}
          />
          <Box sx={{ display: 'grid', gap: 1.5, mt: 2, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
            <DimensionFields
              kind={kind}
              size={size}
              table={last?.longitudinals ?? []}
              problems={started.ok ? [] : started.problems}
              onChange={setSize}
            />
          </Box>
        </Box>
        {last && (
          <Box sx={{ alignSelf: 'start', opacity: started.ok ? 1 : 0.45, order: { xs: -1, md: 0 } }}>
            <Box sx={{ height: { xs: 120, md: 190 }, mb: 1 }}>
              <HullSketch longitudinals={last.longitudinals} />
            </Box>
            <LinesSketch longitudinals={last.longitudinals} />
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" onClick={draw} disabled={!started.ok}>
          Draw it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
