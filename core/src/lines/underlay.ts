/**
 * A scan or photo under a view: where its pixels lie on the hull, how it is brought to size and level, and how points
 * are taken from it.
 *
 * A place in a view is (across, up) in hull mm: x and height in the profile, x and half-breadth in the plan,
 * half-breadth (port negative) and height in the body plan. The picture hangs from its top left corner and is turned
 * about it, counter-clockwise; pixels count right and down.
 */
import { at, type Vec2 } from '../geometry';
import { battenAt, bendBatten, crossingsOfX } from './batten';
import { positionOf } from './hull-line';
import type { Longitudinal, OffsetPoint, Underlay } from './schema';

export function viewOfPixel({ left, top, mmPerPx, turnDeg }: Underlay, [px, py]: Vec2): Vec2 {
  const [cos, sin] = turnOf(turnDeg);
  const [right, down] = [px * mmPerPx, py * mmPerPx];
  return [left + right * cos + down * sin, top + right * sin - down * cos];
}

export function pixelOfView({ left, top, mmPerPx, turnDeg }: Underlay, [across, up]: Vec2): Vec2 {
  const [cos, sin] = turnOf(turnDeg);
  const [dx, dy] = [across - left, up - top];
  return [(dx * cos + dy * sin) / mmPerPx, (dx * sin - dy * cos) / mmPerPx];
}

const turnOf = (turnDeg: number): Vec2 => {
  const turn = (turnDeg * Math.PI) / 180;
  return [Math.cos(turn), Math.sin(turn)];
};

export type Adjusted =
  { readonly ok: true; readonly underlay: Underlay } | { readonly ok: false; readonly reason: string };

/** So small a distance on the picture that a hand's tremble would spoil the scale, pixels. */
const LEAST_PX = 20;

/** Brought to size: two places that are `knownMm` apart on the boat; the first stays where it is. */
export function scaled(underlay: Underlay, from: Vec2, to: Vec2, knownMm: number): Adjusted {
  const [a, b] = [pixelOfView(underlay, from), pixelOfView(underlay, to)];
  const apart = Math.hypot(a[0] - b[0], a[1] - b[1]);
  if (apart < LEAST_PX) return tooNear;
  const mmPerPx = knownMm / apart;
  if (!(mmPerPx > 0 && mmPerPx < 10_000)) return { ok: false, reason: 'Expected a distance over nought' };
  return held({ ...underlay, mmPerPx }, a, from);
}

/** Turned so that the second place lies level with the first, which stays where it is. */
export function levelled(underlay: Underlay, from: Vec2, to: Vec2): Adjusted {
  const [a, b] = [pixelOfView(underlay, from), pixelOfView(underlay, to)];
  if (Math.hypot(a[0] - b[0], a[1] - b[1]) < LEAST_PX) return tooNear;
  const [left, right] = a[0] <= b[0] ? [a, b] : [b, a];
  // down on the picture is down on the boat: the turn that brings the run from left to right level
  const turnDeg = (Math.atan2(right[1] - left[1], right[0] - left[0]) * 180) / Math.PI;
  return held({ ...underlay, turnDeg }, a, from);
}

/** Moved so that what lies at one place lies at the other. */
export const moved = (underlay: Underlay, from: Vec2, to: Vec2): Underlay => ({
  ...underlay,
  left: underlay.left + to[0] - from[0],
  top: underlay.top + to[1] - from[1],
});

const tooNear: Adjusted = {
  ok: false,
  reason: 'The two places are too near each other; expected them as far apart as the picture allows',
};

function held(underlay: Underlay, pixel: Vec2, place: Vec2): Adjusted {
  return { ok: true, underlay: moved(underlay, viewOfPixel(underlay, pixel), place) };
}

/** How far a point read off a drawing may be off: the width of its pencil line at full size, mm. */
export const pencilAtFullSize = ({ scale, pencil }: { readonly scale: number; readonly pencil: number }): number =>
  scale * pencil;

export type Traced = {
  readonly view: Underlay['view'];
  readonly place: Vec2;
  /** The stations' places, that a click near one of them means. */
  readonly stations: readonly { readonly label: string; readonly x: number }[];
  /** Of the station that a click in the body plan belongs to. */
  readonly station?: { readonly label: string; readonly x: number } | undefined;
  readonly uncertainty: number;
};

/** Nearer to a station than this is at it, mm; a click on a drawing at 1:10 is no better. */
const SNAP_MM = 40;

/**
 * The line with what was clicked: its point there moved in the clicked view's figures, or a point more; what the view
 * does not show comes from the line's batten, or is 0 for its first points.
 * @returns undefined where the body plan was clicked and no station is known
 */
export function traced(
  line: Longitudinal,
  { view, place, stations, station, uncertainty }: Traced,
): Longitudinal | undefined {
  if (view === 'body' && !station) return undefined;
  const near = stations.find(({ x }) => Math.abs(x - place[0]) < SNAP_MM);
  const own = view === 'body' ? station : near;
  const x = tenth(own?.x ?? place[0]);
  const shown: Partial<OffsetPoint> =
    view === 'profile'
      ? { height: tenth(place[1]) }
      : view === 'plan'
        ? { halfBreadth: tenth(Math.abs(place[1])) }
        : { halfBreadth: tenth(Math.abs(place[0])), height: tenth(place[1]) };
  const index = line.points.findIndex((p) => Math.abs(p.x - x) < (own ? 0.5 : SNAP_MM / 2));
  if (index >= 0) {
    const points = line.points.map((p, i) => (i === index ? { ...p, ...shown, uncertainty } : p));
    return { ...line, points };
  }
  const guess = guessAt(line, x);
  const point: OffsetPoint = { station: own?.label ?? '', x, ...guess, ...shown, uncertainty };
  const next = line.points.findIndex((p) => p.x > x);
  const before = next < 0 ? line.points.length : next;
  return { ...line, points: [...line.points.slice(0, before), point, ...line.points.slice(before)] };
}

function guessAt(line: Longitudinal, x: number): { halfBreadth: number; height: number } {
  const distinct = line.points.filter((p, i) => i === 0 || p.x > at(line.points, i - 1).x);
  if (distinct.length < 2) return { halfBreadth: distinct[0]?.halfBreadth ?? 0, height: distinct[0]?.height ?? 0 };
  const batten = bendBatten(distinct.map(positionOf));
  const [t] = crossingsOfX(batten, x);
  const end = x < at(distinct, 0).x ? 0 : 1;
  const [, y, z] = battenAt(batten, t ?? end).position;
  return { halfBreadth: tenth(y), height: tenth(z) };
}

const tenth = (mm: number) => Math.round(mm * 10) / 10;
