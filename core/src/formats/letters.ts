/**
 * The letters of a PDF that carries no fonts of its own: which there are, and how wide words are in them.
 *
 * Widths are those of Helvetica, in thousandths of the letters' height (Adobe's font metrics, 1990); letters beyond
 * plain ones are taken as the widest of their kind, so that a width is never too small by more than a hair.
 */

/** From the space on to the tilde. */
const WIDTHS =
  '278 278 355 556 556 889 667 191 333 333 389 584 278 333 278 278 ' +
  '556 556 556 556 556 556 556 556 556 556 278 278 584 584 584 556 1015 ' +
  '667 667 722 722 667 611 778 722 278 500 667 556 833 722 778 667 778 722 667 611 722 667 944 667 667 611 ' +
  '278 278 278 469 556 333 556 556 500 556 556 278 556 556 222 222 500 222 833 556 556 556 556 333 500 278 556 ' +
  '500 722 500 500 500 334 260 334 584';
const PLAIN = WIDTHS.split(' ').map(Number);
const CAPITAL = 1000;
const SMALL = 611;

const widthOf = (letter: string): number =>
  PLAIN[(letter.codePointAt(0) ?? 0) - 32] ?? (/[À-ÞÆ¼½¾]/.test(letter) ? CAPITAL : SMALL);

/** What can be printed of a text: Latin 1; a minus is a hyphen, a curled quote straight, an eighth written out. */
export const latin = (text: string): string =>
  text
    .replace(/[−–—]/g, '-')
    .replace(/[‘’]/g, "'")
    .replace(/[“”]/g, '"')
    .replace(/…/g, '...')
    .replace(/[⅛⅜⅝⅞]/g, (sign) => `${1 + 2 * '⅛⅜⅝⅞'.indexOf(sign)}/8`)
    .replace(/[^ -~¡-ÿ]/g, '?');

/** How wide a text is on paper, mm, in letters of this height. */
export const textWidth = (text: string, heightMm: number): number =>
  ([...latin(text)].reduce((sum, letter) => sum + widthOf(letter), 0) / 1000) * heightMm;

/** Cut short with dots, where it would run out of its place. */
export function shortened(text: string, mostMm: number, heightMm: number): string {
  if (textWidth(text, heightMm) <= mostMm) return text;
  const letters = [...text];
  while (letters.length > 1 && textWidth(`${letters.join('')}...`, heightMm) > mostMm) letters.pop();
  return `${letters.join('').trimEnd()}...`;
}

/** In lines no longer than so many mm, broken between words, and within one that is longer than a line. */
export function wrapped(text: string, mostMm: number, heightMm: number): string[] {
  const lines: string[] = [];
  const words = text.split(/\s+/).filter((word) => word !== '');
  for (const word of words.flatMap((long) => broken(long, mostMm, heightMm))) {
    const last = lines[lines.length - 1];
    const longer = last === undefined ? word : `${last} ${word}`;
    if (last === undefined || textWidth(longer, heightMm) > mostMm) lines.push(word);
    else lines[lines.length - 1] = longer;
  }
  return lines;
}

function broken(word: string, mostMm: number, heightMm: number): string[] {
  const parts = [''];
  for (const letter of word) {
    const longer = `${parts[parts.length - 1] ?? ''}${letter}`;
    if (longer.length > 1 && textWidth(longer, heightMm) > mostMm) parts.push(letter);
    else parts[parts.length - 1] = longer;
  }
  return parts;
}
