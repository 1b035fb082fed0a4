/**
 * How a full-size drawing is parted on pages to be joined: which pages there are, and what of it each shows.
 *
 * Method: a grid of pages, upright or on their side, whichever takes fewer; a page that no line passes is left out. For
 * edges only, the grid keeps its columns, and in each the pages go where the cut edges are: the fewest that hold them,
 * by taking the lowest edge that is not yet on a page again and again. Neighbours share a strip in which crosses stand
 * at even distances, so that pages are laid cross on cross.
 */
import type { Vec2 } from '../geometry';
import { drawingBounds, type Drawing, type DrawnPath } from './drawing';
import { PAPERS, type Paper } from './paper';

export type TileLayout = { readonly paper: Paper; readonly isEdgesOnly: boolean };

/** A page: the lower left corner of what it shows, in the drawing. */
export type Tile = { readonly x: number; readonly y: number; readonly column: number; readonly row: number };
export type TilePlan = {
  readonly page: { readonly width: number; readonly height: number };
  /** What a page shows. */
  readonly frame: { readonly width: number; readonly height: number };
  readonly tiles: readonly Tile[];
  /** Pages of the grid on which nothing would be. */
  readonly leftOut: number;
  /** Where the pages' crosses stand, in the drawing. */
  readonly crosses: readonly Vec2[];
};

/** No printer prints nearer to the edge than it must; and under the frame two lines say what page it is. */
export const TILE_MARGIN_MM = 8;
export const TILE_BAND_MM = 10;
export const OVERLAP_MM = 12;
const CROSS_EVERY_MM = 100;
/** Beside an edge that is printed without the rest. */
const BESIDE_EDGE_MM = 15;
/** A page of a roll is cut off after so much: a PDF's page is no longer. */
const LONGEST_PAGE_MM = 5000;

export function planTiles(drawing: Drawing, { paper, isEdgesOnly }: TileLayout): TilePlan {
  const printed = drawing.paths.filter(({ only }) => only !== 'files');
  const lay = (width: number, height: number) =>
    isEdgesOnly ? layEdges(drawing, printed, { width, height }) : layGrid(drawing, printed, { width, height });
  const { width, height } = PAPERS[paper];
  if (height === null) return lay(rollPage(drawing), width);
  const [upright, aside] = [lay(width, height), lay(height, width)];
  return upright.tiles.length <= aside.tiles.length ? upright : aside;
}

function rollPage(drawing: Drawing): number {
  const { minX, maxX } = drawingBounds(drawing);
  return Math.min(LONGEST_PAGE_MM, maxX - minX + 2 * (TILE_MARGIN_MM + BESIDE_EDGE_MM));
}

const frameOf = ({ width, height }: TilePlan['page']) => ({
  width: width - 2 * TILE_MARGIN_MM,
  height: height - 2 * TILE_MARGIN_MM - TILE_BAND_MM,
});

/** So many pages hold a length, and where the first begins: what is over lies at both ends alike. */
function along(from: number, to: number, frame: number) {
  const step = frame - OVERLAP_MM;
  const count = Math.max(1, Math.ceil((to - from - OVERLAP_MM) / step));
  const start = (from + to - count * step - OVERLAP_MM) / 2;
  return { count, starts: Array.from({ length: count }, (_, k) => start + k * step) };
}

/** The middles of the strips that neighbours share. */
const seams = (starts: readonly number[]): number[] => starts.slice(1).map((start) => start + OVERLAP_MM / 2);

const evenBetween = (from: number, to: number): number[] => {
  const first = Math.ceil(from / CROSS_EVERY_MM);
  return Array.from({ length: Math.max(0, Math.floor(to / CROSS_EVERY_MM) - first + 1) }, (_, k) => {
    return (first + k) * CROSS_EVERY_MM;
  });
};

