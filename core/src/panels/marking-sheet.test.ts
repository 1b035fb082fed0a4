import { describe, expect, it } from 'vitest';
import { outgoingSheets, writeSheets } from '../exchange';
import { cutAsSeen } from '../frames';
import { readPdf } from '../formats/writers/fixtures/read-pdf';
import { at, polylineLength, type Vec2 } from '../geometry';
import { formatFine } from '../measure';
import { createDerive, DEMO_IDS, demoProject, type Project } from '../project';
import { markingOf, markOut } from './reading/marking';

const derive = createDerive();
const workOf = (project: Project) => ({ project, derived: derive(project), found: {} });
const closed = (points: readonly Vec2[]): Vec2[] => [...points, at(points, 0)];

describe.each(DEMO_IDS.map((id) => [id] as const))('the marking-out sheets of %s', (id) => {
  const project = demoProject(id, 'x');
  const work = workOf(project);
  const all = outgoingSheets(work);
  const sheets = all.filter(({ item }) => item.name.startsWith('marking-'));
  const { panels, transoms } = work.derived.panels.value;

  it('are one a panel, each with the whole table on it, read back from the PDF', () => {
    expect(sheets).toHaveLength(panels.length);
    sheets.forEach(({ item }, i) => {
      const panel = at(panels, i);
      const pages = readPdf(writeSheets(item));
      const words = pages.flatMap((page) => page.words.split('\n'));
      const { rows, diagonals } = markingOf(panel, project.panels);
      const wanted = rows.flatMap((row) => [row.u, row.lower, row.upper].map((mm) => formatFine(mm, project.notation)));
      const left = [...words];
      for (const figure of wanted) {
        const place = left.indexOf(figure);
        expect(place, `${figure} of ${panel.name}`).toBeGreaterThanOrEqual(0);
        left.splice(place, 1);
      }
      expect(words).toContain('FORE');
      expect(words.join(' ')).toMatch(/on this paper/);
      expect(diagonals.every((mm) => mm > 0)).toBe(true);
      for (const [k, page] of pages.entries()) {
        expect(page.words).toContain(project.name);
        expect(page.words).toContain(`${panel.name},`);
        expect(page.words).toContain('rev 1');
        expect(page.words).toContain(`sheet ${k + 1} of ${pages.length}`);
      }
    });
  });
  const shapes = [
    ...panels.map(({ id: name, outline }) => ({ name: `marking-${name}`, outline })),
    ...transoms.map(({ id: name, outline }) => ({ name: `${name}-sheet`, outline })),
    ...work.derived.frames.value.frames.map((frame) => ({
      name: `${frame.id}-sheet`,
      outline: cutAsSeen(frame).outline,
    })),
  ];
  it.each(shapes.map(({ name, outline }) => [name, outline] as const))(
    'draw %s true to its scale within 0.1 mm',
    (name, shape) => {
      const found = all.filter(({ item }) => item.name === name);
      expect(found).toHaveLength(1);
      found.forEach(({ item }) => {
        const [first] = item.pages;
        const scale = /1:(\d+)|([\d /]+) in = 1 ft/.exec(first?.texts.map(({ text }) => text).join('\n') ?? '');
        const inches = (words: string) =>
          words
            .trim()
            .split(' ')
            .reduce((sum, part) => sum + fraction(part), 0);
        const over = scale?.[1] ? Number(scale[1]) : 12 / inches(scale?.[2] ?? '');
        const outline = first?.paths.find(({ layer }) => layer === 'cut')?.points ?? [];
        const drawn = polylineLength(closed(outline)) * over;
        expect(Math.abs(drawn - polylineLength(closed(shape))) / over).toBeLessThan(0.1);
      });
    },
  );
});

const fraction = (text: string) => {
  const [top, bottom] = text.split('/').map(Number);
  return (top ?? NaN) / (bottom ?? 1);
};

it('a long table goes on over further pages', () => {
  const project = demoProject('tamsel', 'x');
  const fine = { ...project, panels: { ...project.panels, markingStep: 25 } };
  const sheet = outgoingSheets(workOf(fine)).find(({ item }) => item.name === 'marking-keel-chine');
  expect(sheet?.item.pages.length).toBeGreaterThan(1);
  const rows = markOut(at(workOf(fine).derived.panels.value.panels, 0), 25, 'under').rows.length;
  const words = readPdf(writeSheets(sheet!.item)).map((page) => page.words.split('\n'));
  // every row's distance along stands once in the table
  const heads = words.flat().filter((word) => word === 'along').length;
  expect(heads).toBeGreaterThan(2);
  expect(words.flat().filter((word) => /^\d+\.\d$/.test(word)).length).toBeGreaterThanOrEqual(3 * rows);
});
