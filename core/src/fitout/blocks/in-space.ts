/** A block as a solid: its four corners at each place along it. */
import { add3, scale3, type Vec2, type Vec3 } from '../../geometry';
import type { FittedBlock } from './block';

/** Round it: of its straight face the low and the high edge, then where those edges meet what it fills up to. */
export const cornersOf = ({ rows, across, fill, width }: FittedBlock): readonly (readonly [Vec3, Vec3, Vec3, Vec3])[] =>
  rows.map(({ place, low, high }) => {
    const [a, b] = [-1, 1].map((side) => add3(place, scale3(across, (side * width) / 2))) as [Vec3, Vec3]; // two
    return [a, b, add3(b, scale3(fill, high)), add3(a, scale3(fill, low))];
  });

/** Seen from above or from the side: from its straight face to the farther of what it meets. */
export function blockSeen(block: FittedBlock, axis: 1 | 2): Vec2[] {
  const seen = (p: Vec3): Vec2 => [p[0], p[axis]];
  const corners = cornersOf(block).map((four) => four.map(seen));
  if (corners.length === 0) return [];
  // the hull of what is seen at each place, joined from place to place
  const isAthwart = Math.abs(block.across[axis]) < 0.5 && Math.abs(block.fill[axis]) < 0.5;
  const key = isAthwart ? 0 : 1;
  const most = corners.map((four) => four.reduce((best, p) => (p[key] > best[key] ? p : best)));
  const least = corners.map((four) => four.reduce((best, p) => (p[key] < best[key] ? p : best)));
  return [...most, ...least.reverse()];
}
