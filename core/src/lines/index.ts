export { linesOf, linesSchema, longitudinalSchema, offsetPointSchema, underlaySchema } from './schema';
export type { LinesPart, LinesTable, Longitudinal, OffsetPoint, Underlay } from './schema';
export { battenAt, bendBatten, crossingsOfX, lengthAlong, sampleBatten } from './batten';
export type { Batten } from './batten';
export { bendLines, drawLine, drawLines, linesToEnd, pointName } from './hull';
export type { Hull, Station } from './hull';
export { bendPoints, CENTRELINE_MM, pointPath, positionOf } from './hull-line';
export type { HullLine, RunOut } from './hull-line';
export { endEdits } from './judge-run-outs';
export { edgeRows, endingOn, joinRunOuts } from './run-outs';
export type { LineStretch } from './run-outs';
export { residualOf, residuals } from './fairness';
export type { Residual } from './fairness';
export { suspectsOf } from './slips';
export type { SuspectsOf } from './slips';
export { layTape, lengthAtX, placeOnTape, pointOnTape } from './tape';
export type { Tape, TapeTick } from './tape';
export { fairingEdits, fairLine } from './fairing';
export type { FairingChange } from './fairing';
export { dimensionsOf, startLines, STARTER_KINDS, STARTER_NAMES } from './starter';
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
