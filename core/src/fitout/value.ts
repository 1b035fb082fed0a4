/** Everything inside and on top, as it is cut. */
import type { Hull } from '../lines';
import type { Region, Vec2 } from '../geometry';
import type { Panel, Transom } from '../panels';
import { innerFaces } from './ends';
import { drainsOf, withDrains, type Drains } from './drains';
import { piecesOf, shapeOf, type FitAsked, type FittedPiece } from './fitted';
import { tooBroad, type TooBroad } from './go-in';
import { standingThrough, type Standing } from './in-the-way';
import { framesThrough, type Through } from './over-deck';
import { heightOver, type Lie } from './lie';
import { padsOf, type Pads } from './pads';
import type { InsidePlan, WallPlan } from './schema';
import { sheerAt } from './sheer';
import { supportsOf, type Support } from './supports';
import type { FittedWall } from './walls/fitted-wall';

/** At a place of the sheer how much of it comes off under a part that lies over it; negative: how far it lies short. */
export type SheerOff = { readonly x: number; readonly station?: string; readonly offMm: number };

export type Fitted = Pick<InsidePlan, 'id' | 'name' | 'kind' | 'fit' | 'hand' | 'thickness'> & {
  /** What is decided of it: by this it is changed. */
  readonly plan: string;
  readonly lie: Lie;
  readonly isSquare: boolean;
  /** To a camber: its grain lies along it. */
  readonly isBent: boolean;
  readonly pieces: readonly FittedPiece[];
  /** Of solid timber: no sheet is cut for it. */
  readonly isTimber: boolean;
  readonly supports: readonly Support[];
  readonly drains?: Drains;
  readonly fittings: Pads;
  /** What stands through it, by name, each once. */
  readonly cutFor: readonly string[];
  readonly sheer: readonly SheerOff[];
  /** Frames that stand through one that lies over the sheer, and where the sheer is over it at each. */
  readonly through: readonly (Through & { readonly belowSheerMm: number })[];
  /** Where its surface leaves the hull over the sheer, along the boat; absent: nowhere. */
  readonly openFrom?: number;
  /** Of the piece that is too broad to be let down to its place by most. */
  readonly tooBroad?: TooBroad;
  /** What stands on it: where its foot is on the flat sheet, of a pair both. */
  readonly feet?: readonly Foot[];
};

export type Foot = { readonly name: string; readonly line: readonly Vec2[] };

/** With the feet of the walls that stand on it. */
export function withFeet(part: Fitted, walls: readonly FittedWall[], plans: readonly WallPlan[]): Fitted {
  const on = walls.filter(({ plan }) => plans.find(({ id }) => id === plan)?.lower.onPart === part.id);
  if (on.length === 0) return part;
  const feet = on.flatMap(({ name, hand, pieces }) =>
    pieces.flatMap(({ atSkin }) =>
      atSkin.flatMap(({ points }) => {
        const line = points.map(({ mark }) => mark.flat);
        const over = line.map(([u, v]): Vec2 => [u, -v]);
        const isBoth = hand === 'pair' && part.hand === 'across';
        return [
          ...(hand === 'port' ? [] : [{ name, line }]),
          ...(isBoth || hand === 'port' ? [{ name, line: over }] : []),
        ];
      }),
    ),
  );
  return { ...part, feet };
}

export type Boat = {
  readonly hull: Hull;
  readonly panels: readonly Panel[];
  readonly transoms: readonly Transom[];
  readonly transomThickness: number;
  readonly transomRadius: number | null;
  readonly standing: Standing;
  readonly skin: Omit<FitAsked, 'ends'>;
};

/** Of a boat whose sides differ a pair is two parts, each cut to its own side. */
export function partsOf(plan: InsidePlan, boat: Boat): Fitted[] {
  const isUnlike = boat.panels.some(({ only }) => only !== undefined);
  if (plan.hand !== 'pair' || !isUnlike) return [partOf(plan, plan.id, boat)];
  return (['starboard', 'port'] as const).map((hand) =>
    partOf({ ...plan, hand, name: `${plan.name}, ${hand}` }, `${plan.id}.${hand}`, boat),
  );
}

