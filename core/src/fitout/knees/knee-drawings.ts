/** A hanging knee as it lies on its board, and the table of its edge along the skin. */
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
import { handWords } from '../part-words';
import type { FittedKnee } from './knee';

/** As it lies on its board, the free edge along that; and its edges along the skin, of the fore and the after face. */
export function kneeOnBoard({ cut, faces, free }: Pick<FittedKnee, 'cut' | 'faces' | 'free'>): {
  readonly cut: Vec2[];
  readonly edges: Vec2[][];
} {
  const [a, b] = [at(free, 0), at(free, -1)];
  const turn = -Math.atan2(b[1] - a[1], b[0] - a[0]);
  const { minX, minY } = boundsOf(turned(cut, turn));
  const home = (line: readonly Vec2[]) => turned(line, turn).map(([u, v]): Vec2 => [u - minX, v - minY]);
  return { cut: home(cut), edges: faces.map(({ arm, leg }) => home([at(arm, -1), ...leg])) };
}

const isMade = ({ rows }: FittedKnee): boolean => rows.length > 0;
const handOf = (knee: FittedKnee): string => `${handWords(knee)}, ${faceUp(knee)} up`;

/** The face that is seen, of one for both sides that of the starboard one. */
export const faceUp = ({ hand }: Pick<FittedKnee, 'hand'>): string =>
  hand === 'pair' ? 'the after face of the starboard one' : hand === 'port' ? 'its fore face' : 'its after face';

export const kneeDrawings = (knee: FittedKnee, notation: Notation): Drawing[] => {
  if (!isMade(knee)) return [];
  const { cut, edges } = kneeOnBoard(knee);
  const heightMm = TEXT_MM * 0.6;
  return [
    {
      ...{ name: `knee.${knee.id}`, title: knee.name, hand: handOf(knee), material: boardWords(knee, notation) },
      paths: [closedPath('cut', cut), ...edges.map((edge) => openPath(edge))],
      texts: [{ at: [0, -1.6 * heightMm], heightMm, text: knee.name }],
    },
  ];
};

export const kneeSheets = (knee: FittedKnee, sheetHead: SheetHead): PaperSheets[] => {
  if (!isMade(knee)) return [];
  const { cut, edges } = kneeOnBoard(knee);
  const { notation } = sheetHead;
  const figures = (heads: readonly string[]) => heads.map((head) => ({ head, isFigure: true }));
  return [
    shapeSheet(sheetHead, {
      ...{ name: `knee.${knee.id}-sheet`, title: `${knee.name}, its shape and bevel`, part: knee.name },
      ...{ hand: handOf(knee), material: boardWords(knee, notation), cut, isAside: true, corners: [] },
      mark: { lines: edges, words: 'the skin at the fore and the after face' },
      tables: [
        {
          columns: figures([`along the skin, ${unitLabel(notation)}`, 'up', 'out, fore', 'out, aft', 'bevel']),
          rows: knee.rows.map(({ along, up, fore, aft, bevelDeg }) => [
            ...[along, up, fore, aft].map((mm) => formatFine(mm, notation)),
            formatDeg(bevelDeg, 1),
          ]),
        },
        {
          columns: figures(['arm across', 'arm along the skin', 'through its corner']),
          rows: [[knee.acrossMm, knee.alongMm, knee.throatMm].map((mm) => formatFine(mm, notation))],
        },
      ],
      tableMm: 104,
    }),
  ];
};

export function kneeTable(knees: readonly FittedKnee[], notation: Notation): ExportTable[] {
  const rows = knees.flatMap(({ name, rows: own }) =>
    own.map(({ along, up, fore, aft, bevelDeg }) => [
      name,
      ...[along, up, fore, aft].map((mm) => lengthCell(mm, notation)),
      bevelDeg.toFixed(1),
    ]),
  );
  if (rows.length === 0) return [];
  const lengths = ['along the skin', 'up', 'out, fore face', 'out, after face'].map((word) =>
    lengthHead(word, notation),
  );
  const heads = ['knee', ...lengths, 'bevel, deg'];
  return [{ name: 'hanging-knees', title: 'Hanging knees, their edge along the skin (CSV)', csv: csv(heads, rows) }];
}
