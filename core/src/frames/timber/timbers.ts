/**
 * What a frame of sawn timber, or a mould, is put together from: its timbers with their ends and bevels, the plates
 * over its joints, and a cross-spall.
 *
 * Method: a timber is the strip of straight stock along a run (runs.ts), cut off at both ends by the lines that bound
 * it, and within what is cut of the whole part. At a corner two timbers meet on the line between their outer and inner
 * edges' crossings; or one runs out to the skin, and the other stands on it. Which line ends a timber is found along
 * the stock's middle. An end at the skin is a compound mitre (compound-mitre.ts), every other is square
 * through the stock.
 * A plate covers a joint so far along both timbers on the inside, straight across the corner, within the smaller of
 * both faces as it is at the plate's own.
 * Conventions: the frame's own plane, the starboard half; outlines on the larger face, as the part is marked out.
 */
import {
  area,
  at,
  boundsOf,
  differenceOf,
  distance2,
  intersectionOf,
  mirrored,
  unionOf,
  type Outline,
  type Region,
  type Vec2,
} from '../../geometry';
import { toRad } from '../../measure';
import { outlineForPlates, type Blank, type EdgesMade } from '../blank';
import { ripOf } from '../rolling-bevel';
import type { FramePlan, TimberSettings } from '../schema';
import type { FrameEdge, FrameSection } from '../section';
import { compoundMitre } from './compound-mitre';
import { dot2, timberRuns, type TimberRun } from './runs';

/** What ends a timber: the centreline, the line between two, another timber, the skin, the part's top or its bound. */
export type EndKind = 'centre' | 'mitre' | 'timber' | 'skin' | 'top' | 'bound';

export type TimberEnd = {
  readonly kind: EndKind;
  /** From square, on the station face. */
  readonly faceDeg: number;
  /** On which edge the long point is; absent: square. */
  readonly longOn?: 'outer' | 'inner';
  /** So much further along one edge than along the other. */
  readonly riseMm: number;
  /** The blade from upright, the station face on the saw; 0: square through. */
  readonly tiltDeg: number;
  /** Which face is the longer where the blade is tilted. */
  readonly longFace?: 'station' | 'other';
};

export type Timber = {
  readonly id: string;
  readonly name: string;
  /** The same again, mirrored, on the other side. */
  readonly isPair: boolean;
  readonly region: Region;
  /** From long point to long point. */
  readonly lengthMm: number;
  readonly breadthMm: number;
  readonly thicknessMm: number;
  /** The inner or lower end, and the outer or upper one. */
  readonly ends: readonly [TimberEnd, TimberEnd];
  /** Of the edge at the skin; absent: left square. */
  readonly bevel?: TimberBevel;
  /** The most that is dressed off the outer edge to the curve of the skin. */
  readonly hollowMm: number;
};

export type TimberBevel = {
  readonly fromDeg: number;
  readonly toDeg: number;
  /** One saw tilt for the whole edge, and what is left to plane after it. */
  readonly ripDeg: number;
  readonly leftToPlaneDeg: number;
};

/** Of plywood, over a joint. */
export type Plate = {
  readonly id: string;
  readonly name: string;
  readonly isPair: boolean;
  readonly outline: Outline;
  readonly thicknessMm: number;
  /** On one face, or on both. */
  readonly faces: number;
};

/** Laid across the face of a frame while the boat is built, and taken out after. */
export type Spall = { readonly lengthMm: number; readonly breadthMm: number; readonly upMm: number };

/** What a frame is put together from. */
export type Timbered = {
  readonly timbers: readonly Timber[];
  readonly plates: readonly Plate[];
  /** Where two timbers meet, drawn across them. */
  readonly joints: readonly (readonly [Vec2, Vec2])[];
  readonly spall?: Spall;
};

export type TimberedAsked = {
  readonly section: FrameSection;
  readonly blank: Blank;
  readonly hand: FramePlan['bounds']['hand'];
  readonly made: EdgesMade;
  readonly settings: TimberSettings;
};

