import { fromWords } from '@kalotrope/core/epoxy';
import { allFindings, createDerive, searchAll } from '@kalotrope/core/project';
import { leftOff, listed, tallySheets, type SheetCount } from '@kalotrope/core/sheets';
import { planOf, timberStage, toBuyLines } from '@kalotrope/core/timber';
import { findingJson, findingsText, trim, type Answer, type Io, type Options } from '../io';
import { projectOf } from '../project-of';

/** Enough for a layout near the best of this method; repeatable. */
export const LAYOUT_ROUNDS = 40;

export function takeoffCommand(file: string, options: Options, io: Io): Answer {
  const project = projectOf(file, options, io);
  const derived = createDerive()(project);
  const { value } = derived.epoxy;
  const found = searchAll(project, derived, LAYOUT_ROUNDS);
  const findings = allFindings(derived, { project, found });
  const sheets = tallySheets(derived.sheets.value, found.sheets ?? []).map(sheetRow);
  const plan = planOf(derived.timber.value, found.timber);
  const timber = (plan ? toBuyLines(derived.timber.value, plan, 'mm') : []).map(timberRow);
  const lines = value.lines.map((line) => ({
    ...line,
    from: fromWords(line.from, 'mm'),
    resin: trim(line.resin),
    filler: trim(line.filler),
  }));
  const totals = {
    resin: trim(value.resin),
    resinWithWaste: trim(value.resinWithWaste),
    filler: trim(value.filler),
    clothM2: trim(value.clothM2),
    tapeM: trim(value.tapeM),
  };
  const text = [
    ...sheets.map((sheet) => `${sheet.item}\t${sheet.sheets} ${sheet.unit}\t${sheet.from}`),
    ...timber.map(({ item, qty, unit, from }) => `${item}\t${qty} ${unit}\t${from}`),
    ...lines.map((line) => `${line.group}\t${line.item}\t${Math.round(line.resin)} g\t${line.from}`),
    `total\tresin with waste\t${Math.round(totals.resinWithWaste)} g`,
    findingsText(findings),
  ].join('\n');
  return {
    json: { project: project.name, sheets, timber, lines, totals, findings: findings.map(findingJson) },
    text,
  };
}

const timberRow = ({ section, lengthMm, qty, pieces }: ReturnType<typeof toBuyLines>[number]) => ({
  ...{ group: timberStage.name, item: `${section}, ${lengthMm} mm`, qty, unit: qty === 1 ? 'stick' : 'sticks' },
  from: pieces.join('; '),
});

/** How many sheets of a thickness, and by name what is on none. */
function sheetRow(count: SheetCount) {
  const { thickness, kind, result, pieces, hasStock } = count;
  const left = leftOff(count);
  const laid = `${pieces - left.length} of ${pieces} parts laid out`;
  const off = left.length === 0 ? '' : `; ${left.length} ON NO SHEET: ${listed(left, Infinity)}`;
  const sheets = result?.sheetsUsed ?? 0;
  return {
    item: `Plywood ${thickness} mm${kind.trim() === '' ? '' : `, ${kind.trim()}`}`,
    thickness,
    ...(kind.trim() !== '' && { kind }),
    sheets,
    unit: `sheet${sheets === 1 ? '' : 's'}`,
    density: trim(result?.density ?? 0),
    unplaced: left.length,
    from: `${laid}${hasStock ? '' : ', as no sheet of this thickness is in stock'}${off}`,
  };
}
