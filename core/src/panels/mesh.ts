/**
 * The hull as one closed surface of triangles, their outer side outward: what a solid model of it is printed from.
 *
 * It is the surface that the lines were drawn to, without thickness: every panel to starboard and mirrored to port, the
 * ends across where they are open, and a flat lid from sheer to sheer. Method: panels that meet along a line have their
 * rulings at different places of it, so the points of both are put together, and each panel's strip between two rulings
 * is cut to triangles through all the points that lie on its edges there: no corner of one triangle lies inside the
 * side of another. Points nearer than WELD_MM are one. Where lines run out on one another the same holds, stretch by
 * stretch. A panel that could not be developed leaves a hole.
 */
import type { Triangle } from '../formats';
import { at, distance3, type Vec3 } from '../geometry';
import { CENTRELINE_MM } from '../lines';
import type { EdgeStretch } from './inputs';
import { onEdge, onLine, type PanelEnd } from './neighbours';
import type { Panel } from './panel';
import { endPoints } from './transom/curved-transom';

/** Well under what is drawn, well over the rounding of a file's figures. */
const WELD_MM = 0.01;
/** Points of a line no further apart by its parameter are one. */
const SAME_T = 1e-9;

/** Of one side, lowest first. */
export function hullTriangles(panels: readonly Panel[]): Triangle[] {
  const weld = createWeld();
  const lines = pointsOfLines(panels, weld);
  const sides = panels.flatMap((panel) => {
    const own = panelTriangles(panel, lines, weld);
    return panel.spansCentreline ? own : [...own, ...own.map(mirrored)];
  });
  const ends = (['fore', 'aft'] as const).flatMap((end) => endTriangles(panels, end, weld));
  return [...sides, ...ends, ...lid(panels, lines)].filter(hasCorners);
}

type Weld = (p: Vec3) => Vec3;

/** One and the same point for all that are nearer than WELD_MM to the first of them; the centreline is exact. */
function createWeld(): Weld {
  // cells by a figure made of their three: others of the same figure are told apart by how far they lie
  const cells = new Map<number, Vec3[]>();
  const cellOf = (i: number, j: number, k: number) => (i * 73_856_093) ^ (j * 19_349_663) ^ (k * 83_492_791);
  return (p) => {
    const own: Vec3 = Math.abs(p[1]) <= CENTRELINE_MM ? [p[0], 0, p[2]] : p;
    // three in, three out
    const [i, j, k] = own.map((value) => Math.floor(value / WELD_MM)) as [number, number, number];
    for (let di = -1; di <= 1; di++)
      for (let dj = -1; dj <= 1; dj++)
        for (let dk = -1; dk <= 1; dk++) {
          const near = cells.get(cellOf(i + di, j + dj, k + dk))?.find((other) => distance3(own, other) < WELD_MM);
          if (near) return near;
        }
    const key = cellOf(i, j, k);
    const here = cells.get(key);
    if (here) here.push(own);
    else cells.set(key, [own]);
    return own;
  };
}

type LinePoint = { readonly t: number; readonly point: Vec3 };
/** The points of each line at which any panel has a ruling, in order. */
type LinePoints = ReadonlyMap<string, readonly LinePoint[]>;

function pointsOfLines(panels: readonly Panel[], weld: Weld): LinePoints {
  const lines = new Map<string, LinePoint[]>();
  for (const panel of panels)
    for (const end of ['P', 'Q'] as const) {
      // the lower edge of a bottom across the centreline is the mirror of its upper
      if (end === 'P' && panel.spansCentreline) continue;
      for (const r of panel.rulings) {
        const u = end === 'P' ? r.s : r.t;
        for (const stretch of panel.stretches[end === 'P' ? 0 : 1].filter((one) => isOn(one, u))) {
          const list = lines.get(stretch.line) ?? [];
          list.push({ t: onLine(stretch, u), point: weld(end === 'P' ? r.p : r.q) });
          lines.set(stretch.line, list);
        }
      }
    }
  for (const [line, points] of lines) lines.set(line, inOrder(points));
  return lines;
}

const isOn = ({ from, to }: EdgeStretch, u: number): boolean => u >= from - SAME_T && u <= to + SAME_T;

const inOrder = (points: readonly LinePoint[]): LinePoint[] =>
  [...points].sort((a, b) => a.t - b.t).filter((p, i, all) => i === 0 || p.t - at(all, i - 1).t > SAME_T);

/** All points of a panel's edge, by the edge's own parameter. */
function edgePoints(panel: Panel, end: PanelEnd, lines: LinePoints): LinePoint[] {
  const isMirrored = end === 'P' && panel.spansCentreline;
  const stretches = panel.stretches[end === 'P' && !isMirrored ? 0 : 1];
  const points = stretches.flatMap((stretch) =>
    (lines.get(stretch.line) ?? [])
      .filter(({ t }) => t >= stretch.lineFrom - SAME_T && t <= stretch.lineTo + SAME_T)
      .map(({ t, point }) => ({ t: onEdge(stretch, t), point: isMirrored ? mirror(point) : point })),
  );
  return inOrder(points);
}

