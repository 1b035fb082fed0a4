/**
 * How much a panel would have to stretch: the in-plane strain of its best flattening.
 *
 * Method: a mesh of rulings × cross-lines on the ruled surface; the flat mesh whose edges and diagonals come nearest to
 * their lengths on the surface, by least squares (Gauss-Newton; banded Cholesky). Lengths on the surface are summed
 * along the fine rulings, so that a curved but developable panel shows no strain. The figure reported is the greatest
 * relative difference left over. Accuracy: 1e-5 on developable panels. Cost: some 400 unknowns of half-bandwidth 14:
 * a millisecond.
 */
import { at, distance2, distance3, lerp2, lerp3, sub3, type Vec2, type Vec3 } from '../geometry';
import { squareDistance, turnBetween2, type LaidRuling } from './strip';

export type StrainField = {
  /** Greatest |relative difference of length|, a fraction. */
  readonly max: number;
  /** Where: index of the ruling. */
  readonly rulingIndex: number;
  /** The mesh: indices of its rulings, places across each, and for each cell between them the difference of length that
   * is largest on its sides and diagonals, with its sign (stretched is positive); cells of a bay one after another. */
  readonly columns: readonly number[];
  readonly across: number;
  readonly cells: readonly number[];
};

/** Rulings and places across; the coarse mesh is for panels whose rulings show no twist, and only confirms it. */
const FINE = { rulings: 41, across: 5 } as const;
const COARSE = { rulings: 9, across: 2 } as const;
const TWISTLESS_DEG = 0.02;
/** One ruling in so many is enough to confirm it. */
const COARSE_STEP = 5;
const STEPS = 6;
/** A step this small changes no strain that is reported. */
const SETTLED_MM = 1e-4;
/** Edges shorter than this (the tip of a pointed panel) say nothing about strain. */
const SHORT_EDGE_MM = 4;

type Edge = { readonly a: number; readonly b: number; readonly lengthMm: number; readonly ruling: number };
/** Points of the mesh that are nearly one, as at the point of a fan: they keep to one another. */
type Tie = { readonly a: number; readonly b: number; readonly offset: Vec2 };
type Mesh = { readonly edges: readonly Edge[]; readonly ties: readonly Tie[] };

export function strainOf(all: readonly LaidRuling[]): StrainField {
  if (!all.every((r) => Math.abs(r.twistDeg) < TWISTLESS_DEG)) return strainOn(all, FINE);
  const kept = all.map((_, k) => k).filter((k) => k % COARSE_STEP === 0 || k === all.length - 1);
  const coarse = strainOn(
    kept.map((k) => at(all, k)),
    COARSE,
  );
  return { ...coarse, rulingIndex: at(kept, coarse.rulingIndex), columns: coarse.columns.map((k) => at(kept, k)) };
}

function strainOn(
  rulings: readonly LaidRuling[],
  mesh: { readonly rulings: number; readonly across: number },
): StrainField {
  const columns = meshColumns(rulings, mesh.rulings);
  const all = meshEdges(rulings, columns, mesh.across);
  const edges = all.filter(({ lengthMm }) => lengthMm > SHORT_EDGE_MM);
  const flat = columns.flatMap((k) =>
    acrossPoints(at(rulings, k), mesh.across).map((p): [number, number] => [p[0], p[1]]),
  );
  const ties = all
    .filter(({ lengthMm }) => lengthMm <= SHORT_EDGE_MM)
    .map(({ a, b }): Tie => ({ a, b, offset: [at(flat, b)[0] - at(flat, a)[0], at(flat, b)[1] - at(flat, a)[1]] }));
  // where the laid-out strip fits already there is nothing to improve: so it is on every developable panel
  for (let step = 0; step < STEPS && greatest(flat, edges).max > STRAINLESS; step++)
    if (!improve(flat, { edges, ties }, mesh.across)) break;
  return {
    ...greatest(flat, edges),
    columns,
    across: mesh.across,
    cells: cellStrains(flat, edges, columns, mesh.across),
  };
}

/** Of each cell the strain that is largest on its sides and diagonals. */
function cellStrains(
  flat: readonly (readonly [number, number])[],
  edges: readonly Edge[],
  columns: readonly number[],
  across: number,
): number[] {
  const cells = new Array<number>((columns.length - 1) * (across - 1)).fill(0);
  const note = (column: number, i: number, strain: number) => {
    const cell = column * (across - 1) + i;
    const isInside = column >= 0 && column < columns.length - 1 && i >= 0 && i < across - 1;
    if (isInside && Math.abs(strain) > Math.abs(at(cells, cell))) cells[cell] = strain;
  };
  for (const { a, b, lengthMm } of edges) {
    const strain = distance2(at(flat, a), at(flat, b)) / lengthMm - 1;
    const [columnA, i] = [Math.floor(a / across), a % across];
    const [columnB, j] = [Math.floor(b / across), b % across];
    if (columnA === columnB) {
      note(columnA - 1, i, strain);
      note(columnA, i, strain);
    } else if (i === j) {
      note(columnA, i - 1, strain);
      note(columnA, i, strain);
    } else note(columnA, Math.min(i, j), strain);
  }
  return cells;
}

