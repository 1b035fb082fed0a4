/**
 * A panel's edge on the flat as a line with a length along it, and the batten that is sprung round nails on it.
 *
 * The batten is the interpolating spline that all lines of the boat are (geometry/spline.ts), here in the plane of the
 * sheet; it is broken where the edge has a corner. How far it strays is measured square to the edge, outward positive.
 */
import { at, distance2, evaluateTangent, fitSpline, lerp2, uEnd, type Vec2 } from '../../geometry';
import type { PanelEnd } from '../neighbours';
import type { Panel } from '../panel';

export type EdgeLine = {
  readonly end: PanelEnd;
  /** From its fore end. `along`: the length up to each point; `params`: the edge's own parameter there. */
  readonly points: readonly Vec2[];
  readonly along: readonly number[];
  readonly params: readonly number[];
  readonly length: number;
};

/** Points of an edge nearer to one another are one. */
const SAME_MM = 1e-3;

export function edgeLine({ rulings }: Pick<Panel, 'rulings'>, end: PanelEnd): EdgeLine {
  const points: Vec2[] = [];
  const along: number[] = [];
  const params: number[] = [];
  for (const ruling of rulings) {
    const point = end === 'P' ? ruling.flatP : ruling.flatQ;
    const step = points.length === 0 ? Infinity : distance2(point, at(points, -1));
    if (step < SAME_MM) continue;
    along.push(points.length === 0 ? 0 : at(along, -1) + step);
    points.push(point);
    params.push(end === 'P' ? ruling.s : ruling.t);
  }
  return { end, points, along, params, length: at(along, -1) };
}

export type EdgePlace = { readonly point: Vec2; readonly forward: Vec2; readonly outward: Vec2 };

/** The place at a length along: `forward` is the way that the edge runs, aft; `outward` off the panel. */
export function placeOnEdge({ points, along, end }: EdgeLine, s: number): EdgePlace {
  const k = pieceOf(along, s);
  const [a, b] = [at(points, k), at(points, k + 1)];
  const share = (s - at(along, k)) / (at(along, k + 1) - at(along, k));
  // over both neighbours, so that the direction does not jump from chord to chord
  const [from, to] = share < 0.5 ? [Math.max(0, k - 1), k + 1] : [k, Math.min(points.length - 1, k + 2)];
  const long = distance2(at(points, from), at(points, to));
  const way: Vec2 = [
    (at(points, to)[0] - at(points, from)[0]) / long,
    (at(points, to)[1] - at(points, from)[1]) / long,
  ];
  const side = end === 'P' ? 1 : -1;
  return { point: lerp2(a, b, share), forward: way, outward: [side * way[1], -side * way[0]] };
}

function pieceOf(along: readonly number[], s: number): number {
  let [low, high] = [0, along.length - 2];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (at(along, middle) <= s) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** The length along where the edge's parameter is u. */
export function alongAtParam({ along, params }: EdgeLine, u: number): number {
  const k = pieceOf(params, u);
  const [from, to] = [at(params, k), at(params, k + 1)];
  const share = to > from ? Math.min(1, Math.max(0, (u - from) / (to - from))) : 0;
  return at(along, k) + share * (at(along, k + 1) - at(along, k));
}

/** The length along to the place nearest to a point, and how far off the edge that is. */
export function nearestOnEdge({ points, along }: EdgeLine, [x, y]: Vec2): { readonly along: number; off: number } {
  let best = { along: 0, off: Infinity };
  for (let k = 1; k < points.length; k++) {
    const [a, b] = [at(points, k - 1), at(points, k)];
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const share = Math.min(1, Math.max(0, ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy)));
    const off = Math.hypot(x - a[0] - share * dx, y - a[1] - share * dy);
    if (off < best.off) best = { along: at(along, k - 1) + share * (at(along, k) - at(along, k - 1)), off };
  }
  return best;
}

/** A nail: where it stands on the sheet, and the length along the edge where it should. */
export type Nail = { readonly at: Vec2; readonly along: number };

/**
 * A nail so much nearer to one neighbour than to the other is left out where it is not needed: what either is off, a
 * batten bent round both would double many times over.
 */
