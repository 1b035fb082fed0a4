/** The room that a hole in one part has for another: the places at which it lies whole within. */
import {
  area,
  at,
  boundsOf,
  contains,
  counterClockwise,
  minkowskiSum,
  signedArea,
  upright,
  type Outline,
  type Vec2,
} from '../geometry';

/** A room smaller than this is rounding. */
const LEAST_ROOM_MM2 = 1e-3;

/** About its origin. */
export const turnedRound = (outline: Outline): Outline => outline.map(([x, y]): Vec2 => [-x, -y]);

/** Rings of places of the part's origin; none where it has no room. */
export function roomsIn(hole: Outline, part: Outline): Outline[] {
  const [outer, inner] = [boundsOf(hole), boundsOf(part)];
  if (inner.maxX - inner.minX > outer.maxX - outer.minX || inner.maxY - inner.minY > outer.maxY - outer.minY) return [];
  const whole = counterClockwise(hole);
  if (isConvex(whole)) return roomInConvex(whole, part);
  // where its edge meets the hole's, and what that encloses
  return minkowskiSum(hole, turnedRound(part)).filter((ring) => {
    if (signedArea(ring) > 0 || area(ring) < LEAST_ROOM_MM2) return false;
    const { minX, maxX } = boundsOf(ring);
    const middle = (minX + maxX) / 2;
    const [run] = upright(ring, middle);
    if (!run) return false;
    const high = (run[0] + run[1]) / 2;
    return part.every(([x, y]) => contains(hole, [x + middle, y + high]));
  });
}

/** Turns to the right by less are none. */
const STRAIGHT = 1e-9;

const isConvex = (ring: Outline): boolean =>
  ring.every((b, i) => {
    const [a, c] = [at(ring, (i + ring.length - 1) % ring.length), at(ring, (i + 1) % ring.length)];
    return (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]) >= -STRAIGHT;
  });

/** Each side of the hole keeps the part's point that reaches furthest to it: what all sides leave. */
function roomInConvex(hole: Outline, part: Outline): Outline[] {
  const [outer, inner] = [boundsOf(hole), boundsOf(part)];
  let room: Vec2[] = [
    [outer.minX - inner.minX, outer.minY - inner.minY],
    [outer.maxX - inner.maxX, outer.minY - inner.minY],
    [outer.maxX - inner.maxX, outer.maxY - inner.maxY],
    [outer.minX - inner.minX, outer.maxY - inner.maxY],
  ];
  hole.forEach((a, i) => {
    const b = at(hole, (i + 1) % hole.length);
    const [nx, ny] = [b[1] - a[1], a[0] - b[0]]; // outward
    const reach = part.reduce((most, [x, y]) => Math.max(most, nx * x + ny * y), -Infinity);
    const over = ([x, y]: Vec2) => nx * (x - a[0]) + ny * (y - a[1]) + reach;
    room = room.flatMap((p, k) => {
      const q = at(room, (k + 1) % room.length);
      const [op, oq] = [over(p), over(q)];
      const w = op / (op - oq);
      const crossing: Vec2[] = op > 0 !== oq > 0 ? [[p[0] + w * (q[0] - p[0]), p[1] + w * (q[1] - p[1])]] : [];
      return [...(op > 0 ? [] : [p]), ...crossing];
    });
  });
  return room.length > 2 && area(room) > LEAST_ROOM_MM2 ? [[...room].reverse()] : [];
}
