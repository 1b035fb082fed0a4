/** How long work takes, until the builder knows better. A builder's own hours live in the project. */
import { house } from '../stage';

export const MARK_CUT_M = house(12, 'min/m', 'of edge: marked out point by point, cut, planed to the line');
export const JOINT_M = house(35, 'min/m', 'of joint between sheets: planed or cut, and fitted dry');
export const TIMBER_FRAME = house(150, 'min', 'a frame of sawn timber: cut, fitted on the drawing, gusseted');
export const SMALL_PART = house(15, 'min', 'a cleat, a doubler, a rim: cut and fitted');
export const SAW_STICK = house(10, 'min', 'a stick: ripped, planed, cut to length');
export const STRONGBACK = house(240, 'min', 'rails, legs, levelled and fixed to the floor');
export const SET_FRAME = house(45, 'min', 'a frame: stood, plumbed, braced, read');
export const FIT_MEMBER_M = house(20, 'min/m', 'of a timber along the boat: notched in, bevelled, fitted dry');
export const HANG_PANEL = house(40, 'min', 'a panel lifted on, its ends and its middle held');
export const HANG_M = house(12, 'min/m', 'of its seams: holes and ties, or screws');
export const FIT_PART = house(45, 'min', 'a part inside: offered up, eased, its place cleaned');
export const FIT_PART_M = house(12, 'min/m', 'of its edge at the skin, and of timber under it');
export const TURN_OVER = house(45, 'min', 'with those who lift, and what she is laid on made ready');
export const ROUND_SEAM_M = house(8, 'min/m', 'of an outside seam, planed round for its tape');
export const FAIR_M2 = house(45, 'min/m²', 'of outside: filled, boarded, looked along, and again');
export const COAT_M2 = house(7, 'min/m²', 'of a coat of paint or varnish, rolled and tipped');
export const SAND_M2 = house(6, 'min/m²', 'washed and dulled, where the next coat no longer bonds by itself');
export const READY = house(20, 'min', 'to lay out, mix the first pot, and clean up after a glue-up');
export const ONE_GO_MOST = house(
  4,
  'h',
  'longer a glue-up in one go wears out who does it: in two parts, or with help',
);
export const CLAMP_EVERY = house(200, 'mm', 'of a glued joint, or of a timber let in: a clamp or a weight');
export const CLAMPS_A_PART = house(2, 'clamps', 'a piece held at both its ends');
export const PAINT_DAMPEST = house(85, '%', 'damper air takes the gloss, and dew falls with the first cool hour');
