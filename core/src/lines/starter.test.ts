import { describe, expect, it } from 'vitest';
import { random } from '../geometry';
import { developPanels } from '../panels';
import { findTransoms } from '../panels/transom/transom';
import { drawLines } from './hull';
import { sectionCurves } from './whole-section';
import { dimensionsOf, startLines } from './starter';
import { findFlare, flareOf } from './starter-flare';
import { STARTER_KINDS, type DimensionKey, type Dimensions, type StarterKind } from './starter-kinds';

const hullOf = (kind: StarterKind, size: Dimensions) => {
  const started = startLines(kind, size);
  if (!started.ok) throw new Error(`Refused: ${JSON.stringify(started.problems)}`);
  return { lines: started.lines, drawn: drawLines(started.lines) };
};

/** Corners of the range of a kind, picked by seed; the length among them. */
function cornersOf(kind: StarterKind, seed: number): Dimensions {
  const next = random(seed);
  const length = next() < 0.5 ? 2000 : 7000;
  return Object.fromEntries(
    dimensionsOf(kind, length).map(({ key, least, most }) => [
      key,
      key === 'length' ? length : next() < 0.5 ? least : most,
    ]),
  );
}

describe.each(STARTER_KINDS)('a %s from a few dimensions', (kind) => {
  const sizes = [{}, ...Array.from({ length: 8 }, (_, i) => cornersOf(kind, i + 1))];
  it('develops with twist under 1°, fair to 3 mm, at the usual dimensions and at 8 corners of their range', () => {
    for (const size of sizes) {
      const { drawn } = hullOf(kind, size);
      expect(drawn.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
      for (const line of drawn.value.lines) for (const r of line.residuals) expect(r.total).toBeLessThan(3);
      const { value: panels } = developPanels(drawn.value, { thickness: 6 });
      expect(panels.length).toBe(drawn.value.lines.length - 1 + (drawn.value.lines[0]!.isOnCentreline ? 0 : 1));
      for (const panel of panels) expect(panel.maxTwist.value).toBeLessThan(1);
      for (const panel of panels) expect(panel.maxStrain.value).toBeLessThan(0.001);
      expect(findTransoms(drawn.value).findings).toEqual([]);
    }
  });
  it('has the dimensions asked for', () => {
    const size = Object.fromEntries(dimensionsOf(kind).map(({ key, usual }) => [key, usual])) as Record<
      DimensionKey,
      number
    >;
    const { drawn } = hullOf(kind, size);
    const sheer = drawn.value.lines[drawn.value.lines.length - 1]!;
    const widest = (points: readonly { halfBreadth: number }[]) => 2 * Math.max(...points.map((p) => p.halfBreadth));
    expect(Math.abs(sheer.points[sheer.points.length - 1]!.x - sheer.points[0]!.x - size.length)).toBeLessThan(
      0.02 * size.length,
    );
    // the widest place may lie between two stations
    expect(Math.abs(widest(sheer.points) / size.beamSheer - 1)).toBeLessThan(0.01);
    const chine = drawn.value.lines.find(({ id }) => id === 'chine')!;
    expect(Math.abs(widest(chine.points) / size.beamChine - 1)).toBeLessThan(0.01);
    expect(drawn.value.fromX).toBe(0);
    const heights = drawn.value.lines.flatMap(({ points }) => points.map((p) => p.height));
    expect(Math.min(...heights)).toBeGreaterThanOrEqual(0);
    expect(Math.min(...heights)).toBeLessThan(5);
  });
  it('refuses a dimension outside its range, by name and with the range', () => {
    const depth = dimensionsOf(kind).find(({ key }) => key === 'depth')!;
    const refused = startLines(kind, { depth: depth.most + 1 });
    expect(refused).toEqual({ ok: false, problems: [{ key: 'depth', nearest: depth.most }] });
  });
});

describe('flare, where a kind has it', () => {
  const flare = (kind: StarterKind, size: Dimensions) => flareOf(kind, hullOf(kind, size).lines.longitudinals);
  const KINDS = STARTER_KINDS.filter((kind) => flare(kind, {}) !== undefined);
  it('has none where the shape binds the beam, nor a table without chine and sheer', () => {
    expect(STARTER_KINDS.filter((kind) => !KINDS.includes(kind))).toEqual(['double-ender', 'slender']);
    expect(flareOf('skiff', [])).toBeUndefined();
  });
  it.each(KINDS)('%s: what is asked for is what the table has; what cannot be had is as near as it can be', (kind) => {
    const usual = flare(kind, {})!;
    for (const asked of [usual - 1, usual - 0.4, usual + 0.4]) {
      const found = findFlare(kind, {}, asked)!;
      expect(found.deg).toBe(flare(kind, { beamSheer: found.beamSheer }));
      expect(Math.abs(found.deg - asked)).toBeLessThan(0.2);
    }
    for (const [asked, way] of [
      [0, -1],
      [70, 1],
    ] as const) {
      const { deg, beamSheer } = findFlare(kind, {}, asked)!;
      expect(Math.sign(deg - usual)).toBe(way);
      expect(startLines(kind, { beamSheer }).ok).toBe(true);
    }
  });
  it('is the angle of the section drawn from the lines', () => {
    const { drawn } = hullOf('skiff', {});
    const [chine] = drawn.value.lines;
    const x = (chine!.points[0]!.x + chine!.points.at(-1)!.x) / 2;
    const [section] = sectionCurves(drawn.value, [], x);
    const [low, high] = [section!.at(-2)!, section!.at(-1)!];
    expect(flare('skiff', {})).toBeCloseTo((Math.atan2(high[0] - low[0], high[1] - low[1]) * 180) / Math.PI, 1);
  });
  it('is not looked for where the other dimensions do not work', () => {
    expect(findFlare('skiff', { depth: 9000 }, 12)).toBeUndefined();
  });
});
