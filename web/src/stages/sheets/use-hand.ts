/**
 * Pieces moved by hand: a press picks one, drawing it moves it, over other sheets of its material too; it lies where it
 * is clear, touching what it is near. The arrow keys nudge. What is let go is one thing to undo.
 */
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { DIVISION_MM } from '@kalotrope/core/measure';
import { laidWith, placesByHand, pieceThing, type NestResult, type PutOn } from '@kalotrope/core/sheets';
import { edited } from '../../state/document-slice';
import { picked, said } from '../../state/screen-slice';
import { selectNotation, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppStore } from '../../state/store';
import type { Shelf } from './shelf';

type Placement = NestResult['sheets'][number]['placements'][number];
type Find = ReturnType<typeof placesByHand>;

/** A press that moves less than this, in pixels, picks and moves nothing. */
const SLACK_PX = 4;
/** A piece goes to touching from so many pixels off, and is looked a place for within so many millimetres. */
const SNAP_PX = 9;
const REACH_MM = 600;
/** A nudge that finds no place so near is not made. */
const NUDGE_REACH_MM = 40;

/** Where a piece is shown while it is held, and until the boat has it there. */
export type Held = {
  readonly part: string;
  /** Of the batch: once that is another, the layout says where the piece lies. */
  readonly key: string;
  /** Where it would come to lie, by the place of its sheet among the shelves; undefined: nowhere near. */
  readonly to: { readonly shelf: number; readonly placement: Placement } | undefined;
  /** Where the pointer has it. */
  readonly over?: { readonly shelf: number; readonly placement: Placement };
};

type Drag = {
  readonly shelf: number;
  readonly placement: Placement;
  readonly from: readonly [number, number];
  isMoving: boolean;
  readonly finders: Map<number, Find>;
};

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ...{ ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] },
};

export function useHand(shelves: readonly Shelf[], px: number, nameOf: (part: string) => string) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const [held, setHeld] = useState<Held | null>(null);
  const drag = useRef<Drag | null>(null);

  const finderOn = (shelf: number, { part, rotationDeg }: Placement): Find => {
    const on = shelves[shelf];
    if (!on) return () => undefined;
    return placesByHand({
      ...{ job: on.batch.job, sheet: on.sheet.id, placements: on.sheet.placements, part, rotationDeg },
    });
  };
  const putAt = (shelf: number, placement: Placement) => {
    const on = shelves[shelf];
    const project = selectProject(store.getState());
    if (!on || !project) return;
    const was = on.sheet.placements.find(({ part }) => part === placement.part);
    // back where it was: nothing to undo
    if (was && Math.hypot(was.x - placement.x, was.y - placement.y) < LEAST_MOVE_MM) return setHeld(null);
    const put: PutOn = { ...placement, sheet: on.sheet.id, index: on.sheet.index };
    const value = laidWith(project.sheets.laid, on, put);
    dispatch(edited({ label: `${nameOf(placement.part)} moved`, edits: [{ path: ['sheets', 'laid'], value }] }));
    return setHeld({ part: placement.part, key: on.batch.key, to: { shelf, placement } });
  };

  const handle = (shelf: number, placement: Placement) => ({
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      if (event.button !== 0) return;
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      dispatch(picked(pieceThing(placement.part)));
      drag.current = { shelf, placement, from: placeOf(event), isMoving: false, finders: new Map() };
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      const now = drag.current;
      const home = now && shelves[now.shelf];
      if (!now || !home) return;
      const [x, y] = placeOf(event);
      const [dx, dy] = [x - now.from[0], y - now.from[1]];
      if (!now.isMoving && Math.hypot(dx, dy) < SLACK_PX * px) return;
      now.isMoving = true;
      // the sheet of the same material that the pointer is over, else its own
      const under = shelves.findIndex(
        (other) =>
          other.batch.key === home.batch.key &&
          x + home.dx >= other.dx &&
          x + home.dx <= other.dx + other.width &&
          y + home.dy >= other.dy &&
          y + home.dy <= other.dy + other.height,
      );
      const to = under < 0 ? now.shelf : under;
      const on = shelves[to] ?? home;
      const find = now.finders.get(to) ?? finderOn(to, now.placement);
      now.finders.set(to, find);
      const wanted = [now.placement.x + dx + home.dx - on.dx, now.placement.y + dy + home.dy - on.dy] as const;
      const place = find(wanted, { snapMm: SNAP_PX * px, reachMm: REACH_MM });
      const { part } = now.placement;
      const over = { shelf: to, placement: { ...now.placement, x: wanted[0], y: wanted[1] } };
      setHeld({ part, key: home.batch.key, to: place && { shelf: to, placement: place }, over });
    },
    onPointerUp: () => {
      const now = drag.current;
      drag.current = null;
      if (!now?.isMoving) return;
      if (held?.to) putAt(held.to.shelf, held.to.placement);
      else {
        setHeld(null);
        dispatch(said('There is no room for it there: it stays where it was'));
      }
    },
    onPointerCancel: () => {
      drag.current = null;
      setHeld(null);
    },
    onKeyDown: (event: KeyboardEvent) => {
      const way = STEPS[event.key];
      if (event.key === 'Enter' || event.key === ' ') dispatch(picked(pieceThing(placement.part)));
      else if (way) {
        const step = DIVISION_MM[selectNotation(store.getState())] * (event.shiftKey ? 10 : 1);
        const wanted = [placement.x + way[0] * step, placement.y + way[1] * step] as const;
        const place = finderOn(shelf, placement)(wanted, { snapMm: 0, reachMm: NUDGE_REACH_MM });
        if (place) putAt(shelf, place);
      } else return;
      event.preventDefault();
      event.stopPropagation();
    },
  });
  // until the layout is of a batch that has it there
  const isShown = held && shelves.some(({ batch }) => batch.key === held.key);
  return { held: isShown ? held : null, handle };
}

const LEAST_MOVE_MM = 1e-3;

/** In the sheet's own millimetres, y up: those of the group that the piece is drawn in. */
function placeOf(event: PointerEvent<SVGGElement>): readonly [number, number] {
  const matrix = event.currentTarget.getScreenCTM();
  if (!matrix) return [0, 0];
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  return [x, -y];
}
