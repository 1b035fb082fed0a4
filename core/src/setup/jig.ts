/**
 * The strongback and what stands on it, as a thing to build: rails and legs, and for a boat upside down a cross piece,
 * two uprights and their braces a frame, for one the right way up cradles.
 *
 * Method (derived here). Rails lie under the line, their inner faces `apart`; legs stand on their outer faces, from the
 * floor to the line, clear of the frames. A frame upside down stands against two uprights, which stand against its
 * cross piece on the other side of its station face: as far apart as the rails and the frame leave, where the frame has
 * most to fasten to, past no timber along the boat, and short of the skin. A brace goes from each upright's free face
 * down to a cross piece of its own, at 45° where there is room, steeper where not. A cradle is cut to the outside of
 * the hull under a frame; its face toward the middle of the boat stands off a little where the hull grows wider, so
 * that nothing is forced.
 * Conventions: z up from the line; solids as in solids.ts. Accuracy: touches within 1 mm.
 */
import { at, boundsOf, simplifyRing, type Outline, type Vec2 } from '../geometry';
import { frameAt, type Frame, type Girder, type MemberRun } from '../frames';
import { depthOfInside, type Panel, type PanelsPart } from '../panels';
import { oncePer } from '../stage';
import { BRACE_UP, CRADLE_THICK, LEAST_HOLD, LEG_CLEAR, UPRIGHT_SHORT } from './constants';
import type { SetupPart } from './schema';
import { hundredths } from './small-figure';
import { boxSolid, clashesOf, shareRoom, type Solid } from './solids';
import { legPlaces, type Heights, type Standing } from './standing';

/** A piece to be cut: of stock, or of ply where it has no breadth. */
export type JigPiece = {
  readonly name: string;
  /** Cut from ply, to the hull. */
  readonly isCradle?: boolean;
  readonly qty: number;
  readonly lengthMm: number;
  readonly breadthMm: number;
  readonly depthMm: number;
  /** Off square at either end, °; nought: square. */
  readonly endsDeg: number;
};

export type Jig = {
  readonly fromX: number;
  readonly toX: number;
  readonly legs: readonly number[];
  readonly pieces: readonly JigPiece[];
  readonly solids: readonly Solid[];
  /** Frames that have no upright, or no brace: told by name. */
  readonly unheld: readonly string[];
  readonly unbraced: readonly string[];
  readonly clashes: readonly (readonly [string, string])[];
  /** Of a strongback that one has: by how much it is too short. */
  readonly shortBy: number;
};

export type JigFor = {
  readonly frames: readonly Frame[];
  readonly members: readonly MemberRun[];
  readonly girders: readonly Girder[];
  readonly panels: readonly Panel[];
  readonly skin: Pick<PanelsPart, 'thickness' | 'linesTo'>;
  readonly standings: readonly Standing[];
  readonly heights: Heights;
  readonly part: JigPart;
  readonly fromX: number;
  readonly toX: number;
};

/** What of the set-up's part the strongback is made by: no reading makes it anew. */
export type JigPart = Pick<SetupPart, 'way' | 'rails' | 'floor' | 'from' | 'before' | 'off'>;

type Built = { solids: Solid[]; pieces: JigPiece[] };

export function jigFor(job: JigFor): Jig {
  const { part, standings } = job;
  const { rails, way, from: end } = part;
  const asked: readonly [number, number] = [job.fromX - part.before, job.toX + part.before];
  const long = rails.long > 0 ? rails.long : asked[1] - asked[0];
  const [from, to] = end === 'fore' ? [asked[0], asked[0] + long] : [asked[1] - long, asked[1]];
  const legs = legPlaces(standings, { from, to, every: rails.legEvery, clear: LEG_CLEAR.value });
  const built: Built = { solids: [], pieces: [] };
  if (way === 'no-jig') return { ...NO_JIG, fromX: from, toX: to };
  layRails(built, part, { from, to, legs });
  const held = way === 'upside-down' ? standUprights(built, job) : { unheld: [], unbraced: [] };
  if (way === 'upright') layCradles(built, job);
  return {
    ...{
      fromX: from,
      toX: to,
      legs,
      pieces: built.pieces,
      solids: built.solids.map(toHundredths),
      ...held,
    },
    clashes: clashesOf(built.solids),
    shortBy: Math.max(0, asked[1] - asked[0] - long),
  };
}

