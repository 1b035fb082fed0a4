import { describe, expect, it } from 'vitest';
import { coldCures } from './cold-cure';
import { epoxyAtFirst } from './schema';

const HOUR = 3_600_000;
const { resin } = epoxyAtFirst({}, 'mm');
const steady = (tempC: number) => [{ at: 0, tempC, humidity: 50 }];
const pot = (at: number) => [{ at, job: 'Fillets' }];
const MIXED = 100 * HOUR;

describe('what cures in a shop that cools', () => {
  it('is not told where it stays warm, nor when it is hard already', () => {
    expect(coldCures(pot(MIXED), steady(20), { resin, now: MIXED })).toEqual([]);
    const weather = [...steady(20), { at: MIXED + 200 * HOUR, tempC: 0, humidity: 50 }];
    expect(coldCures(pot(MIXED), weather, { resin, now: MIXED + 200 * HOUR })).toEqual([]);
  });
  it('is told with the hour at which it falls below; at once where it is so now; never hard where it stays so', () => {
    const falls = MIXED + HOUR;
    const weather = [...steady(20), { at: falls, tempC: resin.leastC - 1, humidity: 50 }];
    const told = { job: 'Fillets', tempC: resin.leastC - 1, hardAt: null };
    expect(coldCures(pot(MIXED), weather, { resin, now: MIXED })).toEqual([{ ...told, from: falls }]);
    const now = falls + 2 * HOUR;
    expect(coldCures(pot(MIXED), weather, { resin, now })).toEqual([{ ...told, from: now }]);
  });
  it('a cold night puts off the hour at which it is hard by the night’s length, as nothing cures in it', () => {
    const [dusk, dawn] = [MIXED + HOUR, MIXED + 9 * HOUR];
    const night = [
      ...steady(resin.potC),
      { at: dusk, tempC: resin.leastC - 3, humidity: 50 },
      { at: dawn, tempC: resin.potC, humidity: 50 },
    ];
    const [one] = coldCures(pot(MIXED), night, { resin, now: MIXED });
    expect(one!.hardAt).toBeCloseTo(MIXED + (resin.sandHours + 8) * HOUR, 0);
    // past the night it is cold no more
    expect(coldCures(pot(MIXED), night, { resin, now: dawn })).toEqual([]);
  });
});
