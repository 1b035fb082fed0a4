import type { Migration } from './migration';

/** Soles, seats and decks came: an older boat has none. */
export const from16To17: Migration = (before) => ({ ...before, version: 17, fitout: { parts: [] } });