/** Nothing of a strongback is built. */
const NO_JIG = {
  ...{ legs: [], pieces: [], solids: [], unheld: [], unbraced: [], clashes: [], shortBy: 0 },
};

/** To what a pencil shows and less: what is drawn is sent with every edit. */
const toHundredths = (solid: Solid): Solid => ({
  ...solid,
  ...{ from: hundredths(solid.from), to: hundredths(solid.to) },
  outline: solid.outline.map(([a, b]): Vec2 => [hundredths(a), hundredths(b)]),
});

type Laid = { readonly from: number; readonly to: number; readonly legs: readonly number[] };

const SIDES = [
  ['port', -1],
  ['starboard', 1],
] as const;

/** From one place to another athwart, whichever side. */
const span = (side: number, inner: number, outer: number): readonly [number, number] =>
  side < 0 ? [-outer, -inner] : [inner, outer];

function layRails({ solids, pieces }: Built, { rails, floor, from: end }: JigPart, laid: Laid): void {
  const { apart, breadth, depth } = rails;
  const half = apart / 2;
  for (const [hand, side] of SIDES) {
    solids.push(boxSolid(`${hand} rail`, [laid.from, laid.to], span(side, half, half + breadth), [-depth, 0]));
    laid.legs.forEach((x, k) => {
      const name = `${hand} leg ${k + 1}`;
      const low = -floorUnder(floor, rails.height, Math.abs(x - (end === 'fore' ? laid.from : laid.to)));
      const [fore, aft] = [Math.max(laid.from, x - depth / 2), Math.min(laid.to, x + depth / 2)];
      solids.push(boxSolid(name, [fore, aft], span(side, half + breadth, half + 2 * breadth), [low, 0]));
    });
  }
  const section = { breadthMm: breadth, depthMm: depth, endsDeg: 0 };
  pieces.push({ name: 'Rails', qty: 2, lengthMm: laid.to - laid.from, ...section });
  const lengths = laid.legs.map((x) =>
    floorUnder(floor, rails.height, Math.abs(x - (end === 'fore' ? laid.from : laid.to))),
  );
  if (floor.length === 0) pieces.push({ name: 'Legs', qty: 2 * lengths.length, lengthMm: rails.height, ...section });
  else lengths.forEach((lengthMm, k) => pieces.push({ name: `Legs ${k + 1}`, qty: 2, lengthMm, ...section }));
}

/** How far the floor is under the line at a place along it: straight between where it was measured. */
export function floorUnder(floor: SetupPart['floor'], height: number, along: number): number {
  const known = [...floor].sort((a, b) => a.along - b.along);
  const next = known.findIndex((place) => place.along >= along);
  if (known.length === 0) return height;
  if (next === 0) return at(known, 0).below;
  if (next < 0) return at(known, -1).below;
  const [a, b] = [at(known, next - 1), at(known, next)];
  return a.below + ((along - a.along) / (b.along - a.along || 1)) * (b.below - a.below);
}

type Held = { readonly unheld: readonly string[]; readonly unbraced: readonly string[] };

