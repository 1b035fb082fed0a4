/**
 * A table of offsets from a few dimensions: a fair hull whose panels develop, to start a design from.
 *
 * Method (derived here): the lowest chine is drawn from the dimensions, as a curve C(w), w from bow to stern. Panels
 * are laid on it by their rulings. Upward a ruling is r = (e, g, 1), its lean e fore and aft chosen, its flare g such
 * that det(C', r, r') = 0, which makes the surface developable: g' = e'·(y' − z'g)/(x' − z'e). Inward to the keel it
 * is r = (a, −1, −d) with the deadrise d' = a'·(y'd − z')/(x' + a·y'). A pointed end needs g = 0 there; how much e
 * swells between the ends is found by halving so that the beam is the one asked for. The next line up is where the
 * rulings reach its height, and serves as the chine of the next strake; the keel is where they reach the centreline.
 * Accuracy: the lines are traced in 800 steps; tables are rounded to 0.1 mm. Panels twist under 1° over the ranges
 * that `dimensionsOf` gives (starter.test.ts tries their corners).
 */
import { at, type Vec3 } from '../geometry';
import { linesOf, type LinesPart } from './schema';
import type { DimensionKey, Dimensions, StarterKind } from './starter-kinds';
import { tableFrom, type Traced } from './traced';

export const STARTER_NAMES: Readonly<Record<StarterKind, string>> = {
  skiff: 'Flat-bottomed skiff',
  pram: 'Pram with a bow transom',
  dory: 'Flat bottom, double flare',
  vee: 'V-bottom, one chine',
  'two-chine': 'V-bottom, two chines',
  'double-ender': 'Double-ender',
  slender: 'Slender hull of a pair',
};

export type Dimension = {
  readonly key: DimensionKey;
  readonly name: string;
  readonly unit: 'mm' | 'deg' | 'share';
  readonly least: number;
  readonly most: number;
  readonly usual: number;
};

type Family = {
  readonly isVee: boolean;
  readonly strakes: 1 | 2;
  readonly bow: 'pointed' | 'transom';
  readonly stern: 'pointed' | 'transom';
  /** Usual proportions: beam at the chine and at the sheer, depth, each over the length. */
  readonly beamChine: number;
  readonly beamSheer: number;
  readonly depth: number;
  readonly length: number;
};

const FAMILIES: Readonly<Record<StarterKind, Family>> = {
  skiff: {
    isVee: false,
    strakes: 1,
    bow: 'pointed',
    stern: 'transom',
    beamChine: 0.26,
    beamSheer: 0.34,
    depth: 0.11,
    length: 4000,
  },
  pram: {
    isVee: false,
    strakes: 1,
    bow: 'transom',
    stern: 'transom',
    beamChine: 0.35,
    beamSheer: 0.46,
    depth: 0.15,
    length: 2500,
  },
  dory: {
    isVee: false,
    strakes: 2,
    bow: 'pointed',
    stern: 'transom',
    beamChine: 0.17,
    beamSheer: 0.24,
    depth: 0.13,
    length: 4600,
  },
  vee: {
    isVee: true,
    strakes: 1,
    bow: 'pointed',
    stern: 'transom',
    beamChine: 0.29,
    beamSheer: 0.35,
    depth: 0.13,
    length: 4300,
  },
  'two-chine': {
    isVee: true,
    strakes: 2,
    bow: 'pointed',
    stern: 'transom',
    beamChine: 0.2,
    beamSheer: 0.27,
    depth: 0.13,
    length: 4500,
  },
  'double-ender': {
    isVee: true,
    strakes: 1,
    bow: 'pointed',
    stern: 'pointed',
    beamChine: 0.2,
    beamSheer: 0.24,
    depth: 0.1,
    length: 4800,
  },
  slender: {
    isVee: true,
    strakes: 1,
    bow: 'pointed',
    stern: 'transom',
    beamChine: 0.07,
    beamSheer: 0.08,
    depth: 0.1,
    length: 5000,
  },
};

