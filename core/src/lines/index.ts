export { bodyPlanDrawing, linesDrawing, sectionDrawing } from './drawings';
export { linesOf, linesSchema, longitudinalSchema, offsetPointSchema, underlaySchema } from './schema';
export type { LinesPart, LinesTable, Longitudinal, OffsetPoint, Underlay } from './schema';
export { battenAt, bendBatten, crossingsOfX, lengthAlong, sampleBatten } from './batten';
export type { Batten } from './batten';
export { bendLines, drawLine, drawLines, linesToEnd, pointName } from './hull';
export type { Hull, Station } from './hull';
export { CENTRELINE_MM, bendPoints, positionOf } from './hull-line';
export type { HullLine, RunOut } from './hull-line';
export { linePath, linesEdit, pointPath } from './paths';
export { LINES_FINDINGS, NO_USUAL_SLIP } from './findings';
export type { LinesFinding } from './findings';
export { LONG_COLUMNS, fitsTableForm, writeOffsets, writeOffsetsTable } from './offsets-csv';
export { linesStage } from './stage';
export { endEdits } from './judge-run-outs';
export { edgeRows, endingOn, joinRunOuts } from './run-outs';
export type { LineStretch } from './run-outs';
export { residualOf, residuals } from './fairness';
export type { Residual } from './fairness';
export { suspectsOf } from './slips';
export type { SuspectsOf } from './slips';
export { layTape, lengthAtX, placeOnTape, pointOnTape } from './tape';
export type { Tape, TapeTick } from './tape';
export { fairLine, fairingEdits } from './fairing';
export type { FairingChange } from './fairing';
export { STARTER_KINDS, STARTER_NAMES, dimensionsOf, startLines } from './starter';
export type { Dimension, DimensionKey, Dimensions, Started, StarterKind } from './starter';
export {
  addLine,
  addStation,
  changeColumn,
  endForEnd,
  endPlane,
  moveColumn,
  moveLine,
  pasteBlock,
  removeColumn,
  removeLine,
  removePoint,
  setEndPlane,
  setFigure,
  tableColumns,
  turnHeights,
} from './table';
export type { EndPlane, FigureKey, Lines, TableChange, TableColumn } from './table';
export { acrossInView, combOf, combTurns, tightest, toothPlace } from './comb';
export type { CombKind, Tooth } from './comb';
export { plotSection, tickOf } from './plotting';
export type { Half, PlottedPoint } from './plotting';
export { levelled, moved, pencilAtFullSize, pixelOfView, scaled, traced, viewOfPixel } from './underlay';
export type { Adjusted } from './underlay';
export { sectionCorners, sectionCurves } from './whole-section';
export { lineOf, lineThing, pointOf, pointThing } from './things';
