/**
 * The boat from starboard and from above as she lies in the water, her weight's middle and what is aboard: a load is
 * picked by a press and moved by dragging or by the arrows.
 */
import { useTheme } from '@mui/material/styles';
import { useId, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Panel } from '@kalotrope/core/panels';
import { loadThing, profileOf, type Load, type WeightsValue } from '@kalotrope/core/weights';
import { COLOURS } from '../../drawing/colours';
import { pathOf } from '../../drawing/DrawingSurface';
import { useSize } from '../../drawing/use-size';
import { picked } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';
import { useLoads } from './use-loads';

type Point = readonly [number, number];
type Space = readonly [number, number, number];
type Props = { readonly panels: readonly Panel[]; readonly value: WeightsValue; readonly choice: string | undefined };

const PLACE = { flex: '1 1 300px', minHeight: 300, minWidth: 0 } as const;
const MARGIN = 0.06;
const BETWEEN = 0.1;
/** By an arrow key, mm. */
const STEP_MM = 25;
const DISC_PX = 11;
const LETTERS_PX = 14;
/** Of a finger. */
const FINGER_PX = 22;

/** Drawn outlines of the hull, x aft: from the side, and from above to either side. */
function useOutlines(panels: readonly Panel[]) {
  return useMemo(() => {
    const top = panels[panels.length - 1];
    const sheer: readonly Space[] = top ? top.rulings.map(({ q }) => q) : [];
    const inner: readonly (readonly Space[])[] = panels.slice(0, -1).map(({ rulings }) => rulings.map(({ q }) => q));
    return { sheer, inner, low: profileOf(panels) };
  }, [panels]);
}

export function FloatDrawing({ panels, value, choice }: Props) {
  const c = COLOURS[useTheme().palette.mode];
  const clip = useId();
  const { sheer, inner, low } = useOutlines(panels);
  const { afloat, size, allAt, bareAt, allGrams, bareGrams } = value;
  const place = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(place);
  const long = size.to - size.from;
  const broad = Math.max(1, ...sheer.map(([, y]) => y));
  // up is up: y of the picture grows upwards, and is turned where it is drawn
  const under = size.low - BETWEEN * long - broad;
  const side = ([x, , z]: Space): Point => [x, z];
  const above = ([x, y]: Space): Point => [x, under - y];
  const hull: readonly Point[] = [...low.map(side), ...[...sheer].reverse().map(side)];
  const top = Math.max(size.high, ...[allAt, bareAt].map(([, , z]) => z)) + MARGIN * long * 2;
  const boxWide = long * (1 + 2 * MARGIN);
  const boxHigh = top - (under - broad) + MARGIN * long;
  const box = [size.from - MARGIN * long, -top, boxWide, boxHigh];
  const water = (x: number): Point => {
    if (!afloat) return [x, 0];
    const { normal, level } = afloat.plane;
    return [x, (level - normal[0] * x) / normal[2]];
  };
  const [fore, aft] = [water(size.from - MARGIN * long), water(size.to + MARGIN * long)];
  const ring = [...sheer.map(above), ...[...sheer].reverse().map(([x, y]): Point => [x, under + y])];
  // as it is fitted into its place
  const px = Math.max(boxWide / Math.max(1, width), boxHigh / Math.max(1, height));
  const thin = { vectorEffect: 'non-scaling-stroke', strokeWidth: 1.25, fill: 'none' } as const;
  return (
    <div ref={place} style={PLACE}>
      <svg
        viewBox={box.map((n) => n.toFixed(1)).join(' ')}
        style={{ width: '100%', height: '100%', display: 'block' }}
        role="group"
        aria-label="The boat afloat, from starboard and from above"
      >
        <clipPath id={clip}>
          <path d={`${pathOf(hull)}Z`} />
        </clipPath>
        <path d={`${pathOf(hull)}Z`} stroke={c.ink} {...thin} style={{ fill: c.ply }} />
        {afloat && (
          <path
            d={`${pathOf([fore, aft, [aft[0], size.low - long], [fore[0], size.low - long]])}Z`}
            fill={c.main}
            opacity={0.35}
            clipPath={`url(#${clip})`}
          />
        )}
        {inner.map((line, k) => (
          <path key={k} d={pathOf(line.map(side))} stroke={c.quiet} {...thin} />
        ))}
        {afloat && <path d={pathOf([fore, aft])} stroke={c.main} {...thin} strokeWidth={2} />}
        <path d={`${pathOf(ring)}Z`} stroke={c.ink} {...thin} style={{ fill: c.ply }} />
        <path d={pathOf([above([size.from, 0, 0]), above([size.to, 0, 0])])} stroke={c.line} {...thin} />
        {allGrams > bareGrams && <Middle at={side(bareAt)} px={px} colour={c.quiet} label="bare" />}
        <Middle at={side(allAt)} px={px} colour={c.ink} label="all" />
        <Middle at={above(allAt)} px={px} colour={c.ink} label="all" />
        <Loads choice={choice} views={[side, above]} px={px} from={under} />
      </svg>
    </div>
  );
}