function standUprights(built: Built, job: JigFor): Held {
  const unheld: string[] = [];
  const unbraced: string[] = [];
  const { apart, breadth, depth } = job.part.rails;
  const half = apart / 2;
  const inOrder = [...job.standings].sort((a, b) => a.set.foot[0] - b.set.foot[0]);
  const stood = inOrder.flatMap((standing) => {
    const frame = job.frames.find(({ id }) => id === standing.id);
    if (!frame) return [];
    const x = standing.set.foot[0];
    // the frame's own thickness lies aft of a fore face; the uprights stand before it, the cross piece under it
    const aft = frame.face === 'fore' ? 1 : -1;
    const slope = (standing.set.centre[0] - x) / (standing.set.centre[2] || 1);
    const plane = (offset: number) => (z: number) => x + slope * z + offset;
    const name = frame.name;
    const cross = sheared(`${name}: cross piece`, [plane(0), plane(aft * breadth)], [-half, half], [-depth, 0]);
    built.solids.push(cross);
    const place = uprightPlace(frame, job);
    if (!place) {
      unheld.push(name);
      return [];
    }
    const uprights = place.spans.map(([hand, across]) =>
      sheared(`${name}: ${hand} upright`, [plane(-aft * breadth), plane(0)], across, [-depth, place.top]),
    );
    built.solids.push(...uprights);
    built.pieces.push({
      ...{ name: `${name}: uprights`, qty: uprights.length, lengthMm: (place.top + depth) * Math.hypot(1, slope) },
      ...{ breadthMm: breadth, depthMm: breadth, endsDeg: degrees(Math.atan(Math.abs(slope))) },
    });
    return [{ name, x, aft, slope, place, low: standing.set.starboard[2] }];
  });
  built.pieces.push({
    ...{ name: 'Cross pieces, one a frame', qty: inOrder.length, lengthMm: apart, breadthMm: breadth, depthMm: depth },
    endsDeg: 0,
  });
  let braces = 0;
  for (const one of stood) {
    const brace = braceFor(one, built.solids, job);
    if (!brace) unbraced.push(one.name);
    else {
      braces++;
      built.solids.push(...brace.solids);
      built.pieces.push(brace.piece);
    }
  }
  if (braces > 0)
    built.pieces.push({
      ...{ name: 'Cross pieces, one a pair of braces', qty: braces, lengthMm: apart, breadthMm: breadth },
      ...{ depthMm: depth, endsDeg: 0 },
    });
  return { unheld, unbraced };
}

const degrees = (rad: number): number => (rad * 180) / Math.PI;

/** A piece whose two faces follow a frame's plane. */
function sheared(
  name: string,
  faces: readonly [(z: number) => number, (z: number) => number],
  [from, to]: readonly [number, number],
  [low, high]: readonly [number, number],
): Solid {
  const [a, b] = faces[0](0) < faces[1](0) ? faces : [faces[1], faces[0]];
  const outline: Outline = [
    [a(low), low],
    [b(low), low],
    [b(high), high],
    [a(high), high],
  ];
  return { name, runs: 'athwart', outline, from, to };
}

type UprightPlace = {
  /** One to either side, or one in the middle of a frame that is too narrow for two: from port to starboard. */
  readonly spans: readonly (readonly [hand: string, across: readonly [number, number]])[];
  readonly top: number;
  readonly hold: number;
};

/** Columns are tried so far apart, mm. */
const COLUMN_STEP_MM = 10;

/** Where an upright has most of the frame to fasten to: as far out as the rails leave where several have as much. */
function uprightPlace(frame: Frame, job: JigFor): UprightPlace | undefined {
  const { breadth, apart } = job.part.rails;
  const blocked = obstaclesAt(frame, job);
  const tried = (inner: number, outer: number, spans: UprightPlace['spans']): UprightPlace | undefined => {
    const column = columnOf(frame, job, [inner, outer]);
    if (!column) return undefined;
    const free = blocked
      .filter(({ minX, maxX }) => minX < outer && maxX > inner)
      .reduce((top, { minY }) => Math.min(top, minY), Infinity);
    const top = Math.min(column.high - UPRIGHT_SHORT.value, free - 1);
    const hold = top - column.low;
    return hold >= LEAST_HOLD.value ? { spans, top, hold } : undefined;
  };
  let best: UprightPlace | undefined;
  for (let out = apart / 2; out >= breadth + COLUMN_STEP_MM; out -= COLUMN_STEP_MM) {
    const spans = SIDES.map(([hand, side]) => [hand, span(side, out - breadth, out)] as const);
    const place = tried(out - breadth, out, spans);
    if (place && (!best || place.hold > FAR_BETTER * best.hold)) best = place;
  }
  return best ?? tried(0, breadth / 2, [['middle', [-breadth / 2, breadth / 2]]]);
}

const RING_OFF_MM = 0.05;
/** All edges of a frame, with as few points as leave them by no more than a pencil's line. */
const ringsOf = oncePer((frame: Frame): Outline[] =>
  [frame.cut.outline, ...frame.cut.holes].map((ring) => simplifyRing(ring, RING_OFF_MM)),
);

/** For so much more to hold by, uprights stand nearer together. */
const FAR_BETTER = 1.25;

/**
 * The frame's own heights over the line that are there all across a column: at both its sides and in its middle; the
 * longest run of them.
 */
