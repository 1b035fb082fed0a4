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

type Rule = readonly { readonly x: number; readonly weight: number }[];
type GaussPlaces = readonly (readonly { readonly basis: Basis; readonly weight: number }[])[];

/** Span by span: the same for every sheet of so many spans. */
const gaussKept = new Map<string, GaussPlaces>();
function gaussPlaces(count: number, rule: Rule): GaussPlaces {
  const key = `${count} ${rule.length}`;
  const made =
    gaussKept.get(key) ??
    Array.from({ length: count }, (_, cell) =>
      rule.map(({ x, weight }) => ({ basis: basisAt(count, (cell + (1 + x) / 2) / count), weight: weight / count })),
    );
  gaussKept.set(key, made);
  return made;
}

/** @param flatAt the flat sheet, m, by the parameters along from the bow and up from the lower edge */
export function plateOf(flatAt: (a: number, b: number) => Vec2, spans: number, across: number): Plate {
  const sheet: Sheet = { spans, across, rows: controlCount(across), flat: flatControls(flatAt, spans, across) };
  const size = 3 * controlCount(spans) * sheet.rows;
  const half = 3 * (3 * sheet.rows + 3) + 2;
  const gauss = (rule: Rule) => {
    const up = gaussPlaces(across, rule);
    return gaussPlaces(spans, rule).flatMap((alongs) =>
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
  const bending = bendingOf(bendPlaces, size, half);
  const stretched = gauss(GAUSS2);
  const packed = {
    points: Int32Array.from(stretched.flatMap(({ points }) => points)),
    du: Float64Array.from(stretched.flatMap(({ du }) => du)),
    dv: Float64Array.from(stretched.flatMap(({ dv }) => dv)),
    weight: Float64Array.from(stretched.map(({ weight }) => weight)),
  };
  return { ...sheet, size, half, stretched, packed, bending, bendPlaces };
}

/** The same for each of the three coordinates: summed up for one, a third as large. */
function bendingOf(places: Plate['bendPlaces'], size: number, half: number): Band {
  const [one, reach] = [size / 3, (half - 2) / 3];
  const own = new Float64Array(one * (reach + 1));
  for (const { points, duu, duv, dvv, weight } of places)
    for (let m = 0; m < COUNT; m++) {
      const p = points[m]!; // sixteen each
      const [uu, uv, vv] = [weight * duu[m]!, 2 * weight * duv[m]!, weight * dvv[m]!];
      const row = p * (reach + 1) + reach - p;
      // in rising order
      for (let n = 0; n <= m; n++) own[row + points[n]!]! += uu * duu[n]! + uv * duv[n]! + vv * dvv[n]!;
    }
  const band = emptyBand(size, half);
  for (let p = 0; p < one; p++)
    for (let q = Math.max(0, p - reach); q <= p; q++) {
      const by = own[p * (reach + 1) + reach - p + q]!; // within the band
      if (by !== 0) for (let d = 0; d < 3; d++) addTo(band, 3 * p + d, 3 * q + d, by);
    }
  return band;
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
  const wanted = greville(spans).map((a) => greville(acrossSpans).map((b) => valueAt(a, b)));
  const [alongBy, upBy] = [throughGreville(spans), throughGreville(acrossSpans)];
  return at(at(wanted, 0), 0).map((_, axis) => {
    // first across each place along, then along each row
    const across = wanted.map((row) => upBy.map((by) => sumOf(by, (j) => row[j]![axis]!)));
    return alongBy.flatMap((by) => upBy.map((__, j) => sumOf(by, (i) => across[i]![j]!)));
  });
}

function sumOf(by: readonly number[], of: (k: number) => number): number {
  let sum = 0;
  for (let k = 0; k < by.length; k++) sum += by[k]! * of(k); // as many as places
  return sum;
}

/** Each control point of a line of so many spans by what the line is at the places where each has most say. */
const throughKept = new Map<number, readonly (readonly number[])[]>();
function throughGreville(spans: number): readonly (readonly number[])[] {
  const kept = throughKept.get(spans);
  if (kept) return kept;
  const places = greville(spans);
  const matrix = places.map((t) => {
    const { first, value } = basisAt(spans, t);
    const row = new Array<number>(places.length).fill(0);
    value.forEach((by, k) => (row[first + k] = by));
    return row;
  });
  // of each place alone, turned over: control point by control point
  const alone = places.map((_, place) =>
    solveDense(
      matrix,
      places.map((__, k) => (k === place ? 1 : 0)),
    ),
  );
  const made = places.map((_, control) => alone.map((column) => at(column, control)));
  throughKept.set(spans, made);
  return made;
}

/** What control points do at a place of the sheet. */
export const sheetPlace = (sheet: Sheet, a: number, b: number): SheetPlace =>
  placeOf(sheet, basisAt(sheet.spans, a), basisAt(sheet.across, b));

type Sheet = Pick<Plate, 'spans' | 'across' | 'rows' | 'flat'>;

/** Control points with a say at a place. */
export const COUNT = 16;

function placeOf({ flat, rows }: Sheet, along: Basis, up: Basis): SheetPlace {
  const [points, value, na, nb, aa, ab, bb] = Array.from({ length: 7 }, () => new Array<number>(COUNT)) as Columns;
  let [ua, ub, va, vb] = [0, 0, 0, 0];
  // what the map from the parameters to the flat sheet itself bends
  let [uaa, uab, ubb, vaa, vab, vbb] = [0, 0, 0, 0, 0, 0];
  for (let k = 0; k < COUNT; k++) {
    const i = k >> 2;
    const j = k & 3;
    const p = (along.first + i) * rows + up.first + j;
    // four of each, and a point of the sheet
    points[k] = p;
    value[k] = along.value[i]! * up.value[j]!;
    na[k] = along.slope[i]! * up.value[j]!;
    nb[k] = along.value[i]! * up.slope[j]!;
    aa[k] = along.second[i]! * up.value[j]!;
    ab[k] = along.slope[i]! * up.slope[j]!;
    bb[k] = along.value[i]! * up.second[j]!;
    const u = flat[p]![0];
    const v = flat[p]![1];
    ua += na[k]! * u;
    ub += nb[k]! * u;
    va += na[k]! * v;
    vb += nb[k]! * v;
    uaa += aa[k]! * u;
    uab += ab[k]! * u;
    ubb += bb[k]! * u;
    vaa += aa[k]! * v;
    vab += ab[k]! * v;
    vbb += bb[k]! * v;
  }
  const area = ua * vb - ub * va;
  // da/du, da/dv, db/du, db/dv
  const [au, av, bu, bv] = [vb / area, -ub / area, -va / area, ua / area];
  const [du, dv, duu, duv, dvv] = Array.from({ length: 5 }, () => new Array<number>(COUNT)) as Columns;
  for (let k = 0; k < COUNT; k++) {
    const x = na[k]! * au + nb[k]! * bu;
    const y = na[k]! * av + nb[k]! * bv;
    // second derivatives by the parameters, less what the map bends, turned into those by the flat coordinates
    const laa = aa[k]! - x * uaa - y * vaa;
    const lab = ab[k]! - x * uab - y * vab;
    const lbb = bb[k]! - x * ubb - y * vbb;
    du[k] = x;
    dv[k] = y;
    duu[k] = laa * au * au + 2 * lab * au * bu + lbb * bu * bu;
    duv[k] = laa * au * av + lab * (au * bv + av * bu) + lbb * bu * bv;
    dvv[k] = laa * av * av + 2 * lab * av * bv + lbb * bv * bv;
  }
  return { points, area, du, dv, value, duu, duv, dvv };
}
/** As many as are taken. */
type Columns = [number[], number[], number[], number[], number[], number[], number[]];

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
