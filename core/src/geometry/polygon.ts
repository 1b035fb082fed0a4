/**
 * Closed outlines in the plane: area, hand, inside, true distance; and, over Clipper2, union, cut and widening.
 *
 * Outlines do not repeat their first point; outer rings run counter-clockwise, holes clockwise.
 * Booleans are done on an integer grid of 1/10000 mm, so they never fail on near misses; they are exact to that grid.
 */
import { Clipper, FillRule, EndType, JoinType, type Path64, type Paths64 } from 'clipper2-ts';
import { orient2d } from 'robust-predicates';
import { distanceToSegment } from './polyline';
import { at, type Vec2 } from './vec';

export type Outline = readonly Vec2[];
export type Box = {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
};

/** Grid steps to the millimetre. */
export const GRID = 10_000;

/** Positive when the outline runs counter-clockwise; mm². */
export function signedArea(outline: Outline): number {
  let twice = 0;
  let a = outline[outline.length - 1];
  for (const b of outline) {
    twice += a![0] * b[1] - b[0] * a![1]; // there is a last point where there is any
    a = b;
  }
  return twice / 2;
}

export const area = (outline: Outline): number => Math.abs(signedArea(outline));
/** Without the holes, mm². */
export const netArea = ({ outline, holes = [] }: Pick<Region, 'outline'> & Partial<Region>): number =>
  area(outline) - holes.reduce((sum, hole) => sum + area(hole), 0);

/** The centroid, by the shoelace formula's own moments; of one without area its first corner. */
export function middleOf(outline: Outline): Vec2 {
  const twice = 2 * signedArea(outline);
  const [x0, y0] = outline[0] ?? [0, 0];
  if (twice === 0) return [x0, y0];
  let [mx, my] = [0, 0];
  // from the first corner, so that far places lose no figures
  for (let k = 1; k + 1 < outline.length; k++) {
    const [ax, ay] = [outline[k]![0] - x0, outline[k]![1] - y0]; // within its length
    const [bx, by] = [outline[k + 1]![0] - x0, outline[k + 1]![1] - y0];
    const own = ax * by - bx * ay;
    mx += (own * (ax + bx)) / 3;
    my += (own * (ay + by)) / 3;
  }
  return [x0 + mx / twice, y0 + my / twice];
}

export const counterClockwise = (outline: Outline): Outline =>
  signedArea(outline) < 0 ? [...outline].reverse() : outline;

export function boundsOf(points: readonly Vec2[]): Box {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of points) {
    minX = Math.min(minX, x);
    minY = Math.min(minY, y);
    maxX = Math.max(maxX, x);
    maxY = Math.max(maxY, y);
  }
  return { minX, minY, maxX, maxY };
}

/** A box as an outline, counter-clockwise. */
export const boxOutline = ({ minX, minY, maxX, maxY }: Box): Outline => [
  [minX, minY],
  [maxX, minY],
  [maxX, maxY],
  [minX, maxY],
];

/** Inside or on the edge, by exact orientation tests. */
export function contains(outline: Outline, p: Vec2): boolean {
  let inside = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const a = outline[j]!; // in bounds
    const b = outline[i]!;
    // wholly over it or under it: neither on it nor passed
    if ((a[1] > p[1] && b[1] > p[1]) || (a[1] < p[1] && b[1] < p[1])) continue;
    const side = orient2d(a[0], a[1], b[0], b[1], p[0], p[1]);
    if (side === 0 && within(a, b, p)) return true;
    if (a[1] <= p[1] !== b[1] <= p[1] && side > 0 === b[1] < a[1]) inside = !inside;
  }
  return inside;
}

const within = (a: Vec2, b: Vec2, p: Vec2): boolean =>
  Math.min(a[0], b[0]) <= p[0] &&
  p[0] <= Math.max(a[0], b[0]) &&
  Math.min(a[1], b[1]) <= p[1] &&
  p[1] <= Math.max(a[1], b[1]);