const CROWDED_SHARE = 0.25;
/** A batten that passes a nail so near does not need it, mm. */
const PASSED_MM = 0.5;
/** Two this near are one, mm. */
const ONE_NAIL_MM = 2;
/** A row's figure is one of this edge if it lies on it, and not on the panel's end. */
const ON_EDGE_MM = 0.05;

/**
 * The nails of an edge: at its ends and at those of the points given that lie on it, in pieces from corner to corner.
 */
export function nailsAlong(
  line: EdgeLine,
  marks: readonly { readonly at: Vec2; readonly isCorner: boolean }[],
): readonly (readonly Nail[])[] {
  const ends = [at(line.points, 0), at(line.points, -1)].map((p) => ({ at: p, isCorner: true }));
  const placed = [...ends, ...marks].flatMap((mark) => {
    const { along, off } = nearestOnEdge(line, mark.at);
    return off < ON_EDGE_MM ? [{ ...mark, along }] : [];
  });
  placed.sort((a, b) => a.along - b.along || Number(b.isCorner) - Number(a.isCorner));
  const kept = oneEach(placed);
  const pieces: Nail[][] = [];
  kept.forEach((nail, k) => {
    pieces[pieces.length - 1]?.push(nail);
    if (nail.isCorner && k < kept.length - 1) pieces.push([nail]);
  });
  return pieces.filter((piece) => piece.length > 1).map((piece) => driven(line, piece));
}

/** Of nails in order, one where two are in one place: the corner's. */
function oneEach<T extends Nail & { readonly isCorner: boolean }>(all: readonly T[]): T[] {
  const kept: T[] = [];
  for (const nail of all) {
    const before = kept[kept.length - 1];
    if (!before || nail.along - before.along > ONE_NAIL_MM) kept.push(nail);
    else if (nail.isCorner && !before.isCorner) kept[kept.length - 1] = nail;
  }
  return kept;
}

/** Those of a piece that a builder drives: the most crowded one goes, as long as the batten passes it all the same. */
function driven(line: EdgeLine, piece: readonly Nail[]): Nail[] {
  const kept = [...piece];
  const needed = new Set<Nail>();
  for (;;) {
    const shares = kept.map((nail, k) => {
      if (k === 0 || k === kept.length - 1 || needed.has(nail)) return Infinity;
      const [before, after] = [nail.along - at(kept, k - 1).along, at(kept, k + 1).along - nail.along];
      return Math.min(before, after) / Math.max(before, after);
    });
    const least = Math.min(...shares);
    if (!(least < CROWDED_SHARE)) return kept;
    const k = shares.indexOf(least);
    const nail = at(kept, k);
    const others = kept.filter((other) => other !== nail);
    const stands = others.map((other) => other.at);
    const [off = 0] = battenOff(others, stands, [{ along: nail.along, place: placeOnEdge(line, nail.along) }]);
    if (Math.abs(off) < PASSED_MM) kept.splice(k, 1);
    else needed.add(nail);
  }
}

/** Newton's steps to the place of the batten beside one of the edge: their difference is small. */
const STEPS = 2;

/**
 * How far a batten round these nails lies off the edge at places along it, outward positive, mm. `isAt`: where the
 * nails really stand; each place lies between the first and the last of them.
 */
export function battenOff(
  nails: readonly Nail[],
  isAt: readonly Vec2[],
  places: readonly { readonly along: number; readonly place: EdgePlace }[],
): number[] {
  const batten = fitSpline(isAt.map(([x, y]) => [x, y, 0]));
  const end = uEnd(batten);
  const alongs = nails.map((nail) => nail.along);
  return places.map(({ along, place: { point, forward, outward } }) => {
    const k = pieceOf(alongs, along);
    const [a, b] = [at(nails, k).along, at(nails, k + 1).along];
    let u = at(batten.knots, k) + ((along - a) / (b - a)) * (at(batten.knots, k + 1) - at(batten.knots, k));
    for (let i = 0; i < STEPS; i++) {
      const { position, first } = evaluateTangent(batten, Math.min(end, Math.max(0, u)));
      const past = (position[0] - point[0]) * forward[0] + (position[1] - point[1]) * forward[1];
      u -= past / (first[0] * forward[0] + first[1] * forward[1]);
    }
    const { position } = evaluateTangent(batten, u);
    return (position[0] - point[0]) * outward[0] + (position[1] - point[1]) * outward[1];
  });
}
