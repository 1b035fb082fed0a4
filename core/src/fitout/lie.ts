/**
 * The surface that a part lies in: a plane, level or sloping along the boat, or one cambered across it.
 *
 * Method (derived here): a cambered sheet is bent to a cylinder of radius R whose generators run along the boat and
 * rise with the slope; so it develops exactly. By the part's own axes u runs aft along the generators, y athwart, w
 * square to both: P = u·(1, 0, s)/k + (0, y, 0) + w·(−s, 0, 1)/k with s the slope and k = √(1 + s²). On the cylinder
 * y = R·sin a, w = W − R + R·cos a, and flat v = R·a. A bent sheet keeps its length in its middle: R is that of the
 * middle, and its faces lie half the thickness over and under it, on R ± T/2 about the same axis.
 * Conventions: the flat is seen from above, u aft and v to starboard, in true length; v = 0 on the centreline.
 */
import { type Vec2, type Vec3 } from '../geometry';
import type { InsidePlan } from './schema';

export type Lie = {
  /** Rise of the generators a millimetre aft. */
  readonly slope: number;
  /** Of the middle of the sheet on the centreline, square to the generators, from the datum. */
  readonly middle: number;
  /** Of the middle of the sheet; 0: it is flat. */
  readonly radius: number;
  readonly thickness: number;
};

/** A face of the sheet, by which way it looks. */
export const FACES = ['top', 'under'] as const;
export type FaceOfLie = (typeof FACES)[number];

/** How far over the middle of the sheet a face lies. */
export const overMiddle = ({ thickness }: Lie, face: FaceOfLie): number =>
  (face === 'top' ? thickness : -thickness) / 2;

const stretchOf = ({ slope }: Lie): number => Math.hypot(1, slope);

/** By the part's own axes: along the generators, athwart, square to them. */
export function ownAxes(lie: Lie, [x, y, z]: Vec3): Vec3 {
  const k = stretchOf(lie);
  return [(x + lie.slope * z) / k, y, (z - lie.slope * x) / k];
}

/** A direction by the part's own axes. */
export const ownDirection = (lie: Lie, direction: Vec3): Vec3 => ownAxes(lie, direction);

function inBoat(lie: Lie, [u, y, w]: Vec3): Vec3 {
  const k = stretchOf(lie);
  return [(u - lie.slope * w) / k, y, (lie.slope * u + w) / k];
}

/** How far over a face a place lies, square to the generators; beside a camber's cylinder from its axis up. */
export function heightOver(lie: Lie, place: Vec3, face: FaceOfLie): number {
  const [, y, w] = ownAxes(lie, place);
  const over = overMiddle(lie, face);
  if (lie.radius === 0) return w - lie.middle - over;
  const r = lie.radius + over;
  return w - (lie.middle - lie.radius) - Math.sqrt(Math.max(0, r * r - y * y));
}

/** Where on the flat sheet a place of it lies. */
export function flatOf(lie: Lie, place: Vec3): Vec2 {
  const [u, y, w] = ownAxes(lie, place);
  if (lie.radius === 0) return [u, y];
  return [u, lie.radius * Math.atan2(y, w - (lie.middle - lie.radius))];
}

/** Where a place of the flat sheet comes to be in the boat, so far over the middle of the sheet. */
export function placeOn(lie: Lie, [u, v]: Vec2, over = 0): Vec3 {
  if (lie.radius === 0) return inBoat(lie, [u, v, lie.middle + over]);
  const a = v / lie.radius;
  const r = lie.radius + over;
  return inBoat(lie, [u, r * Math.sin(a), lie.middle - lie.radius + r * Math.cos(a)]);
}

/** Square to the sheet, upward, by the part's own axes. */
export function upwardAt({ radius }: Lie, v: number): Vec3 {
  if (radius === 0) return [0, 0, 1];
  const a = v / radius;
  return [0, Math.sin(a), Math.cos(a)];
}

/** Where across the flat sheet a face is so far out from the centreline. */
export function acrossAt(lie: Lie, out: number, face: FaceOfLie): number {
  if (lie.radius === 0) return out;
  const r = lie.radius + overMiddle(lie, face);
  return lie.radius * Math.asin(Math.max(-1, Math.min(1, out / r)));
}

/** Where along the flat sheet a face passes an upright or raked plane across the boat, at a place across it. */
export function alongAt(lie: Lie, plane: { readonly normal: Vec3; readonly level: number }, v: number, over: number) {
  const [, y, w] = ownAxes(lie, placeOn(lie, [0, v], over));
  const k = stretchOf(lie);
  const [nx, ny, nz] = plane.normal;
  const perU = (nx + nz * lie.slope) / k;
  return (plane.level - ny * y - (w * (nz - nx * lie.slope)) / k) / perU;
}

/** The lie of a plan: its heights are those of the face that it says, on the centreline, at its ends. */
export function lieOf({ from, to, height, camber, thickness }: LiePlan): Lie {
  const slope = to > from ? (height.aft - height.fore) / (to - from) : 0;
  const k = Math.hypot(1, slope);
  const half = thickness / 2;
  const middle = (height.fore - slope * from) / k + (height.of === 'top' ? -half : half);
  const radius = camber.radius > 0 ? camber.radius + half : 0;
  return { slope, middle, radius, thickness };
}

type LiePlan = Pick<InsidePlan, 'from' | 'to' | 'height' | 'camber' | 'thickness'>;

/** What an arc of a radius rises over a breadth. */
export const riseOver = (radius: number, breadth: number): number =>
  radius - Math.sqrt(Math.max(0, radius * radius - (breadth * breadth) / 4));

/** The radius of an arc that rises so much over a breadth; 0 where it does not rise. */
export const radiusFor = (rise: number, breadth: number): number =>
  rise > 0 ? (breadth * breadth) / (8 * rise) + rise / 2 : 0;
