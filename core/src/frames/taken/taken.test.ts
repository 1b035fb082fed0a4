import { describe, expect, it } from 'vitest';
import { at, boundsOf, distance2, netArea, random, type Vec2 } from '../../geometry';
import { bendLines } from '../../lines';
import { developPanels } from '../../panels';
import { tableOf } from '../fixtures/table-of';
import { shapeFrame } from '../frame';
import { plainFrame, timberIn } from '../plans';
import type { FramePlan, TakenShape } from '../schema';
import { faired } from './fair';
import { judgeTaken } from './judge';
import { crossing, photoReader, type PhotoCorners } from './measured';
import { chainFor, compareShapes, takeShape, type Taken } from './shape';

const shape = (given: Partial<TakenShape>): TakenShape => ({
  ...{ id: 't', name: 'T', way: 'plumb', plumb: 0, points: [], fairBy: 0, corner: 0, bevelDeg: 0 },
  ...{ first: { out: 0, up: 0 }, second: { out: 0, up: 500 } },
  ...given,
});
const point = (a: number, b: number, i: number, isCorner = false) => ({ id: `p${i}`, a, b, isCorner });
const must = <T>(value: T | undefined): T => {
  if (value === undefined) throw new Error('nothing was made');
  return value;
};
/** By heights and offsets from the centreline. */
const plumbed = (places: readonly (readonly [out: number, up: number, isCorner?: boolean])[], given = {}) =>
  shape({ points: places.map(([out, up, isCorner], i) => point(up, out, i, isCorner)), ...given });

/** A quarter of a circle of radius 600, from the keel up. */
const ROUND = Array.from({ length: 13 }, (_, i): Vec2 => {
  const angle = (i * Math.PI) / 24;
  return [600 * Math.sin(angle), 600 - 600 * Math.cos(angle)];
});

describe('points measured', () => {
  it('by a plumb line lie out from it', () => {
    const { half } = must(takeShape(shape({ plumb: 650, points: [point(0, -650, 0), point(300, -50, 1)] })));
    expect(half).toEqual([
      [0, 0],
      [600, 300],
    ]);
  });
  it.each<[string, Vec2, Vec2, Vec2]>([
    ['from two points on the centreline, outside of it', [0, 0], [0, 500], [300, 120]],
    ['from two points on a level board, under it', [-400, 600], [400, 600], [250, 130]],
    ['from two points that lie aslant', [-20, 10], [60, 580], [410, 90]],
  ])('%s', (_, a, b, place) => {
    const found = crossing(a, b, distance2(a, place), distance2(b, place));
    expect(found?.[0]).toBeCloseTo(place[0], 6);
    expect(found?.[1]).toBeCloseTo(place[1], 6);
  });
  it('whose two distances do not meet are told, and left out', () => {
    const given = shape({ way: 'two', points: [point(300, 400, 0), point(100, 100, 1), point(600, 450, 2)] });
    const taken = must(takeShape(given));
    expect(taken.apart).toEqual([2]);
    expect(judgeTaken([given], [taken])).toMatchObject([{ code: 'taken-apart', data: { shape: 'T', point: 2 } }]);
  });
  it('of which fewer than two are left make no shape', () => {
    expect(takeShape(shape({}))).toBeUndefined();
    expect(takeShape(shape({ points: [point(0, 0, 0), point(0, 0, 1)] }))).toBeUndefined();
  });
});

it('begins where it first comes over the centreline, and is none where it never does', () => {
  const { half } = must(
    takeShape(
      plumbed([
        [-100, -50],
        [100, 50],
        [300, 400],
      ]),
    ),
  );
  expect(at(half, 0)[0]).toBe(0);
  expect(at(half, 0)[1]).toBeGreaterThan(-50);
  expect(at(half, 0)[1]).toBeLessThan(50);
  expect(Math.min(...half.map(([y]) => y))).toBe(0);
  expect(
    takeShape(
      plumbed([
        [-100, 0],
        [-50, 300],
      ]),
    ),
  ).toBeUndefined();
});

