/** Laid-out sheets as drawings to cut from. */
import { closedPath, csv, stamped, TEXT_MM, type Drawing, type DrawnText, type ExportTable } from '../formats';
import { boundsOf, type Vec2 } from '../geometry';
import { placedOutline } from './check';
import { laidBatches, type Layout } from './layouts';
import type { UsedSheet } from './nest';
import { listed } from './judge';
import { jobPartName, type CutPart, type NestBatch, type Piece } from './parts';
import type { SheetsPart } from './schema';
import { leftOff, tallySheets, type SheetsValue } from './tally';

/** A laid-out sheet: its edge as a mark, the parts to cut. */
function sheetDrawing(sheet: UsedSheet, batch: NestBatch, parts: readonly CutPart[], left: readonly Piece[]): Drawing {
  const stock = batch.job.sheets.find((other) => other.id === sheet.id);
  if (!stock) throw new Error(`Sheet ${sheet.id} is not in its own job`);
  const placed = sheet.placements.flatMap((placement) => {
    const part = batch.job.parts.find((other) => other.id === placement.part);
    return part ? [{ placement, outline: placedOutline(part.outline, placement) }] : [];
  });
  const edge: Vec2[] = [
    [0, 0],
    [stock.width, 0],
    [stock.width, stock.height],
    [0, stock.height],
  ];
  const name = `sheet-${batch.thickness}mm-${sheet.id}-${sheet.index + 1}`;
  return {
    name,
    paths: [
      { layer: 'mark', points: edge, isClosed: true },
      ...placed.map(({ outline }) => closedPath('cut', outline)),
    ],
    texts: [
      ...placed.map(({ placement, outline }): DrawnText => {
        const box = boundsOf(outline);
        return {
          at: [(box.minX + box.maxX) / 2 - 150, (box.minY + box.maxY) / 2],
          heightMm: TEXT_MM,
          text: jobPartName(placement.part, parts),
        };
      }),
      ...(left.length === 0
        ? []
        : [{ at: [0, -2 * TEXT_MM] as const, heightMm: TEXT_MM, text: `On no sheet: ${listed(left, ALL)}` }]),
    ],
  };
}

/** So many names stand on one line of a sheet's drawing. */
const ALL = 12;

/** What the sheets are drawn from. */
export type SheetsWhole = {
  readonly project: { readonly revision: number; readonly sheets: Pick<SheetsPart, 'seed' | 'stock'> };
  readonly values: { readonly sheets: SheetsValue };
  readonly found: { readonly sheets?: readonly Layout[] | undefined };
};

/** Every sheet of the layouts that there are; each part on it carries the revision, each sheet what is on none. */
export function sheetsDrawings({ project, values, found }: SheetsWhole): Drawing[] {
  const { parts, batches } = values.sheets;
  const counts = tallySheets(values.sheets, found.sheets ?? []);
  return laidBatches(batches, found.sheets ?? []).flatMap(({ batch, result }) => {
    const left = counts.filter(({ thickness }) => thickness === batch.thickness).flatMap(leftOff);
    return (result?.sheets ?? []).map((sheet) =>
      stamped(sheetDrawing(sheet, batch, parts, left), project.revision, 'every part'),
    );
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
