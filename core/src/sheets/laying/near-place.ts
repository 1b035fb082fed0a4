/**
 * Where a piece that is moved by hand comes to lie: where it is put if it is clear there, else as near as it can be.
 *
 * Method: from no-fit polygons (no-fit.ts) the nearest of these: the place itself, its foot on every edge of them,
 * their corners and crossings. A free place that is within `snapMm` of touching goes there. Accuracy: as
 * least-place.ts; the last word is by true distances, so that no overlap is left behind.
 */
import { boundsOf, footOn, moved, at, type Box, type Outline, type Vec2 } from '../../geometry';
import { placedRegion, liesClear } from '../check';
import { openSheet } from '../lay-down';
import type { Placement } from '../result';
import type { NestJob } from '../schema';
import { candidatePlaces, isApart, isInside, positionsOn, type Ring, type Standing } from './least-place';
import { noFitTable } from './no-fit';
import { posesOf, type Pose } from './poses';

export type HandInput = {
  readonly job: NestJob;
  /** Of the stock. */
  readonly sheet: string;
  /** What lies on that sheet. */
  readonly placements: readonly Placement[];
  /** The part's id, and how it is turned. */
  readonly part: string;
  readonly rotationDeg: number;
};

type Reach = { readonly snapMm: number; readonly reachMm: number };
type Place = (wanted: Vec2, reach: Reach) => Placement | undefined;

/** Finds places for one piece on one sheet: undefined where none is clear within reach. */
export function placesByHand({ job, sheet, placements, part: id, rotationDeg }: HandInput): Place {
  const index = job.parts.findIndex((one) => one.id === id);
  const part = job.parts[index];
  const stock = job.sheets.find((one) => one.id === sheet);
  if (!part || !stock) return () => undefined;
  const never = () => false;
  const poseOf = (k: number, deg: number): Pose => at(posesOf({ ...at(job.parts, k), rotations: [deg] }, k), 0);
  const pose = poseOf(index, rotationDeg);
  const room = positionsOn(pose, stock, job.margin);
  if (!room) return () => undefined;
  const others = placements.filter((one) => one.part !== id);
  const standing: Standing[] = [
    ...openSheet(stock, 0, job).blocks,
    ...others.flatMap((one): Standing[] => {
      const k = job.parts.findIndex((other) => other.id === one.part);
      return k < 0 ? [] : [{ pose: poseOf(k, one.rotationDeg), at: [one.x, one.y] }];
    }),
  ];
  const noFit = noFitTable(job.gap, never, true);
  const walls = standing.map((one): Ring[] =>
    noFit(one.pose, pose).rings.map((ring) => {
      const points = moved(ring, one.at[0], one.at[1]);
      return { points, box: boundsOf(points) };
    }),
  );
  const regions = others.flatMap((one) => {
    const other = job.parts.find((p) => p.id === one.part);
    return other ? [placedRegion(other, one)] : [];
  });
  const made = ([x, y]: Vec2): Placement => ({ part: id, copy: 0, x, y, rotationDeg, mirrored: false });
  const isFree = (p: Vec2) =>
    !walls.some((rings) => isInside(rings, p)) &&
    isApart(pose, p, standing, job.gap) &&
    liesClear(placedRegion(part, made(p)), regions, stock, job);
  return (wanted, { snapMm, reachMm }) => {
    const start = clamped(wanted, room);
    const nearby = withinBox(start, reachMm, room);
    const rings = walls.flat().filter(({ box }) => meets(box, nearby));
    const touching = [
      ...candidatePlaces(nearby, rings, Infinity, never),
      ...feet(start, rings, room),
      ...feetOn(start, room),
    ]
      .map((p) => ({ p, off: distance(p, start) }))
      .filter(({ off }) => off <= reachMm)
      .sort((a, b) => a.off - b.off);
    const isClear = isFree(start);
    const near = touching.find(({ p, off }) => (!isClear || off <= snapMm) && isFree(p));
    const best = near?.p ?? (isClear ? start : undefined);
    return best && made(best);
  };
}

const distance = (a: Vec2, b: Vec2): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

const clamped = ([x, y]: Vec2, box: Box): Vec2 => [
  Math.min(Math.max(x, box.minX), Math.max(box.minX, box.maxX)),
  Math.min(Math.max(y, box.minY), Math.max(box.minY, box.maxY)),
];

function withinBox([x, y]: Vec2, by: number, room: Box): Box {
  const [minX, minY] = clamped([x - by, y - by], room);
  const [maxX, maxY] = clamped([x + by, y + by], room);
  return { minX, minY, maxX, maxY };
}

const meets = (a: Box, b: Box): boolean => a.minX <= b.maxX && b.minX <= a.maxX && a.minY <= b.maxY && b.minY <= a.maxY;

/** The nearest place on every ring's edges. */
const feet = (from: Vec2, rings: readonly Ring[], room: Box): Vec2[] =>
  rings.flatMap(({ points }) => edgesOf(points).map(([a, b]) => clamped(footOn([a, b], from), room)));

const edgesOf = (ring: Outline): (readonly [Vec2, Vec2])[] =>
  ring.map((a, i) => [a, at(ring, (i + 1) % ring.length)] as const);

/** On the sheet's own edges: against its margin. */
const feetOn = ([x, y]: Vec2, { minX, minY, maxX, maxY }: Box): Vec2[] => [
  [minX, y],
  [maxX, y],
  [x, minY],
  [x, maxY],
];
