/** The log: which entries stand, what they come to, what is said of them; by hand and by seeds. */
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { at } from '../geometry';
import { applyEdits, createDerive, demoProject, findingsOf, sheetsOfStage, wholeOf } from '../project';
import { judgeLog, type Judged } from './judge';
import { LOG_KINDS, NO_RECORDS, readRecords, type LogEntry, type LogRecords, type PotEntry } from './records';
import { standing } from './standing';
import { centsByUse, centsOf, epoxySums, hoursByGroup, minutesOf, moneyWords } from './sums';
import { figureWords, logTables } from './tables';
import { readHours, readMoney } from './typed';

const entry = (id: string, given: Partial<LogEntry> = {}): LogEntry => ({
  ...{ id, day: '2027-03-06', written: 1, kind: 'hours', job: '', jobName: '', group: '', parts: [], revision: 1 },
  ...{ words: '', answer: '', minutes: 0, cents: 0, on: '', drawn: 0, found: 0, pictures: [], corrects: '' },
  isTakenBack: false,
  ...given,
});
const pot = (at: number, given: Partial<Extract<PotEntry, { kind: 'mixed' }>> = {}): PotEntry => ({
  ...{ kind: 'mixed', at, job: 'fillets', number: 1, a: 200, b: 100, filler: 50, planned: 340 },
  ...{ potLife: 25, shopC: 18, by: 'scale', ...given },
});
const emptied = (of: number, thrown: number): PotEntry => ({
  ...{ kind: 'emptied', at: of + 1000, job: 'fillets', number: 1, of, thrown },
});

describe('entries that stand', () => {
  it('are the last of those that put one another right, in the order of the first', () => {
    const list = [
      entry('a', { minutes: 60 }),
      entry('b', { minutes: 30 }),
      entry('a2', { minutes: 90, corrects: 'a' }),
      entry('a3', { minutes: 75, corrects: 'a2' }),
    ];
    const stand = standing(list);
    expect(stand.map(({ id, first, minutes }) => [id, first, minutes])).toEqual([
      ['a3', 'a', 75],
      ['b', 'b', 30],
    ]);
    expect(at(stand, 0).before.map(({ id }) => id)).toEqual(['a', 'a2']);
    expect(minutesOf(stand)).toBe(105);
  });
  it('count once where two windows put one right at once, and where one is there twice', () => {
    const list = [entry('a', { minutes: 60 }), entry('x', { minutes: 50, corrects: 'a' })];
    expect(minutesOf(standing([...list, entry('y', { minutes: 55, corrects: 'a' })]))).toBe(55);
    expect(minutesOf(standing([...list, ...list]))).toBe(50);
  });
  it('are gone once taken back, and come again when that is put right', () => {
    const gone = [entry('a', { cents: 5, kind: 'money' }), entry('b', { corrects: 'a', isTakenBack: true })];
    expect(standing(gone)).toEqual([]);
    expect(centsOf(standing([...gone, entry('c', { corrects: 'b', cents: 7, kind: 'money' })]))).toBe(7);
  });
  it('name none but an earlier one: a name that comes later, its own, or nobody’s stands by itself', () => {
    const odd = [entry('a', { corrects: 'b' }), entry('b', { corrects: 'b' }), entry('c', { corrects: 'gone' })];
    expect(standing(odd).map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  });
  it('are by any order of putting right and taking back what a plain reading of the list gives (seed 7)', () => {
    const step = fc.record({ of: fc.nat(30), what: fc.constantFrom('new', 'right', 'back'), minutes: fc.nat(600) });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        const list: LogEntry[] = [];
        const now = new Map<number, number | null>(); // minutes of each first entry
        const firstOf: number[] = [];
        steps.forEach(({ of, what, minutes }, i) => {
          const isNew = what === 'new' || list.length === 0;
          const target = isNew ? i : of % list.length;
          const first = isNew ? i : (firstOf[target] ?? target);
          firstOf.push(first);
          const corrects = isNew ? '' : `e${target}`;
          list.push(entry(`e${i}`, { minutes, corrects, isTakenBack: !isNew && what === 'back' }));
          now.set(first, !isNew && what === 'back' ? null : minutes);
        });
        const plain = [...now.values()].reduce<number>((sum, minutes) => sum + (minutes ?? 0), 0);
        expect(minutesOf(standing(list))).toBe(plain);
      }),
      { seed: 7, numRuns: 300 },
    );
  });
});

