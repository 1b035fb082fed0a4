/**
 * The shape that a plate takes between what holds it: the least energy, by Newton's method.
 *
 * Method (methods: bending a flat side): the stress in the tangent is kept by itself at each Gauss point and carried on
 * with each step as the step foresaw it (mixed integration points), which takes few steps where the sheet is thin; a
 * banded Cholesky, shifted where it fails; backtracking on the energy. Holds are stiff springs, far stiffer than the
 * sheet; a frame at a place along the boat moves along the edge as this bends. From a cold start the sheet is first
 * thick, then thinner. Metres.
 */
import { at } from '../geometry';
import { addTo, emptyBand, factor, solveFactored, type Band } from './banded';
import { basisAt, type Basis } from './b-spline';
import { COUNT, readSheet, sheetPlace, type Places, type Plate } from './plate';

/** Keeps a place of the sheet to a height, a breadth or a distance, m; by number: 0 x aft, 1 y out, 2 z up. */
export type PointHold = {
  readonly kind: 'point';
  readonly a: number;
  readonly b: number;
  readonly axis: 0 | 1 | 2;
  readonly to: number;
};
/** Keeps an edge (b 0 or 1) to a half-breadth where it passes x. */
export type FrameHold = { readonly kind: 'frame'; readonly b: 0 | 1; readonly x: number; readonly to: number };
export type Hold = PointHold | FrameHold;

export type Settled = {
  /** Control points, x y z one after another, m. */
  readonly shape: Float64Array;
  readonly isSettled: boolean;
  readonly steps: number;
  /** How far each hold is from being kept, m, and what it takes, of a plate whose bending stiffness is one. */
  readonly holds: readonly { readonly off: number; readonly pull: number }[];
};

/** Thickness in mm, stiffness of the holds. */
type Stage = { readonly thickness: number; readonly stiffness: number };
const COLD: readonly Stage[] = [
  { thickness: 100, stiffness: 1e4 },
  { thickness: 10, stiffness: 1e6 },
  { thickness: 1, stiffness: 1e8 },
];
/**
 * A step that moves nothing further than `still`, m, has settled; no more steps are taken in a stage. Hardly a sheet
 * takes more than fifty, a long one with much flare or little to hold it two or three hundred.
 */
type Care = { readonly still: number; readonly most: number };
const FINE: Care = { still: 2e-7, most: 300 };
/** For the eye alone, while a handle is dragged. */
const ROUGH: Care = { still: 2e-5, most: 60 };
const SHIFTS = [0, 1e-9, 1e-6, 1e-4, 1e-2, 1];
const HALVINGS = 12;
/**
 * Steps tried one after another until one lowers the energy. With the stress that the last step foresaw few are needed,
 * but it can point uphill; without it the tangent has no negative direction, and the step leads down, surely so when it
 * is short.
 */
const TRIALS = [
  { isForeseen: true, shift: 0 },
  { isForeseen: false, shift: 0 },
  { isForeseen: false, shift: 1e-4 },
  { isForeseen: false, shift: 1e-2 },
  { isForeseen: false, shift: 1 },
] as const;

export type Start = {
  readonly from: Float64Array;
  /** There is a shape near by, as after a handle was dragged: only the last stage is gone through. */
  readonly isWarm?: boolean;
  /** For the eye alone. */
  readonly isRough?: boolean;
};

export function settle(
  plate: Plate,
  holds: readonly Hold[],
  { from, isWarm = false, isRough = false }: Start,
): Settled {
  let shape: Float64Array = Float64Array.from(from);
  let steps = 0;
  let isSettled = false;
  for (const stage of isWarm ? COLD.slice(-1) : COLD) {
    const last = newton(plate, holds, { stage, shape, care: isRough ? ROUGH : FINE });
    shape = last.shape;
    steps += last.steps;
    isSettled = last.isSettled;
  }
  const { stiffness } = at(COLD, -1);
  const kept = holdRows(plate, holds, shape);
  return { shape, isSettled, steps, holds: kept.map(({ off }) => ({ off, pull: stiffness * off })) };
}

type State = { readonly stage: Stage; readonly shape: Float64Array };

