/** The list of quantities as a table. */
import { csv, type ExportTable } from '../formats';
import type { Takeoff } from './takeoff';

const takeoffCsv = (takeoff: Takeoff): string =>
  csv(
    ['group', 'item', 'counted_from', 'resin_g', 'filler_g', 'cloth_m2', 'tape_m'],
    takeoff.lines.map((line) => [
      line.group,
      line.item,
      line.from,
      Math.round(line.resin),
      Math.round(line.filler),
      Number(line.clothM2.toFixed(3)),
      Number(line.tapeM.toFixed(2)),
    ]),
  );

export type EpoxyWhole = { readonly values: { readonly epoxy: Takeoff } };

export const epoxyTables = ({ values }: EpoxyWhole): ExportTable[] => [
  { name: 'epoxy-and-glass', title: 'Epoxy and glass, what to buy', csv: takeoffCsv(values.epoxy) },
];
