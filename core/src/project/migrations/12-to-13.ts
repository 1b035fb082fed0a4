import type { Json, Migration } from './migration';

/**
 * Epoxy got a resin with its ratio, its packs and its hours, a shop's temperature, rates of work, what goes on one seam
 * otherwise than on the rest, and the cloth that is bought. Fillets were by their radius, all tapes of one width.
 */
export const from12To13: Migration = (before) => {
  const isImperial = before['notation'] !== 'mm' && before['notation'] !== 'm';
  const epoxy = before['epoxy'] as Json | undefined;
  const unit = isImperial ? 946.352946 : 1000;
  const pack = (number: number, name: string, size: number, price: number) => ({
    ...{ id: `pack-${number}`, name },
    ...{ aMl: Math.round(size * unit), bMl: Math.round((size * unit) / 2), price, onHand: 0 },
  });
  return {
    ...before,
    version: 13,
    epoxy: {
      ...epoxy,
      ...{ filletLeg: isImperial ? 12.7 : 12, filletBy: 'radius', tapeStep: 0, coating: 'flat' },
      ...{ glueFillerShare: epoxy?.['fillerShare'] ?? 0.3, seams: [] },
      glass: {
        ...{ tapeKind: 'biaxial', clothKind: 'woven', tapeFrom: 'roll', peelPly: false },
        ...(isImperial ? { clothWidth: 990.6, lap: 50.8 } : { clothWidth: 1000, lap: 50 }),
      },
      resin: {
        ...{ ratioA: 2, ratioB: 1, densityA: 1.15, densityB: 0.97, potMinutes: 25, potC: 25, leastC: 10, dampest: 85 },
        ...{ strokeA: 0, strokeB: 0 },
        // 5 and 14 ounces, and a tenth of one, in grams
        ...(isImperial
          ? { potGrams: 141.747615625, greatestPot: 396.89332375, scale: 2.8349523125 }
          : { potGrams: 150, greatestPot: 400, scale: 1 }),
        ...{ tackyHours: 4, bondsHours: 18, sandHours: 24, curedHours: 120 },
      },
      packs: [pack(1, 'Small kit', 1, 38), pack(2, 'Large kit', 4, 128)],
      shop: { tempC: 18, humidity: 60 },
      rates: { seal: 30, glue: 20, tack: 8, fillet: 12, tape: 15, sheathe: 25 },
    },
  };
};
