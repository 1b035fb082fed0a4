import { describe, expect, it } from 'vitest';
import type { PotRecord } from '../../storage/pots';
import { clockWords } from '../../controls/clock-words';
import { countdown, samplesDue, scaleFigure, softPots } from './shown';

const HOUR = 3_600_000;
const NOON = new Date(2026, 5, 10, 12, 0).getTime();
const mixed = (at: number, number = 1): PotRecord => ({
  ...{ kind: 'mixed', project: 'p', at, job: 'Fillets', number },
  ...{ a: 100, b: 42, filler: 60, planned: 202, potLife: 20, shopC: 18, by: 'scale' },
});
const sample = (of: number, isHard: boolean, at = of + 30 * HOUR): PotRecord => ({
  ...{ kind: 'sample', project: 'p', at, job: 'Fillets', number: 1, of, isHard },
});

describe('a scale’s figures', () => {
  it.each([
    [12.34, 'mm', 1, '12'],
    [12.34, 'mm', 0.1, '12.3'],
    [-0.01, 'mm', 0.1, '0.0'],
    [28.349523125, 'in-16', 2.8349523125, '1.0'],
  ] as const)('%f g in %s on a scale of %f g is shown as %s', (grams, notation, scale, shown) => {
    expect(scaleFigure(grams, notation, scale)).toBe(shown);
  });
});

describe('clock times', () => {
  it.each([
    [0, '12:00'],
    [14, 'tomorrow 02:00'],
    [-13, 'Tue 9 Jun 23:00'],
    [40, 'Fri 12 Jun 04:00'],
  ])('%d hours from noon', (hours, words) => expect(clockWords(NOON + hours * HOUR, NOON)).toBe(words));
  it('count down to nought and no further', () => {
    expect([65_000, 64_001, 900, 0, -5000].map(countdown)).toEqual(['1:05', '1:05', '0:01', '0:00', '0:00']);
  });
});

describe('samples', () => {
  const pot = mixed(NOON);
  const due = (records: readonly PotRecord[], hours: number, sand = 24) =>
    samplesDue(records, NOON + hours * HOUR, sand).length;
  it('are asked for after a night, not before, and not after a week', () => {
    expect([due([pot], 23), due([pot], 24), due([pot], 7 * 24)]).toEqual([0, 1, 0]);
  });
  it('of a quick resin are asked for as soon as it can be sanded', () => expect(due([pot], 8, 7)).toBe(1));
  it('that were looked at are not asked for again; a soft one is told until it is hard', () => {
    expect(due([pot, sample(NOON, false)], 30)).toBe(0);
    expect(softPots([pot, sample(NOON, false)])).toEqual([pot]);
    expect(softPots([pot, sample(NOON, false), sample(NOON, true, NOON + 60 * HOUR)])).toEqual([]);
    expect(softPots([pot])).toEqual([]);
  });
});
