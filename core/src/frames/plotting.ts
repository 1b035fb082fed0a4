/**
 * Points of a part to plot by hand, in the order of plotting, and the least board that takes the drawing.
 *
 * Method: of the outline as it is cut the fewest points between whose straight lines no place is further off than a
 * fine pencil (Douglas and Peucker), from the lowest at the centreline outward, up, and back over the top; of a part
 * that is the same on both sides, one side. Where the edge is bevelled, the other face's point across from it.
 * Conventions: out from the centreline and up from the board's lower edge, on which the lowest point stands.
 */
import { at, boundsOf, counterClockwise, distance2, footOn, simplifyRing, type Vec2 } from '../geometry';
import type { Frame } from './frame';

export type PlotPoint = {
  readonly number: number;
  readonly out: number;
  readonly up: number;
  /** Of the other face, where that differs. */
  readonly other?: { readonly out: number; readonly up: number };
};

export type Plot = {
  readonly points: readonly PlotPoint[];
  /** Both halves are alike: the other is plotted with the same figures. */
  readonly isHalf: boolean;
  readonly board: { readonly longMm: number; readonly broadMm: number };
  /** The lowest point over the base line. */
  readonly fromMm: number;
};

/** A pencil line's own breadth. */
const OFF_MM = 0.3;
/** A point as near to the centreline stands on it. */
const ON_CENTRELINE_MM = 0.01;
/** What is cut to a face lies on its edge: to the chords that both are drawn by. */
const ON_EDGE_MM = 1;
/** A point of the other face is looked for so near. */
const NEAR_MM = 60;

export function plotOf({ cut, hand, otherFace, outline }: Pick<Frame, 'cut' | 'hand' | 'otherFace' | 'outline'>): Plot {
  const box = boundsOf(cut.outline);
  const isHalf = hand === 'across' && isSymmetric(cut.outline);
  const own = hand === 'port' ? cut.outline.map(([y, z]): Vec2 => [-y, z]) : cut.outline;
  const ring = fromLowest(counterClockwise(own));
  const whole = simplifyRing(ring, OFF_MM);
  const kept = isHalf ? starboardOf(whole) : whole;
  const [long, broad] = [box.maxX - box.minX, box.maxY - box.minY];
  return {
    points: kept.map((p, i): PlotPoint => {
      const isCorner = isSharp(at(kept, (i + kept.length - 1) % kept.length), p, at(kept, (i + 1) % kept.length));
      const beyond = otherFace && otherAt({ p, isCorner }, outline, otherFace);
      return {
        ...{ number: i + 1, out: p[0], up: p[1] - box.minY },
        ...(beyond && { other: { out: beyond[0], up: beyond[1] - box.minY } }),
      };
    }),
    isHalf,
    board: { longMm: Math.max(long, broad), broadMm: Math.min(long, broad) },
    fromMm: box.minY,
  };
}

const isSymmetric = (outline: readonly Vec2[]): boolean =>
  outline.every(([y, z]) => {
    const rim = [...outline, at(outline, 0)];
    return distance2(footOn(rim, [-y, z]), [-y, z]) < OFF_MM;
  });

/** Begun at the lowest point; of several as low at the innermost. */
function fromLowest(ring: readonly Vec2[]): readonly Vec2[] {
  const k = ring.reduce((best, [y, z], i) => {
    const [by, bz] = at(ring, best);
    return z < bz - OFF_MM || (Math.abs(z - bz) <= OFF_MM && Math.abs(y) < Math.abs(by)) ? i : best;
  }, 0);
  return [...ring.slice(k), ...ring.slice(0, k)];
}

/** What of a ring lies to starboard, with where it crosses the centreline. */
function starboardOf(ring: readonly Vec2[]): readonly Vec2[] {
  const rim = [...ring, at(ring, 0)];
  const half: Vec2[] = [];
  rim.forEach((p, i) => {
    const before = rim[i - 1];
    if (before && before[0] * p[0] < 0)
      half.push([0, before[1] + (before[0] / (before[0] - p[0])) * (p[1] - before[1])]);
    if (p[0] >= -ON_CENTRELINE_MM && i < ring.length) half.push([Math.max(0, p[0]), p[1]]);
  });
  // from the lower crossing of the centreline round to the upper one
  const k = half.reduce((best, [y, z], i) => {
    const [by, bz] = at(half, best);
    return y <= ON_CENTRELINE_MM && (by > ON_CENTRELINE_MM || z < bz) ? i : best;
  }, 0);
  return [...half.slice(k), ...half.slice(0, k)];
}

/** Turned by more than this a line has a corner. */
const SHARP_RAD = 0.15;

function isSharp(a: Vec2, p: Vec2, b: Vec2): boolean {
  const [before, after] = [Math.atan2(p[1] - a[1], p[0] - a[0]), Math.atan2(b[1] - p[1], b[0] - p[0])];
  return Math.abs(Math.atan2(Math.sin(after - before), Math.cos(after - before))) > SHARP_RAD;
}

/** Across the thickness from a point of the edge at the skin: a corner from a corner. */
function otherAt(
  { p, isCorner }: { readonly p: Vec2; readonly isCorner: boolean },
  station: readonly Vec2[],
  other: readonly Vec2[],
): Vec2 | undefined {
  // an edge that is square through, as the inside of a timber, lies off both
  if (![station, other].some((line) => distance2(footOn(line, p), p) < ON_EDGE_MM)) return undefined;
  const corners = other.filter(
    (q, i) => i > 0 && i < other.length - 1 && isSharp(at(other, i - 1), q, at(other, i + 1)),
  );
  const corner = corners.reduce<Vec2 | undefined>(
    (best, q) => (distance2(q, p) < (best ? distance2(best, p) : NEAR_MM / 2) ? q : best),
    undefined,
  );
  if (isCorner && corner) return corner;
  const on = footOn(other, p);
  const ends = [at(other, 0), at(other, -1)];
  // beyond its ends nothing of it lies across from here
  return ends.some((end) => distance2(end, on) < ON_CENTRELINE_MM) && distance2(on, p) > NEAR_MM / 3 ? undefined : on;
}
