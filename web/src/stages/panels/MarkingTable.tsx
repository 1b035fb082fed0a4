import { useMemo } from 'react';
import { formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { markOut, type BaseLine, type Panel, type PanelsPart } from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
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
  const { markingStep, markingBase } = part;
  const out = useMemo(() => markOut(panel, markingStep, markingBase), [panel, markingStep, markingBase]);
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
    <Section title="Mark out">
      <div className="field-grid wide-first no-print">
        <SelectField
          label="Base line"
          value={markingBase}
          names={BASES}
          onChange={(base) => set('Base line', 'markingBase', base)}
        />
        <LengthField label="Step" mm={markingStep} onCommit={(mm) => set('Marking step', 'markingStep', mm)} />
      </div>
      <ol className="quiet steps">
        <li>{WHERE[markingBase]}</li>
        <li>Tick every {say(markingStep)} along the tape; square across at each tick.</li>
        <li>
          Measure along each square to both edges (below, in {unitLabel(notation)}), a nail at each; spring a batten
          round the nails from corner to corner.
        </li>
        <li>
          Check: forward lower corner to after upper {say(out.diagonals[0])}, after lower to forward upper{' '}
          {say(out.diagonals[1])}; along the lower edge {say(panel.edges[0].length)}, along the upper{' '}
          {say(panel.edges[1].length)}.
        </li>
        <li>Mark the stations, the face and FORE before it is cut.</li>
      </ol>
      <PlainTable label="Offsets to mark out" columns={COLUMNS} rows={lines} />
    </Section>
  );
}