describe('sums', () => {
  it('are those of the entries to the cent, however many and however they are typed', () => {
    const amounts = ['0.10', '0,20', '12', '-3.05', '1 234.5', '0.07'];
    const cents = amounts.map((text) => {
      const read = readMoney(text);
      return read.ok ? read.value : NaN;
    });
    expect(cents).toEqual([10, 20, 1200, -305, 123450, 7]);
    const many = Array.from({ length: 3000 }, (_, i) =>
      entry(String(i), { kind: 'money', cents: cents[i % 6]!, on: i % 2 === 0 ? 'sheets' : 'other' }),
    );
    expect(centsOf(many)).toBe(500 * (10 + 20 + 1200 - 305 + 123450 + 7));
    const by = centsByUse(many);
    expect((by.get('sheets') ?? 0) + (by.get('other') ?? 0)).toBe(centsOf(many));
    expect(moneyWords(-305)).toBe('-3.05');
  });
  it('of pots are in grams, and a pot emptied twice was emptied by the last', () => {
    expect(epoxySums([pot(1), pot(2), emptied(1, 40), emptied(1, 25), emptied(9, 500)])).toEqual({
      ...{ pots: 2, mixed: 700, thrown: 25 },
    });
    expect(epoxySums([])).toEqual({ pots: 0, mixed: 0, thrown: 0 });
  });
});

describe('what is typed', () => {
  it.each([
    ['1:30', 90],
    ['1.5', 90],
    ['1,25 h', 75],
    ['90 min', 90],
    ['1 h 5', 65],
    ['2h30', 150],
    ['0:01', 1],
    ['.5', 30],
    [' 24 ', 1440],
  ])('as hours %s is %i minutes', (text, minutes) => expect(readHours(text)).toEqual({ ok: true, value: minutes }));
  it.each(['', '0', '-1', '25', '1:75', 'two', '1:5:3', '1e3', '3 days', 'NaN'])('as hours “%s” is refused', (text) =>
    expect(readHours(text)).toMatchObject({ ok: false, expected: expect.stringContaining('1:30') as string }),
  );
  it.each(['', '1.234', '12.5.5', 'ten', '1e5', '999999999', '--3', '€ 5'])('as money “%s” is refused', (text) =>
    expect(readMoney(text)).toMatchObject({ ok: false, expected: expect.stringContaining('12.50') as string }),
  );
});

const tamsel = demoProject('tamsel', 'x');
const derived = createDerive()(tamsel);
const plan = derived.plan.value;
const plywood = plan.jobs.filter(({ group }) => group === 'plywood').slice(0, 2);
const judged = (records: Partial<LogRecords>, given: Partial<Judged> = {}) =>
  judgeLog({
    ...{ part: { budget: 0 }, records: { ...NO_RECORDS, ...records }, plan: { jobs: plan.jobs, done: [] } },
    ...{ own: { jobs: [], rates: tamsel.plan.rates }, leastC: 10, gapLeft: 3, ...given },
  });
const codes = (found: ReturnType<typeof judged>) => found.map(({ code }) => code);

