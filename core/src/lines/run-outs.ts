/**
 * Lines that run out on a neighbour before its end: a chine that dies into the keel or the sheer, one that begins on
 * the stem where the keel's line is carried on up it.
 *
 * Method (derived here): an end of a line that lies within ON_LINE_MM of a neighbour's inside is on it. Its batten is
 * bent anew to end there exactly, so that panels close. Beyond it the panel on the line's far side goes on along the
 * neighbour, so a panel's edge is a row of stretches: of the neighbour, of the line, of the neighbour again. Rows are
 * made up from the lowest line upward for lower edges and from the highest down for upper ones, so that a line may
 * run out on a stretch of a line further off, as two chines on one stem. Accuracy: feet to 1e-7 mm, as two lines that
 * run out on each other are bent in turn until neither moves.
 */
import { at, bracketedRoot, distance3, dot3, sub3, type Vec3 } from '../geometry';
import { battenAt, type Batten } from './batten';
import { bendPoints, positionOf, type HullLine, type RunOut, type RunOuts } from './hull-line';

/** Part of a line, by its parameter t from 0 at its fore end to 1 at its after end. */
export type LineStretch = { readonly line: HullLine; readonly from: number; readonly to: number };

/** An end this near to a neighbouring line lies on it. */
const ON_LINE_MM = 3;
/** This near to the neighbour's own end it is where both end, as at a stem. */
const SHARED_END_MM = 12;
/** An end this near is perhaps meant to lie on it, */
export const NEAR_LINE_MM = 25;
/** if it is as far as this from where the neighbour ends. */
const FAR_FROM_END_MM = 80;
/** Lines that run out on each other are bent in turn until no end moves by more, */
const SETTLED_MM = 1e-7;
/** or so often: each time an end moves by a tenth of the time before, or less. */
const ROUNDS = 8;
/** The parameter of a foot is found to this. */
const FOOT_TOLERANCE = 1e-13;

export const ENDS = ['fore', 'aft'] as const;
export type End = (typeof ENDS)[number];
export const endPoint = (line: HullLine, end: End): Vec3 => positionOf(at(line.points, end === 'fore' ? 0 : -1));

/** The lines, lowest first, each of which runs out on another bent anew to end on it. */
export function joinRunOuts(lines: readonly HullLine[]): readonly HullLine[] {
  const found = findRunOuts(lines);
  let now = lines.map(plain);
  if (!found.some(({ ends }) => ends.length > 0)) return now;
  for (let round = 0; round < ROUNDS; round++) {
    let moved = 0;
    now = found.map(({ line, ends }, i) => {
      if (ends.length === 0) return at(now, i);
      const footOf = (end: End): RunOut | undefined => {
        const on = ends.find((known) => known.end === end)?.on;
        if (on === undefined) return undefined;
        const point = endPoint(line, end);
        const { batten, id } = at(now, on);
        const { t } = nearestOn(batten, point);
        const foot = battenAt(batten, t).position;
        moved = Math.max(moved, distance3(foot, battenAt(at(now, i).batten, end === 'fore' ? 0 : 1).position));
        return { line: id, t, at: foot, offMm: distance3(foot, point) };
      };
      return endingOn(line, { fore: footOf('fore'), aft: footOf('aft') });
    });
    if (moved < SETTLED_MM) break;
  }
  return now;
}

/** The line bent through its own points, ends and all. */
function plain(line: HullLine): HullLine {
  if (!line.runOuts) return line;
  const { runOuts: _, ...own } = line;
  return bendPoints(own, line.points);
}

/** The line bent to its table's points but for the ends, which lie where they run out. */
export function endingOn(line: HullLine, runOuts: RunOuts): HullLine {
  const put = (point: HullLine['points'][number], foot: RunOut | undefined) =>
    foot ? { ...point, x: foot.at[0], halfBreadth: foot.at[1], height: foot.at[2] } : point;
  const last = line.points.length - 1;
  const points = line.points.map((p, i) =>
    put(put(p, i === 0 ? runOuts.fore : undefined), i === last ? runOuts.aft : undefined),
  );
  return { ...line, batten: bendPoints(line, points).batten, runOuts };
}

