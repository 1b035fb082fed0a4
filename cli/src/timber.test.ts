import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import { faultsOfPlan, readTimberJob, type TimberPlan } from '@kalotrope/core/timber';

const folder = mkdtempSync(join(tmpdir(), 'kalo-timber-'));
afterAll(() => rmSync(folder, { recursive: true }));
const program = fileURLToPath(new URL('../../bin/kalo.mjs', import.meta.url));

function kalo(data: unknown, ...options: string[]) {
  const file = join(folder, 'job.json');
  writeFileSync(file, typeof data === 'string' ? data : JSON.stringify(data));
  return spawnSync('node', [program, 'timber', file, ...options], { encoding: 'utf8' });
}

const job = {
  kerf: 3,
  scarfRatio: 12,
  stock: [{ id: 'A', section: '20x45', length: 3000, qty: 40, price: 14.5 }],
  runs: [
    { id: 'chine log', section: '20x45', length: 4260, qty: 2, thickness: 20, scarf: true, clear: [[1500, 2300]] },
    { id: 'beam', section: '20x45', length: 1100, qty: 2 },
  ],
};

describe('kalo timber', () => {
  it('answers with the keys of the contract and a plan that is right', () => {
    const { stdout, status } = kalo(job, '--json');
    expect(status).toBe(0);
    const plan = JSON.parse(stdout) as TimberPlan;
    expect(Object.keys(plan)).toEqual(['bought', 'cost', 'bound', 'proven', 'sticks', 'joins']);
    expect(Object.keys(plan.sticks[0] ?? {})).toEqual(['stock', 'index', 'cuts', 'left']);
    expect(Object.keys(plan.sticks[0]?.cuts[0] ?? {})).toEqual(['run', 'copy', 'part', 'length']);
    const read = readTimberJob(job);
    expect(read.ok && faultsOfPlan(read.job, plan)).toEqual([]);
    // 2 × 4500 and 2 × 1100 are 11.2 m: four sticks of 3 m at least
    expect(plan).toMatchObject({ bound: 58, cost: 58, proven: true });
  });
  it('reads well without --json', () => {
    const { stdout } = kalo(job);
    expect(stdout).toMatch(/^buy 4 of A\ncost 58, the least there can be\n/);
    expect(stdout).toMatch(/chine log 1: scarfs at \d+/);
  });
  it.each([
    ['no JSON', '{', /not JSON/],
    [
      'a run too long',
      { ...job, runs: [{ id: 'rail', section: '20x45', length: 9000 }] },
      /run "rail" is 9000 mm long/,
    ],
    ['no stock', { ...job, stock: [] }, /stock: expected/],
  ])('refuses %s in one line, exit code 2', (_what, data, words) => {
    const { stderr, status, stdout } = kalo(data);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr.trim().split('\n')).toHaveLength(1);
    expect(stderr).toMatch(words);
  });
});
