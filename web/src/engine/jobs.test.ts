import { describe, expect, it } from 'vitest';
import { demoProject } from '@kalotrope/core/project';
import { BANDS, bandOf, worstPlace } from '../drawing/bands';
import { JOBS } from './jobs';

describe('the jobs of the Panels stage', () => {
  it('finds remedies that can cross to the page', () => {
    const { lines } = demoProject('veyra', 'x');
    const remedies = JOBS.remedies({ lines, panel: 'keel-chine' });
    expect(remedies.map(({ kind }) => kind)).toEqual(['move', 'split']);
    expect(structuredClone(remedies)).toEqual(remedies);
    expect(JOBS.remedies({ lines, panel: 'upper-chine-sheer' })).toEqual([]);
  });
  it('makes a card model that can cross to the page', () => {
    const project = demoProject('orrin', 'x');
    const model = JOBS.card({ project, options: { scale: 20, paper: 'Letter', edges: 'tabs' } });
    expect(model.pages.length).toBe(1);
    expect(structuredClone(model)).toEqual(model);
  });
});

describe('the bands of a field', () => {
  it('rise with the share, the last for all that is over the limit', () => {
    const found = [0, 0.05, 0.2, 0.5, 0.99, 1, 1.01, 9].map(bandOf);
    expect(found).toEqual([...found].sort((a, b) => a - b));
    expect(bandOf(1)).toBe(BANDS.length - 2);
    expect(bandOf(1.01)).toBe(BANDS.length - 1);
    expect(new Set(BANDS.map(({ colour }) => colour)).size).toBe(BANDS.length);
  });
  it('has its worst place on the panel; none where nothing stretches', () => {
    for (const boat of ['tamsel', 'veyra'] as const)
      for (const panel of JOBS.derive(demoProject(boat, 'x')).panels.value.panels) {
        const worst = worstPlace(panel, 'bend');
        const us = panel.outline.map(([u]) => u);
        if (worst) expect(worst.at[0] >= Math.min(...us) && worst.at[0] <= Math.max(...us)).toBe(true);
        if (boat === 'tamsel') expect(worstPlace(panel, 'stretch')).toBeNull();
      }
  });
});
