/**
 * How a transom stands to the planking: it caps the panels' ends, or stands between them.
 *
 * Conventions: the lines' ends lie in one plane, which is the transom's inner face or its outer one, as the builder's
 * table means it (`transomEnds`). Panels end on the inner face of one that caps, on the outer face of one that stands
 * between. So where the table means the other face, the panels end a transom's thickness before the lines' ends, or
 * run on beyond them by as much along the lines' own curves.
 *
 * Method (derived here): at its end a panel's surface meets the transom's plane in its last ruling. With n the panel's
 * outward normal there and m the transom's, out of the boat, sin β = n·m. In the transom's plane the skin's inside
 * lies d/cos β within the lines, d its depth under them, the outside so much without as lies over them; a thickness W
 * further into the boat both lie W·tan β further out. Neighbouring edges are run on or cut back to where they cross,
 * the lowest from the centreline, the uppermost to the height of the sheers. Between transom and skin the inside corner
 * opens by 90° + β.
 * Accuracy: exact for plane panels; one of radius R bends away by (W/cos β)²/2R, under 0.1 mm for any sheet that is
 * bent.
 */
import { at, bracketedRoot, crossLines, distance2, dot3, sub3, type Vec2, type Vec3 } from '../../geometry';
import { battenAt, type HullLine } from '../../lines';
import type { Panel } from '../panel';
import type { TransomEnds, TransomFit } from '../schema';

/** How the skin and the transom's sheet lie about the lines, mm. */
export type TransomSheet = {
  readonly fit: TransomFit;
  readonly ends: TransomEnds;
  readonly thickness: number;
  /** Of the skin under the lines, and over them, where a panel meets it; undefined where none does. */
  readonly skinUnder: (panel: Panel | undefined) => number;
  readonly skinOver: (panel: Panel | undefined) => number;
  /** Kept clear all round by one that stands between and is filleted; null where its edges are bevelled to fit. */
  readonly gap: number | null;
};

/** A plane across the boat: a point of it and its normal out of the boat. */
export type EndPlane = { readonly point: Vec3; readonly normal: Vec3 };

/** How far beyond the lines' ends the panels end, square to the transom, mm; negative: before them. */
export const panelsRunOn = ({ fit, ends, thickness }: Pick<TransomSheet, 'fit' | 'ends' | 'thickness'>): number =>
  fit === 'caps' ? (ends === 'outer' ? -thickness : 0) : ends === 'inner' ? thickness : 0;

/** The line's parameter where it is so far beyond its own end, square to the plane; its end where it never is. */
export function endMoved(line: HullLine, end: 'fore' | 'aft', { normal }: EndPlane, byMm: number): number {
  const own = end === 'aft' ? 1 : 0;
  if (byMm === 0) return own;
  const from = battenAt(line.batten, own).position;
  const off = (t: number) => dot3(sub3(battenAt(line.batten, t).position, from), normal) - byMm;
  const outward = end === 'aft' ? 1 : -1;
  const way = byMm > 0 ? outward : -outward;
  for (let reach = Math.abs(byMm) / line.batten.chordMm; reach < MOST_OF_LINE; reach *= 2) {
    const t = bracketedRoot(off, own, own + way * reach, PARAMETER_TOLERANCE);
    if (t !== undefined) return t;
  }
  return own;
}

/** A line that runs along the transom comes nowhere within this share of it. */
const MOST_OF_LINE = 0.25;
const PARAMETER_TOLERANCE = 1e-12;

/** The panel that ends between two points, fore or aft, with its outward normal there; undefined where none does. */
export function panelBetween(panels: readonly Panel[], end: 'fore' | 'aft', a: Vec3, b: Vec3): EndOfPanel | undefined {
  const middle: Vec3 = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2];
  const ends = panels.map((panel) => {
    const { p, q, normal } = at(panel.rulings, end === 'aft' ? -1 : 0);
    return { panel, normal, off: offSegment(middle, p, q) };
  });
  const nearest = ends.sort((one, other) => one.off - other.off)[0];
  return nearest && nearest.off < ON_RULING_MM ? nearest : undefined;
}

