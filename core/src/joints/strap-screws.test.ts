import { describe, expect, it } from 'vitest';
import { screwsIn } from '../frames/plans';
import { createDerive, demoProject, shoppingList, wholeOf, type Project } from '../project';
import type { JointedPanel } from './jointed-panel';
import { strapScrews } from './strap-screws';

const screws = { ...screwsIn('mm'), spacing: 75, ends: 25 };
const asked = { thickness: 6, part: { strapUse: 'left', strapShort: 20 }, screws } as const;
/** A joint of a panel 640 deep at u 1000, its strap 120 wide, of timber; of a pair. */
const joint = { u: 1000, key: '1', kind: 'strap', lap: 0, width: 120, depth: 640, low: 10, high: 650, around: {} };
const panel = (of: object = {}): JointedPanel =>
  ({ panel: 'p', name: 'Side', joinedAs: 'p', isPair: true, joints: [joint], pieces: [], straps: [], ...of }) as never;

describe('screws of a strap', () => {
  it('are two rows, in the middle of either half, evenly between its ends', () => {
    const rows = strapScrews([panel()], asked);
    // 600 long, 25 from either end: 550 in 7 gaps of 78.57
    expect(rows.map(({ places }) => places.length)).toEqual([8, 8]);
    expect(rows.map(({ places }) => places.map(([u]) => u))).toEqual([Array(8).fill(970), Array(8).fill(1030)]);
    expect([rows[0]!.places[0]![1], rows[0]!.places[7]![1]]).toEqual([55, 605]);
    expect(rows[0]).toMatchObject({ count: 16, use: 'left', lengthMm: 10, heldMm: 6, landingMm: 60 });
    expect(rows[0]!.spacingMm).toBeCloseTo(550 / 7, 9);
  });
  it('lie within a strap that is cut of plywood, shorter than the joint is deep', () => {
    const outline = [
      [940, 80],
      [1060, 80],
      [1060, 580],
      [940, 580],
    ];
    const [row] = strapScrews([panel({ straps: [{ id: 'p.strap.1', name: 'x', outline }] })], asked);
    expect([row!.places[0]![1], row!.places.at(-1)![1]]).toEqual([105, 555]);
  });
  it('are once on a panel that is not cut twice, and none in other joints or where none are wanted', () => {
    expect(strapScrews([panel({ isPair: false })], asked)[0]!.count).toBe(8);
    expect(strapScrews([panel({ joints: [{ ...joint, kind: 'scarf' }] })], asked)).toEqual([]);
    expect(strapScrews([panel()], { ...asked, part: { ...asked.part, strapUse: 'none' } })).toEqual([]);
    expect(strapScrews([panel()], { ...asked, screws: { ...screws, spacing: 0 } })).toEqual([]);
  });
  it('are on the shopping list with the joints, and marked on the panels', () => {
    const demo = demoProject('tamsel', 'x');
    const project: Project = {
      ...demo,
      joints: { ...demo.joints, kind: 'strap', strapUse: 'left' },
      frames: { ...demo.frames, screws },
    };
    const derived = createDerive()(project);
    const whole = wholeOf(project, derived, {});
    const group = shoppingList(whole).groups.find(({ title }) => title === 'Joints')!;
    const { thickness } = project.panels;
    const rows = strapScrews(derived.joints.value, { thickness, part: project.joints, screws });
    const count = rows.reduce((sum, row) => sum + row.count, 0);
    expect(count).toBeGreaterThan(20);
    expect(group.lines[0]!.from).toContain(`${count} counted: `);
    const marked = derived.panels.value.panels.flatMap((one) =>
      whole.marksOn(one).flatMap(({ paths }) => paths.filter(({ layerName }) => layerName === 'SCREWS')),
    );
    const own = derived.frames.value.screws.flatMap(({ places }) => places).length;
    expect(marked).toHaveLength(own + rows.flatMap(({ places }) => places).length);
  });
});
