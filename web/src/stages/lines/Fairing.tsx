import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { memo, useState } from 'react';
import {
  fairingEdits,
  fairLine,
  pointName,
  type FairingChange,
  type LinesPart,
  type Longitudinal,
} from '@kalotrope/core/lines';
import { formatFine, formatWithUnit, unitLabel, formatSmall, type Notation } from '@kalotrope/core/measure';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { Section } from '../../controls/Section';
import { PlainTable } from '../../controls/PlainTable';
import { selectNotation, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';

const COLUMNS = [{ name: 'point' }, ...['is', 'would be', 'change'].map((name) => ({ name, isFigure: true }))];

/** Fairs the picked line or all within the tolerance, showing every change before it is taken. */
export const Fairing = memo(function Fairing({ picked }: { readonly picked: string | undefined }) {
  const tolerance = useAppSelector((state) => selectProject(state)?.lines.fairingTolerance ?? 0);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const [offer, setOffer] = useState<{
    readonly of: LinesPart | undefined;
    readonly changes: readonly FairingChange[];
  } | null>(null);
  // an offer belongs to the table that it was made from
  const isCurrent = useAppSelector((state) => offer !== null && selectProject(state)?.lines === offer.of);
  const changes = isCurrent && offer ? offer.changes : null;
  const propose = (isWanted: (line: Longitudinal) => boolean) => {
    const part = selectProject(store.getState())?.lines;
    const lines = part?.longitudinals.filter(isWanted) ?? [];
    setOffer({ of: part, changes: lines.flatMap((own) => fairLine(own, tolerance)) });
  };
  const take = () => {
    if (changes) dispatch(edited({ label: 'Fairing', edits: fairingEdits(changes) }));
    setOffer(null);
  };
  return (
    <Section title="Fairing">
      <LengthField
        label="Move no point further than"
        mm={tolerance}
        onCommit={(value) =>
          dispatch(edited({ label: 'Fairing tolerance', edits: [{ path: ['lines', 'fairingTolerance'], value }] }))
        }
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="outlined" disabled={picked === undefined} onClick={() => propose(({ id }) => id === picked)}>
          Fair this line
        </Button>
        <Button variant="outlined" onClick={() => propose(() => true)}>
          Fair all lines
        </Button>
      </Box>
      {changes?.length === 0 && (
        <Typography variant="body2" role="status">
          Nothing to change: fair already to a tenth of a millimetre.
        </Typography>
      )}
      {changes && changes.length > 0 && (
        <>
          <Typography variant="body2" role="status">
            {changes.length} figures would change, by {formatWithUnit(mostOf(changes), notation)} at most. In{' '}
            {unitLabel(notation)}.
          </Typography>
          <PlainTable
            label="Changes that fairing would make"
            columns={COLUMNS}
            rows={changes.map((change) => ({
              key: `${change.line} ${change.index} ${change.quantity}`,
              cells: [
                nameOf(change, offer?.of?.longitudinals ?? []),
                formatFine(change.fromMm, notation),
                formatFine(change.toMm, notation),
                signed(change.toMm - change.fromMm, notation),
              ],
            }))}
          />
          <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
            <Button variant="contained" onClick={take}>
              Take these changes
            </Button>
            <Button onClick={() => setOffer(null)}>Leave it as it is</Button>
          </Box>
        </>
      )}
    </Section>
  );
});

const mostOf = (changes: readonly FairingChange[]): number =>
  Math.max(...changes.map(({ fromMm, toMm }) => Math.abs(toMm - fromMm)));

const signed = (mm: number, notation: Notation): string =>
  `${mm < 0 ? '−' : '+'}${formatSmall(Math.abs(mm), notation)}`;

function nameOf({ line, index, quantity }: FairingChange, lines: readonly Longitudinal[]): string {
  const own = lines.find(({ id }) => id === line);
  const point = own?.points[index];
  const what = quantity === 'height' ? 'height' : 'half-breadth';
  return `${own?.name ?? line}, ${point ? pointName({ ...point, index }) : index + 1}, ${what}`;
}
