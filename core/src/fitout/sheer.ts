/** The sheer at a place along the boat, and the lowest line there. */
import type { Vec3 } from '../geometry';
import { battenAt, crossingsOfX, type Hull } from '../lines';

/** The height of the lowest line where it passes x; of its middle where it does not. */
export function lowestAt({ lines }: Pick<Hull, 'lines'>, x: number): number {
  const lowest = lines[0];
  if (!lowest) return 0;
  const t = crossingsOfX(lowest.batten, x)[0];
  return battenAt(lowest.batten, t ?? 0.5).position[2];
}

/** Undefined where it does not come there. */
export function sheerAt({ lines }: Pick<Hull, 'lines'>, x: number): Vec3 | undefined {
  const sheer = lines[lines.length - 1];
  const t = sheer && crossingsOfX(sheer.batten, x)[0];
  return sheer && t !== undefined ? battenAt(sheer.batten, t).position : undefined;
}
