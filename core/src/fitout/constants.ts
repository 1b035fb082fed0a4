/** The usual settings of what lies inside and on top. A builder's own live in the project. */
import { house, type Constant } from '../stage';

const DRILLIS = 'R. Drillis and R. Contini, Body segment parameters, 1966, as handbooks of biomechanics have it';
const body = (value: number, note: string): Constant<number> => ({ value, unit: 'of how tall', source: DRILLIS, note });

export const PART_GAP = house(1.5, 'mm', 'as bulkheads have: room for glue under a fillet, no more than that closes');
export const PART_THICKNESS = house(9, 'mm', 'carries a foot over a span of a third of a metre');
export const DECK_THICKNESS = house(6, 'mm', 'bends to a usual camber by hand');
export const CLEAT = house(
  { breadth: 30, depth: 20 },
  'mm',
  'wide enough to glue on and to take a screw in its middle',
);
export const SEAT_HEIGHT = house(240, 'mm', 'over the sole: a rower’s and a child’s; 300 to sit upright');
export const SEAT_BREADTH = house(300, 'mm', 'what a person sits on, with the side to lean against');
export const SOLE_OVER = house(60, 'mm', 'over the lowest inside: dry feet with a bucketful in the bilge');
export const CAMBER_SHARE = house(1 / 25, 'of the breadth', 'sheds water, and does not throw one off');
export const LAST_CLEAR = house(100, 'mm', 'from the boat’s ends, where nothing fits');
export const FOOT_N = house(800, 'N', 'a grown man on one foot');
export const FOOT_MM = house(250, 'mm', 'breadth of sheet that carries a foot with its neighbours');
export const SAG_SHARE = house(1 / 50, 'of the span', 'more is felt as soft');
export const PLY_E = house(
  8000,
  'N/mm²',
  'between along and across the face grain of marine plywood, as merchants’ sheets give them for 9 to 12 mm',
);
export const BEARER_OVER = house(20, 'mm', 'of a span lies over the cleats at its ends');
export const WIDE_LANDING = house(18, 'mm', 'less does not take a screw and glue on both sides of it');
export const DRAIN_CLEAR = house(
  15,
  'mm',
  'left beside a drain hole: a fillet of usual size at the edge does not close it, and the sheet does not split',
);
export const DRAIN_RADIUS = house(10, 'mm', 'lets water through with leaves in it, and can be plugged');
export const SCREW_EVERY = house(150, 'mm', 'down on a landing that is glued as well');
export const PAD = house(
  { long: 140, wide: 80, thick: 18 },
  'mm',
  'spreads the pull of a cleat or a rowlock over the sheet round it',
);
export const BREASTHOOK_LONG = house(300, 'mm', 'enough to tie the sides of a small boat together at the stem');
export const KNEE_ARM = house(180, 'mm', 'of a knee along the side and along the transom');
export const KNEE_NOSE = house(55, 'mm', 'from the sheer: left square at the end of a knee’s arm, also within a clamp');
export const TIP = house(16, 'mm', 'broad at its end: a thinner tip of a board splits');
export const KNEE_THICKNESS = house(22, 'mm', 'as thick as the boards are that are sold planed');
export const KNEE_HOLLOW = house(30, 'mm', 'takes the weight out of it, and leaves room for a hand');
export const HANGING_ARM = house(180, 'mm', 'of a hanging knee, either way from its corner');
export const HANGING_NOSE = house(30, 'mm', 'at the end of an arm: takes the last screw and does not split');
export const HANGING_HOLLOW = house(25, 'mm', 'as a quarter knee, and enough wood is left at the corner');
export const KNEE_THROAT = house(
  2,
  'of its thickness',
  'from the corner to the free edge: thinner splits along the grain',
);
export const STEM_FACE = house(36, 'mm', 'across the flat that the sides’ ends are planed to');
export const STEM_DEEP = house(35, 'mm', 'ahead of the flat: it takes the knocks, and can be shaped');
export const STEM_OUTER = house(12, 'mm', 'across its outer edge, where it is rounded');
export const STEM_OVER = house(20, 'mm', 'over the sheer, to be trimmed');
export const HOW_TALL = house(1750, 'mm', 'a grown person between small and large: put in your own');
export const SITTING = body(0.52, 'from the seat to the crown');
export const THIGH = house(0.34, 'of how tall', 'from the back to the front of the knee, as chairs are made by');
export const SHIN = house(0.25, 'of how tall', 'from under the knee to the heel, as chairs are made by');
export const ELBOWS = house(0.3, 'of how tall', 'over the elbows, in a jersey');
export const HIP_DOWN = body(0.47, 'from the crown to the hip');
export const KNEE_DOWN = body(0.715, 'from the crown to the knee');
export const FOOT_LONG = body(0.152, 'the foot from heel to toe');
export const HEAD_RADIUS = house(0.065, 'of how tall', 'from the chin to the crown is twice that');
export const TRUNK_DEEP = house(0.14, 'of how tall', 'from back to front, in a jersey');
export const THIGH_THICK = house(0.085, 'of how tall', 'from under to over, sitting');
export const LEGS_BENT = house(0.93, 'of their whole length', 'as one braces them at the oars');
export const LYING_SPARE = house(60, 'mm', 'at head and feet, lying');
export const ROWLOCK_AFT = house(0.32, 'of how tall', 'from the back of one who sits upright to where the oars turn');
export const ROWLOCK_UP = house(0.115, 'of how tall', 'over the seat: the hands clear the knees');
export const OAR_LEVER = house(
  25 / 7,
  'of its inner part',
  'an oar turns at seven parts of twenty-five from its handle',
);
export const HANDLES_OVER = house(40, 'mm', 'from the centreline, between the handles: negative where they cross');
export const HEADROOM_LYING = house(450, 'mm', 'over a bunk: to turn over under it');
export const SEAT_PACKED = house(60, 'mm', 'of cushion on what one sits on');
export const DOOR_CLEAR = house(20, 'mm', 'a side, to come through a door without a scratch');
export const WALL_THICKNESS = house(9, 'mm', 'stiff enough for a cabin’s side with windows in it, and bends to it');
export const SIDE_DECK_BREADTH = house(220, 'mm', 'from the sheer to a cabin’s side: a foot, and room beside it');
export const CABIN_HEIGHT = house(300, 'mm', 'over the deck: to sit under, and to see over');
export const CABIN_LEAN = house(45, 'mm', 'inward over that height: it looks lower so, and one walks past it');
export const CABIN_FRONT_RAKE = house(90, 'mm', 'aft over that height: spray runs off it');
export const COAMING_HEIGHT = house(100, 'mm', 'keeps out what runs along the deck, and can be sat on');
export const FRONT_BEYOND = house(60, 'mm', 'beyond the cabin’s side, to be cut to it');
export const DECK_RISE = house(1 / 8, 'of the half-breadth', 'a ridge that sheds water');
export const FEATHER = house(2, 'mm', 'of wood: thinner it splits when it is fastened, and breaks when it is planed');
export const BLOCK_WIDTH = house(60, 'mm', 'enough to glue and to take two rows of screws');
export const BLOCK_LEAST = house(12, 'mm', 'at its thinner end when it is put in, to be moved from there');
