/** Parts and what becomes of them: shapes in closed form, a real part against a plain computation, states. */
import { describe, expect, it } from 'vitest';
import { at, distanceToSegment, moved, random, turned, type Outline, type Vec2 } from '../../geometry';
import { applyEdits, createDerive, demoProject } from '../../project';
import { changeOf } from './compare';
import { movedParts } from './moved';
import { keptShape, livesOf, stateOf, type PartRecord, type PartState } from './records';

const box = (x: number, y: number, left = 0, foot = 0): Outline => [
  [left, foot],
  [left + x, foot],
  [left + x, foot + y],
  [left, foot + y],
];
const disc = (radius: number, corners = 720): Outline =>
  Array.from({ length: corners }, (_, i): Vec2 => {
    const angle = (2 * Math.PI * i) / corners;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  });
const change = (cut: Outline, now: Outline, holes?: { cut: Outline[]; now: Outline[] }) => {
  const made = changeOf({ outline: cut, holes: holes?.cut }, { outline: now, holes: holes?.now });
  if (!made) throw new Error('no shape');
  return made;
};

describe('a part laid on the one that is drawn now', () => {
  it('is no other where it was only turned and carried elsewhere', () => {
    const next = random(11);
    const shape: Outline = [...box(800, 300).slice(0, 3), [260, 420], [0, 260]];
    for (let k = 0; k < 20; k++) {
      const elsewhere = moved(turned(shape, (next() - 0.5) * 0.6), (next() - 0.5) * 60, (next() - 0.5) * 60);
      const { proud, short } = change(shape, elsewhere);
      expect(Math.max(proud.mm, short.mm)).toBeLessThan(1e-4);
    }
  });
  it('that grew by 5 at one end is short by half of it at both, where it fits best', () => {
    const { proud, short } = change(box(1000, 200), box(1005, 200));
    expect(short.mm).toBeCloseTo(2.5, 3);
    expect(proud.mm).toBeLessThan(1e-3);
    const back = change(box(1005, 200), box(1000, 200));
    expect(back.proud.mm).toBeCloseTo(2.5, 3);
    expect(back.short.mm).toBeLessThan(1e-3);
  });
  it('of a disc that grew is short by the difference all round', () => {
    expect(change(disc(300), disc(303)).short.mm).toBeCloseTo(3, 2);
  });
  it('has wood to plane off in a hole that is smaller than drawn, lacks some in a larger, counts new ones', () => {
    const outline = box(900, 400);
    const holes = (cut: Outline[], now: Outline[]) => change(outline, outline, { cut, now });
    const [small, large] = [box(100, 80, 200, 100), box(104, 84, 198, 98)];
    expect(holes([small], [large])).toMatchObject({ holesOff: 0 });
    expect(holes([small], [large]).proud.mm).toBeCloseTo(Math.hypot(2, 2), 2);
    expect(holes([large], [small]).short.mm).toBeCloseTo(Math.hypot(2, 2), 2);
    expect(holes([], [small]).holesOff).toBe(1);
    expect(holes([small], []).holesOff).toBe(1);
    expect(holes([small], [box(100, 80, 650, 250)]).holesOff).toBe(2);
  });
  it('is none where there is no shape', () => {
    expect(changeOf({ outline: [] }, { outline: box(1, 1) })).toBeUndefined();
    expect(changeOf({ outline: box(1, 1) }, { outline: box(1, 1).slice(0, 2) })).toBeUndefined();
  });
});

/** Points of an outline at even steps. */
function dense(outline: Outline, step: number): Vec2[] {
  return outline.flatMap(([x, y], i) => {
    const [u, v] = at(outline, (i + 1) % outline.length);
    const count = Math.max(1, Math.ceil(Math.hypot(u - x, v - y) / step));
    return Array.from({ length: count }, (_, k): Vec2 => [x + ((u - x) * k) / count, y + ((v - y) * k) / count]);
  });
}
const gapTo = (p: Vec2, outline: Outline): number =>
  outline.reduce(
    (least, a, i) => Math.min(least, distanceToSegment(p, a, at(outline, (i + 1) % outline.length))),
    Infinity,
  );

/**
 * The same by another way: a search over turn and shift for the least mean square of plain distances (steps halved
 * until they are a thousandth), then plain distances from dense points both ways.
 */
