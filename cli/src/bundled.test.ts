import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { run } from './run';

const place = (name: string) => fileURLToPath(new URL(`../../${name}`, import.meta.url));
const kalo = (...args: string[]) =>
  spawnSync('node', [place('bin/kalo.mjs'), ...args], { encoding: 'utf8', maxBuffer: 1e8 });

describe('the bundled command', () => {
  it('says what the loose sources say, with its cache as without', () => {
    const args = ['panels', place('docs/samples/orrin.csv'), '--json'];
    let loose = '';
    run(args, { out: (text) => (loose += text), err: () => undefined, now: () => 0 });
    expect(loose.length).toBeGreaterThan(1000);
    for (const { stdout, status } of [kalo(...args), kalo(...args)]) {
      expect(status).toBe(0);
      expect(stdout).toBe(loose);
    }
  });
  it('refuses with one line and exit code 2', () => {
    const { stdout, stderr, status } = kalo('panels', place('docs/samples/none.csv'));
    expect([stdout, status]).toEqual(['', 2]);
    expect(stderr.trim().split('\n')).toEqual([expect.stringMatching(/^kalo: cannot read .*none\.csv: ENOENT$/)]);
  });
});
