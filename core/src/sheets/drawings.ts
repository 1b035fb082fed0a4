/** Laid-out sheets as drawings to cut from. */
import { carried, closedPath, csv, TEXT_MM, type Drawing, type DrawnText, type ExportTable } from '../formats';
import type { Vec2 } from '../geometry';
import { formatThickness, type Notation } from '../measure';
import { edgeOfSheet, placedOutline } from './check';
import { cutFileOf, type Machine } from './cutter/cut-file';
import { machineDrawing } from './cutter/drawing';
import { laidBatches, type Layout } from './layouts';
import type { UsedSheet } from './result';
import { listed } from './judge';
import { marksOfParts, type MarkedPart, type MarksWhole } from './part-marks';
import { isSameMaterial, type Material, type NestBatch } from './batches';
import { ofKind } from './findings';
import { jobPartName, piecesOf, type Piece } from './parts';
import type { SheetsPart } from './schema';
import { leftOff, tallySheets, type SheetsValue } from './tally';

type SheetOf = {
  readonly batch: NestBatch;
  readonly pieces: readonly Piece[];
  readonly marksOf: (piece: Piece) => MarkedPart;
  /** What is on no sheet. */
  readonly left: readonly Piece[];
  /** Of all sheets, from 1. */
  readonly number: number;
  readonly notation: Notation;
};

/** A laid-out sheet: its edge as a mark, the parts to cut with all that is on them. */
function sheetDrawing(sheet: UsedSheet, { batch, pieces, marksOf, left, number, notation }: SheetOf): Drawing {
  const stock = batch.job.sheets.find((other) => other.id === sheet.id);
  if (!stock) throw new Error(`Sheet ${sheet.id} is not in its own job`);
  const placed = sheet.placements.flatMap((placement) => {
    const part = batch.job.parts.find(({ id }) => id === placement.part);
    const piece = pieces.find(({ id }) => id === placement.part);
    if (!part || !piece) return [];
    const put = (p: Vec2): Vec2 => placedOutline([p], placement)[0] ?? p; // one in, one out
    const { paths, texts } = marksOf(piece);
    return [
      {
        cuts: [part.outline, ...part.holes].map((ring) => placedOutline(ring, placement)),
        paths: paths.map((path) => carried(path, put)),
        texts: texts.map((text) => ({ ...text, at: put(text.at) })),
      },
    ];
  });
  return {
    // every part on it says the revision
    isStamped: true,
    name: `sheet-${fileWord(batch)}-${sheet.id}-${sheet.index + 1}`,
    title: `Sheet ${number}, ${materialWords(batch, notation)}`,
    hand: 'parts with the face up that each says',
    material: plywoodWords(batch, notation),
    paths: [
      closedPath('mark', edgeOfSheet(stock)),
      ...(stock.zones ?? []).map((zone) => ({ ...closedPath('mark', zone), layerName: 'SPOILED' })),
      ...placed.flatMap(({ cuts }) => cuts.map((ring) => closedPath('cut', ring))),
      ...placed.flatMap(({ paths }) => paths),
    ],
    texts: [...placed.flatMap(({ texts }) => texts), ...missingWords(left)],
  };
}

/** A material in a file's name. */
export const fileWord = ({ thickness, kind }: Material): string =>
  [`${thickness}mm`, ...(kind.trim() === '' ? [] : [kind.trim()])].join('-');

export const materialWords = ({ thickness, kind }: Material, notation: Notation): string =>
  `${formatThickness(thickness, notation)}${ofKind(kind)}`;

export const plywoodWords = ({ thickness, kind }: Material, notation: Notation): string =>
  `${formatThickness(thickness, notation)} plywood${ofKind(kind)}`;

/** What is on no sheet, below each. */
const missingWords = (left: readonly Piece[]): DrawnText[] =>
  left.length === 0 ? [] : [{ at: [0, -2 * TEXT_MM], heightMm: TEXT_MM, text: `On no sheet: ${listed(left, ALL)}` }];

/** The same sheet for a cutting machine: contours by what is done along them. */
function machineSheet(
  sheet: UsedSheet,
  { batch, pieces, marksOf, left, number, notation }: SheetOf,
  machine: Machine,
): Drawing {
  const marks = sheet.placements.flatMap((placement) => {
    const piece = pieces.find(({ id }) => id === placement.part);
    const paths = piece ? marksOf(piece).paths : [];
    return paths.map(({ points, isClosed }) =>
      placedOutline(isClosed ? [...points, ...points.slice(0, 1)] : points, placement),
    );
  });
  const material = plywoodWords(batch, notation);
  return machineDrawing(cutFileOf(sheet, batch.job, machine, marks), {
    ...{ name: `machine-${fileWord(batch)}-${sheet.id}-${sheet.index + 1}`, material },
    title: `Sheet ${number}, ${materialWords(batch, notation)}, for a machine`,
    texts: missingWords(left),
  });
}

/** So many names stand on one line of a sheet's drawing. */
const ALL = 12;

/** What the sheets are drawn from. */
export type SheetsWhole = {
  readonly project: { readonly sheets: Pick<SheetsPart, 'seed' | 'stock' | 'machine'>; readonly notation: Notation };
  readonly values: { readonly sheets: SheetsValue };
  readonly found: { readonly sheets?: readonly Layout[] | undefined };
};

/** Every sheet of the layouts that there are; each part on it carries the revision, each sheet what is on none. */
export function sheetsDrawings(whole: SheetsWhole & MarksWhole): Drawing[] {
  const { values, found } = whole;
  const { parts, batches } = values.sheets;
  const pieces = parts.flatMap(piecesOf);
  const marksOf = marksOfParts(whole, parts);
  const counts = tallySheets(values.sheets, found.sheets ?? []);
  let count = 0;
  return laidBatches(batches, found.sheets ?? []).flatMap(({ batch, result }) => {
    const left = counts.filter((one) => isSameMaterial(one, batch)).flatMap(leftOff);
    return (result?.sheets ?? []).flatMap((sheet) => {
      const of = { batch, pieces, marksOf, left, number: ++count, notation: whole.project.notation };
      return [sheetDrawing(sheet, of), machineSheet(sheet, of, whole.project.sheets.machine)];
    });
  });
}

/** Every part to cut with the sheet that it is on, those that are on none first. */
export function sheetsTables({ values, found }: SheetsWhole): ExportTable[] {
  const { parts, batches } = values.sheets;
  const layouts = found.sheets ?? [];
  if (layouts.length === 0) return [];
  const off = tallySheets(values.sheets, layouts).flatMap((count) =>
    leftOff(count).map(({ name }) => [name, count.thickness, 'on no sheet']),
  );
  const on = laidBatches(batches, layouts).flatMap(({ batch, result }) =>
    (result?.sheets ?? []).flatMap(({ id, index, placements }) =>
      placements.map(({ part }) => [jobPartName(part, parts), batch.thickness, `${id} ${index + 1}`]),
    ),
  );
  return [
    {
      name: 'parts-on-sheets',
      title: 'Parts and their sheets',
      csv: csv(['part', 'thickness', 'sheet'], [...off, ...on]),
    },
  ];
}
