import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../project';
import { fairLine } from './fairing';
import type { Underlay } from './schema';
import { levelled, moved, pencilAtFullSize, pixelOfView, scaled, traced, viewOfPixel, type Adjusted } from './underlay';

const scan: Underlay = {
  id: 'a',
  name: 'scan.png',
  view: 'profile',
  widthPx: 2000,
  heightPx: 800,
  left: -100,
  top: 900,
  mmPerPx: 2.5,
  turnDeg: 1.5,
  opacity: 0.6,
};
const taken = (change: Adjusted): Underlay => {
  if (!change.ok) throw new Error(change.reason);
  return change.underlay;
};
const near = (a: readonly number[], b: readonly number[]) =>
  a.forEach((value, i) => expect(value).toBeCloseTo(b[i] ?? NaN, 6));

describe('a picture under a view', () => {
  it('has its pixels where they are looked for, turned or not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.integer({ min: 0, max: 2000 }),
        fc.integer({ min: 0, max: 800 }),
        (turnDeg, px, py) => {
          const own = { ...scan, turnDeg };
          near(pixelOfView(own, viewOfPixel(own, [px, py])), [px, py]);
        },
      ),
    );
    near(viewOfPixel({ ...scan, turnDeg: 0 }, [100, 40]), [150, 800]);
  });
  it('brought to size has the two places as far apart as they are, the first unmoved', () => {
    const [a, b] = [
      [100, 300],
      [1900, 320],
    ] as const;
    const own = taken(scaled(scan, viewOfPixel(scan, a), viewOfPixel(scan, b), 4300));
    const [p, q] = [viewOfPixel(own, a), viewOfPixel(own, b)];
    expect(Math.hypot(p[0] - q[0], p[1] - q[1])).toBeCloseTo(4300, 6);
    near(p, viewOfPixel(scan, a));
  });
  it('levelled has them level, whichever was picked first', () => {
    const [a, b] = [
      [100, 300],
      [1900, 420],
    ] as const;
    for (const [first, second] of [
      [a, b],
      [b, a],
    ] as const) {
      const own = taken(levelled(scan, viewOfPixel(scan, first), viewOfPixel(scan, second)));
      expect(viewOfPixel(own, a)[1]).toBeCloseTo(viewOfPixel(own, b)[1], 6);
      expect(viewOfPixel(own, b)[0]).toBeGreaterThan(viewOfPixel(own, a)[0]);
      near(viewOfPixel(own, first), viewOfPixel(scan, first));
    }
  });
  it('moved has one place where the other was; places too near one another are refused', () => {
    near(
      viewOfPixel(moved(scan, [10, 20], [0, 0]), [7, 9]),
      viewOfPixel(scan, [7, 9]).map((v, i) => v - [10, 20][i]!),
    );
    expect(scaled(scan, [0, 0], [10, 0], 100)).toMatchObject({ ok: false });
    expect(scaled(scan, [0, 0], [1000, 0], 0)).toMatchObject({ ok: false });
    expect(levelled(scan, [0, 0], [3, 0])).toMatchObject({ ok: false });
  });
});

describe('points clicked on it', () => {
  const project = demoProject('tamsel', 'x');
  const chine = project.lines.longitudinals.find(({ id }) => id === 'chine');
  if (!chine) throw new Error('no chine');
  const stations = [600, 1200, 1800, 2400, 3000, 3600].map((x, i) => ({ label: String(i + 1), x }));
  const uncertainty = pencilAtFullSize({ scale: 12, pencil: 0.5 });
  it('carry a pencil’s width at full size', () => expect(uncertainty).toBe(6));
  it('near a station move its point, in what the view shows and nothing else', () => {
    const line = traced(chine, { view: 'profile', place: [1812, 200.04], stations, uncertainty });
    expect(line?.points[3]).toEqual({ station: '3', x: 1800, halfBreadth: 449.6, height: 200, uncertainty: 6 });
    const plan = traced(chine, { view: 'plan', place: [1790, -455], stations, uncertainty });
    expect(plan?.points[3]).toMatchObject({ x: 1800, halfBreadth: 455, height: 192 });
  });
  it('between stations are points more, on the batten in the other view', () => {
    const line = traced(chine, { view: 'profile', place: [2100, 176], stations, uncertainty });
    expect(line?.points).toHaveLength(chine.points.length + 1);
    expect(line?.points[4]).toMatchObject({ x: 2100, height: 176, station: '' });
    expect(Math.abs((line?.points[4]?.halfBreadth ?? 0) - 503)).toBeLessThan(4);
  });
  it('in the body plan belong to the station that is being read, or to none', () => {
    const at = { view: 'body', place: [-470, 199], stations, uncertainty } as const;
    expect(traced(chine, at)).toBeUndefined();
    const line = traced(chine, { ...at, station: { label: '3', x: 1800 } });
    expect(line?.points[3]).toMatchObject({ station: '3', halfBreadth: 470, height: 199 });
  });
  it('start a line that has none', () => {
    const empty = { id: 'new', name: 'New', points: [] };
    const one = traced(empty, { view: 'profile', place: [600, 250], stations, uncertainty });
    const two = one && traced(one, { view: 'profile', place: [100, 300], stations, uncertainty });
    expect(two?.points.map((p) => [p.x, p.halfBreadth, p.height])).toEqual([
      [100, 0, 300],
      [600, 0, 250],
    ]);
  });
  it('may be faired by as much as they are known to', () => {
    const shaken = {
      ...chine,
      points: chine.points.map((p, i) => ({
        ...p,
        height: p.height + (i === 3 ? 8 : 0),
        uncertainty: i === 3 ? 6 : 0,
      })),
    };
    const [most, least] = [
      fairLine(shaken, 1),
      fairLine({ ...shaken, points: shaken.points.map((p) => ({ ...p, uncertainty: 0 })) }, 1),
    ];
    const moveOf = (changes: typeof most) => changes.find((c) => c.index === 3 && c.quantity === 'height');
    expect(Math.abs((moveOf(most)?.toMm ?? 0) - (moveOf(most)?.fromMm ?? 0))).toBeGreaterThan(3);
    expect(Math.abs((moveOf(least)?.toMm ?? 0) - (moveOf(least)?.fromMm ?? 0))).toBeLessThanOrEqual(1.0001);
  });
});
