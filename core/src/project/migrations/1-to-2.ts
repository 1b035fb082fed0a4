import type { Json, Migration } from './migration';

/** Edges were always filleted before; the choice became a setting, and frames got their gap. */
export const from1To2: Migration = (before) => ({
  ...before,
  version: 2,
  school: 'filleted',
  frames: { ...(before['frames'] as Json | undefined), filletGap: 1.5 },
});
