import { describe, expect, it } from 'vitest';
import { nest } from './nest';
import { leastSheets, sheetsByLength } from './progress';
import type { NestJob } from './schema';

const boards = (count: number): NestJob => ({
  ...{ gap: 0, margin: 0, sheets: [{ id: 'A', width: 1000, height: 500, qty: 9 }] },
  parts: [
    {
      ...{ id: 'p', holes: [], qty: count, rotations: [0], mirror: false },
      outline: [
        [0, 0],
        [250, 0],
        [250, 500],
        [0, 500],
      ],
    },
  ],
});

describe('how far a search has come', () => {
  it.each([1, 3, 4, 5, 10])('%s boards, of which four fill a sheet', (count) => {
    const job = boards(count);
    const result = nest(job, { seed: 1, rounds: 2 });
    expect(sheetsByLength(result, job)).toBeCloseTo(count / 4, 6);
    expect(leastSheets(job)).toBeCloseTo(count / 4, 9);
  });
  it('counts whole sheets where something is left over, and none where there is nothing', () => {
    const short = { ...boards(9), sheets: [{ id: 'A', width: 1000, height: 500, qty: 2 }] };
    expect(sheetsByLength(nest(short, { seed: 1, rounds: 1 }), short)).toBe(2);
    const none = boards(0);
    expect([sheetsByLength(nest(none, { seed: 1, rounds: 1 }), none), leastSheets(none)]).toEqual([0, 0]);
  });
  it('is never under the least', () => {
    const job = { ...boards(7), margin: 10, sheets: [{ id: 'A', width: 1100, height: 530, qty: 9 }] };
    const result = nest(job, { seed: 2, rounds: 6 });
    expect(sheetsByLength(result, job)).toBeGreaterThan(leastSheets(job) * 0.9);
  });
});
