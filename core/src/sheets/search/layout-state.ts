/**
 * Parts as they stand on sheets, overlaps allowed: what each pair's overlap is, and what a part's place costs.
 *
 * Flat arrays by the copy's number: the search moves parts many thousand times a second.
 */
import { at, turned, type Box, type Region } from '../../geometry';
import { toRad } from '../../measure';
import { distancesOf, nearDistance, trueDistance, type Distances } from './distances';

export type SearchPose = {
  /** The part, turned over or not, that it is a turn of. */
  readonly shape: number;
  /** Its place among the turns. */
  readonly turn: number;
  readonly cos: number;
  readonly sin: number;
  readonly rotationDeg: number;
  readonly isMirrored: boolean;
  readonly box: Box;
};
export type SearchPart = {
  readonly poses: readonly SearchPose[];
  readonly areaMm2: number;
  /** No part at all: something to be kept clear of. */
  readonly isBlock?: boolean;
};
export type SearchSheet = { readonly widthMm: number; readonly heightMm: number };

export type Problem = {
  readonly parts: readonly SearchPart[];
  /** The part that each copy is of. */
  readonly copies: readonly number[];
  /** Whether each copy stays where it stands. */
  readonly fixed: readonly boolean[];
  /** About the origin, not turned. */
  readonly shapes: readonly Region[];
  /** Degrees. */
  readonly turns: readonly number[];
  readonly sheets: readonly SearchSheet[];
  readonly marginMm: number;
  /** What is kept between two parts, and a little more. */
  readonly apartMm: number;
};

/** Where each copy stands. */
export type Places = {
  readonly pose: Int16Array;
  readonly sheet: Int16Array;
  readonly x: Float64Array;
  readonly y: Float64Array;
};

export const copyOfPlaces = ({ pose, sheet, x, y }: Places): Places => ({
  ...{ pose: pose.slice(), sheet: sheet.slice(), x: x.slice(), y: y.slice() },
});

function setPlaces(to: Places, from: Places): void {
  to.pose.set(from.pose);
  to.sheet.set(from.sheet);
  to.x.set(from.x);
  to.y.set(from.y);
}

/** What fits to the last fits. */
const ROUNDING_MM = 1e-6;
/** How deep a pair may overlap and be counted as apart: less than what is kept over the gap. */
export const NOUGHT_MM = 0.019;
/** Nearer to touching than this many cells the grid is not believed. */
const DOUBT_CELLS = 1;

/** Kept at a time: some hundred megabytes. */
const MOST_TABLES = 12_000;

/** The tables of a problem, made when they are first asked for: of one pose turned against the other. */
export type Tables = (still: SearchPose, moving: SearchPose) => Distances;

export function tablesOf({ shapes, turns, apartMm }: Problem): Tables {
  // by the two shapes, then by how one is turned against the other
  const none = (): (Distances | undefined)[][] => new Array(shapes.length ** 2);
  let known = none();
  let kept = 0;
  const count = turns.length;
  // turns against each other that are the same have one number
  const ids = new Map<number, number>();
  const against = Int32Array.from(
    turns.flatMap((still) =>
      turns.map((moving) => {
        const turn = Math.round((((moving - still) % 360) + 360) * 1e6) % 360e6;
        const id = ids.get(turn) ?? ids.size;
        ids.set(turn, id);
        return id;
      }),
    ),
  );
  return (still, moving) => {
    const turn = against[still.turn * count + moving.turn]!; // one for each two turns
    const key = still.shape * shapes.length + moving.shape;
    const before = known[key]?.[turn];
    if (before) return before;
    const turned = turnedBy(at(shapes, moving.shape), moving.rotationDeg - still.rotationDeg);
    if (kept >= MOST_TABLES) {
      known = none();
      kept = 0;
    }
    const made = distancesOf(at(shapes, still.shape), turned, apartMm);
    const row = (known[key] ??= []);
    row[turn] = made;
    kept++;
    return made;
  };
}

const turnedBy = ({ outline, holes }: Region, deg: number): Region => ({
  outline: turned(outline, toRad(deg)),
  holes: holes.map((hole) => turned(hole, toRad(deg))),
});

export type State = {
  readonly problem: Problem;
  readonly tables: Tables;
  readonly places: Places;
  /** Each copy's pose as it stands. */
  readonly standing: SearchPose[];
  /** The box about each copy as it stands: left, low, right, top. */
  readonly boxes: Float64Array;
  /** What a millimetre of overlap of two copies costs. */
  readonly weights: Float64Array;
  /** To which that fades. */
  readonly leastWeights: Float64Array;
  /** The room in use along each sheet: the last is shortened. */
  readonly limits: Float64Array;
  /** The places that each pose of a part may take on each sheet, as `setLimits` last left them. */
  readonly rooms: (readonly (readonly (Box | undefined)[])[])[];
};

/** Takes over where all stand. */
export function standAt(state: State, places: Places): void {
  setPlaces(state.places, places);
  for (let copy = 0; copy < state.problem.copies.length; copy++) stood(state, copy);
}

export function standCopy(state: State, copy: number, to: Place): void {
  const { places } = state;
  places.pose[copy] = to.pose;
  places.sheet[copy] = to.sheet;
  places.x[copy] = to.x;
  places.y[copy] = to.y;
  stood(state, copy);
}

/** After a copy's place was changed. */
export function stood({ places, problem, standing, boxes }: State, copy: number): void {
  const pose = at(at(problem.parts, at(problem.copies, copy)).poses, places.pose[copy]!); // each copy has one
  standing[copy] = pose;
  boxes[4 * copy] = places.x[copy]! + pose.box.minX;
  boxes[4 * copy + 1] = places.y[copy]! + pose.box.minY;
  boxes[4 * copy + 2] = places.x[copy]! + pose.box.maxX;
  boxes[4 * copy + 3] = places.y[copy]! + pose.box.maxY;
}

