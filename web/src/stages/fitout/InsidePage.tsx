import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { insideOfThing, fitoutStage } from '@kalotrope/core/fitout';
import { MadeSoFar } from '../../controls/MadeSoFar';
import { Slip } from '../../controls/Slip';
import { selectDerived, selectPicked, selectProject } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { AddPart } from './AddPart';
import { BlockFields } from './blocks/BlockFields';
import { BlockTable } from './blocks/BlockTable';
import { AlongSkin, EdgeFields } from './EdgeFields';
import { Fittings } from './Fittings';
import { InsideFields } from './InsideFields';
import { InsideStrip } from './InsideStrip';
import { InsideViews } from './InsideViews';
import { KneeFields, KneeTable } from './knees/KneeFields';
import { LiesOn } from './LiesOn';
import { LengthsAlong } from './people/LengthsAlong';
import { LimitFields } from './people/LimitFields';
import { PersonFields } from './people/PersonFields';
import { PersonSizes } from './people/PersonSizes';
import { Hatches, InPieces } from './InPieces';
import { allPlans } from './plans';
import { StemFields, StemTable } from './stems/StemFields';
import { WallFields } from './walls/WallFields';
import { WallLine } from './walls/WallLine';
import { WallStands } from './walls/WallStands';
import { WallOpenings, WallTables } from './walls/WallTables';

export default function InsidePage() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const choice = insideOfThing(useAppSelector(selectPicked));
  if (!derived || !project) return null;
  const plans = project.fitout;
  const { value } = derived.fitout;
  const all = allPlans(plans);
  const own = all.find(({ id }) => id === choice) ?? all[0];
  const isOwn = ({ id }: { readonly id: string }) => id === own?.id;
  const isMade = ({ plan }: { readonly plan: string }) => plan === own?.id;
  const plan = plans.parts.find(isOwn);
  const parts = value.parts.filter(isMade);
  const wallPlan = plans.walls.find(isOwn);
  const wall = value.walls.find(isMade);
  const blockPlan = plans.blocks.find(isOwn);
  const block = value.blocks.find(isMade);
  const stemPlan = plans.stems.find(isOwn);
  const stem = value.stems.find(isMade);
  const kneePlan = plans.knees.find(isOwn);
  const knees = value.knees.filter(isMade);
  const personPlan = plans.people.find(isOwn);
  const person = value.people.find(isMade);
  const x = plan ? (plan.from + plan.to) / 2 : blockPlan ? (blockPlan.from.x + blockPlan.to.x) / 2 : (kneePlan?.x ?? 0);
  const screws = value.screws.filter(({ part }) => parts.some(({ id }) => id === part));
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        <InsideStrip plans={plans} value={value} picked={own?.id} />
        <InsideViews
          value={value}
          own={
            own && { id: own.id, name: own.name, parts: wall ? [wall] : parts, block, stem, knee: knees[0], person, x }
          }
        />
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
              {stemPlan && <StemFields key={stemPlan.id} plan={stemPlan} stem={stem} />}
              {kneePlan && <KneeFields key={kneePlan.id} plan={kneePlan} knees={knees} parts={plans.parts} />}
              {personPlan && <PersonFields key={personPlan.id} plan={personPlan} person={person} />}
            </>
          )
        }
      >
        {plan && (
          <>
            <EdgeFields plan={plan} />
            <LiesOn plan={plan} parts={parts} screws={screws} />
            <InPieces plan={plan} parts={parts} />
            <Hatches plan={plan} />
            <Fittings plan={plan} />
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
        {stemPlan && <StemTable stem={stem} />}
        {kneePlan && <KneeTable knees={knees} />}
        {personPlan && <PersonSizes plan={personPlan} />}
        <MadeSoFar of={wall ? [wall.id] : parts.map(({ id }) => id)} />
        {!own && (
          <Box sx={{ p: 2 }}>
            <Typography variant="body2" color="text.secondary">
              Nothing lies inside yet. A sole, seats, tops and decks are cut from the hull at their height, their slope
              or their camber; a cabin’s sides and a coaming are developed between two lines.
            </Typography>
            <AddPart plans={plans} />
          </Box>
        )}
        <LengthsAlong lengths={value.lengths} at={plans.lengthsAt} />
        <LimitFields limits={plans.limits} overAll={value.overAll} />
      </Slip>
    </>
  );
}
