/** An edge of a piece at even steps along it, for its table. */
import { at, distance2, lerp3, placeAtLength, polylineLength, type Vec2, type Vec3 } from '../geometry';
import type { EdgePoint } from './fitted';

export type EdgeRow = {
  /** On the flat sheet. */
  readonly flat: Vec2;
  /** Where it meets what it lies against. */
  readonly space: Vec3;
  readonly bevelDeg: number;
};

/** At even steps of about so much, but no more of them than `most`. */
const STEP_MM = 150;

export function evenRows(points: readonly EdgePoint[], most: number): EdgeRow[] {
  const flats = points.map(({ flat }) => flat);
  const long = polylineLength(flats);
  const rows = Math.max(2, Math.min(most, Math.ceil(long / STEP_MM) + 1));
  return Array.from({ length: rows }, (_, i) => {
    const { point, next } = placeAtLength(flats, (long * i) / (rows - 1));
    const [a, b] = [at(points, next - 1), at(points, next)];
    const step = distance2(a.flat, b.flat);
    const w = step > 0 ? distance2(a.flat, point) / step : 0;
    return { flat: point, space: lerp3(a.space, b.space, w), bevelDeg: a.bevelDeg + w * (b.bevelDeg - a.bevelDeg) };
  });
}
