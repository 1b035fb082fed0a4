/**
 * The straight runs of a frame's edge, one for each timber: sawn stock has straight edges, so a timber lies along a
 * run that is straight enough to be sawn out of its breadth.
 *
 * Method: from corner to corner of the section, and within each, where it is rounder than a quarter of the stock's
 * breadth, parted at the point furthest from its chord (Douglas and Peucker, 1973). The outer edge of the stock is the
 * straight line along the chord that no point of the run stands out of; so much as it is hollow of that line is dressed
 * away. A bottom that is straight enough right across is one run.
 * Conventions: the starboard half from the centreline up; `along` goes outward and up, `out` to the skin.
 */
import { at, distance2, distanceToSegment, nearestIndex, type Vec2 } from '../../geometry';
import type { Base } from '../blank';
import type { TimberSettings } from '../schema';

export type TimberRun = {
  /** Which of the section's edges it lies along. */
  readonly edge: number;
  readonly points: readonly Vec2[];
  readonly along: Vec2;
  readonly out: Vec2;
  /** How far `out` the stock's outer and inner edges lie. */
  readonly outer: number;
  readonly inner: number;
  readonly breadth: number;
  /** Flatter than it is steep. */
  readonly isFloor: boolean;
  /** In one piece with its mirror image. */
  readonly isAcross: boolean;
  /** The most that is dressed off the outer edge. */
  readonly hollowMm: number;
};

/** Of its breadth a timber may lose so much to the curve of its edge. */
const HOLLOW_SHARE = 1 / 4;

export const dot2 = (a: Vec2, b: Vec2): number => a[0] * b[0] + a[1] * b[1];

/** From the centreline up; none where the section has no edge. */
export function timberRuns({ half, corners, isAcross }: Base, { floor, side }: TimberSettings): TimberRun[] {
  if (half.length < 2) return [];
  const places = corners.map((corner) => nearestIndex(half, corner));
  const ends = [...new Set([0, ...places, half.length - 1])].sort((a, b) => a - b);
  const limit = Math.min(floor, side) * HOLLOW_SHARE;
  return ends.slice(1).flatMap((to, edge) =>
    straightParts(half.slice(at(ends, edge), to + 1), limit).map((points, i) => {
      const isLowest = edge === 0 && i === 0 && isAcross && Math.abs(at(points, 0)[0]) < ON_CENTRELINE_MM;
      return runOf({ points, edge, floor, side, isAcross: isLowest && rise(points) <= floor * HOLLOW_SHARE });
    }),
  );
}

const ON_CENTRELINE_MM = 1e-3;

const rise = (points: readonly Vec2[]): number => {
  const heights = points.map(([, z]) => z);
  return Math.max(...heights) - Math.min(...heights);
};

function straightParts(points: readonly Vec2[], limitMm: number): (readonly Vec2[])[] {
  const [a, b] = [at(points, 0), at(points, -1)];
  let furthest = 0;
  let off = 0;
  for (let i = 1; i < points.length - 1; i++) {
    const here = distanceToSegment(at(points, i), a, b);
    if (here > off) [furthest, off] = [i, here];
  }
  if (off <= limitMm) return [points];
  return [...straightParts(points.slice(0, furthest + 1), limitMm), ...straightParts(points.slice(furthest), limitMm)];
}

type RunAsked = Pick<TimberRun, 'points' | 'edge' | 'isAcross'> & Pick<TimberSettings, 'floor' | 'side'>;

function runOf({ points, edge, isAcross, floor, side }: RunAsked): TimberRun {
  const [a, b] = [at(points, 0), at(points, -1)];
  const length = distance2(a, b) || 1;
  const along: Vec2 = isAcross ? [1, 0] : [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const out: Vec2 = [along[1], -along[0]];
  const stand = points.map((p) => dot2(p, out));
  const outer = Math.max(...stand);
  const isFloor = Math.abs(along[0]) >= Math.abs(along[1]);
  const breadth = isFloor ? floor : side;
  return {
    ...{ edge, points, along, out, outer, breadth, isFloor, isAcross },
    inner: outer - breadth,
    hollowMm: outer - Math.min(...stand),
  };
}
