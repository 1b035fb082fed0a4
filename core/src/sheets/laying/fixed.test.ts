import { describe, expect, it } from 'vitest';
import { area, at, boundsOf, type Outline } from '../../geometry';
import { faultsOf, placedOutline } from '../check';
import { nest } from '../nest';
import type { FixedCopy, NestJob } from '../schema';
import { blocksOn } from './blocks';

const rectangle = (w: number, h: number, x = 0, y = 0): [number, number][] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];
const piece = (id: string, outline: [number, number][]): NestJob['parts'][number] => ({
  ...{ id, outline, holes: [], qty: 1, rotations: [0, 90, 180, 270], mirror: false },
});
const parts = Array.from({ length: 14 }, (_, k) => piece(`p${k}`, rectangle(120 + 23 * (k % 5), 80 + 31 * (k % 4))));
const triangle: Outline = [
  [0, 0],
  [900, 0],
  [0, 700],
];
const jobOn = (sheet: Partial<NestJob['sheets'][number]>, fixed: readonly FixedCopy[] = []): NestJob => ({
  ...{ gap: 5, margin: 10, parts, fixed },
  sheets: [
    { id: 'odd', width: 900, height: 700, qty: 1, ...sheet },
    { id: 'whole', width: 1200, height: 600, qty: 3 },
  ],
});
const laid = (job: NestJob, seed: number, rounds = 24) => {
  const result = nest(job, { seed, rounds });
  expect(faultsOf(job, result)).toEqual([]);
  return result;
};
const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8];

describe('an offcut of its own shape', () => {
  it.each(SEEDS)('holds parts within its true edge, with the margin, seed %s', (seed) => {
    const result = laid(jobOn({ outline: triangle }), seed);
    const on = result.sheets.find(({ id }) => id === 'odd')?.placements ?? [];
    expect(on.length).toBeGreaterThan(1);
    for (const placement of on) {
      const outline = placedOutline(parts.find(({ id }) => id === placement.part)?.outline ?? [], placement);
      // the long side: x/900 + y/700 = 1, 10 mm from it
      const reach = Math.max(...outline.map(([x, y]) => (1 - x / 900 - y / 700) / Math.hypot(1 / 900, 1 / 700)));
      const nearest = Math.min(...outline.map(([x, y]) => (1 - x / 900 - y / 700) / Math.hypot(1 / 900, 1 / 700)));
      expect(reach).toBeGreaterThan(nearest);
      expect(nearest).toBeGreaterThan(10 - 2e-3);
    }
  });
  it('is passed by where nothing goes on it', () => {
    const small: Outline = [
      [0, 0],
      [60, 0],
      [900, 700],
    ];
    const result = laid(jobOn({ outline: small }), 1);
    expect(result.sheets.map(({ id }) => id)).not.toContain('odd');
    expect(result.unplaced).toEqual([]);
  });
  it('is kept clear of all round where it touches its rectangle at corners alone', () => {
    const diamond: Outline = [
      [450, 0],
      [900, 350],
      [450, 700],
      [0, 350],
    ];
    const job = jobOn({ outline: diamond });
    const blocked = blocksOn(at(job.sheets, 0), job).reduce((sum, { pose }) => sum + area(pose.shape), 0);
    // half of the rectangle, but for the strips of 5 mm along the edges
    expect(blocked).toBeGreaterThan(300_000);
    expect(blocked).toBeLessThan(335_000);
    expect(laid(job, 3).sheets.find(({ id }) => id === 'odd')?.placements.length).toBeGreaterThan(1);
  });
});

describe('zones', () => {
  const zones = [rectangle(200, 150, 300, 100), rectangle(50, 700, 650, 0)];
  it.each(SEEDS)('are kept clear of by the gap, seed %s', (seed) => {
    const result = laid(jobOn({ zones }), seed);
    for (const placement of result.sheets.find(({ id }) => id === 'odd')?.placements ?? []) {
      const box = boundsOf(placedOutline(at(parts, Number(placement.part.slice(1))).outline, placement));
      for (const zone of zones.map(boundsOf)) {
        const dx = Math.max(zone.minX - box.maxX, box.minX - zone.maxX);
        const dy = Math.max(zone.minY - box.maxY, box.minY - zone.maxY);
        expect(Math.max(dx, dy)).toBeGreaterThan(3.5); // 5 across a corner is 3.54 along either
      }
    }
  });
});

describe('what is laid by hand', () => {
  const fixed: FixedCopy[] = [
    { part: 'p3', copy: 0, sheet: 'whole', index: 0, x: 700, y: 200, rotationDeg: 90, mirrored: false },
    { part: 'p9', copy: 0, sheet: 'odd', index: 0, x: 400, y: 300, rotationDeg: 17, mirrored: false },
  ];
  it.each(SEEDS)('stays where it is to the last bit, with the rest around it, seed %s', (seed) => {
    const result = laid(jobOn({}, fixed), seed, 40);
    expect(result.unplaced).toEqual([]);
    for (const { sheet, index, ...placement } of fixed)
      expect(result.sheets.find(({ id, index: k }) => id === sheet && k === index)?.placements).toContainEqual(
        placement,
      );
  });
  it('is all there is where all was laid', () => {
    const all = nest(jobOn({}), { seed: 1, rounds: 4 }).sheets.flatMap(({ id, index, placements }) =>
      placements.map((placement): FixedCopy => ({ ...placement, sheet: id, index })),
    );
    const again = laid(jobOn({}, all), 9);
    const flat = again.sheets.flatMap(({ id, index, placements }) =>
      placements.map((placement) => ({ ...placement, sheet: id, index })),
    );
    expect(flat).toHaveLength(parts.length);
    for (const one of all) expect(flat).toContainEqual(one);
  });
});
