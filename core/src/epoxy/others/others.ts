/**
 * What is used beside epoxy: other glues in the joints that are told, and finishes over everything; by the same faces
 * and areas as epoxy, and the packs of each.
 *
 * Method: a glue by its spread on one face of each joint; a finish by the area over what a litre covers, coat by coat.
 * Packs are whole; none is shared between two products. Areas m², volumes ml.
 */
import type { Frame, Girder } from '../../frames';
import type { CutInside } from '../../fitout';
import type { Panel, Transom } from '../../panels';
import { flatParts } from '../flat-parts';
import type { Faces } from '../glue';
import type { CountedFrom } from '../line';
import type { EpoxyPart, Finish, Glue } from '../schema';
import { bothSides } from '../sheathing';

export type OtherLine = {
  readonly group: 'glues' | 'finishes';
  /** Of the glue or the finish. */
  readonly product: string;
  readonly item: string;
  readonly from: CountedFrom;
  readonly ml: number;
};

/** What is bought of one of them. */
export type OtherProduct = {
  readonly id: string;
  readonly name: string;
  readonly group: OtherLine['group'];
  readonly ml: number;
  /** Whole ones, those that are there among them. */
  readonly packs: number;
  readonly onHand: number;
  readonly price: number;
};

export type Coated = {
  readonly panels: readonly Panel[];
  readonly transoms: readonly Transom[];
  readonly frames: readonly Frame[];
  readonly girders: readonly Girder[];
  readonly inside: readonly CutInside[];
};

const ML_PER_L = 1000;

/** What is told of the layers of timber holds of its scarfs, and of the layers of a skin. */
const isOfLayers = (what: Faces['what']): what is 'layers' | 'scarfs' | 'skins' =>
  what === 'layers' || what === 'scarfs' || what === 'skins';

/** The glue that joints of a kind are told to have, if it is there. */
export const glueFor = (
  what: Faces['what'],
  { glues, gluedWith }: Pick<EpoxyPart, 'glues' | 'gluedWith'>,
): Glue | undefined => glues.find(({ id }) => id === gluedWith[isOfLayers(what) ? 'layers' : what]);

export function otherGlueLines(faces: readonly Faces[], part: Pick<EpoxyPart, 'glues' | 'gluedWith'>): OtherLine[] {
  return faces.flatMap(({ item, what, areaM2 }): OtherLine[] => {
    const glue = glueFor(what, part);
    if (!glue || areaM2 === 0) return [];
    const from = { kind: 'glued', what, areaM2 } as const;
    return [{ group: 'glues', product: glue.id, item, from, ml: areaM2 * glue.spread }];
  });
}

type Area = { readonly item: string; readonly side: 'outside' | 'inside'; readonly areaM2: number };

/** Every face that is seen or gets wet: the skin's two, the transoms’ two, both of all that stands or lies inside. */
function areasOf({ panels, transoms, frames, girders, inside }: Coated): Area[] {
  const skin = [
    ...panels.map((panel) => ({ item: panel.name, areaM2: bothSides(panel) })),
    ...transoms.map(({ name, areaM2 }) => ({ item: name, areaM2 })),
  ];
  const within = flatParts({ frames, girders, transoms: [], inside });
  return [
    ...skin.map((one) => ({ ...one, side: 'outside' as const })),
    ...skin.map((one) => ({ ...one, side: 'inside' as const })),
    ...within.map(({ name, areaM2 }) => ({ item: name, side: 'inside' as const, areaM2: 2 * areaM2 })),
  ];
}

export function finishLines(coated: Coated, finishes: readonly Finish[]): OtherLine[] {
  const areas = areasOf(coated);
  return finishes.flatMap(({ id, where, coats, covers }) =>
    areas
      .filter(({ side, areaM2 }) => (where === 'all' || where === side) && areaM2 > 0 && coats > 0)
      .map(({ item, side, areaM2 }): OtherLine => {
        const from = { kind: 'painted', side, areaM2, coats } as const;
        return { group: 'finishes', product: id, item, from, ml: (areaM2 * coats * ML_PER_L) / covers };
      }),
  );
}

/** Of a whole pack this much is nothing. */
const NOTHING = 1e-9;

export function productsOf(
  lines: readonly OtherLine[],
  { glues, finishes }: Pick<EpoxyPart, 'glues' | 'finishes'>,
): OtherProduct[] {
  const of = (group: OtherLine['group'], products: readonly (Glue | Finish)[]) =>
    products.map(({ id, name, packMl, onHand, price }): OtherProduct => {
      const ml = lines
        .filter((line) => line.group === group && line.product === id)
        .reduce((sum, line) => sum + line.ml, 0);
      return { id, name, group, ml, packs: Math.ceil(ml / packMl - NOTHING), onHand, price };
    });
  return [...of('glues', glues), ...of('finishes', finishes)].filter(({ ml }) => ml > 0);
}

/** One coat of one finish, in the order in which they go on. */
export type Coat = { readonly finish: Finish; readonly number: number; readonly ml: number };

export const coatsOf = (lines: readonly OtherLine[], finishes: readonly Finish[]): Coat[] =>
  finishes.flatMap((finish) => {
    const ml = lines
      .filter(({ group, product }) => group === 'finishes' && product === finish.id)
      .reduce((sum, line) => sum + line.ml, 0);
    return ml === 0
      ? []
      : Array.from({ length: finish.coats }, (_, k): Coat => ({ finish, number: k + 1, ml: ml / finish.coats }));
  });
