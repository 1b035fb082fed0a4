/** What is told of lines that run out on others, of those that nearly do, and of corners where they do. */
import { at, distance3, dot3, sub3, unit3, type Vec3 } from '../geometry';
import type { Edit } from '../findings';
import type { LinesFinding } from './findings';
import { toDeg } from '../measure';
import { battenAt } from './batten';
import { positionOf, type HullLine, type RunOut } from './hull-line';
import { pointPath } from './paths';
import { endPoint, ENDS, nearestOn, NEAR_LINE_MM, placeOn, whole, type End } from './run-outs';

/** So little off is a rounded table, not worth a word. */
const WORTH_SAYING_MM = 1;

/** What is told of lines that run out, and of those that nearly do. */
export function judgeRunOuts(lines: readonly HullLine[]): LinesFinding[] {
  return lines.flatMap((line, i) =>
    ENDS.flatMap((end): LinesFinding[] => {
      const runOut = line.runOuts?.[end];
      const point = endPoint(line, end);
      const where = { stage: 'lines', line: line.id, x: point[0] } as const;
      const how = {
        line: line.name,
        end: end === 'fore' ? 'begins' : 'ends',
        side: end === 'fore' ? 'forward' : 'aft',
        xMm: point[0],
      };
      if (runOut) {
        const other = lines.find(({ id }) => id === runOut.line)?.name ?? runOut.line;
        const code = runOut.offMm > WORTH_SAYING_MM ? 'line-set-on-line' : 'line-runs-out';
        const remedies =
          code === 'line-set-on-line'
            ? [{ label: `Set its end on ${other.toLowerCase()}`, edits: endEdits(line, end, runOut.at) }]
            : [];
        return [
          { severity: 'note', code, where, data: { ...how, other, offMm: runOut.offMm }, remedies },
          ...cornerAt(lines, line, runOut),
        ];
      }
      const near = [i - 1, i + 1]
        .filter((k) => k >= 0 && k < lines.length)
        .find((k) => placeOn([whole(k)], lines, point, NEAR_LINE_MM));
      if (near === undefined) return [];
      const other = at(lines, near);
      const foot = battenAt(other.batten, nearestOn(other.batten, point).t).position;
      const remedies = [{ label: `Set its end on ${other.name.toLowerCase()}`, edits: endEdits(line, end, foot) }];
      const data = { ...how, other: other.name, offMm: distance3(foot, point) };
      return [{ severity: 'check', code: 'line-stops-short', where, data, remedies }];
    }),
  );
}

/** A turn from chord to chord that a batten would hardly be bent through. */
const CORNER_RAD = 0.44;

/**
 * Where the other line turns sharply just where this one lies on it: most likely a corner, as at the foot of a stem.
 */
function cornerAt(lines: readonly HullLine[], line: HullLine, runOut: RunOut): LinesFinding[] {
  const other = lines.find(({ id }) => id === runOut.line);
  const k = other?.points.findIndex((point) => distance3(positionOf(point), runOut.at) < WORTH_SAYING_MM) ?? -1;
  const point = other?.points[k];
  const [before, after] = [other?.points[k - 1], other?.points[k + 1]];
  if (!other || !point || !before || !after || point.isKnuckle) return [];
  const [into, out] = [sub3(positionOf(point), positionOf(before)), sub3(positionOf(after), positionOf(point))];
  const turnRad = Math.acos(Math.min(1, dot3(unit3(into), unit3(out))));
  if (turnRad < CORNER_RAD) return [];
  return [
    {
      severity: 'check',
      code: 'corner-not-broken',
      where: { stage: 'lines', line: other.id, station: point.station, x: point.x },
      data: { line: line.name, other: other.name, xMm: point.x, turnDeg: toDeg(turnRad) },
      remedies: [
        {
          label: `Break ${other.name.toLowerCase()} there`,
          edits: [{ path: pointPath(other.id, point.index, 'isKnuckle'), value: true }],
        },
      ],
    },
  ];
}

/** The end of the line put there, to the hundredth of a millimetre. */
export function endEdits(line: HullLine, end: End, [x, y, z]: Vec3): Edit[] {
  const { index } = at(line.points, end === 'fore' ? 0 : -1);
  const figures = { x, halfBreadth: y, height: z };
  return (['x', 'halfBreadth', 'height'] as const).map((key) => ({
    path: pointPath(line.id, index, key),
    value: Math.round(figures[key] * 100) / 100,
  }));
}
