import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useMemo } from 'react';
import { markingTable, type Panel } from '@kalotrope/core/panels';
import { formatLength, lostInRounding, unitLabel, type Notation } from '@kalotrope/core/measure';
import { PlainTable } from '../../app/PlainTable';
import { selectNotation } from '../../app/selectors';
import { useAppSelector } from '../../app/store';

/** A part lost in rounding is shown from here on. */
const WORTH_SHOWING_MM = 0.5;

function rounded(mm: number, notation: Notation): string {
  const lost = lostInRounding(mm, notation);
  const figure = formatLength(mm, notation);
  return Math.abs(lost) > WORTH_SHOWING_MM
    ? `${figure} (${lost > 0 ? '+' : '−'}${Math.abs(lost).toFixed(1)} mm)`
    : figure;
}

const COLUMNS = ['along', 'lower edge', 'upper edge'].map((name) => ({ name, isFigure: true }));

/** Offsets from a straight base line: what is marked, nailed and sprung a batten round. */
export function MarkingTable({ panel, step }: { readonly panel: Panel; readonly step: number }) {
  const notation = useAppSelector(selectNotation);
  // the drawing follows an edit first, the table after it
  const settled = useDeferredValue(panel);
  const lines = useMemo(
    () =>
      markingTable(settled, step).map((row, i) => ({
        key: i,
        cells: [row.u, row.lower, row.upper].map((mm) => rounded(mm, notation)),
      })),
    [settled, step, notation],
  );
  return (
    <Box component="section" sx={{ mt: 1.5, pt: 1.5, borderTop: 1, borderColor: 'divider' }}>
      <Typography variant="h2">Mark out</Typography>
      <Typography variant="body2" color="text.secondary">
        From the forward end along a straight base line, square to it, to both edges. In {unitLabel(notation)}.
      </Typography>
      <PlainTable label="Offsets to mark out" columns={COLUMNS} rows={lines} />
    </Box>
  );
}
