/**
 * The lines as drawings, full size: profile above plan; the body plan, forward stations to starboard (right) and aft
 * ones to port; and each station by itself, both halves.
 *
 * Every line has a layer of its own in each view, `PROFILE name` and `PLAN name`; the lines that heights and
 * half-breadths are measured from are `PROFILE BASE` and `PLAN CENTRE`, stations `STATIONS`: what lines-dxf.ts reads.
 */
import { at, simplify, type Vec2 } from '../geometry';
import { sampleBatten, type Hull, type HullLine, type Station } from '../lines';
import { sectionCorners, sectionCurves, type Panel } from '../panels';
import type { Drawing, DrawnPath, DrawnText } from './drawing';

const CURVE_MM = 0.025;
const CURVE_POINTS = 400;
const TEXT_MM = 22;
/** Between profile and plan, and over the sections for labels. */
const SPACE_MM = 300;

const path = (layerName: string, points: readonly Vec2[]): DrawnPath => ({
  layer: 'mark',
  layerName,
  isClosed: false,
  points: simplify(points, CURVE_MM),
});

/** Names in a file's layers: upper case, without the signs that the format keeps for itself. */
export const layerWord = (name: string): string =>
  name
    .toUpperCase()
    .replace(/[<>/\\":;?*|=,`']/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

const everyLine = (hull: Hull): readonly HullLine[] => [...hull.lines, ...hull.extras];

/** Profile above plan, on one x axis. */
export function linesDrawing(hull: Hull): Drawing {
  const lines = everyLine(hull).map((line) => ({ line, curve: sampleBatten(line.batten, CURVE_POINTS) }));
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
    paths: [
      path('PROFILE BASE', across(base)),
      path('PLAN CENTRE', across(0)),
      ...hull.stations.flatMap(({ x }) => [upright(x, base + least(2), base + most(2)), upright(x, least(1), most(1))]),
      ...lines.map(({ line, curve }) =>
        path(
          `PROFILE ${layerWord(line.name)}`,
          curve.map(([x, , z]): Vec2 => [x, base + z]),
        ),
      ),
      ...lines
        .filter(({ line }) => !line.isOnCentreline)
        .map(({ line, curve }) =>
          path(
            `PLAN ${layerWord(line.name)}`,
            curve.map(([x, y]): Vec2 => [x, y]),
          ),
        ),
    ],
    texts: [
      ...hull.stations.flatMap(({ label, x }): DrawnText[] => [
        { at: [x, base + most(2) + 20], heightMm: TEXT_MM, text: label, layerName: 'STATIONS' },
        { at: [x, most(1) + 20], heightMm: TEXT_MM, text: label },
      ]),
      ...lines.map(({ line, curve }): DrawnText => {
        const [x, , z] = at(curve, -1);
        return { at: [x + 20, base + z], heightMm: TEXT_MM, text: line.name };
      }),
    ],
  };
}

/** All stations on one board, true size. */
export function bodyPlanDrawing(hull: Hull, panels: readonly Panel[], heightsFrom: number | null): Drawing {
  const midship = (hull.fromX + hull.toX) / 2;
  return board('body-plan', hull, panels, heightsFrom, hull.stations, ({ x }) => (x > midship ? [-1] : [1]));
}

/** One station, both halves, true size. */
export const sectionDrawing = (
  hull: Hull,
  panels: readonly Panel[],
  heightsFrom: number | null,
  station: Station,
): Drawing => board(`section-${station.label}`, hull, panels, heightsFrom, [station], () => [1, -1]);

function board(
  name: string,
  hull: Hull,
  panels: readonly Panel[],
  heightsFrom: number | null,
  stations: readonly Station[],
  sidesOf: (station: Station) => readonly (1 | -1)[],
): Drawing {
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
