/** What a wall stands on and between, and how its foot is cut. */
import { isDeck, runsAcross, type FittedWall, type WallPlan } from '@kalotrope/core/fitout';
import { formatDeg, formatFine, unitLabel } from '@kalotrope/core/measure';
import { useMemo } from 'react';
import { Section } from '../../../controls/Section';
import { SelectField } from '../../../controls/SelectField';
import { selectNotation, selectProject } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { useWallEdit } from './use-wall-edit';
import { WallLength } from './WallLength';
import { STANDS_SECTION, WALL_SCHOOLS } from './words';

type Props = { readonly plan: WallPlan; readonly wall: FittedWall | undefined };

export function WallStands({ plan, wall }: Props) {
  const notation = useAppSelector(selectNotation);
  const { set } = useWallEdit(plan);
  const { lower, school, cleat } = plan;
  return (
    <Section title={STANDS_SECTION} aside={lower.onPart === null ? 'on nothing' : WALL_SCHOOLS[school ?? 'boat']}>
      <div className="field-grid no-print">
        <StandsOn plan={plan} />
        <SelectField
          label="Its foot is cut"
          value={school ?? 'boat'}
          names={WALL_SCHOOLS}
          onChange={(value) => set('its foot', 'school')(value === 'boat' ? null : value)}
        />
        <WallLength plan={plan} label="Gap" mm={plan.gap} path={['gap']} />
        <WallLength plan={plan} label="Left on, to scribe" mm={plan.below} path={['below']} />
        {!isDeck(plan.kind) && (
          <>
            <WallLength plan={plan} label="Breadth of a cleat" mm={cleat.breadth} path={['cleat', 'breadth']} />
            <WallLength plan={plan} label="Depth of a cleat" mm={cleat.depth} path={['cleat', 'depth']} />
          </>
        )}
      </div>
      {wall?.supports.map(({ id, what, lengthMm, cornerDeg }) => (
        <p key={id} className="quiet">
          {what}: {formatFine(lengthMm, notation)} {unitLabel(notation)}
          {cornerDeg && `, its corner ${formatDeg(cornerDeg[0], 0)} to ${formatDeg(cornerDeg[1], 0)}`}
        </p>
      ))}
    </Section>
  );
}

/** No part's id; an empty choice would be drawn without its words. */
const NOTHING = 'nothing';

/** The part under its foot, and the cabin side beside its ends. */
function StandsOn({ plan }: Pick<Props, 'plan'>) {
  const { set } = useWallEdit(plan);
  const fitout = useAppSelector(selectProject)?.fitout;
  const on = useMemo(() => namesOf(fitout?.parts ?? [], 'nothing'), [fitout?.parts]);
  const sides = useMemo(
    () =>
      namesOf(
        (fitout?.walls ?? []).filter(({ kind }) => kind === 'cabin-side'),
        'no sides',
      ),
    [fitout?.walls],
  );
  return (
    <>
      {!isDeck(plan.kind) && (
        <SelectField
          label="It stands on"
          value={known(plan.lower.onPart, on)}
          names={on}
          onChange={(id) => set('what it stands on', 'lower', 'onPart')(id === NOTHING ? null : id)}
        />
      )}
      {runsAcross(plan.kind) && (
        <SelectField
          label="Between"
          value={known(plan.between, sides)}
          names={sides}
          onChange={(id) => set('what it stands between', 'between')(id === NOTHING ? null : id)}
        />
      )}
    </>
  );
}

const known = (id: string | null, names: Readonly<Record<string, string>>): string =>
  id !== null && id in names ? id : NOTHING;

type Named = { readonly id: string; readonly name: string };

const namesOf = (list: readonly Named[], nothing: string): Readonly<Record<string, string>> => ({
  [NOTHING]: nothing,
  ...Object.fromEntries(list.map(({ id, name }) => [id, name])),
});