type Found = { readonly line: HullLine; readonly ends: readonly { readonly end: End; readonly on: number }[] };
/** A row of stretches by the index of the line, from the bow aft. */
type Row = readonly { readonly line: number; readonly from: number; readonly to: number }[];

function findRunOuts(lines: readonly HullLine[]): Found[] {
  const ends = lines.map((): { end: End; on: number }[] => []);
  const look = (row: Row, i: number): Row => {
    const line = at(lines, i);
    const places = ENDS.map((end) =>
      at(ends, i).some((known) => known.end === end) ? undefined : placeOn(row, lines, endPoint(line, end)),
    );
    const [fore, aft] = places;
    // the wrong way round it is no line that this hull can have
    if (fore && aft && (fore.step > aft.step || (fore.step === aft.step && fore.t >= aft.t))) return [whole(i)];
    places.forEach((place, k) => place && at(ends, i).push({ end: at(ENDS, k), on: at(row, place.step).line }));
    return [...(fore ? before(row, fore) : []), whole(i), ...(aft ? beyond(row, aft) : [])];
  };
  let row: Row = [whole(0)];
  for (let i = 1; i < lines.length; i++) row = look(row, i);
  row = [whole(lines.length - 1)];
  for (let i = lines.length - 2; i >= 0; i--) row = look(row, i);
  return lines.map((line, i) => ({ line, ends: at(ends, i) }));
}

export const whole = (line: number) => ({ line, from: 0, to: 1 });
/** A place on a row: which of its stretches, and the parameter of that stretch's line. */
type Place = { readonly step: number; readonly t: number };

type Part = { readonly from: number; readonly to: number };
const hasLength = ({ from, to }: Part): boolean => to - from > NO_LENGTH;
/** A stretch this short of a line is none: two lines run out in one place. */
const NO_LENGTH = 1e-6;

const before = <T extends Part>(row: readonly T[], { step, t }: Place): T[] =>
  [...row.slice(0, step), { ...at(row, step), to: t }].filter(hasLength);
const beyond = <T extends Part>(row: readonly T[], { step, t }: Place): T[] =>
  [{ ...at(row, step), from: t }, ...row.slice(step + 1)].filter(hasLength);

/** Where on a row a point lies, away from its ends. */
export function placeOn(row: Row, lines: readonly HullLine[], point: Vec3, within = ON_LINE_MM): Place | undefined {
  const ends = [
    battenAt(at(lines, at(row, 0).line).batten, at(row, 0).from),
    battenAt(at(lines, at(row, -1).line).batten, at(row, -1).to),
  ];
  const clear = within === ON_LINE_MM ? SHARED_END_MM : FAR_FROM_END_MM;
  if (ends.some(({ position }) => distance3(position, point) < clear)) return undefined;
  for (const [step, { line, from, to }] of row.entries()) {
    const { t, distance } = nearestOn(at(lines, line).batten, point, [from, to]);
    if (distance < within) return { step, t };
  }
  return undefined;
}

/** Parts of the way from point to point of the batten in which its nearest place is looked for. */
const PARTS = 6;

type Nearest = { readonly t: number; readonly distance: number };
const FAR_OFF: Nearest = { t: 0, distance: Infinity };

/**
 * The place of the batten nearest to a point, between two parameters; one that is not near at all is not looked for.
 */
