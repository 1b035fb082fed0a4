import type { Json, Migration } from './migration';

/** A revision; rounded chines, panels split along a line drawn on them, transoms bent athwart. */
export const from4To5: Migration = (before) => ({
  ...before,
  version: 5,
  revision: 1,
  panels: { ...(before['panels'] as Json | undefined), roundedChines: [], splits: [], transomRadius: null },
});
