/**
 * A hanging knee, or one that stands: a board upright across the boat, one arm along what lies athwart or at a level,
 * the other along the inside of the skin, to which its edge is bevelled.
 *
 * Method (derived here): the inside of the skin is cut at both faces of the board and at its middle (frames'
 * section.ts); what it meets is a level, or the face of a part there (lie.ts). In the middle plane the two lines cross
 * in the corner; from there the arms are measured along them. The ends of the arms are cut square to what they lie
 * along, as broad as the nose; the free edge is an arc between the noses (hollow.ts); all three are square through the
 * board, so that each face has them in common and its own two outer lines. What runs along the skin through it is
 * notched out, as wide as it is at either face.
 * Conventions: out from the centreline and up, of the starboard one; the fore face is the one nearer the bow.
 */
import {
  area,
  at,
  convexHull,
  crossesItself,
  crossLines,
  differenceOf,
  distance2,
  intersectionOf,
  lerp2,
  turned,
  boundsOf,
  unionOf,
  type Outline,
  type Vec2,
} from '../../geometry';
import { boardMm } from '../board';
import { arcOver } from '../hollow';
import type { KneePlan } from '../schema';
import type { Support } from '../supports';
import type { KneeBoat } from './knee-boat';
import { levelFor, type LevelAt, type NoLevel } from './level';
import { ringAcross } from './member-across';
import { outAt, placeAt, sideAt, upTo, type Side } from './side';

/** Why there is none. */
export type NoKnee = NoLevel | 'no-skin' | 'no-wood';

export type KneeRow = {
  /** Along the skin from the corner, in the middle of the board. */
  readonly along: number;
  readonly up: number;
  /** Out at that height, on either face. */
  readonly fore: number;
  readonly aft: number;
  /** Away from square; positive where the after face lies inward of the fore one. */
  readonly bevelDeg: number;
};

/** Of one face: along what it meets from the arm's end to the corner, and along the skin from there. */
export type KneeFace = { readonly x: number; readonly arm: readonly Vec2[]; readonly leg: readonly Vec2[] };

export type FittedKnee = Pick<KneePlan, 'name' | 'hand' | 'thickness' | 'goes'> & {
  readonly id: string;
  readonly plan: string;
  readonly fit: 'knee';
  readonly isSquare: false;
  readonly isBent: false;
  readonly isTimber: true;
  /** No sheet is cut for it. */
  readonly pieces: readonly never[];
  /** The board that it is sawn from. */
  readonly supports: readonly Support[];
  readonly x: number;
  readonly none?: NoKnee;
  /** From the corner to the nearest of its free edge. */
  readonly throatMm: number;
  /** As deep as it is hollowed: no further than a half circle. */
  readonly hollowMm: number;
  /** As they come out, along what it meets and along the skin. */
  readonly acrossMm: number;
  readonly alongMm: number;
  /** How far its arm reaches beyond the part that it meets. */
  readonly beyondMm: number;
  readonly rows: readonly KneeRow[];
  readonly faces: readonly KneeFace[];
  /** The free edge, from the arm along what it meets to the one along the skin. */
  readonly free: readonly Vec2[];
  /** As it is sawn, before its edges are bevelled: what holds both faces, and what is notched out of it. */
  readonly cut: readonly Vec2[];
  /** What runs along the skin through it, by name, each once. */
  readonly cutFor: readonly string[];
};

/** Of a boat whose sides differ a pair is two knees, each cut to its own side. */
export function kneesOf(plan: KneePlan, boat: KneeBoat): FittedKnee[] {
  const isUnlike = boat.panels.some(({ only }) => only !== undefined);
  if (plan.hand !== 'pair' || !isUnlike) return [kneeOf(plan, plan.id, boat)];
  return (['starboard', 'port'] as const).map((hand) =>
    kneeOf({ ...plan, hand, name: `${plan.name}, ${hand}` }, `${plan.id}.${hand}`, boat),
  );
}

