import { expect, it } from 'vitest';
import { readFigure } from './read-figure';

it.each([
  ['2580,5', 'length', 'mm', 2580.5],
  [' −3 ', 'length', 'mm', -3],
  ['5-0-2', 'length', 'ft-in-8ths', 1530.35],
  ['0,4', 'degrees', 'mm', 0.4],
  ['−1.5°', 'degrees', 'mm', -1.5],
] as const)('%s is understood', (text, kind, notation, value) => {
  const read = readFigure(text, kind, notation);
  expect(read.ok && read.value).toBeCloseTo(value, 6);
});
it.each([
  ['', 'degrees', /^degrees/],
  ['steep', 'degrees', /^degrees/],
  ['91', 'degrees', /^degrees/],
  ['a foot', 'length', /./],
  ['', 'length', /./],
  ['200000', 'length', /^up to 100\s?000 mm/],
] as const)('"%s" is not, and what would be is said', (text, kind, expected) => {
  const read = readFigure(text, kind, 'mm');
  expect(read.ok ? 'taken' : read.expected).toMatch(expected);
});
