/** People as joints of known lengths, and what is in their way: in a box by hand, and in whole boats. */
import { describe, expect, it } from 'vitest';
import { distance2, random } from '../../geometry';
import { applyEdits, createDerive, demoProject, DEMO_IDS, type Project } from '../../project';
import { FOOT_LONG, THIGH_THICK, TRUNK_DEEP } from '../constants';
import { BOX, bulkheadAt, level, partIn } from '../fixtures/plain-boats';
import { plainInside } from '../plans';
import { POSES, type PersonPlan } from '../schema';
import { bodyOf } from './body';
import { seatedIn, type PeopleBoat } from './in-boat';
import { newPerson, sizesFor } from './new-person';
import { personAcross, personFromAbove, personFromSide } from './seen';

const person = (given: Partial<PersonPlan> = {}): PersonPlan => ({
  ...{ id: 'one', name: 'One', pose: 'seated', faces: 'aft', x: 1000, out: 0, height: 500, size: sizesFor(1750) },
  ...given,
});
const SIZE = sizesFor(1750);
const THICK = THIGH_THICK.value * 1750;
const DEEP = TRUNK_DEEP.value * 1750;

describe('a body', () => {
  it('sits on a seat of its shin’s height with the thigh level and the heel under the knee', () => {
    const { hip, knee, heel, hangs, crown } = bodyOf(person(), 500 - SIZE.shin);
    expect(knee[1]).toBeCloseTo(hip[1], 6);
    expect(heel[0]).toBeCloseTo(knee[0], 6);
    // from the back to the front of the knee, and from the seat to the crown, as measured
    expect(knee[0] + THICK / 2 - 1000).toBeCloseTo(SIZE.thigh, 6);
    expect(crown[1] - 500).toBe(SIZE.sitting);
    expect(hangs).toBe(0);
  });
  it('has its feet hang over a lower floor, by as much as that is lower', () => {
    const { knee, heel, hangs } = bodyOf(person(), 500 - SIZE.shin - 70);
    expect(hangs).toBeCloseTo(70, 6);
    expect(heel[0]).toBeCloseTo(knee[0], 6);
  });
  it.each([300, 200, 60])('keeps its bones and its right knee on a seat %i mm over the floor', (under) => {
    const { hip, knee, heel } = bodyOf(person(), 500 - under);
    const [upper, lower] = [SIZE.thigh - THICK / 2 - DEEP / 2, SIZE.shin + THICK / 2];
    expect(distance2(hip, knee)).toBeCloseTo(upper, 6);
    expect(distance2(knee, heel)).toBeCloseTo(lower, 6);
    expect(distance2(hip, heel)).toBeCloseTo(Math.hypot(upper, lower), 6);
    expect(heel[1]).toBeCloseTo(500 - under, 6);
    expect(knee[1]).toBeGreaterThan(hip[1]);
  });
  it('rows with its legs nearly straight to a brace further off than it sits', () => {
    const [rows, sits] = (['rowing', 'seated'] as const).map((pose) => bodyOf(person({ pose }), 250));
    expect(rows!.heel[0]).toBeGreaterThan(sits!.heel[0] + 150);
    expect(rows!.rowlock?.[0]).toBeGreaterThan(1400);
    expect(sits!.rowlock).toBeUndefined();
  });
  it('lies as long as it is tall, with room to spare', () => {
    const { span, crown, toe } = bodyOf(person({ pose: 'lying', faces: 'forward' }), 0);
    expect(span).toEqual([1000 - 1810, 1000]);
    expect(crown[0] - toe[0]).toBe(1810);
  });
  it('is the mirror image facing the other way', () => {
    for (const pose of POSES) {
      const [a, b] = (['aft', 'forward'] as const).map((faces) => bodyOf(person({ pose, faces }), 300));
      for (const joint of ['hip', 'knee', 'heel', 'toe', 'crown'] as const) {
        expect(a![joint][0] - 1000).toBeCloseTo(1000 - b![joint][0], 9);
        expect(a![joint][1]).toBeCloseTo(b![joint][1], 9);
      }
    }
  });
  it.each([1, 2, 3, 4, 5, 6])('is figures and rings whatever its sizes (seed %i)', (seed) => {
    const next = random(seed);
    const between = (low: number, high: number) => low + next() * (high - low);
    for (const pose of POSES) {
      const size = {
        ...{ tall: between(500, 2500), sitting: between(200, 1500), thigh: between(150, 1200) },
        ...{ shin: between(100, 900), broad: between(150, 1200) },
      };
      const body = bodyOf(person({ pose, size, height: between(-500, 900) }), between(-900, 900));
      const rings = [...personFromSide(body), ...personFromAbove(body), ...personAcross(body, body.hip[0])];
      expect(rings.flat(2).every(Number.isFinite)).toBe(true);
    }
  });
});

