import { describe, expect, it } from 'vitest';
import {
  area,
  boundsOf,
  differenceOf,
  intersectionOf,
  moved,
  random,
  regionDistance,
  rounded,
  unionOf,
} from '../geometry';
import { applyEdits, createDerive, demoProject, sentence } from '../project';
import { planJoints } from './joint';
import { lapOf, widthOf } from './kinds';
import { changedJoint, oneMoreJoint, roomOfJoint, withoutJoint } from './own';
import { evenPlaces, placeJoints } from './placing';
import { JOINT_KINDS, jointsAtFirst, type JointKind, type JointsPart } from './schema';
import { shortestTongue, tongueEdge, unlikeBy, type TongueLine } from './tongues';

const derived = createDerive()(demoProject('tamsel', 'x'));
const { panels } = derived.panels.value;
const { frames } = derived.frames.value;
const plan = (change: Partial<JointsPart>, width = 2440) =>
  planJoints(panels, {
    ...{ frames, thickness: 6, sheet: { width, height: 1220, margin: 8 } },
    part: { ...jointsAtFirst('mm'), ...change },
  });
const spanOf = (outline: Parameters<typeof boundsOf>[0]) => {
  const box = boundsOf(outline);
  return { from: box.minX, to: box.maxX, length: box.maxX - box.minX };
};

describe('what a joint takes', () => {
  it('by the rules: scarf 8 × 6, strap none and 16 × 6 wide, tongues and bought as set, a butt nothing', () => {
    const part = jointsAtFirst('mm');
    expect(JOINT_KINDS.map((kind) => [lapOf(kind, part, 6), widthOf(kind, part, 6)])).toEqual([
      [48, 48],
      [0, 96],
      [30, 30],
      [40, 40],
      [0, 0],
    ]);
  });
  it.each(JOINT_KINDS)(
    '%s: of n sheets n − 1 laps are lost, on random panels, and no fewer sheets would do',
    (kind) => {
      const next = random(5);
      for (let trial = 0; trial < 200; trial++) {
        const lap = lapOf(kind, jointsAtFirst('mm'), 4 + 8 * next());
        const [usable, length] = [1000 + 2000 * next(), 500 + 9000 * next()];
        const joints = placeJoints({
          ...{
            from: 0,
            to: length,
            usable,
            own: [],
            usual: { kind, lap, width: lap },
            bendAt: () => 0,
            standing: [],
            mates: undefined,
          },
          part: { clearOfFrames: 0, stagger: 0, toFrames: 'clear' },
        });
        const n = joints.length + 1;
        expect(n * usable - (n - 1) * lap).toBeGreaterThanOrEqual(length - 1e-5);
        if (n > 1) expect((n - 1) * usable - (n - 2) * lap).toBeLessThan(length);
        const ends = [0, ...joints.map(({ u }) => u), length];
        const pieces = ends
          .slice(1)
          .map((end, k) => end - ends[k]! + (k > 0 ? lap / 2 : 0) + (k < n - 1 ? lap / 2 : 0));
        expect(Math.max(...pieces)).toBeLessThanOrEqual(usable + 1e-5);
        expect(pieces.reduce((sum, mm) => sum + mm, 0) - (n - 1) * lap).toBeCloseTo(length, 5);
      }
    },
  );
  it('more joints than the fewest: all pieces out of a sheet, none a sliver, each joint with room aft', () => {
    const next = random(11);
    for (let trial = 0; trial < 300; trial++) {
      const [lap, usable, from] = [80 * next(), 1000 + 2000 * next(), 300 * next()];
      const to = from + 500 + 9000 * next();
      const stretch = { from, to, usable, lap };
      const fewest = evenPlaces(stretch, 0.5).length;
      for (const more of [1, 2]) {
        const [fore, aft] = [0, 1].map((w) => evenPlaces(stretch, w, more));
        for (const w of [0, next(), 1]) {
          const us = evenPlaces(stretch, w, more);
          expect(us).toHaveLength(fewest + more);
          us.forEach((u, k) => {
            expect(u).toBeGreaterThanOrEqual(fore![k]! - 1e-6);
            expect(u).toBeLessThanOrEqual(aft![k]! + 1e-6);
          });
          const ends = [from, ...us, to];
          const pieces = ends
            .slice(1)
            .map((end, k) => end - ends[k]! + (k > 0 ? lap / 2 : 0) + (k < us.length ? lap / 2 : 0));
          expect(Math.max(...pieces)).toBeLessThanOrEqual(usable + 1e-6);
          expect(Math.min(...pieces)).toBeGreaterThanOrEqual((to - from) / (3 * (us.length + 1)) - 1e-6);
        }
      }
    }
  });
});

