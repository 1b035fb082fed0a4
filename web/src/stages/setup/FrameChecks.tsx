/** Frame by frame, what to read and what it should be: a tap says that it is on its mark, a figure where it is not. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Check from '@mui/icons-material/Check';
import Alert from '@mui/material/Alert';
import Typography from '@mui/material/Typography';
import { unitLabel } from '@kalotrope/core/measure';
import {
  allTrueEdit,
  checkWords,
  forgottenEdit,
  heldWords,
  readingEdit,
  shouldWords,
  standOfThing,
  standThing,
  type CheckName,
  type SetupPart,
  type SetupValue,
  type Stood,
} from '@kalotrope/core/setup';
import { sentence } from '@kalotrope/core/project';
import { LengthField } from '../../controls/LengthField';
import { NumberField, numberBetween } from '../../controls/NumberField';
import { edited } from '../../state/document-slice';
import { picked } from '../../state/screen-slice';
import { selectFindings, selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { IntoLog } from './IntoLog';

type Props = { readonly part: SetupPart; readonly value: SetupValue; readonly stood: Stood };

/** For fingers in gloves. */
const TALL_PX = 44;
/** No frame leans further and is still to be measured. */
const DEGREES = numberBetween(-45, 45);

export function FrameChecks({ part, value, stood }: Props) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const { id, name, checks, result } = stood;
  const at = value.frames.findIndex((frame) => frame.id === id);
  const next = value.frames[at + 1];
  const isRead = result.advised.readings > 0;
  const done = checks.filter(({ what }) => readingOf(part, id, what)).length;
  return (
    <Box sx={{ maxWidth: 760 }}>
      <FrameList value={value} picked={id} />
      <Typography variant="h2" sx={{ mt: 2 }}>
        {at + 1}. {name}: {done} of {checks.length} read
      </Typography>
      <Advice stood={stood} />
      <Box
        component="ul"
        aria-label={`Readings of ${name}, in ${unitLabel(notation)}`}
        sx={{ m: 0, p: 0, listStyle: 'none' }}
      >
        {checks.map((check) => (
          <OneCheck key={check.what} {...{ part, stood, check }} />
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.5 }}>
        <Button
          variant="outlined"
          sx={{ minHeight: TALL_PX }}
          onClick={() =>
            dispatch(
              edited({
                label: `${name} on its marks`,
                edits: [
                  allTrueEdit(
                    part.readings,
                    id,
                    checks.map(({ what }) => what),
                  ),
                ],
              }),
            )
          }
        >
          All on their marks
        </Button>
        <Button
          sx={{ minHeight: TALL_PX }}
          disabled={!isRead}
          onClick={() => dispatch(edited({ label: `${name} read anew`, edits: [forgottenEdit(part.readings, id)] }))}
        >
          It was moved: read anew
        </Button>
        {next && (
          <Button variant="contained" sx={{ minHeight: TALL_PX }} onClick={() => dispatch(picked(standThing(next.id)))}>
            Next: {next.name}
          </Button>
        )}
        <IntoLog part={part} stood={stood} tallPx={TALL_PX} />
      </Box>
    </Box>
  );
}

const readingOf = ({ readings }: SetupPart, frame: string, what: CheckName) =>
  readings.find((one) => one.frame === frame && one.what === what);

function Advice({ stood: { id, result, isOld, name } }: { readonly stood: Stood }) {
  const notation = useAppSelector(selectNotation);
  const findings = useAppSelector((state) => selectFindings(state, 'setup'));
  const own = findings.find(({ where, severity }) => severity === 'check' && standOfThing(where.part ?? null) === id);
  const said = own ? sentence(own, notation) : 'Not true.';
  if (result.advised.readings === 0) return null;
  if (isOld) return <Alert severity="info">Another frame was set since {name} was looked at. Look again.</Alert>;
  return result.cause === 'true' ? (
    <Alert severity="success">On its marks, as far as it was read.</Alert>
  ) : (
    <Alert severity="warning">{said}</Alert>
  );
}

type CheckProps = { readonly part: SetupPart; readonly stood: Stood; readonly check: Stood['checks'][number] };

function OneCheck({ part, stood: { id, name }, check }: CheckProps) {
  const { what, should } = check;
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const kept = readingOf(part, id, what);
  const words = checkWords(what, part.way);
  const read = (value: number) =>
    dispatch(
      edited({
        label: `${name}: ${words}`,
        edits: [readingEdit(part.readings, { frame: id, what, isTrue: false, value })],
      }),
    );
  const isTrue = kept?.isTrue === true;
  const shown = kept && !kept.isTrue ? kept.value : should;
  return (
    <Box
      component="li"
      sx={{
        ...{ display: 'grid', gridTemplateColumns: { xs: '1fr 1fr', md: '1fr 160px 190px' } },
        ...{ gap: 1, alignItems: 'center', py: 0.75, borderBottom: 1, borderColor: 'divider' },
      }}
    >
      <Box sx={{ gridColumn: { xs: '1 / -1', md: 'auto' } }}>
        {words} <span className="quiet">{heldWords(check)}</span>
      </Box>
      <Button
        variant={isTrue ? 'contained' : 'outlined'}
        aria-pressed={isTrue}
        aria-label={`${words}: on its mark`}
        startIcon={isTrue ? <Check /> : undefined}
        sx={{ minHeight: TALL_PX }}
        onClick={() =>
          dispatch(
            edited({
              label: `${name}: ${words}`,
              edits: [readingEdit(part.readings, { frame: id, what, isTrue: true })],
            }),
          )
        }
      >
        {shouldWords(what, should, notation)}
      </Button>
      {what === 'plumb' ? (
        <NumberField label={words} value={Number(shown.toFixed(2))} onCommit={read} read={DEGREES} />
      ) : (
        <LengthField label={words} mm={shown} onCommit={read} />
      )}
    </Box>
  );
}

/** All frames in the order in which they are set, and how each stands. */
function FrameList({ value, picked: now }: { readonly value: SetupValue; readonly picked: string }) {
  const dispatch = useAppDispatch();
  return (
    <Box role="group" aria-label="Frames, middle first" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
      {value.frames.map((frame) => (
        <Button
          key={frame.id}
          variant={frame.id === now ? 'contained' : 'outlined'}
          aria-pressed={frame.id === now}
          sx={{ minHeight: TALL_PX }}
          onClick={() => dispatch(picked(standThing(frame.id)))}
        >
          {frame.name} {standingMark(frame)}
        </Button>
      ))}
    </Box>
  );
}

/** A shape with it, so that it does not hang on a colour. */
const standingMark = ({ result, isOld }: Stood): string => {
  if (result.advised.readings === 0) return '○';
  if (isOld) return '↻';
  return result.cause === 'true' ? '✓' : '▲';
};
