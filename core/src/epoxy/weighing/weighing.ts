/**
 * Weighing one pot: what comes next, what the scale should show, and how a wrong pour is put right.
 *
 * Method: the second part is weighed after what was really poured of the first, and the filler after both. Where the
 * ratio is more than 3 % off, the part that is short is added, if the pot stays lighter than is safe. Masses g.
 */
import { COARSE } from '../mixing/pot';

export type PotAsked = {
  readonly a: number;
  readonly b: number;
  readonly filler: number;
  /** Part A over part B by weight. */
  readonly ratio: number;
  readonly greatestPot: number;
  /** What the scale shows at a time. */
  readonly scale: number;
};

/** Really poured; null: not yet. */
export type Poured = { readonly a: number | null; readonly b: number | null; readonly filler: number | null };
export const NOTHING_POURED: Poured = { a: null, b: null, filler: null };

type Asking = {
  /** What the scale shows when it is right, and between what it may stand. */
  readonly reads: number;
  readonly low: number;
  readonly high: number;
  /** To be poured now. */
  readonly grams: number;
};
export type Weighing =
  | ({ readonly step: 'a' | 'b' | 'add-a' | 'add-b' | 'filler' } & Asking)
  /** Both parts are in and right: the clock runs from here. */
  | { readonly step: 'done'; readonly total: number; readonly ratioError: number }
  /** So wrong that putting it right would make a pot heavier than is safe. */
  | { readonly step: 'spoiled'; readonly total: number; readonly wouldBe: number };

/** Of what is asked for at a step. */
export const BAND = COARSE;

export function weighingOf(asked: PotAsked, { a, b, filler }: Poured): Weighing {
  const askFor = (before: number, grams: number, whole = grams) => asking({ before, grams, whole, scale: asked.scale });
  if (a === null) return { step: 'a', ...askFor(0, asked.a) };
  if (b === null) return { step: 'b', ...askFor(a, a / asked.ratio) };
  const fillerOf = (parts: number) => (asked.filler * parts) / (asked.a + asked.b);
  const ratioError = a / b / asked.ratio - 1;
  if (Math.abs(ratioError) > Math.max(BAND, asked.scale / 2 / Math.min(a, b))) {
    const [step, add] =
      ratioError > 0 ? (['add-b', a / asked.ratio - b] as const) : (['add-a', b * asked.ratio - a] as const);
    const wouldBe = a + b + add + fillerOf(a + b + add);
    if (wouldBe > asked.greatestPot) return { step: 'spoiled', total: a + b, wouldBe };
    return { step, ...askFor(a + b, add, add + (step === 'add-a' ? a : b)) };
  }
  if (asked.filler > 0 && filler === null) return { step: 'filler', ...askFor(a + b, fillerOf(a + b)) };
  return { step: 'done', total: a + b + (filler ?? 0), ratioError };
}

type Asked = { readonly before: number; readonly grams: number; readonly whole: number; readonly scale: number };

/** The band is a share of all that there is to be of the part, and no narrower than the scale can show. */
function asking({ before, grams, whole, scale }: Asked): Asking {
  const band = Math.max(whole * BAND, scale / 2);
  return { grams, reads: before + grams, low: before + grams - band, high: before + grams + band };
}

/** What has been poured once the scale shows so much. Undefined where less is in it than before. */
export function pourTo(asked: PotAsked, poured: Poured, reading: number): Poured | undefined {
  const now = weighingOf(asked, poured);
  const before = (poured.a ?? 0) + (poured.b ?? 0);
  const more = reading - before;
  if (now.step === 'done' || now.step === 'spoiled' || !(more > 0)) return undefined;
  switch (now.step) {
    case 'a':
      return { ...poured, a: more };
    case 'b':
      return { ...poured, b: more };
    case 'add-a':
      return { ...poured, a: (poured.a ?? 0) + more };
    case 'add-b':
      return { ...poured, b: (poured.b ?? 0) + more };
    case 'filler':
      return { ...poured, filler: more };
  }
}