function plainly(cut: Outline, now: Outline): number {
  const points = dense(cut, Math.max(4, dense(cut, 1).length / 600));
  const middle: Vec2 = [
    points.reduce((sum, [x]) => sum + x, 0) / points.length,
    points.reduce((sum, [, y]) => sum + y, 0) / points.length,
  ];
  const lay = (p: Vec2, [turn, dx, dy]: readonly number[]): Vec2 => {
    const [c, s] = [Math.cos(turn!), Math.sin(turn!)]; // three of them
    const [u, v] = [p[0] - middle[0], p[1] - middle[1]];
    return [middle[0] + c * u - s * v + dx!, middle[1] + s * u + c * v + dy!];
  };
  const badness = (way: readonly number[]) => points.reduce((sum, p) => sum + gapTo(lay(p, way), now) ** 2, 0);
  let way = [0, 0, 0];
  let least = badness(way);
  for (let step = 2; step > 5e-4;) {
    const tries = [0, 1, 2].flatMap((i) =>
      [1, -1].map((sign) => way.map((value, k) => (k === i ? value + (sign * step) / (i === 0 ? 1000 : 1) : value))),
    );
    const made = tries.map((one) => ({ one, bad: badness(one) })).sort((a, b) => a.bad - b.bad)[0]!; // six
    if (made.bad < least) [way, least] = [made.one, made.bad];
    else step /= 2;
  }
  const laid = cut.map((p) => lay(p, way));
  const most = (a: Outline, b: Outline) => Math.max(...dense(a, 1).map((p) => gapTo(p, b)));
  return Math.max(most(laid, now), most(now, laid));
}

describe('a part cut from revision 1, the table changed in revision 2', () => {
  const project = demoProject('tamsel', 'x');
  const derive = createDerive();
  const { parts } = derive(project).sheets.value;
  const sheer = at(project.lines.longitudinals, -1);
  it.each([
    ['the sheer 6 higher amidships', 3, 'height', 6],
    ['the sheer 15 higher forward', 1, 'height', 15],
  ] as const)('%s: the distance told is that of a plain computation within 0.05 mm', (_name, k, key, by) => {
    const points = sheer.points.map((point, i) => (i === k ? { ...point, [key]: point[key] + by } : point));
    const edit = { path: ['lines', 'longitudinals', sheer.id], value: { ...sheer, points } };
    const made = applyEdits({ ...project, revision: 2 }, [edit]);
    if (!made.ok) throw new Error(made.reason);
    const now = derive(made.project).sheets.value.parts;
    const compared = parts
      .filter(({ name }) => /^Side/.test(name))
      .map((part) => {
        const next = now.find(({ id }) => id === part.id)!; // the same boat
        const { proud, short } = change(part.outline, next.outline);
        const told = Math.max(proud.mm, short.mm);
        expect(Math.abs(told - plainly(part.outline, next.outline)), part.name).toBeLessThan(0.05);
        return told;
      });
    expect(Math.max(...compared)).toBeGreaterThan(0.5);
  });
});

const shape = keptShape({ outline: box(1000, 200) });
const record = (part: string, state: PartState, given: Partial<PartRecord> = {}): PartRecord => ({
  ...{
    id: `${part} ${state}`,
    part,
    name: part,
    state,
    day: '2027-03-06',
    written: 1,
    revision: 1,
    ...shape,
    ...given,
  },
});

describe('what becomes of a part', () => {
  it('is what was ticked last; it keeps the shape that it was cut to until it is to be cut again', () => {
    const other = keptShape({ outline: box(990, 200) });
    const steps = [record('a', 'cut'), record('a', 'sealed', { ...other, revision: 2 })];
    expect(stateOf(livesOf(steps), 'a')).toBe('sealed');
    expect(livesOf(steps).get('a')?.cut?.revision).toBe(1);
    expect(livesOf([...steps, record('a', 'to-cut')]).get('a')?.cut).toBeUndefined();
    const again = [...steps, record('a', 'to-cut'), record('a', 'glued', { revision: 3 })];
    expect(livesOf(again).get('a')?.cut?.revision).toBe(3);
    expect(stateOf(livesOf(steps), 'b')).toBe('to-cut');
  });
  it('is told as it is drawn now: nothing, plane, fill, cut anew, or gone', () => {
    const told = (now: Outline | undefined, gapLeft = 3) =>
      movedParts({
        ...{ records: [record('a', 'cut')], gapLeft },
        parts: now ? [{ id: 'a', name: 'A', outline: now }] : [],
      })[0]?.verdict;
    expect(told(box(1000, 200))).toBeUndefined();
    // elsewhere on its drawing is no other shape
    expect(told(box(1000, 200, 50, 50))).toBeUndefined();
    expect(told(box(1000.8, 200))).toBe('nothing');
    expect(told(box(996, 200))).toBe('plane');
    expect(told(box(1004, 200))).toBe('fill');
    expect(told(box(1004, 200), 1)).toBe('anew');
    expect(told(box(1008, 200))).toBe('anew');
    expect(told(undefined)).toBe('gone');
  });
  it('gives the place from the left of its drawing and up from its foot', () => {
    const now: Outline = [...box(1000, 200).slice(0, 3), [505, 200], [500, 208], [495, 200], [0, 200]];
    const [moved] = movedParts({
      ...{ records: [record('a', 'cut')], gapLeft: 3 },
      parts: [{ id: 'a', name: 'A', outline: now.map(([x, y]): Vec2 => [x + 300, y - 40]) }],
    });
    expect(moved?.short.mm).toBeCloseTo(8, 0);
    expect(moved?.short.at[0]).toBeCloseTo(500, 1);
    expect(moved?.short.at[1]).toBeCloseTo(208, 1);
  });
});
