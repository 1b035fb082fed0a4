import { useTheme } from '@mui/material/styles';
import { useRef, type PointerEvent } from 'react';
import { lineOf, pointOf, pointThing, pointName, pointPath, type HullLine } from '@kalotrope/core/lines';
import { edited } from '../../state/document-slice';
import { picked } from '../../state/screen-slice';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Key = 'x' | 'halfBreadth' | 'height';
type Figures = Readonly<Partial<Record<Key, number>>>;
type Props = {
  readonly line: HullLine;
  /** Of the line's points. */
  readonly place: number;
  readonly cx: number;
  readonly cy: number;
  readonly px: number;
  /** What the point's figures become when it is dragged to a place of the drawing. */
  readonly figuresAt: (world: readonly [number, number]) => Figures;
};

/** Figures are drawn with a pencil: to a tenth. */
const tenth = (mm: number) => Math.round(mm * 10) / 10;
/** A press that moves less than this, in pixels, picks and drags nothing. */
const SLACK_PX = 3;

/** A point of a line, to pick and to drag: one drag is one thing to undo. */
export function Grip({ line, place, cx, cy, px, figuresAt }: Props) {
  const { palette } = useTheme();
  const dispatch = useAppDispatch();
  const point = line.points[place];
  const isPicked = useAppSelector(
    ({ screen }) => lineOf(screen.picked) === line.id && pointOf(screen.picked) === point?.index && point !== undefined,
  );
  const drag = useRef<{ readonly id: string; readonly from: readonly [number, number]; isMoving: boolean } | null>(
    null,
  );
  if (!point) return null;
  const begin = (event: PointerEvent<SVGCircleElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { id: `drag ${event.timeStamp}`, from: [event.clientX, event.clientY], isMoving: false };
    dispatch(picked(pointThing(line.id, point.index)));
  };
  const move = (event: PointerEvent<SVGCircleElement>) => {
    const now = drag.current;
    const world = now && worldOf(event);
    if (!now || !world) return;
    if (!now.isMoving && Math.hypot(event.clientX - now.from[0], event.clientY - now.from[1]) < SLACK_PX) return;
    now.isMoving = true;
    const figures = Object.entries(figuresAt(world)) as [Key, number][]; // the keys of Figures
    dispatch(
      edited({
        label: `${line.name}, ${pointName(point)}: dragged`,
        gesture: now.id,
        edits: figures.map(([key, mm]) => ({ path: pointPath(line.id, point.index, key), value: tenth(mm) })),
      }),
    );
  };
  const end = () => {
    drag.current = null;
  };
  const colour = point.isKnuckle ? palette.primary.main : palette.background.paper;
  return (
    <circle
      data-grip={`${line.id} ${point.index}`}
      cx={cx}
      cy={-cy}
      r={(isPicked ? 6 : 3.6) * px}
      strokeWidth={(point.isPinned ? 2.6 : 1) * px}
      stroke={isPicked ? palette.secondary.main : palette.text.primary}
      fill={isPicked ? palette.secondary.main : colour}
      style={{ cursor: 'grab' }}
      onPointerDown={begin}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
    />
  );
}

function worldOf(event: PointerEvent<SVGCircleElement>): readonly [number, number] | null {
  const matrix = event.currentTarget.getScreenCTM();
  if (!matrix) return null;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  return [x, -y];
}