function newton(
  plate: Plate,
  holds: readonly Hold[],
  { stage, shape: start, care: { still, most } }: State & { readonly care: Care },
) {
  let shape = start;
  const stiff = 12 / (stage.thickness / 1000) ** 2;
  const stress = new Float64Array(3 * plate.stretched.weight.length);
  let energy = energyOf(plate, holds, { stage, shape });
  foresee(stress, plate.stretched, { shape, way: new Float64Array(shape.length), share: 0, stiff });
  const none = new Float64Array(stress.length);
  for (let step = 1; step <= most; step++) {
    let taken: Taken | undefined;
    let longest = 0;
    for (let k = 0; k < TRIALS.length && !taken; k++) {
      const { isForeseen, shift } = at(TRIALS, k);
      const { band, slope } = tangent(plate, holds, { stage, shape, stress: isForeseen ? stress : none });
      const way = solved(band, slope, shift);
      if (!way) continue;
      longest = way.reduce((most, by) => Math.max(most, Math.abs(by)), 0);
      // less than this no energy can tell: it is the last
      if (longest < still) return { shape: movedBy(shape, way, 1), steps: step, isSettled: true };
      taken = downhill(plate, holds, { stage, shape, energy, way });
    }
    if (!taken) return { shape, steps: step, isSettled: longest < 50 * still };
    const { way, share } = taken;
    foresee(stress, plate.stretched, { shape, way, share, stiff });
    ({ shape, energy } = taken);
    if (longest * share < still) return { shape, steps: step, isSettled: true };
  }
  return { shape, steps: most, isSettled: false };
}

type Taken = {
  readonly way: Float64Array;
  readonly share: number;
  readonly shape: Float64Array;
  readonly energy: number;
};

/** The longest share of a step that does not raise the energy, by halving; undefined where none does. */
function downhill(
  plate: Plate,
  holds: readonly Hold[],
  { stage, shape, energy, way }: State & { readonly energy: number; readonly way: Float64Array },
): Taken | undefined {
  for (let k = 0, share = 1; k < HALVINGS; k++, share /= 2) {
    const next = movedBy(shape, way, share);
    const own = energyOf(plate, holds, { stage, shape: next });
    if (own <= energy + Math.abs(energy) * 1e-12) return { way, share, shape: next, energy: own };
  }
  return undefined;
}

/** Against a way, by a share of it. */
const movedBy = (shape: Float64Array, way: Float64Array, share: number): Float64Array =>
  shape.map((x, i) => x - share * way[i]!); // as long

function solved(band: Band, slope: Float64Array, least: number): Float64Array | undefined {
  for (const shift of SHIFTS) {
    if (shift < least) continue;
    const made = factor(band, shift);
    if (made) return solveFactored(made, slope);
  }
  return undefined;
}

/** The first derivatives of a shape at a Gauss point, by the flat coordinates: put where asked, as all below. */
function slopesAt({ points, du, dv }: Places, k: number, shape: Float64Array, out: Float64Array): void {
  out.fill(0);
  for (let m = COUNT * k; m < COUNT * (k + 1); m++) {
    const p = 3 * points[m]!; // all in bounds, here and below
    const u = du[m]!;
    const v = dv[m]!;
    for (let d = 0; d < 3; d++) {
      const x = shape[p + d]!;
      out[d] = out[d]! + u * x;
      out[3 + d] = out[3 + d]! + v * x;
    }
  }
}

/** Of the first derivatives: along with along, up with up, along with up. */
function productsOf(one: Float64Array, other: Float64Array, out: Float64Array): void {
  let [uu, vv, uv] = [0, 0, 0];
  for (let d = 0; d < 3; d++) {
    uu += one[d]! * other[d]!;
    vv += one[3 + d]! * other[3 + d]!;
    uv += (one[d]! * other[3 + d]! + one[3 + d]! * other[d]!) / 2;
  }
  out[0] = uu;
  out[1] = vv;
  out[2] = uv;
}

type Foreseen = {
  readonly shape: Float64Array;
  readonly way: Float64Array;
  readonly share: number;
  readonly stiff: number;
};

