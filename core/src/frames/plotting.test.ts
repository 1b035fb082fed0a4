import { describe, expect, it } from 'vitest';
import { area, at, boundsOf, distance2, footOn, type Vec2 } from '../geometry';
import { createDerive, demoProject, DEMO_IDS } from '../project';
import { plotOf } from './plotting';

const BOX: Vec2[] = [
  [-500, 100],
  [500, 100],
  [500, 400],
  [-500, 400],
];
const part = (outline: readonly Vec2[], hand: 'across' | 'pair' | 'port' = 'across') => ({
  ...{ cut: { outline, holes: [] }, hand, outline: outline.filter(([y]) => y >= 0) },
});

describe('points to plot', () => {
  it('of a box are one half of it, from the centreline out, up and back, over the board’s edge', () => {
    const { points, isHalf, board, fromMm } = plotOf(part(BOX));
    expect([isHalf, fromMm, board]).toEqual([true, 100, { longMm: 1000, broadMm: 300 }]);
    expect(points.map(({ out, up }) => [out, up])).toEqual([
      [0, 0],
      [500, 0],
      [500, 300],
      [0, 300],
    ]);
  });
  it('of a part to one side are all of it, of a port one as of a starboard one', () => {
    const half = BOX.map(([y, z]): Vec2 => [y > 0 ? 500 : 100, z]);
    const over = [...half].reverse().map(([y, z]): Vec2 => [-y, z]);
    expect(plotOf(part(over, 'port')).points).toEqual(plotOf(part(half, 'pair')).points);
    expect(plotOf(part(half, 'pair'))).toMatchObject({ isHalf: false, points: [{ out: 100, up: 0 }, {}, {}, {}] });
  });
  it('of a bevelled part are given on both faces', () => {
    const other: Vec2[] = [
      [0, 95],
      [490, 95],
      [490, 400],
    ];
    const given = {
      ...part(BOX),
      outline: [
        [0, 100],
        [500, 100],
        [500, 400],
      ] as Vec2[],
      otherFace: other,
    };
    expect(plotOf(given).points.map(({ other: beyond }) => beyond)).toEqual([
      { out: 0, up: -5 },
      { out: 490, up: -5 },
      { out: 490, up: 300 },
      undefined,
    ]);
  });
});

describe.each(DEMO_IDS.filter((id) => id !== 'slips'))('the frames of %s, plotted', (id) => {
  const { frames } = createDerive()(demoProject(id, 'x')).frames.value;
  it.each(frames.map((frame) => [frame.name, frame] as const))('%s: joined, are the part within 0.3 mm', (_, frame) => {
    const { points, isHalf, fromMm, board } = plotOf(frame);
    const half = points.map(({ out, up }): Vec2 => [out, up + fromMm]);
    const ring = isHalf ? [...half, ...[...half].reverse().map(([y, z]): Vec2 => [-y, z])] : half;
    expect(Math.abs(area(ring) / area(frame.cut.outline) - 1)).toBeLessThan(0.003);
    const rim = [...ring, at(ring, 0)];
    for (const p of frame.cut.outline) expect(distance2(footOn(rim, p), p)).toBeLessThan(0.35);
    const { minX, maxX, minY, maxY } = boundsOf(frame.cut.outline);
    expect([board.longMm, board.broadMm].sort((a, b) => a - b)).toEqual(
      [maxX - minX, maxY - minY].sort((a, b) => a - b),
    );
  });
});
