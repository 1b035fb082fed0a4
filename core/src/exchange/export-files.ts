/** Every drawing and table that goes out, as files with names; the same list on screen and in the batch command. */
import { fileName, stamped, writeStl, type Drawing, type ExportFile, type ExportTable } from '../formats';
import { writeDxf, writePdf, writeSvg } from '../formats/writers';
import { CHAIN, wholeOf, type Derived, type Found, type Project, type StageName } from '../project';
import { PROJECT_FILE_ENDING, writeProjectFile } from './project-file';

export const EXPORT_KINDS = ['dxf', 'svg', 'pdf', 'csv', 'stl'] as const;
export type ExportKind = (typeof EXPORT_KINDS)[number];

/** What goes out is made from: the project, what was derived from it, and what searches found, if any. */
export type Work = { readonly project: Project; readonly derived: Derived; readonly found: Found };

/** A stage's drawings, with the revision on them. */
export function drawingsOf(name: StageName, { project, derived, found }: Work): Drawing[] {
  const stage = CHAIN.find((other) => other.name === name);
  const drawings = stage?.drawings?.(wholeOf(project, derived, found)) ?? [];
  return drawings.map((drawing) => (drawing.isStamped ? drawing : stamped(drawing, project.revision)));
}

/** A stage's tables. */
export const tablesOf = (name: StageName, { project, derived, found }: Work): ExportTable[] => [
  ...(CHAIN.find((other) => other.name === name)?.tables?.(wholeOf(project, derived, found)) ?? []),
];

/** Drawings of all stages, in their order. */
export const allDrawings = (work: Work): Drawing[] => CHAIN.flatMap(({ name }) => drawingsOf(name, work));

/** How a drawing is written as each kind of file. */
const WRITERS = {
  dxf: writeDxf,
  svg: writeSvg,
  pdf: (drawing: Drawing) => writePdf(drawing, { kind: 'whole' }),
} as const;

/** Everything: the project itself, then the drawings kind by kind, the mesh and the tables. */
export function exportFiles(work: Work, kinds: readonly ExportKind[]): ExportFile[] {
  const { project } = work;
  const drawings = allDrawings(work);
  return [
    { name: `${fileName(project.name)}${PROJECT_FILE_ENDING}`, content: writeProjectFile(project), isProject: true },
    ...(['dxf', 'svg', 'pdf'] as const).flatMap((kind) =>
      kinds.includes(kind)
        ? drawings.map((drawing) => ({ name: `${fileName(drawing.name)}.${kind}`, content: WRITERS[kind](drawing) }))
        : [],
    ),
    ...(kinds.includes('stl') ? [{ name: 'hull.stl', content: writeStl(project.name, meshOf(work)) }] : []),
    ...(kinds.includes('csv') ? allTables(work).map(({ name, csv }) => ({ name: `${name}.csv`, content: csv })) : []),
  ];
}

const allTables = (work: Work): ExportTable[] => CHAIN.flatMap(({ name }) => tablesOf(name, work));

function meshOf({ project, derived, found }: Work) {
  const whole = wholeOf(project, derived, found);
  return CHAIN.flatMap(({ triangles }) => triangles?.(whole) ?? []);
}