type EndOfPanel = { readonly panel: Panel; readonly normal: Vec3 };

/** A panel's last ruling lies on the transom's edge but for how far the lines' ends are off one plane. */
const ON_RULING_MM = 20;

function offSegment(x: Vec3, p: Vec3, q: Vec3): number {
  const [d, e] = [sub3(q, p), sub3(x, p)];
  const square = dot3(d, d);
  const w = square > 0 ? Math.min(1, Math.max(0, dot3(d, e) / square)) : 0;
  return Math.hypot(e[0] - w * d[0], e[1] - w * d[1], e[2] - w * d[2]);
}

/** A stretch of the edge: how far off square the skin meets it, and which panel that is. */
export type EdgeMet = { readonly bevelRad: number; readonly panel: Panel | undefined };

/** How far each stretch of the edge is moved inward to become the outline that is cut. */
export const outlineInset = (sheet: TransomSheet, { bevelRad, panel }: EdgeMet): number => {
  const { fit, thickness, gap } = sheet;
  const inboard = thickness * Math.tan(bevelRad);
  // one that caps is cut to the larger of its faces and faired to the skin; its inner face is where the panels end
  if (fit === 'caps') return -sheet.skinOver(panel) / Math.cos(bevelRad) + Math.min(0, inboard);
  // between: to the smaller if it is square-edged, to the larger if it is to be bevelled; its outer face is flush
  const flush = sheet.skinUnder(panel) / Math.cos(bevelRad);
  return gap === null ? flush - Math.max(0, inboard) : flush - Math.min(0, inboard) + gap;
};

/** How far the corner between the transom's inner face and the skin's inside lies within the edge. */
export const cornerInset = ({ fit, thickness, skinUnder }: TransomSheet, { bevelRad, panel }: EdgeMet): number =>
  skinUnder(panel) / Math.cos(bevelRad) - (fit === 'caps' ? 0 : thickness * Math.tan(bevelRad));

/**
 * Half an edge with each stretch moved inward by its own inset, square to it: going outward and up the inside is on the
 * left. It begins on the centreline and ends at the height at which it did.
 */
export function movedHalf(points: readonly Vec2[], insets: readonly number[]): Vec2[] {
  const stretches = points.slice(1).map((b, i): readonly [Vec2, Vec2] => {
    const a = at(points, i);
    const length = distance2(a, b) || 1;
    const [du, dv] = [(-(b[1] - a[1]) / length) * at(insets, i), ((b[0] - a[0]) / length) * at(insets, i)];
    return [
      [a[0] + du, a[1] + dv],
      [b[0] + du, b[1] + dv],
    ];
  });
  const top = at(points, -1)[1];
  const corner = (i: number): Vec2 => {
    const [before, after] = [stretches[i - 1], stretches[i]];
    if (!before || !after) return at(points, i);
    return crossLines(...before, ...after)?.point ?? at(after, 0);
  };
  return points.map((_, i): Vec2 => {
    if (i === 0) return onLine(at(stretches, 0), 0, 0);
    if (i === points.length - 1) return onLine(at(stretches, -1), 1, top);
    return corner(i);
  });
}

/** Where a stretch, run on, has a coordinate; its own end where it never comes there. */
function onLine([a, b]: readonly [Vec2, Vec2], axis: 0 | 1, value: number): Vec2 {
  const step = b[axis] - a[axis];
  if (Math.abs(step) < FLAT_STEP_MM) return axis === 0 ? a : b;
  const w = (value - a[axis]) / step;
  return [a[0] + w * (b[0] - a[0]), a[1] + w * (b[1] - a[1])];
}

/** A stretch that rises or goes out by less than this does not come to a height, or to the centreline. */
const FLAT_STEP_MM = 1e-6;