/** True when two open segments cross in one inner point of both. */
export function segmentsCross(a: Vec2, b: Vec2, c: Vec2, d: Vec2): boolean {
  const s1 = orient2d(a[0], a[1], b[0], b[1], c[0], c[1]);
  const s2 = orient2d(a[0], a[1], b[0], b[1], d[0], d[1]);
  if (s1 === 0 || s2 === 0 || s1 > 0 === s2 > 0) return false;
  const s3 = orient2d(c[0], c[1], d[0], d[1], a[0], a[1]);
  const s4 = orient2d(c[0], c[1], d[0], d[1], b[0], b[1]);
  return s3 !== 0 && s4 !== 0 && s3 > 0 !== s4 > 0;
}

/** True when the outline crosses itself. */
export function crossesItself(outline: Outline): boolean {
  const n = outline.length;
  for (let i = 0; i < n; i++) {
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue; // neighbours round the corner
      if (segmentsCross(at(outline, i), at(outline, (i + 1) % n), at(outline, j), at(outline, (j + 1) % n)))
        return true;
    }
  }
  return false;
}

/** Least distance between two outlines taken as solid: 0 when they touch or overlap. */
export function solidDistance(a: Outline, b: Outline): number {
  return contains(a, at(b, 0)) || contains(b, at(a, 0)) ? 0 : edgeDistance(a, b);
}

/** Least distance between the edges of two outlines: 0 where they touch or cross. */
function edgeDistance(a: Outline, b: Outline): number {
  let least = Infinity;
  for (let i = 0; i < a.length; i++) {
    const [p, q] = [at(a, i), at(a, (i + 1) % a.length)];
    for (let j = 0; j < b.length; j++) {
      const [r, s] = [at(b, j), at(b, (j + 1) % b.length)];
      if (segmentsCross(p, q, r, s)) return 0;
      least = Math.min(least, distanceToSegment(r, p, q), distanceToSegment(p, r, s));
    }
  }
  return least;
}

export const turned = (outline: Outline, angleRad: number): Outline => {
  const [c, s] = exactTurn(angleRad);
  return outline.map(([x, y]): Vec2 => [c * x - s * y, s * x + c * y]);
};

/** Cosine and sine, exact at quarter turns so that square parts stay square. */
function exactTurn(angleRad: number): [number, number] {
  const quarters = angleRad / (Math.PI / 2);
  const nearest = Math.round(quarters);
  if (Math.abs(quarters - nearest) > 1e-12) return [Math.cos(angleRad), Math.sin(angleRad)];
  return at(
    [
      [1, 0],
      [0, 1],
      [-1, 0],
      [0, -1],
    ] as [number, number][],
    ((nearest % 4) + 4) % 4,
  );
}

/** Least distance between two parts with holes: one may lie whole in a hole of the other. 0 when they touch. */
export function regionDistance(a: Region, b: Region): number {
  const inHole = holeAround(a, b.outline) ?? holeAround(b, a.outline);
  return inHole ? edgeDistance(...inHole) : solidDistance(a.outline, b.outline);
}

/** The hole of a part that has the other whole within it, and that. */
const holeAround = ({ holes }: Region, inner: Outline): [Outline, Outline] | undefined => {
  const hole = holes.find((ring) => contains(ring, at(inner, 0)) && edgeDistance(ring, inner) > 0);
  return hole && [hole, inner];
};

export const moved = (outline: Outline, dx: number, dy: number): Outline =>
  outline.map(([x, y]): Vec2 => [x + dx, y + dy]);

/** Turned over about the y axis. */
export const mirrored = (outline: Outline): Outline => outline.map(([x, y]): Vec2 => [-x, y]);

const toGrid = (outline: Outline): Path64 =>
  outline.map(([x, y]) => ({ x: Math.round(x * GRID), y: Math.round(y * GRID) }));
const fromGrid = (path: Path64): Vec2[] => path.map(({ x, y }): Vec2 => [x / GRID, y / GRID]);
const paths = (outlines: readonly Outline[]): Paths64 => outlines.map((o) => toGrid(counterClockwise(o)));

export const unionOf = (outlines: readonly Outline[]): Outline[] =>
  Clipper.union(paths(outlines), FillRule.NonZero).map(fromGrid);
/** What outlines wind round once or more, counter-clockwise: loops that run the other way are nothing. */
export const solidOf = (outlines: readonly Outline[]): Outline[] =>
  Clipper.union(outlines.map(toGrid), FillRule.Positive).map(fromGrid);
