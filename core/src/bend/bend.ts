/**
 * A flat side bent to a hull: sheet in, lines out.
 *
 * Method: plate.ts and settle.ts. The edges on the flat are the interpolating splines through their points, the sheet
 * between them is ruled; the bow's end lies on the centreline or on the stem, frames and the stern hold half-breadths,
 * the foot of the bow stands at x = 0, the after foot as much higher as is asked. Then the lowest point of the lower
 * edge is set to height 0. Millimetres outside, metres within.
 */
import { at, random, type Vec3 } from '../geometry';
import { FEEL, PLY_MODULUS, STRAIN_SAID } from './constants';
import { edgeReader } from './edges';
import type { BendFrame, BendJob } from './job';
import { ACROSS, controlsThrough, emptyPlaces, plateOf, readFlat, readSheet, sheetPlace, type Plate } from './plate';
import { edgeAt, settle, type Hold } from './settle';

export type Feel = 'hand' | 'clamp' | 'two people' | 'more than two people';
export type Held = {
  /** bow, stern, or the frame's number. */
  readonly at: 'bow' | 'stern' | number;
  readonly edge: 'lower' | 'upper';
  /** How far from being kept, mm, and what it takes, N; pressed outward positive. */
  readonly offMm: number;
  readonly pullN: number;
  readonly feel: Feel;
};

export type Bent = {
  readonly isSettled: boolean;
  /** Why its shape is not to be trusted, in words; absent: nothing is wrong. */
  readonly problem?: string;
  readonly steps: number;
  /** From the bow aft, mm: x aft, y out, z up. */
  readonly lower: readonly Vec3[];
  readonly upper: readonly Vec3[];
  readonly lengthMm: number;
  /** Inside the sheet; and what it is called by that and by what its edges give. */
  readonly strain: { readonly most: number; readonly rms: number; readonly is: 'ordinary' | 'clamped' | 'stretched' };
  /** By how much each edge comes out longer than it was cut, mm: as far as the shape is to be trusted. */
  readonly longer: { readonly lower: number; readonly upper: number };
  /** The tightest bend of the sheet, and how far along it from the bow. */
  readonly tightest: { readonly radiusMm: number; readonly alongMm: number };
  readonly held: readonly Held[];
  /** How far the lower edge stands above its lowest point, at the bow and at the stern, mm. */
  readonly rocker: { readonly fore: number; readonly aft: number };
  /** How far the upper edge stands above the straight line between its ends least, mm: negative is hollow. */
  readonly sheerMm: number;
  /** Lean outward of the side where it is greatest, degrees from upright. */
  readonly flareDeg: number;
  readonly shape: Float64Array;
};

const MM = 1000;
const PLACES = 60;
/** The end of the sheet lies against a stem at so many places of its height. */
const STEM_PLACES = [0, 0.25, 0.5, 0.75, 1];

type How = {
  /** A shape to begin with, of the same number of spans. */
  readonly from?: Float64Array;
  /** A start set off by chance, mm, for the proof that it does not matter. */
  readonly stir?: { readonly seed: number; readonly mm: number };
  /** Places along each edge that are given, less one. */
  readonly places?: number;
  /** For the eye alone. */
  readonly isRough?: boolean;
};

export const bendSheet = (job: BendJob, how: How = {}): Bent =>
  bendOn(plateOfJob(job, acrossOf(how.isRough)), job, how);

const acrossOf = (isRough = false) => (isRough ? ACROSS.rough : ACROSS.fine);

/**
 * Bends one sheet after another, each much like the last: keeps the plate while the sheet is cut alike, and begins with
 * the last shape, carried on as far as the change goes on; from nothing where that leads to one not to be trusted.
 */
