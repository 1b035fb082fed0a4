import { describe, expect, it } from 'vitest';
import { area, at, boundsOf, solidDistance, type Region, type Vec2 } from '../geometry';
import { bendLines, type LinesTable } from '../lines';
import { developPanels } from '../panels';
import { blankOf } from './blank';
import { shapeFrames } from './judge';
import { keptIn, plainFrame, timberIn } from './plans';
import type { FramePlan, Opening } from './schema';
import { frameAt } from './section';

/** Upright sides, 500 out inside of a skin of 10, over a flat bottom; 400 deep inside. */
const box: LinesTable = {
  longitudinals: [
    [510, -10],
    [510, 400],
  ].map(([halfBreadth = 0, height = 0], k) => ({
    id: ['chine', 'sheer'][k] ?? '',
    name: '',
    points: [0, 1000, 2000, 3000].map((x) => ({ station: '', x, halfBreadth, height })),
  })),
};
const hull = bendLines(box).value;
const panels = developPanels(hull, { thickness: 10 }).value;
const plan = (given: Partial<FramePlan>) => plainFrame({ id: 'f', name: 'F', x: 1000, ...given });
/** Its edges on timber and without bevels, so that the section is what is cut. */
function cut(given: Partial<FramePlan>, gap = 0): Region[] {
  const whole = plan(given);
  const section = frameAt(panels, 1000, { skin: 10, width: 9, face: 'fore', rakeRad: (whole.rakeDeg * Math.PI) / 180 });
  if (!section) throw new Error('no section');
  const school = gap > 0 ? 'filleted' : 'framed';
  return [
    ...blankOf(section, { ...whole, ring: whole.kind === 'ring' ? whole.ring : null }, { schoolOf: () => school, gap })
      .regions,
  ];
}
const one = (given: Partial<FramePlan>, gap = 0): Region => at(cut(given, gap), 0);
const net = ({ outline, holes }: Region) => area(outline) - holes.reduce((sum, hole) => sum + area(hole), 0);
const top = (kind: FramePlan['top']['kind'], mm: number, below = 0) => ({ top: { kind, mm, below } });
const bounds = (given: Partial<FramePlan['bounds']>) => ({
  bounds: { hand: 'across' as const, inner: 0, outer: null, bottom: null, ...given },
});
const sides = ({ outline }: Region) => {
  const { minX, maxX, minY, maxY } = boundsOf(outline);
  return [minX, maxX, minY, maxY].map((v) => Math.round(v * 1000) / 1000 + 0);
};
const WHOLE = 1000 * 400;
/** Of a circle of radius r over a chord c: the part between them. */
const segment = (r: number, c: number) => r ** 2 * Math.asin(c / 2 / r) - (c / 2) * Math.sqrt(r ** 2 - (c / 2) ** 2);

describe('the top of a frame in a box', () => {
  it('is straight across between the sheers', () => expect(net(one({}))).toBeCloseTo(WHOLE, 6));
  it('rises as the arc of a circle over the beam', () => {
    // r = (500² + 50²)/100 = 2525
    const arched = one(top('rise', 50));
    expect(Math.abs(net(arched) - WHOLE - segment(2525, 1000))).toBeLessThan(20); // by its chords, of 33,500 mm²
    expect(boundsOf(arched.outline).maxY).toBeCloseTo(450, 6);
  });
  it('has a camber of a radius', () =>
    expect(Math.abs(net(one(top('radius', 2525))) - WHOLE - segment(2525, 1000))).toBeLessThan(20));
  it('is never rounder than a half circle over the beam', () =>
    expect(boundsOf(one(top('rise', 3000)).outline).maxY).toBeCloseTo(900, 1));
  it('lies lower by the deck that comes on it, camber and all', () => {
    expect(net(one(top('straight', 0, 12)))).toBeCloseTo(1000 * 388, 3);
    expect(boundsOf(one(top('rise', 50, 12)).outline).maxY).toBeCloseTo(438, 2);
  });
  it('is level at a height, below the sheer or above it', () => {
    expect(net(one(top('level', 150)))).toBeCloseTo(1000 * 150, 3);
    expect(net(one(top('level', 460)))).toBeCloseTo(1000 * 460, 3);
  });
  it('is left long to be trimmed, and so are the edges at the skin', () => {
    expect(net(one({ proud: { skin: 0, top: 20 } }))).toBeCloseTo(1000 * 420, 3);
    const box = boundsOf(one({ proud: { skin: 3, top: 0 } }).outline);
    expect([box.minX, box.maxX, box.minY].map((v) => Number(v.toFixed(6)))).toEqual([-503, 503, -3]);
  });
  it('of a raked frame is measured up its slope', () => {
    const raked = one({ rakeDeg: 20, ...top('level', 150) });
    expect(boundsOf(raked.outline).maxY).toBeCloseTo(150 / Math.cos(Math.PI / 9), 3);
  });
});

