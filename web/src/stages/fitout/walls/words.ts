/** What the choices of a wall are called. */
import { isDeck, type WallPlan } from '@kalotrope/core/fitout';

export const WALL_KIND_WORDS: Readonly<Record<WallPlan['kind'], string>> = {
  'cabin-side': 'cabin side',
  'cabin-front': 'cabin front',
  'cabin-back': 'cabin after end',
  coaming: 'coaming',
  'half-deck': 'deck in halves',
  'sheer-deck': 'straight deck',
};
export const WALL_HANDS: Readonly<Record<WallPlan['hand'], string>> = {
  pair: 'a pair',
  starboard: 'starboard only',
  port: 'port only',
};
export const LOWER_FOLLOWS = { sheer: 'the sheer', points: 'its own points' } as const;
export const UPPER_FOLLOWS = { lower: 'its other edge', ...LOWER_FOLLOWS } as const;
export const TOPS = { line: 'as its line', straight: 'a straight edge' } as const;
export const WALL_SCHOOLS = { boat: 'as the boat', filleted: 'square', framed: 'bevelled' } as const;

/** A deck's lower line is at the sheer, and its upper one further in. */
export const edgeWords = ({ kind }: Pick<WallPlan, 'kind'>) =>
  isDeck(kind)
    ? ({ lower: 'Outer edge', upper: 'Inner edge' } as const)
    : ({ lower: 'Lower edge', upper: 'Upper edge' } as const);

export const STANDS_SECTION = 'How it stands';
export const OPENINGS_SECTION = 'Windows and ports';
export const FOOT_SECTION = 'Along its foot';
export const MARKED_SECTION = 'Marked out';
