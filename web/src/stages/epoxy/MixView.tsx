/** What do I mix now? The jobs in working order, and the pots of the one that is picked, each as a card. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { jobThing, type Job, type PotPlan, type Takeoff } from '@kalotrope/core/epoxy';
import { formatMass, formatTemperature } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { SelectField } from '../../controls/SelectField';
import { picked } from '../../state/screen-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import type { PotRecord } from '../../storage/pots';
import { Clocks } from './Clocks';
import { PotCard } from './PotCard';
import { Samples } from './Samples';
import type { NewRecord } from './use-pots';
import { Weigh } from './Weigh';

type Props = {
  readonly takeoff: Takeoff;
  readonly plan: PotPlan;
  readonly records: readonly PotRecord[];
  readonly add: (record: NewRecord) => void;
  readonly project: Project;
  readonly shopC: number;
  readonly job: Job | undefined;
};

export function MixView({ takeoff, plan, records, add, project, shopC, job }: Props) {
  const [weighed, setWeighed] = useState<number | null>(null);
  const notation = useAppSelector(selectNotation);
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  if (!job) return <Typography>Nothing is glued, filled or coated: there is nothing to mix.</Typography>;
  const pots = plan.pots.filter((pot) => pot.job === job.name);
  const done = new Set(records.flatMap((one) => (one.kind === 'mixed' && one.job === job.name ? [one.number] : [])));
  const next = pots.find(({ number }) => !done.has(number));
  const pot = pots.find(({ number }) => number === weighed);
  return (
    <>
      <Clocks records={records} add={add} />
      <Samples records={records} sandHours={project.epoxy.resin.sandHours} add={add} />
      {pot ? (
        <Weigh
          key={`${job.name} ${pot.number}`}
          {...{ pot, resin: project.epoxy.resin, shopC, add, of: pots.length, onEnd: () => setWeighed(null) }}
        />
      ) : (
        <Box sx={{ display: 'flex', flexDirection: { xs: 'column', md: 'row' }, gap: 2, alignItems: 'flex-start' }}>
          {isWide ? (
            <JobList jobs={takeoff.jobs} plan={plan} records={records} picked={job} />
          ) : (
            <JobChoice jobs={takeoff.jobs} plan={plan} picked={job} />
          )}
          <Box sx={{ flex: 1, minWidth: 0, width: '100%' }}>
            <Typography variant="h2">
              {job.name}: {pots.length === 1 ? 'one pot' : `${pots.length} pots`} at{' '}
              {formatTemperature(shopC, notation)}
            </Typography>
            {pots.length === 0 && (
              <Typography>No pot of it can be used up in time: see what to look at first.</Typography>
            )}
            <Box
              sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(270px, 1fr))', gap: 1.5, mt: 1 }}
            >
              {pots.map((one) => (
                <PotCard
                  key={one.number}
                  {...{ pot: one, resin: project.epoxy.resin, isDone: done.has(one.number), isNext: one === next }}
                  onWeigh={() => setWeighed(one.number)}
                />
              ))}
            </Box>
          </Box>
        </Box>
      )}
    </>
  );
}

type ChoiceProps = { readonly jobs: readonly Job[]; readonly plan: PotPlan; readonly picked: Job };

/** Where there is no room for the list beside the pots. */
function JobChoice({ jobs, plan, picked: now }: ChoiceProps) {
  const dispatch = useAppDispatch();
  const names = jobs.map(({ name }, k): [string, string] => {
    const pots = plan.pots.filter((pot) => pot.job === name).length;
    return [name, `${k + 1} ${name}, ${pots === 1 ? 'one pot' : `${pots} pots`}`];
  });
  return (
    <Box sx={{ width: '100%', '& .MuiTextField-root': { width: '100%' }, '& .MuiInputBase-root': { minHeight: 48 } }}>
      <SelectField<string>
        label="What is done now"
        value={now.name}
        names={Object.fromEntries(names)}
        onChange={(name) => dispatch(picked(jobThing(name)))}
      />
    </Box>
  );
}

type ListProps = {
  readonly jobs: readonly Job[];
  readonly plan: PotPlan;
  readonly records: readonly PotRecord[];
  readonly picked: Job;
};

function JobList({ jobs, plan, records, picked: now }: ListProps) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  return (
    <Box
      component="ol"
      aria-label="Jobs in working order"
      sx={{ m: 0, p: 0, width: { xs: '100%', md: 250 }, listStyle: 'none' }}
    >
      {jobs.map((job, k) => {
        const pots = plan.pots.filter((pot) => pot.job === job.name).length;
        const done = records.filter((one) => one.kind === 'mixed' && one.job === job.name).length;
        const isPicked = job.name === now.name;
        return (
          <li key={job.id}>
            <Box
              component="button"
              aria-pressed={isPicked}
              onClick={() => dispatch(picked(jobThing(job.name)))}
              sx={{
                ...{
                  display: 'flex',
                  width: '100%',
                  minHeight: 44,
                  gap: 1,
                  alignItems: 'center',
                  p: 1,
                  font: 'inherit',
                },
                ...{ border: 0, borderBottom: 1, borderColor: 'divider', cursor: 'pointer', textAlign: 'left' },
                ...{ bgcolor: isPicked ? 'action.selected' : 'transparent', color: 'text.primary' },
              }}
            >
              <Box component="span" sx={{ color: 'text.secondary', width: 20 }}>
                {k + 1}
              </Box>
              <Box component="span" sx={{ flex: 1 }}>
                {job.name}
                <Typography component="span" variant="body2" color="text.secondary" sx={{ display: 'block' }}>
                  {formatMass(job.grams, notation)} in place
                </Typography>
              </Box>
              <span className="figure">{done > 0 ? `${Math.min(done, pots)} of ${pots}` : pots}</span>
            </Box>
          </li>
        );
      })}
    </Box>
  );
}
