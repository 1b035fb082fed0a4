/** What can be put in or on the boat: one of each kind, begun where it is usual. */
import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useRef, useState } from 'react';
import {
  BLOCK_NAME,
  BLOCKS_PATH,
  INSIDE_KINDS,
  INSIDE_NAMES,
  INSIDE_PATH,
  insideThing,
  KNEE_NAME,
  KNEES_PATH,
  newBlock,
  newInside,
  newKnee,
  newPerson,
  newStem,
  newWall,
  PEOPLE_PATH,
  POSE_NAMES,
  POSES,
  STEM_NAME,
  STEMS_PATH,
  WALL_KINDS,
  WALL_NAMES,
  WALLS_PATH,
} from '@kalotrope/core/fitout';
import type { Edit } from '@kalotrope/core/findings';
import { depthOfInside } from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { picked } from '../../state/screen-slice';
import { selectDerived, selectNotation, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import type { InsidePlans } from './plans';

/** The most of each that a project takes. */
const MOST = 40;
const MOST_PEOPLE = 20;
const MOST_STEMS = 4;

type Put = { readonly id: string; readonly name: string; readonly edit: Edit };

export function AddPart({ plans }: { readonly plans: InsidePlans }) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const derived = useAppSelector(selectDerived);
  const hull = derived?.lines.value;
  const skin = useAppSelector(selectProject)?.panels;
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const close = () => setOpen(false);
  const item = (name: string, isFull: boolean, make: () => Put) => (
    <MenuItem
      key={name}
      disabled={isFull}
      onClick={() => {
        close();
        const { id, name: own, edit } = make();
        dispatch(edited({ label: `${own} added`, edits: [edit] }));
        dispatch(picked(insideThing(id)));
      }}
    >
      {name}
    </MenuItem>
  );
  const others = [...plans.parts, ...plans.walls, ...plans.blocks];
  return (
    <>
      <Button ref={button} aria-haspopup="menu" aria-expanded={isOpen} disabled={!hull} onClick={() => setOpen(true)}>
        Add a part
      </Button>
      <Menu anchorEl={() => button.current} open={isOpen} onClose={close}>
        {hull && [
          ...INSIDE_KINDS.map((kind) =>
            item(INSIDE_NAMES[kind], plans.parts.length >= MOST, () => {
              const plan = newInside(kind, plans.parts, { hull, notation });
              return { ...plan, edit: { path: INSIDE_PATH, value: [...plans.parts, plan] } };
            }),
          ),
          <Divider key="walls" />,
          ...WALL_KINDS.map((kind) =>
            item(WALL_NAMES[kind], plans.walls.length >= MOST, () => {
              const plan = newWall(kind, plans, { hull, notation, walls: derived.fitout.value.walls });
              return { ...plan, edit: { path: WALLS_PATH, value: [...plans.walls, plan] } };
            }),
          ),
          item(BLOCK_NAME, plans.blocks.length >= MOST, () => {
            const inset = skin ? depthOfInside(skin) : 0;
            const plan = newBlock(others, { hull, panels: derived.panels.value.panels, inset, notation });
            return { ...plan, edit: { path: BLOCKS_PATH, value: [...plans.blocks, plan] } };
          }),
          item(STEM_NAME, plans.stems.length >= MOST_STEMS, () => {
            const outside = skin ? skin.thickness - depthOfInside(skin) : 0;
            const plan = newStem(plans.stems, { panels: derived.panels.value.panels, outside }, notation);
            return { ...plan, edit: { path: STEMS_PATH, value: [...plans.stems, plan] } };
          }),
          item(KNEE_NAME, plans.knees.length >= MOST, () => {
            const plan = newKnee([...others, ...plans.knees], { hull, notation, parts: plans.parts });
            return { ...plan, edit: { path: KNEES_PATH, value: [...plans.knees, plan] } };
          }),
          <Divider key="people" />,
          ...POSES.map((pose) =>
            item(POSE_NAMES[pose], plans.people.length >= MOST_PEOPLE, () => {
              const plan = newPerson(pose, plans.people, { hull, notation, parts: derived.fitout.value.parts });
              return { ...plan, edit: { path: PEOPLE_PATH, value: [...plans.people, plan] } };
            }),
          ),
        ]}
      </Menu>
    </>
  );
}
