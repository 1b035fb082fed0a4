import { describe, expect, it } from 'vitest';
import { demoProject } from '@kalotrope/core/project';
import { faultsOf } from '@kalotrope/core/sheets';
import { JOBS, type NestProgress } from './jobs';

describe('the jobs of the engine, run directly', () => {
  const derived = JOBS.derive(demoProject('orrin', 'x'));
  it('work out a project as plain data that crosses to a worker', () => {
    expect(structuredClone(derived)).toEqual(derived);
  });
  it('lay out in the seconds given, showing ever better layouts', () => {
    const { job } = derived.sheets.value.batches[0]!; // the demo has parts
    const seen: NestProgress[] = [];
    const result = JOBS.nest({ job, seed: 1, seconds: 2 }, (progress) => seen.push(progress));
    expect(faultsOf(job, result)).toEqual([]);
    expect(seen.length).toBeGreaterThan(0);
    expect(seen[seen.length - 1]?.result).toEqual(result);
    expect(result.sheetsUsed).toBeLessThanOrEqual(seen[0]?.result.sheetsUsed ?? 0);
  });
});
