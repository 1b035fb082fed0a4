import { formatLength, formatSmall, lostInRounding, type Notation } from '@kalotrope/core/measure';

/** A part lost in rounding is shown from here on. */
const WORTH_SHOWING_MM = 0.5;

/** A figure as the rule has it, with what the rounding lost where that is worth knowing. */
export function rounded(mm: number, notation: Notation): string {
  const lost = lostInRounding(mm, notation);
  const figure = formatLength(mm, notation);
  return Math.abs(lost) > WORTH_SHOWING_MM
    ? `${figure} (${lost > 0 ? '+' : '−'}${formatSmall(Math.abs(lost), notation)})`
    : figure;
}
