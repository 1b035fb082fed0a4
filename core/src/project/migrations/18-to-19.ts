import { eachOf, type Json, type Migration } from './migration';

const PLAIN = { isTimber: false, hollow: { fore: 0, aft: 0, inner: 0 }, drain: 0, screws: 0, fittings: [] };
const LIMITS = { shopLong: 0, shopWide: 0, walk: 600, doorWide: 0, doorHigh: 0, trailerLong: 0, trailerWide: 0 };

/** Hollowed edges, drains, screws and fittings came, and who is in the boat: an older boat has none of them. */
export const from18To19: Migration = (before) => {
  const fitout = (before['fitout'] ?? {}) as Json;
  const parts = eachOf(fitout['parts'], (part) => ({ ...part, ...PLAIN }));
  return {
    ...before,
    version: 19,
    fitout: { ...fitout, parts, stems: [], people: [], limits: LIMITS, lengthsAt: null },
  };
};
