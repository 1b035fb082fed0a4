/** The book of every demo, read back from its PDF. */
import { describe, expect, it } from 'vitest';
import { latin } from '../../formats/letters';
import { readPdf, type ReadPage } from '../../formats/writers/fixtures/read-pdf';
import { formatFine } from '../../measure';
import { markingOf } from '../../panels';
import { createDerive, DEMO_IDS, demoProject, demoRecords, newProject, searchAll } from '../../project';
import { outgoingSheets, writeSheets } from '../export-files';
import { nothingOver, widths, within } from '../fixtures/on-paper';
import { bookOf, writeBook } from './book';

const derive = createDerive();
const DATE = '2026-01-31';
/** Of one line of a table. */
const LEVEL_MM = 0.1;

const wordsOf = ({ texts }: ReadPage) => texts.map(({ text }) => text);

/** Whether words stand on one level of a page, in this order from the left. */
function standsInARow({ texts }: ReadPage, words: readonly string[]): boolean {
  return texts.some((first) => {
    if (first.text !== words[0]) return false;
    const level = texts
      .filter(({ at }) => Math.abs(at[1] - first.at[1]) < LEVEL_MM && at[0] >= first.at[0])
      .sort((a, b) => a.at[0] - b.at[0]);
    return words.every((word, i) => level[i]?.text === word);
  });
}

describe.each(DEMO_IDS.map((id) => [id] as const))('the book of %s', (id) => {
  const project = demoProject(id, 'x');
  const derived = derive(project);
  const found = { ...searchAll(project, derived, 1), log: demoRecords('orrin', DATE) };
  const work = { project, derived, found, printing: { date: DATE } };
  const book = bookOf(work);
  const file = writeBook(book);
  const pages = readPdf(file);

  it('has all sheets of all stages, in their order, each page with its number', () => {
    // labels are stuck on parts, and not in a binder
    const bound = outgoingSheets(work).filter(({ item }) => item.name !== 'labels');
    const sheets = bound.flatMap(({ item }) => readPdf(writeSheets(item)));
    pages.forEach((page, i) => expect(wordsOf(page)).toContain(`page ${i + 1} of ${pages.length}`));
    const last = pages.slice(-sheets.length);
    last.forEach((page, i) => {
      expect(wordsOf(page).slice(0, -1)).toEqual(wordsOf(sheets[i]!));
      expect(page.paths).toEqual(sheets[i]!.paths);
    });
    expect(pages.length - sheets.length).toBeLessThan(6);
  });

  it('has no page without contents, no words cut off or over one another', () => {
    pages.forEach((page, i) => {
      const name = `page ${i + 1}`;
      within(page, 12, name);
      nothingOver(page.texts, name);
      widths(page, [0.7, 0.5, 0.35, 0.18]);
      const inside = page.texts.filter(({ at }) => at[1] > 12 + 15);
      expect(inside.length, name).toBeGreaterThan(0);
      for (const { text } of page.texts) expect(text.endsWith('...'), `${name}: ${text}`).toBe(false);
    });
  });

  it('has every figure of the marking tables, row by row', () => {
    for (const panel of derived.panels.value.panels) {
      const own = pages.filter((page) => wordsOf(page).some((text) => text.startsWith(latin(`${panel.name}, `))));
      const { rows } = markingOf(panel, project.panels);
      expect(rows.length).toBeGreaterThan(2);
      for (const { u, lower, upper } of rows) {
        const words = [u, lower, upper].map((mm) => latin(formatFine(mm, project.notation)));
        expect(
          own.some((page) => standsInARow(page, words)),
          `${panel.name}: ${words.join(' ')}`,
        ).toBe(true);
      }
    }
  });

  it('leads from its contents, and from the reader’s list, to the page that says so', () => {
    expect(book.marks.links.length).toBeGreaterThan(8);
    const chapters = book.marks.titles.filter(({ level }) => level === 0);
    expect(chapters.map(({ title }) => title).slice(0, 3)).toEqual(['Contents', 'Before you begin', 'Lines']);
    for (const { title, page, level } of book.marks.titles) {
      expect(page).toBeGreaterThan(1);
      const [first] = pages.slice(page - 1);
      const isSaid = wordsOf(first!).some((text) => text === latin(title) || text.startsWith(latin(`${title}, `)));
      if (level === 1) expect(isSaid, `${title} on ${page}`).toBe(true);
    }
    for (const { page, box, to } of book.marks.links) {
      const inBox = pages[page - 1]!.texts.filter(
        ({ at: [x, y] }) => x >= box.minX && x <= box.maxX && y > box.minY && y < box.maxY,
      );
      expect(inBox.map(({ text }) => text)).toContain(String(to));
    }
    expect([...new TextDecoder('latin1').decode(file).matchAll(/\/Subtype\s*\/Link/g)]).toHaveLength(
      book.marks.links.length,
    );
  });

  it('is the same file every time', () => expect(writeBook(bookOf(work))).toEqual(file));
});

it('a boat without a table has a book too, of what there is', () => {
  const project = newProject({ id: 'x', name: 'Nothing yet', notation: 'mm' });
  const derived = derive(project);
  const pages = readPdf(writeBook(bookOf({ project, derived, found: {} })));
  expect(pages.length).toBeGreaterThan(2);
  expect(wordsOf(pages[0]!)).toContain('page 1 of ' + String(pages.length));
});
