/** The usual settings of the Joints stage. A builder's own live in the project. */
import { house } from '../stage';

export const SCARF_RATIO = house(8, 'mm/mm', 'length of a scarf over its thickness: the shortest in use for plywood');
export const STRAP_RATIO = house(
  16,
  'mm/mm',
  'width of a butt strap of plywood over its thickness: a scarf on each side',
);
export const STRAP_SHORT = house(25, 'mm', 'a strap leaves room for the fillet and the tape of the seams');
export const TONGUE = house(30, 'mm', 'tongues that reach so far hold while the glue sets, and cost less than a scarf');
export const CUTTER_RADIUS = house(3, 'mm', 'a cutter of 6 mm, the usual one for plywood of 4 to 9 mm');
export const FIT = house(0.2, 'mm', 'goes together by hand and is filled by the glue');
export const BOUGHT_LOSS = house(40, 'mm', 'to be set to what the supplier states');
export const CLEAR_OF_FRAMES = house(75, 'mm', 'room for a fillet or a cleat beside the joint');
export const STAGGER = house(300, 'mm', 'joints of neighbouring panels this far apart make no hard spot');
