/** What an outer stem is, and what is planed off the sides for it. */
import { boardWords, STEMS_PATH, type FittedStem, type StemPlan } from '@kalotrope/core/fitout';
import { formatDeg, formatFine, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { Figure } from '../../../controls/Figure';
import { NameField } from '../../../controls/NameField';
import { PlainTable } from '../../../controls/PlainTable';
import { Section } from '../../../controls/Section';
import { SelectField } from '../../../controls/SelectField';
import { selectNotation } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { ListLength } from '../ListLength';
import { useStemEdit } from './use-stem-edit';

type Props = { readonly plan: StemPlan; readonly stem: FittedStem | undefined };

/** The first labels stand over their fields’ edges, clear of the title. */
const UNDER_TITLE = { marginTop: 10 };
const ENDS = { fore: 'at the bow', aft: 'at the stern' } as const;
const LENGTHS = [
  ['face', 'Against the boat, across'],
  ['outer', 'Outer edge, across'],
  ['depth', 'Depth'],
  ['over', 'Stands over the sheer'],
  ['under', 'Runs on below'],
] as const;

export function StemFields({ plan, stem }: Props) {
  const notation = useAppSelector(selectNotation);
  const { set } = useStemEdit(plan);
  return (
    <>
      <div className="field-grid no-print" style={UNDER_TITLE}>
        <NameField label="Name" value={plan.name} most={60} onCommit={set('its name', 'name')} />
        <SelectField label="Where" value={plan.end} names={ENDS} onChange={set('where it is', 'end')} />
        {LENGTHS.map(([key, label]) => (
          <ListLength key={key} list={STEMS_PATH} plan={plan} label={label} mm={plan[key]} path={[key]} />
        ))}
      </div>
      {stem && stem.rows.length > 0 && (
        <>
          <Figure name="Sawn from" value={boardWords(stem, notation)} />
          <Figure name="Long" value={formatWithUnit(stem.supports[0]?.lengthMm ?? 0, notation)} />
          <Figure name="Its sides" value={formatDeg(stem.sideDeg, 1)} why="Off square, from the boat outward" />
        </>
      )}
    </>
  );
}

const COLUMNS = ['down it', 'planed off', 'outer, fair', 'half-angle'].map((name) => ({ name, isFigure: true }));

export function StemTable({ stem }: Pick<Props, 'stem'>) {
  const notation = useAppSelector(selectNotation);
  if (!stem || stem.rows.length === 0) return null;
  return (
    <Section title="The sides’ ends">
      <p className="quiet">
        In {unitLabel(notation)}, down the stem from the sheer: what is planed off the sides’ sharp edge for the flat,
        and how broad the outer edge is where the sides run on fair.
      </p>
      <PlainTable
        label="The sides’ ends"
        columns={COLUMNS}
        rows={stem.rows.map(({ along, backMm, fairMm, halfDeg }, i) => ({
          key: String(i),
          cells: [...[along, backMm, fairMm].map((mm) => formatFine(mm, notation)), formatDeg(halfDeg, 1)],
        }))}
      />
    </Section>
  );
}
