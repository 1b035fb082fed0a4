import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { MarkingRow } from '@kalotrope/core/panels';
import { formatLength, lostInRounding, unitLabel, type Notation } from '@kalotrope/core/measure';
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

/** Offsets from a straight base line: what is marked, nailed and sprung a batten round. */
export function MarkingTable({ rows }: { readonly rows: readonly MarkingRow[] }) {
  const notation = useAppSelector(selectNotation);
  return (
    <Box component="section" sx={{ mt: 1.5, pt: 1.5, borderTop: 1, borderColor: 'divider' }}>
      <Typography variant="h2">Mark out</Typography>
      <Typography variant="body2" color="text.secondary">
        From the forward end along a straight base line, square to it, to both edges. In {unitLabel(notation)}.
      </Typography>
      <Table size="small" aria-label="Offsets to mark out">
        <TableHead>
          <TableRow>
            <TableCell align="right">along</TableCell>
            <TableCell align="right">lower edge</TableCell>
            <TableCell align="right">upper edge</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row) => (
            <TableRow key={row.u}>
              <TableCell className="figure">{rounded(row.u, notation)}</TableCell>
              <TableCell className="figure">{rounded(row.lower, notation)}</TableCell>
              <TableCell className="figure">{rounded(row.upper, notation)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
