import { describe, expect, it } from 'vitest';
import { random } from '../../geometry';
import { faultsOfMix, mix, readMixJob } from '.';
import type { MixJob } from './mix-job';
import { potLifeMinutes } from './pot-life';

const job = (more: object = {}): MixJob => {
  const read = readMixJob({
    ...{ ratioByVolume: [2, 1], densityA: 1.15, densityB: 0.97, shopC: 18 },
    ...{ potLife: { minutes: 25, atC: 25, grams: 150 }, greatestPot: 400, waste: 0.1 },
    jobs: [{ id: 'fillets', grams: 250, fillerShare: 0.3, gramsPerMinute: 12 }],
    ...more,
  });
  if (!read.ok) throw new Error(read.problem);
  return read.job;
};
const jobs = (grams: number, more: object = {}) => ({ jobs: [{ id: 'j', grams, gramsPerMinute: 12, ...more }] });

describe('potLifeMinutes', () => {
  const life = { minutes: 25, atC: 25, grams: 150 };
  it('halves for 10 °C warmer, and is a third shorter for twice the pot', () => {
    expect(potLifeMinutes(life, { shopC: 25, grams: 150 })).toBe(25);
    expect(potLifeMinutes(life, { shopC: 35, grams: 150 })).toBeCloseTo(12.5, 9);
    expect(potLifeMinutes(life, { shopC: 15, grams: 600 })).toBeCloseTo((50 * 4) / 9, 9);
  });
  it('grants a small pot no more than its maker did', () => {
    expect(potLifeMinutes(life, { shopC: 25, grams: 20 })).toBe(25);
  });
});

describe('mix', () => {
  it('by hand: 250 g in place of 277.8 mixed; 2 to 1 by volume is 2.371 to 1 by weight', () => {
    const { batches, totals, findings } = mix(job());
    // 278 g, of them 83 filler; 195 = 137 + 58, 137/58 is 0.4 % under
    expect(batches).toMatchObject([{ a: 137, b: 58, filler: 83, total: 278, readings: [137, 195, 278] }]);
    expect(batches[0]?.potLife).toBeCloseTo(25 * 2 ** 0.7 * (2 / 3) ** Math.log2(278 / 150), 9);
    expect(totals).toEqual({ a: 137, b: 58, filler: 83, waste: 28 });
    expect(findings).toEqual([]);
  });
  it('shows the pot on the scale where it is not set to nought', () => {
    expect(mix(job({ tare: 31 })).batches[0]?.readings).toEqual([168, 226, 309]);
  });
  it('needs one pot more as soon as the safe mass or the time asks for it', () => {
    const pots = (grams: number, more: object = {}) =>
      mix(job({ waste: 0, ...jobs(grams, { gramsPerMinute: 60 }), ...more })).batches.length;
    expect([pots(390), pots(400.5), pots(780)]).toEqual([1, 2, 2]);
    // at 25 °C up to 150 g last 25 minutes, and 145 g at 5.8 a minute take all of them
    const quick = { shopC: 25, jobs: [{ id: 'j', grams: 145, gramsPerMinute: 5.8 }] };
    expect(pots(0, quick)).toBe(1);
    expect(pots(0, { ...quick, shopC: 25.1 })).toBe(2);
  });
  it('never refuses a small pot: as near the ratio as the scale shows, and says where that is not near', () => {
    const tiny = mix(job({ ...jobs(1), ratioByVolume: [5, 1], scale: 5 }));
    expect(tiny.batches).toMatchObject([{ a: 30, b: 5 }]);
    expect(tiny.findings).toEqual([]); // 6 for 5.93
    const [coarse] = mix(job({ ...jobs(1), ratioByVolume: [2.2, 1], scale: 50, greatestPot: 150 })).findings;
    expect(coarse).toMatchObject({ code: 'scale-too-coarse', data: { scale: 50 } });
  });
  it('says so where no pot can be used up in its life', () => {
    const { batches, findings } = mix(job({ shopC: 60, ...jobs(250, { gramsPerMinute: 0.1 }) }));
    expect(batches).toEqual([]);
    expect(findings).toMatchObject([{ severity: 'stop', code: 'no-pot-in-time' }]);
  });
  it('has nothing to mix for nothing', () => {
    expect(mix(job(jobs(0)))).toMatchObject({ batches: [], totals: { a: 0, waste: 0 } });
  });
});

