import type { Json, Migration } from './migration';

const isThing = (one: unknown): one is Json => typeof one === 'object' && one !== null;

/** A panel may be laid of thin layers; in those of before each was one sheet thick. */
export const from25To26: Migration = (before) => {
  const { panels } = before;
  return { ...before, version: 26, panels: isThing(panels) ? { ...panels, layered: [] } : panels };
};
