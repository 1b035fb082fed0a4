/**
 * What is marked out on a flat panel: offsets to both edges from a base line at even steps and at corners, its
 * stations, the waterline, the diagonals it is checked by, and the same told step by step with the tape along the
 * bottom.
 *
 * The base line is straight: clear under the panel (along u), through it with the least greatest offset to either
 * side, or through both ends of the lower edge. Offsets are measured square to it from its forward end, as a builder
 * does with a tape along the line and a square; they are negative below it. Where a batten sprung round nails at these
 * places would stray from an edge, rows come between, at half the step, a quarter, an eighth.
 */
import {
  at,
  boundsOf,
  contains,
  crossings,
  crossLines,
  distance2,
  dot3,
  lerp2,
  type Vec2,
  type Vec3,
} from '../../geometry';
import type { Panel } from '../panel';
import type { BaseLine, PanelsPart } from '../schema';
import { cornersOf } from '../cut/set-back';
import { battenOff, edgeLine, nailsAlong, placeOnEdge, type EdgeLine, type Nail } from './edge-line';
import { sectionBy, wholeEnds, type LaidRuling, type Plane } from '../../surface';

/**
 * At distance u from the named end: v to the lower and to the upper edge, mm. `corner`: which of the two has one
 * there.
 */
export type MarkingRow = {
  readonly u: number;
  readonly lower: number;
  readonly upper: number;
  readonly corner?: 'lower' | 'upper' | 'both';
};

/** The base line on the panel: where its nought lies and which way it runs. */
export type BaseFrame = { readonly origin: Vec2; readonly direction: Vec2 };

export type MarkingOut = {
  readonly frame: BaseFrame;
  readonly rows: readonly MarkingRow[];
  /** From the forward lower corner to the after upper one, and from the after lower to the forward upper, mm. */
  readonly diagonals: readonly [number, number];
  /** Greatest offset from the line, mm: the square must reach so far. */
  readonly reach: number;
};

/** @param stray how far a batten round the nails may lie off the edges before rows come between, mm; 0: none do */
export function markOut(panel: Panel, step: number, base: BaseLine, stray = 0): MarkingOut {
  const frame = baseFrame(panel, base);
  const outline = panel.outline.map((p) => inFrame(frame, p));
  const even = withCorners(
    rowsOf(outline, step),
    outline,
    cornersOn(panel).map((p) => inFrame(frame, p)),
  );
  const rows = stray > 0 ? closer(even, { panel, frame, step, stray, read: rowReader(outline) }) : even;
  const [first, last] = [at(panel.rulings, 0), at(panel.rulings, -1)];
  return {
    frame,
    rows,
    diagonals: [distance2(first.flatP, last.flatQ), distance2(last.flatP, first.flatQ)],
    reach: Math.max(...rows.flatMap((row) => [Math.abs(row.lower), Math.abs(row.upper)])),
  };
}

/** As the project asks for it. */
export const markingOf = (panel: Panel, part: MarkingAsked): MarkingOut =>
  markOut(panel, part.markingStep, part.markingBase, part.markingStray);

export type MarkingAsked = Pick<PanelsPart, 'markingStep' | 'markingBase' | 'markingStray'>;

/** A place of the panel as distance along the base line and offset from it. */
export const inFrame = ({ origin, direction: [c, s] }: BaseFrame, [u, v]: Vec2): Vec2 => [
  c * (u - origin[0]) + s * (v - origin[1]),
  c * (v - origin[1]) - s * (u - origin[0]),
];

/** And back. */
export const fromFrame = ({ origin, direction: [c, s] }: BaseFrame, [a, b]: Vec2): Vec2 => [
  origin[0] + c * a - s * b,
  origin[1] + s * a + c * b,
];

function baseFrame(panel: Panel, base: BaseLine): BaseFrame {
  if (base === 'under') return { origin: [0, 0], direction: [1, 0] };
  if (base === 'ends') return frameFrom(panel, at(panel.rulings, 0).flatP, at(panel.rulings, -1).flatP);
  // the narrowest strip that holds the panel: its middle line has the least greatest offset
  const best = narrowestStrip(panel.outline);
  return frameFrom(panel, best[0], best[1]);
}