/** And all timbers together, in as many pieces as they come to. */
export function timberedFrame(asked: TimberedAsked): { readonly made: Timbered; readonly regions: readonly Region[] } {
  const { blank, hand, settings } = asked;
  const runs = timberRuns(blank.base, settings);
  const cuts = blank.cuts.map(({ outline }) => outline);
  const laid = runs.map((_, i) => layTimber(runs, i, asked));
  const pieces = laid.flatMap(({ outline }): Outline[] => (outline ? [outline] : []));
  const both = hand === 'across' ? pieces.flatMap((piece) => [piece, mirroredOutline(piece)]) : pieces;
  const joined = unionOf(both.map((piece) => grown(piece)));
  const regions = joined.length === 0 ? [] : differenceOf(intersectionOf(joined, blank.base.outlines), cuts);
  const timbers = named(runs, laid, asked);
  const spall = spallOf(asked);
  return {
    made: { timbers, plates: platesOf(runs, asked), joints: jointsOf(runs, asked), ...(spall && { spall }) },
    regions: hand === 'port' ? regions.map(mirroredRegion) : regions,
  };
}

function jointsOf(runs: readonly TimberRun[], asked: TimberedAsked): Timbered['joints'] {
  const { hand, settings } = asked;
  const lowest = runs[0];
  const isParted = lowest !== undefined && startBounds(lowest, asked)[0]?.kind === 'centre';
  const lines = [
    ...(isParted ? [[onCentreline(lowest, lowest.outer), onCentreline(lowest, lowest.inner)] as const] : []),
    ...runs.slice(1).map((run, i) => jointLine(at(runs, i), run, settings)),
  ];
  const over = ([y, z]: Vec2): Vec2 => [-y, z];
  if (hand === 'port') return lines.map(([a, b]) => [over(a), over(b)]);
  return hand === 'across' ? [...lines, ...lines.map(([a, b]) => [over(a), over(b)] as const)] : lines;
}

const onCentreline = ({ out }: TimberRun, level: number): Vec2 => [0, level / out[1]];

const mirroredOutline = (outline: Outline): Outline => [...mirrored(outline)].reverse();
const mirroredRegion = ({ outline, holes }: Region): Region => ({
  outline: mirroredOutline(outline),
  holes: holes.map(mirroredOutline),
});

/** Timbers touch along a line: drawn as one they are taken so much larger, or a hair’s breadth would part them. */
const TOUCH_MM = 0.002;

function grown(outline: Outline): Outline {
  const { minX, maxX, minY, maxY } = boundsOf(outline);
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2];
  const by = 1 + TOUCH_MM / Math.max(1, Math.min(maxX - minX, maxY - minY) / 2);
  return outline.map(([px, py]): Vec2 => [x + (px - x) * by, y + (py - y) * by]);
}

/** A line that a timber ends on: it keeps to where p·n is no more than `at`. */
type Bound = { readonly kind: EndKind; readonly n: Vec2; readonly at: number; readonly through?: number };

type Laid = { readonly outline: Outline | undefined; readonly ends: readonly [TimberEnd, TimberEnd] | undefined };

const NOWHERE: Laid = { outline: undefined, ends: undefined };

/** Further than any boat is long. */
const FAR_MM = 50_000;

function layTimber(runs: readonly TimberRun[], i: number, asked: TimberedAsked): Laid {
  const run = at(runs, i);
  const { base } = asked.blank;
  const before = runs[i - 1];
  const after = runs[i + 1];
  const bounds = [
    ...(before ? jointBounds(before, run, asked)[1] : startBounds(run, asked)),
    ...(after ? jointBounds(run, after, asked)[0] : []),
  ];
  const strips = clipped([stripOf(run)], run.isAcross ? [...bounds, ...bounds.map(mirroredBound)] : bounds);
  const outline = largest(intersectionOf(strips, base.outlines));
  if (!outline || area(outline) < LEAST_AREA_MM2) return NOWHERE;
  const top = Math.max(...outline.map(([, z]) => z));
  const all = [...bounds, ...(after ? [] : [{ kind: 'top' as const, n: [0, 1] as Vec2, at: top }])];
  const ends = ([-1, 1] as const).map((way) =>
    endOf(run, way, run.isAcross && way === -1 ? all.map(mirroredBound) : all),
  );
  return { outline, ends: ends as [TimberEnd, TimberEnd] }; // two ways
}

/** Less than this is no piece of timber, mm². */
const LEAST_AREA_MM2 = 100;

const largest = (outlines: readonly Outline[]): Outline | undefined =>
  outlines.reduce<Outline | undefined>((best, one) => (!best || area(one) > area(best) ? one : best), undefined);

const mirroredBound = (bound: Bound): Bound => ({ ...bound, n: [-bound.n[0], bound.n[1]] });

/** The stock's own strip, endless. */
function stripOf({ along, out, outer, inner }: TimberRun): Outline {
  const corner = (s: number, o: number): Vec2 => [s * along[0] + o * out[0], s * along[1] + o * out[1]];
  return [corner(-FAR_MM, outer), corner(FAR_MM, outer), corner(FAR_MM, inner), corner(-FAR_MM, inner)];
}

