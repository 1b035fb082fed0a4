/** What changed from a revision to the boat as it is now: the lines over each other, figures, parts, counts. */
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { formatArea, formatField, formatMass, formatSmall, formatRun, type Notation } from '@kalotrope/core/measure';
import { hoursWords } from '@kalotrope/core/plan';
import type { CountChange, PartChanged, Project, RevisionChanges } from '@kalotrope/core/project';
import { PlainTable } from '../controls/PlainTable';
import { LinesOver } from '../drawing/LinesOver';
import { engine } from '../engine/client';

type Props = { readonly was: Project; readonly now: Project };

const FIGURE_NAMES = { x: 'along', halfBreadth: 'half-breadth', height: 'height' } as const;
const COUNT_NAMES: Readonly<Record<CountChange['what'], string>> = {
  parts: 'parts to cut',
  ply: 'plywood in them',
  sticks: 'long timber',
  resin: 'epoxy in place',
  work: 'work',
  price: 'price, as far as known',
};

export function RevisionChangesView({ was, now }: Props) {
  const { changes, failed } = useChanges(was, now);
  const { notation } = now;
  if (failed !== null) return <Typography role="alert">They could not be compared: {failed}</Typography>;
  if (!changes) return <LinearProgress aria-label="Comparing" />;
  const { figures, parts, counts, decided } = changes;
  if (decided.length === 0 && figures.length === 0) return <Typography>Nothing has changed since.</Typography>;
  const length = (mm: number | undefined) => (mm === undefined ? 'none' : formatField(mm, notation));
  return (
    <>
      <LinesOver was={was.lines.longitudinals} now={now.lines.longitudinals} />
      <Typography sx={{ my: 1 }}>Decided otherwise: {decided.join(', ')}.</Typography>
      <PlainTable
        label="Counted"
        columns={[{ name: 'counted' }, { name: 'was', isFigure: true }, { name: 'is', isFigure: true }]}
        rows={counts.map(({ what, was: a, now: b }) => ({
          key: what,
          cells: [COUNT_NAMES[what], countWords(what, a, notation), countWords(what, b, notation)],
        }))}
      />
      {parts.length > 0 && <Typography sx={{ mt: 2 }}>Parts</Typography>}
      {parts.length > 0 && (
        <PlainTable
          label="Parts that changed"
          columns={[{ name: 'part' }, { name: 'edge off, at most', isFigure: true }]}
          rows={parts.map((part, i) => ({ key: i, cells: [part.name, partWords(part, notation)] }))}
        />
      )}
      {figures.length > 0 && <Typography sx={{ mt: 2 }}>The table</Typography>}
      {figures.length > 0 && (
        <PlainTable
          label="Figures of the table that changed"
          columns={[
            ...[{ name: 'line' }, { name: 'station' }, { name: 'figure' }],
            ...[
              { name: 'was', isFigure: true },
              { name: 'is', isFigure: true },
            ],
          ]}
          rows={figures.map(({ line, station, figure, was: a, now: b }, i) => ({
            key: i,
            cells: [line, station, FIGURE_NAMES[figure], length(a), length(b)],
          }))}
        />
      )}
    </>
  );
}

function partWords({ what, mm, isOpeningOther }: PartChanged, notation: Notation): string {
  if (what !== 'other') return what;
  const off = formatSmall(mm, notation);
  return isOpeningOther ? `${off}, openings too` : off;
}

function countWords(what: CountChange['what'], count: number, notation: Notation): string {
  if (what === 'ply') return formatArea(count, notation);
  if (what === 'sticks') return formatRun(count, notation);
  if (what === 'resin') return formatMass(count, notation);
  if (what === 'work') return hoursWords(count);
  return what === 'price' ? count.toFixed(2) : String(count);
}

/** Worked out apart from the page: both boats are developed for it. */
function useChanges(was: Project, now: Project) {
  const [changes, setChanges] = useState<RevisionChanges | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    const stopping = new AbortController();
    void engine.run('revisions', { was, now }, { signal: stopping.signal }).then((answer) => {
      if (stopping.signal.aborted) return;
      if (answer.kind === 'ok') setChanges(answer.value);
      if (answer.kind === 'failed') setFailed(answer.message);
    });
    return () => stopping.abort();
  }, [was, now]);
  return { changes, failed };
}
