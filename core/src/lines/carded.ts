/** The lines of a bent card as a table. */
import { at, distance3, type Vec3 } from '../geometry';
import type { Longitudinal } from './schema';
import { atX, tableFrom, tenth } from './traced';

/** Edges of the card as they are bent, from the bow aft, mm. */
export type CardEdges = { readonly lower: readonly Vec3[]; readonly upper: readonly Vec3[] };

/** What its ends are called in the table, and where along the lower edge its frames stand, mm. */
type Held = {
  readonly hasBowTransom: boolean;
  readonly hasTransom: boolean;
  readonly spreaders: readonly { readonly along: number }[];
};

/**
 * The table of a boat that is a bent card on either hand, and a bottom laid across them: stations stand where frames
 * hold it, since that is where it bends hardest.
 */
export const tableOfCard = (
  { lower, upper }: CardEdges,
  { hasBowTransom, hasTransom, spreaders }: Held,
): Longitudinal[] =>
  tableFrom(
    [
      { id: 'chine', name: 'Chine', points: lower },
      { id: 'sheer', name: 'Sheer', points: upper },
    ],
    {
      bow: hasBowTransom ? 'transom' : 'pointed',
      stern: hasTransom ? 'transom' : 'pointed',
      wanted: spreaders.map(({ along }) => xAlong(lower, along)),
    },
  );

/** Where an edge is so long from its fore end. */
function xAlong(edge: readonly Vec3[], along: number): number {
  let left = along;
  for (let k = 1; k < edge.length; k++) {
    const [p, q] = [at(edge, k - 1), at(edge, k)];
    const long = distance3(p, q);
    if (left <= long && long > 0) return p[0] + (left / long) * (q[0] - p[0]);
    left -= long;
  }
  return at(edge, -1)[0];
}

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
