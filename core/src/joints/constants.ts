/** The usual settings of the Joints stage. A builder's own live in the project. */
import { house } from '../stage';

export const SCARF_RATIO = house(8, 'mm/mm', 'length of a scarf over its thickness: the shortest in use for plywood');
export const CLEAR_OF_FRAMES = house(75, 'mm', 'room for a fillet or a cleat beside the joint');
export const STAGGER = house(300, 'mm', 'joints of neighbouring panels this far apart make no hard spot');
