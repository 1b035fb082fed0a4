import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Box from '@mui/material/Box';
import { lazy, Suspense, useState } from 'react';
import { selectLiveHull, selectPicked, selectProject } from '../../app/selectors';
import { Slip } from '../../app/Slip';
import { useAppSelector } from '../../app/store';
import { Fairing } from './Fairing';
import { LinesDrawing } from './LinesDrawing';
import { OffsetsTable } from './OffsetsTable';
import { PointNumbers } from './PointNumbers';
import { TableTools } from './TableTools';

const HullView = lazy(() => import('../../drawing/HullView'));

const HULL = (
  <Suspense fallback={null}>
    <HullView />
  </Suspense>
);

export default function LinesPage() {
  const hull = useAppSelector(selectLiveHull);
  const part = useAppSelector((state) => selectProject(state)?.lines);
  const [station, setStation] = useState<string | null>(null);
  const choice = useAppSelector(selectPicked);
  const [view, setView] = useState<'drawing' | 'table'>('drawing');
  if (!hull || !part) return null;
  const lineId = choice?.kind === 'point' || choice?.kind === 'line' ? choice.line : undefined;
  const line = part.longitudinals.find((other) => other.id === lineId);
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        <Tabs
          value={view}
          onChange={(_event, next: 'drawing' | 'table') => setView(next)}
          aria-label="Lines as a drawing or a table"
          sx={{ minHeight: 36, px: 1, '& .MuiTab-root': { minHeight: 36, py: 0 } }}
        >
          <Tab value="drawing" label="Three views" />
          <Tab value="table" label="The table" />
        </Tabs>
        {view === 'drawing' ? (
          <LinesDrawing hull={hull} corner={HULL} />
        ) : (
          <OffsetsTable part={part} station={station} onStation={setStation} />
        )}
      </Box>
      <Slip stage="lines" title={line ? line.name : 'Pick a point'} numbers={<PointNumbers />}>
        {view === 'drawing' ? (
          <Fairing picked={lineId} />
        ) : (
          <TableTools part={part} station={station} onStation={setStation} />
        )}
      </Slip>
    </>
  );
}
