/**
 * How a hull lies in still water: so deep that it displaces its weight, and turned until the middle of what it
 * displaces is under its own.
 *
 * Method: of all planes under which the hull displaces its weight the one for which weight and water together have the
 * least energy, (G − B)·n: there the two middles stand over one another (the gradient is what they are apart, as the
 * depth follows), and a small push brings her back. Newton's method on the two slopes of the plane, with the second
 * derivatives from differences and as much added as makes them positive, halving steps that do not lower the energy.
 * The depth by Newton on the area that the plane cuts, between bounds. It says how she floats, not whether she is safe.
 */
import { dot3, sub3, unit3, type Vec3 } from '../geometry';
import { span, under, type HullSolid, type Under, type WaterPlane } from './under';

export type Weighed = { readonly grams: number; readonly at: Vec3 };

export type Afloat = Under & {
  readonly plane: WaterPlane;
  /** Positive: bow down; starboard down. */
  readonly trimRad: number;
  readonly heelRad: number;
  /** More weight that sinks her a centimetre. */
  readonly gramsPerCm: number;
  /** From the float line to the lowest of the hull, along the plane's normal. */
  readonly draughtMm: number;
};

export type Floating =
  { readonly ok: true; readonly afloat: Afloat } | { readonly ok: false; readonly why: 'too heavy' | 'not settled' };

const G_PER_KG = 1000;
const MM3_PER_M3 = 1e9;
const perMm3 = (density: number): number => (density * G_PER_KG) / MM3_PER_M3;

const normalOf = ([a, b]: Slopes): Vec3 => unit3([a, b, 1]);
type Slopes = readonly [number, number];

/** The volume of a hull that is all under, whichever way it lies: the same for all that is asked of it. */
const wholes = new WeakMap<HullSolid, number>();
function wholeOf(hull: HullSolid): number {
  const normal: Vec3 = [0, 0, 1];
  const whole = wholes.get(hull) ?? under(hull, { normal, level: span(hull, normal)[1] }).volumeMm3;
  wholes.set(hull, whole);
  return whole;
}

/** The level at which so much is under; undefined where all of the hull is not so much. */
export function levelFor(
  hull: HullSolid,
  normal: Vec3,
  volumeMm3: number,
  guess?: number,
): { level: number; state: Under } | undefined {
  if (wholeOf(hull) < volumeMm3) return undefined;
  let [low, high] = span(hull, normal);
  const size = high - low;
  let level = guess !== undefined && guess > low && guess < high ? guess : low + size / 4;
  let state = under(hull, { normal, level });
  for (let step = 0; step < STEPS; step++) {
    const off = state.volumeMm3 - volumeMm3;
    if (Math.abs(off) <= VOLUME_SHARE * volumeMm3) break;
    if (off > 0) high = level;
    else low = level;
    const next = level - off / Math.max(state.planeMm2, 1);
    level = next > low && next < high ? next : (low + high) / 2;
    state = under(hull, { normal, level });
  }
  return { level, state };
}
const STEPS = 80;
const VOLUME_SHARE = 1e-11;

/** Slopes further than this stand her on her side: 60°. */
const MOST_SLOPE = Math.tan(Math.PI / 3);
const MOST_STEP = 0.15;
/** Between slopes, for the second derivatives. */
const APART = 1e-4;
/** So near over one another, mm, is over one another. */
const NEAR_MM = 1e-6;
const ROUNDS = 60;

