/** The board of solid timber that a part is sawn from, in words. */
import { formatScantling, type Notation } from '../measure';
import type { CutInside } from './inside-value';

/** How wide, and how thick. */
export const boardWords = ({ supports }: Pick<CutInside, 'supports'>, notation: Notation): string => {
  const [board] = supports;
  return board ? `${formatScantling(board.breadth, notation)} × ${formatScantling(board.depth, notation)} timber` : '';
};
