import { describe, expect, it } from 'vitest';
import { random } from '../../geometry';
import { NOTHING_POURED, pourTo, watchScale, weighingOf, type Poured, type Reading } from '.';

const asked = { a: 137, b: 58, filler: 83, ratio: 2.371, greatestPot: 400, scale: 1 };
const after = (...readings: number[]): Poured =>
  readings.reduce<Poured>((poured, reading) => pourTo(asked, poured, reading) ?? poured, NOTHING_POURED);

describe('weighing a pot', () => {
  it('asks for A, then for B after what was poured of A, then for filler after both', () => {
    expect(weighingOf(asked, after())).toMatchObject({ step: 'a', reads: 137, low: 137 * 0.97 });
    // 140 of A: 140 / 2.371 = 59.05 of B
    expect(weighingOf(asked, after(140))).toMatchObject({ step: 'b', reads: expect.closeTo(199.05, 2) as number });
    const filler = weighingOf(asked, after(140, 199));
    expect(filler).toMatchObject({ step: 'filler', grams: expect.closeTo((83 * 199) / 195, 9) as number });
    expect(weighingOf(asked, after(140, 199, 284))).toMatchObject({ step: 'done', total: 284 });
  });
  it('B 6 % over: more of A, to the reading at which the ratio is true again', () => {
    const over = after(137, 137 + 1.06 * (137 / 2.371));
    const put = weighingOf(asked, over);
    expect(put).toMatchObject({ step: 'add-a', grams: expect.closeTo(0.06 * 137, 6) as number });
    const right = put.step === 'add-a' ? pourTo(asked, over, put.reads) : undefined;
    expect(right && weighingOf(asked, right)).toMatchObject({ step: 'filler' });
  });
  it('A taken for B, and poured on top: more of B; but no pot heavier than is safe', () => {
    expect(weighingOf(asked, { a: 150, b: 50, filler: null })).toMatchObject({ step: 'add-b' });
    expect(weighingOf(asked, { a: 137, b: 137, filler: null })).toMatchObject({
      step: 'spoiled',
      wouldBe: expect.closeTo((137 + 137 * 2.371) * (1 + 83 / 195), 0) as number,
    });
  });
  it('asks for no more than the scale can show: a pot of 7 and 3 g is right, and so is one of 2 and 1', () => {
    for (const [a, b] of [
      [7, 3],
      [2, 1],
    ] as const)
      expect(weighingOf({ ...asked, a, b, filler: 0 }, { a, b, filler: null })).toMatchObject({ step: 'done' });
    expect(weighingOf({ ...asked, a: 7, b: 3 }, { a: 7, b: null, filler: null })).toMatchObject({
      low: expect.closeTo(7 + 7 / 2.371 - 0.5, 9) as number,
    });
  });
  it('takes any addition that brings the ratio back within its 3 %', () => {
    const over: Poured = { a: 137, b: 61.5, filler: null };
    const put = weighingOf(asked, over);
    if (put.step !== 'add-a') throw new Error(put.step);
    for (const reading of [put.low + 0.01, put.high - 0.01])
      expect(weighingOf(asked, pourTo(asked, over, reading)!).step).toBe('filler');
  });
  it('takes no reading that is less than what is in the pot', () => {
    expect(pourTo(asked, { a: 137, b: null, filler: null }, 120)).toBeUndefined();
    expect(pourTo(asked, NOTHING_POURED, NaN)).toBeUndefined();
  });
});

/** Four readings a second of a load, with a tremble of some hundredths as a live scale has. */
function sent(seconds: number, load: (s: number) => number): Reading[] {
  const next = random(3);
  return Array.from({ length: seconds * 4 }, (_, k) => ({ at: k * 250, grams: load(k / 4) + 0.06 * (next() - 0.5) }));
}
const judged = (readings: readonly Reading[], now = readings[readings.length - 1]!.at) =>
  watchScale(readings, now).fault;

describe('a scale that is watched', () => {
  it('is believed at rest, with something put on it, and while somebody pours', () => {
    expect(judged(sent(20, () => 137))).toBeNull();
    expect(judged(sent(20, (s) => (s < 10 ? 0 : 24)))).toBeNull();
    expect(judged(sent(20, (s) => Math.min(137, 14 * s)))).toBeNull();
    expect(judged(sent(20, (s) => 137 - 0.6 * Math.exp(-s)))).toBeNull(); // settling
  });
  it.each([2, -2, 5])('is known to drift at %s g a minute', (rate) => {
    expect(judged(sent(20, (s) => 137 + (rate * s) / 60))).toBe('drifting');
  });
  it('is lost when nothing comes, and at first', () => {
    const readings = sent(5, () => 137);
    expect(judged(readings, 4750 + 1501)).toBe('lost');
    expect(watchScale([], 0)).toEqual({ grams: null, fault: 'lost' });
  });
  it('is frozen when it says the very same for three seconds', () => {
    const frozen = sent(10, () => 137).map((one, k, all) => (k < 20 ? one : { ...one, grams: all[20]!.grams }));
    expect(judged(frozen)).toBe('frozen');
    expect(judged(frozen.slice(0, 24))).toBeNull(); // four times is chance
  });
  it('has jumped when one reading stands alone, and is not weighed by it', () => {
    const spiked = sent(10, () => 137).map((one, k) => (k === 38 ? { ...one, grams: 190 } : one));
    expect(judged(spiked)).toBe('jumped');
    expect(watchScale(spiked, 9750).grams).toBeCloseTo(137, 0);
  });
});
