/**
 * Where the points of a shape lie that was taken off a hull: by offsets from a plumb line at heights, by their
 * distances from two fixed points, or off a photo of a template.
 *
 * Conventions: the frame's own plane, y outward from the centreline, z up from the base line.
 */
import { distance2, solveDense, type Vec2 } from '../../geometry';
import type { TakenShape } from '../schema';

export type Measured = { readonly id: string; readonly place: Vec2; readonly isCorner: boolean };

export type Read = {
  readonly points: readonly Measured[];
  /** Of those whose two distances do not meet, which they are, from 1. */
  readonly apart: readonly number[];
};

/** As they were measured, in their order. */
export function readMeasured({ way, plumb, first, second, points }: TakenShape): Read {
  const read = points.map(({ id, a, b, isCorner }) => {
    const place =
      way === 'plumb' ? ([plumb + b, a] as const) : crossing([first.out, first.up], [second.out, second.up], a, b);
    return place && { id, place, isCorner };
  });
  return {
    points: read.flatMap((point) => point ?? []),
    apart: read.flatMap((point, i) => (point ? [] : [i + 1])),
  };
}

/** Two places at the same distances: nearer than this one is not further out than the other. */
const LEVEL_MM = 1e-6;

/** Of the two places so far from two points the outer one; from a level pair of points the lower. */
export function crossing(a: Vec2, b: Vec2, fromA: number, fromB: number): Vec2 | undefined {
  const apart = distance2(a, b);
  if (apart === 0) return undefined;
  const along = (fromA ** 2 - fromB ** 2 + apart ** 2) / (2 * apart);
  const square = fromA ** 2 - along ** 2;
  if (square < 0) return undefined;
  const off = Math.sqrt(square);
  const [dy, dz] = [(b[0] - a[0]) / apart, (b[1] - a[1]) / apart];
  const [one, other] = [1, -1].map((side): Vec2 => [
    a[0] + along * dy - side * off * dz,
    a[1] + along * dz + side * off * dy,
  ]) as [Vec2, Vec2]; // two
  if (Math.abs(one[0] - other[0]) < LEVEL_MM) return one[1] < other[1] ? one : other;
  return one[0] > other[0] ? one : other;
}

/** Of a rectangle on a photo: its corners in pixels, from its lower inner one outward and round. */
export type PhotoCorners = readonly [Vec2, Vec2, Vec2, Vec2];

/**
 * Puts places of a photo true by a rectangle of a known size in the picture's plane.
 *
 * Method: the perspective of a plane has eight figures, which four corners give (Hartley and Zisserman, Multiple View
 * Geometry, ch. 4). `origin`: where the first corner lies.
 * @returns undefined where three of the corners lie on a line.
 */
export function photoReader(
  corners: PhotoCorners,
  { width, height }: { readonly width: number; readonly height: number },
  origin: Vec2 = [0, 0],
): ((pixel: Vec2) => Vec2) | undefined {
  const wanted: readonly Vec2[] = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ];
  if (isOnALine(corners)) return undefined;
  const rows = corners.flatMap(([x, y], i) => {
    const [u, v] = wanted[i] ?? [0, 0];
    return [
      { left: [x, y, 1, 0, 0, 0, -u * x, -u * y], right: u },
      { left: [0, 0, 0, x, y, 1, -v * x, -v * y], right: v },
    ];
  });
  const h = solveDense(
    rows.map(({ left }) => left),
    rows.map(({ right }) => right),
  ) as [number, number, number, number, number, number, number, number]; // eight unknowns
  return ([x, y]) => {
    const w = h[6] * x + h[7] * y + 1;
    return [origin[0] + (h[0] * x + h[1] * y + h[2]) / w, origin[1] + (h[3] * x + h[4] * y + h[5]) / w];
  };
}

/** Pixels: a corner so near to the line through two others gives no perspective. */
const LEAST_PX = 2;

const isOnALine = (corners: PhotoCorners): boolean =>
  corners.some((p, i) => {
    const [a, b] = corners.filter((_, k) => k !== i && k !== (i + 1) % 4) as [Vec2, Vec2]; // two are left
    const long = distance2(a, b);
    const off = (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
    return long < LEAST_PX || Math.abs(off) / long < LEAST_PX;
  });
