import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useMemo } from 'react';
import { markingTable, type Panel } from '@kalotrope/core/panels';
import { unitLabel } from '@kalotrope/core/measure';
import { PlainTable } from '../../app/PlainTable';
import { rounded } from '../../app/rounded';
import { selectNotation } from '../../app/selectors';
import { useAppSelector } from '../../app/store';

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
