/**
 * Frames that stand through what lies over the sheer: by how much, and the top that would lie under it.
 *
 * Method: every place of the frame's outline that lies under the part, on both its faces, by its height over the part's
 * under side, square to the sheet. A frame's top that follows the part is an arc of the same radius, as much lower than
 * the sheer as the part is there.
 */
import { placeInBoat, type Frame } from '../frames';
import { boundsOf, type Vec3 } from '../geometry';
import type { FittedPiece } from './fitted';
import { flatOf, heightOver, type Lie } from './lie';

export type Through = {
  readonly frame: string;
  readonly name: string;
  readonly mm: number;
};

/** Less is planed off with the sheer, mm. */
const LEAST_MM = 0.5;

export function framesThrough(lie: Lie, pieces: readonly FittedPiece[], frames: readonly Frame[]): Through[] {
  const boxes = pieces.map(({ region }) => boundsOf(region.outline));
  const isUnder = (place: Vec3) => {
    const [u, v] = flatOf(lie, place);
    return boxes.some(({ minX, maxX, minY, maxY }) => u > minX && u < maxX && v > minY && v < maxY);
  };
  return frames
    .filter(({ kind, isUnderSeam }) => kind !== 'mould' && !isUnderSeam)
    .flatMap((frame): Through[] => {
      const aft = frame.face === 'fore' ? frame.width : -frame.width;
      const places = [0, aft].flatMap((by) => frame.cut.outline.map((p) => placeInBoat(frame, p, by))).filter(isUnder);
      const mm = places.reduce((most, place) => Math.max(most, heightOver(lie, place, 'under')), 0);
      return mm > LEAST_MM ? [{ frame: frame.id, name: frame.name, mm }] : [];
    });
}
