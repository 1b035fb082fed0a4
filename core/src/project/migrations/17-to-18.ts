import type { Json, Migration } from './migration';

/** Cabin sides, coamings and decks between two lines came: an older boat has none. */
export const from17To18: Migration = (before) => ({
  ...before,
  version: 18,
  fitout: { ...(before['fitout'] as Json | undefined), walls: [] },
});
