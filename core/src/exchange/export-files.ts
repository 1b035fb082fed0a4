/** Every drawing and table that goes out, as files with names; the same list on screen and in the batch command. */
import type { Derived, Project } from '../project';
import type { NestResult } from '../sheets';
import { frameDrawing, panelDrawing, sheetDrawing, stamped, transomDrawing, type Drawing } from './drawing';
import { writeDxf } from './dxf';
import { writeOffsets } from './offsets-csv';
import { bodyPlanDrawing, linesDrawing, sectionDrawing } from './lines-drawing';
import { fitsTableForm, writeOffsetsTable } from './offsets-table';
import { writeProjectFile } from './project-file';
import { writePdf } from './pdf';
import { writeStl } from './stl';
import { writeSvg } from './svg';
import { frameCsv, markingCsv, stripCsv, takeoffCsv } from './tables-csv';

export const EXPORT_KINDS = ['dxf', 'svg', 'pdf', 'csv', 'stl'] as const;
export type ExportKind = (typeof EXPORT_KINDS)[number];
export type ExportFile = { readonly name: string; readonly content: string | Uint8Array };

/** Drawings of all parts and, when layouts are given (one a batch, in order), of all sheets. */
export function allDrawings(
  project: Project,
  derived: Derived,
  layouts: readonly (NestResult | undefined)[],
): Drawing[] {
  const { panels, transoms } = derived.panels.value;
  const { stations } = derived.lines.value;
  const jointed = new Map(derived.joints.value.map((panel) => [panel.panel, panel]));
  const { parts, batches } = derived.sheets.value;
  const { revision } = project;
  const named = [
    ...linesDrawings(project, derived),
    ...panels.map((panel) =>
      panelDrawing(panel, {
        stations,
        frames: derived.frames.value,
        panels,
        part: project.panels,
        jointed: jointed.get(panel.id),
      }),
    ),
    ...transoms.map(transomDrawing),
    ...derived.frames.value.map((frame) => frameDrawing(frame, project.school, project.frames.filletGap)),
  ];
  const sheets = batches.flatMap((batch, i) =>
    (layouts[i]?.sheets ?? []).map((sheet) => sheetDrawing(sheet, batch, parts)),
  );
  return [
    ...named.map((drawing) => stamped(drawing, revision)),
    ...sheets.map((drawing) => stamped(drawing, revision, 'every part')),
  ];
}

function linesDrawings(project: Project, derived: Derived): Drawing[] {
  const hull = derived.lines.value;
  if (hull.lines.length === 0) return [];
  const { panels } = derived.panels.value;
  const { heightsFrom } = project.lines;
  return [
    linesDrawing(hull),
    ...(hull.stations.length > 0 ? [bodyPlanDrawing(hull, panels, heightsFrom)] : []),
    ...hull.stations.map((station) => sectionDrawing(hull, panels, heightsFrom, station)),
  ];
}

export function exportFiles(
  project: Project,
  derived: Derived,
  options: { readonly kinds: readonly ExportKind[]; readonly layouts: readonly (NestResult | undefined)[] },
): ExportFile[] {
  const drawings = allDrawings(project, derived, options.layouts);
  const files: ExportFile[] = [
    { name: `${fileName(project.name)}.kalotrope.json`, content: writeProjectFile(project) },
  ];
  if (options.kinds.includes('dxf'))
    files.push(...drawings.map((d) => ({ name: `${fileName(d.name)}.dxf`, content: writeDxf(d) })));
  if (options.kinds.includes('svg'))
    files.push(...drawings.map((d) => ({ name: `${fileName(d.name)}.svg`, content: writeSvg(d) })));
  if (options.kinds.includes('pdf'))
    files.push(...drawings.map((d) => ({ name: `${fileName(d.name)}.pdf`, content: writePdf(d, { kind: 'whole' }) })));
  if (options.kinds.includes('stl')) {
    const { panels, transoms } = derived.panels.value;
    files.push({ name: 'hull.stl', content: writeStl(project.name, panels, transoms) });
  }
  if (options.kinds.includes('csv')) files.push(...tables(project, derived));
  return files;
}

function tables(project: Project, derived: Derived): ExportFile[] {
  const { lines, notation, panels } = project;
  const table = fitsTableForm(lines)
    ? [{ name: 'offsets-table.csv', content: writeOffsetsTable(lines, notation) }]
    : [];
  return [
    { name: 'offsets.csv', content: writeOffsets(lines, notation) },
    ...table,
    ...derived.panels.value.panels.map((panel) => ({
      name: `marking-${fileName(panel.id)}.csv`,
      content: markingCsv(panel, panels),
    })),
    ...derived.panels.value.strips.map((strip) => ({
      name: `rounded-${fileName(strip.id)}.csv`,
      content: stripCsv(strip),
    })),
    ...derived.frames.value.map((frame) => ({ name: `${fileName(frame.id)}.csv`, content: frameCsv(frame) })),
    { name: 'epoxy-and-glass.csv', content: takeoffCsv(derived.epoxy.value) },
  ];
}

/** A name that any file system takes. */
export const fileName = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9.-]+/g, '-')
    .replace(/^[-.]+|[-.]+$/g, '')
    .slice(0, 80) || 'part';
