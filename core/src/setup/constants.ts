/** The usual settings of the set-up. A builder's own live in the project. */
import { house } from '../stage';

export const LINE_OFF = house(400, 'mm', 'to get an arm, a clamp and a broom under the boat');
export const BEFORE = house(200, 'mm', 'a mark that no plank end covers');
export const TOLERANCE = house(2, 'mm', 'what a string and a rule are held to without effort');
export const RAILS_APART = house(450, 'mm', 'one steps between them');
export const BACK_BREADTH = house(45, 'mm', 'a common joist on edge');
export const BACK_DEPTH = house(145, 'mm', 'it does not sag between its legs under a man’s weight');
export const LEG_EVERY = house(1200, 'mm', 'a joist of that depth stays straight between');
export const LEG_CLEAR = house(100, 'mm', 'a leg stands so far from a frame at least, for clamps');
export const TWENTYFOLD = house(20, 'times', 'what is out is drawn so much larger, so that it is seen');
export const FILLET_GAP_LIMIT = house(5, 'mm', 'a fillet is bedded over it without running through');
export const GLUED_GAP_LIMIT = house(
  1,
  'mm',
  'thickened epoxy bears in it; a thicker line takes filler and clamps less',
);
export const FILLET_GAP_INCHES = house(3 / 16, 'in', 'the nearest that a rule has');
export const GLUED_GAP_INCHES = house(1 / 32, 'in', 'the nearest that a rule has');
export const UPRIGHT_SHORT = house(15, 'mm', 'an upright ends so far short of the skin: room for a plane');
export const LEAST_HOLD = house(35, 'mm', 'two screws side by side, clear of both edges');
export const BRACE_UP = house(
  320,
  'mm',
  'as high up its upright as a brace is of use under a boat that one crawls under',
);
export const CRADLE_THICK = house(18, 'mm', 'ply that does not cut into a bottom of 6 mm');
export const FILL_TIMES = house(2, 'times', 'the limit: stiff filler still stands in it');
export const SHIM_TIMES = house(4, 'times', 'the limit: a strip that can be planed; more is a new part');
export const CLAMP_EVERY = house(250, 'mm', 'a batten of 20 mm under them presses evenly between');
