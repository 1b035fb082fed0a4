/** Parts put in: what each kind is begun with, from the boat that it goes into. Lengths mm. */
import { battenAt, crossingsOfX, type Hull } from '../lines';
import { freeId } from '../frames';
import { at } from '../geometry';
import { usualIn, type Notation } from '../measure';
import {
  CLEAT,
  CAMBER_SHARE,
  DECK_THICKNESS,
  LAST_CLEAR,
  PART_GAP,
  PART_THICKNESS,
  SEAT_BREADTH,
  SEAT_HEIGHT,
  SOLE_OVER,
} from './constants';
import { freeName } from './free-name';
import { radiusFor } from './lie';
import type { Hatch, InsideKind, InsidePlan } from './schema';
import { sheerAt } from './sheer';

type Given = Pick<InsidePlan, 'id' | 'name' | 'kind' | 'from' | 'to' | 'height'> & Partial<InsidePlan>;

/** A part of which no more is decided than what it is and where it lies: across the boat, cut to the skin. */
export const plainInside = (given: Given): InsidePlan => ({
  fit: 'inside',
  hand: 'across',
  inner: { fore: 0, aft: 0 },
  outer: null,
  camber: { radius: 0 },
  thickness: PART_THICKNESS.value,
  school: null,
  lining: 0,
  gap: PART_GAP.value,
  overhang: 0,
  cleat: { ...CLEAT.value, atSkin: true, atFrames: true },
  bearers: 0,
  cuts: [],
  isHalved: false,
  hatches: [],
  ...given,
});

/** As they are called when they are put in. */
export const INSIDE_NAMES: Readonly<Record<InsideKind, string>> = {
  sole: 'Sole',
  seat: 'Side seat',
  thwart: 'Thwart',
  top: 'Tank top',
  deck: 'Foredeck',
  'side-deck': 'Side deck',
};

/** Less than this is not rounded. */
const LEAST_WHOLE_MM = 10;

type Boat = { readonly hull: Hull; readonly notation: Notation };

/** A part of a kind, where one is usual in a boat of this size: to be moved from there. */
export function newInside(kind: InsideKind, plans: readonly InsidePlan[], { hull, notation }: Boat): InsidePlan {
  // places are whole, as a builder would choose them; a gap may be less
  const usual = (mm: number) => usualIn(mm < LEAST_WHOLE_MM ? mm : Math.round(mm), notation);
  const name = freeName(INSIDE_NAMES[kind], plans);
  const id = freeId('part', plans);
  const { fromX, toX } = hull;
  const long = toX - fromX;
  const share = (w: number) => usual(fromX + w * long);
  const low = lowestAt(hull, fromX + long / 2);
  const sole = usual(low + SOLE_OVER.value);
  const level = (mm: number) => ({ fore: mm, aft: mm, of: 'top' as const });
  const own = {
    id,
    name,
    kind,
    gap: usual(PART_GAP.value),
    thickness: usual(PART_THICKNESS.value),
    cleat: cleatIn(notation),
  };
  switch (kind) {
    case 'sole':
      return plainInside({ ...own, from: share(0.3), to: share(0.8), height: level(sole) });
    case 'seat':
      return plainInside({
        ...{ ...own, from: share(0.5), to: share(0.8), height: level(usual(sole + SEAT_HEIGHT.value)), hand: 'pair' },
        inner: innerFor(hull, [share(0.5), share(0.8)], usual),
      });
    case 'thwart': {
      const from = share(0.45);
      return plainInside({
        ...own,
        from,
        to: usual(from + SEAT_BREADTH.value),
        height: level(usual(sole + SEAT_HEIGHT.value)),
      });
    }
    case 'top':
      return plainInside({
        ...{ ...own, from: share(0.85), to: usual(toX - LAST_CLEAR.value) },
        height: level(usual(sole + SEAT_HEIGHT.value)),
      });
    case 'deck':
      return deckOver({ ...own, from: usual(fromX), to: share(0.28) }, hull, usual);
    case 'side-deck': {
      const [from, to] = [share(0.3), share(0.8)];
      const deck = deckOver({ ...own, from, to, camber: { radius: 0 } }, hull, usual);
      const [fore, aft] = [from, to].map((x) =>
        usual(Math.max(0, (sheerAt(hull, x)?.[1] ?? 0) - 2 * CLEAT.value.breadth)),
      ) as [number, number]; // two
      return { ...deck, hand: 'pair', inner: { fore, aft } };
    }
  }
}

