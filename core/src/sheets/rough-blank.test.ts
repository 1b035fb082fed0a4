import { describe, expect, it } from 'vitest';
import { area, boundsOf, contains, random, turned, type Vec2 } from '../geometry';
import { roughBlank } from './rough-blank';

const board: readonly Vec2[] = [
  [0, 0],
  [300, 0],
  [300, 80],
  [0, 80],
];

describe('the blank of a part that is scribed in place', () => {
  it.each([0, 17, 30, 45, 90, 133])('finds a board again that is turned by %s degrees', (deg) => {
    const blank = roughBlank(turned(board, (deg * Math.PI) / 180), { extra: 0, isFree: true });
    const { maxX, maxY } = boundsOf(blank.outline);
    expect(maxX).toBeCloseTo(300, 6);
    expect(maxY).toBeCloseTo(80, 6);
  });
  it('is larger all round by what was asked for, the part in its middle', () => {
    const { outline, net } = roughBlank(board, { extra: 25, isFree: false });
    expect(boundsOf(outline)).toEqual({ minX: 0, minY: 0, maxX: 350, maxY: 130 });
    expect(boundsOf(net)).toEqual({ minX: 25, minY: 25, maxX: 325, maxY: 105 });
  });
  it('lies along the grain where the part has one', () => {
    const aslant = turned(board, Math.PI / 6);
    const { maxX } = boundsOf(roughBlank(aslant, { extra: 0, isFree: false }).outline);
    expect(maxX).toBeCloseTo(300 * Math.cos(Math.PI / 6) + 80 * Math.sin(Math.PI / 6), 6);
  });
  for (const seed of [1, 2, 3])
    it(`is no larger than any rectangle round it, and holds it, seed ${seed}`, () => {
      const next01 = random(seed);
      const part = Array.from({ length: 30 }, (): Vec2 => [400 * next01(), 150 * next01()]);
      const { outline, net } = roughBlank(part, { extra: 0, isFree: true });
      for (const p of net) expect(contains([[-1e-6, -1e-6], ...outline.slice(1)], p) || p[0] * p[1] === 0).toBe(true);
      for (let deg = 0; deg < 180; deg++) {
        const box = boundsOf(turned(part, (deg * Math.PI) / 180));
        expect((box.maxX - box.minX) * (box.maxY - box.minY)).toBeGreaterThan(area(outline) - 1e-6);
      }
    });
});
