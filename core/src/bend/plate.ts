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
import { basisAt, controlCount, greville } from './b-spline';

const ACROSS = 2;
/** Control points across. */
export const ROWS = controlCount(ACROSS);

/** A place of the sheet: the control points that have a say there, and how much, by the flat sheet's coordinates. */
export type SheetPlace = {
  /** Numbers of control points, sixteen. */
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
  readonly size: number;
  readonly half: number;
  /** Control points of the flat sheet, m. */
  readonly flat: readonly Vec2[];
  readonly stretched: readonly (SheetPlace & { readonly weight: number })[];
  readonly bending: Band;
  readonly bendPlaces: readonly (SheetPlace & { readonly weight: number })[];
};

const GAUSS2 = [-1, 1].map((side) => ({ x: side / Math.sqrt(3), weight: 1 }));
const GAUSS3 = [
  { x: -Math.sqrt(0.6), weight: 5 / 9 },
  { x: 0, weight: 8 / 9 },
  { x: Math.sqrt(0.6), weight: 5 / 9 },
];

/** @param flatAt the flat sheet, m, by the parameters along from the bow and up from the lower edge */
export function plateOf(flatAt: (a: number, b: number) => Vec2, spans: number): Plate {
  const flat = flatControls(flatAt, spans);
  const size = 3 * controlCount(spans) * ROWS;
  const half = 3 * (3 * ROWS + 3) + 2;
  const bare = { spans, flat };
  const gauss = (rule: typeof GAUSS3) =>
    Array.from({ length: spans * ACROSS }, (_, cell) => {
      const [i, j] = [Math.floor(cell / ACROSS), cell % ACROSS];
      return rule.flatMap((one) =>
        rule.map((other) => {
          const [a, b] = [(i + (1 + one.x) / 2) / spans, (j + (1 + other.x) / 2) / ACROSS];
          const place = sheetPlace(bare, a, b);
          return { ...place, weight: (place.area * one.weight * other.weight) / (4 * spans * ACROSS) };
        }),
      );
    }).flat();
  const bendPlaces = gauss(GAUSS3);
  const bending = emptyBand(size, half);
  for (const { points, duu, duv, dvv, weight } of bendPlaces)
    points.forEach((p, m) =>
      points.forEach((q, n) => {
        if (q > p) return;
        const by = weight * (duu[m]! * duu[n]! + 2 * duv[m]! * duv[n]! + dvv[m]! * dvv[n]!); // sixteen each
        for (let d = 0; d < 3; d++) addTo(bending, 3 * p + d, 3 * q + d, by);
      }),
    );
  return { ...bare, size, half, stretched: gauss(GAUSS2), bending, bendPlaces };
}

/** The flat sheet in the same basis, through its own points where each control point has most say. */
function flatControls(flatAt: (a: number, b: number) => Vec2, spans: number): Vec2[] {
  const [along, up] = [greville(spans), greville(ACROSS)];
  const matrixOf = (count: number, places: readonly number[]) =>
    places.map((t) => {
      const { first, value } = basisAt(count, t);
      const row = new Array<number>(places.length).fill(0);
      value.forEach((by, k) => (row[first + k] = by));
      return row;
    });
  const [alongMatrix, upMatrix] = [matrixOf(spans, along), matrixOf(ACROSS, up)];
  const inBoth = (axis: 0 | 1): number[][] => {
    // first across each place along, then along each row
    const across = along.map((a) =>
      solveDense(
        upMatrix,
        up.map((b) => flatAt(a, b)[axis]),
      ),
    );
    return up.map((_, j) =>
      solveDense(
        alongMatrix,
        across.map((row) => at(row, j)),
      ),
    );
  };
  const [us, vs] = [inBoth(0), inBoth(1)];
  return along.flatMap((_, i) => up.map((__, j): Vec2 => [at(at(us, j), i), at(at(vs, j), i)]));
}

/** What control points do at a place of the sheet. */
export function sheetPlace({ spans, flat }: Pick<Plate, 'spans' | 'flat'>, a: number, b: number): SheetPlace {
  const [along, up] = [basisAt(spans, a), basisAt(ACROSS, b)];
  const points: number[] = [];
  const by: { readonly n: number; a: number; b: number; aa: number; ab: number; bb: number }[] = [];
  for (let i = 0; i < 4; i++)
    for (let j = 0; j < 4; j++) {
      points.push((along.first + i) * ROWS + up.first + j);
      const [u, v] = [at(along.value, i), at(up.value, j)];
      const [us, vs] = [at(along.slope, i), at(up.slope, j)];
      by.push({
        ...{ n: u * v, a: us * v, b: u * vs, aa: at(along.second, i) * v, ab: us * vs, bb: u * at(up.second, j) },
      });
    }
  const sum = (axis: 0 | 1, of: (one: (typeof by)[number]) => number) =>
    by.reduce((total, one, k) => total + of(one) * at(flat, at(points, k))[axis], 0);
  const [ua, ub, va, vb] = [sum(0, (n) => n.a), sum(0, (n) => n.b), sum(1, (n) => n.a), sum(1, (n) => n.b)];
  const area = ua * vb - ub * va;
  const seconds = ([0, 1] as const).map((axis) => [
    sum(axis, (n) => n.aa),
    sum(axis, (n) => n.ab),
    sum(axis, (n) => n.bb),
  ]);
  // da/du, da/dv, db/du, db/dv
  const [au, av, bu, bv] = [vb / area, -ub / area, -va / area, ua / area];
  const du = by.map((n) => n.a * au + n.b * bu);
  const dv = by.map((n) => n.a * av + n.b * bv);
  // second derivatives by the parameters, less what the map itself bends, turned into those by the flat coordinates
  const left = by.map((n, k) => {
    const less = (own: number, which: number) =>
      own - at(du, k) * at(at(seconds, 0), which) - at(dv, k) * at(at(seconds, 1), which);
    return [less(n.aa, 0), less(n.ab, 1), less(n.bb, 2)] as const;
  });
  return {
    ...{ points, area, du, dv },
    value: by.map(({ n }) => n),
    duu: left.map(([aa, ab, bb]) => aa * au * au + 2 * ab * au * bu + bb * bu * bu),
    duv: left.map(([aa, ab, bb]) => aa * au * av + ab * (au * bv + av * bu) + bb * bu * bv),
    dvv: left.map(([aa, ab, bb]) => aa * av * av + 2 * ab * av * bv + bb * bv * bv),
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
