/**
 * The smallest smooth change of one line that cures a panel: lets it develop within the limits.
 *
 * Method (derived here): of one line's half-breadths, heights or both, the change is sought for which the sum of two
 * things is least: twist² over the panels on both sides of the line, and a stiffness times the unevenness of the
 * change. With much stiffness the change is small and even and cures little; with less it cures more. So the stiffness
 * is lowered until the panel passes, then raised again by halving (of its logarithm): the change is the least uneven
 * one that cures.
 *
 * The twist is taken at the rulings as they stand and taken to change in proportion to the change of each figure
 * (Gauss-Newton); after each step the rulings are found anew. That they move meanwhile counts for nothing to first
 * order, since they already run where the twist is least. Ends, pinned points and points on the centreline stay; the
 * ends of a transom may move athwart, which keeps it flat. Ends of other lines that run out on this one go with it. A
 * change that would spoil the panel on the line's other side is not offered.
 */
import { at, distance3, solveDense } from '../../geometry';
import type { Edit } from '../../findings';
import {
  battenAt,
  bendPoints,
  CENTRELINE_MM,
  endEdits,
  endingOn,
  joinRunOuts,
  pointPath,
  type Hull,
  type HullLine,
  type LinesTable,
  type LineStretch,
  type Longitudinal,
  type OffsetPoint,
  type RunOut,
} from '../../lines';
import { toDeg } from '../../measure';
import { TWIST_LIMIT_DEG } from '../constants';
import { edgesOf, panelIdOf, panelInputs, type PanelInput } from '../inputs';
import { developPanel } from '../panel';
import type { PanelRemedy, RemedyMove } from './panel-remedy';
import { findRulings, twistOf } from '../../surface';
import { isNoWorse, passes, standingOf, type Standing } from './standing';

/**
 * Stiffness against twist, rad²/mm²: at the most a panel hardly changes, with less than the least the line is a wave.
 */
const STIFFEST = 1e-3;
const SOFTEST = 1e-10;
/** Each stiffness tried is this many times less than the one before, */
const SOFTER = 6;
/** and the last step is halved so often: to a ninth part of the stiffness that just cures. */
const BISECTIONS = 4;
/** Over this many limits on the few rulings of the search a panel is not developed in full to see whether it passes. */
const HOPELESS = 1.6;
/** Steps at each stiffness: the rest is made up at the next one, which is not far off. */
const STEPS_PER_STIFFNESS = 2;
/** A step that moves no point by more than this is none. */
const LEAST_STEP_MM = 0.02;
/** No one step moves a point further. */
const LONGEST_STEP_MM = 60;
/** No remedy moves a point by more than this share of the boat's length: that is another boat. */
const FURTHEST_SHARE = 0.03;
/** How the twist changes with a figure is measured by changing that by so much. */
const NUDGE_MM = 0.25;
/** What it costs to move a point at all, against what unevenness costs: keeps the rest of the line where it is. */
const STAY = 0.02;
/**
 * Points nearer to each other than this share of the mean step count as this far apart, or they would weigh too much.
 */
const LEAST_STEP_SHARE = 0.1;
/** A smaller move by one quantity is preferred to one by both unless it is this much larger. */
const SIMPLER = 1.4;

type Quantity = 'halfBreadth' | 'height';
/** One figure that may be changed, by the index of its point. */
type Free = { readonly index: number; readonly quantity: Quantity };
type Problem = {
  readonly table: LinesTable;
  readonly hull: Hull;
  readonly line: HullLine;
  /** The panels that the line bounds. */
  readonly inputs: readonly PanelInput[];
  readonly panelId: string;
  readonly free: readonly Free[];
  /** Unevenness of the change, a symmetric matrix over `free`. */
  readonly stiffness: readonly (readonly number[])[];
  readonly before: ReadonlyMap<string, Standing>;
  readonly furthestMm: number;
};
type State = {
  readonly change: readonly number[];
  readonly inputs: readonly PanelInput[];
  readonly places: readonly Place[];
  readonly isCure: boolean;
};
/** A ruling at which twist is to be made least: of which panel, and by how much of it. */
type Place = { readonly input: number; readonly s: number; readonly t: number; readonly weight: number };

