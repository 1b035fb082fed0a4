/** One line of a hull: its points as the table has them and the batten bent through them. */
import type { Vec3 } from '../geometry';
import { bendBatten, type Batten } from './batten';
import type { Residual } from './fairness';
import type { OffsetPoint } from './schema';

export type HullLine = {
  readonly id: string;
  readonly name: string;
  /** The points that the batten goes through, each with its index in the table. */
  readonly points: readonly (OffsetPoint & { readonly index: number })[];
  readonly batten: Batten;
  /**
   * Which of its ends lie on another line before that ends; there the batten ends on the line, not at the table's
   * point.
   */
  readonly runOuts?: RunOuts;
  /** True when the whole line lies in the centreline plane. */
  readonly isOnCentreline: boolean;
  readonly residuals: readonly Residual[];
  /** Drawn curve, some 90 points. */
  readonly curve: readonly Vec3[];
};

/**
 * Where an end of a line lies on another: at that line's parameter t. `offMm`: how far from it the table has the end.
 */
export type RunOut = { readonly line: string; readonly t: number; readonly at: Vec3; readonly offMm: number };
export type RunOuts = { readonly fore?: RunOut | undefined; readonly aft?: RunOut | undefined };

/** A half-breadth under this is on the centreline: a tenth of what can be marked. */
export const CENTRELINE_MM = 0.05;

export const positionOf = (point: OffsetPoint): Vec3 => [point.x, point.halfBreadth, point.height];

/** The line bent anew through other points, of which none lies on the one before; nothing judged, nothing drawn. */
export function bendPoints(
  line: Pick<HullLine, 'id' | 'name' | 'residuals' | 'curve' | 'runOuts'>,
  points: HullLine['points'],
): HullLine {
  const batten = bendBatten(
    points.map(positionOf),
    points.flatMap((p, i) => (p.isKnuckle ? [i] : [])),
  );
  const isOnCentreline = points.every((p) => Math.abs(p.halfBreadth) <= CENTRELINE_MM);
  return { ...line, points, batten, isOnCentreline };
}
