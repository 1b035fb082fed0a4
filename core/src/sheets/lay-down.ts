/**
 * Lays parts down on sheets one by one: valid at once, and where the search begins.
 *
 * Method: parts go down one by one at the leftmost, then lowest place that touches what lies there already, found from
 * no-fit polygons: the set of positions in which two parts overlap, the sum of one with the other turned half round
 * (geometry/convolution.ts), widened by the gap (after Burke and others, "Complete and robust no-fit polygon
 * generation", EJOR 2007). The least position is a corner of the sheet's own rectangle of positions, a corner of a
 * no-fit polygon, or a crossing of two. Rounds repeat this with other orders of the parts, kept when fewer sheets, or
 * a shorter last one, come of it. Conventions: widening is by a polygon drawn around the circle, with flats on the
 * axes: never less than the gap, exact between square parts. A part may lie whole in a hole of one that lies there.
 * Coordinates of input are taken as they are; curved outlines of many points are simplified outward by at most
 * OUTWARD_MM for the search. Accuracy: positions good to 1e-6 mm; every layout is checked by true distances before it
 * is returned (check.ts). Cost: a round of 20 parts takes some 50 ms once the no-fit polygons are known.
 */
import {
  area,
  at,
  boundsOf,
  contains,
  counterClockwise,
  intersectionOf,
  mirrored,
  moved,
  netArea,
  regionDistance,
  simplify,
  solidSum,
  turned,
  widened,
  type Box,
  type Outline,
  type Vec2,
} from '../geometry';
import { toRad } from '../measure';
import { orderOfRound, sizeOrder } from './orders';
import { roomsIn, turnedRound } from './rooms';
import type { NestBudget, NestResult, UsedSheet } from './result';
import type { NestJob } from './schema';

/** Sides of the polygon around the gap's circle. */
const GAP_SIDES = 32;
/** Positions that reach this far into a no-fit polygon still count as touching. */
const TOUCH_MM = 1e-6;
/** Outlines of more points than this are simplified for the search. */
const MANY_POINTS = 48;
/** By so much at most, and never inward. */
const OUTWARD_MM = 0.25;
/** Weights of a layout's score, so far apart that each only decides where those before it are equal. */
const SCORE = { unplaced: 1e6, sheet: 1e3, lastSheet: 10, others: 0.01 };
/** Of two places that reach as far along the sheet the lower is taken: so little does height count against length. */
const HEIGHT_SHARE = 1e-4;
/** Coordinates of this many to the millimetre are whole on the grid on which no-fit polygons are computed. */
const GRID_PER_MM = 1e4;
/** What is off it by less is on it. */
const GRID_DUST = 1e-6;
/** Edges whose cross product is this small run along each other; shares of an edge are good to END_DUST. */
const PARALLEL = 1e-12;
const END_DUST = 1e-9;
/** Turned and off-grid parts are kept this much further apart: the no-fit grid is 0.0001 mm. */
const GRID_SAFETY_MM = 5e-4;

/** One of the pieces of a part that are wanted: the part by its place in the job. */
export type Copy = { readonly part: number; readonly copy: number };
/** A part turned, and turned over or not, about its own origin. */
export type Pose = {
  /** Unlike that of any other pose in the job. */
  readonly key: string;
  readonly rotationDeg: number;
  readonly isMirrored: boolean;
  /** Its outline, simplified outward where it has many points, and the box about it. */
  readonly shape: Outline;
  /** Simplified inward. */
  readonly holes: readonly Outline[];
  readonly box: Box;
  /** About the outline as it was given. */
  readonly exactBox: Box;
  /** All corners are whole on the no-fit polygons' grid. */
  readonly isOnGrid: boolean;
};
/** A copy on a sheet: where the pose's origin lies. */
type Placed = { readonly pose: Pose; readonly at: Vec2; readonly item: Copy };
export type OpenSheet = {
  readonly id: string;
  readonly index: number;
  readonly width: number;
  readonly height: number;
  placed: Placed[];
};

export type LayingDown = NestBudget & { readonly poses: readonly (readonly Pose[])[] };