export function createBender(): (job: BendJob, isRough: boolean) => Bent {
  let kept: { readonly cut: string; readonly plate: Plate } | undefined;
  let [last, earlier]: (Made | undefined)[] = [];
  return (job, isRough) => {
    const cut = JSON.stringify([job.lower, job.upper, job.spans, isRough]);
    const before = kept;
    if (kept?.cut !== cut) kept = { cut, plate: plateOfJob(job, acrossOf(isRough)) };
    const { plate } = kept;
    const figures = figuresOf(job);
    // a bow that opens, or a stern, is another boat
    const isLike = last?.ends === endsOf(job);
    const from =
      before && last && isLike
        ? (carriedOn(figures, last, earlier) ?? carried(last.shape, before.plate, plate))
        : undefined;
    const near = from && bendOn(plate, job, { from, isRough });
    const bent = near && near.problem === undefined ? near : bendOn(plate, job, { isRough });
    earlier = last;
    last = bent.problem === undefined ? { figures, shape: bent.shape, ends: endsOf(job) } : undefined;
    return bent;
  };
}

/** What a shape was asked of, figure by figure, and the shape. */
type Made = { readonly figures: readonly number[]; readonly shape: Float64Array; readonly ends: string };

/** Which of its ends are transoms. */
const endsOf = ({ bow, stern }: BendJob): string => `${bow !== undefined} ${stern !== undefined}`;

function figuresOf({ lower, upper, stem, bow, stern, rise, frames, spans }: BendJob): number[] {
  const held = [...frames, bow ?? {}, stern ?? {}].flatMap((one) => {
    const { x, along, lower: low, upper: high } = one as BendFrame;
    return [x ?? 0, along ?? 0, low ?? 0, high ?? 0];
  });
  return [spans, ...lower.flat(), ...upper.flat(), stem, rise, ...held];
}

/** Further ahead than this, in the last changes, nothing is foreseen; nor where so much of the change goes aside. */
const AHEAD = 2;
const ASIDE = 0.2;

/** Where the change goes on as the last one did, as of a handle that is dragged: as much more of what came of that. */
function carriedOn(figures: readonly number[], last: Made, earlier: Made | undefined): Float64Array | undefined {
  if (earlier?.figures.length !== figures.length || earlier.shape.length !== last.shape.length) return undefined;
  let [along, was, now] = [0, 0, 0];
  for (let k = 0; k < figures.length; k++) {
    const by = last.figures[k]! - earlier.figures[k]!; // as many of each
    const way = figures[k]! - last.figures[k]!;
    along += by * way;
    was += by * by;
    now += way * way;
  }
  if (was === 0) return undefined;
  const share = along / was;
  if (Math.abs(share) > AHEAD || now - share * along > ASIDE ** 2 * now) return undefined;
  return last.shape.map((x, k) => x + share * (x - earlier.shape[k]!));
}

/** A bent shape on a sheet cut, or parted, otherwise: each place goes as far in the sheet as it does on the flat. */
function carried(shape: Float64Array, was: Plate, now: Plate): Float64Array {
  if (was === now) return shape;
  const [place, there] = [emptyPlaces(1), emptyPlaces(1)];
  const placeAt = (a: number, b: number): Vec3 => {
    sheetPlace(was, a, b, place);
    const [along, up] = [readSheet(shape, place, place.du), readSheet(shape, place, place.dv)];
    const [from, to] = [readFlat(was, place), readFlat(now, sheetPlace(now, a, b, there))];
    const [u, v] = [to[0] - from[0], to[1] - from[1]];
    const [x, y, z] = readSheet(shape, place, place.value);
    const moved = (d: 0 | 1 | 2) => u * along[d] + v * up[d];
    return [x + moved(0), y + moved(1), z + moved(2)];
  };
  const axes = controlsThrough(placeAt, now.spans, now.across);
  const out = new Float64Array(now.size);
  axes.forEach((axis, d) => axis.forEach((x, k) => (out[3 * k + d] = x)));
  return out;
}

const edgesOf = (job: BendJob) => [edgeReader(job.lower), edgeReader(job.upper)] as const;

