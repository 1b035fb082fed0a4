import { formatScantling, formatThickness, type Notation } from '../measure';
import type { Frame } from './frame';

/** What a frame is cut from, and how thick. */
export const frameMaterial = ({ width, material }: Pick<Frame, 'width' | 'material'>, notation: Notation): string =>
  material === 'timber' ? `${formatScantling(width, notation)} timber` : `${formatThickness(width, notation)} plywood`;
