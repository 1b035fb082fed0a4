/**
 * The linear program over ways of cutting sticks, most of which are never written down: column generation after Gilmore
 * and Gomory, "A linear programming approach to the cutting-stock problem" (Operations Research 9, 1961).
 *
 * The program holds the ways found so far. Its duals say what a piece of each length is worth; the best filling of a
 * stick at those worths (fill.ts) is the next way, until none is worth more than its stick. What the program comes to
 * then is a bound on the cost of any plan.
 */
import { fillings, type FillPiece } from './fill';
import type { LinearSolver, Program, Row, Solution, Term } from './program';

/** A stick cut in one way: how many of each piece, by place, and what is left for scarfed parts of any length, mm. */
export type Cutting = { readonly stick: number; readonly counts: ReadonlyMap<number, number>; readonly rest: number };

export type Master = {
  readonly kerf: number;
  readonly sticks: readonly { readonly length: number; readonly price: number; readonly qty: number | undefined }[];
  /** Lengths with how many are wanted, and how many of each one stick may have. */
  readonly pieces: readonly { readonly length: number; readonly wanted: number; readonly most: number }[];
  /** Length wanted in parts of any length, mm. */
  readonly restWanted: number;
};

/** Rounds of finding ways to cut; each adds a few. */
const MOST_ROUNDS = 250;
/** A way must be worth so much more than its stick. */
const WORTHWHILE = 1e-7;
/** A piece that is not there costs as much as so many of the dearest stick. */
const MISSING = 1000;

export type Generated = {
  readonly cuttings: readonly Cutting[];
  /** No plan costs less; undefined where the stock cannot give all. */
  readonly bound: number | undefined;
} & Worths;

/**
 * What a piece of each is worth, a mm of the parts of any length, and each stick beyond its price where there are few.
 */
type Worths = { readonly worths: readonly number[]; readonly perMm: number; readonly scarce: readonly number[] };

export type Generating = { readonly solve: LinearSolver; readonly seconds: number; readonly isOver: () => boolean };

/**
 * Finds ways to cut until none pays, or the time is over. Ended early the bound is Farley's ("A note on bounding a
 * class of linear programming problems", Operations Research 38, 1990): the worths so far, brought down until no
 * cutting is worth more than its stick.
 */
export function generate(master: Master, { solve, seconds, isOver }: Generating): Generated {
  const cuttings: Cutting[] = [];
  const isSeen = new Set<string>();
  let last: Omit<Generated, 'cuttings'> = { bound: 0, worths: [], perMm: 0, scarce: [] };
  for (let round = 0; round < MOST_ROUNDS && !isOver(); round++) {
    const { costs, rows, rowOfStick } = programOf(master, cuttings, true);
    const solved = solve({ costs, rows, isWhole: false, seconds });
    if (solved.kind === 'none' || solved.kind === 'impossible') break;
    const worths = worthsOf(master, solved.duals, rowOfStick);
    const { found, over } = bestCuttings(master, worths);
    const fresh = found.filter((cutting) => {
      const key = keyOf(cutting);
      if (isSeen.has(key)) return false;
      isSeen.add(key);
      return true;
    });
    if (fresh.length === 0) return { cuttings, bound: boundFrom(master, cuttings, solved), ...worths };
    const cost = costs.reduce((sum, price, k) => sum + price * (solved.values[k] ?? 0), 0);
    last = { bound: Math.max(last.bound ?? 0, cost / Math.max(1, over)), ...worths };
    cuttings.push(...fresh);
  }
  return { cuttings, ...last };
}

function worthsOf(
  { pieces, sticks, restWanted }: Master,
  duals: readonly number[],
  rowOfStick: ReadonlyMap<number, number>,
): Worths {
  return {
    worths: pieces.map((_, k) => duals[k] ?? 0),
    perMm: restWanted > 0 ? (duals[pieces.length] ?? 0) : 0,
    // what one more of a stick would save
    scarce: sticks.map((_, k) => Math.max(0, duals[rowOfStick.get(k) ?? -1] ?? 0)),
  };
}

const keyOf = ({ stick, counts }: Cutting) =>
  `${stick}:${[...counts]
    .sort(([a], [b]) => a - b)
    .map(([piece, n]) => `${piece}x${n}`)
    .join(' ')}`;

/**
 * The best cutting of each stick; those without some of the pieces too, which saves rounds. `over`: so many times its
 * stick's price the best of all is worth.
 */
function bestCuttings(master: Master, { worths, perMm, scarce }: Worths): { found: Cutting[]; over: number } {
  const { sticks, pieces, kerf } = master;
  const longest = Math.max(...sticks.map(({ length }) => length));
  let over = 1;
  const found = SUBSETS.flatMap((isIn) => {
    const list = pieces.map(({ length, most }, k): FillPiece => ({
      ...{ length, most: isIn(k) ? most : 0, worth: worths[k] ?? 0 },
    }));
    const filled = fillings(list, kerf, longest);
    return sticks.flatMap(({ length, price }, stick): Cutting[] => {
      const { worth, counts } = filled.bestWithRest(length, perMm);
      const gain = worth - (scarce[stick] ?? 0);
      if (gain <= price + WORTHWHILE) return [];
      over = Math.max(over, price > 0 ? gain / price : Infinity);
      return [{ stick, counts, rest: restOf(master, length, counts) }];
    });
  });
  return { found, over };
}

