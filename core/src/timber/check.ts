/** Judges a plan by nothing but its figures: what is wrong with it, in words; none for a right plan. */
import { priceOf, scarfOf, type TimberJob } from './job';
import type { TimberPlan } from './solve';

const SAME_MM = 1e-4;
const SAME_COST = 1e-6;

export function faultsOfPlan(job: TimberJob, plan: TimberPlan): string[] {
  const faults: string[] = [];
  const sticks = new Map(job.stock.map((stick) => [stick.id, stick]));
  const runs = new Map(job.runs.map((run) => [run.id, run]));
  const seen = new Set<string>();
  const parts = new Map<string, { part: number; length: number }[]>();
  for (const { stock, index, cuts } of plan.sticks) {
    const stick = sticks.get(stock);
    const name = `${stock} ${index}`;
    if (!stick) faults.push(`${name}: not in stock`);
    if (seen.has(name)) faults.push(`${name}: twice`);
    seen.add(name);
    const used = cuts.reduce((sum, { length }) => sum + length, 0) + (cuts.length - 1) * job.kerf;
    if (used > (stick?.length ?? 0) + SAME_MM) faults.push(`${name}: ${used} mm of ${stick?.length}`);
    for (const { run, copy, part, length } of cuts) {
      if (runs.get(run)?.section !== stick?.section) faults.push(`${run} on ${name}: another section`);
      const key = `${run} ${copy}`;
      parts.set(key, [...(parts.get(key) ?? []), { part, length }]);
    }
  }
  for (const { id, qty } of job.stock) {
    const used = plan.sticks.filter(({ stock }) => stock === id).length;
    if (used > (qty ?? Infinity)) faults.push(`${id}: ${used} of ${qty}`);
    if (used !== (plan.bought.find(({ stock }) => stock === id)?.qty ?? 0)) faults.push(`${id}: not as bought`);
  }
  for (const run of job.runs)
    for (let copy = 0; copy < run.qty; copy++) {
      const mine = (parts.get(`${run.id} ${copy}`) ?? []).sort((a, b) => a.part - b.part);
      const at = plan.joins.find((join) => join.run === run.id && join.copy === copy)?.at ?? [];
      faults.push(...faultsOfRun({ run, copy, scarf: scarfOf(run, job), parts: mine, at }));
    }
  const cost = plan.sticks.reduce((sum, { stock }) => {
    const stick = sticks.get(stock);
    return sum + (stick ? priceOf(stick) : 0);
  }, 0);
  if (Math.abs(cost - plan.cost) > SAME_COST) faults.push(`cost ${plan.cost}, not ${cost}`);
  if (plan.bound > plan.cost + SAME_COST) faults.push(`bound ${plan.bound} above the cost ${plan.cost}`);
  return faults;
}

type MadeRun = {
  readonly run: TimberJob['runs'][number];
  readonly copy: number;
  readonly scarf: number;
  readonly parts: readonly { readonly part: number; readonly length: number }[];
  readonly at: readonly number[];
};

function faultsOfRun({ run, copy, scarf, parts, at }: MadeRun): string[] {
  const name = `${run.id} ${copy}`;
  if (parts.some(({ part }, k) => part !== k)) return [`${name}: parts ${parts.map(({ part }) => part).join(', ')}`];
  if (parts.length !== at.length + 1) return [`${name}: ${parts.length} parts, ${at.length} scarfs`];
  const ends = [0, ...at, run.length];
  const lengths = parts.map((_, k) => {
    const [from, to] = [(ends[k] ?? 0) - (k > 0 ? scarf / 2 : 0), (ends[k + 1] ?? 0) + (k < at.length ? scarf / 2 : 0)];
    return to - from;
  });
  const wrong = parts.flatMap(({ length }, k) =>
    Math.abs(length - (lengths[k] ?? 0)) > SAME_MM ? [`${name}: part ${k} is ${length}, not ${lengths[k]}`] : [],
  );
  const unclear = at.filter((middle) =>
    run.clear.some(([from, to]) => middle + scarf / 2 > from + SAME_MM && middle - scarf / 2 < to - SAME_MM),
  );
  return [...wrong, ...unclear.map((middle) => `${name}: the scarf at ${middle} is in a clear stretch`)];
}