function layGrid(drawing: Drawing, printed: readonly DrawnPath[], page: TilePlan['page']): TilePlan {
  const box = drawingBounds(drawing);
  const frame = frameOf(page);
  const across = along(box.minX, box.maxX, frame.width);
  const up = along(box.minY, box.maxY, frame.height);
  const all = up.starts
    .map((y, row) => across.starts.map((x, column): Tile => ({ x, y, column, row })))
    .reverse()
    .flat();
  const tiles = all.filter(({ x, y }) =>
    printed.some((path) => passesThrough(path, [x, y], [x + frame.width, y + frame.height])),
  );
  const crosses = [
    ...seams(across.starts).flatMap((x) => evenBetween(box.minY, box.maxY).map((y): Vec2 => [x, y])),
    ...seams(up.starts).flatMap((y) => evenBetween(box.minX, box.maxX).map((x): Vec2 => [x, y])),
  ];
  return { page, frame, tiles, leftOut: all.length - tiles.length, crosses };
}

function layEdges(drawing: Drawing, printed: readonly DrawnPath[], page: TilePlan['page']): TilePlan {
  const box = drawingBounds(drawing);
  const frame = frameOf(page);
  const cut = printed.filter(({ layer }) => layer === 'cut');
  const edges = cut.length > 0 ? cut : printed; // of a drawing that is only looked at, all
  const across = along(box.minX, box.maxX, frame.width);
  const up = along(box.minY, box.maxY, frame.height);
  const tiles = across.starts.flatMap((x, column) =>
    coveringStarts(heightsWithin(edges, x, x + frame.width), frame.height).map((y, row): Tile => ({
      ...{ x, y, column, row },
    })),
  );
  const crosses = seams(across.starts).flatMap((x) => evenBetween(box.minY, box.maxY).map((y): Vec2 => [x, y]));
  return { page, frame, tiles, leftOut: Math.max(0, across.count * up.count - tiles.length), crosses };
}

type Span = { readonly from: number; readonly to: number };

/** The fewest pages that hold spans one above another. */
function coveringStarts(spans: readonly Span[], high: number): number[] {
  const starts: number[] = [];
  let covered = -Infinity;
  for (const { from, to } of [...spans].sort((a, b) => a.from - b.from)) {
    let low = Math.max(from, covered);
    while (low < to || (low === from && covered < from)) {
      const start = low - BESIDE_EDGE_MM;
      starts.push(start);
      covered = start + high - BESIDE_EDGE_MM;
      low = covered;
    }
  }
  return starts;
}

/** How far up and down each segment reaches between two places along. */
function heightsWithin(paths: readonly DrawnPath[], fromX: number, toX: number): Span[] {
  return paths.flatMap((path) =>
    segments(path).flatMap(([a, b]) => {
      const part = clipped(a, b, [fromX, -Infinity], [toX, Infinity]);
      if (!part) return [];
      const ys = [part.from, part.to].map((w) => a[1] + w * (b[1] - a[1]));
      return [{ from: Math.min(...ys), to: Math.max(...ys) }];
    }),
  );
}

const segments = ({ points, isClosed }: DrawnPath): (readonly [Vec2, Vec2])[] => {
  const round = isClosed && points[0] ? [...points, points[0]] : points;
  return round.slice(1).flatMap((b, i) => {
    const a = round[i];
    return a ? [[a, b] as const] : [];
  });
};

/** Whether any of the path lies in the box. */
const passesThrough = (path: DrawnPath, low: Vec2, high: Vec2): boolean =>
  segments(path).some(([a, b]) => clipped(a, b, low, high) !== undefined);

/** The share of a segment within a box, from 0 to 1 along it (Liang and Barsky 1984). */
function clipped(a: Vec2, b: Vec2, low: Vec2, high: Vec2): Span | undefined {
  let [from, to] = [0, 1];
  for (const axis of [0, 1] as const) {
    const d = b[axis] - a[axis];
    if (d === 0 && (a[axis] < low[axis] || a[axis] > high[axis])) return undefined;
    if (d === 0) continue;
    const ends = [(low[axis] - a[axis]) / d, (high[axis] - a[axis]) / d];
    from = Math.max(from, Math.min(...ends));
    to = Math.min(to, Math.max(...ends));
  }
  return from <= to ? { from, to } : undefined;
}
