/** The edges of a flat sheet: splines through their points, read by length. */
import { evaluateTangent, fitSpline, uEnd, type Vec2 } from '../geometry';

export type Edge = {
  readonly length: number;
  /** At a share of its length. */
  readonly at: (share: number) => Vec2;
};

/** An edge through its points. */
export function edgeReader(points: readonly Vec2[]): Edge {
  const spline = fitSpline(points.map(([u, v]) => [u, v, 0]));
  const length = uEnd(spline);
  return {
    length,
    at: (share) => {
      const [u, v] = evaluateTangent(spline, share * length).position;
      return [u, v];
    },
  };
}

const CUTS = 50;

/** So far along an edge it lies so far along the sheet; its nearer end where it does not reach. */
export function lengthAt(edge: Edge, u: number): number {
  let [low, high] = [0, 1];
  for (let k = 0; k < CUTS; k++) {
    const middle = (low + high) / 2;
    if (edge.at(middle)[0] < u) low = middle;
    else high = middle;
  }
  return edge.length * high;
}
