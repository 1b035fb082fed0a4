/** Blocks against surfaces in closed form: a bent transom, a side that flares, a cone; and in whole boats. */
import { describe, expect, it } from 'vitest';
import { at, type Vec2, type Vec3 } from '../../geometry';
import { readOffsets } from '../../exchange';
import { CONE, CYLINDER } from '../../frames/fixtures/exact-hulls';
import { bendLines } from '../../lines';
import { developPanels } from '../../panels';
import { applyEdits, createDerive, demoProject, DEMO_IDS, type Project } from '../../project';
import type { BlockPlan } from '../schema';
import { sectionOf } from '../section';
import { blockOf, edgeNames, profileOf } from './block';
import { blockRows } from './block-drawings';
import { blockOff } from './fixtures/bent-transom';
import { blockSeen, cornersOf } from './in-space';
import { newBlock } from './new-block';
import { solidOf, solidOfInside, type Solid } from './surface';

const block = (given: Partial<BlockPlan>): BlockPlan => ({
  ...{ id: 'b', name: 'Taper block', fills: 'out', hand: 'starboard', width: 60, clear: 0, isToSkin: false },
  ...{ from: { x: 1000, out: 100, height: 300 }, to: { x: 2000, out: 100, height: 300 } },
  ...given,
});

describe.each([
  ['upright', 0],
  ['raked', 0.26],
])('a taper block across a bent transom, %s', (_, rake) => {
  it.each([1200, 2500])('is as thick as the curve stands off its straight face, within 0.1 mm: radius %i', (radius) => {
    expect(blockOff(radius, rake)).toBeLessThan(0.1);
  });
});

describe('a wedge along a side', () => {
  // a plane that flares 1 in 5 and converges 1 in 20
  const outAt = (x: number, z: number) => 200 + x / 20 + z / 5;
  const corner = (x: number, z: number): Vec3 => [x, outAt(x, z), z];
  const overMiddle = (three: Solid['triangles'][0]) =>
    three.map(([x, y, z]): Vec3 => [x, -y, z]) as unknown as Solid['triangles'][0]; // three again
  const side: Solid['triangles'] = [
    [corner(0, 0), corner(0, 900), corner(4000, 0)],
    [corner(0, 900), corner(4000, 900), corner(4000, 0)],
  ];
  it('tapers as a plane does, at both its edges, and is sawn from the millimetre over its thickest', () => {
    const made = blockOf(block({}), solidOf(side, []));
    const edges = made.rows.map(({ low, high }) => [low, high].sort((a, b) => a - b));
    made.rows.forEach(({ place: [x] }, i) => {
      expect(at(edges, i)[0]).toBeCloseTo(outAt(x, 270) - 100, 6);
      expect(at(edges, i)[1]).toBeCloseTo(outAt(x, 330) - 100, 6);
    });
    // out to starboard along a line that runs aft: the side flares, so its upper edge is the thicker one
    expect(edgeNames(made)).toEqual(['upper edge', 'lower edge']);
    for (const { low, high } of made.rows) expect(low).toBeGreaterThan(high);
    expect(made.lengthMm).toBe(1000);
    expect(at(made.supports, 0)).toMatchObject({ breadth: 60, depth: Math.ceil(outAt(2000, 330) - 100) });
    const { cut, mark } = profileOf(made);
    expect(cut.slice(0, 2)).toEqual([[0, 0] as Vec2, [1000, 0] as Vec2]);
    expect(at(mark, 0)[1]).toBeLessThan(at(cut, -1)[1]);
  });
  it('to port is the mirror image of the one to starboard', () => {
    const both = solidOf([...side, ...side.map(overMiddle)], []);
    const [starboard, port] = (['starboard', 'port'] as const).map((hand) => blockOf(block({ hand }), both));
    const sorted = (made: typeof starboard) => made!.rows.map(({ low, high }) => [low, high].sort((a, b) => a - b));
    sorted(port).forEach((two, i) =>
      two.forEach((mm, k) => expect(mm).toBeCloseTo(at(at(sorted(starboard), i), k), 6)),
    );
    for (const corners of cornersOf(port!)) for (const [, y] of corners) expect(y).toBeLessThan(0);
  });
  it('run on to the skin athwart is cut by the flare on its face, and by how the sides converge through it', () => {
    const both = solidOf([...side, ...side.map(overMiddle)], [{ normal: [1, 0, 0], level: 3000 }]);
    const place = { x: 2900, out: 50, height: 300 };
    const made = blockOf(block({ fills: 'aft', hand: 'across', isToSkin: true, from: place, to: place }), both);
    expect(made.lengthMm).toBeCloseTo(2 * outAt(2900, 330), 2);
    for (const end of made.ends) {
      expect(Math.abs(end.faceDeg)).toBeCloseTo((Math.atan(1 / 5) * 180) / Math.PI, 6);
      expect(Math.abs(end.throughDeg)).toBeCloseTo((Math.atan(1 / 20) * 180) / Math.PI, 6);
    }
    for (const { low, high } of made.rows) for (const mm of [low, high]) expect(mm).toBeCloseTo(100, 9);
  });
  it('says what it cannot be: without length, out of the boat, with its face through the side', () => {
    const solid = solidOf(side, []);
    const { from } = block({});
    expect(blockOf(block({ to: from }), solid).none).toBe('no-length');
    expect(blockOf(block({ fills: 'forward' }), solid).none).toBe('no-length');
    expect(blockOf(block({ fills: 'down' }), solid).none).toBe('meets-nothing');
    expect(
      blockOf(block({ clear: 100, from: { ...from, out: 280 }, to: { x: 2000, out: 280, height: 300 } }), solid).none,
    ).toBe('no-room');
  });
});

