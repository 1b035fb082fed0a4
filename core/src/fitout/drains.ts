/**
 * Holes that let water off a part: one at the lowest place of each piece, on either side of the boat.
 *
 * Method: where a hole's middle may be is the piece less a rim as wide as the hole's radius and what is kept beside it
 * (Clipper, round), and less as much round every opening; the lowest corner of that on either side is the place. Of
 * places that are as low as one another the aftermost: most boats sit a little by the stern.
 */
import { grownRound, contains, type Outline, type Vec2 } from '../geometry';
import { DRAIN_CLEAR } from './constants';
import type { FittedPiece } from './fitted';
import { placeOn, type Lie } from './lie';
import type { InsidePlan } from './schema';

export type Drains = {
  readonly radius: number;
  readonly places: readonly { readonly piece: string; readonly at: Vec2 }[];
  /** Pieces on which there is no room for one. */
  readonly without: readonly string[];
  /** Nothing of it is lower than the rest: it does not run to them by itself. */
  readonly isLevel: boolean;
};

/** What is no lower than by this is as low, mm. */
const AS_LOW_MM = 0.5;
/** Corners of a drawn hole: within 0.02 mm of the circle at a radius of 25 mm. */
const CORNERS = 72;

/** None of a cambered part, from which water runs by itself, and of one over the sheer. */
export function drainsOf({ drain, fit }: Pick<InsidePlan, 'drain' | 'fit'>, lie: Lie, pieces: readonly FittedPiece[]) {
  if (drain === 0 || fit === 'over' || lie.radius !== 0) return undefined;
  const found = pieces.map(({ id, region, name }) => {
    const keep = drain + DRAIN_CLEAR.value;
    const rooms = grownRound([region.outline], -keep);
    const holes = region.holes.flatMap((hole) => grownRound([hole], keep));
    const free = rooms.flat().filter((p) => !holes.some((hole) => contains(hole, p)));
    return { id, name, free };
  });
  const heights = found.flatMap(({ free }) => free.map((p) => heightOf(lie, p)));
  return {
    radius: drain,
    places: found.flatMap(({ id, free }) => sidesOf(free).map((side) => ({ piece: id, at: lowestOf(lie, side) }))),
    without: found.filter(({ free }) => free.length === 0).map(({ name }) => name),
    isLevel: heights.length > 0 && Math.max(...heights) - Math.min(...heights) < AS_LOW_MM,
  } satisfies Drains;
}

const heightOf = (lie: Lie, p: Vec2): number => placeOn(lie, p)[2];

/** Of a piece that spans the boat both sides. */
const sidesOf = (free: readonly Vec2[]): Vec2[][] => {
  const sides = [free.filter(([, v]) => v >= 0), free.filter(([, v]) => v < 0)];
  return sides.filter((side) => side.length > 0);
};

function lowestOf(lie: Lie, side: readonly Vec2[]): Vec2 {
  const low = Math.min(...side.map((p) => heightOf(lie, p)));
  const lowest = side.filter((p) => heightOf(lie, p) < low + AS_LOW_MM);
  return lowest.reduce((best, p) => (p[0] > best[0] + AS_LOW_MM || isFurtherOut(p, best) ? p : best));
}

/** Of two that are as far aft. */
const isFurtherOut = (p: Vec2, than: Vec2): boolean =>
  Math.abs(p[0] - than[0]) <= AS_LOW_MM && Math.abs(p[1]) > Math.abs(than[1]);

const circleAt = ([u, v]: Vec2, radius: number): Outline =>
  Array.from({ length: CORNERS }, (_, i): Vec2 => {
    const turn = (-2 * Math.PI * i) / CORNERS;
    return [u + radius * Math.cos(turn), v + radius * Math.sin(turn)];
  });

/** With its holes cut. */
export function withDrains(piece: FittedPiece, drains: Drains | undefined): FittedPiece {
  const own = drains?.places.filter((place) => place.piece === piece.id) ?? [];
  if (!drains || own.length === 0) return piece;
  const { region } = piece;
  return {
    ...piece,
    region: { ...region, holes: [...region.holes, ...own.map((place) => circleAt(place.at, drains.radius))] },
    areaM2: piece.areaM2 - (own.length * Math.PI * drains.radius ** 2) / 1e6,
  };
}
