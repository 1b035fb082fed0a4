import type { Json, Migration } from './migration';

/**
 * Frames got a kind, a rake, bounds, a top, openings and limber holes: till then each was the whole upright section.
 * Members along the hull, of which there were none, and the least that is kept round what is cut.
 */
export const from6To7: Migration = (before) => {
  const part = before['frames'] as Json | undefined;
  const frames = part?.['frames'];
  return {
    ...before,
    version: 7,
    frames: {
      ...part,
      frames: Array.isArray(frames) ? frames.map(withUsual) : frames,
      keep: { opening: 60, hole: 12, corner: 25 },
      members: [],
      bevelStep: 300,
      datum: { kind: 'fore', of: '' },
    },
  };
};

const withUsual = (frame: unknown): unknown =>
  typeof frame !== 'object' || frame === null
    ? frame
    : {
        ...frame,
        kind: 'usual',
        rakeDeg: 0,
        lining: 0,
        school: null,
        edges: [],
        bounds: { hand: 'across', inner: 0, outer: null, bottom: null },
        top: { kind: 'straight', mm: 0, below: 0 },
        ring: { breadth: 70, floor: 70, beam: 0, corner: 40 },
        proud: { skin: 0, top: 0 },
        openings: [],
        limbers: [],
      };
