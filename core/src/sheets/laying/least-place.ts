/**
 * The least place of a part on a sheet that keeps it apart from what lies there: leftmost, then lowest.
 *
 * Method: the least position is a corner of the sheet's own rectangle of positions, a corner of a no-fit polygon, or a
 * crossing of two. Accuracy: positions good to 1e-6 mm.
 */
import {
  area,
  at,
  boundsOf,
  contains,
  intersectionOf,
  moved,
  regionDistance,
  type Box,
  type Outline,
  type Vec2,
} from '../../geometry';
import type { NoFit } from './no-fit';
import type { Pose } from './poses';

/** A pose on a sheet: where its origin lies. */
export type Standing = { readonly pose: Pose; readonly at: Vec2 };

/** Positions that reach this far into a no-fit polygon still count as touching. */
const TOUCH_MM = 1e-6;

/** Edges whose cross product is this small run along each other; shares of an edge are good to END_DUST. */
const PARALLEL = 1e-12;

const END_DUST = 1e-9;

/** The rectangle of positions in which a part lies on the sheet; undefined when it is too large. */
export function positionsOn(pose: Pose, sheet: { width: number; height: number }, margin: number): Box | undefined {
  const box = {
    minX: margin - pose.exactBox.minX,
    minY: margin - pose.exactBox.minY,
    maxX: sheet.width - margin - pose.exactBox.maxX,
    maxY: sheet.height - margin - pose.exactBox.maxY,
  };
  return box.maxX < box.minX - TOUCH_MM || box.maxY < box.minY - TOUCH_MM ? undefined : box;
}

export type Ring = { readonly points: Outline; readonly box: Box };

/** The leftmost, then lowest position in the room that is inside no no-fit polygon; none when the time is over. */
export function leastPlace(
  room: Box,
  placed: readonly Standing[],
  pose: Pose,
  noFit: NoFit,
  limit: number,
): Vec2 | undefined {
  const walls: Ring[][] = [];
  for (const other of placed) {
    if (noFit.isOver()) return undefined;
    walls.push(
      noFit(other.pose, pose).rings.map((ring) => {
        const points = moved(ring, other.at[0], other.at[1]);
        return { points, box: boundsOf(points) };
      }),
    );
  }
  const near = walls.filter((rings) => rings.some((ring) => overlaps(ring.box, room)));
  const candidates = candidatePlaces(room, near.flat(), limit, noFit.isOver);
  candidates.sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const isFree = (p: Vec2) => !near.some((rings) => isInside(rings, p)) && isApart(pose, p, placed, noFit.gap);
  const found = candidates.find((p) => noFit.isOver() || isFree(p));
  return found && !noFit.isOver() ? found : undefined;
}

/** The last word on a place: true distances to what lies there, whatever the no-fit polygons said. */
export function isApart(pose: Pose, p: Vec2, placed: readonly Standing[], gap: number): boolean {
  const shape = moved(pose.shape, p[0], p[1]);
  const reach = {
    minX: pose.box.minX + p[0] - gap,
    minY: pose.box.minY + p[1] - gap,
    maxX: pose.box.maxX + p[0] + gap,
    maxY: pose.box.maxY + p[1] + gap,
  };
  return placed.every((other) => {
    const [x, y] = other.at;
    const { box } = other.pose;
    if (!overlaps(reach, { minX: box.minX + x, minY: box.minY + y, maxX: box.maxX + x, maxY: box.maxY + y }))
      return true;
    const still = moved(other.pose.shape, x, y);
    const holes = other.pose.holes.map((hole) => moved(hole, x, y));
    if (gap > 0 || holes.some((hole) => contains(hole, at(shape, 0))))
      return regionDistance({ outline: shape, holes: [] }, { outline: still, holes }) >= gap - TOUCH_MM;
    return intersectionOf([shape], [still]).reduce((sum, ring) => sum + area(ring), 0) < TOUCHING_MM2;
  });
}

/** With no gap parts touch along whole edges; the grid of the boolean leaves slivers of this size at most. */
const TOUCHING_MM2 = 0.05;

const overlaps = (a: Box, b: Box): boolean =>
  a.minX <= b.maxX + TOUCH_MM &&
  b.minX <= a.maxX + TOUCH_MM &&
  a.minY <= b.maxY + TOUCH_MM &&
  b.minY <= a.maxY + TOUCH_MM;

