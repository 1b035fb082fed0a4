/**
 * No-fit polygons: the positions of one part in which it is nearer than the gap to another.
 *
 * Method: the sum of one with the other turned half round (geometry/convolution.ts), widened by the gap (after Burke
 * and others, "Complete and robust no-fit polygon generation", EJOR 2007). Conventions: widening is by a polygon drawn
 * around the circle, with flats on the axes: never less than the gap, exact between square parts. A part may lie whole
 * in a hole of one that lies there. Remembered by the two poses.
 */
import { area, boundsOf, solidSum, widened, type Box, type Outline, type Vec2 } from '../../geometry';
import { roomsIn, turnedRound } from '../rooms';
import type { Pose } from './poses';

/** Sides of the polygon around the gap's circle. */
const GAP_SIDES = 32;

/** Turned and off-grid parts are kept this much further apart: the no-fit grid is 0.0001 mm. */
const GRID_SAFETY_MM = 5e-4;

export type NoFit = {
  (still: Pose, moving: Pose): { readonly rings: readonly Outline[]; readonly box: Box };
  readonly gap: number;
  /** The search's time has ended: whoever sees it first gives up the place that is being looked for. */
  readonly isOver: () => boolean;
};

/** The positions of `moving` relative to `still` in which they are nearer than the gap; remembered by pose. */
export function noFitTable(gap: number, isOver: () => boolean, isWithin: boolean): NoFit {
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
