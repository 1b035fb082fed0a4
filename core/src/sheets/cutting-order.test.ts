import { describe, expect, it } from 'vitest';
import { boundsOf, boxOutline } from '../geometry';
import { createDerive, demoProject, DEMO_IDS } from '../project';
import { inCuttingOrder } from './cutting-order';
import { nest } from './nest';
import { placedOutline } from './check';
import type { NestJob } from './schema';

const box = (long: number, deep: number) =>
  boxOutline({ minX: 0, minY: 0, maxX: long, maxY: deep }).map(([x, y]): [number, number] => [x, y]);
const part = (id: string, outline: [number, number][], holes: [number, number][][] = []): NestJob['parts'][number] => ({
  ...{ id, outline, holes, qty: 1, rotations: [0], mirror: false },
});
const lying = (id: string, x: number, y = 0) => ({ part: id, copy: 0, x, y, rotationDeg: 0, mirrored: false });

describe('the order of cutting', () => {
  it('goes from the free end to the edge that is measured from', () => {
    const job = { parts: ['a', 'b', 'c'].map((id) => part(id, box(300, 200))) } as NestJob;
    const sheet = { id: 's', index: 0, placements: [lying('b', 400), lying('a', 0), lying('c', 800)] };
    expect(inCuttingOrder(sheet, job).map(({ part: id }) => id)).toEqual(['c', 'b', 'a']);
  });
  it('takes what lies in an opening before the part round it, one in the other', () => {
    const hole = box(400, 400).map(([x, y]): [number, number] => [x + 50, y + 50]);
    const small = box(100, 100).map(([x, y]): [number, number] => [x + 50, y + 50]);
    const parts = [part('ring', box(500, 500), [hole]), part('lid', box(200, 200), [small]), part('dot', box(50, 50))];
    const sheet = { id: 's', index: 0, placements: [lying('ring', 0), lying('lid', 100, 100), lying('dot', 160, 160)] };
    expect(inCuttingOrder(sheet, { parts } as NestJob).map(({ part: id }) => id)).toEqual(['dot', 'lid', 'ring']);
  });
  it.each(DEMO_IDS)(
    'has every part of %s once, and none before one that reaches further, but for what lies in it',
    (id) => {
      for (const { job } of createDerive()(demoProject(id, 'x')).sheets.value.batches)
        for (const sheet of nest(job, { seed: 1, rounds: 2 }).sheets) {
          const order = inCuttingOrder(sheet, job);
          expect([...order].map(({ part: one }) => one).sort()).toEqual(
            sheet.placements.map(({ part: one }) => one).sort(),
          );
          const boxes = order.map((placement) =>
            boundsOf(placedOutline(job.parts.find((one) => one.id === placement.part)!.outline, placement)),
          );
          boxes.forEach((own, k) => {
            const later = boxes.slice(k + 1).filter(({ maxX }) => maxX > own.maxX + 1e-6);
            for (const other of later)
              expect(other.minX <= own.minX && other.minY <= own.minY && other.maxY >= own.maxY).toBe(true);
          });
        }
    },
  );
});
