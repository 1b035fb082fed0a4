/** Parts inside hulls whose outlines and edge bevels are known in closed form: a cone, a cylinder, boxes, a wedge. */
import { describe, expect, it } from 'vitest';
import { readOffsets } from '../exchange';
import type { Frame, FramePlan } from '../frames';
import { CONE, CYLINDER, type ExactSide } from '../frames/fixtures/exact-hulls';
import { tableOf } from '../frames/fixtures/table-of';
import { at, boundsOf, crossesItself, dot3, netArea, random, regionDistance, type Vec3 } from '../geometry';
import { toDeg } from '../measure';
import { boatOf, BOX, bulkheadAt, FLARED, level, SKIN, type PlainBoat } from './fixtures/plain-boats';
import { piecesOf, shapeOf, type FitAsked, type FittedPiece } from './fitted';
import { standingThrough } from './in-the-way';
import { FACES, flatOf, heightOver, lieOf, overMiddle, placeOn, radiusFor, riseOver } from './lie';
import { plainInside } from './plans';
import type { InsidePlan } from './schema';
import { supportsOf, widestGap, widestSpan } from './supports';

const exact = ({ csv }: ExactSide) => {
  const read = readOffsets(csv);
  if (!read.ok) throw new Error('the fixture is not read');
  return boatOf(read.lines);
};
const plan = (given: Partial<InsidePlan>): InsidePlan =>
  plainInside({ id: 'p', name: 'Sole', kind: 'sole', from: 500, to: 2500, height: level(200), gap: 0, ...given });
const SQUARE: FitAsked = { school: 'filleted', inside: SKIN, outside: 0, ends: [] };
const BEVELLED: FitAsked = { ...SQUARE, school: 'framed' };
const NOTHING = { ends: [], inTheWay: [] };

function cut(
  boat: PlainBoat,
  given: Partial<InsidePlan>,
  asked = SQUARE,
  frames: readonly Frame[] = [],
): FittedPiece[] {
  const own = plan(given);
  const shape = shapeOf(own, boat.panels, asked);
  const standing = { frames, girders: [], members: [] };
  const inTheWay = standingThrough(shape.lie, standing, { gap: own.gap, half: shape.half });
  return piecesOf(own, shape, { ...NOTHING, port: shape, inTheWay });
}
const sizeOf = ({ region }: FittedPiece) => {
  const { minX, maxX, minY, maxY } = boundsOf(region.outline);
  return [maxX - minX, maxY - minY] as const;
};

/** All is planes through x = −3000. */
const WEDGE = boatOf(
  tableOf({
    keel: (x) => [0, -0.05 * (x + 3000)],
    chine: (x) => [0.1 * (x + 3000), 0],
    sheer: (x) => [0.12 * (x + 3000), 0.08 * (x + 3000)],
  }),
);

describe('the surface that a part lies in', () => {
  const seeds = [1, 2, 3, 4];
  it.each(seeds)('is laid flat and brought back to the same place, whatever its slope and camber: seed %i', (seed) => {
    const next = random(seed);
    const lie = lieOf(
      plan({
        height: level(300 * next(), 300 * next(), seed % 2 ? 'top' : 'under'),
        camber: { radius: seed > 2 ? 900 : 0 },
      }),
    );
    for (let i = 0; i < 20; i++) {
      const flat = [500 + 2000 * next(), 1200 * (next() - 0.5)] as const;
      const place = placeOn(lie, flat, 0);
      expect(flatOf(lie, place)[0]).toBeCloseTo(flat[0], 8);
      expect(flatOf(lie, place)[1]).toBeCloseTo(flat[1], 8);
      for (const face of FACES)
        expect(heightOver(lie, placeOn(lie, flat, overMiddle(lie, face)), face)).toBeCloseTo(0, 8);
    }
  });
  it('keeps every length: along the generators, and across as an arc of the middle', () => {
    const lie = lieOf(plan({ height: level(300, 500), camber: { radius: 800 }, thickness: 8 }));
    const far = (a: Vec3, b: Vec3) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
    expect(far(placeOn(lie, [600, 150]), placeOn(lie, [1700, 150]))).toBeCloseTo(1100, 8);
    // the middle of the sheet is half its thickness over the under side, whose radius is the one that is given
    const chord = far(placeOn(lie, [900, 0]), placeOn(lie, [900, 300]));
    expect(chord).toBeCloseTo(2 * 804 * Math.sin(300 / 804 / 2), 8);
  });
  it('has the height that is told of the face that is told, at both ends', () => {
    for (const of of ['top', 'under'] as const) {
      const lie = lieOf(plan({ height: level(310, 260, of) }));
      expect(heightOver(lie, [500, 0, 310], of)).toBeCloseTo(0, 9);
      expect(heightOver(lie, [2500, 0, 260], of)).toBeCloseTo(0, 9);
    }
  });
  it('rises as an arc does: radius and rise are each other’s inverse', () => {
    for (const rise of [5, 40, 90]) expect(riseOver(radiusFor(rise, 800), 800)).toBeCloseTo(rise, 9);
    expect(radiusFor(0, 800)).toBe(0);
  });
});

