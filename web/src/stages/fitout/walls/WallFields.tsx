/** What a wall is and what comes of it: the first of its slip. */
import { isDeck, runsAcross, type FittedWall, type WallPlan } from '@kalotrope/core/fitout';
import { formatArea, formatDeg, formatWithUnit } from '@kalotrope/core/measure';
import { Figure } from '../../../controls/Figure';
import { NameField } from '../../../controls/NameField';
import { SelectField } from '../../../controls/SelectField';
import { selectNotation } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { useWallEdit } from './use-wall-edit';
import { WallLength } from './WallLength';
import { TOPS, WALL_HANDS, WALL_KIND_WORDS } from './words';

type Props = { readonly plan: WallPlan; readonly wall: FittedWall | undefined };

/** The first labels stand over their fields’ edges, clear of the title. */
const UNDER_TITLE = { marginTop: 10 };

export function WallFields({ plan, wall }: Props) {
  const { set } = useWallEdit(plan);
  const isAcross = runsAcross(plan.kind) || plan.kind === 'sheer-deck';
  return (
    <>
      <div className="field-grid no-print" style={UNDER_TITLE}>
        <NameField label="Name" value={plan.name} most={60} onCommit={set('its name', 'name')} />
        <SelectField label="It is a" value={plan.kind} names={WALL_KIND_WORDS} onChange={set('what it is', 'kind')} />
        {!isAcross && (
          <SelectField label="On which side" value={plan.hand} names={WALL_HANDS} onChange={set('its side', 'hand')} />
        )}
        <WallLength plan={plan} label="Thickness" mm={plan.thickness} path={['thickness']} />
        {!isDeck(plan.kind) && (
          <SelectField
            label="Its top is"
            value={plan.isTopStraight ? 'straight' : 'line'}
            names={TOPS}
            onChange={(value) => set('its top', 'isTopStraight')(value === 'straight')}
          />
        )}
      </div>
      {wall && <Figures wall={wall} />}
    </>
  );
}

function Figures({ wall }: { readonly wall: FittedWall }) {
  const notation = useAppSelector(selectNotation);
  const { panel, bend, pieces, hand } = wall;
  const hands = hand === 'pair' ? 2 : 1;
  const square = pieces.reduce((sum, { areaM2 }) => sum + areaM2, 0) * hands;
  return (
    <>
      <Figure name="Area" value={formatArea(square, notation)} why="Of one face, what is cut of it together" />
      {panel && (
        <Figure
          name="Most twist"
          value={formatDeg(panel.maxTwist.value, 1)}
          why={`At ${formatWithUnit(panel.maxTwist.x, notation)} from the stem; over 1° it must stretch`}
        />
      )}
      {bend && (
        <Figure
          name="Tightest bend"
          value={formatWithUnit(bend.radiusMm, notation)}
          why={`Its radius, at ${formatWithUnit(bend.x, notation)} from the stem`}
        />
      )}
    </>
  );
}
