/** Where the table's lines and figures lie in the project, for edits. */
import type { Edit } from '../findings';
import type { Longitudinal } from './schema';

export const LONGITUDINALS = ['lines', 'longitudinals'] as const;

/** Path of one figure of a point in the project; `line` is the line's id. */
export const pointPath = <Key extends 'x' | 'halfBreadth' | 'height' | 'isKnuckle' | 'isPinned'>(
  line: string,
  index: number,
  key: Key,
) => [...LONGITUDINALS, line, 'points', index, key] as const;

/** Path of what is said of a line as a whole. */
export const linePath = (line: string, key: 'name' | 'isExtra') => [...LONGITUDINALS, line, key] as const;

/** The point whose figure an edit's path leads to; null where it leads elsewhere. */
export function figureOfPath(path: Edit['path']): { readonly line: string; readonly index: number } | null {
  const [part, list, line, points, index] = path;
  const isFigure = path.length === 6 && part === LONGITUDINALS[0] && list === LONGITUDINALS[1] && points === 'points';
  return isFigure ? { line: String(line), index: Number(index) } : null;
}

/** All lines put in place of those that are there. */
export const linesEdit = (longitudinals: readonly Longitudinal[]): Edit => ({
  path: LONGITUDINALS,
  value: longitudinals,
});
