import { describe, expect, it } from 'vitest';
import { area, at, crossesItself, type Vec3 } from '../../geometry';
import { bendLines } from '../../lines';
import { createDerive, demoProject } from '../../project';
import { cutPanels } from '../fixtures/cut-panels';
import type { Skin } from './cut';
import { tableOf } from '../fixtures/exact-shapes';
import { developPanels } from '../develop';
import type { Panel } from '../panel';
import { judgeRounding, roundedStrip, type StripSheet } from './rounding';
import type { RoundedChine } from '../schema';
import { seamsOf, stitchesOf } from '../reading/seams';

const SHEET: StripSheet = { length: 2440, width: 1220, kerf: 4 };
const OUTSIDE: Skin = { thickness: 6, linesTo: 'outside', meeting: 'stitched' };

const panelsOf = (curves: readonly ((w: number) => Vec3)[], count = 21): readonly Panel[] =>
  developPanels(bendLines(tableOf(curves, count)).value, { thickness: 6 }).value;
const idOf = (panels: readonly Panel[]): string => at(panels, -1).edges[0].line;
const rounding = (panels: readonly Panel[], own: Partial<RoundedChine> = {}): RoundedChine => ({
  id: idOf(panels),
  radiusFore: 200,
  radiusAft: 200,
  layers: 3,
  layerThickness: 2,
  sag: 2,
  ...own,
});

/** Straight lines: a level bottom and a side that leans out 30° from upright, so that they turn 60° at the chine. */
const TURN = Math.PI / 3;
const prism = panelsOf([
  (w) => [3000 * w, 0, 0],
  (w) => [3000 * w, 500, 0],
  (w) => [3000 * w, 500 + 400 * Math.cos(TURN), 400 * Math.sin(TURN)],
]);
/** A level bottom and an upright side round a circle: 90° at a chine that turns sideways all along. */
const R = 4000;
const ARC = 0.6;
const round = panelsOf([
  (w) => [R * Math.sin(ARC * (w - 0.5)), R * Math.cos(ARC * (w - 0.5)) - 3600 - 300, 0],
  (w) => [R * Math.sin(ARC * (w - 0.5)), R * Math.cos(ARC * (w - 0.5)) - 3600, 0],
  (w) => [R * Math.sin(ARC * (w - 0.5)), R * Math.cos(ARC * (w - 0.5)) - 3600, 400],
]);

