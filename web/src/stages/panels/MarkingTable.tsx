import { useMemo } from 'react';
import { markingOf, markingSteps, type BaseLine, type Panel, type PanelsPart } from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { PlainTable } from '../../controls/PlainTable';
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
/** Offsets from a straight base line: what is marked, nailed and sprung a batten round, and what it is checked by. */
export function MarkingTable({ panel, part }: { readonly panel: Panel; readonly part: PanelsPart }) {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const { markingStep, markingBase, markingStray } = part;
  const out = useMemo(
    () => markingOf(panel, { markingStep, markingBase, markingStray }),
    [panel, markingStep, markingBase, markingStray],
  );
  const lines = useMemo(
    () =>
      out.rows.map((row, i) => ({
        key: i,
        cells: [...[row.u, row.lower, row.upper].map((mm) => rounded(mm, notation)), row.corner ?? ''],
      })),
    [out, notation],
  );
  const set = (label: string, key: keyof PanelsPart, value: string | number) =>
    dispatch(edited({ label, edits: [{ path: ['panels', key], value }] }));
  return (
    <>
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
        {markingSteps(panel, part, out, notation).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <PlainTable label="Offsets to mark out" columns={COLUMNS} rows={lines} />
    </>
  );
}
