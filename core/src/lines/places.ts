/** Where the points of a line lie along it: what fairness and slips are judged over. */
import { at, distance3 } from '../geometry';
import type { OffsetPoint } from './schema';

/** Where some step of x is less than this part of the longest, the length along is the better measure of place. */
const STEEP = 0.15;

/** Place along as a fraction: by x where the line runs aft all through, else by length along. */
export function placesAlong(points: readonly OffsetPoint[]): number[] {
  const steps = (by: (a: OffsetPoint, b: OffsetPoint) => number) => points.slice(1).map((b, i) => by(at(points, i), b));
  const aft = steps((a, b) => b.x - a.x);
  const isByX = Math.min(...aft) > STEEP * Math.max(...aft);
  const taken = isByX
    ? aft
    : steps((a, b) => distance3([a.x, a.halfBreadth, a.height], [b.x, b.halfBreadth, b.height]));
  const along = [0];
  for (const step of taken) along.push(at(along, -1) + step);
  return along.map((s) => s / at(along, -1));
}
