/** A transom on a sheet of paper: its outline to scale, its corners or points along its edge as a table. */
import {
  besideCorner,
  checkLength,
  innerBox,
  lineKey,
  merged,
  pageOnItsSide,
  sheetsOf,
  tablePages,
  viewOn,
  type PaperSheets,
  type SheetHead,
} from '../../formats';
import { boundsOf, type Vec2 } from '../../geometry';
import { formatDeg, formatFine, formatThickness, formatWithUnit, toDeg } from '../../measure';
import type { Transom } from './transom';

/** For the table, beside the drawing. */
const TABLE_MM = 70;
const FOOT_MM = 18;
/** Of an edge that is curved so many points are listed. */
const MOST_POINTS = 24;

export function transomSheet(
  transom: Transom,
  { head, thickness, hand }: { readonly head: SheetHead; readonly thickness: number; readonly hand: string },
): PaperSheets {
  const inner = innerBox(pageOnItsSide(head.paper));
  const { notation } = head;
  const box = boundsOf(transom.outline);
  const half = transom.outline.filter(([u]) => u >= -1e-6);
  const step = Math.max(1, Math.ceil(half.length / MOST_POINTS));
  const listed = half.filter((_, i) => i % step === 0 || i === half.length - 1);
  const room = { ...inner, maxX: inner.maxX - TABLE_MM, minY: inner.minY + FOOT_MM };
  const figures = half.length > MOST_POINTS ? [] : listed;
  const drawn = viewOn(
    {
      paths: [
        { kind: 'cut', points: transom.outline, isClosed: true },
        {
          kind: 'construction',
          points: [
            [0, box.minY],
            [0, box.maxY],
          ],
        },
      ],
      texts: [
        { at: [0, (box.minY + box.maxY) / 2], text: transom.name, by: [2, 0], heightMm: 6 },
        ...figures.map(([u, v]: Vec2) => ({
          at: [u, v] as const,
          text: `${formatFine(u, notation)} out, ${formatFine(v, notation)} up`,
          ...besideCorner([u, v], box),
        })),
      ],
    },
    { room, notation },
  );
  const rows = listed.map(([u, v]) => [formatFine(u, notation), formatFine(v, notation)]);
  const tableRoom = { ...inner, minX: inner.maxX - TABLE_MM + 4 };
  const [first, ...more] = tablePages(
    [
      { columns: ['out', 'up'].map((name) => ({ head: name, isFigure: true })), rows },
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
    { first: tableRoom, later: inner },
  );
  const content = merged(
    drawn,
    first ?? { paths: [], texts: [] },
    lineKey(
      [
        ['cut', 'cut'],
        ['construction', 'centreline'],
      ],
      [inner.minX, inner.minY + 8],
    ),
    checkLength([room.maxX, inner.minY + 6], notation),
  );
  const sheet = {
    ...{ name: `${transom.id}-sheet`, title: `${transom.name}, marking-out sheet`, part: transom.name },
    ...{ hand, scale: drawn.scale.words, material: `${formatThickness(thickness, notation)} plywood` },
  };
  return sheetsOf(head, sheet, [content, ...more]);
}
