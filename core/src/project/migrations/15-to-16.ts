import type { Json, Migration } from './migration';

/**
 * Cloth got an edge to trim, and film over peel ply; bulkheads tabs; parts can be glassed flat; straps are screwed,
 * pieces cut once more. What an older boat counted stays: no edge to trim, no tabs, no screws in straps, no spares.
 */
export const from15To16: Migration = (before) => {
  const isImperial = before['notation'] !== 'mm' && before['notation'] !== 'm';
  const epoxy = before['epoxy'] as Json | undefined;
  return {
    ...before,
    version: 16,
    epoxy: {
      ...epoxy,
      glass: { ...(epoxy?.['glass'] as Json | undefined), trim: 0, film: false },
      tabs: { length: 0, apart: isImperial ? 10 * 25.4 : 250 },
      flat: [],
    },
    sheets: { ...(before['sheets'] as Json | undefined), spares: [] },
    joints: { ...(before['joints'] as Json | undefined), strapUse: 'none' },
  };
};
