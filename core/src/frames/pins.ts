/**
 * Holes for pins: in a gusset or a doubler and in what it goes on, in the same places, so that it cannot go on amiss.
 *
 * Method: two a part, as far from each other as its outline allows, each in the nearest place where solid wood reaches
 * one and a half diameters round it; none where what lies under it is cut away. Conventions: the frame's own plane; of
 * what is on both sides the starboard one.
 */
import { openPath, roomInside, type DrawnPath } from '../formats';
import { at, contains, distance2, distanceToSegment, type Outline, type Region, type Vec2 } from '../geometry';
import { asSeen, type Frame } from './frame';
import { plyPartsOfFrame, type PlyPart } from './ply-parts';

/** From a pin's middle to the nearest edge, in diameters. */
const EDGE_DIAMETERS = 1.5;
const DUST_MM = 1e-6;
/** Of the circle as it is drawn. */
const CORNERS = 16;

/** At most two; none in a lid, which goes on nothing. */
export function pinsOf(
  { faces, region }: Pick<PlyPart, 'faces' | 'region'>,
  under: readonly Region[],
  diameter: number,
): Vec2[] {
  const goesOn = faces.length > 0 || region.holes.length > 0;
  if (diameter === 0 || !goesOn) return [];
  const places = farApart(region.outline)
    .map((end) => roomAt(region, end, diameter))
    .filter((pin) => isSolid(region, pin, diameter) && under.some((piece) => isSolid(piece, pin, diameter)));
  const [first, second] = places;
  return first && second && distance2(first, second) < 4 * EDGE_DIAMETERS * diameter ? [first] : places;
}

/** Of all that goes on a frame, as they are seen, on both sides where what they are for is. */
export const pinsOnFrame = (frame: Frame, diameter: number): Vec2[] =>
  plyPartsOfFrame(frame)
    .flatMap((part) =>
      pinsOf(part, [frame.cut], diameter).flatMap(([y, z]): Vec2[] =>
        part.isPair && frame.hand === 'across'
          ? [
              [y, z],
              [-y, z],
            ]
          : [[y, z]],
      ),
    )
    .map((pin) => asSeen(frame, pin));

/** Where it is drilled; in a file that has circles it is one. */
export const pinPath = ([x, y]: Vec2, diameter: number): DrawnPath => ({
  ...openPath([]),
  ...{ layerName: 'PINS', isClosed: true, circle: { at: [x, y], radius: diameter / 2 } },
  points: Array.from({ length: CORNERS }, (_, i): Vec2 => {
    const angle = (i * 2 * Math.PI) / CORNERS;
    return [x + (diameter / 2) * Math.cos(angle), y + (diameter / 2) * Math.sin(angle)];
  }),
});

function farApart(outline: Outline): Vec2[] {
  let [best, ends] = [-1, [] as Vec2[]];
  outline.forEach((a, i) => {
    for (const b of outline.slice(i + 1)) {
      const apart = distance2(a, b);
      if (apart > best) [best, ends] = [apart, [a, b]];
    }
  });
  return ends;
}

/** The nearest to a corner at which a square round the pin is clear. */
function roomAt(region: Region, [x, y]: Vec2, diameter: number): Vec2 {
  const half = EDGE_DIAMETERS * diameter;
  const [left, low] = roomInside(region, { wide: 2 * half, high: 2 * half }, [x - half, y - half]);
  return [left + half, low + half];
}

function isSolid({ outline, holes }: Region, pin: Vec2, diameter: number): boolean {
  if (!contains(outline, pin) || holes.some((hole) => contains(hole, pin))) return false;
  const apart = [outline, ...holes].flatMap((ring) =>
    ring.map((a, i) => distanceToSegment(pin, a, at(ring, (i + 1) % ring.length))),
  );
  return Math.min(...apart) >= EDGE_DIAMETERS * diameter - DUST_MM;
}
