/** What is bought for gluing, filling and coating: packs, filler, glass, and what is used up with it. */
import { formatArea, formatMass, formatRunToBuy, formatVolume, type Notation } from '../measure';
import type { BuyLine } from '../stage';
import { BRUSH_WORK, PAIRS_A_POT, STICKS_A_POT } from './constants';
import { clothMetres, clothOf, type ClothWhole } from './cloth/cloth';
import { width } from './from-words';
import type { Takeoff } from './takeoff';

export type BuyingEpoxy = ClothWhole & {
  readonly project: { readonly notation: Notation };
  readonly values: { readonly epoxy: Takeoff };
};

export function epoxyToBuy(whole: BuyingEpoxy): BuyLine[] {
  const { notation, epoxy: part } = whole.project;
  const { epoxy } = whole.values;
  const { purchase, plan, glass, jobs, fillers, products } = epoxy;
  const measured = (id: string, what: string, howMuch: string, from: string): BuyLine => ({
    ...{ id, what, howMuch, qty: 1, there: 0, price: 0, from },
  });
  const counted = (id: string, what: string, count: number, from: string): BuyLine[] =>
    count > 0 ? [measured(id, what, String(count), from)] : [];
  const packs = purchase.bought.map(({ pack, name, qty }): BuyLine => {
    const price = part.packs.find(({ id }) => id === pack)?.price ?? 0;
    return {
      ...{
        id: `pack ${pack}`,
        what: `Epoxy: ${name === '' ? 'a pack without a name' : name}`,
        howMuch: String(qty),
        qty,
      },
      ...{ there: 0, price, from: `${formatMass(plan.totals.a + plan.totals.b, notation)} are mixed` },
    };
  });
  const brushed = plan.pots.filter(({ job }) =>
    jobs.some(({ name, work }) => name === job && work !== 'fillet' && work !== 'tack'),
  ).length;
  const pots = plan.pots.length;
  return [
    ...packs,
    ...fillers.map(({ use, name, grams, ml, bags, onHand, price }): BuyLine => ({
      ...{ id: `filler ${use}`, what: `Filler: ${name}, bags`, howMuch: String(bags), qty: bags, there: onHand, price },
      from: `${formatMass(grams, notation)} for ${use}, ${formatVolume(ml, notation)} of it loose`,
    })),
    ...products.map(({ id, name, group, ml, packs: count, onHand, price }): BuyLine => ({
      ...{ id: `${group} ${id}`, what: `${group === 'glues' ? 'Glue' : 'Finish'}: ${name}`, howMuch: String(count) },
      ...{ qty: count, there: onHand, price, from: `${formatVolume(ml, notation)} are used` },
    })),
    ...glass.tapes.map(({ widthMm, lengthM }) =>
      measured(
        `tape ${widthMm}`,
        `Tape, ${part.glass.tapeKind}, ${width(widthMm, notation)}`,
        formatRunToBuy(lengthM, notation),
        'seams, all layers of that width',
      ),
    ),
    ...(glass.clothM > 0
      ? [
          measured(
            'cloth',
            `Cloth, ${part.glass.clothKind}, ${width(part.glass.clothWidth, notation)} wide`,
            formatRunToBuy(clothMetres(glass.clothM, clothOf(whole)), notation),
            'sheathing, and what is glassed flat',
          ),
        ]
      : []),
    ...(glass.peelPlyM2 > 0
      ? [measured('peel ply', 'Peel ply', formatArea(glass.peelPlyM2, notation), 'over the last layer')]
      : []),
    ...(glass.filmM2 > 0
      ? [measured('film', 'Film with holes', formatArea(glass.filmM2, notation), 'over the peel ply')]
      : []),
    ...counted('gloves', 'Gloves, pairs', Math.ceil(pots * PAIRS_A_POT.value), `${pots} pots`),
    ...counted('brushes', 'Brushes and rollers', Math.ceil(brushed * BRUSH_WORK.value), `${brushed} pots are brushed`),
    ...counted('sticks', 'Stirring sticks', Math.ceil(pots * STICKS_A_POT.value), `${pots} pots`),
    ...counted('cups', 'Mixing pots', pots, 'one each: what is stuck in a used one spoils the next'),
  ];
}
