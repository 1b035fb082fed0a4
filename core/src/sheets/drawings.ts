/** Laid-out sheets as drawings to cut from. */
import { closedPath, stamped, TEXT_MM, type Drawing, type DrawnText } from '../formats';
import { boundsOf, type Vec2 } from '../geometry';
import { placedOutline } from './check';
import { laidBatches, type Layout } from './layouts';
import type { UsedSheet } from './nest';
import { jobPartName, type CutPart, type NestBatch } from './parts';

/** A laid-out sheet: its edge as a mark, the parts to cut. */
function sheetDrawing(sheet: UsedSheet, batch: NestBatch, parts: readonly CutPart[]): Drawing {
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
    texts: placed.map(({ placement, outline }): DrawnText => {
      const box = boundsOf(outline);
      return {
        at: [(box.minX + box.maxX) / 2 - 150, (box.minY + box.maxY) / 2],
        heightMm: TEXT_MM,
        text: jobPartName(placement.part, parts),
      };
    }),
  };
}

/** What the sheets are drawn from. */
export type SheetsWhole = {
  readonly project: { readonly revision: number; readonly sheets: { readonly seed: number } };
  readonly values: { readonly sheets: { readonly parts: readonly CutPart[]; readonly batches: readonly NestBatch[] } };
  readonly found: { readonly sheets?: readonly Layout[] | undefined };
};

/** Every sheet of the layouts that there are; each part on it carries the revision. */
export function sheetsDrawings({ project, values, found }: SheetsWhole): Drawing[] {
  const { parts, batches } = values.sheets;
  return laidBatches(batches, found.sheets ?? []).flatMap(({ batch, result }) =>
    (result?.sheets ?? []).map((sheet) => stamped(sheetDrawing(sheet, batch, parts), project.revision, 'every part')),
  );
}
