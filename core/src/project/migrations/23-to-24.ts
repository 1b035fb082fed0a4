import type { Migration } from './migration';

/** A boat may have a card that her table is drawn from; those of before have none. */
export const from23To24: Migration = (before) => ({ ...before, version: 24 });
