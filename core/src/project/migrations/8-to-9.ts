import { eachOf, type Json, type Migration } from './migration';

/**
 * Frames got slots by hand and cleats, openings a doubler and a lid; one rule may say which face stands on the line; a
 * bottom may be planked athwart; a part may be cut to a shape taken off a hull. There was none of these.
 */
export const from8To9: Migration = (before) => {
  const part = before['frames'] as Json | undefined;
  return {
    ...before,
    version: 9,
    frames: {
      ...part,
      frames: eachOf(part?.['frames'], (frame) => ({ ...withRims(frame), shape: '', slots: [], cleats: [] })),
      girders: eachOf(part?.['girders'], withRims),
      taken: [],
      standing: 'each',
      planked: { panel: '', board: 1220, from: 'aft', breadth: 45, depth: 20 },
    },
  };
};

const withRims = (part: Json): Json => ({
  ...part,
  openings: eachOf(part['openings'], (opening) => ({ ...opening, doubler: 0, lid: 0 })),
});
