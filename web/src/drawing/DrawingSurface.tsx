/**
 * The shared drawing surface: world millimetres under pan and zoom, y up. Wheel or pinch zooms, drag pans,
 * double-click fits.
 */
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomTransform } from 'd3-zoom';
import { useCallback, useEffect, useMemo, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
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
  readonly children: (surface: Surface) => ReactNode;
  readonly corner?: ReactNode;
  /** Keys pressed while the drawing has the focus; it can have it only where this is given. */
  readonly onKeyDown?: (event: KeyboardEvent) => void;
  /** A click on a place of the drawing; while this is given, what lies under the click is not picked. */
  readonly onPlace?: ((world: readonly [number, number]) => void) | undefined;
  readonly onPoint?: (world: readonly [number, number]) => void;
};

const BORDER = 44;

export function DrawingSurface({ label, bounds, children, corner, onKeyDown, onPlace, onPoint }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const svg = useRef<SVGSVGElement>(null);
  const { width, height } = useSize(box);
  const theme = useTheme();
  const fitCount = useAppSelector((state) => state.screen.fitCount);
  const [view, setView] = useState<ZoomTransform>(zoomIdentity);
  const { minX, minY, maxX, maxY } = bounds;
  const settled = useSettled({ minX, minY, maxX, maxY });
  const room = useMediaQuery(theme.breakpoints.up('sm')) ? CORNER.wide : CORNER.narrow;
  const hasCorner = corner !== undefined;
  const fitted = useMemo(
    () => fit(settled, { width, height }, hasCorner ? room : undefined),
    [settled, width, height, hasCorner, room],
  );
  const behaviour = useMemo(
    () =>
      zoom<SVGSVGElement, unknown>()
        .filter((event: MouseEvent) => !event.ctrlKey && event.button === 0 && !isGrip(event.target))
        .on('zoom', ({ transform }: { transform: ZoomTransform }) => setView(transform)),
    [],
  );
  const doFit = useCallback(() => {
    if (svg.current) select(svg.current).call(behaviour.transform, fitted);
  }, [behaviour, fitted]);
  useEffect(() => {
    if (!svg.current) return;
    behaviour.scaleExtent([fitted.k * 0.4, fitted.k * 60]);
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
      {...(onKeyDown
        ? { tabIndex: 0, role: 'group', 'aria-label': `${label}; arrows walk and move points`, onKeyDown }
        : {})}
      className="drawing-surface"
    >
      <svg
        ref={svg}
        role="img"
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
function useSettled(bounds: WorldBox): WorldBox {
  const [settled, setSettled] = useState(bounds);
  if (settled === bounds || isNear(settled, bounds)) return settled;
  setSettled(bounds);
  return bounds;
}

function isNear(a: WorldBox, b: WorldBox): boolean {
  const most = OTHER_DRAWING * Math.max(a.maxX - a.minX, a.maxY - a.minY, 1);
  return (['minX', 'minY', 'maxX', 'maxY'] as const).every((side) => Math.abs(a[side] - b[side]) <= most);
}

/** What lies in the drawing's lower right corner, in pixels, and how far from its edges. */
export const CORNER = { wide: { width: 260, height: 158 }, narrow: { width: 130, height: 84 }, margin: 10 } as const;

type Size = { readonly width: number; readonly height: number };

/** The drawing may be made smaller by this share to keep clear of the corner. */
const LEAST_OF_WHOLE = 0.85;

/** The whole drawing in view: clear of the corner, above it or to its left, where that costs little. */
function fit(box: WorldBox, { width, height }: Size, corner: Size | undefined): ZoomTransform {
  const [w, h] = [Math.max(1, box.maxX - box.minX), Math.max(1, box.maxY - box.minY)];
  const scaleIn = (room: Size) =>
    Math.max(1e-3, Math.min((room.width - 2 * BORDER) / w, (room.height - 2 * BORDER) / h));
  const whole = { width, height };
  const above = corner && { width, height: height - corner.height };
  const beside = corner && { width: width - corner.width, height };
  const clear = above && beside && (scaleIn(above) >= scaleIn(beside) ? above : beside);
  const room = clear && scaleIn(clear) >= LEAST_OF_WHOLE * scaleIn(whole) ? clear : whole;
  const k = scaleIn(room);
  const x = room.width / 2 - (k * (box.minX + box.maxX)) / 2;
  const y = room.height / 2 + (k * (box.minY + box.maxY)) / 2;
  return zoomIdentity.translate(x, y).scale(k);
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
