import { expect, it } from 'vitest';
import { transomPoints } from './transom-sheet';

const port = [-400, 300] as const;
const foot = [0, 0] as const;

it('a transom is marked out by its starboard half, or by all of it where the halves are unlike', () => {
  const alike = [port, foot, [400, 300]] as const;
  expect(transomPoints({ outline: alike })).toEqual({ points: alike.slice(1), isHalf: true, areAll: true });
  const unlike = [port, foot, [500, 310]] as const;
  expect(transomPoints({ outline: unlike })).toEqual({ points: unlike, isHalf: false, areAll: true });
});
it('a curved one by a few points, the ends of its outline with them', () => {
  const outline = Array.from({ length: 201 }, (_, i) => {
    const angle = Math.PI * (1 + i / 200);
    return [600 * Math.cos(angle), 400 * Math.sin(angle)] as const;
  });
  const { points, isHalf, areAll } = transomPoints({ outline });
  expect({ isHalf, areAll }).toEqual({ isHalf: true, areAll: false });
  expect(points.length).toBeLessThan(30);
  expect(points[0]![0]).toBeCloseTo(0, 6);
  expect(points[points.length - 1]![0]).toBeCloseTo(600, 6);
});
