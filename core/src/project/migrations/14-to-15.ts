import type { Json, Migration } from './migration';

/**
 * The set-up got an uneven floor, sides measured as bent, a strongback in hand, panels as built, and what is wrong with
 * frames: how wide a gap is left, and what was found and decided.
 */
export const from14To15: Migration = (before) => {
  const isImperial = before['notation'] !== 'mm' && before['notation'] !== 'm';
  const setup = before['setup'] as Json | undefined;
  return {
    ...before,
    version: 15,
    setup: {
      ...setup,
      rails: { ...(setup?.['rails'] as Json | undefined), long: 0 },
      ...{ floor: [], sides: [], asBuilt: false, faults: [] },
      limits: isImperial ? { fillet: (3 / 16) * 25.4, glued: (1 / 32) * 25.4 } : { fillet: 5, glued: 1 },
    },
  };
};