describe('room for a person in a box', () => {
  const skin = { inside: 6, outside: 0 };
  const seat = partIn(BOX, { kind: 'seat', name: 'Seat', from: 900, to: 1300, height: level(300, 300, 'top') });
  const boat: PeopleBoat = { ...BOX, frames: [], skin, parts: [seat], walls: [], blocks: [], knees: [] };
  const sits = (given: Partial<PersonPlan> = {}, more: Partial<PeopleBoat> = {}) =>
    seatedIn(person({ height: 300, ...given }), { ...boat, ...more });
  it('stands its feet on the inside of the bottom, and wants for nothing there', () => {
    const one = sits();
    expect(one.heel[1]).toBeCloseTo(6, 3);
    expect([one.headroom, one.legs, one.narrow, one.onNothing]).toEqual([undefined, undefined, undefined, undefined]);
  });
  it('stands them on a sole where there is one, and comes less far', () => {
    const sole = partIn(BOX, { from: 1300, to: 2500, height: level(120, 120, 'top') });
    const one = sits({}, { parts: [seat, sole] });
    expect(one.heel[1]).toBeCloseTo(120, 3);
    expect(one.heel[0]).toBeGreaterThan(sits().heel[0]);
  });
  it('is told how much headroom there is under a deck', () => {
    const deck = partIn(BOX, { name: 'Deck', fit: 'over', from: 500, to: 1400, height: level(600) });
    const { headroom } = sits({}, { parts: [seat, deck] });
    expect(headroom).toEqual({ by: 'Deck', room: expect.closeTo(300, 6) as number, needs: SIZE.sitting });
    expect(sits({ x: 1600 }, { parts: [seat, deck] }).headroom).toBeUndefined();
  });
  it('is told how far its legs come, up to a bulkhead; one with an opening there lets them through', () => {
    const shut = sits({}, { frames: [bulkheadAt(1500)] }).legs;
    expect(shut).toMatchObject({ by: 'Bulkhead at 1500', room: 500 });
    const span = sits().span;
    expect(shut?.needs).toBeCloseTo(span[1] - span[0], 6);
    expect(span[1] - span[0]).toBeGreaterThan(SIZE.thigh + FOOT_LONG.value * 1750 - 200);
    const low = bulkheadAt(1500, { top: { kind: 'level', mm: 60, below: 0 } });
    expect(sits({}, { frames: [low] }).legs).toBeUndefined();
    expect(sits({}, { frames: [bulkheadAt(2200)] }).legs).toBeUndefined();
  });
  it('is told of one that leans by where the legs come to it', () => {
    const { legs } = sits({}, { frames: [bulkheadAt(1500, { rakeDeg: 15 })] });
    // its face passes the height of a shin or a thigh further aft: 15° over some 100 to 400 mm
    const further = (legs?.room ?? 0) - 500;
    expect(further).toBeGreaterThan(100 * Math.tan(Math.PI / 12));
    expect(further).toBeLessThan(450 * Math.tan(Math.PI / 12));
  });
  it('is told by how much the boat is too narrow', () => {
    // 494 inside; 525 over the elbows, 300 to starboard: 262.5 + 300 − 494
    expect(sits({ out: 300 }).narrow?.mm).toBeCloseTo(525 / 2 + 300 - 494, 3);
    expect(sits({ out: 200 }).narrow).toBeUndefined();
  });
  it('is told where it sits on nothing, and on what it would', () => {
    expect(sits({ height: 420 }).onNothing?.nearest).toMatchObject({
      name: 'Seat',
      top: expect.closeTo(300, 6) as number,
    });
    expect(sits({ x: 2200 }).onNothing).toEqual({});
  });
  it('lies under a deck with what it takes to turn over', () => {
    const bunk = partIn(BOX, { name: 'Bunk', from: 300, to: 2700, height: level(200, 200, 'top') });
    const deck = partIn(BOX, { name: 'Deck', fit: 'over', from: 1800, to: 3000, height: level(600) });
    const lies = sits({ pose: 'lying', x: 500, height: 200 }, { parts: [bunk, deck] });
    expect(lies.headroom).toEqual({ by: 'Deck', room: expect.closeTo(400, 6) as number, needs: 450 });
    expect(lies.legs).toBeUndefined();
    const parted = sits({ pose: 'lying', x: 500, height: 200 }, { parts: [bunk], frames: [bulkheadAt(1500)] });
    expect(parted.legs).toMatchObject({ by: 'Bulkhead at 1500', room: 1000 });
  });
});

