/** Walls between exact lines: planes, cylinders, cones; on a sloping and on a cambered part; a front between sides. */
import { describe, expect, it } from 'vitest';
import { at, boundsOf, distance2, distanceToSegment, upright, type Vec2, type Vec3 } from '../../geometry';
import { createDerive, demoProject } from '../../project';
import { heightOver, lieOf, type Lie } from '../lie';
import type { WallPlan } from '../schema';
import { wallOf, type FittedWall, type Footing } from './fitted-wall';
import { arc, CONE, EXACT_WALLS, exactWall, mostOff, pointsOf, THICKNESS } from './fixtures/exact-walls';
import { plainLine } from './new-wall';
import { placeOnWall } from './wall';

const hull = createDerive()(demoProject('tamsel', 'x')).lines.value;
/** On the flat: the chords between rulings, and what outlines are simplified to. */
const NEAR_MM = 0.02;
const T = THICKNESS;
const wall = exactWall;
const made = (plan: WallPlan, parts: readonly Footing[] = [], side?: FittedWall): FittedWall =>
  wallOf(plan, { hull, parts, school: 'filleted', side });
const outlineOf = ({ pieces }: FittedWall) => at(pieces, 0).region.outline;
const footing = (id: string, lie: Lie): Footing => ({ id, lie, pieces: [], hand: 'across' });

describe('a wall between two lines', () => {
  it.each(EXACT_WALLS)('is cut to its closed form within 0.02 mm: $name', ({ plan, lower, upper }) => {
    expect(mostOff(made(plan), { lower, upper })).toBeLessThan(NEAR_MM);
  });
  const { slant, turn, foot: rho, lines: parallel } = CONE;
  it('is as large flat as on the cone', () => {
    const area = (turn / 2) * (rho ** 2 - (rho - slant) ** 2);
    expect(Math.abs(at(made(wall(parallel)).pieces, 0).areaM2 * 1e6 - area)).toBeLessThan(10);
  });
  it('has the straight edge of a sheet for its top where that is wanted, and comes back to the boat so', () => {
    const cut = made(wall({ ...parallel, isTopStraight: true }));
    const tops = cut.rulings.map(({ flat }) => flat[1]);
    for (const [, v] of tops) expect(v).toBeCloseTo(at(tops, 0)[1], 6);
    // the chord of the sector's inner arc: in its middle the sagitta higher
    const sag = (rho - slant) * (1 - Math.cos(turn / 2));
    const middle = at(cut.rulings, cut.rulings.length >> 1);
    expect(distance2(...middle.flat)).toBeCloseTo(slant + sag, 2);
    const place = placeOnWall(cut, T);
    for (const { flat, outer } of cut.rulings.filter((_, i) => i % 40 === 0))
      place(flat[1], T / 2).forEach((mm, k) => expect(mm).toBeCloseTo(at(outer[1], k), 6));
  });
  it('has more left on below its foot where it is scribed, square to the foot, and the foot marked', () => {
    const cut = made(wall({ ...parallel, below: 25 }));
    const plain = made(wall(parallel));
    const more = (at(cut.pieces, 0).areaM2 - at(plain.pieces, 0).areaM2) * 1e6;
    expect(Math.abs(more - (turn / 2) * ((rho + 25) ** 2 - rho ** 2))).toBeLessThan(5);
    expect(at(cut.pieces, 0).netEdge?.length).toBeGreaterThan(5);
  });
  it('keeps the knuckle of a sheer that it follows', () => {
    const project = demoProject('tamsel', 'x');
    const longitudinals = project.lines.longitudinals.map((line, i, all) =>
      i < all.length - 1
        ? line
        : {
            ...line,
            points: line.points.map((p, k) => (k === 4 ? { ...p, isKnuckle: true, height: p.height + 40 } : p)),
          },
    );
    const broken = createDerive()({ ...project, lines: { ...project.lines, longitudinals } }).lines.value;
    const knuckle = at(broken.lines, -1).points.find(({ isKnuckle }) => isKnuckle)!;
    const plan = wall({
      low: { follows: 'sheer', from: knuckle.x - 600, to: knuckle.x + 600 },
      up: { follows: 'lower', up: 200 },
    });
    const cut = wallOf(plan, { hull: broken, parts: [], school: 'filleted', side: undefined });
    const near = Math.min(
      ...cut.rulings.map(({ outer: [[x, y, z]] }) =>
        Math.hypot(x - knuckle.x, y - knuckle.halfBreadth, z - knuckle.height),
      ),
    );
    expect(near).toBeLessThan(0.01);
  });
  it('is parallel to the sheer where it follows it: so far in, so far up', () => {
    const follows = { follows: 'sheer', from: 1500, to: 2800, in: 200, up: 30 } as const;
    const cut = made(wall({ low: follows, up: { follows: 'lower', up: 250 } }));
    const sheer = at(hull.lines, -1).curve;
    for (const { outer } of cut.rulings.filter((_, i) => i % 30 === 0)) {
      const [x, y] = outer[0];
      const near = Math.min(
        ...sheer.slice(1).map((b, i) => distanceToSegment([x, y], [at(sheer, i)[0], at(sheer, i)[1]], [b[0], b[1]])),
      );
      expect(near).toBeCloseTo(200, 0); // the sheer's curve is drawn in chords
      expect(outer[1][2] - outer[0][2]).toBeCloseTo(250, 6);
    }
  });
});