export function nearestOn(batten: Batten, point: Vec3, [from, to]: readonly [number, number] = [0, 1]): Nearest {
  const inner = placesBeside(batten, point);
  if (inner.length === 0) return FAR_OFF;
  // a knuckle draws what comes near: a hair's breadth of line between the two would be an edge of its own
  const off = (t: number) => distance3(battenAt(batten, t).position, point);
  const knuckle = batten.breaks.slice(1, -1).find((t) => t >= from && t <= to && off(t) < ON_LINE_MM);
  if (knuckle !== undefined) return { t: knuckle, distance: off(knuckle) };
  const ts = [from, ...inner.filter((t) => t > from && t < to), to];
  const distances = ts.map(off);
  const k = distances.indexOf(Math.min(...distances));
  // half of how fast the square of the distance grows with t: nought where the point lies square to the batten
  const slope = (side: -1 | 1) => (t: number) => {
    const { position, first } = battenAt(batten, t, side);
    return dot3(sub3(position, point), first);
  };
  // it lies in one of the two parts beside the nearest sample, unless that is an end or a knuckle
  const t =
    (k > 0 ? bracketedRoot(slope(-1), at(ts, k - 1), at(ts, k), FOOT_TOLERANCE) : undefined) ??
    (k < ts.length - 1 ? bracketedRoot(slope(1), at(ts, k), at(ts, k + 1), FOOT_TOLERANCE) : undefined) ??
    at(ts, k);
  return { t, distance: off(t) };
}

/** Parameters at which the batten is looked at: where it passes from point to point near enough. */
function placesBeside({ pieces, breaks, chordMm }: Batten, point: Vec3): number[] {
  const places: number[] = [];
  pieces.forEach((piece, i) => {
    const offs = piece.points.map((p) => distance3(p, point));
    for (let k = 1; k < piece.knots.length; k++) {
      // in bounds by the loop, as below
      const [start, long] = [piece.knots[k - 1]!, piece.knots[k]! - piece.knots[k - 1]!];
      // a batten does not stray from between two points by more than half their distance
      if (Math.min(offs[k - 1]!, offs[k]!) > long + NEAR_LINE_MM) continue;
      for (let part = 0; part <= PARTS; part++) places.push(breaks[i]! + (start + (long * part) / PARTS) / chordMm);
    }
  });
  return [...new Set(places)];
}

/** A panel's two edges, each as a row of stretches from the bow aft. */
export type EdgeRows = { readonly lower: readonly LineStretch[]; readonly upper: readonly LineStretch[] };

/** The edges of the panel between each line and the next, lowest first; the lines as joinRunOuts left them. */
export function edgeRows(lines: readonly HullLine[]): EdgeRows[] {
  const lower = rowsAlong(lines);
  const upper = rowsAlong([...lines].reverse()).reverse();
  return lines.slice(1).map((line, k) => {
    const below = at(lines, k);
    return { lower: trimmed(at(lower, k), line), upper: trimmed(at(upper, k + 1), below) };
  });
}

/** Of each line, as the edge of the panel beyond it: the line, and what it runs out on of those before it. */
function rowsAlong(lines: readonly HullLine[]): (readonly LineStretch[])[] {
  const rows: (readonly LineStretch[])[] = [];
  for (const line of lines) {
    const past = rows[rows.length - 1];
    const [fore, aft] = ENDS.map((end) => past && runOutOn(past, line, end));
    rows.push([
      ...(past && fore ? before(past, fore) : []),
      { line, from: 0, to: 1 },
      ...(past && aft ? beyond(past, aft) : []),
    ]);
  }
  return rows;
}

function runOutOn(row: readonly LineStretch[], line: HullLine, end: End): Place | undefined {
  const runOut = line.runOuts?.[end];
  const step = runOut
    ? row.findIndex((part) => part.line.id === runOut.line && part.from <= runOut.t && runOut.t <= part.to)
    : -1;
  return runOut && step !== -1 ? { step, t: runOut.t } : undefined;
}

/** What of a row the panel towards `line` has: from where that runs out on it to where it does again. */
function trimmed(row: readonly LineStretch[], line: HullLine): readonly LineStretch[] {
  const [fore, aft] = [runOutOn(row, line, 'fore'), runOutOn(row, line, 'aft')];
  // the aft end first: it leaves the steps before it where they are
  const upToAft = aft ? before(row, aft) : row;
  const left = fore ? beyond(upToAft, fore) : upToAft;
  // of lines in a knot nothing may be left
  return left.length > 0 ? left : row;
}
