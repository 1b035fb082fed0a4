import Box from '@mui/material/Box';
import type { Project } from '@kalotrope/core/project';
import { LengthField } from '../../controls/LengthField';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { Tick } from '../../controls/ViewTabs';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';

const KINDS = { woven: 'woven', biaxial: 'biaxial', 'biaxial on mat': 'biaxial on mat' } as const;
const FROM = { roll: 'a roll of tape', cloth: 'cloth, cut aslant' } as const;

export function GlassSettings({ project }: { readonly project: Project }) {
  const dispatch = useAppDispatch();
  const { glass } = project.epoxy;
  const path = (key: keyof typeof glass) => ['epoxy', 'glass', key];
  const set = (key: keyof typeof glass, label: string) => (value: number | string | boolean) =>
    dispatch(edited({ label, edits: [{ path: path(key), value }] }));
  return (
    <Section title="Glass">
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <SelectField
          label="Kind of tape"
          value={glass.tapeKind}
          names={KINDS}
          onChange={set('tapeKind', 'Kind of tape')}
        />
        <SelectField label="Tape comes off" value={glass.tapeFrom} names={FROM} onChange={set('tapeFrom', 'Tape')} />
        <SelectField
          label="Kind of cloth"
          value={glass.clothKind}
          names={KINDS}
          onChange={set('clothKind', 'Kind of cloth')}
        />
        <LengthField
          label="Width of the cloth"
          mm={glass.clothWidth}
          onCommit={set('clothWidth', 'Width of the cloth')}
          path={path('clothWidth')}
        />
        <LengthField
          label="Lap of the cloth"
          mm={glass.lap}
          onCommit={set('lap', 'Lap of the cloth')}
          path={path('lap')}
        />
        <LengthField
          label="Cloth left to trim"
          mm={glass.trim}
          onCommit={set('trim', 'Cloth left to trim')}
          path={path('trim')}
        />
        <Tick
          label="Peel ply"
          hint="A film of nylon cloth over the last layer: it leaves a surface that bonds without sanding"
          isTicked={glass.peelPly}
          onTick={set('peelPly', 'Peel ply')}
        />
        {glass.peelPly && (
          <Tick
            label="Film with holes"
            hint="Over the peel ply: what is too much comes through the holes, and what is pressed on it comes off"
            isTicked={glass.film}
            onTick={set('film', 'Film with holes')}
          />
        )}
      </Box>
    </Section>
  );
}
