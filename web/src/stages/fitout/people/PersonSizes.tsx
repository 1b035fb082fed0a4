/** What a person measures: begun from how tall, each then as it is typed. */
import { sizesFor, type PersonPlan } from '@kalotrope/core/fitout';
import { formatWithUnit } from '@kalotrope/core/measure';
import { LengthField } from '../../../controls/LengthField';
import { Section } from '../../../controls/Section';
import { selectNotation } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { PersonLength } from './PersonLength';
import { usePersonEdit } from './use-person-edit';
import { SIZES_SECTION } from './words';

const OWN = [
  ['sitting', 'Seat to the crown'],
  ['thigh', 'Back to the knee'],
  ['shin', 'Under the knee to heel'],
  ['broad', 'Over the elbows'],
] as const;

export function PersonSizes({ plan }: { readonly plan: PersonPlan }) {
  const notation = useAppSelector(selectNotation);
  const { set, pathTo } = usePersonEdit(plan);
  const { size } = plan;
  return (
    <Section title={SIZES_SECTION} aside={formatWithUnit(size.tall, notation)}>
      <p className="quiet">How tall sets the others as people usually are; then put in your own.</p>
      <div className="field-grid no-print">
        <LengthField
          label="How tall"
          mm={size.tall}
          onCommit={(tall) => set('how tall', 'size')(sizesFor(tall))}
          path={pathTo('size', 'tall')}
        />
        {OWN.map(([key, label]) => (
          <PersonLength key={key} plan={plan} label={label} mm={size[key]} path={['size', key]} />
        ))}
      </div>
    </Section>
  );
}
