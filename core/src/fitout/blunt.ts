/**
 * Feather tips of a board taken off: the ends of a knee's arms, which would split.
 *
 * Method: where the outline turns back on itself within an acute angle, what a disc of the tip's breadth cannot be
 * rolled into comes off, and the end is round; all other corners stay as they are, so that what is fitted fits.
 */
import { at, differenceOf, distance2, rounded, unionOf, type Outline, type Vec2 } from '../geometry';

/** Sharper is a feather. */
const ACUTE_RAD = (60 * Math.PI) / 180;
/** So far from a corner its angle is taken: over the chords of an arc. */
const BESIDE_MM = 12;
/** What comes off at a corner reaches from it as far as a disc of the tip's breadth touches, and a little further. */
const BEYOND = 1.3;
const CORNERS = 48;

/** `tip`: how broad what is left is at its end, mm. */
export function blunted(outline: Outline, tip: number): Outline[] {
  const sharp = outline.flatMap((p, i) => {
    const angle = angleAt(outline, p, i);
    return angle > 0 && angle < ACUTE_RAD ? [discAt(p, (BEYOND * tip) / 2 / Math.tan(angle / 2))] : [];
  });
  if (sharp.length === 0) return [outline];
  // what is near no sharp corner as it is, and everywhere what a disc rolls over
  const beside = differenceOf([outline], sharp).map((region) => region.outline);
  return unionOf([...rounded(outline, tip / 2), ...beside]);
}

/** The angle of an outward corner, radians; negative of an inward one. */
function angleAt(outline: Outline, p: Vec2, i: number): number {
  const [a, b] = [along(outline, i, -1), along(outline, i, 1)];
  const [ax, ay, bx, by] = [a[0] - p[0], a[1] - p[1], b[0] - p[0], b[1] - p[1]];
  return -Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
}

const discAt = ([x, y]: Vec2, radius: number): Outline =>
  Array.from({ length: CORNERS }, (_, i): Vec2 => {
    const turn = (2 * Math.PI * i) / CORNERS;
    return [x + radius * Math.cos(turn), y + radius * Math.sin(turn)];
  });

/** The first corner of the outline that lies so far from one of them, one way round. */
function along(outline: Outline, from: number, way: 1 | -1): Vec2 {
  const start = at(outline, from);
  for (let k = 1; k < outline.length; k++) {
    const p = at(outline, (((from + way * k) % outline.length) + outline.length) % outline.length);
    if (distance2(p, start) >= BESIDE_MM) return p;
  }
  return start;
}
