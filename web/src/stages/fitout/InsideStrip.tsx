/** The parts along the boat: picked, moved, added and taken out. */
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useRef, useState } from 'react';
import {
  beginsAt,
  BLOCK_NAME,
  BLOCKS_PATH,
  blockSeen,
  INSIDE_KINDS,
  INSIDE_NAMES,
  INSIDE_PATH,
  insideThing,
  newBlock,
  newInside,
  newWall,
  seenFromSide,
  WALL_KINDS,
  WALL_NAMES,
  WALLS_PATH,
  wallMoved,
  type BlockPlan,
  type InBoat,
  type InsideKind,
  type InsidePlan,
  type InsideValue,
  type WallKind,
  type WallPlan,
} from '@kalotrope/core/fitout';
import type { Edit } from '@kalotrope/core/findings';
import { depthOfInside } from '@kalotrope/core/panels';
import { Strip, type StripMark } from '../../drawing/Strip';
import { edited } from '../../state/document-slice';
import { picked, said } from '../../state/screen-slice';
import { selectDerived, selectNotation, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Plans = {
  readonly parts: readonly InsidePlan[];
  readonly walls: readonly WallPlan[];
  readonly blocks: readonly BlockPlan[];
};

type Props = {
  readonly plans: Plans;
  readonly value: InsideValue;
  readonly picked: string | undefined;
};

/** The most of either that a project takes. */
const MOST = 40;

export function InsideStrip({ plans, value, picked: own }: Props) {
  const dispatch = useAppDispatch();
  const seen = (id: string) => [
    ...[...value.parts, ...value.walls].filter(({ plan }: InBoat) => plan === id).map(seenFromSide),
    ...value.blocks.filter(({ plan }) => plan === id).map((block) => blockSeen(block, 2)),
  ];
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
    ...plans.blocks.map(({ id, name, from, to }) =>
      markOf(id, name, Math.min(from.x, to.x), (by) => [
        { path: [...BLOCKS_PATH, id, 'from', 'x'], value: from.x + by },
        { path: [...BLOCKS_PATH, id, 'to', 'x'], value: to.x + by },
      ]),
    ),
  ].filter(({ x }) => Number.isFinite(x));
  const takeOut = () => {
    const gone = [...plans.parts, ...plans.walls, ...plans.blocks].find(({ id }) => id === own);
    if (!gone) return;
    const left = <T extends { readonly id: string }>(list: readonly T[]) => list.filter(({ id }) => id !== own);
    const lists = [
      { path: INSIDE_PATH, list: plans.parts },
      { path: WALLS_PATH, list: plans.walls },
      { path: BLOCKS_PATH, list: plans.blocks },
    ];
    const edits = lists
      .filter(({ list }) => list.some(({ id }) => id === own))
      .map(({ path, list }) => ({ path, value: left<InsidePlan | WallPlan | BlockPlan>(list) }));
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
  const skin = useAppSelector(selectProject)?.panels;
  const inset = skin ? depthOfInside(skin) : 0;
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const put = ({ id, name }: InsidePlan | WallPlan | BlockPlan, edit: Edit) => {
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
  const addBlock = () => {
    setOpen(false);
    if (!hull) return;
    const others = [...plans.parts, ...plans.walls, ...plans.blocks];
    const plan = newBlock(others, { hull, panels: derived.panels.value.panels, inset, notation });
    put(plan, { path: BLOCKS_PATH, value: [...plans.blocks, plan] });
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
        <MenuItem disabled={plans.blocks.length >= MOST} onClick={addBlock}>
          {BLOCK_NAME}
        </MenuItem>
      </Menu>
    </>
  );
}
