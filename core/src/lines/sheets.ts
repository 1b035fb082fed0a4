/** The lines on paper: profile, plan and body plan together on one sheet, and the table of offsets on others. */
import {
  checkLength,
  forwardArrow,
  innerBox,
  lineKey,
  merged,
  pageOnItsSide,
  scaleFor,
  sheetsOf,
  sheetText,
  tablePages,
  viewOn,
  type Content,
  type LabelBox,
  type PaperSheets,
  type SheetHead,
  type SheetTable,
  type SheetView,
  type ViewText,
} from '../formats';
import { at, boundsOf, simplify, type Vec2, type Vec3 } from '../geometry';
import { formatFine, isImperial, unitLabel, type Notation } from '../measure';
import { sampleBatten } from './batten';
import type { LinesWhole } from './drawings';
import type { Hull } from './hull';
import type { HullLine } from './hull-line';
import { GUIDE_ONLY } from './point-words';
import type { LinesPart, OffsetPoint } from './schema';
import { tableColumns } from './table';
import { sectionCorners, sectionCurves, type Ruled } from './whole-section';

const CURVE_POINTS = 400;
/** Curves on paper need no more points than the eye sees, full size, mm. */
const SIMPLE_MM = 0.2;
/** For the name of a view, over it, and for its dimension and stations, around it. */
const HEAD_MM = 7;
const AROUND_MM = 15;
/** From a view's end to the dimension of its height: the lines' names stand between. */
const NAMES_MM = 24;
const FIGURE_MM = 17;
/** Left of the views: FORE, and the key under it. */
const LEFT_MM = 14;

export function linesSheets({ project, values, sheetHead }: LinesWhole): PaperSheets[] {
  const hull = values.lines;
  if (hull.lines.length === 0) return [];
  const drawn = linesSheet(hull, values.panels.panels, sheetHead);
  return [drawn, offsetsSheet(project.lines, sheetHead)];
}

const sizeOf = ({ paths }: SheetView) => {
  const box = boundsOf(paths.flatMap(({ points }) => points));
  return { width: box.maxX - box.minX, height: box.maxY - box.minY };
};

function linesSheet(hull: Hull, panels: readonly Ruled[], head: SheetHead): PaperSheets {
  const inner = innerBox(pageOnItsSide(head.paper));
  const { notation } = head;
  const views = [profileView(hull), planView(hull), bodyView(hull, panels)];
  const sizes = views.map(sizeOf);
  // one scale for the first two, so that a place lies under itself, and one at which all three have room
  const scale = scaleFor(
    { width: Math.max(...sizes.map(({ width }) => width)), height: sizes.reduce((sum, { height }) => sum + height, 0) },
    {
      width: inner.maxX - inner.minX - LEFT_MM - NAMES_MM - FIGURE_MM,
      height: inner.maxY - inner.minY - 3 * (HEAD_MM + AROUND_MM),
    },
    isImperial(notation),
  );
  let top = inner.maxY;
  const rooms = sizes.map(({ height }, k): LabelBox => {
    const maxY = top - HEAD_MM;
    top = k === 2 ? inner.minY : maxY - height / scale.over - AROUND_MM;
    return { minX: inner.minX + LEFT_MM, maxX: inner.maxX, minY: top, maxY };
  });
  const both = [0, 1].map((k) => viewOn(at(views, k), { room: at(rooms, k), notation, scale, besideMm: NAMES_MM }));
  const body = viewOn(at(views, 2), { room: at(rooms, 2), notation });
  const bodyName = body.scale.over === scale.over ? 'Body plan' : `Body plan, ${body.scale.words}`;
  const name = (text: string, room: LabelBox) => sheetText([inner.minX, room.maxY + 2.5], text, { heightMm: 4 });
  const words: Content = {
    paths: [],
    texts: ['Profile', 'Plan', bodyName].map((text, k) => name(text, at(rooms, k))),
  };
  const content = merged(
    ...both,
    body,
    words,
    forwardArrow([inner.minX, (at(rooms, 0).minY + at(rooms, 0).maxY) / 2]),
    lineKey(
      [
        ['edge', 'lines of the hull'],
        ['mark', 'stations'],
        ['construction', 'base line, centreline'],
      ],
      [inner.minX, inner.minY + 12],
    ),
    checkLength([inner.maxX, inner.minY + 6], notation),
  );
  const sheet = {
    ...{ name: 'lines-sheet', title: 'The lines, drawn', part: 'Lines', hand: 'profile, plan and body plan' },
    ...{ material: '', scale: scale.words },
  };
  return sheetsOf(head, sheet, [content]);
}

const everyLine = (hull: Hull): readonly HullLine[] => [...hull.lines, ...hull.extras];

