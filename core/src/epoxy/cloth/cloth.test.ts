/** Cloth on its roll: a box and a wide bottom in the head, and every demo by its true areas. */
import { describe, expect, it } from 'vitest';
import { area, boundsOf, boxOutline, intersectionOf, type Outline } from '../../geometry';
import { demoProject, createDerive, searchAll, wholeOf, DEMO_IDS, type Project } from '../../project';
import { faultsOf } from '../../sheets';
import { clothMetres, clothToLay, laidCloth, layCloth, type ClothWhole } from './cloth';

const LAP = 50;
const WIDE = 1000;

/** One panel across the centreline of a boat that has no more; its outline as given. */
function sheathed(outline: Outline, of: Partial<Project['epoxy']['glass']> = {}): ClothWhole {
  const project = demoProject('tamsel', 'x');
  const { epoxy } = project;
  const [panel] = createDerive()(project).panels.value.panels;
  const glass = { ...epoxy.glass, clothWidth: WIDE, lap: LAP, trim: 0, ...of };
  return {
    project: { epoxy: { ...epoxy, sheathe: 'all', glass } },
    values: {
      lines: { lines: [] },
      panels: { panels: [{ ...panel!, outline, spansCentreline: true }], transoms: [] },
      frames: { frames: [], girders: [] },
      fitout: {
        ...{ parts: [], walls: [], blocks: [], stems: [], knees: [], all: [], screws: [], people: [] },
        ...{ lengths: { height: 0, stretches: [] }, overAll: { long: 0, wide: 0, high: 0 } },
      },
    },
    found: {},
  };
}
const box = (long: number, deep: number) => boxOutline({ minX: 0, minY: 0, maxX: long, maxY: deep });
const laid = (whole: ClothWhole, rounds = 4) => {
  const toLay = clothToLay(whole);
  return laidCloth(toLay, layCloth(toLay, rounds));
};

describe('the lengths of cloth', () => {
  it.each([
    ['a width to spare', 600, 1],
    ['a width to the hair', 1000, 1],
    ['a hair over', 1001, 2],
    ['two widths less their lap', 1950, 2],
    ['and a hair over', 1951, 3],
  ])('on a panel as deep as %s', (_, deep, count) => {
    const { cuts } = clothToLay(sheathed(box(4000, deep)))!;
    expect(cuts).toHaveLength(count);
    for (const { outline } of cuts) {
      const { minX, maxX, minY, maxY } = boundsOf(outline);
      expect(maxX - minX).toBeCloseTo(4000, 6);
      expect(maxY - minY).toBeCloseTo((deep + (count - 1) * LAP) / count, 3);
    }
    // what is cut is the panel and the laps in it
    const all = cuts.reduce((sum, { outline }) => sum + area(outline), 0);
    expect(all).toBeCloseTo(4000 * (deep + (count - 1) * LAP), 2);
  });
  it('lie along the roll whichever way their panel was drawn', () =>
    expect(boundsOf(clothToLay(sheathed(box(300, 2000)))!.cuts[0]!.outline)).toMatchObject({ maxX: 2000 }));
  it('of a wide panel come off the roll side by side, of narrow ones too', () => {
    expect(laid(sheathed(box(4000, 1950)))!.rollMm).toBeCloseTo(8000, 0);
    expect(laid(sheathed(box(4000, 500)))!.rollMm).toBeCloseTo(4000, 1);
  });
  it('are none where nothing is sheathed, or a lap leaves nothing of the roll', () => {
    const whole = sheathed(box(4000, 1950));
    const bare = { ...whole, project: { epoxy: { ...whole.project.epoxy, sheathe: 'none' as const } } };
    for (const none of [bare, sheathed(box(4000, 1950), { lap: WIDE }), sheathed(box(4000, 1950), { lap: 990 })]) {
      expect(clothToLay(none)).toBeUndefined();
      expect(laid(none)).toBeUndefined();
    }
  });
  it('are not laid out by a layout that was found for others', () => {
    const [one, other] = [clothToLay(sheathed(box(4000, 500))), clothToLay(sheathed(box(4100, 500)))];
    expect(laidCloth(other, layCloth(one, 4))).toBeUndefined();
    expect(laidCloth(one, layCloth(one, 4))).toBeDefined();
  });
  it('are larger all round by what is left to trim: of a box in closed form', () => {
    const { outline } = clothToLay(sheathed(box(2000, 600), { trim: 25 }))!.cuts[0]!;
    expect(boundsOf(outline)).toMatchObject({ minX: -25, minY: -25, maxX: 2025, maxY: 625 });
    expect(area(outline)).toBeCloseTo(2050 * 650, 3);
    // at a thousand wide 951 deep no longer goes on one width
    expect(clothToLay(sheathed(box(2000, 950), { trim: 25 }))!.cuts).toHaveLength(1);
    expect(clothToLay(sheathed(box(2000, 951), { trim: 25 }))!.cuts).toHaveLength(2);
  });
  it('are counted by rule until they are laid out', () => {
    expect(clothMetres(7.5, undefined)).toBe(7.5);
    expect(clothMetres(7.5, { rollMm: 6400, cuts: [] })).toBeCloseTo(6.4, 9);
  });
});

describe.each(DEMO_IDS.filter((id) => id !== 'slips'))('cloth for the bottom of %s', (id) => {
  const demo = demoProject(id, 'x');
  const project = { ...demo, epoxy: { ...demo.epoxy, glass: { ...demo.epoxy.glass, trim: 0 } } };
  const derived = createDerive()(project);
  const whole = wholeOf(project, derived, searchAll(project, derived, 4));
  const toLay = clothToLay(whole)!;
  const cloth = laidCloth(toLay, whole.found.epoxy)!;

  it('lies on the roll, nothing on anything else, and takes no more of it than widths side by side', () => {
    expect(faultsOf(toLay.job, whole.found.epoxy!.result)).toEqual([]);
    expect(cloth.cuts).toHaveLength(toLay.cuts.length);
    const high = project.epoxy.glass.clothWidth;
    for (const { outline } of cloth.cuts) {
      const { minX, minY, maxX, maxY } = boundsOf(outline);
      expect(Math.min(minX, minY)).toBeGreaterThan(-0.02);
      expect(maxX).toBeLessThan(cloth.rollMm + 0.02);
      expect(maxY).toBeLessThan(high + 0.02);
    }
    expect(cloth.rollMm / 1000).toBeLessThan(derived.epoxy.value.glass.clothM + 0.001);
  });
  it('is what the panels have of it: their own area, and laps', () => {
    const covered = derived.epoxy.value.lines
      .filter(({ group }) => group === 'sheathing')
      .reduce((sum, { clothM2 }) => sum + clothM2, 0);
    const cut = toLay.cuts.reduce((sum, { outline }) => sum + area(outline), 0) / 1e6;
    const isLapped = toLay.cuts.some(({ name }) => / of \d/.test(name));
    expect(cut).toBeGreaterThan(covered - 1e-4);
    if (!isLapped) expect(cut).toBeCloseTo(covered, 3);
    // a length of one hand is that of the other turned over
    const [port, starboard] = ['port', 'starboard'].map((hand) =>
      toLay.cuts.filter(({ name }) => name.includes(`, ${hand}`)).map(({ outline }) => outline),
    );
    port!.forEach((outline, k) => {
      const over = outline.map(([x, y]) => [-x, y] as const);
      const both = intersectionOf([over], [starboard![k]!]).reduce((sum, ring) => sum + area(ring), 0);
      expect(both / area(outline)).toBeCloseTo(1, 6);
    });
  });
});
