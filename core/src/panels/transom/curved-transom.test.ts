import { describe, expect, it } from 'vitest';
import { at, crossesItself, distance3, polylineLength, type Vec2, type Vec3 } from '../../geometry';
import { bendLines, type LinesTable } from '../../lines';
import { applyEdits, createDerive, demoProject, type Project } from '../../project';
import { endOnCylinder, endPoints, fitCylinder } from './curved-transom';
import { developPanels } from '../develop';
import { bentTransom, cylinderFor, transomTriangles } from './transom';

const R = 1200;
/** A box of 3 m, 1 m wide, with upright sides: every edge of its bent transom is known in closed form. */
const box: LinesTable = {
  longitudinals: [0, 400].map((height, k) => ({
    id: ['chine', 'sheer'][k] ?? '',
    name: '',
    points: [0, 1000, 2000, 3000].map((x) => ({ station: '', x, halfBreadth: 500, height })),
  })),
};
const hull = bendLines(box).value;
const { cylinder, findings } = cylinderFor(hull, { radius: R, thickness: 6 });
if (!cylinder) throw new Error('no cylinder');
const [bottom, side] = developPanels(hull, { thickness: 6 }).value.map((panel) => endOnCylinder(panel, cylinder));
if (!bottom || !side) throw new Error('no panels');
const sag = R - Math.sqrt(R ** 2 - 500 ** 2);

describe('the bent transom of a box', () => {
  it('lies as deep as its circle at the centreline, and takes the ends as they are', () => {
    expect(cylinder.rakeRad).toBeCloseTo(0, 9);
    expect(cylinder.level).toBeCloseTo(3000 + sag, 6);
    expect(cylinder.offMm).toBeLessThan(1e-9);
    expect(findings.map(({ code }) => code)).toEqual(['transom-bend-tight']); // 6 mm with its grain along: 1440 mm
  });
  it('gives the bottom a round end, of the circle’s own area and length', () => {
    const segment = R ** 2 * Math.asin(500 / R) - 500 * Math.sqrt(R ** 2 - 500 ** 2);
    expect(bottom.areaM2 * 1e6 - 3_000_000).toBeCloseTo(segment, -2); // by 96 chords: within 50 mm² of 72,000
    expect(Math.max(...bottom.outline.map(([u]) => u)) - 3000).toBeCloseTo(sag, 6);
    const end = endPoints(bottom);
    const length = end.slice(1).reduce((sum, p, i) => sum + distance3(p, at(end, i)), 0);
    expect(length).toBeCloseTo(2 * R * Math.asin(500 / R), 0);
    for (const [x, y] of end) expect(x).toBeCloseTo(3000 + sag - (R - Math.sqrt(R ** 2 - y ** 2)), 6);
  });
  it('leaves the upright side square', () => {
    expect(side.areaM2).toBeCloseTo(1.2, 9);
    for (const out of side.aftCurve ?? [1]) expect(Math.abs(out)).toBeLessThan(1e-9);
  });
  it('is rolled out as wide as its arc and as high as it is', () => {
    const { outline, corners } = bentTransom([bottom, side], cylinder);
    expect(Math.max(...outline.map(([u]) => u))).toBeCloseTo(R * Math.asin(500 / R), 6);
    expect(Math.max(...outline.map(([, v]) => v))).toBeCloseTo(400, 6);
    expect(corners).toHaveLength(outline.length);
  });
  it('is drawn in the round with every point on the cylinder, facing aft', () => {
    for (const [a, b, c] of transomTriangles(bentTransom([bottom, side], cylinder))) {
      for (const [x, y] of [a, b, c]) expect(x).toBeCloseTo(3000 + sag - (R - Math.sqrt(R ** 2 - y ** 2)), 6);
      const facing = (b[1] - a[1]) * (c[2] - a[2]) - (b[2] - a[2]) * (c[1] - a[1]);
      expect(facing).toBeGreaterThanOrEqual(-1e-9);
    }
  });
});

