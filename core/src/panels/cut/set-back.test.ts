import { describe, expect, it } from 'vitest';
import { at, crossLines, distance2, type Vec2 } from '../../geometry';
import { setEdgesBack, type Setbacks } from './set-back';

const COUNT = 21;
const ws = Array.from({ length: COUNT }, (_, k) => k / (COUNT - 1));
const even = (setback: number): Setbacks => ({
  along: ws,
  knuckles: [0.5],
  before: ws.map(() => setback),
  after: ws.map(() => setback),
  isRounded: [false, false],
});
const NONE = even(0);
const along = (angle: number, length: number): Vec2[] =>
  ws.map((w) => [w * length * Math.cos(angle), w * length * Math.sin(angle)]);
/** The line through a that runs at an angle, moved in to its left (1) or right (−1). */
const movedLine = ([x, y]: Vec2, angle: number, by: number): readonly [Vec2, Vec2] => {
  const from: Vec2 = [x - by * Math.sin(angle), y + by * Math.cos(angle)];
  return [from, [from[0] + Math.cos(angle), from[1] + Math.sin(angle)]];
};
const crossing = (a: readonly [Vec2, Vec2], b: readonly [Vec2, Vec2]): Vec2 => crossLines(...a, ...b)!.point;

describe('two edges that end in a point', () => {
  // the lower along u, the upper at an angle to it: sharp, and blunter than square
  it.each([
    [0.15, 2, 0],
    [0.5, 8, 3],
    [1.2, 8, 0],
    [1.9, 6, 2],
    [2.4, 0, 5],
  ])('meet where both, set back, cross: %f rad, %f and %f mm', (angle, ofP, ofQ) => {
    const [p, q] = [along(0, 1000), along(angle, 900)];
    const cut = setEdgesBack({ p, q }, { p: even(ofP), q: even(ofQ) }, false);
    const tip = crossing(movedLine([0, 0], 0, ofP), movedLine([0, 0], angle, -ofQ));
    expect(distance2(at(cut.p, 0), tip)).toBeLessThan(1e-9);
    expect(distance2(at(cut.q, 0), tip)).toBeLessThan(1e-9);
    expect(at(cut.p, 10)[1]).toBeCloseTo(ofP, 9);
  });
  it('is the same at the after end', () => {
    const [p, q] = [along(0, 1000), along(0.5, 900)].map((edge) => edge.map(([u, v]): Vec2 => [-u, v]).reverse());
    const cut = setEdgesBack({ p: p ?? [], q: q ?? [] }, { p: even(8), q: even(3) }, false);
    const tip = crossing(movedLine([0, 0], 0, 8), movedLine([0, 0], Math.PI - 0.5, 3));
    expect(distance2(at(cut.p, -1), tip)).toBeLessThan(1e-9);
    expect(distance2(at(cut.q, -1), tip)).toBeLessThan(1e-9);
  });
});

describe('a corner in an edge', () => {
  const top: Vec2[] = ws.map((w) => [1000 * w, 500]);
  const bent = (turn: number): Vec2[] =>
    ws.map((w): Vec2 => [1000 * w, w < 0.5 ? 0 : (w - 0.5) * 1000 * Math.tan(turn)]);
  it.each([0.4, -0.3, 0.15])('is cut off or run on to where its two sides, set back, cross: a turn of %f', (turn) => {
    const cut = setEdgesBack({ p: bent(turn), q: top }, { p: even(9), q: NONE }, false);
    const corner = crossing(movedLine([500, 0], 0, 9), movedLine([500, 0], turn, 9));
    expect(Math.min(...cut.p.map((point) => distance2(point, corner)))).toBeLessThan(1e-9);
    // every other point lies on the one side or the other
    for (const [u, v] of cut.p.slice(1, -1)) {
      const off = u <= corner[0] + 1e-9 ? v : -(u - 500) * Math.sin(turn) + v * Math.cos(turn);
      expect(off).toBeCloseTo(9, 9);
    }
  });
  it('may be set back by different amounts on its two sides', () => {
    const setbacks: Setbacks = {
      along: ws,
      knuckles: [0.5],
      before: ws.map((w) => (w <= 0.5 ? 9 : 34)),
      after: ws.map((w) => (w < 0.5 ? 9 : 34)),
      isRounded: [false, false],
    };
    const cut = setEdgesBack({ p: bent(0.4), q: top }, { p: setbacks, q: NONE }, false);
    const corner = crossing(movedLine([500, 0], 0, 9), movedLine([500, 0], 0.4, 34));
    expect(Math.min(...cut.p.map((point) => distance2(point, corner)))).toBeLessThan(1e-9);
    expect(at(cut.p, 1)).toEqual([50, 9]);
  });
  it('may have many rulings in it, as a fan has', () => {
    const fan = [...bent(0.4).slice(0, 10), ...Array.from({ length: 5 }, (): Vec2 => [500, 0]), ...bent(0.4).slice(11)];
    const p = even(9);
    const pad = {
      ...p,
      along: [...ws.slice(0, 10), 0.5, 0.5, 0.5, 0.5, 0.5, ...ws.slice(11)],
      before: [...p.before, 9, 9, 9, 9],
      after: [...p.after, 9, 9, 9, 9],
    };
    const q = fan.map((_, k): Vec2 => [(1000 * k) / (fan.length - 1), 500]);
    const cut = setEdgesBack(
      { p: fan, q },
      { p: pad, q: { ...pad, before: fan.map(() => 0), after: fan.map(() => 0) } },
      false,
    );
    const corner = crossing(movedLine([500, 0], 0, 9), movedLine([500, 0], 0.4, 9));
    for (let k = 10; k <= 14; k++) expect(distance2(at(cut.p, k), corner)).toBeLessThan(1e-9);
  });
});
