/** The picked frame: which, what it is, where it stands. */
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { datumOf, frameThing, type FramePlan, type FramesPart } from '@kalotrope/core/frames';
import { LengthField } from '../../controls/LengthField';
import { NameField } from '../../controls/NameField';
import { SelectField } from '../../controls/SelectField';
import { edited } from '../../state/document-slice';
import { picked } from '../../state/screen-slice';
import { selectDerived } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { useFrameEdit } from './frame-edit';
import { CUT_TO, DATUM_PATH, FACES, kindNames, STANDING, STANDING_PATH } from './frame-words';

type Props = { readonly plan: FramePlan; readonly part: FramesPart; readonly isFramedBoat: boolean };

export function FrameFields({ plan, part, isFramedBoat }: Props) {
  const dispatch = useAppDispatch();
  const { pathTo, set } = useFrameEdit(plan);
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25, mt: 1, mb: 1.25 }}>
        <TextField
          select
          label="Frame"
          value={plan.id}
          onChange={({ target }) => dispatch(picked(frameThing(target.value)))}
        >
          {part.frames.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <NameField label="Name" value={plan.name} most={60} onCommit={set('name', ['name'])} />
        <PlaceField plan={plan} part={part} />
        <DatumField part={part} plan={plan} />
        <LengthField label="Thickness" mm={plan.width} onCommit={set('thickness', ['width'])} path={pathTo('width')} />
        <SelectField
          label="What it is"
          value={plan.kind}
          names={kindNames(isFramedBoat)}
          onChange={set('kind', ['kind'])}
        />
      </Box>
      <Box sx={{ display: 'grid', gap: 1.25, mb: 1 }}>
        <FaceFields plan={plan} part={part} />
        {(part.taken.length > 0 || plan.shape !== '') && <CutTo plan={plan} part={part} />}
      </Box>
    </>
  );
}

type PlaceProps = Pick<Props, 'plan' | 'part'>;

/** The hull's own section, or a shape that was taken off a boat. */
function CutTo({ plan, part: { taken } }: PlaceProps) {
  const { set } = useFrameEdit(plan);
  const isGone = plan.shape !== '' && !taken.some(({ id }) => id === plan.shape);
  return (
    <SelectField
      label={CUT_TO}
      value={plan.shape}
      names={{
        '': 'the hull',
        ...Object.fromEntries(taken.map(({ id, name }) => [id, name])),
        ...(isGone ? { [plan.shape]: 'a shape that is gone' } : {}),
      }}
      onChange={set('what it is cut to', ['shape'])}
    />
  );
}

/** Which face stands on the line; where a rule says it for all, what it says of this one. */
function FaceFields({ plan, part: { standing } }: PlaceProps) {
  const dispatch = useAppDispatch();
  const { set } = useFrameEdit(plan);
  const frame = useAppSelector((state) => selectDerived(state)?.frames.value.frames.find(({ id }) => id === plan.id));
  return (
    <>
      {standing === 'each' ? (
        <SelectField label="Which face that is" value={plan.face} names={FACES} onChange={set('face', ['face'])} />
      ) : (
        <p className="quiet">That is its {FACES[frame?.face ?? plan.face]}.</p>
      )}
      <SelectField
        label="On the lines stands"
        value={standing}
        names={STANDING}
        onChange={(value) => dispatch(edited({ label: 'Face on the lines', edits: [{ path: STANDING_PATH, value }] }))}
      />
    </>
  );
}

/** How far from the datum; what is refused is said of the place itself, which is told from the stem. */
function PlaceField({ plan, part }: PlaceProps) {
  const ends = useAppSelector((state) => selectDerived(state)?.lines.value);
  const { pathTo, set } = useFrameEdit(plan);
  if (!ends) return null;
  const datum = datumOf(part, ends);
  const isOwn = part.datum.kind === 'fore';
  return (
    <LengthField
      label={`Its face, ${datum.words}`}
      mm={datum.fromX(plan.x)}
      onCommit={(distance) => set('place', ['x'])(datum.toX(distance))}
      {...(isOwn && { path: pathTo('x') })}
    />
  );
}

/** Ends, stations and other frames, each as a choice. */
function DatumField({ part, plan }: PlaceProps) {
  const dispatch = useAppDispatch();
  const stations = useAppSelector((state) => selectDerived(state)?.lines.value.stations ?? []);
  const { kind, of } = part.datum;
  const choices = [
    { kind: 'fore', of: '', name: 'from the stem' },
    { kind: 'aft', of: '', name: 'from the after end' },
    ...stations.map(({ label }) => ({ kind: 'station', of: label, name: `from station ${label}` })),
    ...part.frames
      .filter(({ id }) => id !== plan.id || (kind === 'frame' && of === id))
      .map(({ id, name }) => ({ kind: 'frame', of: id, name: `from ${name}` })),
  ];
  const now = choices.findIndex((one) => one.kind === kind && one.of === of);
  return (
    <TextField
      select
      label="Measured"
      value={Math.max(0, now)}
      onChange={({ target }) => {
        const chosen = choices[Number(target.value)];
        if (!chosen) return;
        const value = { kind: chosen.kind, of: chosen.of };
        dispatch(edited({ label: `Places of frames ${chosen.name}`, edits: [{ path: DATUM_PATH, value }] }));
      }}
    >
      {choices.map(({ name }, i) => (
        <MenuItem key={name} value={i}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
