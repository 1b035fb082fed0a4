import { describe, expect, it } from 'vitest';
import { area, at, boundsOf, netArea, type Vec2 } from '../geometry';
import { bendLines } from '../lines';
import { developPanels } from '../panels';
import { tableOf } from './fixtures/table-of';
import type { Frame } from './frame';
import { shapeFrames } from './judge';
import { keptIn, plainFrame, timberIn } from './plans';
import type { CleatPlan, FramePlan, Opening, School, SlotPlan } from './schema';
import { standOn, widestAt } from './standing';

/** Upright sides, 500 out inside of a skin of 10, over a flat bottom; 400 deep inside. */
const BOX = tableOf({ chine: () => [510, -10], sheer: () => [510, 400] });
/** The same on a bottom that rises one in five outward. */
const VEE = tableOf({ keel: () => [0, 0], chine: () => [500, 100], sheer: () => [500, 400] });

function shaped(given: Partial<FramePlan>, { table = BOX, school = 'framed' as School } = {}) {
  const hull = bendLines(table).value;
  const panels = developPanels(hull, { thickness: 10 }).value;
  const plan = plainFrame({ id: 'f', name: 'F', x: 1000, kind: 'bulkhead', ...given });
  const { value, findings } = shapeFrames(hull, panels, [plan], {
    ...{ skin: 10, school, gap: 0, keep: keptIn('mm'), ...timberIn('mm') },
  });
  return { frame: at<Frame>(value, 0), findings, panels };
}
const net = ({ cut }: Frame) => netArea(cut);
const WHOLE = 1000 * 400;

describe('a slot by hand, in a box', () => {
  const slot = (given: Partial<SlotPlan>): SlotPlan => ({
    ...{ id: 's', edge: 'top', out: 100, width: 30, depth: 20, isPair: false },
    ...given,
  });
  it.each<[string, Partial<SlotPlan>, number]>([
    ['takes its width by its depth of the top', {}, 600],
    ['comes on both sides where it is a pair', { isPair: true }, 1200],
    ['takes as much of the bottom', { edge: 'skin' }, 600],
    ['and on the centreline', { edge: 'skin', out: 0 }, 600],
  ])('%s', (_, given, taken) => {
    const { frame } = shaped({ slots: [slot(given)] });
    expect(net(frame)).toBeCloseTo(WHOLE - taken, 3);
  });
  it('stands square to an edge that slopes', () => {
    const { frame } = shaped({ slots: [slot({ edge: 'skin', out: 250 })] }, { table: VEE });
    const { frame: bare } = shaped({}, { table: VEE });
    // its end is 20 in from the edge, square: as much is taken as of a level edge
    expect(net(bare) - net(frame)).toBeCloseTo(600, 1);
    const rise = boundsOf(frame.cut.outline).minY;
    expect(rise).toBeCloseTo(boundsOf(bare.cut.outline).minY, 3);
  });
  it('is told where the edge does not come so far out', () =>
    expect(shaped({ slots: [slot({ out: 700 }), slot({ id: 't', edge: 'skin', out: 700 })] }).findings).toMatchObject([
      { code: 'cut-outside', data: { cut: 'slot 1' } },
      { code: 'cut-outside', data: { cut: 'slot 2' } },
    ]));
});

describe('round an opening', () => {
  const opening = (given: Partial<Opening>): Opening => ({
    ...{ id: 'o', shape: 'rounded', out: 0, up: 200, width: 300, height: 160, corner: 0 },
    ...{ isPair: false, doubler: 40, lid: 25, lip: 0, room: 0 },
    ...given,
  });
  const rims = (given: Partial<Opening>, of: Partial<FramePlan> = {}) =>
    shaped({ openings: [opening(given)], ...of }).frame.rims;
  it('lies a doubler of its breadth, and a lid that laps', () => {
    const [doubler, lid] = rims({});
    expect(netArea(at([doubler!.region], 0))).toBeCloseTo(380 * 240 - 300 * 160, 3);
    expect(netArea(lid!.region)).toBeCloseTo(350 * 210, 3);
    expect([doubler!.id, doubler!.isPair, doubler!.thicknessMm]).toEqual(['f.o.doubler', false, 9]);
  });
  it('are two of each where the opening is on both sides, or the part is one of a pair', () => {
    expect(rims({ out: 250, width: 100, isPair: true }).map(({ isPair }) => isPair)).toEqual([true, true]);
    const half: Partial<FramePlan> = { bounds: { hand: 'pair', inner: 0, outer: null, bottom: null } };
    expect(rims({ out: 250, width: 100 }, half).map(({ isPair }) => isPair)).toEqual([true, true]);
  });
  it('stands a lip into the opening, and lies a lid within with room all round', () => {
    const [doubler, , within] = rims({ lip: 15, room: 2 });
    expect(netArea(doubler!.region)).toBeCloseTo(380 * 240 - 270 * 130, 3);
    expect(netArea(within!.region)).toBeCloseTo(296 * 156, 3);
    expect([within!.id, within!.name.endsWith('lid within')]).toEqual(['f.o.lid-within', true]);
  });
  it('is told of a lid within that has nothing to lie on, and of a lip that closes the opening', () => {
    const codes = (given: Partial<Opening>) =>
      shaped({ openings: [opening({ corner: 30, ...given })] }).findings.map(({ code }) => code);
    expect(codes({ lip: 15, room: 2 })).toEqual([]);
    expect(codes({ lip: 2, room: 2 })).toEqual(['lid-loose']);
    expect(codes({ doubler: 0, lip: 15, room: 2 })).toEqual(['lid-loose']);
    expect(codes({ lip: 80 })).toEqual(['lip-closes']);
  });
  it('is none where they are nought', () => expect(rims({ doubler: 0, lid: 0, lip: 0, room: 0 })).toEqual([]));
  it('is told of a doubler over the edge', () =>
    expect(shaped({ openings: [opening({ up: 110 })] }).findings.map(({ code }) => code)).toEqual([
      ...['cut-sharp', 'cut-near-edge'],
      'doubler-off',
    ]));
});

