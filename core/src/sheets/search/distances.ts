/**
 * How far two parts are from each other, or how deep in each other, for any place of the one beside the other.
 *
 * Method: the places in which they overlap are the sum of one with the other turned half round (geometry), without the
 * rooms in holes into which the other goes whole; the distance of a place from the edge of that region is the distance
 * of the parts, and within it the least move that parts them. It is sampled once on a grid and read between its points;
 * `trueDistance` goes round the edge itself. Conventions: places are of the moving part's origin from the still one's.
 * Accuracy: true to the no-fit polygons' 1e-4 mm; the grid to about a cell near corners.
 */
import {
  at,
  boundsOf,
  counterClockwise,
  signedArea,
  solidSum,
  widened,
  type Box,
  type Outline,
  type Region,
} from '../../geometry';
import { roomsIn, turnedRound } from '../rooms';

export type Distances = {
  readonly box: Box;
  readonly cellMm: number;
  readonly columns: number;
  readonly rows: number;
  /** Row by row, negative within. */
  readonly grid: Float32Array;
  /** Of the edge: from x, y to x, y. */
  readonly edges: Float64Array;
  /** Places at which the two stand the wanted distance apart, at corners: x, y. */
  readonly corners: Float64Array;
  /** As far as `trueDistance` has to look. */
  readonly reachMm: number;
  /** Made when it is first asked for. */
  nearby: Nearby | undefined;
};

/** Points of the grid. */
const CELLS = 2000;
/** Cells beyond the region, and at least so many either way. */
const PAD_CELLS = 2;
const LEAST_CELLS = 8;
const LEAST_CELL_MM = 3;

/** Of `moving` round `still`; `apartMm` is the distance that is wanted of them. */
export function distancesOf(still: Region, moving: Region, apartMm: number): Distances {
  const over = solidSum(still.outline, turnedRound(moving.outline));
  const rooms = [
    ...still.holes.flatMap((hole) => roomsIn(hole, moving.outline)),
    ...moving.holes.flatMap((hole) => roomsIn(hole, still.outline).map(turnedRound)),
  ];
  const rings = [...over, ...rooms];
  const edges = Float64Array.from(
    rings.flatMap((ring) => ring.flatMap((a, i) => [...a, ...at(ring, (i + 1) % ring.length)])),
  );
  const tight = boundsOf(rings.flat());
  const [wide, high] = [tight.maxX - tight.minX + 2 * apartMm, tight.maxY - tight.minY + 2 * apartMm];
  const cellMm = Math.max(Math.sqrt((wide * high) / CELLS), LEAST_CELL_MM);
  const columns = Math.max(LEAST_CELLS, Math.ceil(wide / cellMm) + 2 * PAD_CELLS) + 1;
  const rows = Math.max(LEAST_CELLS, Math.ceil(high / cellMm) + 2 * PAD_CELLS) + 1;
  const minX = (tight.minX + tight.maxX - (columns - 1) * cellMm) / 2;
  const minY = (tight.minY + tight.maxY - (rows - 1) * cellMm) / 2;
  const at0 = { minX, minY, cellMm, columns, rows };
  return {
    box: { minX, minY, maxX: minX + (columns - 1) * cellMm, maxY: minY + (rows - 1) * cellMm },
    ...{ cellMm, columns, rows, edges, reachMm: apartMm + REACH_CELLS * cellMm },
    grid: signedGrid(edges, at0),
    corners: Float64Array.from(cornersOf(rings, apartMm)),
    nearby: undefined,
  };
}

type GridAt = {
  readonly minX: number;
  readonly minY: number;
  readonly cellMm: number;
  readonly columns: number;
  readonly rows: number;
};

/**
 * The distances at the grid's points. Points beside an edge know it as their nearest; from there that is handed on from
 * point to point, forward and back.
 */