/** Nought is where the foremost point of the panel stands on the line. */
function frameFrom(panel: Panel, a: Vec2, b: Vec2): BaseFrame {
  const length = distance2(a, b);
  if (length === 0) return { origin: [0, 0], direction: [1, 0] };
  const direction: Vec2 = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const rough: BaseFrame = { origin: a, direction };
  const from = Math.min(...panel.outline.map((p) => inFrame(rough, p)[0]));
  return { origin: fromFrame(rough, [from, 0]), direction };
}

const TURNS = 40;
/** Panels lie along u to start with; no better line leans more. */
const MOST_LEAN_RAD = 0.3;

/**
 * Two points of the middle line of the narrowest strip round the outline: golden section on the lean, which has one
 * least.
 */
function narrowestStrip(outline: readonly Vec2[]): [Vec2, Vec2] {
  const strip = (lean: number) => {
    const [c, s] = [Math.cos(lean), Math.sin(lean)];
    const vs = outline.map(([u, v]) => c * v - s * u);
    return { c, s, low: Math.min(...vs), high: Math.max(...vs) };
  };
  const width = (lean: number) => {
    const { low, high } = strip(lean);
    return high - low;
  };
  const golden = (Math.sqrt(5) - 1) / 2;
  let [from, to] = [-MOST_LEAN_RAD, MOST_LEAN_RAD];
  for (let k = 0; k < TURNS; k++) {
    const [a, b] = [to - golden * (to - from), from + golden * (to - from)];
    if (width(a) < width(b)) to = b;
    else from = a;
  }
  const { c, s, low, high } = strip((from + to) / 2);
  const v = (low + high) / 2;
  return [
    [-s * v, c * v],
    [1000 * c - s * v, 1000 * s + c * v],
  ];
}

export function rowsOf(outline: readonly Vec2[], step: number): MarkingRow[] {
  const read = rowReader(outline);
  const { minX: from, maxX: to } = boundsOf(outline);
  const stops = [from];
  for (let u = Math.ceil(from / step + 1e-9) * step; u < to; u += step) stops.push(u);
  stops.push(to);
  return stops.flatMap((u) => read(u) ?? []);
}

/** Reads the lower and the upper edge at places along an outline. */
function rowReader(outline: readonly Vec2[]): (u: number) => MarkingRow | undefined {
  const { minX: from, maxX: to } = boundsOf(outline);
  const ring = [...outline, at(outline, 0)];
  return (u) => {
    const inside = Math.min(Math.max(u, from + END_MM), to - END_MM);
    const vs = crossings(ring, 0, inside).map((p) => p[1]);
    return vs.length === 0 ? undefined : { u, lower: Math.min(...vs), upper: Math.max(...vs) };
  };
}

/** The ends are read this far in, where the outline certainly crosses. */
const END_MM = 1e-4;

/** Where the outline has a corner: at both ends, and within an edge, where the batten is not sprung round. */
function cornersOn({ rulings, knuckles }: Panel): Vec2[] {
  const ends = [at(rulings, 0), at(rulings, -1)].flatMap(({ flatP, flatQ }) => [flatP, flatQ]);
  const lower = rulings.map((r) => r.flatP);
  const upper = rulings.map((r) => r.flatQ);
  const along = { lower: rulings.map(({ s }) => s), upper: rulings.map(({ t }) => t) };
  return [
    ...ends,
    ...cornersOf(lower, along.lower, knuckles[0]).map(({ from }) => at(lower, from)),
    ...cornersOf(upper, along.upper, knuckles[1]).map(({ from }) => at(upper, from)),
  ];
}

/** A corner this near to a row is in it. */
const SAME_ROW_MM = 0.05;

/** The rows with one for each corner, in order. */
function withCorners(rows: readonly MarkingRow[], outline: readonly Vec2[], corners: readonly Vec2[]): MarkingRow[] {
  const all = [...rows];
  const read = rowReader(outline);
  for (const [u, v] of corners) {
    let k = all.findIndex((row) => row.u > u - SAME_ROW_MM);
    if (k === -1) k = all.length - 1;
    const near = at(all, k);
    const isNew = Math.abs(near.u - u) > SAME_ROW_MM;
    const row = isNew ? read(u) : near;
    if (!row) continue;
    const side = Math.abs(v - row.lower) < Math.abs(v - row.upper) ? 'lower' : 'upper';
    const corner = row.corner && row.corner !== side ? 'both' : side;
    all.splice(k, isNew ? 0 : 1, { ...row, ...(row.upper - row.lower > SAME_ROW_MM && { [side]: v }), corner });
  }
  return all;
}

