export { bookOf, htmlBook, isGivenBackOf, readGivenBack, takeBack, writeBook } from './book';
export type { GivenBack } from './book';
export { cardModel } from './card-model';
export type { CardModel, CardOptions } from './card-model';
export { problemText } from './csv-cells';
export {
  EXPORT_KINDS,
  exportFiles,
  outgoingDrawings,
  outgoingSheets,
  pdfHead,
  outgoingTables,
  writeSheets,
} from './export-files';
export type { ExportKind, Work } from './export-files';
export { readLinesDxf } from './lines-dxf';
export { readOffsets } from './offsets-csv';
export { decodeText } from './text-file';
export { projectFileName, readProjectFile, writeProjectFile } from './project-file';
