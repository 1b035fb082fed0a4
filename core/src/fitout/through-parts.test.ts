/** What goes through a part: drain holes, screws into its landings, fittings with their pads. In boxes, by hand. */
import { describe, expect, it } from 'vitest';
import { at, contains, distance2, netArea, type Vec2 } from '../geometry';
import { DRAIN_CLEAR } from './constants';
import { BOX, bulkheadAt, level, partIn } from './fixtures/plain-boats';
import { landingScrews } from './landing-screws';
import { plainFitting, plainInside } from './plans';
import type { InsidePlan } from './schema';

const KEEP = DRAIN_CLEAR.value;

describe('drain holes', () => {
  const sloping = level(220, 200);
  it('are at the lowest corner of each side, clear of both its edges, and are cut', () => {
    const part = partIn(BOX, { drain: 12, height: sloping });
    const { places, isLevel, without } = part.drains!;
    expect([isLevel, without]).toEqual([false, []]);
    const reach = 12 + KEEP;
    const long = at(part.pieces, 0).region.outline.reduce((most, [u]) => Math.max(most, u), -Infinity);
    const expected = [-1, 1].map((side): Vec2 => [long - reach, side * (494 - reach)]);
    for (const place of expected) expect(places.some(({ at: p }) => distance2(p, place) < 0.05)).toBe(true);
    expect(places).toHaveLength(2);
    const { region, areaM2 } = at(part.pieces, 0);
    expect(region.holes).toHaveLength(2);
    expect(netArea(region) / 1e6).toBeCloseTo(areaM2, 4);
  });
  it('go with the slope to the other end; of a level part to the after one, and that is said', () => {
    const forward = partIn(BOX, { drain: 12, height: level(200, 220) }).drains!;
    for (const { at: p } of forward.places) expect(p[0]).toBeLessThan(620);
    const flat = partIn(BOX, { drain: 12 }).drains!;
    expect(flat.isLevel).toBe(true);
    for (const { at: p } of flat.places) expect(p[0]).toBeCloseTo(2500 - 12 - KEEP, 3);
  });
  it('keep off a hatch that lies there, and are told where there is no room', () => {
    const hatch = {
      id: 'h',
      shape: 'rounded',
      x: 2420,
      out: 440,
      long: 100,
      wide: 60,
      corner: 0,
      isPair: false,
    } as const;
    const part = partIn(BOX, { drain: 12, height: sloping, hatches: [hatch] });
    const cut = at(part.pieces, 0).region.holes;
    for (const { at: p } of part.drains!.places) expect(cut.filter((hole) => contains(hole, p))).toHaveLength(1);
    expect(partIn(BOX, { drain: 40, from: 1000, to: 1060 }).drains!.without).toEqual(['Sole']);
  });
  it('are none of a part that is cambered, or over the sheer', () => {
    expect(partIn(BOX, { drain: 12, camber: { radius: 2000 } }).drains).toBeUndefined();
    expect(partIn(BOX, { drain: 12, fit: 'over', height: level(600) }).drains).toBeUndefined();
    expect(partIn(BOX, {}).drains).toBeUndefined();
  });
});

describe('screws into what a part lies on', () => {
  const given: Partial<InsidePlan> = {
    screws: 150,
    bearers: 1,
    cleat: { breadth: 30, depth: 20, atSkin: true, atFrames: true },
  };
  const rowsOf = (own: Partial<InsidePlan>, frames: Parameters<typeof partIn>[2] = []) => {
    const part = partIn(BOX, { ...given, ...own }, frames);
    const plan = plainInside({
      ...{ id: 'p', name: 'Sole', kind: 'sole', from: 500, to: 2500, height: level(200) },
      ...given,
      ...own,
    });
    const screws = { ends: 25, use: 'left' as const, own: [], spacing: 0, diameter: 4, staples: 60 };
    return { part, rows: landingScrews([part], [plan], { screws, skinMm: 6 }) };
  };
  it('are spaced evenly along the middle of each cleat and bearer', () => {
    const { rows } = rowsOf({});
    // 2000 − 2·25 = 1950 in 13 gaps of 150; across 988 − 50 = 938 in 6 of 156.3
    expect(rows.map(({ count, spacingMm }) => [count, Math.round(spacingMm * 10) / 10])).toEqual([
      [14, 150],
      [14, 150],
      [7, 156.3],
    ]);
    for (const { places, landingMm } of rows.slice(0, 2))
      for (const [, v] of places) expect(494 - Math.abs(v)).toBeCloseTo(landingMm / 2, 3);
    for (const [u] of at(rows, 2).places) expect(u).toBeCloseTo(1500, 6);
  });
  it('hold by two and a half times the sheet, and end two millimetres within the timber', () => {
    expect(at(rowsOf({ thickness: 9 }).rows, 0).lengthMm).toBeCloseTo(22.5, 9);
    expect(at(rowsOf({ thickness: 18 }).rows, 0).lengthMm).toBeCloseTo(36, 9);
  });
  it('are twice as many of a pair, one where two would crowd, none where nothing is asked', () => {
    const pair = rowsOf({ hand: 'pair', inner: { fore: 200, aft: 200 }, bearers: 0 });
    expect(pair.rows.map(({ count, places }) => [count, places.length])).toEqual([[28, 14]]);
    const short = rowsOf({ from: 1000, to: 1070, bearers: 0 });
    expect(short.rows.map(({ places }) => places.length)).toEqual([1, 1]);
    expect(rowsOf({ screws: 0 }).rows).toEqual([]);
  });
  it('go into the cleats on a bulkhead’s faces, beside it by half a cleat and the gap', () => {
    const { rows } = rowsOf({ bearers: 0, gap: 1.5 }, [bulkheadAt(1500)]);
    const onFrame = rows.filter(({ into }) => into.includes('Bulkhead'));
    expect(onFrame.map(({ places }) => Math.round(at(places, 0)[0] * 10) / 10)).toEqual([1483, 1526]);
  });
  it('miss the openings, and of a deck go in along the sheer within its overhang and the skin', () => {
    const hatch = {
      id: 'h',
      shape: 'rounded',
      x: 1500,
      out: 0,
      long: 300,
      wide: 300,
      corner: 0,
      isPair: false,
    } as const;
    const { rows, part } = rowsOf({ hatches: [hatch] });
    const across = at(rows, 2);
    expect(across.count).toBeLessThan(7);
    for (const p of across.places)
      for (const hole of at(part.pieces, 0).region.holes) expect(contains(hole, p)).toBe(false);
    const deck = rowsOf({ fit: 'over', overhang: 8, height: level(600), bearers: 0 });
    expect(deck.rows).toHaveLength(2);
    // 500 + 8 at its edge, less the overhang, the skin and half the landing
    for (const [, v] of at(deck.rows, 0).places) expect(Math.abs(v)).toBeCloseTo(500 - 6 - 15, 1);
  });
});