/** A hundredth of what the joints take up: a layout this good is not improved. */
const STRAINLESS = 1e-5;

function greatest(
  flat: readonly (readonly [number, number])[],
  edges: readonly Edge[],
): Pick<StrainField, 'max' | 'rulingIndex'> {
  let max = 0;
  let rulingIndex = 0;
  for (const edge of edges) {
    const strain = Math.abs(distance2(at(flat, edge.a), at(flat, edge.b)) / edge.lengthMm - 1);
    if (strain > max) [max, rulingIndex] = [strain, edge.ruling];
  }
  return { max, rulingIndex };
}

function meshColumns(rulings: readonly LaidRuling[], most: number): number[] {
  const count = Math.min(most, rulings.length);
  const ks = Array.from({ length: count }, (_, i) => Math.round((i * (rulings.length - 1)) / (count - 1)));
  return ks.filter((k, i) => i === 0 || k > at(ks, i - 1));
}

const acrossPoints = (ruling: LaidRuling, across: number): Vec2[] =>
  Array.from({ length: across }, (_, i) => lerp2(ruling.flatP, ruling.flatQ, i / (across - 1)));

function meshEdges(rulings: readonly LaidRuling[], columns: readonly number[], across: number): Edge[] {
  const edges: Edge[] = [];
  const push = (edge: Edge) => edges.push(edge);
  columns.forEach((k, column) => {
    for (let i = 0; i < across; i++) {
      const a = column * across + i;
      const w = i / (across - 1);
      const up = 1 / (across - 1);
      if (i + 1 < across)
        push({
          a,
          b: a + 1,
          lengthMm: distance3(onRuling(rulings, k, w), onRuling(rulings, k, w + up)),
          ruling: k,
        });
      const next = columns[column + 1];
      if (next === undefined) continue;
      push({ a, b: a + across, lengthMm: surfaceLength(rulings, [k, next], [w, w]), ruling: k });
      if (i + 1 < across)
        push({ a, b: a + across + 1, lengthMm: surfaceLength(rulings, [k, next], [w, w + up]), ruling: k });
      if (i > 0) push({ a, b: a + across - 1, lengthMm: surfaceLength(rulings, [k, next], [w, w - up]), ruling: k });
    }
  });
  return edges;
}

const onRuling = (rulings: readonly LaidRuling[], k: number, w: number): Vec3 =>
  lerp3(at(rulings, k).p, at(rulings, k).q, w);

/** Length over the surface from one ruling to a later one, the place across going evenly from w0 to w1 in the flat. */
function surfaceLength(
  rulings: readonly LaidRuling[],
  [from, to]: [number, number],
  [w0, w1]: [number, number],
): number {
  const start = lerp2(at(rulings, from).flatP, at(rulings, from).flatQ, w0);
  const end = lerp2(at(rulings, to).flatP, at(rulings, to).flatQ, w1);
  let total = 0;
  let before = onRuling(rulings, from, w0);
  // both at the point of a fan: there is no way between them
  if (distance2(start, end) < SAME_FLAT_MM) return distance3(before, onRuling(rulings, to, w1));
  for (let k = from + 1; k <= to; k++) {
    const evenly = w0 + ((w1 - w0) * (k - from)) / (to - from);
    const here = onRuling(rulings, k, k === to ? w1 : crossingOf(at(rulings, k), start, end, evenly));
    total += bentDistance(at(rulings, k - 1), at(rulings, k), before, here);
    before = here;
  }
  return total;
}

/** From a place on one ruling to one on the next over the bend between them: see strip.ts. */
function bentDistance(a: LaidRuling, b: LaidRuling, from: Vec3, to: Vec3): number {
  const turn2 = turnBetween2(a.normal, b.normal);
  const chord = distance3(from, to);
  return turn2 === 0 ? chord : Math.sqrt(chord ** 2 + (turn2 * squareDistance(from, to, sub3(b.q, b.p)) ** 2) / 12);
}

const SAME_FLAT_MM = 1e-6;
const BEYOND = 0.1;
/**
 * A line this nearly along a ruling, as between two rulings in one place, crosses it nowhere: what is left is
 * rounding.
 */
const ALONG_SINE = 1e-6;

/**
 * Where the straight flat line crosses a ruling, as a fraction of it; `otherwise` where it runs along it or is but a
 * point, as in a fan.
 */
function crossingOf(ruling: LaidRuling, a: Vec2, b: Vec2, otherwise: number): number {
  const dx = b[0] - a[0];
  const dy = b[1] - a[1];
  const run = Math.sqrt(dx * dx + dy * dy);
  if (run < SAME_FLAT_MM) return otherwise;
  const p = ruling.flatP;
  const q = ruling.flatQ;
  const sp = dx * (p[1] - a[1]) - dy * (p[0] - a[0]);
  const sq = dx * (q[1] - a[1]) - dy * (q[0] - a[0]);
  // past a hollow edge the line goes over the ruling's own continuation, but never far
  const isAlong = Math.abs(sp - sq) <= ALONG_SINE * run * distance2(p, q);
  return isAlong ? otherwise : Math.min(Math.max(sp / (sp - sq), -BEYOND), 1 + BEYOND);
}

