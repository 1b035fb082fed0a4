// apart from the shapes in ../index.ts: the packages behind these are large, and only what saves files needs them
export { writeDxf } from './dxf';
export { writePages, writePdf, writeTiles } from './pdf';
export type { PageMarks, PdfHead } from './pdf';
export { writeSvg } from './svg';