/** The dimensions of a kind at a length, each with the range within which the panels develop. */
export function dimensionsOf(kind: StarterKind, lengthMm: number = FAMILIES[kind].length): Dimension[] {
  const family = FAMILIES[kind];
  const mm = (key: DimensionKey, name: string, share: number, least = 0.8, most = 1.2): Dimension => {
    const usual = Math.round((share * lengthMm) / 5) * 5;
    return { key, name, unit: 'mm', usual, least: Math.round(least * usual), most: Math.round(most * usual) };
  };
  const deg = (key: DimensionKey, name: string, usual: number, least: number, most: number): Dimension => ({
    key,
    name,
    unit: 'deg',
    usual,
    least,
    most,
  });
  const share = (key: DimensionKey, name: string, usual: number, least: number, most: number): Dimension => ({
    key,
    name,
    unit: 'share',
    usual,
    least,
    most,
  });
  const isDouble = family.stern === 'pointed';
  return [
    { key: 'length', name: 'Length', unit: 'mm', usual: lengthMm, least: 1800, most: 8000 },
    mm('beamSheer', 'Beam at the sheer', family.beamSheer, isDouble ? 1 : 0.94, isDouble ? 1.015 : 1.03),
    mm('beamChine', 'Beam at the chine', family.beamChine, isDouble ? 0.98 : 0.96, isDouble ? 1.02 : 1.06),
    ...(isDouble ? [] : [share('transomShare', 'Transom, of the beam', 0.88, 0.7, 0.97)]),
    ...(family.bow === 'transom' ? [share('bowShare', 'Bow, of the beam', 0.62, 0.5, 0.75)] : []),
    mm('depth', 'Depth amidships', family.depth, isDouble ? 1 : 0.9, 1.25),
    mm('bowHeight', isDouble ? 'Height of the ends' : 'Height of the bow', family.depth * 1.4, 0.9, 1.15),
    ...(isDouble ? [] : [mm('sternHeight', 'Height of the stern', family.depth * 1.05, 0.9, 1.15)]),
    mm('rocker', 'Rocker', 0.02, 0.4, 1.5),
    ...(family.isVee
      ? [
          deg(
            'deadriseDeg',
            'Deadrise amidships',
            kind === 'slender' ? 28 : 12,
            kind === 'slender' ? 15 : 6,
            kind === 'slender' ? 40 : 17,
          ),
        ]
      : []),
    deg(
      'stemRakeDeg',
      family.bow === 'transom' ? 'Rake of the bow' : isDouble ? 'Rake of the ends' : 'Rake of the stem',
      family.bow === 'transom' ? 32 : isDouble ? 33 : 30,
      isDouble ? 31 : 22,
      isDouble ? 35 : 42,
    ),
    ...(isDouble ? [] : [deg('transomRakeDeg', 'Rake of the transom', 12, 0, 22)]),
  ];
}

/** What is given, and the usual for the rest. */
const valueIn = (known: readonly Dimension[], given: Dimensions): Value => {
  const size = Object.fromEntries(known.map(({ key, usual }) => [key, given[key] ?? usual]));
  return (key) => size[key] ?? 0;
};

export type Started =
  | { readonly ok: true; readonly lines: LinesPart }
  | { readonly ok: false; readonly problems: readonly StarterProblem[] };

/** A dimension that does not work, and the nearest that does; `isByOthers`: as the other dimensions are. */
export type StarterProblem = { readonly key: DimensionKey; readonly nearest: number; readonly isByOthers?: boolean };

/** The table of a hull of these dimensions; those not given are usual. Refuses what lies outside its range, by name. */
export function startLines(kind: StarterKind, given: Dimensions): Started {
  const known = dimensionsOf(kind, given.length);
  const problems = known.flatMap(({ key, least, most }) => {
    const value = given[key];
    const isGood = value === undefined || (value >= least - 1e-9 && value <= most + 1e-9);
    return isGood ? [] : [{ key, nearest: Math.min(most, Math.max(least, value)) }];
  });
  if (problems.length > 0) return { ok: false, problems };
  const value = valueIn(known, given);
  const traced = traceHull(FAMILIES[kind], value);
  const beam = 2 * widest(at(traced, -1).points);
  if (Math.abs(beam / value('beamSheer') - 1) > BEAM_SHARE)
    return {
      ok: false,
      problems: [{ key: 'beamSheer', nearest: Math.round(beam), isByOthers: true }],
    };
  return { ok: true, lines: linesOf(tableFrom(traced, FAMILIES[kind])) };
}

/** A pointed bow limits the flare, and so the beam; this far off is said. */
const BEAM_SHARE = 0.01;

const STEPS = 800;
const tan = (deg: number): number => Math.tan((deg * Math.PI) / 180);
const left = (w: number): number => Math.max(0, 1 - w);

type Value = (key: DimensionKey) => number;
type Curve = (w: number) => number;

