/** What goes on a kind of seam, or on one, instead of what goes on all; and three starters. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { SCHEDULE_STARTERS, type SeamPlan, type Takeoff } from '@kalotrope/core/epoxy';
import type { Project } from '@kalotrope/core/project';
import { Act } from '../../controls/Act';
import { LengthField } from '../../controls/LengthField';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';

type Props = { readonly project: Project; readonly takeoff: Takeoff };

const KINDS = {
  keel: 'all along the keel',
  chine: 'all chines',
  end: 'stem and stern',
  transom: 'transoms',
  bulkhead: 'bulkheads',
} as const;
const MOST = 200;

export function OwnSeams({ project, takeoff }: Props) {
  const { epoxy, notation } = project;
  const dispatch = useAppDispatch();
  const put = (label: string, value: readonly SeamPlan[]) =>
    dispatch(edited({ label, edits: [{ path: ['epoxy', 'seams'], value: [...value] }] }));
  const setTabs = (key: keyof typeof epoxy.tabs) => (value: number) =>
    dispatch(edited({ label: 'Tabs', edits: [{ path: ['epoxy', 'tabs', key], value }] }));
  const add = () => {
    let number = epoxy.seams.length + 1;
    while (epoxy.seams.some(({ id }) => id === `seam-${number}`)) number++;
    const nothing = { radius: null, leg: null, inside: null, outside: null, tapeWidth: null };
    put('Seam of its own', [...epoxy.seams, { id: `seam-${number}`, of: 'chine', seam: '', ...nothing }]);
  };
  return (
    <Section title="On the seams" aside={epoxy.seams.length === 0 ? 'all alike' : `${epoxy.seams.length} of their own`}>
      <p className="quiet">To begin with, for a boat that is built</p>
      <div className="acts">
        {SCHEDULE_STARTERS.map(({ name, editsIn }) => (
          <Act
            key={name}
            label={name}
            onAct={() => dispatch(edited({ label: `Seams: ${name}`, edits: editsIn(notation) }))}
          />
        ))}
      </div>
      {epoxy.seams.map((plan) => (
        <OneSeam
          key={plan.id}
          {...{ plan, takeoff, epoxy }}
          onTakeOut={() =>
            put(
              'Seam taken out',
              epoxy.seams.filter(({ id }) => id !== plan.id),
            )
          }
        />
      ))}
      <Button onClick={add} disabled={epoxy.seams.length >= MOST}>
        Add seams of their own
      </Button>
      <p className="quiet">Short tapes that hold a bulkhead in its place until it is filleted; none where 0</p>
      <div className="field-grid no-print">
        <LengthField
          label="Length of a tab"
          mm={epoxy.tabs.length}
          onCommit={setTabs('length')}
          path={['epoxy', 'tabs', 'length']}
        />
        <LengthField
          label="A tab every"
          mm={epoxy.tabs.apart}
          onCommit={setTabs('apart')}
          path={['epoxy', 'tabs', 'apart']}
        />
      </div>
    </Section>
  );
}

type OneProps = {
  readonly plan: SeamPlan;
  readonly takeoff: Takeoff;
  readonly epoxy: Project['epoxy'];
  readonly onTakeOut: () => void;
};

function OneSeam({ plan, takeoff, epoxy, onTakeOut }: OneProps) {
  const dispatch = useAppDispatch();
  const path = (key: keyof SeamPlan) => ['epoxy', 'seams', plan.id, key];
  const set = (key: keyof SeamPlan) => (value: number) =>
    dispatch(edited({ label: 'Seam', edits: [{ path: path(key), value }] }));
  // a seam that went with its panel stays in the list, so that it is not silently another
  const gone = plan.of === 'one' && !takeoff.seams.some(({ id }) => id === plan.seam);
  const names: Record<string, string> = {
    ...KINDS,
    ...Object.fromEntries(takeoff.seams.map(({ id, name }) => [`one ${id}`, name])),
    ...(gone && { [`one ${plan.seam}`]: 'a seam that is gone' }),
  };
  const choose = (next: string) => {
    const one = takeoff.seams.find(({ id }) => next === `one ${id}`);
    const edits = one
      ? [
          { path: path('of'), value: 'one' },
          { path: path('seam'), value: one.id },
        ]
      : [{ path: path('of'), value: next }];
    dispatch(edited({ label: 'Which seams', edits }));
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, mt: 1.5 }}>
      <SelectField<string>
        label="Which seams"
        value={plan.of === 'one' ? `one ${plan.seam}` : plan.of}
        names={names}
        onChange={choose}
      />
      <Button size="small" onClick={onTakeOut}>
        Take it out
      </Button>
      <LengthField
        label="Its fillet radius"
        mm={plan.radius ?? epoxy.filletRadius}
        onCommit={set('radius')}
        path={path('radius')}
      />
      <LengthField label="Its least leg" mm={plan.leg ?? epoxy.filletLeg} onCommit={set('leg')} path={path('leg')} />
      <NumberField
        label="Its tapes inside"
        value={plan.inside ?? epoxy.tapeLayersInside}
        onCommit={set('inside')}
        path={path('inside')}
      />
      <NumberField
        label="Its tapes outside"
        value={plan.outside ?? epoxy.tapeLayersOutside}
        onCommit={set('outside')}
        path={path('outside')}
      />
      <LengthField
        label="Its tape width"
        mm={plan.tapeWidth ?? epoxy.tapeWidth}
        onCommit={set('tapeWidth')}
        path={path('tapeWidth')}
      />
    </Box>
  );
}
