/**
 * What a cutting machine is given of a laid-out sheet: closed contours to cut outside of or inside of, each once, holes
 * to drill, tabs that hold the parts, marks, and the sheet's own edge, from its lower left corner.
 *
 * Inside corners that the cutter cannot reach are relieved: a round of the cutter's own radius is taken out of the
 * waste side's corner, so that what goes in there goes in all the way.
 */
import { at, boundsOf, differenceOf, unionOf, type Outline, type Vec2 } from '../../geometry';
import { edgeOfSheet, placedOutline } from '../check';
import type { UsedSheet } from '../result';
import type { NestJob } from '../schema';

/** Also the layers' names in a file. */
export const CUT_SIDES = ['outside', 'inside', 'drill', 'mark', 'tab', 'sheet'] as const;
export type CutSide = (typeof CUT_SIDES)[number];

export type Contour = {
  readonly side: CutSide;
  readonly points: Outline;
  readonly isClosed: boolean;
  /** Id of the part in its job, where the file was made here. */
  readonly part?: string;
};
export type CutFile = { readonly contours: readonly Contour[] };

export type Machine = {
  readonly radius: number;
  /** Tabs on each part that is longer round than LEAST_ROUND_MM. */
  readonly tabs: number;
};

/** Smaller parts have no tabs: they hold by the bed. */
export const LEAST_ROUND_MM = 600;
/** A corner that turns by less is a part of a curve, rad. */
const CORNER_RAD = 0.35;
/** The round is a little larger than the cutter and reaches a little past the corner, so that the cutter goes in. */
const ROOM = 1.03;
const CIRCLE_SIDES = 48;
/** A tab's mark goes so far to both sides of the contour, in cutters' diameters. */
const TAB_REACH = 1;

/** Marks: paths drawn on the parts, already placed on the sheet. */
export function cutFileOf(
  sheet: UsedSheet,
  job: NestJob,
  machine: Machine,
  marks: readonly (readonly Vec2[])[],
): CutFile {
  const stock = job.sheets.find(({ id }) => id === sheet.id);
  const edge: Contour[] = stock ? [{ side: 'sheet', isClosed: true, points: edgeOfSheet(stock) }] : [];
  const parts = sheet.placements.flatMap((placement): Contour[] => {
    const part = job.parts.find(({ id }) => id === placement.part);
    if (!part) return [];
    const outer = relieved(placedOutline(part.outline, placement), machine.radius, 'outside');
    const holes = part.holes.map((hole) => placedOutline(hole, placement));
    return [
      ...holes.map((hole) => ({ ...holeContour(hole, machine.radius), part: part.id })),
      { side: 'outside', points: outer, isClosed: true, part: part.id },
      ...tabsOn(outer, machine).map((points): Contour => ({ side: 'tab', points, isClosed: false })),
    ];
  });
  return {
    contours: [...edge, ...parts, ...marks.map((points): Contour => ({ side: 'mark', points, isClosed: false }))],
  };
}

/** A hole that is no wider than the cutter is drilled. */
function holeContour(hole: Outline, radius: number): Contour {
  const box = boundsOf(hole);
  const isDrilled = Math.max(box.maxX - box.minX, box.maxY - box.minY) <= 2 * radius + 1e-6;
  return {
    side: isDrilled ? 'drill' : 'inside',
    points: isDrilled ? hole : relieved(hole, radius, 'inside'),
    isClosed: true,
  };
}

/** With its corners towards the waste rounded out, where they turn by more than a curve does. */
export function relieved(outline: Outline, radius: number, side: 'outside' | 'inside'): Outline {
  const area2 = outline.reduce((sum, p, k) => {
    const q = at(outline, (k + 1) % outline.length);
    return sum + p[0] * q[1] - q[0] * p[1];
  }, 0);
  const way = Math.sign(area2) * (side === 'outside' ? -1 : 1);
  const rounds = outline.flatMap((corner, k): Outline[] => {
    const n = outline.length;
    const [into, out] = [unit(at(outline, (k + n - 1) % n), corner), unit(corner, at(outline, (k + 1) % n))];
    const turn = Math.atan2(into[0] * out[1] - into[1] * out[0], into[0] * out[0] + into[1] * out[1]);
    if (turn * way < CORNER_RAD) return [];
    const [bx, by] = [out[0] - into[0], out[1] - into[1]];
    const length = Math.hypot(bx, by);
    const reach = radius * (ROOM - 0.04);
    return length > 0
      ? [circle([corner[0] + (reach * bx) / length, corner[1] + (reach * by) / length], ROOM * radius)]
      : [];
  });
  if (rounds.length === 0) return outline;
  if (side === 'inside') return largest(unionOf([outline, ...rounds]));
  return differenceOf([outline], rounds)[0]?.outline ?? outline;
}

const largest = (outlines: readonly Outline[]): Outline =>
  [...outlines].sort((a, b) => boxArea(b) - boxArea(a))[0] ?? [];
const boxArea = (outline: Outline): number => {
  const { minX, minY, maxX, maxY } = boundsOf(outline);
  return (maxX - minX) * (maxY - minY);
};

const unit = (a: Vec2, b: Vec2): Vec2 => {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
};

const circle = ([x, y]: Vec2, radius: number): Outline =>
  Array.from({ length: CIRCLE_SIDES }, (_, k): Vec2 => {
    const angle = (2 * Math.PI * k) / CIRCLE_SIDES;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });

/** Short lines across the contour, evenly round it, in the middle of its sides. */
function tabsOn(outline: Outline, { radius, tabs }: Machine): Outline[] {
  const sides = outline.map((a, k) => ({ a, b: at(outline, (k + 1) % outline.length) }));
  const lengths = sides.map(({ a, b }) => Math.hypot(b[0] - a[0], b[1] - a[1]));
  const round = lengths.reduce((sum, mm) => sum + mm, 0);
  if (round < LEAST_ROUND_MM) return [];
  return Array.from({ length: tabs }, (_, k): Outline => {
    let left = ((k + 0.5) / tabs) * round;
    let side = 0;
    while (side < sides.length - 1 && left > at(lengths, side)) left -= at(lengths, side++);
    const { a, b } = at(sides, side);
    const [dx, dy] = unit(a, b);
    const [x, y] = [a[0] + left * dx, a[1] + left * dy];
    const reach = 2 * radius * TAB_REACH;
    return [
      [x - reach * dy, y + reach * dx],
      [x + reach * dy, y - reach * dx],
    ];
  });
}
