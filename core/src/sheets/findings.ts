/** What the sheets stage finds: codes, the data of each, and their sentences. */
import { entry, figure, word, type FindingsOf, type StageResult } from '../findings';

export const SHEETS_FINDINGS = {
  'part-unplaced': entry(
    { part: word, thicknessMm: figure },
    ({ part, thicknessMm }) =>
      `${part} fits on no sheet of ${thicknessMm} mm in stock. Add a larger sheet, or join the part from pieces.`,
    { part: 'Transom', thicknessMm: 9 },
  ),
  'sheet-missing': entry(
    { thicknessMm: figure, count: figure },
    ({ thicknessMm, count }) =>
      `No sheet of ${thicknessMm} mm in stock, and ${count} parts need it. Add one to the sheets.`,
    { thicknessMm: 9, count: 5 },
  ),
} as const;

export type SheetsFinding = FindingsOf<typeof SHEETS_FINDINGS>;
export type SheetsResult<T> = StageResult<T, SheetsFinding>;
