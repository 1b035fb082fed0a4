/** Hanging knees in boats of planes, by hand; and in whole boats, as solids against the skin and what they meet. */
import { describe, expect, it } from 'vitest';
import { area, at, contains, distance2, type Vec2 } from '../../geometry';
import { applyEdits, createDerive, demoProject, DEMO_IDS } from '../../project';
import { sectionAt } from '../../surface';
import { BOX, FLARED, level, partIn, SKIN, type PlainBoat } from '../fixtures/plain-boats';
import { heightOver } from '../lie';
import type { KneePlan } from '../schema';
import type { Fitted } from '../value';
import { kneeCorners, kneeFromAbove, kneeFromSide } from './in-space';
import { judgeKnees } from './judge-knees';
import { kneeOnBoard } from './knee-drawings';
import { kneesOf, type FittedKnee } from './knee';
import { kneesDiffer } from './fixtures/closed-form';
import { ringAcross } from './member-across';
import { newKnee } from './new-knee';

const plan = (given: Partial<KneePlan> = {}): KneePlan => ({
  ...{ id: 'k', name: 'Hanging knee', hand: 'pair', x: 1500, goes: 'down', onPart: null, height: 500 },
  ...{ thickness: 20, across: 200, along: 200, nose: 30, hollow: 0 },
  ...given,
});
const kneeIn = (boat: PlainBoat, given: Partial<KneePlan> = {}, parts: readonly Fitted[] = []): FittedKnee =>
  at(kneesOf(plan(given), { ...boat, strips: [], parts, members: [], inside: SKIN }), 0);
const codesOf = (given: Partial<KneePlan>, boat = BOX, parts: readonly Fitted[] = []) =>
  judgeKnees([plan(given)], [kneeIn(boat, given, parts)], { parts: [], frames: [] }).map(({ code }) => code);

describe('in a box', () => {
  it('is the square less its corner: area, arms, throat and board by hand', () => {
    const knee = kneeIn(BOX);
    // a square of 200 less the triangle whose legs are 170
    expect(area(knee.cut)).toBeCloseTo(200 * 200 - 170 ** 2 / 2, 2);
    expect([knee.acrossMm, knee.alongMm]).toEqual([200, 200]);
    expect(knee.throatMm).toBeCloseTo(230 / Math.SQRT2, 6);
    expect(knee.rows.map(({ fore, aft, bevelDeg }) => [fore, aft, bevelDeg])).toEqual(
      knee.rows.map(() => [500 - SKIN, 500 - SKIN, 0]),
    );
    knee.rows.forEach(({ up }, i) => expect(up).toBeCloseTo(500 - 50 * i, 9));
    // along its free edge from the nose's corner to the nose's corner, and from that to the corner of the boat
    expect(at(knee.supports, 0)).toMatchObject({ lengthMm: Math.ceil(200 * Math.SQRT2), gluedMm2: 400 * 20 });
    expect(at(knee.supports, 0).breadth).toBe(Math.ceil(230 / Math.SQRT2));
  });
  it('stands as it hangs, mirrored in the level that it meets', () => {
    const [down, up] = [kneeIn(BOX, { height: 300 }), kneeIn(BOX, { height: 300, goes: 'up' })];
    const over = down.cut.map(([y, z]): Vec2 => [y, 600 - z]);
    expect(area(up.cut)).toBeCloseTo(area(down.cut), 6);
    for (const p of over) expect(nearest([...up.cut, at(up.cut, 0)], p)).toBeLessThan(0.001);
  });
  it('is hollowed by as much as was asked, in an arc that runs through both noses', () => {
    const hollowed = kneeIn(BOX, { hollow: 30 });
    expect(hollowed.throatMm).toBeCloseTo(230 / Math.SQRT2 - 30, 3);
    expect(at(hollowed.free, 0)).toEqual(at(kneeIn(BOX).free, 0));
  });
  it('meets the under side of a part or its upper face, sloping with it', () => {
    const seat = partIn(BOX, { height: level(200, 300), thickness: 10 });
    const [hangs, stands] = (['down', 'up'] as const).map((goes) => kneeIn(BOX, { goes, onPart: 'p' }, [seat]));
    const under = 250; // half way between its ends, of its under side
    for (const [knee, z] of [
      [hangs!, under],
      [stands!, under + 10 * Math.hypot(1, 0.05)],
    ] as const) {
      const [fore, aft] = knee.faces.map(({ arm }) => at(arm, 0)[1]) as [number, number];
      expect((fore + aft) / 2).toBeCloseTo(z, 6);
      expect(aft - fore).toBeCloseTo(20 * 0.05, 6);
    }
  });
  it('follows a camber: each place of its arm lies on the part’s under side', () => {
    const deck = partIn(BOX, { height: level(400), camber: { radius: 2000 } });
    const { faces } = kneeIn(BOX, { onPart: 'p' }, [deck]);
    for (const { x, arm } of faces)
      for (const [y, z] of arm) expect(Math.abs(heightOver(deck.lie, [x, y, z], 'under'))).toBeLessThan(1e-6);
  });
});