export const intersectionOf = (a: readonly Outline[], b: readonly Outline[]): Outline[] =>
  Clipper.intersect(paths(a), paths(b), FillRule.NonZero).map(fromGrid);

/** What is solid: inside the outline (counter-clockwise) and outside of the holes (clockwise). */
export type Region = { readonly outline: Outline; readonly holes: readonly Outline[] };

/** What is left of `a` without `b`, in as many regions as it falls into, largest first. */
export function differenceOf(a: readonly Outline[], b: readonly Outline[]): Region[] {
  const rings = Clipper.difference(paths(a), paths(b), FillRule.NonZero).map(fromGrid);
  const outer = rings.filter((ring) => signedArea(ring) > 0).sort((p, q) => signedArea(q) - signedArea(p));
  const holes = rings.filter((ring) => signedArea(ring) < 0);
  return outer.map((outline) => ({
    outline,
    holes: holes.filter((hole) => smallestAround(outer, hole) === outline),
  }));
}

/** Of outlines, largest first, the last that a ring lies in. */
const smallestAround = (outer: readonly Outline[], ring: Outline): Outline | undefined =>
  outer.filter((outline) => contains(outline, at(ring, 0))).pop();

/** With its outward corners rounded to a radius; what is narrower than twice that is gone. */
export function rounded(outline: Outline, radius: number): Outline[] {
  if (radius <= 0) return [outline];
  const shrunk = Clipper.inflatePaths(paths([outline]), -radius * GRID, JoinType.Miter, EndType.Polygon, 4);
  const grown = Clipper.inflatePaths(shrunk, radius * GRID, JoinType.Round, EndType.Polygon, 2, ROUND_OFF_MM * GRID);
  return grown.map(fromGrid);
}

/** An arc is drawn by chords that leave it by no more than this: a quarter of what a pencil shows. */
const ROUND_OFF_MM = 0.05;

/** The smallest convex outline around points, counter-clockwise (Andrew's monotone chain, 1979). */
export function convexHull(points: readonly Vec2[]): Outline {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const chain = (row: readonly Vec2[]): Vec2[] => {
    const kept: Vec2[] = [];
    for (const p of row) {
      // orient2d is positive for a turn to the right, its y axis pointing down
      while (kept.length > 1 && isNoLeftTurn(at(kept, -2), at(kept, -1), p)) kept.pop();
      kept.push(p);
    }
    return kept.slice(0, -1);
  };
  return [...chain(sorted), ...chain(sorted.reverse())];
}

const isNoLeftTurn = (a: Vec2, b: Vec2, c: Vec2): boolean => orient2d(a[0], a[1], b[0], b[1], c[0], c[1]) >= 0;

/** Wider (or, negative, narrower) by `delta` mm, corners mitred. */
export const widened = (outline: Outline, delta: number): Outline[] =>
  Clipper.inflatePaths(paths([outline]), delta * GRID, JoinType.Miter, EndType.Polygon, 4).map(fromGrid);

/** Wider (or, negative, narrower) by `delta` mm, corners round, arcs within a hundredth of a millimetre. */
export const grownRound = (outlines: readonly Outline[], delta: number): Outline[] =>
  Clipper.inflatePaths(paths(outlines), delta * GRID, JoinType.Round, EndType.Polygon, 2, GRID / 100).map(fromGrid);

/** The sum of every point of `a` with every point of `pattern`, boundaries only: inner rings may be false holes. */
export const minkowskiSum = (a: Outline, pattern: Outline): Outline[] =>
  Clipper.union(Clipper.minkowskiSum(toGrid(pattern), toGrid(a), true), FillRule.NonZero).map(fromGrid);

/** Where an upright line lies inside an outline, from below. */
export function upright(outline: Outline, x: number): (readonly [number, number])[] {
  const heights: number[] = [];
  for (let i = 0; i < outline.length; i++) {
    const a = outline[i]!; // in bounds
    const b = outline[i + 1 < outline.length ? i + 1 : 0]!;
    if (a[0] <= x !== b[0] <= x) heights.push(a[1] + ((x - a[0]) / (b[0] - a[0])) * (b[1] - a[1]));
  }
  heights.sort((p, q) => p - q);
  return heights.flatMap((low, i) =>
    i % 2 === 0 && i + 1 < heights.length ? [[low, at(heights, i + 1)] as const] : [],
  );
}
