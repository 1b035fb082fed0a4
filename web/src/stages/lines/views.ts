/** Where the three views of the lines lie on the drawing: arrangement only, the curves come from the core. */
import { battenAt, crossingsOfX, type Hull, type HullLine } from '@kalotrope/core/lines';

type Point = readonly [number, number];

export type View = {
  readonly name: string;
  /** Which coordinate of space is drawn upwards. */
  readonly axis: 1 | 2;
  /** Drawing height of that coordinate's zero. */
  readonly zero: number;
  readonly low: number;
  readonly high: number;
  readonly corners: readonly Point[];
};

/** Between views, as a share of the hull's length. */
const SPACE = 0.07;

/** All that is drawn: the lines that bound panels, and those that bound none. */
export const drawnLines = (hull: Hull): readonly HullLine[] => [...hull.lines, ...hull.extras];

export function viewsOf(hull: Hull): readonly [View, View] {
  const points = drawnLines(hull).flatMap((line) => line.curve);
  const most = (axis: 1 | 2) => Math.max(0, ...points.map((p) => p[axis]));
  const least = (axis: 1 | 2) => Math.min(0, ...points.map((p) => p[axis]));
  const space = (hull.toX - hull.fromX) * SPACE;
  const planHigh = most(1);
  const profileZero = planHigh + space - least(2) + space;
  const view = (name: string, axis: 1 | 2, zero: number): View => {
    const [low, high] = [zero + least(axis), zero + most(axis)];
    return {
      name,
      axis,
      zero,
      low,
      high,
      corners: [
        [hull.fromX, low],
        [hull.toX, high],
      ],
    };
  };
  return [view('Profile', 2, profileZero), view('Plan', 1, 0)];
}

export type BodySection = {
  readonly label: string;
  readonly index: number;
  readonly points: readonly Point[];
  readonly end: Point;
};

/** A point of the table as the body plan has it; `side` 1 to the right. */
type BodyGrip = { readonly line: HullLine; readonly place: number; readonly side: 1 | -1; readonly at: Point };

/** Sections through the lines' points at the stations, to the right of the long views. */
export function bodyPlan(hull: Hull) {
  const [profile] = viewsOf(hull);
  const breadth = Math.max(1, ...drawnLines(hull).flatMap((line) => line.curve.map((p) => p[1])));
  const middle = hull.toX + breadth + (hull.toX - hull.fromX) * SPACE * 1.2;
  const midship = (hull.fromX + hull.toX) / 2;
  const sections = hull.stations.map(({ label, x }, index): BodySection => {
    const side = x > midship ? -1 : 1;
    const found = hull.lines.flatMap((line) =>
      crossingsOfX(line.batten, x)
        .slice(0, 1)
        .map((t) => battenAt(line.batten, t).position),
    );
    const points = found.map((p): Point => [middle + side * p[1], profile.zero + p[2]]);
    const onCentre: Point[] = points[0] ? [[middle, points[0][1]]] : [];
    return {
      label,
      index,
      points: [...onCentre, ...points],
      end: points[points.length - 1] ?? [middle, profile.zero],
    };
  });
  const grips = drawnLines(hull).flatMap((line) =>
    line.points.flatMap((p, place): BodyGrip[] => {
      if (!hull.stations.some(({ label, x }) => label === p.station && Math.abs(x - p.x) < 1)) return [];
      const side = p.x > midship ? -1 : 1;
      return [{ line, place, side, at: [middle + side * p.halfBreadth, profile.zero + p.height] }];
    }),
  );
  const corners: Point[] = [
    [middle - breadth, profile.low],
    [middle + breadth, profile.high],
  ];
  const axis: Point[] = [
    [middle, profile.low],
    [middle, profile.high],
  ];
  return { middle, low: profile.low, sections, grips, corners, axis };
}