const cleatIn = (notation: Notation): InsidePlan['cleat'] => ({
  breadth: usualIn(CLEAT.value.breadth, notation),
  depth: usualIn(CLEAT.value.depth, notation),
  atSkin: true,
  atFrames: true,
});

/** A deck of usual camber whose under side nowhere lies over the sheer: it is planed down to it. */
function deckOver(given: Omit<Given, 'height'>, hull: Hull, usual: (mm: number) => number): InsidePlan {
  const { from, to } = given;
  const beam = 2 * Math.max(...[from, to].map((x) => sheerAt(hull, x)?.[1] ?? 0));
  const radius = given.camber?.radius ?? usual(radiusFor(beam * CAMBER_SHARE.value, beam));
  return plainInside({
    ...given,
    fit: 'over',
    camber: { radius },
    thickness: usual(DECK_THICKNESS.value),
    height: { ...deckHeights(hull, { from, to, radius }), of: 'under' },
  });
}

/**
 * Heights on the centreline at both ends: as the sheer runs from end to end, with the camber over it, and lowered until
 * the sheer is nowhere under it.
 */
export function deckHeights(
  hull: Hull,
  { from, to, radius }: { readonly from: number; readonly to: number; readonly radius: number },
): { readonly fore: number; readonly aft: number } {
  const rise = (y: number) => (radius > 0 ? radius - Math.sqrt(Math.max(0, radius * radius - y * y)) : 0);
  const [first, last] = [Math.max(from, hull.fromX), Math.min(to, hull.toX)];
  const tops = Array.from({ length: PLACES + 1 }, (_, i) => first + ((last - first) * i) / PLACES).flatMap((x) => {
    const on = sheerAt(hull, x);
    return on ? [{ x, z: on[2] + rise(on[1]) }] : [];
  });
  if (tops.length < 2) return { fore: 0, aft: 0 };
  const [a, b] = [at(tops, 0), at(tops, -1)];
  const slope = b.x > a.x ? (b.z - a.z) / (b.x - a.x) : 0;
  const lower = Math.min(...tops.map(({ x, z }) => z - a.z - slope * (x - a.x)));
  const heightAt = (x: number) => a.z + slope * (x - a.x) + lower;
  return { fore: heightAt(from), aft: heightAt(to) };
}

const PLACES = 30;

/** The height of the lowest line where it passes x; of its lowest point where it does not. */
function lowestAt({ lines }: Pick<Hull, 'lines'>, x: number): number {
  const lowest = lines[0];
  if (!lowest) return 0;
  const t = crossingsOfX(lowest.batten, x)[0];
  return battenAt(lowest.batten, t ?? 0.5).position[2];
}

/** So that as much is left to sit on at both ends. */
const innerFor = (hull: Hull, xs: readonly [number, number], usual: (mm: number) => number): InsidePlan['inner'] => {
  const [fore, aft] = xs.map((x) => usual(Math.max(0, (sheerAt(hull, x)?.[1] ?? 0) - SEAT_BREADTH.value))) as [
    number,
    number,
  ]; // two
  return { fore, aft };
};

const HATCH = { long: 350, wide: 300, corner: 40 } as const;

/** A hatch in the middle of a part. */
export const plainHatch = (plan: Pick<InsidePlan, 'from' | 'to' | 'hatches'>, notation: Notation): Hatch => ({
  ...{ id: freeId('hatch', plan.hatches), shape: 'rounded', isPair: false, out: 0 },
  x: usualIn((plan.from + plan.to) / 2, notation),
  long: usualIn(HATCH.long, notation),
  wide: usualIn(HATCH.wide, notation),
  corner: usualIn(HATCH.corner, notation),
});
