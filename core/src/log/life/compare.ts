/**
 * How far a part that is cut is from the part as it is drawn now, and where.
 *
 * Method: the cut outline is laid on the present one where it fits best: least squares of the distances square to the
 * present edge, by Gauss and Newton with the turn and the shift as unknowns (the point-to-line form of the iterative
 * closest point, Chen and Medioni 1992); a part may have been drawn elsewhere on its sheet, and that is no difference.
 * Then distances both ways: from the cut edge to the present one and back, at every corner and at steps between, and
 * about the greatest at finer steps. Where the cut edge lies outside the present shape there is wood to plane off,
 * where inside there is none. Holes go with their part, each against the nearest.
 *
 * Accuracy: a thousandth of a millimetre of the greatest distance, for shapes that differ by less than half their own
 * breadth. Distances are 1-Lipschitz along an edge, so that no peak between steps is more than half a step higher; the
 * finer steps about the three highest settle it. Cost: corners times corners.
 */
import { at, contains, distanceToSegment, solveDense, type Outline, type Vec2 } from '../../geometry';
import type { PartShape } from './records';

/** Distances mm; places on the present drawing. */
export type PartChange = {
  /** Wood beyond the present edge, and missing from it: the most of each, and where. */
  readonly proud: { readonly mm: number; readonly at: Vec2 };
  readonly short: { readonly mm: number; readonly at: Vec2 };
  /** Holes that are there of one and not of the other. */
  readonly holesOff: number;
  /** The cut outline where it fits best on the present drawing. */
  readonly laid: Outline;
  readonly laidHoles: readonly Outline[];
};

const STEP_MM = 4;
const FINE_MM = 0.02;
const PEAKS = 3;
const MOST_ROUNDS = 40;
const SETTLED_MM = 1e-6;
/** Of the mean square: holds what nothing holds, such as the turn of a disc. */
const DAMPING = 1e-9;
/** A hole farther from its nearest is another. */
const HOLE_MM = 200;

const closed = (ring: Outline): readonly Vec2[] => [...ring, ...ring.slice(0, 1)];
type Laying = (p: Vec2) => Vec2;

/** Undefined where either is no shape. */
export function changeOf(cut: PartShape, now: PartShape): PartChange | undefined {
  if (cut.outline.length < 3 || now.outline.length < 3) return undefined;
  const lay = laying(cut.outline, now.outline);
  const laid = cut.outline.map(lay);
  const laidHoles = (cut.holes ?? []).map((hole) => hole.map(lay));
  const pairs = holePairs(laidHoles, now.holes ?? []);
  const outer = apart(laid, now.outline);
  const inner = pairs.matched.map(([a, b]) => apart(a, b));
  // of a hole wood is proud that reaches into it
  const proud = [outer.beyond, ...inner.map(({ within }) => within)];
  const short = [outer.within, ...inner.map(({ beyond }) => beyond)];
  return { proud: worst(proud), short: worst(short), holesOff: pairs.off, laid, laidHoles };
}

type Far = { readonly mm: number; readonly at: Vec2 };
const worst = (all: readonly Far[]): Far => all.reduce((a, b) => (b.mm > a.mm ? b : a));

/** Of one ring against another: how far it goes beyond it, and how far it stays within. */
function apart(ring: Outline, other: Outline): { readonly beyond: Far; readonly within: Far } {
  const from = farthest(ring, other);
  const back = farthest(other, ring);
  return { beyond: worst([from.outside, back.inside]), within: worst([from.inside, back.outside]) };
}

/** The points of a ring farthest from another ring, outside of it and inside. */
function farthest(ring: Outline, other: Outline): { readonly outside: Far; readonly inside: Far } {
  const samples = stepped(ring, STEP_MM).map((p) => farOf(p, other));
  const best = (isOutside: boolean): Far => {
    const own = samples.filter((sample) => sample.isOutside === isOutside).sort((a, b) => b.mm - a.mm);
    const peaks = own.slice(0, PEAKS);
    const fine = peaks.flatMap(({ at: p, mm }) =>
      mm < FINE_MM
        ? []
        : near(ring, p)
            .map((q) => farOf(q, other))
            .filter((sample) => sample.isOutside === isOutside),
    );
    return worst([{ mm: 0, at: at(ring, 0) }, ...peaks, ...fine]);
  };
  return { outside: best(true), inside: best(false) };
}

const farOf = (p: Vec2, other: Outline): Far & { readonly isOutside: boolean } => ({
  ...{ mm: distanceTo(p, other), at: p },
  isOutside: !contains(other, p),
});

function distanceTo([px, py]: Vec2, ring: Outline): number {
  let least = Infinity;
  let [ax, ay] = at(ring, -1);
  for (const [bx, by] of ring) {
    const [dx, dy] = [bx - ax, by - ay];
    const long2 = dx * dx + dy * dy;
    const w = long2 > 0 ? Math.min(1, Math.max(0, ((px - ax) * dx + (py - ay) * dy) / long2)) : 0;
    const away2 = (px - ax - w * dx) ** 2 + (py - ay - w * dy) ** 2;
    if (away2 < least) least = away2;
    [ax, ay] = [bx, by];
  }
  return Math.sqrt(least);
}

/** Points along a ring, its corners among them. */
function stepped(ring: Outline, step: number): Vec2[] {
  return ring.flatMap((a, i) => {
    const b = at(ring, (i + 1) % ring.length);
    const count = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / step));
    return Array.from({ length: count }, (_, k): Vec2 => between(a, b, k / count));
  });
}

