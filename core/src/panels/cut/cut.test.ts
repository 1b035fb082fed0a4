import { describe, expect, it } from 'vitest';
import { toRad } from '../../measure';
import { at, crossesItself, distance2, distance3, type Vec3 } from '../../geometry';
import { distanceToSegment } from '../../geometry/polyline';
import { bendLines } from '../../lines';
import { demoProject } from '../../project';
import { cutPanels } from '../fixtures/cut-panels';
import { middleOffset, type Skin } from './cut';
import { depthOfInside } from './own-sheet';
import { cone, obliqueCylinder, tableOf } from '../fixtures/exact-shapes';
import { layByHand } from '../reading/hand';
import { levelMarks, stationMarks } from '../reading/marking';
import { developPanels } from '../develop';
import type { Panel } from '../panel';
import { seamsOf, stitchesOf } from '../reading/seams';

const panelsOf = (curves: readonly ((w: number) => Vec3)[]): Panel[] => [
  ...developPanels(bendLines(tableOf(curves)).value, { thickness: 6 }).value,
];
const skin = (part: Partial<Skin>): Skin => ({ thickness: 6, linesTo: 'outside', meeting: 'stitched', ...part });

describe('a timber in the corner on the outside', () => {
  // a flat bottom, 1 m wide, under sides that flare by an angle; the timber is 20 deep, the skin 6
  const flaring = (deg: number) =>
    panelsOf([(w) => [3000 * w, 500, 0], (w) => [3000 * w, 500 + 400 * Math.tan(toRad(deg)), 400]]);
  const breadths = (deg: number, part: Partial<Skin>) =>
    cutPanels(flaring(deg), skin(part)).map(({ areaM2 }) => (areaM2 * 1e6) / 3000);
  const log = { line: 'line0', on: 'above' as const, depthMm: 20 };
  it.each([0, 15, 30])(
    'of sides that flare by %i° has the bottom run out under it, to where its outer face meets the bottom’s inside',
    (deg) => {
      // the side's outside is (500, 0) + s·(sin, cos); 20 off it the timber's outer face is at height 6:
      // y = 500 + (20 + 6·sin)/cos
      const out = (20 + 6 * Math.sin(toRad(deg))) / Math.cos(toRad(deg));
      const [line] = flaring(deg).map(({ between: [lower] }) => lower);
      const [bottom, side] = breadths(deg, { outsideLogs: [{ ...log, line: line ?? '' }] });
      expect(bottom).toBeCloseTo(2 * (500 + out), 6);
      // the side itself stays as it is
      expect(side).toBeCloseTo(breadths(deg, {})[1] ?? 0, 9);
    },
  );
  it('on the bottom has the side run down over it, and along another line does nothing', () => {
    const [line] = flaring(0).map(({ between: [lower] }) => lower);
    const [bottom, side] = breadths(0, { outsideLogs: [{ ...log, line: line ?? '', on: 'below' }] });
    expect(bottom).toBeCloseTo(breadths(0, {})[0] ?? 0, 9);
    expect(side).toBeCloseTo(400 + 20, 6);
    expect(breadths(0, { outsideLogs: [{ ...log, line: 'nowhere' }] })).toEqual(breadths(0, {}));
  });
});

