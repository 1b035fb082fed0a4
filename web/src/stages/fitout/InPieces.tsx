/** Where a part is cut in two, and its hatches. */
import Button from '@mui/material/Button';
import { freeId } from '@kalotrope/core/frames';
import { plainHatch, type Fitted, type Hatch, type InsidePlan } from '@kalotrope/core/fitout';
import { formatArea, formatWithUnit } from '@kalotrope/core/measure';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { plural } from '../../controls/words';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { InsideLength } from './InsideLength';
import { One } from './One';
import { useInsideEdit } from './use-inside-edit';
import { HATCHES_SECTION, PAIRS, PIECES_SECTION, SHAPES, YES_NO } from './words';

type Props = { readonly plan: InsidePlan };

/** The most of either that a part takes. */
const MOST = 12;

export function InPieces({ plan, parts }: Props & { readonly parts: readonly Fitted[] }) {
  const notation = useAppSelector(selectNotation);
  const { set } = useInsideEdit(plan);
  const { cuts } = plan;
  const pieces = parts.flatMap((part) => part.pieces);
  const add = () => set('cut in two', 'cuts')([...cuts, { id: freeId('cut', cuts), x: (plan.from + plan.to) / 2 }]);
  return (
    <Section title={PIECES_SECTION} aside={plural(pieces.length, 'piece')}>
      {plan.hand === 'across' && (
        <div className="field-grid no-print">
          <SelectField
            label="In two halves"
            value={plan.isHalved ? 'yes' : 'no'}
            names={YES_NO}
            onChange={(value) => set('in two halves', 'isHalved')(value === 'yes')}
          />
        </div>
      )}
      {cuts.map((cut, i) => (
        <One
          key={cut.id}
          title={`Cut ${i + 1}`}
          onRemove={() => set('a cut taken out', 'cuts')(cuts.filter(({ id }) => id !== cut.id))}
        >
          <InsideLength plan={plan} label={`Cut ${i + 1}, from the stem`} mm={cut.x} path={['cuts', cut.id, 'x']} />
        </One>
      ))}
      <Button className="no-print" onClick={add} disabled={cuts.length >= MOST}>
        Cut it in two across
      </Button>
      {pieces.map(({ id, name, areaM2, region }) => {
        const us = region.outline.map(([u]) => u);
        const vs = region.outline.map(([, v]) => v);
        const long = formatWithUnit(Math.max(...us) - Math.min(...us), notation);
        const wide = formatWithUnit(Math.max(...vs) - Math.min(...vs), notation);
        return (
          <p key={id} className="quiet">
            {name}: {long} by {wide}, {formatArea(areaM2, notation)}
          </p>
        );
      })}
    </Section>
  );
}

export function Hatches({ plan }: Props) {
  const notation = useAppSelector(selectNotation);
  const { set } = useInsideEdit(plan);
  const { hatches } = plan;
  return (
    <Section title={HATCHES_SECTION} aside={hatches.length === 1 ? '1 hatch' : `${hatches.length} hatches`}>
      {hatches.map((hatch, i) => (
        <One
          key={hatch.id}
          title={`Hatch ${i + 1}`}
          onRemove={() => set('a hatch taken out', 'hatches')(hatches.filter(({ id }) => id !== hatch.id))}
        >
          <HatchFields plan={plan} hatch={hatch} />
        </One>
      ))}
      <Button
        className="no-print"
        disabled={hatches.length >= MOST}
        onClick={() => set('a hatch', 'hatches')([...hatches, plainHatch(plan, notation)])}
      >
        Add a hatch
      </Button>
      {plan.fit === 'inside' && plan.camber.radius === 0 && (
        <div className="field-grid no-print">
          <InsideLength plan={plan} label="Drain holes, radius" mm={plan.drain} path={['drain']} />
        </div>
      )}
    </Section>
  );
}

function HatchFields({ plan, hatch }: Props & { readonly hatch: Hatch }) {
  const { set } = useInsideEdit(plan);
  const length = (label: string, key: 'x' | 'out' | 'long' | 'wide' | 'corner') => (
    <InsideLength plan={plan} label={label} mm={hatch[key]} path={['hatches', hatch.id, key]} />
  );
  return (
    <>
      <SelectField
        label="Its shape"
        value={hatch.shape}
        names={SHAPES}
        onChange={set('a hatch’s shape', 'hatches', hatch.id, 'shape')}
      />
      {length('Middle, from the stem', 'x')}
      {length('Middle, out', 'out')}
      {length('Length', 'long')}
      {length('Breadth', 'wide')}
      {hatch.shape === 'rounded' && length('Corner radius', 'corner')}
      {plan.hand === 'across' && hatch.out > 0 && (
        <SelectField
          label="On the other side"
          value={hatch.isPair ? 'pair' : 'one'}
          names={PAIRS}
          onChange={(value) => set('a hatch’s pair', 'hatches', hatch.id, 'isPair')(value === 'pair')}
        />
      )}
    </>
  );
}
