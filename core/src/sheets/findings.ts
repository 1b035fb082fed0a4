/** What the sheets stage finds: codes, the data of each, and their sentences. */
import { entry, figure, word, type FindingsOf, type StageResult } from '../findings';

/** Told only where kinds are told apart. */
export const ofKind = (kind: string): string => (kind.trim() === '' ? '' : `, ${kind.trim()}`);

export const SHEETS_FINDINGS = {
  'part-unplaced': entry(
    { part: word, thicknessMm: figure, kind: word },
    ({ part, thicknessMm, kind }, { sheet }) =>
      `${part} fits on no sheet of ${sheet(thicknessMm)}${ofKind(kind)} in stock. ` +
      'Add a larger sheet, or join the part from pieces.',
    { part: 'Transom', thicknessMm: 9, kind: '' },
  ),
  'sheets-too-few': entry(
    { thicknessMm: figure, kind: word, count: figure, pieces: figure, parts: word },
    ({ thicknessMm, kind, count, pieces, parts }, { sheet }) =>
      `Too few sheets of ${sheet(thicknessMm)}${ofKind(kind)}: ` +
      `no room for ${count} of ${pieces} parts (${parts}). Add sheets.`,
    { thicknessMm: 6, kind: 'okoume', count: 2, pieces: 8, parts: 'Side 1 of 2, port; Side 2 of 2, port' },
  ),
  'layout-cut-short': entry(
    { thicknessMm: figure, kind: word, count: figure, pieces: figure },
    ({ thicknessMm, kind, count, pieces }, { sheet }) =>
      `The layout of ${sheet(thicknessMm)}${ofKind(kind)} was ended with ${count} of ${pieces} parts ` +
      'not yet laid out. ' +
      'Press Look for a better layout.',
    { thicknessMm: 6, kind: '', count: 12, pieces: 80 },
  ),
  'sheet-missing': entry(
    { thicknessMm: figure, kind: word, count: figure },
    ({ thicknessMm, kind, count }, { sheet }) =>
      `No sheet of ${sheet(thicknessMm)}${ofKind(kind)} in stock, and ${count} parts need it. Add one to the sheets.`,
    { thicknessMm: 9, kind: '', count: 5 },
  ),
  'laid-not-clear': entry(
    { part: word },
    ({ part }) => `${part} no longer fits where it was laid by hand, and is laid out anew.`,
    { part: 'Side 1 of 2, port' },
  ),
} as const;

export type SheetsFinding = FindingsOf<typeof SHEETS_FINDINGS>;
export type SheetsResult<T> = StageResult<T, SheetsFinding>;
