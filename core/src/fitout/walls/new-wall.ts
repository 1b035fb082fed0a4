/** Walls put in: what each kind is begun with, from the boat and from what lies in it already. Lengths mm. */
import { freeId } from '../../frames';
import { at } from '../../geometry';
import type { Hull } from '../../lines';
import { usualIn, type Notation } from '../../measure';
import {
  CABIN_FRONT_RAKE,
  CABIN_HEIGHT,
  CABIN_LEAN,
  CLEAT,
  COAMING_HEIGHT,
  DECK_RISE,
  DECK_THICKNESS,
  FRONT_BEYOND,
  PART_GAP,
  SIDE_DECK_BREADTH,
  WALL_THICKNESS,
} from '../constants';
import { freeName } from '../free-name';
import type { InsidePlan, WallKind, WallLine, WallOpening, WallPlan } from '../schema';
import { sheerAt } from '../sheer';
import type { FittedWall } from './fitted-wall';

type Given = Pick<WallPlan, 'id' | 'name' | 'kind' | 'lower' | 'upper'> & Partial<WallPlan>;

/** A line of which no more is decided than what it follows. */
export const plainLine = (given: Partial<WallLine> & Pick<WallLine, 'follows'>): WallLine => ({
  ...{ from: 0, to: 0, in: 0, up: 0, points: [], onPart: null },
  ...given,
});

/** A wall that stands on nothing else and has no openings. */
export const plainWall = (given: Given): WallPlan => ({
  ...{ hand: 'pair', isTopStraight: false, below: 0, thickness: WALL_THICKNESS.value, school: null },
  ...{ gap: PART_GAP.value, between: null, cleat: CLEAT.value, openings: [] },
  ...given,
});

/** As they are called when they are put in. */
export const WALL_NAMES: Readonly<Record<WallKind, string>> = {
  'cabin-side': 'Cabin side',
  'cabin-front': 'Cabin front',
  'cabin-back': 'Cabin’s after end',
  coaming: 'Coaming',
  'half-deck': 'Deck in halves',
  'sheer-deck': 'Deck straight across',
};

/** What is decided of all that lies inside and on top. */
type Fitout = { readonly parts: readonly InsidePlan[]; readonly walls: readonly WallPlan[] };

/** Less than this is not rounded. */
const LEAST_WHOLE_MM = 10;

type Boat = { readonly hull: Hull; readonly notation: Notation; readonly walls: readonly FittedWall[] };

/** A wall of a kind, where one is usual in a boat of this size: to be moved from there. */
export function newWall(kind: WallKind, fitout: Fitout, { hull, notation, walls }: Boat): WallPlan {
  // places are whole, as a builder would choose them; a gap may be less
  const usual = (mm: number) => usualIn(mm < LEAST_WHOLE_MM ? mm : Math.round(mm), notation);
  const own = {
    id: freeId('wall', [...fitout.parts, ...fitout.walls]),
    name: freeName(WALL_NAMES[kind], fitout.walls),
    kind,
    gap: usual(PART_GAP.value),
    thickness: usual(WALL_THICKNESS.value),
    cleat: { breadth: usual(CLEAT.value.breadth), depth: usual(CLEAT.value.depth) },
  };
  const share = (w: number) => usual(hull.fromX + w * (hull.toX - hull.fromX));
  const along = (from: number, to: number, inward: number) =>
    plainLine({ follows: 'sheer', from: share(from), to: share(to), in: usual(inward) });
  // over it, and in from it
  const over = (up: number, inward: number) => plainLine({ follows: 'lower', up: usual(up), in: usual(inward) });
  switch (kind) {
    case 'cabin-side':
      return plainWall({
        ...{ ...own, isTopStraight: true },
        lower: { ...along(0.3, 0.65, SIDE_DECK_BREADTH.value), onPart: deckUnder(fitout, [share(0.3), share(0.65)]) },
        upper: over(CABIN_HEIGHT.value, CABIN_LEAN.value),
      });
    case 'coaming':
      return plainWall({
        ...own,
        lower: { ...along(0.4, 0.8, SIDE_DECK_BREADTH.value), onPart: deckUnder(fitout, [share(0.4), share(0.8)]) },
        upper: over(COAMING_HEIGHT.value, 0),
      });
    case 'cabin-front':
    case 'cabin-back':
      return plainWall({ ...own, ...acrossAt(kind, fitout, { hull, walls, usual, x: share(0.3) }) });
    case 'half-deck': {
      const lower = along(0, 0.3, 0);
      return plainWall({
        ...{ ...own, thickness: usual(DECK_THICKNESS.value), lower },
        upper: plainLine({ follows: 'points', points: centreline(hull, [lower.from, lower.to], usual) }),
      });
    }
    case 'sheer-deck':
      return plainWall({
        ...{ ...own, thickness: usual(DECK_THICKNESS.value) },
        ...{ lower: along(0, 0.3, 0), upper: plainLine({ follows: 'lower' }) },
      });
  }
}

/** What lies on top there, and reaches from end to end. */
const deckUnder = ({ parts }: Fitout, [from, to]: readonly [number, number]): string | null =>
  parts.find((part) => part.fit === 'over' && part.from <= from && part.to >= to)?.id ?? null;

type Across = {
  readonly hull: Hull;
  readonly walls: readonly FittedWall[];
  readonly usual: (mm: number) => number;
  /** Where there is no cabin side. */
  readonly x: number;
};

/** At the end of the first cabin side, and a little beyond it: its ends are cut to that. */
function acrossAt(kind: WallKind, fitout: Fitout, { hull, walls, usual, x }: Across) {
  const side = fitout.walls.find((plan) => plan.kind === 'cabin-side');
  const rulings = walls.find(({ plan }) => plan === side?.id)?.rulings ?? [];
  const end = rulings.length > 0 ? at(rulings, kind === 'cabin-front' ? 0 : -1).outer[0] : sheerAt(hull, x);
  const [from, out, height] = end ?? [x, SIDE_DECK_BREADTH.value, 0];
  const points = [0, usual(Math.abs(out) + FRONT_BEYOND.value)].map((y, i) => ({
    ...{ id: `p${i + 1}`, x: usual(from), out: y, height: usual(height) },
  }));
  const rake = kind === 'cabin-front' ? CABIN_FRONT_RAKE.value : 0;
  return {
    lower: plainLine({ follows: 'points', points, onPart: side?.lower.onPart ?? null }),
    upper: plainLine({ follows: 'lower', up: usual(CABIN_HEIGHT.value), in: usual(rake) }),
    between: side?.id ?? null,
  };
}

/** A straight ridge over the sheer's ends. */
const centreline = (hull: Hull, ends: readonly [number, number], usual: (mm: number) => number): WallLine['points'] =>
  ends.map((x, i) => {
    const [, out, z] = sheerAt(hull, Math.min(hull.toX, Math.max(hull.fromX, x))) ?? [x, 0, 0];
    return { id: `p${i + 1}`, x, out: 0, height: usual(z + DECK_RISE.value * out) };
  });

/** A window or a port where there is room for one: in the middle. */
export const plainWallOpening = (plan: WallPlan, longMm: number, notation: Notation): WallOpening => {
  const usual = (mm: number) => usualIn(mm, notation);
  const isAcross = plan.kind === 'cabin-front' || plan.kind === 'cabin-back';
  return {
    ...{ id: freeId('opening', plan.openings), shape: 'rounded', along: isAcross ? 0 : usual(longMm / 2) },
    ...{ up: usual(150), long: usual(300), wide: usual(120), corner: usual(40) },
  };
};
