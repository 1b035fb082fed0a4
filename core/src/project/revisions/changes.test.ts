import { describe, expect, it } from 'vitest';
import { at } from '../../geometry';
import { demoProject } from '../demos/index';
import { createDerive } from '../derive';
import { projectSchema, type Project } from '../document';
import { applyEdits } from '../edits';
import { backTo, changesBetween } from './changes';

const derive = createDerive();
const worked = (project: Project) => ({ project, derived: derive(project) });
const tamsel = demoProject('tamsel', 'x');
const sheer = at(tamsel.lines.longitudinals, -1);
const edited = (edits: Parameters<typeof applyEdits>[1], of = tamsel): Project => {
  const made = applyEdits(of, edits);
  if (!made.ok) throw new Error(made.reason);
  return made.project;
};
const raised = edited([
  {
    path: ['lines', 'longitudinals', sheer.id],
    value: { ...sheer, points: sheer.points.map((p, i) => (i === 3 ? { ...p, height: p.height + 12 } : p)) },
  },
]);

describe('what changed between two revisions', () => {
  it('is nothing of the same', () => {
    const { figures, parts, decided, counts } = changesBetween(worked(tamsel), worked(structuredClone(tamsel)));
    expect([figures, parts, decided]).toEqual([[], [], []]);
    expect(counts.every(({ was, now }) => was === now && Number.isFinite(was))).toBe(true);
    expect(counts.filter(({ was }) => was > 0).length).toBeGreaterThanOrEqual(5);
  });
  it('is the figure that was moved, and the parts at it, the farthest off first', () => {
    const { figures, parts, decided } = changesBetween(worked(tamsel), worked(raised));
    const point = at(sheer.points, 3);
    expect(figures).toEqual([
      { line: sheer.name, station: point.station, figure: 'height', was: point.height, now: point.height + 12 },
    ]);
    expect(decided).toEqual(['Lines']);
    expect(parts.length).toBeGreaterThan(0);
    expect(parts.every(({ what, mm }) => what === 'other' && mm >= 0.05)).toBe(true);
    expect(parts.map(({ mm }) => mm)).toEqual(parts.map(({ mm }) => mm).sort((a, b) => b - a));
    expect(parts.some(({ name }) => name.startsWith('Side'))).toBe(true);
    // the bottom has no edge at the sheer
    expect(parts.some(({ name }) => name.startsWith('Bottom'))).toBe(false);
  });
  it('is parts that are new and gone, and points and lines that are', () => {
    const fewer = edited([
      { path: ['frames', 'frames'], value: tamsel.frames.frames.slice(1) },
      {
        path: ['lines', 'longitudinals', sheer.id],
        value: { ...sheer, points: sheer.points.filter((_, i) => i !== 2) },
      },
    ]);
    const gone = changesBetween(worked(tamsel), worked(fewer));
    const name = at(tamsel.frames.frames, 0).name;
    expect(gone.parts.find((part) => part.name === name)?.what).toBe('gone');
    expect(gone.figures.map(({ figure, now }) => [figure, now])).toEqual([
      ['x', undefined],
      ['halfBreadth', undefined],
      ['height', undefined],
    ]);
    const back = changesBetween(worked(fewer), worked(tamsel));
    expect(back.parts.find((part) => part.name === name)?.what).toBe('new');
    const count = (what: string) => gone.counts.find((one) => one.what === what)!; // one of them
    expect(count('parts').now).toBeLessThan(count('parts').was);
    expect(count('work').now).toBeLessThan(count('work').was);
  });
});

describe('going back', () => {
  it('gives the boat as it was, as the next revision, under its present name', () => {
    const present = { ...edited([{ path: ['school'], value: 'framed' }], raised), revision: 4, name: 'Renamed' };
    const back = edited(backTo(tamsel, present), present);
    expect(projectSchema.parse(back)).toEqual({ ...tamsel, name: 'Renamed', revision: 5 });
  });
});