describe('what is said of the log', () => {
  it('is nothing of an empty one, and of a quiet one', () => {
    expect(judged({})).toEqual([]);
    const quiet = [entry('a', { minutes: 720 }), entry('b', { kind: 'mistake', words: 'x', answer: 'made again' })];
    expect(judged({ entries: quiet, pots: [pot(1), emptied(1, 10)] })).toEqual([]);
  });
  it('is more than the budget, and not the budget itself', () => {
    const paid = (cents: number) =>
      judged({ entries: [entry('a', { kind: 'money', cents })] }, { part: { budget: 100 } });
    expect(paid(10_000)).toEqual([]);
    expect(at(paid(10_001), 0)).toMatchObject({ code: 'log-over-budget', data: { paid: 10_001, budget: 10_000 } });
  });
  it('is a clock left running, a cold pot, much thrown away, what is open', () => {
    expect(codes(judged({ entries: [entry('a', { minutes: 721 })] }))).toEqual(['log-long-stretch']);
    expect(codes(judged({ pots: [pot(1, { shopC: 9.5 }), pot(2, { shopC: 10 })] }))).toEqual(['log-cold-pot']);
    expect(codes(judged({ pots: [pot(1), pot(2), emptied(1, 106)] }))).toEqual(['log-much-thrown']);
    const open = [entry('a', { kind: 'mistake', words: 'x' }), entry('b', { kind: 'doubt', words: 'y', answer: ' ' })];
    expect(codes(judged({ entries: open }))).toEqual(['log-mistake-open', 'log-doubt-open']);
    const answered = entry('c', { ...at(open, 0), id: 'c', corrects: 'a', answer: 'cut anew' });
    expect(codes(judged({ entries: [...open, answered] }))).toEqual(['log-doubt-open']);
  });
  it('is a rate of one’s own, which planned makes the rest of that work longer, and is said no more', () => {
    const entries = plywood.map(({ id, name, minutes }) =>
      entry(id, { job: id, jobName: name, group: 'plywood', minutes: 2 * minutes }),
    );
    const done = plywood.map(({ id }) => ({ id, hours: null, notBefore: '', after: '', isDone: true }));
    const first = { ...tamsel, plan: { ...tamsel.plan, jobs: done } };
    const records = { ...NO_RECORDS, entries };
    const found = (project: typeof tamsel) =>
      findingsOf('log', createDerive()(project), { project, found: { log: records } });
    const [rate] = found(first);
    expect(rate).toMatchObject({ code: 'log-rate', data: { group: 'plywood', times: 2, jobs: 2 } });
    const applied = applyEdits(first, at(rate?.remedies ?? [], 0).edits);
    if (!applied.ok) throw new Error(applied.reason);
    expect(found(applied.project)).toEqual([]);
    const workOf = (project: typeof tamsel, group: string) =>
      createDerive()(project)
        .plan.value.jobs.filter((job) => job.group === group)
        .reduce((sum, { minutes }) => sum + minutes, 0);
    // each job to the next quarter of an hour
    expect(workOf(applied.project, 'plywood') / workOf(first, 'plywood')).toBeGreaterThan(1.9);
    expect(workOf(applied.project, 'plywood') / workOf(first, 'plywood')).toBeLessThanOrEqual(2);
    expect(workOf(applied.project, 'hull')).toBe(workOf(first, 'hull'));
  });
  it('takes no rate from jobs with hours of their own, that are not done, or of which nothing is written', () => {
    const hoursOf = (own: { id: string; hours: number | null }[], isDone: boolean) =>
      hoursByGroup(
        [entry('a', { job: at(plywood, 0).id, minutes: 500, group: 'hull' })],
        { jobs: plan.jobs, done: isDone ? plywood.map(({ id }) => id) : [] },
        own.map((one) => ({ ...one, notBefore: '', after: '', isDone })),
      ).find(({ group }) => group === 'plywood');
    expect(hoursOf([], true)).toMatchObject({ logged: 500, done: { jobs: 1, logged: 500 } });
    expect(hoursOf([{ id: at(plywood, 0).id, hours: 3 }], true)?.done.jobs).toBe(0);
    expect(hoursOf([], false)?.done.jobs).toBe(0);
  });
});

