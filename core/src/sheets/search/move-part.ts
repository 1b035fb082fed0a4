/**
 * Where a part that overlaps goes: to the cheapest of many places on all sheets, in all its turns.
 *
 * Method: places by chance, near the present one, and where it would just touch another part at a corner; the best few
 * and the present one go down to the least that is near them (methods: coordinate descent, its steps halved).
 */
import { at } from '../../geometry';
import { costAt, nearOnes, poseOf, type Place, type SearchPose, type State } from './layout-state';
import type { Box } from '../../geometry';

const ANYWHERE = 24;
const NEAR = 16;
const CORNERS = 24;
/** Of them so many go down. */
const KEPT = 3;
/** Deeper in others than this a place is not brought to its end: it will not stay. */
const DEEP_MM = 15;
/** The present place's neighbourhood, as a share of the part's size. */
const NEAR_SHARE = 0.25;
/** All that are kept go down so far by the grid, and the best of them to the end by true distances. */
const ROUGHLY = { first: { share: 0.04, leastMm: 24 }, lastMm: 2, isFine: false } as const;
const FINELY = { first: { share: 0, leastMm: 3 }, lastMm: 0.004, isFine: true } as const;

type Priced = Place & { readonly cost: number };

export type Moving = {
  readonly state: State;
  /** The copies on each sheet. */
  readonly on: readonly (readonly number[])[];
  readonly next01: () => number;
  readonly isOver: () => boolean;
};

/** The place that was found, and what it costs; the present one where none is cheaper. */
export function bestPlace({ state, on, next01, isOver }: Moving, copy: number): Priced {
  const { places, problem } = state;
  const { poses } = at(problem.parts, at(problem.copies, copy));
  const here: Place = {
    ...{ pose: places.pose[copy]!, sheet: places.sheet[copy]!, x: places.x[copy]!, y: places.y[copy]! },
  };
  const best: Priced[] = [];
  const isUsed = (sheet: number) => state.limits[sheet]! > 0;
  const sheets = on.map((_, sheet) => sheet).filter(isUsed);
  const pick = <T>(list: readonly T[]): T => at(list, Math.min(list.length - 1, Math.floor(next01() * list.length)));

  const offer = (place: Place) => {
    if (isOver()) return;
    const most = best.length < KEPT ? Infinity : at(best, -1).cost;
    const pose = at(poses, place.pose);
    const cost = costAt(state, copy, { pose, x: place.x, y: place.y }, at(on, place.sheet), { most, isFine: false });
    if (cost >= most) return;
    if (best.length === KEPT) best.pop();
    best.push({ ...place, cost });
    best.sort((a, b) => a.cost - b.cost);
  };
  const rooms = at(state.rooms, at(problem.copies, copy));
  const roomOf = (pose: number, sheet: number) => at(rooms, pose)[sheet];

  for (let k = 0; k < ANYWHERE; k++) {
    const [pose, sheet] = [Math.floor(next01() * poses.length), pick(sheets)];
    const room = roomOf(pose, sheet);
    if (!room) continue;
    const x = room.minX + next01() * (room.maxX - room.minX);
    offer({ pose, sheet, x, y: room.minY + next01() * (room.maxY - room.minY) });
  }
  const size = sizeOf(poseOf(state, copy));
  for (let k = 0; k < NEAR; k++) {
    const pose = next01() < 0.7 ? here.pose : Math.floor(next01() * poses.length);
    const room = roomOf(pose, here.sheet);
    if (!room) continue;
    const reach = size * NEAR_SHARE * next01();
    const x = clamp(here.x + (2 * next01() - 1) * reach, room.minX, room.maxX);
    offer({ pose, sheet: here.sheet, x, y: clamp(here.y + (2 * next01() - 1) * reach, room.minY, room.maxY) });
  }
  for (let k = 0; k < CORNERS; k++) {
    const [pose, sheet] = [Math.floor(next01() * poses.length), pick(sheets)];
    const others = at(on, sheet);
    const room = roomOf(pose, sheet);
    if (!room || others.length === 0) continue;
    const other = pick(others);
    if (other === copy) continue;
    const place = cornerAt(state, other, at(poses, pose), next01());
    if (!place) continue;
    offer({ pose, sheet, x: clamp(place[0], room.minX, room.maxX), y: clamp(place[1], room.minY, room.maxY) });
  }
  // all go down some way, and the one that is then the cheapest to the end
  let least: Priced | undefined;
  for (const place of isOver() ? [] : [here, ...best]) {
    const room = roomOf(place.pose, place.sheet);
    if (!room) continue;
    const down = descend(state, copy, place, { room, others: at(on, place.sheet), ...ROUGHLY });
    if (!least || down.cost < least.cost) least = down;
  }
  const room = least && roomOf(least.pose, least.sheet);
  if (!least || !room) return { ...here, cost: Infinity };
  const { sheet, x, y } = least;
  const byDepth = { most: DEEP_MM, isFine: false, isByDepth: true };
  if (costAt(state, copy, { pose: at(poses, least.pose), x, y }, at(on, sheet), byDepth) > DEEP_MM) return least;
  return descend(state, copy, least, { room, others: at(on, least.sheet), ...FINELY });
}

