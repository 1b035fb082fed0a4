/**
 * A machine's file as a drawing: each kind of contour on a layer of its own, closed lines once, in true millimetres.
 */
import type { Drawing, DrawnPath } from '../../formats';
import { boundsOf } from '../../geometry';
import type { Contour, CutFile } from './cut-file';

export const machineDrawing = (
  { contours }: CutFile,
  names: Pick<Drawing, 'name' | 'title' | 'material' | 'texts'>,
): Drawing => ({
  ...names,
  hand: 'layers: outside, inside, drill, mark, tab, sheet; from the sheet’s lower left corner',
  isStamped: true,
  paths: contours.map(pathOf),
});

function pathOf({ side, points, isClosed }: Contour): DrawnPath {
  const isMark = side === 'mark' || side === 'tab' || side === 'sheet';
  const path = { layer: isMark ? ('mark' as const) : ('cut' as const), layerName: side, points, isClosed };
  return side === 'drill' ? { ...path, circle: roundOf(points) } : path;
}

function roundOf(points: Contour['points']) {
  const { minX, maxX, minY, maxY } = boundsOf(points);
  const at = [(minX + maxX) / 2, (minY + maxY) / 2] as const;
  return { at, radius: (maxX - minX) / 2 };
}
