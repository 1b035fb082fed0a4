/**
 * Where a front or an after end meets the cabin sides that it stands between.
 *
 * Method: at even shares from foot to top both faces of the front are followed from one end to the other, chord by
 * chord, to where they leave the room within the side's inner face; the nearer face rules, less the gap. The side's
 * inner face is read ruling by ruling, each run on as a straight line, and straight between two of them.
 * Accuracy: that of the chords, under 0.02 mm at some four hundred rulings.
 */
import { at, lerp2, lerp3, type Vec2, type Vec3 } from '../../geometry';
import type { CutRuling } from './wall';

/** Shares of the way from foot to top at which the ends are found, a little beyond both. */
const LEVELS = Array.from({ length: 29 }, (_, i) => (i - 2) / 24);

/** From foot to top, on the flat; undefined where the front does not reach so far out. */
export type EndLine = readonly Vec2[] | undefined;

/** At its left and at its right end, who stands within. */
export function endsBetween(
  front: readonly CutRuling[],
  side: readonly CutRuling[],
  gap: number,
): readonly [EndLine, EndLine] {
  const turned = [...front].reverse();
  return [endLine(turned, side, gap), endLine(front, side, gap)];
}

function endLine(front: readonly CutRuling[], side: readonly CutRuling[], gap: number): EndLine {
  const line = LEVELS.map((w) => endAt(front, side, { w, gap }));
  return line.every((place) => place !== undefined) ? line : undefined;
}

type At = { readonly w: number; readonly gap: number };

function endAt(front: readonly CutRuling[], side: readonly CutRuling[], { w, gap }: At): Vec2 | undefined {
  const outAt = innerOut(side);
  // how far each ruling stands out beyond the side, the face that does by most
  const beyond = ({ outer, inner }: CutRuling) =>
    Math.max(
      ...[outer, inner].map((face) => {
        const [x, y, z] = lerp3(...face, w);
        return Math.abs(y) - outAt(x, z);
      }),
    ) + gap;
  // from the other end: of a plane the rulings may fan out from a corner, and then none of them is the middle one
  let before = beyond(at(front, 0));
  for (let k = 1; k < front.length; k++) {
    const here = beyond(at(front, k));
    if (before < 0 && here >= 0)
      return lerp2(flatAt(at(front, k - 1), w), flatAt(at(front, k), w), before / (before - here));
    before = here;
  }
  return undefined;
}

const flatAt = ({ net, flat }: CutRuling, w: number): Vec2 => lerp2(net, flat[1], w);

/**
 * How far out the inner face of a side is at a place along the boat and a height. Places asked for one after another
 * mostly lie near one another: each is first looked for between the rulings of the last.
 */
function innerOut(side: readonly CutRuling[]): (x: number, z: number) => number {
  let last = 1;
  return (x, z) => {
    const placeOf = (k: number): Vec3 => {
      const [foot, top] = at(side, k).inner;
      const rise = top[2] - foot[2];
      return lerp3(foot, top, Math.abs(rise) > 1e-6 ? (z - foot[2]) / rise : 0);
    };
    let k = last;
    let [a, b] = [placeOf(k - 1), placeOf(k)];
    while (b[0] <= x && k < side.length - 1) [k, a, b] = [k + 1, b, placeOf(k + 1)];
    while (a[0] > x && k > 1) [k, b, a] = [k - 1, a, placeOf(k - 2)];
    last = k;
    const long = b[0] - a[0];
    return Math.abs(long) > 1e-9 ? a[1] + ((x - a[0]) / long) * (b[1] - a[1]) : b[1];
  };
}
