/** Outer stems on sides that are planes: what is planed off, the board, and the faces by hand; and in whole boats. */
import { describe, expect, it } from 'vitest';
import { at, distance2, distanceToSegment, signedArea, type Vec2 } from '../../geometry';
import { applyEdits, createDerive, demoProject, DEMO_IDS, type Project } from '../../project';
import type { StemPlan } from '../schema';
import { stemOff, wedgePanels } from './fixtures/wedge';
import { stemCorners, stemFromAbove, stemFromSide } from './in-space';
import { newStem } from './new-stem';
import { stemOf } from './stem';
import { stemOnBoard } from './stem-drawings';

const plan = (given: Partial<StemPlan> = {}): StemPlan => ({
  ...{ id: 's', name: 'Outer stem', end: 'fore', face: 24, outer: 10, depth: 30, over: 0, under: 0 },
  ...given,
});

describe.each([
  ['upright', 0.5, 0],
  ['raked', 0.5, 0.35],
  ['raked and sharp', 0.2, 0.6],
])('on sides that are planes, %s', (_, k, m) => {
  const panels = wedgePanels(k, m);
  const tan = k * Math.hypot(1, m);
  const stem = stemOf(plan(), { panels, outside: 0 });
  it('is planed off until the flat is as broad as was asked, by the planes’ own equation', () => {
    for (const { halfDeg, backMm, fairMm } of stem.rows) {
      expect(Math.tan((halfDeg * Math.PI) / 180)).toBeCloseTo(tan, 4);
      expect(backMm).toBeCloseTo(12 / tan, 2);
      expect(fairMm).toBeCloseTo(24 - 60 * tan, 2);
    }
    // on the board's inner edge the sides stand half the flat off the middle
    expect(stemOff(k, m)).toBeLessThan(0.01);
  });
  it('has its outer edge its depth ahead of that, all along', () => {
    const [a, b] = [at(stem.inner, 0), at(stem.inner, -1)];
    for (const p of stem.ahead) expect(distanceToSegment(p, a, b)).toBeCloseTo(30, 6);
    expect(stem.ahead.every(([x], i) => x < at(stem.inner, i)[0])).toBe(true);
    expect(stem.sideDeg).toBeCloseTo((Math.atan(7 / 30) * 180) / Math.PI, 9);
  });
  it('comes from a board as long as the stem and as wide as it is deep', () => {
    const [board] = stem.supports;
    expect(board).toMatchObject({ of: 'stem', depth: 24 });
    // to the whole millimetre over it
    const long = 600 * Math.hypot(1, m);
    expect([board?.lengthMm, board?.breadth]).toEqual([Math.ceil(long - 0.05), 30]);
    const { cut } = stemOnBoard(stem);
    expect(Math.min(...cut.flat())).toBeCloseTo(0, 6);
    expect(Math.abs(signedArea(cut))).toBeCloseTo(30 * long, 0);
  });
  it('runs on over the sheer and below by as much as was asked', () => {
    const more = stemOf(plan({ over: 40, under: 25 }), { panels, outside: 0 });
    expect(distance2(at(more.inner, 0), at(stem.inner, 0))).toBeCloseTo(40, 6);
    expect(distance2(at(more.inner, -1), at(stem.inner, -1))).toBeCloseTo(25, 6);
    expect(at(more.inner, 0)[1]).toBeGreaterThan(at(stem.inner, 0)[1]);
  });
  it('stands further ahead by what the skin’s outside lies without the lines', () => {
    const without = stemOf(plan(), { panels, outside: 6 });
    const sin = tan / Math.hypot(1, tan);
    expect(at(stem.rows, 0).backMm - at(without.rows, 0).backMm).toBeCloseTo(6 / sin, 3);
  });
  it('is a solid whose corners are its faces’ own', () => {
    const corners = stemCorners(stem);
    for (const [a, b, c, d] of corners) {
      expect(b[1] - a[1]).toBe(24);
      expect(c[1] - d[1]).toBe(10);
    }
    expect(stemFromSide(stem)).toHaveLength(2 * corners.length);
    expect(stemFromAbove(stem).map(([, y]: Vec2) => Math.abs(y))).toEqual([12, 12, 12, 12]);
  });
});

