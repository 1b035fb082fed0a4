/**
 * What lengths to buy, and what is cut from each: the cheapest plan for all runs, and how far it can be from the best.
 *
 * Every section is a problem of its own. A search finds a good plan (search.ts); a linear program over all ways to cut
 * the sticks (columns.ts) bounds what any plan costs, raised to the next cost that any set of sticks has. In it the
 * parts of long runs may have any lengths, so that it is never above the best plan. Where plan and bound differ, all
 * ways to cut that a cheaper plan could have are written down and the program is solved in whole numbers: that gives
 * the best plan of single pieces, and a better bound where there are long runs.
 */
import { cuttingsWithin, generate, programOf, type Cutting, type Generated, type Master } from './columns';
import { priceOf, scarfOf, type Run, type Stick, type TimberJob } from './job';
import type { LinearSolver } from './program';
import { searchPlan, type Laid, type Wanted } from './search';
import { leastParts, usualSplits } from './splits';

export type Cut = { readonly run: string; readonly copy: number; readonly part: number; readonly length: number };
export type CutStick = {
  readonly stock: string;
  readonly index: number;
  readonly cuts: readonly Cut[];
  readonly left: number;
};
export type TimberPlan = {
  readonly bought: readonly { readonly stock: string; readonly qty: number }[];
  readonly cost: number;
  /** No plan can cost less. */
  readonly bound: number;
  readonly proven: boolean;
  readonly sticks: readonly CutStick[];
  /** Middles of the scarfs from the forward end, mm. */
  readonly joins: readonly { readonly run: string; readonly copy: number; readonly at: readonly number[] }[];
};

export type TimberResult =
  | { readonly ok: true; readonly plan: TimberPlan }
  /** Runs that cannot be had from this stock, and why. */
  | { readonly ok: false; readonly problem: string; readonly runs: readonly string[] };

type Budget = {
  /** Without one the bound is that of the timber's length alone, and plans are proven only by reaching it. */
  readonly solve?: LinearSolver;
  /** For all sections together; repeatable only where they suffice. */
  readonly seconds: number;
  /** Of the search. */
  readonly rounds: number;
  /** Seconds gone since the beginning; without a clock the seconds hold for each program in whole numbers alone. */
  readonly gone?: () => number;
};

/** Costs that differ by less are the same. */
const SAME_COST = 1e-6;
/** Left over below this is none: figures carry some dust. */
const DUST_MM = 1e-6;

/** Never throws on a job that was read. */
export function planTimber(job: TimberJob, budget: Budget): TimberResult {
  const runs = job.runs.filter(({ qty }) => qty > 0);
  const sections = [...new Set(runs.map(({ section }) => section))];
  const plans: SectionPlan[] = [];
  for (const section of sections) {
    const sticks = job.stock.filter((stick) => stick.section === section && stick.qty !== 0);
    const mine = runs.filter((run) => run.section === section);
    const share = budget.seconds / sections.length;
    const began = budget.gone?.() ?? 0;
    const { gone } = budget;
    const result = planSection(
      { job, sticks, runs: mine },
      { ...budget, seconds: share, ...(gone && { gone: () => gone() - began }) },
    );
    if (typeof result === 'string') return { ok: false, problem: result, runs: mine.map(({ id }) => id) };
    plans.push(result);
  }
  return { ok: true, plan: wholePlan(job, plans) };
}

/** Single pieces are settled by the whole program: what the search finds only bounds the ways to be looked at. */
const SINGLE_SHARE = 0.1;

/** Of the time, what is gone when no more ways to cut are looked for, and when the search ends. */
const WAYS_SHARE = 0.45;
const SEARCH_SHARE = 0.6;
/** A program in whole numbers has so long at least. */
const LEAST_SECONDS = 0.2;

type Section = { readonly job: TimberJob; readonly sticks: readonly Stick[]; readonly runs: readonly Run[] };
type SectionPlan = {
  readonly sticks: readonly CutStick[];
  readonly cost: number;
  readonly bound: number;
  readonly joins: TimberPlan['joins'];
};

function wholePlan(job: TimberJob, plans: readonly SectionPlan[]): TimberPlan {
  const sticks = plans.flatMap((plan) => plan.sticks);
  const bought = job.stock.flatMap(({ id }) => {
    const qty = sticks.filter(({ stock }) => stock === id).length;
    return qty > 0 ? [{ stock: id, qty }] : [];
  });
  const cost = plans.reduce((sum, plan) => sum + plan.cost, 0);
  const bound = plans.reduce((sum, plan) => sum + plan.bound, 0);
  return { bought, cost, bound, proven: cost <= bound + SAME_COST, sticks, joins: plans.flatMap(({ joins }) => joins) };
}

