/** What is drawn of a wall, the inside or the under side seen, and the table that it is marked out by. */
import {
  closedPath,
  csv,
  lengthCell,
  lengthHead,
  openPath,
  roomInside,
  TEXT_MM,
  type Drawing,
  type DrawnText,
  type ExportTable,
} from '../../formats';
import { at, boundsOf, upright, type Outline, type Vec2 } from '../../geometry';
import type { Notation } from '../../measure';
import type { FittedPiece } from '../fitted';
import { handWords, materialOf } from '../part-words';
import type { FittedWall } from './fitted-wall';
import { runsAcross } from './line';
import { isDeck } from './wall';

/** The face that is seen and marked on. */
export const faceOfWall = ({ kind }: Pick<FittedWall, 'kind'>): string => (isDeck(kind) ? 'under side' : 'inside');

/** Which end is to the left. */
export const leftOfWall = ({ kind }: Pick<FittedWall, 'kind'>): string =>
  !runsAcross(kind) ? 'forward' : kind === 'cabin-front' ? 'port' : 'starboard';

export const wallDrawings = (wall: FittedWall, notation: Notation): Drawing[] =>
  wall.pieces.map((piece): Drawing => ({
    name: piece.id,
    title: piece.name,
    hand: `${handWords(wall)}, ${faceOfWall(wall)}`,
    material: materialOf(wall, notation),
    paths: [
      ...[piece.region.outline, ...piece.region.holes].map((ring) => closedPath('cut', ring)),
      ...marksOfWall(piece).map((line) => openPath(line)),
    ],
    texts: namesOn(piece, wall),
  }));

/** Where the other face ends at its foot, and the net foot over what is left on to be scribed. */
export const marksOfWall = ({ otherEdge, netEdge }: FittedPiece): (readonly Vec2[])[] =>
  [otherEdge, netEdge].filter((line) => line !== undefined);

function namesOn({ region, name }: FittedPiece, wall: FittedWall): DrawnText[] {
  const heightMm = TEXT_MM * 0.6;
  const [x, y] = roomInside(region, { wide: 14 * heightMm, high: 2.6 * heightMm }, at(region.outline, 0));
  const left = runsAcross(wall.kind) ? leftOfWall(wall).toUpperCase() : 'FORE';
  return [name, `${faceOfWall(wall).toUpperCase()}, < ${left}`].map((text, i): DrawnText => ({
    ...{ at: [x, y + (1 - i) * 1.4 * heightMm], heightMm, text },
  }));
}

/** At a distance along the base line, from it to either edge. */
export type WallRow = { readonly along: number; readonly lower: number; readonly upper: number };

/** Even steps, mm, but no more of them than a page holds. */
const STEP_MM = 100;
const MOST_ROWS = 40;
/** Just within its ends, where a corner stands. */
const WITHIN_MM = 0.02;

/** Marked out from a straight line along its lowest place, at even steps from its left end. */
export function wallRows({ region }: Pick<FittedPiece, 'region'>): WallRow[] {
  const { outline } = region;
  const { minX, maxX, minY } = boundsOf(outline);
  const long = maxX - minX;
  const step = STEP_MM * Math.max(1, Math.ceil(long / STEP_MM / MOST_ROWS));
  const even = Array.from({ length: Math.ceil(long / step) }, (_, i) => i * step);
  const corners = cornersOf(outline).map(([u]) => u - minX);
  const places = [...even, ...corners, long].sort((a, b) => a - b);
  return places
    .filter((place, i) => i === 0 || place - at(places, i - 1) > SAME_PLACE_MM)
    .flatMap((along): WallRow[] => {
      const u = minX + Math.min(long - WITHIN_MM, Math.max(WITHIN_MM, along));
      const spans = upright(outline, u).flat();
      if (spans.length === 0) return [];
      return [{ along, lower: Math.min(...spans) - minY, upper: Math.max(...spans) - minY }];
    });
}
const SAME_PLACE_MM = 1;

/** Where the outline turns by more than 20°. */
function cornersOf(outline: Outline): Vec2[] {
  return outline.filter((p, i) => {
    const [a, b] = [at(outline, (i + outline.length - 1) % outline.length), at(outline, (i + 1) % outline.length)];
    const turn = Math.atan2(b[1] - p[1], b[0] - p[0]) - Math.atan2(p[1] - a[1], p[0] - a[0]);
    return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn))) > CORNER_RAD;
  });
}
const CORNER_RAD = 0.35;

/** Of all walls, each from its own base line. */
export function wallRowsTable(walls: readonly FittedWall[], notation: Notation): ExportTable[] {
  const rows = walls.flatMap((wall) =>
    wall.pieces.flatMap((piece) =>
      wallRows(piece).map(({ along, lower, upper }) => [
        piece.name,
        ...[along, lower, upper].map((mm) => lengthCell(mm, notation)),
      ]),
    ),
  );
  if (rows.length === 0) return [];
  const heads = [
    'part',
    ...['along the base', 'to its lower edge', 'to its upper edge'].map((w) => lengthHead(w, notation)),
  ];
  return [{ name: 'walls', title: 'Cabin sides and decks, marked out (CSV)', csv: csv(heads, rows) }];
}
