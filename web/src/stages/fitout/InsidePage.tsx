import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { insideOfThing, fitoutStage, seenFromAbove, type InBoat } from '@kalotrope/core/fitout';
import { useState } from 'react';
import { Slip } from '../../controls/Slip';
import { ViewTabs } from '../../controls/ViewTabs';
import { InTheRound } from '../../drawing/hull/InTheRound';
import { selectDerived, selectPicked, selectProject } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { AlongSkin, EdgeFields } from './EdgeFields';
import { FlatDrawing } from './FlatDrawing';
import { Hatches, InPieces } from './InPieces';
import { InsideFields } from './InsideFields';
import { AddPart, InsideStrip } from './InsideStrip';
import { LiesOn } from './LiesOn';
import { SectionDrawing } from './SectionDrawing';
import { LengthField } from '../../controls/LengthField';
import { PlanDrawing } from './PlanDrawing';
import { BlockDrawing } from './blocks/BlockDrawing';
import { BlockFields } from './blocks/BlockFields';
import { BlockTable } from './blocks/BlockTable';
import { WallFields } from './walls/WallFields';
import { WallLine } from './walls/WallLine';
import { WallStands } from './walls/WallStands';
import { WallOpenings, WallTables } from './walls/WallTables';

const VIEWS = { plan: 'In the boat', flat: 'As it is cut', section: 'Across' } as const;
const HULL = <InTheRound />;

export default function InsidePage() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const choice = insideOfThing(useAppSelector(selectPicked));
  const [view, setView] = useState<keyof typeof VIEWS>('plan');
  const [asked, setAsked] = useState<number | null>(null);
  if (!derived || !project) return null;
  const plans = project.fitout;
  const { value } = derived.fitout;
  const first = plans.parts[0] ?? plans.walls[0] ?? plans.blocks[0];
  const own = [...plans.parts, ...plans.walls, ...plans.blocks].find(({ id }) => id === choice) ?? first;
  const plan = plans.parts.find(({ id }) => id === own?.id);
  const wallPlan = plans.walls.find(({ id }) => id === own?.id);
  const parts = value.parts.filter((part) => part.plan === plan?.id);
  const wall = value.walls.find((one) => one.plan === wallPlan?.id);
  const blockPlan = plans.blocks.find(({ id }) => id === own?.id);
  const block = value.blocks.find((one) => one.plan === blockPlan?.id);
  const shown = wall ? [wall] : parts;
  // in its middle, until another place is asked for
  const x =
    asked ??
    middleOf(shown) ??
    (plan ? (plan.from + plan.to) / 2 : blockPlan ? (blockPlan.from.x + blockPlan.to.x) / 2 : 0);
  const isFlat = view === 'flat' && shown.some(({ pieces }) => pieces.length > 0);
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        <InsideStrip plans={plans} value={value} picked={own?.id} />
        {own && (
          <ViewTabs label="Views of the part" names={VIEWS} view={view} onView={setView}>
            {view === 'section' && <LengthField label="Across at, from the stem" mm={x} onCommit={setAsked} />}
          </ViewTabs>
        )}
        {view === 'section' && own ? (
          <SectionDrawing panels={derived.panels.value.panels} value={value} x={x} picked={own.id} corner={HULL} />
        ) : view === 'flat' && block && block.rows.length > 0 ? (
          <BlockDrawing block={block} corner={HULL} />
        ) : isFlat && own ? (
          <FlatDrawing parts={shown} name={own.name} corner={HULL} />
        ) : (
          <PlanDrawing
            hull={derived.lines.value}
            parts={[...value.parts, ...value.walls]}
            blocks={value.blocks}
            picked={own?.id}
            corner={HULL}
          />
        )}
      </Box>
      <Slip
        stage={fitoutStage.name}
        title={own?.name ?? fitoutStage.title}
        numbers={
          plan ? (
            <InsideFields key={plan.id} plan={plan} parts={parts} />
          ) : (
            <>
              {wallPlan && <WallFields key={wallPlan.id} plan={wallPlan} wall={wall} />}
              {blockPlan && <BlockFields key={blockPlan.id} plan={blockPlan} block={block} />}
            </>
          )
        }
      >
        {plan && (
          <>
            <EdgeFields plan={plan} />
            <LiesOn plan={plan} parts={parts} />
            <InPieces plan={plan} parts={parts} />
            <Hatches plan={plan} />
            <AlongSkin parts={parts} />
          </>
        )}
        {wallPlan && (
          <>
            <WallLine plan={wallPlan} edge="lower" />
            {wallPlan.kind !== 'sheer-deck' && <WallLine plan={wallPlan} edge="upper" />}
            <WallStands plan={wallPlan} wall={wall} />
            <WallOpenings plan={wallPlan} wall={wall} />
            <WallTables wall={wall} />
          </>
        )}
        {blockPlan && <BlockTable block={block} />}
        {!own && (
          <Box sx={{ p: 2 }}>
            <Typography variant="body2" color="text.secondary">
              Nothing lies inside yet. A sole, seats, tops and decks are cut from the hull at their height, their slope
              or their camber; a cabin’s sides and a coaming are developed between two lines.
            </Typography>
            <AddPart plans={plans} />
          </Box>
        )}
      </Slip>
    </>
  );
}

/** Along the boat, of what is seen from above; undefined of nothing. */
function middleOf(parts: readonly InBoat[]): number | undefined {
  const xs = parts.flatMap(seenFromAbove).flatMap(({ outline }) => outline.map(([x]) => x));
  return xs.length > 0 ? (Math.min(...xs) + Math.max(...xs)) / 2 : undefined;
}
