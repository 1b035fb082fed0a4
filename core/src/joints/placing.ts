/**
 * Where the joints of a panel fall. The builder's own stand where he put them; between them, and the panel's ends, the
 * fewest that will do are placed by what is wanted: clear of frames, out of the hardest bend, staggered from the
 * neighbouring panel's joints.
 *
 * Joints of a stretch may move within the length to spare: places along it are tried and scored. Lengths mm, along the
 * panel from its fore end.
 */
import { at } from '../geometry';
import type { JointKind, JointsPart } from './schema';

/** What is near a joint: of the frames the nearest and how far its face is off, of the neighbour's joints likewise. */
export type Around = {
  readonly frame?: { readonly name: string; readonly clearMm: number };
  readonly mate?: { readonly name: string; readonly mm: number };
};

/** A joint before it is cut. `lap` is lost of the sheets' length, `width` taken up along the panel. */
export type Placed = {
  readonly u: number;
  readonly kind: JointKind;
  readonly lap: number;
  readonly width: number;
  /** The builder's own, by its id. */
  readonly own?: string;
};

/** Where a frame stands on the panel, from face to face. */
export type Standing = { readonly from: number; readonly to: number; readonly label: string };

/** The neighbour's joints, where they come to the panel's own edge, along it. */
export type Mates = { readonly name: string; readonly us: readonly number[] };

export type Wishes = {
  /** Share of the panel's hardest bend at a place along it. */
  readonly bendAt: (u: number) => number;
  readonly standing: readonly Standing[];
  readonly mates: Mates | undefined;
  readonly part: Pick<JointsPart, 'clearOfFrames' | 'stagger' | 'toFrames'>;
};

export type PlacingInput = Wishes & {
  /** Where what is cut begins and ends along the panel. */
  readonly from: number;
  readonly to: number;
  /** The longest piece that comes out of a sheet. */
  readonly usable: number;
  readonly own: readonly Placed[];
  /** What a joint of the project's kind takes. */
  readonly usual: Omit<Placed, 'u'>;
};

/** Places tried along the length to spare: a hand's breadth apart on a sheet. */
const PLACES = 25;
/** What it costs to be wholly too near to a frame, or to a neighbour's joint, and to lie in the hardest bend. */
const COST = { nearFrame: 10, notStaggered: 10, inBend: 4 };
/** From a frame's middle so far a joint that is wanted on one is still on it. */
export const ON_FRAME_MM = 1;
/** What is short by less is not short: figures carry some dust. */
export const DUST_MM = 1e-6;

/** All joints of a panel, from its fore end. */
export function placeJoints(input: PlacingInput): Placed[] {
  const own = [...input.own].sort((a, b) => a.u - b.u);
  const ends = [{ u: input.from, lap: 0 }, ...own, { u: input.to, lap: 0 }];
  return ends.slice(1).flatMap((end, k): Placed[] => {
    const start = ends[k] ?? end;
    const between = inStretch(input, start.u - start.lap / 2, end.u + end.lap / 2);
    return own[k] ? [...between, own[k]] : between;
  });
}

/** Pieces that a stretch takes at least: of n sheets n − 1 laps are lost. */
const fewestPieces = (length: number, usable: number, lap: number): number =>
  Math.max(1, Math.ceil((length - lap - DUST_MM) / (usable - lap)));

/** Of pieces that are more than the fewest: none so many times shorter than an even one. */
const SHORTEST = 3;

type Stretch = { readonly from: number; readonly to: number; readonly usable: number; readonly lap: number };

/**
 * The fewest joints of a stretch, all as far forward as they may be at w = 0, as far aft at w = 1: joint k lies where
 * all pieces before it and after it still come out of a sheet.
 *
 * @param more joints than the fewest: then no piece is shorter than a third of an even one
 */
export function evenPlaces({ from, to, usable, lap }: Stretch, w: number, more = 0): number[] {
  const count = fewestPieces(to - from, usable, lap) + more;
  const least = more > 0 ? (to - from) / (SHORTEST * count) : 0;
  const lowest = (k: number) =>
    Math.max(to - ((count - k) * (usable - lap) + lap / 2), more > 0 ? from + k * least : -Infinity);
  const highest = (k: number) =>
    Math.min(from + k * (usable - lap) + lap / 2, more > 0 ? to - (count - k) * least : Infinity);
  return Array.from({ length: count - 1 }, (_, i) => lowest(i + 1) + w * (highest(i + 1) - lowest(i + 1)));
}

/** For one joint that is every place it can be. */
function inStretch(input: PlacingInput, from: number, to: number): Placed[] {
  const { usable, usual } = input;
  const { lap } = usual;
  if (fewestPieces(to - from, usable, lap) === 1) return [];
  let best: { us: readonly number[]; score: number } = { us: [], score: Infinity };
  const even = Array.from({ length: PLACES }, (_, place) => place / (PLACES - 1));
  for (const w of [...even, ...sharesOnFrames(input, { from, to, usable, lap })]) {
    const us = evenPlaces({ from, to, usable, lap }, w);
    // between equals the most even cut, which leaves the most useful offcuts
    const score = us.reduce((sum, u) => sum + scoreOf(u, usual.width, input), 0) + Math.abs(w - 0.5);
    if (score < best.score) best = { us, score };
  }
  return best.us.map((u) => ({ ...usual, u }));
}

/** At which some joint lies in a frame's middle, where that is wanted. */
function sharesOnFrames({ part, standing }: PlacingInput, stretch: Stretch): number[] {
  if (part.toFrames === 'clear') return [];
  const [first, last] = [evenPlaces(stretch, 0), evenPlaces(stretch, 1)];
  return first.flatMap((low, i) => {
    const room = at(last, i) - low;
    return standing.flatMap((frame) => {
      const w = room > DUST_MM ? (middleOf(frame) - low) / room : -1;
      return w >= 0 && w <= 1 ? [w] : [];
    });
  });
}

export const middleOf = ({ from, to }: Standing): number => (from + to) / 2;

/** From the middle of a joint to a frame's nearer face; nought where it stands there. */
export const apart = ({ from, to }: Standing, u: number): number => Math.max(0, from - u, u - to);

/** The nearest frame and the nearest of the neighbour's joints. */
export function aroundOf(u: number, width: number, { standing, mates }: Wishes): Around {
  const [frame] = [...standing].sort((a, b) => apart(a, u) - apart(b, u));
  const nearest = Math.min(Infinity, ...(mates?.us ?? []).map((mate) => Math.abs(mate - u)));
  return {
    ...(frame && { frame: { name: frame.label, clearMm: Math.max(0, apart(frame, u) - width / 2) } }),
    ...(mates && nearest < Infinity && { mate: { name: mates.name, mm: nearest } }),
  };
}

/** What the wishes that a joint leaves unmet cost. */
function scoreOf(u: number, width: number, { bendAt, standing, mates, part }: Wishes): number {
  const nearest = Math.min(Infinity, ...standing.map((frame) => apart(frame, u))) - width / 2;
  const staggered = Math.min(Infinity, ...(mates?.us ?? []).map((mate) => Math.abs(mate - u)));
  const short = (have: number, want: number) => (want > 0 ? Math.max(0, 1 - have / want) : 0);
  const offFrame = Math.min(Infinity, ...standing.map((frame) => Math.abs(middleOf(frame) - u)));
  const toFrame = part.toFrames === 'on' ? (offFrame > ON_FRAME_MM ? 1 : 0) : short(nearest, part.clearOfFrames);
  return COST.nearFrame * toFrame + COST.notStaggered * short(staggered, part.stagger) + COST.inBend * bendAt(u) ** 2;
}
