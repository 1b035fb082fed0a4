import load from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { random } from '../geometry';
import { faultsOfPlan } from './check';
import { fillings } from './fill';
import { priceOf, readTimberJob, type TimberJob } from './job';
import { solverFrom, type LinearSolver } from './program';
import { planTimber, type TimberPlan } from './solve';
import { leastParts, staggerOf, usualSplits } from './splits';

let solve: LinearSolver;
beforeAll(async () => {
  const highs = await load();
  solve = solverFrom((text, options) => highs.solve(text, options));
});

const jobOf = (data: object): TimberJob => {
  const read = readTimberJob(data);
  if (!read.ok) throw new Error(read.problem);
  return read.job;
};
const planned = (job: TimberJob, rounds = 3000): TimberPlan => {
  const result = planTimber(job, { solve, seconds: 2, rounds });
  if (!result.ok) throw new Error(result.problem);
  expect(faultsOfPlan(job, result.plan)).toEqual([]);
  return result.plan;
};
const run = (id: string, length: number, more: object = {}) => ({ id, section: 's', length, ...more });
const stick = (id: string, length: number, more: object = {}) => ({ id, section: 's', length, ...more });

/** The least cost, by putting every piece on every stick in turn. */
function byHand({ kerf, stock, runs }: TimberJob): number {
  const pieces = runs.flatMap(({ length, qty }) => Array.from({ length: qty }, () => length)).sort((a, b) => b - a);
  let best = Infinity;
  const put = (k: number, open: { room: number; price: number }[], cost: number): void => {
    if (cost >= best) return;
    const mm = pieces[k];
    if (mm === undefined) {
      best = cost;
      return;
    }
    for (const one of open)
      if (one.room >= mm) {
        one.room -= mm + kerf;
        put(k + 1, open, cost);
        one.room += mm + kerf;
      }
    for (const kind of stock)
      if (kind.length >= mm)
        put(k + 1, [...open, { room: kind.length - mm - kerf, price: priceOf(kind) }], cost + priceOf(kind));
  };
  put(0, [], 0);
  return best;
}

describe('planTimber, single pieces', () => {
  it('uses a stick up: three of 998 with two kerfs of 3 in 3000, so seven take three', () => {
    const plan = planned(
      jobOf({ kerf: 3, stock: [stick('A', 3000, { price: 10 })], runs: [run('r', 998, { qty: 7 })] }),
    );
    expect(plan).toMatchObject({ cost: 30, bound: 30, proven: true, bought: [{ stock: 'A', qty: 3 }] });
    expect(plan.sticks.map(({ cuts }) => cuts.length)).toEqual([3, 3, 1]);
    // 3000 − 998 − a kerf of 3
    expect(plan.sticks.map(({ left }) => left)).toEqual([0, 0, 1999]);
  });
  it('takes a dear stick where a cheap one is too short, and no more of a kind than there are', () => {
    const stock = [stick('cheap', 2000, { price: 1, qty: 1 }), stick('dear', 2100, { price: 50 })];
    const plan = planned(jobOf({ stock, runs: [run('long', 2050), run('short', 1500, { qty: 2 })] }));
    expect(plan.bought).toEqual([
      { stock: 'cheap', qty: 1 },
      { stock: 'dear', qty: 2 },
    ]);
  });
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('costs what trying everything costs, and proves it (seed %i)', (seed) => {
    const next = random(seed);
    const runs = Array.from({ length: 7 }, (_, k) => run(`r${k}`, Math.round(300 + 1700 * next())));
    const stock = [stick('A', 2000, { price: 8 }), stick('B', 2700, { price: 11 }), stick('C', 3300, { price: 13.5 })];
    const job = jobOf({ kerf: 4, stock, runs });
    const plan = planned(job);
    expect(plan.cost).toBeCloseTo(byHand(job), 6);
    expect(plan.proven).toBe(true);
  });
  it('keeps sections apart', () => {
    const stock = [stick('A', 3000), { id: 'B', section: 't', length: 3000 }];
    const plan = planned(jobOf({ stock, runs: [run('r', 1000), { id: 'q', section: 't', length: 1000 }] }));
    expect(plan.bought.map(({ stock: id }) => id)).toEqual(['A', 'B']);
    expect(plan.cost).toBeCloseTo(6, 9); // metres
  });
  it('has nothing to buy for no runs, or none of them wanted', () => {
    const none = { cost: 0, bound: 0, proven: true, sticks: [], bought: [], joins: [] };
    expect(planned(jobOf({ stock: [stick('A', 3000)], runs: [] }))).toEqual(none);
    expect(planned(jobOf({ stock: [stick('A', 3000)], runs: [run('r', 5000, { qty: 0 })] }))).toEqual(none);
  });
});

