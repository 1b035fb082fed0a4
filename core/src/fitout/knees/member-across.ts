/** A member along the skin where a plane across the boat passes it: its corners, out and up. */
import { at, distance2, lerp3, type Vec2 } from '../../geometry';
import type { MemberRun } from '../../frames';

const CORNERS = ['near', 'far', 'farOff', 'nearOff'] as const;

/** So far through the skin it is run on, mm, that nothing is left between a notch for it and the edge. */
const THROUGH_SKIN_MM = 4;

/** To starboard, run on through the skin; empty where it does not reach. */
export function ringAcross({ rings }: Pick<MemberRun, 'rings'>, x: number): Vec2[] {
  const points = CORNERS.flatMap((corner): Vec2[] => {
    const k = rings.findIndex((ring, i) => i > 0 && ring[corner][0] > x !== rings[i - 1]![corner][0] > x); // before it
    const [a, b] = [rings[k - 1]?.[corner], rings[k]?.[corner]];
    if (!a || !b) return [];
    const [, y, z] = lerp3(a, b, (x - a[0]) / (b[0] - a[0]));
    return [[y, z]];
  });
  if (points.length < CORNERS.length) return [];
  const [near, far, farOff, nearOff] = [0, 1, 2, 3].map((k) => at(points, k)) as [Vec2, Vec2, Vec2, Vec2];
  return [...points, beyond(nearOff, near), beyond(farOff, far)];
}

function beyond(from: Vec2, to: Vec2): Vec2 {
  const w = THROUGH_SKIN_MM / Math.max(1, distance2(from, to));
  return [to[0] + w * (to[0] - from[0]), to[1] + w * (to[1] - from[1])];
}
