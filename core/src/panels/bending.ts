/**
 * The least radius that a dry sheet takes, by thickness and by the angle between the bend and the face grain.
 *
 * Method: the published table, linear between its rows, in proportion below the first and above the last; between bending
 * the grain itself ("along") and bending across it, by the squares of cosine and sine (stiffness of an orthotropic sheet
 * turns so, to first order; derived here).
 */
import { MM_PER_FOOT, MM_PER_INCH } from '../measure';
import { LEAST_RADII } from './constants';

/** @param grainAngleRad between the direction of bending (square to the rulings) and the face grain: 0 bends the grain */
export function leastRadius(thicknessMm: number, grainAngleRad: number): number {
  const along = fromTable(thicknessMm, 'alongFt');
  const across = fromTable(thicknessMm, 'acrossFt');
  const share = Math.cos(grainAngleRad) ** 2;
  return along * share + across * (1 - share);
}

function fromTable(thicknessMm: number, column: 'alongFt' | 'acrossFt'): number {
  const rows = LEAST_RADII.value.map((row) => ({
    t: row.thicknessIn * MM_PER_INCH,
    radius: row[column] * MM_PER_FOOT,
  }));
  const first = rows[0]!; // the table is never empty
  const last = rows[rows.length - 1]!;
  if (thicknessMm <= first.t) return (first.radius * thicknessMm) / first.t;
  if (thicknessMm >= last.t) return (last.radius * thicknessMm) / last.t;
  const i = rows.findIndex((row) => row.t >= thicknessMm);
  const [a, b] = [rows[i - 1]!, rows[i]!]; // between first and last: both exist
  return a.radius + ((b.radius - a.radius) * (thicknessMm - a.t)) / (b.t - a.t);
}
