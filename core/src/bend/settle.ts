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
import { basisAt } from './b-spline';
import { readSheet, ROWS, sheetPlace, type Plate, type SheetPlace } from './plate';

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
const MOST_STEPS = 60;
/** A step that moves nothing further has settled, m. */
const STILL = 2e-7;
const SHIFTS = [0, 1e-9, 1e-6, 1e-4, 1e-2, 1];
const HALVINGS = 12;

/** @param from where there is a shape near by, as after a handle was dragged: only the last stage is gone through */
export function settle(plate: Plate, holds: readonly Hold[], from: Float64Array, isWarm = false): Settled {
  let shape: Float64Array = Float64Array.from(from);
  let steps = 0;
  let isSettled = false;
  for (const stage of isWarm ? COLD.slice(-1) : COLD) {
    const last = newton(plate, holds, { stage, shape });
    shape = last.shape;
    steps += last.steps;
    isSettled = last.isSettled;
  }
  const { stiffness } = at(COLD, -1);
  const kept = holdRows(plate, holds, shape);
  return { shape, isSettled, steps, holds: kept.map(({ off }) => ({ off, pull: stiffness * off })) };
}

type State = { readonly stage: Stage; readonly shape: Float64Array };

function newton(plate: Plate, holds: readonly Hold[], { stage, shape: start }: State) {
  let shape = start;
  const stiff = 12 / (stage.thickness / 1000) ** 2;
  const stress = new Float64Array(3 * plate.stretched.length);
  let energy = energyOf(plate, holds, { stage, shape });
  plate.stretched.forEach((place, k) => stressAt(place, shape).forEach((e, i) => (stress[3 * k + i] = stiff * e)));
  for (let step = 1; step <= MOST_STEPS; step++) {
    const { band, slope } = tangent(plate, holds, { stage, shape, stress });
    const way = solved(band, slope);
    if (!way) return { shape, steps: step, isSettled: false };
    const longest = way.reduce((most, by) => Math.max(most, Math.abs(by)), 0);
    let share = 1;
    let taken: { shape: Float64Array; energy: number } | undefined;
    for (let k = 0; k < HALVINGS && !taken; k++, share /= 2) {
      const next = shape.map((x, i) => x - share * way[i]!); // as long
      const own = energyOf(plate, holds, { stage, shape: next });
      if (own <= energy + Math.abs(energy) * 1e-12) taken = { shape: next, energy: own };
    }
    if (!taken) return { shape, steps: step, isSettled: longest < 50 * STILL };
    // the stress as the step foresaw it
    const went = 2 * share;
    plate.stretched.forEach((place, k) => {
      const foreseen = stressAlong(place, shape, way, went);
      foreseen.forEach((e, i) => (stress[3 * k + i] = stiff * e));
    });
    ({ shape, energy } = taken);
    if (longest * went < STILL) return { shape, steps: step, isSettled: true };
  }
  return { shape, steps: MOST_STEPS, isSettled: false };
}

function solved(band: Band, slope: Float64Array): Float64Array | undefined {
  for (const shift of SHIFTS) {
    const made = factor(band, shift);
    if (made) return solveFactored(made, slope);
  }
  return undefined;
}

/** Along, up, and both: ½(FᵀF − 1). */
function stressAt({ points, du, dv }: SheetPlace, shape: Float64Array): [number, number, number] {
  const [u, v] = [readSheet(shape, points, du), readSheet(shape, points, dv)];
  return [(dot(u, u) - 1) / 2, (dot(v, v) - 1) / 2, dot(u, v) / 2];
}

function stressAlong({ points, du, dv }: SheetPlace, shape: Float64Array, way: Float64Array, share: number) {
  const [u, v] = [readSheet(shape, points, du), readSheet(shape, points, dv)];
  const [su, sv] = [readSheet(way, points, du), readSheet(way, points, dv)];
  return [
    (dot(u, u) - 1) / 2 - share * dot(u, su),
    (dot(v, v) - 1) / 2 - share * dot(v, sv),
    dot(u, v) / 2 - (share * (dot(u, sv) + dot(v, su))) / 2,
  ];
}

/** Of three each. */
const dot = (a: readonly number[], b: readonly number[]): number => a[0]! * b[0]! + a[1]! * b[1]! + a[2]! * b[2]!;

function energyOf(plate: Plate, holds: readonly Hold[], { stage, shape }: State): number {
  const stiff = 12 / (stage.thickness / 1000) ** 2;
  let sum = 0;
  for (const place of plate.stretched) {
    const [a, b, c] = stressAt(place, shape);
    sum += (place.weight * stiff * (a * a + b * b + 2 * c * c)) / 2;
  }
  sum += bendingEnergy(plate.bending, shape);
  for (const { off } of holdRows(plate, holds, shape)) sum += (stage.stiffness * off * off) / 2;
  return sum;
}

/** Half of the shape times the matrix times the shape. */
function bendingEnergy({ size, half, rows }: Band, shape: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < size; i++) {
    const row = i * (half + 1) + half - i;
    const own = shape[i]!; // all in bounds
    let left = 0;
    for (let j = Math.max(0, i - half); j < i; j++) left += rows[row + j]! * shape[j]!;
    sum += own * (left + (rows[row + i]! * own) / 2);
  }
  return sum;
}

