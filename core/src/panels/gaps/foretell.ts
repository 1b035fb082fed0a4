/**
 * How well the edges will meet, given how people really mark and cut.
 *
 * Method (methods: foretold gaps): every error by itself, what it does at each place of each seam (errors.ts), less
 * what pushing the sheets about takes up (fitted.ts). Independent errors add by their squares; what is known beforehand
 * shifts the middle; the size within which a place keeps half the time, and nineteen times of twenty, is that of a
 * normal with this middle and deviation. The check on it is the building by chance in simulate.ts.
 */
import { at } from '../../geometry';
import type { Panel } from '../panel';
import type { Accuracy, PanelsPart } from '../schema';
import { deviationOf, errorsOf, GAP_SOURCES, type Errors, type GapSource } from './errors';
import { facings, type Facings, type FacingSeam } from './facing';
import { fitter } from './fitted';
import type { FrameOff } from './frames-off';
import { sizeWithin } from './normal';

export type GapsPart = Pick<
  PanelsPart,
  'markingStep' | 'markingBase' | 'markingStray' | 'accuracy' | 'roundedChines' | 'meeting' | 'proud' | 'ownProud'
>;

/** A place of a seam: how far it is off within, mm; known beforehand, and by chance. */
export type GapPlace = {
  readonly along: number;
  readonly half: number;
  readonly nineteen: number;
  /** Positive: gapes. */
  readonly middle: number;
  readonly deviation: number;
};

export type ForetoldSeam = FacingSeam & {
  readonly places: readonly GapPlace[];
  /** The place that is off most, by its number. */
  readonly worst: number;
  /** What it would be there nineteen times of twenty, were this the only source. */
  readonly alone: Readonly<Record<GapSource, number>>;
};

/** What each source does, before it is said how large its errors are. */
export type Spread = {
  readonly facings: Facings;
  readonly errors: Errors;
  /** Square of the deviation at each place, for a deviation of one. */
  readonly squares: Readonly<Record<GapSource, Float64Array>>;
  /** Known beforehand. */
  readonly middles: Readonly<Record<'rounding' | 'batten', Float64Array>>;
  /** What each error by chance does where it does most, for one of it. */
  readonly most: readonly number[];
};

/** @param known what frames do, from framesOff: it does not depend on how the panels are marked */
export function spreadOf(panels: readonly Panel[], part: GapsPart, known: readonly FrameOff[]): Spread {
  const all = facings(panels, part);
  const errors = errorsOf({ facings: all, marking: part, accuracy: part.accuracy, frames: known });
  const fit = fitter(all);
  const count = all.places.length;
  const squares = Object.fromEntries(
    GAP_SOURCES.map((source) => [source, new Float64Array(count)]),
  ) as unknown as Record<GapSource, Float64Array>; // of each of them
  const most = errors.chance.map(({ source, gaps }) => {
    const left = fit(gaps);
    const sum = squares[source];
    let largest = 0;
    for (let k = 0; k < count; k++) {
      const mm = left[k]!; // as long
      sum[k] = sum[k]! + mm * mm;
      largest = Math.max(largest, Math.abs(mm));
    }
    return largest;
  });
  const middles = { rounding: fit(errors.known.rounding), batten: fit(errors.known.batten) };
  return { facings: all, errors, squares, middles, most };
}

/** Every seam, for a builder who works so true. */
export function foretell({ facings: all, squares, middles }: Spread, accuracy: Accuracy): ForetoldSeam[] {
  const variance = (source: GapSource, row: number) => deviationOf(source, accuracy) ** 2 * (squares[source][row] ?? 0);
  const placeAt = (row: number): GapPlace => {
    const middle = (middles.rounding[row] ?? 0) + (middles.batten[row] ?? 0);
    const deviation = Math.sqrt(GAP_SOURCES.reduce((sum, source) => sum + variance(source, row), 0));
    return {
      ...{ along: at(all.places, row).along, middle, deviation },
      half: sizeWithin(0.5, middle, deviation),
      nineteen: sizeWithin(0.95, middle, deviation),
    };
  };
  const alone = (row: number) => (source: GapSource) => {
    const middle = source === 'rounding' || source === 'batten' ? (middles[source][row] ?? 0) : 0;
    return sizeWithin(0.95, middle, Math.sqrt(variance(source, row)));
  };
  return all.seams.map((seam, number): ForetoldSeam => {
    const rows = all.places.flatMap((place, row) => (place.seam === number ? [row] : []));
    const places = rows.map(placeAt);
    const worst = places.reduce((most, place, k) => (place.nineteen > at(places, most).nineteen ? k : most), 0);
    const by = alone(at(rows, worst));
    const sources = Object.fromEntries(GAP_SOURCES.map((source) => [source, by(source)]));
    return { ...seam, places, worst, alone: sources as ForetoldSeam['alone'] }; // of each of them
  });
}

/** How far a seam is off at its worst place, nineteen times of twenty, mm. */
export const mostOf = ({ places, worst }: Pick<ForetoldSeam, 'places' | 'worst'>): number => at(places, worst).nineteen;

/** Nineteen of twenty lie within the middle's size and so many deviations, between one tail and two. */
const [ONE_TAIL, TWO_TAILS] = [1.6448, 1.96];

/** The same of all seams, without foretelling them: most places need no looking at. Nothing where nothing meets. */
export function worstWithin({ facings: all, squares, middles }: Spread, accuracy: Accuracy): number {
  const variances = GAP_SOURCES.map((source) => [deviationOf(source, accuracy) ** 2, squares[source]] as const);
  const rows = all.places.map((_, row) => ({
    middle: (middles.rounding[row] ?? 0) + (middles.batten[row] ?? 0),
    deviation: Math.sqrt(variances.reduce((sum, [of, own]) => sum + of * (own[row] ?? 0), 0)),
  }));
  const sure = Math.max(0, ...rows.map(({ middle, deviation }) => Math.abs(middle) + ONE_TAIL * deviation));
  const near = rows.filter(({ middle, deviation }) => Math.abs(middle) + TWO_TAILS * deviation >= sure);
  return Math.max(0, ...near.map(({ middle, deviation }) => sizeWithin(0.95, middle, deviation)));
}
