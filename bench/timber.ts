/**
 * How good plans for timber are, and how long they take: 60 single pieces from three stock lengths (proven or not), and
 * long runs to be scarfed beside short ones (the gap to the bound). Made by chance from a seed; the solver's loading
 * counts. `npx tsx bench/timber.ts`
 */
import load from 'highs';
import { random } from '@kalotrope/core/geometry';
import { faultsOfPlan, planTimber, readTimberJob, solverFrom } from '@kalotrope/core/timber';

const SEEDS = Array.from({ length: 10 }, (_, k) => k + 1);
const STOCK = [2400, 3000, 3600].map((length) => ({ id: String(length), section: 's', length }));

function singles(seed: number) {
  const next = random(seed);
  const runs = Array.from({ length: 60 }, (_, k) => {
    return { id: `r${k}`, section: 's', length: Math.round(300 + 1900 * next()), qty: 1 };
  });
  return { kerf: 3, stock: STOCK, runs };
}

function boat(seed: number) {
  const next = random(seed);
  const long = Array.from({ length: 5 }, (_, k) => {
    const length = Math.round(4000 + 3000 * next());
    const from = Math.round(length * next());
    const clear = [[from, from + 500]];
    return { id: `long${k}`, section: 's', length, qty: 2, thickness: 18, scarf: true, clear };
  });
  const short = Array.from({ length: 12 }, (_, k) => {
    return { id: `short${k}`, section: 's', length: Math.round(300 + 1500 * next()), qty: 1 };
  });
  return { kerf: 3, stock: STOCK, runs: [...long, ...short] };
}

for (const [name, make] of [
  ['60 pieces, 3 stock lengths', singles],
  ['5 pairs of long runs, 12 pieces', boat],
] as const)
  for (const seed of SEEDS) {
    const read = readTimberJob(make(seed));
    if (!read.ok) throw new Error(read.problem);
    const start = performance.now();
    const gone = () => (performance.now() - start) / 1000;
    const highs = await load();
    const solve = solverFrom((text, options) => highs.solve(text, options));
    const result = planTimber(read.job, { solve, seconds: 4, rounds: 20_000, gone });
    const seconds = gone().toFixed(1);
    if (!result.ok) throw new Error(result.problem);
    const { cost, bound, proven } = result.plan;
    const faults = faultsOfPlan(read.job, result.plan).length;
    const gap = ((cost / bound - 1) * 100).toFixed(1);
    console.log(
      `${name}, seed ${seed}: ${cost.toFixed(1)} m, proven ${proven}, gap ${gap} %, ${faults} faults, ${seconds} s`,
    );
  }