it('is none on sides that lie nearly in the middle plane: there is no flat to plane', () => {
  expect(stemOf(plan(), { panels: wedgePanels(0.02, 0), outside: 0 }).rows).toEqual([]);
});

describe('outer stems in whole boats', () => {
  const derive = createDerive();
  const withStems = (project: Project, stems: StemPlan[]): Project => ({
    ...project,
    fitout: { ...project.fitout, stems },
  });
  const boatOf = (project: Project) => ({ panels: derive(project).panels.value.panels, outside: 0 });
  it.each(DEMO_IDS)('are put in with sides that run on from the boat’s, or told of: %s', (id) => {
    const project = demoProject(id, 'x');
    const boat = boatOf(project);
    const stem = newStem([], boat, project.notation);
    expect(applyEdits(project, [{ path: ['fitout', 'stems'], value: [stem] }]).ok).toBe(true);
    const { value, findings } = derive(withStems(project, [stem])).fitout;
    const [made] = value.stems;
    const codes = findings.filter(({ code }) => code.startsWith('stem')).map(({ code }) => code);
    if (made!.rows.length === 0) expect(codes).toEqual(['stem-none']);
    else {
      expect(codes).toEqual([]);
      expect(made!.outer).toBeLessThanOrEqual(Math.min(...made!.rows.map(({ fairMm }) => fairMm)));
    }
  });
  it('stay beside the stem where that is of two panels that run on nearly straight', () => {
    const veyra = demoProject('veyra', 'x');
    for (const end of ['fore', 'aft'] as const) {
      const { rows, inner, ahead } = stemOf(plan({ end, face: 36, depth: 14 }), boatOf(veyra));
      expect(rows.length).toBeGreaterThan(2);
      const edge = rows.map(({ place }) => place);
      const off = (p: Vec2) => Math.min(...edge.slice(1).map((b, i) => distanceToSegment(p, at(edge, i), b)));
      for (const p of [...inner, ...ahead]) expect(off(p)).toBeLessThan(36);
    }
  });
  it('of a double-ender there is one at either end; the pram, with a transom at the bow, has none there', () => {
    const veyra = demoProject('veyra', 'x');
    const fore = newStem([], boatOf(veyra), 'mm');
    expect(newStem([fore], boatOf(veyra), 'mm').end).toBe('aft');
    const orrin = demoProject('orrin', 'x');
    expect(stemOf(plan(), boatOf(orrin)).rows).toEqual([]);
  });
  it('are told where they would be sharper than nothing, or broader ahead than behind, with the way back', () => {
    const project = demoProject('tamsel', 'x');
    const fit = newStem([], boatOf(project), 'mm');
    const codes = (given: Partial<StemPlan>) =>
      derive(withStems(project, [{ ...fit, ...given }])).fitout.findings.map(({ code }) => code);
    expect(codes({ depth: 400 })).toEqual(['stem-too-deep']);
    expect(codes({ outer: fit.face + 5 })).toEqual(['stem-flares']);
    const flared = withStems(project, [{ ...fit, outer: fit.face + 5 }]);
    const [finding] = derive(flared).fitout.findings;
    const done = applyEdits(flared, finding?.remedies?.[0]?.edits ?? []);
    if (!done.ok) throw new Error(done.reason);
    expect(derive(done.project).fitout.findings).toEqual([]);
  });
  it('go out with the rest: a board on the timber list, a drawing, a table', () => {
    const project = demoProject('tamsel', 'x');
    const made = derive(withStems(project, [newStem([], boatOf(project), 'mm')]));
    expect(made.timber.value.runs.filter(({ name }) => name === 'Outer stem')).toHaveLength(1);
    expect(made.sheets.value.parts.filter(({ name }) => name === 'Outer stem')).toEqual([]);
  });
});