function kneeOf(plan: KneePlan, id: string, boat: KneeBoat): FittedKnee {
  const { name, hand, thickness, goes, x } = plan;
  const none = {
    ...{ id, plan: plan.id, name, hand, thickness, goes, x },
    ...({ fit: 'knee', isSquare: false, isBent: false, isTimber: true, pieces: [], supports: [] } as const),
    ...{
      throatMm: 0,
      hollowMm: 0,
      acrossMm: 0,
      alongMm: 0,
      beyondMm: 0,
      rows: [],
      faces: [],
      free: [],
      cut: [],
      cutFor: [],
    },
  };
  const level = levelFor(plan, boat.parts);
  if (typeof level === 'string') return { ...none, none: level };
  const sides = [0, -thickness / 2, thickness / 2].map((by) => sideAt(plan, boat, x + by, level));
  const [middle, fore, aft] = sides;
  if (!middle || !fore || !aft) return { ...none, none: 'no-skin' };
  const shape = shapeOf(plan, middle, level);
  if (!shape) return { ...none, none: 'no-skin' };
  const faces = [fore, aft].map((side) => faceOf(side, shape, level));
  const rings = faces.map(({ arm, leg }): Outline => [...arm, ...leg, ...[...shape.free].reverse()]);
  const own = [...unionOf(rings)].sort((a, b) => area(b) - area(a))[0];
  if (!own || rings.some((ring) => isNone(ring))) return { ...none, none: 'no-wood' };
  const through = boat.members
    .filter(({ side }) => side === 'inside')
    .flatMap((member) => {
      const met = [fore, aft].flatMap((face) => ringAcross(member, face.x));
      const hull = convexHull(met);
      return hull.length > 2 && intersectionOf([own], [hull]).length > 0 ? [{ name: member.name, hull }] : [];
    });
  const left = notched(own, through);
  if (!left) return { ...none, none: 'no-wood', cutFor: through.map((one) => one.name) };
  return {
    ...none,
    ...{ throatMm: shape.throatMm, hollowMm: shape.hollowMm, acrossMm: shape.acrossMm, alongMm: shape.alongMm },
    beyondMm: level.beyond(x, at(shape.arm, 0)[0]),
    ...{ rows: rowsOf(middle, [fore, aft], shape), faces, free: shape.free, cut: left },
    cutFor: [...new Set(through.map((one) => one.name))],
    supports: [{ ...boardOf({ id, name, thickness }, left, shape.free), gluedMm2: gluedOf(shape, thickness) }],
  };
}

/** Less is no wood, mm². */
const LEAST_AREA = 100;

const isNone = (ring: Outline): boolean => area(ring) < LEAST_AREA || crossesItself(ring);

/** Without what runs through it, the largest that is left. */
function notched(own: Outline, through: readonly { readonly hull: Outline }[]): Outline | undefined {
  if (through.length === 0) return own;
  const left = differenceOf(
    [own],
    through.map(({ hull }) => hull),
  ).map(({ outline }) => outline);
  const [largest] = left.sort((a, b) => area(b) - area(a));
  return largest && area(largest) > LEAST_AREA ? largest : undefined;
}

/** What both faces have in common, in the middle plane. */
type Shape = {
  readonly arm: readonly Vec2[];
  readonly free: readonly Vec2[];
  /** The end of the arm along the skin: on the skin, and the way it is cut. */
  readonly end: Vec2;
  readonly inward: Vec2;
  readonly corner: Vec2;
  readonly acrossMm: number;
  readonly alongMm: number;
  readonly throatMm: number;
  readonly hollowMm: number;
};

