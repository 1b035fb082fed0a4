import type { Json, Migration } from './migration';

/**
 * Sawn frames and moulds got their stock: till then each was one piece of timber. Girders and screws, of which there
 * were none; corners of notches, which were square.
 */
export const from7To8: Migration = (before) => ({
  ...before,
  version: 8,
  frames: {
    ...(before['frames'] as Json | undefined),
    girders: [],
    relief: 0,
    screws: { spacing: 0, ends: 25 },
    sawn: stock(70, { thickness: 9, leg: 150, faces: 2 }),
    moulds: stock(100, { thickness: 18, leg: 150, faces: 1 }),
  },
});

const stock = (breadth: number, plate: Json): Json => ({
  corner: 'mitred',
  floor: breadth,
  side: breadth,
  plate,
  spall: { height: null, breadth },
});
