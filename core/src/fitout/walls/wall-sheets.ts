/** A wall on paper: its shape to scale, marked out from a base line, and its foot with what it leans. */
import { shapeSheet, type PaperSheets, type SheetHead, type SheetTable } from '../../formats';
import { formatDeg, formatFine, formatScantling, unitLabel, type Notation } from '../../measure';
import { footRows } from './foot-rows';
import { handWords, materialOf } from '../part-words';
import type { FittedWall } from './fitted-wall';
import { faceOfWall, leftOfWall, marksOfWall, wallRows } from './wall-drawings';

const TABLE_MM = 104;

export const wallSheets = (wall: FittedWall, sheetHead: SheetHead): PaperSheets[] =>
  wall.pieces.map((piece) => {
    const lines = marksOfWall(piece);
    return shapeSheet(sheetHead, {
      ...{ name: `${piece.id}-sheet`, title: `${piece.name}, marked out`, part: piece.name },
      hand: `${handWords(wall)}, ${faceOfWall(wall)}, ${leftOfWall(wall)} to the left`,
      material: materialOf(wall, sheetHead.notation),
      cut: piece.region.outline,
      holes: piece.region.holes,
      ...(lines.length > 0 && { mark: { lines, words: 'edge of the other face, foot to scribe to' } }),
      corners: [],
      isAlong: true,
      isAside: true,
      tables: [markingTable(wall, sheetHead.notation), ...footTables(wall, sheetHead.notation)],
      tableMm: TABLE_MM,
    });
  });

const figures = (heads: readonly string[]) => heads.map((head) => ({ head, isFigure: true }));

const markingTable = ({ pieces }: FittedWall, notation: Notation): SheetTable => ({
  columns: figures([`along the base, ${unitLabel(notation)}`, 'lower edge', 'upper edge']),
  rows: pieces.flatMap((piece) =>
    wallRows(piece).map(({ along, lower, upper }) => [along, lower, upper].map((mm) => formatFine(mm, notation))),
  ),
});

function footTables(wall: FittedWall, notation: Notation): SheetTable[] {
  const foot: SheetTable = {
    columns: [
      ...figures([
        `foot, from the stem, ${unitLabel(notation)}`,
        'out',
        'up',
        wall.isSquare ? 'square; leans' : 'bevel',
      ]),
    ],
    rows: footRows(wall).map(({ space: [x, y, z], bevelDeg }) => [
      ...[x, y, z].map((mm) => formatFine(mm, notation)),
      formatDeg(bevelDeg, 1),
    ]),
  };
  const under: SheetTable = {
    columns: [{ head: 'within it' }, ...figures([`long, ${unitLabel(notation)}`, 'corner'])],
    rows: wall.supports.map(({ what, lengthMm, breadth, depth, cornerDeg }) => [
      `${what}, ${formatScantling(breadth, notation)} × ${formatScantling(depth, notation)}`,
      formatFine(lengthMm, notation),
      cornerDeg ? `${formatDeg(cornerDeg[0], 0)} to ${formatDeg(cornerDeg[1], 0)}` : 'square',
    ]),
  };
  return [foot, under].filter(({ rows }) => rows.length > 0);
}
