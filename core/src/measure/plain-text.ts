/** Words that come from outside: one line of letters, without what no one typed on purpose. */

/**
 * Control characters, ends of lines and paragraphs, marks that turn the direction of writing: each run becomes a space.
 * Letters of any alphabet stay.
 */
export const plainText = (text: string): string =>
  text
    .replace(/[\p{Cc}\u2028\u2029\u200e\u200f\u202a-\u202e\u2066-\u2069\ufeff]+/gu, ' ')
    .replace(/ {2,}/g, ' ')
    .trim();
