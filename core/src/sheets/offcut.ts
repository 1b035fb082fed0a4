/**
 * What is left of a sheet in one useful piece: the largest rectangle, and the true outline of what holds it.
 *
 * Method: the rectangle over a grid of cells that nothing touches, row by row as under a histogram (the standard scan
 * for the largest rectangle of a binary matrix); it is on the safe side by a cell. The outline is what the parts, moved
 * out by the gap, leave of the sheet, without strips narrower than twice NARROW_MM.
 */
import {
  area,
  at,
  boundsOf,
  boxOutline,
  contains,
  differenceOf,
  grownRound,
  simplify,
  widened,
  type Box,
  type Outline,
  type Vec2,
} from '../geometry';
import type { NestBatch } from './batches';
import { edgeOfSheet, placedOutline } from './check';
import type { UsedSheet } from './result';

/** Cells of the grid, mm. */
const CELL_MM = 10;
/** A strip of less than twice this is no offcut. */
const NARROW_MM = 40;
/** By so much the outline may be smaller than what is left. */
const SIMPLER_MM = 1;
/** Fewer points than the project holds. */
const MOST_POINTS = 180;

export type Offcut = { readonly box: Box; readonly outline: Outline };

/** The largest offcut of a sheet; undefined where nothing useful is left. */
export function largestOffcut(sheet: UsedSheet, { job }: NestBatch, leastMm: number): Offcut | undefined {
  const stock = job.sheets.find(({ id }) => id === sheet.id);
  if (!stock) return undefined;
  const parts = sheet.placements.flatMap((placement) => {
    const part = job.parts.find(({ id }) => id === placement.part);
    return part ? [placedOutline(part.outline, placement)] : [];
  });
  const whole = edgeOfSheet(stock);
  const away = [...grownRound(parts, job.gap), ...(stock.zones ?? [])];
  const left = differenceOf([whole], away);
  const box = largestRectangle(left.map(({ outline, holes }) => [outline, ...holes]).flat(), stock);
  if (!box || Math.min(box.maxX - box.minX, box.maxY - box.minY) < leastMm) return undefined;
  const middle: Vec2 = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const region = left.find(
    ({ outline, holes }) => contains(outline, middle) && !holes.some((h) => contains(h, middle)),
  );
  return { box, outline: region && region.holes.length === 0 ? outlineOf(region.outline, box) : boxOutline(box) };
}

/** Without narrow strips, in few points, nowhere outside of what is left. */
function outlineOf(left: Outline, box: Box): Outline {
  const middle: Vec2 = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const broad = widened(left, -NARROW_MM).flatMap((ring) => grownRound([ring], NARROW_MM - SIMPLER_MM));
  const own = broad.filter((ring) => contains(ring, middle)).sort((a, b) => area(b) - area(a))[0];
  if (!own) return boxOutline(box);
  const simple = simplify([...own, at(own, 0)], SIMPLER_MM).slice(0, -1);
  return simple.length > MOST_POINTS || simple.length < 3 ? boxOutline(box) : simple;
}

/** Of an area given by its rings, outer ones and holes alike. */
function largestRectangle(rings: readonly Outline[], { width, height }: { width: number; height: number }) {
  const [columns, rows] = [Math.floor(width / CELL_MM), Math.floor(height / CELL_MM)];
  const isFree = freeCells(rings, columns, rows);
  // upward of each cell, how many are free
  const heights = new Int32Array(columns);
  let best: { readonly area: number; readonly box: Box } | undefined;
  for (let row = 0; row < rows; row++) {
    const open: { readonly from: number; readonly high: number }[] = [];
    for (let column = 0; column <= columns; column++) {
      if (column < columns) heights[column] = isFree[row * columns + column] ? heights[column]! + 1 : 0; // in bounds
      const high = column < columns ? heights[column]! : 0;
      let from = column;
      while (open.length > 0 && at(open, -1).high >= high) {
        const last = at(open, -1);
        open.pop();
        from = last.from;
        const cells = last.high * (column - last.from);
        if (cells > (best?.area ?? 0))
          best = { area: cells, box: boxOf(last.from, column, row + 1 - last.high, row + 1) };
      }
      if (high > 0) open.push({ from, high });
    }
  }
  return best?.box;
}

const boxOf = (left: number, right: number, low: number, high: number): Box => ({
  ...{ minX: left * CELL_MM, maxX: right * CELL_MM, minY: low * CELL_MM, maxY: high * CELL_MM },
});

/** Cells that lie whole within: their middle does, and no edge passes through them. */
function freeCells(rings: readonly Outline[], columns: number, rows: number): Uint8Array {
  const free = new Uint8Array(columns * rows);
  for (let row = 0; row < rows; row++) {
    const y = (row + 0.5) * CELL_MM;
    const crossings = rings.flatMap((ring) => crossingsAt(ring, y)).sort((a, b) => a - b);
    for (let k = 0; k + 1 < crossings.length; k += 2)
      for (let column = 0; column < columns; column++) {
        const x = (column + 0.5) * CELL_MM;
        if (x > crossings[k]! && x < crossings[k + 1]!) free[row * columns + column] = 1; // in bounds by the loop
      }
  }
  for (const ring of rings)
    ring.forEach((a, i) => {
      const b = at(ring, (i + 1) % ring.length);
      const steps = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / (CELL_MM / 4)));
      for (let k = 0; k <= steps; k++) block(a[0] + ((b[0] - a[0]) * k) / steps, a[1] + ((b[1] - a[1]) * k) / steps);
    });
  function block(x: number, y: number): void {
    // a point on the line between two cells blocks neither: the edge itself may be used
    const [u, v] = [x / CELL_MM, y / CELL_MM];
    if (Number.isInteger(u) || Number.isInteger(v)) return;
    const [column, row] = [Math.floor(u), Math.floor(v)];
    if (column >= 0 && column < columns && row >= 0 && row < rows) free[row * columns + column] = 0;
  }
  return free;
}

const crossingsAt = (ring: Outline, y: number): number[] =>
  ring.flatMap((a, i) => {
    const b = at(ring, (i + 1) % ring.length);
    return a[1] <= y === b[1] <= y ? [] : [a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0])];
  });

/** An offcut's outline as it is kept in the stock: from its own lower left corner. */
export function asKept({ outline }: Pick<Offcut, 'outline'>): {
  width: number;
  height: number;
  outline: { x: number; y: number }[];
} {
  const { minX, minY, maxX, maxY } = boundsOf(outline);
  const round = (mm: number) => Math.round(mm * 10) / 10;
  const [width, height] = [round(maxX - minX), round(maxY - minY)];
  const points = outline.map(([x, y]) => ({
    x: Math.min(width, Math.max(0, round(x - minX))),
    y: Math.min(height, Math.max(0, round(y - minY))),
  }));
  const isRectangle = Math.abs(area(outline) - (maxX - minX) * (maxY - minY)) < 1;
  return { width, height, outline: isRectangle ? [] : points };
}
