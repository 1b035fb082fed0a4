/**
 * What goes round an opening of a part: a doubler, a ring of its own plywood that stiffens the rim, with a lip or
 * without; a lid that lies over it, and one that lies within it, on the lip.
 *
 * Method: the opening widened, or drawn in, its corners kept as they are; the doubler without the opening.
 * Conventions: the part's own plane; of a pair, and of an opening that is cut on both sides, the starboard one.
 */
import { widened, type Outline, type Region } from '../geometry';
import { outlineOfOpening } from './cuts';
import type { Opening } from './schema';

export type Rim = {
  readonly id: string;
  readonly name: string;
  readonly what: keyof typeof RIM_NAMES;
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
    const rim = (what: keyof typeof RIM_NAMES, byMm: number): Rim[] => {
      const outline = byMm === 0 ? undefined : widened(hole, byMm)[0];
      if (!outline) return [];
      const inner = what === 'doubler' ? widened(hole, -opening.lip)[0] : undefined;
      // a lip that closes the opening leaves no ring
      if (what === 'doubler' && !inner) return [];
      return [
        {
          id: `${id}.${opening.id}.${what}`,
          name: `${name}, ${RIM_NAMES[what]}${openings.length > 1 ? ` ${i + 1}` : ''}`,
          what,
          isPair: isOnBoth(opening),
          region: { outline, holes: inner ? [holeIn(inner)] : [] },
          thicknessMm: width,
        },
      ];
    };
    return [...rim('doubler', opening.doubler), ...rim('lid', opening.lid), ...rim('lid-within', -opening.room)];
  });

const RIM_NAMES = { doubler: 'doubler', lid: 'lid', 'lid-within': 'lid within' } as const;

/** Holes go round the other way. */
const holeIn = (outline: Outline): Outline => [...outline].reverse();
