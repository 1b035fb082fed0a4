import { describe, expect, it } from 'vitest';
import { random, type Outline, type Vec2 } from '../geometry';
import { hatch, leastWidth, passingOf, passingWords } from './passing';

const turned = (outline: Outline, deg: number): Outline => {
  const a = (deg * Math.PI) / 180;
  return outline.map(([x, y]): Vec2 => [x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)]);
};
const circle = (radius: number): Outline =>
  Array.from({ length: 720 }, (_, i): Vec2 => [
    radius * Math.cos((i * Math.PI) / 360),
    radius * Math.sin((i * Math.PI) / 360),
  ]);

describe('the least width', () => {
  it('of a triangle is its least height, of a box its shorter side, however they are turned', () => {
    const triangle: Outline = [
      [0, 0],
      [400, 0],
      [0, 300],
    ];
    for (const deg of [0, 17, 90, 133]) {
      expect(leastWidth(turned(triangle, deg)).width).toBeCloseTo(240, 9); // 300 · 400 / 500
      expect(leastWidth(turned(hatch(900, 350), deg))).toEqual({
        width: expect.closeTo(350, 9) as number,
        length: expect.closeTo(900, 9) as number,
      });
    }
  });
});

describe('a flat part through an opening', () => {
  it('of no thickness passes a rectangle by its diagonal, tilted along it', () => {
    const { widestMm, tiltDeg } = passingOf(hatch(2000, 480), 0, hatch(400, 300));
    expect(widestMm).toBeCloseTo(500, 1);
    expect(tiltDeg).toBeCloseTo((Math.atan2(300, 400) * 180) / Math.PI, 0);
    expect(passingOf(hatch(2000, 480), 0, hatch(400, 300)).fits).toBe(true);
    expect(passingOf(hatch(2000, 510), 0, hatch(400, 300))).toMatchObject({ fits: false, pieces: 2 });
  });
  it('of a thickness passes a round one by the chord that leaves room for it', () => {
    const { widestMm } = passingOf(hatch(900, 100), 60, circle(100));
    expect(widestMm).toBeCloseTo(2 * Math.sqrt(100 ** 2 - 30 ** 2), 1);
  });
  it('passes as told, and no wider, wherever it is put and however it is tilted', () => {
    const next = random(5);
    for (let run = 0; run < 20; run++) {
      const [w, h, t] = [100 + 400 * next(), 100 + 400 * next(), 5 + 30 * next()];
      const { widestMm } = passingOf(hatch(3000, 50), t, hatch(w, h));
      const fits = (width: number) =>
        Array.from({ length: 721 }, (_, i) => (i * Math.PI) / 1440).some((tilt) => {
          const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
          return width * c + t * s <= w && width * s + t * c <= h;
        });
      expect([fits(widestMm - 1), fits(widestMm + 1)]).toEqual([true, false]);
    }
  });
  it('that is thicker than the opening does not pass, in no number of pieces', () => {
    const none = passingOf(hatch(900, 100), 500, hatch(400, 300));
    expect([none.fits, none.pieces]).toEqual([false, 0]);
    expect(passingWords(none, (mm) => `${mm.toFixed(0)} mm`)).toMatch(/Not even a strip/);
  });
});