function traceHull(family: Family, value: Value): Traced[] {
  const isDouble = family.stern === 'pointed';
  const [bowLean, sternLean] = [
    -tan(value('stemRakeDeg')),
    isDouble ? tan(value('stemRakeDeg')) : tan(value('transomRakeDeg')),
  ];
  const sheerHeight = throughThree(
    value('bowHeight'),
    value('depth'),
    isDouble ? value('bowHeight') : value('sternHeight'),
    value('length'),
  );
  const chine = drawChine(family, value, { bowLean, sternLean, sheerHeight });
  const lines: Traced[] = [];
  if (family.isVee) lines.push({ id: 'keel', name: 'Keel', points: traceKeel(chine, value, sternLean, isDouble) });
  const wantedAt = (k: number) => widest(chine) + k * (value('beamSheer') / 2 - widest(chine));
  const input = { bowLean, sternLean, sheerHeight, family };
  if (family.strakes === 1) {
    const sheer = traceUp(chine, { ...input, halfBeam: wantedAt(1), part: 1 });
    return [...lines, { id: 'chine', name: 'Chine', points: chine }, { id: 'sheer', name: 'Sheer', points: sheer }];
  }
  // the lower strake takes less than half the depth and more than half the flare, so that the upper one stands steeper
  const upperChine = traceUp(chine, { ...input, halfBeam: wantedAt(LOWER_FLARE), part: LOWER_STRAKE });
  const sheer = traceUp(upperChine, { ...input, halfBeam: wantedAt(1), part: 1 });
  return [
    ...lines,
    { id: 'chine', name: family.isVee ? 'Lower chine' : 'Chine', points: chine },
    { id: 'upper-chine', name: 'Upper chine', points: upperChine },
    { id: 'sheer', name: 'Sheer', points: sheer },
  ];
}

const LOWER_STRAKE = 0.45;
const LOWER_FLARE = 0.55;

/** The parabola through three heights at bow, middle and stern of a length, by x. */
const throughThree =
  (bow: number, middle: number, stern: number, length: number): Curve =>
  (x) => {
    const w = x / length;
    return bow * (1 - w) * (1 - 2 * w) + 4 * middle * w * (1 - w) + stern * w * (2 * w - 1);
  };

/** How far up a ruling of lean e from (x, z) the sheer is: its height is drawn over x, so it is found by repetition. */
function riseTo(sheer: Curve, [x, , z]: Vec3, e: number): number {
  let rise = sheer(x) - z;
  for (let k = 0; k < 20; k++) rise = sheer(x + e * rise) - z;
  return rise;
}

type Ends = { readonly bowLean: number; readonly sternLean: number; readonly sheerHeight: Curve };

function drawChine(family: Family, value: Value, { bowLean, sternLean, sheerHeight }: Ends): Vec3[] {
  const breadth = planOf(family, value);
  const lift = family.isVee ? (tan(value('deadriseDeg')) * value('beamChine')) / 2 : 0;
  const height = chineHeight(family, value, lift);
  // the rulings of the ends are the stem and the transom: the sheer overhangs the chine by so much
  const length = value('length');
  const from = -bowLean * (sheerHeight(0) - height(0));
  const to = length - Math.max(0, sternLean * (sheerHeight(length) - height(1)));
  return Array.from({ length: STEPS + 1 }, (_, i): Vec3 => {
    const w = i / STEPS;
    return [from + w * (to - from), breadth(w), height(w)];
  });
}

/** Half-breadth of the chine: fullest a little abaft the middle. */
function planOf(family: Family, value: Value): Curve {
  const half = value('beamChine') / 2;
  if (family.stern === 'pointed') return (w) => half * (1 - 0.7 * (2 * w - 1) ** 2 - 0.3 * (2 * w - 1) ** 4);
  if (family.bow === 'transom') {
    const [bow, stern] = [1 - value('bowShare'), 1 - value('transomShare')];
    const middle = 1 / (1 + Math.sqrt(stern / bow));
    return (w) => half * (1 - bow * (1 - w / middle) ** 2);
  }
  const taper = (1 - value('transomShare')) * 1.15;
  const full: Curve = (w) => 1 - left(w) ** 2.3 - taper * w ** 3;
  const most = Math.max(...Array.from({ length: 101 }, (_, i) => full(i / 100)));
  return (w) => (half * full(w)) / most;
}

function chineHeight(family: Family, value: Value, lift: number): Curve {
  const rocker = value('rocker');
  if (family.stern === 'pointed') return (w) => lift + (2 * rocker + lift) * (2 * w - 1) ** 2;
  if (family.bow === 'transom') return (w) => 1.6 * rocker * (1 - 1.9 * w) ** 2;
  const rise = family.isVee ? 0.9 * lift + 1.2 * rocker : 1.5 * rocker;
  return (w) => lift + rise * left(w) ** 2.6 + 0.35 * rocker * w * w;
}

type UpInput = {
  readonly bowLean: number;
  readonly sternLean: number;
  readonly sheerHeight: Curve;
  /** Greatest half-breadth wanted. */
  readonly halfBeam: number;
  /** How much of the way to the sheer this strake goes. */
  readonly part: number;
  readonly family: Family;
};

