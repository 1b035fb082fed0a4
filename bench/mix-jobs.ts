/** Jobs at random cut into pots, judged by the separate checker: faults, pots, and how far over and off the ratio. */
import { faultsOfMix, mix, readMixJob } from '@kalotrope/core/epoxy';
import { random } from '@kalotrope/core/geometry';

const RUNS = Number(process.argv[2] ?? 1000);
const next = random(Number(process.argv[3] ?? 16));
const from = (least: number, most: number) => least + (most - least) * next();

let [faults, pots, over, off, large] = [0, 0, 0, 0, 0];
const begun = performance.now();
for (let run = 0; run < RUNS; run++) {
  const read = readMixJob({
    ratioByVolume: [Math.round(from(1, 5)), Math.round(from(1, 2))],
    ...{ densityA: from(1, 1.3), densityB: from(0.9, 1.1), shopC: from(2, 34), waste: from(0, 0.3) },
    potLife: { minutes: from(10, 60), atC: from(18, 27), grams: from(80, 200) },
    ...{ greatestPot: from(100, 700), scale: next() < 0.7 ? 1 : 0.1 },
    jobs: [{ id: 'job', grams: Math.exp(from(0, 9)), fillerShare: from(0, 0.5), gramsPerMinute: from(3, 60) }],
  });
  if (!read.ok) throw new Error(read.problem);
  const { job } = read;
  const mixed = mix(job);
  faults += faultsOfMix(job, mixed).length;
  const ratio = (job.ratioByVolume[0] * job.densityA) / (job.ratioByVolume[1] * job.densityB);
  const needed = (job.jobs[0]?.grams ?? 0) / (1 - job.waste);
  const total = mixed.batches.reduce((sum, batch) => sum + batch.total, 0);
  if (mixed.batches.length > 0) over = Math.max(over, (total - needed) / mixed.batches.length / job.scale);
  for (const { a, b, total: grams } of mixed.batches) {
    pots++;
    if (grams < 120 * job.scale) continue;
    large++;
    off = Math.max(off, Math.abs(a / b / ratio - 1));
  }
}
console.log(`${RUNS} jobs, ${pots} pots in ${(performance.now() - begun).toFixed(0)} ms: ${faults} faults`);
console.log(`over what is needed, a pot: ${over.toFixed(1)} steps of the scale at most`);
console.log(`off the ratio, of ${large} pots of 120 steps and more: ${(off * 100).toFixed(2)} % at most`);
