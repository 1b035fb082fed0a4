import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { standOfThing } from '@kalotrope/core/setup';
import { formatDeg, formatWithUnit } from '@kalotrope/core/measure';
import { Figure } from '../../controls/Figure';
import { MadeSoFar } from '../../controls/MadeSoFar';
import { Slip } from '../../controls/Slip';
import { selectDerived, selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { FrameChecks } from './FrameChecks';
import { SetupDrawing } from './SetupDrawing';
import { AsBuilt } from './AsBuilt';
import { DryFitting } from './DryFitting';
import { GoodEnough } from './GoodEnough';
import { BackSettings, HowSettings, InThisOrder } from './SetupSettings';
import { WillItGoIn } from './WillItGoIn';
import { WithNoJig } from './WithNoJig';

export default function SetupPage() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const notation = useAppSelector(selectNotation);
  const choice = standOfThing(useAppSelector(selectPicked));
  if (!derived || !project) return null;
  const value = derived.setup.value;
  const stood = value.frames.find(({ id }) => id === choice) ?? value.frames[0];
  const frame = derived.frames.value.frames.find(({ id }) => id === stood?.id);
  return (
    <>
      <Box
        sx={{ flex: 1, minWidth: 0, minHeight: 0, overflow: 'auto', p: { xs: 1, md: 2 } }}
        tabIndex={0}
        role="region"
        aria-label="Setting up"
      >
        {stood ? (
          <>
            <SetupDrawing value={value} hull={derived.lines.value} picked={stood.id} />
            <FrameChecks key={stood.id} part={project.setup} value={value} stood={stood} />
          </>
        ) : (
          <Typography>No frame stands across the boat: add one on Frames.</Typography>
        )}
      </Box>
      <Slip
        stage="setup"
        title={stood?.name ?? 'Set-up'}
        numbers={
          stood && (
            <>
              <Figure name="From the tape’s mark" value={formatWithUnit(stood.alongMm, notation)} />
              {stood.result.advised.readings > 0 && (
                <>
                  <Figure name="Farthest off its place" value={formatWithUnit(stood.result.worst, notation)} />
                  <Figure name="Wound" value={formatDeg(stood.result.moved.rollDeg, 1)} />
                  <Figure name="Leaning" value={formatDeg(stood.result.moved.pitchDeg, 1)} />
                  <Figure name="Racked" value={formatDeg(stood.result.moved.yawDeg, 1)} />
                </>
              )}
            </>
          )
        }
      >
        {stood && <MadeSoFar of={[stood.id]} />}
        <HowSettings part={project.setup} />
        {value.noJig ? (
          <WithNoJig noJig={value.noJig} />
        ) : (
          <>
            <InThisOrder part={project.setup} value={value} />
            <BackSettings part={project.setup} value={value} />
          </>
        )}
        {frame && (
          <GoodEnough
            part={project.setup}
            frame={frame}
            told={value.faults.filter((fault) => fault.frame === frame.id)}
          />
        )}
        <AsBuilt part={project.setup} value={value} hull={derived.lines.value} />
        <DryFitting panels={derived.panels.value.panels} part={project.panels} />
        <WillItGoIn plans={project.frames} value={derived.frames.value} />
      </Slip>
    </>
  );
}
