/**
 * Lines that run out on others stay on them: what else an edit of some points has to move.
 *
 * A line's end goes with the point of the other line that it lies on, or with the place of the other's batten at the
 * same parameter. Ends that the edit itself sets are left to it, and edits of anything but single figures as they
 * are.
 */
import { at, distance3 } from '../geometry';
import type { Edit } from '../findings';
import { battenAt, bendLines, endEdits, positionOf, type HullLine, type RunOut } from '../lines';
import type { Project } from './document';
import { applyEdits } from './edits';

/** An end this near to a point of the other line is that point. */
const SAME_POINT_MM = 0.05;

/** The edits, and after them those that keep ends on the lines they run out on. */
export function withFollowing(project: Project, edits: readonly Edit[]): readonly Edit[] {
  const moved = new Set(edits.flatMap(({ path }) => (isFigure(path) ? [String(path[2])] : [])));
  if (moved.size === 0) return edits;
  const { lines } = bendLines(project.lines).value;
  const ends = lines.flatMap((line) =>
    (['fore', 'aft'] as const).flatMap((end) => {
      const runOut = line.runOuts?.[end];
      const { index } = at(line.points, end === 'fore' ? 0 : -1);
      const isSet = edits.some(({ path }) => isFigure(path) && path[2] === line.id && path[4] === index);
      return runOut && moved.has(runOut.line) && !isSet ? [{ line, end, runOut }] : [];
    }),
  );
  const tried = ends.length > 0 ? applyEdits(project, edits) : undefined;
  if (!tried?.ok) return edits;
  const after = bendLines(tried.project.lines).value.lines;
  return [
    ...edits,
    ...ends.flatMap(({ line, end, runOut }) => {
      const [before, now] = [lines, after].map((all) => all.find(({ id }) => id === runOut.line));
      return before && now ? endEdits(line, end, placeAfter(before, now, runOut)) : [];
    }),
  ];
}

const isFigure = (path: Edit['path']): boolean =>
  path.length === 6 && path[0] === 'lines' && path[1] === 'longitudinals' && path[3] === 'points';

function placeAfter(before: HullLine, now: HullLine, runOut: RunOut) {
  const own = before.points.find((point) => distance3(positionOf(point), runOut.at) < SAME_POINT_MM);
  const same = now.points.find(({ index }) => index === own?.index);
  return same ? positionOf(same) : battenAt(now.batten, runOut.t).position;
}
