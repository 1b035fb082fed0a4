/**
 * What of a gap comes of which error: for each one that a builder makes, how much each place gapes for one of it.
 *
 * Marks: a nail stands off by chance, and the batten round the nails goes with it, as a cubic spline does whose one
 * value is changed. Figures are rounded and the batten strays between nails in a way that is known: these are no
 * chance. Cutting: what the plane does at one place, it does evenly round about, to nothing at the next such places.
 * Thickness: of a sheet as a whole. Frames: frames-off.ts. A gap is positive where wood is missing.
 */
import { at, evaluateTangent, fitSpline, type Vec2 } from '../../geometry';
import { battenOff, type Nail } from '../reading/edge-line';
import type { Panel } from '../panel';
import {
  fromFrame,
  inFrame,
  markingOf,
  nailsOfRows,
  type BaseFrame,
  type MarkingAsked,
  type MarkingOut,
} from '../reading/marking';
import type { Accuracy } from '../schema';
import type { FacingEdge, Facings } from './facing';
import type { FrameOff } from './frames-off';
import { NINETEEN } from './normal';

export const GAP_SOURCES = ['marks', 'rounding', 'batten', 'cut', 'thickness', 'framesOff'] as const;
export type GapSource = (typeof GAP_SOURCES)[number];

/** Nails of one piece of an edge, from corner to corner, and the places of seams between them. */
export type NailedPiece = {
  readonly edge: number;
  readonly frame: BaseFrame;
  readonly nails: readonly Nail[];
  /** Where they stand with the figures read as the rule has them. */
  readonly read: readonly Vec2[];
  /** By the number of the place among all. */
  readonly rows: readonly number[];
  readonly places: readonly { readonly along: number; readonly place: FacingPlaceOf }[];
};
type FacingPlaceOf = Facings['places'][number]['sides'][number]['place'];

/** One error by chance, and what one of it does at each place. */
export type ErrorColumn = {
  readonly source: GapSource;
  readonly gaps: Float64Array;
  /** Of a mark: which nail of which piece. */
  readonly nail?: { readonly piece: number; readonly number: number };
};

export type Errors = {
  readonly pieces: readonly NailedPiece[];
  readonly chance: readonly ErrorColumn[];
  /** Known beforehand, mm at each place. */
  readonly known: Readonly<Record<'rounding' | 'batten', Float64Array>>;
};

export type ErrorsAsked = {
  readonly facings: Facings;
  readonly marking: MarkingAsked;
  readonly accuracy: Pick<Accuracy, 'rule' | 'planed'>;
  readonly frames: readonly FrameOff[];
};

export function errorsOf({ facings, marking, accuracy, frames }: ErrorsAsked): Errors {
  const count = facings.places.length;
  const pieces = nailedPieces(facings, marking, accuracy.rule);
  const rounding = new Float64Array(count);
  const batten = new Float64Array(count);
  const chance: ErrorColumn[] = [];
  pieces.forEach((piece, number) => {
    const { nails, read, rows, places } = piece;
    const exact = nails.map((nail) => nail.at);
    const strays = battenOff(nails, exact, places);
    const both = battenOff(nails, read, places);
    rows.forEach((row, i) => {
      batten[row] = (batten[row] ?? 0) - at(strays, i);
      rounding[row] = (rounding[row] ?? 0) - (at(both, i) - at(strays, i));
    });
    nails.forEach((_, k) => {
      const gaps = new Float64Array(count);
      const shares = shareOfNail(nails, k);
      rows.forEach((row, i) => (gaps[row] = (gaps[row] ?? 0) - shares(at(places, i).along)));
      chance.push({ source: 'marks', gaps, nail: { piece: number, number: k } });
    });
  });
  facings.edges.forEach((edge, number) => {
    for (const gaps of cutColumns(facings, { edge, number, planed: accuracy.planed }))
      chance.push({ source: 'cut', gaps });
  });
  facings.sheets.forEach((_, sheet) => {
    const gaps = Float64Array.from(facings.places, ({ thicker }) =>
      thicker.reduce((sum, one) => sum + (one.sheet === sheet ? one.by : 0), 0),
    );
    if (gaps.some((mm) => mm !== 0)) chance.push({ source: 'thickness', gaps });
  });
  for (const { gaps } of frames) chance.push({ source: 'framesOff', gaps });
  return { pieces, chance, known: { rounding, batten } };
}

