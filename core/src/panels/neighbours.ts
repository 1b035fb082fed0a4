/**
 * Where panels lie against each other: the stretches of lines that two of them share, or that one shares with its
 * mirror.
 *
 * Panels share a line as far as an edge of each runs along it, and are matched there by the line's own parameter: a
 * chine from end to end on most hulls, part of a keel or a sheer where another line runs out on it.
 */
import { at, lerp2, lerp3, type Vec2, type Vec3 } from '../geometry';
import { CENTRELINE_MM } from '../lines';
import type { EdgeStretch } from './inputs';
import { smoothLength, type Panel } from './panel';
import type { LaidRuling } from '../surface';

export type PanelEnd = 'P' | 'Q';

/** One panel's edge where it runs along a line. */
export type EdgeOfPanel = { readonly panel: Panel; readonly end: PanelEnd; readonly stretch: EdgeStretch };

/** A stretch of a line, by its parameter, between two panels; `below` is null where the panel meets its own mirror. */
export type Shared = {
  readonly line: string;
  readonly from: number;
  readonly to: number;
  readonly below: EdgeOfPanel | null;
  readonly above: EdgeOfPanel;
};

/** A shorter stretch, as a share of its line, is none. */
const NONE = 1e-6;

/**
 * All stretches between panels, lowest panel first, each panel's from the bow aft. Of a bottom across the centreline
 * the starboard edge is meant.
 *
 * @param keelWithinMm a lower edge this near to the centreline, and no other panel's, meets its mirror there
 */
export function sharedStretches(panels: readonly Panel[], keelWithinMm = CENTRELINE_MM): Shared[] {
  const below = panels.flatMap((panel) =>
    panel.stretches[1].map((stretch): EdgeOfPanel => ({ panel, end: 'Q', stretch })),
  );
  return panels.flatMap((panel) => {
    if (panel.spansCentreline) return [];
    return panel.stretches[0].flatMap((stretch) => {
      const above: EdgeOfPanel = { panel, end: 'P', stretch };
      const met = below.filter((other) => other.stretch.line === stretch.line && other.panel !== panel);
      const ends = met.flatMap((other) => [other.stretch.lineFrom, other.stretch.lineTo]);
      const inner = ends.filter((t) => t > stretch.lineFrom + NONE && t < stretch.lineTo - NONE).sort((a, b) => a - b);
      const steps = [stretch.lineFrom, ...inner, stretch.lineTo];
      return steps.slice(1).flatMap((to, k): Shared[] => {
        const from = at(steps, k);
        if (to - from < NONE) return [];
        const other = met.find(({ stretch: { lineFrom, lineTo } }) => lineFrom < from + NONE && lineTo > to - NONE);
        if (!other && !isKeel(above, [from, to], keelWithinMm)) return [];
        return [{ line: stretch.line, from, to, below: other ?? null, above }];
      });
    });
  });
}

function isKeel(edge: EdgeOfPanel, range: readonly [number, number], withinMm: number): boolean {
  return pointsBetween(edge, range).every(({ space }) => Math.abs(space[1]) <= withinMm);
}

/** The edge's parameter where the line has t, and the other way about. */
export const onEdge = ({ from, to, lineFrom, lineTo }: EdgeStretch, t: number): number =>
  from + ((t - lineFrom) / (lineTo - lineFrom)) * (to - from);
export const onLine = ({ from, to, lineFrom, lineTo }: EdgeStretch, u: number): number =>
  lineFrom + ((u - from) / (to - from)) * (lineTo - lineFrom);

/**
 * What lies against a panel at one place of its edge: another, at the parameter u of its `end`, or (null) its own
 * mirror.
 */
export type Mate = {
  readonly panel: Panel | null;
  readonly end: PanelEnd;
  readonly u: number;
  /** The line between them, and its parameter there. */
  readonly line: string;
  readonly t: number;
  /** It is the mirrored other: on the port edge of a bottom across the centreline. */
  readonly isMirrored: boolean;
};

/** Tells what lies against a panel at a parameter of an edge; undefined where nothing does. */
export function matesOf(panel: Panel, shared: readonly Shared[]): (end: PanelEnd, u: number) => Mate | undefined {
  const sides = { P: sidesOf(panel, 'P', shared), Q: sidesOf(panel, 'Q', shared) };
  return (end, u) => {
    // where the bottom spans the centreline both its edges meet the side
    const isMirrored = panel.spansCentreline && end === 'P';
    const side = sides[isMirrored ? 'Q' : end].find(({ from, to }) => u >= from - NONE && u <= to + NONE);
    if (!side) return undefined;
    const t = onLine(side.own.stretch, u);
    const { other, line } = side;
    if (!other) return { panel: null, end, u, line, t, isMirrored };
    return { panel: other.panel, end: other.end, u: onEdge(other.stretch, t), line, t, isMirrored };
  };
}

type Side = {
  readonly own: EdgeOfPanel;
  readonly other: EdgeOfPanel | null;
  readonly line: string;
  readonly from: number;
  readonly to: number;
};

function sidesOf(panel: Panel, end: PanelEnd, shared: readonly Shared[]): Side[] {
  return shared.flatMap(({ line, from, to, below, above }): Side[] => {
    const [own, other] = end === 'P' ? [above, below] : [below, above];
    if (own?.panel !== panel) return [];
    return [{ own, other, line, from: onEdge(own.stretch, from), to: onEdge(own.stretch, to) }];
  });
}

export type EdgePoint = { readonly u: number; readonly flat: Vec2; readonly space: Vec3 };

const paramOf = (r: LaidRuling, end: PanelEnd): number => (end === 'P' ? r.s : r.t);

/** A panel's edge between two parameters of the line that it runs along: at its rulings, and at both ends. */
export function pointsBetween(
  { panel, end, stretch }: EdgeOfPanel,
  [from, to]: readonly [number, number],
): EdgePoint[] {
  const [a, b] = [onEdge(stretch, from), onEdge(stretch, to)];
  const point = (r: LaidRuling): EdgePoint => ({
    u: paramOf(r, end),
    flat: end === 'P' ? r.flatP : r.flatQ,
    space: end === 'P' ? r.p : r.q,
  });
  const all = panel.rulings.map(point);
  const inner = all.filter(({ u }) => u > a + NONE && u < b - NONE);
  return [pointOnEdge(all, a), ...inner, pointOnEdge(all, b)];
}

/** A place on an edge between two of its points. */
function pointOnEdge(points: readonly EdgePoint[], u: number): EdgePoint {
  const found = points.findIndex((point) => point.u >= u - NONE);
  const k = found === -1 ? points.length - 1 : Math.max(1, found);
  const [a, b] = [at(points, k - 1), at(points, k)];
  const w = b.u > a.u ? Math.min(1, Math.max(0, (u - a.u) / (b.u - a.u))) : 0;
  return { u, flat: lerp2(a.flat, b.flat, w), space: lerp3(a.space, b.space, w) };
}

/** Along the flat edge where it is shared, mm. */
export function lengthBetween(edge: EdgeOfPanel, [from, to]: readonly [number, number]): number {
  const isWhole = onEdge(edge.stretch, from) <= NONE && onEdge(edge.stretch, to) >= 1 - NONE;
  return isWhole
    ? edge.panel.edges[edge.end === 'P' ? 0 : 1].length
    : smoothLength(pointsBetween(edge, [from, to]).map(({ flat }) => flat));
}
