import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyOf, oneMore, plainFrame, widestRoom } from './plans';
import { framesSchema, type FramePlan } from './schema';

const plan = (id: string, name: string, x: number): FramePlan => plainFrame({ id, name, x, width: 12, face: 'aft' });
const ends = { fromX: 0, toX: 4000 };

describe('the widest room', () => {
  it('is the whole hull where no frame stands', () => expect(widestRoom([], ends)).toBe(2000));
  it('lies between two frames or beside an end', () => {
    expect(widestRoom([plan('a', 'A', 1000), plan('b', 'B', 3200)], ends)).toBe(2100);
    expect(widestRoom([plan('a', 'A', 900)], ends)).toBe(2450);
  });
  it('leaves a frame outside the hull out of account', () =>
    expect(widestRoom([plan('a', 'A', -500), plan('b', 'B', 9000)], ends)).toBe(2000));
});

describe('one more frame', () => {
  it('is named and made as the last', () => {
    const more = oneMore([plan('x', 'Bulkhead 1', 1), plan('y', 'Bulkhead 2', 2)], 1500.4);
    expect(more).toEqual(plan('frame.3', 'Bulkhead 3', 1500));
  });
  it('is a copy of any other in all but place and name', () => {
    const first = { ...plan('x', 'Ring 1', 1), kind: 'ring' as const, rakeDeg: 4 };
    const copy = copyOf([first, plan('y', 'Bulkhead 2', 2)], first, 900);
    expect(copy).toEqual({ ...first, id: 'frame.3', name: 'Ring 3', x: 900 });
  });
  it('has a name and an id of its own, whatever the others are called, and is taken by the schema', () => {
    const names = fc.constantFrom('Frame 1', 'frame 2', 'Frame 3', 'Bulkhead 2', '2', '4½', 'Mould', ' 7 ');
    const ids = fc.constantFrom('frame.1', 'frame.2', 'frame.3', 'frame.4', 'a', 'b');
    fc.assert(
      fc.property(fc.array(fc.tuple(ids, names), { maxLength: 8 }), (pairs) => {
        const plans = pairs.map(([id, name], i) => plan(id, name, i));
        const more = oneMore(plans, 10);
        expect(plans.some(({ id, name }) => id === more.id || name === more.name)).toBe(false);
        expect(framesSchema.shape.frames.safeParse([more]).success).toBe(true);
      }),
    );
  });
});
