import Box from '@mui/material/Box';
import { useMemo, useState, type ReactNode } from 'react';
import { gapLeft, NO_RECORDS } from '@kalotrope/core/log';
import { panelsStage } from '@kalotrope/core/panels';
import { Slip } from '../../../controls/Slip';
import { selectFound, selectProject } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { GapsSlip } from './GapsSlip';
import { GapsView } from './GapsView';
import { measuredGaps } from './measured';
import { useGaps } from './use-gaps';

/** How well the panels will meet: the view, and its slip. */
export function GapsPage({ head }: { readonly head: ReactNode }) {
  const told = useGaps();
  const [chosen, setChosen] = useState<number | null>(null);
  const log = useAppSelector((state) => selectFound(state).log);
  const measured = useMemo(() => measuredGaps(log ?? NO_RECORDS), [log]);
  const widest = useAppSelector((state) => {
    const project = selectProject(state);
    return project ? gapLeft(project) : 0;
  });
  const gaps = told.kind === 'told' ? told.gaps : undefined;
  // the worst one until another is chosen; one that is gone is none
  const isThere = chosen !== null && (!gaps || chosen < gaps.seams.length);
  const seam = isThere ? chosen : (gaps?.worst ?? 0);
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        {head}
        <GapsView told={told} seam={seam} widest={widest} measured={measured} />
      </Box>
      <Slip stage={panelsStage.name} title="Will they meet?" numbers={null}>
        <GapsSlip told={told} seam={seam} onSeam={setChosen} measured={measured} />
      </Slip>
    </>
  );
}
