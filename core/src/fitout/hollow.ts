/**
 * Edges of a part that are hollowed: the after edge of a breasthook, the inner one of a knee, a thwart's two.
 *
 * Method: the part's own straight edge, as far as the hull leaves of it, is the chord of an arc whose rise is what is
 * asked; the segment between them comes off. An arc of more than a half circle is none: the rise is held under half the
 * chord. R = c²/(8h) + h/2 (any geometry).
 */
import { differenceOf, distance2, distanceToSegment, type Outline, type Vec2 } from '../geometry';

/** An edge on the flat sheet, and which way the part lies from it. */
export type StraightEdge = { readonly line: readonly Vec2[]; readonly inward: Vec2; readonly rise: number };

/** What lies so near to an edge is on it: Clipper's grid and the straight between two of its places. */
const ON_EDGE_MM = 0.02;
/** So far beyond the chord what comes off goes on, so that no sliver is left. */
const BEYOND_MM = 2;
/** The share of half the chord that an arc rises at most. */
const MOST_RISE = 0.98;
/** Places along an arc: its chords are within 0.02 mm of it at a radius of half a metre over 90°. */
const STEPS = 96;

export function hollowed(outline: Outline, edges: readonly StraightEdge[]): Outline[] {
  const off = edges.flatMap((edge) => segmentOn(outline, edge));
  return off.length === 0 ? [outline] : differenceOf([outline], off).map((region) => region.outline);
}

/** Between the chord that is left of an edge and its arc. */
function segmentOn(outline: Outline, { line, inward, rise }: StraightEdge): Outline[] {
  if (rise <= 0) return [];
  const isOn = (p: Vec2) => line.some((b, i) => i > 0 && distanceToSegment(p, line[i - 1] ?? b, b) < ON_EDGE_MM);
  const on = outline.filter(isOn);
  const along: Vec2 = [-inward[1], inward[0]];
  const furthest = (side: 1 | -1) =>
    on.reduce<Vec2 | undefined>(
      (best, p) => (!best || side * dot(p, along) > side * dot(best, along) ? p : best),
      undefined,
    );
  const [a, b] = [furthest(-1), furthest(1)];
  const chord = a && b ? distance2(a, b) : 0;
  if (!a || !b || chord === 0) return [];
  const high = Math.min(rise, (MOST_RISE * chord) / 2);
  const out: Vec2 = [-inward[0] * BEYOND_MM, -inward[1] * BEYOND_MM];
  return [[...arcOver(a, b, { high, inward }), add(b, out), add(a, out)]];
}

const dot = (p: Vec2, q: Vec2): number => p[0] * q[0] + p[1] * q[1];
const add = (p: Vec2, q: Vec2): Vec2 => [p[0] + q[0], p[1] + q[1]];

/** From a to b, `high` over the middle of the straight between them. */
export function arcOver(a: Vec2, b: Vec2, { high, inward }: { readonly high: number; readonly inward: Vec2 }): Vec2[] {
  const chord = distance2(a, b);
  const radius = (chord * chord) / (8 * high) + high / 2;
  const half = Math.asin(Math.min(1, chord / 2 / radius));
  const unit: Vec2 = [(b[0] - a[0]) / chord, (b[1] - a[1]) / chord];
  // square to the chord, on the part's side of it
  const left: Vec2 = [-unit[1], unit[0]];
  const up: Vec2 = dot(left, inward) > 0 ? left : [-left[0], -left[1]];
  const middle: Vec2 = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const turn = -half + (2 * half * i) / STEPS;
    const [s, w] = [radius * Math.sin(turn), radius * Math.cos(turn) - radius + high];
    return [middle[0] + s * unit[0] + w * up[0], middle[1] + s * unit[1] + w * up[1]] as Vec2;
  });
}
