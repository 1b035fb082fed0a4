import { describe, expect, it } from 'vitest';
import { boundsOf, contains, netArea, random, type Region, type Vec3 } from '../../geometry';
import { bendLines, drawLines, type LinesTable } from '../../lines';
import { readOffsets } from '../../exchange';
import { developPanels } from '../../panels';
import { EXACT_SIDES } from '../fixtures/exact-hulls';
import { tableOf } from '../fixtures/table-of';
import { shapeFrame, type Frame } from '../frame';
import { plainFrame, plainGirder, timberIn } from '../plans';
import type { FramePlan, GirderPlan } from '../schema';
import { placeInPlane } from '../section';
import { alongAtX, placeOnGirder, shapeGirder, type Girder, type GirderMaking } from './girder';
import { shapeGirders } from './girders';
import { girderPieces, girdersOnPanel } from './drawings';

const SKIN = 6;

type Boat = Pick<ReturnType<typeof boatOf>, 'hull' | 'panels'>;
const boatOf = (table: LinesTable) => {
  const hull = bendLines(table).value;
  return { hull, panels: developPanels(hull, { thickness: SKIN }).value };
};
const plan = (given: Partial<GirderPlan>) =>
  plainGirder([], { fromX: 0, toX: 3000 }, { from: 500, to: 2500, width: 9, ...given });
const MAKING: GirderMaking = { skin: SKIN, school: 'filleted', gap: 0 };
const girderIn = ({ hull, panels }: Boat, given: Partial<GirderPlan>, making = MAKING): Girder => {
  const girder = shapeGirder(plan(given), hull, panels, making);
  if (!girder) throw new Error('no girder');
  return girder;
};
const straight = (fore: number, aft = fore) => ({ top: { kind: 'straight' as const, fore, aft, below: 0 } });

/** A V bottom that rises one in five outward, all along; sides that flare. */
const VEE = boatOf(tableOf({ keel: () => [0, 0], chine: () => [500, 100], sheer: () => [600, 400] }));
const THROUGH = SKIN * Math.hypot(1, 1 / 5);

describe('a girder over a V bottom', () => {
  it.each([
    ['filleted, stands on its outer face', 'filleted', 209],
    ['on timber, on its inner face', 'framed', 200],
  ] as const)('%s', (_, school, out) => {
    const girder = girderIn(VEE, { hand: 'pair', out: 200, outAft: 200, ...straight(150) }, { ...MAKING, school });
    const { minX, maxX, minY, maxY } = boundsOf(girder.whole);
    expect([minX, maxX]).toEqual([0, 2000]);
    expect(minY).toBeCloseTo(out / 5 + THROUGH, 6);
    expect(maxY).toBeCloseTo(150, 9);
    expect(girder.areaM2).toBeCloseTo((2 * 2000 * (150 - out / 5 - THROUGH)) / 1e6, 6);
    // toward the outer face the bottom rises: that face is the smaller
    expect(girder.edge[3]?.bevelDeg).toBeCloseTo((Math.atan(1 / 5) * 180) / Math.PI, 6);
    expect(girder.seamMm).toBeCloseTo(4000, 6);
  });
  it('on the centreline clears the skin at both its faces, and keeps the gap square to it', () => {
    const girder = girderIn(VEE, { ...straight(120) }, { ...MAKING, gap: 2 });
    expect(boundsOf(girder.whole).minY).toBeCloseTo(4.5 / 5 + THROUGH + 2, 6);
  });
  it('follows the sheer, lower by a deck', () => {
    const girder = girderIn(VEE, { top: { kind: 'sheer', fore: 0, aft: 0, below: 30 } });
    expect(boundsOf(girder.whole).maxY).toBeCloseTo(370, 6);
  });
  it('that runs outward passes the chine and goes up the side', () => {
    const girder = girderIn(VEE, { hand: 'pair', out: 300, outAft: 520, ...straight(350) });
    const end = boundsOf(girder.whole).maxX;
    const [last] = girder.whole.filter(([s]) => Math.abs(s - end) < 1e-6).map(([, z]) => z);
    // the side's inside stands 100 + 3(y - 500) up, and the skin taken off square to it; it is cut to its outer face
    const y = 520 + 9 * Math.cos(girder.plane.turnRad);
    expect(last).toBeCloseTo(100 + 3 * (y - 500 + SKIN * Math.hypot(1, 1 / 3)), 2);
  });
  it('over which there is no skin, or whose top lies under it, is none', () => {
    for (const given of [{ hand: 'pair' as const, out: 900, outAft: 900 }, straight(3), { from: 2000, to: 1000 }])
      expect(shapeGirder(plan(given), VEE.hull, VEE.panels, MAKING)).toBeUndefined();
  });
});

