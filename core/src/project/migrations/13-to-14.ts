import type { Json, Migration } from './migration';

/**
 * Fastenings got what becomes of them and how thick they are: screws were left in. Epoxy got other glues beside it,
 * finishes over it, and fillers by what they are for. Setting up came to the project.
 */
export const from13To14: Migration = (before) => {
  const isImperial = before['notation'] !== 'mm' && before['notation'] !== 'm';
  const frames = before['frames'] as Json | undefined;
  const epoxy = before['epoxy'] as Json | undefined;
  const bag = (name: string, density: number, price: number) => ({ name, density, bagMl: 1000, price, onHand: 0 });
  return {
    ...before,
    version: 14,
    setup: {
      ...{ way: 'upside-down', from: 'fore', readings: [] },
      ...(isImperial
        ? {
            ...{ off: 406.4, before: 203.2, tolerance: 3.175 },
            rails: { apart: 457.2, breadth: 44.45, depth: 152.4, height: 533.4, legEvery: 1193.8 },
          }
        : {
            ...{ off: 400, before: 200, tolerance: 2 },
            rails: { apart: 450, breadth: 45, depth: 145, height: 545, legEvery: 1200 },
          }),
    },
    frames: {
      ...frames,
      screws: {
        ...(frames?.['screws'] as Json | undefined),
        ...(isImperial ? { diameter: 3.175, staples: 41.275 } : { diameter: 4, staples: 40 }),
        ...{ use: 'left', own: [] },
      },
    },
    epoxy: {
      ...epoxy,
      glues: [],
      gluedWith: { blanks: '', skin: '', layers: '', cleats: '', doublers: '', edges: '' },
      finishes: [],
      fillers: { fillets: bag('Fine wood flour', 0.25, 0), glue: bag('Fluffed fibres', 0.12, 0) },
    },
  };
};
