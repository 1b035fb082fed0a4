import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { hoursWords, momentWords, planStage, workOfThing } from '@kalotrope/core/plan';
import { Figure } from '../../controls/Figure';
import { Slip } from '../../controls/Slip';
import { selectDerived, selectPicked, selectProject } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { CalendarButton } from './CalendarButton';
import { DoneList } from './DoneList';
import { JobNumbers } from './JobNumbers';
import { PlanChart } from './PlanChart';
import { PlanDays } from './PlanDays';
import { PlanWeather } from './PlanWeather';
import { YourHours } from './YourHours';

export default function PlanPage() {
  const derived = useAppSelector(selectDerived);
  const part = useAppSelector((state) => selectProject(state)?.plan);
  const resin = useAppSelector((state) => selectProject(state)?.epoxy.resin);
  const choice = workOfThing(useAppSelector(selectPicked));
  if (!derived || !part) return null;
  const { value } = derived.plan;
  const job = value.jobs.find(({ id }) => id === choice);
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        {value.planned.length === 0 ? (
          <Typography sx={{ p: 3 }}>
            {value.jobs.length === 0
              ? 'Nothing is to be built yet: the jobs come from the panels, the frames and all the rest.'
              : value.done.length === value.jobs.length
                ? 'All is done.'
                : 'No hours to build in: put some into the week, on the slip.'}
          </Typography>
        ) : (
          <>
            <PlanChart value={value} picked={choice} />
            <PlanDays value={value} part={part} picked={choice} />
          </>
        )}
      </Box>
      <Slip
        stage={planStage.name}
        title={job?.name ?? 'All of it'}
        numbers={
          job ? (
            <JobNumbers key={job.id} job={job} value={value} part={part} />
          ) : (
            <>
              <Figure name="Ends" value={value.planned.length > 0 ? momentWords(value.end, part) : 'no plan'} />
              <Figure name="Work" value={hoursWords(value.workMin)} />
              <Figure
                name="Soonest possible"
                value={momentWords(value.bound, part)}
                why="All the work poured into your hours, or the longest chain of what waits for what"
              />
            </>
          )
        }
      >
        <CalendarButton value={value} part={part} />
        <YourHours part={part} />
        {resin && <PlanWeather value={value} part={part} resin={resin} />}
        <DoneList value={value} />
      </Slip>
    </>
  );
}
