/**
 * Where a girder and a frame cross: each is slotted to half of what they share, or the girder stands in pieces between.
 *
 * Method: seen along the boat a frame takes of the girder what lies between its two faces on both of the girder's own;
 * seen from ahead the girder takes of the frame what lies between its faces on both of the frame's: a part that crosses
 * aslant needs a wider slot. Both are widened by a clearance. What they share is the height over which both are there;
 * the lower half is cut out of the one that goes over, from below, and the upper half out of the other, from above.
 */
import { at, convexHull, differenceOf, upright, type Outline, type Region, type Vec2 } from '../../geometry';
import type { Frame } from '../frame';
import { reliefsOf } from '../relief';
import { placeInPlane } from '../section';
import { alongAtX, placeOnGirder, withPieces, type Girder } from './girder';

/** What a girder takes of a frame: to starboard, or to port. */
export type Slot = { readonly girder: string; readonly outline: Outline };

export type Crossing = {
  readonly frame: string;
  /** Cut in the girder. */
  readonly own: Outline;
  /** Cut in the frame; none where the girder stands between frames. */
  readonly slots: readonly Slot[];
};

type Crossed = Pick<Frame, 'id' | 'x' | 'rakeRad' | 'width' | 'face' | 'cut' | 'hand'>;

/** A slot is cut so far past the part's edge, to be open there. */
const OPEN_MM = 200;
/** Less than this is not shared. */
const TOUCH_MM = 0.5;

/** Undefined where they do not cross. */
export function crossingOf(girder: Girder, frame: Crossed, clearance: number): Crossing | undefined {
  const span = girder.whole.map(([s]) => s);
  const [first, last] = [Math.min(...span), Math.max(...span)];
  const strip = stripOf(girder, frame, clearance);
  const middle = strip.at(middleUp(girder));
  if (middle[1] < first || middle[0] > last) return undefined;
  const sides = girder.hand === 'centre' ? ([1] as const) : SIDES[girder.hand];
  const met = sides.filter((side) => standsOn(frame, side));
  const side = met[0];
  if (side === undefined) return undefined;
  const shared = sharedHeights(girder, frame, strip, side);
  if (!shared) return undefined;
  const { low, high, top, bottom } = shared;
  if (girder.halving === 'between')
    return { frame: frame.id, own: strip.from(bottom - OPEN_MM, top + OPEN_MM), slots: [] };
  const half = (low + high) / 2;
  const isOver = girder.halving === 'girder';
  const [ownFrom, ownTo] = isOver ? [bottom - OPEN_MM, half + clearance / 2] : [half - clearance / 2, top + OPEN_MM];
  const [slotFrom, slotTo] = isOver ? [half - clearance / 2, high + OPEN_MM] : [low - OPEN_MM, half + clearance / 2];
  return {
    frame: frame.id,
    own: strip.from(ownFrom, ownTo),
    slots: met.map((one) => ({
      girder: girder.id,
      outline: slotIn(girder, frame, [slotFrom, slotTo], clearance).map(([y, z]): Vec2 => [one * y, z]),
    })),
  };
}

/** A raked frame crosses further aft higher up: it is looked for halfway up the girder. */
function middleUp({ whole }: Girder): number {
  const heights = whole.map(([, z]) => z);
  return (Math.min(...heights) + Math.max(...heights)) / 2;
}
const SIDES = { pair: [1, -1], starboard: [1], port: [-1] } as const;

/** Of a frame that is a pair the starboard part is drawn, and both are cut alike. */
const standsOn = ({ hand }: Pick<Frame, 'hand'>, side: 1 | -1): boolean =>
  hand === 'across' || (side === 1 ? hand !== 'port' : hand === 'port');

/** The frame's two faces, along the boat, at a height. */
function facesAt({ x, width, face, rakeRad }: Crossed, z: number): readonly [number, number] {
  const on = x + z * Math.tan(rakeRad);
  const through = width / Math.cos(rakeRad);
  return face === 'fore' ? [on, on + through] : [on - through, on];
}