/** The smallest change of one line that cures the panel: by half-breadths, by heights, or by both. */
export function smallestMove(table: LinesTable, hull: Hull, lineId: string, panelId: string): PanelRemedy | undefined {
  const line = hull.lines.find(({ id }) => id === lineId);
  if (!line) return undefined;
  const inputs = panelInputs(hull).filter(({ rows }) =>
    rows.some((row) => row.some((part) => part.line.id === lineId)),
  );
  const before = new Map<string, Standing>();
  for (const input of inputs) {
    const panel = developPanel(input);
    if (!('reason' in panel)) before.set(panel.id, standingOf(panel));
  }
  let best: PanelRemedy | undefined;
  let furthestMm = FURTHEST_SHARE * (hull.toX - hull.fromX);
  for (const quantities of [['halfBreadth'], ['height'], ['halfBreadth', 'height']] as const) {
    const free = quantities.flatMap((quantity) =>
      line.points.flatMap((point, index): Free[] =>
        isFree(line, point, index, quantity) ? [{ index, quantity }] : [],
      ),
    );
    const isNew = quantities.length === 1 || new Set(free.map(({ quantity }) => quantity)).size > 1;
    if (free.length === 0 || !isNew) continue;
    if (quantities.length > 1) furthestMm /= SIMPLER;
    const stiffness = stiffnessOf(line, free);
    const remedy = solve({ table, hull, line, inputs, panelId, free, stiffness, before, furthestMm });
    if (!remedy) continue;
    best = remedy;
    furthestMm = Math.abs(sizeOf(remedy));
  }
  return best;
}

/** The largest of a remedy's moves, with its sign. */
export const sizeOf = (remedy: PanelRemedy): number => (remedy.most ? remedy.most.toMm - remedy.most.fromMm : 0);

function isFree(line: HullLine, point: OffsetPoint, index: number, quantity: Quantity): boolean {
  if (point.isPinned) return false;
  const isOnCentreline = Math.abs(point.halfBreadth) <= CENTRELINE_MM;
  if (quantity === 'halfBreadth' && isOnCentreline) return false;
  const isEnd = index === 0 || index === line.points.length - 1;
  // an end that lies on another line stays on it
  if (isEnd && line.runOuts?.[index === 0 ? 'fore' : 'aft']) return false;
  return !isEnd || (quantity === 'halfBreadth' && !isOnCentreline);
}

/**
 * The unevenness of a change as a matrix M over the free figures, changeᵀ·M·change: the sum of the squares of its
 * second differences along the line, points that are held counted as unmoved.
 */
function stiffnessOf(line: HullLine, free: readonly Free[]): number[][] {
  const n = free.length;
  const matrix = Array.from({ length: n }, (_, i) => Array.from({ length: n }, (_unused, j) => (i === j ? STAY : 0)));
  const xs = line.points.map((p) => p.x);
  const mean = Math.abs(at(xs, -1) - at(xs, 0)) / (xs.length - 1) || 1;
  for (const quantity of ['halfBreadth', 'height'] as const) {
    const slot = new Map(free.flatMap((f, i) => (f.quantity === quantity ? [[f.index, i] as const] : [])));
    for (let k = 1; k < xs.length - 1; k++) {
      const [h0, h1] = [
        Math.max(Math.abs(at(xs, k) - at(xs, k - 1)), LEAST_STEP_SHARE * mean),
        Math.max(Math.abs(at(xs, k + 1) - at(xs, k)), LEAST_STEP_SHARE * mean),
      ];
      const row = [
        [k - 1, mean / h0],
        [k, -mean / h0 - mean / h1],
        [k + 1, mean / h1],
      ] as const;
      for (const [a, wa] of row)
        for (const [b, wb] of row) {
          const [i, j] = [slot.get(a), slot.get(b)];
          if (i !== undefined && j !== undefined) matrix[i]![j]! += wa * wb; // slots are places in free
        }
    }
  }
  return matrix;
}

/** Stiff to soft until it cures, then back towards stiff while it still does. */
function solve(problem: Problem): PanelRemedy | undefined {
  let state = stateAt(problem, new Array<number>(problem.free.length).fill(0));
  let stiffness = STIFFEST;
  let last = state;
  for (; stiffness >= SOFTEST; stiffness /= SOFTER) {
    last = state;
    state = relax(problem, state, stiffness);
    if (state.isCure || mostOf(state) > problem.furthestMm) break;
  }
  if (!state.isCure) return undefined;
  let [stiff, soft] = [stiffness * SOFTER, stiffness];
  for (let k = 0; k < BISECTIONS; k++) {
    const middle = Math.sqrt(stiff * soft);
    const tried = relax(problem, last, middle);
    if (tried.isCure && mostOf(tried) <= mostOf(state)) {
      state = tried;
      soft = middle;
    } else stiff = middle;
  }
  return remedyOf(problem, state);
}

