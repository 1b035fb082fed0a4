/** Frames put in, copied and taken out. Lengths mm. */
import { boundsOf, type Outline } from '../geometry';
import type { LinesPart } from '../lines';
import { usualIn, type Notation } from '../measure';
import { SHEET_SIZE } from '../panels';
import {
  BLOCK_THICKNESS,
  BOTTOM_TIMBER,
  BULKHEAD_THICKNESS,
  FAIRED_BY,
  GUSSET_LEG,
  GUSSET_THICKNESS,
  HOLE_EDGE,
  MEMBER_DEPTH,
  MEMBER_WIDTH,
  NOTCH_ROOM,
  OPENING_CORNER,
  OPENING_EDGE,
  OPENING_SIZE,
  PLANK_BREADTH,
  RING_BREADTH,
  RING_CORNER,
  SAWN_BREADTH,
  SCREW_DIAMETER,
  SCREW_ENDS,
  STAPLE_EVERY,
} from './constants';
import {
  TOP_EDGE,
  type CleatPlan,
  type FramePlan,
  type FramesPart,
  type GirderPlan,
  type Member,
  type Opening,
  type SlotPlan,
  type TakenShape,
  type TimberSettings,
} from './schema';

/** Where frames are kept in the project, for edits. */
export const FRAMES_PATH = ['frames', 'frames'] as const;

type Needed = Pick<FramePlan, 'id' | 'name' | 'x'>;

/** A frame of which no more is decided than where it stands: the whole section, upright, as the boat is built. */
export const plainFrame = (given: Needed & Partial<FramePlan>): FramePlan => ({
  kind: 'usual',
  shape: '',
  rakeDeg: 0,
  width: BULKHEAD_THICKNESS.value,
  face: 'fore',
  lining: 0,
  school: null,
  edges: [],
  bounds: { hand: 'across', inner: 0, outer: null, bottom: null },
  top: { kind: 'straight', mm: 0, below: 0 },
  ring: { breadth: RING_BREADTH.value, floor: RING_BREADTH.value, beam: 0, corner: RING_CORNER.value },
  proud: { skin: 0, top: 0 },
  openings: [],
  limbers: [],
  slots: [],
  cleats: [],
  ...given,
});

/** Labels at which points lie this near in x are one station. */
const SAME_X_MM = 0.5;

/** A table of more stations than this is no builder's: it gets so many frames, spread evenly. */
const MOST_FRAMES = 24;

/** Frames for a new project: at every other station that all lines share, the first left out. */
export function framesAtStations(lines: LinesPart): FramePlan[] {
  const seen = new Map<string, { x: number; count: number }>();
  for (const line of lines.longitudinals)
    for (const { station, x } of line.points) {
      const known = seen.get(station);
      if (station !== '' && (!known || Math.abs(known.x - x) < SAME_X_MM))
        seen.set(station, { x, count: (known?.count ?? 0) + 1 });
    }
  const shared = [...seen].filter(([, { count }]) => count === lines.longitudinals.length && count > 1);
  const step = Math.max(2, Math.ceil(shared.length / MOST_FRAMES));
  return shared
    .filter((_, i) => i % step === 1)
    .map(([label, { x }]) => plainFrame({ id: `frame.${label}`, name: `Frame ${label}`, x }));
}

type Ends = { readonly fromX: number; readonly toX: number };

/** Places are found with a pencil: to a whole millimetre. */
const whole = (mm: number) => Math.round(mm);

/** The middle of the widest room between two frames, or between one and an end of the hull. */
export function widestRoom(plans: readonly FramePlan[], { fromX, toX }: Ends): number {
  const inside = plans.map(({ x }) => x).filter((x) => x > fromX && x < toX);
  const places = [fromX, ...inside.sort((a, b) => a - b), toX];
  const rooms = places.slice(1).map((to, i) => ({ from: places[i] ?? to, to }));
  const { from, to } = rooms.reduce((most, room) => (room.to - room.from > most.to - most.from ? room : most));
  return whole((from + to) / 2);
}

/** One more, of the thickness and named after the manner of the last: `Bulkhead 4` after three. */
export function oneMore(plans: readonly FramePlan[], x: number): FramePlan {
  const last = plans[plans.length - 1];
  return plainFrame({ ...freeName(plans, last?.name ?? 'Frame'), x: whole(x), ...(last && usualOf(last)) });
}