describe.each([
  ['level', { height: level(330) }],
  ['sloping', { height: level(300, 420) }],
  ['cambered', { height: level(420), camber: { radius: 3000 } }],
  ['cambered and sloping', { height: level(400, 470, 'top'), camber: { radius: 2500 } }],
] as [string, Partial<InsidePlan>][])('a %s part', (_, given) => {
  it.each([
    { ...CONE, low: 0 },
    { ...CYLINDER, low: 430 },
  ])('in $name lies all along on the inside of the skin, at the surface’s own bevel', (side) => {
    const [from, to] = [at(side.xs, 0), at(side.xs, -1)];
    // the cylinder's side lies lower
    const { fore, aft, of } = given.height ?? level(0);
    const height = level(fore - side.low, aft - side.low, of);
    const shape = shapeOf(plan({ ...given, from, to, height }), exact(side).panels, SQUARE);
    for (const face of FACES) {
      const points = shape.edges[face]
        .flat()
        .filter(({ space, mark }) => mark.panel === 'chine-sheer' && space[0] > from && space[0] < to);
      expect(points.length).toBeGreaterThan(20);
      for (const { flat, bevelDeg } of points) {
        const place = placeOn(shape.lie, flat, overMiddle(shape.lie, face));
        expect(Math.abs(side.depthOf(place) - SKIN)).toBeLessThan(0.02);
        // square to the sheet, by two places of it that lie over one another
        const [over, under] = [1, -1].map((mm) => placeOn(shape.lie, flat, mm)) as [Vec3, Vec3];
        const down: Vec3 = [under[0] - over[0], under[1] - over[1], under[2] - over[2]];
        const bevel = toDeg(Math.asin(dot3(side.normalAt(place), down) / Math.hypot(...down)));
        expect(Math.abs(bevelDeg - bevel)).toBeLessThan(0.1);
      }
    }
  });
});

