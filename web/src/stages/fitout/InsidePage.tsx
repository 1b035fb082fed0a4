import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { insideOfThing, fitoutStage } from '@kalotrope/core/fitout';
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

const VIEWS = { plan: 'In the boat', flat: 'As it is cut', section: 'Across' } as const;
const HULL = <InTheRound />;

export default function InsidePage() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const choice = insideOfThing(useAppSelector(selectPicked));
  const [view, setView] = useState<keyof typeof VIEWS>('plan');
  const [asked, setAsked] = useState<number | null>(null);
  if (!derived || !project) return null;
  const plans = project.fitout.parts;
  const all = derived.fitout.value.parts;
  const plan = plans.find(({ id }) => id === choice) ?? plans[0];
  const parts = all.filter((part) => part.plan === plan?.id);
  // in its middle, until another place is asked for
  const x = asked ?? (plan ? (plan.from + plan.to) / 2 : 0);
  const isFlat = view === 'flat' && parts.some(({ pieces }) => pieces.length > 0);
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        <InsideStrip plans={plans} parts={all} picked={plan?.id} />
        {plan && (
          <ViewTabs label="Views of the part" names={VIEWS} view={view} onView={setView}>
            {view === 'section' && <LengthField label="Across at, from the stem" mm={x} onCommit={setAsked} />}
          </ViewTabs>
        )}
        {view === 'section' && plan ? (
          <SectionDrawing panels={derived.panels.value.panels} parts={all} x={x} picked={plan.id} corner={HULL} />
        ) : isFlat && plan ? (
          <FlatDrawing parts={parts} name={plan.name} corner={HULL} />
        ) : (
          <PlanDrawing hull={derived.lines.value} parts={all} picked={plan?.id} corner={HULL} />
        )}
      </Box>
      <Slip
        stage={fitoutStage.name}
        title={plan?.name ?? fitoutStage.title}
        numbers={plan && <InsideFields key={plan.id} plan={plan} parts={parts} />}
      >
        {plan ? (
          <>
            <EdgeFields plan={plan} />
            <LiesOn plan={plan} parts={parts} />
            <InPieces plan={plan} parts={parts} />
            <Hatches plan={plan} />
            <AlongSkin parts={parts} />
          </>
        ) : (
          <Box sx={{ p: 2 }}>
            <Typography variant="body2" color="text.secondary">
              Nothing lies inside yet. A sole, seats, tops and decks are cut from the hull at their height, their slope
              or their camber.
            </Typography>
            <AddPart plans={plans} />
          </Box>
        )}
      </Slip>
    </>
  );
}
