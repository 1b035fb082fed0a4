import { fromWords, type TakeoffLine } from '@kalotrope/core/epoxy';
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
    ...{ group: line.group, item: line.item, ...quantityOf(line.from) },
    from: fromWords(line.from, 'mm'),
    resin: trim(line.resin),
    filler: trim(line.filler),
    ...{ clothM2: trim(line.clothM2), tapeM: trim(line.tapeM) },
  }));
  const totals = {
    resin: trim(value.resin),
    resinWithWaste: trim(value.resinWithWaste),
    filler: trim(value.filler),
    clothM2: trim(value.clothM2),
    tapeM: trim(value.tapeM),
    weight: trim(value.weight),
  };
  const { plan: pots, purchase, glass } = value;
  const jobs = value.jobs.map(({ name, grams, fillerShare }) => ({
    ...{ name, grams: trim(grams), fillerShare: trim(fillerShare) },
    pots: pots.pots.filter(({ job }) => job === name).map(({ a, b, filler, total }) => ({ a, b, filler, total })),
  }));
  const buy = {
    aMl: trim(purchase.needed.aMl),
    bMl: trim(purchase.needed.bMl),
    packs: purchase.bought,
    cost: trim(purchase.cost),
    proven: purchase.isProven,
    mixed: pots.totals,
    glass,
  };
  const text = [
    ...sheets.map((sheet) => `${sheet.item}\t${sheet.sheets} ${sheet.unit}\t${sheet.from}`),
    ...timber.map(({ item, qty, unit, from }) => `${item}\t${qty} ${unit}\t${from}`),
    ...lines.map((line) => `${line.group}\t${line.item}\t${Math.round(line.resin)} g\t${line.from}`),
    ...jobs.map(
      ({ name, grams, pots: own }) =>
        `job\t${name}\t${Math.round(grams)} g\t${own.length === 1 ? 'one pot' : `${own.length} pots`}`,
    ),
    ...purchase.bought.map(({ name, qty }) => `buy\t${name}\t${qty}`),
    `total\tresin with waste\t${Math.round(totals.resinWithWaste)} g`,
    findingsText(findings),
  ].join('\n');
  return {
    json: { project: project.name, sheets, timber, lines, totals, jobs, buy, findings: findings.map(findingJson) },
    text,
  };
}

/** How much of it there is: of what is long metres, of what is wide square metres. */
const quantityOf = (from: TakeoffLine['from']): { readonly qty: number; readonly unit: 'm' | 'm2' } => {
  if (from.kind === 'fillet') return { qty: trim(from.length / 1000), unit: 'm' };
  if (from.kind === 'tabs') return { qty: trim((from.count * from.length) / 1000), unit: 'm' };
  if (from.kind === 'tape') return { qty: trim((from.length * from.widths.length) / 1000), unit: 'm' };
  return { qty: trim(from.areaM2), unit: 'm2' };
};

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