/** The next line up a strake. */
function traceUp(base: readonly Vec3[], input: UpInput): Vec3[] {
  const { bowLean, sternLean, sheerHeight, halfBeam, part, family } = input;
  const isDouble = family.stern === 'pointed';
  // of a double-ender each end has its own swell: the nearer to the end the lean is given up, the more flare
  const lean =
    (swell: number): Curve =>
    (w) =>
      isDouble
        ? sternLean * Math.sign(2 * w - 1) * Math.abs(2 * w - 1) ** (2 + swell)
        : bowLean + (sternLean - bowLean) * w + swell * w * (1 - w);
  const bowFlare =
    family.bow === 'transom' ? bowFlareOf(base, halfBeam, part * riseTo(sheerHeight, at(base, STEPS / 2), 0)) : 0;
  const trace = (swell: number): Vec3[] => {
    const e = lean(swell);
    const g = flares(base, e, bowFlare);
    return base.map((point, i): Vec3 => {
      const [x, y, z] = point;
      const up = part * riseTo(sheerHeight, point, e(i / STEPS));
      // a pointed end is on the centreline, whatever the last digit of the integration says
      const isPoint = (i === 0 && family.bow === 'pointed') || (i === STEPS && isDouble);
      return [x + e(i / STEPS) * up, isPoint ? 0 : y + at(g, i) * up, z + up];
    });
  };
  // the beam grows with the swell; by halving
  let [low, high] = isDouble ? [-1, 10] : [-8, 10];
  for (let k = 0; k < HALVINGS; k++) {
    const swell = (low + high) / 2;
    if (widest(trace(swell)) < halfBeam) low = swell;
    else high = swell;
  }
  return trace((low + high) / 2);
}

/** Of a swell between −8 and 10: to a tenth of a millionth, and the beam to far less than a table says. */
const HALVINGS = 28;

const widest = (line: readonly Vec3[]): number => Math.max(...line.map((p) => p[1]));

/** A bow transom stands a little steeper than the sides amidships. */
const bowFlareOf = (base: readonly Vec3[], halfBeam: number, rise: number): number =>
  (0.8 * (halfBeam - widest(base))) / rise;

/** Flare along a base line, from the bow: g' = e'·(y' − z'g)/(x' − z'e), by Heun's steps. */
function flares(base: readonly Vec3[], e: Curve, bowFlare: number): number[] {
  const rate = (i: number, g: number) => {
    const [x, y, z] = slopeAt(base, i);
    return (slopeOf(e, i / STEPS) * (y - z * g)) / (x - z * e(i / STEPS));
  };
  const g = [bowFlare];
  for (let i = 0; i < STEPS; i++) {
    const here = at(g, -1);
    const first = rate(i, here);
    g.push(here + (first + rate(i + 1, here + first / STEPS)) / 2 / STEPS);
  }
  return g;
}

/** The keel: rulings inward to the centreline. */
function traceKeel(chine: readonly Vec3[], value: Value, sternLean: number, isDouble: boolean): Vec3[] {
  const [slope] = [slopeAt(chine, 0)];
  const most = Math.min(0.75, (0.6 * slope[0]) / Math.max(slope[1], 1e-9));
  const middle = tan(value('deadriseDeg'));
  // the transom's plane holds the keel's end too
  const a: Curve = isDouble ? (w) => most * (2 * w - 1) : (w) => -most * left(w) ** 1.7 - sternLean * middle * w;
  const rate = (i: number, d: number) => {
    const [x, y, z] = slopeAt(chine, i);
    return (slopeOf(a, i / STEPS) * (y * d - z)) / (x + a(i / STEPS) * y);
  };
  const d = new Array<number>(STEPS + 1).fill(middle);
  for (const by of [1, -1] as const)
    for (let i = STEPS / 2; i + by >= 0 && i + by <= STEPS; i += by) {
      const first = rate(i, at(d, i));
      d[i + by] = at(d, i) + (by * (first + rate(i + by, at(d, i) + (by * first) / STEPS))) / 2 / STEPS;
    }
  return chine.map(([x, y, z], i): Vec3 => [x + a(i / STEPS) * y, 0, z - at(d, i) * y]);
}

const STEP = 1e-4;
const slopeOf = (f: Curve, w: number): number =>
  (f(Math.min(1, w + STEP)) - f(Math.max(0, w - STEP))) / (Math.min(1, w + STEP) - Math.max(0, w - STEP));

/** Slope by w, from the neighbours; at the ends by the parabola through three. */
function slopeAt(line: readonly Vec3[], i: number): Vec3 {
  const k = Math.min(Math.max(i, 1), STEPS - 1);
  const [a, b, c] = [at(line, k - 1), at(line, k), at(line, k + 1)];
  const by = i - k; // −1, 0, 1
  const slope = (axis: 0 | 1 | 2) => ((c[axis] - a[axis]) / 2 + by * (a[axis] - 2 * b[axis] + c[axis])) * STEPS;
  return [slope(0), slope(1), slope(2)];
}
