import { describe, expect, it } from 'vitest';
import { toRad } from '../../measure';
import type { Vec3 } from '../../geometry';
import { makeAnew } from '../../stage';
import { developPanels, assembleSkin } from '../develop';
import { tableOf } from '../fixtures/exact-shapes';
import { bendLines } from '../../lines';
import { PANEL_DEFAULTS, type LinesTo } from '../schema';
import { inOwnSheet, insideOf, meetsAt, outsideOf, thicknessOf } from './own-sheet';

const turns = [0, 1, 5, 20, 44, 60, 90, 120, 150];

describe('where the faces of two sheets of unlike thickness meet', () => {
  it('is d·tan(φ/2) along both where they are alike', () => {
    for (const deg of turns) expect(meetsAt(6, 6, toRad(deg))).toBeCloseTo(6 * Math.tan(toRad(deg) / 2), 12);
  });
  it('is one place, found along either, or on the edge of the thicker one', () => {
    // one sheet comes along −x to the corner, its outer face on y = 0; the other leaves it turned down by φ
    for (const [a, b] of [
      [6, 9],
      [9, 6],
      [4, 18],
      [0, 6],
    ] as const)
      for (const deg of turns) {
        const turn = toRad(deg);
        const [own, other] = [meetsAt(a, b, turn), meetsAt(b, a, turn)];
        const onOwn = [-own, -a];
        const onOther = [other * Math.cos(turn) - b * Math.sin(turn), -other * Math.sin(turn) - b * Math.cos(turn)];
        const [thick, thin] = a > b ? [onOwn, onOther] : [onOther, onOwn];
        const isStopped = a > b ? own === 0 : other === 0;
        expect(Math.min(own, other)).toBeGreaterThanOrEqual(0);
        if (!isStopped) expect(Math.hypot(thick[0]! - thin[0]!, thick[1]! - thin[1]!)).toBeLessThan(1e-9);
        else {
          // the thicker's edge is the straight line through the corner, square to it: the thinner touches that
          const off = a > b ? onOther[0]! : onOwn[0]! * Math.cos(turn) - onOwn[1]! * Math.sin(turn);
          expect(Math.abs(off)).toBeLessThan(1e-9);
          const deep = a > b ? -onOther[1]! : -(onOwn[0]! * Math.sin(turn) + onOwn[1]! * Math.cos(turn));
          expect(deep).toBeLessThanOrEqual(Math.max(a, b) + 1e-9);
        }
      }
  });
  it('goes over from the one to the other without a step, as the turn grows and as the sheets come to be alike', () => {
    let before = [meetsAt(9, 6, 0), meetsAt(6, 9, 0)] as const;
    for (let deg = 0.1; deg <= 120; deg += 0.1) {
      const now = [meetsAt(9, 6, toRad(deg)), meetsAt(6, 9, toRad(deg))] as const;
      for (const k of [0, 1] as const) expect(Math.abs(now[k] - before[k])).toBeLessThan(0.15);
      before = now;
    }
    for (const deg of turns)
      for (const way of [1, -1])
        expect(meetsAt(6 + way * 1e-7, 6, toRad(deg))).toBeCloseTo(meetsAt(6, 6, toRad(deg)), 4);
  });
});

describe('a panel of its own sheet', () => {
  const box = tableOf([(w): Vec3 => [3000 * w, 500, 100], (w): Vec3 => [3000 * w, 500, 500]]);
  const hull = bendLines(box).value;
  const [bottom, side] = developPanels(hull, { thickness: 6 }).value.map(({ id }) => id) as [string, string];
  const asked = (linesTo: LinesTo, own: readonly { id: string; thickness: number }[]) => ({
    ...PANEL_DEFAULTS,
    ...{ thickness: 6, transomThickness: 9, linesTo, ownThickness: [...own], transomGap: null },
  });
  const breadths = (linesTo: LinesTo, own: Parameters<typeof asked>[1]) =>
    assembleSkin(hull, asked(linesTo, own), { stock: [], gap: 0 }).value.panels.map(({ areaM2 }) =>
      Number((areaM2 / 3).toFixed(6)),
    );
  // at a right angle each stands back by what lies under the other's line
  it.each<[LinesTo, number, number]>([
    ['outside', 1 - 0.012, 0.4 - 0.009],
    ['middle', 1 - 0.006, 0.4 - 0.0045],
    ['inside', 1, 0.4],
  ])('lines to the %s: a bottom of 9 between sides of 6 is %f m wide, they are %f m deep', (linesTo, wide, deep) =>
    expect(breadths(linesTo, [{ id: bottom, thickness: 9 }])).toEqual([wide, deep]),
  );
  it('that is told to be as thick as all is the very same, and one that is no panel’s changes nothing', () => {
    const panel = developPanels(hull, { thickness: 6 }).value[0]!;
    const own = { thickness: 6, linesTo: 'outside' as const, ownThickness: [{ id: panel.id, thickness: 6 }] };
    expect(inOwnSheet(panel, own, makeAnew)).toBe(panel);
    expect(breadths('outside', [{ id: 'nowhere', thickness: 12 }])).toEqual(breadths('outside', []));
  });
  it.each<[LinesTo, number, number]>([
    ['outside', 9, 0],
    ['middle', 4.5, 4.5],
    ['inside', 0, 9],
  ])('lies about the lines as the others do: to the %s', (linesTo, inside, outside) => {
    const value = assembleSkin(hull, asked(linesTo, [{ id: bottom, thickness: 9 }]), { stock: [], gap: 0 }).value;
    const [thick, thin] = value.panels as [(typeof value.panels)[0], (typeof value.panels)[0]];
    const usual = { outside: [6, 0], middle: [3, 3], inside: [0, 6] }[linesTo] as [number, number];
    expect([insideOf(thick, usual[0]), outsideOf(thick, usual[1]), thicknessOf(thick, 6)]).toEqual([
      inside,
      outside,
      9,
    ]);
    expect([insideOf(thin, usual[0]), outsideOf(thin, usual[1]), thicknessOf(thin, 6)]).toEqual([...usual, 6]);
    expect([thick.insideMm, thin.insideMm]).toEqual([inside, usual[0]]);
  });
  it('is bent as its own sheet bends, laid in layers of its own thickness, and keeps it where it is cut in two', () => {
    const split = { id: side, fore: 0.5, middle: 0.5, aft: 0.5 };
    const part = { ...asked('outside', [{ id: side, thickness: 9 }]), splits: [split] };
    const { panels } = assembleSkin(hull, part, { stock: [], gap: 0 }).value;
    expect(panels.map((panel) => thicknessOf(panel, 6))).toEqual([6, 9, 9]);
    const layered = { ...asked('outside', [{ id: bottom, thickness: 9 }]), layered: [{ id: bottom, layers: 2 }] };
    const [laid] = assembleSkin(hull, layered, { stock: [], gap: 0 }).value.panels;
    expect(laid?.layers?.map(({ layer, insideMm }) => [layer?.thicknessMm, insideMm])).toEqual([
      [4.5, 9],
      [4.5, 4.5],
    ]);
  });
});
