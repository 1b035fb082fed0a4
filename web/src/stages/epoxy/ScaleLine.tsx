/** What the scale says, and whether it is to be believed. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ScaleFault } from '@kalotrope/core/epoxy';
import type { Notation } from '@kalotrope/core/measure';
import { changeStandIn } from '../../devices/streams';
import { scaleWords } from './shown';
import type { Listening } from './use-listening';

const FAULTS: Readonly<Record<ScaleFault, string>> = {
  lost: 'Nothing comes from the scale. Look at its cable or battery, or type what it shows.',
  frozen: 'The scale says the very same for seconds: it is frozen. Nothing is taken from it. Type what it shows.',
  drifting: 'The scale drifts with nothing poured. Take the pot off, set it to nought and begin again, or type.',
  jumped: 'The scale jumped for a moment. It is steady again: look whether something touches it.',
};

type Props = { readonly listening: Listening; readonly notation: Notation; readonly scale: number };

export function ScaleLine({ listening, notation, scale }: Props) {
  const { state, isStandIn, problem } = listening;
  const big = { minHeight: 44, fontSize: 18 } as const;
  if (!state)
    return (
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Button onClick={listening.toStandIn} sx={big}>
          Listen to the stand-in scale
        </Button>
        {listening.hasPorts && (
          <Button onClick={listening.toPort} sx={big}>
            Listen to a scale at a port
          </Button>
        )}
        {problem && <span className="quiet">{problem}</span>}
      </Box>
    );
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <span aria-label="The scale shows" role="status" style={{ fontSize: 24 }} className="figure">
          {state.grams === null ? '' : scaleWords(state.grams, notation, scale)}
        </span>
        {isStandIn && (
          <Button onClick={() => void changeStandIn('scale', { tare: true })} sx={big}>
            Set it to nought
          </Button>
        )}
        <Button onClick={listening.toNone} sx={big}>
          Stop listening
        </Button>
      </Box>
      {state.fault && (
        <Alert severity={state.fault === 'jumped' ? 'info' : 'warning'} sx={{ fontSize: 18 }}>
          {FAULTS[state.fault]}
        </Alert>
      )}
    </>
  );
}
