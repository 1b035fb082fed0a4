/** Everything that leaves on paper, read back from its PDF and held against what paper is to be. */
import fc from 'fast-check';
import { jsPDF } from 'jspdf';
import { describe, expect, it } from 'vitest';
import type { Vec2 } from '../geometry';
import { latin, textWidth, wrapped } from '../formats/letters';
import { PAPERS, type Paper } from '../formats/paper';
import { readPdf, type ReadPage } from '../formats/writers/fixtures/read-pdf';
import { writePdf, writeTiles } from '../formats/writers';
import { planTiles } from '../formats';
import { unitLabel } from '../measure';
import { createDerive, DEMO_IDS, demoProject, demoRecords, searchAll } from '../project';
import { outgoingDrawings, outgoingSheets, pdfHead, writeSheets } from './export-files';
import { HAIR_MM, nothingOver, widths, within } from './fixtures/on-paper';

const derive = createDerive();
const DATE = '2026-01-31';
describe.each(DEMO_IDS.map((id) => [id] as const))('the paper of %s', (id) => {
  const project = demoProject(id, 'x');
  const derived = derive(project);
  const work = {
    project,
    derived,
    found: { ...searchAll(project, derived, 2), log: demoRecords('orrin', DATE) },
    printing: { date: DATE },
  };
  const sheets = outgoingSheets(work);
  const drawings = outgoingDrawings(work);

  it('has no sign that paper does not know', () => {
    const asked = (text: string) => text.split('?').length;
    for (const { item } of sheets)
      for (const { texts } of item.pages)
        for (const { text } of texts) expect(asked(latin(text)), text).toBe(asked(text));
  });
  it('has sheets of every stage', () => {
    expect([...new Set(sheets.map(({ stage }) => stage))]).toEqual([
      'lines',
      'panels',
      'frames',
      'setup',
      ...(project.fitout.parts.length > 0 ? ['fitout'] : []),
      'joints',
      'sheets',
      // the demo of slips has no long pieces
      ...(derived.timber.value.runs.length > 0 ? ['timber'] : []),
      'epoxy',
      'weights',
      'plan',
      // what was done on another boat does here as well
      'log',
    ]);
  });
  it.each(sheets.map(({ file, item }) => [file, item] as const))('%s is a draughtsman’s sheet', (file, item) => {
    const pages = readPdf(writeSheets(item));
    pages.forEach((page, i) => {
      const words = page.texts.map(({ text }) => text);
      for (const said of [project.name, DATE, 'rev 1', `sheet ${i + 1} of ${pages.length}`])
        expect(words).toContain(latin(said));
      expect(words.join('\n')).toContain(latin(`figures in ${unitLabel(project.notation)}`));
      for (const { heightMm } of page.texts) expect(heightMm).toBeGreaterThan(3);
      within(page, 12, file);
      nothingOver(page.texts, file);
      widths(page, [0.7, 0.5, 0.35, 0.18]);
      expect(page.inks.every((ink) => /^[0. ]+$/.test(ink))).toBe(true);
      for (const [x, y] of page.paths.flat())
        expect(Math.min(x, y, page.widthMm - x, page.heightMm - y)).toBeGreaterThan(12 - HAIR_MM);
    });
  });
  it.each(drawings.map(({ file, item }) => [file, item] as const))('%s at full size says what it is', (file, item) => {
    const [page] = readPdf(writePdf(item, pdfHead(work))) as [ReadPage];
    const words = page.texts.map(({ text }) => text).join(' ');
    for (const said of [
      `${project.name}, rev 1`,
      item.title ?? item.name,
      item.hand ?? '',
      DATE,
      'sheet 1 of 1',
      'full size',
    ])
      for (const part of wrapped(said, 400, 12))
        expect(words).toContain(latin(part).replace(/[()\\]/g, (sign) => sign));
    for (const { heightMm, text } of page.texts) expect(heightMm, text).toBeGreaterThan(12 - HAIR_MM);
    within(page, 5, file);
    nothingOver(page.texts, file);
    widths(page, [0.7, 0.35, 0.18]);
    expect(page.inks.every((ink) => /^[0. ]+$/.test(ink))).toBe(true);
  });
});

/** Points of a path not more than a few mm apart. */
const everyFew = (points: readonly Vec2[]): Vec2[] =>
  points.slice(1).flatMap((b, i) => {
    const a = points[i]!; // one before b
    const count = Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / 3);
    return Array.from({ length: count }, (_, k): Vec2 => [
      a[0] + (k / count) * (b[0] - a[0]),
      a[1] + (k / count) * (b[1] - a[1]),
    ]);
  });