/** The stress after a share of a step, as the step foresees it: ½(FᵀF − 1) and what it changes at the first. */
function foresee(stress: Float64Array, places: Places, { shape, way, share, stiff }: Foreseen): void {
  const [own, by] = [new Float64Array(6), new Float64Array(6)];
  const [square, change] = [new Float64Array(3), new Float64Array(3)];
  for (let k = 0; k < places.weight.length; k++) {
    slopesAt(places, k, shape, own);
    slopesAt(places, k, way, by);
    productsOf(own, own, square);
    productsOf(own, by, change);
    for (let d = 0; d < 3; d++) stress[3 * k + d] = stiff * ((square[d]! - (d < 2 ? 1 : 0)) / 2 - share * change[d]!);
  }
}

function energyOf(plate: Plate, holds: readonly Hold[], { stage, shape }: State): number {
  const stiff = 12 / (stage.thickness / 1000) ** 2;
  const [own, square] = [new Float64Array(6), new Float64Array(3)];
  let sum = 0;
  for (let k = 0; k < plate.stretched.weight.length; k++) {
    slopesAt(plate.stretched, k, shape, own);
    productsOf(own, own, square);
    const [a, b, c] = [(square[0]! - 1) / 2, (square[1]! - 1) / 2, square[2]! / 2];
    sum += (plate.stretched.weight[k]! * stiff * (a * a + b * b + 2 * c * c)) / 2;
  }
  sum += bendingEnergy(plate.bending, shape);
  for (const { off } of holdRows(plate, holds, shape)) sum += (stage.stiffness * off * off) / 2;
  return sum;
}

/** Half of the shape times the matrix times the shape; the matrix is the same for each coordinate. */
function bendingEnergy({ size, half, rows }: Band, shape: Float64Array): number {
  let sum = 0;
  for (let p = 0; p < size; p++) {
    const row = p * half + half;
    let x = 0;
    let y = 0;
    let z = 0;
    for (let q = Math.max(0, p - half); q <= p; q++) {
      const by = q < p ? rows[row + q]! : rows[row + q]! / 2; // all in bounds
      x += by * shape[3 * q]!;
      y += by * shape[3 * q + 1]!;
      z += by * shape[3 * q + 2]!;
    }
    sum += x * shape[3 * p]! + y * shape[3 * p + 1]! + z * shape[3 * p + 2]!;
  }
  return sum;
}

type HoldRow = {
  readonly off: number;
  readonly points: Int32Array;
  readonly value: Float64Array;
  /** How the hold's figure follows each coordinate of the place. */
  readonly by: readonly [number, number, number];
};

const UNIT = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
] as const;

function holdRows(plate: Plate, holds: readonly Hold[], shape: Float64Array): HoldRow[] {
  return holds.map((hold): HoldRow => {
    const a = hold.kind === 'point' ? hold.a : alongAtX(plate, shape, hold);
    const place = hold.kind === 'point' ? fixedPlace(plate, hold) : sheetPlace(plate, a, hold.b);
    const position = readSheet(shape, place, place.value);
    if (hold.kind === 'point') return { ...pick(place), off: position[hold.axis] - hold.to, by: UNIT[hold.axis] };
    const { run } = edgeAt(plate, shape, a, hold.b);
    // beyond the edge's end it is held at the end
    const lean = a > 0 && a < 1 && Math.abs(run[0]) > 1e-6 ? run[1] / run[0] : 0;
    return { ...pick(place), off: position[1] - hold.to, by: [-lean, 1, 0] };
  });
}

/** A hold at a place of the sheet stays there: kept by plate and hold. */
const fixedPlaces = new WeakMap<Plate, WeakMap<PointHold, Places>>();
function fixedPlace(plate: Plate, hold: PointHold): Places {
  const own = fixedPlaces.get(plate) ?? new WeakMap<PointHold, Places>();
  fixedPlaces.set(plate, own);
  const place = own.get(hold) ?? sheetPlace(plate, hold.a, hold.b);
  own.set(hold, place);
  return place;
}

const pick = ({ points, value }: Places) => ({ points, value });

