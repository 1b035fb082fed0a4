/** The usual settings of what lies inside and on top. A builder's own live in the project. */
import { house } from '../stage';

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