/** All pieces first: what is best of all decides when there is nothing more to find. */
const SUBSETS: readonly ((piece: number) => boolean)[] = [
  () => true,
  (piece) => piece % 2 === 0,
  (piece) => piece % 2 === 1,
  (piece) => piece % 3 > 0,
  (piece) => piece % 3 < 2,
];

function restOf({ pieces, kerf, restWanted }: Master, room: number, counts: ReadonlyMap<number, number>): number {
  if (restWanted === 0) return 0;
  const used = [...counts].reduce((sum, [piece, n]) => sum + n * ((pieces[piece]?.length ?? 0) + kerf), 0);
  return Math.max(0, room + kerf - used);
}

/** Rows: a piece each; the length of any parts; a stick each of which there are few. */
export function programOf(
  { sticks, pieces, restWanted }: Master,
  cuttings: readonly Cutting[],
  mayMiss: boolean,
): Pick<Program, 'costs' | 'rows'> & { readonly rowOfStick: ReadonlyMap<number, number> } {
  const missing = cuttings.length;
  const dearest = Math.max(...sticks.map(({ price }) => price), 1);
  const rows: Row[] = [
    ...pieces.map(({ wanted }, piece): Row => ({
      kind: 'at-least',
      value: wanted,
      terms: [
        ...cuttings.flatMap(({ counts }, k): Term[] => {
          const n = counts.get(piece);
          return n === undefined ? [] : [[k, n]];
        }),
        ...(mayMiss ? [[missing + piece, 1] as const] : []),
      ],
    })),
  ];
  if (restWanted > 0)
    rows.push({
      ...{ kind: 'at-least', value: restWanted },
      terms: [
        ...cuttings.flatMap(({ rest }, k): Term[] => (rest > 0 ? [[k, rest]] : [])),
        ...(mayMiss ? [[missing + pieces.length, 1] as const] : []),
      ],
    });
  const rowOfStick = new Map<number, number>();
  sticks.forEach(({ qty }, stick) => {
    const mine = cuttings.flatMap((cutting, k): Term[] => (cutting.stick === stick ? [[k, -1]] : []));
    if (qty === undefined || mine.length === 0) return;
    rowOfStick.set(stick, rows.length);
    rows.push({ kind: 'at-least', value: -qty, terms: mine });
  });
  const costs = cuttings.map(({ stick }) => sticks[stick]?.price ?? 0);
  if (mayMiss) costs.push(...pieces.map(() => MISSING * dearest), ...(restWanted > 0 ? [dearest] : []));
  return { costs, rows, rowOfStick };
}

/** A ten-thousandth of a piece is the solver's rounding. */
const NO_PIECE = 1e-4;

function boundFrom(master: Master, cuttings: readonly Cutting[], solved: Solution): number | undefined {
  if (solved.kind === 'none' || solved.kind === 'impossible') return undefined;
  if (solved.values.slice(cuttings.length).some((value) => value > NO_PIECE)) return undefined;
  return cuttings.reduce((sum, { stick }, k) => sum + (master.sticks[stick]?.price ?? 0) * (solved.values[k] ?? 0), 0);
}

/** Ways to cut written down, and looked at, at most, to prove a plan. */
const MOST_CUTTINGS = 12_000;
const MOST_LOOKED_AT = 3_000_000;

/**
 * Every full way to cut that a plan cheaper than `gap` above the bound can have: those whose worth falls short of their
 * stick by less. Undefined where there are too many.
 */
export function cuttingsWithin(
  master: Master,
  { worths, perMm, scarce }: Generated,
  gap: number,
): Cutting[] | undefined {
  const { sticks, pieces, kerf, restWanted } = master;
  const order = pieces.map((_, k) => k).sort((a, b) => density(master, worths, b) - density(master, worths, a));
  const found: Cutting[] = [];
  let isTooMany = false;
  let lookedAt = 0;
  sticks.forEach(({ length, price }, stick) => {
    const need = price + (scarce[stick] ?? 0) - gap;
    const counts = new Map<number, number>();
    const from = (place: number, room: number, worth: number): void => {
      if (isTooMany || ++lookedAt > MOST_LOOKED_AT) {
        isTooMany = true;
        return;
      }
      const piece = order[place];
      if (piece === undefined) {
        if (worth + room * perMm < need || (perMm === 0 && !isFull(room, counts))) return;
        if (found.length >= MOST_CUTTINGS) isTooMany = true;
        else found.push({ stick, counts: new Map(counts), rest: restWanted > 0 ? Math.max(0, room) : 0 });
        return;
      }
      if (worth + room * Math.max(perMm, density(master, worths, piece)) < need) return;
      const { length: mm = 0, most = 0 } = pieces[piece] ?? {};
      const fit = Math.min(most, Math.floor((room + 1e-7) / (mm + kerf)));
      for (let n = fit; n >= 0; n--) {
        if (n > 0) counts.set(piece, n);
        else counts.delete(piece);
        from(place + 1, room - n * (mm + kerf), worth + n * (worths[piece] ?? 0));
      }
    };
    const isFull = (room: number, used: ReadonlyMap<number, number>) =>
      pieces.every(({ length: mm, most }, k) => (used.get(k) ?? 0) >= most || mm + kerf > room + 1e-7);
    from(0, length + kerf, 0);
  });
  return isTooMany ? undefined : found;
}

const density = ({ pieces, kerf }: Master, worths: readonly number[], piece: number): number =>
  (worths[piece] ?? 0) / ((pieces[piece]?.length ?? 1) + kerf);