/** What of outlines lies within bounds. */
function clipped(outlines: readonly Outline[], bounds: readonly Bound[]): readonly Outline[] {
  return bounds.reduce((left, { n, at: level }) => {
    const across: Vec2 = [-n[1], n[0]];
    const corner = (d: number, s: number): Vec2 => [d * n[0] + s * across[0], d * n[1] + s * across[1]];
    const kept = [
      corner(level, -FAR_MM),
      corner(level, FAR_MM),
      corner(level - FAR_MM, FAR_MM),
      corner(level - FAR_MM, -FAR_MM),
    ];
    return intersectionOf(left, [kept]);
  }, outlines);
}

/** What ends the lowest timber inward. */
function startBounds(run: TimberRun, { hand, blank }: TimberedAsked): Bound[] {
  if (run.isAcross) return [];
  if (hand === 'across') return [{ kind: 'centre', n: [-1, 0], at: 0 }];
  const inner = Math.min(...blank.base.outlines.flatMap((outline) => outline.map(([y]) => y)));
  return [{ kind: 'bound', n: [-1, 0], at: -inner }];
}

/** Flatter than this two timbers meet end to end. */
const FLAT_JOINT_RAD = toRad(8);

/** Where two lines at a distance along their normals cross. */
function crossingOf(n: Vec2, a: number, m: Vec2, b: number): Vec2 {
  const d = n[0] * m[1] - n[1] * m[0];
  return [(a * m[1] - b * n[1]) / d, (b * n[0] - a * m[0]) / d];
}

/** The outer and inner ends of the line on which two timbers meet, each cut back to it. */
function mitreLine(a: TimberRun, b: TimberRun): readonly [outer: Vec2, inner: Vec2] {
  const turn = a.along[0] * b.along[1] - a.along[1] * b.along[0];
  if (Math.abs(turn) >= Math.sin(FLAT_JOINT_RAD))
    return [crossingOf(a.out, a.outer, b.out, b.outer), crossingOf(a.out, a.inner, b.out, b.inner)];
  const corner = at(b.points, 0);
  const sum: Vec2 = [a.out[0] + b.out[0], a.out[1] + b.out[1]];
  const size = Math.hypot(sum[0], sum[1]);
  const breadth = Math.max(a.breadth, b.breadth);
  return [corner, [corner[0] - (breadth * sum[0]) / size, corner[1] - (breadth * sum[1]) / size]];
}

/** From the outside in, where two timbers touch. */
function jointLine(a: TimberRun, b: TimberRun, { corner }: TimberSettings): readonly [Vec2, Vec2] {
  const inner = () => crossingOf(a.out, a.inner, b.out, b.inner);
  switch (a.isFloor && !b.isFloor ? corner : 'mitred') {
    case 'floor':
      return [crossingOf(a.out, a.inner, b.out, b.outer), inner()];
    case 'sides':
      return [crossingOf(a.out, a.outer, b.out, b.inner), inner()];
    default:
      return mitreLine(a, b);
  }
}

/** What ends the lower of two timbers at its upper end, and the upper one at its lower. */
function jointBounds(
  a: TimberRun,
  b: TimberRun,
  { settings, section, made }: TimberedAsked,
): readonly [Bound[], Bound[]] {
  const isCorner = a.isFloor && !b.isFloor;
  if (isCorner && settings.corner === 'floor')
    return [[skinBound(b, 0, section, made)], [{ kind: 'timber', n: a.out, at: a.inner }]];
  if (isCorner && settings.corner === 'sides')
    return [[{ kind: 'timber', n: b.out, at: b.inner }], [skinBound(a, -1, section, made)]];
  const [outer, inner] = mitreLine(a, b);
  const size = distance2(outer, inner) || 1;
  const line: Vec2 = [(outer[0] - inner[0]) / size, (outer[1] - inner[1]) / size];
  const across: Vec2 = [-line[1], line[0]];
  const n: Vec2 = dot2(across, a.along) > 0 ? across : [-across[0], -across[1]];
  const level = dot2(n, outer);
  return [[{ kind: 'mitre', n, at: level }], [{ kind: 'mitre', n: [-n[0], -n[1]], at: -level }]];
}

/** The skin along another timber's outer edge, with its bevel at that end of it. */
function skinBound(run: TimberRun, place: 0 | -1, section: FrameSection, made: EdgesMade): Bound {
  const edge = at(section.edges, run.edge);
  const bevelDeg = made.schoolOf(edge.panel) === 'framed' ? bevelNear(edge, at(run.points, place)) : 0;
  return { kind: 'skin', n: run.out, at: run.outer, through: Math.tan(toRad(bevelDeg)) };
}

