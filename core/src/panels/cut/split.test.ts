import { describe, expect, it } from 'vitest';
import { at, crossesItself, distance2, distance3, polylineLength } from '../../geometry';
import { allFindings, applyEdits, createDerive, demoProject, type Project } from '../../project';
import { seamsOf } from '../reading/seams';
import { isSplitLine, splitLineOf, splitPanel, splitShareAt, straightMiddle } from './split';
import type { Panel } from '../panel';

const tamsel = demoProject('tamsel', 'x');
const wholes = createDerive()(tamsel).panels.value.panels;
const side = wholes.find(({ id }) => id === 'chine-sheer') as Panel;
const split = { id: side.id, fore: 0.4, middle: 0.55, aft: 0.6 };
const [lower, upper] = splitPanel(side, split) as [Panel, Panel];

/** The project with panels cut as asked. */
const splitProject = (project: Project, splits: Project['panels']['splits']): Project => {
  const done = applyEdits(project, [{ path: ['panels', 'splits'], value: splits }]);
  if (!done.ok) throw new Error(done.reason);
  return done.project;
};

describe('a panel cut along a line drawn on it', () => {
  it('is the whole, in two: areas, rulings and the line itself', () => {
    expect(lower.areaM2 + upper.areaM2).toBeCloseTo(side.areaM2, 9);
    side.rulings.forEach((whole, k) => {
      const [a, b] = [at(lower.rulings, k), at(upper.rulings, k)];
      expect([a.p, b.q]).toEqual([whole.p, whole.q]);
      expect(distance3(a.q, b.p)).toBeLessThan(1e-9);
      expect(distance2(a.flatQ, b.flatP)).toBeLessThan(1e-9);
      expect(Math.abs(a.twistDeg) + Math.abs(b.twistDeg)).toBeCloseTo(Math.abs(whole.twistDeg), 9);
    });
    expect(lower.edges[1].length).toBeCloseTo(upper.edges[0].length, 9);
    // a smooth line is longer than its chords, by little
    const over = lower.edges[1].length - polylineLength(lower.edges[1].points.map(({ flat }) => flat));
    expect(over).toBeGreaterThan(0);
    expect(over).toBeLessThan(1e-3);
  });
  it('passes through the three places asked for', () => {
    for (const [along, share] of [
      [0, 0.4],
      [0.5, 0.55],
      [1, 0.6],
    ] as const)
      expect(splitShareAt(split, along)).toBeCloseTo(share, 12);
    const first = at(lower.rulings, 0);
    expect(distance2(first.flatP, first.flatQ) / distance2(first.flatP, at(side.rulings, 0).flatQ)).toBeCloseTo(0.4, 9);
  });
  it('never comes to an edge, however the three places bow it', () => {
    for (const own of [
      { fore: 0.05, middle: 0.95, aft: 0.05 },
      { fore: 0.95, middle: 0.05, aft: 0.95 },
    ])
      for (const part of splitPanel(side, { id: side.id, ...own })) {
        expect(part.areaM2).toBeGreaterThan(0);
        expect(crossesItself(part.outline)).toBe(false);
      }
  });
  it('is straight on the flat panel with the middle share worked out for it, on the whole and on a part', () => {
    const ends = { fore: 0.3, aft: 0.7 };
    const middle = straightMiddle(side, ends);
    const [part] = splitPanel(side, { id: side.id, ...ends, middle });
    const line = (part as Panel).rulings.map(({ flatQ }) => flatQ);
    const chord = distance2(at(line, 0), at(line, -1));
    expect(polylineLength(line) / chord - 1).toBeLessThan(1e-4);
    expect(straightMiddle(lower, ends, split)).toBeCloseTo(middle, 9);
  });
  it('names its parts, and the line between them', () => {
    expect([lower.name, upper.name]).toEqual(['Side, lower', 'Side, upper']);
    expect([lower.partOf, upper.partOf]).toEqual([
      { id: side.id, part: 'lower' },
      { id: side.id, part: 'upper' },
    ]);
    expect([lower.between[1], upper.between[0]]).toEqual([splitLineOf(side.id), splitLineOf(side.id)]);
    expect([lower.between[1], 'chine'].map((line) => isSplitLine(line, [lower, upper]))).toEqual([true, false]);
    expect(splitPanel(side, undefined)).toEqual([side]);
  });
});

describe('a project with a panel cut in two', () => {
  const derived = createDerive()(splitProject(tamsel, [split]));
  const { panels } = derived.panels.value;
  it('has one panel more, and both edges of the cut equally long', () => {
    expect(panels.map(({ id }) => id)).toEqual(['keel-chine', 'chine-sheer.lower', 'chine-sheer.upper']);
    const seam = seamsOf(panels).find(({ line }) => isSplitLine(line, panels));
    expect(Math.abs(seam?.difference ?? 1)).toBeLessThan(1e-6);
    expect(Math.abs(seam?.cutDifference ?? 1)).toBeLessThan(1e-6);
  });
  it('cuts the same frames as before', () => {
    const before = createDerive()(tamsel).frames.value.frames;
    derived.frames.value.frames.forEach((frame, i) => {
      const most = (outline: typeof frame.outline) => Math.max(...outline.map(([y]) => y));
      expect(most(frame.outline)).toBeCloseTo(most(at(before, i).outline), 6);
      expect(frame.edges).toHaveLength(3);
    });
  });
  it('has its parts in pairs among those to be cut, and nothing new stands in the way', () => {
    const names = derived.sheets.value.parts.map(({ name }) => name).join(' ');
    expect(names).toMatch(/Side, lower/);
    expect(names).toMatch(/Side, upper/);
    expect(allFindings(derived).filter(({ severity }) => severity === 'stop')).toEqual([]);
  });
  it('leaves the other panels alone when the line is moved', () => {
    const derive = createDerive();
    derive(splitProject(tamsel, [split]));
    derive(splitProject(tamsel, [{ ...split, middle: 0.5 }]));
    expect(derive.lastComputed()).not.toContain('panel chine-sheer');
    expect(derive.lastComputed()).not.toContain('panel keel-chine');
    expect(derive.lastComputed()).toContain('parts chine-sheer');
  });
});

it('a bottom across the centreline is cut into a mirrored pair', () => {
  const orrin = demoProject('orrin', 'x');
  const bottom = at(createDerive()(orrin).panels.value.panels, 0);
  const halves = splitPanel(bottom, { id: bottom.id, fore: 0.2, middle: 0.9, aft: 0.2 });
  expect(halves.map(({ id, spansCentreline }) => [id, spansCentreline])).toEqual([[`${bottom.id}.half`, false]]);
  expect(at(halves, 0).areaM2).toBeCloseTo(bottom.areaM2 / 2, 4);
  for (const { space } of at(halves, 0).edges[0].points) expect(Math.abs(space[1])).toBeLessThan(1e-6);
  const derived = createDerive()(splitProject(orrin, [{ id: bottom.id, fore: 0.5, middle: 0.5, aft: 0.5 }]));
  expect(derived.panels.value.panels.map(({ name }) => name)).toEqual(['Bottom, half', 'Side']);
  expect(derived.panels.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
});
