/**
 * Corners relieved for a cutter: a round tool leaves its own radius in every inner corner of a slot, and a square
 * timber would not go in. A hole of the tool's radius that passes through the corner lets it.
 *
 * Method (derived here): its middle stands so far from the corner as the radius, on the line that halves the angle,
 * into the slot; so its rim passes through the corner itself and takes no more of the part than it must.
 */
import { at, contains, counterClockwise, distanceToSegment, type Outline, type Vec2 } from '../geometry';

/** Chords of a round: of 3 mm within 0.01 mm. */
const CHORDS = 48;
/** A corner that turns by less than this a round tool follows. */
const LEAST_TURN_RAD = 0.35;

/**
 * At all corners of a slot that lie in a part, twice the radius from its edge: nearer, what is left between would break
 * off. None at a radius of nought.
 */
export function reliefsOf(slot: Outline, parts: readonly Outline[], radius: number): Outline[] {
  if (radius <= 0) return [];
  const ring = counterClockwise(slot);
  return ring.flatMap((corner, i): Outline[] => {
    const before = way(corner, at(ring, (i + ring.length - 1) % ring.length));
    const after = way(corner, at(ring, (i + 1) % ring.length));
    const turn = Math.atan2(
      after[0] * before[1] - after[1] * before[0],
      -(after[0] * before[0] + after[1] * before[1]),
    );
    if (turn < LEAST_TURN_RAD || !parts.some((part) => isDeepIn(part, corner, 2 * radius))) return [];
    const half: Vec2 = [before[0] + after[0], before[1] + after[1]];
    const size = Math.hypot(half[0], half[1]) || 1;
    const middle: Vec2 = [corner[0] + (radius * half[0]) / size, corner[1] + (radius * half[1]) / size];
    return [round(middle, radius)];
  });
}

const isDeepIn = (part: Outline, p: Vec2, depth: number): boolean =>
  contains(part, p) && part.every((a, i) => distanceToSegment(p, a, at(part, (i + 1) % part.length)) >= depth);

function way(from: Vec2, to: Vec2): Vec2 {
  const size = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  return [(to[0] - from[0]) / size, (to[1] - from[1]) / size];
}

const round = ([x, y]: Vec2, radius: number): Outline =>
  Array.from({ length: CHORDS }, (_, k): Vec2 => {
    const angle = (2 * Math.PI * k) / CHORDS;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });
