/** Who is in the boat, where, and whether there is room: the first of the slip. */
import { type PersonPlan, type Seated } from '@kalotrope/core/fitout';
import { formatWithUnit } from '@kalotrope/core/measure';
import { Figure } from '../../../controls/Figure';
import { NameField } from '../../../controls/NameField';
import { SelectField } from '../../../controls/SelectField';
import { selectNotation } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { PersonLength } from './PersonLength';
import { usePersonEdit } from './use-person-edit';
import { FACES_WORDS, POSE_WORDS } from './words';

type Props = { readonly plan: PersonPlan; readonly person: Seated | undefined };

/** The first labels stand over their fields’ edges, clear of the title. */
const UNDER_TITLE = { marginTop: 10 };

export function PersonFields({ plan, person }: Props) {
  const { set } = usePersonEdit(plan);
  return (
    <>
      <div className="field-grid no-print" style={UNDER_TITLE}>
        <NameField label="Name" value={plan.name} most={60} onCommit={set('its name', 'name')} />
        <SelectField label="Who" value={plan.pose} names={POSE_WORDS} onChange={set('how one sits', 'pose')} />
        <SelectField label="Feet are" value={plan.faces} names={FACES_WORDS} onChange={set('which way', 'faces')} />
        <PersonLength
          plan={plan}
          label={plan.pose === 'lying' ? 'Crown, from the stem' : 'Back, from the stem'}
          mm={plan.x}
          path={['x']}
        />
        <PersonLength plan={plan} label="To starboard" mm={plan.out} path={['out']} />
        <PersonLength plan={plan} label="Height of the seat" mm={plan.height} path={['height']} />
      </div>
      {person && <Figures person={person} />}
    </>
  );
}

function Figures({ person: { span, pose, rowlock, oars, heel } }: { readonly person: Seated }) {
  const notation = useAppSelector(selectNotation);
  const length = (mm: number) => formatWithUnit(mm, notation);
  return (
    <>
      <Figure name="Takes up, along" value={length(span[1] - span[0])} why="From the back to the toes or the knees" />
      {pose === 'rowing' && <Figure name="Brace, from the stem" value={length(heel[0])} why="Where the heels push" />}
      {rowlock && <Figure name="Rowlocks, from the stem" value={length(rowlock[0])} why="A share of how tall one is" />}
      {rowlock && (
        <Figure
          name="Rowlocks’ height"
          value={length(rowlock[1])}
          why="Over the base line: the hands clear the knees"
        />
      )}
      {oars && oars.longMm > 0 && (
        <Figure
          name="An oar"
          value={length(oars.longMm)}
          why={
            `For ${length(oars.spanMm)} between the rowlocks: ` +
            'it turns at 7 parts of 25 from its handle. A rule of thumb'
          }
        />
      )}
    </>
  );
}
