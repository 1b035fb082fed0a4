/** What layouts leave off the sheets, as findings. A thickness without any sheet is judged with the parts. */
import { isSameMaterial } from './batches';
import type { SheetsFinding } from './findings';
import type { Layout } from './layouts';
import type { Piece } from './parts';
import type { SheetsPart } from './schema';
import { tallySheets, type SheetCount, type SheetsValue } from './tally';

export const judgeLayouts = (
  value: SheetsValue,
  layouts: readonly Layout[],
  stock: SheetsPart['stock'],
): SheetsFinding[] => tallySheets(value, layouts).flatMap((count) => (count.hasStock ? judge(count, stock) : []));

function judge(count: SheetCount, stock: SheetsPart['stock']): SheetsFinding[] {
  const { thickness: thicknessMm, kind, pieces, tooFew, tooLarge, untried } = count;
  const where = { stage: 'sheets' } as const;
  const large = tooLarge.map(({ name }): SheetsFinding => ({
    severity: 'stop',
    code: 'part-unplaced',
    where,
    data: { part: name, thicknessMm, kind },
  }));
  const few: SheetsFinding[] =
    tooFew.length === 0
      ? []
      : [
          {
            severity: 'stop',
            code: 'sheets-too-few',
            where,
            data: { thicknessMm, kind, count: tooFew.length, pieces, parts: listed(tooFew) },
            remedies: moreSheets(count, stock),
          },
        ];
  const cut: SheetsFinding[] =
    untried.length === 0
      ? []
      : [
          {
            severity: 'check',
            code: 'layout-cut-short',
            where,
            data: { thicknessMm, kind, count: untried.length, pieces },
          },
        ];
  return [...few, ...large, ...cut];
}

/** More of the largest sheets of the thickness. */
function moreSheets({ thickness, kind, sheetsMore }: SheetCount, stock: SheetsPart['stock']) {
  const [largest] = stock
    .filter((sheet) => isSameMaterial(sheet, { thickness, kind }) && sheet.qty > 0 && !sheet.isOffcut)
    .sort((a, b) => b.width * b.height - a.width * a.height);
  if (!largest) return [];
  const label = sheetsMore === 1 ? 'One sheet more' : `${sheetsMore} sheets more`;
  return [{ label, edits: [{ path: ['sheets', 'stock', largest.id, 'qty'], value: largest.qty + sheetsMore }] }];
}

const NAMED = 4;

/** The first few by name. */
export function listed(pieces: readonly Piece[], most = NAMED): string {
  const names = pieces.slice(0, most).map(({ name }) => name);
  return pieces.length > most ? `${names.join('; ')} and ${pieces.length - most} more` : names.join('; ');
}
