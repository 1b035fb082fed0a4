/**
 * What goes round an opening of a part: a doubler, a ring of its own plywood that stiffens the rim, and a lid that lies
 * over it.
 *
 * Method: the opening widened, its corners kept as they are; the doubler without the opening. Conventions: the part's
 * own plane; of a pair, and of an opening that is cut on both sides, the starboard one.
 */
import { widened, type Outline, type Region } from '../geometry';
import { outlineOfOpening } from './cuts';
import type { Opening } from './schema';

export type Rim = {
  readonly id: string;
  readonly name: string;
  /** The same again, mirrored. */
  readonly isPair: boolean;
  readonly region: Region;
  readonly thicknessMm: number;
};

type Of = { readonly id: string; readonly name: string; readonly width: number };

/** `isOnBoth`: the part is one of a pair, or spans the centreline with the opening on either side. */
export const rimsOf = (
  { id, name, width }: Of,
  openings: readonly Opening[],
  isOnBoth: (opening: Opening) => boolean,
): Rim[] =>
  openings.flatMap((opening, i) => {
    const hole = outlineOfOpening(opening);
    const rim = (what: 'doubler' | 'lid', byMm: number): Rim[] => {
      const outline = byMm > 0 ? widened(hole, byMm)[0] : undefined;
      if (!outline) return [];
      return [
        {
          id: `${id}.${opening.id}.${what}`,
          name: `${name}, ${what}${openings.length > 1 ? ` ${i + 1}` : ''}`,
          isPair: isOnBoth(opening),
          region: { outline, holes: what === 'doubler' ? [holeIn(hole)] : [] },
          thicknessMm: width,
        },
      ];
    };
    return [...rim('doubler', opening.doubler), ...rim('lid', opening.lid)];
  });

/** Holes go round the other way. */
const holeIn = (outline: Outline): Outline => [...outline].reverse();
