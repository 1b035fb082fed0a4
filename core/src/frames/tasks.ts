/** Sections plotted point by point, half by half, and the bevels along a frame's edges. */
import type { Vec2 } from '../geometry';
import { formatDeg, formatFine, formatWithUnit, type Notation } from '../measure';
import type { Task, TaskFigure, TaskStep } from '../stage';
import type { FramesWhole } from './drawings';
import { edgePlaces } from './edge-places';
import type { Frame } from './frame';
import { plotOf, type PlotPoint } from './plotting';

const FACES = { fore: 'forward face', aft: 'after face' } as const;
const OTHER = { fore: 'after', aft: 'forward' } as const;
/** The other face's point as near is the same one. */
const AS_GOOD_AS_MM = 0.5;

export const framesTasks = ({ project: { notation }, values: { frames } }: FramesWhole): Task[] =>
  frames.frames.flatMap((frame) => {
    const { points, isHalf, board } = plotOf(frame);
    const hands = handsOf(frame, isHalf);
    const least = `At least ${formatWithUnit(board.longMm, notation)} by ${formatWithUnit(board.broadMm, notation)}.`;
    const first: TaskStep = {
      ...{ id: 'board', say: `Square a centreline up from the board's lower edge`, figures: [] },
      hint: `${least} What you draw is the ${FACES[frame.face]}.`,
    };
    const plots = hands.map((hand): Task => ({
      ...{ id: hand ? `${frame.id}.${hand}` : frame.id, name: frame.name, kind: 'Plot the section' },
      ...(hand && { hand }),
      picture: points.map(({ out, up }) => seenOn(frame, hand)([out, up])),
      steps: [
        first,
        ...points.map((point) => pointStep(point, { hand, frame, notation })),
        {
          ...{ id: 'join', say: 'Join them with a batten, and name it', figures: [] },
          hint: `Write on it: ${[frame.name, hand].filter(Boolean).join(', ')}, FORE.`,
        },
      ],
    }));
    return [...plots, ...(points.some(({ other }) => other) ? [bevelTask(frame, notation)] : [])];
  });

/** A half plotted twice, once a hand, or the one that there is; of one whose halves are unlike all of it at once. */
function handsOf({ hand }: Frame, isHalf: boolean): readonly Task['hand'][] {
  if (hand === 'port' || hand === 'starboard') return [hand];
  return isHalf || hand === 'pair' ? ['starboard', 'port'] : [undefined];
}

/** As one sees the face that is drawn: on the forward one starboard lies to the left. */
const seenOn =
  ({ face }: Frame, hand: Task['hand']) =>
  ([out, up]: Vec2): Vec2 => [(face === 'fore' ? -1 : 1) * (hand === 'port' ? -1 : 1) * out, up];

type Plotted = { readonly hand: Task['hand']; readonly frame: Frame; readonly notation: Notation };

function pointStep({ number, out, up, other }: PlotPoint, { hand, frame, notation }: Plotted): TaskStep {
  const fine = (mm: number) => formatFine(mm, notation);
  const isElsewhere = other && Math.hypot(other.out - out, other.up - up) > AS_GOOD_AS_MM;
  const side = hand ?? (out < 0 ? 'port' : 'starboard');
  const figures: TaskFigure[] = [
    { label: `out to ${side}`, value: fine(Math.abs(out)), isLength: true },
    { label: 'up', value: fine(up), isLength: true },
  ];
  return {
    ...{ id: `point ${number}`, say: `Point ${number}`, figures, places: [seenOn(frame, hand)([out, up])] },
    ...(isElsewhere && {
      hint: `The ${OTHER[frame.face]} face lies at ${fine(Math.abs(other.out))} out, ${fine(other.up)} up.`,
    }),
  };
}

const bevelTask = (frame: Frame, notation: Notation): Task => ({
  ...{ id: `${frame.id}.bevels`, name: frame.name, kind: 'Bevel the edges' },
  steps: edgePlaces(frame).map(({ panelName, share, y, z, bevelDeg, otherFaceOffset }): TaskStep => ({
    id: `${panelName} ${share}`,
    say: `Under ${panelName}, ${formatFine(y, notation)} out, ${formatFine(z, notation)} up`,
    figures: [
      { label: 'off square', value: formatDeg(bevelDeg) },
      { label: 'other face in', value: formatFine(otherFaceOffset, notation), isLength: true },
    ],
    hint: 'The same on both sides. Plus: the other face is smaller, the saw tilts inward.',
  })),
});
