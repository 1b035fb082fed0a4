import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { marksIn } from './marks';
import {
  DIVISION_MM,
  NOTATIONS,
  formatLength,
  formatScantling,
  formatWithUnit,
  lostInRounding,
  parseLength,
} from './length';

const mmOf = (text: string, notation: (typeof NOTATIONS)[number] = 'mm') => {
  const parsed = parseLength(text, notation);
  return parsed.ok ? parsed.mm : undefined;
};

describe('parseLength', () => {
  // Worked by hand: 3 ft 7 in 6/8 = 914.4 + 177.8 + 19.05 = 1111.25 mm, in every notation of the trade.
  it.each([
    ['3-7-6', 1111.25],
    ['43 3/4"', 1111.25],
    ['43-3/4"', 1111.25],
    ['43¾"', 1111.25],
    ['1111.25', 1111.25],
    ['1111,25 mm', 1111.25],
    ['111.125 cm', 1111.25],
    ['1.11125 m', 1111.25],
    ['3\' 7 3/4"', 1111.25],
    ['3′ 7¾″', 1111.25],
    ['3\'-7.75"', 1111.25],
    ['3 ft 7 3/4 in', 1111.25],
    ['43.75 in', 1111.25],
    ['3-7-6+', 1111.25 + 25.4 / 16],
    ['3-7-6-', 1111.25 - 25.4 / 16],
    ['3.7.6', 1111.25],
    ['3 7 6', 1111.25],
    ['3 7 6+', 1111.25 + 25.4 / 16],
    ['-0-1-0', -25.4],
    ['0', 0],
    ['-0', 0],
  ])('reads %s', (text, mm) => expect(mmOf(text)).toBeCloseTo(mm, 9));

  it.each([
    ['1,234.5', 1234.5],
    ['1.234,5', 1234.5],
    ['1 234', 1234],
    ['1\u202f234,5', 1234.5],
    ['0.125', 0.125],
    ['0,900', 0.9],
    ['1800.000', 1800],
    ['12,5', 12.5],
    ['1.900 m', 1900],
    ['43,125"', 43.125 * 25.4],
  ])('reads the marks of %s, which can be read one way only', (text, mm) => expect(mmOf(text)).toBeCloseTo(mm, 9));
  it.each([
    ['1,800', 'mm', '1.8 or 1800'],
    ['1.900', 'mm', '1.9 or 1900'],
    ['-1.900', 'mm', '1.9 or 1900'],
    ['450.125 mm', 'in', '450.125 or 450125'],
  ] as const)('asks which is meant by %s in a table of %s', (text, notation, readings) => {
    expect(parseLength(text, notation)).toMatchObject({ ok: false, expected: expect.stringContaining(readings) });
  });
  it.each(["1'200", "3' 12", '3 ft 14 in'])('refuses %s: no foot has 12 inches and more after it', (text) => {
    expect(parseLength(text, 'mm')).toMatchObject({ ok: false, expected: expect.stringContaining('under 12 inches') });
  });
  it('is told by the figures around which it is', () => {
    const among = (text: string, ...others: string[]) => {
      const parsed = parseLength(text, 'mm', marksIn([text, ...others]));
      return parsed.ok ? parsed.mm : parsed.expected;
    };
    expect(among('1.900', '12.5', '600')).toBe(1.9);
    expect(among('1.900', '1800.000')).toBe(1.9);
    expect(among('1.900', '12,5')).toBe(1900); // a comma sets off the decimals, so a point does not
    expect(among('1,800', '1,234.5')).toBe(1800);
    expect(among('1,800', '2,345,678')).toBe(1800);
    expect(among('1.900', '600', '1200')).toMatch(/either way/);
    expect(among('1.900', '12.5', '1.234,5')).toMatch(/either way/); // both ways in one table
  });

  it('takes the project unit for a bare number only', () => {
    expect(mmOf('10', 'm')).toBe(10_000);
    expect(mmOf('10', 'in-16')).toBe(254);
    expect(mmOf('10 mm', 'in')).toBe(10);
    expect(mmOf('3/4', 'in-16')).toBeCloseTo(19.05, 9);
  });

  it.each(['', 'abc', '3-12-0', '3-7-8', '1/0"', '3/4', '1 2 3 4', '--4', '1e9', '9'.repeat(400), '4 furlongs', '3-7'])(
    'refuses "%s" and says what would be accepted',
    (text) => {
      const parsed = parseLength(text, 'mm');
      expect(parsed.ok).toBe(false);
      if (!parsed.ok) expect(parsed.expected).toMatch(/length/);
    },
  );

  it('never throws, whatever is typed (seed 1)', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom(...NOTATIONS), (text, notation) => {
        const parsed = parseLength(text, notation);
        return !parsed.ok || Number.isFinite(parsed.mm);
      }),
      { seed: 1, numRuns: 2000 },
    );
  });
});

describe('formatLength', () => {
  it('writes each notation', () => {
    expect(NOTATIONS.map((notation) => formatLength(1111.25, notation))).toEqual([
      '1111',
      '1.111',
      '43.75',
      '43 3/4',
      '43 3/4',
      '3-7-6',
    ]);
    expect(formatLength(1111.25 + 25.4 / 16, 'ft-in-8ths')).toBe('3-7-6+');
    expect(formatWithUnit(-0.2, 'mm')).toBe('0 mm');
  });

  it('is read back within half a division, in every notation (seed 2)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20_000, max: 20_000, noNaN: true }),
        fc.constantFrom(...NOTATIONS),
        (mm, notation) => {
          const parsed = parseLength(formatLength(mm, notation), notation);
          return parsed.ok && Math.abs(parsed.mm - mm) <= DIVISION_MM[notation] / 2 + 1e-9;
        },
      ),
      { seed: 2, numRuns: 2000 },
    );
  });

  it('is read back exactly when written on a division, unit and all (seed 3)', () => {
    fc.assert(
      fc.property(fc.integer({ min: -9_999, max: 9_999 }), fc.constantFrom(...NOTATIONS), (count, notation) => {
        const mm = count * DIVISION_MM[notation];
        const parsed = parseLength(formatWithUnit(mm, notation), 'mm');
        return parsed.ok && Math.abs(parsed.mm - mm) < 1e-9 && Math.abs(lostInRounding(mm, notation)) < 1e-9;
      }),
      { seed: 3 },
    );
  });
});

describe('a side of timber', () => {
  it('is in the fractions that a saw is set by, never in feet', () => {
    expect([20, 19.05, 44.5].map((mm) => formatScantling(mm, 'mm'))).toEqual(['20 mm', '19.1 mm', '44.5 mm']);
    expect([19.05, 38.1, 304.8].map((mm) => formatScantling(mm, 'ft-in-8ths'))).toEqual([
      '3/4 in',
      '1 1/2 in',
      '12 in',
    ]);
    expect(formatScantling(19.05, 'in')).toBe('0.750 in');
  });
});
