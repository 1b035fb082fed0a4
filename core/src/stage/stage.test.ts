import { describe, expect, it } from 'vitest';
import { createMemory, isSame, makeAnew, oncePer, readerOf } from './index';

describe('two values', () => {
  it.each<[unknown, unknown]>([
    [
      { a: 1, b: [1, 2, { c: 'x' }] },
      { b: [1, 2, { c: 'x' }], a: 1 },
    ],
    [NaN, NaN],
    [new Float64Array([1, NaN]), new Float64Array([1, NaN])],
    [[], []],
  ])('%j and %j are the same', (a, b) => expect([isSame(a, b), isSame(b, a)]).toEqual([true, true]));
  it.each<[unknown, unknown]>([
    [0, -0],
    [null, undefined],
    [null, {}],
    [[], {}],
    [{ a: undefined }, {}],
    [{ a: undefined }, { b: undefined }],
    [[1, 2], [1]],
    [{ a: [{ b: 1 }] }, { a: [{ b: 2 }] }],
    ['1', 1],
  ])('%j and %j are not', (a, b) => expect([isSame(a, b), isSame(b, a)]).toEqual([false, false]));
});

describe('a reader', () => {
  type Data = { readonly lists: { readonly own: { size?: number }; readonly other: readonly number[] }; value: number };
  const data: Data = { lists: { own: { size: 3 }, other: [1, 2] }, value: 7 };
  const read = (use: (view: Data) => unknown) => {
    const reader = readerOf(data, { lists: 3 });
    use(reader.view);
    return reader;
  };
  it('still holds while what was read of it is the same, whatever became of the rest', () => {
    const size = read(({ lists }) => lists.own.size);
    expect(size.stillHolds({ lists: { own: { size: 3 }, other: [9] }, value: 8 })).toBe(true);
    expect(size.stillHolds({ ...data, lists: { ...data.lists, own: { size: 4 } } })).toBe(false);
    expect(size.stillHolds({ ...data, lists: { ...data.lists, own: {} } })).toBe(false);
    expect(read(({ value }) => value).stillHolds({ ...data, value: 8 })).toBe(false);
  });
  it('compares lists by their content', () => {
    const other = read(({ lists }) => lists.other);
    expect(other.stillHolds({ ...data, lists: { ...data.lists, other: [1, 2] } })).toBe(true);
    expect(other.stillHolds({ ...data, lists: { ...data.lists, other: [1, 3] } })).toBe(false);
  });
  it.each<[string, (view: Data) => unknown]>([
    ['spread', ({ lists }) => ({ ...lists.own })],
    ['listed', ({ lists }) => Object.keys(lists.own)],
    ['asked for a key', ({ lists }) => 'size' in lists.own],
    ['taken apart with a rest', ({ lists: { own } }) => (({ ...rest }) => rest)(own)],
  ])('notes which keys there were when a record is %s', (_how, use) => {
    expect(read(use).stillHolds({ ...data, lists: { ...data.lists, own: {} } })).toBe(false);
  });
  it('gives frozen data as it is', () => {
    const frozen = Object.freeze({ lists: Object.freeze({ own: Object.freeze({ size: 3 }), other: [1] }), value: 1 });
    expect(readerOf<Data>(frozen, { lists: 3 }).view.lists.own.size).toBe(3);
  });
});

describe('a memory', () => {
  const sum = (numbers: readonly number[], plus: number) => ({ total: numbers.reduce((a, b) => a + b, plus) });
  const made: string[] = [];
  const memory = createMemory((id) => made.push(id));
  it('gives the same thing again for the same content, and makes it anew for another', () => {
    const first = memory.remember('sum', sum, [1, 2], 3);
    expect(first).toEqual({ total: 6 });
    expect(memory.remember('sum', sum, [1, 2], 3)).toBe(first);
    expect(memory.remember('sum', sum, [1, 2], 4)).toEqual({ total: 7 });
    expect(made).toEqual(['sum', 'sum']);
  });
  it('is not taken in by another function under the same id', () => {
    memory.remember('one', sum, [1], 0);
    expect(memory.remember('one', (numbers: readonly number[], by: number) => numbers.length * by, [1], 0)).toBe(0);
  });
  it('keeps the answer before the last, for what is undone, and none before that', () => {
    const [first, second] = [1, 2].map((by) => memory.remember('undone', sum, [1], by));
    expect(memory.remember('undone', sum, [1], 1)).toBe(first);
    expect(memory.remember('undone', sum, [1], 2)).toBe(second);
    memory.remember('undone', sum, [1], 3);
    expect(memory.remember('undone', sum, [1], 1)).not.toBe(first);
  });
  it('lets go of what was asked for neither since it last settled nor before that', () => {
    const before = memory.remember('gone', sum, [1], 1);
    memory.settle();
    memory.settle();
    expect(memory.remember('gone', sum, [1], 1)).toBe(before);
    memory.settle();
    memory.settle();
    memory.settle();
    expect(memory.remember('gone', sum, [1], 1)).not.toBe(before);
  });
  it('refuses a reader’s view, of which more may be read later', () => {
    const { view } = readerOf({ own: { size: 1 } }, { own: 2 });
    expect(() => memory.remember('view', (one: object) => one, view)).toThrow('"view" was given a reader');
  });
  it('has a counterpart that keeps nothing', () => {
    expect(makeAnew('sum', sum, [1], 1)).not.toBe(makeAnew('sum', sum, [1], 1));
  });
  it('works a thing out once for as long as it is the same object', () => {
    let times = 0;
    const count = oncePer((list: readonly number[]) => ++times + list.length);
    const list = [1, 2];
    expect([count(list), count(list), count([...list])]).toEqual([3, 3, 4]);
  });
});
