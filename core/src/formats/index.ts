export { csv, safeCell, tenth } from './csv';
export { carried, closedPath, CURVE_MM, hole, layerWord, openPath, stamped, straightPath, TEXT_MM } from './drawing';
export type { Drawing, DrawnPath, DrawnText } from './drawing';
export { boatWord, fileNames } from './file';
export type { ExportFile, ExportTable } from './file';
export { readDxf } from './read-dxf';
export type { DxfLine, DxfWord } from './read-dxf';
export { settled, textBox } from './labels';
export type { LabelBox } from './labels';
export { latin, textWidth, wrapped } from './letters';
export { PAPER_NAMES, pageOnItsSide, SHEET_PAPERS } from './paper';
export type { Paper, SheetPaper } from './paper';
export {
  innerBox,
  LETTER_MM,
  LINE_MM,
  LINE_STEP_MM,
  merged,
  scaleFor,
  SHEET_MARGIN_MM,
  sheetLine,
  sheetsOf,
  sheetText,
} from './sheet';
export type { Content, PaperSheets, SheetHead, SheetScale } from './sheet';
export {
  CHECK_BOX_MM,
  checkLength,
  dimensionAcross,
  dimensionUp,
  forwardArrow,
  lineKey,
  numberedSteps,
  placer,
} from './sheet-parts';
export { tablePages } from './sheet-table';
export type { SheetTable } from './sheet-table';
export { besideCorner, viewOn } from './sheet-view';
export type { SheetView, ViewText } from './sheet-view';
export { planTiles } from './tiles';
export type { TileLayout } from './tiles';
export { writeStl } from './stl';
export type { Triangle } from './stl';