function plateOfJob(job: BendJob, across: number): Plate {
  const [lower, upper] = edgesOf(job);
  return plateOf(
    (a, b) => {
      const [low, high] = [lower.at(a), upper.at(a)];
      return [(low[0] + b * (high[0] - low[0])) / MM, (low[1] + b * (high[1] - low[1])) / MM];
    },
    job.spans,
    across,
  );
}

function bendOn(plate: Plate, job: BendJob, { from, stir, places = PLACES, isRough = false }: How): Bent {
  const [lower, upper] = edgesOf(job);
  const { holds, names } = holdsOf(job, [lower.length, upper.length]);
  const start = from ?? coldStart(plate, job, [lower.length, upper.length]);
  if (stir) {
    const next = random(stir.seed);
    for (let k = 0; k < start.length; k++) start[k] = start[k]! + ((next() - 0.5) * 2 * stir.mm) / MM; // in bounds
  }
  const settled = settle(plate, holds, { from: start, isWarm: from !== undefined, isRough });
  const { shape } = settled;
  const line = (b: 0 | 1): Vec3[] =>
    Array.from({ length: places + 1 }, (_, k) => {
      const [x, y, z] = edgeAt(plate, shape, k / places, b).position;
      return [MM * x, MM * y, MM * z];
    });
  const [low, high] = [line(0), line(1)];
  const base = Math.min(...low.map(([, , z]) => z));
  const onBase = (points: readonly Vec3[]) => points.map(([x, y, z]): Vec3 => [x, y, z - base]);
  const stiffness = ((PLY_MODULUS.value * 1e9) / 12) * (job.thickness / MM) ** 3;
  const held = names.flatMap((name, k): Held[] => {
    if (!name) return [];
    const { off, pull } = at(settled.holds, k);
    const pullN = -pull * stiffness;
    return [{ ...name, offMm: MM * off, pullN, feel: feelOf(Math.abs(pullN)) }];
  });
  const longer = {
    lower: MM * edgeLength(plate, shape, 0) - lower.length,
    upper: MM * edgeLength(plate, shape, 1) - upper.length,
  };
  const edges = Math.max(Math.abs(longer.lower) / lower.length, Math.abs(longer.upper) / upper.length);
  const strain = strainOf(plate, shape, edges);
  const problem = wrongWith(plate, shape, { isSettled: settled.isSettled, held, strain: strain.most });
  const [bow, stern] = [at(high, 0), at(high, -1)];
  return {
    ...{ isSettled: settled.isSettled, steps: settled.steps, ...(problem !== undefined && { problem }) },
    ...{ lower: onBase(low), upper: onBase(high) },
    lengthMm: Math.max(...[...low, ...high].map(([x]) => x)) - Math.min(...[...low, ...high].map(([x]) => x)),
    longer,
    ...{ strain, tightest: tightestOf(plate, shape, lower.length), held },
    rocker: { fore: at(low, 0)[2] - base, aft: at(low, -1)[2] - base },
    sheerMm: Math.min(
      ...high.map(([x, , z]) => z - (bow[2] + ((x - bow[0]) / (stern[0] - bow[0])) * (stern[2] - bow[2]))),
    ),
    flareDeg: Math.max(
      ...low.map((p, k) => (Math.atan2(at(high, k)[1] - p[1], at(high, k)[2] - p[2]) * 180) / Math.PI),
    ),
    shape,
  };
}

/** Of a bent edge, m: by two Gauss points a half span. */
function edgeLength(plate: Plate, shape: Float64Array, b: 0 | 1): number {
  const pieces = 2 * plate.spans;
  let sum = 0;
  for (let k = 0; k < pieces; k++)
    for (const side of [-1, 1]) {
      const { run } = edgeAt(plate, shape, (k + (1 + side / Math.sqrt(3)) / 2) / pieces, b);
      sum += Math.sqrt(dot(run, run)) / (2 * pieces);
    }
  return sum;
}

const bowOf = ({ bow, stem }: BendJob) => bow ?? { lower: stem / 2, upper: stem / 2 };

type Name = Pick<Held, 'at' | 'edge'>;