/** Place and run of an edge by the parameter along: its control points are the sheet's own, at either side. */
export function edgeAt(plate: Plate, shape: Float64Array, a: number, b: 0 | 1) {
  const { first, value, slope } = basisAt(plate.spans, a);
  const [position, run] = [[0, 0, 0] as [number, number, number], [0, 0, 0] as [number, number, number]];
  for (let k = 0; k < 4; k++) {
    const from = 3 * ((first + k) * plate.rows + (b === 0 ? 0 : plate.rows - 1));
    for (const d of [0, 1, 2] as const) {
      position[d] += value[k]! * shape[from + d]!; // four of each
      run[d] += slope[k]! * shape[from + d]!;
    }
  }
  return { position, run };
}

const LOOKS = 40;
const CUTS = 60;
/** Along the edge, as a share of it. */
const SAME_PLACE = 1e-13;

/** What each control point of an edge does at each of the places looked at, by the number of spans. */
const looksOf = new Map<number, readonly Basis[]>();
function looks(spans: number): readonly Basis[] {
  const made = looksOf.get(spans) ?? Array.from({ length: LOOKS + 1 }, (_, k) => basisAt(spans, k / LOOKS));
  looksOf.set(spans, made);
  return made;
}

/** Where an edge first passes x, by looking, then by secants between the ends of what is left; or its nearer end. */
function alongAtX(plate: Plate, shape: Float64Array, { b, x }: FrameHold): number {
  const { rows } = plate;
  const row = b === 0 ? 0 : rows - 1;
  const read = ({ first, value }: Basis) => {
    let sum = -x;
    for (let k = 0; k < 4; k++) sum += value[k]! * shape[3 * ((first + k) * rows + row)]!;
    return sum;
  };
  const all = looks(plate.spans).map(read);
  const next = all.findIndex((off) => off >= 0);
  if (next <= 0) return next === 0 ? 0 : 1;
  let [low, high] = [(next - 1) / LOOKS, next / LOOKS];
  let [under, over] = [at(all, next - 1), at(all, next)];
  // Illinois: an end that stays twice counts half
  let side = 0;
  for (let k = 0; k < CUTS && high - low > SAME_PLACE && over > 0; k++) {
    const between = low + ((high - low) * -under) / (over - under);
    const off = read(basisAt(plate.spans, between));
    if (Math.abs(off) < SAME_PLACE) return between;
    if (off < 0) {
      [low, under] = [between, off];
      if (side === -1) over /= 2;
      side = -1;
    } else {
      [high, over] = [between, off];
      if (side === 1) under /= 2;
      side = 1;
    }
  }
  return high;
}

type Pulled = State & { readonly stress: Float64Array };

/** The tangent and the slope of the energy at a shape. */
function tangent(plate: Plate, holds: readonly Hold[], { stage, shape, stress }: Pulled) {
  const band = emptyBand(plate.size, plate.half);
  const slope = new Float64Array(plate.size);
  bendingIn(band, slope, plate.bending, shape);
  stretchingIn(band, slope, plate.stretched, { stage, shape, stress });
  for (const { off, points, value, by } of holdRows(plate, holds, shape))
    points.forEach((p, m) => {
      by.forEach((own, d) => {
        slope[3 * p + d] = slope[3 * p + d]! + stage.stiffness * off * own * value[m]!; // sixteen
      });
      points.forEach((q, n) => {
        if (q > p) return;
        by.forEach((own, d) =>
          by.forEach((other, e) => {
            if ((p === q && e > d) || own === 0 || other === 0) return;
            addTo(band, 3 * p + d, 3 * q + e, stage.stiffness * own * other * value[m]! * value[n]!); // sixteen
          }),
        );
      });
    });
  return { band, slope };
}

/** Adds what bending pulls, the matrix times the shape, and the matrix: for each coordinate the same. */
function bendingIn(band: Band, slope: Float64Array, { size, half, rows }: Band, shape: Float64Array): void {
  for (let p = 0; p < size; p++)
    for (let q = Math.max(0, p - half); q <= p; q++) {
      const by = rows[p * half + half + q]!; // all in bounds
      if (by === 0) continue;
      for (let d = 0; d < 3; d++) {
        const [i, j] = [3 * p + d, 3 * q + d];
        const k = i * band.half + band.half + j;
        band.rows[k] = band.rows[k]! + by;
        slope[i] = slope[i]! + by * shape[j]!;
        if (q < p) slope[j] = slope[j]! + by * shape[i]!;
      }
    }
}