const mostOf = (state: State): number => Math.max(...state.change.map(Math.abs));

function relax(problem: Problem, from: State, stiffness: number): State {
  let state = from;
  for (let k = 0; k < STEPS_PER_STIFFNESS; k++) {
    const step = newtonStep(problem, state, stiffness);
    const longest = Math.max(...step.map(Math.abs));
    if (!(longest > LEAST_STEP_MM)) return state;
    const share = Math.min(1, LONGEST_STEP_MM / longest);
    state = stateAt(
      problem,
      state.change.map((c, i) => c + share * at(step, i)),
    );
  }
  return state;
}

function stateAt(problem: Problem, change: readonly number[]): State {
  const inputs = changedInputs(problem, change);
  const places: Place[] = [];
  let mayCure = true;
  inputs.forEach((input, k) => {
    const rulings = findRulings(...edgesOf(input), SEARCH_RULINGS);
    const kept = rulings.filter((r, i) => i > 0 && i < rulings.length - 1 && r.fan === undefined);
    const [P, Q] = edgesOf(input);
    for (const { s, t, twistRad } of kept) {
      const long = distance3(P.at(s).position, Q.at(t).position);
      places.push({ input: k, s, t, weight: Math.min(1, long / SHORT_MM) / rulings.length });
      if (
        panelIdOf(input) === problem.panelId &&
        long > SHORT_MM &&
        toDeg(Math.abs(twistRad)) > HOPELESS * TWIST_LIMIT_DEG.value
      )
        mayCure = false;
    }
  });
  return { change, inputs, places, isCure: mayCure && cures(problem, inputs) };
}

/** Whether the panel passes when developed in full, and the line's other panel is no worse than it was. */
function cures(problem: Problem, inputs: readonly PanelInput[]): boolean {
  const own = inputs.find((input) => panelIdOf(input) === problem.panelId);
  return [...(own ? [own] : []), ...inputs.filter((input) => input !== own)].every((input) => {
    const panel = developPanel(input);
    if ('reason' in panel) return false;
    const standing = standingOf(panel);
    const before = problem.before.get(panel.id);
    return passes(standing) || (input !== own && before !== undefined && isNoWorse(standing, before));
  });
}

/** Rulings enough to lead the search; what is offered is developed in full. */
const SEARCH_RULINGS = { grids: [24, 96], rulingCount: 50 };
/** A ruling this short carries its twist easily: near the point of a panel it counts less. */
const SHORT_MM = 120;

function changedLine(problem: Problem, change: readonly number[]): HullLine {
  const points = problem.line.points.map((p) => ({ ...p }));
  problem.free.forEach(({ index, quantity }, i) => {
    at(points, index)[quantity] += at(change, i);
  });
  const line = bendPoints(problem.line, points);
  return line.runOuts ? endingOn(line, line.runOuts) : line;
}

/**
 * @param isFinal with every end that runs out sought anew, as the table will have it; else it keeps its place on its
 * line
 */
function changedInputs(problem: Problem, change: readonly number[], isFinal = false): PanelInput[] {
  const line = changedLine(problem, change);
  const { lines } = problem.hull;
  if (!lines.some(({ runOuts }) => runOuts)) {
    const put = (old: HullLine) => (old.id === line.id ? line : old);
    return problem.inputs.map((input) => ({
      ...input,
      lower: put(input.lower),
      upper: put(input.upper),
      rows: [putIn(input.rows[0], put), putIn(input.rows[1], put)],
    }));
  }
  const followers = followersOf(problem.hull, line);
  const changed = lines.map((old) => (old.id === line.id ? line : (followers.find(({ id }) => id === old.id) ?? old)));
  const all = panelInputs({ lines: isFinal ? joinRunOuts(changed) : changed });
  return problem.inputs.map((input) => all.find((other) => panelIdOf(other) === panelIdOf(input)) ?? input);
}

const putIn = (row: readonly LineStretch[], put: (line: HullLine) => HullLine): LineStretch[] =>
  row.map((part) => ({ ...part, line: put(part.line) }));

