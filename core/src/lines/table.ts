/**
 * The table of offsets as plans print it, a column a station and a row a line, read off the lines' own lists of points;
 * and the changes of its rows and columns. Every change gives new lines and leaves the old ones alone.
 *
 * Lines keep points, not columns: a column is the points that share a label, wherever each line has its own.
 */
import { at, dot3, lerp3, sub3, type Vec3 } from '../geometry';
import { battenAt, crossingsOfX } from './batten';
import { bendLines, linesToEnd } from './hull';
import { positionOf, type HullLine } from './hull-line';
import type { Longitudinal, OffsetPoint, TableStation } from './schema';

export type Lines = readonly Longitudinal[];
export type FigureKey = 'x' | 'halfBreadth' | 'height';

export type TableColumn = {
  /** The same as long as the label is; a label that a line has twice counts on. */
  readonly key: string;
  readonly label: string;
  /** mm; null where it is not known yet, or the lines have it each at their own x: a raked end. */
  readonly x: number | null;
  /** Each line has its own x there. */
  readonly isOwn: boolean;
  /** By line: the index of its point. */
  readonly cells: ReadonlyMap<string, number>;
};

/** Closer in x than this is one station: far below what is marked out. */
const SAME_X_MM = 0.05;

/**
 * The columns in the order of the lines' points, and of `stations`, those that stand without points; where these leave
 * it open, by x.
 */
export function tableColumns(lines: Lines, stations: readonly TableStation[] = []): TableColumn[] {
  const cells = new Map<string, Map<string, number>>(stations.map(({ label }) => [label, new Map()]));
  const after = new Map<string, Set<string>>();
  stations.slice(1).forEach(({ label }, i) => after.set(at(stations, i).label, new Set([label])));
  const declared = new Map(stations.map((station) => [station.label, station]));
  for (const line of lines) {
    let before: string | undefined;
    const seen = new Map<string, number>();
    line.points.forEach((point, index) => {
      const name = point.station === '' ? `x ${Math.round(point.x)}` : point.station;
      const count = (seen.get(name) ?? 0) + 1;
      seen.set(name, count);
      const key = count === 1 ? name : `${name} (${count})`;
      const column = cells.get(key) ?? new Map<string, number>();
      cells.set(key, column.set(line.id, index));
      if (before !== undefined) after.set(before, (after.get(before) ?? new Set()).add(key));
      before = key;
    });
  }
  const pointAt = (id: string, index: number) => lines.find((line) => line.id === id)?.points[index];
  const pointsOf = (key: string) => [...(cells.get(key) ?? [])].flatMap(([id, index]) => pointAt(id, index) ?? []);
  const xs = new Map([...cells.keys()].map((key) => [key, pointsOf(key).map((p) => p.x)]));
  const placeOf = (key: string) => placeOfColumn(xs.get(key) ?? [], stations, key);
  return inOrder([...cells.keys()], after, placeOf).map((key) => {
    const [x, ...others] = xs.get(key) ?? [];
    const station = declared.get(key);
    const isOwn = station?.isOwn === true || others.some((other) => Math.abs(other - (x ?? other)) >= SAME_X_MM);
    return {
      ...{ key, isOwn },
      label: pointsOf(key)[0]?.station ?? key,
      x: isOwn ? null : (x ?? station?.x ?? null),
      cells: cells.get(key) ?? new Map<string, number>(),
    };
  });
}