const between = (a: Vec2, b: Vec2, w: number): Vec2 => [a[0] + (b[0] - a[0]) * w, a[1] + (b[1] - a[1]) * w];

/** Points of a ring's edges within a step of one of its points, at fine steps. */
function near(ring: Outline, p: Vec2): Vec2[] {
  return ring.flatMap((a, i) => {
    const b = at(ring, (i + 1) % ring.length);
    if (distanceToSegment(p, a, b) > STEP_MM) return [];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (length === 0) return [a];
    const middle = ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1])) / length;
    const [from, to] = [Math.max(0, middle - STEP_MM), Math.min(length, middle + STEP_MM)];
    const count = Math.max(1, Math.ceil((to - from) / FINE_MM));
    return Array.from({ length: count + 1 }, (_, k) => between(a, b, (from + ((to - from) * k) / count) / length));
  });
}

/** The turn and shift that lay one outline on another. Two equal ones are laid without any. */
function laying(cut: Outline, now: Outline): Laying {
  const points = stepped(cut, Math.max(STEP_MM, roundOf(cut) / MOST_POINTS));
  const middle = centreOf(points);
  let [turn, dx, dy] = [0, 0, 0];
  const lay: Laying = ([x, y]) => {
    const [u, v] = [x - middle[0], y - middle[1]];
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    return [middle[0] + c * u - s * v + dx, middle[1] + s * u + c * v + dy];
  };
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const step = stepOf(points.map(lay), now, [middle[0] + dx, middle[1] + dy]);
    turn += step[0];
    dx += step[1];
    dy += step[2];
    if (Math.abs(step[1]) + Math.abs(step[2]) + Math.abs(step[0]) * REACH_MM < SETTLED_MM) break;
  }
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [tx, ty] = [dx, dy];
  return ([x, y]) => {
    const [u, v] = [x - middle[0], y - middle[1]];
    return [middle[0] + c * u - s * v + tx, middle[1] + s * u + c * v + ty];
  };
}
/** As many as tell how a shape lies. */
const MOST_POINTS = 600;
/** What a turn moves, mm a radian. */
const REACH_MM = 1000;

const roundOf = (ring: Outline): number => {
  const line = closed(ring);
  return line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - at(line, i)[0], y - at(line, i)[1]), 0);
};
const centreOf = (points: readonly Vec2[]): Vec2 => [
  points.reduce((sum, [x]) => sum + x, 0) / points.length,
  points.reduce((sum, [, y]) => sum + y, 0) / points.length,
];

/** One step of Gauss and Newton: turn about the centre (rad) and shift (mm). */
function stepOf(points: readonly Vec2[], ring: Outline, centre: Vec2): [number, number, number] {
  const rows = points.map((p) => {
    const { off, square } = nearestOn(ring, p);
    const [nx, ny] = square;
    const turned = (nx * -(p[1] - centre[1]) + ny * (p[0] - centre[0])) / REACH_MM;
    return { row: [turned, nx, ny], off };
  });
  const sum = (of: (one: (typeof rows)[number]) => number) => rows.reduce((all, one) => all + of(one), 0);
  const damping = DAMPING * points.length;
  const normal = [0, 1, 2].map((i) =>
    [0, 1, 2].map((j) => sum(({ row }) => at(row, i) * at(row, j)) + (i === j ? damping : 0)),
  );
  const found = solveDense(
    normal,
    [0, 1, 2].map((i) => sum(({ row, off }) => at(row, i) * off)),
  );
  return [at(found, 0) / REACH_MM, at(found, 1), at(found, 2)];
}

/**
 * What is nearest to a point on a ring: a direction square to the edge there, and how far along it the edge is. At a
 * corner the direction is from it to the point. One pass in plain figures: a comparison takes its time here.
 */
function nearestOn(ring: Outline, [px, py]: Vec2): { readonly off: number; readonly square: Vec2 } {
  let [least, footX, footY, edgeX, edgeY] = [Infinity, 0, 0, 1, 0];
  let [ax, ay] = at(ring, -1);
  for (const [bx, by] of ring) {
    const [dx, dy] = [bx - ax, by - ay];
    const long2 = dx * dx + dy * dy;
    const w = long2 > 0 ? Math.min(1, Math.max(0, ((px - ax) * dx + (py - ay) * dy) / long2)) : 0;
    const [x, y] = [ax + w * dx, ay + w * dy];
    const away2 = (px - x) ** 2 + (py - y) ** 2;
    if (away2 < least && long2 > 0) [least, footX, footY, edgeX, edgeY] = [away2, x, y, dx, dy];
    [ax, ay] = [bx, by];
  }
  const away = Math.sqrt(least);
  const long = Math.hypot(edgeX, edgeY);
  const square: Vec2 = away > FINE_MM ? [(px - footX) / away, (py - footY) / away] : [-edgeY / long, edgeX / long];
  return { square, off: square[0] * (footX - px) + square[1] * (footY - py) };
}

/** Holes with those that they were, and how many have none. */
function holePairs(cut: readonly Outline[], now: readonly Outline[]) {
  const left = [...now];
  const matched = cut.flatMap((hole): [Outline, Outline][] => {
    const centre = centreOf(hole);
    const far = left.map((other) => {
      const [x, y] = centreOf(other);
      return Math.hypot(x - centre[0], y - centre[1]);
    });
    const k = far.indexOf(Math.min(...far));
    const other = left[k];
    if (!other || at(far, k) > HOLE_MM) return [];
    left.splice(k, 1);
    return [[hole, other]];
  });
  return { matched, off: cut.length - matched.length + left.length };
}