describe('1,000 jobs at random, from seed 16', () => {
  const next = random(16);
  const from = (least: number, most: number) => least + (most - least) * next();
  const any = Array.from({ length: 1000 }, () =>
    job({
      ratioByVolume: [Math.round(from(1, 5)), Math.round(from(1, 2))],
      ...{ densityA: from(1, 1.3), densityB: from(0.9, 1.1), shopC: from(2, 34), waste: from(0, 0.3) },
      potLife: { minutes: from(10, 60), atC: from(18, 27), grams: from(80, 200) },
      ...{ greatestPot: from(100, 700), scale: next() < 0.7 ? 1 : 0.1, tare: next() < 0.5 ? 0 : 24 },
      jobs: Array.from({ length: 3 }, (_, k) => ({
        id: `job ${k}`,
        grams: Math.exp(from(0, 9)),
        fillerShare: next() < 0.4 ? 0 : from(0, 0.5),
        gramsPerMinute: from(3, 60),
      })),
    }),
  );
  it('keep every rule', () => {
    expect(any.flatMap((one) => faultsOfMix(one, mix(one)))).toEqual([]);
  });
  it('in as few pots as the rules allow: with one fewer no pot is light enough, in time and in its ratio', () => {
    const few = any.filter((_, k) => k % 5 === 0);
    for (const one of few)
      for (const made of one.jobs) {
        const pots = mix(one).batches.filter((batch) => batch.job === made.id).length;
        if (pots > 1) expect([made, hasPot(one, made, pots - 1)]).toEqual([made, false]);
      }
  });

  /** By trying every pot from an equal share of the job upward. */
  function hasPot(one: MixJob, made: MixJob['jobs'][number], pots: number): boolean {
    const [av, bv] = one.ratioByVolume;
    const ratio = (av * one.densityA) / (bv * one.densityB);
    const least = Math.ceil(made.grams / (1 - one.waste) / pots / one.scale - 1e-9);
    for (let total = least; total * one.scale <= Math.min(one.greatestPot, (least + 30) * one.scale); total++) {
      const grams = total * one.scale;
      const life = potLifeMinutes(one.potLife, { shopC: one.shopC, grams });
      if (grams / made.gramsPerMinute > life) return false;
      if (total < 120) return true;
      for (let b = 1; b < total; b++)
        for (const filler of [Math.floor(total * made.fillerShare), Math.ceil(total * made.fillerShare)])
          if (Math.abs((total - filler - b) / b / ratio - 1) <= 0.01) return true;
    }
    return false;
  }
});

it.each([
  ['no list', [], /expected a group/],
  ['a ratio of one figure', { ratioByVolume: [2] }, /ratioByVolume/],
  ['a density of nought', { densityA: 0 }, /densityA: expected more than 0/],
  ['all of it wasted', { waste: 1 }, /waste: expected 0.9 at most/],
  ['a shop as hot as an oven', { shopC: 200 }, /shopC/],
  ['a job twice', { jobs: [1, 2].map(() => ({ id: 'j', grams: 1, gramsPerMinute: 1 })) }, /job "j": the id is there/],
  ['a job without a rate', { jobs: [{ id: 'j', grams: 1 }] }, /jobs.0.gramsPerMinute: expected a number/],
])('refuses %s, and says where', (_what, data, words) => {
  const read = readMixJob(Array.isArray(data) ? data : { ...job(), ...data });
  expect(!read.ok && read.problem).toMatch(words);
});