describe('on sides that flare', () => {
  it('has its leg on the inside of the skin, and its end square to that', () => {
    const knee = kneeIn(FLARED, { height: 400 });
    // the side leans out by 1 in 4; its inside lies the skin's thickness in, square to it
    const inside = (z: number) => 500 + z / 4 - SKIN * Math.hypot(1, 1 / 4);
    for (const { leg } of knee.faces) for (const [y, z] of leg) expect(y).toBeCloseTo(inside(z), 6);
    const [end, nose] = [at(at(knee.faces, 0).leg, -1), at(knee.free, -1)];
    expect(distance2(end, nose)).toBeCloseTo(30, 6);
    expect((nose[0] - end[0]) * 1 + (nose[1] - end[1]) * 4).toBeCloseTo(0, 6);
    expect(distance2([inside(400), 400], end)).toBeCloseTo(200, 6);
  });
});

it('on sides that are planes and draw together its bevel and both faces are those of the planes’ equation', () => {
  const { offMm, bevelOff } = kneesDiffer();
  expect(offMm).toBeLessThan(0.005);
  expect(bevelOff).toBeLessThan(0.01);
});

describe('is told of', () => {
  it.each([
    ['the part that it meets is gone', { onPart: 'none' }, 'knee-on-nothing'],
    ['the side does not come up so high', { height: 900 }, 'knee-no-skin'],
    ['it lies beyond the boat', { x: 5000 }, 'knee-no-skin'],
    ['its arms are shorter than their noses', { across: 25, along: 25 }, 'knee-no-skin'],
    ['its hollow leaves no wood', { hollow: 300, nose: 5 }, 'knee-no-wood'],
    ['it is thin at its corner', { thickness: 100 }, 'knee-throat'],
  ] as const)('where %s', (_, given, code) => expect(codesOf(given)).toEqual([code]));
  it('where a hollow less deep leaves it thick enough, with the button that does it', () => {
    const [told] = judgeKnees([plan({ thickness: 75, hollow: 30 })], [kneeIn(BOX, { thickness: 75, hollow: 30 })], {
      ...{ parts: [], frames: [] },
    });
    // through the corner 162.6 less the hollow; twice its thickness is 150
    expect(told?.remedies).toMatchObject([{ edits: [{ path: ['fitout', 'knees', 'k', 'hollow'], value: 12 }] }]);
    // the same of a deeper one
    const deep = { thickness: 50, hollow: 100 };
    const [half] = judgeKnees([plan(deep)], [kneeIn(BOX, deep)], { parts: [], frames: [] });
    const value = Math.floor(230 / Math.SQRT2 - 100);
    expect(half?.remedies).toMatchObject([{ edits: [{ path: ['fitout', 'knees', 'k', 'hollow'], value }] }]);
  });
  it('where it stands beside its part, and where its arm reaches beyond that', () => {
    const seat = partIn(BOX, { hand: 'pair', inner: { fore: 350, aft: 350 }, height: level(250) });
    expect(codesOf({ onPart: 'p', x: 2600 }, BOX, [seat])).toEqual(['knee-off-part']);
    // from the skin at 494 in to 350
    expect(kneeIn(BOX, { onPart: 'p' }, [seat]).beyondMm).toBeCloseTo(200 - 144, 6);
    expect(codesOf({ onPart: 'p' }, BOX, [seat])).toEqual(['knee-beyond']);
  });
});

it('is seen from above and from the side as broad as its board is thick', () => {
  const knee = kneeIn(BOX);
  expect(kneeFromAbove(knee).map(([x]) => x)).toEqual([1490, 1510, 1510, 1490]);
  kneeFromSide(knee).forEach(([, z], i) => expect(z).toBeCloseTo(at([300, 300, 500, 500], i), 9));
  // on its board the free edge lies along it, the corner as far off as it is through
  const { cut } = kneeOnBoard(knee);
  expect(Math.min(...cut.flat())).toBeCloseTo(0, 9);
  expect(Math.max(...cut.map(([, v]) => v))).toBeCloseTo(230 / Math.SQRT2, 6);
  expect(area(cut)).toBeCloseTo(area(knee.cut), 6);
});

const derive = createDerive();