const costOf = ({ open }: Pick<Laid, 'open'>): number => open.reduce((sum, { stick }) => sum + priceOf(stick), 0);

function planSection(section: Section, { solve, seconds, rounds, gone = () => 0 }: Budget): SectionPlan | string {
  const { job, sticks } = section;
  const wanted = wantedOf(section);
  if (typeof wanted === 'string') return wanted;
  const master = masterOf(section, wanted);
  if (!solve) return withoutSolver({ section, wanted, master }, rounds);
  const generated = generate(master, { solve, seconds, isOver: () => gone() > WAYS_SHARE * seconds });
  if (generated.bound === undefined) return tooFew(section);
  const prices = sticks.map(priceOf);
  const low = nextCost(generated.bound, prices);
  const input = { kerf: job.kerf, sticks, wanted, bound: low, isOver: () => gone() > SEARCH_SHARE * seconds };
  const hasLong = wanted.some(({ long }) => long !== undefined);
  const found = searchPlan({ ...input, rounds: hasLong ? rounds : rounds * SINGLE_SHARE });
  const settled = settle(master, { generated, low, found }, { solve, seconds, gone });
  const other = settled.cuttings && laidBy(settled.cuttings, section, wanted);
  const [best] = [found, other].flatMap((plan) => (plan ? [plan] : [])).sort((a, b) => costOf(a) - costOf(b));
  if (!best) return tooFew(section);
  const cost = costOf(best);
  return { ...written(best, section, wanted), cost, bound: Math.min(settled.bound, cost) };
}

type Unsolved = { readonly section: Section; readonly wanted: readonly Wanted[]; readonly master: Master };

function withoutSolver({ section, wanted, master }: Unsolved, rounds: number): SectionPlan | string {
  const { job, sticks } = section;
  const length = master.restWanted + master.pieces.reduce((sum, piece) => sum + piece.wanted * piece.length, 0);
  const least = length * Math.min(...sticks.map((stick) => priceOf(stick) / stick.length));
  const bound = nextCost(least, sticks.map(priceOf));
  const found = searchPlan({ kerf: job.kerf, sticks, wanted, bound, rounds, isOver: () => false });
  if (!found) return tooFew(section);
  const cost = costOf(found);
  return { ...written(found, section, wanted), cost, bound: Math.min(bound, cost) };
}

const tooFew = ({ sticks, runs }: Section): string =>
  `section "${runs[0]?.section}": too few sticks for ${runs.map(({ id }) => `"${id}"`).join(', ')}; ` +
  `expected more than ${sticks.map(({ id, qty }) => `${qty ?? 'any number'} of "${id}"`).join(', ')}`;

/** Every copy of every run; a text where one cannot be had. Copies go by twos, a side each. */
function wantedOf({ job, sticks, runs }: Section): Wanted[] | string {
  const [first] = runs;
  if (sticks.length === 0) return `run "${first?.id}": no stick of section "${first?.section}" in stock`;
  const longest = Math.max(...sticks.map(({ length }) => length));
  const wanted: Wanted[] = [];
  for (const run of runs) {
    const long = run.length > longest + DUST_MM ? { run, scarf: scarfOf(run, job), longest } : undefined;
    const usual = long && run.scarf ? usualSplits(long) : [];
    if (long && usual.length === 0) return whyNot(run, { scarf: long.scarf, longest });
    for (let copy = 0; copy < run.qty; copy++) {
      const mate = copy % 2 === 1 ? wanted.length - 1 : copy + 1 < run.qty ? wanted.length + 1 : undefined;
      wanted.push({ run, copy, mate, long, usual });
    }
  }
  return wanted;
}

function whyNot(run: Run, { scarf, longest }: { readonly scarf: number; readonly longest: number }): string {
  const too = `run "${run.id}" is ${run.length} mm long, the longest stick of "${run.section}" ${longest}`;
  if (!run.scarf) return `${too}; expected a longer stick, or "scarf": true`;
  if (leastParts({ run, scarf, longest }) === undefined)
    return `${too}, of which a scarf takes ${scarf}; expected a longer stick, or a shorter scarf`;
  return `${too}; its clear stretches leave no room for the scarfs`;
}

function masterOf({ job, sticks }: Section, wanted: readonly Wanted[]): Master {
  const lengths = new Map<number, number>();
  let restWanted = 0;
  for (const { run, long } of wanted) {
    if (long) restWanted += run.length + ((leastParts(long) ?? 1) - 1) * long.scarf;
    else lengths.set(run.length, (lengths.get(run.length) ?? 0) + 1);
  }
  return {
    kerf: job.kerf,
    sticks: sticks.map((stick) => ({ length: stick.length, price: priceOf(stick), qty: stick.qty })),
    pieces: [...lengths].map(([length, count]) => ({ length, wanted: count, most: count })),
    restWanted,
  };
}

