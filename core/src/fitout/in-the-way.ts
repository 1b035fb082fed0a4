/**
 * What stands through a part's surface: frames, girders, members along the skin; each as a ring on the flat sheet.
 *
 * Method: on either face of a frame or girder, and either face of the part, the line in which the two planes meet is
 * taken through the outline of what is cut; the widest of the four rules. A member is taken ring by ring: what of its
 * cross-section lies between the part's two faces. What comes close to the skin is run on to it, so that no sliver is
 * left between. What only touches the part, as a frame that it lies on, stands in nothing's way.
 */
import { contains, runsInside, unionOf, upright, type Outline, type Vec2, type Vec3 } from '../geometry';
import { placeInPlane, placeOnGirder, planeOf, type Frame, type Girder, type MemberRun } from '../frames';
import { lineAt, type EndOfRoom } from './across';
import type { InTheWay } from './fitted';
import { acrossAt, alongAt, FACES, flatOf, heightOver, overMiddle, placeOn, type Lie } from './lie';

export type Standing = {
  readonly frames: readonly Frame[];
  readonly girders: readonly Girder[];
  readonly members: readonly MemberRun[];
};

/** What stands through, and of a frame where its faces pass the sheet on the centreline, with the gap. */
export type InTheWayOf = InTheWay & {
  readonly of: 'frame' | 'girder' | 'member';
  readonly faces?: { readonly fore: number; readonly aft: number };
};

/** Deeper than this runs through; less only touches, mm. */
const TOUCH_MM = 0.5;
/** Nearer to the skin is run on to it, mm. */
const NEAR_SKIN_MM = 40;
const BEYOND_SKIN_MM = 200;
/** Steps across a cambered part, mm: within 0.01 mm at a radius of a metre. */
const STEP_MM = 8;
const WIDEST_MM = 3000;

type Asked = { readonly gap: number; readonly half: readonly Outline[] };

export function standingThrough(lie: Lie, { frames, girders, members }: Standing, asked: Asked): InTheWayOf[] {
  return [
    ...frames.filter(({ kind }) => kind !== 'mould').flatMap((frame) => frameThrough(lie, frame, asked)),
    ...girders.flatMap((girder) => girderThrough(lie, girder, asked)),
    ...members.filter(({ side }) => side === 'inside').flatMap((member) => memberThrough(lie, member, asked)),
  ];
}

/** Just within either face of the part. */
const depthsOf = (lie: Lie): number[] =>
  FACES.map((face) => overMiddle(lie, face)).map((over) => over - Math.sign(over) * Math.min(TOUCH_MM, Math.abs(over)));

function frameThrough(lie: Lie, frame: Frame, { gap, half }: Asked): InTheWayOf[] {
  const { normal, level } = planeOf(frame);
  const foremost = frame.face === 'fore' ? 0 : -frame.width;
  const at = (aft: number): EndOfRoom => ({ normal, level: level + aft });
  const most = Math.min(WIDEST_MM, lie.radius === 0 ? WIDEST_MM : lie.radius);
  const rings = ringsOfFrame(frame);
  const spans = [foremost, foremost + frame.width].flatMap((aft) =>
    depthsOf(lie).flatMap((over) => spansAt(lie, frame, { plane: at(aft), over, most }, rings)),
  );
  if (spans.length === 0) return [];
  const fore = lineAt(lie, at(foremost - gap), true);
  const aft = lineAt(lie, at(foremost + frame.width + gap), false);
  const [u0, u1] = [middleOf(fore), middleOf(aft)];
  const reach = Math.max(0, ...half.flatMap((outline) => upright(outline, (u0 + u1) / 2).map(([, v]) => v)));
  const strips = unionOf(
    spans.map(([from, to]): Outline => {
      const low = from - gap < -(reach - NEAR_SKIN_MM) ? from - BEYOND_SKIN_MM : from - gap;
      const high = to + gap > reach - NEAR_SKIN_MM ? to + BEYOND_SKIN_MM : to + gap;
      return bandBetween(fore, aft, [low, high]);
    }),
  );
  return strips.map((outline) => ({
    ...{ of: 'frame' as const, id: frame.id, name: frame.name, outline },
    faces: { fore: u0, aft: u1 },
  }));
}

/** Between two lines across the sheet, from one place across to another. */
function bandBetween(fore: readonly Vec2[], aft: readonly Vec2[], [low, high]: readonly [number, number]): Outline {
  const on = (line: readonly Vec2[]) => {
    const within = line.filter(([, v]) => v > low && v < high);
    return [[uOn(line, low), low] as Vec2, ...within, [uOn(line, high), high] as Vec2];
  };
  return [...on(fore), ...on(aft).reverse()];
}

function uOn(line: readonly Vec2[], v: number): number {
  const k = Math.max(
    1,
    line.findIndex((p) => p[1] >= v),
  );
  const [a, b] = [line[k - 1], line[k]];
  if (!a || !b || b[1] === a[1]) return line[0]?.[0] ?? 0;
  return a[0] + ((v - a[1]) / (b[1] - a[1])) * (b[0] - a[0]);
}

const middleOf = (line: readonly Vec2[]): number => uOn(line, 0);

/** What is cut of a frame, on the side or sides on which it stands. */
function ringsOfFrame({ cut, hand }: Frame): Outline[] {
  const over = cut.outline.map(([y, z]): Vec2 => [-y, z]);
  if (hand === 'pair') return [cut.outline, over];
  return [hand === 'port' ? over : cut.outline];
}

type Across = { readonly plane: EndOfRoom; readonly over: number; readonly most: number };

