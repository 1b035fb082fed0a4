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
  /** Along the drawing, of a place along the boat, and the other way. */
  readonly drawnX: (x: number) => number;
  readonly trueX: (drawn: number) => number;
  readonly corners: readonly Point[];
};

/** Between views, as a share of the hull's length. */
const SPACE = 0.07;

/** All that is drawn: the lines that bound panels, and those that bound none. */
export const drawnLines = (hull: Hull): readonly HullLine[] => [...hull.lines, ...hull.extras];

/** The room that a hull takes. Kept while a point is dragged, so that the views stay where they are. */
export type Extent = {
  readonly fromX: number;
  readonly toX: number;
  readonly breadth: number;
  readonly lowBreadth: number;
  readonly high: number;
  readonly low: number;
};

export function extentOf(hull: Hull): Extent {
  const points = drawnLines(hull).flatMap((line) => line.curve);
  const most = (axis: 1 | 2) => Math.max(0, ...points.map((p) => p[axis]));
  const least = (axis: 1 | 2) => Math.min(0, ...points.map((p) => p[axis]));
  return {
    fromX: hull.fromX,
    toX: hull.toX,
    breadth: Math.max(1, most(1)),
    lowBreadth: least(1),
    high: most(2),
    low: least(2),
  };
}

/** As a share of the length: an edit that changes the extent by less leaves the views in their places. */
const SAME_EXTENT = 0.06;

export function isSameExtent(a: Extent, b: Extent): boolean {
  const most = SAME_EXTENT * Math.max(a.toX - a.fromX, 1);
  // the keys of an Extent
  return (Object.keys(a) as (keyof Extent)[]).every((key) => Math.abs(a[key] - b[key]) <= most);
}

/** One sights along a batten with the eye near its end: the length drawn at an eighth. */
export const SIGHT = 1 / 8;

/** Profile above plan. `squeeze` is what a length along is drawn as: 1, or SIGHT. */
export function viewsOf(extent: Extent, squeeze: number): readonly [View, View] {
  const length = (extent.toX - extent.fromX) * squeeze;
  const space = Math.max(length, extent.breadth) * SPACE;
  const profileZero = extent.breadth + space - extent.low + space;
  const drawnX = (x: number) => extent.fromX + (x - extent.fromX) * squeeze;
  const trueX = (drawn: number) => extent.fromX + (drawn - extent.fromX) / squeeze;
  const view = (name: string, axis: 1 | 2, zero: number, least: number, most: number): View => ({
    name,
    axis,
    zero,
    low: zero + least,
    high: zero + most,
    drawnX,
    trueX,
    corners: [
      [extent.fromX, zero + least],
      [drawnX(extent.toX), zero + most],
    ],
  });
  return [
    view('Profile', 2, profileZero, extent.low, extent.high),
    view('Plan', 1, 0, extent.lowBreadth, extent.breadth),
  ];
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
export function bodyPlan(hull: Hull, extent: Extent, profile: View) {
  const { breadth } = extent;
  const end = profile.drawnX(extent.toX);
  const middle = end + breadth + Math.max(end - extent.fromX, breadth) * SPACE * 1.2;
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
