/** The usual settings of the Frames stage. A builder's own live in the project. */
import { house } from '../stage';

export const FILLET_GAP = house(1.5, 'mm', 'room for glue all round a filleted bulkhead; a wider one no fillet closes');
export const BULKHEAD_THICKNESS = house(9, 'mm', 'one size up from a 6 mm skin: stiff enough to hold its shape uncut');