describe('pieces', () => {
  it.each<[JointsPart['kind'], number]>([
    ['scarf', 48],
    ['strap', 0],
    ['tongues', 30 - 0.2],
    ['bought', 40],
  ])('%s: put back together they are the panel', (kind, lap) => {
    plan({ kind }).value.forEach((jointed, k) => {
      const { outline } = panels[k]!;
      const outlines = jointed.pieces.map((piece) => piece.outline);
      const [fore, aft] = outlines.map(spanOf);
      expect(fore!.to - aft!.from).toBeCloseTo(lap, 2);
      // 0.01 mm along all of its edges; between tongues the room for the fit is left
      const left = differenceOf([outline], outlines).reduce((sum, region) => sum + area(region.outline), 0);
      const line = jointed.joints[0]!.tongues;
      const edge = line && tongueEdge(line, 0, 0);
      const along = edge
        ? edge.slice(1).reduce((sum, p, i) => sum + Math.hypot(p[0] - edge[i]![0], p[1] - edge[i]![1]), 0)
        : 0;
      expect(Math.abs(left - 0.2 * along)).toBeLessThan(0.01 * 2 * jointed.length);
      const over = unionOf(outlines).reduce((sum, ring) => sum + area(ring), 0) - area(outline);
      expect(over).toBeLessThan(0.01 * 2 * jointed.length);
    });
  });
  it('strap: behind the joint, its grain along, short of the edges, one for each hand', () => {
    const [bottom] = plan({ kind: 'strap' }).value;
    const [strap] = bottom!.straps;
    const { u, low, high } = bottom!.joints[0]!;
    const box = boundsOf(strap!.outline);
    expect([box.minX, box.maxX]).toEqual([u - 48, u + 48]);
    expect(box.minY).toBeGreaterThanOrEqual(low + 25);
    expect(box.maxY).toBeLessThanOrEqual(high - 25);
    expect(plan({ kind: 'strap', strapIsSolid: true }).value.flatMap(({ straps }) => straps)).toEqual([]);
    const project = demoProject('tamsel', 'x');
    const edited = applyEdits(project, [{ path: ['joints', 'kind'], value: 'strap' }]);
    const parts = edited.ok ? createDerive()(edited.project).sheets.value.parts : [];
    expect(parts.filter(({ id }) => id.includes('strap')).map(({ isPair, grain }) => [isPair, grain])).toEqual([
      [true, 'along'],
      [true, 'along'],
    ]);
  });
});