describe('the cylinder through the ends of the lines', () => {
  it('finds rake and place again from points set out on one', () => {
    const [rake, level] = [0.3, 4000];
    const on = (y: number, v: number): Vec3 => {
      const out = level - (2000 - Math.sqrt(2000 ** 2 - y ** 2));
      return [out * Math.cos(rake) + v * Math.sin(rake), y, v * Math.cos(rake) - out * Math.sin(rake)];
    };
    const found = fitCylinder([on(0, 10), on(350, 120), on(520, 480)], 2000);
    expect(found?.rakeRad).toBeCloseTo(rake, 6);
    expect(found?.level).toBeCloseTo(level, 3);
    expect(found?.offMm).toBeLessThan(1e-3);
  });
  it.each([
    [[], 900],
    [
      [
        [0, 850, 0],
        [0, 0, 0],
      ],
      900,
    ],
  ] as const)('is none for %j at %i', (ends, radius) =>
    expect(fitCylinder(ends as unknown as Vec3[], radius)).toBeUndefined(),
  );
});

describe('a boat with its transom bent', () => {
  const bent = (project: Project, radius: number | null): Project => {
    const done = applyEdits(project, [{ path: ['panels', 'transomRadius'], value: radius }]);
    if (!done.ok) throw new Error(done.reason);
    return done.project;
  };
  const tamsel = demoProject('tamsel', 'x');
  const codes = (project: Project) => createDerive()(project).panels.findings.map(({ code }) => code);

  it('is told where its lines do not end on it, and ends them there at one step', () => {
    const { panels } = createDerive()(bent(tamsel, 4000));
    const off = panels.findings.find(({ code }) => code === 'transom-off-bend');
    const cured = applyEdits(bent(tamsel, 4000), off?.remedies?.[0]?.edits ?? []);
    expect(cured.ok && codes(cured.project)).toEqual([]);
    if (!cured.ok) return;
    const { panels: after } = createDerive()(cured.project);
    const transom = after.value.transoms.find(({ id }) => id === 'transom');
    // the flat transom's edge is as long as the panels' ends that it meets, but for what they stand back by
    const edge = (transom?.outline ?? []).filter(([u]) => u >= -1e-6) as Vec2[];
    const ends = after.value.panels.map((panel) => {
      const end = endPoints(panel);
      return end.slice(1).reduce((sum, p, i) => sum + distance3(p, at(end, i)), 0);
    });
    expect(polylineLength(edge)).toBeCloseTo(ends[0]! + ends[1]!, 1);
    for (const { outline } of after.value.panels) expect(crossesItself(outline)).toBe(false);
  });
  it('is flat again when the radius is taken off, and where it is too round for the boat', () => {
    const flat = createDerive()(tamsel).panels;
    expect(createDerive()(bent(bent(tamsel, 3000), null)).panels).toEqual(flat);
    const round = createDerive()(bent(tamsel, 500)).panels;
    expect(round.value).toEqual(flat.value);
    expect(round.findings.map(({ code }) => code)).toEqual(['transom-too-round']);
  });
  it('does nothing to a boat without one', () => {
    const veyra = demoProject('veyra', 'x');
    expect(createDerive()(bent(veyra, 2000)).panels).toEqual(createDerive()(veyra).panels);
  });
  it('goes with a panel cut in two and a rounded chine', () => {
    const asked = { id: 'chine', radiusFore: 60, radiusAft: 120, layers: 4, layerThickness: 1.5, sag: 3 };
    const split = { id: 'keel-chine', fore: 0.5, middle: 0.5, aft: 0.4 };
    const project = bent(tamsel, 4000);
    const all = { ...project, panels: { ...project.panels, roundedChines: [asked], splits: [split] } };
    const { panels } = createDerive()(all);
    expect(panels.value.panels).toHaveLength(3);
    for (const panel of panels.value.panels) {
      expect(crossesItself(panel.outline)).toBe(false);
      expect(panel.aftCurve).toHaveLength(97);
    }
  });
});