type MiddleProps = { readonly at: Point; readonly px: number; readonly colour: string; readonly label: string };

/** Where a weight’s middle is: a cross, with whose it is. */
function Middle({ at: [x, y], px, colour, label }: MiddleProps) {
  const arm = DISC_PX * px;
  return (
    <g stroke={colour} strokeWidth={1.5}>
      <path vectorEffect="non-scaling-stroke" d={`M${x - arm} ${-y}H${x + arm}M${x} ${-y - arm}V${-y + arm}`} />
      <text x={x + arm * 0.6} y={-y - arm * 0.5} fontSize={LETTERS_PX * px} fill={colour} stroke="none">
        {label}
      </text>
    </g>
  );
}

type LoadsProps = {
  readonly choice: string | undefined;
  readonly views: readonly ((p: Space) => Point)[];
  readonly px: number;
  /** The centreline, seen from above. */
  readonly from: number;
};

/** Each load in both views. */
function Loads({ choice, views, px, from }: LoadsProps) {
  const { loads, change } = useLoads();
  return loads
    .filter(({ isAboard }) => isAboard)
    .sort((a, b) => a.x - b.x)
    .map((load, i) => (
      <LoadMarks
        key={load.id}
        load={load}
        isPicked={load.id === choice}
        views={views}
        px={px}
        isNamedUnder={i % 2 === 1}
        from={from}
        onMove={(given) => change(load.id, 'moved', given)}
      />
    ));
}

type MarksProps = {
  readonly load: Load;
  readonly isPicked: boolean;
  readonly views: readonly ((p: Space) => Point)[];
  readonly px: number;
  /** Names of neighbours stand over and under, clear of each other. */
  readonly isNamedUnder: boolean;
  readonly from: number;
  readonly onMove: (given: Partial<Load>) => void;
};

type Moved = { readonly x: number; readonly out: number; readonly up: number };

function LoadMarks({ load, isPicked, views, px, isNamedUnder, from, onMove }: MarksProps) {
  const c = COLOURS[useTheme().palette.mode];
  const dispatch = useAppDispatch();
  const [moved, setMoved] = useState<Moved | null>(null);
  const last = useRef<Moved | null>(null);
  const { x, out, up } = moved ?? load;
  const pick = () => dispatch(picked(loadThing(load.id)));
  /** From the side along and up, from above along and out. */
  const movedTo = (view: number, event: PointerEvent<SVGGElement>): Moved | null => {
    const svg = event.currentTarget.ownerSVGElement;
    const inverse = svg?.getScreenCTM()?.inverse();
    if (!inverse) return null;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(inverse);
    const whole = Math.round;
    return view === 0
      ? { x: whole(at.x), out: load.out, up: whole(-at.y) }
      : { x: whole(at.x), out: whole(from + at.y), up: load.up };
  };
  const drag = (view: number) => (event: PointerEvent<SVGGElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    last.current = movedTo(view, event);
    setMoved(last.current);
  };
  const begin = (event: PointerEvent<SVGGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    pick();
  };
  const end = () => {
    if (last.current) onMove(last.current);
    last.current = null;
    setMoved(null);
  };
  const step = (view: number) => (event: KeyboardEvent) => {
    const by = STEPS[event.key];
    if (event.key === 'Enter' || event.key === ' ') pick();
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    onMove(
      view === 0
        ? { x: load.x + by[0] * STEP_MM, up: load.up + by[1] * STEP_MM }
        : { x: load.x + by[0] * STEP_MM, out: load.out - by[1] * STEP_MM },
    );
  };
  return views.map((view, k) => {
    const [cx, y] = view([x, out, up]);
    return (
      <g key={k}>
        <g
          role="button"
          tabIndex={0}
          aria-label={`${load.name}, ${k === 0 ? 'from the side' : 'from above'}`}
          aria-pressed={isPicked}
          style={{ cursor: 'grab', touchAction: 'none' }}
          onPointerDown={begin}
          onPointerMove={drag(k)}
          onPointerUp={end}
          onPointerCancel={end}
          onKeyDown={step(k)}
        >
          <circle {...{ cx, cy: -y, r: FINGER_PX * px }} fill="transparent" />
          <circle
            {...{ cx, cy: -y, r: DISC_PX * px }}
            fill={isPicked ? c.picked : c.sheet}
            stroke={c.picked}
            strokeWidth={2}
            vectorEffect="non-scaling-stroke"
          />
        </g>
        <text
          x={cx}
          y={-y + (isNamedUnder ? 2.4 : -1.5) * DISC_PX * px}
          fontSize={LETTERS_PX * px}
          textAnchor="middle"
          fill={c.ink}
          aria-hidden="true"
        >
          {load.name}
        </text>
      </g>
    );
  });
}

/** Along, and upwards on the picture. */
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
