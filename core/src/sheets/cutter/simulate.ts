/**
 * A cutter that runs through a machine's file on the screen: its path, its time, and what would go wrong on the bed.
 *
 * The cutter's middle runs at its radius from each contour, outside or inside. What it cannot reach is what closing the
 * part by the cutter (grown by its radius, then shrunk by it, corners round) adds to it; what it takes away is the band
 * of its diameter along the contour, which must not touch another part. All by the file alone.
 */
import {
  area,
  at,
  boundsOf,
  contains,
  distanceToSegment,
  grownRound,
  intersectionOf,
  type Outline,
  type Vec2,
} from '../../geometry';
import { LEAST_ROUND_MM, type Contour, type CutFile } from './cut-file';

export type CutterSettings = {
  readonly radius: number;
  /** Along the path, mm a minute. */
  readonly feed: number;
  /** Wanted on each part that is not small. */
  readonly tabs: number;
};

export const CUT_FAULTS = ['open', 'double', 'tight', 'neighbour', 'tabs'] as const;
export type CutFault = {
  readonly kind: (typeof CUT_FAULTS)[number];
  /** Of the contours in the file, from 0. */
  readonly contour: number;
  readonly at: Vec2;
  /** What is left in a corner; what is cut into; tabs that are missing. */
  readonly amount: number;
};

export type CutRun = {
  readonly path: readonly Outline[];
  readonly seconds: number;
  readonly faults: readonly CutFault[];
};

/** What is left in a corner below this is one stroke of sandpaper, mm. */
const LEFT_MM = 0.3;
/** Faults of one contour nearer together are one. */
const ONE_FAULT_MM = 15;
/** Less of a neighbour is the grid's rounding, mm². */
const TOUCHED_MM2 = 0.5;
/** Lines nearer than this are one on the other. */
const DOUBLE_MM = 0.05;
/** So much of a contour on another is a line cut twice: a share of its points. */
const DOUBLE_SHARE = 0.3;
const SAMPLE_MM = 8;
/** Into the plywood, and from place to place. */
const PLUNGE_S = 3;
const RAPID_MM_MIN = 8000;

export function runCutter({ contours }: CutFile, settings: CutterSettings): CutRun {
  const { radius, feed } = settings;
  const cuts = contours.map((contour, index) => ({ contour, index })).filter(({ contour }) => isCut(contour));
  const path = cuts.flatMap(({ contour }) =>
    contour.isClosed ? grownRound([contour.points], contour.side === 'outside' ? radius : -radius) : [contour.points],
  );
  const faults = [
    ...cuts.flatMap(({ contour, index }): CutFault[] =>
      contour.isClosed ? [] : [{ kind: 'open', contour: index, at: at(contour.points, 0), amount: openBy(contour) }],
    ),
    ...doubles(cuts),
    ...cuts.flatMap((cut) => (cut.contour.isClosed ? tightCorners(cut, radius) : [])),
    ...neighboursCut(cuts, radius),
    ...tabsMissing(contours, settings),
  ];
  const drilled = contours.filter(({ side }) => side === 'drill').length;
  const cutting = (path.reduce((sum, ring) => sum + roundOf(ring), 0) / feed) * 60;
  const starts = path.map((ring) => at(ring, 0));
  const between = starts.slice(1).reduce((sum, p, k) => sum + apart(p, at(starts, k)), 0);
  const seconds = cutting + (path.length + drilled) * PLUNGE_S + (between / RAPID_MM_MIN) * 60;
  return { path, seconds, faults };
}

type Cut = { readonly contour: Contour; readonly index: number };

const isCut = ({ side }: Contour): boolean => side === 'outside' || side === 'inside';
const apart = (a: Vec2, b: Vec2): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
const openBy = ({ points }: Contour): number => apart(at(points, 0), at(points, points.length - 1));
const roundOf = (ring: Outline): number =>
  ring.reduce((sum, p, k) => sum + apart(p, at(ring, (k + 1) % ring.length)), 0);

