/** The list of quantities on paper: what to buy, and each line with what it was counted from. */
import {
  innerBox,
  pageOnItsSide,
  sheetsOf,
  tablePages,
  type PaperSheets,
  type SheetHead,
  type SheetTable,
} from '../formats';
import {
  areaFigure,
  areaUnit,
  formatArea,
  formatMass,
  formatRun,
  formatShare,
  massFigure,
  massUnit,
  type Notation,
} from '../measure';
import { fromWords, width } from './from-words';
import type { EpoxyPart } from './schema';
import type { Takeoff } from './takeoff';

export type EpoxySheetsWhole = {
  readonly project: { readonly epoxy: EpoxyPart };
  readonly values: { readonly epoxy: Takeoff };
  readonly sheetHead: SheetHead;
};

export function epoxySheets({ project, values, sheetHead: head }: EpoxySheetsWhole): PaperSheets[] {
  const inner = innerBox(pageOnItsSide(head.paper));
  const tables = [toBuy(values.epoxy, project.epoxy, head.notation), lineByLine(values.epoxy, head.notation)];
  const sheet = {
    ...{ name: 'epoxy-sheet', title: 'Epoxy and glass, to print', part: 'Epoxy and glass', hand: 'both sides' },
    ...{ material: `${formatShare(project.epoxy.waste)} lost in pots and brushes`, scale: 'no drawing' },
  };
  return [sheetsOf(head, sheet, tablePages(tables, { first: inner, later: inner }))];
}

const toBuy = (takeoff: Takeoff, part: EpoxyPart, notation: Notation): SheetTable => ({
  columns: [{ head: 'to buy' }, { head: 'how much', isFigure: true }],
  rows: [
    ['Epoxy, mixed, with what is lost', formatMass(takeoff.resinWithWaste, notation)],
    ['Filler', formatMass(takeoff.filler, notation)],
    [`Tape, ${width(part.tapeWidth, notation)} wide`, formatRun(takeoff.tapeM, notation)],
    ['Cloth and tape together', formatArea(takeoff.clothM2, notation)],
  ],
});

const lineByLine = (takeoff: Takeoff, notation: Notation): SheetTable => ({
  columns: [
    { head: 'for' },
    { head: 'counted from' },
    { head: `epoxy, ${massUnit(notation)}`, isFigure: true },
    { head: `filler, ${massUnit(notation)}`, isFigure: true },
    { head: `glass, ${areaUnit(notation)}`, isFigure: true },
  ],
  rows: takeoff.lines.map((line) => [
    ...[line.item, fromWords(line.from, notation), massFigure(line.resin, notation)],
    line.filler > 0 ? massFigure(line.filler, notation) : '',
    line.clothM2 > 0 ? areaFigure(line.clothM2, notation) : '',
  ]),
});
