import type { Json, Migration } from './migration';

/** Panels got a thickness that moves what is cut, stitches, a base line to mark out from and a waterline. */
export const from3To4: Migration = (before) => ({
  ...before,
  version: 4,
  panels: {
    ...(before['panels'] as Json | undefined),
    markingBase: 'under',
    linesTo: 'outside',
    meeting: 'stitched',
    stitches: { spacing: 150, inset: 9 },
    waterline: null,
  },
});
