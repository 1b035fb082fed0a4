/**
 * The inner faces of what closes a boat's ends: planes across it, or one bent athwart, whose straight lines run up its
 * rake: by its radius, from the broadest row of its face.
 */
import { at, dot3, type Vec2, type Vec3 } from '../geometry';
import type { Transom } from '../panels';
import type { EndOfRoom } from './across';

type Asked = {
  /** Of the transoms' sheet. */
  readonly thickness: number;
  /** Kept clear of them. */
  readonly clearMm: number;
  /** Of the after one; null: it is flat. */
  readonly radius: number | null;
};

/** Between places on one that is bent: within 0.01 mm of the arc at a radius of a metre. */
const STEP_MM = 8;

export const innerFaces = (transoms: readonly Transom[], { thickness, clearMm, radius }: Asked): EndOfRoom[] =>
  transoms.map(({ end, fit, rakeRad, corners, rows }) => {
    const out = end === 'aft' ? 1 : -1;
    const normal: Vec3 = [out * Math.cos(rakeRad), 0, -out * Math.sin(rakeRad)];
    // the face of the panels' ends is the inner one of one that caps them, the outer one of one between them
    const off = (fit === 'caps' ? 0 : thickness) + clearMm;
    const level = dot3(at(corners, 0), normal) - off;
    const places = rows?.flat() ?? [];
    const closes = extentOf(rows ? places : corners);
    if (!rows || radius === null) return { normal, level, closes };
    const [place] = places as [Vec3]; // a face has rows
    const sagitta = (y: number) => radius - Math.sqrt(Math.max(0, radius * radius - y * y));
    const middle = dot3(place, normal) + out * sagitta(place[1]) - off;
    const most = closes.out;
    const steps = Math.ceil(most / STEP_MM);
    const bent = Array.from({ length: 2 * steps + 1 }, (_, i): Vec2 => {
      const y = (most * (i - steps)) / steps;
      return [y, middle - out * sagitta(y)];
    });
    return { normal, level: middle, bent, closes };
  });

/** One after another: a bent face has thousands of places. */
function extentOf(places: readonly Vec3[]) {
  const extent = { out: 0, low: Infinity, high: -Infinity };
  for (const [, y, z] of places) {
    extent.out = Math.max(extent.out, Math.abs(y));
    extent.low = Math.min(extent.low, z);
    extent.high = Math.max(extent.high, z);
  }
  return extent;
}