type HoldRow = {
  readonly off: number;
  readonly points: readonly number[];
  readonly value: readonly number[];
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
    const position = readSheet(shape, place.points, place.value);
    if (hold.kind === 'point') return { ...pick(place), off: position[hold.axis] - hold.to, by: UNIT[hold.axis] };
    const { run } = edgeAt(plate, shape, a, hold.b);
    // beyond the edge's end it is held at the end
    const lean = a > 0 && a < 1 && Math.abs(run[0]) > 1e-6 ? run[1] / run[0] : 0;
    return { ...pick(place), off: position[1] - hold.to, by: [-lean, 1, 0] };
  });
}

/** A hold at a place of the sheet stays there: kept by plate and hold. */
const fixedPlaces = new WeakMap<Plate, WeakMap<PointHold, SheetPlace>>();
function fixedPlace(plate: Plate, hold: PointHold): SheetPlace {
  const own = fixedPlaces.get(plate) ?? new WeakMap<PointHold, SheetPlace>();
  fixedPlaces.set(plate, own);
  const place = own.get(hold) ?? sheetPlace(plate, hold.a, hold.b);
  own.set(hold, place);
  return place;
}

const pick = ({ points, value }: SheetPlace) => ({ points, value });

/** Place and run of an edge by the parameter along: its control points are the sheet's own, at either side. */
function edgeAt(plate: Plate, shape: Float64Array, a: number, b: 0 | 1) {
  const { first, value, slope } = basisAt(plate.spans, a);
  const [position, run] = [[0, 0, 0] as [number, number, number], [0, 0, 0] as [number, number, number]];
  for (let k = 0; k < 4; k++) {
    const from = 3 * ((first + k) * ROWS + (b === 0 ? 0 : ROWS - 1));
    for (const d of [0, 1, 2] as const) {
      position[d] += value[k]! * shape[from + d]!; // four of each
      run[d] += slope[k]! * shape[from + d]!;
    }
  }
  return { position, run };
}

const LOOKS = 40;
const CUTS = 40;

/** Where an edge first passes x, by halving; its nearer end where it does not. */
function alongAtX(plate: Plate, shape: Float64Array, { b, x }: FrameHold): number {
  const read = (a: number) => edgeAt(plate, shape, a, b).position[0] - x;
  let low = 0;
  if (read(0) >= 0) return 0;
  for (let k = 1; k <= LOOKS; k++) {
    const next = read(k / LOOKS);
    if (next >= 0) {
      let high = k / LOOKS;
      for (let i = 0; i < CUTS; i++) {
        const middle = (low + high) / 2;
        if (read(middle) < 0) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    }
    low = k / LOOKS;
  }
  return 1;
}

type Pulled = State & { readonly stress: Float64Array };

/** The tangent and the slope of the energy at a shape. */
function tangent(plate: Plate, holds: readonly Hold[], { stage, shape, stress }: Pulled) {
  const stiff = 12 / (stage.thickness / 1000) ** 2;
  const band = emptyBand(plate.size, plate.half);
  band.rows.set(plate.bending.rows);
  const slope = new Float64Array(plate.size);
  // what bending pulls: its matrix times the shape
  const { rows, half } = plate.bending;
  for (let i = 0; i < plate.size; i++)
    for (let j = Math.max(0, i - half); j <= i; j++) {
      const by = rows[i * (half + 1) + half - i + j]!; // in the band
      if (by === 0) continue;
      slope[i] = slope[i]! + by * shape[j]!;
      if (j < i) slope[j] = slope[j]! + by * shape[i]!;
    }
  const rowUu = new Float64Array(48);
  const rowVv = new Float64Array(48);
  const rowUv = new Float64Array(48);
  plate.stretched.forEach(({ points, du, dv, weight }, k) => {
    const [u, v] = [readSheet(shape, points, du), readSheet(shape, points, dv)];
    const [euu, evv, euv] = [(dot(u, u) - 1) / 2, (dot(v, v) - 1) / 2, dot(u, v) / 2];
    for (let m = 0; m < 16; m++)
      for (let d = 0; d < 3; d++) {
        rowUu[3 * m + d] = u[d]! * du[m]!; // sixteen points of three
        rowVv[3 * m + d] = v[d]! * dv[m]!;
        rowUv[3 * m + d] = (u[d]! * dv[m]! + v[d]! * du[m]!) / 2;
      }
    const by = weight * stiff;
    const [suu, svv, suv] = [weight * stress[3 * k]!, weight * stress[3 * k + 1]!, weight * stress[3 * k + 2]!];
    for (let m = 0; m < 16; m++) {
      const p = points[m]!;
      for (let d = 0; d < 3; d++) {
        const i = 3 * m + d;
        slope[3 * p + d] = slope[3 * p + d]! + by * (euu * rowUu[i]! + evv * rowVv[i]! + 2 * euv * rowUv[i]!);
      }
      for (let n = 0; n < 16; n++) {
        const q = points[n]!;
        if (q > p) continue;
        const geometric = suu * du[m]! * du[n]! + svv * dv[m]! * dv[n]! + suv * (du[m]! * dv[n]! + dv[m]! * du[n]!);
        for (let d = 0; d < 3; d++) {
          const i = 3 * m + d;
          const row = (3 * p + d) * half + half + 3 * q; // where the band has this row and column 0 of q
          const last = p === q ? d : 2;
          for (let e = 0; e <= last; e++) {
            const j = 3 * n + e;
            const own = rowUu[i]! * rowUu[j]! + rowVv[i]! * rowVv[j]! + 2 * rowUv[i]! * rowUv[j]!;
            band.rows[row + e] = band.rows[row + e]! + by * own + (d === e ? geometric : 0);
          }
        }
      }
    }
  });
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
