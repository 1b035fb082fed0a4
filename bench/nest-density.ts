/**
 * How dense layouts become: `kalo nest` on two cores against laying down in one order after another, in one run, on
 * sets of several kinds; and by when.
 * Run: npx tsx bench/nest-density.ts [SECONDS] [SEED] [NAME]
 */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { faultsOf, type nest } from '../core/src/sheets/index';
import { layDown, resultOf } from '../core/src/sheets/lay-down';
import { posesOf } from '../core/src/sheets/laying/poses';
import { areaOf, nestSets } from './nest-sets';

const [seconds = '60', seed = '1', only = ''] = process.argv.slice(2);
const folder = mkdtempSync(join(tmpdir(), 'nest-'));
const since = (start: number) => (performance.now() - start) / 1000;

for (const { name, job } of nestSets(Number(seed)).filter((set) => set.name.includes(only))) {
  const file = join(folder, 'job.json');
  writeFileSync(file, JSON.stringify(job));
  const laying = performance.now();
  const laid = resultOf(
    layDown(job, {
      ...{ seed: 1, rounds: 1e9, isOver: () => since(laying) > Number(seconds) / 4 },
      poses: job.parts.map(posesOf),
    }),
    job,
  );
  const start = performance.now();
  const { stdout } = spawnSync('node', ['bin/kalo.mjs', 'nest', file, '--seconds', seconds, '--json']);
  const took = since(start);
  const found = JSON.parse(String(stdout)) as ReturnType<typeof nest>;
  console.log(
    `| ${name} | ${job.parts.length} | ${laid.sheetsUsed} | ${laid.density.toFixed(3)} | ${found.sheetsUsed} | ` +
      `${found.density.toFixed(3)} | ${(areaOf(job) / (2440 * 1220)).toFixed(2)} | ${found.unplaced.length} | ` +
      `${faultsOf(job, found).length} | ${took.toFixed(1)} |`,
  );
}
