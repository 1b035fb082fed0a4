/** What is derived with a memory is what is derived without one, whatever was changed: every leaf of every project. */
import { describe, expect, it } from 'vitest';
import { random } from '../geometry';
import { demoProject } from './demos/index';
import { allFindings, createDerive } from './derive';
import { CHAIN, type Project } from './document';
import { filled, forgetful, inPlain, pathsOf, SEED, set, TRIED, tried, wrongLeaves } from './fixtures/filled';
import { leafKinds, leavesOf } from './fixtures/leaves';
import { sentence } from './sentences';

describe('the memory of what is derived', () => {
  it.each(TRIED)(
    'of %s: any kind of leaf changed gives what it gives anew, findings with their data and sentences included',
    (demo) => {
      const project = demoProject(demo, 'x');
      expect(pathsOf(wrongLeaves(project, inPlain(demo, tried(project, SEED))))).toEqual([]);
    },
  );
  it('fails this when it leaves the skin’s thickness out of what it compares', () => {
    const project = demoProject('tamsel', 'x');
    const leaves = leavesOf(project, random(SEED)).filter(({ kind }) => kind.startsWith('panels.'));
    expect(pathsOf(wrongLeaves(project, leaves))).toEqual([]);
    // the thickness of each part goes by the same name: a transom's is forgotten too
    expect(pathsOf(wrongLeaves(project, leaves, createDerive(CHAIN.map(forgetful))))).toEqual([
      'panels.thickness',
      'panels.transomThickness',
    ]);
  });
  it('is tried with every kind of leaf that the schema has', () => {
    const kinds = new Set(tried(filled('tamsel'), SEED).map(({ kind }) => kind));
    expect(leafKinds().filter((kind) => !kinds.has(kind))).toEqual([]);
  });
});

describe('a line renamed', () => {
  const renamed = (project: Project, name: string): Project =>
    set(project, { kind: '', edit: { path: ['lines', 'longitudinals', 'chine', 'name'], value: name } });
  const sentencesAfter = (project: Project): string => {
    const derive = createDerive();
    derive(project);
    return allFindings(derive(renamed(project, 'Knuckle line')))
      .map((finding) => sentence(finding, 'mm'))
      .join(' ');
  };
  it('has its new name in what is said of how the panels turn along it', () => {
    const before = allFindings(createDerive()(demoProject('veyra', 'x')));
    expect(before.map((finding) => sentence(finding, 'mm')).join(' ')).toMatch(/chine turns/i);
    expect(sentencesAfter(demoProject('veyra', 'x'))).toMatch(/knuckle line turns/i);
    expect(sentencesAfter(demoProject('veyra', 'x'))).not.toMatch(/(?<!upper )chine/i);
  });
  it('has it in what is said of its rounding', () => {
    const project = filled('tamsel');
    const rounded = { ...project.panels.roundedChines[0], id: 'chine', radiusFore: 4000, radiusAft: 4000 };
    const wide = { ...project, panels: { ...project.panels, roundedChines: [rounded] } } as Project;
    expect(sentencesAfter(wide)).toMatch(/knuckle line/i);
    expect(sentencesAfter(wide)).not.toMatch(/chine/i);
  });
});

describe('frames', () => {
  it('are filleted on two faces whatever their ids are', () => {
    const project = demoProject('tamsel', 'x');
    const frames = project.frames.frames.map((frame, i) => ({ ...frame, id: `bulkhead/${'abc'.charAt(i)}` }));
    const other = { ...project, frames: { ...project.frames, frames } };
    const [usual, renamed] = [project, other].map((one) => createDerive()(one).epoxy.value.filler);
    expect(renamed).toBeGreaterThan(400);
    expect(renamed).toBe(usual);
  });
});