describe('fittings with their pads', () => {
  const fitting = (given: Partial<InsidePlan['fittings'][number]>) => ({
    ...plainFitting({ from: 500, to: 2500, fittings: [] }, 'mm'),
    ...{ id: 'c', name: 'Cleat', x: 1500, pad: { long: 140, wide: 80, thick: 18 } },
    ...given,
  });
  const clashesOf = (own: Partial<InsidePlan>, frames: Parameters<typeof partIn>[2] = []) =>
    partIn(BOX, own, frames).fittings.clashes.map(({ of, clearX }) => [of, clearX]);
  it('have a pad of timber each, on both sides where there are two', () => {
    const one = partIn(BOX, { fittings: [fitting({})] });
    const pads = one.supports.filter(({ of }) => of === 'pad');
    expect(pads.map(({ lengthMm, breadth, depth }) => [lengthMm, breadth, depth])).toEqual([[140, 80, 18]]);
    const two = partIn(BOX, { fittings: [fitting({ out: 200, isPair: true })] });
    expect(two.supports.filter(({ of }) => of === 'pad')).toHaveLength(2);
    expect(new Set(two.supports.map(({ name }) => name)).size).toBe(two.supports.length);
  });
  it('lie each on the piece that is there: of a part in two halves one on either, what it runs into told once', () => {
    const halved = partIn(BOX, { isHalved: true, bearers: 1, fittings: [fitting({ out: 200, isPair: true })] });
    const { pads, clashes } = halved.fittings;
    expect(new Set(pads.map(({ piece }) => piece)).size).toBe(2);
    for (const { piece, at: p } of pads)
      expect(contains(halved.pieces.find(({ id }) => id === piece)!.region.outline, p)).toBe(true);
    expect(clashes.map(({ of }) => of)).toEqual(['bearer 1']);
  });
  it('lie well in the middle of nothing else', () => {
    expect(clashesOf({ fittings: [fitting({})] })).toEqual([]);
    expect(clashesOf({ fittings: [fitting({ out: 700 })] })).toEqual([['', undefined]]);
    expect(clashesOf({ fittings: [fitting({ x: 2480 })] })).toEqual([['', undefined]]);
  });
  it('are told where they run into a cleat, a bearer, a hatch, a frame, with the way out', () => {
    expect(clashesOf({ fittings: [fitting({ out: 440 })] })).toEqual([['the cleat at the skin', undefined]]);
    // (140 + 30) / 2 clear of the bearer at 1500, to the side on which it is
    expect(clashesOf({ bearers: 1, fittings: [fitting({ x: 1510 })] })).toEqual([['bearer 1', 1585]]);
    const hatch = {
      id: 'h',
      shape: 'rounded',
      x: 1600,
      out: 0,
      long: 100,
      wide: 100,
      corner: 0,
      isPair: false,
    } as const;
    expect(clashesOf({ hatches: [hatch], fittings: [fitting({})] })).toEqual([['an opening', undefined]]);
    const under = bulkheadAt(1450, { top: { kind: 'level', mm: 199, below: 0 } });
    expect(clashesOf({ fittings: [fitting({})] }, [under])).toEqual([['Bulkhead at 1450', 1454.5 + 74.5]]);
    const low = bulkheadAt(1450, { top: { kind: 'level', mm: 150, below: 0 } });
    expect(clashesOf({ fittings: [fitting({})] }, [low])).toEqual([]);
  });
});
