/** Parts that stand along the boat: centre girders, webs, seat fronts; halved into the frames that they cross. */
import Button from '@mui/material/Button';
import type { EditValue } from '@kalotrope/core/findings';
import {
  girderOfThing,
  GIRDERS_PATH,
  girderThing,
  plainGirder,
  type FramesPart,
  type Girder,
  type GirderPlan,
} from '@kalotrope/core/frames';
import { formatLength, unitLabel } from '@kalotrope/core/measure';
import { LengthField } from '../../controls/LengthField';
import { NameField } from '../../controls/NameField';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { plural } from '../../controls/words';
import { edited } from '../../state/document-slice';
import { picked } from '../../state/screen-slice';
import { selectDerived, selectNotation, selectPicked } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { OneOfList } from './CutFields';
import { BOAT_SCHOOLS, GIRDER_HANDS, GIRDER_TOPS, GIRDERS_SECTION, HALVINGS } from './frame-words';

const COLUMNS = [
  { name: 'name' },
  ...['how many', 'pieces', 'along the skin'].map((name) => ({ name, isFigure: true })),
];

/** The most that a project takes. */
const MOST = 20;

type Props = { readonly part: FramesPart; readonly girders: readonly Girder[] };

export function Girders({ part, girders }: Props) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const hull = useAppSelector((state) => selectDerived(state)?.lines.value);
  const pickedId = girderOfThing(useAppSelector(selectPicked));
  const plans = part.girders;
  const shown = plans.find(({ id }) => id === pickedId) ?? plans[0];
  const put = (label: string, value: readonly GirderPlan[]) =>
    dispatch(edited({ label, edits: [{ path: GIRDERS_PATH, value }] }));
  const add = () => {
    if (!hull) return;
    const plan = plainGirder(plans, hull);
    put(`${plan.name} added`, [...plans, plan]);
    dispatch(picked(girderThing(plan.id)));
  };
  return (
    <Section title={GIRDERS_SECTION} aside={plural(plans.length, 'girder')}>
      {plans.length === 0 ? (
        <p className="quiet">
          Centre girders, webs, seat fronts: cut to the hull along the boat, and halved into the frames that they cross.
        </p>
      ) : (
        <PlainTable
          label={`Girders, in ${unitLabel(notation)}`}
          columns={COLUMNS}
          rows={plans.map(({ id, name, hand }) => {
            const girder = girders.find((one) => one.id === id);
            const many = hand === 'pair' ? 2 : 1;
            return {
              key: id,
              cells: [
                <button
                  key={id}
                  type="button"
                  aria-pressed={id === shown?.id}
                  onClick={() => dispatch(picked(girderThing(id)))}
                >
                  {name}
                </button>,
                girder ? many : '',
                girder ? girder.pieces.length * many : '',
                girder ? formatLength(girder.seamMm / many, notation) : 'nowhere',
              ],
            };
          })}
        />
      )}
      {shown && (
        <OneGirder
          key={shown.id}
          plan={shown}
          onRemove={() =>
            put(
              `${shown.name} taken out`,
              plans.filter(({ id }) => id !== shown.id),
            )
          }
        />
      )}
      <Button className="no-print" disabled={plans.length >= MOST} onClick={add}>
        Add a girder
      </Button>
    </Section>
  );
}

function OneGirder({ plan, onRemove }: { readonly plan: GirderPlan; readonly onRemove: () => void }) {
  const dispatch = useAppDispatch();
  const pathTo = (...path: readonly string[]) => [...GIRDERS_PATH, plan.id, ...path];
  const set =
    (...path: readonly string[]) =>
    (value: EditValue) =>
      void dispatch(edited({ label: `${plan.name}: changed`, edits: [{ path: pathTo(...path), value }] }));
  const length = (label: string, mm: number, ...path: readonly string[]) => (
    <LengthField label={label} mm={mm} onCommit={set(...path)} path={pathTo(...path)} />
  );
  const { hand, top, school } = plan;
  return (
    <OneOfList title={plan.name} onRemove={onRemove}>
      <NameField label="Name" value={plan.name} most={60} onCommit={set('name')} />
      <SelectField label="It stands" value={hand} names={GIRDER_HANDS} onChange={set('hand')} />
      {length('Begins, from the stem', plan.from, 'from')}
      {length('Ends, from the stem', plan.to, 'to')}
      {hand !== 'centre' && length('Out, at its fore end', plan.out, 'out')}
      {hand !== 'centre' && length('Out, at its after end', plan.outAft, 'outAft')}
      {length('Thickness', plan.width, 'width')}
      <SelectField label="Its top" value={top.kind} names={GIRDER_TOPS} onChange={set('top', 'kind')} />
      {top.kind === 'straight' && length('Height, fore end', top.fore, 'top', 'fore')}
      {top.kind === 'straight' && length('Height, after end', top.aft, 'top', 'aft')}
      {top.kind === 'sheer' && length('Lower than the sheer', top.below, 'top', 'below')}
      <SelectField label="At the frames" value={plan.halving} names={HALVINGS} onChange={set('halving')} />
      {length('Room in a slot, a side', plan.clearance, 'clearance')}
      <SelectField
        label="Its edge at the skin"
        value={school ?? 'boat'}
        names={BOAT_SCHOOLS}
        onChange={(value) => set('school')(value === 'boat' ? null : value)}
      />
    </OneOfList>
  );
}
