/** The list of quantities as a table. */
import { csv, type ExportTable } from '../formats';
import { areaFigure, gramsPerShown, isImperial, massFigure, mlPerShown, type Notation } from '../measure';
import { clothTables, type GlassWhole } from './cloth/cloth-sheets';
import { fromWords } from './from-words';
import type { Takeoff } from './takeoff';

const METRIC_HEADS = ['resin_g', 'filler_g', 'cloth_m2', 'tape_m'];
const IMPERIAL_HEADS = ['resin_oz', 'filler_oz', 'cloth_ft2', 'tape_ft'];
const FEET_PER_M = 1 / 0.3048;

const takeoffCsv = (takeoff: Takeoff, notation: Notation): string => {
  const inFeet = isImperial(notation);
  return csv(
    ['group', 'item', 'counted_from', ...(inFeet ? IMPERIAL_HEADS : METRIC_HEADS)],
    takeoff.lines.map((line) => [
      ...[line.group, line.item, fromWords(line.from, notation)],
      ...[line.resin, line.filler].map((grams) => Number(massFigure(grams, notation))),
      inFeet ? Number(areaFigure(line.clothM2, notation)) : Number(line.clothM2.toFixed(3)),
      Number((inFeet ? line.tapeM * FEET_PER_M : line.tapeM).toFixed(2)),
    ]),
  );
};

/** A row a pot; the scale's readings with the pot set to nought. */
const potsCsv = ({ plan }: Takeoff, notation: Notation): string => {
  const unit = isImperial(notation) ? 'oz' : 'g';
  const figure = (grams: number) => Number((grams / gramsPerShown(notation)).toFixed(2));
  return csv(
    [
      'job',
      'pot',
      ...['resin', 'hardener', 'filler'].map((what) => `${what}_${unit}`),
      `total_${unit}`,
      'work_min',
      'pot_life_min',
      'for',
    ],
    plan.pots.map(({ job, number, a, b, filler, total, minutes, potLife, covers }) => [
      ...[job, number, ...[a, b, filler, total].map(figure)],
      ...[Number(minutes.toFixed(1)), Number(potLife.toFixed(1)), covers.map(({ item }) => item).join('; ')],
    ]),
  );
};

/** Other glues and finishes, line by line; none where there are none. */
function othersTables({ others, products }: Takeoff, notation: Notation): ExportTable[] {
  if (others.length === 0) return [];
  const unit = isImperial(notation) ? 'fl_oz' : 'ml';
  const rows = others.map(({ group, product, item, from, ml }) => {
    const name = products.find(({ id, group: of }) => id === product && of === group)?.name ?? '';
    return [name, item, fromWords(from, notation), Number((ml / mlPerShown(notation)).toFixed(1))];
  });
  return [
    {
      ...{ name: 'other-glues-and-finishes', title: 'Other glues and finishes' },
      csv: csv(['of', 'for', 'counted_from', unit], rows),
    },
  ];
}

export function epoxyTables(whole: GlassWhole): ExportTable[] {
  const { project, values } = whole;
  return [
    {
      name: 'epoxy-and-glass',
      title: 'Epoxy and glass, what to buy',
      csv: takeoffCsv(values.epoxy, project.notation),
    },
    { name: 'pots', title: 'Pots to mix', csv: potsCsv(values.epoxy, project.notation) },
    ...othersTables(values.epoxy, project.notation),
    ...clothTables(whole),
  ];
}
