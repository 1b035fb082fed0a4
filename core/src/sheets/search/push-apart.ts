/**
 * Brings a near miss to an end: all parts that overlap a little are pushed apart together, the room's edges holding
 * what stands against them.
 *
 * Method: pair by pair, each moved half of the depth along the shortest way out, again and again (Gauss and Seidel's
 * relaxation): a push goes from part to part through a sheet that is full.
 */
import { at } from '../../geometry';
import { copyOfPlaces, distanceBetween, NOUGHT_MM, type Places, type State } from './layout-state';

const ROUNDS = 120;
/** To find the way out by, mm. */
const STEP_MM = 0.05;
/** Pairs that are nearer than this over the wanted distance are looked at in every round, mm. */
const NEAR_MM = 40;
/** Given up where so many rounds took less than this share off. */
const WATCHED = 12;
const LEAST_GAIN = 0.97;

/** Where all stand when none overlaps any longer; undefined where that was not reached. */
export function pushApart(state: State): Places | undefined {
  const places = copyOfPlaces(state.places);
  const pairs = nearPairs(state);
  let before = Infinity;
  for (let round = 0; round < ROUNDS; round++) {
    let sum = 0;
    for (const [a, b] of pairs) sum += pushPair(state, places, a, b);
    if (sum === 0) return allApart(state, places) ? places : undefined;
    if (round % WATCHED === WATCHED - 1) {
      if (sum > LEAST_GAIN * before) return undefined;
      before = sum;
    }
  }
  return undefined;
}

function nearPairs(state: State): (readonly [number, number])[] {
  const count = state.problem.copies.length;
  const found: (readonly [number, number])[] = [];
  for (let a = 0; a < count; a++)
    for (let b = a + 1; b < count; b++)
      if (apartIn(state, state.places, a, b) < state.problem.apartMm + NEAR_MM) found.push([a, b]);
  return found;
}

const apartIn = (state: State, { sheet, x, y }: Places, a: number, b: number): number =>
  sheet[a] === sheet[b] ? distanceBetween(state, a, b, x[b]! - x[a]!, y[b]! - y[a]!) : Infinity;

const allApart = (state: State, places: Places): boolean =>
  state.problem.copies.every((_, a) =>
    state.problem.copies.every(
      (_other, b) => b <= a || apartIn(state, places, a, b) >= state.problem.apartMm - NOUGHT_MM,
    ),
  );

/** The pair's depth, before it is pushed apart. */
function pushPair(state: State, places: Places, a: number, b: number): number {
  const { x, y } = places;
  const [dx, dy] = [x[b]! - x[a]!, y[b]! - y[a]!];
  const depth = state.problem.apartMm - distanceBetween(state, a, b, dx, dy);
  if (depth <= NOUGHT_MM / 2) return 0;
  const slope = (ux: number, uy: number) =>
    distanceBetween(state, a, b, dx + ux, dy + uy) - distanceBetween(state, a, b, dx - ux, dy - uy);
  const [gx, gy] = [slope(STEP_MM, 0), slope(0, STEP_MM)];
  const steep = Math.hypot(gx, gy);
  if (!(steep > 0) || !Number.isFinite(steep)) return depth;
  const [ux, uy] = [(gx / steep) * depth, (gy / steep) * depth];
  // what the one cannot give way, the other does
  const [leftX, leftY] = shift(state, places, a, -ux / 2, -uy / 2);
  const [overX, overY] = shift(state, places, b, ux / 2 - leftX, uy / 2 - leftY);
  shift(state, places, a, -overX, -overY);
  return depth;
}

/** Moves a copy as far as its room lets it; what is left of the way. */
function shift(state: State, { pose, sheet, x, y }: Places, copy: number, dx: number, dy: number): [number, number] {
  const room = at(at(state.rooms, at(state.problem.copies, copy)), pose[copy]!)[sheet[copy]!];
  if (!room || state.problem.fixed[copy]) return [dx, dy];
  const nx = Math.min(Math.max(x[copy]! + dx, room.minX), room.maxX);
  const ny = Math.min(Math.max(y[copy]! + dy, room.minY), room.maxY);
  const left: [number, number] = [x[copy]! + dx - nx, y[copy]! + dy - ny];
  x[copy] = nx;
  y[copy] = ny;
  return left;
}
