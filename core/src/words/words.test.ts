import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { WORDS, wordsIn } from './glossary';
import { glossaryPages } from './guide';
import { PICTURES, type Picture } from './pictures';

const found = (sentence: string) => wordsIn(sentence).flatMap(({ text, word }) => (word ? [[text, word.id]] : []));

describe('words in a sentence', () => {
  it.each([
    ['Half-breadth inside the skin', ['half-breadth', 'skin']],
    ['Chine, station 3: 9 mm outside the fair line. One inch less would be fair.', ['chine', 'station', 'fair']],
    ['Bow transom: as large as the outside', ['transom']],
    ['The fairest skipper had unfair rulings', ['ruling']], // not within other words
    ['4 scarfs, staggered', ['scarf', 'stagger']],
    ['', []],
  ])('%j', (sentence, ids) => expect(found(sentence).map(([, id]) => id)).toEqual(ids));
  it('joined again are the sentence, whatever it is', () => {
    const bits = fc.constantFrom('Sheer', 'bow transom', ' ', ', ', '-', 'scarfs', 'é', 'x', '“keel”', '\n');
    fc.assert(
      fc.property(fc.array(bits, { maxLength: 12 }), (parts) => {
        const sentence = parts.join('');
        expect(
          wordsIn(sentence)
            .map(({ text }) => text)
            .join(''),
        ).toBe(sentence);
      }),
    );
  });
});

describe('the glossary', () => {
  it('has each word once, in order, with a meaning that is a sentence and does not lean on its own word alone', () => {
    expect(new Set(WORDS.map(({ id }) => id)).size).toBe(WORDS.length);
    const names = WORDS.map(({ word }) => word.toLowerCase());
    expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b, 'en')));
    for (const { meaning } of WORDS) {
      expect(meaning).toMatch(/^\p{Lu}.*\.$/u);
      expect(meaning.length).toBeLessThan(150);
    }
  });
  it('labels in the word’s picture what it is about, or says it in words alone where a drawing is shared', () => {
    const labelled = new Set(Object.values(PICTURES).flatMap(({ labels }) => labels.flatMap(({ of }) => of)));
    const known = new Set(WORDS.map(({ id }) => id));
    for (const id of labelled) expect(known.has(id), id).toBe(true);
    const without = WORDS.filter(({ id }) => !labelled.has(id)).map(({ id }) => id);
    expect(without).toEqual(['plan-view']);
  });
  it.each(Object.entries(PICTURES))(
    '%s lies within its frame, labels too, and no label on another',
    (_name, picture) => {
      const { width, height, paths, labels } = picture as Picture;
      const isIn = (x: number, y: number) => x >= 0 && x <= width && y >= 0 && y <= height;
      for (const [x, y] of paths.flatMap(({ points }) => points)) expect(isIn(x, y)).toBe(true);
      const boxes = labels.map(({ text, at: [x, y], align }) => {
        const wide = text.length * 7;
        const left = align === 'start' ? x : align === 'end' ? x - wide : x - wide / 2;
        return { text, left, right: left + wide, top: y - 11, bottom: y + 3 };
      });
      for (const box of boxes) expect(isIn(box.left, box.top) && isIn(box.right, box.bottom), box.text).toBe(true);
      boxes.forEach((a, i) => {
        for (const b of boxes.slice(i + 1))
          expect(
            a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top,
            `${a.text}, ${b.text}`,
          ).toBe(true);
      });
    },
  );
  it('gives a page of the guide on which every drawing that is shown is there', () => {
    const pages = glossaryPages();
    const shown = [...(pages['glossary.md'] ?? '').matchAll(/\((words\/[a-z]+\.svg)\)/g)].map(([, name]) => name!);
    expect(new Set(shown)).toEqual(new Set(Object.keys(pages).filter((name) => name.endsWith('.svg'))));
  });
});