function bevelNear({ points }: FrameEdge, p: Vec2): number {
  const off = ({ y, z }: (typeof points)[number]) => distance2([y, z], p);
  return points.reduce((best, one) => (off(one) < off(best) ? one : best)).bevelDeg;
}

/** Squarer than this is square, degrees. */
const SQUARE_DEG = 0.05;

/** Which of the lines ends a timber, going along the stock's middle one way, and how it is cut there. */
function endOf(run: TimberRun, way: 1 | -1, bounds: readonly Bound[]): TimberEnd {
  const ahead: Vec2 = [way * run.along[0], way * run.along[1]];
  const chord = run.isAcross ? 0 : dot2(at(run.points, 0), run.along) / 2 + dot2(at(run.points, -1), run.along) / 2;
  const off = (run.outer + run.inner) / 2;
  const from: Vec2 = [chord * run.along[0] + off * run.out[0], chord * run.along[1] + off * run.out[1]];
  const found = bounds
    .flatMap((bound) => {
      const closing = dot2(bound.n, ahead);
      return closing > 1e-6 ? [{ bound, distance: (bound.at - dot2(bound.n, from)) / closing }] : [];
    })
    .sort((p, q) => p.distance - q.distance)[0];
  if (!found) return { kind: 'bound', faceDeg: 0, riseMm: 0, tiltDeg: 0 };
  const { kind, n, through = 0 } = found.bound;
  const { faceDeg, tiltDeg } = compoundMitre({ along: dot2(n, ahead), across: dot2(n, run.out), through });
  const isMitred = Math.abs(faceDeg) > SQUARE_DEG;
  const isTilted = Math.abs(tiltDeg) > SQUARE_DEG;
  return {
    kind,
    faceDeg: isMitred ? Math.abs(faceDeg) : 0,
    ...(isMitred && { longOn: faceDeg > 0 ? 'inner' : 'outer' }),
    riseMm: isMitred ? run.breadth * Math.tan(toRad(Math.abs(faceDeg))) : 0,
    tiltDeg: isTilted ? Math.abs(tiltDeg) : 0,
    ...(isTilted && { longFace: tiltDeg > 0 ? 'station' : 'other' }),
  };
}

/** Each timber with its name, what is notched and bored in it taken out, and what is said of it. */
function named(runs: readonly TimberRun[], laid: readonly Laid[], asked: TimberedAsked): Timber[] {
  const { section, blank, hand } = asked;
  const cuts = blank.cuts.map(({ outline }) => outline);
  const kinds = runs.map(({ isFloor }) => (isFloor ? 'floor' : 'side'));
  return runs.flatMap((run, i): Timber[] => {
    const { outline, ends } = at(laid, i);
    const region = outline && differenceOf([outline], cuts)[0];
    if (!outline || !ends || !region) return [];
    const kind = at(kinds, i);
    const isOne = kinds.filter((other) => other === kind).length === 1;
    const number = kinds.slice(0, i + 1).filter((other) => other === kind).length;
    const stand = outline.map((p) => dot2(p, run.along));
    const bevel = bevelOf(run, asked);
    return [
      {
        id: isOne ? kind : `${kind}.${number}`,
        name: isOne ? NAMES[kind] : `${NAMES[kind]} ${number}`,
        isPair: !run.isAcross && (hand === 'across' || hand === 'pair'),
        region: hand === 'port' ? mirroredRegion(region) : region,
        lengthMm: Math.max(...stand) - Math.min(...stand),
        breadthMm: run.breadth,
        thicknessMm: section.width,
        ends,
        ...(bevel && { bevel }),
        hollowMm: run.hollowMm,
      },
    ];
  });
}

const NAMES = { floor: 'Floor', side: 'Side' } as const;

/** Of the edge at the skin between the run's ends, where it is bevelled at all. */
function bevelOf({ edge, points }: TimberRun, { section, made }: TimberedAsked): TimberBevel | undefined {
  const own = at(section.edges, edge);
  if (made.schoolOf(own.panel) !== 'framed') return undefined;
  const place = (p: Vec2) =>
    own.points.reduce((best, { y, z }, i) => {
      const held = at(own.points, best);
      return distance2([y, z], p) < distance2([held.y, held.z], p) ? i : best;
    }, 0);
  const bevels = own.points.slice(place(at(points, 0)), place(at(points, -1)) + 1).map(({ bevelDeg }) => bevelDeg);
  const [fromDeg, toDeg] = [bevels[0], bevels[bevels.length - 1]];
  if (fromDeg === undefined || toDeg === undefined) return undefined;
  const { ripDeg, leftToPlaneDeg } = ripOf(bevels);
  return { fromDeg, toDeg, ripDeg, leftToPlaneDeg };
}