function columnOf(frame: Frame, { heights }: JigFor, [from, to]: readonly [number, number]) {
  const rings = ringsOf(frame);
  const runs = [from + SIDE_MM, (from + to) / 2, to - SIDE_MM].map((y) => runsAt(rings, y, heights));
  let common = at(runs, 0);
  for (const other of runs.slice(1))
    common = common.flatMap((a) =>
      other.flatMap((b) => {
        const [low, high] = [Math.max(a.low, b.low), Math.min(a.high, b.high)];
        return high > low ? [{ low, high }] : [];
      }),
    );
  return common.sort((a, b) => b.high - b.low - (a.high - a.low))[0];
}

/** A column is looked at so far within its sides, mm. */
const SIDE_MM = 0.5;

type Run = { readonly low: number; readonly high: number };

/** Where an upright line passes within the outline and without the holes: between every other crossing. */
function runsAt(rings: readonly Outline[], y: number, { from, sign }: Heights): Run[] {
  const zs: number[] = [];
  for (const ring of rings) {
    let before = at(ring, -1);
    // some thousand points, for some dozens of columns
    for (const point of ring) {
      if (before[0] > y !== point[0] > y) {
        const share = (y - before[0]) / (point[0] - before[0]);
        zs.push(from + sign * (before[1] + share * (point[1] - before[1])));
      }
      before = point;
    }
  }
  zs.sort((a, b) => a - b);
  return zs.flatMap((low, k) => (k % 2 === 0 && k + 1 < zs.length ? [{ low, high: at(zs, k + 1) }] : []));
}

type Blocked = { readonly minX: number; readonly maxX: number; readonly minY: number };

/** What runs along the boat past a frame, to starboard: how far out, and how low over the line. */
function obstaclesAt(frame: Frame, { members, girders, heights, part }: JigFor): Blocked[] {
  const reach = part.rails.breadth + frame.width;
  const near = (x: number) => Math.abs(x - frame.x) <= reach + RING_STEP_MM;
  const boxOf = (points: readonly Vec2[]): Blocked[] => {
    if (points.length === 0) return [];
    const { minX, maxX, minY } = boundsOf(points.map(([y, z]): Vec2 => [y, heights.from + heights.sign * z]));
    return [{ minX, maxX, minY }];
  };
  const ofMembers = members
    .filter(({ side }) => side === 'inside')
    .flatMap(({ rings }) =>
      boxOf(
        rings
          .flatMap(({ near: a, far, nearOff, farOff }) => [a, far, nearOff, farOff])
          .flatMap(([x, y, z]) => (near(x) ? [[Math.abs(y), z] as const] : [])),
      ),
    );
  const ofGirders = girders.flatMap(({ plane, faces, whole }) => {
    const [x0, y0] = plane.origin;
    const y = Math.abs(y0 + (frame.x - x0) * Math.tan(plane.turnRad));
    return boxOf(faces.flatMap((out) => whole.map(([, z]): Vec2 => [y + out, z])));
  });
  return [...ofMembers, ...ofGirders];
}

/** Rings of a member are some 40 mm apart. */
const RING_STEP_MM = 45;

type Uprighted = {
  readonly name: string;
  readonly x: number;
  readonly aft: number;
  readonly slope: number;
  readonly place: UprightPlace;
  readonly low: number;
};

/** Slopes of a brace that are tried, from the floor, °. */
const SLOPES = [45, 55, 35, 65];

function braceFor({ name, x, aft, slope, place, low }: Uprighted, solids: readonly Solid[], job: JigFor) {
  const { breadth, depth, apart } = job.part.rails;
  const half = apart / 2;
  // on the upright's free face, or beside the cross piece on the other
  for (const way of [-aft, aft])
    for (const deg of SLOPES) {
      const rise = (deg * Math.PI) / 180;
      const thick = breadth / 2 / Math.cos(rise);
      const up = Math.min(low - thick - UPRIGHT_SHORT.value, BRACE_UP.value);
      const over = way === aft ? breadth * Math.tan(rise) + thick : 0;
      if (up < thick + over || depth < 2 * thick) continue;
      const start = x + slope * up + (way === aft ? 0 : -aft * breadth);
      const run = (up + depth / 2) / Math.tan(rise);
      const end = start + way * run;
      const foot = boxSolid(
        `${name}: cross piece of its braces`,
        way > 0 ? [end, end + breadth] : [end - breadth, end],
        [-half, half],
        [-depth, 0],
      );
      const braces = place.spans.map(([hand, across]): Solid => ({
        ...{ name: `${name}: ${hand} brace`, runs: 'athwart' },
        outline: [
          [start, up - thick],
          [end, -depth / 2 - thick],
          [end, -depth / 2 + thick],
          [start, up + thick],
        ],
        ...{ from: across[0], to: across[1] },
      }));
      const made = [foot, ...braces];
      const [fore, after] = way > 0 ? [start, end + breadth] : [end - breadth, start];
      const isOn = fore >= job.fromX - job.part.before && after <= job.toX + job.part.before;
      if (!isOn || made.some((one) => solids.some((other) => shareRoom(one, other)))) continue;
      return {
        solids: made,
        piece: {
          ...{ name: `${name}: braces`, qty: braces.length, lengthMm: run / Math.cos(rise) + breadth * Math.tan(rise) },
          ...{ breadthMm: breadth, depthMm: breadth, endsDeg: 90 - deg },
        },
      };
    }
  return undefined;
}

