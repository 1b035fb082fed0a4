import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { frameOfThing, framesStage, girderOfThing, type Frame } from '@kalotrope/core/frames';
import {
  formatDeg,
  formatFine,
  formatSmall,
  formatThickness,
  formatWithUnit,
  unitLabel,
} from '@kalotrope/core/measure';
import { PlainTable } from '../../controls/PlainTable';
import { selectDerived, selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { Figure } from '../../controls/Figure';
import { MadeSoFar } from '../../controls/MadeSoFar';
import { Section } from '../../controls/Section';
import { Slip } from '../../controls/Slip';
import { Terms } from '../../controls/Terms';
import { plural } from '../../controls/words';
import { useAppSelector } from '../../state/store';
import { InTheRound } from '../../drawing/hull/InTheRound';
import { FrameDrawing } from './FrameDrawing';
import { Cleats } from './Cleats';
import { CutFields } from './CutFields';
import { EdgeSchools } from './EdgeSchools';
import { FrameFields } from './FrameFields';
import { FramesStrip } from './FramesStrip';
import { GirderDrawing } from './GirderDrawing';
import { Girders } from './Girders';
import { Kept } from './Kept';
import { Members } from './Members';
import { PlankedBottom } from './PlankedBottom';
import { RollingBevels } from './RollingBevels';
import { Screws } from './Screws';
import { ShapeFields } from './ShapeFields';
import { TakenShapes } from './TakenShapes';
import { Timbers } from './Timbers';

export default function FramesPage() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const choice = useAppSelector(selectPicked);
  if (!derived || !project) return null;
  const { frames, members, girders, bevels, planked, taken } = derived.frames.value;
  const girder = girders.find(({ id }) => id === girderOfThing(choice));
  const part = project.frames;
  const plans = part.frames;
  const plan = plans.find(({ id }) => id === frameOfThing(choice)) ?? plans[0];
  const frame = frames.find(({ id }) => id === plan?.id);
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        <FramesStrip plans={plans} frames={frames} picked={plan?.id} />
        {girder ? (
          <GirderDrawing girder={girder} corner={<InTheRound />} />
        ) : frame ? (
          <FrameDrawing frame={frame} corner={<InTheRound />} />
        ) : (
          <Typography sx={{ flex: 1, p: 3 }}>
            {plan
              ? `${plan.name} cannot be drawn: it is beyond the hull, or its bounds leave nothing. See Look here first.`
              : 'No frame stands in this hull. Add one where the boat needs it.'}
          </Typography>
        )}
      </Box>
      <Slip
        stage={framesStage.name}
        title={plan?.name ?? framesStage.title}
        numbers={
          <>
            {plan && <FrameFields plan={plan} part={part} isFramedBoat={project.school === 'framed'} />}
            {frame && <FrameNumbers frame={frame} />}
          </>
        }
      >
        {plan && <ShapeFields plan={plan} frame={frame} />}
        {plan && frame && <EdgeSchools plan={plan} frame={frame} />}
        {plan && frame && <CutFields plan={plan} frame={frame} members={members} />}
        {plan && frame && <Cleats plan={plan} frame={frame} />}
        {frame && <EdgeTable frame={frame} />}
        {frame && <MadeSoFar of={[frame.id]} />}
        {frame && <Timbers frame={frame} part={part} />}
        <Members part={part} runs={members} />
        <Girders part={part} girders={girders} />
        <PlankedBottom part={part} planked={planked} frames={frames} />
        <TakenShapes part={part} taken={taken} />
        <Screws part={part} value={derived.frames.value} />
        <Kept part={part} />
        <RollingBevels bevels={bevels} step={part.bevelStep} />
      </Slip>
    </>
  );
}

function FrameNumbers({ frame }: { readonly frame: Frame }) {
  const notation = useAppSelector(selectNotation);
  const thickness = useAppSelector((state) => selectProject(state)?.panels.thickness ?? 0);
  const hasOwn = useAppSelector((state) => (selectProject(state)?.panels.ownThickness.length ?? 0) > 0);
  const widest = Math.max(...frame.outline.map((p) => p[0]));
  const heights = frame.outline.map((p) => p[1]);
  return (
    <>
      <Figure
        name="Half-breadth inside the skin"
        value={formatWithUnit(widest, notation)}
        why={
          hasOwn
            ? 'The skin, each panel by its own thickness, is taken off along its normal'
            : `The skin, ${formatThickness(thickness, notation)}, is taken off along its normal`
        }
      />
      <Figure
        name="Height, lowest to sheer"
        value={formatWithUnit(Math.max(...heights) - Math.min(...heights), notation)}
      />
      <Figure
        name="Most curve of an edge"
        value={formatSmall(Math.max(...frame.edges.map((edge) => edge.sectionBow)), notation)}
        why="From a straight line between the edge's ends"
      />
    </>
  );
}

/** Points of an edge listed: its ends and three between. */
const SHARES = [0, 0.25, 0.5, 0.75, 1];

const COLUMNS = [{ name: 'on' }, ...['out', 'up', 'bevel'].map((name) => ({ name, isFigure: true }))];

function EdgeTable({ frame }: { readonly frame: Frame }) {
  const notation = useAppSelector(selectNotation);
  const rows = frame.edges.flatMap((edge) =>
    SHARES.flatMap((share) => {
      const point = edge.points[Math.round(share * (edge.points.length - 1))];
      if (!point) return [];
      const { y, z, bevelDeg } = point;
      const figures = [formatFine(y, notation), formatFine(z, notation), formatDeg(bevelDeg)];
      return [{ key: `${edge.panel}-${share}`, cells: [edge.panelName, ...figures] }];
    }),
  );
  return (
    <Section title="Edges and bevels" aside={plural(frame.edges.length, 'edge')}>
      <Typography variant="body2" color="text.secondary">
        <Terms
          text={
            `Out from the centreline, up from the base line, in ${unitLabel(notation)}. Bevel from square; plus: the ` +
            'other face is smaller, the saw tilts inward.'
          }
        />
      </Typography>
      <PlainTable label="Edges and bevels" columns={COLUMNS} rows={rows} />
    </Section>
  );
}