describe('a rounded chine between flat panels', () => {
  const chine = rounding(prism);
  const strip = roundedStrip(prism, chine, OUTSIDE, SHEET);

  it('stands r·tan(φ/2) back from the line and is an arc wide', () => {
    for (const place of strip?.places ?? []) {
      expect(place.turnRad).toBeCloseTo(TURN, 9);
      expect(place.setback).toBeCloseTo(200 * Math.tan(TURN / 2), 6);
      expect(place.outsideWidth).toBeCloseTo(200 * TURN, 6);
    }
    // three layers of 2 mm: the middle of the pile has a radius of 197
    expect(strip?.width.most).toBeCloseTo(197 * TURN, 6);
    expect(strip?.length).toBeCloseTo(3000, 6);
  });
  it('takes as much off both panels', () => {
    const [before, after] = [cutPanels(prism, OUTSIDE), cutPanels(prism, { ...OUTSIDE, roundedChines: [chine] })];
    const off = 200 * Math.tan(TURN / 2);
    const stood = 6 * Math.tan(TURN / 2); // square edges that touch inside
    [0, 1].forEach((k) => {
      const lost = at(before, k).areaM2 - at(after, k).areaM2;
      expect(lost).toBeCloseTo(((off - stood) * 3000) / 1e6, 5);
    });
    const edge = at(after, 1).allowances?.[0].setback;
    expect([edge?.least, edge?.most]).toEqual([expect.closeTo(off, 6), expect.closeTo(off, 6)]);
  });
  it('is no seam to be stitched or compared', () => {
    const stitches = { spacing: 150, inset: 9 };
    const holes = (roundedChines: RoundedChine[]) =>
      prism
        .flatMap((panel) => stitchesOf(panel, prism, { stitches, roundedChines }))
        .filter(({ line }) => line === chine.id);
    expect(seamsOf(prism).map(({ line }) => line)).toContain(chine.id);
    expect(holes([]).length).toBeGreaterThan(0);
    expect(seamsOf(prism, [chine]).map(({ line }) => line)).not.toContain(chine.id);
    expect(holes([chine])).toEqual([]);
  });
  it('comes out of sheets in straight, square pieces, the second layer half a piece on', () => {
    const layer = (k: number) => (strip?.pieces ?? []).filter((piece) => piece.layer === k);
    expect(layer(1).map(({ length }) => length)).toEqual([expect.closeTo(1500, 6), expect.closeTo(1500, 6)]);
    expect(layer(2).map(({ length }) => length)).toEqual([
      expect.closeTo(750, 6),
      expect.closeTo(1500, 6),
      expect.closeTo(750, 6),
    ]);
    expect(layer(3)).toHaveLength(2);
    for (const { cutForeRad, cutAftRad } of strip?.pieces ?? [])
      expect(Math.abs(cutForeRad) + Math.abs(cutAftRad)).toBeLessThan(1e-12);
    // each layer lies 2 mm further out
    [1, 2, 3].forEach((k) => expect(at(layer(k), 0).widthFore).toBeCloseTo((193 + 2 * k) * TURN, 6));
  });
  it('asks for a mould tighter by the springback of its layers', () => {
    expect(strip?.insideRadius).toEqual([194, 194]);
    strip?.mouldRadius.forEach((radius) => expect(radius).toBeCloseTo((194 * 8) / 9, 9));
  });
  it('ends a pointed panel where its edges first meet, and never ties a knot in it', () => {
    const boat = demoProject('tamsel', 'x');
    for (const radius of [40, 120, 200, 320]) {
      const rounded = [rounding(prism, { id: 'chine', radiusFore: radius, radiusAft: radius })];
      const { panels } = createDerive()({ ...boat, panels: { ...boat.panels, roundedChines: rounded } }).panels.value;
      for (const panel of panels) expect(crossesItself(panel.outline)).toBe(false);
    }
  });
  it('counts strips and sheets for both sides', () => {
    // a side: two of 1500, then 750, 1500, 750, then two of 1500; a strip of 2440 takes one of 1500 and one of 750
    expect(strip?.buying).toEqual({ strips: 10, perSheet: Math.floor(1224 / (199 * TURN + 4)), sheets: 2 });
  });
  it('tapers evenly along the line', () => {
    const tapered = roundedStrip(prism, rounding(prism, { radiusFore: 50, radiusAft: 250 }), OUTSIDE, SHEET);
    for (const { share, radius } of tapered?.places ?? []) expect(radius).toBeCloseTo(50 + 200 * share, 6);
    const pieces = (tapered?.pieces ?? []).filter(({ layer }) => layer === 1);
    expect(at(pieces, 0).widthFore).toBeCloseTo((50 - 5) * TURN, 6);
    expect(at(pieces, -1).widthAft).toBeCloseTo((250 - 5) * TURN, 6);
  });
  it.each(['middle', 'inside'] as const)('keeps its outside radius where the lines lie on the %s', (linesTo) => {
    const other = roundedStrip(prism, chine, { ...OUTSIDE, linesTo }, SHEET);
    const depth = linesTo === 'inside' ? 6 : 3;
    expect(at(other?.places ?? [], 5)).toMatchObject({ radius: 200 });
    expect(at(other?.places ?? [], 5).setback).toBeCloseTo((200 - depth) * Math.tan(TURN / 2), 6);
  });
});

describe('a rounded chine round a circle', () => {
  const chine = rounding(round, { sag: 3 });
  const strip = roundedStrip(round, chine, OUTSIDE, SHEET);
  const first = (strip?.pieces ?? []).filter(({ layer }) => layer === 1);

  it('is laid in pieces that leave the curve by the sag allowed and no less than need be', () => {
    // L = √(8·R·sag), on the circle that the middle of the strip follows: its centre lies 200 in, its middle 197·cos
    // 45° out
    const radius = R - 200 + 197 * Math.SQRT1_2;
    const longest = Math.sqrt(8 * radius * 3);
    expect(first).toHaveLength(Math.ceil((ARC * radius) / longest));
  });
  it('has its ends cut by half the sideways turn, the long side below', () => {
    const step = ARC / first.length;
    // a turn of δ about the upright axis, seen square to a normal that leans 45°: worked from the two chords
    const half = Math.atan(Math.tan(step / 2) * Math.SQRT1_2);
    first.slice(1).forEach((piece) => expect(piece.cutForeRad).toBeCloseTo(-half, 4));
    first.slice(0, -1).forEach((piece, i) => expect(piece.cutAftRad).toBe(at(first, i + 1).cutForeRad));
    expect([at(first, 0).cutForeRad, at(first, -1).cutAftRad]).toEqual([0, 0]);
  });
  it('adds up to the curve, less what the chords save', () => {
    const sum = first.reduce((total, { length }) => total + length, 0);
    const layerRadius = R - 200 + 195 * Math.SQRT1_2;
    expect(sum).toBeCloseTo(2 * layerRadius * Math.sin(ARC / 2 / first.length) * first.length, 1);
  });
  it('has no joint over another of the layer below', () => {
    const jointsOf = (k: number) => {
      let run = 0;
      const pieces = (strip?.pieces ?? []).filter(({ layer }) => layer === k);
      return pieces.slice(0, -1).map(({ length }) => (run += length));
    };
    const piece = at(first, 0).length;
    for (const a of jointsOf(1)) for (const b of jointsOf(2)) expect(Math.abs(a - b)).toBeGreaterThan(0.4 * piece);
  });
  it('is twice as large for a boat twice as large', () => {
    const big = panelsOf(
      [0, 1, 2].map((k) => (w: number): Vec3 => {
        const y = R * Math.cos(ARC * (w - 0.5)) - 3600 - (k === 0 ? 300 : 0);
        return [2 * R * Math.sin(ARC * (w - 0.5)), 2 * y, k === 2 ? 800 : 0];
      }),
    );
    const own = { radiusFore: 400, radiusAft: 400, layerThickness: 4, sag: 6 };
    const double = roundedStrip(big, rounding(big, own), { ...OUTSIDE, thickness: 12 }, { ...SHEET, length: 4880 });
    expect(double?.length).toBeCloseTo(2 * (strip?.length ?? NaN), 3);
    expect(double?.pieces.map(({ length }) => length)).toEqual(
      strip?.pieces.map(({ length }) => expect.closeTo(2 * length, 3)),
    );
  });
});

