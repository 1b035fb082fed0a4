/** The lines of a bent card as a table. */
import { at, type Vec3 } from '../geometry';
import type { Longitudinal } from './schema';
import { atX, tableFrom, tenth } from './traced';

/** Edges of the card as they are bent, from the bow aft, mm. */
export type CardEdges = { readonly lower: readonly Vec3[]; readonly upper: readonly Vec3[] };

/** In the table's terms: what its ends are called. */
type Ends = { readonly hasTransom: boolean };

/** The table of a boat that is a bent card on either hand, and a bottom laid across them. */
export const tableOfCard = ({ lower, upper }: CardEdges, { hasTransom }: Ends): Longitudinal[] =>
  tableFrom(
    [
      { id: 'chine', name: 'Chine', points: lower },
      { id: 'sheer', name: 'Sheer', points: upper },
    ],
    { bow: 'pointed', stern: hasTransom ? 'transom' : 'pointed' },
  );

/**
 * A line's points after the card that runs along it was bent anew: its ends at the card's ends, all others where they
 * stood along the boat, at the card's breadth and height.
 */
export function lineOnCard(points: Longitudinal['points'], edge: readonly Vec3[]): Longitudinal['points'] {
  return points.map((point, k) => {
    const end = k === 0 ? at(edge, 0) : k === points.length - 1 ? at(edge, -1) : undefined;
    const [x, y, z] = end ?? atX(edge, point.x);
    return { ...point, x: tenth(x), halfBreadth: tenth(Math.max(0, y)), height: tenth(z) };
  });
}
