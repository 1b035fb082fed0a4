/**
 * Will it go in? Whether a flat part passes an opening, how it is tilted, or in how many pieces it must be.
 *
 * Method (derived here): a flat part goes through end first, so that it takes up a rectangle of the opening: its least
 * width, by its thickness. Openings are alike on both sides of their middle, and so is the rectangle: where it fits at
 * all it fits in the middle. The widest that does is looked for over all tilts. A part that is wider goes in as strips
 * that are joined inside. Accuracy: a tenth of a millimetre; behind the opening there must be room for its
 * length, which is told and not judged.
 */
import { area, at, boundsOf, contains, convexHull, type Outline, type Vec2 } from '../geometry';
import { toRad } from '../measure';

export type Passing = {
  readonly fits: boolean;
  /** Least width of the part, and its length square to that: what it needs behind the opening. */
  readonly widthMm: number;
  readonly lengthMm: number;
  /** The widest that passes, and how it is tilted from level. */
  readonly widestMm: number;
  readonly tiltDeg: number;
  /** In so many strips; 1 where it goes as it is; 0 where not even a strip does. */
  readonly pieces: number;
};

export function passingOf(part: Outline, thickness: number, opening: Outline): Passing {
  const { width, length } = leastWidth(part);
  const { widest, tilt } = widestThrough(opening, thickness);
  const fits = width <= widest;
  const pieces = fits ? 1 : widest < LEAST_STRIP_MM ? 0 : Math.ceil(width / widest);
  return { fits, widthMm: width, lengthMm: length, widestMm: widest, tiltDeg: tilt, pieces };
}

/** Nobody joins strips that are narrower, mm. */
const LEAST_STRIP_MM = 30;
const TILT_STEP_DEG = 0.5;
const FINE_STEP_DEG = 0.005;
/** To a micrometre. */
const HALVINGS = 32;

/** Over the directions of its outer edges: one of them lies along the narrowest pass. */
export function leastWidth(part: Outline): { readonly width: number; readonly length: number } {
  const hull = convexHull(part);
  let best = { width: Infinity, length: 0 };
  hull.forEach((a, i) => {
    const b = at(hull, (i + 1) % hull.length);
    const along = Math.atan2(b[1] - a[1], b[0] - a[0]);
    const box = boundsOf(hull.map((p) => turnedBy(p, -along)));
    const width = box.maxY - box.minY;
    if (width < best.width) best = { width, length: box.maxX - box.minX };
  });
  return best;
}

const turnedBy = ([x, y]: Vec2, rad: number): Vec2 => [
  x * Math.cos(rad) - y * Math.sin(rad),
  x * Math.sin(rad) + y * Math.cos(rad),
];

function widestThrough(opening: Outline, thickness: number): { readonly widest: number; readonly tilt: number } {
  const { minX, maxX, minY, maxY } = boundsOf(opening);
  const middle: Vec2 = [(minX + maxX) / 2, (minY + maxY) / 2];
  const centred = opening.map(([x, y]): Vec2 => [x - middle[0], y - middle[1]]);
  if (area(centred) === 0) return { widest: 0, tilt: 0 };
  const longest = Math.hypot(maxX - minX, maxY - minY);
  const widestAt = (deg: number): number => {
    const fits = (width: number) =>
      [1, -1].every((side) => contains(centred, turnedBy([width / 2, (side * thickness) / 2], toRad(deg))));
    let [low, high] = [0, longest];
    for (let step = 0; step < HALVINGS; step++) {
      const mid = (low + high) / 2;
      if (fits(mid)) low = mid;
      else high = mid;
    }
    return low;
  };
  // coarsely all round, then finely about the best
  let best = { widest: 0, tilt: 0 };
  const look = (from: number, to: number, stepDeg: number) => {
    for (let deg = from; deg <= to; deg += stepDeg) {
      const widest = widestAt(deg);
      if (widest > best.widest) best = { widest, tilt: deg };
    }
  };
  look(0, 180 - TILT_STEP_DEG, TILT_STEP_DEG);
  look(best.tilt - TILT_STEP_DEG, best.tilt + TILT_STEP_DEG, FINE_STEP_DEG);
  const fromLevel = Math.abs(best.tilt % 180);
  return { widest: best.widest, tilt: Math.min(fromLevel, 180 - fromLevel) };
}

/** A rectangle to go through, where there is no opening among the parts. */
export const hatch = (width: number, height: number): Outline => [
  [-width / 2, -height / 2],
  [width / 2, -height / 2],
  [width / 2, height / 2],
  [-width / 2, height / 2],
];

/** How it goes in, in words. */
export function passingWords({ fits, pieces, ...passing }: Passing, say: (mm: number) => string): string {
  const { widthMm, lengthMm, widestMm, tiltDeg } = passing;
  if (fits) {
    const tilt = tiltDeg < 1 ? 'level' : tiltDeg > 89 ? 'on edge' : `tilted by ${tiltDeg.toFixed(0)}°`;
    const through = `${say(widthMm)} through ${say(widestMm)}`;
    return `It goes in, end first, ${tilt}: ${through}. It needs ${say(lengthMm)} behind.`;
  }
  const wide = `It is ${say(widthMm)} wide, and no more than ${say(widestMm)} goes through.`;
  return pieces === 0
    ? `${wide} Not even a strip of it does: put it in before what stands in its way.`
    : `${wide} In ${pieces} pieces, joined inside; or put it in before what stands in its way.`;
}