/** Lays out the job. Never throws on a valid job; what fits nowhere is listed as unplaced. */
export function layDown(job: NestJob, { poses, seed, rounds, isOver: asked, onProgress }: LayingDown): Layout {
  const copies = copiesOf(job);
  const isOver = asked ?? (() => false);
  const hasHoles = job.parts.some(({ holes }) => holes.length > 0);
  // what goes into holes takes longer to find: the first layout is to be there soon
  const [soon, within] = [noFitTable(job.gap, isOver, false), noFitTable(job.gap, isOver, true)];
  const base = sizeOrder(
    copies,
    job.parts.map((part) => part.outline),
  );
  let best: { layout: Layout; score: number } | undefined;
  let order = base;
  for (let round = 0; round < Math.max(1, rounds); round++) {
    if (round > 0 && isOver()) break;
    const isBase = round === 0 || (round === 1 && hasHoles);
    const trial = isBase ? base : orderOfRound({ order, base, round, seed });
    const layout = layOut(trial, { job, poses, noFit: hasHoles && round > 0 ? within : soon });
    if (layout.isCut && best) break;
    const score = scoreOf(layout);
    if (best && score > best.score) continue;
    // an equal layout is gone on from, but the one that was shown stays the best
    order = trial;
    if (best && score === best.score) continue;
    best = { layout, score };
    onProgress?.(resultOf(layout, job), round);
    if (layout.isCut) break;
  }
  return best?.layout ?? { sheets: [], unplaced: [], isCut: false };
}

/** Every piece that is wanted. */
export const copiesOf = (job: NestJob): Copy[] =>
  job.parts.flatMap((part, k) => Array.from({ length: part.qty }, (_, copy): Copy => ({ part: k, copy })));

export type Layout = {
  readonly sheets: readonly OpenSheet[];
  readonly unplaced: readonly Copy[];
  /** The time ended before all parts had been tried. */
  readonly isCut: boolean;
};

/** Fewest left over, then fewest sheets, then the shortest last one; the fill of the others breaks ties. */
function scoreOf({ sheets, unplaced }: Layout): number {
  const last = sheets[sheets.length - 1];
  const used = last ? extentOf(last) / last.width : 0;
  const others = sheets.slice(0, -1).reduce((sum, sheet) => sum + extentOf(sheet) / sheet.width, 0);
  return (
    unplaced.length * SCORE.unplaced + sheets.length * SCORE.sheet + used * SCORE.lastSheet + others * SCORE.others
  );
}

const extentOf = (sheet: OpenSheet): number => Math.max(0, ...sheet.placed.map((p) => p.at[0] + p.pose.exactBox.maxX));

function layOut(
  order: readonly Copy[],
  { job, poses, noFit }: { job: NestJob; poses: readonly (readonly Pose[])[]; noFit: NoFit },
): Layout {
  const sheets: OpenSheet[] = [];
  const unplaced: Copy[] = [];
  const left = job.sheets.map((sheet) => sheet.qty);
  for (const [done, item] of order.entries()) {
    const choices = at(poses, item.part);
    const isDown = sheets.some((sheet) => putOn(sheet, choices, item, job.margin, noFit));
    // a place that was found just as time ran out is a good one
    if (noFit.isOver())
      return { sheets, unplaced: [...unplaced, ...order.slice(isDown ? done + 1 : done)], isCut: true };
    if (isDown) continue;
    const kind = job.sheets.findIndex(
      (sheet, k) => at(left, k) > 0 && choices.some((pose) => fitsEmpty(pose, sheet, job.margin)),
    );
    if (kind < 0) {
      unplaced.push(item);
      continue;
    }
    left[kind] = at(left, kind) - 1;
    const stock = at(job.sheets, kind);
    const index = sheets.filter((sheet) => sheet.id === stock.id).length;
    const sheet: OpenSheet = { id: stock.id, index, width: stock.width, height: stock.height, placed: [] };
    if (putOn(sheet, choices, item, job.margin, noFit)) sheets.push(sheet);
    else return { sheets, unplaced: [...unplaced, ...order.slice(done)], isCut: true };
  }
  return { sheets, unplaced, isCut: false };
}

/**
 * Every way in which a part may lie, with its outline in that pose (wound counter-clockwise, about the part's
 * origin).
 */
