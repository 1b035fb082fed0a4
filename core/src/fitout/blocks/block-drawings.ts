/** What is drawn of a block, seen from its side, and the table that it is planed to. */
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
import { formatDeg, formatFine, formatScantling, unitLabel, type Notation } from '../../measure';
import { handWords } from '../part-words';
import { edgeNames, profileOf, type BlockRow, type FittedBlock } from './block';

/** Timber that it is sawn from: its width and its greatest thickness. */
export const sawnFrom = ({ width, supports }: FittedBlock, notation: Notation): string =>
  `${formatScantling(width, notation)} × ${formatScantling(supports[0]?.depth ?? 0, notation)} timber`;

/** Rows of the table: of all the places that are known as many as are marked out. */
const EVERY = 6;

export const blockRows = ({ rows }: Pick<FittedBlock, 'rows'>): readonly BlockRow[] =>
  rows.filter((_, i) => i % EVERY === 0);

const isMade = ({ rows }: FittedBlock): boolean => rows.length > 0;

export const blockDrawings = (block: FittedBlock, notation: Notation): Drawing[] => {
  if (!isMade(block)) return [];
  const { cut, mark } = profileOf(block);
  const heightMm = TEXT_MM * 0.6;
  return [
    {
      name: `block.${block.id}`,
      title: block.name,
      hand: `${handWords(block)}, from its side, the straight face below`,
      material: sawnFrom(block, notation),
      paths: [closedPath('cut', cut), openPath(mark)],
      texts: [{ at: [0, -1.6 * heightMm], heightMm, text: block.name }],
    },
  ];
};

export const blockSheets = (block: FittedBlock, sheetHead: SheetHead): PaperSheets[] => {
  if (!isMade(block)) return [];
  const { cut, mark } = profileOf(block);
  const { notation } = sheetHead;
  const figures = (heads: readonly string[]) => heads.map((head) => ({ head, isFigure: true }));
  return [
    shapeSheet(sheetHead, {
      ...{ name: `block.${block.id}-sheet`, title: `${block.name}, its thicknesses`, part: block.name },
      hand: `${handWords(block)}, from its side, the straight face below`,
      material: sawnFrom(block, notation),
      ...{ cut, isAlong: true, isAside: true, corners: [] },
      mark: { lines: [mark], words: 'the thinner edge' },
      tables: [
        {
          columns: figures([`along it, ${unitLabel(notation)}`, ...edgeNames(block)]),
          rows: blockRows(block).map(({ along, low, high }) =>
            [along, low, high].map((mm) => formatFine(mm, notation)),
          ),
        },
        {
          columns: [{ head: 'end' }, ...figures(['on the straight face', 'through it'])],
          rows: block.ends.map(({ faceDeg, throughDeg }, i) => [
            i === 0 ? 'first' : 'second',
            ...[faceDeg, throughDeg].map((deg) => formatDeg(deg, 1)),
          ]),
        },
      ],
      tableMm: 104,
    }),
  ];
};

export function blockTable(blocks: readonly FittedBlock[], notation: Notation): ExportTable[] {
  const rows = blocks.flatMap((block) =>
    blockRows(block).map(({ along, low, high }) => [
      block.name,
      ...edgeNames(block),
      ...[along, low, high].map((mm) => lengthCell(mm, notation)),
    ]),
  );
  if (rows.length === 0) return [];
  const lengths = ['along it', 'at the first', 'at the second'].map((word) => lengthHead(word, notation));
  const heads = ['block', 'first edge', 'second edge', ...lengths];
  return [{ name: 'blocks', title: 'Blocks and wedges, thicknesses (CSV)', csv: csv(heads, rows) }];
}