describe.each([CONE, CYLINDER])('a wedge on $name', (side) => {
  it('ends on the inside of the skin at both its edges, within 0.1 mm', () => {
    const read = readOffsets(side.csv);
    if (!read.ok) throw new Error('the fixture is not read');
    const panels = developPanels(bendLines(read.lines).value, { thickness: 6 }).value.filter(
      ({ between }) => between[0] === side.between[0] && between[1] === side.between[1],
    );
    const solid = solidOfInside({ panels, inset: 6, ends: [] });
    const { rulings } = at(panels, 0);
    const { p, q } = at(rulings, rulings.length >> 1);
    const [x, height] = [(p[0] + q[0]) / 2, (p[2] + q[2]) / 2];
    const [a, b] = [x - 150, x + 150];
    const plan = block({ width: 40, from: { x: a, out: 10, height }, to: { x: b, out: 10, height } });
    const made = blockOf(plan, solid);
    expect(made.none).toBeUndefined();
    for (const [, , high, low] of cornersOf(made))
      for (const place of [high, low]) expect(Math.abs(side.depthOf(place) - 6)).toBeLessThan(0.1);
  });
});

const derive = createDerive();
const withBlocks = (project: Project, blocks: BlockPlan[]): Project => ({
  ...project,
  fitout: { ...project.fitout, blocks },
});

describe.each(DEMO_IDS)('a block begun in %s', (id) => {
  const project = demoProject(id, 'x');
  const { lines, panels } = derive(project);
  const inset = project.panels.thickness;
  const own = newBlock([], { hull: lines.value, panels: panels.value.panels, inset, notation: project.notation });
  it('is taken by the project, has wood everywhere, and is cut from timber that is on the list', () => {
    expect(applyEdits(project, [{ path: ['fitout', 'blocks'], value: [own] }]).ok).toBe(true);
    const { fitout, timber, epoxy } = derive(withBlocks(project, [own]));
    const [made] = fitout.value.blocks;
    expect(made?.none).toBeUndefined();
    expect(made!.thinnest).toBeGreaterThan(2);
    expect(blockRows(made!).length).toBeGreaterThan(5);
    expect(blockSeen(made!, 1).length).toBeGreaterThan(5);
    expect(fitout.findings.filter(({ code }) => code.startsWith('block'))).toEqual([]);
    expect(JSON.stringify(timber.value)).toContain(own.name);
    expect(JSON.stringify(epoxy.value)).toContain(own.name);
  });
  it('is there where the boat is cut across in its middle, on both sides, and nowhere else', () => {
    const { panels: skin, fitout } = derive(withBlocks(project, [own]));
    const names = (x: number) =>
      sectionOf({ panels: skin.value.panels, ...fitout.value }, x, { inside: inset, outside: 0 })
        .parts.filter(({ plan }) => plan === own.id)
        .map(({ outline }) => outline.length);
    expect(names((own.from.x + own.to.x) / 2)).toEqual([4, 4]);
    expect(names(own.from.x - 10)).toEqual([]);
  });
  it('is told where it comes to a feather, and where it cannot be', () => {
    const codes = (change: Partial<BlockPlan>) =>
      derive(withBlocks(project, [{ ...own, ...change }])).fitout.findings.map(({ code }) => code);
    const { thinnest } = at(derive(withBlocks(project, [own])).fitout.value.blocks, 0);
    expect(codes({ clear: thinnest - 1 })).toContain('block-feather');
    expect(codes({ clear: Math.min(100, thinnest + 20) })).toContain('block-no-room');
    expect(codes({ to: own.from })).toContain('block-no-length');
    expect(codes({ fills: 'up' })).toContain('block-meets-nothing');
    // aslant from without it passes the boat's end far off, where nothing closes it
    expect(codes({ from: { ...own.from, out: own.from.out + 400 } })).toContain('block-meets-nothing');
  });
});