describe('tongues', () => {
  const line = (number: number, high = 420, change: Partial<TongueLine> = {}): TongueLine => ({
    ...{ u: 1000, low: 0, high, reach: 30, cutterRadius: 3, fit: 0.2, number },
    ...change,
  });
  const halves = (of: TongueLine) => {
    const box = (u: number) => [[u, of.low] as const, [u, of.high] as const];
    const [fore, aft] = ([-1, 1] as const).map((side) => tongueEdge(of, side, 0)!);
    return {
      fore: [...box(800), ...[...fore!].reverse()].map(([u, v]) => [u, v] as const),
      aft: [...aft!, ...[...box(1200)].reverse()],
    };
  };
  it.each([
    [0.2, 3, 420],
    [0.5, 6, 700],
    [0.05, 1.5, 200],
  ])('leave a room of %f everywhere, cut with a radius of %f, over %i', (fit, cutterRadius, high) => {
    const of = line(3, high, { fit, cutterRadius });
    const { fore, aft } = halves(of);
    expect(regionDistance({ outline: fore, holes: [] }, { outline: aft, holes: [] })).toBeCloseTo(fit, 2);
    const middle = tongueEdge(of, 0, 0)!;
    for (const side of [-1, 1] as const) {
      const edge = tongueEdge(of, side, 0)!;
      for (const [u, v] of edge) {
        const nearest = Math.min(...middle.slice(1).map((p, i) => toSegment([u, v], middle[i]!, p)));
        expect(Math.abs(nearest - fit / 2)).toBeLessThan(0.004);
      }
    }
  });
  it.each([0, 1, 2, 3])('have no inside corner that the cutter cannot reach (joint %i)', (number) => {
    const { fore, aft } = halves(line(number));
    for (const piece of [fore, aft]) {
      // what is round the piece, opened by the cutter: all that it can take away without touching the piece
      const room = differenceOf(
        [
          [
            [700, 1],
            [1300, 1],
            [1300, 419],
            [700, 419],
          ],
        ],
        [piece],
      );
      for (const { outline } of room) {
        const reached = rounded(outline, 3).reduce((sum, ring) => sum + area(ring), 0);
        // it leaves but the two outer corners of the box: (4 − π)/4 · r² each
        expect(area(outline) - reached).toBeLessThan(4 * (1 - Math.PI / 4) * 9 + 1);
      }
    }
  });
  it('hold: the after piece cannot be pulled off along the panel', () => {
    const { fore, aft } = halves(line(2));
    const pulled = intersectionOf([fore], [moved(aft, 6, 0)]).reduce((sum, ring) => sum + area(ring), 0);
    expect(pulled).toBeGreaterThan(10);
    expect(intersectionOf([fore], [aft])).toEqual([]);
  });
  it.each([150, 260, 420, 700])(
    'are alike in no two joints of a boat, nor turned end for end (%i mm across)',
    (high) => {
      for (let a = 0; a < 16; a++)
        for (let b = 0; b < a; b++) expect(unlikeBy(line(a, high), line(b, high)), `${a} ${b}`).toBeGreaterThan(0.4);
    },
  );
  it('that are nearly alike, as a wide fit makes them, are told', () => {
    const joints = plan({ kind: 'tongues' }, 1200);
    expect(joints.value.flatMap((panel) => panel.joints).length).toBeGreaterThan(4);
    expect(joints.findings.map(({ code }) => code)).not.toContain('joints-alike');
    const own = Array.from({ length: 24 }, (_, k) => ({ id: `j${k}`, panel: 'chine-sheer', at: 170 * (k + 1) }));
    const many = own.map((joint) => ({ ...joint, kind: 'tongues' as const }));
    const loose = plan({ kind: 'tongues', fit: 2, tongue: 150, cutterRadius: 14, own: many });
    expect(loose.findings.map(({ code }) => code)).toContain('joints-alike');
  });
  it('are none where the panel is too narrow, and longer where the cutter is too thick, and it is said', () => {
    expect(tongueEdge(line(0, 60), 0, 0)).toBeUndefined();
    expect(tongueEdge(line(0, 420, { cutterRadius: 20 }), 0, 0)).toBeUndefined();
    expect(shortestTongue({ cutterRadius: 20, fit: 0.2 })).toBeGreaterThan(30);
    const { value, findings } = plan({ kind: 'tongues', cutterRadius: 20 });
    expect(findings.map(({ code }) => code)).toContain('tongues-too-short');
    expect(value[0]!.joints[0]!.lap).toBeCloseTo(shortestTongue({ cutterRadius: 20, fit: 0.2 }), 9);
  });
});

