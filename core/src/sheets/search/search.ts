/**
 * Looks for a shorter layout than a valid one: the last sheet is made shorter, or taken away, the parts that stood
 * there are put where there is room, and what overlaps is separated.
 *
 * Method: as methods of guided local search for strips do (separate.ts). What comes to nought is kept and shortened
 * again; what does not goes into a pool, from which the search goes on with two large parts exchanged or a quarter of
 * all moved; after several such the step is halved. Conventions: sheets in the order of use; the length is that of all
 * but the last, and what is used of the last. Repeatable by its seed.
 */
import { at } from '../../geometry';
import {
  copyOfPlaces,
  poseOf,
  roomFor,
  standAt,
  standCopy,
  stood,
  tablesOf,
  type Places,
  type Problem,
  type State,
} from './layout-state';
import { separate } from './separate';

export type Found = { readonly places: Places; readonly lengthMm: number };

export type Searching = {
  readonly problem: Problem;
  /** A valid layout; or one to be made valid, if `isValid` is false. */
  readonly start: Places;
  readonly isValid: boolean;
  readonly next01: () => number;
  readonly isOver: () => boolean;
  /** After each sweep; true ends the search. */
  readonly onSweep: () => boolean;
  /** Of every better layout; false: it is not valid after all, and not kept. */
  readonly onFound: (found: Found) => boolean;
};

/** The first step, as a share of the length; its growth when it is made, and failures after which it is halved. */
const STEP = { first: 0.02, least: 0.0004, growth: 1.5, failures: 4 } as const;
const PATIENCE = 50;
const POOL = 6;
/** How often a new trial begins with a disturbance. */
const DISTURBED = 0.7;
/** Parts whose areas differ by more in one boat: what they cost goes by size. */
const MANIFOLD = 8;

export function search(searching: Searching): void {
  const { problem, next01, isOver, onSweep, onFound } = searching;
  let hasEnded = false;
  const ends = () => (hasEnded ||= onSweep());
  const state = stateOf(problem, searching.start);
  let best: Found = {
    places: searching.start,
    lengthMm: searching.isValid ? lengthOf(problem, searching.start) : Infinity,
  };
  const whole = problem.sheets.reduce((sum, { widthMm }) => sum + widthMm, 0);
  let [step, failures] = [STEP.first as number, 0];
  let pool: { overlapMm: number; places: Places }[] = [];
  while (!hasEnded && !isOver()) {
    const aim = best.lengthMm === Infinity ? whole : best.lengthMm * (1 - step);
    if (!setLimits(state, aim)) return; // nothing shorter holds the parts' area
    const from = pool.length > 0 ? at(pool, Math.floor(next01() ** 2 * pool.length)).places : best.places;
    standAt(state, from);
    if (failures > 0 && next01() < DISTURBED) disturb(state, next01);
    bringIn(state, next01);
    for (let copy = 0; copy < problem.copies.length; copy++) stood(state, copy);
    state.weights.set(state.leastWeights);
    const { overlapMm, places } = separate(state, { next01, isOver, onSweep: ends, patience: PATIENCE });
    if (overlapMm === 0) {
      const found = { places, lengthMm: lengthOf(problem, places) };
      // with what is fixed far out nothing may come of it
      if (found.lengthMm < best.lengthMm && onFound(found)) {
        best = found;
        pool = [];
        failures = 0;
        step = Math.min(STEP.first, step * STEP.growth);
        continue;
      }
    }
    pool = [...pool, { overlapMm, places }].sort((a, b) => a.overlapMm - b.overlapMm).slice(0, POOL);
    failures++;
    if (failures % STEP.failures === 0 && step > STEP.least) {
      step = Math.max(STEP.least, step / 2);
      pool = [];
      failures = 1;
    }
  }
}

function stateOf(problem: Problem, start: Places): State {
  const count = problem.copies.length;
  const areas = problem.copies.map((part) => at(problem.parts, part).areaMm2);
  const solid = areas.filter((mm2) => mm2 > 0);
  const goesBySize = Math.max(...solid) > MANIFOLD * Math.min(...solid);
  const leastWeights = new Float64Array(count * count).fill(1);
  if (goesBySize) {
    const mean = areas.reduce((sum, area) => sum + Math.sqrt(area), 0) / count;
    areas.forEach((a, i) =>
      areas.forEach((b, j) => (leastWeights[i * count + j] = a * b > 0 ? Math.sqrt(Math.sqrt(a * b)) / mean : 1)),
    );
  }
  return {
    ...{ problem, tables: tablesOf(problem), places: copyOfPlaces(start), standing: [], rooms: [] },
    boxes: new Float64Array(4 * count),
    ...{ weights: leastWeights.slice(), leastWeights, limits: new Float64Array(problem.sheets.length) },
  };
}