function signedGrid(edges: Float64Array, where: GridAt): Float32Array {
  const { columns, rows, minX, minY, cellMm } = where;
  const nearest = new Int32Array(columns * rows).fill(-1);
  const apart = new Float64Array(columns * rows).fill(Infinity);
  seedGrid(edges, where, nearest, apart);
  const take = (k: number, from: number, x: number, y: number): void => {
    const edge = nearest[from]!; // both are points of the grid
    if (edge < 0 || edge === nearest[k]) return;
    const square = squareToEdge(edges, edge, x, y);
    if (square >= apart[k]!) return;
    apart[k] = square;
    nearest[k] = edge;
  };
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const k = r * columns + c;
      const [x, y] = [minX + c * cellMm, minY + r * cellMm];
      if (c > 0) take(k, k - 1, x, y);
      if (r === 0) continue;
      take(k, k - columns, x, y);
      if (c > 0) take(k, k - columns - 1, x, y);
      if (c + 1 < columns) take(k, k - columns + 1, x, y);
    }
  for (let r = rows - 1; r >= 0; r--)
    for (let c = columns - 1; c >= 0; c--) {
      const k = r * columns + c;
      const [x, y] = [minX + c * cellMm, minY + r * cellMm];
      if (c + 1 < columns) take(k, k + 1, x, y);
      if (r + 1 === rows) continue;
      take(k, k + columns, x, y);
      if (c + 1 < columns) take(k, k + columns + 1, x, y);
      if (c > 0) take(k, k + columns - 1, x, y);
    }
  const grid = new Float32Array(columns * rows);
  for (let r = 0; r < rows; r++) {
    const crossed = crossedAt(edges, minY + r * cellMm);
    for (let c = 0, passed = 0; c < columns; c++) {
      const k = r * columns + c;
      while (passed < crossed.length && crossed[passed]! < minX + c * cellMm) passed++;
      grid[k] = (passed % 2 === 1 ? -1 : 1) * Math.sqrt(apart[k]!);
    }
  }
  return grid;
}

/** Each edge is walked along, and the four points round every step know it. */
function seedGrid(edges: Float64Array, where: GridAt, nearest: Int32Array, apart: Float64Array): void {
  const { minX, minY, cellMm, columns, rows } = where;
  for (let e = 0; e < edges.length; e += 4) {
    const [ax, ay] = [edges[e]!, edges[e + 1]!];
    const [dx, dy] = [edges[e + 2]! - ax, edges[e + 3]! - ay];
    const steps = Math.max(1, Math.ceil(Math.hypot(dx, dy) / (0.8 * cellMm)));
    let last = -1;
    for (let s = 0; s <= steps; s++) {
      const c = Math.min(columns - 2, Math.floor((ax + (s / steps) * dx - minX) / cellMm));
      const r = Math.min(rows - 2, Math.floor((ay + (s / steps) * dy - minY) / cellMm));
      const corner = r * columns + c;
      if (corner === last) continue;
      last = corner;
      for (let n = 0; n < 4; n++) {
        const k = corner + (n & 1) + (n >> 1) * columns;
        if (nearest[k] === e) continue;
        const square = squareToEdge(edges, e, minX + (c + (n & 1)) * cellMm, minY + (r + (n >> 1)) * cellMm);
        if (square >= apart[k]!) continue;
        apart[k] = square;
        nearest[k] = e;
      }
    }
  }
}

/** Where a level line crosses the edge, from the left. */
function crossedAt(edges: Float64Array, y: number): number[] {
  const found: number[] = [];
  for (let e = 0; e < edges.length; e += 4) {
    const [ay, by] = [edges[e + 1]!, edges[e + 3]!];
    if (ay <= y !== by <= y) found.push(edges[e]! + ((y - ay) * (edges[e + 2]! - edges[e]!)) / (by - ay));
  }
  return found.sort((a, b) => a - b);
}

/** Read between the grid's points; beyond the grid they are further apart than is wanted. */
export function nearDistance({ box, cellMm, columns, grid }: Distances, x: number, y: number): number {
  if (x <= box.minX || y <= box.minY || x >= box.maxX || y >= box.maxY) return Infinity;
  const u = (x - box.minX) / cellMm;
  const v = (y - box.minY) / cellMm;
  const c = Math.floor(u);
  const r = Math.floor(v);
  const fu = u - c;
  const fv = v - r;
  const k = r * columns + c;
  // in bounds by the first test, but for the last row and column, where the share is nought
  const low = grid[k]! + fu * (grid[k + 1]! - grid[k]!);
  const high = grid[k + columns]! + fu * (grid[k + columns + 1]! - grid[k + columns]!);
  return low + fv * (high - low);
}

