/** A transom on a sheet of paper: its corners, or points along its edge, and how its edges meet the panels. */
import { shapeSheet, type PaperSheets, type SheetHead } from '../../formats';
import type { Vec2 } from '../../geometry';
import { formatDeg, formatFine, formatThickness, formatWithUnit, toDeg } from '../../measure';
import { cutLineOf } from '../cut/cut-line';
import type { Transom } from './transom';

const TABLE_MM = 70;
/** Of an edge that is curved so many points are listed. */
const MOST_POINTS = 24;

/** Nearer to its mirror image the outline is taken for the same on either side, mm. */
const ALIKE_MM = 0.05;

export type TransomPoints = {
  readonly points: readonly Vec2[];
  /** They are those to starboard, and the port ones their mirror image. */
  readonly isHalf: boolean;
  /** None of the outline's is left out. */
  readonly areAll: boolean;
};

/** Points of the net outline to mark it out by, out from the centreline and up, a few where it is curved. */
export function transomPoints({ outline }: Pick<Transom, 'outline'>): TransomPoints {
  const isHalf = outline.every(([u, v]) => outline.some((other) => Math.hypot(other[0] + u, other[1] - v) < ALIKE_MM));
  const own = isHalf ? outline.filter(([u]) => u >= -1e-6) : outline;
  const most = isHalf ? MOST_POINTS : 2 * MOST_POINTS;
  const step = Math.max(1, Math.ceil(own.length / most));
  const points = own.filter((_, i) => i % step === 0 || i === own.length - 1);
  return { points, isHalf, areAll: own.length <= most };
}

export function transomSheet(
  transom: Transom,
  { head, thickness, hand }: { readonly head: SheetHead; readonly thickness: number; readonly hand: string },
): PaperSheets {
  const { notation } = head;
  const { points, isHalf, areAll } = transomPoints(transom);
  const outTo = (u: number) => (isHalf ? '' : u < 0 ? ' port' : ' starboard');
  return shapeSheet(head, {
    ...{ name: `${transom.id}-sheet`, title: `${transom.name}, marking-out sheet`, part: transom.name },
    ...{ hand, material: `${formatThickness(thickness, notation)} plywood` },
    cut: cutLineOf(transom),
    ...(transom.proud && { net: transom.proud.net }),
    corners: areAll ? points : [],
    tableMm: TABLE_MM,
    tables: [
      {
        columns: ['out', 'up'].map((name) => ({ head: name, isFigure: true })),
        rows: points.map(([u, v]) => [`${formatFine(Math.abs(u), notation)}${outTo(u)}`, formatFine(v, notation)]),
      },
      {
        columns: [
          { head: 'edge, from below' },
          { head: 'length', isFigure: true },
          { head: 'off square', isFigure: true },
        ],
        rows: transom.seam.map(({ length, angleRad }, i) => [
          String(i + 1),
          formatWithUnit(length / 2, notation),
          formatDeg(toDeg(angleRad) - 90),
        ]),
      },
    ],
  });
}