/** Up to the rightmost part of the last sheet in use. */
export function lengthOf(problem: Problem, places: Places): number {
  const partOf = (copy: number) => at(problem.parts, at(problem.copies, copy));
  const last = places.sheet.reduce((most, sheet, copy) => (partOf(copy).isBlock ? most : Math.max(most, sheet)), 0);
  let reach = 0;
  places.sheet.forEach((sheet, copy) => {
    if (sheet !== last || partOf(copy).isBlock) return;
    const pose = at(partOf(copy).poses, places.pose[copy]!); // a place each
    reach = Math.max(reach, places.x[copy]! + pose.box.maxX + problem.marginMm);
  });
  return problem.sheets.slice(0, last).reduce((sum, { widthMm }) => sum + widthMm, 0) + reach;
}

/** The room in use on each sheet; false where less is left than the parts' own area, or some part fits nowhere. */
function setLimits(state: State, lengthMm: number): boolean {
  const { problem, limits } = state;
  let left = lengthMm;
  problem.sheets.forEach(({ widthMm }, sheet) => {
    limits[sheet] = Math.max(0, Math.min(widthMm, left));
    left -= widthMm;
  });
  // a rest of a sheet that no part fits is no room
  const used = limits.reduce((last, limit, sheet) => (limit > 0 ? sheet : last), 0);
  const fits = problem.parts.some(({ poses, isBlock }) => !isBlock && poses.some((pose) => roomFor(state, pose, used)));
  if (!fits) limits[used] = 0;
  const sheets = Array.from(limits, (_, sheet) => sheet);
  problem.parts.forEach(({ poses }, part) => {
    state.rooms[part] = poses.map((pose) => sheets.map((sheet) => roomFor(state, pose, sheet)));
  });
  const room = problem.sheets.reduce((sum, { heightMm }, sheet) => sum + limits[sheet]! * heightMm, 0);
  const needed = problem.copies.reduce((sum, part) => sum + at(problem.parts, part).areaMm2, 0);
  return (
    room >= needed &&
    problem.copies.every(
      (part, copy) =>
        problem.fixed[copy] || at(state.rooms, part).some((rooms) => rooms.some((one) => one !== undefined)),
    )
  );
}

/** What stands outside of the room in use is moved in where it is, or put anywhere. */
function bringIn(state: State, next01: () => number): void {
  const { places, problem } = state;
  problem.copies.forEach((part, copy) => {
    if (problem.fixed[copy]) return;
    const room = at(at(state.rooms, part), places.pose[copy]!)[places.sheet[copy]!];
    if (!room) {
      putAnywhere(state, copy, next01);
      return;
    }
    places.x[copy] = Math.min(Math.max(places.x[copy]!, room.minX), room.maxX);
    places.y[copy] = Math.min(Math.max(places.y[copy]!, room.minY), room.maxY);
  });
}

function putAnywhere(state: State, copy: number, next01: () => number): void {
  const rooms = at(state.rooms, at(state.problem.copies, copy)).flatMap((own, pose) =>
    own.flatMap((room, sheet) => (room ? [{ pose, sheet, room }] : [])),
  );
  const to = rooms[Math.floor(next01() * rooms.length)];
  if (!to) return;
  const { pose, sheet, room } = to;
  const x = room.minX + next01() * (room.maxX - room.minX);
  standCopy(state, copy, { pose, sheet, x, y: room.minY + next01() * (room.maxY - room.minY) });
}

/** How often that is, and how many of all. */
const SCATTERED = 0.15;
const SCATTER_SHARE = 0.1;
/** Of the parts by size so many are exchanged, for one that is so near in that order. */
const LARGE = 0.7;
const ALIKE = 4;

/** Two large parts change places; now and then a quarter of all go anywhere. */
function disturb(state: State, next01: () => number): void {
  const { problem, places } = state;
  const count = problem.copies.length;
  if (next01() < SCATTERED) {
    for (let copy = 0; copy < count; copy++)
      if (!problem.fixed[copy] && next01() < SCATTER_SHARE) putAnywhere(state, copy, next01);
    return;
  }
  const bySize = problem.copies
    .map((part, copy) => ({ copy, part, size: at(problem.parts, part).areaMm2 }))
    .filter(({ copy }) => !problem.fixed[copy])
    .sort((a, b) => b.size - a.size);
  const free = bySize.length;
  if (free < 2) return;
  const rank = Math.floor(next01() * Math.max(2, Math.ceil(free * LARGE)));
  const first = at(bySize, Math.min(rank, free - 1));
  const others = bySize.slice(Math.max(0, rank - ALIKE), rank + ALIKE + 1).filter(({ part }) => part !== first.part);
  const second = others[Math.floor(next01() * others.length)];
  if (!second) return;
  const [a, b] = [first.copy, second.copy];
  const middle = (copy: number) => {
    const { box } = poseOf(state, copy);
    return [places.x[copy]! + (box.minX + box.maxX) / 2, places.y[copy]! + (box.minY + box.maxY) / 2] as const;
  };
  const [ma, mb] = [middle(a), middle(b)];
  const sheet = places.sheet[a]!;
  places.x[a] = places.x[a]! + mb[0] - ma[0];
  places.y[a] = places.y[a]! + mb[1] - ma[1];
  places.x[b] = places.x[b]! + ma[0] - mb[0];
  places.y[b] = places.y[b]! + ma[1] - mb[1];
  places.sheet[a] = places.sheet[b]!;
  places.sheet[b] = sheet;
}
