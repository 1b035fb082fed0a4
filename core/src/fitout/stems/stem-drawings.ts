/** An outer stem from its side, along its board, and the table that the sides' ends are planed by. */
import {
  closedPath,
  csv,
  lengthCell,
  lengthHead,
  openPath,
  shapeSheet,
  TEXT_MM,
  type Drawing,
  type ExportTable,
  type PaperSheets,
  type SheetHead,
} from '../../formats';
import { at, boundsOf, turned, type Vec2 } from '../../geometry';
import { formatDeg, formatFine, unitLabel, type Notation } from '../../measure';
import { boardWords } from '../board-words';
import { stemFromSide } from './in-space';
import type { FittedStem } from './stem';

/** From its side as it lies on the board, its upper end to the left; and the sharp edge of the boat's sides. */
export function stemOnBoard(stem: FittedStem): { readonly cut: Vec2[]; readonly edge: Vec2[] } {
  const [a, b] = [at(stem.inner, 0), at(stem.inner, -1)];
  const turn = -Math.atan2(b[1] - a[1], b[0] - a[0]);
  const all = [...turned(stemFromSide(stem), turn)];
  const edge = turned(
    stem.rows.map(({ place }) => place),
    turn,
  );
  const { minX, minY } = boundsOf(all);
  const home = ([x, y]: Vec2): Vec2 => [x - minX, y - minY];
  return { cut: all.map(home), edge: edge.map(home) };
}

const HAND = '1 to cut, from its side; its upper end to the left';

export const stemDrawings = (stem: FittedStem, notation: Notation): Drawing[] => {
  if (stem.rows.length === 0) return [];
  const { cut, edge } = stemOnBoard(stem);
  const heightMm = TEXT_MM * 0.6;
  return [
    {
      ...{ name: `stem.${stem.id}`, title: stem.name, hand: HAND, material: boardWords(stem, notation) },
      paths: [closedPath('cut', cut), openPath(edge)],
      texts: [{ at: [0, -1.6 * heightMm], heightMm, text: stem.name }],
    },
  ];
};

export const stemSheets = (stem: FittedStem, sheetHead: SheetHead): PaperSheets[] => {
  if (stem.rows.length === 0) return [];
  const { cut, edge } = stemOnBoard(stem);
  const { notation } = sheetHead;
  const figures = (heads: readonly string[]) => heads.map((head) => ({ head, isFigure: true }));
  return [
    shapeSheet(sheetHead, {
      ...{ name: `stem.${stem.id}-sheet`, title: `${stem.name}, its shape and the sides’ ends`, part: stem.name },
      ...{ hand: HAND, material: boardWords(stem, notation), cut, isAlong: true, isAside: true, corners: [] },
      mark: { lines: [edge], words: 'the sharp edge of the sides, before it is planed flat' },
      tables: [
        {
          columns: figures([`down the stem, ${unitLabel(notation)}`, 'planed off', 'outer edge, fair', 'half-angle']),
          rows: stem.rows.map(({ along, backMm, fairMm, halfDeg }) => [
            ...[along, backMm, fairMm].map((mm) => formatFine(mm, notation)),
            formatDeg(halfDeg, 1),
          ]),
        },
        {
          columns: figures(['against the boat', 'outer edge', 'depth', 'its sides']),
          rows: [
            [...[stem.face, stem.outer, stem.depth].map((mm) => formatFine(mm, notation)), formatDeg(stem.sideDeg, 1)],
          ],
        },
      ],
      tableMm: 104,
    }),
  ];
};

export function stemTable(stems: readonly FittedStem[], notation: Notation): ExportTable[] {
  const rows = stems.flatMap(({ name, rows: own }) =>
    own.map(({ along, backMm, fairMm, halfDeg }) => [
      name,
      ...[along, backMm, fairMm].map((mm) => lengthCell(mm, notation)),
      halfDeg.toFixed(1),
    ]),
  );
  if (rows.length === 0) return [];
  const lengths = ['down the stem', 'planed off', 'outer edge, fair'].map((word) => lengthHead(word, notation));
  const heads = ['stem', ...lengths, 'half-angle, deg'];
  return [{ name: 'outer-stems', title: 'Outer stems, the sides’ ends (CSV)', csv: csv(heads, rows) }];
}
