/** A clock for the work that goes on: it runs in the store, and so through a reload, a sleep, a page that is closed. */
import Button from '@mui/material/Button';
import { hoursWords, type WorkJob } from '@kalotrope/core/plan';
import type { RunningClock } from '@kalotrope/core/log';
import { useState } from 'react';
import { useNow } from '../../controls/use-now';
import { said } from '../../state/screen-slice';
import { selectProject } from '../../state/selectors';
import { useAppDispatch, useAppStore } from '../../state/store';
import { startClock, stopClock } from '../../storage/log';
import { dayOf } from '../../storage/day';
import { JobChoice } from './JobChoice';
import { entryNow } from '../../storage/entry-now';

const MINUTE_MS = 60_000;
/** The longest that an entry holds. */
const MOST_MIN = 1_000_000;

type Props = { readonly project: string; readonly clock: RunningClock | null; readonly jobs: readonly WorkJob[] };

export function WorkClock({ project, clock, jobs }: Props) {
  const [job, setJob] = useState('');
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const refused = () => dispatch(said('This browser does not keep the clock: note the time on paper.'));
  const stop = () =>
    stopClock(project, ({ job: id, since }) => {
      const minutes = Math.min(MOST_MIN, Math.round((Date.now() - since) / MINUTE_MS));
      if (minutes < 1) {
        dispatch(said('It ran for less than a minute: nothing is written down'));
        return null;
      }
      const found = jobs.find((one) => one.id === id);
      const known = { jobName: found?.name ?? '', group: found?.group ?? '' } as const;
      const revision = selectProject(store.getState())?.revision ?? 1;
      return entryNow({ kind: 'hours', job: id, ...known, minutes, day: dayOf(since) }, revision);
    }).catch(refused);
  if (clock)
    return (
      <div role="group" aria-label="The clock">
        <p className="clock-figure figure" role="timer" aria-live="off">
          <Running since={clock.since} />
        </p>
        <p className="quiet">{jobs.find(({ id }) => id === clock.job)?.name ?? 'No job'}</p>
        <Button variant="contained" onClick={() => void stop()} sx={{ my: 1 }}>
          Stop the clock
        </Button>
      </div>
    );
  return (
    <div role="group" aria-label="The clock" className="no-print">
      <JobChoice label="Work on" jobs={jobs} job={job} onJob={setJob} />
      <Button
        variant="contained"
        onClick={() => void startClock(project, { job, since: Date.now() }).catch(refused)}
        sx={{ my: 1 }}
      >
        Start the clock
      </Button>
    </div>
  );
}

function Running({ since }: { readonly since: number }) {
  const now = useNow();
  const minutes = Math.floor(Math.max(0, now - since) / MINUTE_MS);
  return minutes < 1 ? 'under a minute' : hoursWords(minutes);
}