export function posesOf(part: NestJob['parts'][number], index: number): Pose[] {
  const angles = part.rotations === 'any' ? likelyAngles(part.outline) : [...new Set(part.rotations)];
  const sides = part.mirror ? [false, true] : [false];
  return sides.flatMap((isMirrored) =>
    angles.map((rotationDeg): Pose => {
      const over = isMirrored ? mirrored(part.outline) : part.outline;
      const exact = counterClockwise(turned(over, toRad(rotationDeg)));
      const shape = coarser(exact);
      const isOnGrid = shape.every((p) =>
        p.every((c) => Math.abs(c * GRID_PER_MM - Math.round(c * GRID_PER_MM)) < GRID_DUST),
      );
      const turn = (hole: Outline) => counterClockwise(turned(isMirrored ? mirrored(hole) : hole, toRad(rotationDeg)));
      const holes = part.holes.flatMap((hole) => smaller(turn(hole)));
      const key = `${index}|${rotationDeg}|${isMirrored}`;
      return {
        key,
        rotationDeg,
        isMirrored,
        shape,
        holes,
        box: boundsOf(shape),
        exactBox: boundsOf(exact),
        isOnGrid,
      };
    }),
  );
}

/** Quarter turns, and the turns that lay a long straight side along the sheet. */
function likelyAngles(outline: Outline): number[] {
  const sides = outline
    .map((a, i) => ({ a, b: at(outline, (i + 1) % outline.length) }))
    .map(({ a, b }) => ({
      length: Math.hypot(b[0] - a[0], b[1] - a[1]),
      deg: (-Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI,
    }))
    .sort((p, q) => q.length - p.length)
    .slice(0, 2);
  const all = [0, ...sides.map((side) => side.deg)].flatMap((deg) =>
    [0, 90, 180, 270].map((turn) => (deg + turn + 720) % 360),
  );
  return [...new Set(all.map((deg) => Math.round(deg * 1e6) / 1e6))];
}

/** Fewer points, nowhere inside the outline: what simplifying may cut off is first put on all round. */
export function coarser(outline: Outline): Outline {
  if (outline.length <= MANY_POINTS) return outline;
  const grown = widened(outline, OUTWARD_MM / 2);
  const outer = [...grown].sort((a, b) => area(b) - area(a))[0];
  if (!outer) return outline;
  return counterClockwise(fewerPoints(outer));
}

/** Simplified in two runs from opposite points, so that both ends of each run stay. */
function fewerPoints(ring: Outline): Outline {
  const half = Math.floor(ring.length / 2);
  const runs = [ring.slice(0, half + 1), [...ring.slice(half), at(ring, 0)]];
  return runs.flatMap((run) => simplify(run, OUTWARD_MM / 2 - 1e-3).slice(0, -1));
}

/** A hole of fewer points that is nowhere larger; none when nothing is left of it. */
export function smaller(hole: Outline): Outline[] {
  if (hole.length <= MANY_POINTS) return [hole];
  const [largest] = [...widened(hole, -OUTWARD_MM / 2)].sort((a, b) => area(b) - area(a));
  return largest ? [fewerPoints(largest)] : [];
}

type NoFit = {
  (still: Pose, moving: Pose): { readonly rings: readonly Outline[]; readonly box: Box };
  readonly gap: number;
  /** The search's time has ended: whoever sees it first gives up the place that is being looked for. */
  readonly isOver: () => boolean;
};

/** The positions of `moving` relative to `still` in which they are nearer than the gap; remembered by pose. */
function noFitTable(gap: number, isOver: () => boolean, isWithin: boolean): NoFit {
  const known = new Map<string, { rings: readonly Outline[]; box: Box }>();
  const grown = new Map<string, Outline>();
  /** Holes, smaller by the gap. */
  const drawn = new Map<string, readonly Outline[]>();
  const lookUp = (still: Pose, moving: Pose) => {
    const key = `${still.key}/${moving.key}`;
    const before = known.get(key);
    if (before) return before;
    const safety = still.isOnGrid && moving.isOnGrid ? 0 : GRID_SAFETY_MM;
    const wide = grown.get(`${still.key}+${safety}`) ?? grow(still.shape, gap + safety);
    grown.set(`${still.key}+${safety}`, wide);
    const kept = !isWithin
      ? []
      : (drawn.get(still.key) ?? still.holes.flatMap((hole) => widened(hole, -(gap + GRID_SAFETY_MM))));
    drawn.set(still.key, kept);
    const rings = [...solidSum(wide, turnedRound(moving.shape)), ...roomsAt(kept, moving.shape)];
    const entry = { rings, box: boundsOf(rings.flat()) };
    known.set(key, entry);
    return entry;
  };
  return Object.assign(lookUp, { gap, isOver });
}

/** Where a part lies in a hole of another, the gap kept all round. */
const roomsAt = (inner: readonly Outline[], part: Outline): Outline[] => inner.flatMap((hole) => roomsIn(hole, part));

/** Widened by a polygon around the circle of the gap, flats on the axes. */
function grow(shape: Outline, gap: number): Outline {
  if (gap === 0) return shape;
  const radius = gap / Math.cos(Math.PI / GAP_SIDES);
  const round = Array.from({ length: GAP_SIDES }, (_, k): Vec2 => {
    const angle = ((k + 0.5) * 2 * Math.PI) / GAP_SIDES;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  });
  return [...solidSum(shape, round)].sort((a, b) => area(b) - area(a))[0] ?? shape;
}

/** The rectangle of positions in which a part lies on the sheet; undefined when it is too large. */
function positionsOn(pose: Pose, sheet: { width: number; height: number }, margin: number): Box | undefined {
  const box = {
    minX: margin - pose.exactBox.minX,
    minY: margin - pose.exactBox.minY,
    maxX: sheet.width - margin - pose.exactBox.maxX,
    maxY: sheet.height - margin - pose.exactBox.maxY,
  };
  return box.maxX < box.minX - TOUCH_MM || box.maxY < box.minY - TOUCH_MM ? undefined : box;
}

const fitsEmpty = (pose: Pose, sheet: { width: number; height: number }, margin: number): boolean =>
  positionsOn(pose, sheet, margin) !== undefined;

function putOn(sheet: OpenSheet, choices: readonly Pose[], item: Copy, margin: number, noFit: NoFit): boolean {
  let best: { pose: Pose; at: Vec2; reach: number } | undefined;
  for (const pose of choices) {
    const room = positionsOn(pose, sheet, margin);
    if (!room) continue;
    const limit = best ? best.reach - pose.exactBox.maxX : Infinity;
    const place = leastPlace(room, sheet.placed, pose, noFit, limit);
    if (!place) continue;
    const reach = place[0] + pose.exactBox.maxX + HEIGHT_SHARE * (place[1] + pose.exactBox.maxY);
    if (!best || reach < best.reach) best = { pose, at: place, reach };
  }
  if (!best) return false;
  sheet.placed = [...sheet.placed, { pose: best.pose, at: best.at, item }];
  return true;
}

type Ring = { readonly points: Outline; readonly box: Box };

/** The leftmost, then lowest position in the room that is inside no no-fit polygon; none when the time is over. */
function leastPlace(room: Box, placed: readonly Placed[], pose: Pose, noFit: NoFit, limit: number): Vec2 | undefined {
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
function isApart(pose: Pose, p: Vec2, placed: readonly Placed[], gap: number): boolean {
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

function candidatePlaces(room: Box, rings: readonly Ring[], limit: number, isOver: () => boolean): Vec2[] {
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
function isInside(rings: readonly Ring[], p: Vec2): boolean {
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

export function resultOf({ sheets, unplaced, isCut }: Layout, job: NestJob): NestResult {
  const name = (item: Copy) => ({ part: at(job.parts, item.part).id, copy: item.copy });
  const used = sheets.map((sheet): UsedSheet => ({
    id: sheet.id,
    index: sheet.index,
    placements: sheet.placed.map(({ pose, at: [x, y], item }) => ({
      ...name(item),
      x,
      y,
      rotationDeg: pose.rotationDeg,
      mirrored: pose.isMirrored,
    })),
  }));
  const areas = job.parts.map((part) => netArea(part));
  const partsArea = sheets.flatMap((sheet) => sheet.placed).reduce((sum, p) => sum + at(areas, p.item.part), 0);
  const sheetsArea = sheets.reduce(
    (sum, sheet, k) => sum + (k === sheets.length - 1 ? extentOf(sheet) : sheet.width) * sheet.height,
    0,
  );
  return {
    sheets: used,
    unplaced: unplaced.map(name),
    sheetsUsed: sheets.length,
    density: sheetsArea > 0 ? partsArea / sheetsArea : 0,
    ...(isCut ? { isCut } : {}),
  };
}
