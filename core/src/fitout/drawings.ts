/** What is drawn of the parts inside and on top: each piece from above, its table, and where it lies on the panels. */
import {
  closedPath,
  csv,
  lengthCell,
  lengthHead,
  openPath,
  roomInside,
  straightPath,
  TEXT_MM,
  type Drawing,
  type DrawnText,
  type ExportTable,
} from '../formats';
import { at, simplify, upright, type Vec2, type Vec3 } from '../geometry';
import type { Notation } from '../measure';
import type { Panel } from '../panels';
import type { Marks } from '../stage';
import { evenRows } from './edge-rows';
import type { EdgePoint, FittedPiece } from './fitted';
import type { LandingRow } from './landing-screws';
import { throughPiece } from './on-piece';
import { blockDrawings, blockTable } from './blocks/block-drawings';
import { alongAt, placeOn } from './lie';
import { planeAtX } from './across';
import { handWords, materialOf } from './part-words';
import { kneeDrawings, kneeTable } from './knees/knee-drawings';
import { stemDrawings, stemTable } from './stems/stem-drawings';
import type { InsideValue } from './inside-value';
import type { Fitted } from './value';
import { wallDrawings, wallRowsTable } from './walls/wall-drawings';

export type InsideWhole = {
  readonly project: { readonly notation: Notation };
  readonly values: { readonly fitout: InsideValue };
};

export const insideDrawings = ({ project: { notation }, values: { fitout } }: InsideWhole): Drawing[] => [
  ...fitout.parts.flatMap((part) =>
    part.pieces.map((piece): Drawing => ({
      name: piece.id,
      title: piece.name,
      hand: `${handWords(part)}, upper face`,
      material: materialOf(part, notation),
      paths: [
        ...[piece.region.outline, ...piece.region.holes].map((ring) => closedPath('cut', ring)),
        ...marksOfPiece(part, piece, fitout.screws).map((line) => openPath(line)),
      ],
      texts: namesOn(piece, part),
    })),
  ),
  ...fitout.walls.flatMap((wall) => wallDrawings(wall, notation)),
  ...fitout.blocks.flatMap((block) => blockDrawings(block, notation)),
  ...fitout.stems.flatMap((stem) => stemDrawings(stem, notation)),
  ...fitout.knees.flatMap((knee) => kneeDrawings(knee, notation)),
];

/** What is marked on a piece: bearers under it, its centreline, the other face's edge, screws and fittings. */
export function marksOfPiece(part: Fitted, piece: FittedPiece, screws: readonly LandingRow[]): Vec2[][] {
  const { region, otherFace } = piece;
  const bearers = part.supports.flatMap(({ line, breadth }) =>
    line ? [-breadth / 2, breadth / 2].map((by) => alongAt(part.lie, planeAtX(line.x), 0, 0) + by) : [],
  );
  const across = [...new Set(bearers)].flatMap((u) =>
    upright(region.outline, u).map(([from, to]): Vec2[] => [
      [u, from],
      [u, to],
    ]),
  );
  const us = region.outline.map(([u]) => u);
  const [first, last] = [Math.min(...us), Math.max(...us)];
  const isOnCentre = upright(region.outline, (first + last) / 2).some(([from, to]) => from < 0 && to > 0);
  return [
    ...across,
    ...(isOnCentre ? [straightPath([first, 0], [last, 0]).points as Vec2[]] : []),
    ...(otherFace ? [[...otherFace, at(otherFace, 0)]] : []),
    ...(part.feet ?? []).map(({ line }) => [...line]),
    ...throughPiece(piece, part.fittings, screws),
  ];
}

function namesOn({ region, name }: FittedPiece, part: Fitted): DrawnText[] {
  const heightMm = TEXT_MM * 0.6;
  const [x, y] = roomInside(region, { wide: 14 * heightMm, high: 2.6 * heightMm }, at(region.outline, 0));
  const words = [
    name,
    part.hand === 'port' || part.hand === 'across' ? 'UPPER FACE, < FORE' : 'UPPER FACE, < FORE, out ^',
  ];
  return words.map((text, i): DrawnText => ({ at: [x, y + (1 - i) * 1.4 * heightMm], heightMm, text }));
}

