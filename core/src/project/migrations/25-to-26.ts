import type { Json, Migration } from './migration';

const isThing = (one: unknown): one is Json => typeof one === 'object' && one !== null;

/** A panel may be laid of thin layers, and timber be sold by other names: before, it was one sheet, and as drawn. */
export const from25To26: Migration = (before) => {
  const { panels, timber } = before;
  return {
    ...before,
    version: 26,
    panels: isThing(panels) ? { ...panels, layered: [] } : panels,
    timber: isThing(timber) ? { ...timber, sold: 'drawn' } : timber,
  };
};
