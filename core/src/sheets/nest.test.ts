import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { faultsOf } from './check';
import { nest } from './nest';
import type { NestResult } from './result';
import { readNestJob } from './read-job';
import { nestJobSchema, type NestJob } from './schema';

const rectangle = (w: number, h: number): [number, number][] => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
];
const job = (input: Partial<NestJob> & Pick<NestJob, 'parts' | 'sheets'>): NestJob =>
  nestJobSchema.parse({ gap: 6, margin: 8, ...input });
const part = (id: string, outline: [number, number][], extra: object = {}) =>
  ({
    id,
    outline,
    holes: [],
    qty: 1,
    rotations: [0, 180] as number[],
    mirror: false,
    ...extra,
  }) as NestJob['parts'][number];
const sheet = (width: number, height: number, qty = 4) => [{ id: 'A', width, height, qty }];
const check = (j: NestJob, rounds = 6): NestResult => {
  const result = nest(j, { seed: 5, rounds });
  expect(faultsOf(j, result)).toEqual([]);
  return result;
};

describe('a job that cannot be laid out', () => {
  const bow: [number, number][] = [
    [0, 0],
    [100, 100],
    [100, 0],
    [0, 100],
  ];
  it.each<[string, unknown[], RegExp]>([
    ['an outline that crosses itself', [part('bow', bow)], /part "bow": its outline.*crosses itself/],
    ['a hole that does', [part('ok', rectangle(900, 900), { holes: [bow] })], /part "ok".*crosses itself/],
    [
      'an outline without area',
      [
        part('thin', [
          [0, 0],
          [100, 0],
          [50, 0],
        ]),
      ],
      /part "thin".*no area/,
    ],
    ['two of one id', [part('a', rectangle(9, 9)), part('a', rectangle(9, 8))], /the id "a" is there twice/],
    [
      'a figure that is none',
      [
        part('nan', [
          [0, 0],
          [NaN, 0],
          [5, 5],
        ]),
      ],
      /parts\.0\.outline/,
    ],
  ])('is refused by the part’s name: %s', (_name, parts, wanted) => {
    const read = readNestJob({ gap: 6, margin: 8, sheets: sheet(1000, 1000), parts });
    expect(read.ok ? '' : read.problem).toMatch(wanted);
  });
  it('is refused in words that are not a program’s', () => {
    const refusal = (job: object) => {
      const read = readNestJob({ gap: 6, margin: 8, sheets: sheet(1000, 1000), parts: [], ...job });
      return read.ok ? '' : read.problem;
    };
    expect(refusal({ gap: 5000 })).toBe('gap: expected 1000 at most');
    expect(refusal({ gap: '6' })).toBe('gap: expected a number');
    expect(refusal({ sheets: [] })).toBe('sheets: expected 1 in the list at least');
    expect(refusal({ sheets: [{ id: 'A', width: 9, height: 9, qty: 1e300 }] })).toMatch(/^sheets\.0\.qty: expected/);
  });
  it('is not one with shapes that are hard but whole: either way round, a point on an edge, 5000 points', () => {
    const round = Array.from({ length: 5000 }, (_, i): [number, number] => [
      500 * Math.cos(i / 795.77),
      500 * Math.sin(i / 795.77),
    ]);
    const parts = [
      part('cw', [...rectangle(50, 40)].reverse()),
      part('edge', [
        [0, 0],
        [50, 0],
        [100, 0],
        [100, 50],
        [0, 50],
      ]),
      part('round', round),
    ];
    expect(readNestJob({ gap: 6, margin: 8, sheets: sheet(1200, 1200), parts }).ok).toBe(true);
  });
});