describe('what is cut of a part', () => {
  it('in a box is a rectangle: the breadth inside of the skin less the gap', () => {
    const [piece, ...more] = cut(BOX, { gap: 1.5 });
    expect(more).toEqual([]);
    expect(sizeOf(piece!)[0]).toBeCloseTo(2000, 3);
    expect(sizeOf(piece!)[1]).toBeCloseTo(2 * (500 - SKIN - 1.5), 3);
    expect(piece!.areaM2).toBeCloseTo((2000 * 985) / 1e6, 6);
  });
  it('sloping in a box is as long as its slope, its ends clear of upright planes on both faces', () => {
    const [piece] = cut(BOX, { height: level(100, 300) });
    // over 2000 mm it rises 200; square ends stand off an upright plane by the thickness times the slope's sine
    expect(sizeOf(piece!)[0]).toBeCloseTo(Math.hypot(2000, 200) - (9 * 200) / 2000, 3);
  });
  it('cambered in a box is an arc of its own middle, to the face that reaches less far', () => {
    const [piece] = cut(BOX, { height: level(400), camber: { radius: 1500 } });
    // the side is upright at 494: the upper face, on the greater radius, comes there at the smaller angle
    expect(sizeOf(piece!)[1]).toBeCloseTo(2 * 1504.5 * Math.asin(494 / 1509), 3);
  });
  it('with square edges takes the smaller face where the sides flare; bevelled the larger', () => {
    const inside = SKIN * Math.hypot(1, 0.25);
    const breadthAt = (z: number) => 2 * (500 + z / 4 - inside);
    const [square] = cut(FLARED, { height: level(200) });
    const [bevelled] = cut(FLARED, { height: level(200) }, BEVELLED);
    expect(sizeOf(square!)[1]).toBeCloseTo(breadthAt(200), 3);
    expect(sizeOf(bevelled!)[1]).toBeCloseTo(breadthAt(209), 3);
    expect(boundsOf(bevelled!.otherFace!).maxY * 2).toBeCloseTo(breadthAt(200), 3);
    for (const { bevelDeg } of bevelled!.atSkin.flatMap(({ points }) => points))
      expect(bevelDeg).toBeCloseTo(toDeg(Math.atan(0.25)), 3);
  });
  it('over the sheer reaches beyond the skin by its overhang, along its own surface', () => {
    const deck = { fit: 'over', overhang: 12, camber: { radius: 2000 }, thickness: 6 } as const;
    const [piece] = cut(BOX, { ...deck, height: level(640) });
    expect(sizeOf(piece!)[1]).toBeCloseTo(2 * (2003 * Math.asin(500 / 2000) + 12), 2);
  });
  it('where the hull is planes has straight edges between corners known by hand', () => {
    // at z = 60 the side stands at 0.1 (x + 3000) + 0.25·60 at the lines; N ∝ (−0.1, 1, −0.25) takes the skin off
    const [piece] = cut(WEDGE, { height: level(60), thickness: 1, from: 500, to: 2500 });
    const skin = (SKIN * Math.hypot(0.1, 1, 0.25)) / 1;
    const outer = boundsOf(piece!.region.outline).maxY;
    expect(outer).toBeCloseTo(0.1 * 5500 + 15 - skin, 2);
    expect(piece!.areaM2).toBeCloseTo((2 * 2000 * (0.1 * 4500 + 15 - skin)) / 1e6, 5);
    expect(crossesItself(piece!.region.outline)).toBe(false);
  });
  it('runs on over the chine without a gap or a step: every edge lies on one of the two', () => {
    // the plane slopes through the chine, at z = 0: forward it cuts the bottom, aft the side
    const [piece] = cut(WEDGE, { height: level(-60, 60), thickness: 1 });
    const { atSkin, region } = piece!;
    const starboard = atSkin.filter(({ points }) => at(points, 0).space[1] > 0);
    expect(new Set(starboard.flatMap(({ points }) => points.map(({ mark }) => mark.panel))).size).toBe(2);
    expect(crossesItself(region.outline)).toBe(false);
    const long = starboard.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
    expect(long).toBeGreaterThan(sizeOf(piece!)[0]);
    expect(long).toBeLessThan(1.2 * sizeOf(piece!)[0]);
  });
  it('ends where a flat bottom rises through it, on a line across the boat', () => {
    const rising = boatOf(tableOf({ chine: (x) => [500, 0.1 * (1500 - x)], sheer: () => [500, 600] }));
    const [piece] = cut(rising, { height: level(50), from: 0, to: 2500, thickness: 1 });
    // the bottom's inside passes 50 at x = 1500 − 500 + what its skin takes along the boat
    const { minX, maxX } = boundsOf(piece!.region.outline);
    expect(minX).toBeCloseTo(1000 + (SKIN * Math.hypot(1, 0.1)) / 0.1, 2);
    expect(maxX).toBeCloseTo(2500, 3);
  });
  it('between its own edges is what is left of it: a pair beside the middle, wider aft', () => {
    const [piece, ...more] = cut(BOX, { hand: 'pair', inner: { fore: 200, aft: 300 } });
    expect(more).toEqual([]);
    expect(piece!.areaM2).toBeCloseTo((2000 * (494 - 250)) / 1e6, 6);
    const [outer] = cut(BOX, { hand: 'pair', inner: { fore: 200, aft: 200 }, outer: 400 });
    expect(outer!.areaM2).toBeCloseTo((2000 * 200) / 1e6, 6);
    expect(outer!.atSkin).toEqual([]);
  });
  it('to port is the mirror image of what it is to starboard', () => {
    const given = { inner: { fore: 200, aft: 300 }, height: level(150, 300) };
    const [starboard] = cut(FLARED, { ...given, hand: 'starboard' });
    const [port] = cut(FLARED, { ...given, hand: 'port' });
    const over = boundsOf(port!.region.outline);
    expect([-over.maxY, -over.minY]).toEqual([
      boundsOf(starboard!.region.outline).minY,
      boundsOf(starboard!.region.outline).maxY,
    ]);
    expect(port!.areaM2).toBeCloseTo(starboard!.areaM2, 9);
    expect(port!.atSkin[0]?.lengthMm).toBeCloseTo(starboard!.atSkin[0]?.lengthMm ?? 0, 6);
  });
  it('falls in two at a cut across and at one along, and loses nothing', () => {
    const whole = cut(FLARED, {});
    const cuts = [{ id: 'c', x: 1300 }];
    const across = cut(FLARED, { cuts });
    const both = cut(FLARED, { cuts, isHalved: true });
    expect([across.length, both.length]).toEqual([2, 4]);
    const areaOf = (pieces: readonly FittedPiece[]) => pieces.reduce((sum, { areaM2 }) => sum + areaM2, 0);
    expect(areaOf(across)).toBeCloseTo(areaOf(whole), 6);
    expect(areaOf(both)).toBeCloseTo(areaOf(whole), 6);
    expect(new Set(both.map(({ id }) => id)).size).toBe(4);
  });
  it('has its hatches cut out, one or a pair', () => {
    const hatch = { id: 'h', shape: 'rounded', x: 1200, out: 200, long: 300, wide: 200, corner: 0 } as const;
    const [one] = cut(BOX, { hatches: [{ ...hatch, isPair: false }] });
    const [two] = cut(BOX, { hatches: [{ ...hatch, isPair: true }] });
    expect(one!.areaM2).toBeCloseTo((2000 * 988 - 300 * 200) / 1e6, 6);
    expect(two!.areaM2).toBeCloseTo((2000 * 988 - 2 * 300 * 200) / 1e6, 6);
    expect(two!.region.holes).toHaveLength(2);
  });
  it('is nothing where nothing lies within the skin', () => {
    expect(cut(BOX, { height: level(-200) })).toEqual([]);
    expect(cut(BOX, { from: 9000, to: 9500 })).toEqual([]);
  });
});

