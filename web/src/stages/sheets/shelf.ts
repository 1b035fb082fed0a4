import { stacksIn, type LaidBatch, type NestBatch, type NestResult } from '@kalotrope/core/sheets';

/** A laid-out sheet, with where it is drawn. */
export type Shelf = {
  readonly batch: NestBatch;
  readonly result: NestResult;
  readonly sheet: NestResult['sheets'][number];
  readonly width: number;
  readonly height: number;
  readonly dx: number;
  readonly dy: number;
  /** The sheet that it lies on or under when pairs are cut two at once, counted as all are. */
  readonly stack?: { readonly number: number; readonly isOver: boolean };
};

const BETWEEN_MM = 220;

/** Sheets one under the other, material by material. */
export function shelve(laid: readonly LaidBatch[]): Shelf[] {
  let [top, before] = [0, 0];
  return laid.flatMap(({ batch, result }) => {
    const stacks = stacksIn(result?.sheets ?? [], batch.job);
    const first = before + 1;
    before += stacks.length;
    return (result?.sheets ?? []).flatMap((sheet, k): Shelf[] => {
      const stock = batch.job.sheets.find((other) => other.id === sheet.id);
      if (!stock || !result) return [];
      const dy = top - stock.height;
      top -= stock.height + BETWEEN_MM;
      const on = stacks[k];
      const stack = on && { number: first + on.with, isOver: on.isOver };
      return [{ batch, result, sheet, width: stock.width, height: stock.height, dx: 0, dy, ...(stack && { stack }) }];
    });
  });
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
