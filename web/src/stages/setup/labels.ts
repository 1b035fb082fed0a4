/** What the fields of the set-up are called: on the slip, and by what finds them. */
export const HOW_SECTION = 'How it is set up';
export const HOW_LABELS = {
  way: 'Which way up',
  off: 'Line off the boat',
  from: 'Tape begins at',
  before: 'Mark before the boat',
  tolerance: 'Out of true from',
} as const;

export const BACK_SECTION = 'The strongback';
export const BACK_LABELS = {
  apart: 'Rails apart',
  breadth: 'Breadth of a rail',
  depth: 'Depth of a rail',
  height: 'Line over the floor',
  legEvery: 'Legs about every',
  long: 'Length in hand',
} as const;

export const WAY_NAMES = {
  'upside-down': 'upside down',
  upright: 'the right way up',
  'no-jig': 'with no jig',
} as const;
export const FROM_NAMES = { fore: 'the bow', aft: 'the stern' } as const;

export const GOOD_SECTION = 'Is it good enough?';
export const GOOD_LABELS = { fillet: 'Gap left, filleted', glued: 'Gap left, glued' } as const;
export const BUILT_SECTION = 'As built';
export const DRY_SECTION = 'Dry fit';
export const NO_JIG_SECTION = 'With no jig';
export const PASS_SECTION = 'Will it go in?';
export const ORDER_SECTION = 'In this order';
