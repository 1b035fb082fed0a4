/** The curves that a surface is found between. */
import type { CurveTangent } from '../geometry';

/** One edge of a panel: a curve by t in [0, 1], and the t of its knuckles. `side` says which tangent a knuckle has. */
export type EdgeCurve = {
  readonly at: (t: number, side?: -1 | 1) => CurveTangent;
  readonly knuckles: readonly number[];
};
