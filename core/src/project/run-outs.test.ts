/** A boat whose side goes on up the stem, through all stages. */
import { describe, expect, it } from 'vitest';
import { cardModel } from '../exchange';
import { area, at, crossesItself, intersectionOf } from '../geometry';
import { bendLines, linesOf, pointPath } from '../lines';
import { lengthAlong } from '../lines/fixtures/length-along';
import { chineOnStem } from '../panels/fixtures/run-out-hulls';
import { demoProject } from './demos/index';
import { createDerive } from './derive';
import { applyEdits } from './edits';
import type { Project } from './document';

const demo = demoProject('tamsel', 'x');
const { longitudinals } = chineOnStem();
// a bulkhead forward of the foot of the stem, one abaft it
const frames = [0, 1200].map((x, i) => ({ ...at(demo.frames.frames, i), x }));
const project: Project = { ...demo, lines: linesOf(longitudinals), frames: { ...demo.frames, frames } };
const derive = createDerive();
const derived = derive(project);
const { lines } = bendLines(project.lines).value;
const foot = lines[1]?.runOuts?.fore?.t ?? NaN;

describe('a boat whose side goes on up the stem', () => {
  it('has a frame forward of its foot with the side alone, from the centreline to the sheer', () => {
    const [fore, aft] = derived.frames.value.frames;
    expect(fore?.edges.map(({ panelName }) => panelName)).toEqual(['Side']);
    expect(fore?.outline[0]?.[0]).toBeCloseTo(0, 6);
    expect(at(fore?.outline ?? [], -1)[0]).toBeGreaterThan(50);
    expect(aft?.edges.map(({ panelName }) => panelName)).toEqual(['Bottom', 'Side']);
  });
  it('is filleted and taped along the stem as along the keel, together as long as the keel’s line', () => {
    const { seams } = derived.epoxy.value;
    expect(seams.slice(0, 3).map(({ name }) => name)).toEqual(['Keel', 'Stem, side', 'Bottom to side']);
    // both are shortened where the cut panels end in a point
    const [keel, stem] = [at(seams, 0).length, at(seams, 1).length];
    expect(Math.abs(stem - lengthAlong(at(lines, 0).batten, 0, foot))).toBeLessThan(15);
    expect(Math.abs(keel - lengthAlong(at(lines, 0).batten, foot))).toBeLessThan(15);
    expect(new Set(seams.map(({ id }) => id)).size).toBe(seams.length);
  });
  it('has card tabs along stem and keel, on the starboard hand', () => {
    const [plain, tabbed] = (['tape', 'tabs'] as const).map((edges) =>
      cardModel(project, derived, { scale: 20, paper: 'A4', edges }),
    );
    const outline = (model: typeof plain, id: string) => model?.parts.find((part) => part.id === id)?.outline ?? [];
    for (const [id, has] of [
      ['chine-sheer', true],
      ['chine-sheer.port', false],
      ['keel-chine', true],
    ] as const) {
      const [bare, tabs] = [outline(plain, id), outline(tabbed, id)];
      expect(crossesItself(tabs)).toBe(false);
      expect(area(tabs) - area(bare) > 50).toBe(has);
      expect(intersectionOf([tabs], [bare]).reduce((sum, one) => sum + area(one), 0) / area(bare)).toBeGreaterThan(
        0.999,
      );
    }
  });
  it('makes both panels anew when the stem moves, the bottom alone when the keel’s after end does', () => {
    const stem = applyEdits(project, [
      { path: pointPath('keel', 3, 'x'), value: at(at(longitudinals, 0).points, 3).x - 4 },
    ]);
    if (!stem.ok) throw new Error(stem.reason);
    derive(stem.project);
    expect(derive.lastComputed()).toContain('panel chine-sheer');
    derive(project);
    const after = at(longitudinals, 0).points.length - 2;
    const keel = applyEdits(project, [
      { path: pointPath('keel', after, 'height'), value: at(at(longitudinals, 0).points, after).height + 6 },
    ]);
    if (!keel.ok) throw new Error(keel.reason);
    derive(keel.project);
    expect(derive.lastComputed()).toContain('panel keel-chine');
  });
});
