import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createDerive, demoProject, DEMO_IDS } from '@kalotrope/core/project';
import { pack, unpack } from './packing';

const back = (data: unknown) => unpack(structuredClone(pack(data)));

describe('packed data', () => {
  it('comes back as it was, whatever it is (seed 21)', () => {
    const leaf = fc.oneof(fc.double(), fc.string(), fc.boolean(), fc.constantFrom(null, undefined));
    const { thing } = fc.letrec((tie) => ({
      thing: fc.oneof({ depthSize: 'medium' }, leaf, tie('list'), tie('points'), tie('record')),
      list: fc.array(tie('thing'), { maxLength: 20 }),
      points: fc.array(fc.tuple(fc.double(), fc.double()), { maxLength: 20 }),
      record: fc.dictionary(fc.string(), tie('thing'), { noNullPrototype: true }),
    }));
    fc.assert(
      fc.property(thing, (data) => {
        expect(back(data)).toEqual(data);
      }),
      { seed: 21, numRuns: 400 },
    );
  });
  it('keeps figures to the last bit, and what is no figure', () => {
    const odd = [NaN, Infinity, -Infinity, -0, 5e-324, Number.MAX_VALUE, 0.1 + 0.2];
    expect(back(odd)).toEqual(odd);
    expect(
      back([
        [1, -0],
        [NaN, 2],
      ]),
    ).toEqual([
      [1, -0],
      [NaN, 2],
    ]);
  });
  it('has a long list that comes twice as one list', () => {
    const list = Array.from({ length: 40 }, (_, i) => ({ i }));
    const points = Array.from({ length: 40 }, (_, i) => [i, i + 1]);
    const { a, b, c, d } = back({ a: list, b: [list], c: points, d: points }) as Record<string, unknown[]>;
    expect(b?.[0]).toBe(a);
    expect(d).toBe(c);
    expect([a, c]).toEqual([list, points]);
  });
  it.each(DEMO_IDS)('brings over all that is worked out for %s', (id) => {
    const derived = createDerive()(demoProject(id, 'x'));
    expect(back(derived)).toEqual(derived);
  });
  it('refuses what is no plain data', () => {
    expect(() => pack({ act: () => 1 })).toThrow(/A function cannot be packed/);
  });
});
