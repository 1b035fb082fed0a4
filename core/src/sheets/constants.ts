/** The usual settings of the Sheets stage. A builder's own live in the project. */
import { MM_PER_INCH } from '../measure';
import { house } from '../stage';

export const SKIN_SHEETS = house({ thickness: 6, qty: 8 }, 'mm, sheets', 'more than any boat of the usual size takes');
export const BULKHEAD_SHEETS = house({ thickness: 9, qty: 4 }, 'mm, sheets', 'for transoms and bulkheads');
export const GAP = house(6, 'mm', 'a jigsaw’s kerf and a little to plane, or a cutter');
export const MARGIN = house(8, 'mm', 'edges of sheets are knocked about on the way');
export const SEED = house(1, 'count', 'any will do; the same gives the same layout again');
export const MACHINE_RADIUS = house(3, 'mm', 'a cutter of 6 mm, the usual one for plywood of 4 to 12 mm');
export const FEED = house(
  2000,
  'mm/min',
  'unhurried for a small machine in plywood; the maker of the cutter says more',
);
export const TABS = house(3, 'count', 'three hold a part flat');

/** Sizes of sheets that are sold, length by width in mm, to start a stock from. */
export const USUAL_SIZES = house(
  {
    metric: [
      { width: 2440, height: 1220 },
      { width: 2500, height: 1250 },
      { width: 3100, height: 1530 },
      { width: 2500, height: 1700 },
      { width: 2200, height: 1220 },
    ],
    imperial: [
      { width: 96 * MM_PER_INCH, height: 48 * MM_PER_INCH },
      { width: 120 * MM_PER_INCH, height: 60 * MM_PER_INCH },
      { width: 144 * MM_PER_INCH, height: 48 * MM_PER_INCH },
      { width: 192 * MM_PER_INCH, height: 48 * MM_PER_INCH },
    ],
  },
  'mm',
  'what merchants mostly list; a boat’s own list is changed at will',
);
