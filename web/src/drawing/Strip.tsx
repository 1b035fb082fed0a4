/**
 * The strip: the boat's profile small above the drawing, with each frame or joint as a mark that is picked there, and
 * moved along the boat where it may be.
 */
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { DIVISION_MM, formatWithUnit, type Notation } from '@kalotrope/core/measure';
import type { HullLine } from '@kalotrope/core/lines';
import { selectLiveHull, selectNotation, selectStations } from '../state/selectors';
import { useAppSelector } from '../state/store';
import { boxAround } from './DrawingSurface';
import { stationStyle } from './station-style';
import { useWidth } from './use-size';

/** x and height, mm. */
type ProfilePoint = readonly [number, number];

export type StripMark = {
  readonly key: string;
  readonly name: string;
  /** Where it stands along the boat, mm. */
  readonly x: number;
  /** As it is seen from the side; none where it is off the hull. */
  readonly curves: readonly (readonly ProfilePoint[])[];
  readonly isPicked: boolean;
  readonly onPick: () => void;
  /** Moved to a place along the boat; what one movement does is undone at once. */
  readonly onMove?: (x: number, gesture: string) => void;
};

type Props = {
  readonly label: string;
  readonly marks: readonly StripMark[];
  /** What can be done to them, at the right. */
  readonly acts?: ReactNode;
};

const HEIGHT = 98;
const MARGIN = 20;
/** For the names above and the stations below. */
const ABOVE = 21;
const BELOW = 17;
/** What is kept free for them. */
const ACTS_PX = 120;
/** A press that moves less than this, in pixels, picks and moves nothing. */
const SLACK_PX = 3;

export function Strip({ label, marks, acts }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const hull = useAppSelector(selectLiveHull);
  const stations = useAppSelector(selectStations);
  const notation = useAppSelector(selectNotation);
  const { palette, breakpoints } = useTheme();
  const isWide = useMediaQuery(breakpoints.up('md'));
  const reach = isWide ? 9 : 22;
  const curves = hull?.lines.map(profileOf) ?? [];
  // as long as the boat, and as high as what stands on her
  const highest = Math.max(...marks.flatMap((mark) => mark.curves.flat()).map(([, z]) => z), -Infinity);
  const own = boxAround(curves.flat());
  const bounds = { ...own, maxY: Math.max(own.maxY, highest) };
  const deep = bounds.maxY - bounds.minY;
  const room = acts && isWide ? width - ACTS_PX : width;
  const scale = Math.min(
    (room - 2 * MARGIN) / (bounds.maxX - bounds.minX),
    (HEIGHT - ABOVE - BELOW) / Math.max(deep, 1),
  );
  const left = (room - scale * (bounds.maxX - bounds.minX)) / 2;
  const foot = ABOVE + (HEIGHT - ABOVE - BELOW + scale * deep) / 2;
  const atX = (x: number) => left + (x - bounds.minX) * scale;
  const atZ = (z: number) => foot - (z - bounds.minY) * scale;
  const path = (points: readonly ProfilePoint[]) => pathOf(points, atX, atZ);
  return (
    <div ref={box} className="strip no-print">
      {width > 0 && Number.isFinite(scale) && scale > 0 && (
        <svg width={width} height={HEIGHT} role="group" aria-label={label} fontSize={13}>
          <g fill="none" stroke={palette.text.secondary} strokeWidth={1.2}>
            {curves.map((curve, i) => (
              <path key={i} d={path(curve)} />
            ))}
          </g>
          {stations.map((station, i) => (
            <g key={station.label} aria-hidden="true">
              <path d={`M${atX(station.x)} ${HEIGHT - BELOW}v5`} stroke={stationStyle(i, 1).stroke} />
              <text
                x={atX(station.x)}
                y={HEIGHT - 2}
                textAnchor="middle"
                fill={stationStyle(i, 1).stroke}
                fontSize={12}
                className="station-name"
              >
                {station.label}
              </text>
            </g>
          ))}
          {named(marks, atX).map(({ mark, isNamed }) => (
            <Mark
              key={mark.key}
              mark={mark}
              isNamed={isNamed}
              at={Math.min(width - MARGIN / 2, Math.max(MARGIN / 2, atX(mark.x)))}
              wide={width}
              reach={reach}
              path={path}
              toX={(px) => bounds.minX + (px - left) / scale}
              ends={[bounds.minX, bounds.maxX]}
              notation={notation}
            />
          ))}
        </svg>
      )}
      {acts && <div className="strip-acts">{acts}</div>}
    </div>
  );
}

const profileOf = ({ curve }: HullLine): ProfilePoint[] => curve.map(([x, , z]) => [x, z]);

const pathOf = (points: readonly ProfilePoint[], atX: (x: number) => number, atZ: (z: number) => number) =>
  points.map(([x, z], i) => `${i === 0 ? 'M' : 'L'}${atX(x).toFixed(1)} ${atZ(z).toFixed(1)}`).join('');