/** Under the frames nearest to a quarter and three quarters of the boat: two hold it, more would fight. */
function layCradles({ solids, pieces }: Built, job: JigFor): void {
  const { standings, frames, part, heights, fromX, toX } = job;
  const { apart, breadth } = part.rails;
  const wide = apart / 2 + breadth;
  const middle = (fromX + toX) / 2;
  const under = [0.27, 0.73].map((share) => {
    const x = fromX + share * (toX - fromX);
    return [...standings].sort((a, b) => Math.abs(a.set.foot[0] - x) - Math.abs(b.set.foot[0] - x))[0];
  });
  const inside = depthOfInside(job.skin);
  for (const standing of new Set(under)) {
    const frame = frames.find(({ id }) => id === standing?.id);
    if (!frame || !standing) continue;
    const hull = frameAt(job.panels, frame.x, {
      skin: inside - job.skin.thickness,
      on: 'outside',
      width: 1,
      face: 'fore',
    });
    const top = hull && cradleTop(hull.outline, heights, wide);
    if (!top) continue;
    const name = `Cradle under ${frame.name}`;
    const thick = CRADLE_THICK.value;
    const [from, to] = frame.x <= middle ? [frame.x, frame.x + thick] : [frame.x - thick, frame.x];
    const starboard = top.map(([y, z]): Vec2 => [y, z]);
    const port = top.map(([y, z]): Vec2 => [-y, z]);
    // out to the rails under a hull that is narrower
    const outer = Math.max(wide, at(top, -1)[0]);
    const shoulder = at(top, -1)[0] < wide ? [Math.min(CRADLE_SIDE_MM, at(top, -1)[1])] : [];
    const base: Vec2[] = [[outer, 0], ...shoulder.map((z): Vec2 => [outer, z])];
    const outline: Outline = [
      ...[...base].reverse().map(([y, z]): Vec2 => [-y, z]),
      ...base,
      ...[...starboard].reverse(),
      ...port.slice(1),
    ];
    solids.push({ name, runs: 'along', outline, from, to });
    const { maxY } = boundsOf(outline);
    pieces.push({ name, qty: 1, lengthMm: 2 * outer, breadthMm: thick, depthMm: maxY, endsDeg: 0, isCradle: true });
  }
}

/** A cradle that reaches up the hull's side less far than this does not hold it, mm. */
const CRADLE_SIDE_MM = 40;

/** Its upper edge, from the centreline out as far as the rails, and no higher than it holds. */
function cradleTop(outline: Outline, { from, sign }: Heights, wide: number): Vec2[] | undefined {
  const points: Vec2[] = [];
  for (const [y, z] of outline) {
    const before = points[points.length - 1];
    const here: Vec2 = [y, from + sign * z];
    if (before && y > wide) {
      const share = (wide - before[0]) / (y - before[0]);
      points.push([wide, before[1] + share * (here[1] - before[1])]);
      break;
    }
    // up the side it goes so far, and then it is cut off level
    const low = points[0]?.[1] ?? here[1];
    if (before && here[0] - before[0] < 1 && here[1] - low > CRADLE_SIDE_MM * 4) break;
    points.push(here);
  }
  const outer = points.length > 1 ? at(points, -1) : undefined;
  return outer && outer[0] > CRADLE_SIDE_MM ? points : undefined;
}
