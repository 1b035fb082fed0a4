/** The parts along the boat: picked, moved, added and taken out. */
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useRef, useState } from 'react';
import {
  INSIDE_KINDS,
  INSIDE_NAMES,
  INSIDE_PATH,
  insideThing,
  newInside,
  placeOn,
  type Fitted,
  type InsideKind,
  type InsidePlan,
} from '@kalotrope/core/fitout';
import { Strip, type StripMark } from '../../drawing/Strip';
import { edited } from '../../state/document-slice';
import { picked, said } from '../../state/screen-slice';
import { selectDerived, selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Props = {
  readonly plans: readonly InsidePlan[];
  readonly parts: readonly Fitted[];
  readonly picked: string | undefined;
};

/** The most that a project takes. */
const MOST = 40;

/** A part on the centreline of the profile, from its fore end to its after end. */
function sideOn(part: Fitted): (readonly [number, number])[] {
  const us = part.pieces.flatMap(({ region }) => region.outline.map(([u]) => u));
  if (us.length === 0) return [];
  return [Math.min(...us), Math.max(...us)].map((u) => {
    const [x, , z] = placeOn(part.lie, [u, 0]);
    return [x, z] as const;
  });
}

export function InsideStrip({ plans, parts, picked: own }: Props) {
  const dispatch = useAppDispatch();
  const marks = plans.map(({ id, name, from, to }): StripMark => ({
    key: id,
    name,
    x: from,
    curves: parts.filter(({ plan }) => plan === id).map(sideOn),
    isPicked: id === own,
    onPick: () => dispatch(picked(insideThing(id))),
    onMove: (x, gesture) => {
      const edits = [
        { path: [...INSIDE_PATH, id, 'from'], value: x },
        { path: [...INSIDE_PATH, id, 'to'], value: to + x - from },
      ];
      dispatch(edited({ label: `${name}: moved`, gesture, edits }));
    },
  }));
  const takeOut = () => {
    const gone = plans.find(({ id }) => id === own);
    if (!gone) return;
    const left = plans.filter(({ id }) => id !== own);
    dispatch(edited({ label: `${gone.name} taken out`, edits: [{ path: INSIDE_PATH, value: left }] }));
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
export function AddPart({ plans }: { readonly plans: readonly InsidePlan[] }) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const hull = useAppSelector((state) => selectDerived(state)?.lines.value);
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const add = (kind: InsideKind) => {
    setOpen(false);
    if (!hull) return;
    const plan = newInside(kind, plans, { hull, notation });
    dispatch(edited({ label: `${plan.name} added`, edits: [{ path: INSIDE_PATH, value: [...plans, plan] }] }));
    dispatch(picked(insideThing(plan.id)));
  };
  return (
    <>
      <Button
        ref={button}
        aria-haspopup="menu"
        aria-expanded={isOpen}
        disabled={plans.length >= MOST || !hull}
        onClick={() => setOpen(true)}
      >
        Add a part
      </Button>
      <Menu anchorEl={() => button.current} open={isOpen} onClose={() => setOpen(false)}>
        {INSIDE_KINDS.map((kind) => (
          <MenuItem key={kind} onClick={() => add(kind)}>
            {INSIDE_NAMES[kind]}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
