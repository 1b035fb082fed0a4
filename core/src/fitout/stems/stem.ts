/**
 * An outer stem: a board on edge ahead of the planed ends of the sides, sawn to the stem's own line, its sides bevelled
 * so that they run on from the boat's.
 *
 * Method (derived here): where two sides leave a stem at a half-angle h to the centreline plane, a flat of breadth w
 * across it lies w / (2 tan h) behind their sharp edge, square to that in profile; a skin whose outside lies so far
 * without the lines' surface brings the edge forward by that / sin h. The board's inner edge is that line, its outer
 * one lies its depth ahead of it. Sides that run on fair leave w − 2 d tan h at the outer edge. A stem that is
 * straight in pieces, panel by panel, has its board's corners where the pieces' own lines meet, or half way between
 * them where they run on nearly straight.
 * Conventions: from the sheer down; `ahead` is −1 at the bow, +1 at the stern. In profile x aft, z up.
 */
import { straightEnd, type EndPart } from '../../frames';
import { at, boundsOf, crossLines, distance2, lerp2, turned, type Vec2, type Vec3 } from '../../geometry';
import { toDeg } from '../../measure';
import { outsideOf, type Panel } from '../../panels';
import { boardMm } from '../board';
import type { StemPlan } from '../schema';
import type { Support } from '../supports';

export type StemRow = {
  /** Down the sharp edge from its upper end, mm. */
  readonly along: number;
  /** On the sharp edge of the sides. */
  readonly place: Vec2;
  /** Between each side and the centreline plane. */
  readonly halfDeg: number;
  /** How much is planed off the sharp edge for the flat. */
  readonly backMm: number;
  /** What the outer edge is across where the sides run on fair. */
  readonly fairMm: number;
};

export type FittedStem = Pick<StemPlan, 'id' | 'name' | 'face' | 'outer' | 'depth'> & {
  readonly plan: string;
  readonly fit: 'stem';
  readonly hand: 'across';
  readonly isSquare: true;
  readonly isBent: false;
  readonly isTimber: true;
  readonly thickness: number;
  /** No sheet is cut for it. */
  readonly pieces: readonly never[];
  /** The board that it is sawn from. */
  readonly supports: readonly Support[];
  readonly rows: readonly StemRow[];
  /** In profile, from above down: against the boat, and ahead of it. */
  readonly inner: readonly Vec2[];
  readonly ahead: readonly Vec2[];
  /** Off square, of its sides. */
  readonly sideDeg: number;
};

export type StemBoat = {
  readonly panels: readonly Panel[];
  /** From the lines' surface out to the skin's outside, square to it. */
  readonly outside: number;
};

/** Without rows where the sides do not end on one another there. */
export function stemOf(plan: StemPlan, { panels, outside }: StemBoat): FittedStem {
  const { id, name, end, face, outer, depth } = plan;
  const own = {
    ...{ id, plan: id, name, face, outer, depth, thickness: Math.max(face, outer) },
    ...({ fit: 'stem', hand: 'across', isSquare: true, isBent: false, isTimber: true, pieces: [] } as const),
    sideDeg: toDeg(Math.atan2((face - outer) / 2, depth)),
  };
  const parts = straightEnd(panels, end);
  // sides that lie in the middle plane itself have no sharp edge to plane
  const isFlat = parts.some(({ normal }) => Math.abs(normal[1]) > Math.cos(LEAST_HALF_RAD));
  if (parts.length === 0 || isFlat) return { ...own, supports: [], rows: [], inner: [], ahead: [] };
  const runs = parts.map((part) => runOf(part, plan, outsideOf(part.panel, outside)));
  const [inner, ahead] = [runs.map(({ back }) => back), runs.map(({ back }) => back - depth)].map((offs) =>
    offset(runs, offs, plan),
  ) as [Vec2[], Vec2[]]; // two
  return { ...own, rows: rowsOf(runs, plan), inner, ahead, supports: [boardOf(plan, [...inner, ...ahead])] };
}

/** A half-angle of 2°. */
const LEAST_HALF_RAD = Math.PI / 90;

/** A straight piece of the stem in profile. */
type Run = {
  readonly from: Vec2;
  readonly to: Vec2;
  readonly halfRad: number;
  readonly back: number;
  /** Square to it in profile, into the boat. */
  readonly inward: Vec2;
};

const inProfile = ([x, , z]: Vec3): Vec2 => [x, z];

function runOf({ from, to, normal }: EndPart, { end, face }: StemPlan, outside: number): Run {
  const [a, b] = [inProfile(from), inProfile(to)];
  const long = distance2(a, b);
  const square: Vec2 = [(b[1] - a[1]) / long, -(b[0] - a[0]) / long];
  const isInward = square[0] > 0 === (end === 'fore');
  // the normal of a side is the same all along a ruling: its angle with the centreline plane
  const halfRad = Math.acos(Math.min(1, Math.abs(normal[1])));
  const back = face / 2 / Math.tan(halfRad) - outside / Math.sin(halfRad);
  return { from: a, to: b, halfRad, back, inward: isInward ? square : [-square[0], -square[1]] };
}

/** Of a turn of 10°. */
const STRAIGHT_COS = Math.cos(Math.PI / 18);

/** The runs' lines, each so far into the boat, joined where they meet; run on above and below. */
function offset(runs: readonly Run[], offs: readonly number[], { over, under }: StemPlan): Vec2[] {
  const lines = runs.map(({ from, to, inward }, i) => {
    const off = at(offs, i);
    return [from, to].map(([x, z]): Vec2 => [x + off * inward[0], z + off * inward[1]]) as [Vec2, Vec2]; // two
  });
  const beyond = (p: Vec2, q: Vec2, mm: number): Vec2 => lerp2(p, q, -mm / distance2(p, q));
  const [first, last] = [at(lines, 0), at(lines, -1)];
  const corners = lines.slice(1).map((line, i): Vec2 => {
    const before = at(lines, i);
    const middle = lerp2(before[1], line[0], 0.5);
    const { inward: a } = at(runs, i);
    const { inward: b } = at(runs, i + 1);
    // two that run on nearly straight meet far off where their offsets differ by a hair: there they are stepped
    if (a[0] * b[0] + a[1] * b[1] > STRAIGHT_COS) return middle;
    return crossLines(...before, ...line)?.point ?? middle;
  });
  return [beyond(...first, over), ...corners, beyond(last[1], last[0], under)];
}

/** At both ends of each straight piece. */
function rowsOf(runs: readonly Run[], { face, depth }: StemPlan): StemRow[] {
  let along = 0;
  return runs.flatMap(({ from, to, halfRad, back }) => {
    const own = { halfDeg: toDeg(halfRad), backMm: back, fairMm: face - 2 * depth * Math.tan(halfRad) };
    const rows = [
      { along, place: from, ...own },
      { along: along + distance2(from, to), place: to, ...own },
    ];
    along += distance2(from, to);
    return rows;
  });
}

/** The least board round it, along the line from its one end to the other. */
function boardOf({ id, name, face, outer }: StemPlan, profile: readonly Vec2[]): Support {
  const [a, b] = [at(profile, 0), at(profile, profile.length / 2 - 1)];
  const { minX, maxX, minY, maxY } = boundsOf(turned(profile, -Math.atan2(b[1] - a[1], b[0] - a[0])));
  return {
    ...{ id: `stem.${id}`, name, what: 'its board', of: 'stem' },
    ...{ lengthMm: boardMm(maxX - minX), breadth: boardMm(maxY - minY), depth: Math.max(face, outer) },
  };
}
