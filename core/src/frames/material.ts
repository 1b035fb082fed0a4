import { formatScantling, formatThickness, type Notation } from '../measure';
import type { Frame } from './frame';
import type { School } from './schema';

/** What a frame is cut from: sawn timber in a framed boat, plywood in a filleted one. */
export const frameMaterial = ({ width }: Pick<Frame, 'width'>, school: School, notation: Notation): string =>
  school === 'framed' ? `${formatScantling(width, notation)} timber` : `${formatThickness(width, notation)} plywood`;
