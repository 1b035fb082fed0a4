/** Transoms that cap or stand between, against boxes whose every figure is done by hand. */
import { describe, expect, it } from 'vitest';
import { at, boundsOf } from '../../geometry';
import { bendLines, type LinesTable } from '../../lines';
import { assembleSkin, type SkinSettings } from '../develop';
import { PANEL_DEFAULTS } from '../schema';

/** Upright sides 300 deep, the half-breadth even from `fore` to `aft` over 2 m, both ends square. */
const punt = (fore: number, aft: number): LinesTable => ({
  longitudinals: [
    ['chine', 0],
    ['sheer', 300],
  ].map(([id, height]) => ({
    id: String(id),
    name: String(id),
    points: [0, 500, 1000, 1500, 2000].map((x) => ({
      station: '',
      x,
      halfBreadth: fore + ((aft - fore) * x) / 2000,
      height: Number(height),
    })),
  })),
});
const skinOf = (table: LinesTable, part: Partial<SkinSettings>) => {
  const settings: SkinSettings = {
    ...PANEL_DEFAULTS,
    ...{ thickness: 6, transomThickness: 9, transomGap: null },
    ...part,
  };
  const { value } = assembleSkin(bendLines(table).value, settings, { stock: [], gap: 0 });
  const [bottom, side] = value.panels;
  const aft = value.transoms.find(({ end }) => end === 'aft')!;
  const lengthOf = (panel: typeof bottom) => {
    const box = boundsOf(panel!.outline);
    return box.maxX - box.minX;
  };
  const box = boundsOf(aft.outline);
  return {
    bottomMm: lengthOf(bottom),
    sideMm: lengthOf(side),
    wide: box.maxX - box.minX,
    deep: box.maxY - box.minY,
    seam: aft.seam,
    transom: aft,
  };
};

describe('the ends of a box, 1 m wide, its skin 6 mm and its transoms 9', () => {
  const box = punt(500, 500);
  it('whose transoms cap: as large as the outside, the panels up to their inner faces', () => {
    const own = skinOf(box, {});
    expect([own.bottomMm, own.sideMm, own.wide, own.deep].map((mm) => Number(mm.toFixed(6)))).toEqual([
      ...[2000, 2000, 1000, 300],
    ]);
    expect(own.transom).toMatchObject({ fit: 'caps', face: 'fore' });
  });
  it('whose lines end on the outer faces of transoms that cap: the panels 9 mm shorter at either end', () => {
    const own = skinOf(box, { transomEnds: 'outer' });
    expect([own.bottomMm, own.sideMm].map((mm) => Number(mm.toFixed(6)))).toEqual([1982, 1982]);
    expect([own.wide, own.deep]).toEqual([1000, 300]);
  });
  it.each([
    [null, 988, 294],
    [1.5, 985, 292.5],
  ])('whose transoms stand between, with a gap of %s: smaller by the skin, and it, all round', (gap, wide, deep) => {
    const own = skinOf(box, { transomFit: 'between', transomEnds: 'outer', transomGap: gap });
    expect([own.wide, own.deep].map((mm) => Number(mm.toFixed(6)))).toEqual([wide, deep]);
    expect(own.bottomMm).toBeCloseTo(2000, 6);
    expect(own.transom).toMatchObject({ fit: 'between', face: 'aft' });
  });
  it('whose lines end on the inner faces of transoms between: the panels run on over them', () => {
    const own = skinOf(box, { transomFit: 'between', transomEnds: 'inner' });
    expect([own.bottomMm, own.sideMm].map((mm) => Number(mm.toFixed(6)))).toEqual([2018, 2018]);
  });
  it('have an inside corner of 988 along the bottom and 294 up either side, whichever way', () => {
    for (const transomFit of ['caps', 'between'] as const) {
      const { seam } = skinOf(box, { transomFit, transomEnds: 'outer' });
      expect(seam.map(({ length }) => Number(length.toFixed(6)))).toEqual([988, 588]);
      for (const { angleRad } of seam) expect(angleRad).toBeCloseTo(Math.PI / 2, 9);
    }
  });
});

describe('the after end of a box that narrows by 1 in 10 a side', () => {
  const narrowing = punt(600, 400);
  // the side's outward normal is (0.1, 1)/√1.01, the transom's (1, 0): sin β = 0.1/√1.01, tan β = 0.1
  const secant = Math.sqrt(1.01);
  const half = (part: Partial<SkinSettings>) => skinOf(narrowing, { transomFit: 'between', ...part }).wide / 2;
  it('between the panels: 6/cos β within them where it is flush, cut to that face if square-edged', () => {
    expect(half({ transomEnds: 'outer', transomGap: 1.5 })).toBeCloseTo(400 - 6 * secant - 1.5, 6);
  });
  it('to be bevelled: cut to its inner face, 9·tan β wider', () => {
    expect(half({ transomEnds: 'outer', transomGap: null })).toBeCloseTo(400 - 6 * secant + 0.9, 6);
  });
  it('with the lines’ end on its inner face stands flush 9 mm further aft, where the boat is narrower', () => {
    expect(half({ transomEnds: 'inner', transomGap: 0 })).toBeCloseTo(400 - 0.9 - 6 * secant, 6);
  });
  it('meets the sides at 90° + β, along the inner face', () => {
    const { seam } = skinOf(narrowing, { transomFit: 'between', transomEnds: 'inner', transomGap: 0 });
    expect(at(seam, 0).length / 2).toBeCloseTo(400 - 6 * secant, 6);
    expect(at(seam, 1).angleRad).toBeCloseTo(Math.PI / 2 + Math.atan(0.1), 9);
  });
  it('that caps the middle of the skin reaches to its outside', () => {
    expect(skinOf(narrowing, { linesTo: 'middle' }).wide / 2).toBeCloseTo(400 + 3 * secant, 6);
  });
});
