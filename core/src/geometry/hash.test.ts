import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hashOf } from './hash';

describe('the mark of plain data', () => {
  it('is the same for the same content and another for another', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
        expect(hashOf(structuredClone(a))).toBe(hashOf(a));
        expect(hashOf(a) === hashOf(b)).toBe(JSON.stringify(a) === JSON.stringify(b));
      }),
      { seed: 5, numRuns: 500 },
    );
  });
  it.each<[unknown, unknown]>([
    [
      [1, [2]],
      [[1], 2],
    ],
    [['ab'], ['a', 'b']],
    [{ a: { b: 1 } }, { a: {}, b: 1 }],
    [1, '1'],
    [0.1 + 0.2, 0.3],
    [null, undefined],
  ])('tells %j from %j', (a, b) => expect(hashOf(a)).not.toBe(hashOf(b)));
});
