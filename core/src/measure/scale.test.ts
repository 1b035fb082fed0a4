import { expect, it } from 'vitest';
import { parseScale } from './scale';

it.each([
  ['10', 10],
  ['1:10', 10],
  ['1 / 12.5', 12.5],
  ['2:25', 12.5],
  ['1 in = 1 ft', 12],
  ['1/2" = 1\'', 24],
  ['1 1/2 in = 1 ft', 8],
  ['1 cm = 100 mm', 10],
])('the scale %s is 1 to %d', (text, value) => {
  const parsed = parseScale(text);
  expect(parsed.ok && parsed.value).toBeCloseTo(value, 9);
});

it.each(['', 'ten', '0', '1:0', '0:10', '1:2000', '10:1', '1 in = ', '1 = 2 = 3', '1 in = 1 ft = 2 ft'])(
  'the scale "%s" is refused, and told what would do',
  (text) => {
    expect(parseScale(text)).toMatchObject({ ok: false, expected: expect.stringContaining('1 in = 1 ft') });
  },
);
