import type { Json, Migration } from './migration';

/**
 * How transoms stand to the panels, which they capped till then; up to which line the bottom is sheathed. Holes nearer
 * than 20 mm, which were allowed till then, are none.
 */
export const from5To6: Migration = (before) => ({
  ...before,
  version: 6,
  panels: { ...withHoles(before['panels'] as Json | undefined), transomFit: 'caps', transomEnds: 'inner' },
  epoxy: { ...(before['epoxy'] as Json | undefined), sheatheTo: null },
});

function withHoles(panels: Json | undefined): Json {
  const stitches = panels?.['stitches'] as Json | undefined;
  const spacing = stitches?.['spacing'];
  const isTooClose = typeof spacing === 'number' && spacing > 0 && spacing < 20;
  return { ...panels, ...(isTooClose ? { stitches: { ...stitches, spacing: 0 } } : {}) };
}
