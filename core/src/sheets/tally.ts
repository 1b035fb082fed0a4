/**
 * What is on the sheets and what is not: the one count that findings, lists, drawings and screens tell from.
 *
 * A part without sheets of its material in stock is in no layout; one that a layout left over is either larger than
 * any sheet, or would fit on one more.
 */
import { area, boundsOf, turned } from '../geometry';
import { toRad } from '../measure';
import { laidBatches, type Layout } from './layouts';
import type { NestResult } from './result';
import { isSameMaterial, materialsOf, type NestBatch } from './batches';
import { piecesOf, type CutPart, type Piece } from './parts';
import type { NestJob } from './schema';

export type SheetsValue = { readonly parts: readonly CutPart[]; readonly batches: readonly NestBatch[] };

/** The pieces of a material. */
export type SheetCount = {
  readonly thickness: number;
  readonly kind: string;
  /** Undefined where nothing has been laid out yet. */
  readonly result: NestResult | undefined;
  readonly hasStock: boolean;
  /** How many; a pair counts twice. */
  readonly pieces: number;
  /** On no sheet as there are none left. */
  readonly tooFew: readonly Piece[];
  /** On no sheet as none is large enough. */
  readonly tooLarge: readonly Piece[];
  /** Not tried: the search's time was over. */
  readonly untried: readonly Piece[];
  /** So many sheets more have room for `tooFew`, by area: one at least. */
  readonly sheetsMore: number;
};

/** All that are on no sheet. */
export const leftOff = ({ tooFew, tooLarge, untried }: SheetCount): readonly Piece[] => [
  ...tooFew,
  ...tooLarge,
  ...untried,
];

/** A row a material, thin to thick. */
export function tallySheets({ parts, batches }: SheetsValue, layouts: readonly Layout[]): SheetCount[] {
  return materialsOf(parts).map((material): SheetCount => {
    const mine = parts.filter((part) => isSameMaterial(part, material)).flatMap(piecesOf);
    const pieces = mine.length;
    const batch = batches.find((other) => isSameMaterial(other, material));
    const none = { ...material, pieces, tooLarge: [], untried: [], tooFew: [], sheetsMore: 1, result: undefined };
    if (!batch) return { ...none, hasStock: false, tooFew: mine };
    const [laid] = laidBatches([batch], layouts);
    const result = laid?.result;
    return result ? { ...none, ...leftBy(batch, result, mine), hasStock: true, result } : { ...none, hasStock: true };
  });
}

function leftBy({ job }: NestBatch, result: NestResult, pieces: readonly Piece[]) {
  const left = result.unplaced.flatMap(({ part }) => job.parts.find(({ id }) => id === part) ?? []);
  const piecesIn = (list: readonly JobPart[]) => pieces.filter((piece) => list.some(({ id }) => id === piece.id));
  const large = left.filter((part) => !fitsSome(part, job));
  const others = left.filter((part) => !large.includes(part));
  const sheetMm2 = Math.max(...job.sheets.map(({ width, height }) => width * height));
  const sheetsMore = Math.max(1, Math.ceil(others.reduce((sum, { outline }) => sum + area(outline), 0) / sheetMm2));
  return {
    tooLarge: piecesIn(large),
    tooFew: result.isCut ? [] : piecesIn(others),
    untried: result.isCut ? piecesIn(others) : [],
    sheetsMore,
  };
}

type JobPart = NestJob['parts'][number];

/** Whether the part lies on an empty sheet of the job some way that it may be turned. */
function fitsSome({ outline, rotations }: JobPart, { sheets, margin }: NestJob): boolean {
  const angles = rotations === 'any' ? [0, 90] : rotations;
  return angles.some((deg) => {
    const box = boundsOf(turned(outline, toRad(deg)));
    const [long, wide] = [box.maxX - box.minX + 2 * margin, box.maxY - box.minY + 2 * margin];
    // an offcut of its own shape is tried by the search alone
    return sheets.some(
      ({ width, height, outline: edge }) => !edge && long <= width + FITS_MM && wide <= height + FITS_MM,
    );
  });
}

/** Over by less is rounding. */
const FITS_MM = 1e-6;