describe('planTimber, long runs', () => {
  const stock = [stick('A', 3000, { price: 15 }), stick('B', 2400, { price: 12 })];
  const log = (more: object = {}) => run('log', 4260, { qty: 2, thickness: 20, scarf: true, ...more });

  it('joins a run of 4260 from two parts of together 4260 and the scarf of 240', () => {
    const plan = planned(jobOf({ kerf: 3, stock, runs: [log()] }));
    const parts = plan.sticks.flatMap(({ cuts }) => cuts).filter(({ copy }) => copy === 0);
    expect(parts.reduce((sum, { length }) => sum + length, 0)).toBeCloseTo(4500, 6);
    expect(parts).toHaveLength(2);
  });
  it('keeps scarfs out of clear stretches and the two sides apart', () => {
    const plan = planned(jobOf({ kerf: 3, stock, runs: [log({ clear: [[1500, 2300]] })] }));
    const [[one], [other]] = plan.joins.map(({ at }) => at) as [number[], number[]];
    expect(Math.abs(one! - other!)).toBeGreaterThanOrEqual(600);
    for (const middle of [one!, other!]) expect(middle <= 1380 + 1e-6 || middle >= 2420 - 1e-6).toBe(true);
  });
  it('goes before with a run’s own ratio', () => {
    const plan = planned(jobOf({ kerf: 3, stock, runs: [log({ qty: 1, scarfRatio: 6 })] }));
    const parts = plan.sticks.flatMap(({ cuts }) => cuts);
    expect(parts.reduce((sum, { length }) => sum + length, 0)).toBeCloseTo(4260 + 120, 6);
  });
  it('takes a part more where clear stretches leave no room for the fewest', () => {
    const job = jobOf({ stock, runs: [log({ qty: 1, clear: [[1200, 3100]] })] });
    expect(planned(job).joins[0]!.at).toHaveLength(2);
  });
  it.each([11, 12, 13, 14, 15, 16])(
    'random long and short runs: a right plan, no dearer than its bound says (seed %i)',
    (seed) => {
      const next = random(seed);
      const runs = Array.from({ length: 6 }, (_, k) => {
        const length = 500 + 8000 * next();
        const from = length * next();
        const clear = next() < 0.5 ? [[from, from + 400 * next()]] : [];
        return run(`r${k}`, length, { qty: 1 + Math.floor(3 * next()), thickness: 18, scarf: true, clear });
      });
      const plan = planned(jobOf({ kerf: 3, stock, runs }), 1500);
      expect(plan.bound).toBeLessThanOrEqual(plan.cost + 1e-9);
      expect(plan.cost / plan.bound).toBeLessThan(1.15); // 1.03 to 1.10 at this many rounds
    },
  );
});

describe('splits', () => {
  it.each([2400, 3000, 4100])('the least number of parts is that of n sticks less n − 1 scarfs (%i)', (longest) => {
    for (let length = longest + 1; length < 20_000; length += 777) {
      const long = { run: jobOf({ stock: [stick('A', 1)], runs: [run('r', length)] }).runs[0]!, scarf: 200, longest };
      const n = leastParts(long)!;
      expect(n * longest - (n - 1) * 200).toBeGreaterThanOrEqual(length - 1e-6);
      expect((n - 1) * longest - (n - 2) * 200).toBeLessThan(length);
      for (const { parts, at } of usualSplits(long)) {
        expect(parts.reduce((sum, mm) => sum + mm, 0)).toBeCloseTo(length + (parts.length - 1) * 200, 6);
        expect(Math.max(...parts)).toBeLessThanOrEqual(longest + 1e-6);
        expect([...at].sort((a, b) => a - b)).toEqual(at);
      }
    }
  });
  it('two runs without scarfs are not near each other', () => {
    expect(staggerOf({ parts: [1], at: [] }, { parts: [1], at: [] })).toBe(Infinity);
  });
});

