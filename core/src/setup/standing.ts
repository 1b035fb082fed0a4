/**
 * Where each frame stands on the strongback, and what every check of it should read.
 *
 * Method: the frame's four points by its own plane (its centre mark and its two upper corners at the skin; its foot on
 * the line where it stands upside down, its keel in a cradle), with z up from the strongback's line, whichever way up
 * the hull is built; each check is a reading of these as they are drawn. Frames that are not there on both sides of the
 * centreline have no such points and are left out.
 * Conventions: x aft and y to starboard as in the boat, z up from the line. Lengths mm.
 */
import { at, type Vec2, type Vec3 } from '../geometry';
import { placeInBoat, type Frame } from '../frames';
import type { SetFrame, SetReading } from './job';
import { readingAfter, STILL } from './motion';
import { CHECKS, type CheckName, type SetupPart } from './schema';

export type Check = {
  readonly what: CheckName;
  /** What it should read: mm; of plumb degrees. */
  readonly should: number;
  /** A diagonal from the mark beyond the boat’s other end: the tape’s own is too near. */
  readonly isFromOther: boolean;
};

export type Standing = {
  readonly id: string;
  readonly name: string;
  /** From the tape's mark to the frame, along the strongback. */
  readonly alongMm: number;
  readonly set: SetFrame;
  readonly checks: readonly Check[];
};

type Asked = {
  readonly fromX: number;
  readonly toX: number;
  readonly part: Pick<SetupPart, 'way' | 'off' | 'from' | 'before'>;
};

/** A diagonal from nearer than this says little of a rack. */
const LEAST_DIAGONAL_MM = 600;

export type Standings = { readonly heights: Heights; readonly standings: readonly Standing[] };

/** Middle first, then outward: as they are set up. */
export function standingsOf(frames: readonly Frame[], asked: Asked): Standings {
  const able = frames.filter(({ hand, isUnderSeam }) => hand === 'across' && !isUnderSeam);
  const tops = able.map((frame) => ({ frame, corners: cornersOf(frame) }));
  const whole = tops.filter((one): one is Cornered => one.corners !== undefined);
  if (whole.length === 0) return { heights: { from: 0, sign: 1 }, standings: [] };
  const heights = heightsOf(whole, asked);
  const middle = (asked.fromX + asked.toX) / 2;
  const standings = whole
    .map((one) => standingOf(one, heights, asked))
    .sort((a, b) => Math.abs(a.set.centre[0] - middle) - Math.abs(b.set.centre[0] - middle));
  return { heights, standings };
}

type Corners = { readonly keel: Vec2; readonly top: Vec2 };
type Cornered = { readonly frame: Frame; readonly corners: Corners };

/** The lowest point nearest to the centreline, and the upper corner at the skin, to starboard. */
function cornersOf({ edges }: Frame): Corners | undefined {
  const points = edges.flatMap((edge) => edge.points.map(({ y, z }): Vec2 => [Math.abs(y), z]));
  if (points.length < 2) return undefined;
  const keel = points.reduce((low, p) => (p[0] < low[0] || (p[0] === low[0] && p[1] < low[1]) ? p : low));
  const top = points.reduce((high, p) => (p[1] > high[1] ? p : high));
  return top[0] > 1 ? { keel: [0, keel[1]], top } : undefined;
}

/** Heights over the line are `from`, and the boat's own heights times `sign`. */
export type Heights = { readonly from: number; readonly sign: -1 | 1 };

const heightsOf = (all: readonly Cornered[], { part: { way, off } }: Asked): Heights =>
  way === 'upside-down'
    ? { from: Math.max(...all.map(({ corners }) => corners.top[1])) + off, sign: -1 }
    : { from: off - Math.min(...all.map(({ corners }) => corners.keel[1])), sign: 1 };