const lineView = (hull: Hull, put: (p: Vec3) => Vec2, lines: readonly HullLine[]): SheetView => {
  const drawn = lines.map((line) => ({
    line,
    points: simplify(sampleBatten(line.batten, CURVE_POINTS).map(put), SIMPLE_MM),
  }));
  const levels = drawn.flatMap(({ points }) => points.map((p) => p[1]));
  const [low, high] = [Math.min(0, ...levels), Math.max(...levels)];
  return {
    paths: [
      ...drawn.map(({ points }) => ({ kind: 'edge' as const, points })),
      ...hull.stations.map(({ x }) => ({
        kind: 'mark' as const,
        points: [
          [x, low],
          [x, high],
        ] as const,
      })),
      {
        kind: 'construction',
        points: [
          [hull.fromX, 0],
          [hull.toX, 0],
        ],
      },
    ],
    texts: [
      ...hull.stations.flatMap(({ label, x }): ViewText[] => [
        { at: [x, high], text: label, by: [0, 1.2], align: 'center' },
        { at: [x, low], text: label, by: [0, -4], align: 'center' },
      ]),
      ...drawn.map(({ line, points }): ViewText => ({
        at: [hull.toX, at(points, -1)[1]],
        by: [2, -1],
        text: hull.extras.includes(line) ? `${line.name} ${GUIDE_ONLY}` : line.name,
      })),
    ],
  };
};
const profileView = (hull: Hull): SheetView => lineView(hull, ([x, , z]) => [x, z], everyLine(hull));
const planView = (hull: Hull): SheetView =>
  lineView(
    hull,
    ([x, y]) => [x, y],
    everyLine(hull).filter(({ isOnCentreline }) => !isOnCentreline),
  );

/** Forward stations to the right, after ones to the left. */
function bodyView(hull: Hull, panels: readonly Ruled[]): SheetView {
  const midship = (hull.fromX + hull.toX) / 2;
  const drawn = hull.stations.map(({ label, x }) => {
    const side = x > midship ? -1 : 1;
    const turn = ([y, z]: Vec2): Vec2 => [side * y, z];
    const curves = sectionCurves(hull, panels, x).map((curve) => curve.map(turn));
    return { label, side, curves, corners: sectionCorners(hull, x).map(turn) };
  });
  const points = drawn.flatMap(({ curves }) => curves.flat());
  const [low, high] = [Math.min(0, ...points.map((p) => p[1])), Math.max(0, ...points.map((p) => p[1]))];
  const wide = Math.max(0, ...points.map((p) => Math.abs(p[0])));
  return {
    paths: [
      ...drawn.flatMap(({ curves }) => curves.map((curve) => ({ kind: 'mark' as const, points: curve }))),
      {
        kind: 'construction',
        points: [
          [0, low],
          [0, high],
        ],
      },
      {
        kind: 'construction',
        points: [
          [-wide, 0],
          [wide, 0],
        ],
      },
    ],
    texts: drawn.flatMap(({ label, side, corners }): ViewText[] => {
      const top = corners[corners.length - 1];
      return top ? [{ at: top, text: label, by: [side * 1.2, 1], align: side > 0 ? 'left' : 'right' }] : [];
    }),
  };
}

function offsetsSheet(part: LinesPart, head: SheetHead): PaperSheets {
  const inner = innerBox(pageOnItsSide(head.paper));
  const tables = offsetTables(part, head.notation);
  const pages = tablePages(tables, { first: inner, later: inner });
  const from =
    part.heightsFrom === null ? 'heights above the base line' : 'heights from the line they were measured from';
  const sheet = {
    ...{ name: 'offsets-sheet', title: 'The table of offsets, to print', part: 'Table of offsets', hand: from },
    ...{ material: '', scale: 'no drawing' },
  };
  return sheetsOf(head, sheet, pages);
}

/** More stations than this go into a table of their own: a page is no wider. */
const MOST_COLUMNS = 12;

/** Distances, heights and half-breadths; a column a station. */
function offsetTables({ longitudinals, heightsFrom }: LinesPart, notation: Notation): SheetTable[] {
  const columns = tableColumns(longitudinals);
  const chunks = Array.from({ length: Math.ceil(columns.length / MOST_COLUMNS) }, (_, k) =>
    columns.slice(k * MOST_COLUMNS, (k + 1) * MOST_COLUMNS),
  );
  const quantity = (name: string, of: (point: OffsetPoint) => number): SheetTable[] =>
    chunks.map((chunk) => ({
      columns: [
        { head: `${name}, ${unitLabel(notation)}` },
        ...chunk.map(({ label }) => ({ head: label, isFigure: true })),
      ],
      rows: longitudinals.map((line) => [
        line.isExtra ? `${line.name} ${GUIDE_ONLY}` : line.name,
        ...chunk.map(({ cells }) => {
          const point = line.points[cells.get(line.id) ?? -1];
          return point ? formatFine(of(point), notation) : '';
        }),
      ]),
    }));
  return [
    ...quantity('Distance from the stem', ({ x }) => x),
    ...quantity('Heights', ({ height }) => (heightsFrom === null ? height : heightsFrom - height)),
    ...quantity('Half-breadths', ({ halfBreadth }) => halfBreadth),
  ];
}
