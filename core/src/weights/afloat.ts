/**
 * How a hull lies in still water: so deep that it displaces its weight, and turned until the middle of what it
 * displaces is under its own.
 *
 * Method: of all planes under which the hull displaces its weight the one for which weight and water together have the
 * least energy, (G − B)·n: there the two middles stand over one another (the gradient is what they are apart, as the
 * depth follows), and a small push brings her back. Newton's method on the two slopes of the plane, with the second
 * derivatives from the second moments of the area that it cuts (the metacentre's: J/V less the lever), and as much
 * added as makes them positive, halving steps that do not lower the energy. The depth by Newton on the area, by the
 * secant once two levels are known, between bounds, from the plane through the middle of the last one's. It says how
 * she floats, not whether she is safe.
 */
import { at, dot3, sub3, unit3, type Vec3 } from '../geometry';
import { planeArea, span, under, type HullSolid, type PlaneArea, type Under, type WaterPlane } from './under';

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
  // of the area that the plane cuts, and of the skin's beside it, once two levels are known
  let slope = Math.max(state.planeMm2, 1);
  for (let step = 0; step < STEPS; step++) {
    const off = state.volumeMm3 - volumeMm3;
    if (Math.abs(off) <= VOLUME_SHARE * volumeMm3) break;
    if (off > 0) high = level;
    else low = level;
    const next = level - off / slope;
    const to = next > low && next < high ? next : (low + high) / 2;
    if (to === level) break;
    const there = under(hull, { normal, level: to });
    const found = (there.volumeMm3 - state.volumeMm3) / (to - level);
    slope = found > 0 ? found : Math.max(there.planeMm2, 1);
    [level, state] = [to, there];
  }
  return { level, state };
}
const STEPS = 80;
const VOLUME_SHARE = 1e-11;

/** Slopes further than this stand her on her side: 60°. */
const MOST_SLOPE = Math.tan(Math.PI / 3);
const MOST_STEP = 0.15;
/** So near over one another, mm, is over one another. */
const NEAR_MM = 1e-6;
const ROUNDS = 60;

export function floats(hull: HullSolid, weight: Weighed, density: number): Floating {
  const volume = weight.grams / perMm3(density);
  let through: Vec3 | undefined;
  const look = (slopes: Slopes) => {
    const normal = normalOf(slopes);
    // through the middle of the last one's area, about which it turns
    const found = levelFor(hull, normal, volume, through && dot3(through, normal));
    if (!found) return undefined;
    const area = planeArea(hull, { normal, level: found.level });
    through = area.middle;
    const lever = sub3(weight.at, found.state.middle);
    return {
      ...{ ...found, normal, energy: dot3(lever, normal), gradient: gradientOf(slopes, lever) },
      curving: curvingOf(slopes, lever, { area, volume: found.state.volumeMm3 }),
    };
  };
  let slopes: Slopes = [0, 0];
  let here = look(slopes);
  if (!here) return { ok: false, why: 'too heavy' };
  for (let round = 0; round < ROUNDS; round++) {
    const step = stepFrom(here.gradient, here.curving);
    if (Math.hypot(...here.gradient) < NEAR_MM && Math.hypot(...step) < SETTLED) break;
    let share = 1;
    let next: Slopes = slopes;
    let there: ReturnType<typeof look>;
    for (; share > LEAST_SHARE; share /= 2) {
      next = [slopes[0] + share * step[0], slopes[1] + share * step[1]];
      const tried = Math.max(...next.map(Math.abs)) > MOST_SLOPE ? undefined : look(next);
      // near rest the energies are one and the same figure, and what is left of the slopes tells them apart
      const isNearer =
        tried &&
        Math.hypot(...here.gradient) < RESTS_MM &&
        tried.energy <= here.energy + SAME_MM &&
        Math.hypot(...tried.gradient) < Math.hypot(...here.gradient);
      const isLower = tried && tried.energy < here.energy;
      if (isLower || isNearer) there = tried;
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
/** Energies over her weight: within the rounding of the middles. */
const SAME_MM = 1e-9;

/** Of the energy by the two slopes: what the middles are apart, along how the normal turns. */
function gradientOf([a, b]: Slopes, lever: Vec3): Slopes {
  const long = Math.hypot(a, b, 1);
  const normal: Vec3 = [a / long, b / long, 1 / long];
  const out = dot3(lever, normal);
  return [(lever[0] - out * normal[0]) / long, (lever[1] - out * normal[1]) / long];
}

/** Its second derivatives: by the first slope, by both, by the second. */
type Curving = readonly [number, number, number];

/** The plane turns about the middle of its area, and the middle of what is under goes with the wedges beside that. */
function curvingOf(
  slopes: Slopes,
  lever: Vec3,
  { area, volume }: { readonly area: PlaneArea; readonly volume: number },
): Curving {
  const long = Math.hypot(...slopes, 1);
  const normal = normalOf(slopes);
  const out = dot3(lever, normal);
  const { along, moments } = area;
  // how the normal turns with each slope, along the area's two directions: what is square to them falls away
  const turns = ([0, 1] as const).map((i) => along.map((way) => way[i] / long) as [number, number]);
  const second = (i: 0 | 1, j: 0 | 1): number => {
    const [[u, v], [s, t]] = [at(turns, i), at(turns, j)];
    const wedges = (u * s * moments[0] + (u * t + v * s) * moments[1] + v * t * moments[2]) / Math.max(volume, 1);
    const [p, q] = [normal[i], normal[j]];
    const bent = q * (lever[i] - p * out) + p * (lever[j] - q * out) + ((i === j ? 1 : 0) - p * q) * out;
    return wedges - bent / (long * long);
  };
  return [second(0, 0), second(0, 1), second(1, 1)];
}

/** A step downhill; off a ridge, where she would not stay, to starboard. */
function stepFrom(g: Slopes, [xx, xy, yy]: Curving): Slopes {
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
