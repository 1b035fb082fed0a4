/** The frames along the boat: picked, moved, added and taken out. */
import Button from '@mui/material/Button';
import {
  FRAMES_PATH,
  copyOf,
  frameThing,
  placeInBoat,
  oneMore,
  widestRoom,
  type Frame,
  type FramesPart,
} from '@kalotrope/core/frames';
import { Strip, type StripMark } from '../../drawing/Strip';
import { edited } from '../../state/document-slice';
import { picked, said } from '../../state/screen-slice';
import { selectDerived } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Props = {
  readonly plans: FramesPart['frames'];
  /** Those of them that stand in the hull. */
  readonly frames: readonly Frame[];
  readonly picked: string | undefined;
};

/** A height of the frame's own plane in the profile. */
const sideOn = (frame: Frame, up: number) => {
  const [x, , z] = placeInBoat(frame, [0, up]);
  return [x, z] as const;
};

/** The most that a project takes. */
const MOST = 60;

export function FramesStrip({ plans, frames, picked: own }: Props) {
  const dispatch = useAppDispatch();
  const ends = useAppSelector((state) => selectDerived(state)?.lines.value);
  const marks = plans.map(({ id, name, x }): StripMark => {
    const frame = frames.find((one) => one.id === id);
    const heights = (frame?.outline ?? []).map((point) => point[1]);
    return {
      key: id,
      name,
      x,
      curves: frame ? [[Math.min(...heights), Math.max(...heights)].map((up) => sideOn(frame, up))] : [],
      isPicked: id === own,
      onPick: () => dispatch(picked(frameThing(id))),
      onMove: (to, gesture) =>
        dispatch(edited({ label: `${name}: moved`, gesture, edits: [{ path: [...FRAMES_PATH, id, 'x'], value: to }] })),
    };
  });
  const add = () => {
    if (!ends) return;
    const plan = oneMore(plans, widestRoom(plans, ends));
    dispatch(edited({ label: `${plan.name} added`, edits: [{ path: FRAMES_PATH, value: [...plans, plan] }] }));
    dispatch(picked(frameThing(plan.id)));
  };
  const copy = () => {
    const like = plans.find(({ id }) => id === own);
    if (!ends || !like) return;
    const plan = copyOf(plans, like, widestRoom(plans, ends));
    dispatch(
      edited({
        label: `${plan.name}, a copy of ${like.name}`,
        edits: [{ path: FRAMES_PATH, value: [...plans, plan] }],
      }),
    );
    dispatch(picked(frameThing(plan.id)));
  };
  const takeOut = () => {
    const gone = plans.find(({ id }) => id === own);
    if (!gone) return;
    const left = plans.filter(({ id }) => id !== own);
    dispatch(edited({ label: `${gone.name} taken out`, edits: [{ path: FRAMES_PATH, value: left }] }));
    dispatch(said(`${gone.name} is taken out. Ctrl+Z puts it back.`));
  };
  return (
    <Strip
      label="Frames along the boat"
      marks={marks}
      acts={
        <>
          <Button onClick={add} disabled={plans.length >= MOST} title="In the widest room between the others">
            Add a frame
          </Button>
          <Button
            onClick={copy}
            disabled={own === undefined || plans.length >= MOST}
            title="The same again in the widest room between the others"
          >
            Copy it
          </Button>
          <Button onClick={takeOut} disabled={own === undefined}>
            Take it out
          </Button>
        </>
      }
    />
  );
}
