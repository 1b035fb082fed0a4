/** Every drawing and table that goes out, as files with names; the same list on screen and in the batch command. */
import { at } from '../geometry';
import {
  boatWord,
  fileNames,
  stamped,
  writeStl,
  type Drawing,
  type ExportFile,
  type ExportTable,
  type PaperSheets,
} from '../formats';
import { writeDxf, writePages, writePdf, writeSvg, type PdfHead } from '../formats/writers';
import { isImperial, MM_PER_INCH, unitLabel } from '../measure';
import {
  CHAIN,
  sheetsOfStage,
  tablesOfStage,
  wholeOf,
  type Derived,
  type Found,
  type Printing,
  type Project,
  type StageName,
} from '../project';
import { sheetsStage } from '../sheets';
import { partLabels } from './labels';
import { projectFileName, writeProjectFile } from './project-file';

export const EXPORT_KINDS = ['dxf', 'svg', 'pdf', 'csv', 'stl'] as const;
export type ExportKind = (typeof EXPORT_KINDS)[number];

/** What goes out is made from: the project, what was derived from it, and what searches found, if any. */
export type Work = {
  readonly project: Project;
  readonly derived: Derived;
  readonly found: Found;
  readonly printing?: Printing | undefined;
};

/** A drawing or table with its stage and the name of its file, without an ending. */
export type Outgoing<T> = { readonly stage: StageName; readonly file: string; readonly item: T };

/** Drawings of all stages in their order, with the revision on them. */
export function outgoingDrawings({ project, derived, found }: Work): Outgoing<Drawing>[] {
  const whole = wholeOf(project, derived, found);
  const made = CHAIN.flatMap(({ name, drawings }) =>
    (drawings?.(whole) ?? []).map((drawing) => ({
      stage: name,
      item: drawing.isStamped ? drawing : stamped(drawing, project.revision),
    })),
  );
  return withFiles(project, made);
}

/** Tables of all stages in their order. */
export function outgoingTables({ project, derived, found }: Work): Outgoing<ExportTable>[] {
  const whole = wholeOf(project, derived, found);
  const made = CHAIN.flatMap(({ name }) => tablesOfStage(name, whole).map((item) => ({ stage: name, item })));
  return withFiles(project, made);
}

/** Sheets of paper of all stages in their order. */
export function outgoingSheets({ project, derived, found, printing }: Work): Outgoing<PaperSheets>[] {
  const whole = wholeOf(project, derived, found, printing);
  const made = CHAIN.flatMap(({ name }) => sheetsOfStage(name, whole).map((item) => ({ stage: name, item })));
  const labels = partLabels(whole, printing?.home);
  // with the sheets that the parts are cut from
  return withFiles(project, [...made, ...(labels ? [{ stage: sheetsStage.name, item: labels }] : [])]);
}

export const writeSheets = ({ title, pages, size }: PaperSheets): Uint8Array => writePages(title, pages, size);

function withFiles<T extends { readonly item: { readonly name: string } }>(project: Project, made: readonly T[]) {
  const files = fileNames(
    project.name,
    made.map(({ item }) => item.name),
  );
  return made.map((one, i) => ({ ...one, file: at(files, i) }));
}

/** What a full-size page says besides the drawing. */
export const pdfHead = ({ project, printing }: Pick<Work, 'project' | 'printing'>): PdfHead => ({
  ...{ boat: project.name, revision: project.revision, unit: unitLabel(project.notation) },
  notation: project.notation,
  square: isImperial(project.notation) ? { mm: 4 * MM_PER_INCH, words: '4 in' } : { mm: 100, words: '100 mm' },
  date: printing?.date ?? '',
});

/** How a drawing is written as each kind of file. */
const WRITERS = { dxf: writeDxf, svg: writeSvg, pdf: writePdf } as const;

/** Everything: the project itself, then the drawings kind by kind, the mesh and the tables. */
export function exportFiles(work: Work, kinds: readonly ExportKind[]): ExportFile[] {
  const { project } = work;
  const drawings = outgoingDrawings(work);
  return [
    { name: projectFileName(project), content: writeProjectFile(project), isProject: true },
    ...(['dxf', 'svg', 'pdf'] as const).flatMap((kind) =>
      kinds.includes(kind)
        ? drawings.map(({ item, file }) => ({ name: `${file}.${kind}`, content: WRITERS[kind](item, pdfHead(work)) }))
        : [],
    ),
    ...(kinds.includes('pdf')
      ? outgoingSheets(work).map(({ item, file }) => ({ name: `${file}.pdf`, content: writeSheets(item) }))
      : []),
    ...(kinds.includes('stl')
      ? [{ name: `${boatWord(project.name)}-hull.stl`, content: writeStl(project.name, meshOf(work)) }]
      : []),
    ...(kinds.includes('csv')
      ? outgoingTables(work).map(({ item, file }) => ({ name: `${file}.csv`, content: item.csv }))
      : []),
  ];
}

function meshOf({ project, derived, found }: Work) {
  const whole = wholeOf(project, derived, found);
  return CHAIN.flatMap(({ triangles }) => triangles?.(whole) ?? []);
}
