/** The search: what it makes of layouts that are not valid, that are loose, and that cannot be better. */
import { describe, expect, it } from 'vitest';
import { random } from '../../geometry';
import { createDerive, demoProject } from '../../project';
import { faultsOf } from '../check';
import { layDown, resultOf } from '../lay-down';
import { posesOf } from '../laying/poses';
import { nest } from '../nest';
import { nestJobSchema, type NestJob } from '../schema';
import { layoutOf, startOf } from '../search-start';
import { search } from './search';

const rectangle = (w: number, h: number): [number, number][] => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
];
const jobOf = (parts: object[], sheets: object[], gap = 6): NestJob =>
  nestJobSchema.parse({ gap, margin: 8, sheets, parts });

/** From what laying down came to, or all of it in one heap: the last layout that was found, and how many were. */
function searched(job: NestJob, { rounds, isHeap = false }: { rounds: number; isHeap?: boolean }) {
  const poses = job.parts.map(posesOf);
  const first = layDown(job, { seed: 1, rounds: 1, poses });
  const from = startOf(job, { poses, first, seed: 1 });
  if (!from) throw new Error('nothing to lay out');
  if (isHeap) from.start.x.fill(100);
  let [round, count] = [0, 0];
  let last = resultOf(first, job);
  search({
    ...from,
    isValid: !isHeap,
    next01: random(2),
    isOver: () => false,
    onSweep: () => ++round >= rounds,
    onFound: ({ places }) => {
      last = resultOf(layoutOf(from, places, poses), job);
      count++;
      return true;
    },
  });
  return { last, count };
}

describe('the search', () => {
  it('separates a heap: nine rectangles with little room to spare', () => {
    const job = jobOf(
      [{ id: 'r', outline: rectangle(100, 60), qty: 9 }],
      [{ id: 'A', width: 345, height: 220, qty: 1 }],
    );
    const { last, count } = searched(job, { rounds: 400, isHeap: true });
    expect(count).toBeGreaterThan(0);
    expect(faultsOf(job, last)).toEqual([]);
    expect(last.unplaced).toEqual([]);
  });
  it('ends by itself where less room is left than the parts have area', () => {
    const job = jobOf([{ id: 'r', outline: rectangle(204, 104) }], [{ id: 'A', width: 220, height: 120, qty: 1 }]);
    expect(searched(job, { rounds: 1e9 }).count).toBe(0);
  });
  it('takes a sheet away that laying down needed', () => {
    const { job } = createDerive()(demoProject('orrin', 'x')).sheets.value.batches[0]!;
    const laid = nest(job, { seed: 1, rounds: 4 });
    const found = nest(job, { seed: 1, rounds: 400 });
    expect([laid.sheetsUsed, found.sheetsUsed]).toEqual([3, 2]);
    expect(faultsOf(job, found)).toEqual([]);
  });
  it('finds a place for what was left over', () => {
    // two long ones with an upright one beside them, two over these: laid down by size they are not turned so
    const parts = [
      { id: 'a', outline: rectangle(180, 60), qty: 2, rotations: [0, 90] },
      { id: 'b', outline: rectangle(120, 60), qty: 3, rotations: [0, 90] },
    ];
    const job = jobOf(parts, [{ id: 'A', width: 271, height: 211, qty: 1 }]);
    const laid = nest(job, { seed: 1, rounds: 1 });
    const result = nest(job, { seed: 1, rounds: 800 });
    expect(laid.unplaced).toHaveLength(1);
    expect(faultsOf(job, result)).toEqual([]);
    expect(result.unplaced).toEqual([]);
  });
  it('puts parts into the holes of others, and one ring into another', () => {
    const ring = (id: string, size: number, rim: number) => ({
      ...{ id, outline: rectangle(size, size) },
      holes: [rectangle(size - 2 * rim, size - 2 * rim).map(([x, y]) => [x + rim, y + rim])],
    });
    const parts = [ring('large', 300, 30), ring('middle', 220, 25), { id: 'small', outline: rectangle(150, 150) }];
    const job = jobOf(parts, [{ id: 'A', width: 320, height: 320, qty: 3 }]);
    const result = nest(job, { seed: 1, rounds: 300 });
    expect(faultsOf(job, result)).toEqual([]);
    expect([result.sheetsUsed, result.unplaced]).toEqual([1, []]);
  });
});

it('a part in a hole is judged by the hole’s edge', () => {
  const ring = {
    id: 'ring',
    outline: rectangle(200, 200),
    holes: [rectangle(100, 100).map(([x, y]) => [x + 50, y + 50])],
  };
  const job = jobOf([ring, { id: 'p', outline: rectangle(80, 80) }], [{ id: 'A', width: 300, height: 300, qty: 1 }]);
  const placed = (part: string, x: number) => ({ part, copy: 0, x, y: x, rotationDeg: 0, mirrored: false });
  const faults = (x: number) =>
    faultsOf(job, {
      sheets: [{ id: 'A', index: 0, placements: [placed('ring', 20), placed('p', x)] }],
      ...{ unplaced: [], sheetsUsed: 1, density: 0 },
    });
  expect(faults(80)).toEqual([]); // 10 all round
  expect(faults(75)).toHaveLength(1); // 5, 6 wanted
  expect(faults(30)).toHaveLength(1); // across the rim
});
