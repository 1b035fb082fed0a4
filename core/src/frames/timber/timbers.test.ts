import { describe, expect, it } from 'vitest';
import { area, at, boundsOf, contains, netArea, type Vec2 } from '../../geometry';
import { bendLines } from '../../lines';
import { developPanels } from '../../panels';
import { demoProject } from '../../project/demos/index';
import { createDerive } from '../../project/derive';
import { outlineForPlates } from '../blank';
import { tableOf } from '../fixtures/table-of';
import { shapeFrame, type Frame } from '../frame';
import { plainFrame, timberIn } from '../plans';
import type { FramePlan, TimberSettings } from '../schema';
import { frameAt } from '../section';
import { compoundMitre } from './compound-mitre';

const SAWN: TimberSettings = { ...timberIn('mm').sawn, plate: { thickness: 9, leg: 150, faces: 2 } };

/** A sawn frame 20 thick, its fore face at 1000, in a hull without a skin. */
function sawn(lines: Parameters<typeof tableOf>[0], settings: Partial<TimberSettings>, given: Partial<FramePlan> = {}) {
  const hull = bendLines(tableOf(lines)).value;
  const panels = developPanels(hull, { thickness: 6 }).value;
  const plan = plainFrame({ id: 'f', name: 'F', x: 1000, width: 20, kind: 'sawn', ...given });
  const own = { ...SAWN, ...settings };
  const shaped = shapeFrame(plan, panels, { skin: 0, school: 'framed', gap: 0, sawn: own, moulds: own });
  if (!shaped.ok || !shaped.frame.timbered) throw new Error('no timber frame');
  return { frame: shaped.frame, ...shaped.frame.timbered };
}
const named = ({ timbers }: Pick<ReturnType<typeof sawn>, 'timbers'>, id: string) => {
  const found = timbers.find((timber) => timber.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};

describe('a compound mitre', () => {
  /*
   * By hand: a timber lies athwart against a side that flares one in three and closes in one in ten aft. The side is
   * the plane y = 400 + z/3 + x/10, whose normal is (-1/10, 1, -1/3): along the timber y, across its station face z,
   * through it x. On the face the cut runs one in three: atan(1/3) = 18.435°. On the edge it runs one in ten:
   * atan(1/10) = 5.711°. With the mitre set the saw stands square to the trace on the face; along that direction the
   * plane's normal has 1/√(1 + 1/9)… of it in the face, √(1 + 1/9) = 1.05409, and 1/10 through it: the blade tilts
   * atan(0.1 / 1.05409) = 5.419°, less than on the edge, which is seen aslant.
   */
  const PLANE = { along: 1, across: -1 / 3, through: -1 / 10 };
  it('has the angles found by hand', () => {
    const { faceDeg, edgeDeg, tiltDeg } = compoundMitre(PLANE);
    expect([-faceDeg, -edgeDeg, -tiltDeg].map((deg) => Number(deg.toFixed(3)))).toEqual([18.435, 5.711, 5.419]);
  });
  it('is so cut that the trace and the blade’s own line lie in the plane', () => {
    const { faceDeg, tiltDeg } = compoundMitre(PLANE);
    const [f, t] = [(faceDeg * Math.PI) / 180, (tiltDeg * Math.PI) / 180];
    const { along, across, through } = PLANE;
    // in the face, turned from square by the mitre; and into the face, leaning along the mitred cut by the tilt
    const trace = [-Math.sin(f), Math.cos(f), 0];
    const down = [-Math.sin(t) * Math.cos(f), -Math.sin(t) * Math.sin(f), Math.cos(t)];
    for (const [a = 0, b = 0, c = 0] of [trace, down]) expect(a * along + b * across + c * through).toBeCloseTo(0, 12);
  });
});

describe('a frame in a pram with flat sides, flaring one in three and opening one in ten', () => {
  const PRAM = {
    chine: (x: number): [number, number] => [400 + x / 10, 0],
    sheer: (x: number): [number, number] => [500 + x / 10, 300],
  };
  it('whose floor runs out to the skin: its ends are compound mitres, the side stands on it', () => {
    const frame = sawn(PRAM, { corner: 'floor' });
    const [floor, side] = [named(frame, 'floor'), named(frame, 'side')];
    // the after face is the larger, 2 mm a side; 70 higher the side stands 70/3 further out
    expect(floor.lengthMm).toBeCloseTo(2 * (502 + 70 / 3), 3);
    expect(floor).toMatchObject({ isPair: false, breadthMm: 70, thicknessMm: 20 });
    const [low, high] = floor.ends;
    expect(low).toEqual(high);
    expect(high).toMatchObject({ kind: 'skin', longOn: 'inner', longFace: 'other' });
    expect([high.faceDeg, high.tiltDeg].map((deg) => Number(deg.toFixed(3)))).toEqual([18.435, 5.419]);
    expect(high.riseMm).toBeCloseTo(70 / 3, 6);
    expect(side.ends).toMatchObject([
      { kind: 'timber', longOn: 'inner', tiltDeg: 0 },
      { kind: 'top', longOn: 'outer', tiltDeg: 0 },
    ]);
    const slant = Math.hypot(1, 1 / 3);
    expect(side.lengthMm).toBeCloseTo(230 * slant + 70 / 3, 3);
    expect(side.bevel?.ripDeg).toBeCloseTo(-5.419, 3);
  });
  it('whose sides run down to the bottom: the floor stands between them', () => {
    const frame = sawn(PRAM, { corner: 'sides' });
    expect(named(frame, 'side').ends).toMatchObject([{ kind: 'skin' }, { kind: 'top' }]);
    const inner = 502 - 70 * Math.hypot(1, 1 / 3);
    expect(named(frame, 'floor').lengthMm).toBeCloseTo(2 * (inner + 70 / 3), 3);
  });
  it('mitred: both are cut at half the turn between them', () => {
    const frame = sawn(PRAM, {});
    const half = (90 - 18.43494882) / 2;
    for (const end of [named(frame, 'floor').ends[1], named(frame, 'side').ends[0]]) {
      expect(end).toMatchObject({ kind: 'mitre', tiltDeg: 0, longOn: 'outer' });
      expect(end.faceDeg).toBeCloseTo(half, 6);
    }
    expect(frame.frame.pieces).toBe(1);
  });
  it.each(['mitred', 'floor', 'sides'] as const)('%s: its timbers fill the frame once and leave no gap', (corner) => {
    const { frame, timbers } = sawn(PRAM, { corner });
    const sum = timbers.reduce((all, { region, isPair }) => all + (isPair ? 2 : 1) * netArea(region), 0);
    expect(Math.abs(sum - netArea(frame.cut))).toBeLessThan(0.0005 * sum);
  });
  it('has a spall at a height, no longer than the part is broad there, and none where it does not reach', () => {
    const at100 = sawn(PRAM, { spall: { height: 100, breadth: 50 } });
    expect(at100.spall?.lengthMm).toBeCloseTo(2 * (502 + 100 / 3), 3);
    expect(sawn(PRAM, { spall: { height: 290, breadth: 50 } }).spall).toBeUndefined();
  });
});

describe('a frame in a hull with a V bottom, one in five', () => {
  const VEE = {
    keel: (): [number, number] => [0, 0],
    chine: (): [number, number] => [500, 100],
    sheer: (): [number, number] => [600, 400],
  };
  it('has two floors that meet on the centreline under a butt block', () => {
    const frame = sawn(VEE, {});
    const floor = named(frame, 'floor');
    expect(floor).toMatchObject({ isPair: true });
    expect(floor.ends[0]).toMatchObject({ kind: 'centre', longOn: 'outer' });
    expect(floor.ends[0].faceDeg).toBeCloseTo((Math.atan(1 / 5) * 180) / Math.PI, 6);
    expect(frame.plates.map(({ name, isPair, faces }) => [name, isPair, faces])).toEqual([
      ['Butt block', false, 2],
      ['Gusset 1', true, 2],
    ]);
  });
  it('on one side only begins where it is bounded, and of a pair is drawn to starboard', () => {
    const bounds = { hand: 'pair' as const, inner: 200, outer: null, bottom: null };
    const frame = sawn(VEE, {}, { bounds });
    expect(named(frame, 'floor').ends[0]).toMatchObject({ kind: 'bound' });
    expect(boundsOf(named(frame, 'floor').region.outline).minX).toBeCloseTo(200, 3);
    expect(frame.plates.map(({ name }) => name)).toEqual(['Gusset 1']);
  });
});

describe('a frame in a box', () => {
  const BOX = {
    chine: (): [number, number] => [500, 0],
    sheer: (): [number, number] => [500, 400],
  };
  it('has gussets of two legs and the corner between them', () => {
    const [gusset] = sawn(BOX, {}).plates;
    // the legs' strips of 220 by 70 and 150 by 70, and half a square of 150
    expect(area(gusset?.outline ?? [])).toBeCloseTo(220 * 70 + 150 * 70 + 150 ** 2 / 2, 1);
  });
  it('without gussets has none', () =>
    expect(sawn(BOX, { plate: { thickness: 9, leg: 150, faces: 0 } }).plates).toEqual([]));
  it('of which a port part is wanted is drawn to port', () => {
    const frame = sawn(BOX, {}, { bounds: { hand: 'port', inner: 0, outer: null, bottom: null } });
    expect(boundsOf(named(frame, 'side').region.outline).maxX).toBeLessThan(0);
    expect(boundsOf(frame.frame.cut.outline).maxX).toBeLessThan(1e-3);
  });
});

describe('a mould of planks', () => {
  it('round a round bilge has as many as keep within a quarter of their breadth, and is one piece', () => {
    // half an ellipse of three lines is no circle: a hull of five, whose section is nearly round
    const angles = [0, 0.25, 0.5, 0.75, 1].map((share) => (share * Math.PI) / 2);
    const lines = Object.fromEntries(
      angles.map((angle, i) => [
        ['keel', 'a', 'b', 'c', 'sheer'][i]!,
        (): [number, number] => [600 * Math.sin(angle), 600 - 600 * Math.cos(angle)],
      ]),
    );
    const { timbers, frame } = sawn(lines, {}, { kind: 'mould' });
    expect(timbers.length).toBeGreaterThan(2);
    for (const { hollowMm, breadthMm } of timbers) expect(hollowMm).toBeLessThanOrEqual(breadthMm / 4);
    expect(frame.pieces).toBe(1);
  });
});

describe.each(['tamsel', 'orrin', 'veyra'] as const)('every frame of %s made of timber', (demo) => {
  const project = demoProject(demo, 'x');
  const frames = { ...project.frames, frames: project.frames.frames.map((f) => ({ ...f, kind: 'sawn' as const })) };
  const derived = createDerive()({ ...project, frames });
  const { panels } = derived.panels.value;
  const skin = project.panels.thickness;
  const own = derived.frames.value.frames.filter(({ isUnderSeam }) => !isUnderSeam);
  it.each(own.map((frame): [string, Frame] => [frame.name, frame]))(
    '%s: its gussets stand clear of the skin on both faces, its timbers lie in it',
    (_, frame) => {
      const { x, width, face, rakeRad } = frame;
      const section = frameAt(panels, x, { skin, width, face, rakeRad });
      if (!section || !frame.timbered) throw new Error('no frame');
      expect(frame.timbered.timbers.length).toBeGreaterThan(1);
      const clear = outlineForPlates(section, frames.sawn.plate.thickness);
      const isIn = (outline: readonly Vec2[], p: Vec2) =>
        // to the grid of the booleans
        [
          [0, 0],
          [3e-4, 0],
          [-3e-4, 0],
          [0, 3e-4],
          [0, -3e-4],
        ].some(([dx = 0, dy = 0]) => contains(outline, [p[0] + dx, p[1] + dy]));
      for (const plate of frame.timbered.plates) expect(plate.outline.filter((p) => !isIn(clear, p))).toEqual([]);
      for (const { lengthMm, region } of frame.timbered.timbers) {
        const { minX, maxX, minY, maxY } = boundsOf(region.outline);
        expect(lengthMm).toBeLessThanOrEqual(Math.hypot(maxX - minX, maxY - minY) + 1e-6);
        expect(netArea(region)).toBeGreaterThan(0);
        expect(at(region.outline, 0)).toHaveLength(2);
      }
    },
  );
});
