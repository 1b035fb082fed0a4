import { expect, it } from 'vitest';
import type { Outline } from '@kalotrope/core/geometry';
import { placeOfName } from './place-of-name';

const box = (x: number, y: number, wide: number, high: number): Outline => [
  [x, y],
  [x + wide, y],
  [x + wide, y + high],
  [x, y + high],
];
const size = { wide: 80, high: 10 };

it('a name stands in the middle of a piece, along it or up it, or nowhere', () => {
  expect(placeOfName({ outline: box(0, 0, 200, 40), holes: [] }, size)).toEqual({ at: [100, 20], isAlong: true });
  expect(placeOfName({ outline: box(0, 0, 40, 200), holes: [] }, size)).toEqual({ at: [20, 100], isAlong: false });
  expect(placeOfName({ outline: box(0, 0, 40, 40), holes: [] }, size)).toBeUndefined();
});

it('of a piece with an opening on its wood: under it, beside it upright, or nowhere', () => {
  const under = placeOfName({ outline: box(0, 0, 200, 200), holes: [box(10, 50, 180, 140)] }, size);
  expect(under?.isAlong).toBe(true);
  expect(under!.at[1]).toBeLessThan(40);
  const beside = placeOfName({ outline: box(0, 0, 200, 200), holes: [box(30, 5, 165, 190)] }, size);
  expect(beside?.isAlong).toBe(false);
  expect(beside!.at[0]).toBeLessThan(30);
  expect(placeOfName({ outline: box(0, 0, 200, 200), holes: [box(5, 5, 190, 190)] }, size)).toBeUndefined();
});