/** Over every joint, within the smaller face. */
function platesOf(runs: readonly TimberRun[], asked: TimberedAsked): Plate[] {
  const { section, blank, hand, settings } = asked;
  const { thickness, leg, faces } = settings.plate;
  if (faces === 0) return [];
  const clear = outlineForPlates(section, thickness);
  const cuts = blank.cuts.map(({ outline }) => outline);
  const lowest = runs[0];
  const isParted = hand === 'across' && lowest !== undefined && !lowest.isAcross && at(lowest.points, 0)[0] < 1;
  const joints = runs.slice(1).map((run, i) => ({ plate: cornerPlate(at(runs, i), run, leg), isPair: true }));
  const wanted = [...(isParted ? [{ plate: middlePlate(lowest, leg), isPair: false }] : []), ...joints];
  return wanted.flatMap(({ plate, isPair }, i): Plate[] => {
    const within = intersectionOf(intersectionOf([plate], [clear]), blank.base.outlines);
    const outline = differenceOf(within, cuts)[0]?.outline;
    if (!outline) return [];
    return [
      {
        id: `plate.${i + 1}`,
        name: isPair ? `Gusset ${i + (isParted ? 0 : 1)}` : 'Butt block',
        isPair: isPair && (hand === 'across' || hand === 'pair'),
        outline: hand === 'port' ? mirroredOutline(outline) : outline,
        thicknessMm: thickness,
        faces,
      },
    ];
  });
}

/** A timber is covered for no more than this share of it from one end. */
const LEG_SHARE = 0.45;

/** So far along both timbers on their inner edges, and straight across the corner. */
function cornerPlate(a: TimberRun, b: TimberRun, leg: number): Outline {
  const [outer, inner] = mitreLine(a, b);
  const leave = (run: TimberRun, way: 1 | -1): readonly [Vec2, Vec2] => {
    const length = (run.isAcross ? 2 : 1) * distance2(at(run.points, 0), at(run.points, -1));
    const by = way * Math.min(leg, LEG_SHARE * length);
    const foot: Vec2 = [inner[0] + by * run.along[0], inner[1] + by * run.along[1]];
    const lift = run.outer - dot2(foot, run.out);
    return [foot, [foot[0] + lift * run.out[0], foot[1] + lift * run.out[1]]];
  };
  const [footA, skinA] = leave(a, -1);
  const [footB, skinB] = leave(b, 1);
  return [footA, skinA, outer, skinB, footB];
}

/** Across the centreline, so far to either side. */
function middlePlate({ points, along, out, outer, inner }: TimberRun, leg: number): Outline {
  const by = Math.min(leg, LEG_SHARE * distance2(at(points, 0), at(points, -1)));
  const on = (level: number, y: number): Vec2 => [y, (level - y * out[0]) / out[1]];
  const reach = by * along[0];
  const half: Vec2[] = [on(outer, 0), on(outer, reach), on(inner, reach)];
  return [
    ...half,
    ...half
      .slice(1)
      .map(([y, z]): Vec2 => [-y, z])
      .reverse(),
  ];
}

/** Straight across on the face, its lower edge at a height, cut back to the skin. */
function spallOf({ section, blank: { base }, settings, hand }: TimberedAsked): Spall | undefined {
  const { height, breadth } = settings.spall;
  if (height === null || hand !== 'across') return undefined;
  const rows = [height, height + breadth].map((up) => breadthAt(base.outlines, up / Math.cos(section.rakeRad)));
  const [low, high] = rows;
  if (low === undefined || high === undefined) return undefined;
  return { lengthMm: Math.min(low, high), breadthMm: breadth, upMm: height };
}

/** Undefined where the part does not reach the height. */
function breadthAt(outlines: readonly Outline[], up: number): number | undefined {
  const ys = outlines.flatMap((outline) =>
    outline.flatMap((a, i): number[] => {
      const b = at(outline, (i + 1) % outline.length);
      if (a[1] <= up === b[1] <= up) return [];
      return [a[0] + ((up - a[1]) / (b[1] - a[1])) * (b[0] - a[0])];
    }),
  );
  return ys.length > 1 ? Math.max(...ys) - Math.min(...ys) : undefined;
}
