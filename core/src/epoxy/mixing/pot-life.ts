/**
 * How long a pot of mixed resin can be worked.
 *
 * Method: its maker gives the pot life of so many grams at so many degrees. It halves for each 10 °C warmer, and for
 * each doubling of the pot beyond that mass it is a third shorter: a big pot holds its own heat.
 */
export type PotLife = {
  /** Of `grams` of it at `atC`. */
  readonly minutes: number;
  readonly atC: number;
  readonly grams: number;
};

const HALVES_EVERY_C = 10;
const LEFT_BY_DOUBLING = 2 / 3;

/** Minutes until a pot of so many grams goes off. One smaller than the maker's is taken to last no longer than his. */
export function potLifeMinutes(life: PotLife, { shopC, grams }: { readonly shopC: number; readonly grams: number }) {
  const byWarmth = 2 ** ((life.atC - shopC) / HALVES_EVERY_C);
  const doublings = Math.max(0, Math.log2(grams / life.grams));
  return life.minutes * byWarmth * LEFT_BY_DOUBLING ** doublings;
}