describe('a box of flat plates', () => {
  // 3 m long, 1 m wide, 400 mm deep: bottom and side meet at a right angle
  const box = panelsOf([(w) => [3000 * w, 500, 100], (w) => [3000 * w, 500, 500]]);
  const sizes = (part: Partial<Skin>) =>
    cutPanels(box, skin(part)).map((panel) => Number((panel.areaM2 / 3).toFixed(6)));
  it.each<[Partial<Skin>, number, number]>([
    [{ linesTo: 'outside' }, 1 - 0.012, 0.4 - 0.006],
    [{ linesTo: 'middle' }, 1 - 0.006, 0.4 - 0.003],
    [{ linesTo: 'inside' }, 1, 0.4],
    [{ linesTo: 'outside', meeting: 'lapped' }, 1 - 0.012, 0.4],
    [{ linesTo: 'inside', meeting: 'lapped' }, 1, 0.406],
    [{ linesTo: 'outside', thickness: 4 }, 1 - 0.008, 0.4 - 0.004],
  ])('%o: bottom %f m wide, side %f m deep', (part, bottom, side) => expect(sizes(part)).toEqual([bottom, side]));
  it.each([4, 6, 12])('has its marks where they are on the hull, whatever its edges lost: %i mm thick', (thickness) => {
    const side = at(cutPanels(box, skin({ thickness })), 1);
    const top = Math.max(...side.outline.map(([, v]) => v));
    for (const height of [120, 240, 420]) {
      const [run, ...more] = levelMarks(side, height);
      expect(more).toEqual([]);
      for (const [, v] of run ?? []) expect(top - v).toBeCloseTo(500 - height, 6);
    }
    // a height that the cut edge no longer has
    expect(levelMarks(side, 101)).toEqual([]);
    const [mark] = stationMarks(side, [{ label: '1', x: 1200 }]);
    const [low, high] = [at(mark?.curve ?? [], 0), at(mark?.curve ?? [], -1)];
    expect(low[1]).toBeCloseTo(0, 6);
    expect(high[1] - low[1]).toBeCloseTo(400 - thickness, 6);
    expect(Math.abs(low[0] - high[0])).toBeLessThan(1e-6);
  });
  it.each([
    [6, 22],
    [12, 22],
    [9, -35],
  ])('has a station where a frame touches its inside face: %i mm thick at %i°', (thickness, slantDeg) => {
    // An upright plate whose half-breadth grows by tan β to the millimetre. Its outside passes x at the length x/cos β;
    // its outward normal is (−sin β, cos β), so its inside lies T·sin β further aft, and passes x where the length is
    // (x − T·sin β)/cos β: T·tan β less.
    const slant = toRad(slantDeg);
    const y = (w: number) => (slantDeg > 0 ? 100 : 2000) + 2000 * w * Math.tan(slant);
    const plate = panelsOf([(w) => [2000 * w, y(w), 0], (w) => [2000 * w, y(w), 400]]).filter(
      (p) => !p.spansCentreline,
    );
    const side = at(cutPanels(plate, skin({ thickness })), 0);
    const [mark] = stationMarks(side, [{ label: '3', x: 1000 }]);
    expect(mark?.curve.length).toBeGreaterThan(1);
    const fore = Math.min(...side.outline.map(([u]) => u));
    const expected = 1000 / Math.cos(slant) - thickness * Math.tan(slant);
    for (const [u] of mark?.curve ?? []) expect(Math.abs(u - fore - expected)).toBeLessThan(1e-6);
  });
  it('tells how far each edge stands back, and that the straight edge is no longer', () => {
    const [, side] = cutPanels(box, skin({}));
    expect(side?.allowances?.[0].setback.most).toBeCloseTo(6, 9);
    expect(side?.allowances?.[1].setback.most).toBe(0);
    expect(Math.abs(side?.allowances?.[0].longerBy ?? NaN)).toBeLessThan(1e-6);
  });
});

describe('a bent sheet keeps its length in its middle', () => {
  const shape = obliqueCylinder({ radius: 1500, leanRad: 0.2, arcRad: 1.2, height: 450 });
  const side = panelsOf([shape.p, shape.q]).find((panel) => !panel.spansCentreline) as Panel;
  it.each([
    ['outside', -3],
    ['middle', 0],
    ['inside', 3],
  ] as const)('lines to the %s: laid out on a cylinder %f mm larger', (linesTo, larger) => {
    expect(middleOffset({ thickness: 6, linesTo })).toBe(larger);
    const [cut] = cutPanels([side], skin({ linesTo }));
    expect(Math.abs((cut?.areaM2 ?? 0) / side.areaM2 - (1500 + larger) / 1500)).toBeLessThan(6e-5);
  });
  it('is left on the lines’ surface under 5 mm, and frames still stand a skin inside', () => {
    expect(middleOffset({ thickness: 4, linesTo: 'outside' })).toBe(0);
    expect(
      (['outside', 'middle', 'inside'] as const).map((linesTo) => depthOfInside({ thickness: 4, linesTo })),
    ).toEqual([4, 2, 0]);
  });
});

describe.each(['tamsel', 'orrin', 'veyra'] as const)('the panels of %s as they are cut', (boat) => {
  const hull = bendLines(demoProject(boat, 'x').lines).value;
  const panels = developPanels(hull, { thickness: 6 }).value;
  it('lie everywhere along the lines’ own edge, as far in as the edges stand back', () => {
    for (const [i, cut] of cutPanels(panels, skin({})).entries()) {
      expect(crossesItself(cut.outline)).toBe(false);
      const whole = at(panels, i);
      // what is lost is the set back strip of each edge and the trimmed points, no more
      const strips =
        cut.allowances?.reduce((sum, { setback }, k) => sum + setback.most * whole.edges[k as 0 | 1].length, 0) ?? 0;
      const rest = (whole.areaM2 - cut.areaM2) * 1e6;
      expect(rest).toBeGreaterThan(-0.002 * whole.areaM2 * 1e6);
      expect(rest).toBeLessThan(1.1 * strips + 0.003 * whole.areaM2 * 1e6);
      for (const k of [0, 1] as const) {
        const [least, most] = [cut.allowances?.[k].longerBy ?? 0, whole.edges[k].length];
        expect(Math.abs(least)).toBeLessThan(0.012 * most);
      }
    }
  });
});