export function candidatePlaces(room: Box, rings: readonly Ring[], limit: number, isOver: () => boolean): Vec2[] {
  const found: Vec2[] = [
    [room.minX, room.minY],
    [room.minX, room.maxY],
    [room.maxX, room.minY],
    [room.maxX, room.maxY],
  ];
  const push = (x: number, y: number) => {
    if (x > limit + TOUCH_MM) return;
    if (x < room.minX - TOUCH_MM || x > room.maxX + TOUCH_MM || y < room.minY - TOUCH_MM || y > room.maxY + TOUCH_MM)
      return;
    found.push([Math.min(Math.max(x, room.minX), room.maxX), Math.min(Math.max(y, room.minY), room.maxY)]);
  };
  const frame: Outline = [
    [room.minX, room.minY],
    [room.maxX, room.minY],
    [room.maxX, room.maxY],
    [room.minX, room.maxY],
  ];
  const edges = [...edgesOf(frame, -1), ...rings.flatMap((ring, owner) => edgesOf(ring.points, owner))].filter(
    (edge) => overlaps(edge.box, room) && edge.box.minX <= limit,
  );
  for (const ring of rings) for (const [x, y] of ring.points) push(x, y);
  edges.sort((a, b) => a.box.minX - b.box.minX);
  edges.forEach((a, i) => {
    if (isOver()) return;
    for (let j = i + 1; j < edges.length; j++) {
      const b = edges[j]!; // in bounds by the loop
      if (b.box.minX > a.box.maxX + TOUCH_MM) break;
      if (a.owner === b.owner || b.box.minY > a.box.maxY || a.box.minY > b.box.maxY) continue;
      const p = meetOf(a.from, a.to, b.from, b.to);
      if (p) push(p[0], p[1]);
    }
  });
  return found;
}

type EdgeOf = { readonly from: Vec2; readonly to: Vec2; readonly owner: number; readonly box: Box };

const edgesOf = (ring: Outline, owner: number): EdgeOf[] =>
  ring.map((from, i) => {
    const to = at(ring, (i + 1) % ring.length);
    return { from, to, owner, box: boundsOf([from, to]) };
  });

function meetOf(a: Vec2, b: Vec2, c: Vec2, d: Vec2): Vec2 | undefined {
  // a + w (b − a) = c + v (d − c)
  const [rx, ry, sx, sy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  const turn = rx * sy - ry * sx;
  if (Math.abs(turn) < PARALLEL) return undefined; // along each other: their ends are candidates already
  const w = ((c[0] - a[0]) * sy - (c[1] - a[1]) * sx) / turn;
  const v = ((c[0] - a[0]) * ry - (c[1] - a[1]) * rx) / turn;
  const isOn = (share: number) => share >= -END_DUST && share <= 1 + END_DUST;
  return !isOn(w) || !isOn(v) ? undefined : [a[0] + w * rx, a[1] + w * ry];
}

/** Inside the no-fit region by more than a touch: within an odd number of its rings and clear of their edges. */
export function isInside(rings: readonly Ring[], p: Vec2): boolean {
  let depth = false;
  for (const { points, box } of rings) {
    if (p[0] <= box.minX || p[0] >= box.maxX || p[1] <= box.minY || p[1] >= box.maxY) continue;
    for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
      const [a, b] = [points[j]!, points[i]!]; // in bounds by the loop
      if (isOnEdge(a, b, p)) return false;
      if (a[1] <= p[1] !== b[1] <= p[1] && p[0] < a[0] + ((p[1] - a[1]) * (b[0] - a[0])) / (b[1] - a[1]))
        depth = !depth;
    }
  }
  return depth;
}

function isOnEdge(a: Vec2, b: Vec2, p: Vec2): boolean {
  if (p[0] < Math.min(a[0], b[0]) - TOUCH_MM || p[0] > Math.max(a[0], b[0]) + TOUCH_MM) return false;
  if (p[1] < Math.min(a[1], b[1]) - TOUCH_MM || p[1] > Math.max(a[1], b[1]) + TOUCH_MM) return false;
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const off = Math.abs(dx * (p[1] - a[1]) - dy * (p[0] - a[0])) / Math.hypot(dx, dy);
  return off <= TOUCH_MM;
}