const clamp = (value: number, low: number, high: number): number => Math.min(Math.max(value, low), high);
const sizeOf = ({ box }: SearchPose): number => Math.max(box.maxX - box.minX, box.maxY - box.minY);

/** A place at which it would just stand apart from another, at a corner. */
function cornerAt(
  state: State,
  other: number,
  moving: SearchPose,
  share: number,
): readonly [number, number] | undefined {
  const still = poseOf(state, other);
  // the table of the two may be known the other way round
  const isFirst = still.shape <= moving.shape;
  const { corners } = isFirst ? state.tables(still, moving) : state.tables(moving, still);
  const k = 2 * Math.floor((share * corners.length) / 2);
  const [u, v] = [corners[k], corners[k + 1]];
  if (u === undefined || v === undefined) return undefined;
  const { cos, sin } = isFirst ? still : moving;
  const way = isFirst ? 1 : -1;
  const [dx, dy] = [way * (cos * u - sin * v), way * (sin * u + cos * v)];
  return [state.places.x[other]! + dx, state.places.y[other]! + dy];
}

type Descent = {
  readonly room: Box;
  readonly others: readonly number[];
  /** A share of the part's size, and its least. */
  readonly first: { readonly share: number; readonly leastMm: number };
  readonly lastMm: number;
  readonly isFine: boolean;
};

/** Down to the least near a place: along the axes and between them, where it last went first; then by half the step. */
function descend(state: State, copy: number, from: Place, descent: Descent): Priced {
  const { problem } = state;
  const { room, others, first, lastMm, isFine } = descent;
  const pose = at(at(problem.parts, at(problem.copies, copy)).poses, from.pose);
  let step = Math.max(first.leastMm, sizeOf(pose) * first.share);
  let x = clamp(from.x, room.minX, room.maxX);
  let y = clamp(from.y, room.minY, room.maxY);
  // only what is near can be met: looked for again where it goes further
  const reach = REACH_STEPS * step;
  const around = { minX: 0, minY: 0, maxX: 0, maxY: 0 };
  const near = (): number[] => {
    [around.minX, around.minY, around.maxX, around.maxY] = [x - reach, y - reach, x + reach, y + reach];
    return nearOnes(state, pose, around, others);
  };
  let close = near();
  const price = (px: number, py: number, most: number) =>
    costAt(state, copy, { pose, x: px, y: py }, close, { most, isFine });
  let cost = price(x, y, Infinity);
  let way = 0;
  while (step > lastMm && cost > 0) {
    let isMoved = false;
    for (let k = 0; k < WAYS.length && !isMoved; k++) {
      const next = (way + k) % WAYS.length;
      const [ux, uy] = WAYS[next]!; // in bounds by the modulus
      const nx = clamp(x + ux * step, room.minX, room.maxX);
      const ny = clamp(y + uy * step, room.minY, room.maxY);
      if (nx === x && ny === y) continue;
      const there = price(nx, ny, cost);
      if (there >= cost) continue;
      [x, y, cost, way, isMoved] = [nx, ny, there, next, true];
    }
    if (!isMoved) step /= 2;
    else if (x - step < around.minX || x + step > around.maxX || y - step < around.minY || y + step > around.maxY)
      close = near();
  }
  return { ...from, x, y, cost };
}

/** What is within so many steps is kept at hand. */
const REACH_STEPS = 3;

const WAYS = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
  [0.7, 0.7],
  [-0.7, -0.7],
  [0.7, -0.7],
  [-0.7, 0.7],
] as const;
