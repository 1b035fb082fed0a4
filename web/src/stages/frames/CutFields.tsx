/** What is cut in a frame: openings, and limber holes for the water. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  freeId,
  offerLimbers,
  plainOpening,
  plainSlot,
  type Frame,
  type FramePlan,
  type Limber,
  type MemberRun,
  type Opening,
  type SlotPlan,
} from '@kalotrope/core/frames';
import type { ReactNode } from 'react';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { plural } from '../../controls/words';
import { said } from '../../state/screen-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { FrameLength } from './FrameLength';
import { useFrameEdit } from './frame-edit';
import { CUT_SECTION, SHAPES, SLOT_EDGES } from './frame-words';

/** The most of either that a frame takes. */
const MOST = 20;

type Props = { readonly plan: FramePlan; readonly frame: Frame; readonly members: readonly MemberRun[] };

export function CutFields({ plan, frame, members }: Props) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const { set } = useFrameEdit(plan);
  const { openings, limbers, slots } = plan;
  const offered = offerLimbers(frame, members, limbers, notation);
  const addLimbers = () => {
    set('limber holes', ['limbers'])([...limbers, ...offered]);
    if (offered.length === 0) dispatch(said('There are limber holes at the lowest points already.'));
  };
  return (
    <Section title={CUT_SECTION} aside={plural(openings.length + limbers.length + slots.length, 'cut')}>
      {openings.map((opening, i) => (
        <OpeningFields key={opening.id} plan={plan} opening={opening} number={i + 1} />
      ))}
      {limbers.map((limber, i) => (
        <LimberFields key={limber.id} plan={plan} limber={limber} number={i + 1} />
      ))}
      {slots.map((slot, i) => (
        <SlotFields key={slot.id} plan={plan} slot={slot} number={i + 1} />
      ))}
      <div className="no-print">
        <Button
          disabled={openings.length >= MOST}
          onClick={() =>
            set('opening', ['openings'])([...openings, plainOpening(openings, frame.cut.outline, notation)])
          }
        >
          Add an opening
        </Button>
        <Button
          disabled={limbers.length >= MOST}
          onClick={addLimbers}
          title="At the lowest points that water can reach, clear of a fillet"
        >
          Let the water through
        </Button>
        <Button
          disabled={slots.length >= MOST}
          onClick={() => set('slot', ['slots'])([...slots, plainSlot(slots, notation)])}
        >
          Add a slot
        </Button>
        {limbers.length > 0 && (
          <Button
            disabled={limbers.length >= MOST}
            onClick={() => {
              const last = limbers[limbers.length - 1];
              if (last) set('limber hole', ['limbers'])([...limbers, { ...last, id: freeId('limber', limbers) }]);
            }}
          >
            Add a limber hole
          </Button>
        )}
      </div>
    </Section>
  );
}

type OneProps = { readonly title: string; readonly onRemove: () => void; readonly children: ReactNode };