describe('nest', () => {
  it('knows parts by their place in the job, should two have one id', () => {
    const parts = [
      part('same', rectangle(100, 100), { rotations: [0] }),
      part('same', rectangle(100, 30), { qty: 3, rotations: [0] }),
    ];
    // one above the other they fill it to the last
    const result = nest(job({ sheets: sheet(116, 224, 1), parts }), { seed: 5, rounds: 1 });
    expect([result.unplaced, result.sheetsUsed]).toEqual([[], 1]);
  });
  it('packs what exactly fits: four rectangles, gap and margin used to the last', () => {
    const j = job({ sheets: sheet(222, 122, 1), parts: [part('r', rectangle(100, 50), { qty: 4 })] });
    const result = check(j, 1);
    expect(result.unplaced).toEqual([]);
    expect(result.sheetsUsed).toBe(1);
    expect(result.density).toBeCloseTo((4 * 5000) / (214 * 122), 6);
  });

  it('uses the real shapes: two L-pieces lock together where their boxes would not', () => {
    const ell: [number, number][] = [
      [0, 0],
      [100, 0],
      [100, 30],
      [30, 30],
      [30, 100],
      [0, 100],
    ];
    const j = job({ gap: 2, margin: 0, sheets: sheet(132, 140, 1), parts: [part('l', ell, { qty: 2 })] });
    expect(check(j).unplaced).toEqual([]);
  });

  it('puts a part into the hollow of another', () => {
    const hollow: [number, number][] = [
      [0, 0],
      [100, 0],
      [100, 20],
      [20, 20],
      [20, 80],
      [100, 80],
      [100, 100],
      [0, 100],
    ];
    const j = job({
      gap: 1,
      margin: 0,
      sheets: sheet(100, 100, 1),
      parts: [part('u', hollow), part('s', rectangle(70, 50))],
    });
    expect(check(j).unplaced).toEqual([]);
  });

  it('lists what does not fit, and nothing else', () => {
    const j = job({
      sheets: sheet(300, 200, 1),
      parts: [part('big', rectangle(400, 100)), part('ok', rectangle(100, 100), { qty: 3 })],
    });
    const result = check(j);
    expect(result.unplaced).toContainEqual({ part: 'big', copy: 0 });
    expect(result.sheets[0]?.placements.length).toBe(2);
  });

  it('keeps the grain: only the rotations that are allowed', () => {
    const j = job({
      sheets: sheet(150, 400, 1),
      parts: [part('long', rectangle(300, 100), { rotations: [0, 180] })],
    });
    expect(check(j).unplaced).toHaveLength(1);
    const free = job({
      sheets: sheet(150, 400, 1),
      parts: [part('long', rectangle(300, 100), { rotations: 'any' })],
    });
    expect(check(free).unplaced).toHaveLength(0);
  });

  it('turns a part over only where it may', () => {
    const wedge: [number, number][] = [
      [0, 0],
      [100, 0],
      [0, 60],
    ];
    const j = job({
      gap: 1,
      margin: 0,
      sheets: sheet(108, 64, 1),
      parts: [part('w', wedge, { qty: 2, rotations: [0, 180], mirror: true })],
    });
    expect(check(j).sheetsUsed).toBe(1);
  });

  it('takes outlines wound either way, points repeated, and quantities of nought', () => {
    const clockwise = [...rectangle(50, 40)].reverse();
    const j = job({
      sheets: sheet(200, 100),
      parts: [part('c', clockwise), part('none', rectangle(10, 10), { qty: 0 })],
    });
    expect(check(j).sheets[0]?.placements).toHaveLength(1);
  });

  it('ends when its time does, within the first layout too, with what it has by then', () => {
    const sizes = (i: number) => rectangle(60 + ((i * 37) % 190), 40 + ((i * 53) % 120));
    const parts = Array.from({ length: 300 }, (_, i) => part(`p${i}`, sizes(i)));
    const many = job({ sheets: sheet(2440, 1220, 20), parts });
    // a clock that counts how often it is asked: between two answers no more than a few places are tried
    for (const ticks of [1, 50, 2000]) {
      let [asked, after] = [0, 0];
      const isOver = () => {
        asked += 1;
        if (asked > ticks) after += 1;
        return asked > ticks;
      };
      const result = nest(many, { seed: 1, rounds: 1e9, isOver });
      expect(result.isCut).toBe(true);
      expect(faultsOf(many, result)).toEqual([]);
      expect(after).toBeLessThan(10_000);
    }
  });
  it('gives the same layout for the same seed and rounds', () => {
    const j = job({
      sheets: sheet(500, 300),
      parts: [
        part('a', rectangle(170, 90), { qty: 5 }),
        part(
          'b',
          [
            [0, 0],
            [140, 10],
            [60, 120],
          ],
          { qty: 4 },
        ),
      ],
    });
    expect(nest(j, { seed: 3, rounds: 12 })).toEqual(nest(j, { seed: 3, rounds: 12 }));
  });

  it('is valid for random polygons, gaps and margins (seed 6)', () => {
    const star = fc.array(fc.integer({ min: 20, max: 120 }), { minLength: 3, maxLength: 9 }).map((radii) =>
      radii.map((r, k): [number, number] => {
        const angle = (2 * Math.PI * k) / radii.length;
        return [r * Math.cos(angle), r * Math.sin(angle)];
      }),
    );
    fc.assert(
      fc.property(
        fc.array(star, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 0, max: 12 }),
        fc.integer({ min: 0, max: 20 }),
        fc.boolean(),
        (outlines, gap, margin, mirror) => {
          const j = job({
            gap,
            margin,
            sheets: sheet(420, 330, 3),
            parts: outlines.map((outline, k) =>
              part(`p${k}`, outline, { qty: 2, mirror, rotations: k % 2 ? 'any' : [0, 180] }),
            ),
          });
          expect(faultsOf(j, nest(j, { seed: 1, rounds: 2 }))).toEqual([]);
        },
      ),
      { seed: 6, numRuns: 40 },
    );
  });
});

it('the check finds what it is there to find', () => {
  const j = job({ sheets: sheet(300, 200, 1), parts: [part('a', rectangle(100, 50), { qty: 2 })] });
  const placement = (copy: number, x: number) => ({
    part: 'a',
    copy,
    x,
    y: 20,
    rotationDeg: 0,
    mirrored: false,
  });
  const made = (...placements: ReturnType<typeof placement>[]): NestResult => ({
    sheets: [{ id: 'A', index: 0, placements }],
    unplaced: [],
    sheetsUsed: 1,
    density: 0,
  });
  expect(faultsOf(j, made(placement(0, 10), placement(1, 116)))).toEqual([]);
  expect(faultsOf(j, made(placement(0, 10), placement(1, 115)))).toHaveLength(1); // 5 apart, 6 wanted
  expect(faultsOf(j, made(placement(0, 4), placement(1, 116)))).toHaveLength(1); // over the margin
  expect(faultsOf(j, made(placement(0, 10)))).toHaveLength(1); // one lost
  expect(faultsOf(j, made(placement(0, 10), placement(0, 130)))).toHaveLength(2); // one twice, one lost
});
