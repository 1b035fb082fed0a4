/**
 * A good plan quickly: pieces put on sticks, taken off again a few sticks at a time and put back otherwise.
 *
 * Method: ruin and recreate (Schrimpf and others, "Record breaking optimization results using the ruin and recreate
 * principle", Journal of Computational Physics 159, 2000) with a falling temperature. A single piece goes where it
 * leaves least; a long run is split so that its parts fill what sticks have left, or are whole sticks. What is looked
 * for is the least cost, and of equal costs the plan whose remainders are the longest. Repeatable: a fixed seed and so
 * many rounds.
 */
import { at, random } from '../geometry';
import { MATES_APART } from './constants';
import { priceOf, type Run, type Stick } from './job';
import { splitFrom, staggerOf, type LongRun, type Split } from './splits';

/** One copy of a run; its mate is the copy on the other side of the boat. */
export type Wanted = {
  readonly run: Run;
  readonly copy: number;
  readonly mate: number | undefined;
  /** Where it is longer than any stick, with its usual ways to be made. */
  readonly long: LongRun | undefined;
  readonly usual: readonly Split[];
};

type Piece = { readonly wanted: number; readonly part: number; readonly length: number };
type Open = { stick: Stick; pieces: Piece[] };
type State = { readonly open: Open[]; readonly splits: Map<number, Split> };

/** What is on a stick, by place in the list of what is wanted. */
export type Laid = {
  readonly open: readonly { readonly stick: Stick; readonly pieces: readonly Piece[] }[];
  readonly splits: ReadonlyMap<number, Split>;
};

export type SearchInput = {
  readonly kerf: number;
  readonly sticks: readonly Stick[];
  readonly wanted: readonly Wanted[];
  /** No plan costs less: the search ends there. */
  readonly bound: number;
  readonly rounds: number;
  readonly isOver: () => boolean;
};

const SAME_MM = 1e-6;
const SAME_COST = 1e-6;
/** The temperature falls from and to these shares of the dearest stick. */
const HOT = 0.08;
const COLD = 0.002;
/** Beginnings tried, where stock is short. */
const STARTS = 50;
/** A long remainder is worth this share of its stick. */
const LEFT_WORTH = 0.02;
/** Sticks taken off at most in a round. */
const MOST_OFF = 4;

/** The cheapest plan found; undefined where the stock does not reach. */
export function searchPlan(input: SearchInput, from?: Laid): Laid | undefined {
  const { wanted, bound, rounds, isOver } = input;
  const next01 = random(17);
  const all = wanted.map((_, k) => k);
  let start: State | undefined = from && { open: copied(from.open), splits: new Map(from.splits) };
  for (let k = 0; k < STARTS && !start; k++) start = putBack({ open: [], splits: new Map() }, all, input, next01);
  if (!start) return undefined;
  let [now, best] = [start, start];
  const dearest = Math.max(...input.sticks.map(priceOf));
  for (let round = 0; round < rounds && costOf(best) > bound + SAME_COST && !isOver(); round++) {
    const tried = putBack(...ruined(now, next01), input, next01);
    if (!tried) continue;
    const heat = dearest * HOT * (COLD / HOT) ** (round / rounds);
    const worse = worthOf(tried) - worthOf(now);
    if (worse <= 0 || next01() < Math.exp(-worse / heat)) now = tried;
    if (worthOf(now) < worthOf(best)) best = now;
  }
  return best;
}

const copied = (open: Laid['open']): Open[] => open.map(({ stick, pieces }) => ({ stick, pieces: [...pieces] }));

const costOf = ({ open }: State): number => open.reduce((sum, { stick }) => sum + priceOf(stick), 0);

/** The cost, less a little for remainders that are long. */
const worthOf = ({ open }: State): number =>
  open.reduce((sum, { stick, pieces }) => {
    const used = pieces.reduce((mm, { length }) => mm + length, 0);
    return sum + priceOf(stick) * (1 - LEFT_WORTH * (1 - used / stick.length) ** 2);
  }, 0);

/** A few sticks emptied, and the other parts of what was on them taken off too. */
function ruined({ open, splits }: State, next01: () => number): [State, number[]] {
  const count = 1 + Math.floor(next01() * Math.min(MOST_OFF, open.length));
  const off = new Set<number>();
  const order = open.map((_, k) => k);
  for (let k = 0; k < count; k++) {
    const other = k + Math.floor(next01() * (order.length - k));
    [order[k], order[other]] = [at(order, other), at(order, k)];
    for (const { wanted } of at(open, at(order, k)).pieces) off.add(wanted);
  }
  const left = open.flatMap(({ stick, pieces }): Open[] => {
    const kept = pieces.filter(({ wanted }) => !off.has(wanted));
    return kept.length > 0 ? [{ stick, pieces: kept }] : [];
  });
  const others = new Map([...splits].filter(([wanted]) => !off.has(wanted)));
  return [{ open: left, splits: others }, [...off]];
}

/** Longest first, more or less. */
const JITTER = 0.5;

function putBack(state: State, off: readonly number[], input: SearchInput, next01: () => number): State | undefined {
  const { wanted, sticks, kerf } = input;
  const order = off
    .map((k) => ({ k, length: at(wanted, k).run.length * (1 + JITTER * (next01() - 0.5)) }))
    .sort((a, b) => b.length - a.length);
  for (const { k } of order) {
    const { run, long } = at(wanted, k);
    const isPut = long
      ? putLong(k, state, input, next01)
      : put({ wanted: k, part: 0, length: run.length }, state, input, next01);
    if (!isPut) return undefined;
  }
  exchange(state.open, sticks, kerf);
  return state;
}

