import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { planOf, runOfThing, type TimberValue } from '@kalotrope/core/timber';
import { selectDerived, selectFound, selectPicked, selectProject } from '../../state/selectors';
import { Slip } from '../../controls/Slip';
import { useAppSelector } from '../../state/store';
import { OwnRuns } from './OwnRuns';
import { Rips } from './Rips';
import { RunNumbers } from './RunNumbers';
import { RunTable } from './RunTable';
import { SticksDrawing } from './SticksDrawing';
import { StockList } from './StockList';
import { TimberSettings } from './TimberSettings';
import { ToBuy } from './ToBuy';
import { useTimberPlan } from './use-timber-plan';

export default function TimberPage() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  return derived && project ? <Timber value={derived.timber.value} /> : null;
}

function Timber({ value }: { readonly value: TimberValue }) {
  const isPlanning = useTimberPlan(value);
  const plan = planOf(value, useAppSelector(selectFound).timber);
  const choice = runOfThing(useAppSelector(selectPicked));
  const run = value.runs.find(({ id }) => id === choice);
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        {isPlanning && value.runs.length > 0 && <LinearProgress aria-label="Planning the sticks" />}
        {value.runs.length === 0 ? (
          <Typography sx={{ p: 3 }}>
            No long pieces yet. Stringers, clamps and chine logs come from Frames; a rail or a runner is added on the
            slip.
          </Typography>
        ) : plan ? (
          <SticksDrawing value={value} plan={plan} />
        ) : (
          <Typography sx={{ p: 3 }}>
            {isPlanning ? 'Planning the sticks.' : 'There is no plan for this stock.'}
          </Typography>
        )}
      </Box>
      <Slip
        stage="timber"
        title={run?.name ?? 'To buy'}
        numbers={run ? <RunNumbers run={run} plan={plan} /> : <ToBuy value={value} plan={plan} />}
      >
        <RunTable runs={value.runs} />
        <Rips rips={value.rips} />
        <OwnRuns />
        <StockList />
        <TimberSettings />
      </Slip>
    </>
  );
}
