export { csv, safeCell, tenth } from './csv';
export { carried, closedPath, CURVE_MM, hole, layerWord, openPath, stamped, straightPath, TEXT_MM } from './drawing';
export type { Drawing, DrawnPath, DrawnText } from './drawing';
export { boatWord, fileNames } from './file';
export type { ExportFile, ExportTable } from './file';
export { readDxf } from './read-dxf';
export type { DxfLine, DxfWord } from './read-dxf';
export { pageOnItsSide } from './paper';
export type { Paper } from './paper';
export {
  LETTER_MM,
  scaleFor,
  SHEET_MARGIN_MM,
  sheetLine,
  sheetText,
  textWidth,
  TITLE_MM,
  titled,
  wrapped,
} from './sheet';
export type { PaperSheets, SheetScale, SheetSize } from './sheet';
export { writeStl } from './stl';
export type { Triangle } from './stl';
