/** What the choices of a block are called. */
import type { BlockPlan } from '@kalotrope/core/fitout';
import { HANDS } from '../words';

export const FILL_WORDS: Readonly<Record<BlockPlan['fills'], string>> = {
  out: 'out to the side',
  aft: 'aft',
  forward: 'forward',
  down: 'down',
  up: 'up',
};
export const BLOCK_HANDS = HANDS;

/** Of one across the boat by the side that they are on. */
export const endWords = ({ hand }: Pick<BlockPlan, 'hand'>) =>
  hand === 'across'
    ? ({ from: 'Port end', to: 'Stbd end' } as const)
    : ({ from: 'First end', to: 'Other end' } as const);

export const THICK_SECTION = 'Its thickness';
