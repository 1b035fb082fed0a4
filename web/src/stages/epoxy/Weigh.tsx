/**
 * Weighing a pot, a pour at a time: by a scale that is listened to, or by typing what any scale shows. For gloves and
 * dust: large figures, large things to press, and Enter goes on.
 */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import {
  NOTHING_POURED,
  pourTo,
  ratioByWeight,
  weighingOf,
  type PlannedPot,
  type Poured,
  type ScaleState,
  type Weighing,
} from '@kalotrope/core/epoxy';
import { gramsPerShown, massUnit, type Notation } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { coversWords } from './PotCard';
import { ScaleLine } from './ScaleLine';
import { scaleFigure, scaleWords } from './shown';
import { useListening } from './use-listening';
import type { NewRecord } from './use-pots';

type Resin = Project['epoxy']['resin'];
type Props = {
  readonly pot: PlannedPot;
  /** How many the job has. */
  readonly of: number;
  readonly resin: Resin;
  readonly shopC: number;
  readonly add: (record: NewRecord) => void;
  readonly onEnd: () => void;
};

export function Weigh({ pot, of, resin, shopC, add, onEnd }: Props) {
  const notation = useAppSelector(selectNotation);
  const listening = useListening();
  const [poured, setPoured] = useState<Poured>(NOTHING_POURED);
  const [typed, setTyped] = useState('');
  const [by, setBy] = useState<'scale' | 'typed'>('scale');
  const ratio = ratioByWeight({ ratioByVolume: [resin.ratioA, resin.ratioB], ...resin });
  const asked = { a: pot.a, b: pot.b, filler: pot.filler, ratio, greatestPot: resin.greatestPot, scale: resin.scale };
  const now = weighingOf(asked, poured);
  const { state } = listening;
  const shown = readingOf(typed, notation) ?? believed(state);
  const isAsking = now.step !== 'done' && now.step !== 'spoiled';
  const isShort = isAsking && shown !== null && shown < now.low;
  const next = shown === null || isShort ? undefined : pourTo(asked, poured, shown);
  const take = () => {
    if (!next) return;
    if (typed.trim() !== '') setBy('typed');
    setPoured(next);
    setTyped('');
  };
  const log = () => {
    const { a, b, filler } = poured;
    if (now.step !== 'done' || a === null || b === null) return;
    const { job, number, total: planned, potLife } = pot;
    add({ kind: 'mixed', at: Date.now(), job, number, a, b, filler: filler ?? 0, planned, potLife, shopC, by });
    onEnd();
  };
  return (
    <Box component="section" aria-label="Weighing" sx={{ maxWidth: 640, fontSize: 18 }}>
      <Typography variant="h2" sx={{ fontSize: 22 }}>
        {pot.job}, pot {pot.number} of {of}
      </Typography>
      <Typography color="text.secondary" sx={{ fontSize: 18 }}>
        {coversWords(pot.covers)} Gloves on, air moving.
      </Typography>
      <Asked now={now} notation={notation} scale={resin.scale} />
      <ScaleLine {...{ listening, notation, scale: resin.scale }} />
      {isAsking && (
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            take();
          }}
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, my: 1.5 }}
        >
          <TextField
            autoFocus
            label={`The scale shows, ${massUnit(notation)}`}
            value={typed}
            placeholder={shown === null ? '' : scaleFigure(shown, notation, resin.scale)}
            error={typed.trim() !== '' && readingOf(typed, notation) === null}
            helperText={helpOf(now, shown, notation, resin.scale)}
            onChange={({ target }) => setTyped(target.value)}
            slotProps={{
              htmlInput: { inputMode: 'decimal', className: 'figure', autoComplete: 'off' },
              // it shrinks to three quarters over the field
              inputLabel: { sx: { fontSize: 24 } },
            }}
            sx={{
              flex: '1 1 220px',
              '& input': { fontSize: 24 },
              '& legend': { fontSize: 18 },
              '& .MuiFormHelperText-root': { fontSize: 18 },
            }}
          />
          <Button type="submit" variant="contained" disabled={!next} sx={{ minHeight: 56, fontSize: 18, px: 3 }}>
            That is in
          </Button>
        </Box>
      )}
      {now.step === 'done' && (
        <Button variant="contained" onClick={log} autoFocus sx={{ minHeight: 56, fontSize: 18, my: 1.5 }}>
          Mixed: start the clock
        </Button>
      )}
      <Button onClick={onEnd} sx={{ minHeight: 44, fontSize: 18 }}>
        {now.step === 'spoiled' ? 'Throw it away' : 'Leave off'}
      </Button>
    </Box>
  );
}

const NAMES = {
  a: 'Pour resin',
  b: 'Pour hardener',
  'add-a': 'Add resin',
  'add-b': 'Add hardener',
  filler: 'Stir two minutes, then add filler',
} as const;

function Asked({
  now,
  notation,
  scale,
}: {
  readonly now: Weighing;
  readonly notation: Notation;
  readonly scale: number;
}) {
  const words = (grams: number) => scaleWords(grams, notation, scale);
  if (now.step === 'done')
    return (
      <Alert severity="success" sx={{ fontSize: 18, my: 1.5 }}>
        {words(now.total)} in the pot, {(Math.abs(now.ratioError) * 100).toFixed(1)} % off the ratio: good. Stir,
        scraping the sides.
      </Alert>
    );
  if (now.step === 'spoiled')
    return (
      <Alert severity="error" sx={{ fontSize: 18, my: 1.5 }}>
        To put this right the pot would have to hold {words(now.wouldBe)}, which is heavier than is safe. Throw it away,
        or part it into two pots and weigh each.
      </Alert>
    );
  return (
    <Box sx={{ my: 1.5 }}>
      {now.step.startsWith('add') && (
        <Alert severity="warning" sx={{ fontSize: 18, mb: 1 }}>
          More than 3 % off the ratio. It can be put right: {NAMES[now.step].toLowerCase()}, {words(now.grams)}.
        </Alert>
      )}
      <Typography sx={{ fontSize: 20 }}>
        {now.step === 'a' && 'Put the pot on and set the scale to nought. '}
        {NAMES[now.step]} until the scale shows
      </Typography>
      <Typography className="figure" sx={{ fontSize: 56, fontWeight: 650, lineHeight: 1.1, textAlign: 'left' }}>
        {words(now.reads)}
      </Typography>
      <Typography color="text.secondary" sx={{ fontSize: 18 }}>
        anything from {words(now.low)} to {words(now.high)} will do
      </Typography>
    </Box>
  );
}

function helpOf(now: Weighing, shown: number | null, notation: Notation, scale: number): string | undefined {
  if (shown === null || now.step === 'done' || now.step === 'spoiled') return undefined;
  if (shown < now.low) return `${scaleWords(now.reads - shown, notation, scale)} to go`;
  return shown > now.high ? 'More than 3 % over: it is put right at the next pour' : 'Right';
}

/** Null: nothing is typed, or no weight. */
function readingOf(typed: string, notation: Notation): number | null {
  const value = Number(typed.replace(',', '.'));
  return typed.trim() !== '' && Number.isFinite(value) && value >= 0 ? value * gramsPerShown(notation) : null;
}

/** What a scale shows that nothing is wrong with; a single jump is not weighed by anyhow. */
const believed = (state: ScaleState | null): number | null =>
  state && (state.fault === null || state.fault === 'jumped') ? state.grams : null;
