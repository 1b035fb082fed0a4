/** How many of a part there are, and what it is cut from, in words. */
import { formatThickness, type Notation } from '../measure';
import type { CutInside } from './inside-value';

export const handWords = ({ hand }: Pick<CutInside, 'hand'>): string =>
  hand === 'pair' ? '1 starboard, 1 port (mirrored)' : hand === 'across' ? '1 to cut' : `1 ${hand}`;

export const materialOf = (
  { thickness, isTimber }: Pick<CutInside, 'thickness' | 'isTimber'>,
  notation: Notation,
): string => `${formatThickness(thickness, notation)} ${isTimber ? 'solid timber' : 'plywood'}`;
