/** What a part is and where it lies: the first of the slip. */
import type { Fitted, InsidePlan } from '@kalotrope/core/fitout';
import { halfBreadthOf, heldDown, radiusFor, riseOver } from '@kalotrope/core/fitout';
import { formatArea, formatMass, formatWithUnit, isImperial, type Notation } from '@kalotrope/core/measure';
import { Figure } from '../../controls/Figure';
import { LengthField } from '../../controls/LengthField';
import { NameField } from '../../controls/NameField';
import { SelectField } from '../../controls/SelectField';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { InsideLength } from './InsideLength';
import { useInsideEdit } from './use-inside-edit';
import { FITS, HANDS, HEIGHTS_OF, KINDS, STUFFS } from './words';

type Props = { readonly plan: InsidePlan; readonly parts: readonly Fitted[] };

/** The first labels stand over their fields’ edges, clear of the title. */
const UNDER_TITLE = { marginTop: 10 };

export function InsideFields({ plan, parts }: Props) {
  const { set } = useInsideEdit(plan);
  const length = (label: string, mm: number, ...path: readonly string[]) => (
    <InsideLength plan={plan} label={label} mm={mm} path={path} />
  );
  const { kind, fit, hand, height } = plan;
  return (
    <>
      <div className="field-grid no-print" style={UNDER_TITLE}>
        <NameField label="Name" value={plan.name} most={60} onCommit={set('its name', 'name')} />
        <SelectField label="It is a" value={kind} names={KINDS} onChange={set('what it is', 'kind')} />
        {length('Begins, from the stem', plan.from, 'from')}
        {length('Ends, from the stem', plan.to, 'to')}
        <SelectField label="It lies" value={fit} names={FITS} onChange={set('how it lies', 'fit')} />
        <SelectField label="On which side" value={hand} names={HANDS} onChange={set('its side', 'hand')} />
        {length('Height, fore end', height.fore, 'height', 'fore')}
        {length('Height, after end', height.aft, 'height', 'aft')}
        <SelectField
          label="Heights are of"
          value={height.of}
          names={HEIGHTS_OF}
          onChange={set('what its heights are of', 'height', 'of')}
        />
        {length('Thickness', plan.thickness, 'thickness')}
        <SelectField
          label="Made of"
          value={plan.isTimber ? 'board' : 'sheet'}
          names={STUFFS}
          onChange={(value) => set('what it is made of', 'isTimber')(value === 'board')}
        />
        <CamberField plan={plan} parts={parts} />
      </div>
      <Figures plan={plan} parts={parts} />
    </>
  );
}

/** By what it rises over its own breadth; the radius is what is kept. */
function CamberField({ plan, parts }: Props) {
  const { set } = useInsideEdit(plan);
  const breadth = 2 * halfBreadthOf(parts.flatMap(({ pieces }) => pieces));
  const { radius } = plan.camber;
  const put = set('its camber', 'camber', 'radius');
  return (
    <>
      <LengthField
        label="Camber rises by"
        mm={radius > 0 ? riseOver(radius, breadth) : 0}
        onCommit={(rise) =>
          put(rise > 0 && breadth > 0 ? Math.max(100, radiusFor(Math.min(rise, breadth / 2), breadth)) : 0)
        }
      />
      <InsideLength plan={plan} label="Radius of the camber" mm={radius} path={['camber', 'radius']} />
    </>
  );
}

const NEWTONS_A_KILO = 9.81;
const METRES_A_FOOT = 0.3048;

/** As a weight on each metre of the edge, or on each foot. */
function heldDownWords(newtonsAMetre: number, notation: Notation): string {
  const grams = (newtonsAMetre / NEWTONS_A_KILO) * 1000;
  return isImperial(notation)
    ? `${formatMass(grams * METRES_A_FOOT, notation)} a foot`
    : `${formatMass(grams, notation)} a metre`;
}

function Figures({ plan, parts }: Props) {
  const notation = useAppSelector(selectNotation);
  const pieces = parts.flatMap((part) => part.pieces);
  const hands = parts.some(({ hand }) => hand === 'pair') ? 2 : 1;
  const square = pieces.reduce((sum, { areaM2 }) => sum + areaM2, 0) * hands;
  const lie = parts[0]?.lie;
  const newtons = lie ? heldDown(lie, halfBreadthOf(pieces)) : 0;
  const cutFor = [...new Set(parts.flatMap((part) => part.cutFor))];
  return (
    <>
      <Figure name="Pieces" value={String(pieces.length * hands)} />
      <Figure name="Area" value={formatArea(square, notation)} why="Of one face, what is cut of it together" />
      {cutFor.length > 0 && <Figure name="Cut round" value={cutFor.join(', ')} />}
      {plan.camber.radius > 0 && newtons > 0 && (
        <Figure
          name="Held down, each side"
          value={heldDownWords(newtons, notation)}
          why={
            'What bends the flat sheet to its camber, as a beam from the centreline to its edge: enough clamps or ' +
            `screws for that. Radius ${formatWithUnit(plan.camber.radius, notation)}`
          }
        />
      )}
    </>
  );
}
