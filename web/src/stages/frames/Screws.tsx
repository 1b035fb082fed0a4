/** Screws through the skin into the timber behind it: how far apart, how many, how long at most. */
import type { EditValue } from '@kalotrope/core/findings';
import { framesStage, type FramesPart, type FramesValue } from '@kalotrope/core/frames';
import { formatFine, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { Figure } from '../../controls/Figure';
import { LengthField } from '../../controls/LengthField';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { plural } from '../../controls/words';
import { edited } from '../../state/document-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { SCREW_LABELS, SCREWS_SECTION } from './frame-words';

const COLUMNS = [
  ...['through', 'into'].map((name) => ({ name })),
  ...['count', 'every', 'at most long'].map((name) => ({ name, isFigure: true })),
];

type Props = { readonly part: FramesPart; readonly rows: FramesValue['screws'] };

export function Screws({ part: { screws }, rows }: Props) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const pathTo = (key: keyof typeof screws) => [framesStage.name, 'screws', key];
  const set = (key: keyof typeof screws) => (value: EditValue) =>
    void dispatch(edited({ label: 'Screws', edits: [{ path: pathTo(key), value }] }));
  const field = (key: keyof typeof screws) => (
    <LengthField label={SCREW_LABELS[key]} mm={screws[key]} onCommit={set(key)} path={pathTo(key)} />
  );
  const count = rows.reduce((sum, row) => sum + row.count, 0);
  return (
    <Section title={SCREWS_SECTION} aside={screws.spacing === 0 ? 'none' : plural(count, 'screw')}>
      <p className="quiet">
        Driven from outside, evenly along the timber of every frame and every member, to a whole number of gaps; none
        where a notch is. Marked on the panels.
      </p>
      <div className="field-grid no-print">
        {field('spacing')}
        {field('ends')}
      </div>
      {rows.length > 0 && (
        <>
          <PlainTable
            label={`Screws, in ${unitLabel(notation)}`}
            columns={COLUMNS}
            rows={rows.map(({ panelName, into, count: own, spacingMm, lengthMm }, i) => ({
              key: i,
              cells: [panelName, into, own, formatFine(spacingMm, notation), formatFine(lengthMm, notation)],
            }))}
          />
          <Figure
            name="Longest"
            value={formatWithUnit(Math.max(...rows.map(({ lengthMm }) => lengthMm)), notation)}
            why="Two and a half times the skin; less where 2 mm would not be left before the timber’s far face"
          />
        </>
      )}
    </Section>
  );
}
