/** Tables on paper: nothing in a cell is lost, nothing runs out of its room, and no row is torn that need not be. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { LETTER_MM } from './sheet';
import { textWidth } from './letters';
import { tablePages } from './sheet-table';

const later = { minX: 16, maxX: 276, minY: 31, maxY: 194 };
const first = { ...later, maxX: 190, maxY: 120 };
const word = fc.stringMatching(/^[a-z]{1,9}$/);
const cell = fc.array(word, { maxLength: 60 }).map((words) => words.join(' '));
/** Of two lines of one row. */
const STEP_MM = 4.6;

it('keeps every word, within its room, row by row on one page (seed 5)', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, word, cell), { minLength: 1, maxLength: 40 }), (rows) => {
      const marked = rows.map(([a, b, c], i) => [`r${i} ${a}`.trim(), b, c]);
      const pages = tablePages(
        [{ columns: [{ head: 'one' }, { head: 'two', isFigure: true }, { head: 'three' }], rows: marked }],
        { first, later },
      );
      const said = pages
        .flatMap(({ texts }) => texts.map(({ text }) => text))
        .join(' ')
        .split(' ');
      const wanted = marked
        .flat()
        .join(' ')
        .split(/\s+/)
        .filter((one) => one !== '');
      for (const one of wanted) expect(said).toContain(one);
      // each row once
      rows.forEach((_, i) => expect(said.filter((one) => one === `r${i}`)).toHaveLength(1));
      pages.forEach(({ texts }, k) => {
        const room = k === 0 ? first : later;
        for (const {
          at: [x, y],
          text,
          align,
        } of texts) {
          const wide = textWidth(text, LETTER_MM);
          expect(align === 'right' ? x - wide : x).toBeGreaterThanOrEqual(room.minX - 1);
          expect(align === 'right' ? x : x + wide).toBeLessThanOrEqual(room.maxX + 1);
          expect(y).toBeGreaterThan(room.minY - STEP_MM);
          expect(y).toBeLessThan(room.maxY);
        }
      });
    }),
    { seed: 5, numRuns: 60 },
  );
});

it('a row for which a page has no room left begins the next one; one longer than a page is torn', () => {
  const long = (lines: number) => Array.from({ length: lines }, (_, i) => `${'w'.repeat(30)}${i}`).join(' ');
  const tables = [{ columns: [{ head: 'a' }], rows: [[long(12)], [long(12)], [long(12)]] }];
  const room = { minX: 0, maxX: 80, minY: 0, maxY: 20 * STEP_MM };
  const pages = tablePages(tables, { first: room, later: room });
  expect(pages).toHaveLength(3);
  for (const { texts } of pages) expect(texts).toHaveLength(13);
  const torn = tablePages([{ columns: [{ head: 'a' }], rows: [[long(50)]] }], { first: room, later: room });
  expect(torn.flatMap(({ texts }) => texts.filter(({ text }) => text !== 'a'))).toHaveLength(50);
});
