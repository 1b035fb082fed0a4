/** A line along an edge of a part, so far within it. */
import { at, contains, type Outline, type Vec2 } from '../geometry';

/** Square to the edge at each of its places, on the side on which the part is. */
export function inwardOf(line: readonly Vec2[], outline: Outline, by: number): Vec2[] {
  const square = line.map((_, i): Vec2 => {
    const [a, b] = [at(line, Math.max(0, i - 1)), at(line, Math.min(line.length - 1, i + 1))];
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    return [-(b[1] - a[1]) / long, (b[0] - a[0]) / long];
  });
  const to = (side: 1 | -1, mm: number) =>
    line.map(([u, v], i): Vec2 => {
      const n = at(square, i);
      return [u + side * mm * n[0], v + side * mm * n[1]];
    });
  const within = (side: 1 | -1) => to(side, PROBE_MM).filter((p) => contains(outline, p)).length;
  return to(within(1) >= within(-1) ? 1 : -1, by);
}

/** Beside an edge, to see on which side of it the part is. */
const PROBE_MM = 1;
