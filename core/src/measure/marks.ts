/**
 * What the marks within figures stand for: a point or a comma sets off decimals, or thousands.
 *
 * `1111.25` and `0,5` can be read one way only; so can `1,234.5` and `1 234 567`. `1.900` and `1,800` millimetres can
 * be read two ways: then the other figures of the same table decide, and where they do not, nobody does. In units of
 * which a table has fractions (inches, metres) three figures after a mark are decimals.
 */

export type Mark = 'decimal' | 'thousands' | 'unknown';
/** What each mark is known to stand for, from the figures around. */
export type Marks = Readonly<Record<'.' | ',', Mark>>;

/** A figure by itself. */
export const NO_MARKS: Marks = { '.': 'unknown', ',': 'unknown' };

/** Decimals that can be nothing else: not three of them, or after four digits and more, or after a nought. */
const DECIMALS = {
  '.': /^(?:\d+\.(?:\d{1,2}|\d{4,})|\d{4,}\.\d{3}|0*\.\d+)$/,
  ',': /^(?:\d+,(?:\d{1,2}|\d{4,})|\d{4,},\d{3}|0*,\d+)$/,
} as const;
/** Thousands that can be nothing else: two groups of three, or one and then the other mark. */
const THOUSANDS = {
  '.': /^\d{1,3}(?:(?:\.\d{3}){2,}|\.\d{3}(?:,\d+))$/,
  ',': /^\d{1,3}(?:(?:,\d{3}){2,}|,\d{3}(?:\.\d+))$/,
} as const;
const TWO_WAYS = /^[1-9]\d{0,2}([.,])\d{3}$/;
/** Groups of three set off by spaces, thin ones too. */
const SPACED = /^\d{1,3}(?: \d{3})+(?:[.,]\d+)?$/;

/** What the marks stand for in the figures of a table; one that is used both ways is not known. */
export function marksIn(texts: readonly string[]): Marks {
  const figures = texts.map((text) => text.trim().replace(/^[-−+]\s*/, ''));
  const uses = (mark: '.' | ',') => {
    const other = mark === '.' ? ',' : '.';
    const isDecimal = (text: string) =>
      DECIMALS[mark].test(text) || (THOUSANDS[other].test(text) && text.includes(mark));
    return { decimals: figures.some(isDecimal), thousands: figures.some((text) => THOUSANDS[mark].test(text)) };
  };
  const [point, comma] = [uses('.'), uses(',')];
  return { '.': markOf(point, comma), ',': markOf(comma, point) };
}

type Uses = { readonly decimals: boolean; readonly thousands: boolean };

function markOf(own: Uses, other: Uses): Mark {
  if (own.decimals && own.thousands) return 'unknown';
  if (own.decimals) return 'decimal';
  // only one of the two can set off decimals
  return own.thousands || (other.decimals && !other.thousands) ? 'thousands' : 'unknown';
}

export type PlainFigure =
  | { readonly kind: 'figure'; readonly text: string }
  | { readonly kind: 'two-ways'; readonly readings: readonly [string, string] }
  | { readonly kind: 'other' };

/** A run of digits and marks as a number with a point. `isFine`: a unit in which three decimals are usual. */
export function plainFigure(text: string, isFine: boolean, marks: Marks): PlainFigure {
  const figure = (plain: string): PlainFigure => ({ kind: 'figure', text: plain });
  if (SPACED.test(text)) return figure(text.replace(/ /g, '').replace(',', '.'));
  if (!/^[\d.,]+$/.test(text)) return { kind: 'other' };
  for (const mark of ['.', ','] as const)
    if (THOUSANDS[mark].test(text)) return figure(text.replaceAll(mark, '').replace(',', '.'));
  const mark = TWO_WAYS.exec(text)?.[1] as '.' | ',' | undefined; // the group has one of the two
  if (mark === undefined || isFine || marks[mark] === 'decimal') return figure(text.replace(',', '.'));
  if (marks[mark] === 'thousands') return figure(text.replace(mark, ''));
  return { kind: 'two-ways', readings: [String(Number(text.replace(mark, '.'))), text.replace(mark, '')] };
}
