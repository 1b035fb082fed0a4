/**
 * A block of timber that fills between a straight face and the inside of the boat: a taper block on a bent transom, a
 * wedge along a side that flares, a shim under a bearer.
 *
 * Method: its straight face lies along a line and across that by its width, square to the way it fills. At even places
 * along both edges of that face the thickness is how far the inside of the boat is, that way, less what is kept clear
 * of it. Run on to the skin its ends lie where both edges meet that; its end is cut by the angles of the skin's normal
 * there: on the straight face atan(n·across / n·along), through its thickness atan(n·fill / n·along), as any timber's
 * end against the skin (frames).
 * Conventions: `along` from its first end to its second, `fill` from its straight face to what it meets, `across` =
 * fill × along. Lengths mm.
 */
import { add3, at, cross3, dot3, length3, lerp3, scale3, sub3, unit3, type Vec2, type Vec3 } from '../../geometry';
import { toDeg } from '../../measure';
import type { BlockPlan } from '../schema';
import type { Support } from '../supports';
import { firstMet, type Met, type Solid } from './surface';

/** At a distance from its first end: how thick at its edges, `low` that toward −across. */
export type BlockRow = { readonly along: number; readonly place: Vec3; readonly low: number; readonly high: number };

/** How an end is cut away from square: on the straight face, and through the thickness. */
export type BlockEnd = { readonly faceDeg: number; readonly throughDeg: number };

export type NoBlock = 'no-length' | 'meets-nothing' | 'no-room';

export type FittedBlock = Pick<BlockPlan, 'id' | 'name' | 'hand' | 'width'> & {
  readonly plan: string;
  readonly fit: 'block';
  readonly isSquare: true;
  readonly isBent: false;
  readonly thickness: number;
  /** No sheet is cut for it. */
  readonly pieces: readonly never[];
  /** The timber that it is cut from. */
  readonly supports: readonly Support[];
  readonly lengthMm: number;
  readonly rows: readonly BlockRow[];
  readonly ends: readonly BlockEnd[];
  readonly thickest: number;
  readonly thinnest: number;
  readonly fill: Vec3;
  readonly across: Vec3;
  /** Why there is none, and where along the boat. */
  readonly none?: NoBlock;
  readonly noneAt?: number;
};

/** Places along it: a curve of a metre's radius is met within 0.02 mm of its chords over a block of half a metre. */
const PLACES = 48;
const WAYS: Readonly<Record<BlockPlan['fills'], Vec3>> = {
  out: [0, 1, 0],
  aft: [1, 0, 0],
  forward: [-1, 0, 0],
  down: [0, 0, -1],
  up: [0, 0, 1],
};

export function blockOf(plan: BlockPlan, solid: Solid): FittedBlock {
  const { id, name, hand, width } = plan;
  const own = { ...{ id, plan: id, name, hand, width }, fit: 'block', isSquare: true, isBent: false } as const;
  const none = (why: NoBlock, x: number): FittedBlock => ({
    ...own,
    ...{ thickness: 0, pieces: [], supports: [], lengthMm: 0, rows: [], ends: [], thickest: 0, thinnest: 0 },
    ...{ fill: WAYS[plan.fills], across: [0, 0, 0], none: why, noneAt: x },
  });
  const line = lineOf(plan);
  const axes = axesOf(line, WAYS[plan.fills]);
  if (!axes) return none('no-length', plan.from.x);
  const span = plan.isToSkin ? endsOnSkin(line, axes, { solid, width }) : squareEnds(line);
  if (!span) return none('meets-nothing', plan.from.x);
  const places = Array.from({ length: PLACES + 1 }, (_, i) => lerp3(span.from, span.to, i / PLACES));
  const met = places.map((place) =>
    [-1, 1].map((side) => firstMet(solid, add3(place, scale3(axes.across, (side * width) / 2)), axes.fill)),
  );
  const gone = met.findIndex((two) => two.some((one) => one === undefined));
  if (gone >= 0) return none('meets-nothing', at(places, gone)[0]);
  const long = length3(sub3(span.to, span.from));
  const lengthMm = span.more[0] + long + span.more[1];
  const rows = places.map((place, i): BlockRow => {
    const [low, high] = at(met, i).map((one) => (one?.far ?? 0) - plan.clear) as [number, number]; // two, both met
    return { along: span.more[0] + (long * i) / PLACES, place, low, high };
  });
  const all = rows.flatMap(({ low, high }) => [low, high]);
  const [thinnest, thickest] = [Math.min(...all), Math.max(...all)];
  if (thinnest < 0) return none('no-room', at(rows, all.indexOf(thinnest) >> 1).place[0]);
  const cut = { rows, ends: span.ends, thickest, thinnest, ...axes, lengthMm };
  return { ...own, ...cut, thickness: thickest, pieces: [], supports: [stickOf(plan, cut)] };
}

