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
} as const;

export const WAY_NAMES = { 'upside-down': 'upside down', upright: 'the right way up' } as const;
export const FROM_NAMES = { fore: 'the bow', aft: 'the stern' } as const;