describe.each(DEMO_IDS)('put into %s', (id) => {
  const project = demoProject(id, 'x');
  const { lines } = derive(project);
  const { notation, fitout } = project;
  const knee = newKnee(fitout.knees, { hull: lines.value, notation, parts: fitout.parts });
  const made = applyEdits(project, [{ path: ['fitout', 'knees'], value: [knee] }]);
  if (!made.ok) throw new Error(made.reason);
  const derived = derive(made.project);
  it('is made where it is put in, without a stop', () => {
    expect(derived.fitout.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    for (const { rows } of derived.fitout.value.knees) expect(rows.length).toBeGreaterThan(0);
  });
  it('lies on the inside of the skin on both faces, and nowhere through it', () => {
    const skin = project.panels.thickness;
    for (const { faces, hand } of derived.fitout.value.knees) {
      const panels = derived.panels.value.panels.filter(
        ({ only }) => only !== (hand === 'port' ? 'starboard' : 'port'),
      );
      for (const { x, leg } of faces)
        for (const p of leg) {
          const near = panels.map(({ rulings }) =>
            nearest(
              sectionAt(rulings, x, skin).map(({ space }): Vec2 => [space[1], space[2]]),
              p,
            ),
          );
          expect(Math.min(...near)).toBeLessThan(0.05);
        }
    }
  });
  it('is bought, glued and drawn', () => {
    const runs = derived.timber.value.runs.filter(({ name }) => name.startsWith(knee.name));
    expect(runs.reduce((sum, { qty }) => sum + qty, 0)).toBe(2);
    expect(derived.epoxy.value.lines.some(({ item }) => item.startsWith(knee.name))).toBe(true);
  });
  it('is a body whose corners are its own faces’ and its free edge’s', () => {
    for (const own of derived.fitout.value.knees) {
      const rings = kneeCorners(own);
      expect(rings.length).toBeGreaterThan(2);
      for (const [, q, r] of rings) expect([r[1], r[2]]).toEqual([q[1], q[2]]);
      const [fore] = own.faces;
      expect([at(rings, 0)[0][1], at(rings, 0)[0][2]]).toEqual(at(fore!.arm, 0));
    }
  });
});

/** How far a place lies from a line. */
function nearest(line: readonly Vec2[], [y, z]: Vec2): number {
  return line.slice(1).reduce((best, b, i) => {
    const a = at(line, i);
    const [dy, dz] = [b[0] - a[0], b[1] - a[1]];
    const long = dy * dy + dz * dz;
    const w = long === 0 ? 0 : Math.max(0, Math.min(1, ((y - a[0]) * dy + (z - a[1]) * dz) / long));
    return Math.min(best, Math.hypot(y - a[0] - w * dy, z - a[1] - w * dz));
  }, Infinity);
}

describe('the thwart knees of the Orrin', () => {
  const project = demoProject('orrin', 'x');
  const { fitout, frames } = derive(project);
  const [knee] = fitout.value.knees;
  const thwart = fitout.value.parts.find(({ id }) => id === 'thwart');
  it('stand on the thwart, from edge to edge of their arms', () => {
    for (const { x, arm } of knee!.faces)
      for (const [y, z] of arm) expect(Math.abs(heightOver(thwart!.lie, [x, y, z], 'top'))).toBeLessThan(1e-6);
    expect(knee!.beyondMm).toBe(0);
  });
  it('are notched for what runs along the skin through them, and stand in no frame', () => {
    expect(knee!.cutFor).toEqual(['Sheer clamp']);
    const clamp = frames.value.members.find(({ name }) => name === 'Sheer clamp');
    const ring = ringAcross(clamp!, knee!.x);
    const middle: Vec2 = [0, 1].map((k) => ring.reduce((sum, p) => sum + p[k]!, 0) / ring.length) as [number, number];
    expect(contains(knee!.cut, middle)).toBe(false);
    // nothing is left between the clamp and the skin
    for (const p of ring) expect(contains(knee!.cut, [p[0] + 0.5, p[1]])).toBe(false);
    expect(fitout.findings.filter(({ code }) => code === 'knee-in-frame')).toEqual([]);
  });
  it('are told where they stand in a frame, and stand against its nearer face by the button', () => {
    const [frame] = frames.value.frames.filter(({ x }) => Math.abs(x - 1371.6) < 1);
    const inFrame = applyEdits(project, [
      { path: ['fitout', 'knees', 'hanging.1', 'onPart'], value: null },
      { path: ['fitout', 'knees', 'hanging.1', 'x'], value: frame!.x + 4 },
    ]);
    if (!inFrame.ok) throw new Error(inFrame.reason);
    const told = derive(inFrame.project).fitout.findings.find(({ code }) => code === 'knee-in-frame');
    const [remedy] = told?.remedies ?? [];
    const moved = applyEdits(inFrame.project, remedy?.edits ?? []);
    if (!moved.ok) throw new Error(moved.reason);
    const after = derive(moved.project).fitout;
    expect(after.findings.filter(({ code }) => code === 'knee-in-frame')).toEqual([]);
    const [own] = after.value.knees;
    const places = own!.faces.flatMap(({ arm, leg }) => [...arm, ...leg]);
    expect(places.some((p) => contains(frame!.cut.outline, p))).toBe(true);
  });
});
