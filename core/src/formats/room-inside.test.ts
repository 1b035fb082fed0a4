import { describe, expect, it } from 'vitest';
import { contains, type Region, type Vec2 } from '../geometry';
import { roomInside } from './room-inside';

const square = (from: number, to: number): Vec2[] => [
  [from, from],
  [to, from],
  [to, to],
  [from, to],
];
/** 400 square with an opening of 240 in its middle: 80 of material all round. */
const ring: Region = { outline: square(0, 400), holes: [square(80, 320)] };

describe('room for words', () => {
  it('is where it was wanted if that is solid', () =>
    expect(roomInside({ outline: square(0, 400), holes: [] }, { wide: 100, high: 40 }, [150, 180])).toEqual([
      150, 180,
    ]));
  it('is under or over an opening that lies there', () => {
    const [x, y] = roomInside(ring, { wide: 200, high: 40 }, [150, 180]);
    expect(x).toBe(150);
    expect(y < 40 || y > 320).toBe(true);
    for (const corner of [
      [x, y],
      [x + 200, y],
      [x, y + 40],
      [x + 200, y + 40],
    ] as const)
      expect(contains(ring.outline, corner) && !contains(square(81, 319), corner)).toBe(true);
  });
  it('is beside it where that is wide enough and nearer', () =>
    expect(roomInside(ring, { wide: 60, high: 40 }, [150, 180])).toEqual([20, 180]));
  it('is the widest there is where none is wide enough', () => {
    const [, y] = roomInside(ring, { wide: 900, high: 20 }, [150, 180]);
    expect(y < 60 || y > 320).toBe(true);
  });
});
