/** The slip's left edge: dragged, or moved by arrows, it makes the slip wider or narrower. */
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { slipSized } from '../state/screen-slice';
import { SLIP_PX } from '../storage/last-choices';
import { useAppDispatch, useAppSelector } from '../state/store';

const STEP_PX = 20;

export function SlipEdge() {
  const width = useAppSelector((state) => state.screen.slip.widthPx);
  const dispatch = useAppDispatch();
  const drag = useRef<{ readonly fromX: number; readonly width: number } | null>(null);
  const begin = (event: PointerEvent<HTMLDivElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { fromX: event.clientX, width };
  };
  const move = ({ clientX }: PointerEvent) => {
    if (drag.current) dispatch(slipSized(drag.current.width + drag.current.fromX - clientX));
  };
  const end = () => {
    drag.current = null;
  };
  const step = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowLeft' ? STEP_PX : event.key === 'ArrowRight' ? -STEP_PX : 0;
    if (by === 0) return;
    event.preventDefault();
    dispatch(slipSized(width + by));
  };
  return (
    <div
      role="separator"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label="Width of the slip"
      aria-valuenow={width}
      aria-valuemin={SLIP_PX.least}
      aria-valuemax={SLIP_PX.most}
      className="slip-edge no-print"
      onPointerDown={begin}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
      onKeyDown={step}
      onDoubleClick={() => dispatch(slipSized(SLIP_PX.usual))}
    />
  );
}
