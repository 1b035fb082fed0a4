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
