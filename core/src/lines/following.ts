/**
 * Lines that run out on others stay on them: what else an edit of some points has to move.
 *
 * A line's end goes with the point of the other line that it lies on, or with the place of the other's batten at the
 * same parameter. Ends that the edit itself sets are left to it, and edits of anything but single figures as they are.
 */
import { at, distance3, type Vec3 } from '../geometry';
import type { Edit } from '../findings';
import { battenAt } from './batten';
import { bendLines } from './hull';
import { positionOf, type HullLine, type RunOut } from './hull-line';
import { figureOfPath } from './paths';
import { endEdits } from './judge-run-outs';
import { ENDS } from './run-outs';
import type { LinesTable } from './schema';

/** An end this near to a point of the other line is that point. */
const SAME_POINT_MM = 0.05;

type Change = { readonly before: LinesTable; readonly after: LinesTable; readonly edits: readonly Edit[] };

/**
 * The edits that keep ends on the lines they run out on, when other edits take the table from one state to the next.
 */
export function followRunOuts({ before, after, edits }: Change): Edit[] {
  const set = edits.flatMap(({ path }) => figureOfPath(path) ?? []);
  const moved = new Set(set.map(({ line }) => line));
  if (moved.size === 0) return [];
  const { lines } = bendLines(before).value;
  const ends = lines.flatMap((line) =>
    ENDS.flatMap((end) => {
      const runOut = line.runOuts?.[end];
      const { index } = at(line.points, end === 'fore' ? 0 : -1);
      const isSet = set.some((figure) => figure.line === line.id && figure.index === index);
      return runOut && moved.has(runOut.line) && !isSet ? [{ line, end, runOut }] : [];
    }),
  );
  if (ends.length === 0) return [];
  const linesAfter = bendLines(after).value.lines;
  return ends.flatMap(({ line, end, runOut }) => {
    const [was, now] = [lines, linesAfter].map((all) => all.find(({ id }) => id === runOut.line));
    return was && now ? endEdits(line, end, placeAfter(was, now, runOut)) : [];
  });
}

function placeAfter(was: HullLine, now: HullLine, runOut: RunOut): Vec3 {
  const own = was.points.find((point) => distance3(positionOf(point), runOut.at) < SAME_POINT_MM);
  const same = now.points.find(({ index }) => index === own?.index);
  return same ? positionOf(same) : battenAt(now.batten, runOut.t).position;
}
