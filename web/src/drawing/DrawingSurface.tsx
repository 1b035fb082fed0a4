/**
 * The shared drawing surface: world millimetres under pan and zoom, y up. Wheel or pinch zooms, drag pans,
 * double-click fits.
 */
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomTransform } from 'd3-zoom';
import {
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  type CSSProperties,
  type KeyboardEvent,
  type ReactNode,
} from 'react';
import { useAppSelector } from '../state/store';
import { useDraft } from './use-draft';
import { useSize } from './use-size';

/** In world mm, y up. */
export type WorldBox = {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
};

/** `px` is the length in world mm of one pixel: sizes that must not change with the zoom are multiples of it. */
type Surface = { readonly px: number };

type Props = {
  readonly label: string;
  readonly bounds: WorldBox;
  /** What is drawn, where that is one of several things: another is fitted anew. */
  readonly of?: string;
  readonly children: (surface: Surface) => ReactNode;
  /** The hull in the round: it takes the room that the drawing leaves. */
  readonly corner?: ReactNode;
  /** So many px high, where the page scrolls; as high as its place unless given. */
  readonly tall?: number | undefined;
  /** There are things in it that take the keys: then it is a group of these, not one picture. */
  readonly hasHandles?: true;
  /** Room within the bounds in which nothing is drawn. */
  readonly free?: WorldBox | undefined;
  /** Keys pressed while the drawing has the focus; it can have it only where this is given. */
  readonly onKeyDown?: (event: KeyboardEvent) => void;
  /** A click on a place of the drawing; while this is given, what lies under the click is not picked. */
  readonly onPlace?: ((world: readonly [number, number]) => void) | undefined;
  readonly onPoint?: (world: readonly [number, number]) => void;
};

const BORDER = 44;

export function DrawingSurface(props: Props) {
  const { label, bounds, of, children, corner, free, tall, hasHandles, onKeyDown, onPlace, onPoint } = props;
  const box = useRef<HTMLDivElement>(null);
  const svg = useRef<SVGSVGElement>(null);
  const { width, height } = useSize(box);
  const theme = useTheme();
  const fitCount = useAppSelector((state) => state.screen.fitCount);
  const [view, setView] = useState<ZoomTransform>(zoomIdentity);
  const { minX, minY, maxX, maxY } = bounds;
  const settled = useSettled({ minX, minY, maxX, maxY }, of);
  const least = useMediaQuery(theme.breakpoints.up('sm')) ? LEAST_CORNER.wide : LEAST_CORNER.narrow;
  const hasCorner = corner !== undefined;
  const hasFree = free !== undefined;
  const fitted = useMemo(
    () => fit(settled, { width, height }, { corner: hasCorner && !hasFree ? least : undefined, isAtTop: hasFree }),
    [settled, width, height, hasCorner, hasFree, least],
  );
  // an edit that moves the room by a hair would be another size of the picture in it, and that drawn anew
  const room = useSettled(free ?? settled, of);
  const place = hasFree ? placeIn(room, fitted, { width, height }, least) : (fitted.corner ?? NOWHERE);
  const behaviour = useMemo(
    () =>
      zoom<SVGSVGElement, unknown>()
        .filter((event: MouseEvent) => !event.ctrlKey && event.button === 0 && !isGrip(event.target))
        .on('zoom', ({ transform }: { transform: ZoomTransform }) => setView(transform)),
    [],
  );
  const doFit = useCallback(() => {
    if (svg.current) select(svg.current).call(behaviour.transform, fitted.transform);
  }, [behaviour, fitted]);
  useEffect(() => {
    if (!svg.current) return;
    behaviour.scaleExtent([fitted.transform.k * 0.4, fitted.transform.k * 60]);
    select(svg.current).call(behaviour).on('dblclick.zoom', null).on('dblclick', doFit);
  }, [behaviour, doFit, fitted]);
  // a new size, another drawing or the key `f`: fit again
  useEffect(doFit, [doFit, fitCount]);
  // panning moves what is drawn; only another scale or other data draws it again
  const px = 1 / view.k;
  const drawn = useMemo(() => children({ px }), [children, px]);
  const isDraft = useDraft(drawn);
  return (
    <div
      ref={box}
      style={{ ...cornerStyle(place), ...(tall !== undefined && { flex: 'none', height: tall }) }}
      {...(onKeyDown
        ? { tabIndex: 0, role: 'group', 'aria-label': `${label}; arrows walk and move points`, onKeyDown }
        : {})}
      className="drawing-surface"
    >
      <svg
        ref={svg}
        role={hasHandles ? 'group' : 'img'}
        aria-label={label}
        width={width}
        height={height}
        shapeRendering={isDraft ? 'optimizeSpeed' : undefined}
        style={{ display: 'block', touchAction: 'none', cursor: onPlace ? 'crosshair' : 'grab' }}
        fontFamily={theme.typography.fontFamily}
        onPointerDownCapture={(event) => {
          if (onPlace && isGrip(event.target)) event.stopPropagation();
        }}
        onClickCapture={(event) => {
          const frame = svg.current?.getBoundingClientRect();
          if (!onPlace || !frame) return;
          event.stopPropagation();
          onPlace([view.invertX(event.clientX - frame.left), -view.invertY(event.clientY - frame.top)]);
        }}
        onPointerMove={(event) => {
          const frame = svg.current?.getBoundingClientRect();
          if (onPoint && frame)
            onPoint([view.invertX(event.clientX - frame.left), -view.invertY(event.clientY - frame.top)]);
        }}
      >
        {width > 0 && <g transform={view.toString()}>{drawn}</g>}
      </svg>
      {corner}
    </div>
  );
}

