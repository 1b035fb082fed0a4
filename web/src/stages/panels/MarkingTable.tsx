import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useMemo } from 'react';
import { formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { markOut, type BaseLine, type Panel, type PanelsPart } from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { PlainTable } from '../../controls/PlainTable';
import { rounded } from '../../controls/rounded';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

const COLUMNS = [
  ...['along', 'lower edge', 'upper edge'].map((name) => ({ name, isFigure: true })),
  { name: 'corner' },
];
const BASES: Readonly<Record<BaseLine, string>> = {
  under: 'clear under the panel',
  through: 'through it, for the shortest square',
  ends: 'through the ends of the lower edge',
};
const WHERE: Readonly<Record<BaseLine, string>> = {
  under: 'Strike a straight line and hook the tape at its forward end; the panel stands clear above it.',
  through:
    'Strike a straight line along the middle of the sheet and hook the tape at its forward end; offsets with ' +
    'a minus go below it.',
  ends:
    'Strike a straight line from end to end of the lower edge and hook the tape at its forward end; offsets ' +
    'with a minus go below it.',
};

/** Offsets from a straight base line: what is marked, nailed and sprung a batten round, and what it is checked by. */
export function MarkingTable({ panel, part }: { readonly panel: Panel; readonly part: PanelsPart }) {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  // the drawing follows an edit first, the table after it
  const settled = useDeferredValue(panel);
  const { markingStep, markingBase } = part;
  const out = useMemo(() => markOut(settled, markingStep, markingBase), [settled, markingStep, markingBase]);
  const lines = useMemo(
    () =>
      out.rows.map((row, i) => ({
        key: i,
        cells: [...[row.u, row.lower, row.upper].map((mm) => rounded(mm, notation)), row.corner ?? ''],
      })),
    [out, notation],
  );
  const say = (mm: number) => formatWithUnit(mm, notation);
  const set = (label: string, key: keyof PanelsPart, value: string | number) =>
    dispatch(edited({ label, edits: [{ path: ['panels', key], value }] }));
  return (
    <Box component="section" sx={{ mt: 1.5, pt: 1.5, borderTop: 1, borderColor: 'divider' }}>
      <Typography variant="h2">Mark out</Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1.6fr 1fr', gap: 1.25, my: 1.25 }} className="no-print">
        <TextField
          select
          label="Base line"
          value={markingBase}
          onChange={({ target }) => set('Base line', 'markingBase', target.value)}
          sx={{ '& .MuiSelect-select': { fontSize: 14 } }}
        >
          {Object.entries(BASES).map(([base, name]) => (
            <MenuItem key={base} value={base}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <LengthField label="Step" mm={markingStep} onCommit={(mm) => set('Marking step', 'markingStep', mm)} />
      </Box>
      <Typography component="ol" variant="body2" color="text.secondary" sx={{ pl: 2.5, my: 0.5 }}>
        <li>{WHERE[markingBase]}</li>
        <li>Tick every {say(markingStep)} along the tape; square across at each tick.</li>
        <li>
          Measure along each square to both edges (below, in {unitLabel(notation)}), a nail at each; spring a batten
          round the nails from corner to corner.
        </li>
        <li>
          Check: forward lower corner to after upper {say(out.diagonals[0])}, after lower to forward upper{' '}
          {say(out.diagonals[1])}; along the lower edge {say(settled.edges[0].length)}, along the upper{' '}
          {say(settled.edges[1].length)}.
        </li>
        <li>Mark the stations, the face and FORE before it is cut.</li>
      </Typography>
      <PlainTable label="Offsets to mark out" columns={COLUMNS} rows={lines} />
    </Box>
  );
}
