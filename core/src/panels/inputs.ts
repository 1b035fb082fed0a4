/**
 * What a panel is developed from: two edges, each a line of the hull or a row of stretches of lines.
 *
 * A panel lies between each two neighbouring lines; where the lowest line keeps off the centreline, one panel spans
 * from it to its mirror. Where a line runs out on another, the panel beyond goes on along that (lines/run-outs.ts).
 * Conventions: an edge has one parameter from 0 at its fore end to 1, in each stretch even with the line's own, and
 * each stretch takes as much of it as its share of the chords.
 */
import { at, type CurveTangent, type Vec3 } from '../geometry';
import { battenAt, edgeRows, type Hull, type HullLine, type LineStretch } from '../lines';
import type { EdgeCurve } from '../surface';

export type PanelInput = {
  /** The lines that the panel is named by. */
  readonly lower: HullLine;
  readonly upper: HullLine;
  /** What its lower and its upper edge run along, from the bow aft. */
  readonly rows: readonly [readonly LineStretch[], readonly LineStretch[]];
  readonly name: string;
  readonly spansCentreline: boolean;
};

/** Part of a panel's edge that runs along one line: by the edge's parameter, and by the line's own. */
export type EdgeStretch = {
  readonly line: string;
  readonly from: number;
  readonly to: number;
  readonly lineFrom: number;
  readonly lineTo: number;
};

/** The panels' edges, lowest panel first, with their names. */
export function panelInputs(hull: Pick<Hull, 'lines' | 'otherLowest'>, ends: readonly LineEnds[] = []): PanelInput[] {
  const { lines } = hull;
  const lowest = lines[0];
  if (!lowest) return [];
  const inputs = edgeRows(lines).map(({ lower, upper }, k) => ({
    lower: at(lines, k),
    upper: at(lines, k + 1),
    rows: [endedAt(lower, ends), endedAt(upper, ends)] as const,
    name: '',
    spansCentreline: false,
  }));
  const whole = endedAt([{ line: lowest, from: 0, to: 1 }], ends);
  const other = hull.otherLowest ? endedAt([{ line: hull.otherLowest, from: 0, to: 1 }], ends) : whole;
  const bottom = { lower: lowest, upper: lowest, rows: [other, whole] as const, name: '', spansCentreline: true };
  const all = lowest.isOnCentreline ? inputs : [bottom, ...inputs];
  return all.map((input, i) => ({ ...input, name: panelName(i, all.length) }));
}

/** Where panels end on lines at a transom, by the line's parameter, before or beyond the line's own end. */
export type LineEnds = {
  readonly end: 'fore' | 'aft';
  readonly lines: readonly { readonly id: string; readonly t: number }[];
};

function endedAt(row: readonly LineStretch[], ends: readonly LineEnds[]): readonly LineStretch[] {
  const last = row.length - 1;
  const placeOf = (line: string, end: 'fore' | 'aft') =>
    ends.find((one) => one.end === end)?.lines.find(({ id }) => id === line)?.t;
  return row.map((stretch, k) => ({
    ...stretch,
    from: k === 0 && stretch.from === 0 ? (placeOf(stretch.line.id, 'fore') ?? 0) : stretch.from,
    to: k === last && stretch.to === 1 ? (placeOf(stretch.line.id, 'aft') ?? 1) : stretch.to,
  }));
}

function panelName(index: number, count: number): string {
  if (index === count - 1) return 'Side';
  return index === 0 ? 'Bottom' : `Strake ${index + 1}`;
}

export const panelIdOf = (input: Pick<PanelInput, 'lower' | 'upper'>): string => `${input.lower.id}-${input.upper.id}`;

/** The curves of the panel's lower and upper edge. */
export const edgesOf = ({ rows, spansCentreline }: PanelInput): readonly [EdgeCurve, EdgeCurve] => [
  edgeCurve(rows[0], spansCentreline),
  edgeCurve(rows[1], false),
];

/** Both edges' stretches by name. */
export const stretchesOf = ({ rows }: PanelInput): readonly [readonly EdgeStretch[], readonly EdgeStretch[]] => [
  stretchesAlong(rows[0]),
  stretchesAlong(rows[1]),
];

function stretchesAlong(row: readonly LineStretch[]): EdgeStretch[] {
  const joins = joinsOf(row);
  return row.map(({ line, from, to }, k) => ({
    line: line.id,
    from: at(joins, k),
    to: at(joins, k + 1),
    lineFrom: from,
    lineTo: to,
  }));
}

/** The edge's parameter where each of its stretches begins, and 1. */
function joinsOf(row: readonly LineStretch[]): number[] {
  const chords = row.map(({ line, from, to }) => (to - from) * line.batten.chordMm);
  const total = chords.reduce((sum, chord) => sum + chord, 0);
  const joins = [0];
  for (const chord of chords) joins.push(at(joins, -1) + chord / total);
  joins[joins.length - 1] = 1;
  return joins;
}

/** Which stretch the edge's parameter lies in; at a join the one before (-1) or after (1). */
function stepAt(joins: readonly number[], u: number, side: -1 | 1): number {
  let k = 0;
  while (k < joins.length - 2 && (side === 1 ? u >= joins[k + 1]! : u > joins[k + 1]!)) k++; // bounded by the loop
  return k;
}

/** The stretch in which the edge's parameter lies, and the line's own there; at a join `side` chooses. */
export function placeOnRow(row: readonly LineStretch[], u: number, side: -1 | 1 = 1): { line: HullLine; t: number } {
  const joins = joinsOf(row);
  const k = stepAt(joins, u, side);
  const { line, from, to } = at(row, k);
  return { line, t: from + ((u - at(joins, k)) / (at(joins, k + 1) - at(joins, k))) * (to - from) };
}

function edgeCurve(row: readonly LineStretch[], isMirrored: boolean): EdgeCurve {
  const curve = curveAlong(row);
  if (!isMirrored) return curve;
  const mirror = ([x, y, z]: Vec3): Vec3 => [x, -y, z];
  return {
    at: (t, side) => {
      const point = curve.at(t, side);
      return { position: mirror(point.position), first: mirror(point.first) };
    },
    knuckles: curve.knuckles,
  };
}

function curveAlong(row: readonly LineStretch[]): EdgeCurve {
  const only = row.length === 1 ? at(row, 0) : undefined;
  // nearly every edge: read as it is, without a row to go through
  if (only && only.from === 0 && only.to === 1)
    return { at: (t, side) => battenAt(only.line.batten, t, side), knuckles: only.line.batten.breaks.slice(1, -1) };
  const joins = joinsOf(row);
  const inner = row.flatMap(({ line, from, to }, k) =>
    line.batten.breaks.flatMap((t) =>
      t > from + ON_JOIN && t < to - ON_JOIN
        ? [at(joins, k) + ((t - from) / (to - from)) * (at(joins, k + 1) - at(joins, k))]
        : [],
    ),
  );
  const knuckles = [...joins.slice(1, -1), ...inner].sort((a, b) => a - b);
  const read = (u: number, side: -1 | 1 = 1): CurveTangent => {
    const k = stepAt(joins, u, side);
    const { line, from, to } = row[k]!; // in bounds, there and below
    const share = (u - joins[k]!) / (joins[k + 1]! - joins[k]!);
    // at the stretch's own ends the tangent within it, whatever the side of the edge
    const within = share <= 0 ? 1 : share >= 1 ? -1 : side;
    return battenAt(line.batten, from + Math.min(1, Math.max(0, share)) * (to - from), within);
  };
  return { at: read, knuckles };
}

/** A knuckle this near to a join is one with it. */
const ON_JOIN = 1e-6;