describe('a builder’s own joints', () => {
  const own = (at: number, kind: JointKind = 'scarf') => [{ id: 'mine', panel: 'chine-sheer', at, kind }];
  it('stand where they were put; the rest is filled in with the fewest', () => {
    for (const at of [300, 1000, 2186, 3900]) {
      const side = plan({ own: own(at) }).value[1]!;
      expect(side.joints.map(({ u }) => u)).toContain(at);
      for (const piece of side.pieces) expect(spanOf(piece.outline).length).toBeLessThanOrEqual(2424 + 1e-3);
    }
    expect(plan({ own: own(2186) }).value[1]!.joints).toHaveLength(1);
    expect(plan({ own: own(300) }).value[1]!.joints).toHaveLength(2);
  });
  it('may be moved as far as both pieces beside them come out of a sheet, and no farther', () => {
    const side = plan({}).value[1]!;
    const [low, high] = roomOfJoint(side, side.joints[0]!, 2424);
    expect(high).toBeCloseTo(2424 - 24, 6);
    expect(low).toBeCloseTo(side.length - 2424 + 24, 6);
    for (const [at, joints] of [
      [low, 1],
      [high, 1],
      [low - 1, 2],
      [high + 1, 2],
    ] as const) {
      const moved = changedJoint([], side, side.joints[0]!, { at });
      expect(plan({ own: moved }).value[1]!.joints).toHaveLength(joints);
    }
  });
  it('is one joint still when it is moved twice before the panel is seen anew', () => {
    const side = plan({}).value[1]!;
    const once = changedJoint([], side, side.joints[0]!, { at: 2100 });
    expect(changedJoint(once, side, side.joints[0]!, { at: 2200 })).toEqual([{ ...once[0], at: 2200 }]);
    // but another joint, which the program placed before it, is another
    const far = plan({ own: once.map((own) => ({ ...own, at: 2600 })) }).value[1]!;
    expect(changedJoint(once, far, far.joints[0]!, { at: 1300 }).map(({ at }) => at)).toEqual([2100, 1300]);
  });
  it('one more comes into the longest piece, and is taken out again', () => {
    const side = plan({}).value[1]!;
    const own = oneMoreJoint(oneMoreJoint([], side, 'scarf'), side, 'strap');
    expect(new Set(own.map(({ id }) => id)).size).toBe(2);
    expect(withoutJoint(own, own[0]!.id)).toEqual([own[1]]);
  });
  it('may be of another kind than the boat’s', () => {
    const side = plan({ own: own(2186, 'strap') }).value[1]!;
    expect(side.straps).toHaveLength(1);
    expect(side.joints[0]).toMatchObject({ kind: 'strap', lap: 0 });
  });
  it('say what they leave unmet, with a way back', () => {
    const project = demoProject('tamsel', 'x');
    const frame = derived.frames.value.frames[1]!;
    const edited = applyEdits(project, [{ path: ['joints', 'own'], value: own(frame.x) }]);
    if (!edited.ok) throw new Error(edited.reason);
    const { findings } = createDerive()(edited.project).joints;
    const [first] = findings;
    expect(first?.code).toMatch(/frame-in-joint|joint-near-frame/);
    expect(sentence(first!, 'mm')).toMatch(/^(Side|Bulkhead)/);
    const back = applyEdits(edited.project, first!.remedies![0]!.edits);
    expect(back.ok && back.project.joints.own).toEqual([]);
  });
  it('beyond the panel are left out, and it is said', () => {
    const { value, findings } = plan({ own: own(9000) });
    expect(value).toEqual(plan({}).value);
    expect(findings.map(({ code }) => code)).toEqual(['joint-off-panel']);
  });
});

function toSegment(p: readonly [number, number], a: readonly [number, number], b: readonly [number, number]): number {
  const [du, dv] = [b[0] - a[0], b[1] - a[1]];
  const t = Math.max(0, Math.min(1, ((p[0] - a[0]) * du + (p[1] - a[1]) * dv) / (du * du + dv * dv || 1)));
  return Math.hypot(p[0] - a[0] - t * du, p[1] - a[1] - t * dv);
}
