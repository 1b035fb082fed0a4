export { csv, tenth } from './csv';
export { closedPath, CURVE_MM, hole, layerWord, openPath, stamped, straightPath, TEXT_MM } from './drawing';
export type { Drawing, DrawnPath, DrawnText } from './drawing';
export { fileName } from './file';
export type { ExportFile, ExportTable } from './file';
export { pageOnItsSide } from './paper';
export type { Paper } from './paper';
export { writeStl } from './stl';
export type { Triangle } from './stl';
