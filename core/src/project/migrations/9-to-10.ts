import { eachOf, type Json, type Migration } from './migration';

/** Openings got a lip and a lid within, parts that go on another holes for pins. There was none of these. */
export const from9To10: Migration = (before) => {
  const part = before['frames'] as Json | undefined;
  return {
    ...before,
    version: 10,
    frames: {
      ...part,
      frames: eachOf(part?.['frames'], withLips),
      girders: eachOf(part?.['girders'], withLips),
      pins: 0,
    },
  };
};

const withLips = (part: Json): Json => ({
  ...part,
  openings: eachOf(part['openings'], (opening) => ({ ...opening, lip: 0, room: 0 })),
});
