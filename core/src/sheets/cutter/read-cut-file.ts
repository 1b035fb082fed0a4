/** A machine's file read back, by its layers: what the simulated cutter is given. */
import { readDxf } from '../../formats';
import { CUT_SIDES, type Contour, type CutFile, type CutSide } from './cut-file';

export type ReadCutFile =
  { readonly ok: true; readonly file: CutFile } | { readonly ok: false; readonly problem: string };

/** Ends nearer than this are one point, mm. */
const SAME_POINT_MM = 1e-3;

export function readCutFile(text: string): ReadCutFile {
  const read = readDxf(text);
  if (!read.ok) return { ok: false, problem: read.problem };
  const contours = read.content.lines.flatMap(({ layer, points, isClosed }): Contour[] => {
    const side = CUT_SIDES.find((one) => one === layer.toLowerCase());
    if (!side || points.length < 2) return [];
    return [contourOf(side, points, isClosed === true)];
  });
  if (contours.every(({ side }) => side !== 'outside' && side !== 'inside'))
    return { ok: false, problem: `nothing to cut: expected layers named ${CUT_SIDES.slice(0, 2).join(' and ')}` };
  return { ok: true, file: { contours } };
}

/** One that comes back to its first point is closed, said so or not. */
function contourOf(side: CutSide, points: Contour['points'], isSaid: boolean): Contour {
  const [first, last] = [points[0], points[points.length - 1]];
  const isBack =
    points.length > 3 && first && last && Math.hypot(first[0] - last[0], first[1] - last[1]) < SAME_POINT_MM;
  return { side, points: isBack ? points.slice(0, -1) : points, isClosed: isSaid || isBack === true };
}