describe('a cleat', () => {
  const cleat = (given: Partial<CleatPlan>): CleatPlan => ({
    ...{ id: 'c', edge: 'top', face: 'aft', setIn: 6, breadth: 20, depth: 18 },
    ...given,
  });
  const cleats = (given: Partial<CleatPlan>, of: Partial<FramePlan> = {}, table = BOX) => {
    const { panels } = shaped({}, { table });
    const edge = given.edge === undefined ? 'top' : at(panels, Number(given.edge)).id;
    return shaped({ cleats: [cleat({ ...given, edge })], ...of }, { table }).frame.cleats;
  };
  it('under the top of a box lies from side to side, its own breadth down', () => {
    const [made] = cleats({});
    const [piece] = made!.pieces;
    expect([made!.pieces.length, piece!.isPair, made!.bevel]).toEqual([1, false, undefined]);
    expect(piece!.lengthMm).toBeCloseTo(1000, 3);
    const { minY, maxY } = boundsOf(piece!.outline);
    expect([minY, maxY].map((z) => Number(z.toFixed(3)))).toEqual([374, 394]);
  });
  it('along a flat bottom is one piece, along a side a pair', () => {
    expect(cleats({ edge: '0' })[0]!.pieces).toMatchObject([{ isPair: false }]);
    const [side] = cleats({ edge: '1', setIn: 0 });
    expect(side!.pieces).toMatchObject([{ isPair: true }]);
    expect(side!.pieces[0]!.lengthMm).toBeCloseTo(400, 3);
    expect(side!.bevel).toEqual({ fromDeg: expect.closeTo(0, 6), toDeg: expect.closeTo(0, 6) });
  });
  it('in a V is one on either side, cut off on the centreline', () => {
    const [made] = cleats({ edge: '0', setIn: 0 }, {}, VEE);
    const [piece, ...more] = made!.pieces;
    expect([more, piece!.isPair]).toEqual([[], true]);
    expect(boundsOf(piece!.outline).minX).toBeCloseTo(0, 6);
    // a parallelogram between the centreline and the upright side: as long on the slope as the bottom is broad
    expect(area(piece!.outline)).toBeCloseTo(20 * Math.hypot(1, 1 / 5) * 490, -1);
  });
  it('is parted by an opening that reaches into it', () => {
    const gap = { id: 'o', shape: 'rounded', out: 0, up: 350, width: 200, height: 100, corner: 0 } as const;
    const [made] = cleats({}, { openings: [{ ...gap, isPair: false, doubler: 0, lid: 0, lip: 0, room: 0 }] });
    expect(made!.pieces).toMatchObject([{ isPair: true, lengthMm: expect.closeTo(400, 3) as number }]);
  });
  it('of which nothing is left is told, and left out', () => {
    const { frame, findings } = shaped({ cleats: [cleat({ edge: 'nowhere' }), cleat({ id: 'd', setIn: 450 })] });
    expect(frame.cleats).toEqual([]);
    expect(findings).toMatchObject([
      { code: 'cleat-nowhere', data: { cleat: 1 } },
      { code: 'cleat-nowhere', data: { cleat: 2 } },
    ]);
  });
});

describe('the rule for the face that stands on the line', () => {
  // widest at 2000 of 3000
  const off = (x: number) => ((x - 2000) / 3000) ** 2;
  const hull = bendLines(
    tableOf({ chine: (x) => [300 - 200 * off(x), 0], sheer: (x) => [500 - 300 * off(x), 400] }),
  ).value;
  const panels = developPanels(hull, { thickness: 6 }).value;
  const bevels = (face: FramePlan['face'], x: number): readonly Vec2[] => {
    const plan = plainFrame({ id: 'f', name: 'F', x, face });
    const making = { skin: 6, school: 'framed' as const, gap: 0, keep: keptIn('mm'), ...timberIn('mm') };
    const { value } = shapeFrames(hull, panels, [plan], making);
    return at(value, 0).edges.flatMap(({ points }) =>
      points.map(({ y, otherFaceOffset }): Vec2 => [y, otherFaceOffset]),
    );
  };
  it('finds the widest place', () => expect(widestAt(hull)).toBeCloseTo(2000, -1));
  it.each([
    [700, 'fore'],
    [2700, 'aft'],
  ] as const)('at %s the face without bevel is the %s one: the other face is nowhere smaller', (x, face) => {
    const plan = plainFrame({ id: 'f', name: 'F', x, face: 'fore' });
    const made = standOn(plan, 'no-bevel', 2000).face;
    expect(made).toBe(face);
    for (const [, off] of bevels(made, x)) expect(off).toBeLessThanOrEqual(1e-6);
    const other = standOn(plan, 'to-bevel', 2000).face;
    expect(Math.max(...bevels(other, x).map(([, off]) => off))).toBeGreaterThan(0.3);
  });
  it('leaves each as it is told where there is no rule', () => {
    const plan = plainFrame({ id: 'f', name: 'F', x: 700, face: 'aft' });
    expect(standOn(plan, 'each', 2000)).toBe(plan);
  });
});
