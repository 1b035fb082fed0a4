import type { Json, Migration } from './migration';

/** Cabin sides, coamings, decks between two lines, and blocks of timber came: an older boat has none. */
export const from17To18: Migration = (before) => ({
  ...before,
  version: 18,
  fitout: { ...(before['fitout'] as Json | undefined), walls: [], blocks: [] },
});
