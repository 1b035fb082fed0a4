/** The plan day by day, with the times of the clock. */
import Box from '@mui/material/Box';
import { memo } from 'react';
import {
  clockWords,
  daysOf,
  dayWords,
  hoursWords,
  momentWords,
  waitsAfter,
  workThing,
  type DayEntry,
  type PlanPart,
  type PlanValue,
} from '@kalotrope/core/plan';
import { picked } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';

type Props = {
  readonly value: PlanValue;
  readonly part: Pick<PlanPart, 'starts'>;
  readonly picked: string | undefined;
};

export const PlanDays = memo(function PlanDays({ value, part, picked: own }: Props) {
  const dispatch = useAppDispatch();
  const waits = waitsAfter(value.jobs);
  const days = daysOf(value.planned, part);
  const words = ({ job: { job, end }, part: k, parts, from, to }: DayEntry) => {
    const wait = k === parts ? (waits.get(job.id) ?? 0) : 0;
    const cures = wait > 0 ? `; what comes after not before ${momentWords(end + wait, part)}` : '';
    return `${hoursWords(to - from)}${cures}`;
  };
  return (
    <Box
      component="ol"
      aria-label="Day by day"
      tabIndex={0}
      sx={{
        ...{ listStyle: 'none', m: 0, px: 2, py: 1, overflow: 'auto', flex: { md: 1 }, minHeight: 0 },
        // on a telephone the slip with what is picked stays near
        maxHeight: { xs: '50vh', md: 'none' },
        ...{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(300px, 1fr))', columnGap: 3 },
        alignContent: 'start',
      }}
    >
      {days.map((day) => (
        <Box component="li" key={day.day} sx={{ mb: 1.5 }}>
          <h2 className="plan-day">{dayWords(day)}</h2>
          {day.entries.map((entry) => {
            const { job } = entry.job;
            return (
              <button
                key={`${job.id} ${entry.from}`}
                type="button"
                className="plan-entry"
                aria-pressed={job.id === own}
                title={words(entry)}
                onClick={() => dispatch(picked(workThing(job.id)))}
              >
                <span className="figure">
                  {clockWords(entry.from)}–{clockWords(entry.to)}
                </span>
                <span>
                  {job.name}
                  {entry.parts > 1 && `, ${entry.part} of ${entry.parts}`}
                  {job.hands > 1 && `, ${job.hands} to do it`}
                  {entry.job.sandedFor !== undefined && entry.part === 1 && ', sanded first'}
                </span>
              </button>
            );
          })}
        </Box>
      ))}
    </Box>
  );
});
