/** A part inside or on top on paper: its piece to scale, its edges and bevels, and what goes under it. */
import { shapeSheet, type PaperSheets, type SheetTable } from '../formats';
import { formatDeg, formatFine, formatScantling, formatWithUnit, unitLabel, type Notation } from '../measure';
import { arrangementSheet, type ArrangedWhole } from './arrangement-sheet';
import { blockSheets } from './blocks/block-drawings';
import { edgeRows, marksOfPiece, type InsideWhole } from './drawings';
import type { FittedPiece } from './fitted';
import type { LandingRow } from './landing-screws';
import type { Support } from './supports';
import { handWords, materialOf } from './part-words';
import { kneeSheets } from './knees/knee-drawings';
import { stemSheets } from './stems/stem-drawings';
import type { Fitted } from './value';
import { wallSheets } from './walls/wall-sheets';

export type InsideOnPaper = InsideWhole & ArrangedWhole;

const TABLE_MM = 104;

export const insideSheets = (whole: InsideOnPaper): PaperSheets[] => [...arrangementSheet(whole), ...partSheets(whole)];

const partSheets = ({ values: { fitout }, sheetHead }: InsideOnPaper): PaperSheets[] => [
  ...fitout.parts.flatMap((part) =>
    part.pieces.map((piece, i) =>
      shapeSheet(sheetHead, {
        ...{ name: `${piece.id}-sheet`, title: `${piece.name}, its outline and bevels`, part: piece.name },
        hand: `${handWords(part)}, upper face, forward to the left`,
        material: materialOf(part, sheetHead.notation),
        cut: piece.region.outline,
        holes: piece.region.holes,
        mark: {
          lines: marksOfPiece(part, piece, fitout.screws),
          words: 'bearers, the under face, what stands on it, screws, pads',
        },
        corners: [],
        isAlong: true,
        // what is of the whole part stands on its first piece's page
        tables: [
          edgeTable(part, piece, sheetHead.notation),
          ...(i === 0 ? partTables(part, sheetHead.notation) : []),
          ...screwTable(
            fitout.screws.filter((row) => row.piece === piece.id),
            sheetHead.notation,
          ),
        ],
        tableMm: TABLE_MM,
      }),
    ),
  ),
  ...fitout.walls.flatMap((wall) => wallSheets(wall, sheetHead)),
  ...fitout.blocks.flatMap((block) => blockSheets(block, sheetHead)),
  ...fitout.stems.flatMap((stem) => stemSheets(stem, sheetHead)),
  ...fitout.knees.flatMap((knee) => kneeSheets(knee, sheetHead)),
];

const figures = (heads: readonly string[]) => heads.map((head) => ({ head, isFigure: true }));

function edgeTable(part: Fitted, { atSkin }: FittedPiece, notation: Notation): SheetTable {
  const starboard = atSkin.filter(({ points }) => (points[0]?.space[1] ?? 0) >= 0);
  const shown = starboard.length > 0 ? starboard : atSkin;
  return {
    columns: [
      { head: `at the skin, ${unitLabel(notation)}` },
      ...figures(['from the stem', 'out', 'up', part.isSquare ? 'square; skin leans' : 'bevel']),
    ],
    rows: shown.flatMap(({ face, points }) =>
      edgeRows(part, points).map(({ place: [x, y, z], bevelDeg }) => [
        face === 'top' ? 'upper face' : 'under face',
        ...[x, Math.abs(y), z].map((mm) => formatFine(mm, notation)),
        formatDeg(bevelDeg, 1),
      ]),
    ),
  };
}

/** Each row through a piece; what it goes into without the piece's own name. */
function screwTable(rows: readonly LandingRow[], notation: Notation): SheetTable[] {
  if (rows.length === 0) return [];
  return [
    {
      columns: [{ head: `screws, ${unitLabel(notation)}` }, ...figures(['in the row', 'apart', 'no longer than'])],
      rows: rows.map(({ into, panelName, places, spacingMm, lengthMm }) => [
        into.replace(`${panelName}: `, ''),
        String(places.length),
        ...[spacingMm, lengthMm].map((mm) => formatFine(mm, notation)),
      ]),
    },
  ];
}

function partTables({ supports: all, sheer, pieces }: Fitted, notation: Notation): SheetTable[] {
  const isOwn = ({ of }: Support) => of === 'solid' || of === 'pad';
  const supports = all.filter((support) => !isOwn(support));
  const own: SheetTable = {
    columns: [{ head: `of timber, ${unitLabel(notation)}` }, ...figures(['long', 'wide', 'thick'])],
    rows: all
      .filter(isOwn)
      .map(({ name, what, lengthMm, breadth, depth }) => [
        pieces.length > 1 ? name : what,
        ...[lengthMm, breadth, depth].map((mm) => formatFine(mm, notation)),
      ]),
  };
  const [first] = supports;
  const section = first
    ? `, ${formatScantling(first.breadth, notation)} × ${formatScantling(first.depth, notation)}`
    : '';
  const under: SheetTable = {
    columns: [{ head: `under it${section}` }, ...figures([`long, ${unitLabel(notation)}`, 'corner'])],
    rows: supports.map(({ name, what, lengthMm, cornerDeg }) => [
      // of a single piece its name says no more than the page does
      pieces.length > 1 ? name : what,
      formatFine(lengthMm, notation),
      cornerDeg ? `${formatDeg(cornerDeg[0], 0)} to ${formatDeg(cornerDeg[1], 0)}` : 'square',
    ]),
  };
  const off: SheetTable = {
    columns: [{ head: 'planed off the sheer' }, ...figures(['from the stem', 'comes off'])],
    rows: sheer.map(({ x, station, offMm }) => [
      station === undefined ? 'end' : `station ${station}`,
      formatWithUnit(x, notation),
      offMm >= 0 ? formatFine(offMm, notation) : `short by ${formatFine(-offMm, notation)}`,
    ]),
  };
  return [under, own, off].filter(({ rows }) => rows.length > 0);
}
