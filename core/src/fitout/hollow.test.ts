/** Edges hollowed in an arc, and tips taken off: against the segment of a circle, and angles known by hand. */
import { describe, expect, it } from 'vitest';
import { at, boundsOf, contains, netArea, upright, type Outline, type Vec2 } from '../geometry';
import { blunted } from './blunt';
import { BOX, FLARED, partIn } from './fixtures/plain-boats';
import { hollowed } from './hollow';
import type { InsidePlan } from './schema';

/** Of a circle's segment over a chord, by its rise. */
function segment(chord: number, rise: number): number {
  const radius = chord ** 2 / (8 * rise) + rise / 2;
  const half = Math.asin(chord / 2 / radius);
  return radius ** 2 * (half - Math.sin(half) * Math.cos(half));
}
const hollow = (given: Partial<InsidePlan['hollow']>) => ({ fore: 0, aft: 0, inner: 0, ...given });
const only = (given: Partial<InsidePlan>, boat = BOX) => {
  const { pieces } = partIn(boat, given);
  expect(pieces).toHaveLength(1);
  return at(pieces, 0);
};

describe('a hollowed edge', () => {
  it.each([10, 40, 120])(
    'takes the segment of a circle off an end, its corners left where they were: %i mm',
    (rise) => {
      const piece = only({ hollow: hollow({ aft: rise }) });
      // chords of 97 places lie within the arc by less than a hundredth
      expect(piece.areaM2 * 1e6).toBeCloseTo(2000 * 988 - segment(988, rise), -2);
      const [, middle] = at(
        upright(
          piece.region.outline.map(([u, v]): Vec2 => [v, u]),
          0.1,
        ),
        0,
      );
      expect(middle).toBeCloseTo(2500 - rise, 1);
      expect(boundsOf(piece.region.outline).maxX).toBeCloseTo(2500, 3);
    },
  );
  it('is each end’s own, and a pair’s inner edge too', () => {
    const both = only({ hollow: hollow({ fore: 30, aft: 30 }) });
    expect(both.areaM2 * 1e6).toBeCloseTo(2000 * 988 - 2 * segment(988, 30), -2);
    const seat = only({ hand: 'pair', inner: { fore: 200, aft: 200 }, hollow: hollow({ inner: 50 }) });
    expect(seat.areaM2 * 1e6).toBeCloseTo(2000 * 294 - segment(2000, 50), -2);
    expect(contains(seat.region.outline, [1500, 249])).toBe(false);
    expect(contains(seat.region.outline, [1500, 251])).toBe(true);
  });
  it('is drawn from corner to corner of what the hull leaves, also where that flares and it slants', () => {
    const given = { hand: 'pair', inner: { fore: 600, aft: 300 }, from: 2000, to: 2500 } as const;
    const [straight, curved] = [only(given, FLARED), only({ ...given, hollow: hollow({ inner: 40 }) }, FLARED)];
    const out = (piece: typeof straight) => Math.max(...piece.region.outline.map(([, v]) => v));
    // the edge leaves the skin where its straight line reaches it
    const skin = out(straight);
    const chord = Math.hypot(500 - ((600 - skin) / 300) * 500, skin - 300);
    expect((straight.areaM2 - curved.areaM2) * 1e6).toBeCloseTo(segment(chord, 40), -2);
    expect(out(curved)).toBeCloseTo(skin, 2);
  });
  it('is never more than a half circle, and none where the edge is gone', () => {
    const deep = only({ from: 500, to: 1200, hollow: hollow({ aft: 2000 }) });
    expect(deep.areaM2 * 1e6).toBeGreaterThan(0);
    expect(deep.areaM2 * 1e6).toBeLessThan(700 * 988 - 0.9 * segment(988, 480));
    const square: Outline = [
      [0, 0],
      [100, 0],
      [100, 100],
      [0, 100],
    ];
    const away = { line: [[500, 0] as Vec2, [500, 100] as Vec2], inward: [-1, 0] as Vec2, rise: 10 };
    expect(hollowed(square, [away])).toEqual([square]);
  });
});

describe('the tips of a board', () => {
  const tip = (deg: number): Outline => {
    const half = Math.tan((deg * Math.PI) / 360) * 300;
    return [
      [0, 0],
      [300, -half],
      [300, half],
    ];
  };
  it.each([20, 30, 45])('are as broad as was asked where they would be a feather of %i°, and round', (deg) => {
    const [left] = blunted(tip(deg), 16);
    const half = (deg * Math.PI) / 360;
    // a disc of the tip's breadth touches both sides: it ends its own radius before its middle
    expect(boundsOf(left!).minX).toBeCloseTo(8 / Math.sin(half) - 8, 1);
    expect(boundsOf(left!).maxX).toBe(300);
  });
  it('leave every other corner sharp', () => {
    const square: Outline = [
      [0, 0],
      [100, 0],
      [100, 100],
      [0, 100],
    ];
    expect(blunted(square, 16)).toEqual([square]);
    const [left] = blunted(tip(30), 16);
    const corner = tip(30)[2]!;
    expect(left!.some(([u, v]) => Math.hypot(u - corner[0], v - corner[1]) < 0.01)).toBe(true);
  });
  it('are taken off a knee of timber, and off no sheet', () => {
    const knee = { hand: 'pair', inner: { fore: 520, aft: 200 }, from: 2000, to: 2500 } as const;
    const [sheet, board] = [only(knee), only({ ...knee, isTimber: true })];
    expect(netArea(board.region)).toBeLessThan(netArea(sheet.region) - 10);
    expect(netArea(board.region)).toBeGreaterThan(0.95 * netArea(sheet.region));
  });
});
