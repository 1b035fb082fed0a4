import { describe, expect, it } from 'vitest';
import { area, type Outline, type Vec2 } from '../geometry';
import { applyEdits, createDerive, demoProject, DEMO_IDS, shopTasks, wholeOf, type Project } from '../project';
import { laidWith } from './by-hand';
import { faultsOf, placedOutline } from './check';
import { nest } from './nest';
import { nestJobSchema, type NestJob, type SheetsPart } from './schema';
import { stackJob, stacksIn, unstacked } from './stacks';

const wedge: [number, number][] = [
  [0, 0],
  [900, 0],
  [700, 300],
  [100, 200],
];
const turnedOver = wedge.map(([x, y]): [number, number] => [-x, y]).reverse();
const pairs = (count: number, singles = 0): NestJob => ({
  ...nestJobSchema.parse({
    ...{ gap: 6, margin: 8, sheets: [{ id: 'A', width: 2440, height: 1220, qty: 6 }] },
    parts: [
      ...Array.from({ length: count }, (_, k) => [
        { id: `${k}.s`, outline: wedge, rotations: [0, 180] },
        { id: `${k}.p`, outline: turnedOver, rotations: [0, 180] },
      ]).flat(),
      ...Array.from({ length: singles }, (_, k) => ({ id: `one ${k}`, outline: wedge, rotations: [0, 90, 180, 270] })),
    ],
  }),
  couples: Array.from({ length: count }, (_, k) => [`${k}.s`, `${k}.p`] as const),
});
const near = (a: Outline, b: Outline) =>
  a.every((p) => b.some((q) => Math.hypot(p[0] - q[0], p[1] - q[1]) < 1e-6)) && Math.abs(area(a) - area(b)) < 1e-6;

/** How many couples lie on two sheets as mirror images across the sheet's length, worked out by their points. */
function mirroredCouples(job: NestJob, { sheets }: ReturnType<typeof nest>): number {
  const lies = (id: string) =>
    sheets.flatMap((sheet, k) => {
      const placement = sheet.placements.find(({ part }) => part === id);
      const outline = job.parts.find((part) => part.id === id)?.outline;
      return placement && outline ? [{ k, points: placedOutline(outline, placement) }] : [];
    })[0];
  return (job.couples ?? []).filter(([first, second]) => {
    const [over, under] = [lies(first), lies(second)];
    if (!over || !under || over.k === under.k) return false;
    return near(
      over.points.map(([x, y]): Vec2 => [x, 1220 - y]),
      under.points,
    );
  }).length;
}

describe('pairs cut two at once', () => {
  it.each([
    [1, 0],
    [4, 0],
    [7, 3],
    [12, 5],
  ])(
    '%i pairs and %i single parts: each hand under the other, all clear, singles where there is room',
    (count, singles) => {
      const job = pairs(count, singles);
      for (const rounds of [1, 8, 60]) {
        const result = nest(job, { seed: 3, rounds });
        expect(faultsOf(job, result)).toEqual([]);
        expect(result.unplaced).toEqual([]);
        expect(mirroredCouples(job, result)).toBe(count);
        const stacks = stacksIn(result.sheets, job);
        const coupled = new Set(stacks.flatMap((stack) => [...(stack?.parts ?? [])]));
        expect(coupled.size).toBe(2 * count);
        // each sheet of two says the other, one over and one under
        stacks.forEach((stack, k) => {
          if (!stack) return;
          expect(stacks[stack.with]).toMatchObject({ with: k, isOver: !stack.isOver });
        });
      }
    },
  );
  it('is repeatable, and nothing else where no pair is asked for', () => {
    const job = pairs(5, 2);
    expect(nest(job, { seed: 9, rounds: 40 })).toEqual(nest(job, { seed: 9, rounds: 40 }));
    const { couples: _, ...plain } = job;
    expect(stackJob(plain)).toBeUndefined();
    expect(stacksIn(nest(plain, { seed: 9, rounds: 40 }).sheets, plain).every((one) => one === undefined)).toBe(true);
  });
  it('of one sheet, of an offcut, or of a sheet with a spoiled place is not thought of', () => {
    const job = pairs(1);
    const [sheet] = job.sheets;
    for (const other of [{ qty: 1 }, { outline: wedge }, { zones: [wedge] }]) {
      const odd = { ...job, sheets: [{ ...sheet!, ...other }] };
      expect(stackJob(odd)).toBeUndefined();
      expect(faultsOf(odd, nest(odd, { seed: 1, rounds: 8 }))).toEqual([]);
    }
  });
  it('leaves what was laid by hand where it is, and lays its other hand freely', () => {
    const fixed = [{ part: '0.s', copy: 0, sheet: 'A', index: 0, x: 20, y: 20, rotationDeg: 0, mirrored: false }];
    const job = { ...pairs(3), fixed };
    const result = nest(job, { seed: 2, rounds: 20 });
    expect(faultsOf(job, result)).toEqual([]);
    expect(result.sheets[0]?.placements.find(({ part }) => part === '0.s')).toMatchObject({ x: 20, y: 20 });
    expect(mirroredCouples(job, result)).toBe(2);
  });
  it('ended at once still has every part once, laid or left over', () => {
    const job = pairs(6, 2);
    const whole = (rounds: number) => {
      let times = 0;
      nest(job, { seed: 1, rounds, isOver: () => ++times < 0 });
      return times;
    };
    const [quick, all] = [whole(1), whole(100)];
    for (const asked of [0, 1, 3, 9, quick + 1, Math.round((quick + all) / 2), all - 1]) {
      let times = 0;
      const result = nest(job, { seed: 1, rounds: 100, isOver: () => ++times > asked });
      expect(faultsOf(job, result)).toEqual([]);
      // once all of it was laid down, nothing is left over when the time ends in the search for better
      if (asked > quick) expect(result.unplaced).toEqual([]);
    }
    expect(unstacked(job, { sheets: [], unplaced: [], sheetsUsed: 0, density: 0 }).fixed).toEqual([]);
  });
});

describe('a boat whose pairs are cut two at once', () => {
  const edited = (project: Project, edits: Parameters<typeof applyEdits>[1]) => {
    const made = applyEdits(project, edits);
    if (!made.ok) throw new Error(made.reason);
    return made.project;
  };
  it.each(DEMO_IDS)('%s: every pair that is placed is in a stack; kept, the shop is told so', (id) => {
    const project = edited(demoProject(id, 'x'), [{ path: ['sheets', 'stacked'], value: true }]);
    const { batches } = createDerive()(project).sheets.value;
    const laid = batches.map((batch) => ({ batch, result: nest(batch.job, { seed: 1, rounds: 6 }) }));
    for (const { batch, result } of laid) {
      expect(faultsOf(batch.job, result)).toEqual([]);
      const left = new Set(result.unplaced.map(({ part }) => part));
      const stacked = new Set(stacksIn(result.sheets, batch.job).flatMap((one) => [...(one?.parts ?? [])]));
      for (const couple of batch.job.couples ?? [])
        if (!couple.some((part) => left.has(part))) for (const part of couple) expect(stacked).toContain(part);
    }
    const all = laid.reduce<SheetsPart['laid']>((before, one) => laidWith(before, one, undefined), []);
    const kept = edited(project, [{ path: ['sheets', 'laid'], value: all.map((one) => ({ ...one })) }]);
    const derived = createDerive()(kept);
    const said = JSON.stringify(shopTasks(wholeOf(kept, derived, {})));
    const hasPairs = batches.some(({ job }) => (job.couples ?? []).length > 0);
    expect(said.includes('turned over sideways')).toBe(hasPairs);
  });
});
