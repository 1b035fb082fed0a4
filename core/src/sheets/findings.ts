/** What the sheets stage finds: codes, the data of each, and their sentences. */
import { entry, figure, word, type FindingsOf, type StageResult } from '../findings';

export const SHEETS_FINDINGS = {
  'part-unplaced': entry(
    { part: word, thicknessMm: figure },
    ({ part, thicknessMm }, { sheet }) =>
      `${part} fits on no sheet of ${sheet(thicknessMm)} in stock. Add a larger sheet, or join the part from pieces.`,
    { part: 'Transom', thicknessMm: 9 },
  ),
  'sheets-too-few': entry(
    { thicknessMm: figure, count: figure, pieces: figure, parts: word },
    ({ thicknessMm, count, pieces, parts }, { sheet }) =>
      `Too few sheets of ${sheet(thicknessMm)}: no room for ${count} of ${pieces} parts (${parts}). Add sheets.`,
    { thicknessMm: 6, count: 2, pieces: 8, parts: 'Side 1 of 2, port; Side 2 of 2, port' },
  ),
  'layout-cut-short': entry(
    { thicknessMm: figure, count: figure, pieces: figure },
    ({ thicknessMm, count, pieces }, { sheet }) =>
      `The layout of ${sheet(thicknessMm)} was ended with ${count} of ${pieces} parts not yet laid out. ` +
      'Press Look for a better layout.',
    { thicknessMm: 6, count: 12, pieces: 80 },
  ),
  'sheet-missing': entry(
    { thicknessMm: figure, count: figure },
    ({ thicknessMm, count }, { sheet }) =>
      `No sheet of ${sheet(thicknessMm)} in stock, and ${count} parts need it. Add one to the sheets.`,
    { thicknessMm: 9, count: 5 },
  ),
} as const;

export type SheetsFinding = FindingsOf<typeof SHEETS_FINDINGS>;
export type SheetsResult<T> = StageResult<T, SheetsFinding>;