/** Prices are told apart by a thousandth. */
const PRICE_STEPS = 1000;
/** Sums of prices written down at most. */
const MOST_SUMS = 3_000_000;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** The greatest step of which all prices are multiples; undefined where they are not whole thousandths. */
function priceStep(prices: readonly number[]): number | undefined {
  const steps = prices.map((price) => Math.round(price * PRICE_STEPS));
  const areWhole = steps.every((step, k) => step > 0 && Math.abs(step - (prices[k] ?? 0) * PRICE_STEPS) < 1e-6);
  return areWhole ? steps.reduce(gcd) / PRICE_STEPS : undefined;
}

/** The least sum of prices that is not below a cost. */
function nextCost(cost: number, prices: readonly number[]): number {
  const step = priceStep(prices);
  if (step === undefined || cost <= 0) return cost;
  const whole = prices.map((price) => Math.round(price / step));
  const from = Math.ceil((cost - SAME_COST) / step);
  const last = from + Math.max(...whole);
  if (last > MOST_SUMS) return cost;
  const isSum = new Uint8Array(last + 1);
  isSum[0] = 1;
  for (let sum = 1; sum <= last; sum++) if (whole.some((price) => sum >= price && isSum[sum - price])) isSum[sum] = 1;
  const found = isSum.indexOf(1, from);
  return found < 0 ? cost : found * step;
}

type Settling = { readonly generated: Generated; readonly low: number; readonly found: Laid | undefined };
/** A bound that holds for every plan; the sticks to cut, each with its cutting, where the program was solved. */
type Settled = { readonly bound: number; readonly cuttings?: readonly Cutting[] };
type Clock = { readonly solve: LinearSolver; readonly seconds: number; readonly gone: () => number };

/** Where a plan is dearer than the bound: a cheaper plan, or a better bound. */
function settle(master: Master, settling: Settling, clock: Clock): Settled {
  const { low, found } = settling;
  if (found && costOf(found) <= low + SAME_COST) return { bound: low };
  const prices = master.sticks.map(({ price }) => price);
  const step = priceStep(prices);
  const isCoarse = step !== undefined && step > COARSE * Math.min(...prices);
  const asked = isCoarse ? byQuestions(master, settling, { ...clock, step }) : { bound: low };
  if (asked.cuttings || (found && costOf(found) <= asked.bound + SAME_COST)) return asked;
  const best = byCost(master, settling, clock);
  return { ...best, bound: Math.max(asked.bound, best.bound) };
}

/** Prices whose common step is more than this share of the least have few sums. */
const COARSE = 0.02;

/**
 * Is there a plan that costs no more than the bound, than the next sum of prices, and so on? Only few ways to cut can
 * be in a plan so near to the bound, so each question is soon answered.
 */
function byQuestions(master: Master, { generated, low, found }: Settling, clock: Clock & { step: number }): Settled {
  const { solve, seconds, gone, step } = clock;
  const prices = master.sticks.map(({ price }) => price);
  const dear = found ? costOf(found) : Infinity;
  let bound = low;
  for (let n = 0; n < MOST_QUESTIONS && bound < dear - SAME_COST && (n === 0 || gone() < seconds); n++) {
    const all = cuttingsWithin(master, generated, bound - (generated.bound ?? 0) + SAME_COST);
    const left = Math.max(LEAST_SECONDS, seconds - gone());
    const solved = wholeNumbers(master, all ?? generated.cuttings, { solve, seconds: left, target: bound });
    if (solved.kind === 'found') return { bound, ...(master.restWanted === 0 && { cuttings: solved.cuttings }) };
    if (solved.kind === 'none' || !all) break;
    bound = nextCost(bound + step, prices);
  }
  return { bound };
}