describe('a seam of two cones', () => {
  const shape = cone({
    apex: [1800, -4300, 3300],
    leanRad: 0.3,
    halfAngleRad: 0.9,
    phi: [-0.36, 0.36],
    rP: [7400, 150],
    rQ: [6900, -90],
  });
  const top = (w: number): Vec3 => {
    const [x, y, z] = shape.q(w);
    const [ax, ay, az] = [2100, -2600, -2900];
    const k = 1.1 + 0.02 * w;
    return [ax + (x - ax) * k, ay + (y - ay) * k, az + (z - az) * k];
  };
  const panels = panelsOf([shape.p, shape.q, top]);
  const cut = cutPanels(panels, skin({}));
  it('has lines equally long to 0.005 mm, whatever is cut', () => {
    for (const all of [panels, cut]) expect(Math.abs(at(seamsOf(all), -1).difference)).toBeLessThan(0.005);
    expect(at(seamsOf(panels), -1).cutDifference).toBe(at(seamsOf(panels), -1).difference);
  });
  it('has as many holes on both sides, facing each other, evenly apart and as far in as asked', () => {
    const stitches = { spacing: 150, inset: 9 };
    const [below, above] = cut.slice(-2) as [Panel, Panel];
    const line = above.edges[0].line;
    const [lower, upper] = [below, above].map((panel) =>
      stitchesOf(panel, cut, { stitches, roundedChines: [] }).filter((s) => s.line === line),
    );
    expect(lower?.map((s) => s.number)).toEqual(upper?.map((s) => s.number));
    expect(upper?.length).toBeGreaterThan(20);
    for (const [panel, holes, k] of [
      [below, lower, 1],
      [above, upper, 0],
    ] as const) {
      const edge = panel.edges[k].points;
      const spacings = (holes ?? []).slice(1).map((hole, i) => distance2(hole.at, at(holes ?? [], i).at));
      // even along the line in space; on the flat the inset row of a curved edge is a little longer or shorter
      expect(Math.max(...spacings) / Math.min(...spacings)).toBeLessThan(1.02);
      for (const hole of holes ?? []) {
        const off = Math.min(...edge.slice(1).map((p, i) => distanceToSegment(hole.at, at(edge, i).flat, p.flat)));
        expect(Math.abs(off - 9)).toBeLessThan(0.05);
      }
    }
    const places = [below, above].map((panel, i) =>
      ((i === 0 ? lower : upper) ?? []).map((hole) => {
        const edge = panel.edges[i === 0 ? 1 : 0].points;
        return edge.reduce((a, b) => (distance2(a.flat, hole.at) < distance2(b.flat, hole.at) ? a : b)).space;
      }),
    );
    // the nearest points of the two edges are the same place of the hull, within the step of their rulings
    places[0]?.forEach((p, i) => expect(distance3(p, at(places[1] ?? [], i))).toBeLessThan(40));
  });
  it('has none when no spacing is asked for', () => {
    expect(stitchesOf(at(cut, -1), cut, { stitches: { spacing: 0, inset: 9 }, roundedChines: [] })).toEqual([]);
  });
});

describe('the hand method beside the development', () => {
  const shape = obliqueCylinder({ radius: 1500, leanRad: 0.3, arcRad: 1.4, height: 500 });
  const side = panelsOf([shape.p, shape.q]).find((panel) => !panel.spansCentreline) as Panel;
  const [from, to] = [at(side.rulings, 0).p[0], at(side.rulings, -1).p[0]];
  const stations = (count: number) =>
    Array.from({ length: count }, (_, i) => from + ((i + 1) * (to - from)) / (count + 1));
  it('comes nearer with every station that is put between', () => {
    const offs = [2, 5, 11, 23].map((count) => layByHand(side, stations(count)).offMm);
    offs.slice(1).forEach((off, i) => expect(off).toBeLessThan(at(offs, i)));
    expect(at(offs, 0)).toBeGreaterThan(5);
    expect(at(offs, -1)).toBeLessThan(1);
  });
  it('is exact on a flat panel', () => {
    const [, flat] = panelsOf([(w) => [3000 * w, 500, 100], (w) => [3000 * w, 620, 500]]);
    expect(layByHand(flat as Panel, [700, 1500, 2300]).offMm).toBeLessThan(1e-6);
  });
  it('has a corner at each end and each station', () => {
    const hand = layByHand(side, stations(5));
    expect([hand.lower.length, hand.upper.length]).toEqual([7, 7]);
  });
});
