import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { spread } from './spread';

describe('labels moved apart', () => {
  it('stay where they are while they are clear of one another', () => {
    expect(spread([30, 0, 15], 10)).toEqual([30, 0, 15]);
    expect(spread([], 10)).toEqual([]);
  });
  it('part evenly about the place that they share', () => {
    expect(spread([100, 100, 100], 12)).toEqual([88, 100, 112]);
    expect(spread([0, 4, 50], 10)).toEqual([-3, 7, 50]);
  });
  it('take the room that each needs', () => {
    const [a = 0, b = 0, c = 0] = spread([100, 100, 100], [10, 40, 10]);
    expect([b - a, c - b]).toEqual([25, 25]);
    expect(spread([0, 30], [10, 40])).toEqual([0, 30]);
  });
  it('end up a gap apart, in their order, about the same middle (seed 3)', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 200 }), { minLength: 1, maxLength: 12 }), (places) => {
        const moved = spread(places, 9);
        const sorted = [...moved].sort((a, b) => a - b);
        sorted.slice(1).forEach((place, i) => expect(place - (sorted[i] ?? 0)).toBeGreaterThan(9 - 1e-9));
        places.forEach((a, i) => places.forEach((b, j) => a < b && expect(moved[i]).toBeLessThan(moved[j] ?? 0)));
        const mean = (list: readonly number[]) => list.reduce((sum, place) => sum + place, 0) / list.length;
        expect(mean(moved)).toBeCloseTo(mean(places), 6);
      }),
      { seed: 3 },
    );
  });
});