const usualOf = ({ width, face }: FramePlan) => ({ width, face });

/** The same again, in all but its place and its name. */
export const copyOf = (plans: readonly FramePlan[], plan: FramePlan, x: number): FramePlan => ({
  ...plan,
  ...freeName(plans, plan.name),
  x: whole(x),
});

/** An id and a name that no other has, after the manner of a name: its word, and the next number. */
function freeName(plans: readonly FramePlan[], like: string): Pick<FramePlan, 'id' | 'name'> {
  const word = like.replace(/[\s\d½.]+$/, '') || 'Frame';
  const isFree = (n: number) =>
    plans.every(({ id, name }) => id !== `frame.${n}` && name.toLowerCase() !== `${word} ${n}`.toLowerCase());
  let number = plans.length + 1;
  while (!isFree(number)) number++;
  return { id: `frame.${number}`, name: `${word} ${number}`.slice(0, 60) };
}

/** An id for one more of a list: the first number that is free. */
export function freeId(word: string, taken: readonly { readonly id: string }[]): string {
  let number = taken.length + 1;
  while (taken.some(({ id }) => id === `${word}.${number}`)) number++;
  return `${word}.${number}`;
}

/** Where members are kept in the project, for edits. */
export const MEMBERS_PATH = ['frames', 'members'] as const;

/** One more member: a stringer of a usual section, above the lowest line unless told. */
export const plainMember = (
  taken: readonly Member[],
  notation: Notation,
  given: Partial<Member> & { readonly line?: string } = {},
): Member => ({
  id: freeId('member', taken),
  name: `Stringer ${taken.length + 1}`,
  line: 'chine',
  on: 'above',
  away: 0,
  side: 'inside',
  width: usualIn(MEMBER_WIDTH.value, notation),
  depth: usualIn(MEMBER_DEPTH.value, notation),
  from: null,
  to: null,
  isThrough: true,
  clearance: NOTCH_ROOM.value,
  ...given,
});

/** Where girders are kept in the project, for edits. */
export const GIRDERS_PATH = ['frames', 'girders'] as const;

/** Of a usual girder this share of the hull's length is left free at each end. */
const GIRDER_ENDS = 0.2;
/** So much over the deepest place of the hull it reaches to begin with. */
const GIRDER_UP = 150;

/** One more, on the centreline, along the middle of the hull. */
export function plainGirder(
  taken: readonly GirderPlan[],
  { fromX, toX }: Ends,
  given: Partial<GirderPlan> = {},
): GirderPlan {
  const ends = GIRDER_ENDS * (toX - fromX);
  return {
    id: freeId('girder', taken),
    name: `Girder ${taken.length + 1}`,
    hand: 'centre',
    from: whole(fromX + ends),
    to: whole(toX - ends),
    out: 0,
    outAft: 0,
    width: BULKHEAD_THICKNESS.value,
    school: null,
    top: { kind: 'straight', fore: GIRDER_UP, aft: GIRDER_UP, below: 0 },
    halving: 'frame',
    clearance: NOTCH_ROOM.value,
    openings: [],
    ...given,
  };
}

/** The stock of sawn frames, and of moulds, in a new project. */
export const timberIn = (notation: Notation): Pick<FramesPart, 'sawn' | 'moulds'> => ({
  sawn: stockOf([SAWN_BREADTH.value, GUSSET_THICKNESS.value], 2, notation),
  moulds: stockOf([PLANK_BREADTH.value, BLOCK_THICKNESS.value], 1, notation),
});

function stockOf([breadth, thickness]: readonly [number, number], faces: number, notation: Notation): TimberSettings {
  const broad = usualIn(breadth, notation);
  const leg = usualIn(GUSSET_LEG.value, notation);
  return {
    ...{ corner: 'mitred', floor: broad, side: broad },
    plate: { thickness: usualIn(thickness, notation), leg, faces },
    spall: { height: null, breadth: broad },
  };
}

