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
  formatRunToBuy,
  formatShare,
  formatTemperature,
  formatVolume,
  massFigure,
  massUnit,
  type Notation,
} from '../measure';
import { clothMetres, clothOf } from './cloth/cloth';
import { glassSheets, type GlassWhole } from './cloth/cloth-sheets';
import { fromWords, width } from './from-words';
import type { Stretch } from './jobs';
import { ratioByWeight } from './mixing';
import type { EpoxyPart } from './schema';
import type { Takeoff } from './takeoff';

export type EpoxySheetsWhole = GlassWhole & { readonly sheetHead: SheetHead };

export function epoxySheets(whole: EpoxySheetsWhole): PaperSheets[] {
  const { project, values, sheetHead: head } = whole;
  const inner = innerBox(pageOnItsSide(head.paper));
  const { notation } = head;
  const clothM = clothMetres(values.epoxy.glass.clothM, clothOf(whole));
  const buying = [toBuy(values.epoxy, project.epoxy, { notation, clothM }), lineByLine(values.epoxy, notation)];
  const sheet = {
    ...{ name: 'epoxy-sheet', title: 'Epoxy and glass, to print', part: 'Epoxy and glass', hand: 'both sides' },
    ...{ material: `${formatShare(project.epoxy.waste)} lost in pots and brushes`, scale: 'no drawing' },
  };
  const pots = {
    ...{ name: 'pots-sheet', title: 'Pots to mix, to print', part: 'Pots to mix' },
    hand: `with the shop at ${formatTemperature(project.epoxy.shop.tempC, notation)}`,
    material: ratioWords(project.epoxy),
    scale: 'no drawing',
  };
  const mixing = [cautions, potByPot(values.epoxy, notation)];
  return [
    sheetsOf(head, sheet, tablePages(buying, { first: inner, later: inner })),
    ...(values.epoxy.plan.pots.length > 0
      ? [sheetsOf(head, pots, tablePages(mixing, { first: inner, later: inner }))]
      : []),
    ...glassSheets(whole, head),
  ];
}

const ratioWords = ({ resin }: EpoxyPart): string =>
  `${resin.ratioA} to ${resin.ratioB} by volume, ` +
  `${ratioByWeight({ ratioByVolume: [resin.ratioA, resin.ratioB], ...resin }).toFixed(2)} to 1 by weight`;

type Buying = { readonly notation: Notation; readonly clothM: number };

const toBuy = (takeoff: Takeoff, part: EpoxyPart, { notation, clothM }: Buying): SheetTable => ({
  columns: [{ head: 'to buy' }, { head: 'how much', isFigure: true }],
  rows: [
    ['Epoxy, mixed, with what is lost', formatMass(takeoff.plan.totals.a + takeoff.plan.totals.b, notation)],
    ['Resin in it', formatVolume(takeoff.purchase.needed.aMl, notation)],
    ['Hardener in it', formatVolume(takeoff.purchase.needed.bMl, notation)],
    ...takeoff.purchase.bought.map(({ name, qty }) => [`Packs: ${name}`, String(qty)]),
    ...takeoff.fillers.map(({ name, grams, ml }) => [
      `Filler: ${name.toLowerCase()}`,
      `${formatMass(grams, notation)}, ${formatVolume(ml, notation)}`,
    ]),
    ...takeoff.glass.tapes.map(({ widthMm, lengthM }) => [
      `Tape, ${part.glass.tapeKind}, ${width(widthMm, notation)} wide`,
      formatRunToBuy(lengthM, notation),
    ]),
    [`Cloth, ${part.glass.clothKind}, off the roll`, formatRunToBuy(clothM, notation)],
    ['Cloth and tape together', formatArea(takeoff.clothM2, notation)],
    ...(takeoff.glass.peelPlyM2 > 0 ? [['Peel ply', formatArea(takeoff.glass.peelPlyM2, notation)]] : []),
    ...(takeoff.glass.filmM2 > 0 ? [['Film with holes', formatArea(takeoff.glass.filmM2, notation)]] : []),
    ...takeoff.products.map(({ name, packs, ml }) => [`${name}: packs`, `${packs}, ${formatVolume(ml, notation)}`]),
  ],
});

const cautions: SheetTable = {
  columns: [{ head: 'before you mix' }],
  rows: [
    ['Gloves on, air moving. It sensitises skin and lungs.'],
    ['Set the scale to nought with the pot on it.'],
    ['Stir two minutes, scraping the sides, then add filler.'],
    ['Do not scrape the pot: what clings is unmixed.'],
    ['A pot that warms up: pour it out flat, outdoors.'],
    ['Keep a sample of each pot; try it tomorrow.'],
  ],
};

/** What the scale shows after each pour, the pot on it and set to nought. */
const potByPot = ({ plan, jobs }: Takeoff, notation: Notation): SheetTable => ({
  columns: [
    { head: 'pot' },
    { head: 'for' },
    { head: `resin, ${massUnit(notation)}`, isFigure: true },
    { head: 'with hardener', isFigure: true },
    { head: 'with filler', isFigure: true },
    { head: 'work, min', isFigure: true },
    { head: 'goes off, min', isFigure: true },
    { head: 'done' },
  ],
  rows: jobs.flatMap(({ name }) => {
    const pots = plan.pots.filter(({ job }) => job === name);
    return pots.map(({ number, filler, readings: [a, b, all], covers, minutes, potLife }) => [
      `${name}: ${number} of ${pots.length}`,
      shortly(covers),
      massFigure(a, notation),
      massFigure(b, notation),
      filler > 0 ? massFigure(all, notation) : '',
      ...[minutes.toFixed(0), potLife.toFixed(0), ''],
    ]);
  }),
});

/** The first that it is for, and how many more. */
export function shortly(covers: readonly Stretch[]): string {
  const first = covers[0]?.item ?? '';
  const more = covers.length > 1 ? ` and ${covers.length - 1} more` : '';
  return `${first}${more}`;
}

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
