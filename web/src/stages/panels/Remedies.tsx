import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { formatWithUnit, type Notation } from '@kalotrope/core/measure';
import { needsRemedy, standingOf, type Panel, type PanelRemedy } from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { selectNotation, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { engine } from '../../engine/client';

type Search =
  | { readonly kind: 'none' }
  | { readonly kind: 'busy'; readonly stop: () => void }
  | { readonly kind: 'found'; readonly of: unknown; readonly panel: string; readonly remedies: readonly PanelRemedy[] }
  | { readonly kind: 'failed'; readonly message: string };

type Props = {
  readonly panel: Panel;
  readonly shown: PanelRemedy | null;
  readonly onShow: (remedy: PanelRemedy | null) => void;
};

/**
 * For a panel that sheet material will not take: the smallest changes that would cure it, each to be seen before it
 * is taken.
 */
export function Remedies({ panel, shown, onShow }: Props) {
  const lines = useAppSelector((state) => selectProject(state)?.lines);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const [search, setSearch] = useState<Search>({ kind: 'none' });
  if (!lines || !needsRemedy(standingOf(panel))) return null;
  if (panel.partOf !== undefined)
    return (
      <Typography variant="body2" sx={{ mt: 1.5 }}>
        What would cure it is worked out for whole panels: make it whole again, look, and cut it afterwards.
      </Typography>
    );
  const find = async () => {
    const stopping = new AbortController();
    setSearch({ kind: 'busy', stop: () => stopping.abort() });
    const answer = await engine.run('remedies', { lines, panel: panel.id }, { signal: stopping.signal });
    if (answer.kind === 'ok') setSearch({ kind: 'found', of: lines, panel: panel.id, remedies: answer.value });
    else setSearch(answer.kind === 'failed' ? { kind: 'failed', message: answer.message } : { kind: 'none' });
  };
  // an answer to other lines or about another panel is none
  const found = search.kind === 'found' && search.of === lines && search.panel === panel.id ? search.remedies : null;
  return (
    <section className="slip-part" aria-label="What would cure it">
      <h2>What would cure it</h2>
      {!found && search.kind !== 'busy' && (
        <Button variant="outlined" sx={{ mt: 1 }} onClick={() => void find()}>
          Find the smallest change
        </Button>
      )}
      {search.kind === 'busy' && (
        <Box role="status" sx={{ mt: 1, display: 'flex', gap: 1, alignItems: 'center' }}>
          <Typography variant="body2">Trying each line, by heights and half-breadths…</Typography>
          <Button onClick={search.stop}>Stop</Button>
        </Box>
      )}
      {search.kind === 'failed' && <Typography variant="body2">The search ended early: {search.message}</Typography>}
      {found?.length === 0 && (
        <Typography variant="body2" sx={{ mt: 1 }}>
          No change of one line under 3 % of the length cures it. Move two lines, or make this panel of two.
        </Typography>
      )}
      {found?.map((remedy) => (
        <Box key={`${remedy.kind} ${remedy.line}`} sx={{ my: 1 }}>
          <Typography variant="body2">{remedyText(remedy, notation)}</Typography>
          <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
            <Button
              variant="outlined"
              onClick={() => {
                onShow(null);
                dispatch(edited({ label: remedyLabel(remedy), edits: remedy.edits }));
              }}
            >
              Take this
            </Button>
            <Button aria-pressed={shown === remedy} onClick={() => onShow(shown === remedy ? null : remedy)}>
              {shown === remedy ? 'Hide' : 'Show'}
            </Button>
          </Box>
        </Box>
      ))}
    </section>
  );
}

const remedyLabel = (remedy: PanelRemedy): string =>
  remedy.kind === 'split' ? `Split by ${remedy.lineName}` : `Move ${remedy.lineName.toLowerCase()}`;

function remedyText({ kind, lineName, most, moves, after }: PanelRemedy, notation: Notation): string {
  const then = `Twist is then ${after.twistDeg.toFixed(1)}°.`;
  if (kind === 'split' || !most) return `Split the panel by a new line, ${lineName}, along its middle. ${then}`;
  const by = formatWithUnit(Math.abs(most.toMm - most.fromMm), notation);
  const isUp = most.toMm > most.fromMm;
  const way = most.quantity === 'height' ? (isUp ? 'up' : 'down') : isUp ? 'out' : 'in';
  const others = moves.length > 1 ? `, ${moves.length - 1} other figures by less` : '';
  const place = /^\d/.test(most.station) ? `station ${most.station}` : most.station || 'one point';
  return `${lineName}: ${by} ${way} at ${place}${others}. ${then}`;
}
