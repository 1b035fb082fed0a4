/** Whether a sheet of a part's thickness has room for its pieces. */
import { boundsOf, type Region } from '../geometry';
import type { SheetInStock } from '../panels';

export type NoRoom = {
  readonly long: number;
  readonly wide: number;
  readonly sheetLong: number;
  readonly sheetWide: number;
};

/** Sheets that differ by less are of one thickness, mm. */
const SAME_SHEET_MM = 0.3;

/** Undefined where there is a sheet for it, or none of that thickness at all: that is told elsewhere. */
export function noRoomFor(
  { outline }: Region,
  stock: readonly SheetInStock[],
  { thickness, mayTurn }: { readonly thickness: number; readonly mayTurn: boolean },
): NoRoom | undefined {
  const sizes = stock
    .filter((sheet) => sheet.qty > 0 && Math.abs(sheet.thickness - thickness) < SAME_SHEET_MM)
    .map(({ width, height }) => [Math.max(width, height), Math.min(width, height)] as const);
  const [first] = sizes;
  const { minX, maxX, minY, maxY } = boundsOf(outline);
  const [long, wide] = [maxX - minX, maxY - minY];
  if (!first || sizes.some(([a, b]) => (long <= a && wide <= b) || (mayTurn && long <= b && wide <= a)))
    return undefined;
  const [sheetLong, sheetWide] = sizes.reduce((best, one) => (one[0] * one[1] > best[0] * best[1] ? one : best), first);
  return { long, wide, sheetLong, sheetWide };
}