/** As wide as a name's letters are here, px. */
const LETTER_PX = 7.2;
const BETWEEN_NAMES_PX = 8;

/** Which marks have room for their names: the picked one first, then from forward aft. */
function named(marks: readonly StripMark[], atX: (x: number) => number) {
  const taken: (readonly [number, number])[] = [];
  const claim = (mark: StripMark) => {
    const half = (mark.name.length * LETTER_PX + BETWEEN_NAMES_PX) / 2;
    const [from, to] = [atX(mark.x) - half, atX(mark.x) + half];
    const isFree = taken.every(([a, b]) => to <= a || from >= b);
    if (isFree) taken.push([from, to]);
    return isFree;
  };
  const order = [...marks].sort((a, b) => Number(b.isPicked) - Number(a.isPicked) || a.x - b.x);
  const withNames = new Set(order.filter(claim));
  // the picked one is drawn over the others
  return [...marks]
    .sort((a, b) => Number(a.isPicked) - Number(b.isPicked))
    .map((mark) => ({ mark, isNamed: withNames.has(mark) }));
}

type MarkProps = {
  readonly mark: StripMark;
  readonly isNamed: boolean;
  /** Px across the strip. */
  readonly at: number;
  /** Of the strip, px: no name runs out of it. */
  readonly wide: number;
  readonly reach: number;
  readonly path: (points: readonly ProfilePoint[]) => string;
  readonly toX: (px: number) => number;
  readonly ends: readonly [number, number];
  readonly notation: Notation;
};

const SIZES: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1 };

function Mark({ mark, isNamed, at, wide, reach, path, toX, ends, notation }: MarkProps) {
  const { palette } = useTheme();
  const drag = useRef<{ readonly id: string; readonly from: number; readonly off: number; isMoving: boolean } | null>(
    null,
  );
  const { onMove, onPick, isPicked, name, x } = mark;
  const place = (mm: number) => Math.round(Math.min(ends[1], Math.max(ends[0], mm)));
  const begin = (event: PointerEvent<SVGGElement>) => {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    onPick();
    const own = pxOf(event);
    drag.current = { id: `strip ${event.timeStamp}`, from: own, off: own - at, isMoving: false };
  };
  const move = (event: PointerEvent<SVGGElement>) => {
    const now = drag.current;
    if (!now || !onMove) return;
    const own = pxOf(event);
    if (!now.isMoving && Math.abs(own - now.from) < SLACK_PX) return;
    now.isMoving = true;
    onMove(place(toX(own - now.off)), now.id);
  };
  const end = () => {
    drag.current = null;
  };
  const press = (event: KeyboardEvent) => {
    const way = SIZES[event.key];
    if (event.key === 'Enter' || event.key === ' ') onPick();
    else if (way !== undefined && onMove) {
      onPick();
      const by = way * DIVISION_MM[notation] * (event.shiftKey ? 100 : 10);
      onMove(Math.min(ends[1], Math.max(ends[0], x + by)), `strip ${mark.key}`);
    } else return;
    event.preventDefault();
  };
  const half = (name.length * LETTER_PX) / 2;
  const colour = isPicked ? palette.secondary.main : palette.primary.main;
  const reading = `${formatWithUnit(x, notation)} from the stem`;
  const asSlider = {
    role: 'slider',
    'aria-valuemin': Math.round(ends[0]),
    'aria-valuemax': Math.round(ends[1]),
    'aria-valuenow': Math.round(x),
    'aria-valuetext': reading,
  } as const;
  return (
    <g
      tabIndex={0}
      aria-label={name}
      {...(onMove ? asSlider : { role: 'button', 'aria-pressed': isPicked })}
      style={{ cursor: onMove ? 'ew-resize' : 'pointer', touchAction: 'none' }}
      onPointerDown={begin}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
      onKeyDown={press}
    >
      <title>{`${name}, ${reading}`}</title>
      <rect x={at - reach} width={2 * reach} y={0} height={HEIGHT - BELOW} fill="transparent" />
      {mark.curves.map((curve, i) => (
        <path key={i} d={path(curve)} fill="none" stroke={colour} strokeWidth={isPicked ? 3.5 : 2} />
      ))}
      <path d={`M${at} ${ABOVE - 1}l-5 -6h10Z`} fill={colour} />
      {isNamed && (
        <text
          x={Math.min(wide - half, Math.max(half, at))}
          y={12}
          textAnchor="middle"
          fill={colour}
          fontWeight={isPicked ? 700 : 500}
        >
          {name}
        </text>
      )}
    </g>
  );
}

/** Across the strip's own drawing. */
function pxOf(event: PointerEvent<SVGGElement>): number {
  const drawing = event.currentTarget.ownerSVGElement;
  return event.clientX - (drawing?.getBoundingClientRect().left ?? 0);
}
