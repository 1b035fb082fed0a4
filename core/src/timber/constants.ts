/** The usual settings of timber. A builder's own live in the project. */
import { house, type Constant } from '../stage';

export const KERF = house(3, 'mm', 'a hand-held circular saw, or a bandsaw and the plane after it');
export const SCARF_RATIO = house(12, 'mm/mm', 'scarf of timber under load, over its thickness');
export const GRAIN_BENT = house(
  15,
  'mm/mm',
  'grain of timber that bends runs out of its side no steeper than 1 : so many',
);
export const GRAIN_STRAIGHT = house(10, 'mm/mm', 'the same of timber that does not bend');
export const STOCK_LENGTHS = house(
  [2400, 3000, 3600, 4200, 4800],
  'mm',
  'lengths in which planed timber is often sold',
);
/** Softwood as it is asked for and as it comes, planed and dry. */
export const INCH_PLANED = {
  value: [
    { nominal: '1', actualIn: 0.75 },
    { nominal: '2', actualIn: 1.5 },
    { nominal: '3', actualIn: 2.5 },
    { nominal: '4', actualIn: 3.5 },
    { nominal: '6', actualIn: 5.5 },
    { nominal: '8', actualIn: 7.25 },
    { nominal: '10', actualIn: 9.25 },
    { nominal: '12', actualIn: 11.25 },
  ],
  unit: 'in',
  source: 'American softwood lumber standard, dressed dry sizes',
  note: 'of thickness and width alike',
} as const satisfies Constant;
export const SAWN = house(
  [19, 25, 32, 38, 50, 75, 100, 125, 150, 175, 200, 225],
  'mm',
  'thickness and width in which softwood is often sawn; ask the yard',
);
export const PLANED_OFF = house(5, 'mm', 'taken off the sawn size when it is planed all round');
export const BEND_RATIO = house(
  120,
  'mm/mm',
  'least radius over thickness of dry straight-grained timber; 100 to 150 by the kind of wood: bend a trial piece',
);
export const MATES_APART = house(
  600,
  'mm',
  'scarfs of one run on the two sides of a boat, so that neither side is soft',
);
export const CLEAR_OF_BEND = house(
  300,
  'mm',
  'a scarf is stiffer than the timber beside it: none so near to the hardest bend',
);