describe('a photo of a template', () => {
  // a plane seen aslant: any perspective of it
  const seen = ([u, v]: Vec2): Vec2 => {
    const w = 0.0004 * u + 0.0002 * v + 1;
    return [(0.7 * u - 0.1 * v + 120) / w, (-0.05 * u - 0.8 * v + 900) / w];
  };
  const size = { width: 500, height: 400 };
  const corners: PhotoCorners = [seen([0, 0]), seen([500, 0]), seen([500, 400]), seen([0, 400])];
  it('is put true by the corners of a rectangle, within 1e-6 mm everywhere', () => {
    const read = must(photoReader(corners, size, [10, 20]));
    for (const place of [
      [250, 200],
      [0, 0],
      [900, -150],
      [-80, 620],
    ] as const) {
      const [y, z] = read(seen(place));
      expect(y - 10).toBeCloseTo(place[0], 6);
      expect(z - 20).toBeCloseTo(place[1], 6);
    }
  });
  it('is not where three of the corners lie on a line', () =>
    expect(
      photoReader(
        [
          [0, 0],
          [100, 0],
          [200, 0.5],
          [0, 300],
        ],
        size,
      ),
    ).toBeUndefined());
});

describe('a faired shape', () => {
  it('leaves points that lie on a circle where they are', () => {
    const off = faired(ROUND, 5).map((p, i) => distance2(p, at(ROUND, i)));
    expect(Math.max(...off)).toBeLessThan(0.1);
  });
  it('takes out most of errors of a millimetre: over 20 boats more than a third of what they come to', () => {
    const many = Array.from({ length: 41 }, (_, i): Vec2 => {
      const angle = (i * Math.PI) / 80;
      return [600 * Math.sin(angle), 600 - 600 * Math.cos(angle)];
    });
    const rms = (points: readonly Vec2[]) =>
      Math.sqrt(points.reduce((sum, [y, z]) => sum + (Math.hypot(y, z - 600) - 600) ** 2, 0) / points.length);
    const next = random(20);
    const shares = Array.from({ length: 20 }, () => {
      const wrong = many.map(([y, z], i): Vec2 => {
        const by = i === 0 || i === 40 ? 0 : 2 * next() - 1;
        return [y + (by * y) / 600, z + (by * (z - 600)) / 600];
      });
      return rms(faired(wrong, 3)) / rms(wrong);
    });
    expect(shares.reduce((sum, share) => sum + share, 0) / 20).toBeLessThan(2 / 3);
  });
  it('moves no point further than is allowed, and none where nought is', () => {
    const wrong = ROUND.map(([y, z], i): Vec2 => [y + (i % 2) * 6, z]);
    for (const most of [0.5, 2]) {
      const moved = faired(wrong, most).map((p, i) => distance2(p, at(wrong, i)));
      expect(Math.max(...moved)).toBeLessThanOrEqual(most);
    }
    expect(faired(wrong, 0)).toBe(wrong);
  });
  it('tells the one point that is off, and not where it is a corner', () => {
    const places = ROUND.map(([y, z], i) => [i === 6 ? y + 14 : y, z] as const);
    const given = plumbed(places);
    const found = judgeTaken([given], [must(takeShape(given))]);
    expect(found).toMatchObject([{ code: 'taken-unfair', data: { point: 7 } }]);
    const corner = plumbed(places.map(([y, z], i) => [y, z, i === 6]));
    expect(judgeTaken([corner], [must(takeShape(corner))])).toEqual([]);
    const fair = plumbed(ROUND);
    expect(judgeTaken([fair], [must(takeShape(fair))])).toEqual([]);
  });
  it('has the radius and the length of its circle', () => {
    const { leastRadiusMm, lengthMm, movedMm } = must(takeShape(plumbed(ROUND)));
    expect(Math.abs((leastRadiusMm ?? 0) - 600)).toBeLessThan(9);
    expect(lengthMm).toBeCloseTo((600 * Math.PI) / 2, 0);
    expect(movedMm).toBe(0);
  });
});

describe('a corner', () => {
  const square = [
    [0, 0],
    [500, 0, true],
    [500, 400],
  ] as const;
  it('has an arc of its radius that touches both sides', () => {
    const { half } = must(takeShape(plumbed(square, { corner: 60 })));
    const arc = half.filter(([y, z]) => y > 440 + 1e-6 && z < 60 - 1e-6);
    expect(arc.length).toBeGreaterThan(8);
    for (const p of arc) expect(distance2(p, [440, 60])).toBeCloseTo(60, 6);
  });
  it('stays sharp where the radius is nought, or too great for the side', () => {
    expect(must(takeShape(plumbed(square))).half).toEqual([
      [0, 0],
      [500, 0],
      [500, 400],
    ]);
    expect(must(takeShape(plumbed(square, { corner: 900 }))).half).toContainEqual([500, 0]);
  });
});