/** The nails of one edge that rows of the table give. */
export const nailsOfRows = (
  line: EdgeLine,
  { frame, rows }: Pick<MarkingOut, 'frame' | 'rows'>,
): readonly (readonly Nail[])[] => {
  const edge = line.end === 'P' ? 'lower' : 'upper';
  return nailsAlong(
    line,
    rows.map((row) => ({
      at: fromFrame(frame, [row.u, row[edge]]),
      isCorner: row.corner === edge || row.corner === 'both',
    })),
  );
};

/** A stretch along the base line in which rows stand closer than the step, mm. */
export type CloserRun = { readonly from: number; readonly to: number; readonly step: number };

/** Two stretches with fewer steps between them are told as one. */
const RUN_ON_STEPS = 1;

export function closerRuns(rows: readonly MarkingRow[], step: number): CloserRun[] {
  const plain = rows.filter(({ corner }) => corner === undefined);
  const runs: CloserRun[] = [];
  plain.slice(1).forEach(({ u: to }, k) => {
    const from = at(plain, k).u;
    if (to - from > 0.75 * step) return;
    const before = runs[runs.length - 1];
    if (before && from - before.to < RUN_ON_STEPS * step)
      runs[runs.length - 1] = { from: before.from, to, step: Math.min(before.step, to - from) };
    else runs.push({ from, to, step: to - from });
  });
  return runs;
}

type Closer = {
  readonly panel: Panel;
  readonly frame: BaseFrame;
  readonly step: number;
  readonly stray: number;
  readonly read: (u: number) => MarkingRow | undefined;
};

/** A step is halved so often at most, and not to less than a hand's breadth of squares. */
const HALVINGS = 3;
const LEAST_STEP_MM = 20;
/** Between two nails the batten is looked at there. */
const LOOKS = [0.25, 0.5, 0.75];

/** The rows with others between them, wherever the batten round the nails would stray too far off either edge. */
function closer(rows: readonly MarkingRow[], { panel, frame, step, stray, read }: Closer): MarkingRow[] {
  const lines = (['P', 'Q'] as const).map((end) => edgeLine(panel, end)).filter(({ points }) => points.length > 1);
  const all = [...rows];
  for (let k = 1; k <= HALVINGS && step / 2 ** k >= LEAST_STEP_MM; k++) {
    const grid = step / 2 ** k;
    const wanted = lines.flatMap((line) =>
      nailsOfRows(line, { frame, rows: all }).flatMap((piece) =>
        straying(line, piece, stray).map(([a, b]) => {
          const [from, to] = [inFrame(frame, a.at)[0], inFrame(frame, b.at)[0]];
          const onGrid = Math.round((from + to) / 2 / grid) * grid;
          const isBetween = Math.min(onGrid - from, to - onGrid) > (to - from) / 4;
          return isBetween ? onGrid : (from + to) / 2;
        }),
      ),
    );
    const fresh = wanted.filter((u, i) => wanted.findIndex((other) => Math.abs(other - u) < LEAST_STEP_MM / 2) === i);
    const added = fresh.flatMap((u) =>
      all.some((row) => Math.abs(row.u - u) < LEAST_STEP_MM / 2) ? [] : (read(u) ?? []),
    );
    if (added.length === 0) break;
    all.push(...added);
    all.sort((a, b) => a.u - b.u);
  }
  return all;
}

/** Pairs of neighbouring nails between which the batten strays by more. */
function straying(line: EdgeLine, nails: readonly Nail[], by: number): (readonly [Nail, Nail])[] {
  const bays = nails.slice(1).map((to, k) => [at(nails, k), to] as const);
  const places = bays.flatMap(([a, b]) =>
    LOOKS.map((share) => {
      const along = a.along + share * (b.along - a.along);
      return { along, place: placeOnEdge(line, along) };
    }),
  );
  const off = battenOff(
    nails,
    nails.map((nail) => nail.at),
    places,
  );
  return bays.filter((_, k) => LOOKS.some((__, i) => Math.abs(at(off, k * LOOKS.length + i)) > by));
}

