import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { SoldIn } from '@kalotrope/core/timber';
import { edited } from '../../state/document-slice';
import { selectProject } from '../../state/selectors';
import { LengthField } from '../../controls/LengthField';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { useAppDispatch, useAppSelector } from '../../state/store';

const SOLD: Readonly<Record<SoldIn, string>> = {
  drawn: 'as they are drawn',
  inch: 'by the inch, planed',
  sawn: 'as sawn, planed',
};

export function TimberSettings() {
  const part = useAppSelector((state) => selectProject(state)?.timber);
  const dispatch = useAppDispatch();
  if (!part) return null;
  const set = (key: 'kerf' | 'scarfRatio' | 'bendRatio', label: string) => (value: number) =>
    dispatch(edited({ label, edits: [{ path: ['timber', key], value }] }));
  const setSold = (value: SoldIn) =>
    dispatch(edited({ label: 'Sections sold', edits: [{ path: ['timber', 'sold'], value }] }));
  const setSaw = (key: 'depth' | 'room') => (value: number) =>
    dispatch(edited({ label: 'Saw and shop', edits: [{ path: ['timber', 'saw', key], value }] }));
  return (
    <Section title="Saw and joints">
      <Box sx={{ display: 'grid', gap: 1.25 }}>
        <SelectField label="Sections sold" value={part.sold} names={SOLD} onChange={setSold} />
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
        <LengthField
          label="Saw cuts as deep as"
          mm={part.saw.depth}
          onCommit={setSaw('depth')}
          path={['timber', 'saw', 'depth']}
        />
        <LengthField
          label="Length of the shop"
          mm={part.saw.room}
          onCommit={setSaw('room')}
          path={['timber', 'saw', 'room']}
        />
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        A depth or a length of 0: any.
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Long rips are made on a guided track, never freehand.
      </Typography>
    </Section>
  );
}
