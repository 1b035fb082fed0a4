import { useTheme } from '@mui/material/styles';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Tape } from '@kalotrope/core/lines';
import { DIVISION_MM, formatLength, formatWithUnit, type Notation } from '@kalotrope/core/measure';
import { useWidth } from '../drawing/use-size';
import { tapeMarked } from '../state/screen-slice';
import { selectNotation } from '../state/selectors';
import { useAppDispatch, useAppSelector } from '../state/store';

const HEIGHT = 54;
const MARGIN = 16;

/** The tape along the front edge of the bench: it lies on the picked edge, and its mark moves with the drawing's. */
export function TapeBar({ tape }: { readonly tape: Tape }) {
  const mark = useAppSelector((state) => state.screen.tapeMm);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const scale = (width - 2 * MARGIN) / tape.length;
  const point = (event: PointerEvent) => {
    if (!box.current) return;
    const s = (event.clientX - box.current.getBoundingClientRect().left - MARGIN) / scale;
    dispatch(tapeMarked(Math.min(tape.length, Math.max(0, s))));
  };
  const step = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    const size = DIVISION_MM[notation] * (event.shiftKey ? 100 : 10);
    dispatch(tapeMarked(Math.min(tape.length, Math.max(0, (mark ?? 0) + by * size))));
  };
  const reading = `${formatWithUnit(mark ?? 0, notation)} of ${formatWithUnit(tape.length, notation)}`;
  return (
    <div
      ref={box}
      role="slider"
      tabIndex={0}
      aria-label={`Tape along ${tape.name}`}
      aria-valuemin={0}
      aria-valuemax={Math.round(tape.length)}
      aria-valuenow={Math.round(mark ?? 0)}
      aria-valuetext={reading}
      onPointerMove={point}
      onKeyDown={step}
      className="tape"
    >
      {width > 0 && <TapeDrawing tape={tape} mark={mark} notation={notation} scale={scale} width={width} />}
    </div>
  );
}

type DrawingProps = {
  readonly tape: Tape;
  readonly mark: number | null;
  readonly notation: Notation;
  readonly scale: number;
  readonly width: number;
};

function TapeDrawing({ tape, mark, notation, scale, width }: DrawingProps) {
  const { palette } = useTheme();
  const step = roundStep(tape.length, width, notation);
  const count = Math.floor(tape.length / step);
  const x = (s: number) => MARGIN + s * scale;
  const reading =
    mark === null
      ? `${tape.name}: ${formatWithUnit(tape.length, notation)}`
      : `${tape.name}: ${formatWithUnit(mark, notation)}`;
  return (
    <svg
      width={width}
      height={HEIGHT - 1}
      style={{ display: 'block' }}
      aria-hidden="true"
      fontSize={13}
      fill={palette.text.secondary}
    >
      <line x1={MARGIN} x2={x(tape.length)} y1={1} y2={1} stroke={palette.text.secondary} />
      {Array.from({ length: count + 1 }, (_, i) => (
        <g key={i}>
          <line x1={x(i * step)} x2={x(i * step)} y1={0} y2={10} stroke={palette.text.secondary} />
          <text x={x(i * step) + 3} y={14}>
            {formatLength(i * step, notation)}
          </text>
        </g>
      ))}
      {tape.ticks.map((tick) => (
        <g key={tick.label}>
          <path d={`M${x(tick.s)} 20l-4 8h8Z`} fill={palette.primary.main} />
          <text x={x(tick.s) + 6} y={29} fill={palette.primary.main}>
            {tick.label}
          </text>
        </g>
      ))}
      {mark !== null && (
        <line x1={x(mark)} x2={x(mark)} y1={0} y2={HEIGHT} stroke={palette.secondary.main} strokeWidth={2} />
      )}
      <text x={MARGIN} y={47} fill={palette.text.primary} fontWeight={600}>
        {reading}
      </text>
    </svg>
  );
}

/** Even steps in the notation's own numbers, some 80 px apart. */
function roundStep(length: number, width: number, notation: Notation): number {
  const wanted = (length * 90) / width;
  const unit = notation === 'mm' || notation === 'm' ? 1 : 25.4;
  const steps = unit === 1 ? [10, 20, 50, 100, 200, 250, 500, 1000] : [1, 2, 3, 6, 12, 24, 36];
  return unit * (steps.find((step) => step * unit >= wanted) ?? steps[steps.length - 1]!); // the list is not empty
}
