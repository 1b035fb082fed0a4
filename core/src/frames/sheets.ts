/** A frame on a sheet of paper: its blank to scale, figures at its corners, and the bevel along its edges. */
import {
  innerBox,
  pageOnItsSide,
  shapeSheet,
  sheetsOf,
  tablePages,
  type PaperSheets,
  type SheetHead,
  type SheetTable,
} from '../formats';
import { at, type Vec2 } from '../geometry';
import {
  formatDeg,
  formatFine,
  formatScantling,
  formatThickness,
  formatWithUnit,
  unitLabel,
  type Notation,
} from '../measure';
import { faceCurves, fittedLines, toCut, type FramesWhole } from './drawings';
import { edgePlaces } from './edge-places';
import { asSeen, cutAsSeen, isSolid, netAsSeen, type Frame } from './frame';
import { frameMaterial } from './material';
import { plotOf } from './plotting';
import { mitreDeg, type RollingBevel } from './rolling-bevel';
import type { Timber } from './timber/timbers';
import { endCells, ORDER_OF_WORK } from './timber/words';

const TABLE_MM = 104;

export const framesSheets = ({ values: { frames }, sheetHead }: FramesWhole): PaperSheets[] => [
  ...frames.frames.map((frame) => frameSheet(frame, sheetHead)),
  ...(frames.bevels.length > 0 ? [bevelsSheet(frames.bevels, sheetHead)] : []),
];

/** The bevels along every line, on as many pages as it takes. */
function bevelsSheet(bevels: readonly RollingBevel[], head: SheetHead): PaperSheets {
  const inner = innerBox(pageOnItsSide(head.paper));
  const sheet = {
    ...{ name: 'bevels-sheet', title: 'Bevels along the lines', part: 'Logs, keelson, clamps, stem' },
    ...{ hand: 'both sides', material: 'sawn timber', scale: 'no drawing' },
  };
  const tables = bevels.map((bevel) => bevelTable(bevel, head.notation));
  return sheetsOf(head, sheet, tablePages(tables, { first: inner, later: inner }));
}

/** A number is a station's; an end is called by its own name. */
const stationWord = (station = ''): string => (/^\d/.test(station) ? `station ${station}` : station);

const bevelTable = ({ name, rows, ripDeg, leftToPlaneDeg }: RollingBevel, notation: Notation): SheetTable => ({
  columns: [
    { head: `${name}: rip at ${formatDeg(ripDeg)}, plane up to ${formatDeg(leftToPlaneDeg)}` },
    { head: `from its fore end, ${unitLabel(notation)}`, isFigure: true },
    { head: 'between', isFigure: true },
    { head: 'bevel', isFigure: true },
    { head: 'sheets mitred', isFigure: true },
  ],
  rows: rows.map(({ station, s, dihedralDeg, bevelDeg }) => [
    stationWord(station),
    formatFine(s, notation),
    formatDeg(dihedralDeg),
    formatDeg(bevelDeg),
    formatDeg(mitreDeg(dihedralDeg)),
  ]),
});

function frameSheet(frame: Frame, head: SheetHead): PaperSheets {
  const { notation } = head;
  const { outline, holes } = cutAsSeen(frame);
  return shapeSheet(head, {
    ...{ name: `${frame.id}-sheet`, title: `${frame.name}, its outline and bevels`, part: frame.name },
    hand: `${toCut(frame)}, ${FACES[frame.face]} at ${formatWithUnit(frame.x, notation)} from the stem`,
    material: frameMaterial(frame, notation),
    cut: outline,
    holes,
    net: netAsSeen(frame),
    mark: {
      lines: [faceCurves(frame).flat(), ...fittedLines(frame)],
      words: [`edge of the ${FACES[frame.face]}`, ...fittedWords(frame)].join(', '),
    },
    // on a part with its middle out the table alone has them: there is no room beside the edge
    corners: isSolid(frame) ? cornersOf(frame) : [],
    tables: [
      edgesTable(frame, notation),
      ...timberSheetTables(frame, notation),
      ...cleatSheetTables(frame, notation),
      plotTable(frame, notation),
    ],
    tableMm: TABLE_MM,
  });
}

/** What else is marked on it. */
const fittedWords = ({ timbered, rims, cleats }: Frame): string[] => [
  ...(timbered ? ['joints, gussets'] : []),
  ...(rims.some(({ region }) => region.holes.length > 0) ? ['doubler'] : []),
  ...(cleats.length > 0 ? ['cleats'] : []),
];

const FACES = { fore: 'forward face', aft: 'after face' } as const;

