/**
 * A thin plate as a bicubic spline sheet: what it costs to stretch and to bend it, and how that changes.
 *
 * Method (methods: bending a flat side). In metres. Stretching: half the square of ½(FᵀF − 1), in the flat sheet's own
 * coordinates, at 2 × 2 Gauss points a span, times 12/t²; bending: half of x_uu² + 2 x_uv² + x_vv² over the flat sheet,
 * 3 × 3 points, which is quadratic in the shape, so its matrix does not change. Poisson's ratio is nought. Unknowns are
 * the control points' coordinates, along the sheet first, so that the matrix is a band.
 */
import { at, solveDense, type Vec2 } from '../geometry';
import { addTo, emptyBand, type Band } from './banded';
import { basisAt, controlCount, greville, type Basis } from './b-spline';

/**
 * Spans across: between the places at which stretching is measured the edges can give without its being felt, by half a
 * millimetre and the shape by two with the fewer, in a side of four metres; by a tenth, and two tenths, with the more.
 */
export const ACROSS = { rough: 2, fine: 4 } as const;

/** A place of the sheet: the control points that have a say there, and how much, by the flat sheet's coordinates. */
export type SheetPlace = {
  /** Numbers of control points, sixteen, in rising order. */
  readonly points: readonly number[];
  readonly value: readonly number[];
  /** By the parameter along. */
  readonly da: readonly number[];
  readonly du: readonly number[];
  readonly dv: readonly number[];
  readonly duu: readonly number[];
  readonly duv: readonly number[];
  readonly dvv: readonly number[];
  /** Flat area of a unit of the parameters. */
  readonly area: number;
};

export type Plate = {
  readonly spans: number;
  readonly across: number;
  /** Control points across. */
  readonly rows: number;
  readonly size: number;
  readonly half: number;
  /** Control points of the flat sheet, m. */
  readonly flat: readonly Vec2[];
  readonly stretched: readonly (SheetPlace & { readonly weight: number })[];
  /** The same, packed for the solver: sixteen figures a place. */
  readonly packed: Packed;
  readonly bending: Band;
  readonly bendPlaces: readonly (SheetPlace & { readonly weight: number })[];
};

export type Packed = {
  readonly points: Int32Array;
  readonly du: Float64Array;
  readonly dv: Float64Array;
  /** One a place. */
  readonly weight: Float64Array;
};

const GAUSS2 = [-1, 1].map((side) => ({ x: side / Math.sqrt(3), weight: 1 }));
const GAUSS3 = [
  { x: -Math.sqrt(0.6), weight: 5 / 9 },
  { x: 0, weight: 8 / 9 },
  { x: Math.sqrt(0.6), weight: 5 / 9 },
];

/** @param flatAt the flat sheet, m, by the parameters along from the bow and up from the lower edge */
export function plateOf(flatAt: (a: number, b: number) => Vec2, spans: number, across: number): Plate {
  const sheet: Sheet = { spans, across, rows: controlCount(across), flat: flatControls(flatAt, spans, across) };
  const size = 3 * controlCount(spans) * sheet.rows;
  const half = 3 * (3 * sheet.rows + 3) + 2;
  const gauss = (rule: typeof GAUSS3) => {
    const of = (count: number) =>
      Array.from({ length: count }, (_, cell) =>
        rule.map(({ x, weight }) => ({ basis: basisAt(count, (cell + (1 + x) / 2) / count), weight: weight / count })),
      );
    const up = of(across);
    return of(spans).flatMap((alongs) =>
      up.flatMap((ups) =>
        alongs.flatMap((one) =>
          ups.map((other) => {
            const place = placeOf(sheet, one.basis, other.basis);
            return { ...place, weight: (place.area * one.weight * other.weight) / 4 };
          }),
        ),
      ),
    );
  };
  const bendPlaces = gauss(GAUSS3);
  const bending = emptyBand(size, half);
  for (const { points, duu, duv, dvv, weight } of bendPlaces)
    for (let m = 0; m < COUNT; m++)
      // in rising order
      for (let n = 0; n <= m; n++) {
        const p = points[m]!; // sixteen each
        const q = points[n]!;
        const by = weight * (duu[m]! * duu[n]! + 2 * duv[m]! * duv[n]! + dvv[m]! * dvv[n]!);
        for (let d = 0; d < 3; d++) addTo(bending, 3 * p + d, 3 * q + d, by);
      }
  const stretched = gauss(GAUSS2);
  const packed = {
    points: Int32Array.from(stretched.flatMap(({ points }) => points)),
    du: Float64Array.from(stretched.flatMap(({ du }) => du)),
    dv: Float64Array.from(stretched.flatMap(({ dv }) => dv)),
    weight: Float64Array.from(stretched.map(({ weight }) => weight)),
  };
  return { ...sheet, size, half, stretched, packed, bending, bendPlaces };
}

/** The flat sheet in the same basis. */
function flatControls(flatAt: (a: number, b: number) => Vec2, spans: number, across: number): Vec2[] {
  const [us, vs] = controlsThrough(flatAt, spans, across);
  return (us ?? []).map((u, k): Vec2 => [u, at(vs ?? [], k)]);
}

