/**
 * Layouts of the demo boats and of larger sets from many seeds: none may be invalid, and the sheets are counted against
 * the area bound. `npx tsx bench/nest-runs.ts 200 12 [NAME]`: seeds, and rounds for each.
 */
import { createDerive, demoProject, DEMO_IDS } from '@kalotrope/core/project';
import { area } from '@kalotrope/core/geometry';
import { faultsOf, nest, type NestJob } from '@kalotrope/core/sheets';
import { nestSets, threeThicknesses } from './nest-sets';

const [, , seeds = '200', rounds = '12', only = ''] = process.argv;

const areaOf = ({ parts }: NestJob) =>
  parts.reduce((sum, { outline, holes }) => sum + area(outline) - holes.reduce((all, hole) => all + area(hole), 0), 0);
const sheetMm2 = ({ sheets, margin }: NestJob) =>
  Math.max(...sheets.map(({ width, height }) => (width - 2 * margin) * (height - 2 * margin)));

const jobs = [
  ...DEMO_IDS.flatMap((id) =>
    createDerive()(demoProject(id, 'x')).sheets.value.batches.map(({ thickness, job }) => ({
      name: `${id} ${thickness} mm`,
      job,
    })),
  ),
  ...nestSets(1).filter(({ name }) => name.includes('holes')),
  ...threeThicknesses(1),
];
for (const { name, job } of jobs.filter((one) => one.name.includes(only))) {
  let [invalid, left] = [0, 0];
  const counts = new Map<number, number>();
  const start = performance.now();
  for (let seed = 1; seed <= Number(seeds); seed++) {
    const result = nest(job, { seed, rounds: Number(rounds) });
    if (faultsOf(job, result).length > 0) invalid++;
    left += result.unplaced.length;
    counts.set(result.sheetsUsed, (counts.get(result.sheetsUsed) ?? 0) + 1);
  }
  const bound = Math.ceil(areaOf(job) / sheetMm2(job));
  const used = [...counts].sort(([a], [b]) => a - b).map(([sheets, n]) => `${sheets} × ${n}`);
  const each = ((performance.now() - start) / Number(seeds)).toFixed(0);
  const wrong = `${invalid} invalid, ${left} left over`;
  console.log(`${name}, ${job.parts.length} parts: ${wrong}, bound ${bound}, sheets ${used.join(', ')}; ${each} ms`);
}
