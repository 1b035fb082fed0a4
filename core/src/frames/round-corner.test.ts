import { describe, expect, it } from 'vitest';
import { at, distance2, type Vec2 } from '../geometry';
import { bendLines, type LinesTable } from '../lines';
import { cutPanels } from '../panels/fixtures/cut-panels';
import { developPanels, type RoundedChine } from '../panels';
import type { Skin } from '../panels/cut/cut';
import { roundedStrip } from '../panels/cut/rounding';
import { frameAt } from './section';

/** Straight lines: a level bottom and a side that leans out, so that they turn 60° at the chine. */
const TURN = Math.PI / 3;
const prism: LinesTable = {
  longitudinals: [
    [0, 0],
    [500, 0],
    [500 + 400 * Math.cos(TURN), 400 * Math.sin(TURN)],
  ].map(([y = 0, z = 0], k) => ({
    id: ['keel', 'chine', 'sheer'][k] ?? '',
    name: '',
    points: [0, 1000, 2000, 3000].map((x) => ({ station: '', x, halfBreadth: y, height: z })),
  })),
};
const skin: Skin = { thickness: 6, linesTo: 'outside', meeting: 'stitched' };
const panels = developPanels(bendLines(prism).value, { thickness: 6 }).value;
const chine: RoundedChine = { id: 'chine', radiusFore: 100, radiusAft: 250, layers: 3, layerThickness: 2, sag: 2 };

function roundedFrame(x: number, own: Partial<RoundedChine> = {}) {
  const wanted = { ...chine, ...own };
  const strip = roundedStrip(panels, wanted, skin, { length: 2440, width: 1220, kerf: 4 });
  const cut = cutPanels(panels, { ...skin, roundedChines: [wanted] });
  const frame = frameAt(cut, x, { skin: 6, width: 9, face: 'fore', strips: strip ? [strip] : [] });
  if (!frame) throw new Error('no frame');
  return frame;
}

describe('a frame at a rounded chine', () => {
  it('has an arc a skin’s thickness inside the strip: its radius, centre and ends', () => {
    for (const x of [1, 1500, 2999]) {
      const frame = roundedFrame(x);
      const outside = 100 + (150 * x) / 3000;
      // the centre lies level with the foot of the arc on the bottom: the strip's setback inboard, its radius up
      const centre: Vec2 = [500 - outside * Math.tan(TURN / 2), outside];
      const onArc = frame.outline.filter(
        ([y, z]) => y > centre[0] + 1e-6 && (y - centre[0]) * Math.cos(TURN) + (z - centre[1]) * Math.sin(TURN) < -1e-6,
      );
      expect(onArc.length).toBeGreaterThan(30);
      for (const p of onArc) expect(distance2(p, centre)).toBeCloseTo(outside - 6, 6);
    }
  });
  it('keeps both edges, square to the skin and without a jump between them', () => {
    const { edges } = roundedFrame(1200);
    expect(edges.map(({ between }) => between.join(' '))).toEqual(['keel chine', 'chine sheer']);
    const [a, b] = [at(at(edges, 0).points, -1), at(at(edges, 1).points, 0)];
    expect(Math.hypot(a.y - b.y, a.z - b.z)).toBeLessThan(1e-9);
    for (const { points } of edges) for (const p of points) expect(Math.abs(p.bevelDeg)).toBeLessThan(1e-6);
  });
  it('is no larger than the sharp one, and leaves something of each edge whatever the radius', () => {
    const sharp = frameAt(panels, 1500, { skin: 6, width: 9, face: 'fore' });
    for (const radius of [5, 300, 5000]) {
      const { outline } = roundedFrame(1500, { radiusFore: radius, radiusAft: radius });
      expect(Math.max(...outline.map(([y]) => y))).toBeLessThanOrEqual(
        Math.max(...(sharp?.outline ?? []).map(([y]) => y)) + 1e-9,
      );
      expect(at(outline, 0)).toEqual(at(sharp?.outline ?? [], 0));
      expect(at(outline, -1)).toEqual(at(sharp?.outline ?? [], -1));
    }
  });
});
