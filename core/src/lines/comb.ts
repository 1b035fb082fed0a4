/**
 * Curvature combs: how sharply a line bends along its length, which shows a hump or a flat that the eye passes over.
 */
import { cross3, length3, type Vec3 } from '../geometry';
import { battenAt, battenBendAt } from './batten';
import type { HullLine } from './hull-line';

export type Tooth = {
  readonly position: Vec3;
  /**
   * 1/mm; of a view: positive where the line bends to the left of its run, upward or outward; of the true line: never
   * negative.
   */
  readonly curvature: number;
};

/** What is bent: the line as the profile shows it, as the plan shows it, or as it is in space. */
export type CombKind = 'profile' | 'plan' | 'true';

const TEETH = 81;

/**
 * Teeth at even steps of the batten's parameter. κ = |r′×r″| / |r′|³, the view's with the third coordinate left out.
 */
export function combOf(line: HullLine, kind: CombKind): Tooth[] {
  return Array.from({ length: TEETH }, (_, i) => {
    const { position, first, second } = battenBendAt(line.batten, i / (TEETH - 1));
    return { position, curvature: curvatureOf(seen(first, kind), seen(second, kind), kind) };
  });
}

/** The view's plane turned so that its normal is the last axis. */
function seen([x, y, z]: Vec3, kind: CombKind): Vec3 {
  return kind === 'true' ? [x, y, z] : [x, kind === 'plan' ? y : z, 0];
}

function curvatureOf(first: Vec3, second: Vec3, kind: CombKind): number {
  const speed = length3(first);
  if (speed === 0) return 0;
  const turn = cross3(first, second);
  const size = kind === 'true' ? length3(turn) : turn[2];
  return size / speed ** 3;
}

/** Unit vector across the line in a view, to the left of its run. */
export function acrossInView(line: HullLine, t: number, axis: 1 | 2): readonly [number, number] {
  const { first } = battenAt(line.batten, t);
  const size = Math.hypot(first[0], first[axis]) || 1;
  return [-first[axis] / size, first[0] / size];
}

export const toothPlace = (i: number): number => i / (TEETH - 1);
