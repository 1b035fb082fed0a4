import { pageOnItsSide } from '../formats';
import { describe, expect, it } from 'vitest';
import {
  area,
  crossesItself,
  distance2,
  intersectionOf,
  polylineLength,
  solidDistance,
  type Outline,
} from '../geometry';
import { createDerive, demoProject } from '../project';
import { cardModel, type CardOptions } from './card-model';
import { readPdf } from '../formats/writers/fixtures/read-pdf';
import { writePages } from '../formats/writers/pdf';

const demo = (id: 'tamsel' | 'orrin') => {
  const project = demoProject(id, 'x');
  return { project, derived: createDerive()(project) };
};
const boats = { tamsel: demo('tamsel'), orrin: demo('orrin') };
const model = (boat: keyof typeof boats, options: CardOptions) =>
  cardModel(boats[boat].project, boats[boat].derived, options);
const total = (outlines: readonly Outline[]) => outlines.reduce((sum, outline) => sum + area(outline), 0);

describe.each([
  ['tamsel', 20, 'A4'],
  ['tamsel', 8, 'Letter'],
  ['orrin', 5, 'A4'],
] as const)('%s in card at 1:%i on %s', (boat, scale, paper) => {
  const { pages, parts, unplaced } = model(boat, { scale, paper, edges: 'tape' });
  const { panels, transoms } = boats[boat].derived.panels.value;
  const cuts = pages.map((page) => page.paths.filter(({ layer }) => layer === 'cut').map(({ points }) => points));
  it('has every part once, inside its page, clear of the others', () => {
    expect(unplaced).toEqual([]);
    expect(cuts.flat()).toHaveLength(parts.length);
    const { width, height } = pageOnItsSide(paper);
    for (const outlines of cuts) {
      for (const [x, y] of outlines.flat())
        expect(x > 9.9 && x < width - 9.9 && y > 9.9 && y < height - 9.9).toBe(true);
      outlines.forEach((a, i) =>
        outlines.slice(i + 1).forEach((b) => expect(solidDistance(a, b)).toBeGreaterThan(2.9)),
      );
      for (const outline of outlines) expect(crossesItself(outline)).toBe(false);
    }
  });
  it('has the area of the boat’s own parts, but for strips to glue pieces by', () => {
    const skin = panels.reduce((sum, panel) => sum + panel.spaceAreaM2 * (panel.spansCentreline ? 1 : 2), 0);
    const wanted = ((skin + transoms.reduce((sum, transom) => sum + transom.areaM2, 0)) * 1e6) / scale ** 2;
    const bulkheads = parts.filter(({ id }) => id.startsWith('frame')).map(({ outline }) => outline);
    const strips = parts.filter(({ name }) => /piece/.test(name)).length * 7 * 150; // no strip is larger
    const found = total(cuts.flat()) - total(bulkheads);
    expect(found).toBeGreaterThan(wanted * 0.999);
    expect(found).toBeLessThan(wanted * 1.002 + strips);
  });
});

describe('tabs', () => {
  const [plain, tabbed] = (['tape', 'tabs'] as const).map((edges) =>
    model('tamsel', { scale: 20, paper: 'A4', edges }),
  );
  const part = (all: typeof plain, id: string) => all?.parts.find((other) => other.id === id)?.outline ?? [];
  it('stand on one of two edges that meet: the bottom’s upper edge, and the starboard bottom’s keel', () => {
    for (const id of ['keel-chine', 'keel-chine.port']) {
      expect(area(part(tabbed, id))).toBeGreaterThan(area(part(plain, id)) + 100);
      // they lie outside: the part itself is whole
      const kept = total(intersectionOf([part(tabbed, id)], [part(plain, id)]));
      expect(kept / area(part(plain, id))).toBeGreaterThan(0.999);
    }
    expect(area(part(tabbed, 'keel-chine'))).toBeGreaterThan(area(part(tabbed, 'keel-chine.port')) + 100);
    expect(area(part(tabbed, 'chine-sheer'))).toBeCloseTo(area(part(plain, 'chine-sheer')), 6);
  });
  it('stand on both edges of a bottom across the centreline', () => {
    const [bare, tabs] = (['tape', 'tabs'] as const).map((edges) =>
      part(model('orrin', { scale: 20, paper: 'A4', edges }), 'chine-chine'),
    );
    const reach = (of: (v: number[]) => number) =>
      of((tabs ?? []).map(([, v]) => v)) - of((bare ?? []).map(([, v]) => v));
    expect(reach((vs) => Math.max(...vs) - Math.min(...vs))).toBeGreaterThan(8);
  });
  it('stand round the transom and the bulkheads, but not along their tops', () => {
    for (const id of ['transom', 'frame.1', 'frame.2', 'frame.3']) {
      const [bare, tabs] = [part(plain, id), part(tabbed, id)];
      expect(crossesItself(tabs)).toBe(false);
      expect(area(tabs)).toBeGreaterThan(area(bare) + 20);
      expect(total(intersectionOf([tabs], [bare])) / area(bare)).toBeGreaterThan(0.999);
      const top = (outline: Outline) => Math.max(...outline.map(([, z]) => z));
      expect(top(tabs)).toBeLessThan(top(bare) + 1); // a tab at the side may lean up by a hair
    }
  });
});

describe('the pages as a file', () => {
  const { pages } = model('orrin', { scale: 10, paper: 'A4', edges: 'tabs' });
  const read = readPdf(writePages('model', pages, pageOnItsSide('A4')));
  it('are true to size, with a bar of 50 mm on each', () => {
    expect(read).toHaveLength(pages.length);
    read.forEach((page, i) => {
      expect(page.widthMm).toBeCloseTo(297, 1);
      expect(page.heightMm).toBeCloseTo(210, 1);
      expect(page.paths).toHaveLength(pages[i]!.paths.length);
      expect(polylineLength(page.paths[page.paths.length - 1]!)).toBeCloseTo(50, 2);
      page.paths.forEach((path, k) => {
        const drawn = pages[i]!.paths[k]!.points;
        drawn.forEach((p, n) => expect(distance2(path[n]!, p)).toBeLessThan(0.02));
      });
    });
  });
});

describe('a scale outside the range', () => {
  it.each([4, 21, NaN])('1:%f is refused, with the range', (scale) => {
    expect(() => model('orrin', { scale, paper: 'A4', edges: 'tabs' })).toThrow(/expected 1:5 to 1:20/);
  });
});
