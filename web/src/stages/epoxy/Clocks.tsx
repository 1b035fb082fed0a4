/** Pots that are open, each with its clocks: they count from when it was mixed, whatever the page did meanwhile. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { epoxyConstants } from '@kalotrope/core/epoxy';
import { gramsPerShown, massUnit } from '@kalotrope/core/measure';
import { useNow } from '../../controls/use-now';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import type { MixedPot, PotRecord } from '../../storage/pots';
import { clockWords } from '../../controls/clock-words';
import { countdown } from './shown';
import type { NewRecord } from './use-pots';

type Props = { readonly records: readonly PotRecord[]; readonly add: (record: NewRecord) => void };

const MINUTE_MS = 60_000;
/** A pot that nobody said was empty is off the clock after so long. */
const FORGOTTEN_MS = 12 * 60 * MINUTE_MS;

export function Clocks({ records, add }: Props) {
  const now = useNow();
  const ended = new Set(records.flatMap((one) => (one.kind === 'emptied' ? [one.of] : [])));
  const open = records.filter(
    (one): one is MixedPot => one.kind === 'mixed' && !ended.has(one.at) && now - one.at < FORGOTTEN_MS,
  );
  return open.map((pot) => <OnePot key={pot.at} pot={pot} now={now} add={add} />);
}

type OneProps = { readonly pot: MixedPot; readonly now: number; readonly add: Props['add'] };

function OnePot({ pot, now, add }: OneProps) {
  const notation = useAppSelector(selectNotation);
  const [left, setLeft] = useState('');
  const stir = pot.at + epoxyConstants.STIR_MINUTES.value * MINUTE_MS - now;
  const life = pot.at + pot.potLife * MINUTE_MS - now;
  const thrown = left.trim() === '' ? 0 : Number(left.replace(',', '.')) * gramsPerShown(notation);
  const total = pot.a + pot.b + pot.filler;
  const isWrong = !(thrown >= 0 && thrown <= total);
  const { job, number } = pot;
  const end = () => !isWrong && add({ kind: 'emptied', at: Date.now(), job, number, of: pot.at, thrown });
  return (
    <Box
      component="section"
      aria-label={`Clocks of ${job}, pot ${number}`}
      sx={{
        ...{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 2, p: 1.5, mb: 1.5, fontSize: 18 },
        ...{ bgcolor: 'background.paper', border: 2, borderColor: life > 0 ? 'primary.main' : 'error.main' },
      }}
    >
      <Box sx={{ flex: '1 1 200px' }}>
        <strong>
          {job}, pot {number}
        </strong>
        <Typography color="text.secondary">mixed at {clockWords(pot.at, now)}</Typography>
      </Box>
      <Clock name={stir > 0 ? 'Stir, scrape the sides' : 'Stirred'} text={stir > 0 ? countdown(stir) : ''} />
      <Clock
        name={life > 0 ? 'Use it up within' : 'Gone off: throw it away outdoors'}
        text={life > 0 ? countdown(life) : ''}
      />
      <TextField
        label={`Left in it, ${massUnit(notation)}`}
        value={left}
        error={isWrong}
        helperText={isWrong ? 'Expected what is left of the pot' : undefined}
        onChange={({ target }) => setLeft(target.value)}
        onKeyDown={({ key }) => key === 'Enter' && end()}
        slotProps={{ htmlInput: { inputMode: 'decimal', className: 'figure' } }}
        sx={{ width: 140, '& input': { fontSize: 18, py: 1.25 } }}
      />
      <Button variant="contained" onClick={end} sx={{ minHeight: 44, fontSize: 18 }}>
        The pot is empty
      </Button>
      <Typography variant="body2" sx={{ flexBasis: '100%' }}>
        Do not scrape the pot: what clings to it is unmixed. Keep a sample of it in a lid and try it with a nail
        tomorrow. Pour what warms up out on something flat, outdoors.
      </Typography>
    </Box>
  );
}

function Clock({ name, text }: { readonly name: string; readonly text: string }) {
  return (
    <Box role="timer" aria-label={name}>
      <Typography color="text.secondary">{name}</Typography>
      <Box component="span" className="figure" sx={{ fontSize: 26, fontWeight: 650 }}>
        {text}
      </Box>
    </Box>
  );
}
