/** A bottom laid across the boat: its boards, and the timbers under their seams. */
import type { EditValue } from '@kalotrope/core/findings';
import { bevelWords, framesStage, type Frame, type FramesPart, type FramesValue } from '@kalotrope/core/frames';
import { formatFine, unitLabel } from '@kalotrope/core/measure';
import { LengthField } from '../../controls/LengthField';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { plural } from '../../controls/words';
import { edited } from '../../state/document-slice';
import { selectDerived, selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { ENDS, PLANKED_PANEL, PLANKED_SECTION } from './frame-words';

const NONE = 'none';

type Props = { readonly part: FramesPart; readonly planked: FramesValue['planked']; readonly frames: readonly Frame[] };

export function PlankedBottom({ part: { planked: plan }, planked, frames }: Props) {
  const dispatch = useAppDispatch();
  const panels = useAppSelector((state) => selectDerived(state)?.panels.value.panels ?? []);
  const pathTo = (key: string) => [framesStage.name, 'planked', key];
  const set = (key: string) => (value: EditValue) =>
    void dispatch(edited({ label: PLANKED_SECTION, edits: [{ path: pathTo(key), value }] }));
  const length = (label: string, key: 'board' | 'breadth' | 'depth') => (
    <LengthField label={label} mm={plan[key]} onCommit={set(key)} path={pathTo(key)} />
  );
  const names: Readonly<Record<string, string>> = {
    [NONE]: 'none',
    ...Object.fromEntries(panels.filter(({ spansCentreline }) => spansCentreline).map(({ id, name }) => [id, name])),
    ...(plan.panel !== '' && !panels.some(({ id, spansCentreline }) => id === plan.panel && spansCentreline)
      ? { [plan.panel]: 'a panel that cannot be' }
      : {}),
  };
  return (
    <Section title={PLANKED_SECTION} aside={planked ? plural(planked.boards.length, 'board') : 'none'}>
      <p className="quiet">
        Boards or sheets across a bottom in one piece, their seams square to the centreline, a timber under each where
        no frame stands.
      </p>
      <div className="field-grid no-print">
        <SelectField
          label={PLANKED_PANEL}
          value={plan.panel === '' ? NONE : plan.panel}
          names={names}
          onChange={(value) => set('panel')(value === NONE ? '' : value)}
        />
        {planked && (
          <>
            {length('From seam to seam', 'board')}
            <SelectField label="Beginning at" value={plan.from} names={ENDS} onChange={set('from')} />
            {length('Timber, along the boat', 'breadth')}
            {length('Timber deep, 0: none', 'depth')}
          </>
        )}
      </div>
      {planked && <BottomTimbers frames={frames.filter(({ isUnderSeam }) => isUnderSeam)} />}
    </Section>
  );
}

const COLUMNS = [
  { name: 'timber' },
  ...['from the stem', 'long'].map((name) => ({ name, isFigure: true })),
  { name: 'edge' },
];

function BottomTimbers({ frames }: { readonly frames: readonly Frame[] }) {
  const notation = useAppSelector(selectNotation);
  if (frames.length === 0) return null;
  return (
    <>
      <p className="quiet">
        From the stem to its forward face at the base line, and long point to long point, in {unitLabel(notation)}.
      </p>
      <PlainTable
        label="Timbers under the seams"
        columns={COLUMNS}
        rows={frames.flatMap(({ id, name, x, timbered }) =>
          (timbered?.timbers ?? []).map((timber) => ({
            key: `${id}-${timber.id}`,
            cells: [name, formatFine(x, notation), formatFine(timber.lengthMm, notation), bevelWords(timber)],
          })),
        )}
      />
    </>
  );
}
