/** A wall moved along the boat as it is. */
import type { Edit } from '../../findings';
import { WALLS_PATH, type WallLine, type WallPlan } from '../schema';

/** From the stem to where its lower line begins. */
export const beginsAt = ({ lower }: WallPlan): number =>
  lower.follows === 'points' ? Math.min(...lower.points.map(({ x }) => x), Infinity) : lower.from;

/** Ends and points of both its lines, by so much aft. */
export function wallMoved({ id, lower, upper }: WallPlan, by: number): Edit[] {
  const lineMoved = (key: 'lower' | 'upper', line: WallLine): Edit[] => {
    const path = [...WALLS_PATH, id, key];
    if (line.follows === 'lower') return [];
    if (line.follows === 'sheer')
      return [
        { path: [...path, 'from'], value: line.from + by },
        { path: [...path, 'to'], value: line.to + by },
      ];
    return [{ path: [...path, 'points'], value: line.points.map((point) => ({ ...point, x: point.x + by })) }];
  };
  return [...lineMoved('lower', lower), ...lineMoved('upper', upper)];
}
