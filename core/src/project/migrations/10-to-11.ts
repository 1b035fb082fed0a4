import type { Json, Migration } from './migration';

/** Joints got kinds, places of the builder's own, and what the kinds need. All were scarfs where the program put them. */
export const from10To11: Migration = (before) => {
  const inch = 25.4;
  const isImperial = before['notation'] !== 'mm' && before['notation'] !== 'm';
  return {
    ...before,
    version: 11,
    joints: {
      ...(before['joints'] as Json | undefined),
      ...{ kind: 'scarf', strapRatio: 16, strapShort: isImperial ? inch : 25, strapIsSolid: false },
      ...{ tongue: isImperial ? 1.25 * inch : 30, cutterRadius: 3, fit: 0.2 },
      ...{ boughtLoss: isImperial ? 1.5 * inch : 40, own: [] },
    },
  };
};