/** The lines that run out on one that moves, with their ends taken along. */
const followersOf = ({ lines }: Hull, moved: HullLine): HullLine[] =>
  lines.flatMap((line) => {
    const { fore, aft } = line.runOuts ?? {};
    const taken = (runOut: RunOut | undefined): RunOut | undefined =>
      runOut?.line === moved.id ? { ...runOut, at: battenAt(moved.batten, runOut.t).position } : runOut;
    const runOuts = { fore: taken(fore), aft: taken(aft) };
    return runOuts.fore !== fore || runOuts.aft !== aft ? [endingOn(line, runOuts)] : [];
  });

/** What has to be changed in the table so that lines that run out on a moved one still do. */
const followingEdits = (problem: Problem, change: readonly number[]): Edit[] =>
  followersOf(problem.hull, changedLine(problem, change)).flatMap((line) =>
    (['fore', 'aft'] as const).flatMap((end) =>
      line.runOuts?.[end]?.line === problem.line.id ? endEdits(line, end, line.runOuts[end].at) : [],
    ),
  );

function twistsAt(inputs: readonly PanelInput[], places: readonly Place[]): number[] {
  const edges = inputs.map(edgesOf);
  return places.map(({ input, s, t }) => {
    const [P, Q] = at(edges, input);
    const [p, q] = [P.at(s), Q.at(t)];
    return twistOf(p.position, p.first, q.position, q.first);
  });
}

function newtonStep(problem: Problem, { places, inputs, change }: State, stiffness: number): number[] {
  const twists = twistsAt(inputs, places);
  const slopes = problem.free.map((_, i) => {
    const nudged = change.map((c, j) => (i === j ? c + NUDGE_MM : c));
    return twistsAt(changedInputs(problem, nudged), places).map((twist, k) => (twist - at(twists, k)) / NUDGE_MM);
  });
  const dot = (a: readonly number[], b: readonly number[]) =>
    places.reduce((sum, { weight }, k) => sum + weight * at(a, k) * at(b, k), 0);
  const matrix = slopes.map((a, i) => slopes.map((b, j) => stiffness * at(at(problem.stiffness, i), j) + dot(a, b)));
  const right = slopes.map(
    (a, i) => -dot(a, twists) - stiffness * change.reduce((sum, c, j) => sum + at(at(problem.stiffness, i), j) * c, 0),
  );
  return solveDense(matrix, right);
}

/** Figures are offered to the millimetre where that cures, else to the tenth. */
const ROUNDINGS = [1, 0.1];

function remedyOf(problem: Problem, state: State): PanelRemedy | undefined {
  const before = problem.before.get(problem.panelId);
  for (const step of ROUNDINGS) {
    const figures = problem.free.map(({ index, quantity }, i): RemedyMove => {
      const point = at(problem.line.points, index);
      const fromMm = point[quantity];
      const isMoved = Math.abs(at(state.change, i)) >= step / 2;
      const toMm = isMoved ? Number((Math.round((fromMm + at(state.change, i)) / step) * step).toFixed(1)) : fromMm;
      return { index: point.index, station: point.station, quantity, fromMm, toMm };
    });
    const change = figures.map(({ fromMm, toMm }) => toMm - fromMm);
    const inputs = changedInputs(problem, change, true);
    const moves = figures.filter(({ fromMm, toMm }) => toMm !== fromMm);
    const [most] = [...moves].sort((a, b) => Math.abs(b.toMm - b.fromMm) - Math.abs(a.toMm - a.fromMm));
    const own = inputs.find((input) => panelIdOf(input) === problem.panelId);
    const panel = own && developPanel(own);
    const isSmall = most && Math.abs(most.toMm - most.fromMm) <= problem.furthestMm;
    if (!before || !most || !isSmall || !panel || 'reason' in panel || !cures(problem, inputs)) continue;
    const edits = [
      ...moves.map(({ index, quantity, toMm }) => ({ path: pointPath(problem.line.id, index, quantity), value: toMm })),
      ...followingEdits(problem, change),
    ];
    return {
      kind: 'move',
      panel: problem.panelId,
      line: problem.line.id,
      lineName: problem.line.name,
      moves,
      most,
      before,
      after: standingOf(panel),
      lines: withEdits(problem.table, edits),
      edits,
    };
  }
  return undefined;
}

const withEdits = (table: LinesTable, edits: readonly Edit[]): Longitudinal[] =>
  table.longitudinals.map((line) => {
    if (!edits.some(({ path }) => path[2] === line.id)) return line;
    const points = line.points.map((p) => ({ ...p }));
    for (const { path, value } of edits)
      if (path[2] === line.id) Object.assign(at(points, Number(path[4])), { [String(path[5])]: value });
    return { ...line, points };
  });
