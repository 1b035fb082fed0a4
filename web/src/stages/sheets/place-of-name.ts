/** Where a piece's name stands on it: on wood, where others may lie in its openings. */
import { roomInside } from '@kalotrope/core/formats';
import { boundsOf, contains, type Outline, type Region, type Vec2 } from '@kalotrope/core/geometry';

/** Of a letter of its height, across. */
export const LETTER_WIDE = 0.56;
export const NAME_PX = 13;

type Size = { readonly wide: number; readonly high: number };

/** The middle of its foot, along the piece or else up it; undefined where neither has room. */
export function placeOfName(region: Region, size: Size): { readonly at: Vec2; readonly isAlong: boolean } | undefined {
  const along = footIn(region, size);
  if (along) return { at: along, isAlong: true };
  const up = footIn({ outline: turnedDown(region.outline), holes: region.holes.map(turnedDown) }, size);
  return up && { at: [-up[1], up[0]], isAlong: false };
}

/** A quarter turn clockwise: what runs up then runs along. */
const turnedDown = (ring: Outline): Outline => ring.map(([x, y]): Vec2 => [y, -x]);

function footIn(region: Region, { wide, high }: Size): Vec2 | undefined {
  const { minX, minY, maxX, maxY } = boundsOf(region.outline);
  if (wide > maxX - minX || high > maxY - minY) return undefined;
  const wanted: Vec2 = [(minX + maxX - wide) / 2, (minY + maxY - high) / 2];
  // beside the piece's edge a name may reach over it, over an opening it may not
  if (region.holes.length === 0) return [wanted[0] + wide / 2, wanted[1] + high / 2];
  const [x, y] = roomInside(region, { wide, high }, wanted);
  const isSolid = [x, x + wide / 2, x + wide].every((u) =>
    [y, y + high].every(
      (v) => contains(region.outline, [u, v]) && !region.holes.some((hole) => contains(hole, [u, v])),
    ),
  );
  return isSolid ? [x + wide / 2, y + 0.15 * high] : undefined;
}
