/**
 * What goes out, made apart from the page: the list of what there is, one file of it, or all as one archive. Fetched by
 * the worker when it is first asked: the writers of files are large.
 */
import { strToU8, zipSync } from 'fflate';
import {
  bookOf,
  EXPORT_KINDS,
  exportFiles,
  htmlBook,
  outgoingDrawings,
  outgoingSheets,
  outgoingTables,
  pdfHead,
  writeBook,
  writeSheets,
  type Work,
} from '@kalotrope/core/exchange';
import { boatWord, planTiles, type Drawing, type ExportFile, type TileLayout } from '@kalotrope/core/formats';
import { writeDxf, writePages, writePdf, writeSvg, writeTiles } from '@kalotrope/core/formats/writers';
import { createDerive, type Found, type Printing, type Project, type StageName } from '@kalotrope/core/project';

/** What it is made from; the rest is worked out from that. */
export type ExportFrom = { readonly project: Project; readonly found: Found; readonly printing: Printing };

/** `file` names it among all, and is its file's name without an ending. */
type Listed = { readonly stage: StageName; readonly file: string; readonly title: string };
export type ExportList = Readonly<Record<'drawings' | 'tables' | 'sheets', readonly Listed[]>>;

export const DRAWING_KINDS = ['dxf', 'svg', 'pdf'] as const;
export type DrawingKind = (typeof DRAWING_KINDS)[number];

export type ExportAsk =
  | { readonly what: 'drawing'; readonly file: string; readonly kind: DrawingKind }
  /** Full size on pages to join. */
  | { readonly what: 'pages'; readonly file: string; readonly layout: TileLayout }
  | { readonly what: 'table'; readonly file: string }
  | { readonly what: 'sheet'; readonly file: string }
  /** All sheets in one file, with cover and contents. */
  | { readonly what: 'book' }
  /** The same as a page for a browser, with what there is to do. */
  | { readonly what: 'html-book' }
  /** `projectFile`: the project's own file with its pictures, which only the page can reach. */
  | { readonly what: 'everything'; readonly projectFile: string };

const workOf = ({ project, found, printing }: ExportFrom): Work => ({
  ...{ project, found, printing },
  derived: createDerive()(project),
});

export function listExports(from: ExportFrom): ExportList {
  const work = workOf(from);
  return {
    drawings: outgoingDrawings(work).map(({ stage, file, item }) => ({ stage, file, title: item.title ?? item.name })),
    tables: outgoingTables(work).map(({ stage, file, item }) => ({ stage, file, title: item.title })),
    sheets: outgoingSheets(work).map(({ stage, file, item }) => ({ stage, file, title: item.title })),
  };
}

/** Undefined where there is nothing of that name. */
export function makeExport(from: ExportFrom, ask: ExportAsk): ExportFile | undefined {
  const work = workOf(from);
  if (ask.what === 'everything') return archive(work, ask.projectFile);
  if (ask.what === 'book') return bookFile(work);
  if (ask.what === 'html-book') return htmlFile(work);
  if (ask.what === 'table') {
    const table = outgoingTables(work).find(({ file }) => file === ask.file);
    return table && { name: `${table.file}.csv`, content: table.item.csv };
  }
  if (ask.what === 'sheet') {
    const sheet = outgoingSheets(work).find(({ file }) => file === ask.file);
    return sheet && { name: `${sheet.file}.pdf`, content: writeSheets(sheet.item) };
  }
  const drawing = outgoingDrawings(work).find(({ file }) => file === ask.file);
  if (!drawing) return undefined;
  const head = pdfHead(work);
  if (ask.what === 'pages') {
    const ending = `${ask.layout.paper.split(/[ ,]/).join('').toLowerCase()}${ask.layout.isEdgesOnly ? '-edges' : ''}`;
    return { name: `${drawing.file}-${ending}.pdf`, content: writeTiles(drawing.item, ask.layout, head) };
  }
  return { name: `${drawing.file}.${ask.kind}`, content: WRITERS[ask.kind](drawing.item, head) };
}

/** How many pages a drawing takes at full size, and how many of its grid would be empty. */
export type PageCount = { readonly pages: number; readonly leftOut: number };

export function countPages(
  from: ExportFrom,
  { file, layout }: { readonly file: string; readonly layout: TileLayout },
): PageCount | undefined {
  const drawing = outgoingDrawings(workOf(from)).find((other) => other.file === file);
  if (!drawing) return undefined;
  const { tiles, leftOut } = planTiles(drawing.item, layout);
  return { pages: tiles.length, leftOut };
}

function bookFile(work: Work): ExportFile {
  const book = bookOf(work);
  return { name: `${book.file}.pdf`, content: writeBook(book) };
}

function htmlFile(work: Work): ExportFile {
  const { file, text } = htmlBook(work);
  return { name: file, content: text };
}

const WRITERS = { dxf: writeDxf, svg: writeSvg, pdf: writePdf } as const;

function archive(work: Work, projectFile: string): ExportFile {
  const files = exportFiles(work, EXPORT_KINDS).map((file) =>
    file.isProject ? { ...file, content: projectFile } : file,
  );
  const entries = files.map(({ name, content }): [string, Uint8Array] => [
    name,
    typeof content === 'string' ? strToU8(content) : content,
  ]);
  return { name: `${boatWord(work.project.name)}.zip`, content: zipSync(Object.fromEntries(entries)) };
}

export type CardPdf = {
  readonly title: string;
  readonly file: string;
  readonly pages: readonly Drawing[];
  readonly size: { readonly width: number; readonly height: number };
};

/** The pages of a card model as they are printed. */
export const makeCardPdf = ({ title, file, pages, size }: CardPdf): ExportFile => ({
  name: `${file}.pdf`,
  content: writePages(title, pages, size),
});