function holdsOf(job: BendJob, lengths: readonly [number, number]) {
  const holds: Hold[] = [];
  const names: (Name | undefined)[] = [];
  const put = (hold: Hold, name?: Name) => {
    holds.push(hold);
    names.push(name);
  };
  if (!job.bow) for (const b of STEM_PLACES) put({ kind: 'point', a: 0, b, axis: 1, to: job.stem / 2 / MM });
  put({ kind: 'point', a: 0, b: 0, axis: 0, to: 0 });
  put({ kind: 'point', a: 0, b: 0, axis: 2, to: 0 });
  put({ kind: 'point', a: 1, b: 0, axis: 2, to: job.rise / MM });
  const ofEdge = (frame: BendFrame, where: number, b: 0 | 1) => {
    const to = b === 0 ? frame.lower : frame.upper;
    if (to === undefined) return;
    const name: Name = { at: where, edge: b === 0 ? 'lower' : 'upper' };
    if (frame.x !== undefined) put({ kind: 'frame', b, x: frame.x / MM, to: to / MM }, name);
    else put({ kind: 'point', a: (frame.along ?? 0) / lengths[b], b, axis: 1, to: to / MM }, name);
  };
  job.frames.forEach((frame, k) => ([0, 1] as const).forEach((b) => ofEdge(frame, k, b)));
  for (const end of ['bow', 'stern'] as const) {
    const own = job[end];
    if (!own) continue;
    const a = end === 'bow' ? 0 : 1;
    for (const [b, edge] of [[0, 'lower'] as const, [1, 'upper'] as const])
      put({ kind: 'point', a, b, axis: 1, to: own[edge] / MM }, { at: end, edge });
  }
  return { holds, names };
}

/** Upright, straight from hold to hold, drawn together so far that it is about as long as it is flat. */
function coldStart(plate: Plate, job: BendJob, lengths: readonly [number, number]): Float64Array {
  const known = ([0, 1] as const).map((b) => {
    const of = (frame: BendFrame) => (b === 0 ? frame.lower : frame.upper);
    const first = at(b === 0 ? job.lower : job.upper, 0)[0] - at(job.lower, 0)[0];
    const places = job.frames.flatMap((frame) => {
      const y = of(frame);
      const share = (frame.x === undefined ? (frame.along ?? 0) : frame.x - first) / lengths[b];
      return y === undefined ? [] : [{ share: Math.min(1, Math.max(0, share)), y }];
    });
    const stern = job.stern && [{ share: 1, y: b === 0 ? job.stern.lower : job.stern.upper }];
    const bow = bowOf(job);
    const foremost = b === 0 ? bow.lower : bow.upper;
    const all = [{ share: 0, y: foremost }, ...places, ...(stern ?? [])].sort((one, two) => one.share - two.share);
    return all.length > 1 ? all : [...all, { share: 1, y: foremost }];
  });
  const breadthAt = (b: 0 | 1, share: number): number => {
    const places = at(known, b);
    const next = places.findIndex((place) => place.share > share);
    if (next < 0) return at(places, -1).y;
    const [from, to] = [at(places, Math.max(0, next - 1)), at(places, next)];
    const part = to.share > from.share ? (share - from.share) / (to.share - from.share) : 0;
    return from.y + part * (to.y - from.y);
  };
  const lowest = plate.flat.map(([u]) => u);
  const [fore, aft] = [Math.min(...lowest), Math.max(...lowest)];
  const high = Math.max(...plate.flat.map(([, v]) => v));
  const low = Math.min(...plate.flat.map(([, v]) => v));
  const shape = new Float64Array(plate.size);
  plate.flat.forEach(([u, v], k) => {
    const share = (u - fore) / (aft - fore);
    const up = (v - low) / (high - low);
    const y = (1 - up) * breadthAt(0, share) + up * breadthAt(1, share);
    shape.set([u - fore, y / MM, v - low], 3 * k);
  });
  return shape;
}