describe.each(EXACT_SIDES.map((side) => [side.name, side] as const))('a girder through %s', (_, side) => {
  const read = readOffsets(side.csv);
  if (!read.ok) throw new Error('unread');
  const hull = drawLines(read.lines).value;
  const panels = developPanels(hull, { thickness: SKIN }).value.filter((panel) => !panel.spansCentreline);
  const [from, to] = [side.xs[0]!, side.xs[side.xs.length - 1]!];
  // along the middle of the side as it goes there
  const middle = (x: number) => {
    const ys = panels.flatMap((panel) =>
      panel.rulings.flatMap(({ p, q }) => (Math.abs(p[0] - x) < 40 ? [p[1], q[1]] : [])),
    );
    return (Math.min(...ys) + Math.max(...ys)) / 2;
  };
  it('lies on the inside of the skin all along', () => {
    const own = plan({ hand: 'pair', from, to, out: middle(from), outAft: middle(to), ...straight(4000) });
    const girder = shapeGirder(own, hull, panels, { ...MAKING, school: 'framed' });
    if (!girder) throw new Error('no girder');
    expect(girder.edge.length).toBeGreaterThan(20);
    for (const { s, z, bevelDeg } of girder.edge) {
      const place = placeOnGirder(girder.plane, [s, z]);
      expect(Math.abs(side.depthOf(place) - SKIN)).toBeLessThan(0.1);
      const n = side.normalAt(place);
      const across = -Math.sin(girder.plane.turnRad) * n[0] + Math.cos(girder.plane.turnRad) * n[1];
      expect(Math.abs(bevelDeg - (Math.asin(across) * 180) / Math.PI)).toBeLessThan(0.1);
    }
  });
});

/** Upright sides 600 out over a flat bottom, 400 deep. */
const BOX = boatOf(tableOf({ chine: () => [606, -6], sheer: () => [606, 400] }));

function crossed(girder: Partial<GirderPlan>, frame: Partial<FramePlan>) {
  const made = plainFrame({ id: 'f', name: 'F', x: 1500, width: 12, kind: 'bulkhead', ...frame });
  const shaped = shapeFrame(made, BOX.panels, { ...MAKING, ...timberIn('mm') });
  if (!shaped.ok) throw new Error('no frame');
  const { value, findings } = shapeGirders(
    BOX.hull,
    BOX.panels,
    { plans: [plan({ clearance: 0.5, ...straight(200), ...girder })], frames: [shaped.frame] },
    MAKING,
  );
  return { before: shaped.frame, girder: value.girders[0]!, frame: value.frames[0]!, findings };
}

