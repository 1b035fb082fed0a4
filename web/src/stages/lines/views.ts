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

/** Scales of the body plan beside that of the long views, the largest that finds room is taken. */
const BODY_SCALES = [3, 2, 1.5, 1] as const;
/** As shares of the long views' length: of the body plan's width, and of all three views' height. */
const MOST_BODY = 0.56;
const MOST_HEIGHT = 0.82;

/** Where the body plan lies: below the plan, larger where it can be, or beside the profile of a short drawing. */
export type BodyPlace = {
  readonly middle: number;
  readonly zero: number;
  readonly scale: number;
  /** The drawing's place of a point across and up, and the other way. */
  readonly drawn: (place: Point) => Point;
  readonly trueOf: (drawn: Point) => Point;
  readonly corners: readonly [Point, Point];
  /** What is left beside it, as two corners; none where it stands beside the long views itself. */
  readonly free: readonly [Point, Point] | undefined;
};

export function bodyPlace(extent: Extent, [profile, plan]: readonly [View, View]): BodyPlace {
  const { breadth, low, high } = extent;
  const [start, end] = [extent.fromX, profile.drawnX(extent.toX)];
  const length = Math.max(end - start, 1);
  const space = Math.max(length, breadth) * SPACE;
  const above = profile.high - plan.low + 1.7 * space;
  const fits = (scale: number) =>
    2 * breadth * scale <= MOST_BODY * length && above + (high - low) * scale <= MOST_HEIGHT * length;
  const below = BODY_SCALES.find(fits);
  const scale = below ?? 1;
  const middle = below === undefined ? end + breadth + 1.2 * space : start + breadth * scale;
  const zero = below === undefined ? profile.zero : plan.low - 1.7 * space - high * scale;
  const drawn = ([across, up]: Point): Point => [middle + across * scale, zero + up * scale];
  const corners = [drawn([-breadth, low]), drawn([breadth, high])] as const;
  return {
    ...{ middle, zero, scale, drawn, corners },
    trueOf: ([x, y]) => [(x - middle) / scale, (y - zero) / scale],
    free:
      below === undefined
        ? undefined
        : [
            [corners[1][0] + space, corners[0][1]],
            [end, plan.low - 0.6 * space],
          ],
  };
}

/** Sections through the lines' points at the stations: forward ones to the right, aft ones to the left. */
export function bodyPlan(hull: Hull, extent: Extent, { drawn }: BodyPlace) {
  const midship = (hull.fromX + hull.toX) / 2;
  const sections = hull.stations.map(({ label, x }, index): BodySection => {
    const side = x > midship ? -1 : 1;
    const found = hull.lines.flatMap((line) =>
      crossingsOfX(line.batten, x)
        .slice(0, 1)
        .map((t) => battenAt(line.batten, t).position),
    );
    const points = found.map((p): Point => drawn([side * p[1], p[2]]));
    const onCentre: Point[] = found[0] ? [drawn([0, found[0][2]])] : [];
    return { label, index, points: [...onCentre, ...points], end: points[points.length - 1] ?? drawn([0, 0]) };
  });
  const grips = drawnLines(hull).flatMap((line) =>
    line.points.flatMap((p, place): BodyGrip[] => {
      if (!hull.stations.some(({ label, x }) => label === p.station && Math.abs(x - p.x) < 1)) return [];
      const side = p.x > midship ? -1 : 1;
      return [{ line, place, side, at: drawn([side * p.halfBreadth, p.height]) }];
    }),
  );
  const axis: Point[] = [drawn([0, extent.low]), drawn([0, extent.high])];
  return { sections, grips, axis };
}

/** How much larger than the long views, in words. */
export const scaleWords = (scale: number): string =>
  ({ 1.5: 'one and a half times the scale', 2: 'twice the scale', 3: 'three times the scale' })[scale] ?? '';
