import type { LaidBatch, NestBatch, NestResult } from '@kalotrope/core/sheets';

/** A laid-out sheet, with where it is drawn. */
export type Shelf = {
  readonly batch: NestBatch;
  readonly result: NestResult;
  readonly sheet: NestResult['sheets'][number];
  readonly width: number;
  readonly height: number;
  readonly dx: number;
  readonly dy: number;
};

const BETWEEN_MM = 220;

/** Sheets one under the other, material by material. */
export function shelve(laid: readonly LaidBatch[]): Shelf[] {
  let top = 0;
  return laid.flatMap(({ batch, result }) =>
    (result?.sheets ?? []).flatMap((sheet): Shelf[] => {
      const stock = batch.job.sheets.find((other) => other.id === sheet.id);
      if (!stock || !result) return [];
      const dy = top - stock.height;
      top -= stock.height + BETWEEN_MM;
      return [{ batch, result, sheet, width: stock.width, height: stock.height, dx: 0, dy }];
    }),
  );
}

/** Two columns on a wide screen, so that six sheets are still large enough to read. */
export function inColumns(shelves: readonly Shelf[], isWide: boolean): Shelf[] {
  const half = Math.ceil(shelves.length / 2);
  const isTwo = isWide && shelves.length > 2;
  const width = Math.max(...shelves.map((shelf) => shelf.width));
  return shelves.map((shelf, i) => ({
    ...shelf,
    dx: isTwo && i >= half ? width + BETWEEN_MM : 0,
    dy: isTwo && i >= half ? shelf.dy - (shelves[half]?.dy ?? 0) + (shelves[0]?.dy ?? 0) : shelf.dy,
  }));
}
