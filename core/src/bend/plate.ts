/**
 * A thin plate as a bicubic spline sheet: what it costs to stretch and to bend it, and how that changes.
 *
 * Method (methods: bending a flat side). In metres. Stretching: half the square of ½(FᵀF − 1), in the flat sheet's own
 * coordinates, at 2 × 2 Gauss points a span, times 12/t²; bending: half of x_uu² + 2 x_uv² + x_vv² over the flat sheet,
 * 3 × 3 points, which is quadratic in the shape, so its matrix does not change. Poisson's ratio is nought. Unknowns are
 * the control points' coordinates, along the sheet first, so that the matrix is a band.
 */
import { at, solveDense, type Vec2 } from '../geometry';
import { emptyBand, type Band } from './banded';
import { basisAt, controlCount, greville, type Basis } from './b-spline';

/**
 * Spans across: between the places at which stretching is measured the edges can give without its being felt, by half a
 * millimetre and the shape by two with the fewer, in a side of four metres; by a tenth, and two tenths, with the more.
 */
export const ACROSS = { rough: 2, fine: 4 } as const;

/** Places of the sheet, one after another: the control points that have a say at each, and how much. */
export type Places = {
  /** Numbers of control points, sixteen a place, in rising order. */
  readonly points: Int32Array;
  /** As many, by the flat sheet's coordinates. */
  readonly value: Float64Array;
  readonly du: Float64Array;
  readonly dv: Float64Array;
  readonly duu: Float64Array;
  readonly duv: Float64Array;
  readonly dvv: Float64Array;
  /** One a place: its share of the flat area; of a place alone the flat area of a unit of the parameters. */
  readonly weight: Float64Array;
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
  /** Where stretching is measured. */
  readonly stretched: Places;
  /** Of one coordinate, which goes for each: by control points. */
  readonly bending: Band;
  /** Where bending is measured. */
  readonly bendPlaces: Places;
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
  const bendPlaces = placesBy(sheet, GAUSS3);
  const [one, reach] = [size / 3, (half - 2) / 3];
  const bending = bendingOf(bendPlaces, one, reach);
  return { ...sheet, size, half, stretched: placesBy(sheet, GAUSS2), bending, bendPlaces };
}

/** The places of a rule in every span, along the sheet. */
function placesBy(sheet: Sheet, rule: Rule): Places {
  const [alongs, ups] = [gaussPlaces(sheet.spans, rule), gaussPlaces(sheet.across, rule)];
  const places = emptyPlaces(sheet.spans * sheet.across * rule.length ** 2);
  let k = 0;
  for (const span of alongs)
    for (const row of ups)
      for (const along of span)
        for (const up of row) {
          putPlace(places, k, sheet, along.basis, up.basis);
          places.weight[k] = (places.weight[k]! * along.weight * up.weight) / 4; // just put there
          k++;
        }
  return places;
}

