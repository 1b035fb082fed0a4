export { linesOf } from './schema';
export type { LinesPart, LinesTable, Longitudinal, OffsetPoint, Starter, Underlay } from './schema';
export { battenAt, bendBatten, crossingsOfX } from './batten';
export { lineOnCard, tableOfCard } from './carded';
export { displaced } from './displaced';
export type { MovedSection } from './displaced';
export { bendLines, drawLine, drawLines, linesToEnd, pointName } from './hull';
export type { Hull, Station } from './hull';
export { CENTRELINE_MM, bendPoints, positionOf } from './hull-line';
export type { HullLine, RunOut } from './hull-line';
export { linePath, linesEdit, pointPath } from './paths';
export type { LinesFinding } from './findings';
export { LONG_COLUMNS } from './offsets-csv';
export { linesStage } from './stage';
export { endEdits } from './judge-run-outs';
export { edgeRows, endingOn, joinRunOuts } from './run-outs';
export type { LineStretch } from './run-outs';
export { layTape, lengthAtX, placeOnTape, pointOnTape } from './tape';
export type { Tape } from './tape';
export { fairLine, fairingEdits } from './fairing';
export type { FairingChange } from './fairing';
export { STARTER_NAMES, dimensionsOf, startLines } from './starter';
export type { Dimension, StarterProblem } from './starter';
export { findFlare, flareOf } from './starter-flare';
export type { FlareFound } from './starter-flare';
export type { Dimensions, StarterKind } from './starter-kinds';
export { addLine, endForEnd, endPlane, moveLine, removePoint, setEndPlane, turnHeights } from './table';
export type { FigureKey, TableChange, TableColumn } from './table';
export {
  addColumn,
  columnsOf,
  emptyTable,
  enter,
  movedColumn,
  openCellsOf,
  pasteCells,
  renamedColumn,
  tableEdits,
  withoutColumn,
  withoutLine,
} from './typed-table';
export type { Cell, Entry, Table } from './typed-table';
export { acrossInView, combOf, toothPlace } from './comb';
export { plotSection, tickOf } from './plotting';
export type { Half, PlottedPoint } from './plotting';
export { levelled, moved, pencilAtFullSize, scaled, traced } from './underlay';
export type { Adjusted } from './underlay';
export { sectionCurves } from './whole-section';
export { GUIDE_ONLY, readPointWord } from './point-words';
export { lineOf, lineThing, pointOf, pointThing } from './things';
