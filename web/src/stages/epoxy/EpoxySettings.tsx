import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Project } from '@kalotrope/core/project';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { NumberField } from '../../controls/NumberField';
import { useAppDispatch } from '../../state/store';

type NumberKey =
  | 'tapeWeight'
  | 'sheathingWeight'
  | 'sealingCoats'
  | 'waste'
  | 'fillerShare'
  | 'tapeLayersInside'
  | 'tapeLayersOutside';

/** Label, and what one shown unit is in the project. */
const NUMBERS: readonly (readonly [NumberKey, string, number])[] = [
  ['tapeWeight', 'Tape, g/m²', 1],
  ['sheathingWeight', 'Cloth, g/m²', 1],
  ['tapeLayersInside', 'Tapes inside', 1],
  ['tapeLayersOutside', 'Tapes outside', 1],
  ['sealingCoats', 'Sealing coats', 1],
  ['waste', 'Waste, %', 0.01],
  ['fillerShare', 'Filler, % of mix', 0.01],
];

export function EpoxySettings({ project }: { readonly project: Project }) {
  const dispatch = useAppDispatch();
  const set = (key: keyof Project['epoxy'], label: string) => (value: number | string) =>
    dispatch(edited({ label, edits: [{ path: ['epoxy', key], value }] }));
  return (
    <Box component="section" sx={{ mt: 1.5, pt: 1.5, borderTop: 1, borderColor: 'divider' }}>
      <Typography variant="h2" sx={{ mb: 1.5 }}>
        Rates
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <LengthField
          label="Fillet radius"
          mm={project.epoxy.filletRadius}
          onCommit={set('filletRadius', 'Fillet radius')}
        />
        <LengthField label="Tape width" mm={project.epoxy.tapeWidth} onCommit={set('tapeWidth', 'Tape width')} />
        {NUMBERS.map(([key, label, unit]) => (
          <NumberField
            key={key}
            label={label}
            value={project.epoxy[key] / unit}
            onCommit={(value) => set(key, label)(value * unit)}
          />
        ))}
        <TextField
          select
          label="Sheathe outside"
          value={project.epoxy.sheathe}
          onChange={(event) => set('sheathe', 'Sheathing')(event.target.value)}
        >
          <MenuItem value="none">nothing</MenuItem>
          <MenuItem value="bottom">the bottom</MenuItem>
          <MenuItem value="all">all of it</MenuItem>
        </TextField>
      </Box>
    </Box>
  );
}
