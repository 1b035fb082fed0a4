import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useState, type MouseEvent } from 'react';
import { emptyCard } from '@kalotrope/core/bend';
import { linesOf, tableOfCard } from '@kalotrope/core/lines';
import { DEMO_IDS, DEMO_NAMES, demoProject, newProject, type Project } from '@kalotrope/core/project';
import { engine } from '../engine/client';
import { said } from '../state/screen-slice';
import { selectNotation } from '../state/selectors';
import { useAppDispatch, useAppSelector } from '../state/store';
import { ImportFrom } from './ImportButton';
import { NewTableDialog } from './NewTableDialog';
import { StarterDialog } from './StarterDialog';

type Props = { readonly onBegin: (project: Project) => void };

/** The six ways to begin a boat. */
export function WaysToBegin({ onBegin }: Props) {
  const [asking, setAsking] = useState<'table' | 'dimensions' | null>(null);
  const { isBending, bend } = useFromCard(onBegin);
  const [demos, setDemos] = useState<HTMLElement | null>(null);
  return (
    <Box component="section" aria-label="A new boat" sx={{ mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        A new boat
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gap: 1.25,
          gridTemplateColumns: { xs: 'repeat(auto-fill, minmax(196px, 1fr))', md: 'repeat(3, 1fr)' },
        }}
      >
        <Way name="From a table" says="of offsets, typed or pasted" onClick={() => setAsking('table')} />
        <Way name="From a few dimensions" says="a fair hull, to be changed" onClick={() => setAsking('dimensions')} />
        <Way
          name="From a card"
          says={isBending ? 'being bent…' : 'a sheet cut, and bent to a boat'}
          onClick={() => void bend()}
        />
        <ImportFrom
          label="Import a drawing"
          endings={['.dxf']}
          look={(open) => <Way name="From a drawing" says="its lines, in DXF by layers" onClick={open} />}
        />
        <ImportFrom
          label="Import a file"
          look={(open) => <Way name="From a file" says="a table in CSV, or a project" onClick={open} />}
        />
        <Way name="From a demo" says="invented, to try things on" onClick={(event) => setDemos(event.currentTarget)} />
      </Box>
      <Menu open={demos !== null} anchorEl={demos} onClose={() => setDemos(null)}>
        {DEMO_IDS.map((demo) => (
          <MenuItem key={demo} onClick={() => onBegin(demoProject(demo, crypto.randomUUID()))}>
            {DEMO_NAMES[demo]}
          </MenuItem>
        ))}
      </Menu>
      {asking === 'table' && <NewTableDialog onClose={() => setAsking(null)} onBegin={onBegin} />}
      {asking === 'dimensions' && <StarterDialog onClose={() => setAsking(null)} onDraw={onBegin} />}
    </Box>
  );
}

/** A boat of a plain card, bent in a worker. */
function useFromCard(onBegin: (project: Project) => void) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const [isBending, setIsBending] = useState(false);
  const bend = async () => {
    if (isBending) return;
    setIsBending(true);
    const card = emptyCard();
    const answer = await engine.run('cardEdges', card);
    setIsBending(false);
    if (answer.kind === 'ok' && answer.value.ok) {
      const lines = { ...linesOf(tableOfCard(answer.value.edges, card)), card };
      onBegin(newProject({ id: crypto.randomUUID(), name: 'Bent from a card', notation, lines }));
    } else dispatch(said(`The card could not be bent${answer.kind === 'failed' ? `: ${answer.message}` : ''}`));
  };
  return { isBending, bend };
}

type WayProps = {
  readonly name: string;
  readonly says: string;
  readonly onClick: (event: MouseEvent<HTMLElement>) => void;
};

const Way = ({ name, says, onClick }: WayProps) => (
  <Button
    variant="outlined"
    onClick={onClick}
    sx={{
      width: '100%',
      minHeight: 60,
      display: 'grid',
      justifyContent: 'start',
      justifyItems: 'start',
      textAlign: 'left',
      px: 1.5,
    }}
  >
    {name}
    <Typography component="span" variant="caption" sx={{ color: 'text.secondary', fontWeight: 400 }}>
      {says}
    </Typography>
  </Button>
);
