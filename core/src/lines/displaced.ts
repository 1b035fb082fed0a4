/**
 * A hull whose sections do not stand where they were drawn: its battens as they run through them.
 *
 * Method (derived here): where a line passes a section's plane, it goes with the section; between sections, and to the
 * line's ends, which stay, it goes as a batten bends: by a cubic spline of the displacement along the line. So a line
 * of which no section moved is the line as drawn, point for point. Its table's points are displaced so, a point is put
 * in where a section that moved has none, and the batten is bent through them.
 * Accuracy: where every inner point of a line is in a section, the same as a table with those points moved.
 */
import { at, bracketedRoot, distance3, dot3, evaluateTangent, fitSpline, sub3, uEnd, type Vec3 } from '../geometry';
import { battenAt, type Batten } from './batten';
import type { Hull } from './hull';
import { bendPoints, positionOf, type HullLine } from './hull-line';
import { joinRunOuts } from './run-outs';

/** A section as it was drawn, by its plane, and where a point of it went. */
export type MovedSection = {
  readonly plane: { readonly normal: Vec3; readonly level: number };
  readonly move: (point: Vec3) => Vec3;
  /** The one line that it is about; absent: all. */
  readonly line?: string;
};

/** A place of the table this near to a section is in it, mm along. */
const IN_SECTION_MM = 1;
/** A section that went less far has not moved, mm. */
const MOVED_MM = 1e-6;
/** Where the line is looked at for the plane. */
const LOOKS = 180;

/** The hull's panels' lines displaced; everything else as it was. */
export function displaced(hull: Hull, sections: readonly MovedSection[]): Hull {
  const moved = hull.lines.map((line) => displacedLine(line, sections));
  // what lies on the centreline as drawn bounds the same panels when it stands beside it
  const lines = joinRunOuts(moved).map((line, k) => ({ ...line, isOnCentreline: at(hull.lines, k).isOnCentreline }));
  return { ...hull, lines };
}

/** Where along the line, by its parameter, and by how much it went. */
type Held = { readonly t: number; readonly by: Vec3 };

function displacedLine(line: HullLine, sections: readonly MovedSection[]): HullLine {
  const { batten } = line;
  const held = sections.flatMap(({ plane, move, line: only }): Held[] => {
    if (only !== undefined && only !== line.id) return [];
    const t = crossing(batten, plane);
    if (t === undefined) return [];
    const { position } = battenAt(batten, t);
    return [{ t, by: sub3(move(position), position) }];
  });
  if (held.every(({ by }) => Math.hypot(...by) < MOVED_MM)) return line;
  const near = IN_SECTION_MM / batten.chordMm;
  const inner = held.filter(({ t }) => t > near && t < 1 - near).sort((a, b) => a.t - b.t);
  const apart = inner.filter(({ t }, k) => k === 0 || t - at(inner, k - 1).t > near);
  const displacement = displacementOf(batten, apart);
  const ts = tableParameters(batten);
  const own = line.points.map((point, k) => ({ point, t: at(ts, k) }));
  const extra = apart
    .filter(({ t, by }) => Math.hypot(...by) >= MOVED_MM && ts.every((other) => Math.abs(other - t) > near))
    .map(({ t }) => ({ point: pointBetween(line, t), t }));
  const all = [...own, ...extra].sort((a, b) => a.t - b.t);
  const points = all.map(({ point, t }) => {
    const [x, halfBreadth, height] = added(positionOf(point), displacement(t));
    return { ...point, x, halfBreadth, height };
  });
  return points.some((p, k) => k > 0 && distance3(positionOf(p), positionOf(at(points, k - 1))) < IN_SECTION_MM / 10)
    ? line
    : bendPoints(line, points);
}

const added = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

/** Where the table's points lie, by the parameter: at the splines' knots. */
const tableParameters = ({ pieces, breaks, chordMm }: Batten): number[] => [
  ...pieces.flatMap(({ knots }, i) => knots.slice(0, -1).map((u) => at(breaks, i) + u / chordMm)),
  1,
];

/** A point of the line between those of the table; it has no index there. */
function pointBetween(line: HullLine, t: number): HullLine['points'][number] {
  const [x, halfBreadth, height] = battenAt(line.batten, t).position;
  return { ...at(line.points, 0), x, halfBreadth, height, station: '', isKnuckle: false, index: -1 };
}

/** The first place at which the line passes the plane. */
function crossing(batten: Batten, { normal, level }: MovedSection['plane']): number | undefined {
  const off = (t: number) => dot3(battenAt(batten, t).position, normal) - level;
  for (let k = 0; k < LOOKS; k++) {
    const [from, to] = [k / LOOKS, (k + 1) / LOOKS];
    const [a, b] = [off(from), off(to)];
    if (a === 0) return from;
    if (a < 0 !== b < 0) return bracketedRoot(off, from, to, 1e-12) ?? to;
  }
  return off(1) === 0 ? 1 : undefined;
}

/** Its spline's chords are lengths along the line to 1e-12 where displacements are made so small. */
const SMALL = 1e-6;

function displacementOf({ chordMm }: Batten, held: readonly Held[]): (t: number) => Vec3 {
  const all = [{ t: 0, by: [0, 0, 0] as const }, ...held, { t: 1, by: [0, 0, 0] as const }];
  const [first, second] = [
    fitSpline(all.map(({ t, by }): Vec3 => [t * chordMm, by[0] * SMALL, by[1] * SMALL])),
    fitSpline(all.map(({ t, by }): Vec3 => [t * chordMm, by[2] * SMALL, 0])),
  ];
  return (t) => {
    const place = (spline: typeof first) => evaluateTangent(spline, t * uEnd(spline)).position;
    return [place(first)[1] / SMALL, place(first)[2] / SMALL, place(second)[1] / SMALL];
  };
}
