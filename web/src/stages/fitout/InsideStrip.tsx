/** The parts along the boat: picked, moved, added and taken out. */
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useRef, useState } from 'react';
import {
  beginsAt,
  INSIDE_KINDS,
  INSIDE_NAMES,
  INSIDE_PATH,
  insideThing,
  newInside,
  newWall,
  seenFromSide,
  WALL_KINDS,
  WALL_NAMES,
  WALLS_PATH,
  wallMoved,
  type InBoat,
  type InsideKind,
  type InsidePlan,
  type InsideValue,
  type WallKind,
  type WallPlan,
} from '@kalotrope/core/fitout';
import type { Edit } from '@kalotrope/core/findings';
import { Strip, type StripMark } from '../../drawing/Strip';
import { edited } from '../../state/document-slice';
import { picked, said } from '../../state/screen-slice';
import { selectDerived, selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Plans = { readonly parts: readonly InsidePlan[]; readonly walls: readonly WallPlan[] };

type Props = {
  readonly plans: Plans;
  readonly value: InsideValue;
  readonly picked: string | undefined;
};

/** The most of either that a project takes. */
const MOST = 40;

export function InsideStrip({ plans, value, picked: own }: Props) {
  const dispatch = useAppDispatch();
  const seen = (id: string) =>
    [...value.parts, ...value.walls].filter(({ plan }: InBoat) => plan === id).map(seenFromSide);
  const markOf = (id: string, name: string, x: number, moved: (by: number) => Edit[]): StripMark => ({
    ...{ key: id, name, x, curves: seen(id), isPicked: id === own },
    onPick: () => dispatch(picked(insideThing(id))),
    onMove: (to, gesture) => dispatch(edited({ label: `${name}: moved`, gesture, edits: moved(to - x) })),
  });
  const marks = [
    ...plans.parts.map(({ id, name, from, to }) =>
      markOf(id, name, from, (by) => [
        { path: [...INSIDE_PATH, id, 'from'], value: from + by },
        { path: [...INSIDE_PATH, id, 'to'], value: to + by },
      ]),
    ),
    ...plans.walls.map((wall) => markOf(wall.id, wall.name, beginsAt(wall), (by) => wallMoved(wall, by))),
  ].filter(({ x }) => Number.isFinite(x));
  const takeOut = () => {
    const gone = [...plans.parts, ...plans.walls].find(({ id }) => id === own);
    if (!gone) return;
    const left = <T extends { readonly id: string }>(list: readonly T[]) => list.filter(({ id }) => id !== own);
    const edits = plans.parts.some(({ id }) => id === own)
      ? [{ path: INSIDE_PATH, value: left(plans.parts) }]
      : [{ path: WALLS_PATH, value: left(plans.walls) }];
    dispatch(edited({ label: `${gone.name} taken out`, edits }));
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

/** One of each kind, begun where it is usual. */
export function AddPart({ plans }: Pick<Props, 'plans'>) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const derived = useAppSelector(selectDerived);
  const hull = derived?.lines.value;
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const put = ({ id, name }: InsidePlan | WallPlan, edit: Edit) => {
    dispatch(edited({ label: `${name} added`, edits: [edit] }));
    dispatch(picked(insideThing(id)));
  };
  const add = (kind: InsideKind) => {
    setOpen(false);
    if (!hull) return;
    const plan = newInside(kind, plans.parts, { hull, notation });
    put(plan, { path: INSIDE_PATH, value: [...plans.parts, plan] });
  };
  const addWall = (kind: WallKind) => {
    setOpen(false);
    if (!hull) return;
    const plan = newWall(kind, plans, { hull, notation, walls: derived.fitout.value.walls });
    put(plan, { path: WALLS_PATH, value: [...plans.walls, plan] });
  };
  return (
    <>
      <Button ref={button} aria-haspopup="menu" aria-expanded={isOpen} disabled={!hull} onClick={() => setOpen(true)}>
        Add a part
      </Button>
      <Menu anchorEl={() => button.current} open={isOpen} onClose={() => setOpen(false)}>
        {INSIDE_KINDS.map((kind) => (
          <MenuItem key={kind} disabled={plans.parts.length >= MOST} onClick={() => add(kind)}>
            {INSIDE_NAMES[kind]}
          </MenuItem>
        ))}
        {WALL_KINDS.map((kind) => (
          <MenuItem key={kind} disabled={plans.walls.length >= MOST} onClick={() => addWall(kind)}>
            {WALL_NAMES[kind]}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