function bendingOf({ points, duu, duv, dvv, weight }: Places, size: number, half: number): Band {
  const band = emptyBand(size, half);
  const { rows } = band;
  for (let k = 0; k < weight.length; k++) {
    const [first, by] = [COUNT * k, weight[k]!]; // all in bounds, here and below
    for (let m = first; m < first + COUNT; m++) {
      const uu = by * duu[m]!;
      const uv = 2 * by * duv[m]!;
      const vv = by * dvv[m]!;
      const row = points[m]! * half + half;
      // in rising order
      for (let n = first; n <= m; n++) {
        const i = row + points[n]!;
        rows[i] = rows[i]! + uu * duu[n]! + uv * duv[n]! + vv * dvv[n]!;
      }
    }
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

/** What control points do at one place of the sheet; put where there is room for one, if that is given. */
export function sheetPlace(sheet: Sheet, a: number, b: number, place = emptyPlaces(1)): Places {
  putPlace(place, 0, sheet, basisAt(sheet.spans, a), basisAt(sheet.across, b));
  return place;
}

type Sheet = Pick<Plate, 'spans' | 'across' | 'rows' | 'flat'>;

/** Control points with a say at a place. */
export const COUNT = 16;

export const emptyPlaces = (count: number): Places => ({
  points: new Int32Array(COUNT * count),
  value: new Float64Array(COUNT * count),
  du: new Float64Array(COUNT * count),
  dv: new Float64Array(COUNT * count),
  duu: new Float64Array(COUNT * count),
  duv: new Float64Array(COUNT * count),
  dvv: new Float64Array(COUNT * count),
  weight: new Float64Array(count),
});

/** Derivatives by the parameters, for the place at hand: along, up, and of them the second ones. */
const BY_A = new Float64Array(COUNT);
const BY_B = new Float64Array(COUNT);
const BY_AA = new Float64Array(COUNT);
const BY_AB = new Float64Array(COUNT);
const BY_BB = new Float64Array(COUNT);

/** Puts the place with these bases into the list as its k-th; its weight is the flat area of a unit of parameters. */
function putPlace(places: Places, k: number, { flat, rows }: Sheet, along: Basis, up: Basis): void {
  const { points, value, du, dv, duu, duv, dvv, weight } = places;
  const first = COUNT * k;
  let [ua, ub, va, vb] = [0, 0, 0, 0];
  // what the map from the parameters to the flat sheet itself bends
  let [uaa, uab, ubb, vaa, vab, vbb] = [0, 0, 0, 0, 0, 0];
  for (let m = 0; m < COUNT; m++) {
    const i = m >> 2;
    const j = m & 3;
    const p = (along.first + i) * rows + up.first + j;
    // four of each, and a point of the sheet
    points[first + m] = p;
    value[first + m] = along.value[i]! * up.value[j]!;
    const na = along.slope[i]! * up.value[j]!;
    const nb = along.value[i]! * up.slope[j]!;
    const naa = along.second[i]! * up.value[j]!;
    const nab = along.slope[i]! * up.slope[j]!;
    const nbb = along.value[i]! * up.second[j]!;
    BY_A[m] = na;
    BY_B[m] = nb;
    BY_AA[m] = naa;
    BY_AB[m] = nab;
    BY_BB[m] = nbb;
    const u = flat[p]![0];
    const v = flat[p]![1];
    ua += na * u;
    ub += nb * u;
    va += na * v;
    vb += nb * v;
    uaa += naa * u;
    uab += nab * u;
    ubb += nbb * u;
    vaa += naa * v;
    vab += nab * v;
    vbb += nbb * v;
  }
  const area = ua * vb - ub * va;
  weight[k] = area;
  // da/du, da/dv, db/du, db/dv
  const au = vb / area;
  const av = -ub / area;
  const bu = -va / area;
  const bv = ua / area;
  for (let m = 0; m < COUNT; m++) {
    const x = BY_A[m]! * au + BY_B[m]! * bu; // sixteen
    const y = BY_A[m]! * av + BY_B[m]! * bv;
    // second derivatives by the parameters, less what the map bends, turned into those by the flat coordinates
    const laa = BY_AA[m]! - x * uaa - y * vaa;
    const lab = BY_AB[m]! - x * uab - y * vab;
    const lbb = BY_BB[m]! - x * ubb - y * vbb;
    du[first + m] = x;
    dv[first + m] = y;
    duu[first + m] = laa * au * au + 2 * lab * au * bu + lbb * bu * bu;
    duv[first + m] = laa * au * av + lab * (au * bv + av * bu) + lbb * bu * bv;
    dvv[first + m] = laa * av * av + 2 * lab * av * bv + lbb * bv * bv;
  }
}

/** A quantity of the bent sheet at the k-th of some places: in space, m, for what is asked of it there. */
export function readSheet(
  shape: Float64Array,
  { points }: Pick<Places, 'points'>,
  by: Float64Array,
  k = 0,
): [number, number, number] {
  let x = 0;
  let y = 0;
  let z = 0;
  for (let m = COUNT * k; m < COUNT * (k + 1); m++) {
    const p = 3 * points[m]!; // sixteen points of the sheet
    const share = by[m]!;
    x += shape[p]! * share;
    y += shape[p + 1]! * share;
    z += shape[p + 2]! * share;
  }
  return [x, y, z];
}

/** The flat place, m, of one place of the sheet. */
export function readFlat({ flat }: Sheet, { points, value }: Places): Vec2 {
  let [u, v] = [0, 0];
  for (let k = 0; k < COUNT; k++) {
    const [p, share] = [flat[points[k]!]!, value[k]!]; // sixteen points of the sheet
    u += p[0] * share;
    v += p[1] * share;
  }
  return [u, v];
}
