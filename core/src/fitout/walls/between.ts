/**
 * Where a front or an after end meets the cabin sides that it stands between.
 *
 * Method: at even shares from foot to top both faces of the front are followed from one end to the other, chord by
 * chord, to where they leave the room within the side's inner face; the nearer face rules, less the gap. The side's
 * inner face is read ruling by ruling, each run on as a straight line, and straight between two of them.
 * Accuracy: that of the chords, under 0.02 mm at some four hundred rulings.
 */
import { at, lerp2, type Vec2, type Vec3 } from '../../geometry';
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
  const over = ([from, to]: readonly [Vec3, Vec3]) => {
    const y = from[1] + w * (to[1] - from[1]);
    return Math.abs(y) - outAt(from[0] + w * (to[0] - from[0]), from[2] + w * (to[2] - from[2]));
  };
  // how far each ruling stands out beyond the side, the face that does by most
  const beyond = ({ outer, inner }: CutRuling) => Math.max(over(outer), over(inner)) + gap;
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
  // how far along the boat, and out, the k-th ruling passes the height
  const along = (k: number, z: number) => onRuling(side, k, z, 0);
  return (x, z) => {
    let k = last;
    let [a, b] = [along(k - 1, z), along(k, z)];
    while (b <= x && k < side.length - 1) {
      k++;
      a = b;
      b = along(k, z);
    }
    while (a > x && k > 1) {
      k--;
      b = a;
      a = along(k - 1, z);
    }
    last = k;
    const long = b - a;
    const [from, to] = [onRuling(side, k - 1, z, 1), onRuling(side, k, z, 1)];
    return Math.abs(long) > 1e-9 ? from + ((x - a) / long) * (to - from) : to;
  };
}

/** Where a ruling's inner face, run on as a straight line, passes a height; at its foot where it does not rise. */
function onRuling(side: readonly CutRuling[], k: number, z: number, axis: 0 | 1): number {
  const [foot, top] = at(side, k).inner;
  const rise = top[2] - foot[2];
  const w = Math.abs(rise) > 1e-6 ? (z - foot[2]) / rise : 0;
  return foot[axis] + w * (top[axis] - foot[axis]);
}