/** @param edges of the edge that gives most, all along */
function strainOf(plate: Plate, shape: Float64Array, edges: number): Bent['strain'] {
  let [most, sum, area] = [0, 0, 0];
  const places = plate.stretched;
  for (let k = 0; k < places.weight.length; k++) {
    const weight = places.weight[k]!; // one a place
    const [u, v] = [readSheet(shape, places, places.du, k), readSheet(shape, places, places.dv, k)];
    const [uu, vv, uv] = [(dot(u, u) - 1) / 2, (dot(v, v) - 1) / 2, dot(u, v) / 2];
    // the greater of its two main ones
    const middle = (uu + vv) / 2;
    const reach = Math.hypot((uu - vv) / 2, uv);
    most = Math.max(most, Math.abs(middle) + reach);
    sum += weight * (uu * uu + vv * vv + 2 * uv * uv);
    area += weight;
  }
  const { ordinary, most: limit } = STRAIN_SAID.value;
  const worst = Math.max(most, edges);
  return {
    ...{ most, rms: Math.sqrt(sum / area) },
    is: worst <= ordinary ? 'ordinary' : worst <= limit ? 'clamped' : 'stretched',
  };
}

const dot = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, x, k) => sum + x * (b[k] ?? 0), 0);

/** By the greatest of the two main curvatures, whichever way it runs. */
function tightestOf(plate: Plate, shape: Float64Array, lengthMm: number): Bent['tightest'] {
  let best = { curvature: 0, share: 0 };
  const places = plate.bendPlaces;
  const count = places.weight.length;
  for (let k = 0; k < count; k++) {
    // of a sheet that does not stretch the seconds all point along its normal
    const [uu, uv, vv] = [places.duu, places.duv, places.dvv].map((by) => {
      const second = readSheet(shape, places, by, k);
      return dot(second, second);
    }) as [number, number, number];
    const curvature = Math.sqrt(uu + 2 * uv + vv);
    if (curvature > best.curvature) best = { curvature, share: k / count };
  }
  return { radiusMm: best.curvature > 0 ? MM / best.curvature : Infinity, alongMm: best.share * lengthMm };
}

function feelOf(newton: number): Feel {
  const { hand, clamp, people } = FEEL.value;
  if (newton <= hand) return 'hand';
  if (newton <= clamp) return 'clamp';
  return newton <= people ? 'two people' : 'more than two people';
}

/** Holds are kept so well, mm. */
const KEPT_MM = 0.05;
/** A sheet that would have to stretch by more is torn. */
const TORN = 0.02;

type Judged = { readonly isSettled: boolean; readonly held: readonly Held[]; readonly strain: number };

function wrongWith(plate: Plate, shape: Float64Array, { isSettled, held, strain }: Judged): string | undefined {
  if (!shape.every(Number.isFinite)) return 'no shape was found: change what holds it';
  if (!isSettled && held.every(({ offMm }) => Math.abs(offMm) <= KEPT_MM))
    return 'it did not settle: add a hold, or move one';
  if (strain > TORN) return 'the sheet would tear: what holds it is further apart than it reaches';
  if (held.some(({ offMm }) => Math.abs(offMm) > KEPT_MM)) return 'it does not reach what should hold it';
  if (turnedOver(plate, shape)) return 'it came out inside out or on its head: add a hold';
  return isSettled ? undefined : 'it did not settle: add a hold, or move one';
}

/** Whether the sheet’s inside looks outward, or its upper edge stands under its lower one, over most of it. */
function turnedOver(plate: Plate, shape: Float64Array): boolean {
  let [over, all] = [0, 0];
  const places = plate.stretched;
  for (let k = 0; k < places.weight.length; k++) {
    const weight = places.weight[k]!; // one a place
    const [u, v] = [readSheet(shape, places, places.du, k), readSheet(shape, places, places.dv, k)];
    const out = u[2] * v[0] - u[0] * v[2]; // athwart part of the normal: outward is to starboard, −u × v
    if (out > 0 || v[2] <= 0) over += weight;
    all += weight;
  }
  return over > all / 2;
}
