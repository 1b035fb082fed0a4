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
export const TACK_SHARE = house(0.1, 'share', 'of a fillet, put between the stitches first; the rest goes over it');

export const FILLET_RADIUS = house(20, 'mm', 'a coffee lid’s or a large coin’s: what most fillets are drawn with');
export const TAPE_WIDTH = house(75, 'mm', 'three inches: it covers a 20 mm fillet and laps both sides');
export const TAPE_LAYERS = house(1, 'layers', 'inside and outside of a seam of 6 mm ply on a light boat');
export const TAPE_WEIGHT = house(320, 'g/m²', 'a middling biaxial tape');
export const SHEATHING_WEIGHT = house(200, 'g/m²', 'a woven cloth that one person wets out by hand');
export const SEALING_COATS = house(3, 'coats', 'on every face of bare ply');
export const WASTE = house(0.15, 'share', 'of what is mixed, left in pots and brushes');
export const FILLER_SHARE = house(0.3, 'share', 'of a thickened mix by weight, for a fillet that stands');
export const FILLET_LEG = house(12, 'mm', 'covered on each side at least: in a wide corner a round fillet is a smear');
export const TAPE_STEP = house(25, 'mm', 'each further layer narrower, so that the edges do not make one step');
export const GLUE_FILLER_SHARE = house(0.15, 'share', 'of thickened glue by weight, so that it hangs on a brush');
export const FLOUR_DENSITY = house(0.25, 'g/ml', 'wood flour as it lies in its bag; weigh a cup of yours');
export const FIBRE_DENSITY = house(0.12, 'g/ml', 'fibres as they lie in their bag; weigh a cup of yours');
export const FINISH_AT_C = house(20, '°C', 'at which a tin tells its hours');
export const FINISH_LEAST_C = house(8, '°C', 'below it paint stays wet over night, and the dew gets it');
export const CLOTH_WIDTH = house(1000, 'mm', 'a usual roll of cloth');
export const CLOTH_LAP = house(50, 'mm', 'where two widths of cloth meet');
export const CLOTH_TRIM = house(25, 'mm', 'cloth is cut so much larger all round, and trimmed when it is set');
export const TABS_APART = house(250, 'mm', 'between short tapes that hold a bulkhead until it is filleted');
export const LAYERS_APART = house(100, 'mm', 'between where one layer of tape is pieced and where the next is');
export const KEY_BEYOND_TAPE = house(10, 'mm', 'the surface is keyed so far beyond the tape on each side');

/** A resin of an invented maker: 2 to 1 by volume, a middling hardener. All of it is on any tin. */
export const RATIO_BY_VOLUME = house(2, 'A to 1 of B', 'a usual ratio; read yours off the tin');
export const DENSITY_A = house(1.15, 'g/ml', 'most resins; weigh a known volume of yours');
export const DENSITY_B = house(0.97, 'g/ml', 'most hardeners; weigh a known volume of yours');
export const POT_MINUTES = house(25, 'min', 'of the pot that the maker tried, a middling hardener');
export const POT_AT_C = house(25, '°C', 'at which makers try a pot');
export const POT_GRAMS = house(150, 'g', 'that makers try');
export const GREATEST_POT = house(400, 'g', 'a bigger pot can smoke before it is empty');
export const SCALE_STEP = house(1, 'g', 'a kitchen scale');
export const LEAST_C = house(10, '°C', 'below it a middling hardener stays soft');
export const DAMPEST = house(85, '%', 'humidity above which the surface blushes');
export const ABOVE_DEW_C = house(3, '°C', 'the surface stays so much above the dew point');
export const TACKY_HOURS = house(
  4,
  'h',
  'after mixing, at the temperature of the pot’s trial: the next coat may go on',
);
export const BONDS_HOURS = house(18, 'h', 'until then the next coat bonds by itself; after it wash and sand first');
export const SAND_HOURS = house(24, 'h', 'hard enough to sand');
export const CURED_HOURS = house(120, 'h', 'all the strength that it gets');
export const SHOP_C = house(18, '°C', 'a shed in spring; set your own');
export const SHOP_HUMIDITY = house(60, '%', 'a dry day; set your own');

export const RATE_SEAL = house(30, 'g/min', 'rolled on flat');
export const RATE_GLUE = house(20, 'g/min', 'brushed and spread on faces that are clamped');
export const RATE_TACK = house(8, 'g/min', 'pressed between stitches');
export const RATE_FILLET = house(12, 'g/min', 'bagged, pulled and cleaned');
export const RATE_TAPE = house(15, 'g/min', 'wetted out in a corner');
export const RATE_SHEATHE = house(25, 'g/min', 'wetted out on a wide face');

export const STIR_MINUTES = house(2, 'min', 'scraping the sides while stirring, before any filler goes in');

const OF_STARTER = 'mm, mm, mm, layers, layers';
/** Fillet radius, least leg, tape width, tapes inside and outside. */
export const SEAMS_LIGHT = house([15, 10, 50, 1, 1], OF_STARTER, 'seams of 3 and 4 mm ply: radius, leg, tape, in, out');
export const SEAMS_MIDDLING = house([20, 12, 75, 1, 1], OF_STARTER, 'seams of 6 mm ply: radius, leg, tape, in, out');
export const SEAMS_HEAVY = house(
  [35, 20, 150, 2, 2],
  OF_STARTER,
  'seams of 9 mm ply and up: radius, leg, tape, in, out',
);

export const PAIRS_A_POT = house(
  0.5,
  'pairs',
  'of gloves: one pair for two pots, and a clean one at once when one is torn',
);
export const BRUSH_WORK = house(1, 'a pot', 'brushes or rollers for each pot that is brushed: they are not cleaned');
export const STICKS_A_POT = house(1, 'a pot', 'to stir with; a flat end reaches the corner of the pot');