export type StationMark = { readonly label: string; readonly x: number; readonly curve: readonly Vec2[] };

/**
 * The true curve of each station on the flat panel, nearly straight: where the inside face passes it, which is where a
 * frame set to the mark touches. At a bevel β that lies T·tan β from where the outside does.
 */
export function stationMarks(panel: Panel, stations: readonly { label: string; x: number }[]): StationMark[] {
  return stations
    .map(({ label, x }) => ({ label, x, curve: planeMark(panel, { normal: [1, 0, 0], level: x }) }))
    .filter((mark) => mark.curve.length > 1);
}

/**
 * The curve in which a plane meets the panel's inside face, on the flat, where what stands there reaches; empty where
 * it misses it. On another face, so far inside of the lines' surface, where that is given.
 */
export const planeMark = (
  panel: Panel,
  plane: Plane,
  reaches: (place: Vec3) => boolean = () => true,
  insideMm = panel.insideMm,
): readonly Vec2[] =>
  onPanel(
    sectionBy(panel.rulings, plane, insideMm).flatMap(({ space, flat }) => (reaches(space) ? [flat] : [])),
    panel.outline,
  );

/** Where the panel passes a height, on the flat. */
export const levelMarks = (panel: Panel, heightMm: number): Vec2[][] =>
  waterMarks(panel, { normal: [0, 0, 1], level: heightMm });

/** Where it passes the water, however it lies: runs of points from forward aft; a waterline leaves and comes back. */
export function waterMarks(panel: Panel, water: Plane): Vec2[][] {
  const runs: Vec2[][] = [];
  let run: Vec2[] = [];
  const close = () => {
    if (run.length > 1) runs.push(run);
    run = [];
  };
  panel.rulings.forEach((ruling, k) => {
    const before = panel.rulings[k - 1];
    const ends = before ? (['p', 'q'] as const).flatMap((end) => edgeCrossing(before, ruling, end, water)) : [];
    const own = crossingOn(ruling, water);
    // an edge is passed on the way in or on the way out
    if (own && run.length === 0) run.push(...ends, own);
    else if (own) run.push(own);
    else {
      run.push(...(run.length > 0 ? ends : []));
      close();
    }
  });
  close();
  return runs.map((points) => onPanel(points, panel.outline)).filter((points) => points.length > 1);
}

/** A mark's ends brought back to where it passes the cut edges: on the whole panel it runs out over them. */
function onPanel(mark: readonly Vec2[], outline: readonly Vec2[]): Vec2[] {
  return fromEdge(fromEdge(mark, outline).reverse(), outline).reverse();
}

/** A line from where it comes onto the panel; all of it where it begins there, nothing where it passes it by. */
function fromEdge(line: readonly Vec2[], outline: readonly Vec2[]): Vec2[] {
  const [start] = line;
  if (!start || contains(outline, start)) return [...line];
  for (let k = 1; k < line.length; k++) {
    const [a, b] = [at(line, k - 1), at(line, k)];
    let least: { readonly w: number; readonly point: Vec2 } | undefined;
    outline.forEach((c, i) => {
      const found = crossLines(a, b, c, at(outline, (i + 1) % outline.length));
      if (!found || found.v < 0 || found.v > 1 || found.w < -TOUCH || found.w > 1 + TOUCH) return;
      if (!least || found.w < least.w) least = found;
    });
    if (least) return [least.point, ...line.slice(k)];
  }
  return [];
}

/** A share of a step: a mark that ends on an edge may end a rounding short of it. */
const TOUCH = 1e-6;

const over = (p: Vec3, { normal, level }: Plane): number => dot3(p, normal) - level;

function crossingOn(r: LaidRuling, water: Plane): Vec2 | undefined {
  const [a, b] = [over(r.p, water), over(r.q, water)];
  return a > 0 === b > 0 ? undefined : lerp2(...wholeEnds(r), a / (a - b));
}

function edgeCrossing(a: LaidRuling, b: LaidRuling, end: 'p' | 'q', water: Plane): Vec2[] {
  const [za, zb] = [over(a[end], water), over(b[end], water)];
  if (za > 0 === zb > 0) return [];
  const flat = end === 'p' ? 0 : 1;
  return [lerp2(wholeEnds(a)[flat], wholeEnds(b)[flat], za / (za - zb))];
}
