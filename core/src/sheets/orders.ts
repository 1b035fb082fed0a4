/**
 * The orders in which parts are laid down: the largest first, then seeded variations of the best order so far.
 *
 * Chance comes from mulberry32, a 32-bit generator of one line (Tommy Ettinger, public domain): the same seed and round
 * give the same order on every machine.
 */
import { at, boundsOf, area, random, type Outline } from '../geometry';

type Copy = { readonly part: number; readonly copy: number };

/** Largest first by area and length together: long parts are the hard ones to find room for. */
export function sizeOrder(copies: readonly Copy[], outlines: readonly Outline[]): Copy[] {
  const sizes = outlines.map((outline) => {
    const box = boundsOf(outline);
    return area(outline) + (box.maxX - box.minX) ** 2 + (box.maxY - box.minY) ** 2;
  });
  return [...copies].sort((a, b) => at(sizes, b.part) - at(sizes, a.part) || a.part - b.part || a.copy - b.copy);
}

/** A few swaps in the best order; now and then a fresh start from the order by size. */
export function orderOfRound(input: {
  order: readonly Copy[];
  base: readonly Copy[];
  round: number;
  seed: number;
}): Copy[] {
  const next01 = random(input.seed * 7919 + input.round);
  const isFresh = next01() < 0.15;
  const next = [...(isFresh ? input.base : input.order)];
  const swaps = 1 + Math.floor(next01() * (isFresh ? 5 : 3));
  for (let k = 0; k < swaps && next.length > 1; k++) {
    const i = Math.floor(next01() * next.length);
    const j = Math.floor(next01() * next.length);
    const [a, b] = [at(next, i), at(next, j)];
    [next[i], next[j]] = [b, a];
  }
  return next;
}
