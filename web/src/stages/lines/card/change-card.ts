/** What dragging and typing make of a card. */
import { alongLower, BOW, STERN, type Card, type Spreader } from '@kalotrope/core/bend';
import type { Vec2 } from '@kalotrope/core/geometry';

export type EdgeName = 'lower' | 'upper';

/** Handles move to whole millimetres. */
const whole = (mm: number): number => Math.round(mm);
const notUnder = (mm: number): number => Math.max(0, whole(mm));

type Place = { readonly along: number; readonly up: number };

export const withPoint = (card: Card, edge: EdgeName, id: string, change: Partial<Place>): Card => ({
  ...card,
  [edge]: card[edge].map((point) => (point.id === id ? { ...point, ...change } : point)),
});

/** A point dragged to a place of the sheet. */
export const withPointAt = (card: Card, edge: EdgeName, id: string, [along, up]: Vec2): Card =>
  withPoint(card, edge, id, { along: whole(along), up: whole(up) });

export const withFrame = (card: Card, id: string, change: Partial<Spreader>): Card => ({
  ...card,
  spreaders: card.spreaders.map((frame) => (frame.id === id ? { ...frame, ...change } : frame)),
});

/** A frame put where a place along the sheet is. */
export const withFrameAt = (card: Card, id: string, u: number): Card =>
  withFrame(card, id, { along: notUnder(alongLower(card, u)) });

/** How far out it is held there; undefined where it is not. */
export function breadthAt(card: Card, frame: string, edge: EdgeName): number | undefined {
  if (frame === BOW) return card.bow[edge];
  if (frame === STERN) return card.transom[edge];
  return card.spreaders.find(({ id }) => id === frame)?.[edge] ?? undefined;
}

/** A half-breadth of a frame, or of an end that is a transom. */
export function withBreadth(card: Card, frame: string, edge: EdgeName, out: number): Card {
  const mm = notUnder(out);
  if (frame === BOW) return { ...card, bow: { ...card.bow, [edge]: mm } };
  if (frame === STERN) return { ...card, transom: { ...card.transom, [edge]: mm } };
  return withFrame(card, frame, { [edge]: mm });
}

const freeOf = (taken: readonly { readonly id: string }[], word: string): string => {
  const ids = new Set(taken.map(({ id }) => id));
  let k = taken.length + 1;
  while (ids.has(`${word}${k}`)) k++;
  return `${word}${k}`;
};

/** A point more on an edge, in the middle of its longest stretch. */
export function withPointMore(card: Card, edge: EdgeName): Card {
  const points = card[edge];
  const gaps = points.slice(1).map((point, k) => point.along - (points[k]?.along ?? 0));
  const k = gaps.indexOf(Math.max(...gaps));
  const [a, b] = [points[k], points[k + 1]];
  if (!a || !b) return card;
  const made = { id: freeOf(points, edge), along: whole((a.along + b.along) / 2), up: whole((a.up + b.up) / 2) };
  return { ...card, [edge]: [...points.slice(0, k + 1), made, ...points.slice(k + 1)] };
}

/** An edge straight from end to end. */
export const straightened = (card: Card, edge: EdgeName): Card => ({
  ...card,
  [edge]: card[edge].filter((_, k) => k === 0 || k === card[edge].length - 1),
});

/** A frame more, in the middle of the longest stretch without one, as broad as its neighbours are. */
export function withFrameMore(card: Card, length: number): Card {
  const known = [...card.spreaders].sort((a, b) => a.along - b.along);
  const closed = { lower: card.stem / 2, upper: card.stem / 2 };
  const stern = card.hasTransom ? card.transom : closed;
  const bow = card.hasBowTransom ? card.bow : closed;
  const places = [{ along: 0, ...bow }, ...known, { along: length, ...stern }];
  const gaps = places.slice(1).map((place, k) => place.along - (places[k]?.along ?? 0));
  const k = gaps.indexOf(Math.max(...gaps));
  const [a, b] = [places[k], places[k + 1]];
  if (!a || !b) return card;
  // fuller than halfway: a sheet is round between its holds
  const between = (one: number | null, other: number | null) => whole(((one ?? 0) + (other ?? 0)) * FULLER);
  const frame = {
    id: freeOf(card.spreaders, 'f'),
    along: whole((a.along + b.along) / 2),
    lower: between(a.lower, b.lower),
    upper: between(a.upper, b.upper),
  };
  return {
    ...card,
    spreaders: [
      ...known.filter(({ along }) => along < frame.along),
      frame,
      ...known.filter(({ along }) => along >= frame.along),
    ],
  };
}
const FULLER = 0.6;