/** Sawn to the next millimetre over its thickest. */
const stickOf = (
  { id, name, width }: BlockPlan,
  { lengthMm, thickest }: Pick<FittedBlock, 'lengthMm' | 'thickest'>,
): Support => ({
  ...{ id: `block.${id}`, name, what: 'block', of: 'block', lengthMm, breadth: width },
  depth: Math.ceil(thickest),
});

type Line = { readonly from: Vec3; readonly to: Vec3 };
type Axes = { readonly along: Vec3; readonly fill: Vec3; readonly across: Vec3 };
/** `more`: how far its longer edge goes on at either end. */
type Span = Line & { readonly ends: readonly BlockEnd[]; readonly more: readonly [number, number] };

function lineOf({ hand, from, to }: BlockPlan): Line {
  const place = ({ x, out, height }: BlockPlan['from'], side: 1 | -1): Vec3 => [x, side * out, height];
  const own = hand === 'port' ? -1 : 1;
  return { from: place(from, hand === 'across' ? -1 : own), to: place(to, own) };
}

/** Shorter is no block; and a line along the way it fills has no face. */
const LEAST_MM = 1;
const LEAST_TURN = 0.05;

function axesOf({ from, to }: Line, way: Vec3): Axes | undefined {
  const long = sub3(to, from);
  if (length3(long) < LEAST_MM) return undefined;
  const along = unit3(long);
  // to port it fills outward the other way
  const out: Vec3 = way[1] !== 0 && from[1] + to[1] < 0 ? scale3(way, -1) : way;
  // square to the line, as near to that way as may be
  const square = sub3(out, scale3(along, dot3(out, along)));
  if (length3(square) < LEAST_TURN) return undefined;
  const fill = unit3(square);
  return { along, fill, across: cross3(fill, along) };
}

const SQUARE: BlockEnd = { faceDeg: 0, throughDeg: 0 };
const squareEnds = (line: Line): Span => ({ ...line, more: [0, 0], ends: [SQUARE, SQUARE] });

/** As far as both its edges reach, and how much further the longer one does; each end cut by what it meets. */
function endsOnSkin(
  { from, to }: Line,
  { along, across, fill }: Axes,
  { solid, width }: { readonly solid: Solid; readonly width: number },
): Span | undefined {
  const middle = lerp3(from, to, 0.5);
  const ends = ([-1, 1] as const).flatMap((way) => {
    const [a, b] = [-1, 1].map((side) =>
      firstMet(solid, add3(middle, scale3(across, (side * width) / 2)), scale3(along, way)),
    );
    if (!a || !b) return [];
    const [short, long] = a.far < b.far ? [a, b] : [b, a];
    return [{ way, short: short.far, more: long.far - short.far, end: endCut(long, { along, across, fill }, way) }];
  });
  const [first, last] = ends;
  if (!first || !last) return undefined;
  const place = ({ way, short }: typeof first) => add3(middle, scale3(along, way * (short - JUST_WITHIN_MM)));
  return { from: place(first), to: place(last), more: [first.more, last.more], ends: [first.end, last.end] };
}
/** At the skin itself there is nothing before it. */
const JUST_WITHIN_MM = 1e-3;

function endCut({ normal }: Met, { along, fill, across }: Axes, way: 1 | -1): BlockEnd {
  const square = dot3(normal, along) * way;
  return {
    faceDeg: toDeg(Math.atan2(dot3(normal, across), square)),
    throughDeg: toDeg(Math.atan2(dot3(normal, fill), square)),
  };
}

/** The edges by where they lie in the boat, that toward −across first: upper and lower, fore and after, or by side. */
export function edgeNames({ across: [x, y, z] }: Pick<FittedBlock, 'across'>): readonly [string, string] {
  const [ahead, aside, up] = [x, y, z].map(Math.abs) as [number, number, number]; // three
  if (up >= Math.max(ahead, aside)) return z > 0 ? ['lower edge', 'upper edge'] : ['upper edge', 'lower edge'];
  if (ahead >= aside) return x > 0 ? ['fore edge', 'after edge'] : ['after edge', 'fore edge'];
  return y > 0 ? ['port edge', 'starboard edge'] : ['starboard edge', 'port edge'];
}

/** From the side: its straight face along u, each edge's thickness up; the higher edge is cut, the other marked. */
export function profileOf({ rows }: Pick<FittedBlock, 'rows'>): { readonly cut: Vec2[]; readonly mark: Vec2[] } {
  const line = (of: (row: BlockRow) => number) => rows.map((row): Vec2 => [row.along, of(row)]);
  const last = at(rows, -1).along;
  return {
    cut: [[0, 0], [last, 0], ...line(({ low, high }) => Math.max(low, high)).reverse()],
    mark: line(({ low, high }) => Math.min(low, high)),
  };
}
