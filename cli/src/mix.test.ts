import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { run } from './run';

const folder = mkdtempSync(join(tmpdir(), 'kalo-mix-'));
afterAll(() => rmSync(folder, { recursive: true }));

function kalo(data: unknown, ...options: string[]) {
  const file = join(folder, 'job.json');
  writeFileSync(file, JSON.stringify(data));
  let [out, err] = ['', ''];
  const io = { out: (text: string) => (out += text), err: (text: string) => (err += text), now: () => 0 };
  return { status: run(['mix', file, ...options], io), stdout: out, stderr: err };
}

const job = {
  ...{ ratioByVolume: [2, 1], densityA: 1.15, densityB: 0.97, shopC: 18, greatestPot: 400, waste: 0.1 },
  potLife: { minutes: 25, atC: 25, grams: 150 },
  jobs: [{ id: 'fillets, bulkhead 2', grams: 250, fillerShare: 0.3, gramsPerMinute: 12 }],
};

describe('kalo mix', () => {
  it('answers with the keys of the contract', () => {
    const { stdout, status } = kalo(job, '--json');
    const answer = JSON.parse(stdout) as { batches: object[]; totals: object };
    expect(status).toBe(0);
    expect(Object.keys(answer)).toEqual(['batches', 'totals', 'findings']);
    expect(answer.batches).toEqual([
      {
        ...{ job: 'fillets, bulkhead 2', number: 1, a: 137, b: 58, filler: 83, total: 278 },
        ...{ aMl: 119.130435, bMl: 59.793814, readings: [137, 195, 278], minutes: 23.166667, potLife: 28.30859 },
      },
    ]);
    expect(answer.totals).toEqual({ a: 137, b: 58, filler: 83, waste: 28 });
  });
  it('tells what is coarse or cannot be done, and answers all the same', () => {
    const hot = { ...job, shopC: 60, jobs: [{ id: 'j', grams: 100, gramsPerMinute: 0.1 }] };
    const { stdout, status } = kalo(hot);
    expect(status).toBe(0);
    expect(stdout).toMatch(/STOP: j: no pot can be used up in time/);
  });
  it('refuses in one line what is no job', () => {
    const { stderr, status, stdout } = kalo({ ...job, densityA: -1 });
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toMatch(/densityA: expected more than 0\n$/);
  });
});