/** Of a frame of timber its pieces, their ends, and the order in which they are worked. */
function timberSheetTables(frame: Frame, notation: Notation): SheetTable[] {
  if (!frame.timbered) return [];
  const { timbers, plates, spall } = frame.timbered;
  const long = (mm: number) => formatFine(mm, notation);
  const stock = (mm: number) => formatScantling(mm, notation);
  const figures = (heads: readonly string[]) => heads.map((head) => ({ head, isFigure: true }));
  const pieces: SheetTable = {
    columns: [
      ...[{ head: 'piece' }, { head: 'count' }, { head: 'long', isFigure: true }],
      ...[{ head: 'of' }, ...figures(['rip', 'plane to'])],
    ],
    rows: [
      ...timbers.map((timber) => [
        timber.name,
        timber.isPair ? 'a pair' : '1',
        long(timber.lengthMm),
        `${stock(timber.breadthMm)} × ${stock(timber.thicknessMm)}`,
        ...edgeCells(timber),
      ]),
      ...plates.map(({ name, isPair, faces, thicknessMm }) => [
        ...[name, String((isPair ? 2 : 1) * faces), ''],
        ...[`${formatThickness(thicknessMm, notation)} plywood`, '', ''],
      ]),
      ...(spall ? [[`Spall, ${long(spall.upMm)} up`, '1', long(spall.lengthMm), stock(spall.breadthMm), '', '']] : []),
    ],
  };
  const ends: SheetTable = {
    columns: [
      ...[{ head: 'ends' }, { head: 'at' }],
      ...[...figures(['mitre', 'rise']), { head: 'long' }, ...figures(['blade']), { head: 'long on' }],
    ],
    rows: timbers.flatMap((timber) =>
      endCells(timber, frame, notation).map((cells, i) => [i === 0 ? timber.name : '', ...cells]),
    ),
  };
  const order: SheetTable = {
    columns: [{ head: 'order of work' }],
    rows: ORDER_OF_WORK.map((words, i) => [`${i + 1}. ${words}`]),
  };
  return [pieces, ends, order];
}

/** Points to plot it by, and the board that takes it. */
function plotTable(frame: Frame, notation: Notation): SheetTable {
  const { points, isHalf, board } = plotOf(frame);
  const isBevelled = points.some(({ other }) => other);
  const lengths = (...mm: number[]) => mm.map((one) => formatFine(one, notation));
  const figures = (...heads: string[]) => heads.map((head) => ({ head, isFigure: true }));
  return {
    columns: [
      { head: isHalf ? 'points of one half' : 'points' },
      ...figures('out', 'up'),
      ...(isBevelled ? figures(`${OTHER[frame.face]} face out`, 'up') : []),
    ],
    rows: [
      ...points.map(({ number, out, up, other }) => [
        ...[String(number), ...lengths(out, up)],
        ...(isBevelled ? (other ? lengths(other.out, other.up) : ['', '']) : []),
      ]),
      ['least board', ...lengths(board.longMm, board.broadMm), ...(isBevelled ? ['', ''] : [])],
    ],
  };
}

const OTHER = { fore: 'after', aft: 'forward' } as const;

/** Of what its cleats are sawn, on which face they go, and how far in. */
const cleatSheetTables = ({ cleats }: Frame, notation: Notation): SheetTable[] =>
  cleats.length === 0
    ? []
    : [
        {
          columns: [
            ...[{ head: 'cleat along' }, { head: 'on' }, { head: 'count' }],
            ...['long', 'of', 'bevel'].map((head) => ({ head, isFigure: true })),
          ],
          rows: cleats.flatMap(({ along, face, pieces, breadthMm, depthMm, bevel }) =>
            pieces.map(({ lengthMm, isPair }) => [
              ...[along, FACES[face], isPair ? 'a pair' : '1', formatFine(lengthMm, notation)],
              `${formatScantling(breadthMm, notation)} × ${formatScantling(depthMm, notation)}`,
              bevel ? `${formatDeg(bevel.fromDeg)} to ${formatDeg(bevel.toDeg)}` : 'square',
            ]),
          ),
        },
      ];

/** The saw's tilt for the outer edge, and the bevel to which the rest of it is planed. */
function edgeCells({ bevel }: Timber): string[] {
  if (!bevel) return ['square', ''];
  const { fromDeg, toDeg, ripDeg } = bevel;
  const furthest = Math.abs(fromDeg - ripDeg) > Math.abs(toDeg - ripDeg) ? fromDeg : toDeg;
  return [formatDeg(ripDeg), formatDeg(furthest)];
}

/** Where edges begin and end. */
const cornersOf = (frame: Frame): Vec2[] => {
  const ends = frame.edges.flatMap(({ points }) =>
    [at(points, 0), at(points, -1)].map(({ y, z }): Vec2 => onDrawnSide(frame, [y, z])),
  );
  return ends.filter((p, i) => ends.findIndex((q) => Math.hypot(q[0] - p[0], q[1] - p[1]) < 0.5) === i);
};

/** Of a frame on both sides the right-hand one, whichever that is. */
const onDrawnSide = (frame: Frame, [y, z]: Vec2): Vec2 =>
  frame.hand === 'across' ? [y, z] : asSeen(frame, [frame.hand === 'port' ? -y : y, z]);

/** Bevel from square; plus: the other face is smaller. */
const edgesTable = (frame: Frame, notation: Notation): SheetTable => ({
  columns: [
    { head: `in ${unitLabel(notation)}, on` },
    ...['out', 'up', 'bevel', 'other face in'].map((head) => ({ head, isFigure: true })),
  ],
  rows: edgePlaces(frame).map(({ panelName, y, z, bevelDeg, otherFaceOffset }) => [
    ...[panelName, ...[y, z].map((mm) => formatFine(mm, notation))],
    ...[formatDeg(bevelDeg), formatFine(otherFaceOffset, notation)],
  ]),
});
