/**
 * The shape taken off a hull as a frame's section: faired between its corners, which are rounded to a radius.
 *
 * Method: each stretch between corners is faired (fair.ts) and bent through its points as a batten is; at a corner an
 * arc of the radius touches both stretches, drawn as the conic through where it leaves them, which is the circle where
 * they are straight. Accuracy: chords within 0.02 mm at radii over 100 mm.
 */
import { at, distance2, evaluate, fitSpline, uEnd, type Vec2, type Vec3 } from '../../geometry';
import { toRad } from '../../measure';
import type { TakenShape } from '../schema';
import type { FrameEdge, FramePlane, FrameSection } from '../section';
import { faired } from './fair';
import { readMeasured } from './measured';

export type Taken = {
  readonly id: string;
  readonly name: string;
  /** As measured, and as faired, in their order. */
  readonly points: readonly { readonly id: string; readonly measured: Vec2; readonly faired: Vec2 }[];
  /** From the centreline up. */
  readonly half: readonly Vec2[];
  /** The same, parted where a corner is left sharp. */
  readonly runs: readonly (readonly Vec2[])[];
  /** The furthest that a point was moved. */
  readonly movedMm: number;
  /** The tightest place between corners; absent: straight. */
  readonly leastRadiusMm?: number;
  readonly lengthMm: number;
  /** Of the points, from 1, whose distances do not meet. */
  readonly apart: readonly number[];
};

/** Points of a stretch are drawn so near. */
const STEP_MM = 4;
/** Wider than this is straight. */
const STRAIGHT_MM = 100_000;
/** Chords of a corner's arc. */
const ARC = 16;
/** Points as near are one. */
const SAME_MM = 1e-3;

/** Undefined where fewer than two points are left. */
export function takeShape(shape: TakenShape): Taken | undefined {
  const { points: read, apart } = readMeasured(shape);
  const kept = read.filter((p, i) => i === 0 || distance2(p.place, at(read, i - 1).place) > SAME_MM);
  if (kept.length < 2) return undefined;
  const places = kept.map(({ place }) => place);
  const ends = kept.flatMap(({ isCorner }, i) => (i === 0 || i === kept.length - 1 || isCorner ? [i] : []));
  const stretches = ends.slice(1).map((to, k) => faired(places.slice(at(ends, k), to + 1), shape.fairBy));
  const fairedPlaces = stretches.flatMap((stretch, k) => (k === 0 ? stretch : stretch.slice(1)));
  const bent = stretches.map(bendThrough);
  const runs = fromCentreline(
    joined(
      bent.map(({ points }) => points),
      shape.corner,
    ),
  );
  if (runs.length === 0) return undefined;
  const half = runs.flatMap((run, k) => (k === 0 ? run : run.slice(1)));
  const radii = bent.flatMap(({ leastRadiusMm }) => (leastRadiusMm < STRAIGHT_MM ? [leastRadiusMm] : []));
  return {
    ...{ id: shape.id, name: shape.name, half, runs, apart },
    points: kept.map(({ id, place }, i) => ({ id, measured: place, faired: at(fairedPlaces, i) })),
    movedMm: Math.max(...places.map((place, i) => distance2(place, at(fairedPlaces, i)))),
    ...(radii.length > 0 && { leastRadiusMm: Math.min(...radii) }),
    lengthMm: half.reduce((sum, p, i) => (i === 0 ? 0 : sum + distance2(at(half, i - 1), p)), 0),
  };
}

function bendThrough(given: readonly Vec2[]): { readonly points: readonly Vec2[]; readonly leastRadiusMm: number } {
  const points = given.filter((p, i) => i === 0 || distance2(p, at(given, i - 1)) > SAME_MM);
  if (points.length < 2) return { points: given, leastRadiusMm: Infinity };
  const spline = fitSpline(points.map(([y, z]): Vec3 => [y, z, 0]));
  const end = uEnd(spline);
  const steps = Math.max(2, Math.ceil(end / STEP_MM));
  let leastRadiusMm = Infinity;
  const drawn = Array.from({ length: steps + 1 }, (_, i): Vec2 => {
    const { position, first, second } = evaluate(spline, (end * i) / steps);
    const turn = Math.abs(first[0] * second[1] - first[1] * second[0]);
    const speed = Math.hypot(first[0], first[1]);
    if (turn > 0) leastRadiusMm = Math.min(leastRadiusMm, speed ** 3 / turn);
    return [position[0], position[1]];
  });
  return { points: points.length === 2 ? points : drawn, leastRadiusMm };
}

/** What lies on the other side of the centreline before the curve first comes over it is left out. */
function fromCentreline(runs: readonly (readonly Vec2[])[]): readonly (readonly Vec2[])[] {
  const first = runs.findIndex((run) => run.some(([y]) => y >= 0));
  const run = runs[first];
  if (!run) return [];
  const k = run.findIndex(([y]) => y >= 0);
  const own = k === 0 ? run : [onCentreline(at(run, k - 1), at(run, k)), ...run.slice(k)];
  const kept = own.filter((p, i) => i === 0 || distance2(p, at(own, i - 1)) > SAME_MM);
  return [kept, ...runs.slice(first + 1)].filter((one) => one.length > 1);
}

const onCentreline = (a: Vec2, b: Vec2): Vec2 => [0, a[1] + (-a[0] / (b[0] - a[0])) * (b[1] - a[1])];

/** Less of a turn is no corner. */
const LEAST_TURN_RAD = 0.02;