/** The best plan of the ways to cut that are known; then, of all that a cheaper one could have. */
function byCost(master: Master, { generated, low, found }: Settling, { solve, seconds, gone }: Clock): Settled {
  const left = () => Math.max(LEAST_SECONDS, seconds - gone());
  const first: WholeNumbers =
    master.restWanted > 0
      ? { kind: 'none' }
      : wholeNumbers(master, generated.cuttings, { solve, seconds: FIRST_SHARE * left(), target: undefined });
  const cost = first.kind === 'found' ? first.cost : Infinity;
  const dear = Math.min(cost, found ? costOf(found) : Infinity);
  const known = { bound: low, ...(first.kind === 'found' && { cuttings: first.cuttings }) };
  if (dear <= low + SAME_COST || dear === Infinity) return known;
  const all = cuttingsWithin(master, generated, dear - (generated.bound ?? 0));
  if (!all) return known;
  const second = wholeNumbers(master, all, { solve, seconds: left(), target: dear });
  if (second.kind === 'impossible') return { ...known, bound: dear };
  if (second.kind === 'none') return known;
  const bound = second.isBest ? Math.max(low, second.cost) : low;
  return master.restWanted === 0 && second.cost < cost ? { bound, cuttings: second.cuttings } : { ...known, bound };
}

const FIRST_SHARE = 0.5;

/** Sums of prices asked for, one after another. */
const MOST_QUESTIONS = 40;

type Whole = { readonly solve: LinearSolver; readonly seconds: number; readonly target: number | undefined };
type WholeNumbers =
  | { readonly kind: 'impossible' }
  | { readonly kind: 'none' }
  | { readonly kind: 'found'; readonly cuttings: readonly Cutting[]; readonly cost: number; readonly isBest: boolean };

/** Sticks and their cuttings that give all pieces, for the target at most. */
function wholeNumbers(master: Master, ways: readonly Cutting[], { solve, seconds, target }: Whole): WholeNumbers {
  if (ways.length === 0) return { kind: 'impossible' };
  const { costs, rows } = programOf(master, ways, false);
  const within =
    target === undefined
      ? []
      : [
          {
            ...{ kind: 'at-least' as const, value: -target - SAME_COST },
            terms: costs.map((cost, k) => [k, -cost] as const),
          },
        ];
  const step = priceStep(master.sticks.map(({ price }) => price));
  const worthwhile = step === undefined ? {} : { worthwhile: step * ALMOST };
  const solved = solve({ costs, rows: [...rows, ...within], isWhole: true, seconds, ...worthwhile });
  if (solved.kind === 'none' || solved.kind === 'impossible') return { kind: solved.kind };
  const values = solved.values.map(Math.round);
  return {
    kind: 'found',
    cuttings: ways.flatMap((way, k) => Array.from({ length: values[k] ?? 0 }, () => way)),
    cost: costs.reduce((sum, cost, k) => sum + cost * (values[k] ?? 0), 0),
    isBest: solved.kind === 'optimal',
  };
}

/** Costs go by steps: what is not a whole step cheaper is not cheaper. */
const ALMOST = 0.999;

/** Single pieces on the sticks of a whole program; a stick of which nothing is wanted any more is left out. */
function laidBy(cuttings: readonly Cutting[], { sticks }: Section, wanted: readonly Wanted[]): Laid {
  const left = new Map<number, number[]>();
  wanted.forEach(({ run }, k) => left.set(run.length, [...(left.get(run.length) ?? []), k]));
  const lengths = [...left.keys()];
  const open = cuttings.flatMap(({ stick: place, counts }) => {
    const pieces = [...counts].flatMap(([piece, n]) => {
      const length = lengths[piece] ?? 0;
      const taken = left.get(length)?.splice(0, n) ?? [];
      return taken.map((k) => ({ wanted: k, part: 0, length }));
    });
    const stick = sticks[place];
    return stick && pieces.length > 0 ? [{ stick, pieces }] : [];
  });
  return { open, splits: new Map() };
}

/** Stick by stick in the order of the stock, the fullest first. */
function written({ open, splits }: Laid, { job, sticks }: Section, wanted: readonly Wanted[]) {
  const usedOf = (pieces: Laid['open'][number]['pieces']) =>
    pieces.reduce((sum, { length }) => sum + length + job.kerf, 0);
  const cutSticks = sticks.flatMap((stick) =>
    open
      .filter((one) => one.stick === stick)
      .sort((a, b) => usedOf(b.pieces) - usedOf(a.pieces))
      .map(({ pieces }, index): CutStick => {
        const over = stick.length - usedOf(pieces);
        const cuts = [...pieces]
          .sort((a, b) => b.length - a.length)
          .flatMap(({ wanted: k, part, length }): Cut[] => {
            const mine = wanted[k];
            return mine ? [{ run: mine.run.id, copy: mine.copy, part, length }] : [];
          });
        return { stock: stick.id, index, cuts, left: over > DUST_MM ? over : 0 };
      }),
  );
  const joins = wanted.flatMap(({ run, copy }, k) => {
    const split = splits.get(k);
    return split ? [{ run: run.id, copy, at: split.at }] : [];
  });
  return { sticks: cutSticks, joins };
}
