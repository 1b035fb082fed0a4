/**
 * Each sheet is pushed to where it fits best before it is tied: what a move or a turn of sheets takes up is no gap.
 *
 * Method (derived here): three small motions of each sheet in its own plane, all at once, so that the sum of squares of
 * the gaps is least: what is left is the part square to all that motions can do (orthonormal columns by Gram and
 * Schmidt; a motion that closes nothing, or that another one does, is let go).
 */
import { at, type Vec2 } from '../../geometry';
import type { Facings } from './facing';

/**
 * A motion that closes less than this share of itself, by root mean square, is let go: nobody slides a sheet fifty
 * times as far as the gap is wide.
 */
const OWN_SHARE = 0.02;

/** Takes out of gaps, one a place, what motions of the sheets can. */
export function fitter({ sheets, edges, places }: Facings): (gaps: Float64Array) => Float64Array {
  const columns: Float64Array[] = [];
  sheets.forEach((_, sheet) => {
    const own = places.flatMap((place, row) =>
      place.sides.flatMap((side) => (at(edges, side.edge).sheet === sheet ? [{ row, ...side.place }] : [])),
    );
    const middle: Vec2 = [
      own.reduce((sum, { point }) => sum + point[0], 0) / Math.max(1, own.length),
      own.reduce((sum, { point }) => sum + point[1], 0) / Math.max(1, own.length),
    ];
    const reach = Math.max(1, ...own.map(({ point }) => Math.hypot(point[0] - middle[0], point[1] - middle[1])));
    for (const motion of ['along', 'up', 'turn'] as const) {
      const column = new Float64Array(places.length);
      for (const { row, point, outward } of own) {
        const [x, y] = [point[0] - middle[0], point[1] - middle[1]];
        const by = { along: outward[0], up: outward[1], turn: (x * outward[1] - y * outward[0]) / reach }[motion];
        column[row] = at2(column, row) - by;
      }
      columns.push(column);
    }
  });
  const basis: Float64Array[] = [];
  for (const column of columns) {
    // twice: what the first time leaves of the others is rounding
    for (let k = 0; k < 2; k++) for (const other of basis) takeOut(column, other);
    const left = Math.sqrt(dot(column, column));
    if (left < OWN_SHARE * Math.sqrt(column.length)) continue;
    basis.push(column.map((x) => x / left));
  }
  return (gaps) => {
    const left = Float64Array.from(gaps);
    for (const one of basis) takeOut(left, one);
    return left;
  };
}

const at2 = (values: Float64Array, k: number): number => values[k] ?? 0;

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let k = 0; k < a.length; k++) sum += a[k]! * b[k]!; // both as long
  return sum;
}

function takeOut(from: Float64Array, one: Float64Array): void {
  const share = dot(from, one);
  for (let k = 0; k < from.length; k++) from[k] = from[k]! - share * one[k]!; // both as long
}
