/** The parts along the boat: picked, moved, added and taken out. */
import Button from '@mui/material/Button';
import {
  beginsAt,
  BLOCKS_PATH,
  blockSeen,
  INSIDE_PATH,
  insideThing,
  kneeFromSide,
  KNEES_PATH,
  PEOPLE_PATH,
  seenFromSide,
  stemFromSide,
  wallMoved,
  type InBoat,
  type InsideValue,
  type Seated,
} from '@kalotrope/core/fitout';
import type { Edit } from '@kalotrope/core/findings';
import { Strip, type StripMark } from '../../drawing/Strip';
import { edited } from '../../state/document-slice';
import { picked, said } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';
import { AddPart } from './AddPart';
import { allPlans, takenOut, type InsidePlans } from './plans';

type Props = {
  readonly plans: InsidePlans;
  readonly value: InsideValue;
  readonly picked: string | undefined;
};

export function InsideStrip({ plans, value, picked: own }: Props) {
  const dispatch = useAppDispatch();
  const seen = (id: string) => [
    ...[...value.parts, ...value.walls].filter(({ plan }: InBoat) => plan === id).map(seenFromSide),
    ...value.blocks.filter(({ plan }) => plan === id).map((block) => blockSeen(block, 2)),
    ...value.stems.filter(({ plan }) => plan === id).map(stemFromSide),
    ...value.knees.filter(({ plan }) => plan === id).map(kneeFromSide),
    ...value.people.filter(({ plan }) => plan === id).map(seatOf),
  ];
  const markOf = (id: string, name: string, x: number, moved?: (by: number) => Edit[]): StripMark => ({
    ...{ key: id, name, x, curves: seen(id), isPicked: id === own },
    onPick: () => dispatch(picked(insideThing(id))),
    ...(moved && {
      onMove: (to, gesture) => dispatch(edited({ label: `${name}: moved`, gesture, edits: moved(to - x) })),
    }),
  });
  const marks = [
    ...plans.parts.map(({ id, name, from, to }) =>
      markOf(id, name, from, (by) => [
        { path: [...INSIDE_PATH, id, 'from'], value: from + by },
        { path: [...INSIDE_PATH, id, 'to'], value: to + by },
      ]),
    ),
    ...plans.walls.map((wall) => markOf(wall.id, wall.name, beginsAt(wall), (by) => wallMoved(wall, by))),
    ...plans.blocks.map(({ id, name, from, to }) =>
      markOf(id, name, Math.min(from.x, to.x), (by) => [
        { path: [...BLOCKS_PATH, id, 'from', 'x'], value: from.x + by },
        { path: [...BLOCKS_PATH, id, 'to', 'x'], value: to.x + by },
      ]),
    ),
    // an outer stem stands where the sides end: it is picked there, and not moved
    ...plans.stems.map(({ id, name }) => markOf(id, name, stemAt(value, id))),
    ...plans.knees.map(({ id, name, x }) =>
      markOf(id, name, x, (by) => [{ path: [...KNEES_PATH, id, 'x'], value: x + by }]),
    ),
    ...plans.people.map(({ id, name, x }) =>
      markOf(id, name, x, (by) => [{ path: [...PEOPLE_PATH, id, 'x'], value: x + by }]),
    ),
  ].filter(({ x }) => Number.isFinite(x));
  const takeOut = () => {
    const gone = allPlans(plans).find(({ id }) => id === own);
    if (!gone) return;
    dispatch(edited({ label: `${gone.name} taken out`, edits: takenOut(plans, gone.id) }));
    dispatch(said(`${gone.name} is taken out. Ctrl+Z puts it back.`));
  };
  return (
    <Strip
      label="Parts along the boat"
      marks={marks}
      acts={
        <>
          <AddPart plans={plans} />
          <Button onClick={takeOut} disabled={own === undefined}>
            Take it out
          </Button>
        </>
      }
    />
  );
}

/** Its upper end; of one that has no place the beginning of the boat. */
const stemAt = ({ stems }: InsideValue, id: string): number =>
  stems.find(({ plan }) => plan === id)?.inner[0]?.[0] ?? 0;

/** A person in the strip is what one takes up along the boat, at the height of the seat. */
const seatOf = ({ span: [from, to], height }: Seated): [number, number][] => [
  [from, height],
  [to, height],
];
