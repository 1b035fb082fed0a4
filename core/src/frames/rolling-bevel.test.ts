import { describe, expect, it } from 'vitest';
import { at } from '../geometry';
import { bendLines, type LinesTable } from '../lines';
import { developPanels } from '../panels';
import { tableOf } from './fixtures/table-of';
import { bevelStick } from './bevel-stick';
import { ripOf, rollingBevel } from './rolling-bevel';

const bevelsOf = (lines: LinesTable, line: string) => {
  const hull = bendLines(lines).value;
  const found = rollingBevel(hull, developPanels(hull, { thickness: 6 }).value, { line, step: 300 });
  if (!found) throw new Error('no bevel');
  return found;
};

/** A wedge: every station is the same shape scaled, so both surfaces are planes through the point x = −3000. */
const wedge = tableOf({
  keel: (x) => [0, -0.05 * (x + 3000)],
  chine: (x) => [0.1 * (x + 3000), 0],
  sheer: (x) => [0.12 * (x + 3000), 0.08 * (x + 3000)],
});

describe('the bevel of a chine between two planes', () => {
  it('is that worked by hand from their normals, and does not roll', () => {
    // With X = x + 3000: side through (X, .1X, 0) and (X, .12X, .08X): N·(1, .1, 0) = 0 and N·(0, .02, .08) = 0, so
    // N ∝ (−0.1, 1, −0.25). Bottom through (X, 0, −.05X) and (X, .1X, 0): N·(1, 0, −.05) = 0 and N·(0, .1, .05) = 0, so
    // N ∝ (−0.05, 0.5, −1). Both point outward. cos of the angle between them:
    // (0.005 + 0.5 + 0.25) / (√1.0725 · √1.2525) = 0.755 / 1.15901 = 0.65142, which is 49.35°; inside it is 180° less.
    const { rows, ripDeg, leftToPlaneDeg } = bevelsOf(wedge, 'chine');
    const between = (Math.acos(0.755 / Math.sqrt(1.0725 * 1.2525)) * 180) / Math.PI;
    expect(between).toBeCloseTo(49.35, 2);
    for (const { dihedralDeg, bevelDeg } of rows) {
      expect(dihedralDeg).toBeCloseTo(180 - between, 6);
      expect(bevelDeg).toBeCloseTo(90 - between, 6);
    }
    expect([ripDeg, leftToPlaneDeg].map((deg) => Number(deg.toFixed(6)))).toEqual([
      Number((90 - between).toFixed(6)),
      0,
    ]);
  });
  it('of the keel is the bottom and its mirror, of the sheer the side and a deck straight athwart', () => {
    // the bottom's normal is (−.05, .5, −1)/√1.2525; its mirror has y turned: cos = (.0025 − .25 + 1) / 1.2525
    const keel = at(bevelsOf(wedge, 'keel').rows, 2).dihedralDeg;
    expect(keel).toBeCloseTo(180 - (Math.acos(0.7525 / 1.2525) * 180) / Math.PI, 6);
    // the sheer runs along (1, .12, .08); what of (0, 1, 0) and of the side's own way up, which leads from the sheer
    // to the chine at one station, (0, −.02, −.08), is square to it makes the angle
    const t = [1, 0.12, 0.08].map((k) => k / Math.hypot(1, 0.12, 0.08));
    const square = (d: number[]) => {
      const along = d.reduce((sum, v, i) => sum + v * t[i]!, 0);
      return d.map((v, i) => v - along * t[i]!);
    };
    const [a, b] = [square([0, -1, 0]), square([0, -0.02, -0.08])];
    const cos = a.reduce((sum, v, i) => sum + v * b[i]!, 0) / (Math.hypot(...a) * Math.hypot(...b));
    expect(at(bevelsOf(wedge, 'sheer').rows, 1).dihedralDeg).toBeCloseTo((Math.acos(cos) * 180) / Math.PI, 6);
  });
  it('of a hollow chine is over a straight angle', () => {
    const hollow = tableOf({ keel: () => [0, 0], chine: () => [400, 300], sheer: () => [900, 350] });
    // up at 36.87° and on at 5.71°: 180° + 31.16°
    const [a, b] = [Math.atan2(300, 400), Math.atan2(50, 500)];
    const { rows, ripDeg } = bevelsOf(hollow, 'chine');
    for (const { dihedralDeg } of rows) expect(dihedralDeg).toBeCloseTo(180 + ((a - b) * 180) / Math.PI, 6);
    expect(ripDeg).toBeGreaterThan(90);
  });
});

it('a straight stem has the side’s normal for its bevel: worked by hand', () => {
  // Side from the upright stem x = 0 out along 30°: its normal lies 60° off the centreline's, so each side leaves the
  // stem at 30° from straight aft, and both together at 60°.
  const tan = Math.tan(Math.PI / 6);
  const bow = tableOf({ chine: (x) => [x * tan, 0], sheer: (x) => [x * tan, 400] });
  const { length, rows } = bevelsOf(bow, 'stem');
  expect(length).toBeCloseTo(400, 6);
  for (const { dihedralDeg } of rows) expect(dihedralDeg).toBeCloseTo(60, 6);
});

it.each([
  [[20, 35, 28], 20, 15],
  [[-20, -35, -28], -20, 15],
  [[-4, 6, 2], 0, 6],
  [[7], 7, 0],
])('ripping %j leaves wood everywhere at %i°, and %i° to plane', (bevels, ripDeg, left) => {
  const rip = ripOf(bevels);
  expect(rip.ripDeg).toBe(ripDeg);
  expect(rip.leftToPlaneDeg).toBe(left);
  expect(rip.wedgeMm).toBeCloseTo(20 * Math.tan((left * Math.PI) / 180), 9);
});

it('a line that is none, or that no panel runs along, has no bevel', () => {
  const hull = bendLines(wedge).value;
  expect(rollingBevel(hull, [], { line: 'chine', step: 300 })).toBeUndefined();
  const panels = developPanels(hull, { thickness: 6 }).value;
  expect(rollingBevel(hull, panels, { line: 'knuckle', step: 300 })).toBeUndefined();
  expect(rollingBevel(hull, panels, { line: 'stern', step: 300 })).toBeUndefined();
});

describe('a bevel stick', () => {
  it('has a line for every row, each leaving square by its bevel, and says which is which', () => {
    const bevel = bevelsOf(wedge, 'sheer');
    const { paths, texts, name } = bevelStick(bevel, 'mm');
    expect(name).toBe('stick-sheer');
    const lines = paths.filter(({ layer }) => layer === 'mark').map(({ points }) => points);
    expect(lines).toHaveLength(bevel.rows.length);
    lines.forEach((line, i) => {
      const [[x0, y0], [x1, y1]] = [at(line, 0), at(line, -1)];
      expect((Math.atan2(x1 - x0, y1 - y0) * 180) / Math.PI).toBeCloseTo(at(bevel.rows, i).bevelDeg, 6);
    });
    expect(texts.slice(1).map(({ text }) => text)).toContain('st. 3');
    // within the strip, and no line over the next
    const [strip] = paths;
    for (const line of lines)
      for (const [x] of line) expect(x).toBeLessThan(Math.max(...strip!.points.map((p) => p[0])));
  });
});
