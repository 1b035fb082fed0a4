/** One thing to buy, as a stage says it: in words of the boat's own unit, with what it is for. */
export type BuyLine = {
  /** Stable while the thing is the same: by it is kept that it was bought. */
  readonly id: string;
  readonly what: string;
  /** "4 sheets", "38.7 m". */
  readonly howMuch: string;
  /** Pieces of it that are priced one by one; 1 where it is sold by length or weight. */
  readonly qty: number;
  /** Of these there already. */
  readonly there: number;
  /** Of one; 0: no price is known. */
  readonly price: number;
  readonly from: string;
};
