/** The outline of a flat part, plotted point by point in a rectangle as large as it. */
import { boundsOf, simplifyRing, type Outline, type Vec2 } from '../geometry';
import { formatFine, type Notation } from '../measure';
import type { Task, TaskStep } from './task';

/** Between the points that are plotted a batten runs as near as that, mm. */
const NEAR_MM = 0.3;

type Plotting = { readonly notation: Notation; readonly isMirrored: boolean };

/** Distances from the rectangle's left and lower edge, as the part lies before one. */
export function plotted(outline: Outline, { notation, isMirrored }: Plotting): Pick<Task, 'picture' | 'steps'> {
  const ring = simplifyRing(outline, NEAR_MM).map(([u, v]): Vec2 => [isMirrored ? -u : u, v]);
  const { minX, minY, maxX, maxY } = boundsOf(ring);
  const length = (label: string, mm: number) => ({ label, value: formatFine(mm, notation), isLength: true as const });
  const points = ring.map(([x, y], k): TaskStep => ({
    ...{ id: `point ${k + 1}`, say: `Point ${k + 1} of ${ring.length}`, places: [[x, y]] },
    figures: [length('from the left', x - minX), length('up', y - minY)],
  }));
  const blank = { id: 'blank', say: 'Square a rectangle as large as it' };
  return {
    picture: ring,
    steps: [{ ...blank, figures: [length('long', maxX - minX), length('high', maxY - minY)] }, ...points],
  };
}
