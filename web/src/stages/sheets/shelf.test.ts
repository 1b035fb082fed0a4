import { describe, expect, it } from 'vitest';
import type { LaidBatch, NestBatch } from '@kalotrope/core/sheets';
import { inColumns, shelve } from './shelf';
import { stockLabel } from './stock-label';

const batch = (count: number): LaidBatch => {
  const job = { gap: 6, margin: 8, parts: [], sheets: [{ id: 'A', width: 2440, height: 1220, qty: 9 }] };
  const sheets = Array.from({ length: count }, (_, index) => ({ id: 'A', index, placements: [] }));
  const made: NestBatch = { thickness: 6, kind: '', key: 'k', job };
  return { batch: made, result: { sheets, unplaced: [], sheetsUsed: count, density: 0 } };
};
/** No two of them lie on one another. */
const areApart = (shelves: ReturnType<typeof shelve>) =>
  shelves.every((a, i) =>
    shelves
      .slice(i + 1)
      .every((b) => Math.abs(a.dx - b.dx) >= a.width || Math.abs(a.dy - b.dy) >= Math.min(a.height, b.height)),
  );

describe('sheets on the drawing', () => {
  it.each([1, 2, 3, 6, 9])('%s of them lie apart, in one column or in two', (count) => {
    const shelves = shelve([batch(count), batch(1)]);
    expect(shelves).toHaveLength(count + 1);
    for (const isWide of [true, false]) expect(areApart(inColumns(shelves, isWide))).toBe(true);
    const columns = new Set(inColumns(shelves, true).map(({ dx }) => dx)).size;
    expect(columns).toBe(count + 1 > 2 ? 2 : 1);
    expect(new Set(inColumns(shelves, false).map(({ dx }) => dx)).size).toBe(1);
  });
  it('are none where nothing is laid out', () => {
    const { batch: bare } = batch(1);
    expect(shelve([{ batch: bare, result: undefined }])).toEqual([]);
  });
});

it('a row of the stock is called by its thickness, by its number too where there are several', () => {
  const sheet = (thickness: number, isOffcut = false) => ({
    ...{ id: 's', name: '', width: 2440, height: 1220, thickness, kind: '', grade: '', qty: 1, onHand: 0, price: 0 },
    ...{ isOffcut, outline: [], zones: [] },
  });
  const stock = [sheet(6), sheet(9), sheet(6), sheet(6, true)];
  expect(stock.map((_, i) => stockLabel(stock, i, 'mm'))).toEqual([
    ...['6 mm sheet', '9 mm sheet', '6 mm sheet 2', '6 mm offcut 3'],
  ]);
});
