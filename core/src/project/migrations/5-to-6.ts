import type { Json, Migration } from './migration';

/** How transoms stand to the panels, which they capped till then; up to which line the bottom is sheathed. */
export const from5To6: Migration = (before) => ({
  ...before,
  version: 6,
  panels: { ...(before['panels'] as Json | undefined), transomFit: 'caps', transomEnds: 'inner' },
  epoxy: { ...(before['epoxy'] as Json | undefined), sheatheTo: null },
});
