import { describe, expect, it } from 'vitest';
import { demoProject } from '../project';
import { sheetsSchema, type StockSheet } from './schema';
import { usualSizes, withOffcut, withSheet, withZone, zoneBetween } from './stock';

const { sheets } = demoProject('tamsel', 'x');
const stock: readonly StockSheet[] = sheets.stock.map((sheet) => ({ ...sheet, qty: 4, onHand: 2 }));
const isTaken = (value: readonly StockSheet[]) => sheetsSchema.safeParse({ ...sheets, stock: value }).success;

describe('the stock of sheets', () => {
  it('gets rows of ids of their own, which the project takes', () => {
    let more = [...stock];
    for (const size of usualSizes('mm')) more = withSheet(more, { ...size, thickness: 12 });
    const offcut = { id: 'from the rack', width: 700, height: 400, thickness: 6, outline: [] };
    more = withOffcut(withOffcut(more, offcut), offcut);
    expect(new Set(more.map(({ id }) => id)).size).toBe(stock.length + usualSizes('mm').length + 1);
    expect(more[more.length - 1]).toMatchObject({ isOffcut: true, onHand: 1, qty: 1 });
    expect(isTaken(more)).toBe(true);
  });
  it('offers sizes in whole inches to a boat in inches', () => {
    for (const { width, height } of usualSizes('in-16'))
      for (const mm of [width, height]) expect(mm / 25.4).toBeCloseTo(Math.round(mm / 25.4), 9);
  });
  it('has a spoiled place on one sheet alone, which is used first', () => {
    const marked = withZone(stock, 'sheet-6', { x: 100, y: 0, width: 200, height: 150 });
    const six = marked.filter(({ thickness }) => thickness === 6);
    expect(six.map(({ qty, onHand, zones }) => [qty, onHand, zones.length])).toEqual([
      [1, 1, 1],
      [3, 1, 0],
    ]);
    expect(isTaken(marked)).toBe(true);
    const again = withZone(marked, six[0]?.id ?? '', { x: 900, y: 500, width: 20, height: 20 });
    expect(again.filter(({ thickness }) => thickness === 6).map(({ zones }) => zones.length)).toEqual([2, 0]);
    const last = withZone(
      stock.map((one) => ({ ...one, qty: 1, onHand: 0 })),
      'sheet-6',
      { x: 0, y: 0, width: 9, height: 9 },
    );
    expect(last.map(({ qty }) => qty)).toEqual([1, 1]);
  });
  it('marks what lies on the sheet of a rectangle between two corners, whichever way it is drawn', () => {
    const sheet = { width: 2440, height: 1220 };
    const wanted = { x: 2300, y: 0, width: 140, height: 90 };
    expect(zoneBetween([2300, 90], [2600, -40], sheet)).toEqual(wanted);
    expect(zoneBetween([2600, -40], [2300, 90], sheet)).toEqual(wanted);
    expect(zoneBetween([-50, -50], [-10, 30], sheet)).toBeUndefined();
  });
});
