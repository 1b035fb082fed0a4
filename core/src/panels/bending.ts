/**
 * The least radius that a dry sheet takes, by thickness and by the angle between the bend and the face grain.
 *
 * Method: the published table, linear between its rows, in proportion below the first and above the last; between
 * bending the grain itself ("along") and bending across it, by the squares of cosine and sine (stiffness of an
 * orthotropic sheet turns so, to first order; derived here).
 */
import { MM_PER_FOOT, MM_PER_INCH } from '../measure';
import { LEAST_RADII } from './constants';

/**
 * @param grainAngleRad between the direction of bending (square to the rulings) and the face grain: 0 bends the grain
 */
export function leastRadius(thicknessMm: number, grainAngleRad: number): number {
  const along = fromTable(thicknessMm, 'along');
  const across = fromTable(thicknessMm, 'across');
  const share = Math.cos(grainAngleRad) ** 2;
  return along * share + across * (1 - share);
}

const ROWS = LEAST_RADII.value.map(({ thicknessIn, alongFt, acrossFt }) => ({
  t: thicknessIn * MM_PER_INCH,
  along: alongFt * MM_PER_FOOT,
  across: acrossFt * MM_PER_FOOT,
}));

function fromTable(thicknessMm: number, column: 'along' | 'across'): number {
  const first = ROWS[0]!; // the table is never empty
  const last = ROWS[ROWS.length - 1]!;
  if (thicknessMm <= first.t) return (first[column] * thicknessMm) / first.t;
  if (thicknessMm >= last.t) return (last[column] * thicknessMm) / last.t;
  const i = ROWS.findIndex((row) => row.t >= thicknessMm);
  const [a, b] = [ROWS[i - 1]!, ROWS[i]!]; // between first and last: both exist
  return a[column] + ((b[column] - a[column]) * (thicknessMm - a.t)) / (b.t - a.t);
}
