/** The usual settings of the Frames stage. A builder's own live in the project. */
import { house } from '../stage';

export const FILLET_GAP = house(1.5, 'mm', 'room for glue all round a filleted bulkhead; a wider one no fillet closes');
export const BULKHEAD_THICKNESS = house(9, 'mm', 'one size up from a 6 mm skin: stiff enough to hold its shape uncut');
export const RING_BREADTH = house(70, 'mm', 'stiff enough to bend a side round, in plywood of 9 to 12 mm');
export const RING_CORNER = house(40, 'mm', 'a jig saw follows it, and no crack starts from it');
export const OPENING_CORNER = house(25, 'mm', 'the least that starts no crack in the corner of an opening');
export const OPENING_EDGE = house(60, 'mm', 'plywood left round an opening to carry what it carried before');
export const HOLE_EDGE = house(12, 'mm', 'plywood left round a small hole or notch, so that it does not break out');
export const LIMBER_DIAMETER = house(25, 'mm', 'not stopped by a leaf');
export const LIMBER_SET_IN = house(25, 'mm', 'clear of a fillet of 20 mm and its tape');
export const MEMBER_WIDTH = house(30, 'mm', 'takes a row of screws in its middle');
export const MEMBER_DEPTH = house(20, 'mm', 'bends round the side of a small boat in one piece');
export const NOTCH_ROOM = house(0.5, 'mm', 'for glue, a side');
export const OPENING_SIZE = house(200, 'mm', 'an arm reaches through');
export const SAWN_BREADTH = house(70, 'mm', 'a gusset and a row of screws hold in it; sawn out of a common plank');
export const PLANK_BREADTH = house(100, 'mm', 'of a mould: the cheapest straight plank');
export const GUSSET_THICKNESS = house(9, 'mm', 'as strong as the joint of 20 mm timber that it covers');
export const BLOCK_THICKNESS = house(18, 'mm', 'of a mould: takes a screw, and can be any leftover');
export const GUSSET_LEG = house(150, 'mm', 'about twice the breadth of the timber, for four screws and the glue');
export const SCREW_ENDS = house(25, 'mm', 'nearer to its end a timber splits');
export const BEVEL_STEP = house(300, 'mm', 'a hand’s span on the log; between, a bevel rolls evenly');
export const BOTTOM_TIMBER = house(
  { breadth: 45, depth: 20 },
  'mm',
  'under a seam: each board’s edge has a row of screws, and a rank of feet does not bend it',
);
export const FAIRED_BY = house(2, 'mm', 'what a rule held inside a boat is read to; a batten takes the rest out');
export const CHAIN_OFF = house(1, 'mm', 'what a chain of links may stand off the curve: filled with the glue');
export const SCREW_DIAMETER = house(4, 'mm', 'through a skin of 6 mm into a log of 20; a no. 8 in inches');
export const STAPLE_EVERY = house(40, 'mm', 'they hold less than screws do, and are shot in a moment');
export const WASHER_UNDER = house(6, 'mm', 'the head of a screw that is drawn again pulls into a thinner sheet');
export const PLUG_DEPTH = house(
  3,
  'mm',
  'a thinner plug flakes off; beneath it lies half the screw’s thickness of head',
);
export const EDGE_DIAMETERS = house(2.5, 'diameters', 'of wood on either side of a screw, or it splits out');
export const PILOT_SHARE = house(0.7, 'diameters', 'in hard wood; six tenths in soft');
export const CLEARANCE = house(0.2, 'mm', 'over the screw’s thickness, through what is held');
export const SPARE_SCREWS = house(0.1, 'share', 'dropped, burred or snapped: bought over what is counted');
