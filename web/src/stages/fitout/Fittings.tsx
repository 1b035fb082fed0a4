/** What is screwed or bolted through a part, and the pad under each. */
import Button from '@mui/material/Button';
import { plainFitting, type Fitting, type InsidePlan } from '@kalotrope/core/fitout';
import { NameField } from '../../controls/NameField';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { plural } from '../../controls/words';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { InsideLength } from './InsideLength';
import { One } from './One';
import { useInsideEdit } from './use-inside-edit';
import { FITTINGS_SECTION, PAIRS } from './words';

type Props = { readonly plan: InsidePlan };

/** The most that a part takes. */
const MOST = 20;

export function Fittings({ plan }: Props) {
  const notation = useAppSelector(selectNotation);
  const { set } = useInsideEdit(plan);
  const { fittings } = plan;
  return (
    <Section title={FITTINGS_SECTION} aside={plural(fittings.length, 'fitting')}>
      {fittings.map((fitting, i) => (
        <One
          key={fitting.id}
          title={`Fitting ${i + 1}`}
          onRemove={() => set('a fitting taken out', 'fittings')(fittings.filter(({ id }) => id !== fitting.id))}
        >
          <FittingFields plan={plan} fitting={fitting} />
        </One>
      ))}
      <Button
        className="no-print"
        disabled={fittings.length >= MOST}
        onClick={() => set('a fitting', 'fittings')([...fittings, plainFitting(plan, notation)])}
      >
        Add a fitting
      </Button>
    </Section>
  );
}

function FittingFields({ plan, fitting }: Props & { readonly fitting: Fitting }) {
  const { set } = useInsideEdit(plan);
  const length = (label: string, mm: number, ...path: readonly string[]) => (
    <InsideLength plan={plan} label={label} mm={mm} path={['fittings', fitting.id, ...path]} />
  );
  return (
    <>
      <NameField
        label="What it is"
        value={fitting.name}
        most={60}
        onCommit={set('a fitting’s name', 'fittings', fitting.id, 'name')}
      />
      {length('Fitting, from the stem', fitting.x, 'x')}
      {length('Fitting, out', fitting.out, 'out')}
      {length('Pad, along', fitting.pad.long, 'pad', 'long')}
      {length('Pad, across', fitting.pad.wide, 'pad', 'wide')}
      {length('Pad, thickness', fitting.pad.thick, 'pad', 'thick')}
      {plan.hand === 'across' && fitting.out > 0 && (
        <SelectField
          label="On the other side"
          value={fitting.isPair ? 'pair' : 'one'}
          names={PAIRS}
          onChange={(value) => set('a fitting’s pair', 'fittings', fitting.id, 'isPair')(value === 'pair')}
        />
      )}
    </>
  );
}
