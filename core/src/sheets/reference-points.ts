/**
 * Two points of a part by which it is drawn on a sheet by hand: measured from the sheet's left and lower edges they say
 * where it lies and how it is turned.
 *
 * They are the two corners that are farthest apart, as a small error at each turns the part least. A corner is where
 * the outline turns by more than a curve does; of a part without two of them the corners of the box round it are
 * taken.
 */
import { at, boundsOf, distance2, type Outline, type Vec2 } from '../geometry';

/** Curves are drawn with smaller turns than this, rad. */
const CORNER_RAD = 0.35;

export type ReferencePoints = { readonly points: readonly [Vec2, Vec2]; readonly isBox: boolean };

export function referencePoints(outline: Outline): ReferencePoints {
  const corners = outline.filter((_, k) => turnAt(outline, k) > CORNER_RAD);
  let best: { points: readonly [Vec2, Vec2]; apart: number } | undefined;
  corners.forEach((a, i) =>
    corners.slice(0, i).forEach((b) => {
      const apart = distance2(a, b);
      if (!best || apart > best.apart) best = { points: leftFirst(a, b), apart };
    }),
  );
  if (best) return { points: best.points, isBox: false };
  const box = boundsOf(outline);
  return {
    points: [
      [box.minX, box.minY],
      [box.maxX, box.maxY],
    ],
    isBox: true,
  };
}

const leftFirst = (a: Vec2, b: Vec2): readonly [Vec2, Vec2] => (a[0] <= b[0] ? [a, b] : [b, a]);

/** How far the outline turns at a vertex, rad. */
function turnAt(outline: Outline, k: number): number {
  const n = outline.length;
  const [a, b, c] = [at(outline, (k + n - 1) % n), at(outline, k), at(outline, (k + 1) % n)];
  const [into, out] = [
    [b[0] - a[0], b[1] - a[1]],
    [c[0] - b[0], c[1] - b[1]],
  ] as const;
  return Math.abs(Math.atan2(into[0] * out[1] - into[1] * out[0], into[0] * out[0] + into[1] * out[1]));
}