function partOf(
  plan: InsidePlan,
  id: string,
  { hull, panels, transoms, transomThickness, transomRadius, standing, skin }: Boat,
): Fitted {
  const isOver = plan.fit === 'over';
  const ends = isOver
    ? []
    : innerFaces(transoms, { thickness: transomThickness, clearMm: plan.gap, radius: transomRadius });
  const asked = { ...skin, ends };
  const starboard = shapeOf(
    plan,
    panels.filter(({ only }) => only !== 'port'),
    asked,
  );
  const isUnlike = panels.some(({ only }) => only !== undefined);
  const port = isUnlike
    ? shapeOf(
        plan,
        panels.filter(({ only }) => only !== 'starboard'),
        asked,
      )
    : starboard;
  const { lie } = starboard;
  const half = [...starboard.half, ...port.half];
  // what lies over the sheer lies over its clamps and its frames' tops, too: those are cut down to it
  const inTheWay = isOver ? [] : standingThrough(lie, standing, { gap: plan.gap, half });
  const whole = piecesOf({ ...plan, id }, starboard, { port, ends, inTheWay });
  const drains = drainsOf(plan, lie, whole);
  const pieces = whole.map((piece) => withDrains(piece, drains));
  const supports = supportsOf({ ...plan, id }, lie, pieces, inTheWay);
  const fittings = padsOf(plan, lie, { pieces, supports, standing });
  const hullOver = { panels, members: standing.members, inside: skin.inside };
  const broad = isOver ? undefined : broadest(pieces.map((piece) => tooBroad(lie, piece, hullOver)));
  const open = isOver ? undefined : openAt(hull, plan, lie);
  return {
    ...{ id, plan: plan.id, name: plan.name, kind: plan.kind, fit: plan.fit, hand: plan.hand, lie },
    ...{
      thickness: plan.thickness,
      isSquare: starboard.school !== 'framed' || isOver,
      isBent: lie.radius !== 0,
      pieces,
    },
    ...{ isTimber: plan.isTimber, fittings, supports: [...supports, ...padTimbers(plan, fittings)] },
    ...(drains && { drains }),
    cutFor: [...new Set(inTheWay.filter(({ outline }) => meets(outline, pieces)).map(({ name }) => name))],
    sheer: isOver ? sheerOff(hull, plan, lie) : [],
    through: isOver ? throughDeck(hull, lie, framesThrough(lie, pieces, standing.frames), standing) : [],
    ...(open !== undefined && { openFrom: open }),
    ...(broad && { tooBroad: broad }),
  };
}

/** The timber of each pad. */
const padTimbers = ({ name, fittings }: InsidePlan, { pads }: Pads): Support[] =>
  pads.flatMap(({ id, name: fitting, piece, at: [, v] }, k): Support[] => {
    const pad = fittings.find((one) => one.id === id)?.pad;
    if (!pad) return [];
    const isOneOfTwo = pads.filter((one) => one.id === id).length > 1;
    const what = `pad of ${fitting.toLowerCase()}${isOneOfTwo ? (v < 0 ? ', port' : ', starboard') : ''}`;
    return [
      {
        ...{ id: `${piece}.pad.${id}.${k}`, name: `${name}: ${what}`, what, of: 'pad', piece },
        ...{ lengthMm: Math.max(pad.long, pad.wide), breadth: Math.min(pad.long, pad.wide), depth: pad.thick },
      },
    ];
  });

/** With how much lower than the sheer each frame's top has to be. */
function throughDeck(hull: Hull, lie: Lie, through: readonly Through[], { frames }: Standing): Fitted['through'] {
  return through.map((one) => {
    const { x = 0, width = 0 } = frames.find(({ id }) => id === one.frame) ?? {};
    const on = sheerAt(hull, x);
    // its top is level along its own thickness, over which the part falls
    const fall = Math.abs(lie.slope) * width;
    return { ...one, belowSheerMm: on ? Math.max(0, heightOver(lie, on, 'under')) + fall : 0 };
  });
}

const broadest = (all: readonly (TooBroad | undefined)[]): TooBroad | undefined =>
  all.reduce((worst, one) => (one && one.mm > (worst?.mm ?? 0) ? one : worst), undefined);

/** Whether what stands through is anywhere near what is left. */
function meets(outline: Region['outline'], pieces: readonly FittedPiece[]): boolean {
  const reach = (points: Region['outline'], k: 0 | 1) => points.map((p) => p[k]);
  const span = (points: Region['outline'], k: 0 | 1): [number, number] => {
    const all = reach(points, k);
    return [Math.min(...all), Math.max(...all)];
  };
  return pieces.some(({ region }) =>
    ([0, 1] as const).every((k) => {
      const [[a0, a1], [b0, b1]] = [span(outline, k), span(region.outline, k)];
      return a0 < b1 + NEAR_MM && b0 < a1 + NEAR_MM;
    }),
  );
}

const NEAR_MM = 2;

/** Where the sheer is lower than the part's upper face, from forward; a part in the hull is open there. */
function openAt(hull: Hull, { from, to }: InsidePlan, lie: Lie): number | undefined {
  const [first, last] = [Math.max(from, hull.fromX), Math.min(to, hull.toX)];
  const places = Array.from({ length: SHEER_PLACES + 1 }, (_, i) => first + ((last - first) * i) / SHEER_PLACES);
  return places.find((x) => {
    const place = sheerAt(hull, x);
    return place !== undefined && heightOver(lie, place, 'top') < -FLUSH_MM;
  });
}

const SHEER_PLACES = 40;
/** Over the sheer by less it is planed flush, mm. */
const FLUSH_MM = 1;

function sheerOff(hull: Hull, { from, to }: InsidePlan, lie: Lie): SheerOff[] {
  const stations = hull.stations.map(({ x, label }) => ({ x, station: label })).filter(({ x }) => x > from && x < to);
  const ends = [Math.max(from, hull.fromX), Math.min(to, hull.toX)].map((x) => ({ x }));
  return [...ends.slice(0, 1), ...stations, ...ends.slice(1)].flatMap((place): SheerOff[] => {
    const on = sheerAt(hull, place.x);
    return on ? [{ ...place, offMm: heightOver(lie, on, 'under') }] : [];
  });
}
