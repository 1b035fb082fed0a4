/**
 * Which packs of resin to buy: those of least cost that hold enough of both parts.
 *
 * Method: what is there already is taken off; then every combination of packs is gone through, dearest first, cut where
 * even the cheapest way to fill up what is missing costs more than the best so far. Exact; where that takes too many
 * steps, the best so far, and `isProven` says so. Packs without a price count by their volume.
 */
import type { EpoxyPart, Pack } from './schema';

export type Purchase = {
  /** All that is mixed, with what is lost, ml. */
  readonly needed: { readonly aMl: number; readonly bMl: number };
  readonly bought: readonly { readonly pack: string; readonly name: string; readonly qty: number }[];
  readonly cost: number;
  /** Some of it has no price. */
  readonly isUnpriced: boolean;
  readonly isProven: boolean;
  /** Over at the end, ml. */
  readonly left: { readonly aMl: number; readonly bMl: number };
  /** Some of it cannot be had in any pack. */
  readonly isShort: boolean;
};

const MOST_STEPS = 200_000;
const MOST_OF_ONE = 5000;
const ENOUGH_ML = 1e-6;

export function purchaseOf(
  { a, b }: { readonly a: number; readonly b: number },
  { packs, resin }: Pick<EpoxyPart, 'packs' | 'resin'>,
): Purchase {
  const needed = { aMl: a / resin.densityA, bMl: b / resin.densityB };
  const there = (key: 'aMl' | 'bMl') => packs.reduce((sum, pack) => sum + pack.onHand * pack[key], 0);
  const missing: [number, number] = [needed.aMl - there('aMl'), needed.bMl - there('bMl')];
  const canBuy = (key: 'aMl' | 'bMl', k: 0 | 1) => missing[k] <= ENOUGH_ML || packs.some((pack) => pack[key] > 0);
  const isShort = !canBuy('aMl', 0) || !canBuy('bMl', 1);
  const found = isShort ? { counts: packs.map(() => 0), isProven: false } : cheapest(packs, missing);
  const { counts, isProven } = found;
  const sum = (of: (pack: Pack) => number) => packs.reduce((all, pack, k) => all + (counts[k] ?? 0) * of(pack), 0);
  return {
    needed,
    bought: packs.flatMap(({ id, name }, k) => (counts[k] ? [{ pack: id, name, qty: counts[k] }] : [])),
    cost: sum(({ price }) => price),
    isUnpriced: packs.some(({ price }, k) => price === 0 && (counts[k] ?? 0) > 0),
    ...{ isProven, isShort },
    left: {
      aMl: Math.max(0, sum(({ aMl }) => aMl) - missing[0]),
      bMl: Math.max(0, sum(({ bMl }) => bMl) - missing[1]),
    },
  };
}

/** One ml of it costs so much where no price is said: packs are then bought by their size alone. */
const costOf = ({ price, aMl, bMl }: Pack): number => (price > 0 ? price : (aMl + bMl) / 1000);

function cheapest(packs: readonly Pack[], missing: readonly [number, number]) {
  const order = packs.map((_, k) => k).filter((k) => packs[k]!.aMl + packs[k]!.bMl > 0);
  order.sort((i, j) => costOf(packs[j]!) - costOf(packs[i]!));
  const least = (key: 'aMl' | 'bMl') => Math.min(...order.map((k) => costOf(packs[k]!) / packs[k]![key]));
  const rates = { aMl: least('aMl'), bMl: least('bMl') };
  const bound = (a: number, b: number) => Math.max(a > 0 ? a * rates.aMl : 0, b > 0 ? b * rates.bMl : 0);
  let best = { cost: Infinity, counts: packs.map(() => 0) };
  let steps = 0;
  const counts = packs.map(() => 0);
  const go = (at: number, a: number, b: number, cost: number): void => {
    if (steps++ > MOST_STEPS || cost + bound(a, b) >= best.cost - 1e-9) return;
    if (a <= ENOUGH_ML && b <= ENOUGH_ML) {
      best = { cost, counts: [...counts] };
      return;
    }
    const k = order[at];
    if (k === undefined) return;
    const pack = packs[k]!;
    const most = Math.max(numberFor(a, pack.aMl), numberFor(b, pack.bMl));
    // all the loops end with the steps, not only this one's
    for (let qty = Math.min(most, MOST_OF_ONE); qty >= 0 && steps <= MOST_STEPS; qty--) {
      counts[k] = qty;
      go(at + 1, a - qty * pack.aMl, b - qty * pack.bMl, cost + qty * costOf(pack));
    }
  };
  go(0, missing[0], missing[1], 0);
  return { counts: best.counts, isProven: steps <= MOST_STEPS };
}

const numberFor = (ml: number, each: number): number =>
  ml <= ENOUGH_ML || each === 0 ? 0 : Math.ceil(ml / each - 1e-9);
