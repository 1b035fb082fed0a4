/**
 * The boat cut across at a place: the skin, every part there, and how far one lies over another.
 *
 * Method: the skin by its panels' sections, outside and inside (surface/section.ts); a part where its sheet passes the
 * plane, piece by piece, as a strip between its two faces.
 * Conventions: y to starboard, z up. Both sides are given.
 */
import { at, contains, lerp2, lerp3, upright, type Vec2, type Vec3 } from '../geometry';
import type { Panel } from '../panels';
import { sectionAt } from '../surface';
import type { FittedBlock } from './blocks/block';
import { cornersOf } from './blocks/in-space';
import { planeAtX } from './across';
import type { FittedKnee } from './knees/knee';
import type { Lying } from './lying';
import { alongAt, overMiddle, placeOn } from './lie';
import { without } from './section-along';
import { facesOf, type FacesOfSkin } from './skin-faces';
import type { Fitted } from './value';
import type { FittedWall } from './walls/fitted-wall';

export type PartInSection = {
  readonly plan: string;
  readonly name: string;
  readonly outline: readonly Vec2[];
  /** Of its upper face, at the middle of this strip. */
  readonly topMm: number;
  readonly at: Vec2;
};

export type Section = {
  /** Outside and inside of the skin, both sides. */
  readonly skin: readonly (readonly Vec2[])[];
  readonly parts: readonly PartInSection[];
};

/** Steps across a cambered part, and of a flat one. */
const STEPS = 24;

export function sectionOf(
  { panels, ...lying }: { readonly panels: readonly Panel[] } & Lying,
  x: number,
  skin: FacesOfSkin,
): Section {
  const lines = panels.flatMap((panel) => facesOf(panel, skin).flatMap((inset) => skinAcross(panel, x, inset)));
  return { skin: lines, parts: partsAcross(lying, x) };
}

/** All that lies in the boat, without her skin. */
export const partsAcross = ({ parts, walls, blocks, knees }: Lying, x: number): PartInSection[] => [
  ...parts.flatMap((part) => inSection(part, x)),
  ...walls.flatMap((wall) => wallInSection(wall, x)),
  ...blocks.flatMap((block) => blockInSection(block, x)),
  ...knees.flatMap((knee) => kneeInSection(knee, x)),
];

/** A panel where a plane across the boat passes it, so far within its lines: on both sides where it is on both. */
export function skinAcross({ rulings, only, spansCentreline }: Panel, x: number, inset: number): Vec2[][] {
  const own = sectionAt(rulings, x, inset).map(({ space }): Vec2 => [space[1], space[2]]);
  const over = own.map(([y, z]): Vec2 => [-y, z]);
  if (own.length < 2) return [];
  return only === 'port' ? [over] : only === 'starboard' || spansCentreline ? [own] : [own, over];
}

function inSection(part: Fitted, x: number): PartInSection[] {
  const { lie, hand, plan } = part;
  const [under, top] = [overMiddle(lie, 'under'), overMiddle(lie, 'top')];
  return part.pieces.flatMap((piece) => {
    const u = alongAt(lie, planeAtX(x), 0, 0);
    const strips = upright(piece.region.outline, u).flatMap((span) =>
      without(
        span,
        piece.region.holes.flatMap((hole) => upright(hole, u)),
      ),
    );
    return strips.flatMap(([from, to]) => {
      const on = (v: number, over: number): Vec2 => {
        const [, y, z] = placeOn(lie, [alongAt(lie, planeAtX(x), v, over), v], over);
        return [y, z];
      };
      const steps = lie.radius > 0 ? STEPS : 1;
      const vs = Array.from({ length: steps + 1 }, (_, i) => from + ((to - from) * i) / steps);
      const outline = [...vs.map((v) => on(v, under)), ...[...vs].reverse().map((v) => on(v, top))];
      const middle = on((from + to) / 2, top);
      return bothHands({ plan, name: part.name, outline, topMm: middle[1], at: middle }, hand);
    });
  });
}

