/**
 * Every way in which a part may lie: turned, turned over, with its outline for the search.
 *
 * Curved outlines of many points are simplified outward by at most OUTWARD_MM, holes inward.
 */
import {
  area,
  at,
  boundsOf,
  counterClockwise,
  mirrored,
  simplify,
  turned,
  widened,
  type Box,
  type Outline,
} from '../../geometry';
import { toRad } from '../../measure';
import type { NestJob } from '../schema';

/** Outlines of more points than this are simplified for the search. */
const MANY_POINTS = 48;

/** By so much at most, and never inward. */
const OUTWARD_MM = 0.25;

/** Coordinates of this many to the millimetre are whole on the grid on which no-fit polygons are computed. */
const GRID_PER_MM = 1e4;

/** What is off it by less is on it. */
const GRID_DUST = 1e-6;

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

/** Of every part of a job; one that was laid by hand may lie as it was laid, too. */
export const posesIn = (job: NestJob): Pose[][] =>
  job.parts.map((part, index) => {
    const laid = (job.fixed ?? []).filter((fixed) => fixed.part === part.id).map(({ rotationDeg }) => rotationDeg);
    if (laid.length === 0 || part.rotations === 'any') return posesOf(part, index);
    return posesOf({ ...part, rotations: [...part.rotations, ...laid] }, index);
  });

/** Of what lies on a sheet and is no part: a place to keep clear of. */
export const poseOfBlock = (outline: Outline, key: string): Pose => ({
  ...{ key, rotationDeg: 0, isMirrored: false, isOnGrid: false },
  ...{ shape: outline, holes: [], box: boundsOf(outline), exactBox: boundsOf(outline) },
});