/** Stretches one after another, with an arc in each corner; parted where there is none. */
function joined(stretches: readonly (readonly Vec2[])[], radius: number): readonly (readonly Vec2[])[] {
  return stretches.reduce<readonly (readonly Vec2[])[]>((runs, next) => {
    const before = runs[runs.length - 1];
    if (!before) return [next];
    const corner = at(next, 0);
    const [a, b] = [wayAt(before, -1), wayAt(next, 1)];
    const turn = Math.acos(Math.max(-1, Math.min(1, a[0] * b[0] + a[1] * b[1])));
    const past = runs.slice(0, -1);
    if (turn < LEAST_TURN_RAD) return [...past, [...before, ...next.slice(1)]];
    const cut = radius * Math.tan(turn / 2);
    const back = cutBack([...before].reverse(), cut);
    const on = cutBack(next, cut);
    if (cut < SAME_MM || !back || !on) return [...runs, next];
    return [...past, [...[...back].reverse(), ...arcBetween(at(back, 0), corner, at(on, 0), turn), ...on]];
  }, []);
}

/** Which way a line goes, leaving its first point or coming to its last. */
function wayAt(points: readonly Vec2[], side: 1 | -1): Vec2 {
  const [a, b] = side === 1 ? [at(points, 0), at(points, 1)] : [at(points, -2), at(points, -1)];
  const size = distance2(a, b) || 1;
  return [(b[0] - a[0]) / size, (b[1] - a[1]) / size];
}

/** What is left of a line beyond so much of it; undefined where it is shorter. */
function cutBack(points: readonly Vec2[], byMm: number): readonly Vec2[] | undefined {
  let left = byMm;
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [at(points, i - 1), at(points, i)];
    const long = distance2(a, b);
    if (left < long) {
      const w = left / long;
      return [[a[0] + w * (b[0] - a[0]), a[1] + w * (b[1] - a[1])], ...points.slice(i)];
    }
    left -= long;
  }
  return undefined;
}

function arcBetween(p: Vec2, corner: Vec2, q: Vec2, turn: number): Vec2[] {
  const w = Math.cos(turn / 2);
  return Array.from({ length: ARC - 1 }, (_, i): Vec2 => {
    const t = (i + 1) / ARC;
    const [a, b, c] = [(1 - t) ** 2, 2 * w * t * (1 - t), t * t];
    const sum = a + b + c;
    return [(a * p[0] + b * corner[0] + c * q[0]) / sum, (a * p[1] + b * corner[1] + c * q[1]) / sum];
  });
}

type Standing = FramePlane & Pick<FrameSection, 'width' | 'face'>;

/** The section of a part cut to it: its edges of one bevel, from sharp corner to sharp corner. */
export function sectionOfTaken(
  { id, name, half, runs }: Pick<Taken, 'id' | 'name' | 'half' | 'runs'>,
  bevelDeg: number,
  standing: Standing,
): FrameSection {
  const otherFaceOffset = standing.width * Math.tan(toRad(bevelDeg));
  const edges = runs.map((run, k): FrameEdge => {
    const own =
      runs.length > 1 ? { panel: `${id}.${k + 1}`, panelName: `${name} ${k + 1}` } : { panel: id, panelName: name };
    const points = run.map(([y, z]) => ({ y, z, bevelDeg, otherFaceOffset }));
    return { ...own, between: ['', ''], sectionBow: 0, points };
  });
  return { ...standing, outline: half, skin: half, edges };
}

/** At even heights how far out two shapes are, for one side against the other; only where both are. */
export function compareShapes(
  a: Pick<Taken, 'half'>,
  b: Pick<Taken, 'half'>,
  stepMm: number,
): { readonly up: number; readonly outA: number; readonly outB: number }[] {
  const [fromA, toA, fromB, toB] = [a, b].flatMap(({ half }) => {
    const heights = half.map(([, z]) => z);
    return [Math.min(...heights), Math.max(...heights)];
  }) as [number, number, number, number]; // two each
  const from = Math.ceil(Math.max(fromA, fromB) / stepMm) * stepMm;
  const rows = Math.max(0, Math.floor((Math.min(toA, toB) - from) / stepMm + 1e-9) + 1);
  return Array.from({ length: rows }, (_, i) => from + i * stepMm).flatMap((up) => {
    const [outA, outB] = [outAt(a.half, up), outAt(b.half, up)];
    return outA === undefined || outB === undefined ? [] : [{ up, outA, outB }];
  });
}

/** The furthest out at a height. */
function outAt(half: readonly Vec2[], up: number): number | undefined {
  const outs = half.slice(1).flatMap((b, i): number[] => {
    const a = at(half, i);
    if ((a[1] - up) * (b[1] - up) > 0) return [];
    return a[1] === b[1] ? [a[0], b[0]] : [a[0] + ((up - a[1]) / (b[1] - a[1])) * (b[0] - a[0])];
  });
  return outs.length > 0 ? Math.max(...outs) : undefined;
}

/** Links of a chain laid along a curve: the longest that stand off it by no more than so much, and how many reach. */
export function chainFor(leastRadiusMm: number, lengthMm: number, offMm: number): { linkMm: number; links: number } {
  const linkMm = 2 * Math.sqrt(Math.max(0, 2 * leastRadiusMm * offMm - offMm ** 2));
  return { linkMm, links: linkMm > 0 ? Math.ceil(lengthMm / linkMm - 1e-9) : 0 };
}
