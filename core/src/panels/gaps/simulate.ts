/**
 * The hull built so many times by chance: the check on what is foretold, and how wide the widest gap of a seam becomes.
 *
 * Each build: every nail of every sheet set off along and across, a batten really bent round the nails where they
 * stand, planed ups and downs, a thickness for each sheet, each frame off along, up and aside; the sheets pushed to
 * where they fit best; what is left is the gap. The same seed gives the same builds.
 */
import { at, random, type Vec2 } from '../../geometry';
import { battenOff } from '../reading/edge-line';
import type { Accuracy } from '../schema';
import { deviationOf } from './errors';
import { fitter } from './fitted';
import type { ForetoldSeam, Spread } from './foretell';
import { normals } from './normal';

export type BuiltSeam = {
  /** At each place of the seam: within so much half of the builds, and nineteen of twenty, mm. */
  readonly places: readonly { readonly half: number; readonly nineteen: number }[];
  /** Of the widest gap anywhere along it. */
  readonly widest: { readonly half: number; readonly nineteen: number };
  /** Root of the mean square over all its places and builds, mm. */
  readonly rms: number;
};

export type BuildAsk = { readonly builds: number; readonly seed: number };

export function simulate({ facings, errors }: Spread, accuracy: Accuracy, { builds, seed }: BuildAsk): BuiltSeam[] {
  const count = facings.places.length;
  const fit = fitter(facings);
  const draw = normals(random(seed));
  const [marks, cut] = [deviationOf('marks', accuracy), deviationOf('cut', accuracy)];
  const others = errors.chance.filter(({ source }) => source !== 'marks' && source !== 'cut');
  const cuts = errors.chance.filter(({ source }) => source === 'cut');
  const all: Float64Array[] = [];
  for (let build = 0; build < builds; build++) {
    const gaps = new Float64Array(count);
    const add = (column: Float64Array, by: number) => {
      for (let k = 0; k < count; k++) gaps[k] = gaps[k]! + by * column[k]!; // both as long
    };
    for (const { nails, read, rows, places } of errors.pieces) {
      const stands = read.map(([x, y]): Vec2 => [x + marks * draw(), y + marks * draw()]);
      battenOff(nails, stands, places).forEach((off, i) => {
        const row = at(rows, i);
        gaps[row] = (gaps[row] ?? 0) - off;
      });
    }
    for (const { gaps: column } of cuts) add(column, cut * draw());
    for (const { source, gaps: column } of others) add(column, deviationOf(source, accuracy) * draw());
    all.push(fit(gaps));
  }
  return facings.seams.map((_, number) => {
    const rows = facings.places.flatMap((place, row) => (place.seam === number ? [row] : []));
    const sizes = rows.map((row) => all.map((gaps) => Math.abs(gaps[row] ?? 0)).sort((a, b) => a - b));
    const widest = all.map((gaps) => Math.max(...rows.map((row) => Math.abs(gaps[row] ?? 0)))).sort((a, b) => a - b);
    const squares = sizes.reduce((sum, row) => sum + row.reduce((own, mm) => own + mm * mm, 0), 0);
    return {
      places: sizes.map((sorted) => ({ half: withinShare(sorted, 0.5), nineteen: withinShare(sorted, 0.95) })),
      widest: { half: withinShare(widest, 0.5), nineteen: withinShare(widest, 0.95) },
      rms: Math.sqrt(squares / Math.max(1, rows.length * builds)),
    };
  });
}

/** Of sizes in order, the one that a share of them keeps within. */
function withinShare(sorted: readonly number[], share: number): number {
  const place = share * (sorted.length - 1);
  const k = Math.min(sorted.length - 2, Math.floor(place));
  return k < 0 ? at(sorted, 0) : at(sorted, k) + (place - k) * (at(sorted, k + 1) - at(sorted, k));
}

/** How far building by chance is from what was foretold, by root mean squares, as a share: of the seam that is most. */
export function disagreement(seams: readonly ForetoldSeam[], built: readonly BuiltSeam[]): number {
  return Math.max(
    0,
    ...seams.map(({ places }, k) => {
      const foretold = Math.sqrt(
        places.reduce((sum, { middle, deviation }) => sum + middle ** 2 + deviation ** 2, 0) / places.length,
      );
      return foretold === 0 ? 0 : Math.abs(at(built, k).rms / foretold - 1);
    }),
  );
}