/**
 * Adds what stretching pulls, and how that changes, to slope and band.
 *
 * With r and s the first derivatives along and up at a Gauss point, and u, v of a control point's share there, the
 * three strains change with its coordinates as u·r, v·s and (v·r + u·s)/2. So what two of them have together is a sum
 * of r·rᵀ, s·sᵀ, r·sᵀ and s·rᵀ: nine figures written out, for here most of a step's time goes.
 */
function stretchingIn(band: Band, slope: Float64Array, places: Places, { stage, shape, stress }: Pulled): void {
  const stiff = 12 / (stage.thickness / 1000) ** 2;
  const { half, rows } = band;
  const { points, du, dv, weight } = places;
  const [own, square] = [new Float64Array(6), new Float64Array(3)];
  for (let k = 0; k < weight.length; k++) {
    slopesAt(places, k, shape, own);
    productsOf(own, own, square);
    const [rx, ry, rz] = [own[0]!, own[1]!, own[2]!];
    const [sx, sy, sz] = [own[3]!, own[4]!, own[5]!];
    const by = weight[k]! * stiff;
    const first = COUNT * k;
    const suu = (by * (square[0]! - 1)) / 2;
    const svv = (by * (square[1]! - 1)) / 2;
    const suv = (by * square[2]!) / 2;
    const tuu = weight[k]! * stress[3 * k]!;
    const tvv = weight[k]! * stress[3 * k + 1]!;
    const tuv = weight[k]! * stress[3 * k + 2]!;
    for (let m = 0; m < COUNT; m++) {
      const p = 3 * points[first + m]!;
      const mu = du[first + m]!;
      const mv = dv[first + m]!;
      const alongR = suu * mu + suv * mv;
      const alongS = svv * mv + suv * mu;
      slope[p] = slope[p]! + alongR * rx + alongS * sx;
      slope[p + 1] = slope[p + 1]! + alongR * ry + alongS * sy;
      slope[p + 2] = slope[p + 2]! + alongR * rz + alongS * sz;
      // where the band has this point's three rows, and column 0
      const row = p * half + half;
      // points come in rising order
      for (let n = 0; n <= m; n++) {
        const q = points[first + n]!;
        const nu = du[first + n]!;
        const nv = dv[first + n]!;
        const geometric = tuu * mu * nu + tvv * mv * nv + tuv * (mu * nv + mv * nu);
        const rr = by * (mu * nu + (mv * nv) / 2);
        const ss = by * (mv * nv + (mu * nu) / 2);
        const rs = (by * mv * nu) / 2;
        const sr = (by * mu * nv) / 2;
        // rows x, y, z of the one: what each of r and s has in them, to be met by the other's
        const xr = rr * rx + sr * sx;
        const xs = ss * sx + rs * rx;
        const yr = rr * ry + sr * sy;
        const ys = ss * sy + rs * ry;
        const zr = rr * rz + sr * sz;
        const zs = ss * sz + rs * rz;
        const x = row + 3 * q;
        const y = x + half;
        const z = y + half;
        rows[x] = rows[x]! + xr * rx + xs * sx + geometric;
        rows[y] = rows[y]! + yr * rx + ys * sx;
        rows[y + 1] = rows[y + 1]! + yr * ry + ys * sy + geometric;
        rows[z] = rows[z]! + zr * rx + zs * sx;
        rows[z + 1] = rows[z + 1]! + zr * ry + zs * sy;
        rows[z + 2] = rows[z + 2]! + zr * rz + zs * sz + geometric;
        if (n === m) continue; // beyond the diagonal
        rows[x + 1] = rows[x + 1]! + xr * ry + xs * sy;
        rows[x + 2] = rows[x + 2]! + xr * rz + xs * sz;
        rows[y + 2] = rows[y + 2]! + yr * rz + ys * sz;
      }
    }
  }
}
