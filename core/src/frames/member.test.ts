import { describe, expect, it } from 'vitest';
import { area, at, contains, distance3, lerp3, type Vec2, type Vec3 } from '../geometry';
import { distanceToSegment } from '../geometry/polyline';
import { bendLines, type LinesTable } from '../lines';
import { developPanels } from '../panels';
import { notchIn, runMember, type MemberRun } from './member';
import { plainMember } from './plans';
import type { Member } from './schema';

const table = (lines: Record<string, (x: number) => [number, number]>): LinesTable => ({
  longitudinals: Object.entries(lines).map(([id, f]) => ({
    id,
    name: id,
    points: Array.from({ length: 13 }, (_, i) => {
      const [halfBreadth, height] = f(i * 250);
      return { station: String(i), x: i * 250, halfBreadth, height };
    }),
  })),
});
const SKIN = { inside: 6, outside: 0 };
function runIn(lines: LinesTable, member: Partial<Member>): MemberRun {
  const hull = bendLines(lines).value;
  const panels = developPanels(hull, { thickness: 6 }).value;
  const run = runMember({ ...plainMember([], 'mm'), ...member }, hull, panels, SKIN);
  if (!run) throw new Error('the member has nowhere to run');
  return run;
}
const frame = (x: number, width = 9, rakeRad = 0) => ({ x, width, rakeRad, face: 'fore' as const });
const boxOf = (points: readonly Vec2[]) => {
  const [ys, zs] = [points.map(([y]) => y), points.map(([, z]) => z)];
  return [Math.min(...ys), Math.max(...ys), Math.min(...zs), Math.max(...zs)];
};

/** Upright sides 500 out over a flat bottom. */
const box = table({ chine: () => [500, 0], sheer: () => [500, 400] });

describe('a stringer in a box, 100 from the chine, 30 wide and 20 deep', () => {
  const asked = { line: 'chine', on: 'above', away: 100, width: 30, depth: 20, clearance: 0.5 } as const;
  const run = runIn(box, asked);
  it('is as long as the box and straight', () => {
    expect(run.lengthMm).toBeCloseTo(3000, 6);
    expect(run.bend).toBeUndefined();
  });
  it('takes its section and half a millimetre a side from the inside of the skin', () => {
    const [y0, , z0, z1] = boxOf(notchIn(run, frame(1000)) ?? []);
    expect([y0, z0, z1].map((v) => Number(v?.toFixed(6)))).toEqual([500 - 6 - 20 - 0.5, 99.5, 130.5]);
  });
  it('takes nothing of a frame before its beginning or past its end', () => {
    const short = runIn(box, { ...asked, from: 800, to: 2000 });
    expect(short.lengthMm).toBeCloseTo(1200, 6);
    expect([short.from, short.to]).toEqual([expect.closeTo(800, 6), expect.closeTo(2000, 6)]);
    expect(notchIn(short, frame(500))).toBeUndefined();
    expect(notchIn(short, frame(1400))).toBeDefined();
    expect(notchIn(short, frame(2100))).toBeUndefined();
  });
  it('outside lies on the outer face, away from the boat', () => {
    const outside = runIn(box, { ...asked, side: 'outside' });
    for (const { near, nearOff } of outside.rings) {
      expect(near[1]).toBeCloseTo(500, 6);
      expect(nearOff[1]).toBeCloseTo(520, 6);
    }
  });
});

describe('a chine log where the side stands at 120° to the bottom', () => {
  // The side leans out by 30°. Both inside faces, 6 in, meet at 6·cot(60°) along each from the chine's foot on it.
  const lean = Math.PI / 6;
  const prism = table({
    chine: () => [500, 0],
    sheer: () => [500 + 400 * Math.sin(lean), 400 * Math.cos(lean)],
  });
  const run = runIn(prism, { line: 'chine', on: 'above', away: 0, width: 40, depth: 20 });
  const up: Vec2 = [Math.sin(lean), Math.cos(lean)];
  const inward: Vec2 = [-Math.cos(lean), Math.sin(lean)];
  it('begins in the corner of the two inside faces', () => {
    const shift = 6 / Math.tan(Math.PI / 3);
    for (const { near } of run.rings) {
      expect(near[1]).toBeCloseTo(500 + 6 * inward[0] + shift * up[0], 6);
      expect(near[2]).toBeCloseTo(6, 6); // on the bottom's inside
    }
  });
  it('lies flat on the bottom, by its bevel of 30°', () => {
    for (const { near, nearOff, far, farOff } of run.rings) {
      expect(nearOff[2]).toBeCloseTo(6, 6);
      expect(distance3(near, nearOff)).toBeCloseTo(20 / Math.cos(lean), 6);
      expect(distance3(far, farOff)).toBeCloseTo(20, 6);
    }
  });
});