describe('the foot of a wall on a part', () => {
  const heights = { fore: 500, aft: 560, of: 'top' as const };
  const deckOf = (radius: number) => lieOf({ from: 1000, to: 3000, height: heights, camber: { radius }, thickness: 6 });
  const standing = (given: Partial<WallPlan>) =>
    wall({
      low: { points: pointsOf(arc(1800, () => 0)), onPart: 'deck' },
      up: { follows: 'lower', in: 60, up: 300 },
      ...given,
    });
  describe.each([
    ['a sloping one', 0],
    ['a cambered one', 1400],
  ])('on %s', (_, radius) => {
    const lie = deckOf(radius);
    const parts = [footing('deck', lie)];
    it('is cut square to the shorter face, the gap over it, and stands through nothing', () => {
      const cut = made(standing({ gap: 1.5 }), parts);
      for (const { outer, inner } of cut.rulings.slice(1, -1)) {
        const [a, b] = [outer, inner].map(([foot]) => heightOver(lie, foot, 'top')) as [number, number];
        expect(Math.min(a, b)).toBeGreaterThan(1.3); // square to the foot, not to the deck
        expect(Math.min(a, b)).toBeLessThan(1.55);
      }
    });
    it('is bevelled to it where it is framed: the longer face is cut, the other drawn at its own foot', () => {
      const cut = made(standing({ school: 'framed' }), parts);
      for (const { outer, inner, bevelDeg, net, other } of cut.rulings.slice(1, -1)) {
        const [a, b] = [outer, inner].map(([foot]) => heightOver(lie, foot, 'top')) as [number, number];
        expect(Math.abs(Math.max(a, b))).toBeLessThan(1e-6);
        // across the sheet the face that is cut shorter begins T·tan(bevel) up
        const up = distance2(net, other!);
        expect(up).toBeCloseTo(T * Math.abs(Math.tan((bevelDeg * Math.PI) / 180)), 0);
      }
      expect(at(cut.pieces, 0).otherEdge?.length).toBeGreaterThan(1);
    });
    it('leans by the angle between its normal and the face it stands on, within 0.1°', () => {
      const cut = made(standing({}), parts);
      const [x, y, z] = [0, 1, 2] as const;
      for (const { outer, normal, bevelDeg } of cut.rulings.filter((__, i) => i % 25 === 0)) {
        const place = outer[0];
        const gradient = ([x, y, z] as const).map((k) => {
          const by = place.map((mm, i) => (i === k ? mm + 1e-3 : mm)) as [number, number, number];
          return (heightOver(lie, by, 'top') - heightOver(lie, place, 'top')) / 1e-3;
        });
        const long = Math.hypot(...gradient);
        const sine = gradient.reduce((sum, g, k) => sum + (g / long) * at(normal, k), 0);
        expect(Math.abs(bevelDeg - (Math.asin(sine) * 180) / Math.PI)).toBeLessThan(0.1);
      }
    });
  });
  it('says so where it is off the part, or the part is gone', () => {
    const pieces = [
      {
        ...{ id: 'd', name: 'Deck', atSkin: [], areaM2: 1 },
        region: {
          outline: [
            [1000, -600],
            [2000, -600],
            [2000, 600],
            [1000, 600],
          ] as Vec2[],
          holes: [],
        },
      },
    ];
    const cut = made(standing({}), [{ ...footing('deck', deckOf(0)), pieces }]);
    expect(cut.offAt?.[0]).toBeGreaterThan(1990);
    expect(made(standing({})).noLine).toBe('off-part');
  });
});

describe('a front between cabin sides', () => {
  // upright sides 500 out, leaning 40 in over 300 up, straight along the boat
  const sideAt = (z: number): Vec3[] => [1000, 2000].map((x): Vec3 => [x, 500 - (40 / 300) * (z - 600), z]);
  const side = made(wall({ low: { points: pointsOf(sideAt(600)) }, up: { points: pointsOf(sideAt(900)) } }));
  const front = (given: Partial<WallPlan> = {}) =>
    wall({
      ...{ kind: 'cabin-front', between: 'side', gap: 1 },
      low: {
        points: pointsOf([
          [1100, 0, 600],
          [1100, 560, 600],
        ]),
      },
      up: { follows: 'lower', in: 90, up: 300 },
      ...given,
    });
  it('is as broad as the room between their insides, less the gap, at every height', () => {
    const cut = made(front(), [], side);
    expect(cut.isShort).toBe(false);
    const stretch = Math.hypot(90, 300) / 300;
    const thickOut = T * (Math.hypot(40, 300) / 300); // a leaning sheet across level
    const outline = outlineOf(cut);
    const { minY } = boundsOf(outline);
    for (const z of [650, 750, 850]) {
      const v = minY + (z - 600) * stretch;
      const across = upright(
        outline.map(([a, b]): Vec2 => [b, a]),
        v,
      ).flat();
      // of the two faces the outer one stands higher, where there is less room: its lines are its own
      const half = 500 - (40 / 300) * (z - 600) - thickOut - 1;
      expect(Math.max(...across) - Math.min(...across)).toBeCloseTo(2 * half, 2);
    }
  });
  it('faces forward, its inside seen with port to the left; an after end faces aft', () => {
    const facing = (plan: WallPlan) => at(made(plan, [], side).rulings, 10).normal[0];
    expect(facing(front())).toBeLessThan(-0.9);
    expect(facing(front({ kind: 'cabin-back' }))).toBeGreaterThan(0.9);
    expect(at(made(front(), [], side).rulings, 0).outer[0][1]).toBeLessThan(0);
  });
  it('does not reach them where its lines end before', () => {
    const cut = made(
      front({
        lower: plainLine({
          follows: 'points',
          points: pointsOf([
            [1100, 0, 600],
            [1100, 300, 600],
          ]),
        }),
      }),
      [],
      side,
    );
    expect(cut.isShort).toBe(true);
    expect(cut.pieces).toHaveLength(1);
  });
});