/** About where a column stands: its points, or what is said of it, or just after what stands before it. */
function placeOfColumn(xs: readonly number[], stations: readonly TableStation[], key: string): number {
  if (xs.length > 0) return mean(xs);
  const index = stations.findIndex(({ label }) => label === key);
  const known = stations.slice(0, index + 1).flatMap(({ x }) => (x === null ? [] : [x]));
  return known[known.length - 1] ?? -Infinity;
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

/** Kahn's order, the furthest forward first where several may come; lines that disagree are settled by x. */
function inOrder(
  keys: readonly string[],
  after: ReadonlyMap<string, ReadonlySet<string>>,
  xOf: (key: string) => number,
) {
  const waiting = new Map(keys.map((key) => [key, 0]));
  for (const followers of after.values()) for (const key of followers) waiting.set(key, (waiting.get(key) ?? 0) + 1);
  const left = [...keys].sort((a, b) => xOf(a) - xOf(b));
  const sorted: string[] = [];
  while (left.length > 0) {
    const free = left.findIndex((key) => waiting.get(key) === 0);
    const [key] = left.splice(Math.max(0, free), 1);
    if (key === undefined) break;
    sorted.push(key);
    for (const follower of after.get(key) ?? []) waiting.set(follower, (waiting.get(follower) ?? 0) - 1);
  }
  return sorted;
}

const inserted = <T>(items: readonly T[], index: number, item: T): T[] => [
  ...items.slice(0, index),
  item,
  ...items.slice(index),
];

const changeLine = (lines: Lines, id: string, change: (line: Longitudinal) => Longitudinal): Longitudinal[] =>
  lines.map((line) => (line.id === id ? change(line) : line));

/** Every point of the column changed. */
export const changeColumn = (
  lines: Lines,
  column: TableColumn,
  change: (point: OffsetPoint) => OffsetPoint,
): Longitudinal[] =>
  lines.map((line) => {
    const index = column.cells.get(line.id);
    return index === undefined
      ? line
      : { ...line, points: line.points.map((point, i) => (i === index ? change(point) : point)) };
  });

export const removeColumn = (lines: Lines, column: TableColumn): Longitudinal[] =>
  lines.map((line) => {
    const index = column.cells.get(line.id);
    return index === undefined ? line : { ...line, points: line.points.filter((_, i) => i !== index) };
  });

/** The column put before or after its neighbour, or the one named, on every line that has both. */
export function moveColumn(lines: Lines, key: string, by: 1 | -1, neighbour?: string): Longitudinal[] {
  const columns = tableColumns(lines);
  const place = columns.findIndex((column) => column.key === key);
  const own = columns[place];
  const other = neighbour === undefined ? columns[place + by] : columns.find((column) => column.key === neighbour);
  if (!own || !other) return [...lines];
  return lines.map((line) => {
    const [i, j] = [own.cells.get(line.id), other.cells.get(line.id)];
    if (i === undefined || j === undefined) return line;
    const points = [...line.points];
    [points[i], points[j]] = [at(line.points, j), at(line.points, i)];
    return { ...line, points };
  });
}

export type TableChange =
  { readonly ok: true; readonly lines: Longitudinal[] } | { readonly ok: false; readonly reason: string };

/** A station at x: a point more on every line that passes there, on its batten, so that nothing changes shape. */
export function addStation(lines: Lines, x: number, label: string): TableChange {
  if (tableColumns(lines).some((column) => column.label === label))
    return { ok: false, reason: `There is a station ${label} already; expected another name` };
  const { value } = bendLines({ longitudinals: [...lines] });
  const bent = [...value.lines, ...value.extras];
  let count = 0;
  const changed = lines.map((line) => {
    const hullLine = bent.find((other) => other.id === line.id);
    const place = hullLine ? placeOnLine(hullLine, x) : undefined;
    if (!place) return line;
    count++;
    const point = { station: label, x, halfBreadth: tenth(place.position[1]), height: tenth(place.position[2]) };
    return { ...line, points: inserted(line.points, place.index, point) };
  });
  if (count > 0) return { ok: true, lines: changed };
  const range = `${Math.round(value.fromX)} to ${Math.round(value.toX)} mm`;
  return { ok: false, reason: `No line passes x ${Math.round(x)} mm; expected ${range}` };
}

const tenth = (mm: number) => Math.round(mm * 10) / 10;

/** Where the line passes x, and between which points; none where it does not or already has a point. */
function placeOnLine(line: HullLine, x: number): { readonly index: number; readonly position: Vec3 } | undefined {
  if (line.points.some((p) => Math.abs(p.x - x) < SAME_X_MM)) return undefined;
  const [t] = crossingsOfX(line.batten, x);
  if (t === undefined) return undefined;
  const { position } = battenAt(line.batten, t);
  const next = line.points.findIndex((p, i) => {
    const before = line.points[i - 1];
    return before !== undefined && (before.x - x) * (p.x - x) < 0;
  });
  return next < 0 ? undefined : { index: at(line.points, next).index, position };
}

/**
 * A line more, between the one named and the next above it: halfway between the two, as a first guess to type over;
 * above the uppermost, a tenth of the length higher.
 */
export function addLine(lines: Lines, name: string, above: string): TableChange {
  const id = name.toLowerCase().replace(/\s+/g, '-').slice(0, 60);
  if (id === '') return { ok: false, reason: 'Expected a name for the line' };
  if (lines.some((line) => line.id === id)) return { ok: false, reason: `There is a line ${name} already` };
  if (lines.length >= 20) return { ok: false, reason: '20 lines at most' };
  const place = lines.findIndex((line) => line.id === above);
  const [lower, upper] = [lines[place], lines[place + 1]];
  if (!lower) return { ok: true, lines: [...lines, { id, name, points: [] }] };
  const points = lower.points.map(({ station, x, halfBreadth, height }): OffsetPoint => {
    const own = { station, x, halfBreadth, height };
    const other = upper?.points.find((p) => p.station === station);
    if (!other) return { ...own, height: tenth(height + 100) };
    const [mx, my, mz] = lerp3(positionOf(own), positionOf(other), 0.5);
    return { station, x: tenth(mx), halfBreadth: tenth(my), height: tenth(mz) };
  });
  return { ok: true, lines: inserted(lines, place + 1, { id, name, points }) };
}

export const removeLine = (lines: Lines, id: string): Longitudinal[] => lines.filter((line) => line.id !== id);

export function moveLine(lines: Lines, id: string, by: 1 | -1): Longitudinal[] {
  const from = lines.findIndex((line) => line.id === id);
  const [own, other] = [lines[from], lines[from + by]];
  if (!own || !other) return [...lines];
  return lines.map((line) => (line === own ? other : line === other ? own : line));
}

/**
 * The table read from the other end, for plans that are measured from the transom forward; the boat keeps its length.
 */
export function endForEnd(lines: Lines): Longitudinal[] {
  const xs = lines.flatMap((line) => line.points.map((p) => p.x));
  const sum = xs.length > 0 ? Math.min(...xs) + Math.max(...xs) : 0;
  return lines.map((line) => ({
    ...line,
    points: [...line.points].reverse().map((point) => ({ ...point, x: sum - point.x })),
  }));
}

/**
 * Heights that were typed as distances below a line `from` above the base, made heights above it. Twice gives the
 * same back.
 */
export const turnHeights = (lines: Lines, from: number): Longitudinal[] =>
  lines.map((line) => ({ ...line, points: line.points.map((p) => ({ ...p, height: from - p.height })) }));

export const removePoint = (lines: Lines, id: string, index: number): Longitudinal[] =>
  changeLine(lines, id, (line) => ({ ...line, points: line.points.filter((_, i) => i !== index) }));

export type EndPlane = {
  /** Where it meets the base line, mm. */ readonly atBase: number;
  /** Positive where its top lies further aft. */ readonly rakeDeg: number;
};

/**
 * The flat end at bow or stern that the lines' last points lie in, by least squares; none where lines meet in a stem.
 */
export function endPlane(lines: Lines, end: 'fore' | 'aft'): EndPlane | null {
  const ends = endPoints(lines, end);
  if (ends.length < 2 || !ends.some((p) => p.halfBreadth > SAME_X_MM)) return null;
  const [mx, mz] = [mean(ends.map((p) => p.x)), mean(ends.map((p) => p.height))];
  const spread = ends.reduce((sum, p) => sum + (p.height - mz) ** 2, 0);
  if (spread < 1) return null;
  const slope = ends.reduce((sum, p) => sum + (p.height - mz) * (p.x - mx), 0) / spread;
  return { atBase: mx - slope * mz, rakeDeg: (Math.atan(slope) * 180) / Math.PI };
}

/** Of the lines that go all the way there. */
const endPoints = (lines: Lines, end: 'fore' | 'aft'): OffsetPoint[] =>
  linesToEnd(bendLines({ longitudinals: [...lines] }).value, end).map(({ points }) =>
    at(points, end === 'fore' ? 0 : -1),
  );

/** Every line brought to end in the plane, along its own batten or straight on from its end. Angles under 60°. */
export function setEndPlane(lines: Lines, end: 'fore' | 'aft', plane: EndPlane): TableChange {
  if (!(Math.abs(plane.rakeDeg) <= MOST_RAKE_DEG))
    return { ok: false, reason: `Expected a rake of ${MOST_RAKE_DEG}° at most, either way` };
  const slope = Math.tan((plane.rakeDeg * Math.PI) / 180);
  const off = ([x, , z]: Vec3) => x - plane.atBase - slope * z;
  const { value } = bendLines({ longitudinals: [...lines] });
  const cut: Longitudinal[] = [];
  for (const line of lines) {
    const bent = value.lines.find((other) => other.id === line.id);
    const index = end === 'fore' ? 0 : line.points.length - 1;
    const tip = bent && line.points[index];
    // one that runs out on another stays on that
    if (!tip || bent.runOuts?.[end]) {
      cut.push(line);
      continue;
    }
    const to = meetPlane(bent, end, off);
    const next = line.points[end === 'fore' ? 1 : index - 1];
    if (!to || !next || (end === 'fore' ? to[0] >= next.x : to[0] <= next.x))
      return {
        ok: false,
        reason: `${line.name} would end beyond its next point; expected an end outside the stations`,
      };
    const moved = { ...tip, x: tenth(to[0]), halfBreadth: tenth(to[1]), height: tenth(to[2]) };
    cut.push({ ...line, points: line.points.map((p, i) => (i === index ? moved : p)) });
  }
  return { ok: true, lines: cut };
}

const MOST_RAKE_DEG = 60;

function meetPlane(line: HullLine, end: 'fore' | 'aft', off: (p: Vec3) => number): Vec3 | undefined {
  const [tip, inward] = end === 'fore' ? [0, 1] : [1, -1];
  const { position, first } = battenAt(line.batten, tip);
  const here = off(position);
  if (here === 0) return position;
  // inside: along the batten, in small steps and then by halves
  const STEPS = 400;
  for (let k = 1; k <= STEPS; k++) {
    let [a, b] = [tip + (inward * (k - 1)) / STEPS, tip + (inward * k) / STEPS];
    if (off(battenAt(line.batten, a).position) * off(battenAt(line.batten, b).position) > 0) continue;
    for (let i = 0; i < 40; i++) {
      const middle = (a + b) / 2;
      if (here * off(battenAt(line.batten, middle).position) > 0) a = middle;
      else b = middle;
    }
    return battenAt(line.batten, a).position;
  }
  // outside: straight on
  const along = off([position[0] + first[0], position[1] + first[1], position[2] + first[2]]) - here;
  if (along === 0) return undefined;
  const w = -here / along;
  const reached: Vec3 = [position[0] + w * first[0], position[1] + w * first[1], position[2] + w * first[2]];
  return dot3(sub3(reached, position), first) * inward <= 0 ? reached : undefined;
}
