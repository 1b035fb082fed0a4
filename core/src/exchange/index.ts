export { cardModel } from './card-model';
export type { CardModel, CardOptions } from './card-model';
export { problemText } from './csv-cells';
export { EXPORT_KINDS, drawingsOf, exportFiles, tablesOf } from './export-files';
export type { ExportKind, Work } from './export-files';
export { readLinesDxf } from './lines-dxf';
export { readOffsets } from './offsets-csv';
export { PROJECT_FILE_ENDING, readProjectFile, writeProjectFile } from './project-file';
