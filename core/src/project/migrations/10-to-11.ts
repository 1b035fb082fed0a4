import type { Json, Migration } from './migration';

/**
 * Joints got kinds, places of the builder's own, and what the kinds need: all were scarfs where the program put them.
 * Timber came to be planned, from the lengths that are often sold; sheets to be cut by a machine.
 */
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
    sheets: { ...(before['sheets'] as Json | undefined), machine: { radius: 3, feed: 2000, tabs: 3 } },
    timber: {
      ...{ kerf: isImperial ? inch / 8 : 3, scarfRatio: 12, bendRatio: 120 },
      stock: (isImperial
        ? [96, 120, 144, 168, 192].map((inches) => inches * inch)
        : [2400, 3000, 3600, 4200, 4800]
      ).map((length, k) => ({ id: `stick-${k + 1}`, width: 0, depth: 0, length, qty: 0, price: 0 })),
      own: [],
    },
  };
};