export type Place = { readonly pose: number; readonly sheet: number; readonly x: number; readonly y: number };

export const poseOf = ({ standing }: State, copy: number): SearchPose => standing[copy]!; // each copy has one

/** How deep a pair overlaps, counted from the distance that is wanted; nought when they are on different sheets. */
export function depthOf(state: State, a: number, b: number): number {
  const { places, problem } = state;
  if (places.sheet[a] !== places.sheet[b]) return 0;
  const [first, second] = [poseOf(state, a), poseOf(state, b)];
  const [dx, dy] = [places.x[b]! - places.x[a]!, places.y[b]! - places.y[a]!];
  if (areBoxesApart(first.box, second.box, dx, dy, problem.apartMm)) return 0;
  return Math.max(0, problem.apartMm - distanceAt(state.tables, first, second, dx, dy, problem.apartMm, true));
}

function areBoxesApart(a: Box, b: Box, dx: number, dy: number, apartMm: number): boolean {
  return (
    dx + b.minX >= a.maxX + apartMm ||
    dx + b.maxX <= a.minX - apartMm ||
    dy + b.minY >= a.maxY + apartMm ||
    dy + b.maxY <= a.minY - apartMm
  );
}

/** Of one copy from another, when it is so far from it; no less than is wanted where it is not near. */
export function distanceBetween(state: State, a: number, b: number, dx: number, dy: number): number {
  const [first, second] = [poseOf(state, a), poseOf(state, b)];
  const { apartMm } = state.problem;
  if (areBoxesApart(first.box, second.box, dx, dy, apartMm)) return Infinity;
  return distanceAt(state.tables, first, second, dx, dy, apartMm, true);
}

function distanceAt(
  tables: Tables,
  a: SearchPose,
  b: SearchPose,
  dx: number,
  dy: number,
  apartMm: number,
  isFine: boolean,
): number {
  // one table serves both ways round
  const isFirst = a.shape <= b.shape;
  const table = isFirst ? tables(a, b) : tables(b, a);
  const { cos, sin } = isFirst ? a : b;
  const way = isFirst ? 1 : -1;
  // as the still one sees it
  const x = way * (cos * dx + sin * dy);
  const y = way * (cos * dy - sin * dx);
  const apart = nearDistance(table, x, y);
  return isFine && Math.abs(apart - apartMm) < DOUBT_CELLS * table.cellMm ? trueDistance(table, x, y) : apart;
}

export type Costing = {
  readonly most: number;
  readonly isFine: boolean;
  /** Each overlap by its depth alone, mm. */
  readonly isByDepth?: boolean;
};

/**
 * What a copy's overlaps cost at a place, by weight; more than `most` once it is. `others` are those on that sheet, the
 * copy itself or not.
 */
export function costAt(
  state: State,
  copy: number,
  place: { readonly pose: SearchPose; readonly x: number; readonly y: number },
  others: readonly number[],
  { most, isFine, isByDepth = false }: Costing,
): number {
  const { problem, places, weights, tables, standing, boxes } = state;
  const { apartMm } = problem;
  const { pose, x, y } = place;
  const { minX, minY, maxX, maxY } = pose.box;
  const left = x + minX - apartMm;
  const low = y + minY - apartMm;
  const right = x + maxX + apartMm;
  const top = y + maxY + apartMm;
  const row = copy * standing.length;
  let cost = 0;
  for (let k = 0; k < others.length; k++) {
    const other = others[k]!; // in bounds by the loop
    if (other === copy) continue;
    const b = 4 * other;
    if (boxes[b]! >= right || boxes[b + 2]! <= left || boxes[b + 1]! >= top || boxes[b + 3]! <= low) continue;
    const [dx, dy] = [x - places.x[other]!, y - places.y[other]!];
    const depth = apartMm - distanceAt(tables, standing[other]!, pose, dx, dy, apartMm, isFine);
    if (depth <= 0) continue;
    cost += isByDepth ? depth : depth * weights[row + other]!;
    if (cost > most) return cost;
  }
  return cost;
}

/** Those of `others` that a copy may meet anywhere within a box of places of its origin. */
export function nearOnes(
  { boxes, problem }: State,
  { box }: SearchPose,
  within: Box,
  others: readonly number[],
): number[] {
  const { apartMm } = problem;
  const [left, low] = [within.minX + box.minX - apartMm, within.minY + box.minY - apartMm];
  const [right, top] = [within.maxX + box.maxX + apartMm, within.maxY + box.maxY + apartMm];
  return others.filter((other) => {
    const b = 4 * other;
    return boxes[b]! < right && boxes[b + 2]! > left && boxes[b + 1]! < top && boxes[b + 3]! > low;
  });
}

/** The places that a pose may take on a sheet; undefined when it is too large for what is in use of it. */
export function roomFor({ problem, limits }: State, pose: SearchPose, sheet: number): Box | undefined {
  const { heightMm } = at(problem.sheets, sheet);
  const { marginMm } = problem;
  const box = {
    ...{ minX: marginMm - pose.box.minX, minY: marginMm - pose.box.minY },
    ...{ maxX: limits[sheet]! - marginMm - pose.box.maxX, maxY: heightMm - marginMm - pose.box.maxY },
  };
  if (box.maxX < box.minX - ROUNDING_MM || box.maxY < box.minY - ROUNDING_MM) return undefined;
  return { ...box, maxX: Math.max(box.minX, box.maxX), maxY: Math.max(box.minY, box.maxY) };
}
