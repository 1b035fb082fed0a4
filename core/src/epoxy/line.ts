/** One line of the list of quantities, and what it was counted from. Lengths mm, areas m², masses g. */

/** What is glued to what. */
export type GlueFace = 'blanks' | 'skin' | 'layers' | 'skins' | 'scarfs' | 'cleats' | 'doublers' | 'edges';

/** In the order in which it is done, whatever is sealed when. */
export type Work = 'seal' | 'glue' | 'fillet' | 'tape' | 'sheathe';

/** What a line was counted from: figures, said in words by from-words.ts. */
export type CountedFrom =
  | {
      readonly kind: 'fillet';
      readonly length: number;
      /** Averaged, as the angle. */
      readonly sectionMm2: number;
      readonly radius: number;
      readonly angleDeg: number;
      /** What set its size, over most of the length. */
      readonly ruledBy: 'radius' | 'leg';
    }
  | {
      readonly kind: 'tape';
      readonly side: 'inside' | 'outside';
      /** Of one layer, on all its corners together. */
      readonly length: number;
      readonly widths: readonly number[];
    }
  | {
      readonly kind: 'tabs';
      readonly count: number;
      /** Of each, along its seam. */
      readonly length: number;
      readonly width: number;
    }
  | { readonly kind: 'cloth'; readonly areaM2: number; readonly weight: number; readonly coats: number }
  | { readonly kind: 'faces'; readonly areaM2: number; readonly coats: number; readonly faces: 0 | 1 | 2 }
  | { readonly kind: 'glued'; readonly what: GlueFace; readonly areaM2: number }
  | {
      readonly kind: 'painted';
      readonly side: 'outside' | 'inside';
      readonly areaM2: number;
      readonly coats: number;
    };

export type TakeoffLine = {
  readonly group: 'fillets' | 'tapes' | 'tabs' | 'sheathing' | 'flat' | 'sealing' | 'glue';
  readonly work: Work;
  readonly item: string;
  readonly from: CountedFrom;
  /** The seam that it lies in, by its id. */
  readonly seam?: string;
  /** Mixed resin and hardener, g, before waste. */
  readonly resin: number;
  /** Filler powder, g. */
  readonly filler: number;
  /** Cloth or tape, m²; and its running length where it is tape, m. */
  readonly clothM2: number;
  readonly tapeM: number;
};
