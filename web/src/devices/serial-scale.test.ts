import { expect, it } from 'vitest';
import { gramsOfLine } from './serial-scale';

it.each([
  ['ST,GS,+  137.2 g', 137.2],
  ['-0,5 g', -0.5],
  ['US 1.250 kg', 1250],
  ['4.84 oz', 137.2116921],
  ['  58', 58],
  ['No. 3 net 24.00g', 24],
])('a line %j is so many grams', (line, grams) => expect(gramsOfLine(line)).toBeCloseTo(grams, 4));
it('a line without a figure is none', () => expect(gramsOfLine('Err')).toBeUndefined());