/** One Gauss-Newton step, in place. Returns false when nothing moves any more. */
function improve(flat: [number, number][], mesh: Mesh, across: number): boolean {
  const size = flat.length * 2;
  const band = 2 * (across + 2);
  const matrix = new Float64Array(size * (band + 1)); // row i holds A[i][i-band..i]
  const right = new Float64Array(size);
  const add = (i: number, j: number, value: number) => {
    if (j <= i) matrix[i * (band + 1) + (j - i + band)]! += value; // |i−j| ≤ band by the mesh's numbering
  };
  for (const { a, b, lengthMm } of mesh.edges) {
    const p = at(flat, a);
    const q = at(flat, b);
    const dx = q[0] - p[0];
    const dy = q[1] - p[1];
    const now = Math.hypot(dx, dy);
    if (now === 0) continue;
    const ex = dx / now;
    const ey = dy / now;
    const weight = 1 / lengthMm;
    const residual = (now - lengthMm) * weight;
    const gradient: readonly (readonly [number, number])[] = [
      [2 * a, -ex],
      [2 * a + 1, -ey],
      [2 * b, ex],
      [2 * b + 1, ey],
    ];
    for (const [i, gi] of gradient) {
      right[i]! -= residual * gi;
      for (const [j, gj] of gradient) add(i, j, weight * gi * gj);
    }
  }
  for (const { a, b, offset } of mesh.ties)
    for (const axis of [0, 1] as const) {
      const off = at(flat, b)[axis] - at(flat, a)[axis] - offset[axis];
      const [i, j] = [2 * a + axis, 2 * b + axis];
      right[i]! += TIE * off;
      right[j]! -= TIE * off;
      add(i, i, TIE);
      add(j, j, TIE);
      add(j, i, -TIE);
      add(i, j, -TIE);
    }
  // the three motions of the whole sheet are held by a weight too small to strain it
  for (let i = 0; i < size; i++) matrix[i * (band + 1) + band]! += 1e-7;
  const step = solveBanded(matrix, right, band);
  const before = misfit(flat, mesh);
  // a whole step may overshoot where the mesh is nearly a mechanism
  for (let share = 1; share > LEAST_SHARE; share /= 2) {
    const tried = flat.map((p, i): [number, number] => [
      p[0] + share * at(step, 2 * i),
      p[1] + share * at(step, 2 * i + 1),
    ]);
    if (misfit(tried, mesh) >= before) continue;
    const moved = Math.max(...tried.map((p, i) => Math.hypot(p[0] - at(flat, i)[0], p[1] - at(flat, i)[1])));
    flat.splice(0, flat.length, ...tried);
    return moved > SETTLED_MM;
  }
  return false;
}

const LEAST_SHARE = 1 / 64;

/** Of a tie, against the weight of an edge of its length. */
const TIE = 1 / SHORT_EDGE_MM;

/** What the steps make least: squared differences of length, by length, and of the ties. */
function misfit(flat: readonly (readonly [number, number])[], { edges, ties }: Mesh): number {
  let sum = 0;
  for (const { a, b, lengthMm } of edges) sum += (distance2(at(flat, a), at(flat, b)) - lengthMm) ** 2 / lengthMm;
  for (const { a, b, offset } of ties) {
    const [p, q] = [at(flat, a), at(flat, b)];
    sum += TIE * ((q[0] - p[0] - offset[0]) ** 2 + (q[1] - p[1] - offset[1]) ** 2);
  }
  return sum;
}

/** Cholesky on a symmetric banded matrix, lower band by rows; overwrites its input. */
function solveBanded(matrix: Float64Array, right: Float64Array, band: number): Float64Array {
  const n = right.length;
  const w = band + 1;
  for (let i = 0; i < n; i++) {
    for (let j = Math.max(0, i - band); j <= i; j++) {
      let sum = matrix[i * w + (j - i + band)]!;
      for (let k = Math.max(0, i - band, j - band); k < j; k++)
        sum -= matrix[i * w + (k - i + band)]! * matrix[j * w + (k - j + band)]!;
      matrix[i * w + (j - i + band)] = i === j ? Math.sqrt(Math.max(sum, 1e-300)) : sum / matrix[j * w + band]!;
    }
    for (let k = Math.max(0, i - band); k < i; k++) right[i]! -= matrix[i * w + (k - i + band)]! * right[k]!;
    right[i]! /= matrix[i * w + band]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k <= Math.min(n - 1, i + band); k++) right[i]! -= matrix[k * w + (i - k + band)]! * right[k]!;
    right[i]! /= matrix[i * w + band]!;
  }
  return right;
}
