/** What a builder does to the stock of sheets: rows added, an offcut put in, a place marked as spoiled. */
import { isImperial, type Notation } from '../measure';
import { USUAL_SIZES } from './constants';
import { PLAIN_SHEET, type StockSheet } from './schema';

type Stock = readonly StockSheet[];
export type Zone = StockSheet['zones'][number];

/** An id that no row has. */
function freeId(stock: Stock, word: string): string {
  let number = stock.length + 1;
  while (stock.some(({ id }) => id === `${word}-${number}`)) number++;
  return `${word}-${number}`;
}

export const usualSizes = (notation: Notation): readonly { readonly width: number; readonly height: number }[] =>
  isImperial(notation) ? USUAL_SIZES.value.imperial : USUAL_SIZES.value.metric;

type Sized = Pick<StockSheet, 'width' | 'height' | 'thickness'> & Partial<Pick<StockSheet, 'kind' | 'name' | 'qty'>>;

/** One more row, of sheets to be bought. */
export const withSheet = (stock: Stock, sheet: Sized): StockSheet[] => [
  ...stock,
  { ...PLAIN_SHEET, qty: 1, name: '', ...sheet, id: freeId(stock, 'sheet') },
];

type KeptOffcut = Sized & Pick<StockSheet, 'outline' | 'id'>;

/** An offcut that lies ready; by the id that it has on the rack, so that it is in the stock once. */
export const withOffcut = (stock: Stock, offcut: KeptOffcut): StockSheet[] => [
  ...stock.filter(({ id }) => id !== offcut.id),
  { ...PLAIN_SHEET, qty: 1, name: '', ...offcut, onHand: 1, isOffcut: true },
];

/**
 * A zone on a sheet. It is on one sheet alone: of a row of several that one gets a row of its own, before the others,
 * so that it is used first.
 */
export function withZone(stock: Stock, id: string, zone: Omit<Zone, 'id'>): StockSheet[] {
  return stock.flatMap((sheet): StockSheet[] => {
    if (sheet.id !== id) return [sheet];
    const zones = [...sheet.zones, { ...zone, id: `zone-${sheet.zones.length + 1}-${Math.round(zone.x)}` }];
    if (sheet.qty <= 1) return [{ ...sheet, zones }];
    const there = Math.min(1, sheet.onHand);
    return [
      { ...sheet, id: freeId(stock, 'marked'), qty: 1, onHand: there, zones },
      { ...sheet, qty: sheet.qty - 1, onHand: sheet.onHand - there },
    ];
  });
}

/** The rectangle between two corners, as much of it as lies on the sheet; undefined where that is nothing. */
export function zoneBetween(
  [ax, ay]: readonly [number, number],
  [bx, by]: readonly [number, number],
  { width, height }: { readonly width: number; readonly height: number },
): Omit<Zone, 'id'> | undefined {
  const on = (value: number, most: number) => Math.round(Math.min(most, Math.max(0, value)));
  const [left, right] = [on(Math.min(ax, bx), width), on(Math.max(ax, bx), width)];
  const [low, high] = [on(Math.min(ay, by), height), on(Math.max(ay, by), height)];
  if (right - left < LEAST_ZONE_MM || high - low < LEAST_ZONE_MM) return undefined;
  return { x: left, y: low, width: right - left, height: high - low };
}

const LEAST_ZONE_MM = 1;