/** Strip by strip between the rulings, through all points of the edges. */
function panelTriangles(panel: Panel, lines: LinePoints, weld: Weld): Triangle[] {
  const [lower, upper] = [edgePoints(panel, 'P', lines), edgePoints(panel, 'Q', lines)];
  const [runLower, runUpper] = [runsOf(lower), runsOf(upper)];
  const strips = panel.rulings.slice(1).flatMap((b, k) => {
    const a = at(panel.rulings, k);
    return between(runLower(a.s, b.s), runUpper(a.t, b.t));
  });
  // an end set out from the last ruling, as at a transom that is bent
  const last = at(panel.rulings, -1);
  const own: Vec3[] = [weld(last.p), weld(last.q)];
  return panel.aftCurve ? [...strips, ...between(own, endPoints(panel).map(weld)).map(turned)] : strips;
}

/** What lies between two places of points in order; asked for one strip after another, each begins near the last. */
function runsOf(points: readonly LinePoint[]): (from: number, to: number) => Vec3[] {
  let first = 0;
  return (from, to) => {
    while (first > 0 && at(points, first - 1).t >= from - SAME_T) first--;
    while (first < points.length && at(points, first).t < from - SAME_T) first++;
    let past = first;
    while (past < points.length && at(points, past).t <= to + SAME_T) past++;
    return points.slice(first, past).map(({ point }) => point);
  };
}

/**
 * The triangles between two runs of points with the same direction, by turns along that which is behind; seen from the
 * side to which the first run lies below the second when they go right, they turn clockwise.
 */
function between(first: readonly Vec3[], second: readonly Vec3[]): Triangle[] {
  // an edge of a panel of lines in a knot may have no place of its own
  if (first.length === 0 || second.length === 0) return [];
  const made: Triangle[] = [];
  let [i, j] = [0, 0];
  while (i < first.length - 1 || j < second.length - 1) {
    const isFirst =
      j >= second.length - 1 || (i < first.length - 1 && i / (first.length - 1) <= j / (second.length - 1));
    const [a, b] = [at(first, i), at(second, j)];
    made.push(isFirst ? [a, b, at(first, i + 1)] : [a, b, at(second, j + 1)]);
    if (isFirst) i += 1;
    else j += 1;
  }
  return made;
}

/** Across an end that is not closed by its panels: rows from side to side, from the lowest up. */
function endTriangles(panels: readonly Panel[], end: 'fore' | 'aft', weld: Weld): Triangle[] {
  const edges = panels.map((panel) => ({ panel, points: endOf(panel, end).map(weld) }));
  const bottom = edges.find(({ panel }) => panel.spansCentreline);
  const side: Vec3[] = [];
  for (const { panel, points } of edges) {
    const last = side[side.length - 1];
    const goesOn = !last || isSamePoint(last, at(points, 0));
    // a panel between lines that run out on one another ends in a point elsewhere
    if (!panel.spansCentreline && goesOn && !isSamePoint(at(points, 0), at(points, -1))) side.push(...points);
  }
  const rows = side.map((p) => [mirror(p), p]);
  const lowest = bottom && bottom.points.length > 2 ? [bottom.points, ...rows.slice(1)] : rows;
  const made = lowest.slice(1).flatMap((row, i) => between(at(lowest, i), row));
  return end === 'aft' ? made.map(turned) : made;
}

function endOf(panel: Panel, end: 'fore' | 'aft'): Vec3[] {
  if (end === 'aft' && panel.aftCurve) return endPoints(panel);
  const { p, q } = at(panel.rulings, end === 'aft' ? -1 : 0);
  return [p, q];
}

/** From the uppermost line across to its mirror. */
function lid(panels: readonly Panel[], lines: LinePoints): Triangle[] {
  const top = panels[panels.length - 1];
  const sheer = (top && lines.get(top.between[1])?.map(({ point }) => point)) ?? [];
  return between(sheer, sheer.map(mirror));
}

const mirror = ([x, y, z]: Vec3): Vec3 => [x, y === 0 ? 0 : -y, z];
const turned = ([a, b, c]: Triangle): Triangle => [a, c, b];
const mirrored = ([a, b, c]: Triangle): Triangle => [mirror(a), mirror(c), mirror(b)];

const isSamePoint = (a: Vec3, b: Vec3): boolean => a.every((value, k) => value === b[k]);
const hasCorners = ([a, b, c]: Triangle): boolean => !isSamePoint(a, b) && !isSamePoint(b, c) && !isSamePoint(c, a);

/**
 * The skin alone, between neighbouring rulings, so far off the lines' surface along its normals (inward negative): of a
 * pair both sides. Panels do not meet there: what lies between their edges is left open.
 */
export function skinTriangles(panels: readonly Panel[], outMm: number): Triangle[] {
  return panels.flatMap(({ rulings, spansCentreline, only }) => {
    const off = (p: Vec3, [x, y, z]: Vec3): Vec3 => [p[0] + x * outMm, p[1] + y * outMm, p[2] + z * outMm];
    const places = rulings.map(({ p, q, normal }) => [off(p, normal), off(q, normal)] as const);
    const strips = (ends: readonly (readonly [Vec3, Vec3])[]): Triangle[] => {
      const made: Triangle[] = [];
      for (let k = 1; k < ends.length; k++) {
        const [a0, a1] = at(ends, k - 1);
        const [b0, b1] = at(ends, k);
        made.push([a0, a1, b0], [a1, b1, b0]);
      }
      return made;
    };
    const own = strips(places);
    const port = () => strips(places.map(([a, b]) => [mirror(a), mirror(b)] as const));
    if (only === 'port') return port();
    return spansCentreline || only === 'starboard' ? own : [...own, ...port()];
  });
}