/** From where to where across the sheet the frame is met, on one of its faces, at a depth of the sheet. */
function spansAt(lie: Lie, frame: Frame, { plane, over, most }: Across, rings: readonly Outline[]): [number, number][] {
  const steps = lie.radius === 0 ? 1 : Math.ceil(most / STEP_MM);
  const line = Array.from({ length: 2 * steps + 1 }, (_, i): Vec2 => {
    const v = (most * (i - steps)) / steps;
    const [, y, up] = placeInPlane(frame, placeOn(lie, [alongAt(lie, plane, v, over), v], over));
    return [y, up];
  });
  const face = over > 0 ? 'top' : 'under';
  const near = (ring: Outline) => {
    const reach = Math.max(...ring.map(([y]) => Math.abs(y))) + 2 * STEP_MM;
    return lie.radius === 0 ? line : line.filter(([y]) => Math.abs(y) <= reach);
  };
  return rings.flatMap((ring) =>
    runsInside(near(ring), ring, (p) => contains(ring, p)).map((run): [number, number] => {
      const ys = run.map(([y]) => y);
      return [acrossAt(lie, Math.min(...ys), face), acrossAt(lie, Math.max(...ys), face)];
    }),
  );
}

/** Points along a girder at which the part's height is taken, mm. */
const GIRDER_STEP_MM = 40;

function girderThrough(lie: Lie, girder: Girder, { gap }: Asked): InTheWayOf[] {
  const { plane, faces, pieces, hand, id, name } = girder;
  const steps = Math.ceil(plane.lengthMm / GIRDER_STEP_MM);
  const spans = faces.flatMap((out) =>
    depthsOf(lie).flatMap((over) => {
      const line = Array.from({ length: steps + 1 }, (_, i): Vec2 => {
        const s = (plane.lengthMm * i) / steps;
        return [s, heightAt(lie, placeOnGirder(plane, [s, 0], out), over)];
      });
      return pieces.flatMap(({ outline }) => runsInside(line, outline, (p) => contains(outline, p)));
    }),
  );
  if (spans.length === 0) return [];
  const outlines = unionOf(
    spans.map((run) => {
      const ss = run.map(([s]) => s);
      const [from, to] = [Math.min(...ss) - gap, Math.max(...ss) + gap];
      const [near, far] = [faces[0] - gap, faces[1] + gap];
      return (
        [
          [from, near],
          [to, near],
          [to, far],
          [from, far],
        ] as const
      ).map(([s, out]) => flatOf(lie, onSheet(lie, placeOnGirder(plane, [s, 0], out))));
    }),
  );
  const over = outlines.map((outline) => outline.map(([u, v]): Vec2 => [u, -v]));
  const both = hand === 'pair' ? [...outlines, ...over] : hand === 'port' ? over : outlines;
  return both.map((outline) => ({ of: 'girder', id, name, outline }));
}

/** The height of the sheet over a place of the ground, so far over its middle. */
function heightAt(lie: Lie, [x, y]: Vec3, over: number): number {
  const k = Math.hypot(1, lie.slope);
  const r = lie.radius + over;
  const w = lie.radius === 0 ? lie.middle + over : lie.middle - (r - over) + Math.sqrt(Math.max(0, r * r - y * y));
  return lie.slope * x + k * w;
}

const onSheet = (lie: Lie, [x, y]: Vec3): Vec3 => [x, y, heightAt(lie, [x, y, 0], 0)];

function memberThrough(lie: Lie, { id, name, isPair, rings }: MemberRun, { gap }: Asked): InTheWayOf[] {
  const pieces: { low: Vec2[]; high: Vec2[] }[] = [{ low: [], high: [] }];
  for (const ring of rings) {
    const across = withinSheet(lie, [ring.near, ring.far, ring.farOff, ring.nearOff]);
    const last = pieces[pieces.length - 1]!; // never empty
    if (across) {
      const u = across[0]![0]; // one at least where there are any
      const vs = across.map(([, v]) => v);
      last.low.push([u, Math.min(...vs) - gap]);
      last.high.push([u, Math.max(...vs) + NEAR_SKIN_MM]);
    } else if (last.low.length > 0) pieces.push({ low: [], high: [] });
  }
  return pieces
    .filter(({ low }) => low.length > 1)
    .flatMap(({ low, high }) => {
      const outline: Outline = [...low, ...[...high].reverse()];
      const over = outline.map(([u, v]): Vec2 => [u, -v]);
      return (isPair ? [outline, over] : [outline]).map((one): InTheWayOf => ({
        of: 'member',
        id,
        name,
        outline: one,
      }));
    });
}

/** Of a cross-section what lies between the faces of the sheet, on the flat; undefined where nothing does. */
function withinSheet(lie: Lie, corners: readonly Vec3[]): Vec2[] | undefined {
  const most = Math.max(0, lie.thickness / 2 - TOUCH_MM);
  const least = -most;
  const over = corners.map((corner) => heightOver(lie, corner, 'top') + overMiddle(lie, 'top'));
  const points: Vec3[] = [];
  corners.forEach((a, i) => {
    const k = (i + 1) % corners.length;
    const [b, from, to] = [corners[k]!, over[i]!, over[k]!]; // as many as corners
    if (from >= least && from <= most) points.push(a);
    for (const level of [least, most])
      if (from > level !== to > level) {
        const w = (level - from) / (to - from);
        points.push([a[0] + w * (b[0] - a[0]), a[1] + w * (b[1] - a[1]), a[2] + w * (b[2] - a[2])]);
      }
  });
  return points.length === 0 ? undefined : points.map((point) => flatOf(lie, point));
}
