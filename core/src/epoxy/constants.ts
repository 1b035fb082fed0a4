/** Rates of resin and the usual settings, each with its source. A builder's own live in the project. */
import { house } from '../stage';

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

export const FILLET_RADIUS = house(20, 'mm', 'a coffee lid’s or a large coin’s: what most fillets are drawn with');
export const TAPE_WIDTH = house(75, 'mm', 'three inches: it covers a 20 mm fillet and laps both sides');
export const TAPE_LAYERS = house(1, 'layers', 'inside and outside of a seam of 6 mm ply on a light boat');
export const TAPE_WEIGHT = house(320, 'g/m²', 'a middling biaxial tape');
export const SHEATHING_WEIGHT = house(200, 'g/m²', 'a woven cloth that one person wets out by hand');
export const SEALING_COATS = house(3, 'coats', 'on every face of bare ply');
export const WASTE = house(0.15, 'share', 'of what is mixed, left in pots and brushes');
export const FILLER_SHARE = house(0.3, 'share', 'of a thickened mix by weight, for a fillet that stands');
