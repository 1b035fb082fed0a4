import type { Json, Migration } from './migration';

const isThing = (one: unknown): one is Json => typeof one === 'object' && one !== null;

/** A panel may be of its own thickness, pairs be cut two at once: before, all skin was of one, and each cut alone. */
export const from26To27: Migration = (before) => {
  const { panels, sheets } = before;
  return {
    ...before,
    version: 27,
    panels: isThing(panels) ? { ...panels, ownThickness: [] } : panels,
    sheets: isThing(sheets) ? { ...sheets, stacked: false } : sheets,
  };
};