/** Of a block that runs along the boat its four corners where the plane passes. */
function blockInSection(block: FittedBlock, x: number): PartInSection[] {
  const rings = cornersOf(block);
  const outline = [0, 1, 2, 3].flatMap((k): Vec2[] => {
    const line = rings.map((ring) => at(ring, k));
    const next = line.findIndex((p, i) => i > 0 && p[0] > x !== at(line, i - 1)[0] > x);
    if (next < 0) return [];
    const [a, b] = [at(line, next - 1), at(line, next)];
    const [, y, z] = lerp3(a, b, (x - a[0]) / (b[0] - a[0]));
    return [[y, z]];
  });
  if (outline.length < 4) return [];
  const highest = outline.reduce((best, p) => (p[1] > best[1] ? p : best));
  return bothHands({ plan: block.plan, name: block.name, outline, topMm: highest[1], at: highest }, block.hand);
}

/** Of a knee what is sawn, where the plane passes its board. */
function kneeInSection({ plan, name, cut, hand, faces }: FittedKnee, x: number): PartInSection[] {
  const [fore, aft] = faces;
  if (!fore || !aft || x < fore.x || x > aft.x || cut.length === 0) return [];
  const highest = cut.reduce((best, p) => (p[1] > best[1] ? p : best));
  const own = { plan, name, outline: cut, topMm: highest[1], at: highest };
  const [, over] = bothHands(own, 'pair');
  return hand === 'port' && over ? [over] : bothHands(own, hand);
}

/** Of a pair the one to port as well. */
function bothHands(own: PartInSection, hand: string): PartInSection[] {
  if (hand !== 'pair') return [own];
  return [own, { ...own, outline: own.outline.map(([y, z]): Vec2 => [-y, z]), at: [-own.at[0], own.at[1]] }];
}

/** Of a wall the strip between its faces where the plane passes, as far as it is cut. */
function wallInSection(wall: FittedWall, x: number): PartInSection[] {
  const { plan, name, hand, pieces } = wall;
  const [outer, inner] = (['outer', 'inner'] as const).map((face) => throughFace(wall, face, x)) as [Vec2[], Vec2[]];
  if (pieces.length === 0 || outer.length < 2 || inner.length < 2) return [];
  const outline = [...outer, ...inner.reverse()];
  const highest = outline.reduce((best, p) => (p[1] > best[1] ? p : best));
  const own = { plan, name, outline, topMm: highest[1], at: highest };
  const [, over] = bothHands(own, 'pair');
  return hand === 'port' && over ? [over] : bothHands(own, hand);
}

/** Where a plane across the boat passes the rulings of a face, and its lower and upper edge between them. */
function throughFace({ rulings, pieces }: FittedWall, face: 'outer' | 'inner', x: number): Vec2[] {
  const found: { readonly w: number; readonly space: Vec3; readonly flat: Vec2 }[] = [];
  const put = (w: number, space: Vec3, flat: Vec2) => found.push({ w, space, flat });
  rulings.forEach((ruling, k) => {
    const [foot, top] = ruling[face];
    const low = foot[0] - x;
    const high = top[0] - x;
    if (low > 0 !== high > 0) {
      const w = low / (low - high);
      put(w, lerp3(foot, top, w), lerp2(ruling.net, ruling.flat[1], w));
    }
    const before = rulings[k - 1];
    if (!before) return;
    for (const end of [0, 1] as const) {
      const a = before[face][end];
      const b = ruling[face][end];
      if (a[0] - x > 0 === b[0] - x > 0) continue;
      const share = (x - a[0]) / (b[0] - a[0]);
      const flats = [before, ruling].map((one) => (end === 0 ? one.net : one.flat[1])) as [Vec2, Vec2];
      put(end === 0 ? -1 : 2, lerp3(a, b, share), lerp2(...flats, share));
    }
  });
  const outline = pieces[0]?.region.outline ?? [];
  const middle = middleOf(outline);
  return found
    .sort((a, b) => a.w - b.w)
    .filter(({ flat }) => contains(outline, lerp2(flat, middle, WITHIN)))
    .map(({ space }): Vec2 => [space[1], space[2]]);
}

/** A share of the way into a wall, so that what lies on its edge is in it. */
const WITHIN = 0.001;

const middleOf = (outline: readonly Vec2[]): Vec2 => {
  const sum = outline.reduce<Vec2>(([u, v], p) => [u + p[0], v + p[1]], [0, 0]);
  return [sum[0] / Math.max(1, outline.length), sum[1] / Math.max(1, outline.length)];
};
