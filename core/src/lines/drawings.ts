/**
 * The lines as drawings, full size: profile above plan; the body plan, forward stations to starboard (right) and aft
 * ones to port; and each station by itself, both halves.
 *
 * Every line has a layer of its own in each view, `PROFILE name` and `PLAN name`; the lines that heights and
 * half-breadths are measured from are `PROFILE BASE` and `PLAN CENTRE`, stations `STATIONS`: what lines-dxf.ts reads.
 */
import { at, simplify, type Vec2 } from '../geometry';
import { sampleBatten } from './batten';
import type { Hull, Station } from './hull';
import type { HullLine } from './hull-line';
import { sectionCorners, sectionCurves, type Ruled } from './whole-section';
import {
  CURVE_MM,
  layerWord,
  TEXT_MM,
  type Drawing,
  type DrawnPath,
  type DrawnText,
  type ExportTable,
  type SheetHead,
} from '../formats';
import type { Notation } from '../measure';
import { fitsTableForm, writeOffsets, writeOffsetsTable } from './offsets-csv';
import { GUIDE_ONLY, pointWord } from './point-words';
import type { LinesPart, OffsetPoint } from './schema';

/** On 5 m of line one every 2.5 mm: the sag between two is under CURVE_MM down to a radius of 3 cm. */
const CURVE_POINTS = 2000;
/** Between profile and plan, and over the sections for labels. */
const SPACE_MM = 300;

const path = (layerName: string, points: readonly Vec2[]): DrawnPath => ({
  layer: 'mark',
  layerName,
  isClosed: false,
  points: simplify(points, CURVE_MM),
});

const everyLine = (hull: Hull): readonly HullLine[] => [...hull.lines, ...hull.extras];

/** Profile above plan, on one x axis. */
export function linesDrawing(hull: Hull): Drawing {
  const words = layerWords(everyLine(hull));
  const lines = everyLine(hull).map((line, i) => ({
    line,
    word: at(words, i),
    curve: sampleBatten(line.batten, CURVE_POINTS),
  }));
  const points = lines.flatMap(({ curve }) => curve);
  const most = (axis: 1 | 2) => Math.max(0, ...points.map((p) => p[axis]));
  const least = (axis: 1 | 2) => Math.min(0, ...points.map((p) => p[axis]));
  const base = Math.ceil((most(1) + SPACE_MM - least(2)) / 100) * 100;
  const across = (y: number): Vec2[] => [
    [hull.fromX, y],
    [hull.toX, y],
  ];
  const upright = (x: number, from: number, to: number) =>
    path('STATIONS', [
      [x, from],
      [x, to],
    ]);
  return {
    name: 'lines',
    title: 'The lines',
    paths: [
      path('PROFILE BASE', across(base)),
      path('PLAN CENTRE', across(0)),
      ...hull.stations.flatMap(({ x }) => [upright(x, base + least(2), base + most(2)), upright(x, least(1), most(1))]),
      ...lines.map(({ word, curve }) =>
        path(
          `PROFILE ${word}`,
          curve.map(([x, , z]): Vec2 => [x, base + z]),
        ),
      ),
      ...lines
        .filter(({ line }) => !line.isOnCentreline)
        .map(({ word, curve }) =>
          path(
            `PLAN ${word}`,
            curve.map(([x, y]): Vec2 => [x, y]),
          ),
        ),
    ],
    texts: [
      ...hull.stations.flatMap(({ label, x }): DrawnText[] => [
        { at: [x, base + most(2) + 20], heightMm: TEXT_MM, text: label, layerName: 'STATIONS' },
        { at: [x, most(1) + 20], heightMm: TEXT_MM, text: label },
      ]),
      ...lines.flatMap(({ line, word, curve }): DrawnText[] => {
        const [x, , z] = at(curve, -1);
        const name = hull.extras.includes(line) ? `${line.name} ${GUIDE_ONLY}` : line.name;
        const layerName = `PROFILE ${word}`;
        return [
          { at: [x + 20, base + z], heightMm: TEXT_MM, text: name, layerName },
          ...pointTexts(line, layerName, ({ x, height }) => [x, base + height]),
          ...(line.isOnCentreline ? [] : pointTexts(line, `PLAN ${word}`, ({ x, halfBreadth }) => [x, halfBreadth])),
        ];
      }),
    ],
  };
}

/** At every point of the table the name that it has there: small, and what the file is read back by. */
const pointTexts = (line: HullLine, layerName: string, placeOf: (point: OffsetPoint) => Vec2): DrawnText[] =>
  line.points.map((point) => ({
    at: placeOf(point),
    heightMm: POINT_TEXT_MM,
    text: pointWord(point),
    layerName,
    only: 'files',
  }));

const POINT_TEXT_MM = 4;

/** A word for each line's layers that no other line and no line of the drawing's own has. */
function layerWords(lines: readonly HullLine[]): string[] {
  const taken = new Set(['BASE', 'CENTRE']);
  return lines.map(({ name }) => {
    const plain = layerWord(name) || 'LINE';
    let word = plain;
    for (let k = 2; taken.has(word); k++) word = `${plain} ${k}`;
    taken.add(word);
    return word;
  });
}