describe('what will not be rounded', () => {
  const judged = (panels: readonly Panel[], own: Partial<RoundedChine>) => {
    const chine = rounding(panels, own);
    const strip = roundedStrip(panels, chine, OUTSIDE, SHEET);
    return judgeRounding(panels, { chine, name: 'chine', strip }).map(({ code }) => code);
  };
  it('goes through where there is room and the layers are thin', () =>
    expect(judged(prism, { layerThickness: 1.5, layers: 4 })).toEqual([]));
  it('is a line that no two panels meet on', () => {
    for (const id of [at(prism, 0).edges[0].line, at(prism, -1).edges[1].line, 'none'])
      expect(judged(prism, { id })).toEqual(['rounding-without-corner']);
  });
  it('is a hollow', () => {
    const hollow = panelsOf([(w) => [3000 * w, 0, 0], (w) => [3000 * w, 500, 300], (w) => [3000 * w, 1000, 200]]);
    expect(judged(hollow, {})).toEqual(['rounding-hollow']);
    const cut = cutPanels(hollow, { ...OUTSIDE, roundedChines: [rounding(hollow)] });
    expect(cut).toEqual(cutPanels(hollow, OUTSIDE));
  });
  it('is a radius larger than the panel has room for', () =>
    expect(judged(prism, { radiusFore: 200, radiusAft: 900, layerThickness: 1 })).toEqual(['rounding-wide']));
  it('is a layer too thick for the mould', () =>
    expect(judged(prism, { layers: 2, layerThickness: 3 })).toEqual(['rounding-tight']));
  it('never throws, whatever is asked of it', () => {
    for (const radius of [5, 400, 5000])
      for (const layers of [2, 8])
        for (const layerThickness of [0.4, 12])
          for (const sag of [0.2, 50]) {
            const own = { radiusFore: radius, radiusAft: 5, layers, layerThickness, sag };
            for (const panels of [prism, round]) {
              const strip = roundedStrip(panels, rounding(panels, own), OUTSIDE, SHEET);
              for (const piece of strip?.pieces ?? []) expect(Object.values(piece).every(Number.isFinite)).toBe(true);
              const cut = cutPanels(panels, { ...OUTSIDE, roundedChines: [rounding(panels, own)] });
              for (const panel of cut) expect(panel.areaM2).toBeGreaterThan(0);
            }
          }
  });
});

describe('a transom where the chine is rounded', () => {
  const boat = demoProject('tamsel', 'x');
  const transomWith = (radius: number, transomRadius: number | null = null) => {
    const roundedChines = [rounding(prism, { id: 'chine', radiusFore: 40, radiusAft: radius })];
    const { panels } = createDerive()({ ...boat, panels: { ...boat.panels, roundedChines, transomRadius } });
    return at(panels.value.transoms, 0);
  };
  const sharp = at(createDerive()(boat).panels.value.transoms, 0);

  it('loses what a circle leaves out of its two corners', () => {
    // a corner that turns by φ loses r²·(tan(φ/2) − φ/2)
    const [a, b, c] = [at(sharp.outline, 0), at(sharp.outline, 1), at(sharp.outline, 2)];
    const turn = Math.atan2(c[1] - b[1], c[0] - b[0]) - Math.atan2(b[1] - a[1], b[0] - a[0]);
    for (const radius of [60, 150]) {
      const lost = sharp.areaM2 * 1e6 - area(transomWith(radius).outline);
      expect(lost).toBeCloseTo(2 * radius ** 2 * (Math.tan(turn / 2) - turn / 2), -1);
    }
  });
  it.each([5, 150, 5000])('stays an outline without knots, the same on both sides, at a radius of %i', (radius) => {
    for (const bent of [null, 4000]) {
      const { outline } = transomWith(radius, bent);
      expect(crossesItself(outline)).toBe(false);
      expect(area(outline)).toBeLessThan(area(sharp.outline) * 1.02);
      for (const [u, v] of outline)
        expect(Math.min(...outline.map((p) => Math.hypot(p[0] + u, p[1] - v)))).toBeLessThan(1e-6);
    }
  });
});
