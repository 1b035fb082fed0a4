/** Where a part inside or on top is in the boat: any place of it, and how it is seen from above and from the side. */
import { at, distance2, lerp2, simplify, type Vec2, type Vec3 } from '../geometry';
import { overMiddle, placeOn } from './lie';
import type { Fitted } from './value';
import type { FittedWall } from './walls/fitted-wall';
import { isDeck, placeOnWall, shareUp } from './walls/wall';

export type InBoat = Fitted | FittedWall;

/** The place of one on the flat sheet, so far over its middle: upward, of a wall outward. */
export const placesOf = (part: InBoat): ((flat: Vec2, over?: number) => Vec3) =>
  part.fit === 'wall' ? placeOnWall(part, part.thickness) : (flat, over) => placeOn(part.lie, flat, over);

/** Longer straight stretches of an edge have places between, where the part is bent, mm. */
const STEP_MM = 40;

/** A ring of the flat sheet, with places enough to follow the bend. */
export function ringToBend(part: InBoat, ring: readonly Vec2[]): readonly Vec2[] {
  if (!part.isBent) return ring;
  return ring.flatMap((a, i) => {
    const b = at(ring, (i + 1) % ring.length);
    const steps = Math.max(1, Math.ceil(distance2(a, b) / STEP_MM));
    return Array.from({ length: steps }, (_, k) => lerp2(a, b, k / steps));
  });
}

export type SeenFromAbove = {
  readonly id: string;
  readonly name: string;
  readonly outline: readonly Vec2[];
  readonly holes: readonly (readonly Vec2[])[];
  /** What lies higher is over it. */
  readonly height: number;
};

/** What is drawn to this is drawn well, mm. */
const DRAWN_MM = 0.2;

/** Each piece, x aft and y to starboard; of a pair the starboard one. */
export function seenFromAbove(part: InBoat): SeenFromAbove[] {
  const place = placesOf(part);
  return part.pieces.map(({ id, name, region }) => {
    const ring = (points: readonly Vec2[]): Vec2[] =>
      ringToBend(part, points).map((p) => {
        const [x, y] = place(p);
        return [x, y];
      });
    const height = place(at(region.outline, 0))[2];
    if (part.fit !== 'wall' || isDeck(part.kind))
      return { id, name, height, outline: ring(region.outline), holes: region.holes.map(ring) };
    return { id, name, height, outline: footprintOf(part, region.outline), holes: [] };
  });
}

/** Of one that stands upright what it covers: from the outside of its foot to the inside of its top. */
function footprintOf(wall: FittedWall, outline: readonly Vec2[]): Vec2[] {
  const [place, up] = [placesOf(wall), shareUp(wall)];
  const [outer, inner] = facesOf(wall);
  const ring = ringToBend(wall, outline).map((p): Vec2 => {
    const [x, y] = place(p, up(p) < 0.5 ? outer : inner);
    return [x, y];
  });
  return simplify([...ring, at(ring, 0)], DRAWN_MM);
}

/** From the side, x aft and z up: where it lies on the centreline, of a wall its outer face all round. */
export function seenFromSide(part: InBoat): Vec2[] {
  if (part.pieces.length === 0) return [];
  if (part.fit === 'wall') {
    const [place, [outer]] = [placesOf(part), facesOf(part)];
    const ring = ringToBend(part, at(part.pieces, 0).region.outline).map((p): Vec2 => {
      const [x, , z] = place(p, outer);
      return [x, z];
    });
    return simplify([...ring, at(ring, 0)], DRAWN_MM);
  }
  const us = part.pieces.flatMap(({ region }) => region.outline.map(([u]) => u));
  return [Math.min(...us), Math.max(...us)].map((u): Vec2 => {
    const [x, , z] = placeOn(part.lie, [u, 0]);
    return [x, z];
  });
}

/** From its middle to either face, the one that looks up or out first. */
export const facesOf = (part: InBoat): readonly [number, number] =>
  part.fit === 'wall'
    ? [part.thickness / 2, -part.thickness / 2]
    : [overMiddle(part.lie, 'top'), overMiddle(part.lie, 'under')];
