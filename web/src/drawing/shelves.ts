/** Flat parts one under the other, so that each is seen in its true shape: arrangement only. */
import type { Panel, Transom } from '@kalotrope/core/panels';
import { boxAround, type WorldBox } from './DrawingSurface';

export type Shelf<T> = { readonly item: T; readonly dx: number; readonly dy: number; readonly box: WorldBox };

/** Stacked downwards with room between, left edges in line. */
export function stack<T extends { readonly outline: readonly (readonly [number, number])[] }>(
  items: readonly T[],
  space: number,
): Shelf<T>[] {
  let top = 0;
  return items.map((item) => {
    const box = boxAround(item.outline);
    const dy = top - box.maxY;
    top -= box.maxY - box.minY + space;
    return {
      item,
      dx: -box.minX,
      dy,
      box: { minX: 0, maxX: box.maxX - box.minX, minY: box.minY + dy, maxY: box.maxY + dy },
    };
  });
}

export const longest = (panels: readonly Panel[]): number =>
  Math.max(1, ...panels.map((panel) => boxAround(panel.outline).maxX));

export const wholeBox = (shelves: readonly Shelf<Panel | Transom>[]): WorldBox =>
  boxAround(
    shelves.flatMap(
      ({ box }) =>
        [
          [box.minX, box.minY],
          [box.maxX, box.maxY],
        ] as const,
    ),
  );

/** Narrower than this share of all, the last shelves leave room beside them. */
const NARROW = 0.6;

/** The room to the right of the last shelves, where they are short; undefined where the last is a long one. */
export function besideLast(shelves: readonly Shelf<Panel | Transom>[]): WorldBox | undefined {
  const whole = wholeBox(shelves);
  const width = whole.maxX - whole.minX;
  const lastLong = shelves.findLastIndex(({ box }) => box.maxX > whole.minX + NARROW * width);
  const short = shelves.slice(lastLong + 1);
  const first = short[0];
  if (!first) return undefined;
  const right = Math.max(...short.map(({ box }) => box.maxX));
  return { minX: right + 0.04 * width, maxX: whole.maxX, minY: whole.minY, maxY: first.box.maxY + 0.02 * width };
}
