import { describe, expect, it } from 'vitest';
import { createDerive, demoProject, type Project } from '../project';
import { trimmingOf, trimWords, type Trim } from './trimming';

const orderOf = (project: Project): Trim[] => {
  const { panels, frames } = createDerive()(project);
  return trimmingOf({ project, values: { panels: panels.value, frames: frames.value } });
};
const tamsel = demoProject('tamsel', 'x');
const left = (panels: Partial<Project['panels']>): Project => ({
  ...tamsel,
  panels: { ...tamsel.panels, proud: { lower: 5, upper: 6, fore: 0, aft: 7 }, ...panels },
  frames: { ...tamsel.frames, frames: tamsel.frames.frames.map((one) => ({ ...one, proud: { skin: 3, top: 20 } })) },
});
const said = (trims: readonly Trim[]) => trims.map((trim) => `${trim.part} ${trim.edge} ${trim.mm} ${trim.when}`);

describe('the order of trimming', () => {
  it('is none where all is cut to the line', () => {
    expect(orderOf(tamsel)).toEqual([]);
  });
  it('is frames, then the sides, then the bottom, the sheer and the tops last', () => {
    expect(said(orderOf(left({ meeting: 'stitched', transomProud: { skin: 4, top: 0 } })))).toEqual([
      ...['1', '2', '3'].map((n) => `Bulkhead ${n} skin 3 before-the-skin`),
      'Side aft 7 before-the-transom',
      'Side lower 5 before-next',
      'Bottom aft 7 before-the-transom',
      'Bottom lower 5 on-the-centreline',
      'Bottom upper 6 to-neighbour',
      'Transom skin 4 to-the-panels',
      'Side upper 6 last-with-the-sheer',
      ...['1', '2', '3'].map((n) => `Bulkhead ${n} top 20 last-with-the-sheer`),
    ]);
  });
  it('begins with the lowest panel where the upper one laps it, and says by which it is trimmed', () => {
    const lapped = orderOf(left({ meeting: 'lapped' })).filter(({ part }) => part === 'Side' || part === 'Bottom');
    expect(lapped.map(({ part }) => part)).toEqual(['Bottom', 'Bottom', 'Bottom', 'Side', 'Side', 'Side']);
    const upper = lapped.find(({ part, edge }) => part === 'Bottom' && edge === 'upper');
    expect(upper && trimWords(upper)).toEqual({
      what: 'Bottom, upper edge',
      when: 'once the panel is fast, before the side goes on',
    });
  });
  it('planes a transom between the panels with the frames', () => {
    const between = orderOf(left({ transomFit: 'between', transomProud: { skin: 4, top: 0 } }));
    expect(said(between).slice(0, 4)).toContain('Transom skin 4 before-the-skin');
    expect(said(between)).toContain('Side aft 7 to-the-transom');
  });
});
