/**
 * How a field is drawn: its share of what the sheet takes in close bands, pale to dark without a step, the last over
 * the limit.
 */
import type { Field, Panel } from '@kalotrope/core/panels';
import type { LaidRuling } from '@kalotrope/core/surface';

/** From the tone of plywood through teal, dark where it is near what the sheet takes: shares and their colours. */
export const RAMP: readonly (readonly [share: number, colour: string])[] = [
  [0, '#F4EBD3'],
  [0.25, '#D3DCC5'],
  [0.5, '#9BC0B6'],
  [0.75, '#5B999C'],
  [1, '#1F6570'],
];
/** Beyond the limit: the stop colour, hatched too on the flat. */
export const OVER = '#A3203A';

const STEPS = 20;
/** Where one band ends and the next begins. */
export const LIMITS: readonly number[] = Array.from({ length: STEPS }, (_, i) => (i + 1) / STEPS);

/** The colour of the place in the middle of band `i`. */
export const bandColour = (i: number): string => colourOf((i + 0.5) / STEPS);

export function colourOf(share: number): string {
  if (share > 1) return OVER;
  const next = RAMP.findIndex(([upTo]) => share <= upTo);
  const [a, b] = [RAMP[Math.max(0, next - 1)]!, RAMP[next]!]; // the ramp ends at 1
  return next === 0 ? b[1] : mix(a[1], b[1], (share - a[0]) / (b[0] - a[0])).toUpperCase();
}

const mix = (from: string, to: string, w: number): string =>
  `#${[1, 3, 5]
    .map((i) => [from, to].map((colour) => parseInt(colour.slice(i, i + 2), 16)))
    .map(([a = 0, b = 0]) =>
      Math.round(a + w * (b - a))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/**
 * Where the field is greatest: a place across a ruling, and the figure there: a radius in mm, degrees, or a fraction.
 */
export type Worst = { readonly ruling: LaidRuling; readonly w: number; readonly value: number };

/** Null where there is none worth a word. */
export function worstPlace(panel: Panel, field: Field): Worst | null {
  const extreme = { bend: panel.minBendRadius, twist: panel.maxTwist, stretch: panel.maxStrain }[field];
  const ruling = extreme && panel.rulings[extreme.rulingIndex];
  if (!extreme || !ruling || (field !== 'bend' && extreme.value < WORTH_SAYING[field])) return null;
  const [a, b] = ruling.endRadii ?? [1, 1];
  const w = field !== 'bend' || Math.abs(a - b) < 0.05 * Math.max(a, b) ? 0.5 : a < b ? 0.15 : 0.85;
  return { ruling, w, value: extreme.value };
}

/** Degrees, and a hundredth of a percent. */
const WORTH_SAYING = { twist: 0.05, stretch: 1e-4 } as const;