describe('a girder and a frame that cross', () => {
  it('are halved: the frame goes over it, each slotted by the other’s thickness and the room', () => {
    const { before, girder, frame } = crossed({}, {});
    // both 200 high there: slots of 100 and a quarter more, 13 and 10 wide
    expect(netArea(girder.pieces[0]!)).toBeCloseTo(2000 * 200 - 13 * 100.25, 3);
    expect(netArea(before.cut) - netArea(frame.cut)).toBeCloseTo(10 * 100.25, 3);
    expect(girder.pieces).toHaveLength(1);
  });
  it('or it goes over the frame, whose slot is then open above', () => {
    const { before, girder, frame } = crossed({ halving: 'girder' }, {});
    expect(netArea(girder.pieces[0]!)).toBeCloseTo(2000 * 200 - 13 * 100.25, 3);
    expect(netArea(before.cut) - netArea(frame.cut)).toBeCloseTo(10 * (100.25 + 200), 3);
  });
  it('or it stands in two pieces between frames, which are left whole', () => {
    const { before, girder, frame } = crossed({ halving: 'between' }, {});
    expect(girderPieces(girder).map(({ id, name }) => [id, name])).toEqual([
      ['girder.1.1', 'Girder 1, piece 1'],
      ['girder.1.2', 'Girder 1, piece 2'],
    ]);
    expect(frame.cut).toEqual(before.cut);
  });
  it('an opening that parts it is told', () => {
    const opening = {
      id: 'o',
      shape: 'rounded',
      out: 600,
      up: 100,
      width: 50,
      height: 300,
      corner: 0,
      ...{ isPair: false, doubler: 0, lid: 0, lip: 0, room: 0 },
    } as const;
    expect(crossed({ openings: [opening] }, {}).findings).toMatchObject([
      { code: 'girder-in-pieces', severity: 'stop' },
    ]);
  });
  it('one that is asked to reach beyond the hull is told how far it goes', () =>
    expect(crossed({ to: 3400 }, {}).findings).toMatchObject([
      { code: 'girder-short', data: { fromMm: 500, toMm: 3000 } },
    ]));
  it('off the frame they do not meet', () => {
    const half = { bounds: { hand: 'starboard', inner: 100, outer: null, bottom: null } } as const;
    expect(crossed({ hand: 'port', out: 300, outAft: 300 }, half).girder.pieces).toHaveLength(1);
    expect(netArea(crossed({}, half).girder.pieces[0]!)).toBeCloseTo(2000 * 200, 3);
  });

  const inside = ({ outline, holes }: Region, p: readonly [number, number]) =>
    contains(outline, p) && !holes.some((hole) => contains(hole, p));
  const inFrame = (frame: Frame, place: Vec3) => {
    const [aft, y, up] = placeInPlane(frame, place);
    const within = frame.face === 'fore' ? aft >= 0 && aft <= frame.width : aft <= 0 && -aft <= frame.width;
    return within && inside(frame.cut, [y, up]);
  };
  it.each([
    [{ out: 100, outAft: 420 }, {}],
    [{ out: 420, outAft: 60 }, { rakeDeg: 18 }],
    [
      { out: 300, outAft: 300, halving: 'girder' as const },
      { rakeDeg: -12, face: 'aft' as const },
    ],
    [{ out: 100, outAft: 420, halving: 'between' as const }, { rakeDeg: 15 }],
    [
      { out: 90, outAft: 260 },
      { kind: 'ring' as const, rakeDeg: 8 },
    ],
  ])(
    'aslant and raked are nowhere in one another, and near one another wherever they meet: %j %j',
    (along, athwart) => {
      const { girder, frame, before } = crossed({ hand: 'pair', ...along }, athwart);
      const next = random(7);
      const { minY, maxY } = boundsOf(girder.whole);
      // where the frame is, and the girder with it
      let shared = 0;
      for (let i = 0; i < 4000; i++) {
        const z = minY + next() * (maxY - minY);
        const s = alongAtX(girder.plane, 1500 + z * Math.tan(before.rakeRad)) + 60 * next() - 30;
        const out = girder.faces[0] + next() * (girder.faces[1] - girder.faces[0]);
        const place = placeOnGirder(girder.plane, [s, z], out);
        const mirrored: Vec3 = [place[0], -place[1], place[2]];
        if (inFrame(before, place)) shared++;
        const isIn = girder.pieces.some((piece) => inside(piece, [s, z]));
        if (isIn) for (const p of [place, mirrored]) expect(inFrame(frame, p)).toBe(false);
      }
      expect(shared).toBeGreaterThan(200);
    },
  );
});

describe('marks of a girder on the panels', () => {
  it('are where its faces meet the inside of the skin: on a flat bottom to both sides', () => {
    const girder = girderIn(BOX, { hand: 'pair', out: 200, outAft: 200, ...straight(200) });
    const bottom = BOX.panels.find((panel) => panel.spansCentreline)!;
    const { paths, texts } = girdersOnPanel(bottom, [girder]);
    expect(paths).toHaveLength(4);
    expect(texts.map(({ text }) => text)).toEqual(['Girder 1', 'Girder 1']);
    const heights = paths.map(({ points }) => Math.round(points[0]![1])).sort((a, b) => a - b);
    const middle = (heights[0]! + heights[3]!) / 2;
    expect(heights.map((v) => v - middle)).toEqual([-209, -200, 200, 209]);
    const span = paths[0]!.points.map(([u]) => u);
    expect(Math.max(...span) - Math.min(...span)).toBeCloseTo(2000, 3);
  });
});
