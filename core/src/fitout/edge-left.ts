/** Plywood that is left between an opening and the edge of its part. */
import { at, contains, distanceToSegment, type Outline } from '../geometry';

/** mm; 0 where it runs over the edge. */
export function edgeLeft(outline: Outline, ring: Outline): number {
  if (!ring.every((p) => contains(outline, p))) return 0;
  return Math.min(
    ...ring.flatMap((p) => outline.map((a, i) => distanceToSegment(p, a, at(outline, (i + 1) % outline.length)))),
  );
}