/** What a batten does along its length when one of its nails goes off by one. */
function shareOfNail(nails: readonly Nail[], which: number): (along: number) => number {
  // so small that the chords are the lengths along
  const spline = fitSpline(nails.map(({ along }, k) => [along, k === which ? SMALL : 0, 0]));
  const from = at(nails, 0).along;
  return (along) => evaluateTangent(spline, along - from).position[1] / SMALL;
}
const SMALL = 1e-6;

function nailedPieces({ sheets, edges, places }: Facings, marking: MarkingAsked, rule: number): NailedPiece[] {
  const toRule = (mm: number) => (rule > 0 ? Math.round(mm / rule) * rule : mm);
  const marked = new Map<Panel, MarkingOut>();
  return edges.flatMap((edge, number): NailedPiece[] => {
    const { panel } = at(sheets, edge.sheet);
    const out = marked.get(panel) ?? markingOf(panel, marking);
    marked.set(panel, out);
    const own = places.flatMap(({ sides }, row) =>
      sides.flatMap((side) => (side.edge === number ? [{ row, side }] : [])),
    );
    const pieces = nailsOfRows(edge.line, out);
    return pieces.map((nails, k) => {
      // one at a corner belongs to the piece before it
      const [from, to] = [
        k === 0 ? -Infinity : at(nails, 0).along,
        k === pieces.length - 1 ? Infinity : at(nails, -1).along,
      ];
      const here = own.filter(({ side }) => side.along > from && side.along <= to);
      return {
        ...{ edge: number, frame: out.frame, nails },
        read: nails.map((nail) => {
          const [u, v] = inFrame(out.frame, nail.at);
          return fromFrame(out.frame, [toRule(u), toRule(v)]);
        }),
        rows: here.map(({ row }) => row),
        places: here.map(({ side: { along, place } }) => ({ along, place })),
      };
    });
  });
}

type Cut = { readonly edge: FacingEdge; readonly number: number; readonly planed: number };

/** Even everywhere: at a place between two such, cosine and sine, whose squares make one. */
export function cutShares(
  along: number,
  length: number,
  planed: number,
): { readonly first: number; by: [number, number] } {
  const bays = Math.max(1, Math.round(length / planed));
  const place = (along / length) * bays;
  const first = Math.min(bays - 1, Math.max(0, Math.floor(place)));
  const turn = ((place - first) * Math.PI) / 2;
  return { first, by: [Math.cos(turn), Math.sin(turn)] };
}

function cutColumns({ places }: Facings, { edge: { line }, number, planed }: Cut): Float64Array[] {
  const bays = Math.max(1, Math.round(line.length / planed));
  const columns = Array.from({ length: bays + 1 }, () => new Float64Array(places.length));
  places.forEach(({ sides }, row) => {
    for (const side of sides) {
      if (side.edge !== number) continue;
      const { first, by } = cutShares(side.along, line.length, planed);
      by.forEach((share, k) => {
        const column = at(columns, first + k);
        column[row] = (column[row] ?? 0) - share;
      });
    }
  });
  return columns.filter((gaps) => gaps.some((mm) => mm !== 0));
}

/** Standard deviation of one error of a source, mm. */
export const deviationOf = (source: GapSource, accuracy: Accuracy): number =>
  ({ ...{ rounding: 0, batten: 0 }, ...pick(accuracy) })[source] / NINETEEN;

const pick = ({ marks, cut, thickness, framesOff }: Accuracy) => ({ marks, cut, thickness, framesOff });