describe('the bounds of a frame in a box', () => {
  it('make halves to either side of a trunk', () => {
    const half = one(bounds({ hand: 'pair', inner: 80 }));
    expect(sides(half)).toEqual([80, 500, 0, 400]);
  });
  it('of the port hand lie to port', () => {
    const half = one(bounds({ hand: 'port', inner: 80 }));
    expect(sides(half)).toEqual([-500, -80, 0, 400]);
  });
  it('make a floor, a knee, a riser', () => {
    expect(net(one({ ...bounds({}), ...top('level', 90) }))).toBeCloseTo(1000 * 90, 3);
    expect(net(one(bounds({ outer: 200, bottom: 100 })))).toBeCloseTo(400 * 300, 3);
    expect(net(one(bounds({ hand: 'starboard', inner: 300, bottom: 120 })))).toBeCloseTo(200 * 280, 3);
  });
  it('may leave nothing', () => expect(cut(bounds({ hand: 'pair', inner: 700 }))).toEqual([]));
});

describe('a ring frame in a box', () => {
  const ring = (given: Partial<FramePlan['ring']>) => ({
    kind: 'ring' as const,
    ring: { breadth: 70, floor: 90, beam: 0, corner: 0, ...given },
  });
  it('open at the top leaves its breadth at the sides and its floor', () =>
    expect(net(one(ring({})))).toBeCloseTo(WHOLE - 860 * 310, 2));
  it('with a beam has a hole, its corners rounded', () => {
    const closed = one(ring({ beam: 60, corner: 40 }));
    expect(closed.holes).toHaveLength(1);
    const hole = 860 * 250 - (4 - Math.PI) * 40 ** 2;
    expect(Math.abs(WHOLE - hole - net(closed))).toBeLessThan(30);
  });
  it('of a pair keeps its breadth on the inner side too', () => {
    const pair = one({ ...ring({}), ...bounds({ hand: 'pair', inner: 100 }) });
    expect(net(pair)).toBeCloseTo(400 * 400 - 260 * 310, 2);
  });
});

describe('what is cut in a frame', () => {
  const opening = (given: object = {}) => ({
    ...{ id: 'o', shape: 'rounded' as const, out: 0, up: 200, width: 300, height: 160, corner: 40 },
    ...{ isPair: false, doubler: 0, lid: 0, lip: 0, room: 0 },
    ...given,
  });
  const limber = (given: object = {}) => ({ id: 'l', out: 120, diameter: 24, setIn: 20, isPair: true, ...given });
  it('is a rounded rectangle: less four corners of (1 − π/4)·r²', () => {
    const [hole] = one({ openings: [opening()] }).holes;
    expect(area(hole ?? [])).toBeCloseTo(300 * 160 - (4 - Math.PI) * 40 ** 2, -1);
  });
  it('is an oval of half its axes', () => {
    const [hole] = one({ openings: [opening({ shape: 'oval' })] }).holes;
    expect(Math.abs(area(hole ?? []) - Math.PI * 150 * 80)).toBeLessThan(40);
  });
  it('comes on both sides where it is a pair, and once in a half', () => {
    const pair = opening({ out: 250, width: 100, isPair: true });
    expect(one({ openings: [pair] }).holes.map((hole) => Math.round(boundsOf(hole).minX))).toEqual(
      expect.arrayContaining([200, -300]),
    );
    expect(one({ openings: [pair], ...bounds({ hand: 'pair' }) }).holes).toHaveLength(1);
  });
  it('is a limber hole with its rim so far in from the edge as it is cut, gap and all', () => {
    for (const gap of [0, 1.5]) {
      const { outline, holes } = one({ limbers: [limber()] }, gap);
      expect(holes).toHaveLength(2);
      for (const hole of holes) expect(boundsOf(hole).minY - boundsOf(outline).minY).toBeCloseTo(20, 2);
    }
  });
  it('is a half-moon out of the edge where it is not set in', () => {
    const notched = one({ limbers: [limber({ setIn: 0 })] });
    expect(notched.holes).toEqual([]);
    expect(Math.abs(WHOLE - net(notched) - Math.PI * 12 ** 2)).toBeLessThan(3); // two halves
  });
  it('on the centreline of a V keeps its distance from both halves of the edge', () => {
    const rise = 0.5;
    const vee: LinesTable = {
      longitudinals: [
        [0, 0],
        [500, 500 * rise],
        [560, 600],
      ].map(([halfBreadth = 0, height = 0], k) => ({
        id: ['keel', 'chine', 'sheer'][k] ?? '',
        name: '',
        points: [0, 1000, 2000].map((x) => ({ station: '', x, halfBreadth, height })),
      })),
    };
    const vHull = bendLines(vee).value;
    const section = frameAt(developPanels(vHull, { thickness: 6 }).value, 1000, { skin: 6, width: 9, face: 'fore' });
    if (!section) throw new Error('no section');
    const made = plan({ limbers: [limber({ out: 0, isPair: false })] });
    const [region] = blankOf(section, { ...made, ring: null }, { schoolOf: () => 'framed', gap: 0 }).regions;
    const hole = region?.holes[0] ?? [];
    const edge: Vec2[] = [0, 400].map((y) => [y, 6 * Math.hypot(1, rise) + y * rise]);
    expect(solidDistance(hole, [...edge, at(edge, 1)])).toBeCloseTo(20, 2);
  });

  const found = (given: Partial<FramePlan>) =>
    shapeFrames(hull, panels, [plan({ kind: 'bulkhead', ...given })], {
      skin: 10,
      school: 'framed',
      gap: 0,
      keep: keptIn('mm'),
      ...timberIn('mm'),
    }).findings;
  it('says nothing where all keep their distances', () =>
    expect(found({ openings: [opening()], limbers: [limber()] })).toEqual([]));
  it.each<[string, Partial<FramePlan>, object]>([
    [
      'an opening near the skin',
      { openings: [opening({ up: 120 })] },
      { code: 'cut-near-edge', data: expect.objectContaining({ cut: 'opening 1', leastMm: 60 }) },
    ],
    [
      'a sharp corner',
      { openings: [opening({ corner: 4 })] },
      { code: 'cut-sharp', data: expect.objectContaining({ cornerMm: 4 }) },
    ],
    [
      'two cuts near each other',
      { openings: [opening({ up: 150 })], limbers: [limber()] },
      { code: 'cuts-near', data: expect.objectContaining({ cut: 'opening 1', other: 'limber hole 1' }) },
    ],
    ['an opening off the part', { openings: [opening({ up: 900 })] }, { code: 'cut-outside' }],
    [
      'a hole near the middle that a ring leaves out',
      { kind: 'ring', ring: { breadth: 70, floor: 70, beam: 0, corner: 0 }, limbers: [limber({ setIn: 38 })] },
      { code: 'cut-near-edge' },
    ],
    ['a limber hole off the part', { limbers: [limber({ out: 700 })] }, { code: 'cut-outside' }],
    [
      'a part cut in two',
      { openings: [opening({ width: 1200, corner: 60 })] },
      { code: 'frame-in-pieces', severity: 'stop', data: { frame: 'F', pieces: 2 } },
    ],
    ['bounds that leave nothing', bounds({ hand: 'pair', inner: 700 }), { code: 'frame-empty', severity: 'stop' }],
  ])('tells of %s', (_, given, says) => expect(found(given)).toContainEqual(expect.objectContaining(says)));
});