/** Each edge at the skin, place by place: along the boat, out, up, and the bevel. */
export function insideTables({ project: { notation }, values: { fitout } }: InsideWhole): ExportTable[] {
  const rows = fitout.parts.flatMap((part) =>
    part.pieces.flatMap((piece) =>
      piece.atSkin.flatMap(({ face, points }) =>
        edgeRows(part, points).map(({ place: [x, y, z], bevelDeg }) => [
          ...[piece.name, face === 'top' ? 'upper' : 'under'],
          ...[x, y, z].map((mm) => lengthCell(mm, notation)),
          bevelDeg.toFixed(1),
        ]),
      ),
    ),
  );
  const others = [
    ...wallRowsTable(fitout.walls, notation),
    ...blockTable(fitout.blocks, notation),
    ...stemTable(fitout.stems, notation),
    ...kneeTable(fitout.knees, notation),
    ...screwTable(fitout.screws, notation),
  ];
  if (rows.length === 0) return others;
  const heads = [
    'part',
    'face',
    ...['from the stem', 'out', 'up'].map((word) => lengthHead(word, notation)),
    'bevel, deg',
  ];
  return [{ name: 'fitout', title: 'Inside and on top, edges (CSV)', csv: csv(heads, rows) }, ...others];
}

function screwTable(screws: readonly LandingRow[], notation: Notation): ExportTable[] {
  if (screws.length === 0) return [];
  const lengths = ['first from the end', 'apart', 'no longer than'].map((word) => lengthHead(word, notation));
  const rows = screws.map(({ panelName, into, count, places, spacingMm, lengthMm, endsMm }) => [
    ...[panelName, into, String(places.length), String(count)],
    ...[endsMm, spacingMm, lengthMm].map((mm) => lengthCell(mm, notation)),
  ]);
  const heads = ['part', 'into', 'in the row', 'in all', ...lengths];
  return [{ name: 'inside-screws', title: 'Inside and on top, screws (CSV)', csv: csv(heads, rows) }];
}

type PlacedRow = { readonly place: Vec3; readonly bevelDeg: number };

/** To a stretch of edge so many at most. */
const MOST_ROWS = 8;

/** An edge at even steps along it, on the part itself. */
export const edgeRows = ({ lie }: Pick<Fitted, 'lie'>, points: readonly EdgePoint[]): PlacedRow[] =>
  evenRows(points, MOST_ROWS).map(({ flat, bevelDeg }) => ({ place: placeOn(lie, flat), bevelDeg }));

/** Of the edges where parts lie against a panel's inside, the line of their under side. */
export function insideOnPanel(panel: Panel, parts: readonly Fitted[]): Marks {
  const lines = parts
    .filter(({ fit }) => fit === 'inside')
    .flatMap((part) =>
      part.pieces.flatMap(({ atSkin, name }) =>
        atSkin
          .filter(({ points }) => at(points, 0).space[1] > 0 || panel.spansCentreline)
          .map(({ face, points }) => ({
            name: `${name}, ${face === 'top' ? 'upper' : 'under'} edge`,
            points: points.filter(({ mark }) => mark.panel === panel.id).map(({ mark }) => mark.flat),
          })),
      ),
    )
    .filter(({ points }) => points.length > 1);
  return {
    paths: lines.map(({ points }) => ({ ...openPath(simplify(points, 0.05)), layerName: 'INSIDE' })),
    texts: lines.map(({ name, points }): DrawnText => {
      const [x, y] = at(points, Math.floor(points.length / 3));
      return { at: [x, y + 4], heightMm: TEXT_MM * 0.55, text: name };
    }),
  };
}