/** What is dragged by itself does not pan the drawing. */
const isGrip = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest('[data-grip]') !== null;

/** As a share of the drawing's size: a change smaller than this is an edit, and the view stays where it is. */
const OTHER_DRAWING = 0.12;

/** The bounds that the view is fitted to: they follow the drawing only when it becomes another, not at every edit. */
function useSettled(bounds: WorldBox, of: string | undefined): WorldBox {
  const [settled, setSettled] = useState({ bounds, of });
  if (settled.of === of && isNear(settled.bounds, bounds)) return settled.bounds;
  setSettled({ bounds, of });
  return bounds;
}

function isNear(a: WorldBox, b: WorldBox): boolean {
  const most = OTHER_DRAWING * Math.max(a.maxX - a.minX, a.maxY - a.minY, 1);
  return (['minX', 'minY', 'maxX', 'maxY'] as const).every((side) => Math.abs(a[side] - b[side]) <= most);
}

/** The hull in the round is no smaller than this, in pixels, and so far from the edges and the drawing. */
const LEAST_CORNER = { wide: { width: 260, height: 158 }, narrow: { width: 130, height: 84 } } as const;
const MARGIN = 10;

type Size = { readonly width: number; readonly height: number };
/** In pixels of the surface. */
type Place = Size & { readonly left: number; readonly top: number };
type Fitted = { readonly transform: ZoomTransform; readonly corner: Place | undefined };

/** Where the corner is, for what stands in it. */
const cornerStyle = (place: Place): CSSProperties =>
  // React takes properties of any name, its types only those of the language
  Object.fromEntries(
    (['left', 'top', 'width', 'height'] as const).map((key) => [`--corner-${key}`, `${place[key]}px`]),
  );

const NOWHERE: Place = { left: 0, top: 0, width: 0, height: 0 };

/** The drawing may be made smaller by this share to keep clear of the corner. */
const LEAST_OF_WHOLE = 0.6;

type Beside = {
  readonly corner: Size | undefined;
  /** The drawing has room of its own for the corner: what is left below goes to that. */
  readonly isAtTop: boolean;
};

/**
 * The whole drawing in view, and beside it or below it what else is shown, in all the room that is left; over its lower
 * right corner where keeping clear would make the drawing much smaller.
 */
function fit(box: WorldBox, { width, height }: Size, { corner, isAtTop }: Beside): Fitted {
  const [w, h] = [Math.max(1, box.maxX - box.minX), Math.max(1, box.maxY - box.minY)];
  const scaleIn = (room: Size) =>
    Math.max(1e-3, Math.min((room.width - 2 * BORDER) / w, (room.height - 2 * BORDER) / h));
  const whole = { width, height };
  const above = corner && { width, height: height - corner.height };
  const beside = corner && { width: width - corner.width, height };
  const clear = above && beside && (scaleIn(above) >= scaleIn(beside) ? above : beside);
  const isClear = clear && scaleIn(clear) >= LEAST_OF_WHOLE * scaleIn(whole);
  const k = scaleIn(isClear ? clear : whole);
  // what the drawing does not need of its side goes to the other
  const [across, up] = [w * k + 2 * BORDER, h * k + 2 * BORDER];
  const room = {
    width: isClear && clear === beside ? Math.min(clear.width, across) : width,
    height: isAtTop ? Math.min(height, up) : isClear && clear === above ? Math.min(clear.height, up) : height,
  };
  const x = room.width / 2 - (k * (box.minX + box.maxX)) / 2;
  const y = room.height / 2 + (k * (box.minY + box.maxY)) / 2;
  const transform = zoomIdentity.translate(x, y).scale(k);
  if (!corner) return { transform, corner: undefined };
  const left = room.width < width ? room.width : isClear ? MARGIN : width - corner.width - MARGIN;
  const top = room.height < height ? room.height : isClear ? MARGIN : height - corner.height - MARGIN;
  return { transform, corner: { left, top, width: width - left - MARGIN, height: height - top - MARGIN } };
}

/** A free place within the drawing, out to the surface's edges; where that is too small, the lower right corner. */
function placeIn(free: WorldBox, { transform }: Fitted, { width, height }: Size, least: Size): Place {
  const [left, top] = [transform.applyX(free.minX), transform.applyY(-free.maxY)];
  const place = { left, top, width: width - left - MARGIN, height: height - top - MARGIN };
  if (place.width >= least.width && place.height >= least.height) return place;
  return { ...least, left: width - least.width - MARGIN, top: height - least.height - MARGIN };
}

/** World points as SVG path data: SVG runs downwards. */
export const pathOf = (points: readonly (readonly [number, number])[], isClosed = false): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${(-y).toFixed(2)}`).join('') +
  (isClosed ? 'Z' : '');

export const boxAround = (points: readonly (readonly [number, number])[]): WorldBox =>
  points.reduce<WorldBox>(
    (box, [x, y]) => ({
      minX: Math.min(box.minX, x),
      minY: Math.min(box.minY, y),
      maxX: Math.max(box.maxX, x),
      maxY: Math.max(box.maxY, y),
    }),
    { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity },
  );
