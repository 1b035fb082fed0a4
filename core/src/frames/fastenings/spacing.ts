/**
 * Even spacing: of screws along an edge, of ribs, of holes.
 *
 * Method (methods: fastenings): for a run L with end distances e the number of gaps is the whole number nearest to
 * (L − 2e) over the wanted gap, one at least.
 */
export type Spacing = { readonly gaps: number; readonly spacing: number; readonly at: readonly number[] };

/** Of this many gaps and more a gap is too small to be meant. */
export const MOST_GAPS = 10_000;

/** Undefined where the end distances leave no run between them, or the wanted gap is none. Lengths mm. */
export function evenSpacing({
  run,
  ends,
  about,
}: {
  readonly run: number;
  readonly ends: number;
  readonly about: number;
}) {
  const between = run - 2 * ends;
  if (!(between > 0) || !(about > 0) || ends < 0 || between / about > MOST_GAPS) return undefined;
  const gaps = Math.max(1, Math.round(between / about));
  const spacing = between / gaps;
  return { gaps, spacing, at: Array.from({ length: gaps + 1 }, (_, i) => ends + i * spacing) } satisfies Spacing;
}
