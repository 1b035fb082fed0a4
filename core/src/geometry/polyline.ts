/** Open polylines in the plane and in space: length, simplification, the point at a length along, cuts. */
import { at, distance2, distance3, lerp2, type Vec2, type Vec3 } from './vec';

export const polylineLength = (points: readonly Vec2[]): number =>
  points.reduce((sum, p, i) => (i === 0 ? 0 : sum + distance2(at(points, i - 1), p)), 0);

export function polylineLength3(points: readonly Vec3[]): number {
  let sum = 0;
  for (let i = 1; i < points.length; i++) sum += distance3(points[i - 1]!, points[i]!); // in bounds by the loop
  return sum;
}

/** The point at length `s` from the start; before the start or past the end, the end itself. */
export const pointAtLength = (points: readonly Vec2[], s: number): Vec2 => placeAtLength(points, s).point;

/** The same, with the index of the polyline's point after it. */
export function placeAtLength(points: readonly Vec2[], s: number): { readonly point: Vec2; readonly next: number } {
  let left = Math.max(0, s);
  for (let i = 1; i < points.length; i++) {
    const step = distance2(at(points, i - 1), at(points, i));
    if (left <= step && step > 0) return { point: lerp2(at(points, i - 1), at(points, i), left / step), next: i };
    left -= step;
  }
  return { point: at(points, -1), next: points.length - 1 };
}

/**
 * Where the straight lines through a-b and c-d cross, and at which fractions of the two; undefined where they are
 * parallel.
 */
export function crossLines(a: Vec2, b: Vec2, c: Vec2, d: Vec2): { w: number; v: number; point: Vec2 } | undefined {
  const turn = (b[0] - a[0]) * (d[1] - c[1]) - (b[1] - a[1]) * (d[0] - c[0]);
  if (Math.abs(turn) < 1e-12) return undefined; // along one another
  const w = ((c[0] - a[0]) * (d[1] - c[1]) - (c[1] - a[1]) * (d[0] - c[0])) / turn;
  const v = ((c[0] - a[0]) * (b[1] - a[1]) - (c[1] - a[1]) * (b[0] - a[0])) / turn;
  return { w, v, point: [a[0] + w * (b[0] - a[0]), a[1] + w * (b[1] - a[1])] };
}

/**
 * Weights of the start, the corner and the end at even places of the arc that touches both sides of a corner: the
 * rational quadratic of middle weight cos(φ/2), a circle where both sides are cut back equally (φ is the turn at the
 * corner).
 */
export const arcWeights = (turnRad: number, count: number): (readonly [number, number, number])[] =>
  Array.from({ length: count + 1 }, (_, i) => {
    const w = i / count;
    const [a, b, c] = [(1 - w) ** 2, 2 * w * (1 - w) * Math.cos(turnRad / 2), w ** 2];
    const sum = a + b + c;
    return [a / sum, b / sum, c / sum];
  });

export function distanceToSegment(p: Vec2, a: Vec2, b: Vec2): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const square = dx * dx + dy * dy;
  const w = square > 0 ? Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / square)) : 0;
  return Math.hypot(p[0] - a[0] - w * dx, p[1] - a[1] - w * dy);
}

/** Fewer points, none left out further than `tolerance` from what stays (Douglas and Peucker 1973). */
export function simplify(points: readonly Vec2[], tolerance: number): Vec2[] {
  if (points.length < 3) return [...points];
  const keep = new Set<number>([0, points.length - 1]);
  const spans: [number, number][] = [[0, points.length - 1]];
  for (let span = spans.pop(); span; span = spans.pop()) {
    const [from, to] = span;
    let [worst, index] = [tolerance, -1];
    for (let i = from + 1; i < to; i++) {
      const off = distanceToSegment(at(points, i), at(points, from), at(points, to));
      if (off > worst) [worst, index] = [off, i];
    }
    if (index < 0) continue;
    keep.add(index);
    spans.push([from, index], [index, to]);
  }
  return points.filter((_, i) => keep.has(i));
}

/** The same of a closed outline. */
export const simplifyRing = (ring: readonly Vec2[], tolerance: number): Vec2[] =>
  ring.length < 3 ? [...ring] : simplify([...ring, at(ring, 0)], tolerance).slice(0, -1);

/** Where the polyline crosses `coordinate = value`, in order along it. */
export function crossings(points: readonly Vec2[], axis: 0 | 1, value: number): Vec2[] {
  const found: Vec2[] = [];
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [at(points, i - 1), at(points, i)];
    const [da, db] = [a[axis] - value, b[axis] - value];
    if (da === 0 && (i === 1 || found.length === 0)) found.push(a);
    if ((da < 0 && db >= 0) || (da > 0 && db <= 0)) found.push(lerp2(a, b, da / (da - db)));
  }
  return found;
}

/** Whether two straight pieces lie clear of one another along either axis. */
const isApart = (a: Vec2, b: Vec2, c: Vec2, d: Vec2): boolean =>
  ([0, 1] as const).some(
    (k) =>
      Math.max(a[k], b[k]) + CLEAR_MM < Math.min(c[k], d[k]) || Math.max(c[k], d[k]) + CLEAR_MM < Math.min(a[k], b[k]),
  );
/** More than the rounding of where they cross. */
const CLEAR_MM = 1e-6;

/** The runs of a polyline that lie inside an outline, cut where they pass its edge. `contains` tells of a point. */
export function runsInside(
  points: readonly Vec2[],
  outline: readonly Vec2[],
  contains: (p: Vec2) => boolean,
): Vec2[][] {
  const runs: Vec2[][] = [];
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [at(points, i - 1), at(points, i)];
    const cuts: number[] = [];
    for (let k = 0; k < outline.length; k++) {
      const c = outline[k]!; // in bounds
      const d = outline[k + 1 < outline.length ? k + 1 : 0]!;
      if (isApart(a, b, c, d)) continue;
      const found = crossLines(a, b, c, d);
      if (found && found.w > 0 && found.w < 1 && found.v >= 0 && found.v <= 1) cuts.push(found.w);
    }
    const stops = [0, ...cuts.sort((p, q) => p - q), 1];
    for (let k = 1; k < stops.length; k++) {
      const [from, to] = [lerp2(a, b, at(stops, k - 1)), lerp2(a, b, at(stops, k))];
      if (!contains(lerp2(from, to, 0.5))) continue;
      const last = runs[runs.length - 1];
      if (last && distance2(at(last, -1), from) < 1e-9) last.push(to);
      else runs.push([from, to]);
    }
  }
  return runs;
}

/** The place of a line that is nearest to a point. */
export function footOn(line: readonly Vec2[], p: Vec2): Vec2 {
  let best = at(line, 0);
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [at(line, i - 1), at(line, i)];
    const long2 = distance2(a, b) ** 2;
    const w = long2 > 0 ? ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1])) / long2 : 0;
    const on = lerp2(a, b, Math.min(1, Math.max(0, w)));
    if (distance2(on, p) < distance2(best, p)) best = on;
  }
  return best;
}

/** Which of a line's points is nearest to a point. */
export function nearestIndex(points: readonly Vec2[], p: Vec2): number {
  let best = 0;
  points.forEach((q, i) => {
    if (distance2(q, p) < distance2(at(points, best), p)) best = i;
  });
  return best;
}
