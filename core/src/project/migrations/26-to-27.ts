import type { Json, Migration } from './migration';

const isThing = (one: unknown): one is Json => typeof one === 'object' && one !== null;

/** A panel may be of a sheet of its own thickness: before, all of the skin was of one. */
export const from26To27: Migration = (before) => {
  const { panels } = before;
  return { ...before, version: 27, panels: isThing(panels) ? { ...panels, ownThickness: [] } : panels };
};
