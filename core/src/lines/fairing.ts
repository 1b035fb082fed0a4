/**
 * Fairs a line within a tolerance: each point moved a little, none more than asked, so that the batten runs sweetly.
 *
 * Method: of each quantity (half-breadths, heights) the sum of squared fourth divided differences, scaled to mm, is
 * made least subject to |change| ≤ tolerance point by point; ends, pinned points, knuckles and points on the
 * centreline are held. Third differences, the usual measure, are as large on a fair hull's few stations as on a
 * shaken line's, and making them least flattens what was fair; fourth ones tell the two apart (fairing.test.ts). A
 * small weight on the change keeps a fair line where it is. The problem is convex with bounds: Newton steps on the
 * points free to move, projected on the bounds (Bertsekas 1982). Conventions: pieces between knuckles are faired each
 * by itself; changes are rounded to 0.1 mm.
 */
import { at, solveDense } from '../geometry';
import type { Edit } from '../findings';
import { CENTRELINE_MM } from './hull-line';
import { pointPath } from './paths';
import { placesAlong } from './places';
import type { Longitudinal, OffsetPoint } from './schema';

export type FairingChange = {
  readonly line: string;
  readonly index: number;
  readonly quantity: 'halfBreadth' | 'height';
  readonly fromMm: number;
  readonly toMm: number;
};

const ORDER = 4;
const FACTORIAL = 24; // of the order
/** Pieces of fewer points have one such difference or none. */
const FEWEST = ORDER + 2;
/** What a change of 1 mm weighs against a fourth difference of 1 mm. */
const STAY = 1;
const ROUNDS = 60;
/** Changes are drawn with a pencil. */
const STEP_MM = 0.1;

/** The changes that fair one line; none when it cannot be judged. */
export function fairLine(line: Longitudinal, toleranceMm: number): FairingChange[] {
  return piecesOf(line.points).flatMap(({ from, points }) =>
    (['halfBreadth', 'height'] as const).flatMap((quantity) => {
      const ys = points.map((p) => p[quantity]);
      const faired = fairRun(placesAlong(points), ys, freedom(points, quantity, toleranceMm));
      return faired.flatMap((y, i): FairingChange[] => {
        const fromMm = at(ys, i);
        const toMm = toPencil(y, fromMm, mostOf(at(points, i), toleranceMm));
        return Math.abs(toMm - fromMm) >= STEP_MM / 2
          ? [{ line: line.id, index: from + i, quantity, fromMm, toMm }]
          : [];
      });
    }),
  );
}

/** To a tenth, and towards the old figure where the nearest tenth would be too far. */
function toPencil(y: number, fromMm: number, mostMm: number): number {
  const nearest = Math.round(y / STEP_MM);
  const steps = Math.abs(nearest * STEP_MM - fromMm) > mostMm ? nearest - Math.sign(y - fromMm) : nearest;
  return Number((steps * STEP_MM).toFixed(1));
}

/** Changes as edits of the project. */
export const fairingEdits = (changes: readonly FairingChange[]): Edit[] =>
  changes.map(({ line, index, quantity, toMm }) => ({ path: pointPath(line, index, quantity), value: toMm }));

function piecesOf(points: readonly OffsetPoint[]) {
  const stops = [
    0,
    ...points.flatMap((p, i) => (p.isKnuckle && i > 0 && i < points.length - 1 ? [i] : [])),
    points.length - 1,
  ];
  return stops
    .slice(1)
    .map((to, i) => ({ from: at(stops, i), points: points.slice(at(stops, i), to + 1) }))
    .filter((piece) => piece.points.length >= FEWEST);
}

/** A point read off a drawing may move by as much as it may have been misread. */
const mostOf = ({ uncertainty }: OffsetPoint, toleranceMm: number): number => Math.max(toleranceMm, uncertainty ?? 0);

/** How far each point may move. */
const freedom = (points: readonly OffsetPoint[], quantity: 'halfBreadth' | 'height', toleranceMm: number): number[] =>
  points.map((p, i) => {
    const isHeld = i === 0 || i === points.length - 1 || p.isPinned === true;
    const isOnCentreline = quantity === 'halfBreadth' && Math.abs(p.halfBreadth) <= CENTRELINE_MM;
    return isHeld || isOnCentreline ? 0 : mostOf(p, toleranceMm);
  });

/** The run with the least fourth differences within the bounds. */
function fairRun(places: readonly number[], ys: readonly number[], most: readonly number[]): number[] {
  const n = ys.length;
  if (!(at(places, -1) > 0) || most.every((limit) => limit === 0)) return [...ys];
  const rows = fourthDifferences(places);
  const hessian = Array.from({ length: n }, (_, i) =>
    Array.from({ length: n }, (_unused, j) =>
      rows.reduce((sum, row) => sum + at(row, i) * at(row, j), i === j ? STAY : 0),
    ),
  );
  let change = new Array<number>(n).fill(0);
  for (let round = 0; round < ROUNDS; round++) {
    const next = newtonStep(hessian, rows, ys, change, most);
    const moved = Math.max(...next.map((value, i) => Math.abs(value - at(change, i))));
    change = next;
    if (moved < STEP_MM / 100) break;
  }
  return ys.map((y, i) => y + at(change, i));
}

function newtonStep(
  hessian: readonly (readonly number[])[],
  rows: readonly (readonly number[])[],
  ys: readonly number[],
  change: readonly number[],
  most: readonly number[],
): number[] {
  const n = ys.length;
  const now = ys.map((y, i) => y + at(change, i));
  const pulls = rows.map((row) => row.reduce((sum, w, i) => sum + w * at(now, i), 0));
  const gradient = change.map((c, i) => rows.reduce((sum, row, k) => sum + at(row, i) * at(pulls, k), STAY * c));
  // a point at its bound that is pushed outward stays there; the others are free
  const free = Array.from({ length: n }, (_, i) => i).filter(
    (i) => at(most, i) > 0 && !(Math.abs(at(change, i)) >= at(most, i) && at(gradient, i) * at(change, i) < 0),
  );
  if (free.length === 0) return [...change];
  const step = solveDense(
    free.map((i) => free.map((j) => at(at(hessian, i), j))),
    free.map((i) => -at(gradient, i)),
  );
  const cost = (tried: readonly number[]) =>
    rows.reduce((sum, row) => sum + row.reduce((pull, w, i) => pull + w * (at(ys, i) + at(tried, i)), 0) ** 2, 0) +
    STAY * tried.reduce((sum, c) => sum + c * c, 0);
  const before = cost(change);
  for (let share = 1; share > 1e-4; share /= 2) {
    const tried = change.map((c, i) => {
      const k = free.indexOf(i);
      return k < 0 ? c : Math.max(-at(most, i), Math.min(at(most, i), c + share * at(step, k)));
    });
    if (cost(tried) < before) return tried;
  }
  return [...change];
}

/** Rows that give the fourth divided differences of a run, scaled to the mm that they are on even stations. */
function fourthDifferences(places: readonly number[]): number[][] {
  const n = places.length;
  const mean = at(places, -1) / (n - 1);
  return Array.from({ length: n - ORDER }, (_, k) => {
    const row = new Array<number>(n).fill(0);
    for (let i = k; i <= k + ORDER; i++) {
      let product = 1;
      for (let j = k; j <= k + ORDER; j++) if (j !== i) product *= (at(places, i) - at(places, j)) / mean;
      row[i] = FACTORIAL / product;
    }
    return row;
  });
}
