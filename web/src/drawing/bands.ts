/** The bands in which a field is drawn: shares of what the sheet takes, pale to dark, the last over the limit. */
import { lerp2, type Vec2 } from '@kalotrope/core/geometry';
import type { Field, Panel } from '@kalotrope/core/panels';

export type Band = { readonly upTo: number; readonly colour: string; readonly name: string };

/** From the tone of plywood through teal, dark where it is near what the sheet takes; over that the stop colour. */
export const BANDS: readonly Band[] = [
  { upTo: 0.1, colour: '#F0E6CB', name: 'under a tenth' },
  { upTo: 0.25, colour: '#DDE1C6', name: 'to a quarter' },
  { upTo: 0.4, colour: '#BFD3C0', name: '' },
  { upTo: 0.55, colour: '#9BC0B6', name: 'to half' },
  { upTo: 0.7, colour: '#74A9A8', name: '' },
  { upTo: 0.85, colour: '#4D8E94', name: '' },
  { upTo: 1, colour: '#2A707B', name: 'to all that it takes' },
  { upTo: Infinity, colour: '#A3203A', name: 'more than it takes' },
];

export const bandOf = (share: number): number => BANDS.findIndex(({ upTo }) => share <= upTo);

/** Where the field is greatest on the flat, and the figure there: a radius in mm, or a fraction. Null where there is none. */
export function worstPlace(panel: Panel, field: Field): { readonly at: Vec2; readonly value: number } | null {
  const extreme = field === 'bend' ? panel.minBendRadius : panel.maxStrain;
  const ruling = extreme && panel.rulings[extreme.rulingIndex];
  if (!extreme || !ruling || (field === 'stretch' && extreme.value < WORTH_SAYING)) return null;
  const [a, b] = ruling.endRadii ?? [1, 1];
  const w = field === 'stretch' || Math.abs(a - b) < 0.05 * Math.max(a, b) ? 0.5 : a < b ? 0.15 : 0.85;
  return { at: lerp2(ruling.flatP, ruling.flatQ, w), value: extreme.value };
}

/** A hundredth of a percent. */
const WORTH_SAYING = 1e-4;