describe('two sides of one hull', () => {
  const straight = (by: number): Pick<Taken, 'half'> => ({
    half: [
      [by, 0],
      [by + 200, 400],
    ],
  });
  it('are compared at even heights where both are', () => {
    const higher: Pick<Taken, 'half'> = {
      half: [
        [110, 100],
        [310, 500],
      ],
    };
    expect(compareShapes(straight(0), straight(12), 100)).toHaveLength(5);
    for (const { outA, outB } of compareShapes(straight(0), straight(12), 100)) expect(outB - outA).toBeCloseTo(12, 9);
    expect(compareShapes(straight(0), higher, 100).map(({ up }) => up)).toEqual([100, 200, 300, 400]);
    expect(
      compareShapes(
        straight(0),
        {
          half: [
            [0, 900],
            [9, 990],
          ],
        },
        100,
      ),
    ).toEqual([]);
  });
});

it('a chain’s links stand off an arc by no more than was allowed: h = r − √(r² − l²/4)', () => {
  const { linkMm, links } = chainFor(300, 1000, 1);
  expect(300 - Math.sqrt(300 ** 2 - linkMm ** 2 / 4)).toBeCloseTo(1, 9);
  expect(links).toBe(Math.ceil(1000 / linkMm));
});

describe('a frame cut to a shape that was taken', () => {
  const hull = bendLines(tableOf({ chine: () => [510, -10], sheer: () => [510, 400] })).value;
  const panels = developPanels(hull, { thickness: 10 }).value;
  const taken = must(
    takeShape(
      plumbed([
        [0, 0],
        [450, 0, true],
        [450, 300],
      ]),
    ),
  );
  const made = (given: Partial<FramePlan>, bevelDeg = 0) =>
    shapeFrame(plainFrame({ id: 'f', name: 'F', x: 1000, kind: 'bulkhead', shape: 't', ...given }), panels, {
      ...{ skin: 10, school: 'framed', gap: 2, ...timberIn('mm'), shapes: [{ ...taken, bevelDeg }] },
    });
  const areaOf = (given: Partial<FramePlan>) => {
    const shaped = made(given);
    if (!shaped.ok) throw new Error(shaped.why);
    return netArea(shaped.frame.cut);
  };
  it('has its area, whatever the hull, less its gap, its lining, and what is cut in it', () => {
    expect(areaOf({})).toBeCloseTo(900 * 300, 3);
    expect(areaOf({ school: 'filleted' })).toBeCloseTo(896 * 298, 3);
    expect(areaOf({ lining: 5 })).toBeCloseTo(890 * 295, 3);
    const opening = { id: 'o', shape: 'rounded' as const, out: 0, up: 150, width: 200, height: 100, corner: 0 };
    expect(areaOf({ openings: [{ ...opening, isPair: false, doubler: 0, lid: 0, lip: 0, room: 0 }] })).toBeCloseTo(
      250_000,
      3,
    );
  });
  it('has the bevel that was measured', () => {
    const shaped = made({}, 10);
    if (!shaped.ok) throw new Error(shaped.why);
    const [edge] = shaped.frame.edges;
    expect(at(edge!.points, 0)).toMatchObject({ bevelDeg: 10 });
    expect(at(edge!.points, 0).otherFaceOffset).toBeCloseTo(9 * Math.tan((10 * Math.PI) / 180), 9);
  });
  it('is one hand of two that differ, where a side has its own shape', () => {
    const bounds = { hand: 'port' as const, inner: 0, outer: null, bottom: null };
    const shaped = made({ bounds });
    if (!shaped.ok) throw new Error(shaped.why);
    const { minX, maxX } = boundsOf(shaped.frame.cut.outline);
    expect([minX, maxX].map((v) => Math.round(v) + 0)).toEqual([-450, 0]);
  });
  it('is not made of a shape that is not there', () =>
    expect(made({ shape: 'u' })).toEqual({ ok: false, why: 'no-shape' }));
});
