import { allFindings, createDerive, searchAll } from '@kalotrope/core/project';
import { laidBatches } from '@kalotrope/core/sheets';
import { findingJson, findingsText, readProjectOption, trim, type Answer, type Options } from '../io';

/** Enough for a layout near the best of this method; repeatable. */
export const LAYOUT_ROUNDS = 40;

export function takeoffCommand(file: string, _options: Options): Answer {
  const project = readProjectOption(file);
  const derived = createDerive()(project);
  const { value } = derived.epoxy;
  const found = searchAll(project, derived, LAYOUT_ROUNDS);
  const findings = allFindings(derived, { project, found });
  const laid = laidBatches(derived.sheets.value.batches, found.sheets ?? []);
  const sheets = laid.flatMap(({ batch: { thickness, job }, result }) => {
    if (!result) return [];
    const { sheetsUsed, density, unplaced } = result;
    const from = `${job.parts.length} parts laid out`;
    return [
      {
        item: `Plywood ${thickness} mm`,
        thickness,
        sheets: sheetsUsed,
        density: trim(density),
        unplaced: unplaced.length,
        from,
      },
    ];
  });
  const lines = value.lines.map((line) => ({ ...line, resin: trim(line.resin), filler: trim(line.filler) }));
  const totals = {
    resin: trim(value.resin),
    resinWithWaste: trim(value.resinWithWaste),
    filler: trim(value.filler),
    clothM2: trim(value.clothM2),
    tapeM: trim(value.tapeM),
  };
  const text = [
    ...sheets.map((sheet) => `${sheet.item}\t${sheet.sheets} sheets\t${sheet.from}`),
    ...lines.map((line) => `${line.group}\t${line.item}\t${Math.round(line.resin)} g\t${line.from}`),
    `total\tresin with waste\t${Math.round(totals.resinWithWaste)} g`,
    findingsText(findings),
  ].join('\n');
  return {
    json: { project: project.name, sheets, lines, totals, findings: findings.map(findingJson) },
    text,
  };
}