describe('what stands through a part', () => {
  const frameIn = (given: Partial<FramePlan>): Frame => bulkheadAt(1500, given);
  it('parts it where a bulkhead stands from side to side, with the gap on either face', () => {
    const pieces = cut(BOX, { gap: 1.5 }, SQUARE, [frameIn({})]);
    expect(pieces.map((piece) => sizeOf(piece)[0].toFixed(3))).toEqual([
      (1000 - 1.5).toFixed(3),
      (1000 - 10.5).toFixed(3),
    ]);
    const [fore, aft] = pieces.map(({ region }) => region);
    expect(regionDistance(fore!, aft!)).toBeCloseTo(9 + 3, 3);
  });
  it('notches it for a ring, and leaves alone what it lies on', () => {
    const ring = { breadth: 70, floor: 150, beam: 0, corner: 0 };
    const [piece, ...more] = cut(BOX, { gap: 1.5 }, SQUARE, [frameIn({ kind: 'ring', ring })]);
    expect(more).toEqual([]);
    // both legs, from the skin to the ring's inner edge
    expect(piece!.areaM2).toBeLessThan((2000 * 985 - 2 * 12 * 69) / 1e6);
    expect(piece!.areaM2).toBeGreaterThan((2000 * 985 - 2 * 12 * 75) / 1e6);
    const low = frameIn({ top: { kind: 'level', mm: 200, below: 0 } });
    expect(cut(BOX, { gap: 1.5 }, SQUARE, [low]).map(({ areaM2 }) => areaM2.toFixed(6))).toEqual([
      ((2000 * 985) / 1e6).toFixed(6),
    ]);
  });
  it('leaves no sliver beside a frame that stands off the skin', () => {
    const pieces = cut(BOX, { gap: 0.5 }, SQUARE, [frameIn({ lining: 12 })]);
    expect(pieces).toHaveLength(2);
  });
  it('has cleats as long as what they carry', () => {
    const own = plan({ gap: 0 });
    const shape = shapeOf(own, BOX.panels, SQUARE);
    const standing = { frames: [frameIn({})], girders: [], members: [] };
    const inTheWay = standingThrough(shape.lie, standing, { gap: 0, half: shape.half });
    const pieces = piecesOf(own, shape, { ...NOTHING, port: shape, inTheWay });
    const supports = supportsOf({ ...own, bearers: 1 }, shape.lie, pieces, inTheWay);
    const lengths = (of: string) => supports.filter((one) => one.of === of).map(({ lengthMm }) => Math.round(lengthMm));
    expect(lengths('skin')).toEqual([1000, 1000, 991, 991]);
    expect(lengths('frame')).toEqual([988, 988]);
    // the bearer would stand in the bulkhead: there is none of the part there
    expect(lengths('bearer')).toEqual([]);
    for (const { cornerDeg } of supports.filter((one) => one.of === 'skin')) expect(cornerDeg?.[0]).toBeCloseTo(90, 6);
  });
});

describe('how far a part spans', () => {
  it('is the shorter way between what it lies on, less what lies over the cleats', () => {
    const [piece] = cut(BOX, {});
    expect(widestGap(plan({}), lieOf(plan({})), piece!).spanMm).toBeCloseTo(988 - 20, 3);
    const some = plan({ bearers: 4 });
    expect(widestGap(some, lieOf(some), piece!).spanMm).toBeCloseTo(400 - 20, 3);
  });
  it('grows with the thickness to the power of one and a half', () => {
    expect(widestSpan(18) / widestSpan(9)).toBeCloseTo(2 ** 1.5, 9);
    // 9 mm: I = 250·9³/12 = 15187.5; L² = 48·8000·15187.5 / (50·800) = 145800
    expect(widestSpan(9)).toBeCloseTo(Math.sqrt(145_800), 6);
  });
  it('is told of what is cut, not of its holes', () => {
    const [piece] = cut(BOX, {});
    expect(netArea(piece!.region)).toBeCloseTo(piece!.areaM2 * 1e6, 3);
  });
});