function standingOf({ frame, corners: { keel, top } }: Cornered, { from, sign }: Heights, asked: Asked): Standing {
  const place = (p: Vec2): Vec3 => {
    const [x, y, z] = placeInBoat(frame, p);
    return [x, y, from + sign * z];
  };
  const [atKeel, starboard] = [place(keel), place(top)];
  const port: Vec3 = [starboard[0], -starboard[1], starboard[2]];
  const isOver = asked.part.way === 'upside-down';
  // where the frame's own plane meets the line
  const slope = (atKeel[0] - starboard[0]) / (atKeel[2] - starboard[2] || 1);
  const foot: Vec3 = isOver ? [atKeel[0] - slope * atKeel[2], 0, 0] : atKeel;
  const centre: Vec3 = isOver ? atKeel : [starboard[0], 0, starboard[2]];
  const set: SetFrame = { name: frame.id, centre, port, starboard, foot };
  const { id, name } = frame;
  const checks = CHECKS.map((what): Check => {
    const reading = readingOf({ set }, what, asked);
    const isFromOther = DIAGONALS.includes(what) && isNear({ set }, asked);
    return { what, should: readingAfter(reading, set, STILL, set.centre), isFromOther };
  });
  return { id, name, alongMm: Math.abs(foot[0] - markOf(asked)), set, checks };
}

/** Where the tape begins, on the line. */
const markOf = ({ fromX, toX, part: { from, before } }: Asked): number =>
  from === 'fore' ? fromX - before : toX + before;

/** Where along the boat a tape reads so much. */
export const alongFrom =
  (asked: Asked) =>
  (mm: number): number =>
    asked.part.from === 'fore' ? markOf(asked) + mm : markOf(asked) - mm;

const DIAGONALS: readonly CheckName[] = ['diagonal-port', 'diagonal-starboard'];

/** Whether a frame stands too near to the tape’s mark for a diagonal from there. */
const isNear = ({ set }: Pick<Standing, 'set'>, asked: Asked): boolean =>
  Math.abs(set.port[0] - markOf(asked)) < LEAST_DIAGONAL_MM;

/** A reading of a check, without its value. */
export function readingOf({ set }: Pick<Standing, 'set'>, what: CheckName, asked: Asked): SetReading {
  const mark: Vec3 = [markOf(asked), 0, 0];
  const other: Vec3 = [asked.fromX + asked.toX - markOf(asked), 0, 0];
  const across = isNear({ set }, asked) ? other : mark;
  const of = { frame: set.name, value: 'true' } as const;
  switch (what) {
    case 'along':
      // held level: over its mark where the foot is not on the line
      return { ...of, kind: 'along', from: [mark[0], 0, set.foot[2]], to: 'foot' };
    case 'foot-aside':
      return { ...of, kind: 'offset', of: 'foot' };
    case 'aside':
      return { ...of, kind: 'offset', of: 'centre' };
    case 'plumb':
      return { ...of, kind: 'plumb' };
    case 'height-port':
      return { ...of, kind: 'height', of: 'port' };
    case 'height-starboard':
      return { ...of, kind: 'height', of: 'starboard' };
    case 'diagonal-port':
      return { ...of, kind: 'along', from: across, to: 'port' };
    case 'diagonal-starboard':
      return { ...of, kind: 'along', from: across, to: 'starboard' };
  }
}

/** Legs of the strongback: pairs at even places, each moved from a frame that it would be in the way of. */
export function legPlaces(
  standings: readonly Standing[],
  {
    from,
    to,
    every,
    clear,
  }: { readonly from: number; readonly to: number; readonly every: number; readonly clear: number },
): number[] {
  const gaps = Math.max(1, Math.ceil((to - from) / every));
  const frames = standings.map(({ set }) => set.foot[0]).sort((a, b) => a - b);
  return Array.from({ length: gaps + 1 }, (_, k) => from + (k * (to - from)) / gaps).map((x) => {
    const near = frames.find((frame) => Math.abs(frame - x) < clear);
    if (near === undefined) return x;
    const [fore, aft] = [near - clear, near + clear];
    const isFree = (place: number) =>
      place >= from && place <= to && frames.every((frame) => Math.abs(frame - place) >= clear - 1e-9);
    const free = [fore, aft].filter(isFree).sort((a, b) => Math.abs(a - x) - Math.abs(b - x));
    return free.length > 0 ? at(free, 0) : x;
  });
}