describe('a panel on pages to join', () => {
  const project = demoProject('tamsel', 'x');
  const work = { project, derived: derive(project), found: {}, printing: { date: DATE } };
  const { item: drawing } = outgoingDrawings(work).find(({ item }) => item.name === 'keel-chine')!;
  const papers = Object.keys(PAPERS) as Paper[]; // its own keys

  it.each(papers)(
    'on %s says on each page whose it is, cuts no word off, and has as many pages as foretold',
    (paper) => {
      for (const isEdgesOnly of [false, true]) {
        const layout = { paper, isEdgesOnly };
        const plan = planTiles(drawing, layout);
        const pages = readPdf(writeTiles(drawing, layout, pdfHead(work)));
        expect(pages).toHaveLength(plan.tiles.length + 1);
        pages.forEach((page, i) => {
          const words = page.texts.map(({ text }) => text);
          expect(words.join(' ')).toContain('Tamsel 430, rev 1: Bottom, 1 port, 1 starboard; drawn: starboard inside');
          if (i > 0) expect(words.join(' ')).toContain(`page ${i} of ${plan.tiles.length}`);
          within(page, 7.5, `${paper} ${i}`);
          nothingOver(page.texts, `${paper} ${i}`);
        });
      }
    },
  );
  it('has on A4 fewer pages for the edges alone, every place of the edge on one, and none that is empty', () => {
    const whole = planTiles(drawing, { paper: 'A4', isEdgesOnly: false });
    const edges = planTiles(drawing, { paper: 'A4', isEdgesOnly: true });
    expect(edges.tiles.length).toBeLessThan(0.8 * whole.tiles.length);
    const cut = drawing.paths
      .filter(({ layer }) => layer === 'cut')
      .flatMap(({ points }) => everyFew([...points, points[0]!]));
    for (const plan of [whole, edges]) {
      const isOn = (tile: (typeof plan.tiles)[number], [x, y]: readonly [number, number]) =>
        x >= tile.x && x <= tile.x + plan.frame.width && y >= tile.y && y <= tile.y + plan.frame.height;
      for (const p of cut) expect(plan.tiles.some((tile) => isOn(tile, p))).toBe(true);
    }
    for (const tile of edges.tiles)
      expect(
        cut.some(
          ([x, y]) => x >= tile.x && x <= tile.x + edges.frame.width && y >= tile.y && y <= tile.y + edges.frame.height,
        ),
      ).toBe(true);
  });
});

describe('the widths of letters', () => {
  const doc = new jsPDF({ unit: 'mm', format: [100, 100], orientation: 'portrait' });
  doc.setFont('helvetica', 'normal');
  it.each(['Bulkhead 2, FORE face', '0.0 out, 58.3 up', '1\' 5 1/8" (of W@x%)', '- + = ~ {}|[]'])(
    'of %s are those that are printed',
    (text) => {
      // the writer brings some pairs of letters nearer together
      const printed = doc.getStringUnitWidth(text) * 10;
      expect(textWidth(text, 10)).toBeGreaterThanOrEqual(printed - 1e-9);
      expect(textWidth(text, 10)).toBeLessThan(1.01 * printed);
    },
  );
  it('are never too small for letters beyond plain ones', () => {
    for (const text of ['Bótur', 'ÆØÅ', '½ ¾', 'ß²°'])
      expect(textWidth(text, 10)).toBeGreaterThanOrEqual(doc.getStringUnitWidth(text) * 10 - 1e-9);
  });
  it('are those that paper has: curled quotes straight, dots for three of them, no mark of what is not known', () => {
    expect(latin('the builder’s “own” hours … − 3 ⅜')).toBe('the builder\'s "own" hours ... - 3 3/8');
  });
  it('break lines without a letter lost (seed 3)', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), fc.integer({ min: 8, max: 80 }), (text, mostMm) => {
        const lines = wrapped(text, mostMm, 3);
        expect(lines.every((line) => line !== '' && textWidth(line, 3) <= mostMm)).toBe(true);
        expect(lines.join('').replace(/\s/g, '')).toBe(text.replace(/\s/g, ''));
      }),
      { seed: 3, numRuns: 300 },
    );
  });
  it('let long words break and short ones stand', () => {
    expect(wrapped('a bb ccc', 1e4, 3)).toEqual(['a bb ccc']);
    for (const line of wrapped('Donaudampfschiffahrtsgesellschaft und mehr', 20, 3))
      expect(textWidth(line, 3)).toBeLessThanOrEqual(20);
  });
});
