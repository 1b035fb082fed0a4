/** The kinds of hull that are drawn from a few dimensions, and which dimensions there are. */
export const STARTER_KINDS = ['skiff', 'pram', 'dory', 'vee', 'two-chine', 'double-ender', 'slender'] as const;
export type StarterKind = (typeof STARTER_KINDS)[number];

export const DIMENSION_KEYS = [
  'length',
  'beamChine',
  'beamSheer',
  'transomShare',
  'bowShare',
  'depth',
  'bowHeight',
  'sternHeight',
  'rocker',
  'deadriseDeg',
  'stemRakeDeg',
  'transomRakeDeg',
] as const;
export type DimensionKey = (typeof DIMENSION_KEYS)[number];

/** Lengths mm, angles degrees, shares of one; those not given are usual. */
export type Dimensions = Readonly<Partial<Record<DimensionKey, number>>>;
