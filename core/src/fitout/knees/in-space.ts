/** A hanging knee as a solid and as it is seen. */
import { at, pointAtLength, polylineLength, type Vec2, type Vec3 } from '../../geometry';
import type { FittedKnee } from './knee';

/** Places along it from the end of one arm round the corner to the end of the other: as many along either. */
const STEPS = 10;

type FourCorners = readonly [Vec3, Vec3, Vec3, Vec3];

/** Of the starboard one; at each place the outer and the free edge of the fore face, then of the after one. */
export function kneeCorners({ faces, free }: Pick<FittedKnee, 'faces' | 'free'>): readonly FourCorners[] {
  const [fore, aft] = faces;
  if (!fore || !aft || free.length < 2) return [];
  const outer = [fore, aft].map(({ arm, leg }) => [...evenly(arm), ...evenly([at(arm, -1), ...leg]).slice(1)]);
  const inner = evenly(free, 2 * STEPS);
  return inner.map((q, i): FourCorners => {
    const [a, b] = outer.map((line) => at(line, i)) as [Vec2, Vec2]; // two faces
    return [inBoat(fore.x, a), inBoat(fore.x, q), inBoat(aft.x, q), inBoat(aft.x, b)];
  });
}

const inBoat = (x: number, [y, z]: Vec2): Vec3 => [x, y, z];

function evenly(line: readonly Vec2[], count = STEPS): Vec2[] {
  const long = polylineLength(line);
  return Array.from({ length: count + 1 }, (_, i) => pointAtLength(line, (long * i) / count));
}

/** From above, of the starboard one. */
export function kneeFromAbove({ faces, free }: Pick<FittedKnee, 'faces' | 'free'>): Vec2[] {
  const outs = [...faces.flatMap(({ arm, leg }) => [...arm, ...leg]), ...free].map(([y]) => y);
  return boxOf(faces, outs);
}

/** From the side. */
export function kneeFromSide({ faces, free }: Pick<FittedKnee, 'faces' | 'free'>): Vec2[] {
  const ups = [...faces.flatMap(({ arm, leg }) => [...arm, ...leg]), ...free].map(([, z]) => z);
  return boxOf(faces, ups);
}

function boxOf(faces: FittedKnee['faces'], values: readonly number[]): Vec2[] {
  const [fore, aft] = faces;
  if (!fore || !aft) return [];
  const [least, most] = [Math.min(...values), Math.max(...values)];
  return [
    [fore.x, least],
    [aft.x, least],
    [aft.x, most],
    [fore.x, most],
  ];
}
