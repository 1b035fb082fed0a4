/**
 * What of lines in space is seen past surfaces in space: for a drawing of a solid thing with lines alone.
 *
 * Method: a buffer of depths (Catmull 1974). The surfaces are filled, line by line of a grid, with how near they are
 * along the line of sight; each line is then followed in steps of a cell, and stands where no surface is nearer than it
 * by more than BIAS cells. A surface is rings in space, filled where a line of the grid is inside an odd number of
 * them, its depth straight between the crossings: exact for a plane one, near enough for one bent a little.
 * Conventions: seen from afar, without perspective; `toEye` points from the thing to the eye. Up stays up.
 * Accuracy: a cell, a share of 1/CELLS of the breadth. Cost: cells and samples.
 */
import { simplify } from './polyline';
import { cross3, dot3, unit3, type Vec2, type Vec3 } from './vec';

export type SeenSurface = readonly (readonly Vec3[])[];

/** `isWithin`: it lies close behind surfaces that hide it, as the edge of a frame does behind the skin. */
export type SeenLine = { readonly points: readonly Vec3[]; readonly isWithin?: boolean };

export type SeenFrom = {
  readonly surfaces: readonly SeenSurface[];
  readonly lines: readonly SeenLine[];
  readonly toEye: Vec3;
};

/** Cells of the grid across all that is seen. */
const CELLS = 1800;
/** A line on a surface is not hidden by that surface: so many cells nearer is the same. */
const BIAS = 8;

type Grid = { readonly near: Float32Array; readonly wide: number; readonly high: number };
type Placed = { readonly x: number; readonly y: number; readonly near: number };

/** For each line the stretches of it that are seen, x to the right and y up, mm. */
export function seenLines({ surfaces, lines, toEye }: SeenFrom): Vec2[][][] {
  const look = unit3(toEye);
  const right = unit3(cross3([0, 0, 1], look));
  const up = cross3(look, right);
  const all = [...surfaces.flat(2), ...lines.flatMap(({ points }) => points)].map((p): Vec2 => [
    dot3(p, right),
    dot3(p, up),
  ]);
  if (all.length === 0) return lines.map(() => []);
  const [minX, minY] = [0, 1].map((k) => all.reduce((least, p) => Math.min(least, p[k]!), Infinity)) as [
    number,
    number,
  ];
  const [maxX, maxY] = [0, 1].map((k) => all.reduce((most, p) => Math.max(most, p[k]!), -Infinity)) as [number, number];
  const cell = Math.max(maxX - minX, maxY - minY, 1e-9) / CELLS;
  const place = (p: Vec3): Placed => ({
    ...{ x: (dot3(p, right) - minX) / cell, y: (dot3(p, up) - minY) / cell },
    near: dot3(p, look) / cell,
  });
  const size = { wide: Math.ceil((maxX - minX) / cell) + 2, high: Math.ceil((maxY - minY) / cell) + 2 };
  const grid: Grid = { ...size, near: new Float32Array(size.wide * size.high).fill(-Infinity) };
  for (const surface of surfaces)
    fill(
      grid,
      surface.map((ring) => ring.map(place)),
    );
  const back = ({ x, y }: Placed): Vec2 => [minX + x * cell, minY + y * cell];
  return lines.map(({ points, isWithin = false }) =>
    stretchesSeen(grid, points.map(place), isWithin ? 0 : BIAS).map((stretch) => simplify(stretch.map(back), cell / 2)),
  );
}

function fill({ near, wide, high }: Grid, rings: readonly (readonly Placed[])[]): void {
  const levels = rings.flat().map(({ y }) => y);
  const first = Math.max(0, Math.ceil(Math.min(...levels) - 0.5));
  const last = Math.min(high - 1, Math.floor(Math.max(...levels) - 0.5));
  for (let row = first; row <= last; row++) {
    const crossed = rings.flatMap((ring) => crossingsOf(ring, row + 0.5)).sort((a, b) => a.x - b.x);
    for (let k = 0; k + 1 < crossed.length; k += 2) {
      const [from, to] = [crossed[k]!, crossed[k + 1]!]; // both within the list
      const slope = to.x - from.x > 1e-9 ? (to.near - from.near) / (to.x - from.x) : 0;
      for (let x = Math.max(0, Math.ceil(from.x - 0.5)); x <= Math.min(wide - 1, Math.floor(to.x - 0.5)); x++) {
        const i = row * wide + x;
        near[i] = Math.max(near[i]!, from.near + slope * (x + 0.5 - from.x)); // i is within the grid
      }
    }
  }
}

function crossingsOf(ring: readonly Placed[], level: number): Placed[] {
  return ring.flatMap((a, i) => {
    const b = ring[(i + 1) % ring.length]!; // within the ring
    if (a.y > level === b.y > level) return [];
    const t = (level - a.y) / (b.y - a.y);
    return [{ x: a.x + t * (b.x - a.x), y: level, near: a.near + t * (b.near - a.near) }];
  });
}

function stretchesSeen(grid: Grid, line: readonly Placed[], bias: number): Placed[][] {
  const stretches: Placed[][] = [];
  let isOpen = false;
  for (const p of everyCell(line)) {
    const isNow = isSeen(grid, p, bias);
    if (isNow && isOpen) stretches[stretches.length - 1]?.push(p);
    else if (isNow) stretches.push([p]);
    isOpen = isNow;
  }
  return stretches.filter(({ length }) => length > 1);
}

/** Places a cell apart, the line's own points among them. */
function everyCell(line: readonly Placed[]): Placed[] {
  return line.flatMap((b, i) => {
    const a = line[i - 1];
    if (!a) return [b];
    const steps = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y)));
    return Array.from({ length: steps }, (_, k): Placed => {
      const t = (k + 1) / steps;
      return { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y), near: a.near + t * (b.near - a.near) };
    });
  });
}

/** At the edge of a surface the cell itself may be filled by what is nearer: its neighbours tell. */
function isSeen({ near, wide, high }: Grid, p: Placed, bias: number): boolean {
  const [col, row] = [Math.floor(p.x), Math.floor(p.y)];
  for (let y = Math.max(0, row - 1); y <= Math.min(high - 1, row + 1); y++)
    for (let x = Math.max(0, col - 1); x <= Math.min(wide - 1, col + 1); x++)
      if (near[y * wide + x]! <= p.near + bias) return true; // within the grid
  return false;
}
