import type { Json, Migration } from './migration';

const isThing = (one: unknown): one is Json => typeof one === 'object' && one !== null;

/** A card may end on a transom at the bow; those of before come together there. */
export const from24To25: Migration = (before) => {
  const { lines } = before;
  const card = isThing(lines) ? lines['card'] : undefined;
  if (!isThing(lines) || !isThing(card)) return { ...before, version: 25 };
  const pointed = { hasBowTransom: false, bow: { lower: 220, upper: 300 } };
  return { ...before, version: 25, lines: { ...lines, card: { ...card, ...pointed } } };
};