it('what is true of both of a pair of openings is said once', () => {
  const pair: Opening = {
    ...{ id: 'o', shape: 'oval', out: 440, up: 200, width: 100, height: 80, corner: 0 },
    ...{ isPair: true, doubler: 0, lid: 0, lip: 0, room: 0 },
  };
  const { findings } = shapeFrames(hull, panels, [plan({ openings: [pair] })], {
    ...{ skin: 10, school: 'framed', gap: 0, keep: keptIn('mm'), ...timberIn('mm') },
  });
  expect(findings.map(({ code }) => code)).toEqual(['cut-near-edge']);
});

describe('edges made in two ways', () => {
  it('are cut each by its own: the bottom to the gap, the side to the larger face', () => {
    const [bottom, side] = panels;
    const section = frameAt(panels, 1000, { skin: 10, width: 9, face: 'fore' });
    if (!section || !bottom || !side) throw new Error('no section');
    const schoolOf = (id: string) => (id === bottom.id ? 'filleted' : 'framed');
    const [region] = blankOf(section, { ...plan({}), ring: null }, { schoolOf, gap: 2 }).regions;
    const box = boundsOf(region?.outline ?? []);
    expect([box.minY, box.maxX].map((v) => Number(v.toFixed(6)))).toEqual([2, 500]);
  });
});

describe('frames in one another', () => {
  const found = (...plans: Partial<FramePlan>[]) =>
    shapeFrames(
      hull,
      panels,
      plans.map((given, i) => plainFrame({ id: `f${i}`, name: `F ${i}`, x: 1000, ...given })),
      { skin: 10, school: 'framed', gap: 0, keep: keptIn('mm'), ...timberIn('mm') },
    ).findings;
  it('are told where one rakes through the other, by all of its thickness', () => {
    const [one] = found({ rakeDeg: 10 }, { x: 1030 });
    expect(one).toMatchObject({ code: 'frames-overlap' });
    expect((one?.data as { overlapMm: number }).overlapMm).toBeCloseTo(9, 6);
  });
  it('are none where two halves stand to either side, or one above the other', () => {
    expect(found(bounds({ hand: 'port', inner: 50 }), bounds({ hand: 'starboard', inner: 50 }))).toEqual([]);
    expect(found(bounds({ hand: 'pair', inner: 200 }), bounds({ outer: 100 }))).toEqual([]);
  });
});
