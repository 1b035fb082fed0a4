/** One set of points in the plane laid on another, by a turn and a move: least squares, closed form. */
import { at, type Vec2 } from './vec';

/** The rigid move of the plane that brings points nearest to others, pair by pair. */
export function laidOn(points: readonly Vec2[], onto: readonly Vec2[]): (p: Vec2) => Vec2 {
  const middle = (all: readonly Vec2[]): Vec2 => [
    all.reduce((sum, [x]) => sum + x, 0) / all.length,
    all.reduce((sum, [, y]) => sum + y, 0) / all.length,
  ];
  const [a, b] = [middle(points), middle(onto)];
  let [cos, sin] = [0, 0];
  points.forEach(([x, y], i) => {
    const [u, v] = at(onto, i);
    cos += (x - a[0]) * (u - b[0]) + (y - a[1]) * (v - b[1]);
    sin += (x - a[0]) * (v - b[1]) - (y - a[1]) * (u - b[0]);
  });
  const long = Math.hypot(cos, sin) || 1;
  const [c, s] = [cos / long, sin / long];
  return ([x, y]) => [b[0] + c * (x - a[0]) - s * (y - a[1]), b[1] + s * (x - a[0]) + c * (y - a[1])];
}