/** The control points of a sheet that passes where it is asked to at the places where each has most say: by axes. */
export function controlsThrough(
  valueAt: (a: number, b: number) => readonly number[],
  spans: number,
  acrossSpans: number,
): number[][] {
  const [along, up] = [greville(spans), greville(acrossSpans)];
  const matrixOf = (count: number, places: readonly number[]) =>
    places.map((t) => {
      const { first, value } = basisAt(count, t);
      const row = new Array<number>(places.length).fill(0);
      value.forEach((by, k) => (row[first + k] = by));
      return row;
    });
  const [alongMatrix, upMatrix] = [matrixOf(spans, along), matrixOf(acrossSpans, up)];
  const wanted = along.map((a) => up.map((b) => valueAt(a, b)));
  return at(at(wanted, 0), 0).map((_, axis) => {
    // first across each place along, then along each row
    const across = wanted.map((row) =>
      solveDense(
        upMatrix,
        row.map((value) => at(value, axis)),
      ),
    );
    const rows = up.map((__, j) =>
      solveDense(
        alongMatrix,
        across.map((row) => at(row, j)),
      ),
    );
    return along.flatMap((__, i) => rows.map((row) => at(row, i)));
  });
}

/** What control points do at a place of the sheet. */
export const sheetPlace = (sheet: Sheet, a: number, b: number): SheetPlace =>
  placeOf(sheet, basisAt(sheet.spans, a), basisAt(sheet.across, b));

type Sheet = Pick<Plate, 'spans' | 'across' | 'rows' | 'flat'>;

/** Control points with a say at a place. */
export const COUNT = 16;
function column(of: (k: number) => number): number[] {
  const out = new Array<number>(COUNT);
  for (let k = 0; k < COUNT; k++) out[k] = of(k);
  return out;
}

function placeOf({ flat, rows }: Sheet, along: Basis, up: Basis): SheetPlace {
  const i = (k: number) => k >> 2;
  const j = (k: number) => k & 3;
  // four of each
  const product = (one: readonly number[], other: readonly number[]) => column((k) => one[i(k)]! * other[j(k)]!);
  const points = column((k) => (along.first + i(k)) * rows + up.first + j(k));
  const value = product(along.value, up.value);
  const [na, nb] = [product(along.slope, up.value), product(along.value, up.slope)];
  const [aa, ab, bb] = [
    product(along.second, up.value),
    product(along.slope, up.slope),
    product(along.value, up.second),
  ];
  const sum = (axis: 0 | 1, by: readonly number[]) => {
    let total = 0;
    for (let k = 0; k < COUNT; k++) total += by[k]! * flat[points[k]!]![axis]; // sixteen
    return total;
  };
  const [ua, ub, va, vb] = [sum(0, na), sum(0, nb), sum(1, na), sum(1, nb)];
  const area = ua * vb - ub * va;
  // da/du, da/dv, db/du, db/dv
  const [au, av, bu, bv] = [vb / area, -ub / area, -va / area, ua / area];
  const du = column((k) => na[k]! * au + nb[k]! * bu);
  const dv = column((k) => na[k]! * av + nb[k]! * bv);
  // second derivatives by the parameters, less what the map itself bends, turned into those by the flat coordinates
  const less = (own: readonly number[]) => {
    const [u, v] = [sum(0, own), sum(1, own)];
    return column((k) => own[k]! - du[k]! * u - dv[k]! * v);
  };
  const [laa, lab, lbb] = [less(aa), less(ab), less(bb)];
  return {
    ...{ points, area, du, dv, value, da: na },
    duu: column((k) => laa[k]! * au * au + 2 * lab[k]! * au * bu + lbb[k]! * bu * bu),
    duv: column((k) => laa[k]! * au * av + lab[k]! * (au * bv + av * bu) + lbb[k]! * bu * bv),
    dvv: column((k) => laa[k]! * av * av + 2 * lab[k]! * av * bv + lbb[k]! * bv * bv),
  };
}

/** A quantity of the bent sheet at a place: in space, m, for what is asked of it there. */
export function readSheet(
  shape: Float64Array,
  points: readonly number[],
  by: readonly number[],
): [number, number, number] {
  let [x, y, z] = [0, 0, 0];
  for (let k = 0; k < points.length; k++) {
    const [p, share] = [3 * points[k]!, by[k]!]; // sixteen points of the sheet
    x += shape[p]! * share;
    y += shape[p + 1]! * share;
    z += shape[p + 2]! * share;
  }
  return [x, y, z];
}

/** The flat place, m, at the parameters along and up. */
export function readFlat({ flat }: Sheet, { points, value }: SheetPlace): Vec2 {
  let [u, v] = [0, 0];
  for (let k = 0; k < points.length; k++) {
    const [p, share] = [flat[points[k]!]!, value[k]!]; // sixteen points of the sheet
    u += p[0] * share;
    v += p[1] * share;
  }
  return [u, v];
}