/**
 * Round the edge itself. Only for places that the grid knows to be near it, within a cell of the wanted distance: looks
 * at no edge that is further off.
 */
export function trueDistance(table: Distances, x: number, y: number): number {
  const { edges, box } = table;
  const nearby = (table.nearby ??= nearbyOf(table));
  const bucket =
    Math.floor(((y - box.minY) / (box.maxY - box.minY)) * BUCKETS) * BUCKETS +
    Math.floor(((x - box.minX) / (box.maxX - box.minX)) * BUCKETS);
  let least = Infinity;
  for (let k = nearby.from[bucket]!; k < nearby.from[bucket + 1]!; k++) {
    const square = squareToEdge(edges, nearby.list[k]!, x, y);
    if (square < least) least = square;
  }
  let isIn = false;
  for (let e = 0; e < edges.length; e += 4) {
    const [ay, by] = [edges[e + 1]!, edges[e + 3]!];
    if (ay <= y !== by <= y && x - edges[e]! < ((y - ay) * (edges[e + 2]! - edges[e]!)) / (by - ay)) isIn = !isIn;
  }
  return isIn ? -Math.sqrt(least) : Math.sqrt(least);
}

/** The edges within reach of each of the squares into which the grid is divided. */
type Nearby = { readonly from: Int32Array; readonly list: Int32Array };

const BUCKETS = 20;
/** Over the wanted distance: the doubt of one cell, and what the grid may be wrong by. */
const REACH_CELLS = 2.5;

function nearbyOf({ edges, box, reachMm }: Distances): Nearby {
  const [wide, high] = [(box.maxX - box.minX) / BUCKETS, (box.maxY - box.minY) / BUCKETS];
  const lists = Array.from({ length: BUCKETS * BUCKETS }, (): number[] => []);
  const bounded = (value: number) => Math.min(BUCKETS - 1, Math.max(0, Math.floor(value)));
  for (let e = 0; e < edges.length; e += 4) {
    const [ax, ay, bx, by] = [edges[e]!, edges[e + 1]!, edges[e + 2]!, edges[e + 3]!];
    const [lowRow, highRow] = [Math.min(ay, by), Math.max(ay, by)].map((y, i) =>
      bounded((y + (2 * i - 1) * reachMm - box.minY) / high),
    );
    for (let r = lowRow!; r <= highRow!; r++) {
      // of the edge what is level with this row, and as much to either side
      const [low, top] = [box.minY + r * high - reachMm, box.minY + (r + 1) * high + reachMm];
      const xAt = (y: number) =>
        ay === by
          ? ax
          : ax + ((Math.min(Math.max(y, Math.min(ay, by)), Math.max(ay, by)) - ay) * (bx - ax)) / (by - ay);
      const [p, q] = ay === by ? [ax, bx] : [xAt(low), xAt(top)];
      const first = bounded((Math.min(p, q) - reachMm - box.minX) / wide);
      const last = bounded((Math.max(p, q) + reachMm - box.minX) / wide);
      for (let c = first; c <= last; c++) lists[r * BUCKETS + c]!.push(e);
    }
  }
  const from = new Int32Array(lists.length + 1);
  lists.forEach((list, k) => (from[k + 1] = from[k]! + list.length));
  return { from, list: Int32Array.from(lists.flat()) };
}

/** The square of a place's distance from an edge. */
function squareToEdge(edges: Float64Array, e: number, x: number, y: number): number {
  const ax = edges[e]!; // four to an edge
  const ay = edges[e + 1]!;
  const dx = edges[e + 2]! - ax;
  const dy = edges[e + 3]! - ay;
  const px = x - ax;
  const py = y - ay;
  const along = (px * dx + py * dy) / (dx * dx + dy * dy || 1);
  const w = along < 0 ? 0 : along > 1 ? 1 : along;
  const ex = px - w * dx;
  const ey = py - w * dy;
  return ex * ex + ey * ey;
}

function cornersOf(rings: readonly Outline[], apartMm: number): number[] {
  const outward = (ring: Outline) => widened(counterClockwise(ring), signedArea(ring) > 0 ? apartMm : -apartMm);
  return rings.flatMap((ring) =>
    (apartMm > 0 ? outward(ring) : [ring]).flatMap((grown) => grown.flatMap((p) => [...p])),
  );
}
