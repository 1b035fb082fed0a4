/** Rates of resin, each with its source. A builder's own rates live in the project. */

const house = (value: number, unit: string, note: string) => ({ value, unit, source: 'house estimate', note }) as const;

export const SEAL_FIRST_COAT = house(130, 'g/m²', 'bare plywood drinks the first coat');
export const SEAL_NEXT_COAT = house(100, 'g/m²', 'each coat after the first');
export const FILL_COAT = house(100, 'g/m²', 'two of these hide the weave');
export const FILL_COATS = house(2, 'coats', 'over sheathing');
export const RESIN_PER_WOVEN = house(1.0, 'g/g', 'resin to the weight of woven cloth, wet out by hand');
export const RESIN_PER_BIAXIAL = house(1.1, 'g/g', 'resin to the weight of biaxial tape, wet out by hand');
export const GLUE_LINE = house(300, 'g/m²', 'thickened, on one face');
export const GLUE_PRIMER = house(100, 'g/m²', 'unthickened, on both faces');
export const MIX_DENSITY = house(1.1, 'g/ml', 'mixed resin and hardener');
/** Angle between skin and a bulkhead or transom, for fillets: near enough to square on any boat. */
export const BULKHEAD_ANGLE_DEG = house(90, '°', 'the skin meets a bulkhead within a few degrees of square');