describe('the log that goes out', () => {
  const entries = [
    entry('a', { minutes: 90, jobName: 'Mark out, "twice"', words: 'a\nb; c' }),
    entry('b', { kind: 'money', cents: 1250, on: 'sheets', words: 'ply '.repeat(120), corrects: '' }),
    entry('c', { kind: 'measured', drawn: 1500, found: 1502.5, words: 'beam at station 3' }),
    entry('d', { kind: 'mistake', words: 'x'.repeat(300), answer: 'made again', pictures: ['p', 'q'] }),
    entry('e', { minutes: 95, corrects: 'a', jobName: 'Mark out' }),
    ...LOG_KINDS.map((kind, i) => entry(`k${i}`, { kind, day: `2027-04-0${i + 1}` })),
  ];
  const found = { log: { ...NO_RECORDS, entries, pots: [pot(1), emptied(1, 20)] } };
  it('has every entry as it was written in its table, with which of them stand', () => {
    const rows = at(logTables({ found }), 0).csv.split(/\r?\n/);
    expect(rows.filter((row) => /^\d{4}-/.test(row)).length).toBe(entries.length);
    expect(rows.find((row) => row.includes(',a,'))).toContain(',no,');
    expect(rows.find((row) => row.includes(',e,a'))).toContain(',yes,');
    expect(logTables({ found: {} })).toEqual([]);
  });
  it('stands on paper whole: every word of it, in lines that have room', () => {
    const [sheets] = sheetsOfStage('log', wholeOf(tamsel, derived, found));
    const texts = (sheets?.pages ?? []).flatMap((page) => page.texts.map(({ text }) => text));
    expect(texts.filter((text) => text.includes('..'))).toEqual([]);
    expect(texts.join(' ').match(/ply\b/g)?.length).toBe(120);
    expect(texts.join('').match(/x/g)?.length).toBeGreaterThanOrEqual(300);
    expect(texts).toContain('12.50');
    expect(texts).toContain('1 h 35 min');
    expect(texts).not.toContain('1 h 30 min');
  });
  it('says of a measure by how much it is off, small figures as small ones', () => {
    const words = (drawn: number, found: number, notation: 'mm' | 'ft-in-8ths') =>
      figureWords(entry('m', { kind: 'measured', drawn, found }), notation);
    expect(words(1500, 1502.5, 'mm')).toBe('2.5 mm over 1500 mm');
    expect(words(1500, 1499, 'mm')).toBe('1.0 mm under 1500 mm');
    expect(words(1500, 1500.01, 'mm')).toBe('1500 mm, as drawn');
    expect(words(914.4, 916, 'ft-in-8ths')).toBe('1/16 in over 3-0-0');
  });
});

describe('records that come in a file', () => {
  const whole = { entries: [entry('a')], pots: [pot(1)] };
  it('come as they went', () => {
    const { passedOver, ...records } = readRecords(JSON.parse(JSON.stringify(whole)));
    expect(records).toEqual({ ...NO_RECORDS, ...whole });
    expect(passedOver).toBe(0);
  });
  it.each([
    ['nothing', undefined, 0],
    ['no object', 'log', 1],
    ['no lists', { entries: {}, pots: 3 }, 1],
    ['a day that is none', { ...whole, entries: [entry('a', { day: '2027-02-30' }), entry('b')] }, 1],
    ['half a minute', { ...whole, entries: [entry('a', { minutes: 1.5 })] }, 1],
    ['a pot of nothing known', { ...whole, pots: [{ kind: 'boiled' }, pot(2)] }, 1],
    ['figures that are none', { ...whole, entries: [{ ...entry('a'), cents: '12' }, null] }, 2],
  ])('with %s: what is not whole is passed over and counted', (_name, data, passedOver) => {
    expect(readRecords(data).passedOver).toBe(passedOver);
  });
});
