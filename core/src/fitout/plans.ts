/** Parts put in: what each kind is begun with, from the boat that it goes into. Lengths mm. */
import type { Hull } from '../lines';
import { freeId } from '../frames';
import { at } from '../geometry';
import { usualIn, type Notation } from '../measure';
import {
  BREASTHOOK_LONG,
  CLEAT,
  CAMBER_SHARE,
  DECK_THICKNESS,
  KNEE_ARM,
  KNEE_HOLLOW,
  KNEE_NOSE,
  KNEE_THICKNESS,
  LAST_CLEAR,
  PAD,
  PART_GAP,
  PART_THICKNESS,
  SEAT_BREADTH,
  SEAT_HEIGHT,
  SOLE_OVER,
} from './constants';
import { freeName } from './free-name';
import { radiusFor } from './lie';
import type { Fitting, Hatch, InsideKind, InsidePlan } from './schema';
import { lowestAt, sheerAt } from './sheer';

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
  isTimber: false,
  hollow: { fore: 0, aft: 0, inner: 0 },
  drain: 0,
  screws: 0,
  fittings: [],
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
  breasthook: 'Breasthook',
  knee: 'Quarter knee',
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
    case 'breasthook':
      return breasthook(own, hull, usual);
    case 'knee':
      return quarterKnee(own, hull, usual);
  }
}

const cleatIn = (notation: Notation): InsidePlan['cleat'] => ({
  breadth: usualIn(CLEAT.value.breadth, notation),
  depth: usualIn(CLEAT.value.depth, notation),
  atSkin: true,
  atFrames: true,
});

type Own = Omit<Given, 'from' | 'to' | 'height'>;

/** Flush with the sheer, and bevelled to the skin: of a board, with no timber under it. */
function flush(own: Own, hull: Hull, { from, to }: { readonly from: number; readonly to: number }): InsidePlan {
  const { fore, aft } = deckHeights(hull, { from, to, radius: 0 });
  return plainInside({
    ...{ ...own, from, to, school: 'framed', isTimber: true },
    height: { fore: Math.floor(fore), aft: Math.floor(aft), of: 'top' },
    cleat: { ...CLEAT.value, ...own.cleat, atSkin: false, atFrames: false },
  });
}

/** Between the sides at the stem, its after edge hollowed. */
function breasthook(own: Own, hull: Hull, usual: (mm: number) => number): InsidePlan {
  const from = usual(hull.fromX);
  const thickness = usual(KNEE_THICKNESS.value);
  const plan = flush({ ...own, thickness }, hull, { from, to: usual(from + BREASTHOOK_LONG.value) });
  return { ...plan, hollow: { fore: 0, aft: usual(KNEE_HOLLOW.value), inner: 0 } };
}

/** A boat that is sharp aft has none: there the sides are tied together as at the stem. */
function sternHook(own: Own, hull: Hull, usual: (mm: number) => number): InsidePlan {
  const to = usual(hull.toX);
  const asked = { ...own, kind: 'breasthook' as const, thickness: usual(KNEE_THICKNESS.value) };
  const plan = flush(asked, hull, { from: usual(to - BREASTHOOK_LONG.value), to });
  return { ...plan, hollow: { fore: usual(KNEE_HOLLOW.value), aft: 0, inner: 0 } };
}

/** Between the side and the transom, one of each hand; square at the end of the arm along the side. */
function quarterKnee(own: Own, hull: Hull, usual: (mm: number) => number): InsidePlan {
  if ((sheerAt(hull, hull.toX)?.[1] ?? 0) < KNEE_ARM.value) return sternHook(own, hull, usual);
  const [from, to] = [usual(hull.toX - KNEE_ARM.value), usual(hull.toX)];
  const plan = flush({ ...own, thickness: usual(KNEE_THICKNESS.value), hand: 'pair' }, hull, { from, to });
  const out = (x: number) => sheerAt(hull, Math.min(x, hull.toX))?.[1] ?? 0;
  const inner = { fore: out(from) - KNEE_NOSE.value, aft: out(to) - KNEE_ARM.value };
  return {
    ...plan,
    inner: { fore: Math.max(0, usual(inner.fore)), aft: Math.max(0, usual(inner.aft)) },
    hollow: { fore: 0, aft: 0, inner: usual(KNEE_HOLLOW.value) },
  };
}

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

/** A cleat or a rowlock in the middle of a part, with the pad under it. */
export const plainFitting = (plan: Pick<InsidePlan, 'from' | 'to' | 'fittings'>, notation: Notation): Fitting => ({
  ...{ id: freeId('fitting', plan.fittings), name: freeName('Cleat', plan.fittings), isPair: false, out: 0 },
  x: usualIn((plan.from + plan.to) / 2, notation),
  pad: {
    long: usualIn(PAD.value.long, notation),
    wide: usualIn(PAD.value.wide, notation),
    thick: usualIn(PAD.value.thick, notation),
  },
});