describe('fillings', () => {
  it.each([21, 22, 23, 24])('the best of all fillings (seed %i)', (seed) => {
    const next = random(seed);
    const pieces = Array.from({ length: 5 }, () => ({
      length: 200 + 700 * next(),
      worth: next(),
      most: 1 + Math.floor(3 * next()),
    }));
    const kerf = 3;
    const tried = (k: number, room: number): number => {
      const piece = pieces[k];
      if (!piece) return 0;
      return Math.max(
        ...Array.from({ length: piece.most + 1 }, (_, n) =>
          n * (piece.length + kerf) > room ? 0 : n * piece.worth + tried(k + 1, room - n * (piece.length + kerf)),
        ),
      );
    };
    const found = fillings(pieces, kerf, 2400);
    for (const room of [2400, 1500, 900, 100]) {
      const { worth, counts } = found.bestWithRest(room, 0);
      expect(worth).toBeCloseTo(tried(0, room + kerf), 9);
      const used = [...counts].reduce((sum, [k, n]) => sum + n * (pieces[k]!.length + kerf), 0);
      expect(used).toBeLessThanOrEqual(room + kerf + 1e-6);
    }
  });
});

describe('what is refused', () => {
  const stock = [stick('A', 3000)];
  it.each([
    ['an empty stock', { stock: [], runs: [] }, /stock: expected 1 in the list at least/],
    ['a length of nought', { stock: [stick('A', 0)], runs: [] }, /stock\.0\.length/],
    ['no JSON object', 7, /the job/],
    ['one id twice', { stock, runs: [run('r', 1), run('r', 2)] }, /run "r": the id is there twice/],
    ['a scarf without thickness', { stock, runs: [run('r', 4000, { scarf: true })] }, /thickness is missing/],
    ['a clear stretch the wrong way', { stock, runs: [run('r', 1, { clear: [[5, 2]] })] }, /expected the lesser first/],
    [
      'a whole yard',
      { stock, runs: [run('r', 1, { qty: 1000 }), run('q', 1, { qty: 1000 }), run('p', 1)] },
      /2001 pieces/,
    ],
  ])('%s', (_what, data, words) => {
    const read = readTimberJob(data);
    expect(read.ok).toBe(false);
    expect(read.ok ? '' : read.problem).toMatch(words);
  });
  it.each([
    ['another section', [run('r', 100, { section: 't' })], /no stick of section "t"/],
    ['too long', [run('r', 3100)], /longest stick of "s" 3000; expected a longer stick, or "scarf": true/],
    ['all joint', [run('r', 3100, { scarf: true, thickness: 200 })], /of which a scarf takes 2400/],
    ['no room', [run('r', 3100, { scarf: true, thickness: 10, clear: [[0, 3100]] })], /clear stretches leave no room/],
  ])('a run that cannot be had: %s', (_what, runs, words) => {
    const result = planTimber(jobOf({ stock, runs }), { solve, seconds: 1, rounds: 100 });
    expect(result.ok ? '' : result.problem).toMatch(words);
  });
  it('too few sticks', () => {
    const job = jobOf({ stock: [stick('A', 3000, { qty: 1 })], runs: [run('r', 1600, { qty: 2 })] });
    const result = planTimber(job, { solve, seconds: 1, rounds: 100 });
    expect(result.ok ? '' : result.problem).toMatch(/too few sticks for "r"; expected more than 1 of "A"/);
  });
});

describe('faultsOfPlan finds what is wrong', () => {
  const job = () =>
    jobOf({
      kerf: 3,
      stock: [stick('A', 3000, { price: 15, qty: 9 })],
      runs: [run('log', 4260, { thickness: 20, scarf: true, clear: [[100, 400]] }), run('beam', 900, { qty: 2 })],
    });
  type Loose = { -readonly [K in keyof TimberPlan]: TimberPlan[K] extends readonly (infer V)[] ? V[] : TimberPlan[K] };
  it.each<[string, (plan: Loose) => void, RegExp]>([
    ['a part too few', (plan) => (plan.sticks = plan.sticks.slice(1)), /parts|scarfs|bought/],
    [
      'a stick too short',
      (plan) => plan.sticks.forEach((one) => Object.assign(one.cuts[0]!, { length: 3001 })),
      /mm of 3000|is 3001/,
    ],
    ['a scarf elsewhere', (plan) => Object.assign(plan.joins[0]!, { at: [2000] }), /part 0 is/],
    ['a cost that is not so', (plan) => (plan.cost += 1), /cost/],
    ['a bound above the cost', (plan) => (plan.bound += 100), /bound/],
    ['other sticks than were bought', (plan) => (plan.bought = []), /not as bought/],
    ['one stick twice', (plan) => plan.sticks.push(plan.sticks[0]!), /twice/],
  ])('%s', (_what, spoil, words) => {
    const plan = structuredClone(planned(job())) as Loose;
    spoil(plan);
    expect(faultsOfPlan(job(), plan).join('\n')).toMatch(words);
  });
});