/** Of a stick that has pieces, the room for one more. */
const roomIn = ({ stick, pieces }: Open, kerf: number): number =>
  stick.length - pieces.reduce((sum, { length }) => sum + length + kerf, 0);

const isLeft = (stick: Stick, open: readonly Open[]): boolean =>
  stick.qty === undefined || open.filter((one) => one.stick === stick).length < stick.qty;

/** A piece now and then goes elsewhere than where it fits best. */
const STRAY = 0.1;

function put(piece: Piece, { open }: State, { sticks, kerf }: SearchInput, next01: () => number): boolean {
  let best: { one: Open; left: number } | undefined;
  for (const one of open) {
    const left = roomIn(one, kerf) - piece.length;
    if (left < -SAME_MM || next01() < STRAY) continue;
    if (!best || left < best.left) best = { one, left };
  }
  if (best) {
    best.one.pieces.push(piece);
    return true;
  }
  const able = sticks.filter((stick) => stick.length >= piece.length - SAME_MM && isLeft(stick, open));
  const stick = next01() < CHEAP ? cheapestPerMm(able) : able[Math.floor(next01() * able.length)];
  if (stick) open.push({ stick, pieces: [piece] });
  return stick !== undefined;
}

/** The stick that is opened is the cheapest for its length so often, any other that is long enough else. */
const CHEAP = 0.5;
const cheapestPerMm = (sticks: readonly Stick[]): Stick | undefined =>
  [...sticks].sort((a, b) => priceOf(a) / a.length - priceOf(b) / b.length)[0];

/** Ways to split a run that are weighed each time. */
const WAYS = 24;

function putLong(k: number, state: State, input: SearchInput, next01: () => number): boolean {
  const { wanted, sticks, kerf } = input;
  const { long, usual, mate } = at(wanted, k);
  if (!long) return false;
  const other = mate === undefined ? undefined : state.splits.get(mate);
  const lengths = [
    ...sticks.filter((stick) => isLeft(stick, state.open)).map(({ length }) => length),
    ...state.open.map((one) => roomIn(one, kerf)),
  ].filter((mm) => mm > 0);
  let best: { split: Split; cost: number } | undefined;
  for (const split of waysToSplit({ long, usual }, lengths, next01)) {
    const isNear = other !== undefined && staggerOf(split, other) < MATES_APART.value - SAME_MM;
    const cost = roughCost(split, state, input) + (isNear ? NEAR * at(sticks, 0).length : 0) + next01() * long.scarf;
    if (!best || cost < best.cost) best = { split, cost };
  }
  if (!best) return false;
  state.splits.set(k, best.split);
  const parts = best.split.parts.map((length, part): Piece => ({ wanted: k, part, length }));
  return [...parts].sort((a, b) => b.length - a.length).every((piece) => put(piece, state, input, noStray));
}

/** Scarfs beside each other weigh as much as so many sticks. */
const NEAR = 20;
const noStray = () => 0.999;

type Long = { readonly long: LongRun; readonly usual: readonly Split[] };

function waysToSplit({ long, usual }: Long, lengths: readonly number[], next01: () => number): Split[] {
  const parts = usual[0]?.parts.length ?? 1;
  const whole = long.run.length + (parts - 1) * long.scarf;
  const found =
    usual.length <= WAYS
      ? [...usual]
      : Array.from({ length: WAYS }, () => at(usual, Math.floor(next01() * usual.length)));
  for (let way = 0; way < WAYS; way++) {
    const chosen = Array.from({ length: parts - 1 }, () => at(lengths, Math.floor(next01() * lengths.length)));
    const rest = whole - chosen.reduce((sum, mm) => sum + mm, 0);
    const place = Math.floor(next01() * parts);
    const split = splitFrom([...chosen.slice(0, place), rest, ...chosen.slice(place)], long);
    if (split) found.push(split);
  }
  return found;
}

/** Mm of sticks to be opened for the parts, and what the sticks they go on have left: the first by far the more. */
function roughCost({ parts }: Split, { open }: State, { kerf, sticks }: SearchInput): number {
  const rooms = open.map((one) => roomIn(one, kerf));
  return [...parts]
    .sort((a, b) => b - a)
    .reduce((sum, mm) => {
      let best = -1;
      rooms.forEach((room, k) => {
        if (room >= mm - SAME_MM && (best < 0 || room < at(rooms, best))) best = k;
      });
      if (best >= 0) {
        rooms[best] = at(rooms, best) - mm - kerf;
        return sum + Math.max(0, at(rooms, best)) * LEFT_WORTH;
      }
      const able = sticks.filter(({ length }) => length >= mm - SAME_MM);
      const shortest = Math.min(...able.map(({ length }) => length));
      rooms.push(shortest - mm - kerf);
      return sum + mm + (shortest - mm) * LEFT_WORTH;
    }, 0);
}

/** Each stick for the cheapest that is long enough. */
function exchange(open: readonly Open[], sticks: readonly Stick[], kerf: number): void {
  for (const one of open) {
    const need = one.stick.length - roomIn(one, kerf) - kerf;
    const [cheapest] = sticks
      .filter((stick) => stick.length + SAME_MM >= need && priceOf(stick) < priceOf(one.stick) && isLeft(stick, open))
      .sort((a, b) => priceOf(a) - priceOf(b));
    if (cheapest) one.stick = cheapest;
  }
}
