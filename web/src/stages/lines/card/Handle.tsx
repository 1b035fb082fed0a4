import { useTheme } from '@mui/material/styles';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Vec2 } from '@kalotrope/core/geometry';

/** One gesture of a handle: where it is now, and whether it is let go there. */
export type Moved = { readonly to: Vec2; readonly isOver: boolean };

type Props = {
  readonly name: string;
  /** In the drawing's mm, upward. */
  readonly place: Vec2;
  /** Where it stands by the card, if that is drawn a moment later: the arrows go on from there. */
  readonly stands?: Vec2;
  readonly px: number;
  /** Drawn as a ring for a point, as a bar for a frame. */
  readonly look: 'point' | 'frame';
  /** How near to it a press takes it, px; a finger’s breadth unless others stand nearer. */
  readonly reachPx?: number;
  readonly cursor: 'move' | 'ew-resize' | 'ns-resize';
  readonly onMove: (moved: Moved) => void;
  readonly onCancel: () => void;
};

/** A press that moves less than this, in pixels, drags nothing. */
const SLACK_PX = 3;
/** A finger's. */
export const REACH_PX = 22;
/** An arrow moves so far, mm; with Shift ten times. */
const STEP_MM = 1;
const ARROWS: Readonly<Record<string, Vec2>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Something of the card to drag, or to move by the arrows. */
export function Handle({ name, place, stands = place, px, look, reachPx = REACH_PX, cursor, onMove, onCancel }: Props) {
  const { palette } = useTheme();
  const drag = useRef<{ readonly from: Vec2; readonly off: Vec2; isMoving: boolean } | null>(null);
  const begin = (event: PointerEvent<SVGGElement>) => {
    const world = worldOf(event);
    if (!world) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const off: Vec2 = [place[0] - world[0], place[1] - world[1]];
    drag.current = { from: [event.clientX, event.clientY], off, isMoving: false };
  };
  const move = (event: PointerEvent<SVGGElement>, isOver: boolean) => {
    const now = drag.current;
    const world = now && worldOf(event);
    if (isOver) drag.current = null;
    if (!now || !world) return;
    if (!now.isMoving && Math.hypot(event.clientX - now.from[0], event.clientY - now.from[1]) < SLACK_PX) return;
    now.isMoving = true;
    onMove({ to: [world[0] + now.off[0], world[1] + now.off[1]], isOver });
  };
  const onKey = (event: KeyboardEvent) => {
    const way = ARROWS[event.key];
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    const by = (event.shiftKey ? 10 : 1) * STEP_MM;
    onMove({ to: [stands[0] + by * way[0], stands[1] + by * way[1]], isOver: true });
  };
  const stroke = palette.secondary.main;
  return (
    <g
      data-handle={name}
      role="button"
      aria-label={`${name}: drag, or move by the arrows`}
      tabIndex={0}
      className="card-handle"
      style={{ cursor, touchAction: 'none' }}
      onPointerDown={begin}
      onPointerMove={(event) => move(event, false)}
      onPointerUp={(event) => move(event, true)}
      onPointerCancel={() => {
        drag.current = null;
        onCancel();
      }}
      onKeyDown={onKey}
    >
      <title>{name}</title>
      <circle cx={place[0]} cy={-place[1]} r={reachPx * px} fill="transparent" />
      {look === 'point' ? (
        <circle
          cx={place[0]}
          cy={-place[1]}
          r={6 * px}
          fill={palette.background.paper}
          stroke={stroke}
          strokeWidth={2 * px}
        />
      ) : (
        <rect
          x={place[0] - 4 * px}
          y={-place[1] - 9 * px}
          width={8 * px}
          height={18 * px}
          rx={3 * px}
          fill={stroke}
          stroke={palette.background.paper}
          strokeWidth={px}
        />
      )}
    </g>
  );
}

function worldOf(event: PointerEvent<SVGGElement>): Vec2 | null {
  const matrix = event.currentTarget.getScreenCTM();
  if (!matrix) return null;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  return [x, -y];
}
