/**
 * One pot in whole steps of the scale: how much of each part, and of filler.
 *
 * Method: from the least total upward, the first that can be split so that the two parts stand within 1 % of the true
 * ratio. Of consecutive sums of the two parts one in every 1 + r (r the greater part over the lesser) has its ratio as
 * near as a whole step of the lesser part allows, so no more totals than that need to be tried. Where none comes within
 * 1 %, the first within 3 %, and else the nearest.
 */
export type PotRules = {
  /** Part A over part B, by weight. */
  readonly ratio: number;
  /** Share of the total that is filler. */
  readonly fillerShare: number;
};

/** All in steps of the scale. `ratioError` is a share: 0.01 is 1 % off. */
export type Pot = {
  readonly a: number;
  readonly b: number;
  readonly filler: number;
  readonly total: number;
  readonly ratioError: number;
};

/** Of the true ratio by weight. */
export const WITHIN = 0.01;
/** From here on it is worth a word. */
export const COARSE = 0.03;

const EXACT = 1e-9;

/** A pot of `least` steps or little more, and no more than `most`; undefined where there is no room for both parts. */
export function potOf({ least, most, rules }: { least: number; most: number; rules: PotRules }): Pot | undefined {
  const greater = Math.max(rules.ratio, 1 / rules.ratio);
  const tries = Math.ceil((1 + greater) / (1 - rules.fillerShare)) + 1;
  let coarse: Pot | undefined;
  let nearest: Pot | undefined;
  for (let total = Math.max(2, least); total <= Math.min(most, least + tries); total++) {
    const pot = potOfTotal(total, rules);
    if (!pot) continue;
    if (pot.ratioError <= WITHIN + EXACT) return pot;
    if (pot.ratioError <= COARSE) coarse ??= pot;
    if (!nearest || pot.ratioError < nearest.ratioError) nearest = pot;
  }
  return coarse ?? nearest;
}

/** Of so many steps: the filler within a step of its share, the two parts as near their ratio as they come. */
function potOfTotal(total: number, { ratio, fillerShare }: PotRules): Pot | undefined {
  const share = total * fillerShare;
  const fillers = [...new Set([Math.round(share), Math.floor(share), Math.ceil(share)])];
  let best: Pot | undefined;
  for (const filler of fillers) {
    const parts = total - filler;
    if (parts < 2) continue;
    for (const near of [Math.floor(parts / (1 + ratio)), Math.ceil(parts / (1 + ratio))]) {
      const b = Math.min(parts - 1, Math.max(1, near));
      const a = parts - b;
      const ratioError = Math.abs(a / b / ratio - 1);
      if (!best || ratioError < best.ratioError - EXACT) best = { a, b, filler, total, ratioError };
    }
    if (best && best.ratioError <= WITHIN) return best; // with the filler nearest to its share
  }
  return best;
}