/** What a frame takes of the girder, along it. */
function stripOf({ plane, faces }: Girder, frame: Crossed, clearance: number) {
  const atHeight = (z: number): readonly [number, number] => {
    const all = facesAt(frame, z).flatMap((x) => faces.map((out) => alongAtX(plane, x, out)));
    return [Math.min(...all) - clearance, Math.max(...all) + clearance];
  };
  return {
    at: atHeight,
    from: (low: number, high: number): Outline => {
      const [a, b] = [atHeight(low), atHeight(high)];
      return [
        [a[0], low],
        [a[1], low],
        [b[1], high],
        [b[0], high],
      ];
    },
  };
}

/** What a girder takes of a frame between two heights over the base line, by the frame's own plane. */
function slotIn({ plane, faces }: Girder, frame: Crossed, heights: readonly [number, number], clearance: number) {
  const corners = heights.flatMap((z) =>
    facesAt(frame, z).flatMap((x) =>
      faces.map((out, k): Vec2 => {
        const [, y, up] = placeInPlane(frame, placeOnGirder(plane, [alongAtX(plane, x, out), z], out));
        return [y + (k === 0 ? -clearance : clearance), up];
      }),
    ),
  );
  return convexHull(corners);
}

type Shared = { readonly low: number; readonly high: number; readonly bottom: number; readonly top: number };

/** The lowest height over which both are there, and how far the girder reaches at that place. */
function sharedHeights(
  girder: Girder,
  frame: Crossed,
  strip: ReturnType<typeof stripOf>,
  side: 1 | -1,
): Shared | undefined {
  const [from, to] = strip.at(middleUp(girder));
  const own = upright(girder.whole, (from + to) / 2);
  const [bottom, top] = [own[0]?.[0], own[own.length - 1]?.[1]];
  if (bottom === undefined || top === undefined) return undefined;
  const out = (girder.faces[0] + girder.faces[1]) / 2;
  const [, y] = placeOnGirder(girder.plane, [(from + to) / 2, 0], out);
  const lean = Math.cos(frame.rakeRad);
  const standing = uprightOf(frame.cut, side * y).map(([a, b]) => [a * lean, b * lean] as const);
  for (const [a, b] of standing) {
    const [low, high] = [Math.max(a, bottom), Math.min(b, top)];
    if (high - low > TOUCH_MM) return { low, high, bottom, top };
  }
  return undefined;
}

/** Where an upright line lies in what is solid of a region, from below. */
function uprightOf({ outline, holes }: Region, x: number): (readonly [number, number])[] {
  const gone = holes.flatMap((hole) => upright(hole, x));
  return upright(outline, x).flatMap(([low, high]) => {
    const edges = [low, ...gone.filter(([a]) => a > low && a < high).flat(), high].sort((a, b) => a - b);
    return edges.flatMap((a, i) => (i % 2 === 0 && i + 1 < edges.length ? [[a, at(edges, i + 1)] as const] : []));
  });
}

/** A girder with its slots. */
export function slottedGirder(girder: Girder, crossings: readonly Crossing[], relief = 0): Girder {
  if (crossings.length === 0) return girder;
  const pieces = girder.pieces.flatMap(({ outline, holes }) =>
    differenceOf([outline], [...holes, ...crossings.flatMap(({ own }) => [own, ...reliefsOf(own, [outline], relief)])]),
  );
  const foremost = ({ outline }: Region) => Math.min(...outline.map(([s]) => s));
  return withPieces({ ...girder, pieces: pieces.sort((a, b) => foremost(a) - foremost(b)) });
}

/** What is left of a frame's cut with its slots, largest first. */
export const slottedCut = ({ outline, holes }: Region, slots: readonly Slot[], relief = 0): Region[] =>
  differenceOf(
    [outline],
    [...holes, ...slots.flatMap((slot) => [slot.outline, ...reliefsOf(slot.outline, [outline], relief)])],
  );