/** How a planked bottom is laid once a panel is chosen for it. */
export const screwsIn = (notation: Notation): FramesPart['screws'] => ({
  ...{ spacing: 0, use: 'left', own: [] },
  ends: usualIn(SCREW_ENDS.value, notation),
  diameter: usualIn(SCREW_DIAMETER.value, notation),
  staples: usualIn(STAPLE_EVERY.value, notation),
});

export const plankedIn = (notation: Notation): FramesPart['planked'] => ({
  panel: '',
  board: usualIn(SHEET_SIZE.value.height, notation),
  from: 'aft',
  breadth: usualIn(BOTTOM_TIMBER.value.breadth, notation),
  depth: usualIn(BOTTOM_TIMBER.value.depth, notation),
});

/** What is kept round cuts in a new project. */
export const keptIn = (notation: Notation): FramesPart['keep'] => ({
  opening: usualIn(OPENING_EDGE.value, notation),
  hole: usualIn(HOLE_EDGE.value, notation),
  corner: usualIn(OPENING_CORNER.value, notation),
});

/** Of a part's height and breadth an opening takes no more, to begin with. */
const OPENING_SHARE = 0.35;

/** An opening as usual, smaller in a small part: in the middle of what is cut. */
export function plainOpening(taken: readonly Opening[], cut: Outline, notation: Notation): Opening {
  const { minX, maxX, minY, maxY } = boundsOf(cut);
  const fitting = (mm: number) =>
    usualIn(Math.floor(Math.min(OPENING_SIZE.value, OPENING_SHARE * mm) / 10) * 10, notation);
  const [width, height] = [Math.max(20, fitting(maxX - minX)), Math.max(20, fitting(maxY - minY))];
  return {
    id: freeId('opening', taken),
    shape: 'rounded',
    out: whole(Math.abs(minX + maxX) / 2),
    up: whole((minY + maxY) / 2),
    width,
    height,
    corner: usualIn(Math.min(RING_CORNER.value, width / 2, height / 2), notation),
    isPair: false,
    ...{ doubler: 0, lid: 0, lip: 0, room: 0 },
  };
}

/** One more slot: for a usual member, in the top beside the centreline. */
export const plainSlot = (taken: readonly SlotPlan[], notation: Notation): SlotPlan => ({
  id: freeId('slot', taken),
  edge: 'top',
  out: usualIn(SLOT_OUT, notation),
  width: usualIn(MEMBER_DEPTH.value, notation) + 2 * NOTCH_ROOM.value,
  depth: usualIn(MEMBER_WIDTH.value, notation),
  isPair: true,
});

/** Out from the centreline, to begin with. */
const SLOT_OUT = 150;

/** One more cleat: along the top, for a deck that lies on it. */
export const plainCleat = (taken: readonly CleatPlan[], notation: Notation): CleatPlan => ({
  id: freeId('cleat', taken),
  edge: TOP_EDGE,
  face: 'aft',
  setIn: 0,
  breadth: usualIn(MEMBER_WIDTH.value, notation),
  depth: usualIn(MEMBER_DEPTH.value, notation),
});

/** Where taken shapes are kept in the project, for edits. */
export const TAKEN_PATH = ['frames', 'taken'] as const;

/** One more shape: from a plumb line on the centreline, no point of it measured yet. */
export const plainShape = (taken: readonly TakenShape[], notation: Notation): TakenShape => ({
  id: freeId('shape', taken),
  name: `Shape ${taken.length + 1}`,
  ...{ way: 'plumb', plumb: 0, points: [], corner: 0, bevelDeg: 0 },
  ...{ first: { out: 0, up: 0 }, second: { out: 0, up: usualIn(SECOND_POINT_UP, notation) } },
  fairBy: FAIRED_BY.value,
});

/** Of two fixed points the upper one, to begin with. */
const SECOND_POINT_UP = 500;
/** Between two heights, where there are no two to go by. */
const HEIGHT_STEP = 50;

/** The next point of a shape: as much higher as the last was than the one before it, and as far out. */
export function nextPoint(points: TakenShape['points']): TakenShape['points'][number] {
  const [last, before] = [points[points.length - 1], points[points.length - 2]];
  const step = last && before && last.a > before.a ? last.a - before.a : HEIGHT_STEP;
  return { id: freeId('point', points), a: last ? last.a + step : 0, b: last?.b ?? 0, isCorner: false };
}
