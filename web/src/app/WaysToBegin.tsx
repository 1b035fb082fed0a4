import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useState, type MouseEvent } from 'react';
import { DEMO_IDS, DEMO_NAMES, demoProject, type Project } from '@kalotrope/core/project';
import { ImportFrom } from './ImportButton';
import { NewTableDialog } from './NewTableDialog';
import { StarterDialog } from './StarterDialog';

type Props = { readonly onBegin: (project: Project) => void };

/** The five ways to begin a boat. */
export function WaysToBegin({ onBegin }: Props) {
  const [asking, setAsking] = useState<'table' | 'dimensions' | null>(null);
  const [demos, setDemos] = useState<HTMLElement | null>(null);
  return (
    <Box component="section" aria-label="A new boat" sx={{ mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        A new boat
      </Typography>
      <Box sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: 'repeat(auto-fill, minmax(196px, 1fr))' }}>
        <Way name="From a table" says="of offsets, typed or pasted" onClick={() => setAsking('table')} />
        <Way name="From a few dimensions" says="a fair hull, to be changed" onClick={() => setAsking('dimensions')} />
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
