/** Small words of the interface. */

/** `1 frame`, `3 frames`, `2 halves`. */
export const plural = (count: number, word: string): string =>
  `${count} ${count === 1 ? word : /f$/.test(word) && word !== 'scarf' ? `${word.slice(0, -1)}ves` : `${word}s`}`;
