/** The usual settings of the Lines stage. A builder's own live in the project. */
import { house } from '../stage';

export const FAIRING_TOLERANCE = house(
  3,
  'mm',
  'a batten hides less than the width of the pencil line that it was read from',
);
export const DRAWING_SCALE = house(10, 'mm/mm', 'the scale at which most small boats are drawn, 1:10');
export const PENCIL_WIDTH = house(0.5, 'mm', 'a sharpened pencil on drawing paper');
