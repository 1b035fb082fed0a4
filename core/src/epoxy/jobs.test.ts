import { describe, expect, it } from 'vitest';
import { demoProject, createDerive } from '../project';
import { random } from '../geometry';
import { jobsOf, planPots } from './jobs';
import { purchaseOf } from './purchase';
import { epoxyAtFirst, type Pack } from './schema';
import type { TakeoffLine } from './line';

const part = epoxyAtFirst({}, 'mm');
const project = demoProject('tamsel', 'x');
const { value } = createDerive()(project).epoxy;

describe('the jobs of the first boat', () => {
  it('are all of the list and nothing else, to a milligram', () => {
    const inPlace = value.lines.reduce((sum, { resin, filler }) => sum + resin + filler, 0);
    expect(value.jobs.reduce((sum, { grams }) => sum + grams, 0)).toBeCloseTo(inPlace, 3);
    for (const { covers, grams } of value.jobs)
      expect(covers.reduce((sum, one) => sum + one.grams, 0)).toBeCloseTo(grams, 9);
  });
  it('come in working order, the sealing where it is wanted', () => {
    const order = (coating: 'flat' | 'hull') => jobsOf(value.lines, { ...part, coating }).map(({ id }) => id);
    expect(order('flat').slice(0, 4)).toEqual(['join', 'seal.1', 'seal.2', 'seal.3']);
    expect(order('hull').indexOf('seal.1')).toBeGreaterThan(order('hull').indexOf('tape.inside'));
    expect([...order('flat')].sort()).toEqual([...order('hull')].sort());
  });
  it('are mixed in pots that leave none short; what is mixed is what is in the boat and what is lost', () => {
    const { pots, totals } = value.plan;
    for (const { name, grams } of value.jobs) {
      const mixed = pots.filter(({ job }) => job === name).reduce((sum, { total }) => sum + total, 0);
      expect(mixed * (1 - project.epoxy.waste)).toBeGreaterThanOrEqual(grams);
    }
    const inPlace = value.jobs.reduce((sum, { grams }) => sum + grams, 0);
    expect(totals.a + totals.b + totals.filler).toBeCloseTo(inPlace + totals.waste, 3);
  });
  it('are covered pot by pot from one end to the other', () => {
    for (const { name, covers } of value.jobs) {
      const pots = value.plan.pots.filter(({ job }) => job === name);
      for (const { item, grams } of covers) {
        if (grams === 0) continue;
        const mine = pots.flatMap((pot) => pot.covers.filter((one) => one.item === item));
        expect(mine.reduce((sum, { from, to }) => sum + to - from, 0)).toBeCloseTo(
          covers.filter((one) => one.item === item && one.grams > 0).length,
          3,
        );
      }
    }
  });
  it('take more and smaller pots in the heat', () => {
    const at = (shopC: number) => planPots(value.jobs, project.epoxy, shopC).pots.length;
    expect(at(32)).toBeGreaterThan(at(18));
    expect(at(18)).toBeGreaterThanOrEqual(at(8));
  });
});

it('a boat that needs nothing has no jobs', () => {
  const nothing: TakeoffLine[] = [];
  expect(jobsOf(nothing, part)).toEqual([]);
  expect(planPots([], part, 18)).toMatchObject({ pots: [], findings: [] });
});

describe('purchaseOf', () => {
  const pack = (id: string, litres: number, price: number, more: Partial<Pack> = {}): Pack => ({
    ...{ id, name: id, aMl: litres * 1000, bMl: litres * 500, price, onHand: 0, ...more },
  });
  const resin = { ...part.resin, densityA: 1, densityB: 1 };
  it('buys the cheapest that is enough: 5 l in one of 4 and one of 1, until six of 1 cost less', () => {
    const packs = [pack('one', 1, 30), pack('four', 4, 100)];
    expect(purchaseOf({ a: 5000, b: 2000 }, { packs, resin })).toMatchObject({
      bought: [
        { pack: 'one', qty: 1 },
        { pack: 'four', qty: 1 },
      ],
      ...{ cost: 130, isProven: true, left: { aMl: 0, bMl: 500 } },
    });
    const cheap = [pack('one', 1, 15), pack('four', 4, 100)];
    expect(purchaseOf({ a: 5000, b: 2000 }, { packs: cheap, resin }).bought).toEqual([
      { pack: 'one', name: 'one', qty: 5 },
    ]);
  });
  it('takes what is there first, and buys the part alone that is missing', () => {
    const packs = [pack('kit', 4, 100, { onHand: 1 }), pack('hardener', 0, 12, { bMl: 500 })];
    expect(purchaseOf({ a: 3000, b: 2400 }, { packs, resin })).toMatchObject({
      ...{ bought: [{ pack: 'hardener', qty: 1 }], cost: 12 },
      left: { aMl: 1000, bMl: 100 },
    });
  });
  it('gives an answer at once where there are too many ways to go through: twenty packs of thimbles', () => {
    const packs = Array.from({ length: 20 }, (_, k) => pack(`p${k}`, 0.001 * (k + 1), 1 + k + 0.01 * k ** 2));
    const begun = purchaseOf({ a: 9000, b: 4000 }, { packs, resin });
    expect(begun.isProven).toBe(false);
    expect(begun.bought.length).toBeGreaterThan(0);
  });
  it('says where no pack holds what is missing', () => {
    expect(purchaseOf({ a: 1, b: 1 }, { packs: [], resin })).toMatchObject({ isShort: true, bought: [] });
  });
  it('never costs more than any other way, on 200 lists at random from seed 7', () => {
    const next = random(7);
    for (let k = 0; k < 200; k++) {
      const packs = Array.from({ length: 3 }, (_, i) => pack(`p${i}`, 0.5 + Math.round(4 * next()), 10 + 100 * next()));
      const need = 500 + 6000 * next();
      const { cost } = purchaseOf({ a: need, b: need / 2 }, { packs, resin });
      let least = Infinity;
      for (let i = 0; i <= 13; i++)
        for (let j = 0; j <= 13; j++)
          for (let m = 0; m <= 13; m++) {
            const counts = [i, j, m];
            const of = (key: 'aMl' | 'price') => packs.reduce((sum, one, n) => sum + one[key] * counts[n]!, 0);
            if (of('aMl') >= need) least = Math.min(least, of('price'));
          }
      expect(cost).toBeCloseTo(least, 6);
    }
  });
});