/** What a section is drawn from: true curves where panels are given, heights measured down from a line if one is. */
type Board = { readonly hull: Hull; readonly panels: readonly Ruled[]; readonly heightsFrom: number | null };

/** All stations on one board, true size. */
export function bodyPlanDrawing(board: Board): Drawing {
  const { hull } = board;
  const midship = (hull.fromX + hull.toX) / 2;
  return boardDrawing(
    {
      name: 'body-plan',
      title: 'The body plan',
      stations: hull.stations,
      sidesOf: ({ x }) => (x > midship ? [-1] : [1]),
    },
    board,
  );
}

/** One station, both halves, true size. */
export const sectionDrawing = (board: Board, station: Station): Drawing =>
  boardDrawing(
    {
      name: `section-${station.label}`,
      title: `Section ${station.label}`,
      stations: [station],
      sidesOf: () => [1, -1],
    },
    board,
  );

type BoardOf = {
  readonly name: string;
  readonly title: string;
  readonly stations: readonly Station[];
  readonly sidesOf: (station: Station) => readonly (1 | -1)[];
};

/** Above the stations' names. */
const TITLE_OVER_MM = 70;

function boardDrawing({ name, title, stations, sidesOf }: BoardOf, { hull, panels, heightsFrom }: Board): Drawing {
  const drawn = stations.map((station) => ({
    station,
    curves: sectionCurves(hull, panels, station.x),
    points: sectionCorners(hull, station.x),
  }));
  const all = drawn.flatMap(({ curves, points }) => [...curves.flat(), ...points]);
  const wide = Math.max(100, ...all.map((p) => Math.abs(p[0]))) + 50;
  const [low, high] = [Math.min(0, ...all.map((p) => p[1])), Math.max(0, heightsFrom ?? 0, ...all.map((p) => p[1]))];
  const level = (z: number): DrawnPath =>
    path('LEVELS', [
      [-wide, z],
      [wide, z],
    ]);
  const cross = ([y, z]: Vec2): DrawnPath[] => [
    path('POINTS', [
      [y - CROSS_MM, z],
      [y + CROSS_MM, z],
    ]),
    path('POINTS', [
      [y, z - CROSS_MM],
      [y, z + CROSS_MM],
    ]),
  ];
  return {
    name,
    title,
    paths: [
      path('LEVELS', [
        [0, low - 50],
        [0, high + 50],
      ]),
      level(0),
      ...(heightsFrom === null ? [] : [level(heightsFrom)]),
      ...drawn.flatMap(({ station, curves, points }) =>
        sidesOf(station).flatMap((side) => {
          const turn = ([y, z]: Vec2): Vec2 => [side * y, z];
          return [
            ...curves.map((curve) => path(`STATION ${layerWord(station.label)}`, curve.map(turn))),
            ...points.map(turn).flatMap(cross),
          ];
        }),
      ),
    ],
    texts: [
      { at: [-wide, high + TITLE_OVER_MM], heightMm: TEXT_MM, text: title },
      { at: [wide - 260, 8], heightMm: TEXT_MM * 0.7, text: 'base line' },
      ...(heightsFrom === null
        ? []
        : [
            {
              at: [wide - 260, heightsFrom + 8] as const,
              heightMm: TEXT_MM * 0.7,
              text: 'heights are measured down from here',
            },
          ]),
      ...drawn.flatMap(({ station, points }) =>
        sidesOf(station).flatMap((side): DrawnText[] => {
          const top = points[points.length - 1];
          return top
            ? [{ at: [side * top[0] - (side < 0 ? 60 : -12), top[1] + 12], heightMm: TEXT_MM, text: station.label }]
            : [];
        }),
      ),
    ],
  };
}

const CROSS_MM = 6;

/** What the lines are drawn from: their own part of the project, the hull, and the panels once there are some. */
export type LinesWhole = {
  readonly project: { readonly lines: LinesPart; readonly notation: Notation };
  readonly values: { readonly lines: Hull; readonly panels: { readonly panels: readonly Ruled[] } };
  readonly sheetHead: SheetHead;
};

/** Profile and plan, body plan, and every station by itself. */
export function linesDrawings({ project, values }: LinesWhole): Drawing[] {
  const hull = values.lines;
  if (hull.lines.length === 0) return [];
  const board = { hull, panels: values.panels.panels, heightsFrom: project.lines.heightsFrom };
  return [
    linesDrawing(hull),
    ...(hull.stations.length > 0 ? [bodyPlanDrawing(board)] : []),
    ...hull.stations.map((station) => sectionDrawing(board, station)),
  ];
}

/** The offsets in both forms; the second only where it loses no point. */
export function linesTables({ project: { lines, notation } }: LinesWhole): ExportTable[] {
  const long = { name: 'offsets', title: 'The offsets', csv: writeOffsets(lines, notation) };
  if (!fitsTableForm(lines)) return [long];
  const table = {
    name: 'offsets-table',
    title: 'The offsets as plans print them',
    csv: writeOffsetsTable(lines, notation),
  };
  return [long, table];
}
