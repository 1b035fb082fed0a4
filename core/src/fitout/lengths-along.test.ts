/** Lengths along the boat that add up, and what she has to go through: in a box, by hand. */
import { describe, expect, it } from 'vitest';
import { crossings, type Vec2 } from '../geometry';
import { createDerive, demoProject, DEMO_IDS } from '../project';
import { BOX, bulkheadAt, level, partIn } from './fixtures/plain-boats';
import { sectionAt } from '../surface';
import { lengthsAlong, usualHeight } from './lengths-along';
import { judgeLimits, overAll } from './limits';
import { sectionAlong } from './section-along';
import { insideAtFirst, type Limits } from './schema';

describe('lengths along a box', () => {
  const parts = [partIn(BOX, { name: 'Sole', from: 700, to: 1800 })];
  const frames = [bulkheadAt(2000), bulkheadAt(1000)];
  const boat = { ...BOX, frames, parts, ends: [], inside: 6 };
  const along = lengthsAlong(boat, 300);
  it('are spaces and bulkheads in turn, from forward, each beginning where the one before ends', () => {
    expect(along.map(({ kind, from, to }) => [kind, Math.round(from), Math.round(to)])).toEqual([
      ['space', 0, 1000],
      ['frame', 1000, 1009],
      ['space', 1009, 2000],
      ['frame', 2000, 2009],
      ['space', 2009, 3000],
    ]);
  });
  it('tell what lies in each, and how much of it', () => {
    expect(along.map(({ within }) => within.map(({ name, longMm }) => [name, Math.round(longMm)]))).toEqual([
      [['Sole', 300]],
      [],
      [['Sole', 791]],
      [],
      [],
    ]);
  });
  it('are none over the boat or under it', () => {
    expect(lengthsAlong(boat, 700)).toEqual([]);
    expect(lengthsAlong(boat, -100)).toEqual([]);
    expect(usualHeight(BOX.hull)).toBeCloseTo(300, 6);
  });
});

describe.each(DEMO_IDS)('lengths along %s', (id) => {
  const { lines, fitout, frames } = createDerive()(demoProject(id, 'x'));
  const { stretches } = fitout.value.lengths;
  it('add up to the whole inside, without a gap', () => {
    const [first, last] = [stretches[0]!, stretches[stretches.length - 1]!];
    const sum = stretches.reduce((all, { from, to }) => all + to - from, 0);
    expect(sum).toBeCloseTo(last.to - first.from, 9);
    for (const { from, to } of stretches) expect(to).toBeGreaterThan(from);
    expect(last.to - first.from).toBeLessThan(lines.value.toX - lines.value.fromX);
    const standing = frames.value.frames.filter(({ kind }) => kind !== 'mould');
    expect(stretches.filter(({ kind }) => kind === 'frame').length).toBeLessThanOrEqual(standing.length);
  });
});

describe('the box cut along', () => {
  const hatch = { id: 'h', shape: 'rounded', x: 1200, out: 0, long: 200, wide: 200, corner: 0, isPair: false } as const;
  const parts = [partIn(BOX, { hatches: [hatch] })];
  const cut = (out: number) =>
    sectionAlong({ ...BOX, frames: [bulkheadAt(1500)], parts }, out, { inside: 6, outside: 0 });
  it('has its bottom’s two faces, the bulkhead between its faces, the sole beside its hatch', () => {
    const { skin, frames, parts: lying } = cut(0);
    expect(skin.map((line) => Math.round(line[0]![1]))).toEqual([0, 6]);
    expect(frames.flatMap(({ outline }) => outline.map(([x]) => Math.round(x)))).toEqual([1500, 1500, 1509, 1509]);
    // the sole is parted by nothing here: the bulkhead was not there when it was cut
    expect(lying.map(({ outline }) => outline.map(([x]) => Math.round(x)))).toEqual([
      [500, 1100, 1100, 500],
      [1300, 2500, 2500, 1300],
    ]);
    for (const { outline } of lying)
      expect(new Set(outline.map(([, z]) => Math.round(z)))).toEqual(new Set([200, 209]));
  });
  it('has none of the hatch beside it, and nothing outside of the skin', () => {
    expect(cut(200).parts).toHaveLength(1);
    expect(cut(600)).toEqual({ skin: [], frames: [], parts: [] });
  });
});

describe.each(DEMO_IDS)('%s cut along', (id) => {
  const { panels, frames, fitout } = createDerive()(demoProject(id, 'x'));
  const boat = { panels: panels.value.panels, frames: frames.value.frames, parts: fitout.value.parts };
  it.each([0, 60, 200])('has lines that lie on the skin between their places too, %i mm out', (out) => {
    const { skin } = sectionAlong(boat, out, { inside: 6, outside: 0 });
    expect(skin.length).toBeGreaterThan(0);
    const y = Math.max(0.5, out);
    const off = skin.flatMap((line) =>
      line.slice(1).flatMap(([x1, z1], i) => {
        const [x0, z0] = line[i]!; // one before each
        // up a stem what lies abreast is nearly nothing
        if (Math.abs(x1 - x0) < Math.max(2, Math.abs(z1 - z0))) return [];
        const [x, z] = [(x0 + x1) / 2, (z0 + z1) / 2];
        const there = boat.panels.flatMap(({ rulings }) =>
          [0, 6].flatMap((inset) => {
            const across = sectionAt(rulings, x, inset).map(({ space }): Vec2 => [space[1], space[2]]);
            return crossings(across, 0, y).map(([, up]) => Math.abs(up - z));
          }),
        );
        return [Math.min(...there)];
      }),
    );
    expect(Math.max(...off)).toBeLessThan(0.5);
  });
});

describe('what the boat has to go through', () => {
  const size = overAll(BOX.hull, [partIn(BOX, { fit: 'over', overhang: 20, height: level(600), thickness: 9 })]);
  const codes = (given: Partial<Limits>) =>
    judgeLimits({ ...insideAtFirst().limits, ...given }, size).map(({ code }) => code);
  it('is as large as what is built, with its deck and what that overhangs', () => {
    expect(size.long).toBeCloseTo(3000, 3);
    expect(size.wide).toBeCloseTo(1040, 3);
    expect(size.high).toBeCloseTo(609, 3);
  });
  it('is nothing that is not said', () => expect(codes({})).toEqual([]));
  it('is a shop with room to work all round', () => {
    expect(codes({ shopLong: 4200, shopWide: 2240 })).toEqual([]);
    expect(codes({ shopLong: 4199 })).toEqual(['boat-over-shop']);
    expect(codes({ shopWide: 2239 })).toEqual(['boat-over-shop']);
    expect(codes({ shopLong: 3100, walk: 0 })).toEqual([]);
  });
  it('is a door, upright or on her side, with a finger’s breadth', () => {
    expect(codes({ doorWide: 1080, doorHigh: 650 })).toEqual([]);
    expect(codes({ doorWide: 650, doorHigh: 1080 })).toEqual([]);
    expect(codes({ doorWide: 650, doorHigh: 1079 })).toEqual(['boat-over-door']);
    expect(codes({ doorWide: 640 })).toEqual(['boat-over-door']);
    expect(codes({ doorHigh: 700 })).toEqual([]);
  });
  it('is a trailer', () => {
    expect(codes({ trailerLong: 3001, trailerWide: 1041 })).toEqual([]);
    expect(codes({ trailerLong: 2900, trailerWide: 1000 })).toEqual(['boat-over-trailer', 'boat-over-trailer']);
  });
});