function shapeOf({ across, along, nose, hollow, goes, x }: KneePlan, { leg }: Side, level: LevelAt): Shape | undefined {
  const corner = at(leg, 0).p;
  const tip = Math.max(0, corner[0] - across);
  const { line, alongMm } = upTo(leg, along);
  const [before, end] = [at(line, -2), at(line, -1)];
  const long = distance2(before, end);
  if (corner[0] - tip < nose || alongMm < nose || long === 0) return undefined;
  const way: Vec2 = [(end[0] - before[0]) / long, (end[1] - before[1]) / long];
  // square to the skin, toward the middle of the boat
  const inward: Vec2 = goes === 'down' ? [way[1], -way[0]] : [-way[1], way[0]];
  const arm = armAt(level, x, tip, corner[0]);
  const down = goes === 'down' ? -1 : 1;
  const from: Vec2 = [tip, at(arm, 0)[1] + down * nose];
  const to: Vec2 = [end[0] + inward[0] * nose, end[1] + inward[1] * nose];
  const chord = distance2(from, to);
  if (chord === 0) return undefined;
  const toward: Vec2 = [corner[0] - (from[0] + to[0]) / 2, corner[1] - (from[1] + to[1]) / 2];
  const hollowMm = Math.min(hollow, chord / 2);
  const free = hollow > 0 ? arcOver(from, to, { high: hollowMm, inward: toward }) : [from, to];
  const throatMm = Math.min(...thick(free).map((p) => distance2(p, corner)));
  return { arm, free, end, inward, corner, acrossMm: corner[0] - tip, alongMm, throatMm, hollowMm };
}

/** With places between, where its edge is straight. */
const thick = (line: readonly Vec2[]): readonly Vec2[] =>
  line.length > 2 ? line : Array.from({ length: 41 }, (_, i) => lerp2(at(line, 0), at(line, -1), i / 40));

/** Places along an arm under a camber. */
const ARM_STEPS = 16;

const armAt = (level: LevelAt, x: number, from: number, to: number): Vec2[] =>
  (level.isStraight
    ? [from, to]
    : Array.from({ length: ARM_STEPS + 1 }, (_, i) => from + ((to - from) * i) / ARM_STEPS)
  ).map((y): Vec2 => [y, level.up(x, y)]);

/** The ends are square through the board: each face's own lines are cut where those planes pass them. */
function faceOf({ x, leg }: Side, { arm, end, inward, alongMm }: Shape, level: LevelAt): KneeFace {
  const corner = at(leg, 0).p;
  const own = armAt(level, x, Math.min(at(arm, 0)[0], corner[0] - 1), corner[0]);
  const beyond: Vec2 = [end[0] + inward[0], end[1] + inward[1]];
  const points = leg.map(({ p }) => p);
  let gone = 0;
  for (let k = 1; k < points.length; k++) {
    const [a, b] = [at(points, k - 1), at(points, k)];
    const found = crossLines(a, b, end, beyond);
    gone += distance2(a, b);
    // past half its length, so that a side that turns back is cut at its end
    if (found && found.w > 0 && found.w <= 1 && gone > alongMm / 2)
      return { x, arm: own, leg: [...points.slice(1, k), found.point] };
  }
  const { line } = upTo(leg, alongMm);
  return { x, arm: own, leg: line.slice(1) };
}

/** Stretches of the skin that are told. */
const ROWS = 4;

function rowsOf({ leg }: Side, faces: readonly [Side, Side], { alongMm }: Shape): KneeRow[] {
  return Array.from({ length: ROWS + 1 }, (_, i): KneeRow => {
    const along = (alongMm * i) / ROWS;
    const { place, bevelDeg } = placeAt(leg, along);
    const [fore, aft] = faces.map((face) => outAt(face, place[1])) as [number, number]; // two
    return { along, up: place[1], fore, aft, bevelDeg };
  });
}

/** Along both arms. */
const gluedOf = ({ acrossMm, alongMm }: Shape, thickness: number): number => (acrossMm + alongMm) * thickness;

/** The least board round it whose grain runs from arm to arm. */
function boardOf(
  { id, name, thickness }: Pick<FittedKnee, 'id' | 'name' | 'thickness'>,
  cut: Outline,
  free: readonly Vec2[],
): Support {
  const [a, b] = [at(free, 0), at(free, -1)];
  const { minX, maxX, minY, maxY } = boundsOf(turned(cut, -Math.atan2(b[1] - a[1], b[0] - a[0])));
  return {
    ...{ id: `knee.${id}`, name, what: 'its board', of: 'knee', depth: thickness },
    ...{ lengthMm: boardMm(maxX - minX), breadth: boardMm(maxY - minY) },
  };
}
