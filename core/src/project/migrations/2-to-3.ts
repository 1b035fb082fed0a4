import type { Json, Migration } from './migration';

/** The lines got a datum for heights, a tolerance for fairing, and the drawing they were taken from. */
export const from2To3: Migration = (before) => ({
  ...before,
  version: 3,
  lines: {
    ...(before['lines'] as Json | undefined),
    heightsFrom: null,
    fairingTolerance: 3,
    drawing: { scale: 10, pencil: 0.5 },
    underlays: [],
  },
});