export function floats(hull: HullSolid, weight: Weighed, density: number): Floating {
  const volume = weight.grams / perMm3(density);
  let guess: number | undefined;
  const look = (slopes: Slopes) => {
    const normal = normalOf(slopes);
    // through the same place as the last one found, which is near
    const found = levelFor(hull, normal, volume, guess);
    if (!found) return undefined;
    guess = found.level;
    const lever = sub3(weight.at, found.state.middle);
    return { ...found, normal, energy: dot3(lever, normal), gradient: gradientOf(slopes, lever) };
  };
  let slopes: Slopes = [0, 0];
  let here = look(slopes);
  if (!here) return { ok: false, why: 'too heavy' };
  for (let round = 0; round < ROUNDS; round++) {
    const step = stepFrom(slopes, here.gradient, (near) => look(near)?.gradient);
    if (!step) return { ok: false, why: 'not settled' };
    if (Math.hypot(...here.gradient) < NEAR_MM && Math.hypot(...step) < SETTLED) break;
    let share = 1;
    let next: Slopes = slopes;
    let there: ReturnType<typeof look>;
    for (; share > LEAST_SHARE; share /= 2) {
      next = [slopes[0] + share * step[0], slopes[1] + share * step[1]];
      const tried = Math.max(...next.map(Math.abs)) > MOST_SLOPE ? undefined : look(next);
      if (tried && tried.energy < here.energy) there = tried;
      if (there) break;
    }
    // no lower place near: she rests, as nearly as the figures say, or would go on over
    if (!there && Math.hypot(...here.gradient) < RESTS_MM) break;
    if (!there) return { ok: false, why: 'not settled' };
    slopes = next;
    here = there;
  }
  if (Math.hypot(...here.gradient) >= RESTS_MM) return { ok: false, why: 'not settled' };
  const { normal, level, state } = here;
  const plane = { normal, level };
  return {
    ok: true,
    afloat: {
      ...{ ...state, plane },
      trimRad: Math.atan2(normal[0], normal[2]),
      heelRad: Math.atan2(-normal[1], normal[2]),
      gramsPerCm: state.planeMm2 * 10 * perMm3(density),
      draughtMm: level - span(hull, normal)[0],
    },
  };
}
const LEAST_SHARE = 1e-4;
/** So near over one another is at rest where no step finds a lower place, mm. */
const RESTS_MM = 1e-3;
const SETTLED = 1e-7;

/** Of the energy by the two slopes: what the middles are apart, along how the normal turns. */
function gradientOf([a, b]: Slopes, lever: Vec3): Slopes {
  const long = Math.hypot(a, b, 1);
  const normal: Vec3 = [a / long, b / long, 1 / long];
  const out = dot3(lever, normal);
  return [(lever[0] - out * normal[0]) / long, (lever[1] - out * normal[1]) / long];
}

/** A step downhill; off a ridge, where she would not stay, to starboard. */
function stepFrom(slopes: Slopes, g: Slopes, gradientAt: (near: Slopes) => Slopes | undefined): Slopes | undefined {
  const [right, up] = [gradientAt([slopes[0] + APART, slopes[1]]), gradientAt([slopes[0], slopes[1] + APART])];
  if (!right || !up) return undefined;
  const xx = (right[0] - g[0]) / APART;
  const yy = (up[1] - g[1]) / APART;
  const xy = ((right[1] - g[1]) / APART + (up[0] - g[0]) / APART) / 2;
  // the smaller of the two principal values
  const least = (xx + yy) / 2 - Math.hypot((xx - yy) / 2, xy);
  const size = Math.max(Math.abs(xx), Math.abs(yy), 1e-6);
  // on a ridge she does not stay: over to the side to which she leans
  if (least < -RIDGE_SHARE * size && Math.hypot(...g) < RESTS_MM) return [0, g[1] < 0 ? RIDGE_STEP : -RIDGE_STEP];
  const added = least > 1e-3 * size ? 0 : 1e-2 * size - least;
  const [p, q] = [xx + added, yy + added];
  const det = p * q - xy * xy;
  const step: Slopes = [(-q * g[0] + xy * g[1]) / det, (xy * g[0] - p * g[1]) / det];
  const long = Math.hypot(...step);
  return long > MOST_STEP ? [(step[0] * MOST_STEP) / long, (step[1] * MOST_STEP) / long] : step;
}
const RIDGE_STEP = 0.02;
/** Curved down by less than that of the other way is level. */
const RIDGE_SHARE = 1e-4;
