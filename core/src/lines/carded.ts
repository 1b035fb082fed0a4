/** The lines of a bent card as a table. */
import type { Vec3 } from '../geometry';
import type { Longitudinal } from './schema';
import { tableFrom } from './traced';

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