/** Places along a contour, no farther apart than SAMPLE_MM. */
function samplesOf({ points, isClosed }: Contour): Vec2[] {
  const ends = isClosed ? [...points, at(points, 0)] : points;
  return ends.slice(1).flatMap((b, k) => {
    const a = at(ends, k);
    const n = Math.max(1, Math.ceil(apart(a, b) / SAMPLE_MM));
    return Array.from({ length: n }, (_, i): Vec2 => {
      const t = (i + 0.5) / n;
      return [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
    });
  });
}

function toContour(p: Vec2, { points, isClosed }: Contour): number {
  let least = Infinity;
  for (let k = isClosed ? 0 : 1; k < points.length; k++) {
    const a = at(points, (k + points.length - 1) % points.length);
    least = Math.min(least, distanceToSegment(p, a, at(points, k)));
  }
  return least;
}

const boxesApart = (a: Outline, b: Outline, by: number): boolean => {
  const [p, q] = [boundsOf(a), boundsOf(b)];
  return p.minX > q.maxX + by || q.minX > p.maxX + by || p.minY > q.maxY + by || q.minY > p.maxY + by;
};

function doubles(cuts: readonly Cut[]): CutFault[] {
  return cuts.flatMap(({ contour, index }, k): CutFault[] => {
    const samples = samplesOf(contour);
    for (const other of cuts.slice(0, k)) {
      if (boxesApart(contour.points, other.contour.points, DOUBLE_MM)) continue;
      const on = samples.filter((p) => toContour(p, other.contour) < DOUBLE_MM);
      if (on.length > DOUBLE_SHARE * samples.length)
        return [{ kind: 'double', contour: index, at: at(on, 0), amount: on.length * SAMPLE_MM }];
    }
    return [];
  });
}

function tightCorners({ contour, index }: Cut, radius: number): CutFault[] {
  const sign = contour.side === 'outside' ? 1 : -1;
  const reached = grownRound(grownRound([contour.points], sign * radius), -sign * radius);
  const rings = reached.map((points): Contour => ({ side: contour.side, points, isClosed: true }));
  const faults: CutFault[] = [];
  for (const p of contour.points) {
    const amount = Math.min(Infinity, ...rings.map((ring) => toContour(p, ring)));
    if (amount <= LEFT_MM) continue;
    const known = faults.findIndex((fault) => apart(fault.at, p) < ONE_FAULT_MM);
    const fault: CutFault = { kind: 'tight', contour: index, at: p, amount: Math.min(amount, 1e6) };
    if (known < 0) faults.push(fault);
    else if (at(faults, known).amount < fault.amount) faults[known] = fault;
  }
  return faults;
}

/**
 * The band that the cutter takes away along each contour, against every other part's wood. The band is the contour
 * grown by the cutter's diameter less itself, the wood a part's outline less its holes: so the shared area is a sum of
 * areas.
 */
function neighboursCut(cuts: readonly Cut[], radius: number): CutFault[] {
  const closed = cuts.filter(({ contour }) => contour.isClosed);
  const parts = closed
    .filter(({ contour }) => contour.side === 'outside')
    .map((part) => ({
      ...part,
      holes: closed.filter(({ contour }) => isHoleOf(contour, part.contour)).map(({ contour }) => contour.points),
    }));
  return closed.flatMap((cut): CutFault[] => {
    const { points, side } = cut.contour;
    const grown = grownRound([points], side === 'outside' ? 2 * radius : -2 * radius);
    return parts.flatMap((part): CutFault[] => {
      const isOwn = part.index === cut.index || isHoleOf(cut.contour, part.contour);
      if (isOwn || boxesApart(points, part.contour.points, 2 * radius)) return [];
      const woodIn = (rings: readonly Outline[]) => sharedWith(part.contour.points, rings) - sumOf(part.holes, rings);
      const amount = Math.abs(woodIn(grown) - woodIn([points]));
      if (amount < TOUCHED_MM2) return [];
      return [{ kind: 'neighbour', contour: cut.index, at: nearestTo(cut.contour, part.contour), amount }];
    });
  });
}

const sharedWith = (outline: Outline, rings: readonly Outline[]): number =>
  intersectionOf([outline], rings).reduce((sum, ring) => sum + area(ring), 0);
const sumOf = (holes: readonly Outline[], rings: readonly Outline[]): number =>
  holes.reduce((sum, hole) => sum + sharedWith(hole, rings), 0);

const isHoleOf = (hole: Contour, part: Contour): boolean =>
  hole.side === 'inside' && contains(part.points, at(hole.points, 0));

function nearestTo(contour: Contour, other: Contour): Vec2 {
  let best = { p: at(contour.points, 0), mm: Infinity };
  for (const p of samplesOf(contour)) {
    const mm = toContour(p, other);
    if (mm < best.mm) best = { p, mm };
  }
  return best.p;
}

function tabsMissing(contours: readonly Contour[], { radius, tabs }: CutterSettings): CutFault[] {
  const marks = contours.filter(({ side }) => side === 'tab');
  return contours.flatMap((contour, index): CutFault[] => {
    if (contour.side !== 'outside' || !contour.isClosed || roundOf(contour.points) < LEAST_ROUND_MM) return [];
    const own = marks.filter(({ points }) => {
      const [a, b] = [at(points, 0), at(points, points.length - 1)];
      return toContour([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], contour) < radius / 2;
    });
    const missing = tabs - own.length;
    return missing > 0 ? [{ kind: 'tabs', contour: index, at: at(contour.points, 0), amount: missing }] : [];
  });
}
