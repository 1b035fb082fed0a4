/** The next day: whether the samples of yesterday's pots have come hard. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNow } from '../../controls/use-now';
import type { PotRecord } from '../../storage/pots';
import { clockWords } from '../../controls/clock-words';
import { samplesDue, softPots } from './shown';
import type { NewRecord } from './use-pots';

type Props = {
  readonly records: readonly PotRecord[];
  readonly sandHours: number;
  readonly add: (record: NewRecord) => void;
};

export function Samples({ records, sandHours, add }: Props) {
  const now = useNow();
  const due = samplesDue(records, now, sandHours);
  const soft = softPots(records);
  return (
    <>
      {due.map(({ at, job, number }) => (
        <Box
          key={at}
          component="section"
          aria-label={`Sample of ${job}, pot ${number}`}
          sx={{
            ...{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, p: 1.5, mb: 1.5 },
            ...{ bgcolor: 'background.paper', border: 1, borderColor: 'divider' },
          }}
        >
          <Box sx={{ flex: '1 1 220px' }}>
            <strong>
              {job}, pot {number}: its sample
            </strong>
            <Typography color="text.secondary">
              mixed at {clockWords(at, now)}. Press a nail into it: does it leave a mark?
            </Typography>
          </Box>
          {[true, false].map((isHard) => (
            <Button
              key={String(isHard)}
              variant="outlined"
              sx={{ minHeight: 44 }}
              onClick={() => add({ kind: 'sample', at: Date.now(), job, number, of: at, isHard })}
            >
              {isHard ? 'It is hard' : 'It is soft'}
            </Button>
          ))}
        </Box>
      ))}
      {soft.length > 0 && (
        <Typography role="alert" color="error" sx={{ mb: 1.5 }}>
          Soft after its time: {soft.map(({ job, number }) => `${job}, pot ${number}`).join('; ')}. Warm it for a day;
          if it stays soft it was mixed wrongly: scrape it off, wash with solvent as its maker says, and do that part
          again.
        </Typography>
      )}
    </>
  );
}
