import { describe, expect, it } from 'vitest';
import { seenLines } from './hidden-lines';
import { polylineLength } from './polyline';
import type { Vec3 } from './vec';

const square = (size: number, x: number): Vec3[] => [
  [x, -size, -size],
  [x, size, -size],
  [x, size, size],
  [x, -size, size],
];
/** Looked at from forward: y to the left, z up. */
const toEye: Vec3 = [-1, 0, 0];
const long = (stretches: readonly (readonly (readonly [number, number])[])[]) =>
  stretches.reduce((sum, stretch) => sum + polylineLength(stretch), 0);

describe('lines past surfaces', () => {
  const across: Vec3[] = [
    [50, -200, 0],
    [50, 200, 0],
  ];
  it('behind a square only what runs past it stands, before it all, on it all', () => {
    const behind = seenLines({ surfaces: [[square(100, 0)]], lines: [{ points: across }], toEye });
    expect(behind[0]).toHaveLength(2);
    expect(long(behind[0]!)).toBeGreaterThan(200 - 4);
    expect(long(behind[0]!)).toBeLessThan(200 + 4);
    for (const x of [100, 50])
      expect(long(seenLines({ surfaces: [[square(100, x)]], lines: [{ points: across }], toEye })[0]!)).toBeCloseTo(
        400,
        6,
      );
  });
  it('through a hole in the square it is seen', () => {
    const [stretches] = seenLines({ surfaces: [[square(100, 0), square(40, 0)]], lines: [{ points: across }], toEye });
    expect(stretches).toHaveLength(3);
    expect(long(stretches!)).toBeGreaterThan(280 - 6);
    expect(long(stretches!)).toBeLessThan(280 + 6);
  });
  it('a box seen from a corner has nine of its twelve edges', () => {
    const corners = [0, 1, 2, 3, 4, 5, 6, 7].map((k): Vec3 => [k & 1 ? 100 : 0, k & 2 ? 100 : 0, k & 4 ? 100 : 0]);
    const face = (...ks: number[]) => [ks.map((k) => corners[k]!)];
    const faces = [
      [0, 1, 3, 2],
      [4, 5, 7, 6],
      [0, 1, 5, 4],
      [2, 3, 7, 6],
      [0, 2, 6, 4],
      [1, 3, 7, 5],
    ];
    const edges = corners.flatMap((a, i) => [1, 2, 4].flatMap((bit) => (i & bit ? [] : [[a, corners[i | bit]!]])));
    const seen = seenLines({
      surfaces: faces.map((ks) => face(...ks)),
      lines: edges.map((points) => ({ points })),
      toEye: [-3, -2, 2.5],
    });
    const whole = seenLines({ surfaces: [], lines: edges.map((points) => ({ points })), toEye: [-3, -2, 2.5] });
    const shares = seen.map((stretches, i) => long(stretches) / long(whole[i]!));
    expect(shares.filter((share) => share > 0.99)).toHaveLength(9);
    // of the others no more than the corner itself, where nothing is before it
    expect(shares.filter((share) => share < 0.03)).toHaveLength(3);
  });
  it('close behind a surface a line within is hidden, one on it is not', () => {
    const close = across.map(([, y, z]): Vec3 => [0.5, y / 4, z]);
    const lines = [{ points: close }, { points: close, isWithin: true }];
    const [on, within] = seenLines({ surfaces: [[square(100, 0)]], lines, toEye });
    expect(long(on!)).toBeCloseTo(100, 6);
    expect(within).toEqual([]);
  });
  it('of nothing is nothing', () => {
    expect(seenLines({ surfaces: [], lines: [], toEye })).toEqual([]);
    expect(seenLines({ surfaces: [], lines: [{ points: [] }], toEye })).toEqual([[]]);
  });
});
