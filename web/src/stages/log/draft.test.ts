import { describe, expect, it } from 'vitest';
import { LOG_KINDS, type LogEntry } from '@kalotrope/core/log';
import { demoProject, createDerive } from '@kalotrope/core/project';
import { potRows, moneyRows } from './chart-rows';
import { draftOf, emptyDraft, entryOf, missing } from './draft';
import { entryNow } from '../../storage/entry-now';

const NOON = new Date(2027, 2, 6, 12).getTime();
const { jobs } = createDerive()(demoProject('tamsel', 'x')).plan.value;
const job = jobs[0]!; // it has some

describe('what is being written down', () => {
  it('is of today, and lacks what its kind wants: said field by field', () => {
    const draft = emptyDraft(NOON);
    expect(draft.day).toBe('2027-03-06');
    expect(missing(draft)).toEqual({ hours: expect.stringContaining('1:30') as string });
    expect(missing({ ...draft, hours: '1:30', day: '' })).toEqual({ day: 'Expected a day' });
    expect(missing({ ...draft, kind: 'money', amount: '12.345' })).toHaveProperty('amount');
    for (const kind of ['mistake', 'doubt', 'note', 'measured'] as const) {
      expect(missing({ ...draft, kind })).toHaveProperty('words');
      expect(missing({ ...draft, kind, words: 'x' })).toEqual({});
    }
    // a photograph says enough
    expect(missing({ ...draft, kind: 'note', pictures: ['p'] })).toEqual({});
  });
  it('makes an entry with nothing in it that its kind has not, and comes back from it as it was', () => {
    const full = {
      ...{ ...emptyDraft(NOON), job: job.id, parts: ['Bottom'], hours: '1:05', amount: '12.50', on: 'sheets' },
      ...{ drawn: 100, found: 101.5, words: 'w', answer: 'a', pictures: ['p'] },
    };
    for (const kind of LOG_KINDS) {
      const entry = entryNow(entryOf({ ...full, kind }, jobs), 3);
      expect(entry).toMatchObject({ kind, job: job.id, jobName: job.name, group: job.group, revision: 3 });
      expect(entry.minutes).toBe(kind === 'hours' ? 65 : 0);
      expect(entry.cents).toBe(kind === 'money' ? 1250 : 0);
      expect([entry.drawn, entry.found]).toEqual(kind === 'measured' ? [100, 101.5] : [0, 0]);
      const again = entryNow(entryOf(draftOf(entry), jobs), 3);
      expect({ ...again, id: '', written: 0 }).toEqual({ ...entry, id: '', written: 0 });
    }
  });
  it('keeps the name of a job that is in the plan no more', () => {
    const before = { job: 'gone', jobName: 'Make bulkhead 9', group: 'framework' } as LogEntry; // all that is looked at
    const draft = { ...emptyDraft(NOON), job: 'gone', hours: '1' };
    expect(entryOf(draft, jobs, before)).toMatchObject({ jobName: 'Make bulkhead 9', group: 'framework' });
    expect(entryOf(draft, jobs)).toMatchObject({ jobName: '', group: '' });
  });
});

describe('the rows of the charts', () => {
  const line = { id: 'l', what: 'ply', howMuch: '2', qty: 2, there: 0, price: 80, from: '' };
  const paid = (on: string, cents: number) => ({ ...entryNow({ kind: 'money', on, cents }, 1), first: '', before: [] });
  it('of money have the list beside what was paid; what no stage buys is other', () => {
    const groups = [{ stage: 'sheets', title: 'Sheets', lines: [line] }] as const;
    expect(
      moneyRows(
        [paid('sheets', 15_000), paid('timber', 700), paid('other', 5), paid('a stage that is gone', 2)],
        groups,
      ),
    ).toEqual([
      { name: 'Sheets', planned: 160, taken: 150 },
      { name: 'Timber', planned: 0, taken: 7 },
      { name: 'other', planned: 0, taken: 0.07 },
    ]);
    expect(moneyRows([], [])).toEqual([]);
  });
  it('of pots have what was used and thrown away by job, and the coldest', () => {
    const pot = {
      kind: 'mixed',
      number: 1,
      a: 200,
      b: 100,
      filler: 0,
      planned: 300,
      potLife: 20,
      by: 'typed',
    } as const;
    const pots = [
      { ...pot, at: 1, job: job.id, shopC: 18 },
      { ...pot, at: 2, job: job.id, shopC: 12 },
      { kind: 'emptied', at: 3, job: job.id, number: 1, of: 1, thrown: 40 } as const,
    ];
    expect(potRows(pots, jobs)).toEqual([{ name: job.name, used: 560, thrown: 40, coldestC: 12 }]);
  });
});
