import { describe, expect, it } from 'vitest';
import { createDerive, demoProject, DEMO_IDS } from '../project';
import type { TimberRun } from './runs';
import { choosingFor, usesOf, useOfTimber } from './suitable';

const run: TimberRun = {
  ...{ id: 'own rail', own: 'rail', name: 'Rail', width: 40, depth: 18, length: 4000, qty: 2, mayScarf: true },
  clear: [],
};
const layers = { count: 3, eachMm: 6, radiusMm: 900, mouldMm: 800 };

describe('what timber is chosen by', () => {
  it.each([
    ['straight', run],
    ['bent', { ...run, clear: [[900, 1500]] }],
    ['layers', { ...run, layers, clear: [[900, 1500]] }],
    ['frame', { ...run, own: undefined }],
  ] as const)('is that it is %s', (use, of) => {
    expect(useOfTimber(of as TimberRun)).toBe(use);
    expect(choosingFor(use).length).toBeGreaterThan(1);
  });
  it.each(DEMO_IDS)('is said of every use that %s has, and of no other', (id) => {
    const { runs } = createDerive()(demoProject(id, 'x')).timber.value;
    expect(new Set(usesOf(runs))).toEqual(new Set(runs.map(useOfTimber)));
    const sawn = runs.filter((one) => one.id.startsWith('timber '));
    for (const one of sawn) expect(useOfTimber(one)).toBe('frame');
  });
});