/** One thing of a list: its name, its fields, and a button that takes it out. */
export function OneOfList({ title, onRemove, children }: OneProps) {
  return (
    <Box role="group" aria-label={title} sx={{ mb: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between' }}>
        <Typography sx={{ fontWeight: 600 }}>{title}</Typography>
        <Button size="small" onClick={onRemove} className="no-print" aria-label={`Take out ${title.toLowerCase()}`}>
          Take it out
        </Button>
      </Box>
      <div className="field-grid no-print">{children}</div>
    </Box>
  );
}

/** On one side or on both. */
const PAIRS = { pair: 'the same to port', one: 'this one only' } as const;

function PairField({ isPair, onChange }: { readonly isPair: boolean; readonly onChange: (isPair: boolean) => void }) {
  return (
    <SelectField
      label="On the other side"
      value={isPair ? 'pair' : 'one'}
      names={PAIRS}
      onChange={(value) => onChange(value === 'pair')}
    />
  );
}

type OpeningLength = 'out' | 'up' | 'width' | 'height' | 'corner' | 'doubler' | 'lid' | 'lip' | 'room';

function OpeningFields({
  plan,
  opening,
  number,
}: {
  readonly plan: FramePlan;
  readonly opening: Opening;
  readonly number: number;
}) {
  const { set } = useFrameEdit(plan);
  const what = `opening ${number}`;
  const field = (key: OpeningLength, label: string) => (
    <FrameLength plan={plan} label={label} mm={opening[key]} what={what} path={['openings', opening.id, key]} />
  );
  return (
    <OneOfList
      title={`Opening ${number}`}
      onRemove={() => set(`${what} out`, ['openings'])(plan.openings.filter(({ id }) => id !== opening.id))}
    >
      <SelectField
        label="Its shape"
        value={opening.shape}
        names={SHAPES}
        onChange={set(what, ['openings', opening.id, 'shape'])}
      />
      {field('width', 'Wide')}
      {field('height', 'High')}
      {opening.shape === 'rounded' && field('corner', 'Corners, radius')}
      {field('doubler', 'Doubler round it, 0: none')}
      {opening.doubler > 0 && field('lip', 'Its lip, 0: none')}
      {field('lid', 'Lid laps by, 0: none')}
      {field('room', 'Lid within, room, 0: none')}
      {field('out', 'Middle, out')}
      {field('up', 'Middle, up')}
      {opening.out > 0 && plan.bounds.hand === 'across' && (
        <PairField isPair={opening.isPair} onChange={set(what, ['openings', opening.id, 'isPair'])} />
      )}
    </OneOfList>
  );
}

function LimberFields({
  plan,
  limber,
  number,
}: {
  readonly plan: FramePlan;
  readonly limber: Limber;
  readonly number: number;
}) {
  const { set } = useFrameEdit(plan);
  const what = `limber hole ${number}`;
  const field = (key: 'out' | 'diameter' | 'setIn', label: string) => (
    <FrameLength plan={plan} label={label} mm={limber[key]} what={what} path={['limbers', limber.id, key]} />
  );
  return (
    <OneOfList
      title={`Limber hole ${number}`}
      onRemove={() => set(`${what} out`, ['limbers'])(plan.limbers.filter(({ id }) => id !== limber.id))}
    >
      {field('out', 'Out along the edge')}
      {field('diameter', 'Diameter')}
      {field('setIn', 'Set in, 0: half-moon')}
      {limber.out > 0 && plan.bounds.hand === 'across' && (
        <PairField isPair={limber.isPair} onChange={set(what, ['limbers', limber.id, 'isPair'])} />
      )}
    </OneOfList>
  );
}

/** For something that goes through, placed by hand. */
function SlotFields({
  plan,
  slot,
  number,
}: {
  readonly plan: FramePlan;
  readonly slot: SlotPlan;
  readonly number: number;
}) {
  const { set } = useFrameEdit(plan);
  const what = `slot ${number}`;
  const field = (key: 'out' | 'width' | 'depth', label: string) => (
    <FrameLength plan={plan} label={label} mm={slot[key]} what={what} path={['slots', slot.id, key]} />
  );
  return (
    <OneOfList
      title={`Slot ${number}`}
      onRemove={() => set(`${what} out`, ['slots'])(plan.slots.filter(({ id }) => id !== slot.id))}
    >
      <SelectField
        label="Cut in from"
        value={slot.edge}
        names={SLOT_EDGES}
        onChange={set(what, ['slots', slot.id, 'edge'])}
      />
      {field('out', 'Middle, out')}
      {field('width', 'Along the edge')}
      {field('depth', 'Deep')}
      {slot.out > 0 && plan.bounds.hand === 'across' && (
        <PairField isPair={slot.isPair} onChange={set(what, ['slots', slot.id, 'isPair'])} />
      )}
    </OneOfList>
  );
}
