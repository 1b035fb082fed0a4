/** The sheer at a place along the boat. */
import type { Vec3 } from '../geometry';
import { battenAt, crossingsOfX, type Hull } from '../lines';

/** Undefined where it does not come there. */
export function sheerAt({ lines }: Pick<Hull, 'lines'>, x: number): Vec3 | undefined {
  const sheer = lines[lines.length - 1];
  const t = sheer && crossingsOfX(sheer.batten, x)[0];
  return sheer && t !== undefined ? battenAt(sheer.batten, t).position : undefined;
}
