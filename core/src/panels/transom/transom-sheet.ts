/** A transom on a sheet of paper: its corners, or points along its edge, and how its edges meet the panels. */
import { shapeSheet, type PaperSheets, type SheetHead } from '../../formats';
import { formatDeg, formatFine, formatThickness, formatWithUnit, toDeg } from '../../measure';
import { cutLineOf } from '../cut/cut-line';
import type { Transom } from './transom';

const TABLE_MM = 70;
/** Of an edge that is curved so many points are listed. */
const MOST_POINTS = 24;

export function transomSheet(
  transom: Transom,
  { head, thickness, hand }: { readonly head: SheetHead; readonly thickness: number; readonly hand: string },
): PaperSheets {
  const { notation } = head;
  const half = transom.outline.filter(([u]) => u >= -1e-6);
  const step = Math.max(1, Math.ceil(half.length / MOST_POINTS));
  const listed = half.filter((_, i) => i % step === 0 || i === half.length - 1);
  return shapeSheet(head, {
    ...{ name: `${transom.id}-sheet`, title: `${transom.name}, marking-out sheet`, part: transom.name },
    ...{ hand, material: `${formatThickness(thickness, notation)} plywood` },
    cut: cutLineOf(transom),
    ...(transom.proud && { net: transom.proud.net }),
    corners: half.length > MOST_POINTS ? [] : listed,
    tableMm: TABLE_MM,
    tables: [
      {
        columns: ['out', 'up'].map((name) => ({ head: name, isFigure: true })),
        rows: listed.map(([u, v]) => [formatFine(u, notation), formatFine(v, notation)]),
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
