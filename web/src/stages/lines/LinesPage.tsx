import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { lazy, Suspense, useState } from 'react';
import { selectLiveHull, selectPicked, selectProject } from '../../app/selectors';
import { Slip } from '../../app/Slip';
import { useAppSelector } from '../../app/store';
import { Fairing } from './Fairing';
import { LinesDrawing, type LinesLook } from './LinesDrawing';
import { MarkOutDrawing, MarkOutList, type Board } from './MarkOut';
import { OffsetsTable } from './OffsetsTable';
import { PointNumbers } from './PointNumbers';
import { TableTools } from './TableTools';
import { Underlays, useClicked, type Tool } from './Underlays';

const HullView = lazy(() => import('../../drawing/HullView'));

const HULL = (
  <Suspense fallback={null}>
    <HullView />
  </Suspense>
);

type Show = 'drawing' | 'table' | 'board';

export default function LinesPage() {
  const hull = useAppSelector(selectLiveHull);
  const part = useAppSelector((state) => selectProject(state)?.lines);
  const [look, setLook] = useState<LinesLook>({ comb: 'none', isSighted: false });
  const [board, setBoard] = useState<Board>({ station: 0, half: 'starboard' });
  const [tool, setTool] = useState<Tool | null>(null);
  const [station, setStation] = useState<string | null>(null);
  const choice = useAppSelector(selectPicked);
  const [view, setView] = useState<Show>('drawing');
  if (!hull || !part) return null;
  const lineId = choice?.kind === 'point' || choice?.kind === 'line' ? choice.line : undefined;
  const line = part.longitudinals.find((other) => other.id === lineId);
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', justifyContent: 'space-between' }}>
          <Tabs
            value={view}
            onChange={(_event, next: Show) => setView(next)}
            aria-label="Lines as a drawing, a table or a board"
            sx={{ minHeight: 36, px: 1, '& .MuiTab-root': { minHeight: 36, py: 0 } }}
          >
            <Tab value="drawing" label="Three views" />
            <Tab value="table" label="The table" />
            <Tab value="board" label="Mark out" />
          </Tabs>
          {view === 'drawing' && <Looks look={look} onLook={setLook} />}
        </Box>
        {view === 'drawing' && <LinesWithPictures hull={hull} part={part} look={look} tool={tool} onTool={setTool} />}
        {view === 'table' && <OffsetsTable part={part} station={station} onStation={setStation} />}
        {view === 'board' && <MarkOutDrawing hull={hull} part={part} board={board} />}
      </Box>
      <Slip
        stage="lines"
        title={view === 'board' ? 'Mark out a section' : (line?.name ?? 'Pick a point')}
        numbers={
          view === 'board' ? <MarkOutList hull={hull} part={part} board={board} onBoard={setBoard} /> : <PointNumbers />
        }
      >
        {view === 'drawing' && <Fairing picked={lineId} />}
        {view === 'drawing' && <Underlays hull={hull} part={part} tool={tool} onTool={setTool} />}
        {view === 'table' && <TableTools part={part} station={station} onStation={setStation} />}
      </Slip>
    </>
  );
}

function LinesWithPictures({ look, ...rest }: { readonly look: LinesLook } & Parameters<typeof useClicked>[0]) {
  const clicked = useClicked(rest);
  return <LinesDrawing hull={rest.hull} look={look} underlays={rest.part.underlays} clicked={clicked} corner={HULL} />;
}

/** How the views are drawn. */
function Looks({ look, onLook }: { readonly look: LinesLook; readonly onLook: (look: LinesLook) => void }) {
  return (
    <Box sx={{ display: 'flex', gap: 2, px: 2 }} className="no-print">
      <TextField
        select
        label="Curvature comb"
        value={look.comb}
        onChange={({ target }) => onLook({ ...look, comb: target.value as LinesLook['comb'] })} // one of the items below
        sx={{ width: 190, '& .MuiSelect-select': { py: 0.6, fontSize: 14 } }}
      >
        <MenuItem value="none">none</MenuItem>
        <MenuItem value="seen">as each view shows it</MenuItem>
        <MenuItem value="true">of the true curve</MenuItem>
      </TextField>
      <FormControlLabel
        label="Sight along"
        title="The length drawn at an eighth, as one looks along a batten: humps and flats stand out"
        control={
          <Checkbox
            size="small"
            checked={look.isSighted}
            onChange={(_event, isSighted) => onLook({ ...look, isSighted })}
          />
        }
      />
    </Box>
  );
}
