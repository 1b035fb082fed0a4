/**
 * The line along which two pieces with tongues meet, and each piece's own edge beside it.
 *
 * The line runs across the panel. It goes to and fro between two levels, so that each piece has tongues that are wider
 * at the tip than at the root: once together they cannot be pulled apart along the panel. Every corner is an arc of
 * the cutter's radius and half the room between the halves; each edge lies half that room from the line, measured
 * square to it, so that the room is the same everywhere, and no inside corner is tighter than the cutter.
 *
 * The widths of the tongues follow from the joint's number by a sequence of low discrepancy (Roberts, "The unreasonable
 * effectiveness of quasirandom sequences", 2018: multiples of the powers of a generalised golden ratio), so that no two
 * joints of a boat are alike; the first width is always less than the last, so that none is alike when turned end for
 * end. So pieces go together one way only.
 */
import { at, type Vec2 } from '../geometry';

export type TongueLine = {
  /** Where the joint lies along the panel, and between which places across it. Mm. */
  readonly u: number;
  readonly low: number;
  readonly high: number;
  /** How far the tongues reach. */
  readonly reach: number;
  readonly cutterRadius: number;
  readonly fit: number;
  /** Among the boat's joints. */
  readonly number: number;
};

/** Straight at both ends for so long at least. */
const END_MM = 20;
/** A tongue and the gap beside it are about so wide together. */
const PITCH_MM = 110;
/** The flank of a tongue leans by one in so much. */
const FLANK = 7;
/** Widths differ by so much of the usual one, up or down. */
const VARIES = 0.4;
/** Between two corners something straight is left. */
const SPARE_MM = 1;
/** A corner's arc leaves the true one by less. */
const OFF_ARC_MM = 0.002;

type Cutter = Pick<TongueLine, 'cutterRadius' | 'fit'>;

/** Half of a corner's arc takes so much of the straight beside it. */
const cornerMm = ({ cutterRadius, fit }: Cutter): number =>
  (cutterRadius + fit / 2) * Math.tan((Math.PI / 2 + Math.atan(1 / FLANK)) / 2);

/** The shortest tongues that the cutter can cut: their flanks are two corners. */
export const shortestTongue = (cutter: Cutter): number => (2 * cornerMm(cutter)) / Math.hypot(1, 1 / FLANK) + SPARE_MM;

/** The narrowest panel that takes tongues: three widths, each with its flanks and corners. */
export const narrowestForTongues = (line: Pick<TongueLine, 'reach' | 'cutterRadius' | 'fit'>): number =>
  2 * END_MM + 3 * leastWidth(line);

/** Room at the root for two corners, beside what the flanks lean. */
const leastWidth = (line: Pick<TongueLine, 'reach' | 'cutterRadius' | 'fit'>): number =>
  line.reach / FLANK + 2 * cornerMm(line) + SPARE_MM;

/**
 * The edge of the piece on one side: from below the panel to above it, `past` mm beyond both ends. Side −1 is the fore
 * piece's, 1 the after one's, 0 the line itself. Undefined where the panel is too narrow for tongues.
 */
export function tongueEdge(line: TongueLine, side: -1 | 0 | 1, past: number): Vec2[] | undefined {
  const { u, low, high, reach, cutterRadius, fit } = line;
  if (high - low < narrowestForTongues(line) || reach < shortestTongue(line)) return undefined;
  const radius = cutterRadius + fit / 2;
  const [fore, aft] = [u - reach / 2, u + reach / 2];
  const lean = reach / FLANK / 2;
  const corners: Vec2[] = [[fore, low - past]];
  let v = low + END_MM;
  const widths = widthsOf(line);
  widths.forEach((width, k) => {
    if (k > 0) {
      // the flank between two widths, leaning so that each is wider where it ends
      const isOut = k % 2 === 1;
      corners.push([isOut ? fore : aft, v + lean], [isOut ? aft : fore, v - lean]);
    }
    v += width;
  });
  corners.push([fore, high + past]);
  return rounded(corners, radius, (side * fit) / 2);
}

/** Gap, tongue, gap and so on, to the panel's depth. */
function widthsOf(line: TongueLine): number[] {
  const { low, high, number } = line;
  const room = high - low - 2 * END_MM;
  const least = leastWidth(line);
  const most = Math.floor((room / least - 1) / 2);
  const tongues = Math.max(1, Math.min(most, Math.round(room / PITCH_MM)));
  const count = 2 * tongues + 1;
  const ratio = goldenRatio(count);
  const shares = Array.from({ length: count }, (_, k) => {
    const place = ((number + 1) * ratio ** -(k + 1)) % 1;
    const own = k === 0 ? END_PART * place : k === count - 1 ? 1 - END_PART * place : place;
    return 1 + VARIES * (2 * own - 1);
  });
  const sum = shares.reduce((all, share) => all + share, 0);
  // the least for each, and of the rest as its share says
  const spare = room - shares.length * least;
  return shares.map((share) => least + (spare * share) / sum);
}

/** The first width has its place in the lower part of what there is, the last in the upper. */
const END_PART = 0.45;

/** The root above 1 of g^(n + 1) = g + 1: for n = 1 the golden ratio. */
function goldenRatio(n: number): number {
  let g = 1.5;
  for (let k = 0; k < 40; k++) g = (1 + g) ** (1 / (n + 1));
  return g;
}

/** The line by its corners with arcs in them, moved to the right by `off` as one goes along it. */
function rounded(corners: readonly Vec2[], radius: number, off: number): Vec2[] {
  const points: Vec2[] = [];
  corners.forEach((corner, k) => {
    const [before, after] = [corners[k - 1], corners[k + 1]];
    if (!before || !after) {
      points.push([corner[0] + off, corner[1]]); // both ends run straight across
      return;
    }
    points.push(...arcAt({ before, corner, after }, radius, off));
  });
  return points;
}

type Corner = { readonly before: Vec2; readonly corner: Vec2; readonly after: Vec2 };

function arcAt({ before, corner, after }: Corner, radius: number, off: number): Vec2[] {
  const [into, out] = [unit(before, corner), unit(corner, after)];
  const turn = Math.atan2(into[0] * out[1] - into[1] * out[0], into[0] * out[0] + into[1] * out[1]);
  const hand = Math.sign(turn);
  const back = radius * Math.tan(Math.abs(turn) / 2);
  const start: Vec2 = [corner[0] - back * into[0], corner[1] - back * into[1]];
  const middle: Vec2 = [start[0] - hand * radius * into[1], start[1] + hand * radius * into[0]];
  // to the right is away from the middle of a turn to the left
  const own = radius + hand * off;
  const first = Math.atan2(start[1] - middle[1], start[0] - middle[0]);
  const steps = Math.max(2, Math.ceil(Math.abs(turn) / (2 * Math.acos(1 - OFF_ARC_MM / Math.max(own, 1)))));
  return Array.from({ length: steps + 1 }, (_, k): Vec2 => {
    const angle = first + (turn * k) / steps;
    return [middle[0] + own * Math.cos(angle), middle[1] + own * Math.sin(angle)];
  });
}

const unit = (a: Vec2, b: Vec2): Vec2 => {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
};

/** How unlike two joints are: the greatest difference of a tongue's width; Infinity where they have not as many. */
export function unlikeBy(one: TongueLine, other: TongueLine): number {
  const [a, b] = [widthsOf(one), widthsOf(other)];
  if (a.length !== b.length) return Infinity;
  const by = (list: readonly number[]) => Math.max(...a.map((width, k) => Math.abs(width - at(list, k))));
  return Math.min(by(b), by([...b].reverse()));
}