it('a clamp under a deck straight athwart ends flush with the sheer', () => {
  const run = runIn(box, { line: 'sheer', on: 'below', away: 0, width: 40, depth: 20 });
  for (const { near, nearOff, far } of run.rings) {
    expect(near).toEqual([expect.anything(), expect.closeTo(494, 6), expect.closeTo(400, 6)]);
    expect(nearOff[2]).toBeCloseTo(400, 6);
    expect(far[2]).toBeCloseTo(360, 6);
  }
});

describe('a keelson', () => {
  it('stands on a flat bottom, half to either side', () => {
    const run = runIn(box, { on: 'centre', width: 60, depth: 25 });
    const [y0, y1, , z1] = boxOf(notchIn({ ...run, clearance: 0 }, frame(1000)) ?? []);
    expect([y0, y1, z1].map((v) => Number(v?.toFixed(6)))).toEqual([-30, 30, 31]);
    expect(run.isPair).toBe(false);
  });
});

it('the bend of a stringer round a cylinder of 2 m is found', () => {
  const R = 2000;
  const y = (x: number) => Math.sqrt(R ** 2 - (x - 1500) ** 2) - 1300;
  const bent = table({ chine: (x) => [y(x), 0], sheer: (x) => [y(x), 400] });
  const run = runIn(bent, { line: 'chine', on: 'above', away: 150, width: 30, depth: 20 });
  expect(Math.abs((run.bend?.radiusMm ?? 0) - (R - 6))).toBeLessThan(20);
  // its middle lies on the inside, so its length is that of the arc there
  expect(Math.abs(run.lengthMm - 2 * (R - 6) * Math.asin(1500 / R))).toBeLessThan(3);
});

describe('a notch for a stringer that turns and rises, as solids in space', () => {
  const flared = table({
    chine: (x) => [300 + 250 * Math.sin((Math.PI * (x + 200)) / 3400), 60 + ((x - 1500) / 130) ** 2],
    sheer: (x) => [420 + 280 * Math.sin((Math.PI * (x + 200)) / 3400), 460 + ((x - 1500) / 110) ** 2],
  });
  const run = runIn(flared, { line: 'chine', on: 'above', away: 120, width: 30, depth: 22, clearance: 0.5 });
  const inRing = (k: number, w: number, across: number, into: number): Vec3 => {
    const [a, b] = [at(run.rings, k), at(run.rings, k + 1)];
    const point = ({ near, far, nearOff, farOff }: typeof a) =>
      lerp3(lerp3(near, far, across), lerp3(nearOff, farOff, across), into);
    return lerp3(point(a), point(b), w);
  };
  it.each([
    [600, 0],
    [1500, 0],
    [2400, 0],
    [900, 12],
    [2300, -10],
  ])('at %i, raked %i°: takes it with the room asked for, and no more than 0.1 mm over', (x, rakeDeg) => {
    const part = frame(x, 18, (rakeDeg * Math.PI) / 180);
    const notch = notchIn(run, part);
    if (!notch) throw new Error('no notch');
    const [c, s] = [Math.cos(part.rakeRad), Math.sin(part.rakeRad)];
    let least = Infinity;
    for (let k = 0; k < run.rings.length - 1; k++)
      for (let w = 0; w < 1; w += 0.01)
        for (const across of [0, 0.5, 1])
          for (const into of [0.3, 1]) {
            const [px, y, pz] = inRing(k, w, across, into);
            const aft = (px - x) * c - pz * s;
            if (aft < 0 || aft > part.width) continue;
            const p: Vec2 = [y, (px - x) * s + pz * c];
            expect(contains(notch, p)).toBe(true);
            const off = Math.min(...notch.map((q, i) => distanceToSegment(p, q, at(notch, (i + 1) % notch.length))));
            least = Math.min(least, off);
          }
    expect(least).toBeGreaterThan(0.5 - 0.02);
    expect(least).toBeLessThan(0.5 + 0.1);
    // no wider than its section, the room, and what the run takes up in the thickness
    expect(area(notch)).toBeLessThan((30 + 18 + 1) * (22 + 18 + 40 + 1));
  });
});

it('a member on no line, or off its panel, or of no length, has nowhere to run', () => {
  for (const member of [{ line: 'knuckle' }, { away: 900 }, { from: 2000, to: 1000 }])
    expect(() => runIn(box, { line: 'chine', on: 'above', ...member })).toThrow(/nowhere/);
});
