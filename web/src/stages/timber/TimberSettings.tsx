import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { edited } from '../../state/document-slice';
import { selectProject } from '../../state/selectors';
import { LengthField } from '../../controls/LengthField';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { useAppDispatch, useAppSelector } from '../../state/store';

export function TimberSettings() {
  const part = useAppSelector((state) => selectProject(state)?.timber);
  const dispatch = useAppDispatch();
  if (!part) return null;
  const set = (key: 'kerf' | 'scarfRatio' | 'bendRatio', label: string) => (value: number) =>
    dispatch(edited({ label, edits: [{ path: ['timber', key], value }] }));
  return (
    <Section title="Saw and joints">
      <Box sx={{ display: 'grid', gap: 1.25 }}>
        <LengthField label="Saw’s kerf" mm={part.kerf} onCommit={set('kerf', 'Kerf')} path={['timber', 'kerf']} />
        <NumberField
          label="Timber scarf, × thickness"
          value={part.scarfRatio}
          onCommit={set('scarfRatio', 'Scarf of timber')}
          path={['timber', 'scarfRatio']}
        />
        <NumberField
          label="Bends to, times the thickness"
          value={part.bendRatio}
          onCommit={set('bendRatio', 'Least bend')}
          path={['timber', 'bendRatio']}
        />
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Long rips are made on a guided track, never freehand.
      </Typography>
    </Section>
  );
}