describe('people in whole boats', () => {
  const derive = createDerive();
  const withPeople = (project: Project, people: PersonPlan[]): Project => ({
    ...project,
    fitout: { ...project.fitout, people },
  });
  it.each(DEMO_IDS)('are put in where there is a seat, and taken by the project: %s', (id) => {
    const project = demoProject(id, 'x');
    const { lines, fitout } = derive(project);
    const asked = { hull: lines.value, notation: project.notation, parts: fitout.value.parts };
    const people = POSES.reduce<PersonPlan[]>((all, pose) => [...all, newPerson(pose, all, asked)], []);
    expect(applyEdits(project, [{ path: ['fitout', 'people'], value: people }]).ok).toBe(true);
    expect(new Set(people.map(({ name }) => name)).size).toBe(3);
    const { value } = derive(withPeople(project, people)).fitout;
    expect(JSON.stringify(value.people)).not.toMatch(/null/);
    const seat = fitout.value.parts.find(({ kind }) => ['thwart', 'seat', 'top'].includes(kind));
    if (seat) expect(value.people[0]?.onNothing).toBeUndefined();
  });
  it('have no complaint where the demos have them, and are put on the seat by the remedy', () => {
    for (const id of ['tamsel', 'orrin'] as const) {
      const { value, findings } = derive(demoProject(id, 'x')).fitout;
      expect(value.people.length).toBeGreaterThan(0);
      expect(findings).toEqual([]);
    }
    const project = demoProject('tamsel', 'x');
    const [helm] = project.fitout.people;
    const high = withPeople(project, [{ ...helm!, height: 600 }]);
    const finding = derive(high).fitout.findings.find(({ code }) => code === 'person-on-nothing')!;
    const done = applyEdits(high, finding.remedies?.[0]?.edits ?? []);
    if (!done.ok) throw new Error(done.reason);
    expect(done.project.fitout.people[0]?.height).toBe(369);
    expect(derive(done.project).fitout.findings).toEqual([]);
  });
  it('take up a rower’s oar from the boat’s own breadth: seven parts of twenty-five from its handle', () => {
    const rower = derive(demoProject('orrin', 'x')).fitout.value.people[0]!;
    const { spanMm, longMm } = rower.oars!;
    expect(longMm).toBeCloseTo(((spanMm / 2 - 40) * 25) / 7, 6);
    expect(plainInside({ ...{ id: 'a', name: 'A', kind: 'sole', from: 0, to: 1 }, height: level(0) }).fittings).toEqual(
      [],
    );
  });
});
